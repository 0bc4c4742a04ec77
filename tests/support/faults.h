// Disks that fail, for tests.
#pragma once

#include <atomic>
#include <cerrno>
#include <optional>

#include "core/files/file_steps.h"

namespace isotonus::test {

/// While it lives, one step of all that touches a disk fails: the one that comes after `steps` others; or, with a kind
/// of step, the one after so many of its kind.
class FaultAt {
  public:
    explicit FaultAt(int steps, int problem = EIO, std::optional<FileStep> only = std::nullopt) {
        set_file_fault([this, steps, problem, only](FileStep step, const fs::path&) {
            if (only && step != *only) return 0;
            const bool now = count_++ == steps;
            if (now) reached_ = true;
            return now ? problem : 0;
        });
    }
    ~FaultAt() { set_file_fault({}); }
    FaultAt(const FaultAt&) = delete;
    bool reached() const { return reached_; }

  private:
    std::atomic<int> count_{0};
    std::atomic<bool> reached_{false};
};

}  // namespace isotonus::test
