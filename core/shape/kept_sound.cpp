#include "core/shape/kept_sound.h"

#include <vector>

#include "core/files/artifact_cache.h"

namespace isotonus {

namespace {

constexpr int64_t piece = 1 << 18;  // floats
constexpr auto float_bytes = static_cast<int64_t>(sizeof(float));

}  // namespace

std::optional<KeptSound> kept_sound(const std::string& key, int channels) {
    const auto found = find_unchecked_artifact(Artifact::plugin_sound, key);
    if (!found) return std::nullopt;
    const int64_t floats = found->bytes / float_bytes;
    const auto spool = Spooled::reserve(floats);
    if (!spool || found->bytes % float_bytes != 0 || floats % channels != 0) return std::nullopt;
    KeptSound kept{*spool, floats / channels};
    ArtifactCheck check(Artifact::plugin_sound, key);
    std::vector<float> samples(static_cast<size_t>(std::min(piece, floats)));
    for (int64_t at = 0; at < floats; at += piece) {
        const int64_t some = std::min(piece, floats - at), bytes = some * float_bytes;
        int problem = 0;
        if (found->file->read(at * float_bytes, samples.data(), bytes, &problem) != bytes ||
            !kept.spool->write(at, samples.data(), some))
            return std::nullopt;
        check.add(samples.data(), static_cast<size_t>(bytes));
    }
    return check.is_undamaged(*found) ? std::optional(std::move(kept)) : std::nullopt;
}

void keep_sound(const std::string& key, const Spooled& spool, int channels, int64_t frames) {
    const int64_t floats = frames * channels;
    auto file = begin_artifact(Artifact::plugin_sound, key, floats * float_bytes);
    if (!file) return;
    std::vector<float> samples(static_cast<size_t>(std::min(piece, floats)));
    for (int64_t at = 0; at < floats; at += piece) {
        const int64_t some = std::min(piece, floats - at);
        if (!spool.read(at, samples.data(), some)) return;
        const std::string_view bytes(reinterpret_cast<const char*>(samples.data()),
                                     static_cast<size_t>(some) * sizeof(float));
        if (!file->write(at * float_bytes, bytes)) return;
    }
    (void)keep_artifact(*file, Artifact::plugin_sound, key);
}

}  // namespace isotonus
