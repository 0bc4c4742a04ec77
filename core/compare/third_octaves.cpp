#include "core/compare/third_octaves.h"

#include <algorithm>
#include <cmath>

#include "core/decibels.h"
#include "core/files/artifact_cache.h"
#include "core/files/hash.h"
#include "core/measure/spectrum.h"
#include "core/shape/signal.h"

namespace isotonus {

namespace {

constexpr int first_number = 14;  ///< 10^1.4 = 25.1 Hz

std::array<double, third_octaves + 1> edges() {
    std::array<double, third_octaves + 1> all{};
    for (int b = 0; b <= third_octaves; ++b)
        all[static_cast<size_t>(b)] = std::pow(10.0, (first_number + b - 0.5) / 10.0);
    return all;
}

ThirdOctaves finished(SpectrumMeter& meter) {
    const auto powers = meter.finish(edges());
    ThirdOctaves found{};
    std::copy(powers.begin(), powers.end(), found.begin());
    const auto products = meter.products(edges());
    std::copy(products.begin(), products.end(), found.product.begin());
    return found;
}

Stretch stretch_of(int64_t frames, double rate, double from_s, double to_s) {
    const auto at = [&](double s) { return std::clamp<int64_t>(std::llround(s * rate), 0, frames); };
    const int64_t first = at(from_s), end = to_s > 0.0 ? at(to_s) : frames;
    return {first, std::max<int64_t>(0, end - first)};
}

}  // namespace

double third_octave_hz(int band) { return std::pow(10.0, (first_number + band) / 10.0); }

std::pair<double, double> third_octave_edges_hz(int band) {
    return {std::pow(10.0, (first_number + band - 0.5) / 10.0), std::pow(10.0, (first_number + band + 0.5) / 10.0)};
}

int third_octave_at(double hz) {
    return std::clamp(static_cast<int>(std::lround(10.0 * std::log10(std::max(1.0, hz)))) - first_number, 0,
                      third_octaves - 1);
}

double third_octave_name_hz(int band) {
    constexpr double names[] = {1.0, 1.25, 1.6, 2.0, 2.5, 3.15, 4.0, 5.0, 6.3, 8.0};
    return names[(first_number + band) % 10] * std::pow(10.0, (first_number + band) / 10);
}

Level third_octave_dbfs(const ThirdOctaves& spectrum, int band) {
    const double p = spectrum[static_cast<size_t>(band)];
    return p > 0.0 ? Level(db_from_power(p) + aes17_db) : std::nullopt;
}

std::optional<double> agreement(const ThirdOctaves& spectrum, int first, int last) {
    double power = 0.0, product = 0.0;
    for (int b = std::max(0, first); b <= std::min(last, third_octaves - 1); ++b) {
        power += spectrum[static_cast<size_t>(b)];
        product += spectrum.product[static_cast<size_t>(b)];
    }
    return power > 0.0 ? std::optional(std::clamp(product / power, -1.0, 1.0)) : std::nullopt;
}

std::optional<double> sides_over_middle_db(const ThirdOctaves& spectrum, int first, int last) {
    const auto agree = agreement(spectrum, first, last);
    if (!agree) return std::nullopt;
    return std::clamp(db_from_power((1.0 - *agree) / std::max(1.0 + *agree, 1e-12)), -60.0, 60.0);
}

int last_band_below(double hz) {
    int band = -1;
    while (band + 1 < third_octaves && third_octave_hz(band + 1) < hz) ++band;
    return band;
}

Result<ThirdOctaves> third_octaves_of(const Material& material, double from_s, double to_s, Progress* progress) {
    return without_exceptions({}, [&]() -> Result<ThirdOctaves> {
        const bool whole = from_s <= 0.0 && to_s <= 0.0 && dynamic_cast<const FileSound*>(material.sound.get());
        const std::string key = Hash::name_of("third octaves 3\n" + material.sound->content_key());
        ThirdOctaves found{};
        if (const auto kept = whole ? find_artifact(Artifact::spectrum, key) : std::nullopt)
            if (int problem = 0;
                kept->bytes == sizeof found &&
                kept->file->read(0, static_cast<void*>(&found), sizeof found, &problem) == sizeof found)
                return found;
        auto reader = material.open();
        if (!reader) return tl::unexpected(reader.error());
        const int channels = material.channels();
        const Stretch s = stretch_of(material.frames(), material.rate(), from_s, to_s);
        SpectrumMeter meter(channels, material.rate());
        constexpr int64_t piece = 65536;
        std::vector<float> samples(static_cast<size_t>(piece * channels));
        for (int64_t at = 0; at < s.frames; at += piece) {
            if (progress && progress->cancelled()) return stopped();
            const int64_t frames = std::min(piece, s.frames - at);
            if (auto read = (*reader)->read(s.first + at, frames, samples.data()); !read)
                return tl::unexpected(read.error());
            meter.add(samples.data(), frames);
        }
        found = finished(meter);
        if (whole) keep_artifact(Artifact::spectrum, key, {reinterpret_cast<const char*>(&found), sizeof found});
        return found;
    });
}

Result<ThirdOctaves> third_octaves_of(const PlanPtr& mix, double from_s, double to_s, Progress* progress) {
    return without_exceptions({}, [&]() -> Result<ThirdOctaves> {
        SpectrumMeter meter(2, mix->sample_rate);
        const auto add = [&](std::span<const float> piece) -> Result<void> {
            meter.add(piece.data(), static_cast<int64_t>(piece.size() / 2));
            return {};
        };
        if (auto done =
                render_stretch(mix, stretch_of(mix->frames, mix->sample_rate, from_s, to_s), 4096, add, progress);
            !done)
            return tl::unexpected(done.error());
        return finished(meter);
    });
}

std::array<Level, 4> wide_bands_dbfs(const ThirdOctaves& spectrum) {
    std::array<double, 4> power{};
    for (int b = 0; b < third_octaves; ++b) {
        const auto wide = std::upper_bound(wide_edges_hz.begin(), wide_edges_hz.end(), third_octave_hz(b));
        power[static_cast<size_t>(wide - wide_edges_hz.begin())] += spectrum[static_cast<size_t>(b)];
    }
    std::array<Level, 4> found;
    for (size_t n = 0; n < 4; ++n) found[n] = power[n] > 0.0 ? Level(db_from_power(power[n]) + aes17_db) : std::nullopt;
    return found;
}

std::vector<BandDifference> band_differences(const ThirdOctaves& mix, const std::vector<ThirdOctaves>& references,
                                             const std::vector<double>& matches_db) {
    std::vector<BandDifference> all;
    for (int b = 0; b < third_octaves; ++b) {
        BandDifference d;
        d.hz = third_octave_hz(b);
        d.mix_dbfs = third_octave_dbfs(mix, b);
        double sum = 0.0, squares = 0.0, count = 0.0;
        for (size_t n = 0; n < references.size(); ++n)
            if (const Level level = third_octave_dbfs(references[n], b)) {
                const double matched = *level + matches_db[n];
                sum += matched, squares += matched * matched, count += 1.0;
            }
        if (count > 0.0) {
            d.reference_dbfs = sum / count;
            d.tolerance_db = std::sqrt(std::max(0.0, squares / count - sum / count * (sum / count)));
        }
        if (d.mix_dbfs && d.reference_dbfs) d.difference_db = *d.mix_dbfs - *d.reference_dbfs;
        all.push_back(d);
    }
    return all;
}

}  // namespace isotonus
