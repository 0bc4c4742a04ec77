#include <algorithm>
#include <cmath>

#include "cli/verbs.h"
#include "core/balance/track_draft.h"
#include "core/measure/measurement_json.h"
#include "core/session/pan_text.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "core/session/validate.h"
#include "core/stage/staging.h"
#include "demosong/shaped.h"
#include "demosong/song.h"

namespace isotonus::cli {

using nlohmann::json;

int make_demo(const fs::path& folder, bool shaped) {
    const auto written = write_demo(folder);
    if (!written) return complain(written.error());
    if (!shaped) return done;
    return change(*written, [](Session& session) -> Result<void> {
        session = with_demo_shaped(session);
        return {};
    });
}

int scan(const std::vector<std::string>& files, bool as_json) {
    int status = done;
    std::vector<Result<Measurer::Outcome>> found(files.size());
    parallel_for(static_cast<int64_t>(files.size()), worker_count(),
                 [&](int64_t i) { found[static_cast<size_t>(i)] = measure_file(files[static_cast<size_t>(i)]); });
    json list = json::array();
    for (size_t i = 0; i < files.size(); ++i) {
        if (!found[i]) {
            status = complain(found[i].error());
            continue;
        }
        const Measurement& m = found[i]->measurement;
        if (m.non_finite_samples > 0)
            complain({files[i], fmt::format("{} corrupt samples (NaN) count as silence. Export the file again.",
                                            m.non_finite_samples)});
        if (const auto reader = SoundReader::open(files[i]); reader && !reader->info().warning.empty())
            complain({files[i], reader->info().warning});
        if (as_json) {
            json entry = measurement_to_json(m);
            entry["file"] = files[i];
            list.push_back(entry);
            continue;
        }
        put("{}\n  {} channel{}, {} Hz, {:.2f} s, {}\n", files[i], m.channels, m.channels == 1 ? "" : "s",
            m.sample_rate, m.duration_s(), kind_name(m.kind));
        put("  sample peak {} at {:.2f} s, true peak {}, average {}, RMS {}, crest {}\n",
            in_words(m.sample_peak_dbfs, "dBFS"), m.peak_time_s, in_words(m.true_peak_dbtp, "dBTP"),
            in_words(m.average_dbfs, "dBFS"), in_words(m.rms_dbfs, "dBFS (AES17)"), in_words(m.crest_db, "dB"));
        put("  loudness {}, range {}, DC offset {:.4f}, clipped runs {}\n", in_words(m.integrated_lufs, "LUFS"),
            in_words(m.loudness_range_lu, "LU"), m.dc_offset, m.clipped_runs);
    }
    if (as_json) print(list);
    return status;
}

int make_new(const fs::path& file, const fs::path& folder, bool force) {
    if (!force && is_there(file))
        return complain({file.string(), "the file already exists. Add --force to replace it, or choose another name."});
    std::vector<Error> problems;
    const auto session = session_from_folder(folder, &problems);
    for (const Error& p : problems) complain(p);
    if (!session) return complain(session.error());
    if (auto written = write_session(*session, file); !written) return complain(written.error());
    return problems.empty() ? done : file_trouble;
}

int show(const fs::path& file, bool as_json) {
    const auto session = read_session(file);
    if (!session) return complain(session.error());
    if (as_json) {
        json document = json::parse(session_to_json(*session, real_path(file).parent_path()));
        for (size_t n = 0; n < session->tracks.size(); ++n) {
            const Track& t = *session->tracks[n];
            document["tracks"][n]["family"] = family_name(family_of(t));
            document["tracks"][n]["kind_because"] = kind_because(t);
        }
        print(document);
        return done;
    }
    put("{} at {} Hz, main fader {:.1f} dB\n", counted(session->tracks.size(), "track"), session->sample_rate,
        session->main_fader_db);
    for (const auto& t : session->tracks)
        put("  {:24} trim {:+6.1f} dB  fader {:+6.1f} dB  pan {:5}{}{}{}{}\n", t->name, t->trim_db, t->fader_db,
            text_of_pan(t->pan), t->mute ? "  muted" : "", t->solo ? "  solo" : "",
            t->polarity_inverted ? "  inverted" : "", t->rides.any() ? "  rides" : "");
    return done;
}

namespace {

json staging_to_json(const Track& track, const Staging& s, const std::string& why) {
    return {{"name", track.name},
            {"kind", kind_name(s.kind)},
            {"kind_because", kind_because(track)},
            {"target",
             {{"measure", measure_name(s.target.measure)},
              {"low_dbfs", s.target.low_dbfs},
              {"high_dbfs", s.target.high_dbfs}}},
            {"before_dbfs", level_json(s.before_dbfs)},
            {"trim_db", s.trim_db},
            {"after_dbfs", level_json(s.after_dbfs)},
            {"limited_by_peak", s.limited_by_peak},
            {"limited_by_range", s.limited_by_range},
            {"over_ceiling_db", s.over_ceiling_db},
            {"why", why}};
}

}  // namespace

int stage(const fs::path& file, bool as_json) {
    auto opened = open_files(file);
    if (!opened) return complain(opened.error());
    std::map<TrackId, Measurement> by_track;
    for (const auto& track : opened->session.tracks)
        if (const MaterialPtr m = opened->of(*track)) {
            auto found = measurement_for_staging(*track, *m);
            if (!found) return complain(found.error());
            by_track[track->id] = std::move(*found);
        }
    const auto measured = [&](const Track& t) -> const Measurement* {
        const auto at = by_track.find(t.id);
        return at == by_track.end() ? nullptr : &at->second;
    };
    const Session staged = with_staged_trims(opened->session, measured);
    json list = json::array();
    for (const auto& track : staged.tracks) {
        const Measurement* m = measured(*track);
        if (!m) continue;
        const Staging s = staged_as_is(staged.targets, *track, *m);
        const std::string why = why_not_in_window(staged.targets, *track, *m);
        list.push_back(staging_to_json(*track, s, why));
        if (!as_json)
            put("{:24} {:10}  {} {} -> {} (trim {:+.1f} dB){}{}\n", track->name, kind_name(s.kind),
                measure_name(s.target.measure), in_words(s.before_dbfs, measure_unit(s.target.measure)),
                in_words(s.after_dbfs, measure_unit(s.target.measure)), s.trim_db, why.empty() ? "" : ": " + why,
                track->locked ? ", locked" : "");
    }
    // Measuring takes a while: what was changed meanwhile stays, and only the trims are put in.
    const auto put_in = [&](Session& now) -> Result<void> {
        now = with_staged_trims(now, measured);
        return {};
    };
    if (const int status = change(file, put_in); status != done) return status;
    if (as_json) print({{"tracks", list}});
    return opened->missing.empty() ? done : file_trouble;
}

int set(const fs::path& file, const std::string& name, const std::vector<std::string>& assignments) {
    return change(file, [&](Session& session) -> Result<void> {
        const Track* track = session.find(name);
        const bool is_main = !track && name == "main";
        if (!track && !is_main)
            return fail(file.string(), fmt::format("there is no track called '{}'. {}", name, see_show));
        Track changed = track ? *track : Track{};
        for (const std::string& assignment : assignments) {
            const size_t equals = assignment.find('=');
            if (equals == std::string::npos)
                return fail("", fmt::format("'{}' is not a setting. Write it as key=value.", assignment));
            const std::string key = assignment.substr(0, equals), value = assignment.substr(equals + 1);
            auto result = is_main ? set_main_by_name(session, key, value) : set_by_name(changed, key, value);
            if (!result) return result;
        }
        if (!is_main) session = with_track(session, changed.id, [&](Track& t) { t = changed; });
        return {};
    });
}

namespace {

/// A parameter of a row that can be ridden; fails with a sentence that lists what can.
Result<Parameter> ridden_parameter(const Session& session, TrackId row, const std::string& parameter) {
    if (const auto ridden = parameter_called(session, row, parameter)) return *ridden;
    std::string known;
    for (const Parameter p : parameters_of(session, row))
        known += (known.empty() ? "" : ", ") + parameter_text(session, row, p);
    return fail("", fmt::format("{} has no parameter '{}' for a ride. Use one of: {}.", session.name_of(row), parameter,
                                known));
}

}  // namespace

int bypass_ride(const fs::path& file, const std::string& name, const std::string& parameter, bool bypassed) {
    return change(file, [&](Session& session) -> Result<void> {
        const auto row = row_called(session, name);
        if (!row) return no_such_row(file, name);
        const auto ridden = ridden_parameter(session, *row, parameter);
        if (!ridden) return tl::unexpected(ridden.error());
        if (!(*session.rides_of(*row))[*ridden])
            return fail("",
                        fmt::format("{} of {} has no ride. Write its points first, as TIME=VALUE.", parameter, name));
        session = with_rides(session, *row, [&](Rides& rides) { rides.set_out(*ridden, bypassed); });
        return {};
    });
}

namespace {

int show_ride(const fs::path& file, const std::string& name, const std::string& parameter, bool as_json) {
    const auto session = read_session(file);
    if (!session) return complain(session.error());
    const auto row = row_called(*session, name);
    if (!row) return complain(no_such_row(file, name).error(), wrong_usage);
    const auto ridden = ridden_parameter(*session, *row, parameter);
    if (!ridden) return complain(ridden.error(), wrong_usage);
    const Rides& rides = *session->rides_of(*row);
    const CurvePtr curve = rides[*ridden];
    const bool bypassed = rides.bypassed || rides.is_out(*ridden) || session->rides_bypassed;
    const ParameterInfo& info = info_of(*ridden);
    json points = json::array();
    if (curve)
        for (const RidePoint& p : curve->points) {
            points.push_back({{"time_s", p.time_s}, {"value", std::isinf(p.value) ? json() : json(p.value)}});
            if (!as_json) put("{:10.3f} s  {}\n", p.time_s, value_text(info, p.value));
        }
    if (as_json)
        print({{"channel", name}, {"parameter", parameter}, {"bypassed", bypassed}, {"points", points}});
    else
        put("{} of {}: {}{}\n", parameter, name, curve ? counted(curve->points.size(), "point") : "no ride",
            curve && bypassed ? ", bypassed" : "");
    return done;
}

}  // namespace

int ride(const fs::path& file, const std::string& name, const std::string& parameter,
         const std::vector<std::string>& points, bool as_json) {
    if (points.empty()) return show_ride(file, name, parameter, as_json);
    const bool none = points.size() == 1 && points[0] == "none";
    return change(file, [&](Session& session) -> Result<void> {
        const auto row = row_called(session, name);
        if (!row) return no_such_row(file, name);
        const auto ridden = ridden_parameter(session, *row, parameter);
        if (!ridden) return tl::unexpected(ridden.error());
        const ParameterInfo& info = info_of(*ridden);
        Curve curve;
        for (const std::string& text : none ? std::vector<std::string>{} : points) {
            RidePoint p;
            int used = 0;
            if (std::sscanf(text.c_str(), "%lf=%lf%n", &p.time_s, &p.value, &used) != 2 ||
                used != static_cast<int>(text.size()))
                return fail("", fmt::format("'{}' is not a point. Write it as TIME=VALUE, in seconds and {}.", text,
                                            *info.unit ? info.unit : "the parameter's unit"));
            if (auto valid = validate(p, info); !valid)
                return fail("", fmt::format("'{}' is not a point of a {} ride: {}. Correct the point.", text, info.id,
                                            valid.error().what));
            if (info.law == ControlTaper::toggle) p.segment = Segment::step;
            curve.insert(p);
        }
        session = with_ride(session, *row, *ridden, curve);
        return {};
    });
}

namespace {

/// One KEY=VALUE of a bus: what a track has too, by the same rules, and where it leads.
Result<void> set_bus(Session& session, TrackId id, const std::string& assignment) {
    const size_t equals = assignment.find('=');
    if (equals == std::string::npos)
        return fail("", fmt::format("'{}' is not a setting. Write it as key=value.", assignment));
    const std::string key = assignment.substr(0, equals), value = assignment.substr(equals + 1);
    if (key == "output") {
        const auto to = row_called(session, value);
        if (!to || (*to != main_output && !session.find_bus(*to)))
            return fail("", fmt::format("there is no bus called '{}'. Use `bus list` to see the buses.", value));
        auto led = with_output(session, {id}, *to);
        if (!led) return tl::unexpected(led.error());
        session = std::move(*led);
        return {};
    }
    constexpr std::array known{"trim", "fader", "pan", "width", "mute", "solo"};
    if (std::find(known.begin(), known.end(), key) == known.end())
        return fail(
            "", fmt::format("'{}' is not a setting of a bus. Use trim, fader, pan, width, mute, solo or output.", key));
    const Bus& now = *session.find_bus(id);
    Track as_track;
    as_track.trim_db = now.trim_db, as_track.fader_db = now.fader_db, as_track.pan = now.pan;
    as_track.width = now.width, as_track.mute = now.mute, as_track.solo = now.solo;
    if (auto set = set_by_name(as_track, key, value); !set) return set;
    session = with_bus(session, id, [&](Bus& b) {
        b.trim_db = as_track.trim_db, b.fader_db = as_track.fader_db, b.pan = as_track.pan;
        b.width = as_track.width, b.mute = as_track.mute, b.solo = as_track.solo;
    });
    return {};
}

int list_buses(const BusOptions& options) {
    const auto session = read_session(options.session);
    if (!session) return complain(session.error());
    json list = json::array();
    for (const Bus& b : session->buses) {
        json rows = json::array(), senders = json::array();
        std::string words;
        const auto look_at = [&](TrackId row, TrackId output, const Sends& sends) {
            const std::string name = session->name_of(row);
            if (output == b.id) rows.push_back(name), words += (words.empty() ? "" : ", ") + name;
            for (const Send& s : sends) {
                if (s.to != b.id) continue;
                senders.push_back({{"row", name},
                                   {"level_db", std::isinf(s.level_db) ? json() : json(s.level_db)},
                                   {"before_fader", s.before_fader},
                                   {"in", s.in}});
                words += (words.empty() ? "" : ", ") + format_figures("{} sends {:.1f} dB", name, s.level_db);
            }
        };
        for (const auto& t : session->tracks) look_at(t->id, t->output, t->sends);
        for (const Bus& other : session->buses) look_at(other.id, other.output, other.sends);
        const bool returns = is_return(*session, b.id);
        list.push_back({{"name", b.name},
                        {"return", returns},
                        {"fader_db", std::isinf(b.fader_db) ? json() : json(b.fader_db)},
                        {"output", session->name_of(b.output)},
                        {"rows", rows},
                        {"sends", senders},
                        {"processors", b.chain.size()}});
        if (!options.as_json)
            put("{:24} {:6}  fader {:+6.1f} dB  to {}: {}\n", b.name, returns ? "return" : "bus", b.fader_db,
                session->name_of(b.output), words.empty() ? "no inputs" : words);
    }
    if (options.as_json) print(list);
    return done;
}

}  // namespace

int bus(const BusOptions& options) {
    if (options.what == "list") return list_buses(options);
    return change(options.session, [&](Session& session) -> Result<void> {
        if (options.what == "add") {
            if (row_called(session, options.name))
                return fail("", fmt::format("a channel is already called '{}'. Choose another name.", options.name));
            const auto rows = rows_called(session, options.more);
            if (!rows) return tl::unexpected(rows.error());
            TrackId id = 0;
            session = with_new_bus(session, options.name, std::nullopt, {}, &id);
            auto led = with_output(session, *rows, id);
            if (!led) return tl::unexpected(led.error());
            session = std::move(*led);
            return {};
        }
        const auto row = row_called(session, options.name);
        if (!row || !session.find_bus(*row))
            return fail("", fmt::format("there is no bus called '{}'. Use `bus list` to see the buses.", options.name));
        if (options.what == "remove") {
            std::vector<std::string> told;
            session = without_bus_or_group(session, *row, &told);
            for (const std::string& line : told) put("{}\n", line);
            return {};
        }
        if (options.more.empty()) return fail("", std::string("no setting is given. Write at least one key=value."));
        for (const std::string& assignment : options.more)
            if (auto set = set_bus(session, *row, assignment); !set) return set;
        return {};
    });
}

namespace {

int list_sends(const SendOptions& options) {
    const auto session = read_session(options.session);
    if (!session) return complain(session.error());
    const auto only = options.channel.empty() ? std::nullopt : row_called(*session, options.channel);
    if (!options.channel.empty() && !only)
        return complain(no_such_row(options.session, options.channel).error(), wrong_usage);
    json list = json::array();
    std::vector<TrackId> senders;
    for (const auto& t : session->tracks) senders.push_back(t->id);
    for (const Bus& b : session->buses) senders.push_back(b.id);
    for (const TrackId id : senders) {
        if (only && *only != id) continue;
        for (const Send& s : *session->sends_of(id)) {
            list.push_back({{"channel", session->name_of(id)},
                            {"bus", session->name_of(s.to)},
                            {"level_db", std::isinf(s.level_db) ? json() : json(s.level_db)},
                            {"tap", s.before_fader ? "pre" : "post"},
                            {"bypass", !s.in},
                            {"pan", s.own_pan ? json(s.pan) : json()}});
            if (!options.as_json)
                put("{:24} to {:16} {:+6.1f} dB{}{}{}\n", session->name_of(id), session->name_of(s.to), s.level_db,
                    s.before_fader ? ", before the fader" : "", s.own_pan ? ", pan " + text_of_pan(s.pan) : "",
                    s.in ? "" : ", bypassed");
        }
    }
    if (options.as_json) print(list);
    return done;
}

/// One key=value of a send.
Result<void> set_send(Send& send, const std::string& assignment) {
    const size_t equals = assignment.find('=');
    const std::string key = assignment.substr(0, equals),
                      value = equals == std::string::npos ? "" : assignment.substr(equals + 1);
    Track as_track;  // the same words and limits as a track's
    if (key == "level") {
        if (auto set = set_by_name(as_track, "fader", value); !set) return set;
        send.level_db = as_track.fader_db;
    } else if (key == "pan") {
        send.own_pan = value != "none";
        if (!send.own_pan) return {};
        if (auto set = set_by_name(as_track, "pan", value); !set) return set;
        send.pan = as_track.pan;
    } else if (key == "tap" && (value == "pre" || value == "post")) {
        send.before_fader = value == "pre";
    } else if (key == "bypass" && (value == "on" || value == "off")) {
        send.in = value == "off";
    } else {
        return fail("", fmt::format("'{}' is not a setting of a send. Use level=DB, tap=pre|post, bypass=on|off or "
                                    "pan=PAN|none.",
                                    assignment));
    }
    return {};
}

}  // namespace

int send(const SendOptions& options) {
    if (options.what == "list") return list_sends(options);
    return change(options.session, [&](Session& session) -> Result<void> {
        const auto from = row_called(session, options.channel), to = row_called(session, options.bus);
        if (!from || !session.sends_of(*from))
            return fail("", fmt::format("there is no track or bus called '{}'. {}", options.channel, see_show));
        if (!to || !session.find_bus(*to))
            return fail("", fmt::format("there is no bus called '{}'. Use `bus list` to see the buses.", options.bus));
        const Sends& sends = *session.sends_of(*from);
        const auto at = std::find_if(sends.begin(), sends.end(), [&](const Send& s) { return s.to == *to; });
        if (options.what != "add" && at == sends.end())
            return fail("", fmt::format("{} has no send to {}. Use `send list` to see the sends.", options.channel,
                                        options.bus));
        if (options.what == "remove") {
            session = without_send(session, *from, at->id);
            return {};
        }
        Send set = options.what == "set" ? *at : Send{};
        for (const std::string& assignment : options.settings)
            if (auto done = set_send(set, assignment); !done) return done;
        auto sent = with_send(session, *from, *to, [&](Send& s) {
            s.level_db = set.level_db;
            s.before_fader = set.before_fader;
            s.in = set.in;
            s.own_pan = set.own_pan;
            s.pan = set.pan;
        });
        if (!sent) return tl::unexpected(sent.error());
        session = std::move(*sent);
        return {};
    });
}

int draft(const DraftOptions& options) {
    const bool of_mix = options.by != "level";
    auto opened = of_mix ? open_with_materials(options.session) : open_channel(options.session, options.track);
    if (!opened) return complain(opened.error());
    if (auto whole = of_mix ? opened->check_whole(options.session, options.without_missing) : Result<void>(); !whole)
        return complain(whole.error());
    Session& session = opened->session;
    const auto track = session.find(options.track);
    if (!track)
        return complain(
            {options.session.string(), fmt::format("there is no track called '{}'. {}", options.track, see_show)},
            wrong_usage);
    if (!opened->of(*track)) return complain({track->source.file.string(), unusable_file});
    const TrackId id = track->id;
    const CurvePtr before = track->rides[Parameter::level];
    session = with_ride(session, id, Parameter::level, {});
    if (auto made = of_mix ? opened->make_signals(Solo::left_out) : Result<void>(); !made)
        return complain(made.error());
    const PlanPtr plan = opened->plan();
    DraftBy by = DraftBy::level;
    if (options.by == "rest")
        by = DraftBy::rest;
    else if (options.by == "heard")
        by = DraftBy::heard;
    Margins margins;
    if (by == DraftBy::heard) {
        std::map<MaterialPtr, ExcitationPtr> known;
        for (const PlanPart& t : plan->parts)
            if (t.heard()) known[t.material];
        std::vector<MaterialPtr> list;
        for (const auto& [material, none] : known) list.push_back(material);
        parallel_for(std::ssize(list), worker_count(), [&](int64_t i) {
            const MaterialPtr& m = list[static_cast<size_t>(i)];
            known.at(m) = excitation_of(*m).value_or(nullptr);
        });
        margins = margins_of(
            *plan, id, [&](const MaterialPtr& m) { return known.at(m); }, Listening{});
    }
    const TrackDraft made(*plan, id, by, std::move(margins));
    const Level middle = made.middle(options.wish);
    if (!middle)
        return complain(
            {options.track, "the track has no phrases for a ride. Lower --shortest, or choose another track."});
    const double unit = by == DraftBy::heard ? 100.0 : 1.0, wanted = options.to ? *options.to / unit : *middle;
    DraftWish wish = options.wish;
    wish.depth = options.depth / 100.0;
    const Curve ride = made.draft(wanted, wish, before ? *before : Curve{});
    const auto put_in = [&](Session& now) -> Result<void> {
        if (!now.find(id)) return no_such_row(options.session, options.track);
        now = with_ride(now, id, Parameter::level, ride);
        return {};
    };
    if (const int status = change(options.session, put_in); status != done) return status;
    constexpr std::array units{"dBFS", "dB above the rest", "% heard"};
    put("{}: {} to {:.1f} {} (the median was {:.1f}), {}\n", options.track,
        counted(made.phrases(wish, wanted).size(), "phrase"), wanted * unit, units[static_cast<size_t>(by)],
        *middle * unit, counted(ride.points.size(), "point"));
    return done;
}

}  // namespace isotonus::cli
