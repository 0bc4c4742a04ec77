// Whatever can be played: one interface for a file's source, for what a chain makes and for a sum of channels.
#pragma once

#include <memory>
#include <set>
#include <string>

#include "core/audio/source.h"

namespace isotonus {

/// Samples of a whole song that can be read from any frame on, by any number of readers at once.
class Playable {
  public:
    virtual ~Playable() = default;

    virtual int channels() const = 0;    ///< 1 or 2
    virtual int rate() const = 0;        ///< Hz, the session's
    virtual int64_t frames() const = 0;  ///< from the song's start, or from `origin().lead` before it
    /// The file's source that all of it is made of; an empty one where there is not one alone: of a sum.
    virtual const ReadySource& origin() const = 0;

    virtual Result<std::unique_ptr<FrameReader>> open() const = 0;
    /// For one who reads all of it in order: may be computed ahead on a thread of its own.
    virtual Result<std::unique_ptr<FrameReader>> open_ahead() const { return open(); }

    /// Covers all that the samples depend on: two with one key play the same samples, also in another run of the
    /// program.
    virtual std::string content_key() const = 0;
    /// Its samples are those of its key to the bit wherever reading begins.  Otherwise it is for the ear, at once.
    virtual bool is_exact() const { return true; }

    /// Those that were looked at already.
    using Seen = std::set<const Playable*>;
    /// Fails when a file or a plug-in that it was made of was changed since.
    virtual Result<void> unchanged(Seen& seen) const = 0;
};
using PlayablePtr = std::shared_ptr<const Playable>;

/// What the files of a source hold, as far as the source plays it.
class FileSound : public Playable {
  public:
    explicit FileSound(ReadySource ready) : ready_(std::move(ready)) {}
    int channels() const override { return ready_.channels; }
    int rate() const override { return ready_.rate; }
    int64_t frames() const override { return ready_.frames; }
    const ReadySource& origin() const override { return ready_; }
    Result<std::unique_ptr<FrameReader>> open() const override { return open_source(ready_); }
    std::string content_key() const override { return source_key(ready_.source) + "\n" + ready_.content; }
    Result<void> unchanged(Seen& seen) const override;

  private:
    const ReadySource ready_;
};

}  // namespace isotonus
