#include "core/measure/material.h"

#include <fmt/format.h>

#include <cstring>
#include <fstream>

#include "core/measure/measurement_json.h"

namespace isotonus {

using nlohmann::json;

namespace {

constexpr std::pair<const char*, Level Measurement::*> level_keys[] = {
    {"sample_peak_dbfs", &Measurement::sample_peak_dbfs},
    {"true_peak_dbtp", &Measurement::true_peak_dbtp},
    {"rms_dbfs", &Measurement::rms_dbfs},
    {"average_dbfs", &Measurement::average_dbfs},
    {"crest_db", &Measurement::crest_db},
    {"integrated_lufs", &Measurement::integrated_lufs},
    {"max_momentary_lufs", &Measurement::max_momentary_lufs},
    {"max_short_term_lufs", &Measurement::max_short_term_lufs},
    {"loudness_range_lu", &Measurement::loudness_range_lu},
    {"correlation", &Measurement::correlation},
};

}  // namespace

json measurement_to_json(const Measurement& m) {
    json j{{"channels", m.channels},
           {"sample_rate", m.sample_rate},
           {"frames", m.frames},
           {"dc_offset", m.dc_offset},
           {"clipped_runs", m.clipped_runs},
           {"peak_time_s", m.peak_time_s},
           {"kind", kind_name(m.kind)},
           {"non_finite_samples", m.non_finite_samples}};
    for (const auto& [key, member] : level_keys) j[key] = level_json(m.*member);
    j["first_clipped_runs"] = json::array();
    for (const ClippedRun& run : m.first_clipped_runs)
        j["first_clipped_runs"].push_back(
            {{"first_frame", run.first_frame}, {"frames", run.frames}, {"channel", run.channel}});
    return j;
}

Measurement measurement_from_json(const json& j) {
    Measurement m;
    j.at("channels").get_to(m.channels);
    j.at("sample_rate").get_to(m.sample_rate);
    j.at("frames").get_to(m.frames);
    j.at("dc_offset").get_to(m.dc_offset);
    j.at("clipped_runs").get_to(m.clipped_runs);
    j.at("peak_time_s").get_to(m.peak_time_s);
    j.at("non_finite_samples").get_to(m.non_finite_samples);
    m.kind = j.at("kind") == "percussive" ? Kind::percussive : Kind::sustained;
    for (const auto& [key, member] : level_keys)
        if (!j.at(key).is_null()) m.*member = j.at(key).get<double>();
    for (const json& run : j.at("first_clipped_runs"))
        m.first_clipped_runs.push_back({run.at("first_frame"), run.at("frames"), run.at("channel")});
    return m;
}

namespace {

constexpr char cache_mark[] = "isotonus measurement 1\n";

bool load_cached(const fs::path& file, Measurer::Outcome& out) {
    std::ifstream in(file, std::ios::binary);
    std::string mark(sizeof cache_mark - 1, '\0');
    uint64_t text_bytes = 0, values = 0;
    if (!in.read(mark.data(), static_cast<std::streamsize>(mark.size())) || mark != cache_mark) return false;
    if (!in.read(reinterpret_cast<char*>(&text_bytes), 8) || !in.read(reinterpret_cast<char*>(&values), 8))
        return false;
    std::error_code problem;
    const auto size = fs::file_size(file, problem);
    if (problem || text_bytes > size || values > size || size != mark.size() + 16 + text_bytes + 12 * values)
        return false;
    std::string text(text_bytes, '\0');
    in.read(text.data(), static_cast<std::streamsize>(text_bytes));
    try {
        out.measurement = measurement_from_json(json::parse(text));
    } catch (const json::exception&) {
        return false;
    }
    for (auto* list : {&out.summary.low, &out.summary.high, &out.summary.mean_square}) {
        list->resize(values);
        in.read(reinterpret_cast<char*>(list->data()), static_cast<std::streamsize>(4 * values));
    }
    out.summary.channels = out.measurement.channels;
    out.summary.frames = out.measurement.frames;
    return in.good();
}

/// A cache that cannot be written is no failure: the work is done again next time.
void store_cached(const fs::path& file, const Measurer::Outcome& outcome) {
    std::error_code problem;
    fs::create_directories(file.parent_path(), problem);
    const fs::path temporary = file.string() + fmt::format(".{}.part", static_cast<const void*>(&outcome));
    const std::string text = measurement_to_json(outcome.measurement).dump();
    const uint64_t text_bytes = text.size(), values = outcome.summary.low.size();
    {
        std::ofstream out(temporary, std::ios::binary);
        out << cache_mark;
        out.write(reinterpret_cast<const char*>(&text_bytes), 8);
        out.write(reinterpret_cast<const char*>(&values), 8);
        out << text;
        for (const auto* list : {&outcome.summary.low, &outcome.summary.high, &outcome.summary.mean_square})
            out.write(reinterpret_cast<const char*>(list->data()), static_cast<std::streamsize>(4 * values));
        if (!out.flush()) problem = std::make_error_code(std::errc::io_error);
    }
    if (!problem) fs::rename(temporary, file, problem);
    if (problem) fs::remove(temporary, problem);
}

Result<Measurer::Outcome> measure_cached(const fs::path& file, const std::string& name, Progress* progress) {
    const fs::path cached = cache_folder() / "measured" / cache_key(file, "measurement 1 " + name);
    Measurer::Outcome outcome;
    if (load_cached(cached, outcome)) return outcome;
    auto measured = measure_file(file, progress);
    if (measured) store_cached(cached, *measured);
    return measured;
}

}  // namespace

Result<MaterialPtr> load_material(const fs::path& file, int session_rate, Progress* progress) {
    auto media = prepare_media(file, session_rate, progress);
    if (!media) return tl::unexpected(media.error());
    const std::string name = file.stem().string();
    auto played = measure_cached(media->playable, name, progress);
    if (!played) return tl::unexpected(played.error());
    if (media->converted()) {
        const auto original = measure_cached(file, name, progress);
        if (!original) return tl::unexpected(original.error());
        played->measurement.kind = original->measurement.kind;  // the hint is in the original's name
        played->measurement.clipped_runs = original->measurement.clipped_runs;
        played->measurement.first_clipped_runs = original->measurement.first_clipped_runs;
        played->measurement.non_finite_samples = original->measurement.non_finite_samples;
    }
    return std::make_shared<const Material>(
        Material{std::move(*media), std::move(played->measurement), std::move(played->summary)});
}

}  // namespace isotonus
