// A ride draft for a track of the mix: by its own level, against the rest, or by what is heard of it.
#pragma once

#include "core/balance/audibility.h"
#include "core/ride/draft.h"

namespace isotonus {

enum class DraftBy {
    level,  ///< each phrase at one level after the trim, dBFS (AES17)
    rest,   ///< each phrase this much above the rest of the mix, dB, both K-weighted at the main output
    heard,  ///< in each phrase this share of the track's bands is heard, 0 … 1 (docs/audibility.md)
};

class TrackDraft {
  public:
    /// The plan is one without the ride that is to be drafted; all other rides count.  `margins`, of that plan, are
    /// needed for DraftBy::heard only.
    TrackDraft(const RenderPlan& plan, TrackId id, DraftBy by, Margins margins = {});

    /// In seconds of the song; held against what the draft goes by.
    std::vector<Phrase> phrases(const DraftWish& wish, double wanted) const;
    /// What the phrases have now, at the median; absent when there is none to ride.
    Level middle(const DraftWish& wish = {}) const;
    /// `wanted` in the unit of DraftBy; of the wish what it does not say.  Locked points of `before` stay.
    Curve draft(double wanted, DraftWish wish, const Curve& before = {}) const;

  private:
    static constexpr double hop_s = 0.1;  ///< of the powers
    std::pair<int64_t, int64_t> frames_of(const Phrase& phrase) const;

    DraftBy by_;
    Margins margins_;
    int sample_rate_;
    double shift_s_ = 0.0;            ///< where in the song the first hop begins
    std::vector<double> own_, rest_;  ///< mean square of each hop: of the track, and of all other heard tracks
};

}  // namespace isotonus
