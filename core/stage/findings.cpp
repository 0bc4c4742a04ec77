#include "core/stage/findings.h"

#include <fmt/format.h>

#include <cmath>

namespace isotonus {

namespace {

/// Seconds before the first block that is louder than -60 dBFS.
double silent_start_s(const LevelSummary& s, int sample_rate) {
    const int64_t blocks = s.blocks();
    int64_t b = 0;
    for (; b < blocks; ++b) {
        bool sounding = false;
        for (int c = 0; c < s.channels; ++c) {
            const size_t at = static_cast<size_t>(b * s.channels + c);
            sounding = sounding || s.high[at] > 0.001f || s.low[at] < -0.001f;
        }
        if (sounding) break;
    }
    return static_cast<double>(b * LevelSummary::block_frames) / sample_rate;
}

}  // namespace

std::vector<Finding> findings_of(const Material& material) {
    const Measurement& m = material.measurement;
    std::vector<Finding> found;
    if (!m.sample_peak_dbfs) {
        found.push_back({"silent", "silent from start to end"});
        return found;
    }
    if (m.clipped_runs > 0) {
        const double rate = material.media.source.sample_rate;
        found.push_back({"clipped", fmt::format("clipped {}×", m.clipped_runs),
                         static_cast<double>(m.first_clipped_runs.front().first_frame) / rate});
    }
    if (m.non_finite_samples > 0)
        found.push_back({"not_numbers", fmt::format("{} samples are not numbers", m.non_finite_samples)});
    if (std::fabs(m.dc_offset) > 0.001)
        found.push_back({"dc_offset", fmt::format("DC offset {:+.1f} %", 100.0 * m.dc_offset)});
    if (m.correlation && *m.correlation < 0.0)
        found.push_back({"correlation", fmt::format("loses in mono (correlation {:.2f})", *m.correlation)});
    if (m.average_dbfs && *m.average_dbfs < -28.0)
        found.push_back({"quiet", fmt::format("quiet: average {:.0f} dBFS", *m.average_dbfs)});
    if (!material.media.source.warning.empty()) found.push_back({"truncated", "the file ends early"});
    if (const double s = silent_start_s(material.summary, m.sample_rate); s > 5.0)
        found.push_back({"silent_start", fmt::format("silent for {:.1f} s", s), s, false});
    if (m.duration_s() - m.peak_time_s < 0.08 * m.duration_s() && m.duration_s() > 20.0)
        found.push_back({"late_peak", fmt::format("peak at {:.1f} s", m.peak_time_s), m.peak_time_s, false});
    if (material.media.converted() && material.media.source.sample_rate != m.sample_rate)
        found.push_back({"converted",
                         fmt::format("converted from {:g} kHz", material.media.source.sample_rate / 1000.0), -1.0,
                         false});
    return found;
}

}  // namespace isotonus
