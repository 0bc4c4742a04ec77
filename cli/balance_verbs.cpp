#include "cli/verbs.h"
#include "core/balance/first_draft.h"
#include "core/balance/rough_mix.h"
#include "core/session/pan_text.h"

namespace isotonus::cli {

using nlohmann::json;

namespace {

/// What was found: to print, in words, and how it is applied to all tracks, or to one.
struct Balance {
    json document;
    std::string text;
    std::function<Session(const Session&, TrackId only)> applied;
};

const char* name_of(InMix how) {
    switch (how) {
        case InMix::found:
            return "found";
        case InMix::together:
            return "together";
        case InMix::absent:
            return "absent";
        case InMix::unknown:
            break;
    }
    return "unknown";
}

json fader_json(double db) { return std::isinf(db) ? json() : json(db); }
std::string fader_text(double db) { return std::isinf(db) ? "off" : format_figures("{:+.1f} dB", db); }

Result<Balance> like(const Opened& opened, const BalanceOptions& options) {
    const Session& session = opened.session;
    const auto fit = fit_rough_mix(session, opened.plays(), options.like);
    if (!fit) return tl::unexpected(fit.error());
    Balance found;
    found.document = {{"begins_s", fit->begins_s},
                      {"left_over_db", fit->left_over_db},
                      {"processing", fit->processing.sentences()},
                      {"remarks", fit->remarks},
                      {"tracks", json::array()}};
    found.text = format_figures("The tracks explain {} to {:.1f} dB; it begins at {:.3f} s of the song.",
                                options.like.filename().string(), fit->left_over_db, fit->begins_s);
    for (const auto& list : {fit->processing.sentences(), fit->remarks})
        for (const std::string& s : list) found.text += "\n" + s;
    for (const RoughMixTrack& t : fit->tracks) {
        const std::string why = sentence_of(session, t);
        json sections = json::array(), with = json::array();
        for (const SectionLevel& s : t.in_sections)
            sections.push_back({{"section", session.sections[s.section].name}, {"by_db", s.by_db}});
        for (const TrackId id : t.with) with.push_back(session.name_of(id));
        found.document["tracks"].push_back({{"track", session.name_of(t.id)},
                                            {"how", name_of(t.how)},
                                            {"fader_db", fader_json(t.fader_db)},
                                            {"pan", t.pan},
                                            {"pan_found", t.pan_found},
                                            {"invert_polarity", t.inverted},
                                            {"share", t.share},
                                            {"spread_db", t.spread_db},
                                            {"with", with},
                                            {"sections", sections},
                                            {"left_over_db", t.left_over_db ? json(*t.left_over_db) : json()},
                                            {"changed", t.changed},
                                            {"reason", why}});
        found.text +=
            fmt::format("\n  {}: {}{}{}  {}", session.name_of(t.id), fader_text(t.fader_db),
                        t.pan_found ? ", " + text_of_pan(t.pan) : "", t.inverted ? ", polarity inverted" : "", why);
    }
    found.applied = [fit = *fit, sections = options.sections](const Session& s, TrackId only) {
        Session next = s;
        for (const RoughMixTrack& t : fit.tracks) {
            if (only != 0 && t.id != only) continue;
            next = with_found(next, t);
            if (sections) next = with_found_sections(next, t);
        }
        return next;
    };
    return found;
}

Result<Balance> drafted(const Opened& opened, const BalanceOptions& options) {
    FirstDraftWish wish;
    constexpr std::array strengths{"levels", "pans", "all"};  // in the order of DraftStrength
    wish.strength = static_cast<DraftStrength>(std::ranges::find(strengths, options.strength) - strengths.begin());
    wish.also_set = options.also_set;
    wish.levels = starting_levels_of(opened);
    std::vector<MaterialPtr> played;
    for (const auto& t : opened.session.tracks)
        if (MaterialPtr m = opened.played(*t)) played.push_back(std::move(m));
    std::vector<Result<ExcitationPtr>> made(played.size());
    parallel_for(std::ssize(played), worker_count(),
                 [&](int64_t n) { made[static_cast<size_t>(n)] = excitation_of(*played[static_cast<size_t>(n)]); });
    std::map<MaterialPtr, ExcitationPtr> known;
    for (size_t n = 0; n < made.size(); ++n) {
        if (!made[n]) return tl::unexpected(made[n].error());
        known[played[n]] = *made[n];
    }
    const ExcitationOf excitation = [&](const MaterialPtr& m) {
        const auto at = known.find(m);
        return at == known.end() ? nullptr : at->second;
    };
    MixPeaks peaks;
    const auto draft = first_draft(opened.session, opened.plays(), excitation, wish, peaks);
    if (!draft) return tl::unexpected(draft.error());
    Balance found;
    found.document = {{"peak_dbfs", draft->peak_dbfs ? json(*draft->peak_dbfs) : json()}, {"tracks", json::array()}};
    found.text = "A first balance. Before processors of buses and the main output, the whole song peaks at " +
                 in_words(draft->peak_dbfs, "dBFS") + ".";
    for (const DraftedTrack& t : draft->tracks) {
        const auto share = [](const Level& l) { return l ? json(*l) : json(); };
        const std::string name = opened.session.name_of(t.id);
        found.document["tracks"].push_back({{"track", name},
                                            {"role", role_name(t.role)},
                                            {"anchor", t.anchor},
                                            {"kept", t.kept},
                                            {"fader_db", fader_json(t.fader_db)},
                                            {"pan", t.pan},
                                            {"width", t.width},
                                            {"heard", share(t.heard)},
                                            {"heard_at_monitors", share(t.at_monitors)},
                                            {"wanted", t.anchor ? json(min_of_anchor) : json(wish_of(t.role).heard)},
                                            {"reason", t.why}});
        found.text += fmt::format("\n  {}: {}{}  {}", name, fader_text(t.fader_db),
                                  options.strength == "levels" ? "" : ", " + text_of_pan(t.pan), t.why);
    }
    found.applied = [draft = *draft](const Session& s, TrackId only) { return with_draft(s, draft, only); };
    return found;
}

}  // namespace

int balance(const BalanceOptions& options) {
    auto opened = open_with_materials(options.session);
    if (!opened) return complain(opened.error());
    if (auto whole = opened->check_whole(options.session, options.without_missing); !whole)
        return complain(whole.error());
    std::vector<TrackId> only;
    for (const std::string& name : options.tracks) {
        const Track* t = opened->session.find(name);
        if (!t)
            return complain(
                {options.session.string(), fmt::format("there is no track called '{}'. {}", name, see_show)},
                wrong_usage);
        only.push_back(t->id);
    }
    if (only.empty()) only.push_back(0);
    const auto found = options.like.empty() ? drafted(*opened, options) : like(*opened, options);
    if (!found) return complain(found.error());
    if (options.as_json)
        print(found->document);
    else
        put_lines(found->text);
    if (!options.apply) return done;
    return change(options.session, [&](Session& session) -> Result<void> {
        for (const TrackId id : only) session = found->applied(session, id);
        return {};
    });
}

}  // namespace isotonus::cli
