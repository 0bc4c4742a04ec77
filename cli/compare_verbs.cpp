#include <algorithm>

#include "cli/verbs.h"
#include "core/compare/match.h"
#include "core/compare/third_octaves.h"
#include "core/handoff/delivery.h"
#include "core/measure/measurement_json.h"
#include "core/session/changes.h"
#include "core/session/session_file.h"

namespace isotonus::cli {

using nlohmann::json;

namespace {

constexpr const char* see_recordings = "Use `reference list` to see the recordings.";

/// A recording of the session by its name, or a file.
fs::path recording_called(const Session& session, const std::string& name) {
    for (const Recording& r : session.recordings)
        if (r.name == name) return r.file;
    return name;
}

json passages_json(const Recording& r) {
    json all = json::array();
    for (const RecordingPassage& p : r.passages)
        all.push_back({{"name", p.name},
                       {"from_s", p.from_s},
                       {"to_s", p.to_s},
                       {"song_from_s", p.song_from_s ? json(*p.song_from_s) : json()},
                       {"song_to_s", p.song_to_s ? json(*p.song_to_s) : json()}});
    return all;
}

/// The session as it was at a print of the list.
Result<Session> session_at(const Session& now, const std::string& print) {
    for (const Recording& r : now.recordings)
        if (r.name == print)
            return r.session.empty()
                       ? fail(print, std::string("no session was kept with this print. Choose another print."))
                       : read_session(r.session);
    return fail("", fmt::format("there is no recording called '{}'. {}", print, see_recordings));
}

int list_changes(const ReferenceOptions& options) {
    const auto now = read_session(options.session);
    if (!now) return complain(now.error());
    const auto then = session_at(*now, options.name);
    if (!then) return complain(then.error(), then.error().file.empty() ? wrong_usage : file_trouble);
    constexpr const char* whats[] = {"changed", "added", "removed"};
    json list = json::array();
    for (const RowChange& c : changes_between(*then, *now)) {
        list.push_back({{"row", c.name}, {"what", whats[static_cast<size_t>(c.what)]}, {"words", c.words}});
        if (!options.as_json)
            for (const std::string& w : c.words) put("{}: {}\n", c.name, w);
    }
    if (options.as_json) print(list);
    return done;
}

}  // namespace

namespace {

int list_notes(const NoteOptions& options) {
    const auto session = read_session(options.session);
    if (!session) return complain(session.error());
    json list = json::array();
    for (size_t n = 0; n < session->notes.size(); ++n) {
        const ListeningNote& x = session->notes[n];
        list.push_back({{"number", n + 1},
                        {"time_s", x.time_s},
                        {"text", x.text},
                        {"heard_on", x.heard_on},
                        {"made", x.made},
                        {"done", x.done}});
        if (!options.as_json)
            put("{:>3} {} {:8.1f} s  {}{}\n", n + 1, x.done ? "done" : "open", x.time_s, x.text,
                x.heard_on.empty() ? "" : " (" + x.heard_on + ")");
    }
    if (options.as_json) print(list);
    return done;
}

/// One key=value of a note.
Result<void> set_note(ListeningNote& note, const std::string& assignment) {
    const size_t equals = assignment.find('=');
    const std::string key = assignment.substr(0, equals),
                      value = equals == std::string::npos ? "" : assignment.substr(equals + 1);
    const auto seconds = seconds_in(value);
    if (key == "at" && seconds && *seconds >= 0.0)
        note.time_s = *seconds;
    else if (key == "text" && !value.empty())
        note.text = value;
    else if (key == "system")
        note.heard_on = value;
    else if (key == "done" && (value == "on" || value == "off"))
        note.done = value == "on";
    else
        return fail("", fmt::format("'{}' is not a setting of a note. Use at=TIME, text=WORDS, system=NAME or "
                                    "done=on|off.",
                                    assignment));
    return {};
}

}  // namespace

int note(const NoteOptions& options) {
    if (options.what == "list") return list_notes(options);
    return change(options.session, [&](Session& s) -> Result<void> {
        auto& notes = s.notes.change();
        const bool adds = options.what == "add";
        ListeningNote changed{-1.0, {}, {}, {}, false};
        size_t number = 0;
        if (!adds) {
            const std::string first = options.more.empty() ? "" : options.more.front();
            const auto read = seconds_in(first);
            number = read && *read >= 1.0 ? static_cast<size_t>(*read) : 0;
            if (number == 0 || number > notes.size())
                return fail("", fmt::format("there is no note '{}', the session has {}. Use `note list` to see the "
                                            "numbers.",
                                            first, notes.size()));
            changed = notes[number - 1];
        }
        if (options.what == "remove") {
            notes.erase(notes.begin() + static_cast<std::ptrdiff_t>(number - 1));
            return {};
        }
        for (size_t n = adds ? 0 : 1; n < options.more.size(); ++n)
            if (auto set = set_note(changed, options.more[n]); !set) return set;
        if (changed.text.empty()) return fail("", std::string("the note is empty. Add text=WORDS."));
        if (changed.time_s < 0.0)
            return fail("", std::string("the time of the note is missing. Add at=TIME in seconds."));
        if (adds) {
            Delivery now;
            date_now(now);
            changed.made = now.date + 'T' + now.time;
            notes.push_back(changed);
        } else {
            notes[number - 1] = changed;
        }
        sort_notes(notes);
        return {};
    });
}

int compare(const CompareOptions& options) {
    const auto opened = open_with_materials(options.session);
    if (!opened) return complain(opened.error());
    if (auto whole = opened->check_whole(options.session, options.without_missing); !whole)
        return complain(whole.error());
    const auto recording =
        load_material(recording_called(opened->session, options.reference), opened->session.sample_rate);
    if (!recording) return complain(recording.error());
    const PlanPtr mix = opened->mix_plans().finished;  // as it is heard
    const auto measured = measure_mix(mix);
    if (!measured) return complain(measured.error());
    const auto spectrum = third_octaves_of(mix), other = third_octaves_of(**recording);
    if (!spectrum) return complain(spectrum.error());
    if (!other) return complain(other.error());
    const Measurement& figures = (*recording)->measurement;
    const auto match = match_db(measured->measurement.integrated_lufs, figures);
    if (!match)
        return complain({options.session.string(),
                         "the mix or the reference is silent, so they cannot be matched. Choose another reference."},
                        wrong_usage);
    const auto bands = band_differences(*spectrum, {*other}, {*match});
    const auto mix_wide = wide_bands_dbfs(*spectrum), other_wide = wide_bands_dbfs(*other);
    if (options.as_json) {
        json j{{"mix", measurement_to_json(measured->measurement)},
               {"reference", measurement_to_json(figures)},
               {"match_db", *match},
               {"bands", json::array()},
               {"wide", json::array()}};
        for (int b = 0; b < third_octaves; ++b) {
            const BandDifference& d = bands[static_cast<size_t>(b)];
            j["bands"].push_back({{"hz", third_octave_name_hz(b)},
                                  {"mix_db", level_json(d.mix_dbfs)},
                                  {"reference_db", level_json(d.reference_dbfs)},
                                  {"difference_db", level_json(d.difference_db)},
                                  {"mix_sides_db", level_json(sides_over_middle_db(*spectrum, b, b))},
                                  {"reference_sides_db", level_json(sides_over_middle_db(*other, b, b))}});
        }
        for (size_t n = 0; n < wide_names.size(); ++n)
            j["wide"].push_back({{"name", wide_names[n]},
                                 {"mix_db", level_json(mix_wide[n])},
                                 {"reference_db", other_wide[n] ? json(*other_wide[n] + *match) : json()}});
        print(j);
        return done;
    }
    put("mix {}, reference {}, matched by {:+.1f} dB\n", in_words(measured->measurement.integrated_lufs, "LUFS"),
        in_words(figures.integrated_lufs, "LUFS"), *match);
    for (int b = 0; b < third_octaves; ++b) {
        const BandDifference& d = bands[static_cast<size_t>(b)];
        put("{:>8g} Hz  {:>12}  {:>12}  {}\n", third_octave_name_hz(b), in_words(d.mix_dbfs, "dBFS"),
            in_words(d.reference_dbfs, "dBFS"),
            d.difference_db ? format_figures("{:+.1f} dB", *d.difference_db) : std::string());
    }
    return done;
}

int reference(const ReferenceOptions& options) {
    if (options.what == "list") {
        const auto session = read_session(options.session);
        if (!session) return complain(session.error());
        json list = json::array();
        for (const Recording& r : session->recordings)
            if (options.as_json)
                list.push_back({{"name", r.name},
                                {"file", shown_text(r.file.string())},
                                {"reference", r.reference},
                                {"made", r.made},
                                {"note", r.note},
                                {"passages", passages_json(r)}});
            else
                put("{}  {}{}\n", r.name, r.reference ? "reference" : "print", r.note.empty() ? "" : ": " + r.note);
        if (options.as_json) print(list);
        return done;
    }
    if (options.what == "changes") return list_changes(options);
    if (options.what == "add")
        // A file that cannot be compared with is not taken on the list.
        if (const auto reader = SoundReader::open(options.name); !reader) return complain(reader.error());
    return change(options.session, [&](Session& s) -> Result<void> {
        auto& list = s.recordings.change();
        const auto at =
            std::find_if(list.begin(), list.end(), [&](const Recording& r) { return r.name == options.name; });
        if (options.what == "add") {
            Recording r;
            r.file = absolute_path(options.name);
            r.name = r.file.stem().string();
            r.reference = true;
            r.note = options.note;
            list.push_back(std::move(r));
            return {};
        }
        if (at == list.end())
            return fail("", fmt::format("there is no recording called '{}'. {}", options.name, see_recordings));
        if (options.what == "passage") {
            at->passages.push_back(
                {options.passage, options.from_s, options.to_s, options.song_from_s, options.song_to_s});
            return {};
        }
        if (options.what == "restore") {
            const auto then = session_at(s, options.name);
            if (!then) return tl::unexpected(then.error());
            if (options.channel.empty()) {
                s = all_taken_back(s, *then);
                return {};
            }
            for (const RowChange& c : changes_between(*then, s))
                if (c.name == options.channel) {
                    s = taken_back(s, *then, c.row);
                    return {};
                }
            return fail("", fmt::format("the channel '{}' has no changes. Use `reference changes` to see the changes.",
                                        options.channel));
        }
        if (options.what == "remove")
            list.erase(at);
        else
            at->note = options.note;
        return {};
    });
}

}  // namespace isotonus::cli
