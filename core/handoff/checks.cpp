#include "core/handoff/checks.h"

#include <fmt/format.h>

#include <cmath>

namespace isotonus {

namespace {

constexpr double most_peak_dbfs = -3.0;  // 3 to 6 dB of headroom are asked for
constexpr double most_true_peak_dbtp = -1.0;
constexpr double most_dc = 0.001;  // -60 dBFS

std::string joined(const std::vector<std::string>& names) {
    std::string text;
    for (const auto& n : names) text += (text.empty() ? "" : ", ") + n;
    return text;
}

Check about_tracks(std::string id, const std::vector<std::string>& names, const std::string& found,
                   const std::string& none) {
    return {std::move(id), names.empty(), static_cast<double>(names.size()), 0.0,
            names.empty() ? none : found + ": " + joined(names)};
}

}  // namespace

std::vector<Check> check_handoff(const Session& session, const RenderPlan& plan, const Measurement& mix,
                                 const std::vector<MissingFile>& missing) {
    std::vector<Check> checks;
    std::vector<std::string> muted, soloed, lost, clipped, offset, not_finite;
    for (const MissingFile& m : missing) lost.push_back(fmt::format("{} ({})", m.track, m.error.text()));
    for (const auto& track : session.tracks) {
        if (track->mute) muted.push_back(track->name);
        if (track->solo) soloed.push_back(track->name);
    }
    for (const PlanTrack& t : plan.tracks) {
        const Track* track = session.find(t.id);
        const Measurement& m = t.material->measurement;
        if (!track || !t.heard() || t.part == Band::low) continue;
        if (m.clipped_runs > 0) clipped.push_back(fmt::format("{} ({} runs)", track->name, m.clipped_runs));
        if (std::fabs(m.dc_offset) > most_dc)
            offset.push_back(fmt::format("{} ({:.2f} %)", track->name, 100.0 * m.dc_offset));
        if (m.non_finite_samples > 0) not_finite.push_back(fmt::format("{} ({})", track->name, m.non_finite_samples));
    }

    checks.push_back({"mix_not_silent", mix.sample_peak_dbfs.has_value(), mix.sample_peak_dbfs, std::nullopt,
                      mix.sample_peak_dbfs ? "the mix is heard" : "the mix is silent from start to end"});
    if (mix.sample_peak_dbfs) {
        const double peak = *mix.sample_peak_dbfs;
        checks.push_back(
            {"headroom", peak <= most_peak_dbfs, peak, most_peak_dbfs,
             fmt::format("the mix peaks at {:.1f} dBFS, at {:.2f} s: {:.1f} dB of headroom, 3 to 6 dB are asked for",
                         peak, mix.peak_time_s, -peak)});
        checks.push_back({"true_peak", *mix.true_peak_dbtp <= most_true_peak_dbtp, mix.true_peak_dbtp,
                          most_true_peak_dbtp, fmt::format("the true peak is {:.1f} dBTP", *mix.true_peak_dbtp)});
        checks.push_back({"mix_clips", mix.clipped_runs == 0 && peak <= 0.0, static_cast<double>(mix.clipped_runs), 0.0,
                          mix.clipped_runs == 0 && peak <= 0.0
                              ? "the mix does not clip"
                              : fmt::format("the mix clips in {} runs", mix.clipped_runs)});
        checks.push_back({"mix_dc_offset", std::fabs(mix.dc_offset) <= most_dc, std::fabs(mix.dc_offset), most_dc,
                          fmt::format("the mix's DC offset is {:.3f} % of full scale", 100.0 * mix.dc_offset)});
    }
    checks.push_back(about_tracks("missing_files", lost, "files that cannot be used", "every track's file is there"));
    checks.push_back(about_tracks("solo_left_on", soloed, "solo is on", "no solo is on"));
    checks.push_back(about_tracks("mute_left_on", muted, "muted", "nothing is muted"));
    checks.push_back(about_tracks("clipped_tracks", clipped, "recorded with clipping", "no track has clipped runs"));
    checks.push_back(about_tracks("track_dc_offset", offset, "DC offset", "no track has a DC offset"));
    checks.push_back(about_tracks("samples_not_numbers", not_finite, "samples that are not numbers (played as silence)",
                                  "every sample is a number"));
    return checks;
}

}  // namespace isotonus
