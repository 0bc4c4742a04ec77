#include "core/shape/kept_sound.h"

#include <vector>

#include "core/audio/media.h"
#include "core/files/paths.h"
#include "core/files/pending_file.h"

namespace isotonus {

namespace {

fs::path file_of(const std::string& key) { return cache_folder() / ("plugin-" + key + ".f32"); }

constexpr int64_t piece = 1 << 18;  // floats

}  // namespace

std::optional<KeptSound> kept_sound(const std::string& key, int channels) {
    const auto file = is_there(file_of(key)) ? PooledFile::open(file_of(key)) : Result<std::shared_ptr<PooledFile>>();
    if (!file || !*file) return std::nullopt;
    const int64_t floats = (*file)->bytes() / static_cast<int64_t>(sizeof(float));
    KeptSound kept{Spooled::reserve(floats), floats / channels};
    if (!kept.spool || floats % channels != 0) return std::nullopt;
    std::vector<float> samples(static_cast<size_t>(std::min(piece, floats)));
    for (int64_t at = 0; at < floats; at += piece) {
        const int64_t some = std::min(piece, floats - at), bytes = some * static_cast<int64_t>(sizeof(float));
        int problem = 0;
        if ((*file)->read(at * static_cast<int64_t>(sizeof(float)), samples.data(), bytes, &problem) != bytes ||
            !kept.spool->write(at, samples.data(), some))
            return std::nullopt;
    }
    // What is used stays longest in the cache.
    std::error_code problem;
    fs::last_write_time(file_of(key), fs::file_time_type::clock::now(), problem);
    return kept;
}

void keep_sound(const std::string& key, const Spooled& spool, int channels, int64_t frames) {
    if (!make_folder(cache_folder())) return;
    auto file = PendingFile::create(file_of(key), {});
    if (!file) return;
    const int64_t floats = frames * channels;
    std::vector<float> samples(static_cast<size_t>(std::min(piece, floats)));
    for (int64_t at = 0; at < floats; at += piece) {
        const int64_t some = std::min(piece, floats - at);
        if (!spool.read(at, samples.data(), some)) return;
        const std::string_view bytes(reinterpret_cast<const char*>(samples.data()),
                                     static_cast<size_t>(some) * sizeof(float));
        if (!file->write(at * static_cast<int64_t>(sizeof(float)), bytes)) return;
    }
    (void)file->commit();
}

}  // namespace isotonus
