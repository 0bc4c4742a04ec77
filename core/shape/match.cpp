#include "core/shape/match.h"

#include <algorithm>

namespace isotonus {

std::optional<double> match_by_power(const Signal& with, size_t position) {
    const Level gain = with.gain_db(position);
    return gain ? std::optional(std::clamp(*gain, -match_max_db, match_max_db)) : std::nullopt;
}

SignalRecipe recipe_without(const Signal& with, size_t position) {
    SignalRecipe recipe = with.recipe();
    recipe.chain[position].in = false;
    recipe.chain[position].match_db = 0.0;
    return recipe;
}

std::optional<double> match_by_loudness(const Measurement& with, const Measurement& without) {
    if (!with.integrated_lufs || !without.integrated_lufs) return std::nullopt;
    return std::clamp(*with.integrated_lufs - *without.integrated_lufs, -match_max_db, match_max_db);
}

}  // namespace isotonus
