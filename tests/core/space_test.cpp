// What rings on and what moves: delay, reverb, modulation; and the limiter.
#include <ebur128.h>

#include <fstream>

#include "core/measure/true_peak.h"
#include "core/mix/mix_peak.h"
#include "core/session/routing.h"
#include "core/shape/delay.h"
#include "core/shape/reverb.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

std::vector<float> pulse(size_t frames, int channels) {
    std::vector<float> x(frames * static_cast<size_t>(channels));
    for (int c = 0; c < channels; ++c) x[static_cast<size_t>(c)] = 1.0f;
    return x;
}

double power_db(const std::vector<float>& x, size_t from, size_t to) {
    double sum = 0.0;
    for (size_t i = from; i < to; ++i) sum += static_cast<double>(x[i]) * static_cast<double>(x[i]);
    return 10.0 * std::log10(sum / static_cast<double>(to - from));
}

}  // namespace

// --- delay ----------------------------------------------------------------------------------------------------------

// Without a source nothing changes, to the bit; with one the echo is turned down by what was asked for, and comes back.
TEST(Echoes, make_way_for_a_sidechain_source) {
    Folder folder;
    const auto in = make(96000, 2, noise(3, 0.3));
    const auto source = make(
        96000, 1, [s = sine(80, 48000, 0.8)](int64_t i, int c) { return i >= 30000 && i < 54000 ? s(i, c) : 0.0; });
    write(folder / "room.wav",
          make(9600, 1,
               [n = noise(8, 0.5)](int64_t i, int c) { return n(i, c) * std::exp(-static_cast<double>(i) / 1500.0); }),
          1);
    for (const char* type : {"delay", "reverb", "room"}) {
        const bool room = std::string(type) == "room";
        Chain chain{processor(room ? "reverb" : type, {{"mix", 100}})};
        if (room) chain[0].impulse = folder / "room.wav";
        const auto plain = through(chain, in, 2);
        chain[0].values["duck_db"] = 12.0;
        EXPECT_EQ(through(chain, in, 2), plain) << type << " without a source";
        chain[0].key = 7;
        const auto ducked = through(chain, in, 2, 48000, {}, &source);
        const auto change = [&](size_t from, size_t to) {
            return rms_db(plain, 2, 0, from, to) - rms_db(ducked, 2, 0, from, to);
        };
        EXPECT_NEAR(change(20000, 29000), 0.0, 0.01) << type;
        EXPECT_NEAR(change(40000, 52000), 12.0, 0.1) << type;
        EXPECT_NEAR(change(90000, 96000), 0.0, 1.5) << type << " comes back";
    }
}

TEST(Delay, repeats_stand_where_they_are_set_and_fall_by_the_feedback) {
    const auto out =
        through({processor("delay", {{"left_ms", 10.0}, {"right_ms", 25.0}, {"feedback", 50.0}})}, pulse(9600, 2), 2);
    for (size_t i = 0; i < 9600; ++i) {
        const bool left = i > 0 && i % 480 == 0, right = i > 0 && i % 1200 == 0;
        EXPECT_FLOAT_EQ(out[2 * i], left ? std::pow(0.5f, static_cast<float>(i / 480 - 1)) : 0.0f) << i;
        EXPECT_FLOAT_EQ(out[2 * i + 1], right ? std::pow(0.5f, static_cast<float>(i / 1200 - 1)) : 0.0f) << i;
    }
}

TEST(Delay, ping_pong_goes_from_side_to_side) {
    const auto out =
        through({processor("delay", {{"left_ms", 10.0}, {"right_ms", 10.0}, {"feedback", 50.0}, {"ping_pong", 1.0}})},
                pulse(2400, 2), 2);
    for (size_t i = 0; i < 2400; ++i) {
        const size_t n = i / 480;
        const float repeat = i > 0 && i % 480 == 0 ? std::pow(0.5f, static_cast<float>(n - 1)) : 0.0f;
        EXPECT_FLOAT_EQ(out[2 * i], n % 2 == 1 ? repeat : 0.0f) << i;
        EXPECT_FLOAT_EQ(out[2 * i + 1], n % 2 == 0 ? repeat : 0.0f) << i;
    }
}

TEST(Delay, cuts_in_its_loop_work_on_every_repeat_and_width_brings_the_sides_together) {
    Processor p =
        processor("delay", {{"left_ms", 100.0}, {"right_ms", 100.0}, {"feedback", 80.0}, {"high_cut_hz", 2000.0}});
    // Bursts of 500 Hz and of 8 kHz: the first repeat is whole, each later one has passed the cut once more.
    for (const auto& [hz, falls_db] : {std::pair{500.0, 20.0 * std::log10(0.8)}, std::pair{8000.0, -24.0}}) {
        const auto out = through(
            {p},
            make(24000, 1,
                 [hz = hz](int64_t i, int) {
                     return i < 2400 ? 0.5 * std::sin(2.0 * std::numbers::pi * hz * static_cast<double>(i) / 48000.0)
                                     : 0.0;
                 }),
            1);
        const double first = rms_db(out, 1, 0, 4800 + 500, 4800 + 2300),
                     second = rms_db(out, 1, 0, 9600 + 500, 9600 + 2300);
        EXPECT_NEAR(first, 20.0 * std::log10(0.5), 0.1);
        EXPECT_NEAR(second - first, falls_db, hz < 1000.0 ? 0.1 : 4.0) << hz;
    }
    p = processor("delay", {{"left_ms", 10.0}, {"right_ms", 20.0}, {"feedback", 0.0}, {"width", 0.0}});
    const auto out = through({p}, pulse(2400, 2), 2);
    for (size_t i = 0; i < 2400; ++i) EXPECT_EQ(out[2 * i], out[2 * i + 1]);
    EXPECT_FLOAT_EQ(out[960], 0.5f);
}

TEST(Delay, times_that_ride_glide_and_modulation_keeps_to_its_depth) {
    // A sine through a moving delay stays a sine of nearly its own level: nothing clicks.
    Processor p = processor("delay", {{"feedback", 0.0}});
    Rides rides;
    for (const char* side : {"left_ms", "right_ms"})
        rides.set(Parameter(*parameter_of(p, side), p.id), ride({{0.0, 50.0}, {1.0, 60.0}}));
    const auto in = make(96000, 2, sine(440, 48000, 0.5));
    const auto out = through({p}, in, 2, 48000, rides);
    for (size_t i = 2 * 4000; i + 2 < out.size(); ++i)
        ASSERT_LT(std::fabs(out[i + 2] - out[i]), 0.5 * 2.0 * std::numbers::pi * 440.0 / 48000.0 * 1.05);
    p = processor("delay", {{"left_ms", 20.0}, {"feedback", 0.0}, {"modulation_ms", 2.0}, {"modulation_hz", 1.0}});
    const auto moved = through({p}, make(96000, 1, [](int64_t i, int) { return static_cast<double>(i) / 96000.0; }), 1);
    double least = 1e9, most = 0.0;  // of the delay, which a ramp tells
    for (size_t i = 40000; i < 90000; ++i) {
        const double late = static_cast<double>(i) - static_cast<double>(moved[i]) * 96000.0;
        least = std::min(least, late), most = std::max(most, late);
    }
    EXPECT_NEAR(least, 960.0, 1.0);
    EXPECT_NEAR(most, 960.0 + 2.0 * 96.0, 1.0);
}

// --- reverb ---------------------------------------------------------------------------------------------------------

TEST(Reverb, decays_as_it_is_set_in_octave_bands) {
    // T30 by ISO 3382-1: Schroeder's backward integration of the filtered impulse response, a line through -5 … -35 dB,
    // made to 60 dB.  Octave filters and regression by scipy.
    Folder folder;
    for (const auto& [decay, low, high, size] : {std::array{1.0, 1.0, 1.0, 1.0}, std::array{2.5, 1.3, 0.5, 1.0},
                                                 std::array{0.5, 1.0, 0.7, 0.5}, std::array{6.0, 0.8, 0.4, 1.6}}) {
        const auto out = through({processor("reverb", {{"decay_s", decay},
                                                       {"low_factor", low},
                                                       {"high_factor", high},
                                                       {"size", size},
                                                       {"early", 0.0},
                                                       {"predelay_ms", 0.0},
                                                       {"low_cut_hz", 20.0},
                                                       {"high_cut_hz", 20000.0}})},
                                 pulse(static_cast<size_t>(48000.0 * (1.2 * decay + 0.5)), 2), 2);
        std::ofstream(folder / "ir", std::ios::binary)
            .write(reinterpret_cast<const char*>(out.data()), std::ssize(out) * 4);
        std::ofstream(folder / "t.py") << R"(
import numpy, scipy.signal
x = numpy.fromfile('ir', 'f4').reshape(-1, 2).astype(float)
for hz in (63, 1000, 16000):
    sos = scipy.signal.butter(4, [hz / 2 ** 0.5, min(hz * 2 ** 0.5, 23000)], 'band', fs=48000, output='sos')
    for side in (0, 1):
        y = scipy.signal.sosfilt(sos, x[:, side])
        e = numpy.cumsum(y[::-1] ** 2)[::-1]
        db = 10 * numpy.log10(e / e[0] + 1e-30)
        t = numpy.arange(len(db)) / 48000
        i = (db < -5) & (db > -35)
        print(-60 / numpy.polyfit(t[i], db[i], 1)[0])
)";
        int status = 0;
        std::istringstream printed(output_of("cd '" + folder.path().string() + "' && /usr/bin/python3 t.py", &status));
        ASSERT_EQ(status, 0);
        for (const double wanted : {decay * low, decay, decay * high})
            for (int side = 0; side < 2; ++side) {
                double t30 = 0.0;
                printed >> t30;
                EXPECT_NEAR(t30, wanted, 0.12 * wanted) << decay << " " << low << " " << high;
            }
        // What is drawn of it by octave is what was just measured: far below and above the corners, and between them.
        const Processor drawn =
            processor("reverb", {{"decay_s", decay}, {"low_factor", low}, {"high_factor", high}, {"size", size}});
        EXPECT_NEAR(decay_s(drawn, 63.0), decay * low, 0.12 * decay * low);
        EXPECT_NEAR(decay_s(drawn, 1000.0), decay, 0.12 * decay);
        EXPECT_NEAR(decay_s(drawn, 16000.0), decay * high, 0.12 * decay * high);
    }
}

TEST(Reverb, is_about_as_loud_as_what_comes_in_however_long_it_rings) {
    const auto in = make(48000 * 8, 2, noise(3, 0.3));
    for (const double decay : {0.4, 1.5, 4.0}) {
        const auto out = through({processor("reverb", {{"decay_s", decay},
                                                       {"high_factor", 1.0},
                                                       {"early", 0.0},
                                                       {"low_cut_hz", 20.0},
                                                       {"high_cut_hz", 20000.0}})},
                                 in, 2);
        EXPECT_NEAR(power_db(out, in.size() / 2, in.size()) - power_db(in, in.size() / 2, in.size()), 0.0, 1.5)
            << decay;
    }
}

TEST(Reverb, begins_after_its_pre_delay_with_early_reflections_and_has_two_sides) {
    const auto at = [](double before_ms, double early) {
        return through({processor("reverb", {{"predelay_ms", before_ms}, {"early", early}, {"low_cut_hz", 20.0}})},
                       pulse(9600, 2), 2);
    };
    const auto first = [](const std::vector<float>& x) {
        size_t i = 0;
        while (i < x.size() && std::fabs(x[i]) < 1e-4f) ++i;
        return static_cast<double>(i / 2) / 48.0;
    };
    EXPECT_NEAR(first(at(0.0, 100.0)), 7.9, 0.2);
    EXPECT_NEAR(first(at(50.0, 100.0)), 57.9, 0.2);
    EXPECT_GT(first(at(0.0, 0.0)), 20.0);  // the shortest line
    const auto out = at(0.0, 0.0);
    double ll = 0.0, rr = 0.0, lr = 0.0;
    for (size_t i = 0; i < out.size(); i += 2) {
        const double l = static_cast<double>(out[i]), r = static_cast<double>(out[i + 1]);
        ll += l * l, rr += r * r, lr += l * r;
    }
    EXPECT_LT(std::fabs(lr) / std::sqrt(ll * rr), 0.3);
    EXPECT_NEAR(10.0 * std::log10(ll / rr), 0.0, 2.0);
}

// --- modulation -----------------------------------------------------------------------------------------------------

TEST(Modulation, of_no_depth_is_a_delay_and_a_phaser_keeps_the_power) {
    const auto in = make(48000, 2, noise(7, 0.3));
    const auto flanged = through({processor("modulation", {{"kind", 1.0}, {"depth", 0.0}})}, in, 2);
    for (size_t i = 2 * 48; i < in.size(); ++i) ASSERT_EQ(flanged[i], in[i - 2 * 48]) << i;
    const auto phased = through({processor("modulation", {{"kind", 2.0}, {"depth", 100.0}, {"rate_hz", 1.0}})}, in, 2);
    EXPECT_NEAR(power_db(phased, 9600, in.size()) - power_db(in, 9600, in.size()), 0.0, 0.2);
    // Half and half, the phaser's notches move: three of them lie where six all-passes turn by an odd half circle.
    const auto mixed = through({processor("modulation", {{"kind", 2.0}, {"depth", 0.0}, {"mix", 50.0}})},
                               make(48000, 1, sine(std::sqrt(200.0 * 4000.0), 48000, 0.5)), 1);
    // At the filters' own frequency six of them turn by 6 * 90 = 540 degrees.
    EXPECT_LT(rms_db(mixed, 1, 0, 24000, 48000), -50.0);
}

// --- limiter --------------------------------------------------------------------------------------------------------

TEST(Limiter, keeps_true_peaks_at_its_ceiling_by_bs_1770_annex_2) {
    // At 96 kHz libebur128's filters are twice as long as Annex 2's, and see more beside a click of one sample.
    bool clicks = true;
    const auto loud = [&clicks](int64_t i, int c) {
        // Noise that swells, with clicks, and a sine of a quarter of the rate whose peaks lie between its samples.
        const double t = static_cast<double>(i) / 48000.0;
        const double sine = 1.4 * std::sin(2.0 * std::numbers::pi * 12000.0 * t + std::numbers::pi / 4.0);
        return (i / 24000 % 2 ? sine : 0.0) + (clicks && i % 9001 == 17 ? 2.5 : 0.0) +
               0.3 * std::sin(2.0 * std::numbers::pi * (90.0 + 40.0 * c) * t) * (1.0 + t);
    };
    for (const int rate : {44100, 48000, 96000})
        for (const double ceiling : {-1.0, -9.0}) {
            clicks = rate < 96000;
            const auto out = through({processor("limiter", {{"ceiling_dbtp", ceiling}, {"release_ms", 30.0}})},
                                     make(rate * 3, 2, loud), 2, rate);
            ebur128_state* meter = ebur128_init(2, static_cast<unsigned long>(rate), EBUR128_MODE_TRUE_PEAK);
            ebur128_add_frames_float(meter, out.data(), out.size() / 2);
            double highest = 0.0;
            for (unsigned c = 0; c < 2; ++c) {
                double peak = 0.0;
                ebur128_true_peak(meter, c, &peak);
                highest = std::max(highest, peak);
            }
            ebur128_destroy(&meter);
            const double dbtp = 20.0 * std::log10(highest);
            EXPECT_LE(dbtp, ceiling + 0.1) << rate;
            EXPECT_GE(dbtp, ceiling - 0.4) << rate;
        }
}

TEST(Limiter, leaves_what_is_below_its_ceiling_to_the_bit) {
    const auto in = make(24000, 2, noise(9, 0.4));
    EXPECT_EQ(through({processor("limiter", {{"ceiling_dbtp", -1.0}})}, in, 2), in);
    // One click is taken down alone: long before and long after nothing changes.
    auto clicked = in;
    clicked[2 * 12000] = 3.0f;
    const auto out = through({processor("limiter", {{"ceiling_dbtp", -1.0}, {"release_ms", 5.0}})}, clicked, 2);
    for (size_t i = 0; i < 2 * (12000 - 210); ++i) ASSERT_EQ(out[i], in[i]) << i;
    for (size_t i = 2 * (12000 + 6000); i < in.size(); ++i) ASSERT_EQ(out[i], in[i]) << i;
    EXPECT_NEAR(out[2 * 12000], gain_from_db(-1.03), 2e-3);
}

// --- tails ----------------------------------------------------------------------------------------------------------

TEST(Tails, ring_on_after_the_file_has_ended_and_are_in_figures_peaks_and_exports) {
    Folder folder;
    Shaped mix({write(folder / "a.wav", make(24000, 2, noise(1, 0.4)), 2)});
    const int64_t before = mix.shaped_plan()->frames;
    mix.session = with_chain(mix.session, mix.id(0), [](Chain& c) {
        c = {processor("reverb", {{"decay_s", 1.0}, {"predelay_ms", 0.0}, {"low_factor", 1.0}, {"high_factor", 1.0}})};
    });
    const PlanPtr plan = mix.shaped_plan();
    EXPECT_NEAR(static_cast<double>(plan->frames - before), 48000 * 1.1, 1.0);
    const auto out = rendered(plan, 4096);
    // It is still there when the file ends, and has died away where the song ends.
    EXPECT_GT(power_db(out, 2 * 24000, 2 * 26400), -45.0);
    EXPECT_LT(power_db(out, out.size() - 2 * 480, out.size()), power_db(out, 2 * 24000, 2 * 26400) - 45.0);
    for (const int block : {17, 512})
        for (const int workers : {1, 4}) EXPECT_EQ(rendered(plan, block, workers), out);
    float highest = 0.0f;
    for (const float x : out) highest = std::max(highest, std::fabs(x));
    EXPECT_EQ(whole_song_peak(plan)->peak, highest);
    // A feedback that rides counts at its highest.
    Processor p = processor("delay", {{"left_ms", 100.0}, {"right_ms", 100.0}, {"feedback", 10.0}});
    const double still = tail_s({p}, {});
    Rides rides;
    rides.set(Parameter(*parameter_of(p, "feedback"), p.id), ride({{0.0, 10.0}, {1.0, 80.0}}));
    EXPECT_GT(tail_s({p}, rides), 3.0 * still);
    p.in = false;
    EXPECT_EQ(tail_s({p}, {}), 0.0);
}

TEST(Delay, repeats_are_drawn_where_they_are_heard) {
    for (const double ping_pong : {0.0, 1.0}) {
        const Processor delay =
            processor("delay", {{"left_ms", 100.0}, {"right_ms", 150.0}, {"feedback", 50.0}, {"ping_pong", ping_pong}});
        const auto out = through({delay}, pulse(96000, 2), 2);
        const auto at = [&](double s, int side) {
            float most = 0.0f;
            for (int64_t i = std::llround(s * 48000) - 4; i < std::llround(s * 48000) + 5; ++i)
                most = std::max(most, std::fabs(out[static_cast<size_t>(2 * i + side)]));
            return static_cast<double>(most);
        };
        const auto repeats = repeats_of(delay);
        ASSERT_GE(repeats.size(), 7u);
        for (size_t n = 0; n < 6; ++n) {
            EXPECT_NEAR(at(repeats[n].time_s, 0), repeats[n].left, 0.02) << n << " " << ping_pong;
            EXPECT_NEAR(at(repeats[n].time_s, 1), repeats[n].right, 0.02) << n << " " << ping_pong;
        }
    }
}

TEST(Width, keeps_the_middle_and_puts_what_is_low_into_the_centre) {
    const auto in = make(48000, 2, noise(4, 0.4));
    EXPECT_EQ(through({processor("width")}, in, 2), in) << "at rest it is not there";
    const auto wide = through({processor("width", {{"width", 200.0}})}, in, 2);
    const auto mono = through({processor("width", {{"width", 0.0}})}, in, 2);
    for (size_t i = 0; i < in.size(); i += 2) {
        const float middle = (in[i] + in[i + 1]) / 2.0f, side = (in[i] - in[i + 1]) / 2.0f;
        ASSERT_NEAR(wide[i], middle + 2.0f * side, 1e-6);
        ASSERT_NEAR(mono[i], middle, 1e-6);
        ASSERT_EQ(mono[i], mono[i + 1]);
    }
    // Sides of a Butterworth low cut of 12 dB an octave: 3.01 dB down at its frequency, 24.1 dB two octaves below (the
    // formula of the prototype); what both sides share passes.
    for (const auto& [hz, lost] : {std::pair{120.0, 3.01}, std::pair{30.0, 24.1}, std::pair{2000.0, 0.0}}) {
        const auto apart =
            make(96000, 2, [hz = hz](int64_t i, int c) { return (c ? -0.5 : 0.5) * sine(hz, 48000)(i, 0); });
        const auto out = through({processor("width", {{"mono_below_hz", 120.0}})}, apart, 2);
        EXPECT_NEAR(rms_db(apart, 2, 0, 48000, 96000) - rms_db(out, 2, 0, 48000, 96000), lost, 0.1) << hz;
        const auto same = make(96000, 2, sine(hz, 48000, 0.5));
        EXPECT_NEAR(rms_db(through({processor("width", {{"mono_below_hz", 120.0}})}, same, 2), 2, 0, 48000, 96000),
                    rms_db(same, 2, 0, 48000, 96000), 1e-3);
    }
    // A mono row has no sides.
    const auto one = make(4800, 1, noise(5, 0.4));
    EXPECT_EQ(through({processor("width", {{"width", 0.0}, {"mono_below_hz", 200.0}})}, one, 1), one);
}

TEST(Inserts, of_space_and_movement_leave_what_comes_in_to_be_heard_and_are_alone_on_a_return) {
    const std::vector<float> in = make(96000, 1, noise(7, 0.3));
    for (const char* type : {"reverb", "delay", "modulation"}) {
        const auto heard = [&](bool on_return) {
            return through({new_insert(*processor_type(type), {}, on_return)}, in, 1);
        };
        // As loud as before within 3 dB, and correlated with it; on a return it is the effect alone.
        const auto share = [&](const std::vector<float>& out) {
            double product = 0.0, own = 0.0;
            for (size_t i = 0; i < in.size(); ++i) {
                product += static_cast<double>(in[i]) * static_cast<double>(out[i]);
                own += static_cast<double>(in[i]) * static_cast<double>(in[i]);
            }
            return product / own;
        };
        EXPECT_NEAR(rms_db(heard(false), 1, 0, 0, in.size()), rms_db(in, 1, 0, 0, in.size()), 4.0) << type;
        EXPECT_GT(share(heard(false)), 0.45) << type;
        EXPECT_LT(share(heard(true)), 0.2) << type;
    }
    // A flanger and a phaser move at once.
    for (const char* kind : {"flanger", "phaser"}) {
        Processor p = new_insert(*processor_type("modulation"), {}, false);
        const ParameterInfo& info = *parameter_of(p, "kind");
        set_value(p, info, *value_from_text(info, kind));
        const auto out = through({p}, in, 1);
        // Where the notches lie moves: what is left of the same noise a second later is other.
        EXPECT_GT(worst_difference(out, in), 0.05) << kind;
    }
}
