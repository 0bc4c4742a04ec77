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

namespace isotonus::cli {

using nlohmann::json;

namespace {

/// What was found: as a document, in words, and how it is applied.
struct Found {
    json document;
    std::string text;
    std::function<void(Session&)> apply;  ///< empty: there is nothing to apply
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
    if (!advice) return Found{{{"hz", nullptr}}, "no low cut needed: nothing sounds below the body of the track", {}};
    return Found{{{"hz", advice->hz}, {"edge_hz", advice->edge_hz}, {"takes_db", advice->takes_db}},
                 format_figures("a low cut at {:.0f} Hz removes {:.1f} dB", advice->hz, advice->takes_db),
                 [id = track.id, hz = advice->hz](Session& s) {
                     s = with_chain(s, id, [hz](Chain& c) { set_low_cut(c, hz); });
                 }};
}

Result<Found> troubles_of(const Opened& opened, const Track& track) {
    const auto troubles = find_troubles(*opened.of(track));
    if (!troubles) return tl::unexpected(troubles.error());
    Found found{{{"troubles", json::array()}}, troubles->empty() ? "no resonance stands out for long" : "", {}};
    for (const Trouble& t : *troubles) {
        found.document["troubles"].push_back({{"hz", t.hz},
                                              {"note", t.note()},
                                              {"excess_db", t.excess_db},
                                              {"share", t.share},
                                              {"cut_db", t.cut_db},
                                              {"q", t.q}});
        found.text +=
            format_figures("{}{:.0f} Hz ({}) stands out by {:.1f} dB, {:.0f} % of the time: cut {:.1f} dB",
                           found.text.empty() ? "" : "\n", t.hz, t.note(), t.excess_db, 100.0 * t.share, t.cut_db);
    }
    if (!troubles->empty())
        found.apply = [id = track.id, list = *troubles](Session& s) {
            s = with_chain(s, id, [&](Chain& c) {
                for (const Trouble& t : list) add_bell(c, {t.hz, t.cut_db, t.q});
            });
        };
    return found;
}

/// `typical=3` or `max=6`.
std::optional<ReductionAim> aim_from(const std::string& text) {
    const size_t equals = text.find('=');
    const std::string what = text.substr(0, equals);
    if (equals == std::string::npos || (what != "typical" && what != "max")) return std::nullopt;
    char* end = nullptr;
    const double db = std::strtod(text.c_str() + equals + 1, &end);
    if (*end != '\0' || end == text.c_str() + equals + 1 || !(db >= 0.0 && db <= 40.0)) return std::nullopt;
    return ReductionAim{what == "max", db};
}

Result<Found> reduction_of(const Opened& opened, TrackId channel, const std::vector<std::string>& more) {
    const auto aim = more.size() == 2 ? aim_from(more[1]) : std::nullopt;
    const size_t position = more.empty() ? 0 : std::strtoul(more[0].c_str(), nullptr, 10);
    if (!aim || position == 0)
        return fail("", std::string("the target is missing. Write POSITION and typical=DB or max=DB, from 0 to 40."));
    const auto recipe = opened.signals.recipe_of(opened.session, channel, [&](const Track& t) { return opened.of(t); });
    if (!recipe)
        return fail(
            "", std::string("the chain is empty, or its files cannot be read. Add a processor, or relink the files."));
    const auto aimed = threshold_for(*recipe, position - 1, *aim);
    if (!aimed) return tl::unexpected(aimed.error());
    Found found{{{"threshold_dbfs", aimed->threshold_dbfs},
                 {"most_db", aimed->reduction.max_db},
                 {"typical_db", aimed->reduction.typical_db},
                 {"reached", aimed->reached}},
                format_figures("threshold {:.2f} dBFS: at most {:.1f} dB at {:.1f} s, {:.1f} dB while it works{}",
                               aimed->threshold_dbfs, aimed->reduction.max_db, aimed->reduction.max_at_s,
                               aimed->reduction.typical_db, aimed->reached ? "" : ". This is the closest threshold."),
                {}};
    if (aimed->reached)
        found.apply = [id = channel, position, threshold = aimed->threshold_dbfs](Session& s) {
            s = with_chain(s, id, [&](Chain& c) { c[position - 1].values["threshold_dbfs"] = threshold; });
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
    found.text = p.cuts.empty()
                     ? format_figures("{:.0f} % of {} is heard, and no cut brings more", 100.0 * p.before, track.name)
                     : format_figures("{:.0f} % of {} is heard, {:.0f} % with these cuts:", 100.0 * p.before,
                                      track.name, 100.0 * p.after);
    for (const RoomCut& c : p.cuts) {
        const std::string name = opened.session.name_of(c.row);
        found.document["cuts"].push_back({{"row", name}, {"hz", c.hz}, {"db", c.db}, {"q", c.q}});
        found.text += format_figures("\n{}: {:.1f} dB at {:.0f} Hz", name, c.db, c.hz);
    }
    if (!p.cuts.empty()) found.apply = [cuts = p.cuts](Session& s) { s = with_room(s, cuts); };
    return found;
}

Result<Found> duck_of(const Opened& opened, const Track& track, const std::vector<std::string>& more) {
    const Session& session = opened.session;
    const Track* key = more.size() == 1 ? session.find(more[0]) : nullptr;
    if (!key) return fail("", std::string("the sidechain source is missing. Name the track to duck under."));
    if (!opened.of(*key))
        return fail("", fmt::format("the file of '{}' cannot be read. Replace it, or export it again.", key->name));
    const auto advice =
        duck_advice(tap_of(session, track, opened.of(track)), track.fader_db + session.group_db(track.id),
                    tap_of(session, *key, opened.of(*key)), key->fader_db + session.group_db(key->id));
    if (!advice) return tl::unexpected(advice.error());
    if (!*advice) return Found{{{"hits", 0}}, "'" + key->name + "' has no hits", {}};
    const DuckAdvice& a = **advice;
    Found found{{{"hits", a.hits},
                 {"overlap_db", a.overlap_db},
                 {"decay_ms", a.decay_ms},
                 {"threshold_dbfs", a.threshold_dbfs},
                 {"depth_db", a.depth_db},
                 {"hold_ms", a.hold_ms},
                 {"release_ms", a.release_ms}},
                format_figures("at {} of {}, the low end of {} is {:+.1f} dB against it: ",
                               counted(static_cast<size_t>(a.hits), "hit"), key->name, track.name, a.overlap_db),
                {}};
    if (a.depth_db <= 0.0) {
        found.text += "no ducking needed";
        return found;
    }
    found.text +=
        format_figures("{:.1f} dB down for {:.0f} ms, release {:.0f} ms", a.depth_db, a.hold_ms, a.release_ms);
    found.apply = [id = track.id, key = key->id, a](Session& s) {
        s = with_chain(s, id, [&](Chain& c) { set_duck(c, key, a); });
    };
    return found;
}

Result<Found> headroom_of(const Opened& opened, const std::string& wanted) {
    constexpr std::array ways{"all_down", "largest", "not_anchors"};
    if (!wanted.empty() && std::find(ways.begin(), ways.end(), wanted) == ways.end())
        return fail("", fmt::format("'{}' is not a headroom plan. Use all_down, largest or not_anchors.", wanted));
    MixPeaks peaks;
    const auto plan = headroom_plan(opened.session, opened.plays(), opened.session.targets.mains_high_dbfs, peaks);
    if (!plan) return tl::unexpected(plan.error());
    Found found{
        {{"peak_dbfs", level_json(plan->peak_dbfs)}, {"target_dbfs", plan->target_dbfs}, {"ways", json::array()}},
        format_figures("the mix peaks at {}, its window ends at {:.1f} dBFS", in_words(plan->peak_dbfs, "dBFS"),
                       plan->target_dbfs),
        {}};
    if (plan->proposals.empty())
        found.text += plan->peak_dbfs.value_or(silence_db) <= plan->target_dbfs
                          ? ": nothing to turn down"
                          : ": no fader brings the peak into the window, because the main output's processors set it";
    for (const Proposal& p : plan->proposals) {
        const char* const way = ways[static_cast<size_t>(p.way)];
        json faders = json::array();
        found.text += format_figures("\n{}: {:.1f} dB down, peak {}", way, p.by_db, in_words(p.peak_dbfs, "dBFS"));
        for (const auto& [id, db] : p.faders) {
            faders.push_back({{"row", opened.session.name_of(id)}, {"fader_db", level_json(db)}});
            if (p.way != Remake::all_down)
                found.text += format_figures("\n  {} {:+.1f} dB", opened.session.name_of(id), db);
        }
        found.document["ways"].push_back({{"way", way},
                                          {"by_db", p.by_db},
                                          {"peak_dbfs", level_json(p.peak_dbfs)},
                                          {"reaches", p.reaches},
                                          {"faders", faders}});
        if (wanted == way || (wanted.empty() && !found.apply))
            found.apply = [p](Session& s) { s = with_proposal(s, p); };
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
            found.text += format_figures(
                "{:>6g} Hz  {} {:.0f} %{}\n", third_octave_name_hz(band.band),
                band.owned() ? "leads with" : "shares with", 100.0 * band.share,
                band.rival
                    ? format_figures(", {} {:.0f} %", opened.session.name_of(band.rival), 100.0 * band.rival_share)
                    : "");
    }
    const auto hz = strongest_hz(*opened.played(track));
    if (!hz) return tl::unexpected(hz.error());
    if (!*hz) return Found{found.document, track.name + " is silent", {}};
    found.document["hz"] = **hz;
    found.document["note"] = note_name(**hz);
    const auto may_cut = may_make_room(opened.session, measured_in(opened));
    const auto cuts = note_out_of_others(*plan, track.id, **hz, of, [&](TrackId id) { return !may_cut(id); });
    found.text += format_figures("strongest at {} ({:.0f} Hz)", note_name(**hz), **hz);
    if (!cuts) {
        found.text += "; a narrow cut in the others does not bring more of it";
        return found;
    }
    found.text += format_figures("; {:.0f} % of the sound there is its own, {:.0f} % with narrow cuts:",
                                 100.0 * cuts->share_before, 100.0 * cuts->share_after);
    for (const auto& [id, db] : cuts->cuts) {
        found.document["cuts"].push_back({{"row", opened.session.name_of(id)}, {"db", db}});
        found.text += format_figures("\n  {} {:+.1f} dB", opened.session.name_of(id), db);
    }
    found.document["share_before"] = cuts->share_before;
    found.document["share_after"] = cuts->share_after;
    found.apply = [cuts = *cuts](Session& s) { s = with_note_cuts(s, cuts); };
    return found;
}

Result<Found> levels_of(const Opened& opened) {
    const Session& session = opened.session;
    const StartingLevels levels = starting_levels_of(opened);
    MixPeaks peaks;
    const auto start = anchors_start_at(session, opened.plays(), levels, peaks);
    if (!start) return tl::unexpected(start.error());
    StartingLevels started = levels;
    started.anchors_db = *start;
    const Session suggested = with_suggested_faders(session, started);
    Found found{{{"anchors_db", *start}, {"faders", json::array()}}, "starting levels by the role of each track:", {}};
    for (const auto& t : suggested.tracks) {
        found.document["faders"].push_back({{"row", t->name}, {"fader_db", t->fader_db}});
        found.text += format_figures("\n  {} {:+.1f} dB", t->name, t->fader_db);
    }
    found.apply = [suggested](Session& s) {
        s = with_each_track(s, [&](Track& t) { t.fader_db = suggested.find(t.id)->fader_db; });
    };
    return found;
}

Result<Found> advice_for(const Opened& opened, const SuggestOptions& options) {
    if (options.what == "headroom") return headroom_of(opened, options.row);
    if (options.what == "levels") return levels_of(opened);
    const auto channel = row_called(opened.session, options.row);
    if (options.what == "reduction" && channel && opened.session.chain_of(*channel) && !opened.session.find(*channel))
        return reduction_of(opened, *channel, options.more);
    const Track* track = opened.session.find(options.row);
    if (!track) return fail("", fmt::format("there is no track called '{}'. {}", options.row, see_show));
    if (!opened.of(*track))
        return fail("", fmt::format("the file of '{}' cannot be read. Replace it, or export it again.", track->name));
    if (options.what == "low_cut") return low_cut_of(opened, *track);
    if (options.what == "resonance") return troubles_of(opened, *track);
    if (options.what == "room") return room_for(opened, *track);
    if (options.what == "note") return note_of(opened, *track);
    if (options.what == "duck") return duck_of(opened, *track, options.more);
    return reduction_of(opened, track->id, options.more);
}

Result<Opened> open_for_suggestion(const SuggestOptions& options) {
    if (options.what == "duck") return open_files(options.session);
    return open_channel(options.session, options.row);
}

}  // namespace

int suggest(const SuggestOptions& options) {
    // A suggestion about the mix needs all of it; one about a channel needs that channel.
    constexpr std::array about_mix{"headroom", "room", "levels", "note"};
    const bool of_mix = std::find(about_mix.begin(), about_mix.end(), options.what) != about_mix.end();
    auto opened = of_mix ? open_with_materials(options.session) : open_for_suggestion(options);
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
    if (!options.apply || !found->apply) return done;
    return change(options.session, [&](Session& session) -> Result<void> {
        found->apply(session);
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
            for (const Preset& p : all) put("{}{}: {}\n", p.name, p.own ? " (your own)" : "", p.purpose);
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
        if (!chain)
            return complain({session_file, "the channel is missing. Name one channel with a chain."}, wrong_usage);
        const auto kept = keep_preset(options.name, options.purpose, *chain);
        return kept ? done : complain(kept.error(), wrong_usage);
    }
    const auto all = all_presets();
    const Preset* wanted = find_preset(all, options.name);
    if (!wanted)
        return complain(
            {session_file,
             fmt::format("there is no preset called '{}'. Use `preset list` to see the presets.", options.name)},
            wrong_usage);
    const auto put = [&](Session& session) -> Result<void> {
        if (options.rows.empty())
            return fail("", std::string("the channels are missing. Name at least one channel for the chain."));
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
