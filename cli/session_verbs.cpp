#include <algorithm>
#include <cmath>

#include "cli/verbs.h"
#include "core/balance/build_up.h"
#include "core/session/clips.h"
#include "core/session/collect.h"
#include "core/session/routing.h"
#include "core/session/sections_file.h"
#include "core/session/session_file.h"
#include "core/session/tempo.h"
#include "core/stage/alignment.h"
#include "core/stage/staging.h"
#include "core/stage/tempo_finder.h"

namespace isotonus::cli {

using nlohmann::json;

namespace {

Result<double> needed(const std::optional<double>& value, const char* option) {
    if (!value) return fail("", fmt::format("{} is missing. Add it.", option));
    return *value;
}

std::string joined(const std::vector<std::string>& names) {
    std::string text;
    for (const std::string& n : names) text += (text.empty() ? "" : ", ") + n;
    return text;
}

int list_groups(const ListOptions& options) {
    const auto session = read_session(options.session);
    if (!session) return complain(session.error());
    json list = json::array();
    for (const ControlGroup& g : session->groups) {
        std::vector<std::string> members;
        for (const TrackId id : g.members) members.push_back(session->name_of(id));
        list.push_back({{"name", g.name},
                        {"fader_db", std::isinf(g.fader_db) ? json() : json(g.fader_db)},
                        {"mute", g.mute},
                        {"solo", g.solo},
                        {"members", members}});
        if (!options.as_json)
            put("{:24} fader {:+6.1f} dB{}{}: {}\n", g.name, g.fader_db, g.mute ? ", muted" : "",
                g.solo ? ", soloed" : "", joined(members));
    }
    if (options.as_json) print(list);
    return done;
}

}  // namespace

int group(const ListOptions& options) {
    if (options.what == "list") return list_groups(options);
    return change(options.session, [&](Session& session) -> Result<void> {
        const auto row = row_called(session, options.name);
        if (options.what == "add") {
            if (row)
                return fail("", fmt::format("a channel is already called '{}'. Choose another name.", options.name));
            auto members = rows_called(session, options.more);
            if (!members) return tl::unexpected(members.error());
            session = with_new_group(session, options.name, std::nullopt, *members);
            return {};
        }
        if (!row || !session.find_group(*row))
            return fail(
                "", fmt::format("there is no group called '{}'. Use `group list` to see the groups.", options.name));
        if (options.what == "remove") {
            std::vector<std::string> told;
            session = without_bus_or_group(session, *row, &told);
            for (const std::string& line : told) put("{}\n", line);
            return {};
        }
        if (options.more.empty())
            return fail("",
                        std::string("no setting is given. Write at least one of fader=DB, mute=on|off, solo=on|off."));
        for (const std::string& assignment : options.more) {
            const size_t equals = assignment.find('=');
            const std::string key = assignment.substr(0, equals);
            if ((key != "fader" && key != "mute" && key != "solo") || equals == std::string::npos)
                return fail("",
                            fmt::format("'{}' is not a setting of a group. Use fader=DB, mute=on|off or solo=on|off.",
                                        assignment));
            const ControlGroup& now = *session.find_group(*row);
            Track as_track;  // the same words and limits as a track's
            as_track.fader_db = now.fader_db, as_track.mute = now.mute, as_track.solo = now.solo;
            if (auto set = set_by_name(as_track, key, assignment.substr(equals + 1)); !set) return set;
            session = with_group(session, *row, [&](ControlGroup& g) {
                g.fader_db = as_track.fader_db, g.mute = as_track.mute, g.solo = as_track.solo;
            });
        }
        return {};
    });
}

namespace {

/// The marks of the tempo as JSON; printed where that is not wanted.
json told_tempo(const Session& session, bool as_json) {
    json tempo = json::array();
    for (const TempoMark& m : session.tempo) {
        tempo.push_back({{"time_s", m.time_s},
                         {"quarters_a_minute", m.quarters_a_minute},
                         {"beats", m.beats},
                         {"beat_unit", m.beat_unit}});
        if (!as_json) put("{:10.3f} s  tempo {:g}, {}/{}\n", m.time_s, m.quarters_a_minute, m.beats, m.beat_unit);
    }
    return tempo;
}

int list_tempo(const ListOptions& options) {
    const auto session = read_session(options.session);
    if (!session) return complain(session.error());
    const json marks = told_tempo(*session, options.as_json);
    if (options.as_json) print({{"tempo", marks}});
    return done;
}

Result<void> set_tempo(Session& session, const TempoMark& mark) {
    auto tempo = one_tempo(session.tempo, mark);
    if (!tempo) return tl::unexpected(tempo.error());
    session.tempo = std::move(*tempo);
    return {};
}

int list_sections(const ListOptions& options) {
    const auto session = read_session(options.session);
    if (!session) return complain(session.error());
    json sections = json::array();
    for (const Section& s : session->sections) {
        sections.push_back({{"name", s.name}, {"start_s", s.start_s}});
        if (!options.as_json) put("{:10.3f} s  {}\n", s.start_s, s.name);
    }
    const json tempo = told_tempo(*session, options.as_json);
    if (options.as_json) print({{"sections", sections}, {"tempo", tempo}});
    return done;
}

}  // namespace

int tempo(const ListOptions& options) {
    if (options.what.empty()) return list_tempo(options);
    if (options.what != "find")
        return change(options.session, [&](Session& session) -> Result<void> {
            if (options.what == "none") {
                session.tempo = {};
                return {};
            }
            TempoMark before = session.tempo.empty() ? TempoMark{} : session.tempo.front();
            if (options.at_s) before.time_s = *options.at_s;
            const auto mark = tempo_from_text(options.what, before);
            if (!mark) return tl::unexpected(mark.error());
            return set_tempo(session, *mark);
        });
    const auto opened = open_files(options.session);
    if (!opened) return complain(opened.error());
    const auto found = find_tempo(opened->session, [&](const Track& t) { return opened->of(t); });
    if (!found)
        return complain(
            {options.session.string(),
             std::string("no steady tempo was found: at least 8 hits of kick, snare or clap must be in time. Set the "
                         "tempo by hand.")},
            wrong_usage);
    if (options.as_json)
        print({{"quarters_a_minute", found->mark.quarters_a_minute},
               {"time_s", found->mark.time_s},
               {"hits", found->hits},
               {"share_in_time", found->share_in_time}});
    else
        put("{:g}, 4/4, the first bar at {:.3f} s; {:.0f} % of {} hits are in time\n", found->mark.quarters_a_minute,
            found->mark.time_s, 100.0 * found->share_in_time, found->hits);
    if (!options.apply) return done;
    return change(options.session, [&](Session& session) { return set_tempo(session, found->mark); });
}

int section(const ListOptions& options) {
    if (options.what == "list") return list_sections(options);
    if (options.what == "export") {
        const auto session = read_session(options.session);
        if (!session) return complain(session.error());
        const auto written =
            write_whole(options.name, sections_to_midi(*session), protected_by(*session, options.session));
        return written ? done : complain(written.error());
    }
    if (options.what == "import") {
        const auto read = read_sections(options.name);
        if (!read) return complain(read.error());
        return change(options.session, [&](Session& session) -> Result<void> {
            if (!read->sections.empty()) session.sections.change() = read->sections;
            if (!read->tempo.empty()) session.tempo.change() = read->tempo;
            return {};
        });
    }
    return change(options.session, [&](Session& session) -> Result<void> {
        if (options.what == "add") {
            auto at = options.at_s;
            for (const std::string& assignment : options.more)
                if (assignment.starts_with("at=")) at = seconds_in(assignment.substr(3));
            if (!at) return fail("", std::string("the start of the section is missing. Add at=TIME in seconds."));
            session = with_section(session, {options.name, *at, 0});
            return {};
        }
        auto& sections = session.sections.change();
        const auto there =
            std::find_if(sections.begin(), sections.end(), [&](const Section& s) { return s.name == options.name; });
        if (there == sections.end())
            return fail("", fmt::format("there is no section called '{}'. Use `section list` to see the sections.",
                                        options.name));
        if (options.what == "remove") {
            sections.erase(there);
            return {};
        }
        if (options.more.empty()) return fail("", std::string("no setting is given. Write name=NAME or at=TIME."));
        for (const std::string& assignment : options.more) {
            if (assignment.starts_with("name="))
                there->name = assignment.substr(5);
            else if (const auto at = assignment.starts_with("at=") ? seconds_in(assignment.substr(3)) : std::nullopt)
                there->start_s = *at;
            else
                return fail("",
                            fmt::format("'{}' is not a setting of a section. Use name=NAME or at=TIME.", assignment));
        }
        std::sort(sections.begin(), sections.end(),
                  [](const Section& a, const Section& b) { return a.start_s < b.start_s; });
        return {};
    });
}

int clip(const ListOptions& options) {
    auto opened = open_files(options.session);
    if (!opened) return complain(opened.error());
    const Track* track = opened->session.find(options.name);
    if (!track)
        return complain(
            {options.session.string(), fmt::format("there is no track called '{}'. {}", options.name, see_show)},
            wrong_usage);
    const MaterialPtr m = opened->of(*track);
    if (!m) return complain({track->source.file.string(), unusable_file});
    const int64_t frames = m->origin().file_frames();
    const double rate = opened->session.sample_rate;
    if (options.what == "list") {
        json list = json::array();
        for (const Clip& c : clips_of(track->source, frames)) {
            list.push_back({{"start_s", static_cast<double>(c.start) / rate},
                            {"length_s", static_cast<double>(c.frames) / rate},
                            {"offset_s", static_cast<double>(c.offset) / rate},
                            {"gain_db", c.gain_db}});
            if (!options.as_json)
                put("{:10.3f} s, {:.3f} s long, {:+.1f} dB\n", static_cast<double>(c.start) / rate,
                    static_cast<double>(c.frames) / rate, c.gain_db);
        }
        if (options.as_json) print(list);
        return done;
    }
    const TrackId id = track->id;
    if (options.what == "tame")
        return change(options.session, [&](Session& session) -> Result<void> {
            if (!session.find(id)) return no_such_row(options.session, options.name);
            session = with_track(session, id, [&](Track& t) { t = with_spikes_tamed(t, *m); });
            return {};
        });
    return change(options.session, [&](Session& session) -> Result<void> {
        const Track* now = session.find(id);
        if (!now) return no_such_row(options.session, options.name);
        // Times are the song's: a track that is delayed lies later in it.
        const auto frame = [&](double time_s) {
            return static_cast<int64_t>(std::llround(time_s * rate - now->delay_samples));
        };
        Clips clips = clips_of(now->source, frames);
        const int64_t fade = static_cast<int64_t>(0.005 * rate);  // as the window does
        if (options.what == "split") {
            const auto at = needed(options.at_s, "--at");
            if (!at) return tl::unexpected(at.error());
            const int here = clip_at(clips, frame(*at));
            if (here < 0)
                return fail("", format_figures("no clip of '{}' plays at {:g} s. Use `clip list` to see the clips.",
                                               options.name, *at));
            clips = with_split(std::move(clips), static_cast<size_t>(here), frame(*at));
        } else {
            const auto from = needed(options.from_s, "--from"), to = needed(options.to_s, "--to");
            if (!from) return tl::unexpected(from.error());
            if (!to) return tl::unexpected(to.error());
            if (*to <= *from) return fail("", std::string("--to is before --from. Swap the two times."));
            if (options.what == "silence") {
                clips = with_silence_between(clips, frame(*from), frame(*to), fade);
            } else {
                const auto by = needed(options.by_db, "--db");
                if (!by) return tl::unexpected(by.error());
                clips = with_gain_between(clips, frame(*from), frame(*to), *by, fade);
            }
        }
        if (clips == clips_of({}, frames)) clips.clear();  // all of the file, as it is
        session = with_track(session, id, [&](Track& t) { t.source.clips = std::move(clips); });
        return {};
    });
}

int align(const ListOptions& options) {
    auto opened = open_files(options.session);
    if (!opened) return complain(opened.error());
    const Track *track = opened->session.find(options.name), *to = opened->session.find(options.more.front());
    for (const auto& [found, name] : {std::pair{track, options.name}, std::pair{to, options.more.front()}})
        if (!found)
            return complain(
                {options.session.string(), fmt::format("there is no track called '{}'. {}", name, see_show)},
                wrong_usage);
    const MaterialPtr heard = opened->of(*track), reference = opened->of(*to);
    for (const auto& [material, t] : {std::pair{heard, track}, std::pair{reference, to}})
        if (!material) return complain({t->source.file.string(), unusable_file});
    const auto found = align_to(*reference, *heard, standing_of(*to), standing_of(*track));
    if (!found) return complain(found.error());
    const Alignment& a = *found;
    const double ms = a.delay_samples / opened->session.sample_rate * 1000.0;
    if (options.as_json)
        print({{"delay_samples", a.delay_samples},
               {"inverted", a.inverted},
               {"correlation_before", a.correlation_before},
               {"correlation_after", a.correlation_after},
               {"low_gain_db", a.low_gain_db},
               {"hits", a.hits},
               {"reliable", a.reliable},
               {"applied", options.apply && a.reliable}});
    else
        put("{} is {:.1f} samples ({:.2f} ms) {} {}{}. Aligned, the low end of both gains {:.1f} dB.{}\n", options.name,
            std::fabs(a.delay_samples), std::fabs(ms), a.delay_samples >= 0.0 ? "later than" : "earlier than",
            options.more.front(), a.inverted ? ", and inverted" : "", a.low_gain_db,
            a.reliable ? "" : " The match is too weak to apply.");
    if (!options.apply) return done;
    if (!a.reliable) return check_failed;
    return change(options.session, [&, id = track->id](Session& session) -> Result<void> {
        if (!session.find(id)) return no_such_row(options.session, options.name);
        session = with_track(session, id, [&](Track& t) { t = aligned(t, a); });
        return {};
    });
}

int sheet(const ListOptions& options) {
    if (options.what == "list") {
        json list = json::array();
        for (const TargetSheet& s : built_in_sheets()) {
            list.push_back(s.name);
            if (!options.as_json) put("{}\n", s.name);
        }
        if (options.as_json) print(list);
        return done;
    }
    if (options.what == "use") {
        const auto& known = built_in_sheets();
        const auto named =
            std::find_if(known.begin(), known.end(), [&](const TargetSheet& s) { return s.name == options.name; });
        const auto read = named != known.end() ? Result<TargetSheet>(*named) : read_sheet(options.name);
        if (!read) return complain(read.error());
        return change(options.session, [&](Session& session) -> Result<void> {
            session.targets = *read;
            return {};
        });
    }
    const auto session = read_session(options.session);
    if (!session) return complain(session.error());
    if (options.what == "show") {
        put_lines(sheet_file_text(session->targets));
        return done;
    }
    const auto written =
        write_whole(options.name, sheet_file_text(session->targets), protected_by(*session, options.session));
    return written ? done : complain(written.error());
}

int track(const ListOptions& options) {
    return change(options.session, [&](Session& session) -> Result<void> {
        const Track* track = session.find(options.name);
        if (!track) return fail("", fmt::format("there is no track called '{}'. {}", options.name, see_show));
        const TrackId id = track->id;
        const std::string more = options.more.empty() ? "" : options.more.front();
        if (options.what == "up" || options.what == "down") {
            session = with_tracks_moved(session, {id}, options.what == "up" ? -1 : 1);
        } else if (options.what == "duplicate") {
            session = with_duplicates(session, {id});
        } else if (options.what == "remove") {
            std::vector<std::string> told;
            session = without_tracks(session, {id}, &told);
            for (const std::string& line : told) put("{}\n", line);
        } else if (options.what == "rename") {
            if (more.empty()) return fail("", std::string("the new name is missing. Add it after `rename`."));
            if (row_called(session, more))
                return fail("", fmt::format("a channel is already called '{}'. Choose another name.", more));
            session = with_track(session, id, [&](Track& t) { t.name = more; });
        } else if (options.what == "earlier" || options.what == "later") {
            session = with_anchor_moved(session, id, options.what == "earlier" ? -1 : 1);
        } else {
            if (more != "on" && more != "off")
                return fail("", std::string("`anchor` is on or off. Add one of the two."));
            session = with_track(session, id, [&](Track& t) { t.anchor = more == "on"; });
        }
        return {};
    });
}

int add_files(const fs::path& file, const std::vector<std::string>& files) {
    std::vector<fs::path> all;
    for (const std::string& f : files) {
        std::error_code problem;
        if (!fs::is_directory(f, problem)) {
            all.push_back(absolute_path(f));
            continue;
        }
        const auto found = audio_files_in(f);
        if (!found) return complain(found.error());
        all.insert(all.end(), found->begin(), found->end());
    }
    for (const fs::path& f : all)
        if (const auto reader = SoundReader::open(f); !reader) return complain(reader.error());
    return change(file, [&](Session& session) -> Result<void> {
        session = with_files(session, all);
        return {};
    });
}

int relink(const fs::path& file, const fs::path& folder) {
    int found = 0;
    const int status = change(file, [&](Session& session) -> Result<void> {
        session = with_missing_found(session, folder, &found);
        return {};
    });
    if (status == done) put("{} found\n", counted(static_cast<size_t>(found), "file"));
    if (status != done) return status;
    if (found > 0) return done;
    return check_failed;
}

int pack_session(const fs::path& file, const fs::path& folder, bool as_json) {
    const auto session = read_session(file);
    if (!session) return complain(session.error());
    const auto packed = collect(*session, folder, file.stem().string());
    if (!packed) return complain(packed.error());
    for (const Error& e : packed->missing) complain(e);
    if (as_json) {
        json files = json::array(), missing = json::array();
        for (const fs::path& f : packed->files) files.push_back(f.string());
        for (const Error& e : packed->missing) missing.push_back(e.text());
        print({{"session", packed->session.string()}, {"files", files}, {"missing", missing}});
    } else {
        put("{} with {}\n", packed->session.string(), counted(packed->files.size(), "file"));
    }
    return packed->missing.empty() ? done : file_trouble;
}

}  // namespace isotonus::cli
