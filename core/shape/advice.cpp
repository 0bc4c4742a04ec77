#include "core/shape/advice.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/audio/fft.h"
#include "core/ride/hits.h"
#include "core/shape/duck.h"

namespace isotonus {

namespace {

/// Hands all of a material over in pieces of `piece` frames that begin every `hop`; the last ones are filled up with
/// silence.
template <class Use>
Result<void> read_in_windows(const Material& material, int64_t piece, int64_t hop, Progress* progress, const Use& use) {
    auto reader = material.open();
    if (!reader) return tl::unexpected(reader.error());
    std::vector<float> samples(static_cast<size_t>(piece * material.channels()));
    for (int64_t at = 0; at < material.frames(); at += hop) {
        if (progress && progress->cancelled()) return stopped();
        if (auto done = (*reader)->read(at, piece, samples.data()); !done) return done;
        use(samples.data(), std::min(piece, material.frames() - at));
    }
    return {};
}

double share_passed(double hz, double cut_hz, double slope_db) {
    // Butterworth: 1 / (1 + (fc / f)^(2 n)), n = slope / 6.
    return 1.0 / (1.0 + std::pow(cut_hz / hz, slope_db / 3.0));
}

}  // namespace

Result<LongTermSpectrum> spectrum_of(const Material& material, Progress* progress) {
    constexpr int64_t piece = 16384;
    SpectrumMeter meter(material.channels(), material.rate());
    const auto read = read_in_windows(material, piece, piece, progress,
                                      [&](const float* samples, int64_t frames) { meter.add(samples, frames); });
    if (!read) return tl::unexpected(read.error());
    return meter.finish();
}

// --- low cut --------------------------------------------------------------------------------------------------------

double taken_by_low_cut_db(const LongTermSpectrum& s, double hz, double slope_db) {
    double before = s.below, after = s.below * share_passed(10.0, hz, slope_db);
    for (int b = 0; b < spectrum_bands; ++b) {
        const double power = s.power[static_cast<size_t>(b)];
        before += power;
        after += power * share_passed(spectrum_hz(b), hz, slope_db);
    }
    return before > 0.0 && after > 0.0 ? 10.0 * std::log10(before / after) : 0.0;
}

std::optional<LowCutAdvice> low_cut_advice(const LongTermSpectrum& s, bool low_wanted, bool carried) {
    constexpr double body_db = 30.0, min_hz = 25.0;
    const double body_from_hz = low_wanted ? 35.0 : 80.0, max_hz = low_wanted ? 35.0 : 200.0;
    // Thirds of an octave, so that single partials do not part a body.
    const auto level = [&s](int b) {
        double sum = 0.0;
        for (int k = std::max(0, b - 1); k <= std::min(spectrum_bands - 1, b + 1); ++k)
            sum += s.power[static_cast<size_t>(k)];
        return sum;
    };
    int strongest = -1;
    for (int b = 0; b < spectrum_bands; ++b)
        if (spectrum_hz(b) >= body_from_hz && (strongest < 0 || level(b) > level(strongest))) strongest = b;
    const double least = level(strongest) * std::pow(10.0, -body_db / 10.0);
    if (level(strongest) <= 0.0) return std::nullopt;
    int edge = strongest;
    while (edge > 0 && level(edge - 1) >= least) --edge;
    LowCutAdvice advice;
    const double min_edge_hz = low_wanted ? 0.0 : 45.0;
    advice.edge_hz = std::clamp(spectrum_hz(edge) * std::pow(10.0, -0.025), min_edge_hz, max_hz / 0.88);
    advice.hz = backed_off_hz(advice.edge_hz);
    constexpr double carried_from_hz = 100.0, carried_to_hz = 200.0, may_take_db = 0.5;
    if (carried && !low_wanted)
        for (double hz = carried_from_hz; hz <= carried_to_hz; hz += 10.0)
            if (hz > advice.hz && taken_by_low_cut_db(s, hz, 12.0) <= may_take_db) advice.hz = hz;
    advice.edge_hz = std::max(advice.edge_hz, advice.hz / 0.88);
    if (advice.hz < min_hz) return std::nullopt;
    advice.takes_db = taken_by_low_cut_db(s, advice.hz, 12.0);
    return advice;
}

// --- trouble --------------------------------------------------------------------------------------------------------

namespace {

constexpr int trouble_frames = 8192, trouble_bands = 92, around = 6;  // half an octave to each side
constexpr double trouble_from_hz = 60.0;
double trouble_edge_hz(double band) { return trouble_from_hz * std::pow(2.0, band / 12.0); }

using TroubleBands = std::array<double, trouble_bands>;

/// How loud it is around each band, dB per Hz: the mean of half an octave to each side, without its neighbours.
TroubleBands around_bands(const TroubleBands& db) {
    TroubleBands mean{};
    for (int b = 0; b < trouble_bands; ++b) {
        double sum = 0.0, of = 0.0;
        for (int k = std::max(0, b - around); k <= std::min(trouble_bands - 1, b + around); ++k)
            if (std::abs(k - b) > 1) sum += db[static_cast<size_t>(k)], of += 1.0;
        mean[static_cast<size_t>(b)] = sum / of;
    }
    return mean;
}

/// Each band's power per Hz, dB.
TroubleBands density_db(const TroubleBands& power) {
    TroubleBands db{};
    for (size_t b = 0; b < db.size(); ++b)
        db[b] = 10.0 * std::log10(power[b] / (trouble_edge_hz(static_cast<double>(b + 1)) -
                                              trouble_edge_hz(static_cast<double>(b))) +
                                  1e-30);
    return db;
}

/// A single tone that stands out of a window's spectrum.
struct Tone {
    double hz, db;
};

/// Where a peak of a spectrum really lies, in bins: a parabola through the logarithms of a window's main lobe.
double between_bins(const std::vector<double>& power, size_t k) {
    const double a = std::log(power[k - 1] + 1e-30), b = std::log(power[k] + 1e-30), c = std::log(power[k + 1] + 1e-30);
    return static_cast<double>(k) + 0.5 * (a - c) / std::min(-1e-9, a - 2.0 * b + c);
}

/// All of them, rising.
std::vector<Tone> tones_in(const std::vector<double>& power, const TroubleBands& bands, double bin_hz) {
    constexpr double tone_over = 10.0;  // 10 dB: of noise a thousandth of the bins is that much above its mean
    const TroubleBands mean = around_bands(density_db(bands));
    std::vector<Tone> tones;
    for (size_t k = 3; k + 2 < power.size(); ++k) {
        if (power[k] <= power[k - 1] || power[k] < power[k + 1]) continue;
        const double hz = bin_hz * static_cast<double>(k);
        const double band = 12.0 * std::log2(hz / trouble_from_hz);
        if (band >= trouble_bands) break;
        const double level = mean[static_cast<size_t>(std::max(0.0, band))];
        if (power[k] / bin_hz < tone_over * std::pow(10.0, level / 10.0)) continue;
        tones.push_back({bin_hz * between_bins(power, k), 10.0 * std::log10(power[k])});
    }
    return tones;
}

/// A tone between these frequencies is a partial of what is played: of the series of which it would be the first to
/// sixteenth, at least two others near it sound, and from the third on it is at most 6 dB louder than what is usual of
/// the tones around it (a fifth to each side).  What has no such company, or stands out of it, rings.
bool is_note(const std::vector<Tone>& tones, double from_hz, double to_hz, double bin_hz) {
    constexpr int highest_order = 16, low_order = 4, free_order = 2;
    constexpr double raised_db = 6.0, fifth = 1.5, itself = 0.03;
    const auto at_or_above = [&](double hz) {
        return std::lower_bound(tones.begin(), tones.end(), hz, [](const Tone& t, double x) { return t.hz < x; });
    };
    const auto sounds = [&](double hz) {
        const double off = std::max(0.01 * hz, 0.75 * bin_hz);
        const auto at = at_or_above(hz - off);
        return at != tones.end() && at->hz <= hz + off;
    };
    const auto has_company = [&](const Tone& tone, int order) {
        const double ground_hz = tone.hz / order;
        if (ground_hz < 25.0) return false;
        int company = 0;
        const int first = order <= low_order ? 1 : order - 2, last = order <= low_order ? 6 : order + 2;
        for (int partial = first; partial <= last; ++partial)
            company += partial != order && sounds(ground_hz * partial) ? 1 : 0;
        return company >= 2;
    };
    const auto is_raised = [&](const Tone& tone) {
        std::vector<double> around_db;
        for (auto at = at_or_above(tone.hz / fifth); at != at_or_above(tone.hz * fifth); ++at)
            if (std::fabs(at->hz / tone.hz - 1.0) > itself) around_db.push_back(at->db);
        if (around_db.empty()) return true;
        const auto middle = around_db.begin() + std::ssize(around_db) / 2;
        std::nth_element(around_db.begin(), middle, around_db.end());
        return tone.db >= *middle + raised_db;
    };
    return std::any_of(at_or_above(from_hz), at_or_above(to_hz), [&](const Tone& tone) {
        for (int order = 1; order <= highest_order; ++order)
            if (has_company(tone, order)) return order <= free_order || !is_raised(tone);
        return false;
    });
}

/// A sound in windows: the power of each band and the tones in each of them, the power of each bin over all of them,
/// and of each window.
struct Windows {
    std::vector<TroubleBands> bands;
    std::vector<std::vector<Tone>> tones;
    std::vector<double> fine, loud;
    double bin_hz = 0.0;
};

Result<Windows> in_windows(const Material& material, Progress* progress) {
    Windows found;
    const double bin_hz = found.bin_hz = static_cast<double>(material.rate()) / trouble_frames;
    std::vector<TroubleBands>& all = found.bands;
    std::vector<double>&fine = found.fine, &loud = found.loud;
    fine.resize(trouble_frames / 2 + 1);
    const int channels = material.channels();
    RealFft fft(trouble_frames);
    std::vector<float> window(trouble_frames);
    for (size_t i = 0; i < window.size(); ++i)
        window[i] = static_cast<float>(
            0.5 - 0.5 * std::cos(2.0 * std::numbers::pi * (static_cast<double>(i) + 0.5) / trouble_frames));
    const auto read =
        read_in_windows(material, trouble_frames, trouble_frames / 2, progress, [&](const float* samples, int64_t) {
            TroubleBands bands{};
            double sum = 0.0;
            std::vector<double> powers(fine.size());
            for (int c = 0; c < channels; ++c) {
                const auto time = fft.time();
                for (size_t i = 0; i < window.size(); ++i)
                    time[i] = samples[i * static_cast<size_t>(channels) + static_cast<size_t>(c)] * window[i];
                fft.forward();
                const auto bins = fft.bins();
                for (size_t k = 1; k + 1 < bins.size(); ++k) {
                    const double power = static_cast<double>(std::norm(bins[k])),
                                 low = (static_cast<double>(k) - 0.5) * bin_hz;
                    fine[k] += power;
                    powers[k] += power;
                    sum += power;
                    // A bin's power is spread over its width: at the bottom bands are narrower than bins.
                    const double first = 12.0 * std::log2(low / trouble_from_hz),
                                 last = 12.0 * std::log2((low + bin_hz) / trouble_from_hz);
                    for (int b = std::max(0, static_cast<int>(std::floor(first)));
                         b < trouble_bands && static_cast<double>(b) < last; ++b) {
                        const double from = std::max(low, trouble_edge_hz(b)),
                                     to = std::min(low + bin_hz, trouble_edge_hz(b + 1));
                        if (to > from) bands[static_cast<size_t>(b)] += power * (to - from) / bin_hz;
                    }
                }
            }
            all.push_back(bands);
            found.tones.push_back(tones_in(powers, bands, bin_hz));
            loud.push_back(sum);
        });
    if (!read) return tl::unexpected(read.error());
    return found;
}

/// By how much each band lies above those around it, summed over the windows in which it does.
struct StandingOut {
    TroubleBands excess{}, count{}, notes{};  ///< notes: in so many of these windows it is one that is played
    double sounding = 0.0;                    ///< windows that are not silence
};

StandingOut standing_out(const Windows& windows) {
    constexpr double stands_out_db = 6.0, sounds_db = 40.0;
    const std::vector<TroubleBands>& all = windows.bands;
    const std::vector<double>& loud = windows.loud;
    StandingOut found;
    auto& [excess, count, notes, sounding] = found;
    const double loudest = *std::max_element(loud.begin(), loud.end());
    for (size_t n = 0; n < all.size(); ++n) {
        if (loud[n] <= 0.0 || loud[n] < loudest * std::pow(10.0, -sounds_db / 10.0)) continue;
        sounding += 1.0;
        const TroubleBands db = density_db(all[n]), mean = around_bands(db);
        for (int b = 0; b < trouble_bands; ++b) {
            const double over = db[static_cast<size_t>(b)] - mean[static_cast<size_t>(b)];
            if (over < stands_out_db) continue;
            excess[static_cast<size_t>(b)] += over;
            count[static_cast<size_t>(b)] += 1.0;
            if (is_note(windows.tones[n], trouble_edge_hz(b - 0.5), trouble_edge_hz(b + 1.5), windows.bin_hz))
                notes[static_cast<size_t>(b)] += 1.0;
        }
    }
    return found;
}

}  // namespace

Result<std::optional<double>> strongest_hz(const Material& material, Progress* progress) {
    constexpr double lowest = 40.0, highest = 5000.0;
    const auto windows = in_windows(material, progress);
    if (!windows) return tl::unexpected(windows.error());
    const std::vector<double>& power = windows->fine;
    const auto at = [&](double hz) { return power.begin() + static_cast<std::ptrdiff_t>(hz / windows->bin_hz); };
    const auto best = std::max_element(at(lowest), at(highest));
    if (*best <= 0.0) return std::optional<double>();
    return std::optional(windows->bin_hz * between_bins(power, static_cast<size_t>(best - power.begin())));
}

std::string note_name(double hz) {
    constexpr std::array names{"C", "C#", "D", "D#", "E", "F", "F#", "G", "G#", "A", "A#", "B"};
    const double semitones = 69.0 + 12.0 * std::log2(hz / 440.0);  // as MIDI counts them: A4 is 69
    const int nearest = static_cast<int>(std::lround(semitones));
    const int cents = static_cast<int>(std::lround(100.0 * (semitones - nearest)));
    const int octave = static_cast<int>(std::floor(nearest / 12.0)) - 1;
    const std::string note = fmt::format("{}{}", names[static_cast<size_t>(((nearest % 12) + 12) % 12)], octave);
    return std::abs(cents) < 10 ? note : fmt::format("{} {:+d} cents", note, cents);
}

Result<std::vector<Trouble>> find_troubles(const Material& material, size_t most, Progress* progress) {
    constexpr double tone_db = 24.0, min_share = 0.5, note_share = 0.5;
    const auto windows = in_windows(material, progress);
    if (!windows) return tl::unexpected(windows.error());
    if (windows->bands.empty()) return std::vector<Trouble>{};
    const auto [excess, count, notes, sounding] = standing_out(*windows);
    const std::vector<double>& fine = windows->fine;
    const double bin_hz = windows->bin_hz;
    std::vector<Trouble> found;
    for (int b = 0; b < trouble_bands; ++b) {
        const auto n = static_cast<size_t>(b);
        if (sounding == 0.0 || count[n] < min_share * sounding) continue;
        const bool top =
            (b == 0 || excess[n] >= excess[n - 1]) && (b + 1 == trouble_bands || excess[n] > excess[n + 1]);
        if (!top || notes[n] > note_share * count[n]) continue;
        Trouble t;
        t.excess_db = excess[n] / count[n];
        t.share = count[n] / sounding;
        if (t.excess_db > tone_db) continue;
        t.cut_db = -std::clamp(0.6 * t.excess_db, 2.0, 6.0);
        // Its exact place: the strongest bin in the band and at its edges, between its neighbours.
        const auto first = static_cast<size_t>(trouble_edge_hz(b - 0.5) / bin_hz),
                   last = std::min(fine.size() - 2, static_cast<size_t>(trouble_edge_hz(b + 1.5) / bin_hz) + 1);
        size_t best = std::max<size_t>(1, first);
        for (size_t k = best; k <= last; ++k)
            if (fine[k] > fine[best]) best = k;
        const double sum = fine[best - 1] + fine[best] + fine[best + 1];
        t.hz = bin_hz * (static_cast<double>(best) + (sum > 0.0 ? (fine[best + 1] - fine[best - 1]) / sum : 0.0));
        found.push_back(t);
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const Trouble& a, const Trouble& b) { return a.excess_db > b.excess_db; });
    if (found.size() > most) found.resize(most);
    return found;
}

// --- reduction ------------------------------------------------------------------------------------------------------

Result<AimedThreshold> threshold_for(const SignalRecipe& wanted, size_t position, const ReductionAim& aim,
                                     Progress* progress) {
    constexpr double near_db = 0.1, fine_db = 0.02;
    if (position >= wanted.chain.size())
        return fail(
            "", translated("the chain has no processor at this position. Check the number in the list of the chain."));
    SignalRecipe recipe = wanted;
    recipe.chain.resize(position + 1);
    Processor& processor = recipe.chain.back();
    const ParameterInfo* info = parameter_of(processor, "threshold_dbfs");
    if (!info || !processor_type(processor.type)->keyed)
        return fail("", translate("'{}' has no threshold for reduction. Choose a compressor, a ducker or a gate.",
                                  processor.type));
    processor.in = true;
    recipe.rides.set(Parameter(*info, processor.id), nullptr);
    const auto tried = [&](double threshold) -> Result<AimedThreshold> {
        set_value(processor, *info, threshold);
        const auto found = reduction_of(recipe, position, progress);
        if (!found) return tl::unexpected(found.error());
        return AimedThreshold{threshold, *found, false};
    };
    const auto miss = [&aim](const AimedThreshold& t) {
        return (aim.most ? t.reduction.max_db : t.reduction.typical_db) - aim.db;
    };
    // The higher the threshold, the less is taken away: halve, where the straight line between both ends does not do
    // better.
    auto low = tried(info->low), high = tried(info->high);
    if (!low) return low;
    if (!high) return high;
    AimedThreshold best = std::fabs(miss(*low)) < std::fabs(miss(*high)) ? *low : *high;
    for (int round = 0; round < 24 && std::fabs(miss(best)) > near_db / 4.0; ++round) {
        if (miss(*low) <= 0.0 || miss(*high) >= 0.0) break;
        const double width = high->threshold_dbfs - low->threshold_dbfs;
        if (width < fine_db) break;
        const double line = low->threshold_dbfs + width * miss(*low) / (miss(*low) - miss(*high));
        const double next =
            round % 2 == 0 ? std::clamp(line, low->threshold_dbfs + 0.05 * width, high->threshold_dbfs - 0.05 * width)
                           : low->threshold_dbfs + 0.5 * width;
        auto found = tried(next);
        if (!found) return found;
        if (std::fabs(miss(*found)) < std::fabs(miss(best))) best = *found;
        (miss(*found) > 0.0 ? low : high) = *found;
    }
    best.reached = std::fabs(miss(best)) <= near_db;
    return best;
}

Result<Chain> with_reductions(SignalRecipe recipe, const std::map<uint64_t, ReductionAim>& aims, Progress* progress) {
    for (size_t position = 0; position < recipe.chain.size(); ++position) {
        const auto aim = aims.find(recipe.chain[position].id);
        if (aim == aims.end()) continue;
        const auto found = threshold_for(recipe, position, aim->second, progress);
        if (!found) return tl::unexpected(found.error());
        recipe.chain[position].values["threshold_dbfs"] = found->threshold_dbfs;
    }
    return recipe.chain;
}

// --- duck -----------------------------------------------------------------------------------------------------------

namespace {

/// Mean power from 30 to 200 Hz of all channels, of a stretch from this frame of the song on.
Result<double> low_power(const PreFaderSource& tap, FrameReader& reader, RealFft& fft, int64_t frame) {
    const auto frames = static_cast<size_t>(fft.size());
    const auto channels = static_cast<size_t>(tap.channels());
    std::vector<float> samples(frames * channels);
    if (auto done = reader.read(frame - tap.delay_samples, fft.size(), samples.data()); !done)
        return tl::unexpected(done.error());
    const double bin_hz = static_cast<double>(tap.material->rate()) / fft.size();
    double sum = 0.0;
    for (size_t c = 0; c < channels; ++c) {
        const auto time = fft.time();
        for (size_t i = 0; i < frames; ++i) time[i] = samples[i * channels + c];
        fft.forward();
        const auto bins = fft.bins();
        for (auto k = static_cast<size_t>(std::ceil(30.0 / bin_hz)); static_cast<double>(k) * bin_hz <= 200.0; ++k)
            sum += static_cast<double>(std::norm(bins[k]));
    }
    return sum * tap.gain * tap.gain / static_cast<double>(channels);
}

double median(std::vector<double> values) {
    const auto middle = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::nth_element(values.begin(), middle, values.end());
    return *middle;
}

}  // namespace

Result<std::optional<DuckAdvice>> duck_advice(const PreFaderSource& row, double row_db, const PreFaderSource& key,
                                              double key_db, Progress* progress) {
    constexpr double apart_db = 6.0, max_db = 12.0;
    const LevelSummary& s = key.material->summary;
    const int rate = key.material->rate();
    const std::vector<double> hits = hits_of(s, rate);
    if (hits.empty()) return std::optional<DuckAdvice>();
    auto row_reader = row.material->open(), key_reader = key.material->open();
    if (!row_reader) return tl::unexpected(row_reader.error());
    if (!key_reader) return tl::unexpected(key_reader.error());
    RealFft fft(RealFft::fast_size(rate / 8));
    const double block_ms = 1000.0 * LevelSummary::block_frames / rate;
    const auto mean_square = [&s](int64_t block) {
        double most = 0.0;
        for (int c = 0; c < s.channels; ++c)
            most = std::max(most, static_cast<double>(s.mean_square[static_cast<size_t>(block * s.channels + c)]));
        return most;
    };
    const auto reach = [&s](int64_t block) {
        float most = 0.0f;
        for (int c = 0; c < s.channels; ++c) {
            const auto i = static_cast<size_t>(block * s.channels + c);
            most = std::max({most, -s.low[i], s.high[i]});
        }
        return static_cast<double>(most);
    };
    std::vector<double> decays, peaks, overlaps;
    const size_t step = 1 + hits.size() / 64;  // enough of a long song
    for (size_t n = 0; n < hits.size(); n += step) {
        if (progress && progress->cancelled()) return stopped();
        const int64_t first = std::llround(hits[n] * 1000.0 / block_ms);
        const double next_s = n + 1 < hits.size() ? hits[n + 1] : hits[n] + 1.0;
        const auto end = std::min(s.blocks(), static_cast<int64_t>(std::llround(next_s * 1000.0 / block_ms)));
        double loudest = 0.0, peak = 0.0;
        int64_t at = first, top = first;
        for (int64_t b = first; b < std::min(end, first + 12); ++b) {
            if (mean_square(b) > loudest) loudest = mean_square(b), top = b;
            peak = std::max(peak, reach(b));
        }
        for (at = top; at < end && mean_square(at) > 0.01 * loudest; ++at) {
        }
        decays.push_back(static_cast<double>(at - first) * block_ms);
        peaks.push_back(db_from_gain(std::max(1e-6, peak * std::fabs(key.gain))));
        const int64_t frame = first * LevelSummary::block_frames + key.delay_samples;
        const auto low = low_power(row, **row_reader, fft, frame), of_key = low_power(key, **key_reader, fft, frame);
        if (!low) return tl::unexpected(low.error());
        if (!of_key) return tl::unexpected(of_key.error());
        overlaps.push_back(10.0 * std::log10((*low + 1e-20) / (*of_key + 1e-20)) + row_db - key_db);
    }
    DuckAdvice advice;
    advice.hits = static_cast<int>(hits.size());
    advice.decay_ms = median(decays);
    advice.overlap_db = median(overlaps);
    advice.depth_db = std::clamp(std::round(2.0 * (advice.overlap_db + apart_db)) / 2.0, 0.0, max_db);
    // All of the depth from 10 dB below a hit on; half of the key's decay is held, the rest let go.
    advice.threshold_dbfs = std::clamp(std::round(median(peaks) - 16.0), -80.0, 0.0);
    advice.hold_ms = std::clamp(std::round(advice.decay_ms / 4.0), 0.0, 1000.0);
    advice.release_ms = std::clamp(std::round(advice.decay_ms / 3.0), 5.0, 3000.0);
    return std::optional(advice);
}

void set_duck(Chain& chain, uint64_t key, const DuckAdvice& advice) {
    Processor& duck = duck_for(chain, key);
    duck.values["threshold_dbfs"] = advice.threshold_dbfs;
    duck.values["depth_db"] = advice.depth_db;
    duck.values["hold_ms"] = advice.hold_ms;
    duck.values["release_ms"] = advice.release_ms;
}

}  // namespace isotonus
