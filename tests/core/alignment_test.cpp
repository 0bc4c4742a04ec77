// Delay and polarity between microphones, on material with known answers.
#include "core/stage/alignment.h"

#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// Hits of noise that die away, twice a second; band-limited by a running mean so that fractions of a sample mean
/// something.
double hit(double frame) {
    double sum = 0.0;
    for (int k = -4; k <= 4; ++k) {
        const double t = std::fmod(frame + k, 24000.0);
        if (t < 0.0) continue;
        // Smooth pseudo-noise: sines of unrelated frequencies, which can be evaluated between samples.
        double x = 0.0;
        for (const double hz : {61.0, 113.0, 197.0, 331.0, 523.0, 811.0, 1303.0, 2111.0, 3407.0})
            x += std::sin(2.0 * std::numbers::pi * hz * t / 48000.0 + hz);
        sum += x * std::exp(-t / 2400.0) * std::min(1.0, t / 24.0);
    }
    return 0.01 * sum;
}

/// The same at whole frames, from a table.
double hit_at(int64_t frame) {
    static const std::vector<double> table = [] {
        std::vector<double> t;
        for (int i = 0; i < 24000; ++i) t.push_back(hit(i));
        return t;
    }();
    return frame < 0 ? 0.0 : table[static_cast<size_t>(frame % 24000)];
}

Alignment of(
    Folder& folder, const Wave& track, const Wave& reference = [](int64_t i, int) { return hit_at(i); }) {
    const auto a = load_material(write(folder / "a.wav", make(120000, 1, reference), 1), 48000).value();
    const auto b = load_material(write(folder / "b.wav", make(120000, 2, track), 2), 48000).value();
    return align_to(*a, *b).value();
}

}  // namespace

TEST(Alignment, finds_whole_delays_and_polarity) {
    Folder folder;
    for (const int delay : {0, 1, 37, 480, 2000, -37, -900}) {
        for (const double polarity : {1.0, -1.0}) {
            const Alignment a = of(folder, [&](int64_t i, int) { return 0.5 * polarity * hit_at(i - delay); });
            EXPECT_NEAR(a.delay_samples, delay, 0.1);
            EXPECT_EQ(a.inverted, polarity < 0.0) << delay;
            EXPECT_TRUE(a.reliable) << delay << " " << a.distinctness;
            EXPECT_GT(a.correlation_after,
                      delay < 0 ? 0.9 : 0.99);  // an early track has lost the head of its first hit
        }
    }
}

TEST(Alignment, finds_fractions_of_a_sample) {
    Folder folder;
    for (const double delay : {10.25, 100.5, 333.75}) {
        const Alignment a = of(folder, [&](int64_t i, int) { return hit(static_cast<double>(i) - delay); });
        EXPECT_NEAR(a.delay_samples, delay, 0.1);
    }
}

TEST(Alignment, hears_through_noise_and_says_so_when_there_is_nothing_to_hear) {
    Folder folder;
    const Alignment noisy = of(folder, [n = noise(5, 0.05)](int64_t i, int c) { return hit_at(i - 250) + n(i, c); });
    EXPECT_NEAR(noisy.delay_samples, 250.0, 0.1);
    EXPECT_TRUE(noisy.reliable);
    const Alignment other = of(folder, noise(6, 0.3));
    EXPECT_FALSE(other.reliable);
    const Alignment silent = of(folder, [](int64_t, int) { return 0.0; });
    EXPECT_FALSE(silent.reliable);
}

TEST(Alignment, of_fewer_than_three_hits_is_no_advice) {
    Folder folder;
    for (const int64_t hits : {2, 3}) {
        const auto some = [hits](int64_t i) { return i < hits * 24000 ? hit_at(i) : 0.0; };
        const Alignment a = of(
            folder, [&](int64_t i, int) { return some(i - 37); }, [&](int64_t i, int) { return some(i); });
        EXPECT_EQ(a.hits, hits);
        EXPECT_EQ(a.reliable, hits == 3);
    }
}

TEST(Alignment, counts_the_body_that_aligning_brings_back) {
    Folder folder;
    // Two equal 100 Hz hits of opposite polarity cancel; aligned they sum to +6 dB over one.
    const auto thump = [](double t) {
        return t < 0.0 ? 0.0 : std::sin(2.0 * std::numbers::pi * 100.0 * t / 48000.0) * std::exp(-t / 4800.0);
    };
    const auto beat = [&](int64_t i) { return 0.4 * thump(static_cast<double>(i % 24000)); };
    const Alignment a = of(
        folder, [&](int64_t i, int) { return -0.9 * beat(i); }, [&](int64_t i, int) { return beat(i); });
    EXPECT_TRUE(a.inverted);
    EXPECT_NEAR(a.low_gain_db, 20.0 * std::log10(1.9 / 0.1), 0.5);
    EXPECT_NEAR(a.correlation_before, -1.0, 0.01);
}

TEST(Alignment, of_the_demos_kick_microphones) {
    Folder folder;
    const auto close = load_material(demo_folder() / "01 Kick Close.wav", 48000).value(),
               room = load_material(demo_folder() / "02 Kick Room.wav", 48000).value();
    const Alignment a = align_to(*close, *room).value();
    EXPECT_NEAR(a.delay_samples, 317.0, 1.0);
    EXPECT_TRUE(a.inverted);
    EXPECT_TRUE(a.reliable);
    EXPECT_GT(a.low_gain_db, 0.5);
    // What has been set already counts: with the delay taken back nothing is left to do but the polarity.
    const Alignment put_right = align_to(*close, *room, {}, {-317, false}).value();
    EXPECT_NEAR(put_right.delay_samples, 0.0, 1.0);
    const auto bass = load_material(demo_folder() / "17 Canal Water.wav", 48000).value();
    EXPECT_FALSE(align_to(*close, *bass).value().reliable);
    EXPECT_NEAR(centimetres(317.0 / 48000.0), 226.5, 0.1);
}

namespace {

/// Hits that can be evaluated anywhere between samples: decaying tones of random pitch, new ones for each hit.
class Drum {
  public:
    explicit Drum(uint32_t seed) {
        uint64_t state = seed * 2654435761ULL + 1;
        const auto random = [&state] {
            state = state * 6364136223846793005ULL + 1442695040888963407ULL;
            return static_cast<double>(state >> 40) / 16777216.0;
        };
        for (int hit = 0; hit < 6; ++hit) {
            Hit h;
            h.frame = 9000.0 + 18000.0 * hit + 4000.0 * random();
            for (int n = 0; n < 40; ++n)
                h.tones.push_back(
                    {60.0 * std::pow(130.0, random()), 6.28 * random(), 300.0 + 2500.0 * random(), 0.4 + random()});
            hits_.push_back(h);
        }
    }
    double at(double frame) const {
        double sum = 0.0;
        for (const Hit& h : hits_) {
            const double t = frame - h.frame;
            if (t <= 0.0 || t > 9000.0) continue;
            for (const Tone& tone : h.tones)
                sum += tone.level * std::sin(2.0 * std::numbers::pi * tone.hz * t / 48000.0 + tone.phase) *
                       std::exp(-t / tone.decay) * std::min(1.0, t / 40.0);
        }
        return 0.02 * sum;
    }
    std::vector<float> heard(double delay, double polarity) const {
        return make(120000, 1, [&](int64_t i, int) { return polarity * at(static_cast<double>(i) - delay); });
    }

  private:
    struct Tone {
        double hz, phase, decay, level;
    };
    struct Hit {
        double frame;
        std::vector<Tone> tones;
    };
    std::vector<Hit> hits_;
};

double power_of(const std::vector<float>& x) {
    double sum = 0.0;
    for (const float v : x) sum += static_cast<double>(v) * static_cast<double>(v);
    return sum;
}

/// Adds something at 10 dB below.
void add_below(std::vector<float>& x, const std::vector<float>& more) {
    const double gain = std::sqrt(0.1 * power_of(x) / power_of(more));
    for (size_t i = 0; i < x.size(); ++i) x[i] += static_cast<float>(gain * static_cast<double>(more[i]));
}

MaterialPtr material_of(Folder& folder, const char* name, const std::vector<float>& samples) {
    return load_material(write(folder / name, samples, 1), 48000).value();
}

}  // namespace

TEST(Alignment, within_a_tenth_of_a_sample_in_a_noisy_room) {
    Folder folder;
    int n = 0;
    for (const double delay : {-2400.0, -1203.37, -48.5, -0.25, 0.4, 3.8, 317.0, 1000.77, 2399.6}) {
        const Drum drum(static_cast<uint32_t>(++n));
        const double polarity = n % 2 ? -1.0 : 1.0;
        const auto close = drum.heard(0.0, 1.0);
        auto far = drum.heard(delay, polarity);
        // A room: later echoes of other strength and a tail that is noise under the hits' level; then noise of its own.
        std::vector<float> room(far.size(), 0.0f);
        const auto hiss = noise(static_cast<uint32_t>(90 + n), 1.0);
        double tail = 0.0;
        for (size_t i = 4000; i < room.size(); ++i) {
            tail = std::max(tail * 0.9996, std::fabs(static_cast<double>(far[i - 500])));
            room[i] = 0.5f * far[i - 701] - 0.4f * far[i - 1133] + 0.3f * far[i - 1979] +
                      static_cast<float>(0.5 * tail * hiss(static_cast<int64_t>(i), 0));
        }
        add_below(far, room);
        add_below(far, make(120000, 1, noise(static_cast<uint32_t>(70 + n), 0.1)));
        const Alignment a =
            align_to(*material_of(folder, "close.wav", close), *material_of(folder, "far.wav", far)).value();
        EXPECT_NEAR(a.delay_samples, delay, 0.1);
        EXPECT_EQ(a.inverted, polarity < 0.0) << delay;
        EXPECT_TRUE(a.reliable) << delay << ": " << a.distinctness << " " << a.correlation_after;
    }
}

TEST(Alignment, unrelated_tracks_get_no_advice) {
    Folder folder;
    std::vector<MaterialPtr> tracks;
    for (uint32_t n = 0; n < 8; ++n)
        tracks.push_back(
            material_of(folder, ("drum" + std::to_string(n) + ".wav").c_str(), Drum(200 + n).heard(0.0, 1.0)));
    for (uint32_t n = 0; n < 3; ++n)
        tracks.push_back(
            material_of(folder, ("noise" + std::to_string(n) + ".wav").c_str(), make(120000, 1, noise(300 + n, 0.3))));
    for (const double hz : {55.0, 110.0, 146.8, 220.0})
        tracks.push_back(material_of(
            folder, ("tone" + std::to_string(hz) + ".wav").c_str(), make(120000, 1, [&](int64_t i, int c) {
                return sine(hz, 48000, 0.3)(i, c) * (i / 24000 % 2 ? 1.0 : 0.3) + sine(2.0 * hz, 48000, 0.1)(i, c);
            })));
    int pairs = 0, advised = 0;
    for (size_t i = 0; i < tracks.size(); ++i)
        for (size_t k = 0; k < tracks.size(); ++k) {
            if (i == k) continue;
            ++pairs;
            advised += align_to(*tracks[i], *tracks[k]).value().reliable ? 1 : 0;
        }
    EXPECT_GE(pairs, 200);
    EXPECT_LT(advised * 100, pairs) << advised << " of " << pairs;
}

TEST(Alignment, agrees_with_scipy_and_the_closed_form) {  // scipy.signal.correlate; 20 log10 |2 cos(pi f d)|
    Folder folder;
    const Drum drum(77);
    const auto a = drum.heard(0.0, 1.0), b = drum.heard(123.0, 1.0);
    const Alignment ours = align_to(*material_of(folder, "a.wav", a), *material_of(folder, "b.wav", b)).value();
    const std::string script = R"(
import numpy, scipy.io.wavfile, scipy.signal, sys
x = scipy.io.wavfile.read(sys.argv[1])[1].astype(float)
y = scipy.io.wavfile.read(sys.argv[2])[1].astype(float)
c = scipy.signal.correlate(y, x, mode='full', method='fft')
lag = scipy.signal.correlation_lags(len(y), len(x))[numpy.argmax(numpy.abs(c))]
before = (x * y).sum() / numpy.sqrt((x * x).sum() * (y * y).sum())
f = numpy.fft.rfftfreq(len(x), 1 / 48000)
p = numpy.abs(numpy.fft.rfft(x)) ** 2 * (f < 200)
gain = -10 * numpy.log10((p * numpy.cos(numpy.pi * f * 123 / 48000) ** 2).sum() / p.sum())
print(lag, before, gain)
)";
    int status = 0;
    const std::string said = output_of("/usr/bin/python3 -c \"" + script + "\" '" + (folder / "a.wav").string() +
                                           "' '" + (folder / "b.wav").string() + "'",
                                       &status);
    ASSERT_EQ(status, 0);
    double lag = 0.0, before = 0.0, gain = 0.0;
    ASSERT_EQ(std::sscanf(said.c_str(), "%lf %lf %lf", &lag, &before, &gain), 3) << said;
    EXPECT_EQ(lag, 123.0);
    EXPECT_NEAR(ours.delay_samples, lag, 0.1);
    EXPECT_NEAR(ours.correlation_before, before, 0.03);  // ours is over the hits only
    EXPECT_NEAR(ours.low_gain_db, gain, 0.2);
    EXPECT_NEAR(ours.correlation_after, 1.0, 0.01);
}

TEST(MicrophoneSets, are_found_by_name_and_proved_by_sound) {
    Folder folder;
    const Drum kick(11), tom(12), strum(13);
    std::vector<fs::path> files{write(folder / "Kick close.wav", kick.heard(0.0, 1.0), 1),
                                write(folder / "Bass.wav", make(120000, 1, sine(55, 48000, 0.3)), 1),
                                write(folder / "Kick far.wav", kick.heard(240.0, -0.6), 1),
                                write(folder / "Tom.wav", tom.heard(0.0, 1.0), 1),
                                write(folder / "Guitar DI.wav", strum.heard(0.0, 0.5), 1),
                                write(folder / "Guitar amp.wav", strum.heard(31.0, 0.4), 1)};
    Mix mix(files);
    const auto material = [&](const Track& t) { return load_material(source_of(t), 48000).value(); };
    const auto sets = microphone_sets(mix.session, material);
    ASSERT_EQ(sets.size(), 2u);
    EXPECT_EQ(sets[0], (std::vector<TrackId>{mix.id(0), mix.id(2)}));
    EXPECT_EQ(sets[1], (std::vector<TrackId>{mix.id(4), mix.id(5)}));
}

TEST(Alignment, what_is_found_is_told_as_a_finding_of_its_row) {
    Track close;
    close.name = "Kick Close";
    Alignment a;
    a.reliable = true;
    a.delay_samples = 201.6;
    a.low_gain_db = 2.14;
    a.strongest_hit = 96000;
    const auto late = finding_of(a, close, 48000);
    ASSERT_TRUE(late);
    EXPECT_EQ(late->text, "4.2 ms late against Kick Close, and the low end would gain 2.1 dB");
    EXPECT_EQ(late->time_s, 2.0);
    EXPECT_TRUE(late->fault && late->remedy == Remedy::align);
    a.delay_samples = -48.0, a.inverted = true, a.low_gain_db = 0.1;
    EXPECT_EQ(finding_of(a, close, 48000)->text, "1.0 ms early and inverted against Kick Close");
    a.delay_samples = 2.0;
    EXPECT_EQ(finding_of(a, close, 48000)->text, "inverted against Kick Close");
    a.inverted = false;
    EXPECT_FALSE(finding_of(a, close, 48000)) << "it is aligned";
    a.delay_samples = 200.0, a.reliable = false;
    EXPECT_FALSE(finding_of(a, close, 48000)) << "the evidence is weak";
}
