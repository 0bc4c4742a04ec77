#include "core/session/tempo.h"

#include <algorithm>
#include <bit>
#include <cmath>
#include <cstdio>

#include "core/words.h"

namespace isotonus {

namespace {

constexpr double same_s = 1e-6;  ///< times nearer than this are one: a mark's own time is its first beat

size_t index_at(const std::vector<TempoMark>& tempo, double time_s) {
    size_t at = 0;
    while (at + 1 < tempo.size() && tempo[at + 1].time_s <= time_s + same_s) ++at;
    return at;
}

}  // namespace

Result<TempoMark> tempo_from_text(std::string_view text, const TempoMark& before) {
    std::string typed(text);
    std::replace(typed.begin(), typed.end(), ',', '.');
    TempoMark mark = before;
    int beats = before.beats, unit = before.beat_unit, all = 0, tempo_only = 0;
    const int found =
        std::sscanf(typed.c_str(), "%lf %n%d / %d %n", &mark.quarters_a_minute, &tempo_only, &beats, &unit, &all);
    const bool whole = found == 3 ? all == std::ssize(typed) : found == 1 && tempo_only == std::ssize(typed);
    const bool is_power = unit >= 1 && unit <= 32 && std::has_single_bit(static_cast<unsigned>(unit));
    if (!whole || !(mark.quarters_a_minute >= 10.0 && mark.quarters_a_minute <= 1000.0) || beats < 1 || beats > 99 ||
        !is_power)
        return fail("",
                    translate("'{}' is not a tempo. Type 120 or 97.5 6/8, from 10 to 1000 quarters a minute.", text));
    mark.beats = beats;
    mark.beat_unit = unit;
    return mark;
}

std::optional<double> tempo_of_taps(const std::vector<double>& taps_s) {
    constexpr double longest_s = 2.0;
    constexpr size_t most = 8;
    std::vector<double> gaps;
    for (size_t n = taps_s.size(); n > 1 && gaps.size() < most; --n) {
        const double gap = taps_s[n - 1] - taps_s[n - 2];
        if (gap >= longest_s || gap <= 0.0) break;
        gaps.push_back(gap);
    }
    if (gaps.empty()) return std::nullopt;
    std::sort(gaps.begin(), gaps.end());
    const size_t middle = gaps.size() / 2;
    return 60.0 / (gaps.size() % 2 == 1 ? gaps[middle] : (gaps[middle - 1] + gaps[middle]) / 2.0);
}

void sort_tempo(std::vector<TempoMark>& tempo) {
    std::stable_sort(tempo.begin(), tempo.end(),
                     [](const TempoMark& a, const TempoMark& b) { return a.time_s < b.time_s; });
}

const TempoMark& mark_at(const std::vector<TempoMark>& tempo, double time_s) { return tempo[index_at(tempo, time_s)]; }

std::vector<TempoMark> with_mark_at(std::vector<TempoMark> tempo, double time_s, const TempoMark& mark) {
    if (tempo.empty())
        tempo.push_back(mark);
    else
        tempo[index_at(tempo, time_s)] = mark;
    sort_tempo(tempo);
    return tempo;
}

Result<std::vector<TempoMark>> one_tempo(const std::vector<TempoMark>& before, const TempoMark& mark) {
    if (before.size() > 1)
        return fail("", translate("the song has {} tempos, and this one would replace them all. Remove them first: "
                                  "'None' in the window 'Tempo', 'tempo SESSION none' on the command line.",
                                  before.size()));
    return std::vector<TempoMark>{mark};
}

BarPosition bar_at(const std::vector<TempoMark>& tempo, double time_s) {
    int bars = 0;
    const size_t at = index_at(tempo, time_s);
    for (size_t i = 0; i < at; ++i)
        bars += static_cast<int>(std::ceil((tempo[i + 1].time_s - tempo[i].time_s) / tempo[i].bar_s() - same_s));
    const TempoMark& m = tempo[at];
    const double beats = (time_s - m.time_s) / m.beat_s() + same_s;
    const double bar = std::floor(beats / m.beats), beat = std::floor(beats - bar * m.beats);
    return {bars + static_cast<int>(bar) + 1, static_cast<int>(beat) + 1,
            std::max(0.0, beats - same_s - bar * m.beats - beat)};
}

double snapped(const std::vector<TempoMark>& tempo, double time_s, bool bars) {
    if (tempo.empty()) return time_s;
    const size_t at = index_at(tempo, time_s);
    const TempoMark& m = tempo[at];
    const double step = bars ? m.bar_s() : m.beat_s();
    const double near = m.time_s + std::round((time_s - m.time_s) / step) * step;
    return at + 1 < tempo.size() ? std::min(near, tempo[at + 1].time_s) : near;
}

std::pair<double, double> in_whole_bars(const std::vector<TempoMark>& tempo, double from_s, double to_s) {
    if (tempo.empty() || to_s <= from_s) return {from_s, to_s};
    const auto start_of_bar = [&](double time_s) {
        const TempoMark& m = mark_at(tempo, time_s);
        return m.time_s + std::floor((time_s - m.time_s) / m.bar_s() + same_s) * m.bar_s();
    };
    const double from = std::max(0.0, start_of_bar(from_s));
    double to = start_of_bar(to_s);
    if (to < to_s - same_s) {  // inside of a bar, which may be cut short by the next mark
        const double end = to + mark_at(tempo, to_s).bar_s();
        const auto next = std::find_if(tempo.begin(), tempo.end(), [&](const TempoMark& m) { return m.time_s > to_s; });
        to = next == tempo.end() ? end : std::min(end, next->time_s);
    }
    return {from, to};
}

std::optional<double> note_ms(const std::vector<TempoMark>& tempo, double time_s, std::string_view text) {
    while (text.starts_with(' ')) text.remove_prefix(1);
    while (text.ends_with(' ')) text.remove_suffix(1);
    if (tempo.empty() || !text.starts_with("1/")) return std::nullopt;
    text.remove_prefix(2);
    double factor = 1.0;
    if (text.ends_with('.'))
        factor = 1.5;
    else if (text.ends_with('t'))
        factor = 2.0 / 3.0;
    if (factor != 1.0) text.remove_suffix(1);
    for (const int part : {1, 2, 4, 8, 16, 32, 64})
        if (text == std::to_string(part))
            return 60000.0 / mark_at(tempo, time_s).quarters_a_minute * 4.0 / part * factor;
    return std::nullopt;
}

bool takes_notes(const ParameterInfo& parameter) {
    constexpr std::string_view in_time[] = {"release_ms", "hold_ms", "left_ms", "right_ms", "predelay_ms", "rate_hz"};
    return std::find(std::begin(in_time), std::end(in_time), parameter.id) != std::end(in_time);
}

std::optional<double> value_from_note(const ParameterInfo& parameter, const std::vector<TempoMark>& tempo,
                                      double time_s, std::string_view text) {
    const auto ms = takes_notes(parameter) ? note_ms(tempo, time_s, text) : std::nullopt;
    if (!ms) return std::nullopt;
    const double value = std::string_view(parameter.unit) == "Hz" ? 1000.0 / *ms : *ms;
    return std::clamp(value, parameter.low, parameter.high);
}

}  // namespace isotonus
