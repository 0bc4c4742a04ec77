#include "core/compare/blind.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace isotonus {

BlindRounds::BlindRounds(size_t versions, int rounds, uint64_t seed)
    : random_(seed), rounds_(std::max(1, rounds)), order_(std::clamp<size_t>(versions, 2, 16)), chosen_(order_.size()) {
    std::iota(order_.begin(), order_.end(), size_t{0});
    shuffle();
}

void BlindRounds::shuffle() { std::shuffle(order_.begin(), order_.end(), random_); }

void BlindRounds::choose(size_t letter) {
    if (finished() || letter >= order_.size()) return;
    ++chosen_[order_[letter]];
    ++done_;
    shuffle();
}

double chance_of(int times, int rounds, size_t versions) {
    const double p = 1.0 / static_cast<double>(versions), n = rounds;
    double sum = 0.0;
    for (int k = std::max(0, times); k <= rounds; ++k)
        sum += std::exp(std::lgamma(n + 1.0) - std::lgamma(k + 1.0) - std::lgamma(n - k + 1.0) + k * std::log(p) +
                        (n - k) * std::log1p(-p));
    return std::min(1.0, sum);
}

double chance_of_most(const std::vector<int>& chosen) {
    if (chosen.size() < 2) return 1.0;
    const int rounds = std::accumulate(chosen.begin(), chosen.end(), 0);
    const int most = *std::max_element(chosen.begin(), chosen.end());
    return std::min(1.0, static_cast<double>(chosen.size()) * chance_of(most, rounds, chosen.size()));
}

}  // namespace isotonus
