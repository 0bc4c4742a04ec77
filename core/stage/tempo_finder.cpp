#include "core/stage/tempo_finder.h"

#include <algorithm>
#include <cmath>
#include <complex>
#include <numbers>

#include "core/ride/hits.h"

namespace isotonus {

namespace {

constexpr double slowest = 60.0, fastest = 200.0, near_s = 0.025;

/// How well hits agree on a place within a period, 0 … 1, and on which (seconds after a multiple of it).
struct Agreement {
    double share = 0.0, offset_s = 0.0;
};
Agreement agreement(const std::vector<double>& hits, double period_s) {
    std::complex<double> sum = 0.0;
    for (const double t : hits) sum += std::polar(1.0, 2.0 * std::numbers::pi * t / period_s);
    return {std::abs(sum) / static_cast<double>(hits.size()), std::arg(sum) / (2.0 * std::numbers::pi) * period_s};
}

/// How well a beat explains the hits: on beats, eighths and sixteenths, and how usual such a tempo is.
double fit(const std::vector<double>& hits, double beats_a_minute) {
    const double beat_s = 60.0 / beats_a_minute, octaves = std::log2(beats_a_minute / 115.0);
    return (agreement(hits, beat_s).share + agreement(hits, beat_s / 2.0).share + agreement(hits, beat_s / 4.0).share) *
           std::exp(-0.5 * octaves * octaves);
}

/// The median time from one hit to the next; 0 for fewer than two.
double usual_gap_s(const std::vector<double>& hits) {
    std::vector<double> gaps;
    for (size_t n = 1; n < hits.size(); ++n) gaps.push_back(hits[n] - hits[n - 1]);
    if (gaps.empty()) return 0.0;
    const auto middle = gaps.begin() + std::ssize(gaps) / 2;
    std::nth_element(gaps.begin(), middle, gaps.end());
    return *middle;
}

/// The line through the hits over the numbers of their sixteenths, by least squares: start and length of a sixteenth.
std::pair<double, double> line_through(const std::vector<double>& hits, double start_s, double step_s) {
    double n = 0.0, x = 0.0, y = 0.0, xx = 0.0, xy = 0.0;
    for (const double t : hits) {
        const double number = std::round((t - start_s) / step_s);
        if (std::fabs(start_s + number * step_s - t) > near_s) continue;
        n += 1.0, x += number, y += t, xx += number * number, xy += number * t;
    }
    const double spread = n * xx - x * x;
    if (spread <= 0.0) return {start_s, step_s};
    const double step = (n * xy - x * y) / spread;
    return {(y - step * x) / n, step};
}

}  // namespace

std::optional<FoundTempo> tempo_of_hits(const std::vector<double>& kicks, const std::vector<double>& backbeats) {
    std::vector<double> hits = kicks;
    hits.insert(hits.end(), backbeats.begin(), backbeats.end());
    std::sort(hits.begin(), hits.end());
    if (hits.size() < 8) return std::nullopt;
    // Steps so fine that a sixteenth at the song's end is off by an eighth of itself at most.
    const double length_s = hits.back() - hits.front();
    const double two_beats_s = usual_gap_s(backbeats);
    double best = slowest, best_fit = 0.0;
    for (double tempo = slowest; tempo <= fastest; tempo *= 1.0 + 60.0 / (tempo * 32.0 * length_s)) {
        constexpr double near = 0.03, backbeat_counts = 1.4;
        double now = fit(hits, tempo);
        if (std::fabs(tempo * two_beats_s / 120.0 - 1.0) < near) now *= backbeat_counts;
        if (now > best_fit) best = tempo, best_fit = now;
    }
    double step_s = 15.0 / best, start_s = agreement(hits, step_s).offset_s;
    for (int round = 0; round < 4; ++round) std::tie(start_s, step_s) = line_through(hits, start_s, step_s);
    double tempo = 15.0 / step_s;
    if (std::fabs(tempo - std::round(tempo)) < 0.05) {
        tempo = std::round(tempo);
        step_s = 15.0 / tempo;
        start_s = agreement(hits, step_s).offset_s;
    }
    const auto in_time = std::count_if(
        hits.begin(), hits.end(), [&](double t) { return std::fabs(std::remainder(t - start_s, step_s)) <= near_s; });
    FoundTempo found;
    found.hits = static_cast<int>(hits.size());
    found.share_in_time = static_cast<double>(in_time) / static_cast<double>(hits.size());
    if (found.share_in_time < 0.7) return std::nullopt;

    // Of the sixteen places where a bar may start, the one at which the drums stand as they do in a bar.
    const auto held_at = [&](int position) {
        const auto on_beat = [&](double t) -> int {
            const auto sixteenth = std::llround((t - start_s) / step_s) - position;
            return static_cast<int>(((sixteenth % 16) + 16) % 16);
        };
        double sum = 0.0;
        for (const double t : kicks) {
            if (on_beat(t) == 0) sum += 1.0;
            if (on_beat(t) == 8) sum += 0.5;
        }
        for (const double t : backbeats)
            if (on_beat(t) == 4 || on_beat(t) == 12) sum += 1.0;
        return sum;
    };
    int position = 0;
    for (int p = 1; p < 16; ++p)
        if (held_at(p) > held_at(position)) position = p;
    const double bar_s = 16.0 * step_s, first_bar_s = start_s + position * step_s;
    const double bars = std::floor((hits.front() + near_s - first_bar_s) / bar_s);
    found.mark.time_s = first_bar_s + bars * bar_s;
    if (found.mark.time_s < 0.0) found.mark.time_s = found.mark.time_s > -near_s ? 0.0 : found.mark.time_s + bar_s;
    found.mark.quarters_a_minute = tempo;
    return found;
}

std::optional<FoundTempo> find_tempo(const Session& session, const std::function<MaterialPtr(const Track&)>& material) {
    std::vector<double> kicks, backbeats, drums;
    for (const auto& track : session.tracks) {
        const bool kick = has_word(track->name, "kick"),
                   backbeat = has_word(track->name, "snare") || has_word(track->name, "clap");
        const MaterialPtr m = material(*track);
        if (!m || (!kick && !backbeat && family_of(*track, &m->measurement) != Family::drums)) continue;
        const double from_s =
            static_cast<double>(start_in_song(*track, m->origin())) / static_cast<double>(session.sample_rate);
        std::vector<double>* to = &drums;
        if (kick)
            to = &kicks;
        else if (backbeat)
            to = &backbeats;
        for (const double t : hits_of(m->summary, session.sample_rate)) to->push_back(from_s + t);
    }
    for (auto* times : {&kicks, &backbeats, &drums}) std::sort(times->begin(), times->end());
    return kicks.size() + backbeats.size() >= 8 ? tempo_of_hits(kicks, backbeats) : tempo_of_hits(drums, {});
}

}  // namespace isotonus
