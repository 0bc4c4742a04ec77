#include "core/compare/wide_differences.h"

#include <cmath>

#include "core/decibels.h"

namespace isotonus {

std::array<Level, 4> wide_differences_db(const std::vector<BandDifference>& bands) {
    ThirdOctaves mix{}, other{};
    const auto power = [](const Level& dbfs) { return dbfs ? std::pow(10.0, (*dbfs - aes17_db) / 10.0) : 0.0; };
    for (size_t b = 0; b < bands.size(); ++b) {
        mix[b] = power(bands[b].mix_dbfs);
        other[b] = power(bands[b].reference_dbfs);
    }
    const auto of_mix = wide_bands_dbfs(mix), of_other = wide_bands_dbfs(other);
    std::array<Level, 4> found;
    for (size_t n = 0; n < found.size(); ++n)
        if (of_mix[n] && of_other[n]) found[n] = *of_mix[n] - *of_other[n];
    return found;
}

}  // namespace isotonus
