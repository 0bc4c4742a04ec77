#include "core/measure/material.h"

#include <fmt/format.h>

#include <cstring>

#include "core/files/artifact_cache.h"
#include "core/files/hash.h"
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

// A kept measurement: sizes, the figures as JSON, then the lists.
struct Sizes {
    uint64_t text = 0, blocks = 0, means = 0, hops = 0;  ///< bytes of the text (filled up to 8), values of each list
    uint64_t floats_at() const { return sizeof(Sizes) + text; }
    uint64_t hops_at() const { return floats_at() + (4 * (3 * blocks + means) + 7) / 8 * 8; }
    uint64_t whole() const { return hops_at() + 16 * hops; }
};

bool load_kept(const std::string& key, Measurer::Outcome& out) {
    const auto found = find_artifact(Artifact::measurement, key);
    if (!found) return false;
    const auto mapped = map_file(found->file->path());
    Sizes sizes;
    if (!mapped || mapped->bytes != static_cast<uint64_t>(found->bytes + seal_bytes) || mapped->bytes < sizeof sizes)
        return false;
    std::memcpy(&sizes, mapped->data, sizeof sizes);
    if (std::max({sizes.text, sizes.blocks, sizes.means, sizes.hops}) > mapped->bytes ||
        sizes.whole() != static_cast<uint64_t>(found->bytes))
        return false;
    try {
        const json figures =
            json::parse(std::string_view(reinterpret_cast<const char*>(mapped->data) + sizeof sizes, sizes.text));
        out.measurement = measurement_from_json(figures);
        figures.at("content").get_to(out.measurement.content);
    } catch (const json::exception&) {
        return false;
    }
    uint64_t at = sizes.floats_at();
    for (auto* list : {&out.summary.low, &out.summary.high, &out.summary.mean_square}) {
        *list = MappedList<float>(mapped, at, sizes.blocks);
        at += 4 * sizes.blocks;
    }
    out.summary.mean_square_of_8 = MappedList<float>(mapped, at, sizes.means);
    at = sizes.hops_at();
    for (auto* list : {&out.hops.weighted, &out.hops.unweighted}) {
        const auto* const first = reinterpret_cast<const double*>(mapped->data + at);
        list->assign(first, first + sizes.hops);
        at += 8 * sizes.hops;
    }
    out.summary.channels = out.measurement.channels;
    out.summary.frames = out.measurement.frames;
    return true;
}

/// A cache that cannot be written is no failure: the work is done again next time.
bool keep(const std::string& key, const Measurer::Outcome& outcome) {
    json figures = measurement_to_json(outcome.measurement);
    figures["content"] = outcome.measurement.content;
    std::string text = figures.dump(-1, ' ', false, json::error_handler_t::replace);
    text.resize((text.size() + 7) / 8 * 8, ' ');
    const Sizes sizes{text.size(), outcome.summary.low.size(), outcome.summary.mean_square_of_8.size(),
                      outcome.hops.weighted.size()};
    std::string content(reinterpret_cast<const char*>(&sizes), sizeof sizes);
    content += text;
    const auto put = [&content](const auto* data, size_t count) {
        content.append(reinterpret_cast<const char*>(data), count * sizeof *data);
    };
    for (const auto* list :
         {&outcome.summary.low, &outcome.summary.high, &outcome.summary.mean_square, &outcome.summary.mean_square_of_8})
        put(list->data(), list->size());
    content.resize(sizes.hops_at(), '\0');
    for (const auto* list : {&outcome.hops.weighted, &outcome.hops.unweighted}) put(list->data(), list->size());
    return keep_artifact(Artifact::measurement, key, content);
}

/// Files of a source as they were when reading began.
class Stamped {
  public:
    explicit Stamped(const ReadySource& ready) {
        add(ready.media);
        if (ready.right) add(*ready.right);
    }
    /// A name for what is found in them.
    std::string key(const std::string& purpose) const {
        std::string text = "measurement 6 " + purpose;
        for (const Media* m : media_) text += '\n' + cache_key(m->original, m->stamp, "");
        return Hash::name_of(text);
    }
    /// Fails when one of them has changed meanwhile.
    Result<void> unchanged() const {
        for (const Media* m : media_)
            if (stamp_of(m->original) != m->stamp)
                return fail(m->original.string(),
                            translated("the file changed while it was read. Read the file again."));
        return {};
    }

  private:
    void add(const Media& media) { media_.push_back(&media); }
    std::vector<const Media*> media_;
};

/// Measures with `work`, unless the cache has it already.
template <class Work>
Result<Measurer::Outcome> measure_kept(const Stamped& files, const std::string& purpose, const Work& work) {
    const std::string key = files.key(purpose);
    Measurer::Outcome outcome;
    if (load_kept(key, outcome)) return outcome;
    auto measured = work();
    if (!measured) return measured;
    if (auto same = files.unchanged(); !same) return tl::unexpected(same.error());
    if (keep(key, *measured) && load_kept(key, outcome)) return outcome;
    return measured;
}

Result<MaterialPtr> load(const Source& source, int session_rate, Progress* progress) {
    auto ready = prepare_source(source, session_rate, progress);
    if (!ready) return tl::unexpected(ready.error());
    const std::string name = source.file.stem().string();

    // What was recorded: a mono or stereo file at its own rate, else the channels that are heard.
    ReadySource recorded = *ready;
    recorded.source = {};
    recorded.source.file = source.file;
    recorded.source.right_file = source.right_file;
    recorded.lead = 0;
    const bool one = source.channels == Channels::mono || source.channels == Channels::one;
    if (one)
        recorded.channels = 1;
    else if (ready->right)
        recorded.channels = 2;
    else
        recorded.channels = std::min(2, ready->media.channels);
    if (ready->media.channels > 2 || ready->right) {
        recorded.source.channels = source.channels, recorded.source.channel = source.channel;
        recorded.frames = recorded.file_frames();
    }
    const bool as_file = ready->media.channels <= 2 && !ready->right;
    const Stamped files(*ready);
    const std::string purpose =
        as_file ? name
                : fmt::format("{} {} {} {}", name, session_rate, static_cast<int>(source.channels), source.channel);
    auto heard = measure_kept(files, purpose, [&] {
        return as_file ? measure_file(source.file, progress) : measure_source(recorded, name, progress);
    });
    if (!heard) return tl::unexpected(heard.error());
    ready->content = heard->measurement.content;
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
    if (plain && as_file && ready->media.converted())
        heard = measure_kept(files, fmt::format("{} converted to {}", name, session_rate),
                             [&] { return measure_file(ready->media.playable, progress); });
    else if (!plain)
        heard = measure_kept(files, fmt::format("{} {} {}", name, session_rate, source_key(source)),
                             [&] { return measure_source(*ready, name, progress); });
    if (!heard) return tl::unexpected(heard.error());
    material->sound = std::make_shared<const FileSound>(std::move(*ready));
    material->measurement = std::move(heard->measurement);
    material->summary = std::move(heard->summary);
    material->hops = std::move(heard->hops);
    material->measurement.kind = material->recorded.kind;  // the hint is in the original's name
    material->measurement.clipped_runs = material->recorded.clipped_runs;
    material->measurement.first_clipped_runs = material->recorded.first_clipped_runs;
    material->measurement.non_finite_samples = material->recorded.non_finite_samples;
    return material;
}

}  // namespace

Result<MaterialPtr> load_material(const Source& source, int session_rate, Progress* progress) {
    return without_exceptions(source.file.string(), [&] { return load(source, session_rate, progress); });
}

}  // namespace isotonus
