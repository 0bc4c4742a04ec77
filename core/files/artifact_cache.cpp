#include "core/files/artifact_cache.h"

#include <algorithm>
#include <array>
#include <atomic>
#include <chrono>
#include <cstdlib>
#include <cstring>
#include <mutex>
#include <vector>

#include "core/files/hash.h"
#include "core/files/spool.h"

namespace isotonus {

namespace {

/// Folder and ending of a kind.
struct ArtifactKind {
    const char *folder, *ending;
};
constexpr std::array<ArtifactKind, 5> kinds{
    {{"measured", ""}, {"converted", ".wav"}, {"plugin-sound", ".f32"}, {"spectra", ""}, {"plugin-list", ".json"}}};

const ArtifactKind& of(Artifact kind) { return kinds[static_cast<size_t>(kind)]; }

constexpr char seal_mark[8] = {'i', 's', 'o', 't', 8, 0, 0, 0};

std::atomic<uintmax_t> budget{cache_budget_bytes};

void begin_hash(Hash& hash, Artifact kind, const std::string& key) {
    const std::string name = std::string(of(kind).folder) + '\n' + key + '\n';
    hash.add(name.data(), name.size());
}

/// The hash that an artifact was sealed with; nothing when there is no seal.
std::optional<uint64_t> sealed_hash(PooledFile& file) {
    char seal[seal_bytes];
    int problem = 0;
    if (file.bytes() < seal_bytes || file.read(file.bytes() - seal_bytes, seal, seal_bytes, &problem) != seal_bytes ||
        std::memcmp(seal, seal_mark, sizeof seal_mark) != 0)
        return std::nullopt;
    uint64_t hash = 0;
    std::memcpy(&hash, seal + sizeof seal_mark, sizeof hash);
    return hash;
}

void remove_quietly(const fs::path& file) {
    std::error_code ignored;
    fs::remove(file, ignored);
}

}  // namespace

fs::path cache_folder() {
    const fs::path base = folder_of_user("XDG_CACHE_HOME", ".cache");
    (void)make_folder(base / "isotonus");  // who writes into it says when it cannot be made
    return base / "isotonus";
}

fs::path artifact_file(Artifact kind, const std::string& key) {
    return cache_folder() / of(kind).folder / (key + of(kind).ending);
}

struct ArtifactCheck::State {
    Hash hash;
};

ArtifactCheck::ArtifactCheck(Artifact kind, const std::string& key)
    : state_(std::make_unique<State>()), file_(artifact_file(kind, key)) {
    begin_hash(state_->hash, kind, key);
}

ArtifactCheck::~ArtifactCheck() = default;

void ArtifactCheck::add(const void* data, size_t bytes) { state_->hash.add(data, bytes); }

bool ArtifactCheck::is_undamaged(const FoundArtifact& found) const {
    if (sealed_hash(*found.file) == state_->hash.value()) return true;
    remove_quietly(file_);
    return false;
}

std::optional<FoundArtifact> find_unchecked_artifact(Artifact kind, const std::string& key) {
    const fs::path file = artifact_file(kind, key);
    if (!is_there(file)) return std::nullopt;
    auto opened = PooledFile::open(file);
    if (!opened) return std::nullopt;
    if ((*opened)->bytes() < seal_bytes) {
        remove_quietly(file);
        return std::nullopt;
    }
    // What is used stays longest.
    std::error_code ignored;
    fs::last_write_time(file, fs::file_time_type::clock::now(), ignored);
    return FoundArtifact{*opened, (*opened)->bytes() - seal_bytes};
}

std::optional<FoundArtifact> find_artifact(Artifact kind, const std::string& key) {
    auto found = find_unchecked_artifact(kind, key);
    if (!found) return std::nullopt;
    ArtifactCheck check(kind, key);
    std::vector<char> piece(1 << 18);
    for (int64_t at = 0; at < found->bytes;) {
        int problem = 0;
        const int64_t some = std::min<int64_t>(std::ssize(piece), found->bytes - at);
        if (found->file->read(at, piece.data(), some, &problem) != some) return std::nullopt;
        check.add(piece.data(), static_cast<size_t>(some));
        at += some;
    }
    return check.is_undamaged(*found) ? found : std::nullopt;
}

Result<void> make_room_for(Artifact kind, const std::string& key, int64_t bytes) {
    const fs::path file = artifact_file(kind, key);
    if (auto made = make_folder(file.parent_path()); !made) return made;
    // Looking through the folders for every small file would cost more than the files do.
    constexpr int64_t much_bytes = int64_t{4} << 20;
    if (bytes < much_bytes) return {};
    const uintmax_t wanted = static_cast<uintmax_t>(bytes),
                    rest = cache_budget() > wanted ? cache_budget() - wanted : 0;
    const bool fits = tidy_cache(rest) <= rest && wanted <= cache_budget();
    // Without its conversion a file could not be played.
    if (fits || kind == Artifact::conversion) return {};
    return fail(file.string(), translated("the cache is too small for this file. Raise its size in the settings."));
}

Result<PendingFile> begin_artifact(Artifact kind, const std::string& key, int64_t bytes) {
    if (auto room = make_room_for(kind, key, bytes); !room) return tl::unexpected(room.error());
    return PendingFile::create(artifact_file(kind, key), none_protected());
}

Result<void> keep_artifact(PendingFile& file, Artifact kind, const std::string& key) {
    Hash hash;
    begin_hash(hash, kind, key);
    std::vector<char> piece(1 << 18);
    const int64_t bytes = file.bytes();
    for (int64_t at = 0; at < bytes;) {
        const int64_t some = std::min<int64_t>(std::ssize(piece), bytes - at);
        if (auto read = file.read(at, piece.data(), some); !read) return read;
        hash.add(piece.data(), static_cast<size_t>(some));
        at += some;
    }
    char seal[seal_bytes];
    std::memcpy(seal, seal_mark, sizeof seal_mark);
    const uint64_t value = hash.value();
    std::memcpy(seal + sizeof seal_mark, &value, sizeof value);
    if (auto written = file.write(bytes, {seal, sizeof seal}); !written) return written;
    return file.commit();
}

bool keep_artifact(Artifact kind, const std::string& key, std::string_view content) {
    auto file = begin_artifact(kind, key, std::ssize(content));
    return file && file->write(0, content) && keep_artifact(*file, kind, key);
}

void set_cache_budget(uintmax_t max_bytes) { budget = max_bytes; }
uintmax_t cache_budget() { return budget; }

uintmax_t tidy_cache(uintmax_t max_bytes) {
    static std::mutex mutex;
    const std::scoped_lock lock(mutex);
    struct Kept {
        fs::path file;
        fs::file_time_type used;
        uintmax_t bytes = 0;
        bool may_be_open = false;
    };
    std::vector<Kept> files;
    uintmax_t whole = 0;
    // What versions before this one kept elsewhere.
    for (const fs::path& file : entries_of(cache_folder()).value_or(std::vector<fs::path>())) {
        const std::string name = file.filename().string();
        if (name == "plugins.json" || (name.starts_with("plugin-") && name.ends_with(".f32")) ||
            (name.starts_with("thirds-") && name.ends_with(".bin")))
            remove_quietly(file);
    }
    for (const ArtifactKind& kind : kinds) {
        const fs::path kind_folder = cache_folder() / kind.folder;
        remove_stale_parts(kind_folder);
        for (const fs::path& file : entries_of(kind_folder).value_or(std::vector<fs::path>())) {
            std::error_code problem;
            Kept kept{file, fs::last_write_time(file, problem), 0, &kind != &of(Artifact::plugin_sound)};
            kept.bytes = problem ? 0 : fs::file_size(file, problem);
            if (problem) continue;
            if (file.extension() == ".xxh3") {  // of an older version
                remove_quietly(file);
                continue;
            }
            whole += kept.bytes;
            files.push_back(std::move(kept));
        }
    }
    const auto in_spool = static_cast<uintmax_t>(Spooled::bytes_in_use());
    max_bytes = max_bytes > in_spool ? max_bytes - in_spool : 0;
    std::sort(files.begin(), files.end(), [](const Kept& a, const Kept& b) { return a.used < b.used; });
    const auto recent = fs::file_time_type::clock::now() - std::chrono::hours(1);
    for (const Kept& kept : files) {
        if (whole <= max_bytes) break;
        if (kept.may_be_open && kept.used > recent) continue;
        std::error_code problem;
        if (fs::remove(kept.file, problem)) whole -= kept.bytes;
    }
    return whole;
}

}  // namespace isotonus
