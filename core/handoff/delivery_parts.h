// What the files of core/handoff/delivery*.cpp have in common: a file on its way from its first sample to its name.
#pragma once

#include <optional>
#include <span>

#include "core/audio/resample.h"
#include "core/files/hash.h"
#include "core/handoff/delivery.h"

namespace isotonus {

/// The rate that a type holds for the one that is wanted.
int rate_for(FileType type, int wanted);
std::string format_in_words(const Delivery& d);
/// What is asked for; all of the song when that is nothing.
std::vector<Excerpt> excerpts_of(const Delivery& d);
/// Within the song; a stretch without a length goes on to its end.
Stretch held_to(Stretch s, const RenderPlan& plan);
/// The mix with its main fader and the main output's rides at 0 dB.
PlanPtr without_main(const RenderPlan& plan);

inline SampleFormat packing_of(const Delivery& d) { return is_lossy(d.type) ? SampleFormat::f32 : d.format; }

/// What samples become in a file: held within what the format holds, and dithered by their place.
struct Packer {
    /// Where its dither begins: by its place in the song, so that sections join without a seam; each part has noise
    /// of its own, since alike the stems' would add up.
    int64_t first_dithered = 0, written = 0;
    int64_t clamped = 0;
    std::vector<unsigned char> packed = {};
    std::vector<float> as_written = {};  ///< of the last piece
    std::vector<float> clamped_to_one = {};

    static int64_t first_sample_of(const Stretch& stretch, size_t part, int rate, int plan_rate) {
        return 2 * (stretch.first * rate / plan_rate) + static_cast<int64_t>(part) * 0x9E3779B1LL;
    }
    /// Returns the samples that a lossy encoder gets, else those that came.
    std::span<const float> pack(std::span<const float> samples, const Delivery& d) {
        const SampleFormat format = packing_of(d);
        if (is_lossy(d.type)) {
            // Encoders end the program on samples far beyond full scale, and players clip what lies above it anyway.
            clamped_to_one.assign(samples.begin(), samples.end());
            for (float& x : clamped_to_one) {
                if (std::fabs(x) > 1.0f) ++clamped;
                x = std::clamp(x, -1.0f, 1.0f);
            }
            samples = clamped_to_one;
        }
        packed.resize(samples.size() * static_cast<size_t>(bytes_of(format)));
        clamped += pack_samples(samples, format, first_dithered + 2 * written, packed.data(), d.dither);
        written += static_cast<int64_t>(samples.size() / 2);
        as_written.resize(samples.size());
        unpack_samples(packed, format, as_written.data());
        return samples;
    }
};

/// One file, from its first sample until it gets its name.
struct Job {
    DeliveredFile out;
    SoundWriter writer;
    std::optional<Resampler> resampler;
    std::optional<Measurer> measurer;  ///< of the samples as they are written; lossy files are measured when read back
    Broadcast bext;
    Hash hash = {};
    Packer packer = {};
    double square = 0.0;
    std::optional<Error> error = {};

    void put(std::span<const float> samples, const Delivery& d) {
        samples = packer.pack(samples, d);
        out.clamped_samples = packer.clamped;
        const std::vector<float>& written = packer.as_written;
        hash.add(written.data(), written.size() * sizeof(float));
        if (is_lossy(d.type))
            for (const float x : samples) square += static_cast<double>(x) * static_cast<double>(x);
        if (measurer) measurer->add(written.data(), std::ssize(written) / 2);
        if (auto done = writer.write(packer.packed); !done && !error) error = done.error();
    }

    /// Nothing comes any more: the file is made whole.
    Result<void> finish() {
        if (error) return tl::unexpected(*error);
        if (measurer) {
            out.measured = measurer->finish().measurement;
            measurer.reset();
        }
        if (bext.originator.empty()) return writer.finish();
        bext.loudness_lufs = out.measured.integrated_lufs;
        bext.range_lu = out.measured.loudness_range_lu;
        bext.true_peak_dbtp = out.measured.true_peak_dbtp;
        bext.momentary_lufs = out.measured.max_momentary_lufs;
        bext.short_term_lufs = out.measured.max_short_term_lufs;
        writer.finish_bext(bext);
        return writer.finish();
    }
};

/// Reads a file back under its temporary name: whether it holds what was rendered, and says so in its header.  Fills in
/// what is found by that.
Result<void> prove(Job& job, const Delivery& d, Progress* progress);

}  // namespace isotonus
