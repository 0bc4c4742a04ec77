// Sections and tempo from and to open formats: Standard MIDI Files (markers, tempo map, time signatures) and the cue
// points of WAVE files.
#pragma once

#include "core/session/session.h"

namespace isotonus {

struct SectionsAndTempo {
    std::vector<Section> sections;
    std::vector<TempoMark> tempo;
};

/// Reads a MIDI file (.mid, .midi) or the cue points of an audio file.  Fails with a sentence when there is nothing in
/// it, or when it is broken.
Result<SectionsAndTempo> read_sections(const fs::path& file);

/// Standard MIDI File 1.0 (format 0 and 1, metrical time): meta events 6 (marker), 7 (cue point), 51h (tempo), 58h
/// (time signature).  `name` goes into errors.
Result<SectionsAndTempo> sections_from_midi(const std::string& bytes, const std::string& name);

/// Format 1, 960 ticks a quarter; times are exact to 2 ms and better.
std::string sections_to_midi(const Session& session);

}  // namespace isotonus
