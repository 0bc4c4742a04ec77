#include "core/audio/media.h"

#include <fmt/format.h>

#include <algorithm>

#include "core/audio/resample.h"
#include "core/files/hash.h"

namespace isotonus {

std::string cache_key(const fs::path& file, const FileStamp& stamp, const std::string& purpose) {
    return Hash::name_of(fmt::format("{}\n{}\n{}", absolute_path(file).string(), stamp.text(), purpose));
}

namespace {

/// Whether the disk holds a conversion: what a file unpacks to has nothing to do with how long the file is.
Result<void> room_on_disk(uintmax_t bytes, const fs::path& folder) {
    constexpr uintmax_t left_alone = uintmax_t{256} << 20;
    std::error_code problem;
    const fs::space_info disk = fs::space(folder, problem);
    if (problem || disk.available >= bytes + left_alone) return {};
    const auto mb = [](uintmax_t b) { return (b + 500'000) / 1'000'000; };
    return fail(folder.string(),
                translate("converting needs {} MB of free space, and the disk has {} MB. Free some space.",
                          mb(bytes + left_alone), mb(disk.available)));
}

Result<void> convert_file(SoundReader& reader, int rate, const std::string& key, Progress* progress) {
    const fs::path target = artifact_file(Artifact::conversion, key);
    const SoundInfo& info = reader.info();
    SoundSpec spec;
    spec.format = SampleFormat::f32;
    spec.channels = info.channels;
    spec.sample_rate = rate;
    spec.expected_frames = converted_frames(info.frames, info.sample_rate, rate);
    const int64_t whole_bytes = spec.expected_frames * spec.channels * static_cast<int64_t>(sizeof(float));
    if (auto room = make_room_for(Artifact::conversion, key, whole_bytes); !room) return room;
    if (auto room = room_on_disk(static_cast<uintmax_t>(whole_bytes), target.parent_path()); !room) return room;
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
    if (auto closed = writer->close_sound(); !closed) return closed;
    return keep_artifact(writer->pending(), Artifact::conversion, key);
}

}  // namespace

Result<Media> prepare_media(const fs::path& file, int session_rate, Progress* progress) {
    const FileStamp stamp = settled_stamp_of(file);
    auto reader = SoundReader::open(file);
    if (!reader) return tl::unexpected(reader.error());
    Media media{file, file, reader->info(), stamp, reader->info().channels, reader->info().frames};
    if (reader->info().random_access && reader->info().sample_rate == session_rate) return media;

    const std::string key = cache_key(file, stamp, fmt::format("{} Hz", session_rate));
    media.playable = artifact_file(Artifact::conversion, key);
    if (!find_artifact(Artifact::conversion, key)) {
        const auto done = convert_file(*reader, session_rate, key, progress);
        if (!done && done.error().cancelled) return stopped();
        if (!done)
            return fail(file.string(),
                        translate("the conversion to {} Hz failed: {}", session_rate, done.error().text()));
        if (stamp_of(file) != stamp) {
            std::error_code ignored;
            fs::remove(media.playable, ignored);
            return fail(file.string(), translated("the file changed while it was read. Read the file again."));
        }
    }
    const auto cached = SoundReader::open(media.playable);
    if (!cached) return tl::unexpected(cached.error());
    media.frames = cached->info().frames;
    return media;
}

}  // namespace isotonus
