#include "core/session/listening.h"

#include <algorithm>

namespace isotonus {

const RecordingPassage* Recording::tied_at(double song_s) const {
    const RecordingPassage* found = nullptr;
    for (const RecordingPassage& p : passages)
        if (p.tied() && *p.song_from_s <= song_s && song_s < *p.song_to_s &&
            (!found || *p.song_from_s > *found->song_from_s))
            found = &p;
    return found;
}

double Recording::recording_time_s(double song_s) const {
    const RecordingPassage* const p = tied_at(song_s);
    return p ? p->from_s + (song_s - *p->song_from_s) : song_s + starts_s;
}

void sort_notes(std::vector<ListeningNote>& notes) {
    std::stable_sort(notes.begin(), notes.end(),
                     [](const ListeningNote& a, const ListeningNote& b) { return a.time_s < b.time_s; });
}

}  // namespace isotonus
