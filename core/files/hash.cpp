#include "core/files/hash.h"

#if defined(__x86_64__) && __has_include(<xxh_x86dispatch.h>)
// The widest registers that this processor has; the values are the same.
#include <xxh_x86dispatch.h>
#endif

#include <fmt/format.h>

#include <vector>

namespace isotonus {

void Hash::add(const void* data, size_t bytes) { XXH3_64bits_update(state_.get(), data, bytes); }

Result<uint64_t> Hash::of(PooledFile& file, int64_t from) {
    Hash hash;
    std::vector<char> piece(1 << 18);
    for (int64_t at = from; at < file.bytes();) {
        int problem = 0;
        const int64_t got = file.read(at, piece.data(), static_cast<int64_t>(piece.size()), &problem);
        if (problem || got == 0)
            return fail(file.path().string(),
                        translated("the file cannot be read. Check its permissions and the disk."));
        hash.add(piece.data(), static_cast<size_t>(got));
        at += got;
    }
    return hash.value();
}

std::string Hash::name_of(std::string_view text) {
    const XXH128_hash_t hash = XXH3_128bits(text.data(), text.size());
    return fmt::format("{:016x}{:016x}", hash.high64, hash.low64);
}

}  // namespace isotonus
