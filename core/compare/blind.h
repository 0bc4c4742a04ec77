// A blind comparison: a few versions, shuffled under letters anew in each round; which one is chosen how often, and how
// likely that is by chance.
#pragma once

#include <cstdint>
#include <random>
#include <vector>

namespace isotonus {

class BlindRounds {
  public:
    /// 2 to 16 versions, at least one round.  The same seed shuffles the same way.
    BlindRounds(size_t versions, int rounds, uint64_t seed);

    size_t versions() const { return chosen_.size(); }
    int rounds() const { return rounds_; }
    int round() const { return done_; }  ///< how many are done
    bool finished() const { return done_ >= rounds_; }
    /// Which version stands under a letter (0: A) in this round.
    size_t under(size_t letter) const { return order_[letter]; }
    /// This one was the best of the round.
    void choose(size_t letter);
    const std::vector<int>& chosen() const { return chosen_; }

  private:
    void shuffle();
    std::mt19937_64 random_;
    int rounds_, done_ = 0;
    std::vector<size_t> order_;
    std::vector<int> chosen_;
};

/// How likely it is that one certain version is chosen `times` or more often in so many rounds when nothing is heard:
/// the upper tail of the binomial distribution with 1 / versions.
double chance_of(int times, int rounds, size_t versions);

/// The same of whichever version was chosen most, since nobody said beforehand which it would be: so many times as
/// there are versions (Bonferroni), at most 1.  Of two versions it is the two-sided test.
double chance_of_most(const std::vector<int>& chosen);

}  // namespace isotonus
