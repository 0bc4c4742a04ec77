#include "core/audio/media.h"

#include <fmt/format.h>

#include <algorithm>
#include <chrono>
#include <cstdlib>

#include "core/audio/resample.h"
#include "core/files/hash.h"

namespace isotonus {

fs::path cache_folder() {
    const char* cache = std::getenv("XDG_CACHE_HOME");
    const char* home = std::getenv("HOME");
    const fs::path base = cache && *cache ? fs::path(cache) : fs::path(home && *home ? home : "/tmp") / ".cache";
    (void)make_folder(base / "isotonus");  // who writes into it says when it cannot be made
    return base / "isotonus";
}

namespace {

// Beside each conversion stands a hash of its content, so that one that was damaged is made anew and never heard.

fs::path hash_file(const fs::path& converted) { return fs::path(converted).replace_extension(".xxh3"); }

}  // namespace

uintmax_t tidy_cache(uintmax_t most_bytes) {
    struct Kept {
        fs::path file;
        fs::file_time_type used;
        uintmax_t bytes = 0;
    };
    std::vector<Kept> files;
    uintmax_t whole = 0;
    for (const char* folder : {"measured", "converted"}) {
        const fs::path place = cache_folder() / folder;
        remove_stale_parts(place);
        for (const fs::path& file : entries_of(place).value_or(std::vector<fs::path>())) {
            std::error_code problem;
            Kept kept{file, fs::last_write_time(file, problem), 0};
            kept.bytes = problem ? 0 : fs::file_size(file, problem);
            if (problem) continue;
            if (const auto used = fs::last_write_time(hash_file(file), problem); !problem) kept.used = used;
            whole += kept.bytes;
            files.push_back(std::move(kept));
        }
    }
    std::sort(files.begin(), files.end(), [](const Kept& a, const Kept& b) { return a.used < b.used; });
    // What was used within the last hour may be open in another window.
    const auto recent = fs::file_time_type::clock::now() - std::chrono::hours(1);
    for (const Kept& kept : files) {
        if (whole <= most_bytes || kept.used > recent) break;
        std::error_code problem;
        if (fs::remove(kept.file, problem)) whole -= kept.bytes;
    }
    return whole;
}

std::string cache_key(const fs::path& file, const std::string& purpose) {
    std::error_code ignored;
    const auto size = fs::file_size(file, ignored);
    const auto time = fs::last_write_time(file, ignored).time_since_epoch().count();
    return Hash::name_of(fmt::format("{}\n{}\n{}\n{}", absolute_path(file).string(), size, time, purpose));
}

namespace {

Result<void> convert_file(SoundReader& reader, int rate, const fs::path& target, Progress* progress) {
    const SoundInfo& info = reader.info();
    if (auto made = make_folder(target.parent_path()); !made) return made;
    SoundSpec spec;
    spec.format = SampleFormat::f32;
    spec.channels = info.channels;
    spec.sample_rate = rate;
    spec.expected_frames = converted_frames(info.frames, info.sample_rate, rate);
    auto writer = SoundWriter::create(target, spec, none_protected());
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
            if (progress->cancelled()) return stopped();
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

Result<std::string> hash_of(const fs::path& file) {
    auto opened = PooledFile::open(file);
    if (!opened) return tl::unexpected(opened.error());
    const auto hash = Hash::of(**opened);
    if (!hash) return tl::unexpected(hash.error());
    return fmt::format("{:016x}", *hash);
}

/// A conversion that is there and was not damaged.
bool is_good(const fs::path& converted) {
    const auto wanted = read_whole(hash_file(converted), 64);
    const auto found = wanted ? hash_of(converted) : wanted;
    if (!found || *found != *wanted) return false;
    // What is used stays longest.  The conversion's own time is part of what its measurement is known by.
    std::error_code ignored;
    fs::last_write_time(hash_file(converted), fs::file_time_type::clock::now(), ignored);
    return true;
}

}  // namespace

Result<Media> prepare_media(const fs::path& file, int session_rate, Progress* progress) {
    auto reader = SoundReader::open(file);
    if (!reader) return tl::unexpected(reader.error());
    Media media{file, file, reader->info(), reader->info().channels, reader->info().frames};
    if (reader->info().random_access && reader->info().sample_rate == session_rate) return media;

    media.playable = cache_folder() / "converted" / (cache_key(file, fmt::format("{} Hz", session_rate)) + ".wav");
    if (!is_good(media.playable)) {
        auto done = convert_file(*reader, session_rate, media.playable, progress);
        if (done) {
            const auto hash = hash_of(media.playable);
            done =
                hash ? write_whole(hash_file(media.playable), *hash, none_protected()) : tl::unexpected(hash.error());
        }
        if (!done && done.error().cancelled) return stopped();
        if (!done)
            return fail(file.string(), say("the conversion to {} Hz failed: {}", session_rate, done.error().text()));
    }
    const auto cached = SoundReader::open(media.playable);
    if (!cached) return tl::unexpected(cached.error());
    media.frames = cached->info().frames;
    return media;
}

}  // namespace isotonus
