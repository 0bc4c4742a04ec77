#include "cli/verbs.h"
#include "core/balance/build_up.h"
#include "core/balance/headroom.h"
#include "core/balance/make_room.h"
#include "core/compare/ownership.h"
#include "core/compare/third_octaves.h"
#include "core/measure/measurement_json.h"
#include "core/session/presets.h"
#include "core/session/session_file.h"
#include "core/shape/advice.h"
#include "core/shape/cuts.h"
#include "core/shape/equaliser.h"
#include "core/stage/alignment.h"

namespace isotonus::cli {

using nlohmann::json;

namespace {

/// What was found: to print, in words, and how it is taken.
struct Found {
    json document;
    std::string text;
    std::function<void(Session&)> take;  ///< empty: there is nothing to take
};

std::function<const Measurement*(const Track&)> measured_in(const Opened& opened) {
    return [&opened](const Track& t) {
        const MaterialPtr m = opened.of(t);
        return m ? &m->measurement : nullptr;
    };
}

Result<Found> low_cut_of(const Opened& opened, const Track& track) {
    const auto spectrum = spectrum_of(*opened.of(track));
    if (!spectrum) return tl::unexpected(spectrum.error());
    const auto advice = low_cut_advice(*spectrum, wants_lows(track, &opened.of(track)->measurement),
                                       has_lows_carried(opened.session, track, measured_in(opened)));
    if (!advice) return Found{{{"hz", nullptr}}, "nothing below its body asks for a low cut", {}};
    return Found{{{"hz", advice->hz}, {"edge_hz", advice->edge_hz}, {"takes_db", advice->takes_db}},
                 fmt::format("low cut at {:.0f} Hz; it takes {:.1f} dB away", advice->hz, advice->takes_db),
                 [id = track.id, hz = advice->hz](Session& s) {
                     s = with_chain(s, id, [hz](Chain& c) { set_low_cut(c, hz); });
                 }};
}

Result<Found> troubles_of(const Opened& opened, const Track& track) {
    const auto troubles = find_troubles(*opened.of(track));
    if (!troubles) return tl::unexpected(troubles.error());
    Found found{{{"troubles", json::array()}}, troubles->empty() ? "nothing stands out for long" : "", {}};
    for (const Trouble& t : *troubles) {
        found.document["troubles"].push_back({{"hz", t.hz},
                                              {"note", t.note()},
                                              {"excess_db", t.excess_db},
                                              {"share", t.share},
                                              {"cut_db", t.cut_db},
                                              {"q", t.q}});
        found.text +=
            fmt::format("{}{:.0f} Hz ({}) stands out by {:.1f} dB, {:.0f} % of the time: {:.1f} dB there",
                        found.text.empty() ? "" : "\n", t.hz, t.note(), t.excess_db, 100.0 * t.share, t.cut_db);
    }
    if (!troubles->empty())
        found.take = [id = track.id, list = *troubles](Session& s) {
            s = with_chain(s, id, [&](Chain& c) {
                for (const Trouble& t : list) add_bell(c, {t.hz, t.cut_db, t.q});
            });
        };
    return found;
}

/// `typical=3` or `most=6`.
std::optional<ReductionAim> aim_from(const std::string& text) {
    const size_t equals = text.find('=');
    const std::string what = text.substr(0, equals);
    if (equals == std::string::npos || (what != "typical" && what != "most")) return std::nullopt;
    char* end = nullptr;
    const double db = std::strtod(text.c_str() + equals + 1, &end);
    if (*end != '\0' || end == text.c_str() + equals + 1 || !(db >= 0.0 && db <= 40.0)) return std::nullopt;
    return ReductionAim{what == "most", db};
}

Result<Found> reduction_of(const Opened& opened, TrackId channel, const std::vector<std::string>& more) {
    const auto aim = more.size() == 2 ? aim_from(more[1]) : std::nullopt;
    const size_t place = more.empty() ? 0 : std::strtoul(more[0].c_str(), nullptr, 10);
    if (!aim || place == 0) return fail("", said("say PLACE and typical=DB or most=DB, from 0 to 40"));
    const auto recipe = opened.signals.recipe_of(opened.session, channel, [&](const Track& t) { return opened.of(t); });
    if (!recipe) return fail("", said("it has no processor at work, or what it is made of cannot be read"));
    const auto aimed = threshold_for(*recipe, place - 1, *aim);
    if (!aimed) return tl::unexpected(aimed.error());
    Found found{{{"threshold_dbfs", aimed->threshold_dbfs},
                 {"most_db", aimed->reduction.most_db},
                 {"typical_db", aimed->reduction.typical_db},
                 {"reached", aimed->reached}},
                fmt::format("threshold {:.2f} dBFS: most {:.1f} dB at {:.1f} s, {:.1f} dB while it works{}",
                            aimed->threshold_dbfs, aimed->reduction.most_db, aimed->reduction.most_at_s,
                            aimed->reduction.typical_db, aimed->reached ? "" : "; that is as near as it comes"),
                {}};
    if (aimed->reached)
        found.take = [id = channel, place, threshold = aimed->threshold_dbfs](Session& s) {
            s = with_chain(s, id, [&](Chain& c) { c[place - 1].values["threshold_dbfs"] = threshold; });
        };
    return found;
}

Result<Found> room_for(const Opened& opened, const Track& track) {
    std::map<MaterialPtr, ExcitationPtr> known;
    std::optional<Error> fault;
    const ExcitationOf excitation = [&](const MaterialPtr& m) -> ExcitationPtr {
        ExcitationPtr& e = known[m];
        if (e || fault) return e;
        auto made = excitation_of(*m);
        if (made)
            e = *made;
        else
            fault = made.error();
        return e;
    };
    const PlanPtr plan = opened.plan();
    const RoomProposal p =
        make_room(*plan, track.id, excitation, {}, may_make_room(opened.session, measured_in(opened)));
    if (fault) return tl::unexpected(*fault);
    Found found{{{"heard_before", p.before}, {"heard_after", p.after}, {"cuts", json::array()}}, "", {}};
    found.text = p.cuts.empty() ? fmt::format("{:.0f} % of it is heard, and no cut brings more", 100.0 * p.before)
                                : fmt::format("{:.0f} % of it is heard, {:.0f} % with these cuts:", 100.0 * p.before,
                                              100.0 * p.after);
    for (const RoomCut& c : p.cuts) {
        const std::string name = opened.session.name_of(c.row);
        found.document["cuts"].push_back({{"row", name}, {"hz", c.hz}, {"db", c.db}, {"q", c.q}});
        found.text += fmt::format("\n{}: {:.1f} dB at {:.0f} Hz", name, c.db, c.hz);
    }
    if (!p.cuts.empty()) found.take = [cuts = p.cuts](Session& s) { s = with_room(s, cuts); };
    return found;
}

Result<Found> duck_of(const Opened& opened, const Track& track, const std::vector<std::string>& more) {
    const Session& session = opened.session;
    const Track* key = more.size() == 1 ? session.find(more[0]) : nullptr;
    if (!key) return fail("", said("say the track that it makes way for"));
    if (!opened.of(*key)) return fail("", "the file of '" + key->name + "' cannot be read");
    const auto advice =
        duck_advice(tap_of(session, track, opened.of(track)), track.fader_db + session.group_db(track.id),
                    tap_of(session, *key, opened.of(*key)), key->fader_db + session.group_db(key->id));
    if (!advice) return tl::unexpected(advice.error());
    if (!*advice) return Found{{{"hits", 0}}, "'" + key->name + "' is not struck anywhere", {}};
    const DuckAdvice& a = **advice;
    Found found{{{"hits", a.hits},
                 {"overlap_db", a.overlap_db},
                 {"decay_ms", a.decay_ms},
                 {"threshold_dbfs", a.threshold_dbfs},
                 {"depth_db", a.depth_db},
                 {"hold_ms", a.hold_ms},
                 {"release_ms", a.release_ms}},
                fmt::format("at {} hits of {} its lows stand {:+.1f} dB against it: ", a.hits, key->name, a.overlap_db),
                {}};
    if (a.depth_db <= 0.0) {
        found.text += "nothing to make way for";
        return found;
    }
    found.text +=
        fmt::format("{:.1f} dB down for {:.0f} ms, back within {:.0f} ms", a.depth_db, a.hold_ms, a.release_ms);
    found.take = [id = track.id, key = key->id, a](Session& s) {
        s = with_chain(s, id, [&](Chain& c) { set_duck(c, key, a); });
    };
    return found;
}

Result<Found> headroom_of(const Opened& opened, const std::string& wanted) {
    constexpr std::array ways{"all_down", "largest", "not_anchors"};
    if (!wanted.empty() && std::find(ways.begin(), ways.end(), wanted) == ways.end())
        return fail("", fmt::format("'{}' is no way to headroom (all_down, largest, not_anchors)", wanted));
    MixPeaks peaks;
    const auto plan = headroom_plan(opened.session, opened.plays(), opened.session.targets.mains_high_dbfs, peaks);
    if (!plan) return tl::unexpected(plan.error());
    Found found{
        {{"peak_dbfs", level_json(plan->peak_dbfs)}, {"target_dbfs", plan->target_dbfs}, {"ways", json::array()}},
        fmt::format("the mix peaks at {}, {:.1f} dBFS is wanted at most", in_words(plan->peak_dbfs, "dBFS"),
                    plan->target_dbfs),
        {}};
    if (plan->proposals.empty())
        found.text += plan->peak_dbfs.value_or(silence_db) <= plan->target_dbfs
                          ? ": nothing to turn down"
                          : ": no faders reach that, since the main output's processors decide its peak";
    for (const Proposal& p : plan->proposals) {
        const char* const way = ways[static_cast<size_t>(p.way)];
        json faders = json::array();
        found.text += fmt::format("\n{}: {:.1f} dB down, peak {}", way, p.by_db, in_words(p.peak_dbfs, "dBFS"));
        for (const auto& [id, db] : p.faders) {
            faders.push_back({{"row", opened.session.name_of(id)}, {"fader_db", level_json(db)}});
            if (p.way != Remake::all_down)
                found.text += fmt::format("\n  {} {:+.1f} dB", opened.session.name_of(id), db);
        }
        found.document["ways"].push_back({{"way", way},
                                          {"by_db", p.by_db},
                                          {"peak_dbfs", level_json(p.peak_dbfs)},
                                          {"reaches", p.reaches},
                                          {"faders", faders}});
        if (wanted == way || (wanted.empty() && !found.take)) found.take = [p](Session& s) { s = with_proposal(s, p); };
    }
    return found;
}

Result<Found> note_of(const Opened& opened, const Track& track) {
    const PlanPtr plan = opened.plan();
    std::map<MaterialPtr, LongTermSpectrum> spectra;
    for (const PlanPart& part : plan->parts) {
        if (!part.material || spectra.contains(part.material)) continue;
        const auto spectrum = spectrum_of(*part.material);
        if (!spectrum) return tl::unexpected(spectrum.error());
        spectra[part.material] = *spectrum;
    }
    const SpectrumOf of = [&](const MaterialPtr& m) { return &spectra.at(m); };
    Found found{{{"bands", json::array()}, {"hz", nullptr}, {"cuts", json::array()}}, "", {}};
    for (const OwnedBand& band : owned_bands(*plan, track.id, of)) {
        found.document["bands"].push_back({{"hz", third_octave_name_hz(band.band)},
                                           {"share", band.share},
                                           {"rival", band.rival ? json(opened.session.name_of(band.rival)) : json()},
                                           {"rival_share", band.rival_share}});
        if (band.owned() || band.fought_for())
            found.text += fmt::format(
                "{:>6g} Hz  {} {:.0f} %{}\n", third_octave_name_hz(band.band), band.owned() ? "owns" : "fights for",
                100.0 * band.share,
                band.rival ? fmt::format(", {} {:.0f} %", opened.session.name_of(band.rival), 100.0 * band.rival_share)
                           : "");
    }
    const auto hz = strongest_hz(*opened.played(track));
    if (!hz) return tl::unexpected(hz.error());
    if (!*hz) return Found{found.document, "it is silent", {}};
    found.document["hz"] = **hz;
    found.document["note"] = note_name(**hz);
    const auto may_cut = may_make_room(opened.session, measured_in(opened));
    const auto cuts = note_out_of_others(*plan, track.id, **hz, of, [&](TrackId id) { return !may_cut(id); });
    found.text += fmt::format("strongest at {} ({:.0f} Hz)", note_name(**hz), **hz);
    if (!cuts) {
        found.text += "; no narrow cut in the others brings more of it";
        return found;
    }
    found.text += fmt::format("; {:.0f} % of what sounds there is its own, {:.0f} % with narrow cuts:",
                              100.0 * cuts->share_before, 100.0 * cuts->share_after);
    for (const auto& [id, db] : cuts->cuts) {
        found.document["cuts"].push_back({{"row", opened.session.name_of(id)}, {"db", db}});
        found.text += fmt::format("\n  {} {:+.1f} dB", opened.session.name_of(id), db);
    }
    found.document["share_before"] = cuts->share_before;
    found.document["share_after"] = cuts->share_after;
    found.take = [cuts = *cuts](Session& s) { s = with_note_cuts(s, cuts); };
    return found;
}

Result<Found> levels_of(const Opened& opened) {
    const Session& session = opened.session;
    StartingLevels levels;
    levels.family = [&opened](const Track& t) {
        const MaterialPtr m = opened.of(t);
        return family_of(t, m ? &m->measurement : nullptr);
    };
    levels.microphones = microphone_sets(session, [&opened](const Track& t) { return opened.of(t); });
    MixPeaks peaks;
    const auto start = anchors_start_at(session, opened.plays(), levels, peaks);
    if (!start) return tl::unexpected(start.error());
    levels.anchors_db = *start;
    const Session suggested = with_suggested_faders(session, levels);
    Found found{
        {{"anchors_db", *start}, {"faders", json::array()}}, "a place to start from, by what each track is:", {}};
    for (const auto& t : suggested.tracks) {
        found.document["faders"].push_back({{"row", t->name}, {"fader_db", t->fader_db}});
        found.text += fmt::format("\n  {} {:+.1f} dB", t->name, t->fader_db);
    }
    found.take = [suggested](Session& s) {
        s = with_each_track(s, [&](Track& t) { t.fader_db = suggested.find(t.id)->fader_db; });
    };
    return found;
}

Result<Found> advice_for(const Opened& opened, const AdviseOptions& options) {
    if (options.what == "headroom") return headroom_of(opened, options.row);
    if (options.what == "levels") return levels_of(opened);
    const auto channel = row_called(opened.session, options.row);
    if (options.what == "reduction" && channel && opened.session.chain_of(*channel) && !opened.session.find(*channel))
        return reduction_of(opened, *channel, options.more);
    const Track* track = opened.session.find(options.row);
    if (!track) return fail("", "there is no track called '" + options.row + "'");
    if (!opened.of(*track)) return fail("", "the file of '" + track->name + "' cannot be read");
    if (options.what == "low_cut") return low_cut_of(opened, *track);
    if (options.what == "trouble") return troubles_of(opened, *track);
    if (options.what == "room") return room_for(opened, *track);
    if (options.what == "note") return note_of(opened, *track);
    if (options.what == "duck") return duck_of(opened, *track, options.more);
    return reduction_of(opened, track->id, options.more);
}

Result<Opened> open_what_is_advised(const AdviseOptions& options) {
    if (options.what == "duck") return open_files(options.session);
    return open_channel(options.session, options.row);
}

}  // namespace

int advise(const AdviseOptions& options) {
    // What is said of the mix needs all of it; what is said of one channel needs that one.
    constexpr std::array about_mix{"headroom", "room", "levels", "note"};
    const bool of_mix = std::find(about_mix.begin(), about_mix.end(), options.what) != about_mix.end();
    auto opened = of_mix ? open_with_materials(options.session) : open_what_is_advised(options);
    if (!opened) return complain(opened.error());
    if (of_mix)
        if (auto whole = opened->check_whole(options.session, options.without_missing); !whole)
            return complain(whole.error());
    auto found = advice_for(*opened, options);
    if (!found) {
        if (found.error().file.empty()) found.error().file = options.session.string();
        return complain(found.error(), wrong_usage);
    }
    if (options.as_json)
        print(found->document);
    else
        put_lines(found->text);
    if (!options.take || !found->take) return done;
    return change(options.session, [&](Session& session) -> Result<void> {
        found->take(session);
        return {};
    });
}

int preset(const PresetOptions& options) {
    if (options.what == "list") {
        std::vector<Error> problems;
        const auto all = all_presets(&problems);
        for (const Error& e : problems) complain(e);
        if (options.as_json) {
            json list = json::array();
            for (const Preset& p : all)
                list.push_back({{"name", p.name},
                                {"purpose", p.purpose},
                                {"family", p.family ? json(family_name(*p.family)) : json()},
                                {"own", p.own},
                                {"processors", p.chain.size()}});
            print(list);
        } else {
            for (const Preset& p : all) put("{}{}: {}\n", p.name, p.own ? " (yours)" : "", p.purpose);
        }
        return problems.empty() ? done : file_trouble;
    }
    const std::string session_file = options.session.string();
    if (options.what == "remove") {
        const auto removed = remove_preset(options.name);
        return removed ? done : complain(removed.error(), wrong_usage);
    }
    if (options.what == "add") {
        const auto session = read_session(options.session);
        if (!session) return complain(session.error());
        const auto row = options.rows.size() == 1 ? row_called(*session, options.rows[0]) : std::nullopt;
        const Chain* chain = row ? session->chain_of(*row) : nullptr;
        if (!chain) return complain({session_file, "say one row that has a chain"}, wrong_usage);
        const auto kept = keep_preset(options.name, options.purpose, *chain);
        return kept ? done : complain(kept.error(), wrong_usage);
    }
    const auto all = all_presets();
    const Preset* wanted = find_preset(all, options.name);
    if (!wanted) return complain({session_file, "there is no preset called '" + options.name + "'"}, wrong_usage);
    const auto put = [&](Session& session) -> Result<void> {
        if (options.rows.empty()) return fail("", said("say the rows whose chain it becomes"));
        for (const std::string& name : options.rows) {
            const auto row = row_called(session, name);
            if (!row || !session.chain_of(*row)) return no_such_row(session_file, name);
            session = with_chain(session, *row, [&](Chain& c) { c = taken(*wanted, c, options.append).chain; });
        }
        return {};
    };
    std::map<TrackId, Chain> solved;
    if (!wanted->reductions.empty()) {
        auto opened = open_files(options.session);
        if (!opened) return complain(opened.error());
        const Session before = opened->session;
        if (const auto done = put(opened->session); !done) return complain(done.error(), wrong_usage);
        for (const std::string& name : options.rows) {
            const TrackId row = *row_called(before, name);
            const auto files = [&](const Track& t) { return opened->of(t); };
            if (const auto made = opened->signals.make_channel(opened->session, row, files); !made)
                return complain(made.error());
            // Without a sound there is nothing to solve for: the thresholds that it ships with hold.
            const auto recipe = opened->signals.recipe_of(opened->session, row, files);
            if (!recipe) continue;
            const auto chain =
                with_reductions(*recipe, taken(*wanted, *before.chain_of(row), options.append).reductions);
            if (!chain) return complain(chain.error());
            solved[row] = *chain;
        }
    }
    return change(options.session, [&](Session& session) -> Result<void> {
        if (const auto done = put(session); !done) return done;
        for (const auto& [row, chain] : solved)
            session = with_chain(session, row, [&chain = chain](Chain& c) { c = chain; });
        return {};
    });
}

}  // namespace isotonus::cli
