#include <algorithm>

#include "cli/verbs.h"
#include "core/compare/third_octaves.h"
#include "core/measure/measurement_json.h"
#include "core/session/session_file.h"

namespace isotonus::cli {

using nlohmann::json;

namespace {

/// A recording of the session by its name, or a file.
fs::path recording_called(const Session& session, const std::string& name) {
    for (const Recording& r : session.recordings)
        if (r.name == name) return r.file;
    return name;
}

}  // namespace

int compare(const CompareOptions& options) {
    const auto opened = open_with_materials(options.session);
    if (!opened) return complain(opened.error());
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
        return complain({options.session.string(), "one of the two is silent: there is nothing to match"}, wrong_usage);
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
                                  {"difference_db", level_json(d.difference_db)}});
        }
        for (size_t n = 0; n < wide_names.size(); ++n)
            j["wide"].push_back({{"name", wide_names[n]},
                                 {"mix_db", level_json(mix_wide[n])},
                                 {"reference_db", other_wide[n] ? json(*other_wide[n] + *match) : json()}});
        print(j);
        return done;
    }
    fmt::print("mix {}, reference {}, which is brought to it by {:+.1f} dB\n",
               in_words(measured->measurement.integrated_lufs, "LUFS"), in_words(figures.integrated_lufs, "LUFS"),
               *match);
    for (int b = 0; b < third_octaves; ++b) {
        const BandDifference& d = bands[static_cast<size_t>(b)];
        fmt::print("{:>8g} Hz  {:>12}  {:>12}  {}\n", third_octave_name_hz(b), in_words(d.mix_dbfs, "dBFS"),
                   in_words(d.reference_dbfs, "dBFS"),
                   d.difference_db ? fmt::format("{:+.1f} dB", *d.difference_db) : std::string());
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
                                {"note", r.note}});
            else
                fmt::print("{}  {}{}\n", r.name, r.reference ? "reference" : "print",
                           r.note.empty() ? "" : ": " + r.note);
        if (options.as_json) print(list);
        return done;
    }
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
        if (at == list.end()) return fail("", fmt::format("there is no recording called '{}'", options.name));
        if (options.what == "remove")
            list.erase(at);
        else
            at->note = options.note;
        return {};
    });
}

}  // namespace isotonus::cli
