#include "core/stage/staging.h"

#include <algorithm>
#include <cmath>

#include "core/measure/family.h"
#include "core/session/clips.h"
#include "core/words.h"

namespace isotonus {

Kind kind_of(const Track& track, const Measurement& measured) { return track.kind.value_or(measured.kind); }

std::string kind_because(const Track& track) {
    if (track.kind) return translated("set by hand");
    const std::string word = word_of_kind(track.source.file.stem().string());
    return word.empty() ? translated("by its sound") : translate("by the word '{}' in its name", word);
}

Target target_of(const TargetSheet& sheet, const Track& track, const Measurement& measured) {
    if (track.target) return *track.target;
    return target_for(sheet, track.name, family_of(track, &measured), kind_of(track, measured));
}

bool counts_spikes(const TargetSheet& sheet, const Track& track) {
    return track.count_spikes.value_or(sheet.count_spikes);
}

Level level_for(Measure measure, const Measurement& measured, bool count_spikes) {
    switch (measure) {
        case Measure::peak:
            return count_spikes ? measured.sample_peak_dbfs : measured.peak_without_spikes_dbfs;
        case Measure::average:
            return measured.average_dbfs;
        case Measure::true_peak:
            return measured.true_peak_dbtp;
        case Measure::short_term:
            // What is shorter than 3 s is taken as a whole.
            return measured.max_short_term_lufs ? measured.max_short_term_lufs : measured.integrated_lufs;
        case Measure::vu:
            break;
    }
    return measured.vu_max_dbfs;
}

namespace {

Level plus(const Level& level, double db) { return level ? Level(*level + db) : std::nullopt; }

void put_trim(Staging& s, double trim_db, const TargetSheet& sheet, const Measurement& measured) {
    s.trim_db = trim_db;
    s.after_dbfs = plus(s.before_dbfs, trim_db);
    s.peak_after_dbfs = plus(measured.sample_peak_dbfs, trim_db);
    s.over_ceiling_db = s.peak_after_dbfs ? std::max(0.0, *s.peak_after_dbfs - sheet.peak_ceiling_dbfs) : 0.0;
    if (s.over_ceiling_db < 1e-9) s.over_ceiling_db = 0.0;
}

}  // namespace

Staging stage_track(const TargetSheet& sheet, const Track& track, const Measurement& measured) {
    Staging s;
    s.kind = kind_of(track, measured);
    s.target = target_of(sheet, track, measured);
    s.spikes_counted = counts_spikes(sheet, track) || measured.spikes.empty();
    s.before_dbfs = level_for(s.target.measure, measured, s.spikes_counted);
    const Level peak = level_for(Measure::peak, measured, s.spikes_counted);
    if (!s.before_dbfs || !peak) return s;
    s.wanted_db = s.target.aim_dbfs - *s.before_dbfs;
    const double allowed = sheet.peak_ceiling_dbfs - *peak;
    s.limited_by_peak = !track.passes_ceiling && s.wanted_db > allowed + 1e-9;
    const double trim = s.limited_by_peak ? allowed : s.wanted_db;
    const double possible = std::clamp(trim, -trim_max_db, trim_max_db);
    s.limited_by_range = possible != trim;
    put_trim(s, possible, sheet, measured);
    return s;
}

Staging staged_as_is(const TargetSheet& sheet, const Track& track, const Measurement& measured) {
    Staging s = stage_track(sheet, track, measured);
    // Limits are those of the proposal; they hold for the trim as it stands only if it is the one proposed.
    if (std::fabs(s.trim_db - track.trim_db) > 0.05) s.limited_by_peak = s.limited_by_range = false;
    put_trim(s, track.trim_db, sheet, measured);
    return s;
}

Fit fit_of(const Staging& s) {
    if (!s.after_dbfs) return Fit::silent;
    if (*s.after_dbfs > s.target.high_dbfs + 1e-9) return Fit::above;
    if (*s.after_dbfs < s.target.low_dbfs - 1e-9) return Fit::below;
    return Fit::inside;
}

std::string why_not_in_window(const TargetSheet& sheet, const Track& track, const Measurement& measured) {
    const Staging s = staged_as_is(sheet, track, measured);
    if (fit_of(s) == Fit::silent) return translated("the track is silent");
    if (fit_of(s) == Fit::inside) return {};
    const Level peak = level_for(Measure::peak, measured, s.spikes_counted);
    if (s.limited_by_range)
        return translate("the track needs a trim of {:+.1f} dB, and a trim goes to ±{:.0f} dB", s.wanted_db,
                         trim_max_db);
    if (s.limited_by_peak && peak)
        return translate("the peak would be {:.1f} dBFS, above the ceiling of {:.1f} dBFS", *peak + s.wanted_db,
                         sheet.peak_ceiling_dbfs);
    return {};
}

Source staging_source(const Track& track, const ReadySource& played) {
    Source source = source_of(track);
    if (!track.staged_without) return source;
    const auto frame_of = [&](double time_s) { return std::llround(time_s * played.rate) - whole_delay(track); };
    source.clips = with_silence_between(clips_of(source, played.file_frames()), frame_of(track.staged_without->from_s),
                                        frame_of(track.staged_without->to_s), played.rate / 500);
    return source;
}

Result<Measurement> measurement_for_staging(const Track& track, const Material& whole, Progress* progress) {
    if (!track.staged_without) return whole.measurement;
    const auto rest = load_material(staging_source(track, whole.origin()), whole.rate(), progress);
    if (!rest) return tl::unexpected(rest.error());
    Measurement measured = (*rest)->measurement;
    measured.kind = whole.measurement.kind;
    return measured;
}

std::vector<Choice> choices_for(const Staging& s, const Measurement& measured) {
    std::vector<Choice> choices;
    if (!measured.spikes.empty() && s.spikes_counted && (s.limited_by_peak || s.over_ceiling_db > 0.0))
        choices.push_back(Choice::leave_out_spikes);
    if (!measured.spikes.empty() && (s.limited_by_peak || s.over_ceiling_db > 0.0))
        choices.push_back(Choice::tame_spikes);
    if (s.limited_by_range) choices.push_back(Choice::use_clip_gain);
    if (s.limited_by_peak) choices.push_back(Choice::pass_ceiling);
    if ((s.limited_by_peak || s.limited_by_range) && fit_of(s) != Fit::inside) choices.push_back(Choice::accept);
    return choices;
}

Track with_spikes_tamed(const Track& track, const Material& material) {
    Track next = track;
    const Measurement& m = material.measurement;
    if (!m.peak_without_spikes_dbfs) return next;
    const int64_t fade = material.rate() / 500;
    Clips clips = clips_of(track.source, material.origin().file_frames());
    for (const Spike& spike : m.spikes) {
        // The crossfades lie outside of the spike, half a fade of which is under each edge.
        const int64_t first = spike.first_frame - material.origin().lead;
        clips = with_gain_between(clips, first - fade / 2, first + spike.frames + fade / 2,
                                  *m.peak_without_spikes_dbfs - spike.peak_dbfs, fade);
    }
    next.source.clips = std::move(clips);
    return next;
}

Track with_choice(const Track& track, Choice choice, const Staging& s, const Material& material) {
    Track next = track;
    switch (choice) {
        case Choice::leave_out_spikes:
            next.count_spikes = false;
            break;
        case Choice::tame_spikes:
            next = with_spikes_tamed(track, material);
            break;
        case Choice::use_clip_gain:
            // Whole dB, so that what is left for the trim is near 0.
            next.source.clips = clips_of(track.source, material.origin().file_frames());
            for (Clip& clip : next.source.clips)
                clip.gain_db = std::clamp(clip.gain_db + std::round(s.wanted_db), -clip_gain_max_db, clip_gain_max_db);
            break;
        case Choice::pass_ceiling:
            next.passes_ceiling = true;
            break;
        case Choice::accept:
            if (s.after_dbfs) {
                const double half = (s.target.high_dbfs - s.target.low_dbfs) / 2.0;
                const double middle = std::round(*s.after_dbfs * 10.0) / 10.0;
                next.target = Target{s.target.measure, middle - half, middle, std::min(0.0, middle + half)};
            }
            break;
    }
    return next;
}

Level peak_after_fader_dbfs(const Track& track, const Measurement& measured) {
    return std::isinf(track.fader_db) ? std::nullopt : plus(measured.sample_peak_dbfs, track.trim_db + track.fader_db);
}

Level peak_after_ride_dbfs(const Track& track, const Material& material, double group_db) {
    const double level_db = track.trim_db + track.fader_db + group_db;
    if (std::isinf(level_db)) return std::nullopt;
    std::vector<CurvePtr> rides;
    for (const Parameter p : {Parameter::level, Parameter::trim})
        if (CurvePtr ride = track.rides.heard(p)) rides.push_back(std::move(ride));
    if (rides.empty()) return plus(material.measurement.sample_peak_dbfs, level_db);
    const LevelSummary& s = material.summary;
    const auto channels = static_cast<size_t>(s.channels);
    double most = 0.0;
    for (int64_t b = 0; b < s.blocks(); ++b) {
        float reach = 0.0f;
        for (size_t i = static_cast<size_t>(b) * channels; i < static_cast<size_t>(b + 1) * channels; ++i)
            reach = std::max({reach, -s.low[i], s.high[i]});
        const int64_t first = b * LevelSummary::block_frames + start_in_song(track, material.origin());
        double gain = 1.0;
        for (const CurvePtr& ride : rides)
            gain *= level_ride_bound(*ride, material.rate(), first, LevelSummary::block_frames);
        most = std::max(most, static_cast<double>(reach) * gain);
    }
    return plus(level_from_gain(most), level_db);
}

Level average_after_fader_dbfs(const Track& track, const Measurement& measured) {
    return std::isinf(track.fader_db) ? std::nullopt : plus(measured.average_dbfs, track.trim_db + track.fader_db);
}

Session with_staged_trims(const Session& session, const MeasurementOf& measured, const std::vector<TrackId>* only) {
    Session next = session;
    for (auto& track : next.tracks.change()) {
        const Measurement* m = measured(*track);
        const bool wanted = !only || std::find(only->begin(), only->end(), track->id) != only->end();
        if (!m || !wanted || track->locked) continue;
        Track changed = *track;
        changed.trim_db = stage_track(session.targets, *track, *m).trim_db;
        track = std::make_shared<const Track>(std::move(changed));
    }
    return next;
}

}  // namespace isotonus
