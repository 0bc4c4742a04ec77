// Everything that is kept between two runs of the program to save time: measurements, converted files, what plug-ins
// made, spectra, the list of plug-ins.
//
// All of it lies in folders of the cache folder, a folder for each kind, and within one budget.  An artifact is known
// by a key of all that it was made from, and carries a hash of its key and its content: one that was damaged, cut short
// or put under another name is not believed but made again.  A cache that cannot be read or written costs time, nothing
// else.
#pragma once

#include <memory>
#include <optional>
#include <string>

#include "core/files/pending_file.h"

namespace isotonus {

enum class Artifact { measurement, conversion, plugin_sound, spectrum, plugin_list };

/// `$XDG_CACHE_HOME/isotonus`, made if it is missing.
fs::path cache_folder();

/// Where the artifact of a key is, or would be.
fs::path artifact_file(Artifact kind, const std::string& key);

/// What the seal takes behind an artifact's content.  It looks like a chunk of a RIFF file, so that a converted WAVE
/// file is one with its seal too.
inline constexpr int64_t seal_bytes = 16;

struct FoundArtifact {
    std::shared_ptr<PooledFile> file;
    int64_t bytes = 0;  ///< of its content, from the file's start
};
/// One that is there and undamaged; it counts as used now.
std::optional<FoundArtifact> find_artifact(Artifact kind, const std::string& key);
/// The same where whoever reads it checks it on the way, so that it is read once: `ArtifactCheck` has its hash.
std::optional<FoundArtifact> find_unchecked_artifact(Artifact kind, const std::string& key);

/// Hashes an artifact while it is read from its start to its end.
class ArtifactCheck {
  public:
    ArtifactCheck(Artifact kind, const std::string& key);
    ~ArtifactCheck();
    void add(const void* data, size_t bytes);
    /// Whether what was read is what was kept; an artifact that is not is removed.
    bool is_undamaged(const FoundArtifact& found) const;

  private:
    struct State;
    std::unique_ptr<State> state_;
    fs::path file_;
};

/// Makes the folder for an artifact and room for its bytes within the budget: what was not used for longest goes. Fails
/// when the cache cannot be written, or the budget is too small.
Result<void> make_room_for(Artifact kind, const std::string& key, int64_t bytes);
/// The same, and a file to be written and then given to keep_artifact().
Result<PendingFile> begin_artifact(Artifact kind, const std::string& key, int64_t bytes);
/// Seals what was written and gives it its name.
Result<void> keep_artifact(PendingFile& file, Artifact kind, const std::string& key);
/// Both, for one that is in memory.  False: it was not kept.
bool keep_artifact(Artifact kind, const std::string& key, std::string_view content);

/// All artifacts and the samples that this program has on the disk take this much room at most.
inline constexpr uintmax_t cache_budget_bytes = uintmax_t{8} << 30;
/// Another budget than that, until the program ends.
void set_cache_budget(uintmax_t max_bytes);
uintmax_t cache_budget();

/// Takes away what killed processes and older versions left in the cache, then what was not used for longest until the
/// rest has `max_bytes` at most.  What was used within the last hour stays, since it may be open in another window,
/// but for the sound of plug-ins, of which every reader has a copy.  Returns how much there is left.
uintmax_t tidy_cache(uintmax_t max_bytes = cache_budget());

}  // namespace isotonus
