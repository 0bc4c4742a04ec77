#include "core/session/clips.h"

#include <algorithm>

namespace isotonus {

namespace {

constexpr int64_t shortest = 32;

/// Fades do not reach across each other.
void fit_fades(Clip& c) {
    c.fade_in = std::clamp<int64_t>(c.fade_in, 0, c.frames);
    c.fade_out = std::clamp<int64_t>(c.fade_out, 0, c.frames - c.fade_in);
}

/// The part of a clip between two frames of the song.
Clip part_of(const Clip& clip, int64_t from, int64_t to) {
    Clip part = clip;
    part.start = from;
    part.offset = clip.offset + from - clip.start;
    part.frames = to - from;
    if (from > clip.start) part.fade_in = 0;
    if (to < clip.end()) part.fade_out = 0;
    fit_fades(part);
    return part;
}

}  // namespace

Clips clips_of(const Source& source, int64_t file_frames) {
    return source.clips.empty() ? Clips{{0, 0, file_frames}} : source.clips;
}

int clip_at(const Clips& clips, int64_t frame) {
    for (size_t i = clips.size(); i-- > 0;)
        if (frame >= clips[i].start && frame < clips[i].end()) return static_cast<int>(i);
    return -1;
}

Clips with_split(Clips clips, size_t index, int64_t frame) {
    const Clip whole = clips[index];
    // Inside a fade a cut would change what is heard.
    if (frame < whole.start + std::max(shortest, whole.fade_in) ||
        frame > whole.end() - std::max(shortest, whole.fade_out))
        return clips;
    clips[index] = part_of(whole, whole.start, frame);
    clips.insert(clips.begin() + static_cast<std::ptrdiff_t>(index) + 1, part_of(whole, frame, whole.end()));
    return clips;
}

Clips with_clip_moved(Clips clips, size_t index, int64_t by) {
    clips[index].start = std::max<int64_t>(0, clips[index].start + by);
    return clips;
}

Clips with_clip_start(Clips clips, size_t index, int64_t frame) {
    Clip& c = clips[index];
    const int64_t earliest = std::max<int64_t>(0, c.start - std::max<int64_t>(0, c.offset));
    const int64_t to = std::clamp(frame, std::min(earliest, c.start), c.end() - shortest);
    c.offset += to - c.start;
    c.frames -= to - c.start;
    c.start = to;
    fit_fades(c);
    return clips;
}

Clips with_clip_end(Clips clips, size_t index, int64_t frame, int64_t file_frames) {
    Clip& c = clips[index];
    const int64_t latest = std::max(c.end(), c.start + file_frames - c.offset);
    c.frames = std::clamp(frame, c.start + shortest, latest) - c.start;
    fit_fades(c);
    return clips;
}

Clips with_gain_between(const Clips& clips, int64_t from, int64_t to, double gain_db, int64_t fade) {
    Clips next;
    for (const Clip& c : clips) {
        if (c.end() <= from || c.start >= to) {
            next.push_back(c);
            continue;
        }
        // A crossfade needs its length of material on each side of an edge; nearer to the clip's end there is no edge.
        const bool before = from - fade / 2 > c.start + c.fade_in, after = to + fade / 2 < c.end() - c.fade_out;
        const int64_t middle_from = before ? from - fade / 2 : c.start, middle_to = after ? to + fade / 2 : c.end();
        if (before) {
            next.push_back(part_of(c, c.start, middle_from + fade));
            next.back().fade_out = fade;
        }
        Clip middle = part_of(c, middle_from, middle_to);
        middle.gain_db = std::clamp(c.gain_db + gain_db, -clip_gain_max_db, clip_gain_max_db);
        if (before) middle.fade_in = fade;
        if (after) middle.fade_out = fade;
        next.push_back(middle);
        if (after) {
            next.push_back(part_of(c, middle_to - fade, c.end()));
            next.back().fade_in = fade;
        }
    }
    return next;
}

Clips with_silence_between(const Clips& clips, int64_t from, int64_t to, int64_t fade) {
    Clips next;
    for (const Clip& c : clips) {
        if (c.end() <= from || c.start >= to) {
            next.push_back(c);
            continue;
        }
        if (from - c.start >= shortest) {
            next.push_back(part_of(c, c.start, from));
            next.back().fade_out = std::min(fade, next.back().frames - next.back().fade_in);
        }
        if (c.end() - to >= shortest) {
            next.push_back(part_of(c, to, c.end()));
            next.back().fade_in = std::min(fade, next.back().frames - next.back().fade_out);
        }
    }
    // A list without clips would mean the whole file: a track that is all cut away keeps one silent clip.
    if (next.empty() && !clips.empty()) {
        next.push_back(clips.front());
        next.back().gain_db = -clip_gain_max_db;
    }
    return next;
}

}  // namespace isotonus
