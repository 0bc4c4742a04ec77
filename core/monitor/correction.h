// A correction of the user's own on the monitor path: of a room or of headphones, as points of frequency and gain.
#pragma once

#include <filesystem>
#include <string>
#include <vector>

#include "core/audio/biquad.h"
#include "core/result.h"

namespace isotonus {

struct CorrectionPoint {
    double hz = 0.0;  ///< 10 … 40,000
    double db = 0.0;  ///< -24 … +24
    bool operator==(const CorrectionPoint&) const = default;
};

struct CorrectionCurve {
    std::string name;                     ///< of the file, without its ending
    std::vector<CorrectionPoint> points;  ///< rising in frequency; at least one
    bool operator==(const CorrectionCurve&) const = default;
    /// Between points along a line over the logarithm of frequency; beyond the ends as at the ends.
    double db_at(double hz) const;
};

/// Lines of "frequency, dB" (comma, semicolon, tab or space between them); lines that begin with a letter or # are
/// titles.  Fails with a sentence for what cannot be read, is out of range or does not rise.
Result<CorrectionCurve> read_correction(const std::filesystem::path& file);

/// A bell at each third octave from 20 Hz to 20 kHz (as far as the rate goes), whose gains are solved so that together
/// they give the curve there: gains in dB of bells of one width add up nearly linearly, so that a few Newton steps do.
std::vector<Biquad> correction_sections(const CorrectionCurve& curve, double sample_rate);

}  // namespace isotonus
