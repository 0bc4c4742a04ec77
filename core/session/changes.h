// What differs between a session as it was and as it is, in words, and how to take it back row by row.
#pragma once

#include <string>
#include <vector>

#include "core/session/session.h"

namespace isotonus {

/// What differs in one row.
struct RowChange {
    enum class What { changed, added, removed };
    TrackId row = 0;   ///< `main_output`: the main output, and what concerns the whole session
    std::string name;  ///< as it is called now; of a removed row as it was called
    What what = What::changed;
    std::vector<std::string> words;  ///< "fader -6.0 dB, was -7.5 dB"; never empty
};

/// Only what is heard: names, colours, notes and targets are left aside.  Rows in the order of the session, the main
/// output last.  Rows are the same when their ids are.
std::vector<RowChange> changes_between(const Session& then, const Session& now);

/// `now` with this row as it was, but for what is not heard of it (name, colour, note, target, anchor): one that was
/// added goes, one that was removed comes back where it was.  What it led to and is no longer there, it leads past: to
/// the main output.
Session taken_back(const Session& now, const Session& then, TrackId row);

/// `now` with everything that is heard as it was, likewise: rendered it is the same to the bit, as long as the files
/// are.
Session all_taken_back(const Session& now, const Session& then);

}  // namespace isotonus
