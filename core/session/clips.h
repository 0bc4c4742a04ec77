// Editing clips: enough to lift a quiet passage or cut out a noise.  Each takes and returns a track's list of clips.
#pragma once

#include <vector>

#include "core/audio/source.h"

namespace isotonus {

using Clips = std::vector<Clip>;

/// The clips of a source; one that has none is one clip, all of the file.
Clips clips_of(const Source& source, int64_t file_frames);

/// The clip that sounds at a frame of the song (the last in the list where several do); -1 for none.
int clip_at(const Clips& clips, int64_t frame);

/// Cut in two at a frame of the song; nothing changes when the frame is not inside.  What is heard stays the same.
Clips with_split(Clips clips, size_t index, int64_t frame);

/// Moved in the song; not to before its start.
Clips with_clip_moved(Clips clips, size_t index, int64_t by);

/// An end moved, what sounds staying where it is; not beyond the file, and at least 32 frames long.
Clips with_clip_start(Clips clips, size_t index, int64_t frame);
Clips with_clip_end(Clips clips, size_t index, int64_t frame, int64_t file_frames);

/// Louder or quieter between two frames of the song, with fades of `fade` frames across the edges.
Clips with_gain_between(const Clips& clips, int64_t from, int64_t to, double gain_db, int64_t fade);

/// Nothing sounds between two frames of the song; what remains is faded over `fade` frames before and after.
Clips with_silence_between(const Clips& clips, int64_t from, int64_t to, int64_t fade);

}  // namespace isotonus
