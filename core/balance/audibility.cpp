#include "core/balance/voices.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/audio/fft.h"
#include "core/audio/kernels.h"
#include "core/shape/signal.h"

namespace isotonus {

namespace {

constexpr int fft_frames = 4096;

double between(const std::vector<std::pair<double, double>>& points, double hz) {
    if (hz <= points.front().first) return points.front().second;
    for (size_t i = 1; i < points.size(); ++i)
        if (hz <= points[i].first) {
            const auto [f0, v0] = points[i - 1];
            const auto [f1, v1] = points[i];
            return v0 + (v1 - v0) * std::log(hz / f0) / std::log(f1 / f0);
        }
    return points.back().second;
}

/// What each band passes on to the others: rounded-exponential filters W(g) = (1 + p g) exp(-p g) with
/// g = |f - fc| / fc and p = 4 fc / ERB(fc) (Glasberg and Moore, 1990), four bands to each side.
constexpr size_t spread_reach = 4;
const std::array<std::array<float, 2 * spread_reach + 1>, band_count>& spreading() {
    static const auto table = [] {
        std::array<std::array<float, 2 * spread_reach + 1>, band_count> w{};
        for (size_t to = 0; to < band_count; ++to)
            for (size_t k = 0; k <= 2 * spread_reach; ++k) {
                if (to + k < spread_reach || to + k - spread_reach >= band_count) continue;
                const double fc = band_middle_hz(to), f = band_middle_hz(to + k - spread_reach);
                const double pg = 4.0 * std::fabs(f - fc) / erb_hz(fc);
                w[to][k] = static_cast<float>((1.0 + pg) * std::exp(-pg));
            }
        return w;
    }();
    return table;
}

void spread(Bands& bands) {
    const auto& w = spreading();
    const Bands in = bands;
    for (size_t to = 0; to < band_count; ++to) {
        float sum = 0.0f;
        for (size_t k = 0; k <= 2 * spread_reach; ++k)
            if (to + k >= spread_reach && to + k - spread_reach < band_count)
                sum += w[to][k] * in[to + k - spread_reach];
        bands[to] = sum;
    }
}

/// Sum of a[i] b[i], in eight sums side by side, which a compiler can do at once.
float product(const float* a, const float* b, size_t count) {
    float sums[8] = {};
    size_t i = 0;
    for (; i + 8 <= count; i += 8)
        for (size_t k = 0; k < 8; ++k) sums[k] += a[i + k] * b[i + k];
    for (; i < count; ++i) sums[0] += a[i] * b[i];
    return ((sums[0] + sums[1]) + (sums[2] + sums[3])) + ((sums[4] + sums[5]) + (sums[6] + sums[7]));
}

}  // namespace

double erb_hz(double hz) { return 24.7 * (4.37 * hz / 1000.0 + 1.0); }
double erb_number(double hz) { return 21.4 * std::log10(4.37 * hz / 1000.0 + 1.0); }
double hz_of_erb_number(double number) { return (std::pow(10.0, number / 21.4) - 1.0) / 4.37 * 1000.0; }
double band_middle_hz(size_t band) { return hz_of_erb_number(static_cast<double>(band) + 1.5); }

double hearing_threshold_db_spl(double hz) {
    static const std::vector<std::pair<double, double>> table{
        {20, 78.5},   {25, 68.7},  {31.5, 59.5}, {40, 51.1},    {50, 44.0},   {63, 37.5},   {80, 31.5},   {100, 26.5},
        {125, 22.1},  {160, 17.9}, {200, 14.4},  {250, 11.4},   {315, 8.6},   {400, 6.2},   {500, 4.4},   {630, 3.0},
        {800, 2.2},   {1000, 2.4}, {1250, 3.5},  {1600, 1.7},   {2000, -1.3}, {2500, -4.2}, {3150, -6.0}, {4000, -5.4},
        {5000, -1.5}, {6300, 6.0}, {8000, 12.6}, {10000, 13.9}, {12500, 12.3}};
    return between(table, hz);
}

double masked_threshold_db(double hz) {
    static const std::vector<std::pair<double, double>> table{{50, 13.0},  {100, 5.0},  {200, 0.0},
                                                              {300, -1.5}, {500, -2.5}, {1000, -3.0}};
    return between(table, hz);
}

Thresholds::Thresholds(double level_db_spl) {
    // -18 dBFS AES17 is a mean square of -21.01 dB, and is heard at level_db_spl.
    const double full_scale_db_spl = level_db_spl + 18.0 + aes17_db;
    for (size_t b = 0; b < band_count; ++b) {
        const double hz = band_middle_hz(b);
        quiet[b] = static_cast<float>(std::pow(10.0, (hearing_threshold_db_spl(hz) - full_scale_db_spl) / 10.0));
        masked[b] = static_cast<float>(std::pow(10.0, masked_threshold_db(hz) / 10.0));
    }
}

Bands Voice::at(int64_t hop, const RenderPlan& plan) const {
    Bands sum{};
    for (const Part& p : parts) {
        const int64_t here = hop - p.shift;
        if (here < 0 || here >= static_cast<int64_t>(p.excitation->hops.size())) continue;
        const Excitation::Hop& h = p.excitation->hops[static_cast<size_t>(here)];
        float ride = 1.0f;
        if (p.part->any_ride_to_main()) {
            const double middle = (static_cast<double>(hop) + 0.5) * Excitation::hop_frames;
            ride = static_cast<float>(p.part->ride_power_at(middle / plan.sample_rate));
        }
        const float l = p.left * ride, r = p.right * ride, x = p.product * ride;
        if (p.excitation->channels == 1)
            for (size_t b = 0; b < band_count; ++b) sum[b] += l * h.left[b];
        else
            for (size_t b = 0; b < band_count; ++b)
                sum[b] += std::max(0.0f, l * h.left[b] + r * h.right[b] + x * h.product[b]);
    }
    return sum;
}

std::vector<Voice> voices_of(const RenderPlan& plan, const ExcitationOf& excitation) {
    std::vector<Voice> voices;
    const double main = plan.main_gain * plan.main_gain / 2.0;
    for (const PlanTrack& t : plan.tracks) {
        // Members of a bus are judged as they stand in it, its chain left aside.
        if (t.is_bus) continue;
        Voice voice{t.id, {}};
        for (const PlanPart& p : plan.parts_of(t)) {
            if (!p.heard() || p.way().silent()) continue;
            ExcitationPtr e = excitation(p.material);
            if (!e) continue;
            const GainMatrix& g = p.way();
            const double ll = g.left_from_left, lr = g.left_from_right, rl = g.right_from_left, rr = g.right_from_right;
            voice.parts.push_back({&p, std::move(e), static_cast<float>(main * (ll * ll + rl * rl)),
                                   static_cast<float>(main * (lr * lr + rr * rr)),
                                   static_cast<float>(main * 2.0 * (ll * lr + rl * rr)),
                                   std::llround(static_cast<double>(p.delay_samples) / Excitation::hop_frames)});
        }
        if (!voice.parts.empty()) voices.push_back(std::move(voice));
    }
    return voices;
}

namespace {

Result<ExcitationPtr> listen_to(const Material& material, Progress* progress) {
    const ReadySource& source = material.origin();
    auto reader = material.open();
    if (!reader) return tl::unexpected(reader.error());
    auto out = std::make_shared<Excitation>();
    out->channels = source.channels;
    // A raised-cosine slope over the outer quarters: leakage falls fast, and little of the time is lost.
    std::vector<float> window(fft_frames);
    double window_power = 0.0;
    for (int i = 0; i < fft_frames; ++i) {
        const double edge = std::min(i + 0.5, fft_frames - i - 0.5) / (fft_frames / 4.0);
        const double w = edge < 1.0 ? 0.5 - 0.5 * std::cos(std::numbers::pi * edge) : 1.0;
        window[static_cast<size_t>(i)] = static_cast<float>(w);
        window_power += w * w;
    }
    std::array<size_t, band_count + 1> first_bin{};  // of each band
    for (size_t b = 0; b <= band_count; ++b)
        first_bin[b] = std::min<size_t>(
            fft_frames / 2,
            static_cast<size_t>(std::ceil(hz_of_erb_number(static_cast<double>(b) + 1.0) * fft_frames / source.rate)));
    RealFft left(fft_frames), right(fft_frames);
    std::vector<float> samples(static_cast<size_t>(Excitation::hop_frames * source.channels));
    // Power of a bin as mean square: twice |X|^2 over N times the window's power.
    const auto scale = static_cast<float>(2.0 / (window_power * fft_frames) / 2.0);  // a hop is the mean of two
    for (int64_t first = 0; first < source.frames; first += Excitation::hop_frames) {
        if (progress && progress->cancelled()) return stopped();
        if (auto done = (*reader)->read(first, Excitation::hop_frames, samples.data()); !done)
            return tl::unexpected(done.error());
        Excitation::Hop hop{};
        for (int64_t half = 0; half < Excitation::hop_frames; half += fft_frames) {
            const float* x = samples.data() + half * source.channels;
            if (kernels::peak(x, static_cast<size_t>(fft_frames * source.channels)) == 0.0f) continue;
            const auto transformed = [&](RealFft& fft, int channel) {
                float* windowed = fft.time().data();
                const float* from = x + channel;
                for (size_t i = 0; i < fft_frames; ++i)
                    windowed[i] = from[i * static_cast<size_t>(source.channels)] * window[i];
                fft.forward();
                return reinterpret_cast<const float*>(fft.bins().data());  // real and imaginary parts in turn
            };
            const float* l = transformed(left, 0);
            const float* r = source.channels == 2 ? transformed(right, 1) : nullptr;
            for (size_t b = 0; b < band_count; ++b) {
                const size_t first = 2 * first_bin[b], count = 2 * (first_bin[b + 1] - first_bin[b]);
                hop.left[b] += scale * product(l + first, l + first, count);
                if (!r) continue;
                hop.right[b] += scale * product(r + first, r + first, count);
                hop.product[b] += scale * product(l + first, r + first, count);
            }
        }
        spread(hop.left);
        if (source.channels == 2) spread(hop.right), spread(hop.product);
        out->hops.push_back(hop);
    }
    return ExcitationPtr(std::move(out));
}

}  // namespace

Result<ExcitationPtr> excitation_of(const Material& material, Progress* progress) {
    return without_exceptions(material.origin().source.file.string(), [&] { return listen_to(material, progress); });
}

double bandwidth_share(const Excitation& e) {
    std::array<double, band_count> sum{};
    for (const Excitation::Hop& h : e.hops)
        for (size_t b = 0; b < band_count; ++b) sum[b] += static_cast<double>(h.left[b] + h.right[b]);
    const double most = *std::max_element(sum.begin(), sum.end());
    if (most <= 0.0) return 0.0;
    const auto wide = std::count_if(sum.begin(), sum.end(), [most](double s) { return s >= 0.01 * most; });
    return static_cast<double>(wide) / static_cast<double>(band_count);
}

std::vector<Audibility> audibility(const RenderPlan& plan, const ExcitationOf& excitation, const Listening& listening,
                                   const std::vector<int64_t>& sections) {
    const std::vector<Voice> voices = voices_of(plan, excitation);
    const Thresholds normal(listening.level_db_spl), quiet(listening.level_db_spl + listening.quiet_db);
    const int64_t hops = (plan.frames + Excitation::hop_frames - 1) / Excitation::hop_frames;
    const size_t parts = sections.size() + 1;  // what lies before the first section too
    struct Count {
        int64_t bands = 0, heard = 0, quiet = 0;
    };
    std::vector<std::vector<Count>> counts(voices.size(), std::vector<Count>(parts));
    // What each voice has in each hop; twice through, since the loudest hop must be known first.
    std::vector<Bands> all(voices.size() * static_cast<size_t>(hops));
    std::vector<float> loudest(voices.size());
    parallel_for(static_cast<int64_t>(voices.size()), worker_count(), [&](int64_t v) {
        const auto n = static_cast<size_t>(v);
        for (int64_t h = 0; h < hops; ++h) {
            Bands& here = all[n * static_cast<size_t>(hops) + static_cast<size_t>(h)];
            here = voices[n].at(h, plan);
            loudest[n] = std::max(loudest[n], top(here));
        }
    });
    size_t part = 0;
    for (int64_t h = 0; h < hops; ++h) {
        while (part < sections.size() && h * Excitation::hop_frames + Excitation::hop_frames / 2 >= sections[part])
            ++part;
        Bands total{};
        for (size_t v = 0; v < voices.size(); ++v) {
            const Bands& own = all[v * static_cast<size_t>(hops) + static_cast<size_t>(h)];
            for (size_t b = 0; b < band_count; ++b) total[b] += own[b];
        }
        for (size_t v = 0; v < voices.size(); ++v) {
            const Bands& own = all[v * static_cast<size_t>(hops) + static_cast<size_t>(h)];
            const float strongest = top(own);
            if (strongest <= loudest[v] * hop_range || strongest <= 0.0f) continue;
            Count& c = counts[v][part];
            for (size_t b = 0; b < band_count; ++b) {
                if (own[b] < strongest * band_range || own[b] < normal.quiet[b]) continue;
                const float rest = std::max(0.0f, total[b] - own[b]);
                ++c.bands;
                c.heard += is_heard(own[b], rest, normal, b) ? 1 : 0;
                c.quiet += is_heard(own[b], rest, quiet, b) ? 1 : 0;
            }
        }
    }
    std::vector<Audibility> found;
    for (size_t v = 0; v < voices.size(); ++v) {
        Audibility a;
        a.id = voices[v].id;
        Count sum;
        for (size_t p = 0; p < parts; ++p) {
            const Count& c = counts[v][p];
            sum.bands += c.bands, sum.heard += c.heard, sum.quiet += c.quiet;
            if (p > 0)
                a.in_sections.push_back(c.bands > 0 ? Level(static_cast<double>(c.heard) / static_cast<double>(c.bands))
                                                    : std::nullopt);
        }
        if (sum.bands > 0) {
            a.share = static_cast<double>(sum.heard) / static_cast<double>(sum.bands);
            a.quiet_share = static_cast<double>(sum.quiet) / static_cast<double>(sum.bands);
        }
        found.push_back(std::move(a));
    }
    return found;
}

std::vector<Cover> covered_by(const RenderPlan& plan, TrackId id, const ExcitationOf& excitation,
                              const Listening& listening, int64_t first_frame, int64_t end_frame) {
    const std::vector<Voice> voices = voices_of(plan, excitation);
    const auto me = std::find_if(voices.begin(), voices.end(), [id](const Voice& v) { return v.id == id; });
    if (me == voices.end()) return {};
    const Thresholds normal(listening.level_db_spl);
    std::vector<double> over(voices.size());
    const int64_t first = first_frame / Excitation::hop_frames;
    const int64_t end = (std::min(end_frame, plan.frames) + Excitation::hop_frames - 1) / Excitation::hop_frames;
    for (int64_t h = first; h < end; ++h) {
        const Bands own = me->at(h, plan);
        const float strongest = top(own);
        if (strongest <= 0.0f) continue;
        std::vector<Bands> others;
        Bands total{};
        for (const Voice& v : voices) {
            others.push_back(v.at(h, plan));
            for (size_t b = 0; b < band_count; ++b) total[b] += others.back()[b];
        }
        for (size_t b = 0; b < band_count; ++b) {
            if (own[b] < strongest * band_range || own[b] < normal.quiet[b]) continue;
            const float rest = total[b] - own[b];
            if (rest <= 0.0f || is_heard(own[b], rest, normal, b)) continue;
            for (size_t v = 0; v < voices.size(); ++v)
                if (voices[v].id != id) over[v] += static_cast<double>(others[v][b] / rest);
        }
    }
    double sum = 0.0;
    for (const double o : over) sum += o;
    std::vector<Cover> covers;
    for (size_t v = 0; v < voices.size(); ++v)
        if (sum > 0.0 && over[v] / sum > 0.02) covers.push_back({voices[v].id, over[v] / sum});
    std::stable_sort(covers.begin(), covers.end(), [](const Cover& a, const Cover& b) { return a.share > b.share; });
    return covers;
}

Margins margins_of(const RenderPlan& plan, TrackId id, const ExcitationOf& excitation, const Listening& listening) {
    const std::vector<Voice> voices = voices_of(plan, excitation);
    const auto me = std::find_if(voices.begin(), voices.end(), [id](const Voice& v) { return v.id == id; });
    if (me == voices.end()) return {};
    const Thresholds normal(listening.level_db_spl);
    const auto hops = static_cast<size_t>((plan.frames + Excitation::hop_frames - 1) / Excitation::hop_frames);
    std::vector<Bands> own(hops), rest(hops);
    parallel_for(static_cast<int64_t>(hops), worker_count(), [&](int64_t h) {
        const auto n = static_cast<size_t>(h);
        own[n] = me->at(h, plan);
        for (auto v = voices.begin(); v != voices.end(); ++v) {
            if (v == me) continue;
            const Bands other = v->at(h, plan);
            for (size_t b = 0; b < band_count; ++b) rest[n][b] += other[b];
        }
    });
    float loudest = 0.0f;
    for (const Bands& o : own) loudest = std::max(loudest, top(o));
    Margins margins{std::vector<std::vector<float>>(hops)};
    for (size_t h = 0; h < hops; ++h) {
        const float strongest = top(own[h]);
        if (strongest <= loudest * hop_range || strongest <= 0.0f) continue;
        for (size_t b = 0; b < band_count; ++b)
            if (own[h][b] >= strongest * band_range && own[h][b] >= normal.quiet[b])
                margins.over_db[h].push_back(10.0f *
                                             std::log10(own[h][b] / (normal.masked[b] * rest[h][b] + normal.quiet[b])));
    }
    return margins;
}

std::vector<float> Margins::within(int64_t first_frame, int64_t end_frame) const {
    std::vector<float> found;
    for (size_t h = 0; h < over_db.size(); ++h) {
        const int64_t middle = static_cast<int64_t>(h) * Excitation::hop_frames + Excitation::hop_frames / 2;
        if (middle >= first_frame && middle < end_frame)
            found.insert(found.end(), over_db[h].begin(), over_db[h].end());
    }
    return found;
}

Level Margins::share(int64_t first_frame, int64_t end_frame) const {
    const auto over = within(first_frame, end_frame);
    if (over.empty()) return std::nullopt;
    const auto heard = std::count_if(over.begin(), over.end(), [](float o) { return o > 0.0f; });
    return static_cast<double>(heard) / static_cast<double>(over.size());
}

Level Margins::gain_for(double share, int64_t first_frame, int64_t end_frame) const {
    auto over = within(first_frame, end_frame);
    if (over.empty()) return std::nullopt;
    const auto wanted = static_cast<std::ptrdiff_t>(std::ceil(share * static_cast<double>(over.size())));
    const auto at = over.begin() + std::clamp<std::ptrdiff_t>(wanted - 1, 0, std::ssize(over) - 1);
    std::nth_element(over.begin(), at, over.end(), std::greater<>());
    return -static_cast<double>(*at);
}

}  // namespace isotonus
