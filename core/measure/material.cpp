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
    {"left_dbfs", &Measurement::left_dbfs},
    {"right_dbfs", &Measurement::right_dbfs},
    {"side_dbfs", &Measurement::side_dbfs},
    {"vu_max_dbfs", &Measurement::vu_max_dbfs},
    {"peak_without_spikes_dbfs", &Measurement::peak_without_spikes_dbfs},
};

}  // namespace

json measurement_to_json(const Measurement& m) {
    json j{{"channels", m.channels},
           {"sample_rate", m.sample_rate},
           {"frames", m.frames},
           {"dc_offset", m.dc_offset},
           {"clipped_runs", m.clipped_runs},
           {"peak_time_s", m.peak_time_s},
           {"true_peak_time_s", m.true_peak_time_s},
           {"kind", kind_name(m.kind)},
           {"channel_mean", m.channel_mean},
           {"share_below_40_hz", m.share_below_40_hz},
           {"share_below_200_hz", m.share_below_200_hz},
           {"non_finite_samples", m.non_finite_samples}};
    for (const auto& [key, member] : level_keys) j[key] = level_json(m.*member);
    j["first_clipped_runs"] = json::array();
    for (const ClippedRun& run : m.first_clipped_runs)
        j["first_clipped_runs"].push_back(
            {{"first_frame", run.first_frame}, {"frames", run.frames}, {"channel", run.channel}});
    j["spikes"] = json::array();
    for (const Spike& spike : m.spikes)
        j["spikes"].push_back(
            {{"first_frame", spike.first_frame}, {"frames", spike.frames}, {"peak_dbfs", spike.peak_dbfs}});
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
    j.at("true_peak_time_s").get_to(m.true_peak_time_s);
    j.at("non_finite_samples").get_to(m.non_finite_samples);
    j.at("channel_mean").get_to(m.channel_mean);
    j.at("share_below_40_hz").get_to(m.share_below_40_hz);
    j.at("share_below_200_hz").get_to(m.share_below_200_hz);
    for (const json& spike : j.at("spikes"))
        m.spikes.push_back({spike.at("first_frame"), spike.at("frames"), spike.at("peak_dbfs")});
    m.kind = j.at("kind") == "percussive" ? Kind::percussive : Kind::sustained;
    for (const auto& [key, member] : level_keys)
        if (!j.at(key).is_null()) m.*member = j.at(key).get<double>();
    for (const json& run : j.at("first_clipped_runs"))
        m.first_clipped_runs.push_back({run.at("first_frame"), run.at("frames"), run.at("channel")});
    return m;
}

namespace {

constexpr char cache_mark[] = "isotonus measurement 3\n";

bool load_cached(const fs::path& file, Measurer::Outcome& out) {
    std::ifstream in(file, std::ios::binary);
    std::string mark(sizeof cache_mark - 1, '\0');
    if (!in.read(mark.data(), static_cast<std::streamsize>(mark.size())) || mark != cache_mark) return false;
    uint64_t sizes[3] = {};  // bytes of the text, values of each list of the summary, hops
    if (!in.read(reinterpret_cast<char*>(sizes), sizeof sizes)) return false;
    const auto [text_bytes, values, hops] = sizes;
    std::error_code problem;
    const auto size = fs::file_size(file, problem);
    if (problem || text_bytes > size || values > size || hops > size ||
        size != mark.size() + sizeof sizes + text_bytes + 12 * values + 16 * hops)
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
    for (auto* list : {&out.hops.weighted, &out.hops.unweighted}) {
        list->resize(hops);
        in.read(reinterpret_cast<char*>(list->data()), static_cast<std::streamsize>(8 * hops));
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
    const uint64_t sizes[3] = {text.size(), outcome.summary.low.size(), outcome.hops.weighted.size()};
    {
        std::ofstream out(temporary, std::ios::binary);
        out << cache_mark;
        out.write(reinterpret_cast<const char*>(sizes), sizeof sizes);
        out << text;
        for (const auto* list : {&outcome.summary.low, &outcome.summary.high, &outcome.summary.mean_square})
            out.write(reinterpret_cast<const char*>(list->data()), static_cast<std::streamsize>(4 * list->size()));
        for (const auto* list : {&outcome.hops.weighted, &outcome.hops.unweighted})
            out.write(reinterpret_cast<const char*>(list->data()), static_cast<std::streamsize>(8 * list->size()));
        if (!out.flush()) problem = std::make_error_code(std::errc::io_error);
    }
    if (!problem) fs::rename(temporary, file, problem);
    if (problem) fs::remove(temporary, problem);
}

/// Measures with `work`, unless the cache has it already.
template <class Work>
Result<Measurer::Outcome> measure_cached(const fs::path& file, const std::string& purpose, const Work& work) {
    const fs::path cached = cache_folder() / "measured" / cache_key(file, "measurement 3 " + purpose);
    Measurer::Outcome outcome;
    if (load_cached(cached, outcome)) return outcome;
    auto measured = work();
    if (measured) store_cached(cached, *measured);
    return measured;
}

}  // namespace

namespace {

/// Means of eight blocks each; the last of those that are left.
std::vector<float> power_of_8(const LevelSummary& s) {
    const auto channels = static_cast<size_t>(s.channels), blocks = static_cast<size_t>(s.blocks());
    std::vector<float> power;
    for (size_t first = 0; first < blocks; first += 8) {
        const size_t end = std::min(first + 8, blocks);
        for (size_t c = 0; c < channels; ++c) {
            float sum = 0.0f;
            for (size_t b = first; b < end; ++b) sum += s.mean_square[b * channels + c];
            power.push_back(sum / static_cast<float>(end - first));
        }
    }
    return power;
}

}  // namespace

Result<MaterialPtr> load_material(const Source& source, int session_rate, Progress* progress) {
    auto ready = prepare_source(source, session_rate, progress);
    if (!ready) return tl::unexpected(ready.error());
    const std::string name = source.file.stem().string();

    // What was recorded: a mono or stereo file at its own rate, else the channels that are heard.
    ReadySource recorded = *ready;
    recorded.source = {};
    recorded.source.file = source.file;
    recorded.source.right_file = source.right_file;
    if (ready->media.channels > 2 || ready->right) {
        recorded.source.channels = source.channels, recorded.source.channel = source.channel;
        recorded.frames = recorded.file_frames();
    }
    const bool as_file = ready->media.channels <= 2 && !ready->right;
    const std::string purpose =
        as_file ? name
                : fmt::format("{} {} {} {} {}", name, session_rate, static_cast<int>(source.channels), source.channel,
                              ready->right ? cache_key(source.right_file, "right") : "");
    auto heard = measure_cached(source.file, purpose, [&] {
        return as_file ? measure_file(source.file, progress) : measure_source(recorded, name, progress);
    });
    if (!heard) return tl::unexpected(heard.error());
    auto material = std::make_shared<Material>();
    material->recorded = heard->measurement;

    if (source.offset_removed) {
        ready->offset = material->recorded.channel_mean;
        if (as_file) {  // the means are those of the file's channels, not of what is picked from them
            const auto [left, right] = material->recorded.channel_mean;
            if (source.channels == Channels::swapped) ready->offset = {right, left};
            if (source.channels == Channels::mono && ready->media.channels == 2)
                ready->offset[0] = (left + right) / 2.0;
            if (source.channels == Channels::one && source.channel == 1) ready->offset[0] = right;
        }
    }
    const bool plain = ready->source == recorded.source;
    if (plain && as_file && ready->media.converted()) {
        heard =
            measure_cached(ready->media.playable, name, [&] { return measure_file(ready->media.playable, progress); });
    } else if (!plain) {
        heard = measure_source(*ready, name, progress);
    }
    if (!heard) return tl::unexpected(heard.error());
    material->ready = std::move(*ready);
    material->measurement = std::move(heard->measurement);
    material->summary = std::move(heard->summary);
    material->hops = std::move(heard->hops);
    material->power_of_8 = power_of_8(material->summary);
    material->measurement.kind = material->recorded.kind;  // the hint is in the original's name
    material->measurement.clipped_runs = material->recorded.clipped_runs;
    material->measurement.first_clipped_runs = material->recorded.first_clipped_runs;
    material->measurement.non_finite_samples = material->recorded.non_finite_samples;
    return material;
}

}  // namespace isotonus
