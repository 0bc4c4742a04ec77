// Presets: chains kept under a name, for any row of any session.  Those that ship with Isotonus, and the user's own,
// one JSON file each under the settings folder: {"format": "isotonus-preset", "version": 1, "name", "purpose",
// "chain"}.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/files/file_steps.h"
#include "core/measure/family.h"
#include "core/result.h"
#include "core/shape/advice.h"
#include "core/words.h"

namespace isotonus {

struct Preset {
    std::string name;
    std::string purpose;  ///< what it is for, in a sentence
    std::optional<Family> family;
    Chain chain;
    /// By how much compressors of it are to reduce, by processor: their thresholds are found for the sound that they
    /// get (see with_reductions); until then those of the chain hold.
    std::map<uint64_t, ReductionAim> reductions = {};
    bool own = false;  ///< the user's
    UnknownKeys unknown = nullptr;
};

/// Those that ship with it.  Their figures are common practice, no source.
const std::vector<Preset>& shipped_presets();

/// $XDG_CONFIG_HOME/isotonus/presets.
fs::path preset_folder();

/// The shipped ones, then the user's in name order.  A file that cannot be read is left out and told in `problems`.
std::vector<Preset> all_presets(std::vector<Error>* problems = nullptr);
const Preset* find_preset(const std::vector<Preset>& presets, std::string_view name);

std::string preset_text(const Preset& preset);
/// Fails with a sentence that names the place in the file.
Result<Preset> read_preset(const fs::path& file);
/// Keeps a chain under a name, in the place of the user's preset of that name if there is one.  Keys, which are rows of
/// one session, and match gains, which are of one sound, are left out.  Fails for an empty name, the name of a shipped
/// preset, or when it cannot be written.
Result<void> keep_preset(const std::string& name, const std::string& purpose, const Chain& chain);
/// Fails when the user has no preset of this name.
Result<void> remove_preset(const std::string& name);

/// It adds to what comes in (reverb, delay, chorus): a starting point for a return, which is without what came in.
bool suits_a_return(const Chain& chain);
Chain for_a_return(Chain chain);
/// For a bus beside the rows that send to it: what is pressed hard is blended in by the bus's fader.
inline constexpr const char* parallel_preset = "Pressed copy";
/// For the main output of a demo that is shared as it is.
inline constexpr const char* sharing_preset = translatable("For sharing");

/// The same processors with ids that the chain which they replace never had, so that its rides do not become theirs.
Chain copied(const Chain& chain, const Chain& replaced);

/// A chain with a preset behind it or in its place, and what its compressors are to reduce by under their new ids.
struct TakenPreset {
    Chain chain;
    std::map<uint64_t, ReductionAim> reductions;
};
TakenPreset taken(const Preset& preset, const Chain& now, bool append);

}  // namespace isotonus
