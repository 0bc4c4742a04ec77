// A fast hash that notices damage: XXH3, 64 bits (libxxhash).  It is no proof against anybody who means to deceive.
#pragma once

#include <xxhash.h>

#include <memory>

#include "core/files/pooled_file.h"

namespace isotonus {

class Hash {
  public:
    Hash() : state_(XXH3_createState()) { XXH3_64bits_reset(state_.get()); }
    void add(const void* data, size_t bytes);
    uint64_t value() const { return XXH3_64bits_digest(state_.get()); }

    /// Of a file from a place to its end.  It is read, not mapped, so that it needs no memory.  Fails with a sentence.
    static Result<uint64_t> of(PooledFile& file, int64_t from = 0);

    /// A name for whatever a text describes, 32 hexadecimal digits: of 128 bits, since two names must never meet.
    static std::string name_of(std::string_view text);

  private:
    struct Free {
        void operator()(XXH3_state_t* state) const { XXH3_freeState(state); }
    };
    std::unique_ptr<XXH3_state_t, Free> state_;
};

}  // namespace isotonus
