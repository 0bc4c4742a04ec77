#include "core/audio/media.h"

#include <fmt/format.h>

#include <cstdlib>

#include "core/audio/resample.h"

namespace isotonus {

fs::path cache_folder() {
    const char* cache = std::getenv("XDG_CACHE_HOME");
    const char* home = std::getenv("HOME");
    const fs::path base = cache && *cache ? fs::path(cache) : fs::path(home && *home ? home : "/tmp") / ".cache";
    std::error_code ignored;
    fs::create_directories(base / "isotonus", ignored);
    return base / "isotonus";
}

std::string cache_key(const fs::path& file, const std::string& purpose) {
    std::error_code ignored;
    const auto size = fs::file_size(file, ignored);
    const auto time = fs::last_write_time(file, ignored).time_since_epoch().count();
    const std::string identity = fmt::format("{}\n{}\n{}\n{}", fs::absolute(file).string(), size, time, purpose);
    uint64_t a = 0xCBF29CE484222325ULL, b = 0x84222325CBF29CE4ULL;  // FNV-1a, twice, for 128 bits
    for (const char c : identity) {
        a = (a ^ static_cast<unsigned char>(c)) * 0x100000001B3ULL;
        b = (b ^ static_cast<unsigned char>(c) ^ (a >> 32)) * 0x100000001B3ULL;
    }
    return fmt::format("{:016x}{:016x}", a, b);
}

namespace {

Result<void> convert_file(SoundReader& reader, int rate, const fs::path& target, Progress* progress) {
    const SoundInfo& info = reader.info();
    std::error_code problem;
    fs::create_directories(target.parent_path(), problem);
    auto writer = SoundWriter::create(target, info.channels, rate, SampleFormat::f32,
                                      converted_frames(info.frames, info.sample_rate, rate));
    if (!writer) return tl::unexpected(writer.error());
    const bool resample = info.sample_rate != rate;
    auto resampler = Resampler::create(info.sample_rate, rate, info.channels);
    if (!resampler) return fail(target.string(), resampler.error().what);
    const size_t channels = static_cast<size_t>(info.channels);
    int64_t left = converted_frames(info.frames, info.sample_rate, rate);
    auto put = [&](std::span<const float> samples) -> Result<void> {
        const auto frames = std::min<int64_t>(left, static_cast<int64_t>(samples.size() / channels));
        left -= frames;
        const auto* bytes = reinterpret_cast<const unsigned char*>(samples.data());
        return writer->write({bytes, static_cast<size_t>(frames) * channels * 4});
    };
    constexpr int64_t block = 16384;
    std::vector<float> buffer(static_cast<size_t>(block) * channels);
    for (int64_t at = 0; at < info.frames; at += block) {
        if (progress) {
            if (progress->cancelled()) return fail(target.string(), "cancelled");
            progress->report(static_cast<double>(at) / static_cast<double>(info.frames));
        }
        const int64_t frames = std::min(block, info.frames - at);
        if (auto read = reader.read(at, frames, buffer.data()); !read) return read;
        const std::span<const float> in(buffer.data(), static_cast<size_t>(frames) * channels);
        if (auto done = put(resample ? resampler->convert(in) : in); !done) return done;
    }
    if (resample)
        if (auto done = put(resampler->convert({})); !done) return done;
    return writer->commit();
}

}  // namespace

Result<Media> prepare_media(const fs::path& file, int session_rate, Progress* progress) {
    auto reader = SoundReader::open(file);
    if (!reader) return tl::unexpected(reader.error());
    Media media{file, file, reader->info(), reader->info().channels, reader->info().frames};
    if (reader->info().random_access && reader->info().sample_rate == session_rate) return media;

    media.playable = cache_folder() / "converted" / (cache_key(file, fmt::format("{} Hz", session_rate)) + ".wav");
    auto cached = SoundReader::open(media.playable);
    if (!cached) {
        if (auto done = convert_file(*reader, session_rate, media.playable, progress); !done)
            return fail(file.string(),
                        "the conversion to " + std::to_string(session_rate) + " Hz failed: " + done.error().text());
        cached = SoundReader::open(media.playable);
        if (!cached) return tl::unexpected(cached.error());
    }
    media.frames = cached->info().frames;
    return media;
}

}  // namespace isotonus
