// Test signals, temporary folders, and other programs.
#pragma once

#include <gtest/gtest.h>
#include <sys/wait.h>
#include <unistd.h>

#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <functional>
#include <numbers>
#include <string>
#include <vector>

#include "core/audio/sound_file.h"
#include "core/measure/material.h"
#include "core/measure/measure.h"
#include "core/mix/compile_plan.h"

namespace isotonus::test {

/// Under a sanitizer everything takes ten times as long, and its memory is not the program's.
#if defined(ISOTONUS_SANITIZED)
inline constexpr bool sanitized = true;
#else
inline constexpr bool sanitized = false;
#endif

inline void put(const fs::path& file, const std::string& bytes) { std::ofstream(file, std::ios::binary) << bytes; }

/// A folder that goes away with the test; caches of the test go there too.
class Folder {
  public:
    Folder() {
        std::string name = (fs::temp_directory_path() / "isotonus-test-XXXXXX").string();
        path_ = mkdtemp(name.data());
        setenv("XDG_CACHE_HOME", (path_ / "cache").c_str(), 1);
    }
    ~Folder() {
        std::error_code ignored;
        fs::remove_all(path_, ignored);
    }
    Folder(const Folder&) = delete;
    fs::path operator/(const std::string& name) const { return path_ / name; }
    const fs::path& path() const { return path_; }

  private:
    fs::path path_;
};

/// One value for each frame and channel.
using Wave = std::function<double(int64_t frame, int channel)>;

inline std::vector<float> make(int64_t frames, int channels, const Wave& wave) {
    std::vector<float> samples;
    for (int64_t i = 0; i < frames; ++i)
        for (int c = 0; c < channels; ++c) samples.push_back(static_cast<float>(wave(i, c)));
    return samples;
}

inline Wave sine(double hz, double rate, double peak = 1.0, double phase_deg = 0.0) {
    return [=](int64_t i, int) {
        return peak * std::sin(2.0 * std::numbers::pi * (hz * static_cast<double>(i) / rate + phase_deg / 360.0));
    };
}

/// Repeatable noise, uniform in ±peak, other for each seed.
inline Wave noise(uint32_t seed, double peak = 0.5) {
    return [=](int64_t i, int c) {
        uint64_t z = (static_cast<uint64_t>(i) * 2 + static_cast<uint64_t>(c) + 1) * 0x9E3779B97F4A7C15ULL + seed;
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9ULL;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EBULL;
        return peak * (static_cast<double>((z ^ (z >> 31)) >> 11) * 0x1.0p-52 - 1.0);
    };
}

inline fs::path write(const fs::path& file, const std::vector<float>& samples, int channels, int rate = 48000,
                      SampleFormat format = SampleFormat::f32) {
    SoundSpec spec;
    spec.format = format;
    spec.channels = channels;
    spec.sample_rate = rate;
    spec.expected_frames = static_cast<int64_t>(samples.size()) / channels;
    auto writer = SoundWriter::create(file, spec, none_protected()).value();
    std::vector<unsigned char> packed(samples.size() * static_cast<size_t>(bytes_of(format)));
    pack_samples(samples, format, 0, packed.data());
    EXPECT_TRUE(writer.write(packed));
    EXPECT_TRUE(writer.commit());
    return file;
}

inline std::vector<float> read(const fs::path& file) {
    auto reader = SoundReader::open(file).value();
    std::vector<float> samples(static_cast<size_t>(reader.info().frames * reader.info().channels));
    EXPECT_TRUE(reader.read(0, reader.info().frames, samples.data()));
    return samples;
}

inline Measurement measure(const std::vector<float>& samples, int channels, int rate) {
    Measurer m(channels, rate, full_scale_of(24, false));
    m.add(samples.data(), static_cast<int64_t>(samples.size()) / channels);
    return m.finish().measurement;
}

/// A program's standard output; its exit status goes to `status`.
inline std::string output_of(const std::string& command, int* status = nullptr) {
    FILE* pipe = popen(command.c_str(), "r");
    std::string out;
    char part[4096];
    for (size_t got; (got = fread(part, 1, sizeof part, pipe)) > 0;) out.append(part, got);
    const int ended = pclose(pipe);
    if (status) *status = WIFEXITED(ended) ? WEXITSTATUS(ended) : -1;
    return out;
}

/// The samples of any file as another program reads them.
inline std::vector<float> read_by_ffmpeg(const fs::path& file) {
    const std::string raw = output_of("ffmpeg -v error -i '" + file.string() + "' -f f32le -c:a pcm_f32le -");
    const auto* begin = reinterpret_cast<const float*>(raw.data());
    return {begin, begin + raw.size() / 4};
}
inline std::vector<float> read_by_sox(const fs::path& file) {
    const std::string raw = output_of("sox '" + file.string() + "' -t raw -e floating-point -b 32 -");
    const auto* begin = reinterpret_cast<const float*>(raw.data());
    return {begin, begin + raw.size() / 4};
}

/// A session with one track for each file, and a plan of it.
struct Mix {
    Session session;
    explicit Mix(const std::vector<fs::path>& files) : session(with_files({}, files)) {}
    TrackId id(size_t n) const { return session.tracks[n]->id; }
    void change(size_t n, const std::function<void(Track&)>& with) { session = with_track(session, id(n), with); }
    PlanPtr plan() const {
        return compile_plan(session, [this](const Track& t) {
            auto loaded = load_material(source_of(t), session.sample_rate);
            EXPECT_TRUE(loaded) << (loaded ? "" : loaded.error().text());
            return loaded.value_or(nullptr);
        });
    }
};

/// Mono noise that lies in no file: `on_read` hears of every stretch before it is read.
class Computed : public Playable {
  public:
    using OnRead = std::function<void(int64_t first, int64_t frames)>;
    Computed(int64_t frames, OnRead on_read) : on_read_(std::move(on_read)) {
        origin_.channels = 1;
        origin_.rate = 48000;
        origin_.frames = frames;
    }
    int channels() const override { return origin_.channels; }
    int rate() const override { return origin_.rate; }
    int64_t frames() const override { return origin_.frames; }
    const ReadySource& origin() const override { return origin_; }
    Result<std::unique_ptr<FrameReader>> open() const override {
        return std::unique_ptr<FrameReader>(std::make_unique<Reader>(on_read_));
    }
    std::string content_key() const override { return "computed"; }
    Result<void> unchanged(Seen&) const override { return {}; }

    static MaterialPtr material(int64_t frames, OnRead on_read) {
        auto made = std::make_shared<Material>();
        made->recorded.sample_rate = 48000;
        made->recorded.channels = 1;
        made->sound = std::make_shared<const Computed>(frames, std::move(on_read));
        return made;
    }

  private:
    struct Reader : FrameReader {
        explicit Reader(OnRead on_read) : on_read(std::move(on_read)) {}
        int channels() const override { return 1; }
        Result<void> read(int64_t first, int64_t frames, float* out) override {
            on_read(first, frames);
            for (int64_t i = 0; i < frames; ++i) out[i] = static_cast<float>(wave(first + i, 0));
            return {};
        }
        OnRead on_read;
        Wave wave = noise(1);
    };
    ReadySource origin_;
    OnRead on_read_;
};

/// The demo's audio, made once by the test suite.
inline fs::path demo_folder() { return ISOTONUS_DEMO; }

}  // namespace isotonus::test
