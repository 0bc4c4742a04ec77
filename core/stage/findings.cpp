#include "core/stage/findings.h"

#include <algorithm>
#include <array>
#include <cmath>

#include "core/stage/staging.h"
#include "core/words.h"

namespace isotonus {

namespace {

/// Power (mean square, mean of the channels) and peak in steps of about 50 ms.
struct Step {
    double power = 0.0;
    float peak = 0.0f;
};

std::vector<Step> steps_of(const LevelSummary& s, int sample_rate, double* step_s) {
    const int64_t group = std::max<int64_t>(1, sample_rate / 20 / LevelSummary::block_frames);
    *step_s = static_cast<double>(group * LevelSummary::block_frames) / sample_rate;
    std::vector<Step> steps;
    for (int64_t b = 0; b < s.blocks(); b += group) {
        Step step;
        const int64_t end = std::min(b + group, s.blocks());
        for (size_t i = static_cast<size_t>(b * s.channels); i < static_cast<size_t>(end * s.channels); ++i) {
            step.power += static_cast<double>(s.mean_square[i]);
            step.peak = std::max({step.peak, -s.low[i], s.high[i]});
        }
        step.power /= static_cast<double>((end - b) * s.channels);
        steps.push_back(step);
    }
    return steps;
}

/// The longest stretches of 5 s and more in which nothing reaches -60 dBFS, but for the end of the file.
void find_silences(const std::vector<Step>& steps, double step_s, std::vector<Finding>& found) {
    constexpr double shortest_s = 5.0;
    size_t start = 0;
    for (size_t i = 0; i < steps.size(); ++i) {
        if (steps[i].peak < 0.001f) continue;
        const double silent_s = static_cast<double>(i - start) * step_s;
        if (silent_s >= shortest_s) {
            const double end_s = static_cast<double>(i) * step_s;
            found.push_back(
                {start == 0 ? "silent_start" : "silence",
                 start == 0 ? translate("starts at {:.1f} s", end_s) : translate("silent for {:.1f} s", silent_s),
                 start == 0 ? end_s : static_cast<double>(start) * step_s, false});
            if (start != 0) return;  // one of them says enough
        }
        start = i + 1;
    }
}

}  // namespace

Level noise_floor_dbfs(const LevelSummary& summary, int sample_rate, double average_dbfs, double* time_s) {
    constexpr double seen_again_s = 2.0, same_db = 1.5, falls_db = 0.5, steady_s = 0.5;
    double step_s = 0.0;
    const std::vector<Step> steps = steps_of(summary, sample_rate, &step_s);
    const size_t half = std::max<size_t>(1, static_cast<size_t>(steady_s / 2.0 / step_s)), whole = 2 * half;
    struct Steady {
        double db, at_s;
    };
    std::vector<Steady> found;
    for (size_t i = 0; i + whole <= steps.size(); ++i) {
        double low = steps[i].power, high = low;
        std::array<double, 2> sums{};
        for (size_t k = i; k < i + whole; ++k) {
            low = std::min(low, steps[k].power);
            high = std::max(high, steps[k].power);
            sums[k < i + half ? 0 : 1] += steps[k].power;
        }
        const double level = db_from_power((sums[0] + sums[1]) / static_cast<double>(whole)) + aes17_db;
        if (low <= 0.0 || high > 2.0 * low || level < -90.0 || level > average_dbfs - 20.0) continue;
        // What still falls is the end of a note.
        if (std::fabs(db_from_power(sums[0] / sums[1])) > falls_db) continue;
        found.push_back({level, static_cast<double>(i) * step_s});
    }
    const auto quietest =
        std::min_element(found.begin(), found.end(), [](const Steady& a, const Steady& b) { return a.db < b.db; });
    if (quietest == found.end()) return std::nullopt;
    // A floor is the same whenever nothing plays; a note's level is its own.
    const bool again = std::any_of(found.begin(), found.end(), [&](const Steady& s) {
        return std::fabs(s.at_s - quietest->at_s) >= seen_again_s && s.db <= quietest->db + same_db;
    });
    if (!again) return std::nullopt;
    *time_s = quietest->at_s;
    return quietest->db;
}

namespace {
bool has_dead_side(const Measurement& m) {
    const double left = m.left_dbfs.value_or(-200.0), right = m.right_dbfs.value_or(-200.0);
    return m.channels == 2 && std::min(left, right) < -90.0 && std::max(left, right) > -60.0;
}
}  // namespace

std::vector<Finding> findings_of(const Material& material, const Track& track) {
    const Measurement& m = material.measurement;
    const Measurement& recorded = material.recorded;
    std::vector<Finding> found;
    if (!m.sample_peak_dbfs) {
        found.push_back({"silent", translated("silent from start to end")});
        return found;
    }
    if (*m.sample_peak_dbfs < -70.0) {  // dither and the like: nothing else about it is worth a word
        found.push_back({"silent", translate("nearly silent: peak {:.0f} dBFS", *m.sample_peak_dbfs)});
        return found;
    }
    const auto song_time = [&](int64_t file_frame, double rate) {
        const auto here = static_cast<int64_t>(static_cast<double>(file_frame) / rate * material.rate());
        const int64_t frame = song_frame(track.source, here);
        return frame < 0 ? -1.0 : static_cast<double>(frame) / material.rate();
    };
    if (m.clipped_runs > 0)
        found.push_back({"clipped", translate("clipped {}×", m.clipped_runs),
                         song_time(m.first_clipped_runs.front().first_frame, recorded.sample_rate)});
    if (m.non_finite_samples > 0)
        found.push_back({"not_numbers", translate("{} corrupt samples (NaN)", m.non_finite_samples)});
    const bool as_recorded = track.source.channels == Channels::as_recorded;
    if (m.channels == 2) {
        const double left = m.left_dbfs.value_or(-200.0), right = m.right_dbfs.value_or(-200.0);
        const Remedy other_side = left < right ? Remedy::use_right : Remedy::use_left;
        if (has_dead_side(m))
            found.push_back({"dead_channel",
                             left < right ? translated("left channel is dead") : translated("right channel is dead"),
                             -1.0, true, as_recorded ? other_side : Remedy::none});
        else if (m.side_dbfs.value_or(-200.0) < *m.rms_dbfs - 60.0)
            found.push_back({"mono_as_stereo", translated("mono in a stereo file"), -1.0, false,
                             as_recorded ? Remedy::make_mono : Remedy::none});
        else if (std::fabs(left - right) >= 6.0)
            found.push_back({"imbalance",
                             left > right ? translate("left channel louder by {:.0f} dB", left - right)
                                          : translate("right channel louder by {:.0f} dB", right - left),
                             -1.0, true, as_recorded ? Remedy::make_mono : Remedy::none});
    }
    if (m.correlation && *m.correlation < -0.1)
        found.push_back({"correlation", translate("loses in mono (correlation {:.2f})", *m.correlation), -1.0, true,
                         as_recorded ? Remedy::use_left : Remedy::none});
    else if (m.correlation && *m.correlation < 0.2)
        found.push_back(
            {"low_correlation", translate("correlation {:.1f}", std::max(*m.correlation, 0.0)), -1.0, false});
    if (std::fabs(m.dc_offset) > 0.001)
        found.push_back({"dc_offset", translate("DC offset {:+.1f} %", 100.0 * m.dc_offset), -1.0, true,
                         track.source.offset_removed ? Remedy::none : Remedy::remove_offset});
    if (!wants_lows(track, &m) && m.share_below_40_hz > 0.05)
        found.push_back({"rumble", translate("{:.0f} % of its energy below 40 Hz", 100.0 * m.share_below_40_hz)});
    if (!m.spikes.empty() && m.peak_without_spikes_dbfs && *m.sample_peak_dbfs - *m.peak_without_spikes_dbfs >= 6.0) {
        const auto highest = std::max_element(m.spikes.begin(), m.spikes.end(),
                                              [](const Spike& a, const Spike& b) { return a.peak_dbfs < b.peak_dbfs; });
        found.push_back({"spikes",
                         m.spikes.size() == 1 ? translate("1 spike, {:.0f} dB above the rest",
                                                          *m.sample_peak_dbfs - *m.peak_without_spikes_dbfs)
                                              : translate("{} spikes, {:.0f} dB above the rest", m.spikes.size(),
                                                          *m.sample_peak_dbfs - *m.peak_without_spikes_dbfs),
                         static_cast<double>(highest->first_frame) / m.sample_rate, true, Remedy::tame_spikes});
    }
    const bool percussive = kind_of(track, m) == Kind::percussive;
    if (percussive && *m.sample_peak_dbfs < -24.0)
        found.push_back({"quiet", translate("quiet: peak {:.0f} dBFS", *m.sample_peak_dbfs)});
    if (!percussive && m.average_dbfs && *m.average_dbfs < -28.0)
        found.push_back({"quiet", translate("quiet: average {:.0f} dBFS", *m.average_dbfs)});
    double step_s = 0.0, noise_s = 0.0;
    if (m.average_dbfs) {
        const Level noise = noise_floor_dbfs(material.summary, m.sample_rate, *m.average_dbfs, &noise_s);
        if (noise && *noise > -60.0 && *noise > *m.average_dbfs - 50.0)
            found.push_back({"noise_floor", translate("noise floor {:.0f} dBFS", *noise), noise_s});
    }
    if (!material.origin().media.source.warning.empty())
        found.push_back({"truncated", translated("the file ends early")});
    const std::vector<Step> steps = steps_of(material.summary, m.sample_rate, &step_s);
    find_silences(steps, step_s, found);
    if (m.duration_s() - m.peak_time_s < 0.08 * m.duration_s() && m.duration_s() > 20.0)
        found.push_back({"late_peak", translate("peak at {:.1f} s", m.peak_time_s), m.peak_time_s, false});
    const Media& media = material.origin().media;
    if (media.converted() && media.source.sample_rate != m.sample_rate)
        found.push_back(
            {"converted", translate("converted from {:g} kHz", media.source.sample_rate / 1000.0), -1.0, false});
    if (media.source.channels > 2 && as_recorded)
        found.push_back({"folded", translate("{} channels folded to stereo", media.source.channels), -1.0, false});
    return found;
}

Track with_remedy(const Track& track, Remedy remedy, const Material& material) {
    Track next = track;
    switch (remedy) {
        case Remedy::align:  // these need more than the track itself: see aligned() and with_sides_joined()
        case Remedy::join_sides:
        case Remedy::none:
            break;
        case Remedy::remove_offset:
            next.source.offset_removed = true;
            break;
        case Remedy::make_mono:
            next.source.channels = Channels::mono;
            break;
        case Remedy::use_left:
        case Remedy::use_right:
            next.source.channels = Channels::one;
            next.source.channel = remedy == Remedy::use_left ? 0 : 1;
            break;
        case Remedy::swap_sides:
            next.source.channels =
                track.source.channels == Channels::swapped ? Channels::as_recorded : Channels::swapped;
            break;
        case Remedy::tame_spikes:
            next = with_spikes_tamed(track, material);
            break;
    }
    return next;
}

std::vector<std::pair<TrackId, TrackId>> identical_tracks(const Session& session,
                                                          const std::function<MaterialPtr(const Track&)>& material) {
    std::vector<std::pair<TrackId, TrackId>> found;
    std::vector<std::pair<const Track*, MaterialPtr>> seen;
    for (const auto& track : session.tracks) {
        const MaterialPtr m = material(*track);
        if (!m || !m->measurement.sample_peak_dbfs || !track->source.plain()) continue;
        const auto twin = std::find_if(seen.begin(), seen.end(), [&](const auto& other) {
            const Material& b = *other.second;
            return b.recorded.sample_peak_dbfs == m->recorded.sample_peak_dbfs &&
                   b.recorded.rms_dbfs == m->recorded.rms_dbfs && b.recorded.frames == m->recorded.frames &&
                   b.recorded.channel_mean == m->recorded.channel_mean &&
                   b.recorded.correlation == m->recorded.correlation && b.hops.weighted == m->hops.weighted;
        });
        if (twin != seen.end())
            found.emplace_back(track->id, twin->first->id);
        else
            seen.emplace_back(track.get(), m);
    }
    return found;
}

std::vector<std::pair<TrackId, TrackId>> split_sides(const Session& session,
                                                     const std::function<MaterialPtr(const Track&)>& material) {
    std::vector<const Track*> lefts, rights;
    for (const auto& track : session.tracks) {
        const MaterialPtr m = track->source.plain() ? material(*track) : nullptr;
        if (!m || !has_dead_side(m->measurement)) continue;
        (m->measurement.left_dbfs > m->measurement.right_dbfs ? lefts : rights).push_back(track.get());
    }
    std::vector<std::pair<TrackId, TrackId>> pairs;
    for (const Track* left : lefts) {
        const std::string name = name_without_side(left->source.file.stem().string());
        const auto right = std::find_if(rights.begin(), rights.end(), [&](const Track* t) {
            return !name.empty() && name_without_side(t->source.file.stem().string()) == name &&
                   t->source.file.parent_path() == left->source.file.parent_path();
        });
        if (right == rights.end()) continue;
        pairs.emplace_back(left->id, (*right)->id);
        rights.erase(right);
    }
    return pairs;
}

Finding finding_of_side(const Track& other, bool left_is_dead) {
    return {"side_apart",
            left_is_dead ? translate("left channel is dead, {} has it", other.name)
                         : translate("right channel is dead, {} has it", other.name),
            -1.0,
            true,
            Remedy::join_sides,
            other.id};
}

Session with_sides_joined(const Session& session, TrackId left, TrackId right) {
    const auto *a = session.tracks.with_id(left), *b = session.tracks.with_id(right);
    if (!a || !b) return session;
    const Session next = with_track(session, left, [file = (*b)->source.file](Track& both) {
        both.name = name_without_side(both.source.file.stem().string());
        both.source.right_file = file;
    });
    return without_tracks(next, {right});
}

Session with_sides_panned(const Session& session, TrackId left, TrackId right) {
    Session next = session;
    for (const TrackId id : {left, right})
        next = with_track(next, id, [&](Track& t) {
            t.source.channels = Channels::one;
            t.source.channel = id == left ? 0 : 1;
            t.pan = id == left ? -1.0 : 1.0;
        });
    return next;
}

}  // namespace isotonus
