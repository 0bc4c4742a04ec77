// Families of tracks: what belongs together in a mix.
#pragma once

#include <array>
#include <string>
#include <string_view>

namespace isotonus {

enum class Family { drums, percussion, bass, guitars, keys, strings, voices, effects, other };

inline constexpr std::array<const char*, 9> family_names{"drums",   "percussion", "bass",    "guitars", "keys",
                                                         "strings", "voices",     "effects", "other"};
inline const char* family_name(Family family) { return family_names[static_cast<size_t>(family)]; }

/// From the words of a track's name: "03 Snare top" is drums, "BV left" voices; a plural counts as its singular.  Words
/// that are joined are parted ("KickIn", "HHopen", "snaretop"), and abbreviations of the trade are known.  A source
/// leads before the part that it plays ("bass synth" is a bass), of several the last, and some mean another thing
/// together ("bass drum" is a kick); none makes it `other`.  The words are common practice, no source.
Family guess_family(std::string_view name);

/// What the same words say of whether a track is struck or held.  Words that only drums have (kick, snare, tom …) leave
/// no doubt, however long they ring; common practice, no source.
enum class KindHint { none, percussive, sustained, certainly_percussive };
KindHint kind_hint(std::string_view name);
/// The word that said so; empty: none did.
std::string word_of_kind(std::string_view name);

/// A word of a track's name, in any case and also as a plural, or another of the trade's names for the same: "BD" has
/// the word "kick".
bool has_word(std::string_view name, std::string_view word);

/// How many names and abbreviations are known.
size_t known_names();

/// The colour that tracks of a family get when they come in, 0 … 8.
inline int colour_of(Family family) { return static_cast<int>(family); }

}  // namespace isotonus
