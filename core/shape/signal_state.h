// What is held of a signal.  For the files of core/shape/signal*.cpp.
#pragma once

#include "core/files/spool.h"
#include "core/shape/signal.h"

namespace isotonus {

class SignalMaking;

struct SignalState {
    explicit SignalState(const SignalRecipe& recipe);
    /// One that is made from its source on: `run` is of the chain what begins at `first`.
    static std::shared_ptr<SignalState> to_make(const SignalRecipe& whole, const SignalRecipe& run, size_t first,
                                                bool streamed);

    SignalRecipe recipe;
    SignalRecipe run;  ///< what is run when it is read: of a chain with a plug-in, what follows its kept sound
    std::string key;
    bool provisional = false, streamed = false;
    int64_t frames = 0;
    int64_t spacing_cells = 0;  ///< between checkpoints
    size_t state_bytes = 0;
    std::vector<std::byte> checkpoints;         ///< one after the other, the first at the song's start
    std::shared_ptr<Spooled> kept_checkpoints;  ///< the same; null: they are in memory
    size_t checkpoint_bytes = 0;
    std::vector<std::vector<float>> reductions;  ///< by place in the chain
    std::vector<ChainRun::Passed> passed;        ///< likewise
    std::vector<std::string> faults;             ///< likewise
    std::shared_ptr<Spooled> kept;               ///< all its samples, interleaved; null: there was no room
    std::shared_ptr<SignalMaking> making;        ///< of one that is made from its source on

    bool is_being_made() const;
    bool is_kept() const;
    /// The states at the start of every so many cells: in memory while it is made, then on the disk while there is
    /// room.
    std::optional<std::vector<std::byte>> checkpoint(size_t number) const;  ///< nothing when the disk fails
    void keep_checkpoints();
};

}  // namespace isotonus
