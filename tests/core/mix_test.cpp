// Pan laws, rides and the renderer, by closed forms and to the bit.
#include "core/mix/mix_peak.h"
#include "core/mix/mixdown.h"
#include "tests/support/exports.h"

#include <random>

using namespace isotonus;
using namespace isotonus::test;

namespace {

double db(double gain) { return 20.0 * std::log10(gain); }

/// Renders by hand with one block size, swapping plans at the given frames.
std::vector<float> render(const std::vector<std::pair<int64_t, PlanPtr>>& plans, int64_t frames, int64_t block) {
    std::vector<float> out(static_cast<size_t>(2 * frames));
    std::unique_ptr<Renderer> renderer;
    PlanReader reader = PlanReader::open(plans.front().second, false).value();
    size_t next = 0;
    for (int64_t at = 0; at < frames;) {
        if (next < plans.size() && plans[next].first == at) {
            auto fresh = std::make_unique<Renderer>(plans[next].second);
            if (renderer) fresh->take_over(*renderer, at);
            renderer = std::move(fresh);
            ++next;
        }
        int64_t part = std::min(block, frames - at);
        if (next < plans.size()) part = std::min(part, plans[next].first - at);
        renderer->process(at, part, reader.read(at, part).value(), out.data() + 2 * at);
        at += part;
    }
    return out;
}

std::vector<float> render(const PlanPtr& plan, int64_t block = 4096) {
    return render({{0, plan}}, plan->frames, block);
}

Curve curve(std::vector<RidePoint> points) { return Curve{std::move(points)}; }

}  // namespace

// --- pan ------------------------------------------------------------------------------------------------------------

TEST(Pan, laws_in_the_centre_and_at_the_sides) {
    // Constant power -3.01, linear -6.02, compromise -4.5 dB in the centre; all pass fully at the sides.
    EXPECT_NEAR(db(pan_mono(PanLaw::constant_power, 0).left_from_left), -3.0103, 1e-4);
    EXPECT_NEAR(db(pan_mono(PanLaw::linear, 0).left_from_left), -6.0206, 1e-4);
    EXPECT_NEAR(db(pan_mono(PanLaw::compromise, 0).right_from_left), -4.5154, 1e-4);
    EXPECT_EQ(pan_mono(PanLaw::balance, 0), (GainMatrix{1, 0, 1, 0}));
    for (const PanLaw law : {PanLaw::constant_power, PanLaw::linear, PanLaw::compromise, PanLaw::balance}) {
        EXPECT_EQ(pan_mono(law, -1), (GainMatrix{1, 0, 0, 0}));
        EXPECT_EQ(pan_mono(law, 1), (GainMatrix{0, 0, 1, 0}));
    }
}

TEST(Pan, constant_power_keeps_the_sum_of_squares_and_linear_the_sum) {
    for (double pan = -1.0; pan <= 1.0; pan += 0.05) {
        const GainMatrix p = pan_mono(PanLaw::constant_power, pan), l = pan_mono(PanLaw::linear, pan);
        EXPECT_NEAR(p.left_from_left * p.left_from_left + p.right_from_left * p.right_from_left, 1.0, 1e-12);
        EXPECT_NEAR(l.left_from_left + l.right_from_left, 1.0, 1e-12);
        EXPECT_NEAR(p.left_from_left, std::cos((pan + 1.0) * std::numbers::pi / 4.0), 1e-12);
    }
}

TEST(Pan, of_a_stereo_track_is_balance_and_width_is_mid_and_side) {
    EXPECT_EQ(pan_stereo(0, 1), (GainMatrix{1, 0, 0, 1}));
    EXPECT_EQ(pan_stereo(0, 0), (GainMatrix{0.5, 0.5, 0.5, 0.5}));
    EXPECT_EQ(pan_stereo(0, 2), (GainMatrix{1.5, -0.5, -0.5, 1.5}));
    EXPECT_NEAR(pan_stereo(0.5, 1).left_from_left, std::cos(std::numbers::pi / 4), 1e-12);
    EXPECT_EQ(pan_stereo(0.5, 1).right_from_right, 1.0);
    EXPECT_EQ(pan_stereo(1, 1).left_from_left, 0.0);
}

// --- rides ----------------------------------------------------------------------------------------------------------

TEST(Curve, holds_before_and_after_and_is_straight_between) {
    const Curve c = curve({{1.0, -6.0}, {3.0, 0.0}, {4.0, 3.0, Segment::step}, {5.0, -3.0}});
    EXPECT_EQ(c.value_at(0.0), -6.0);
    EXPECT_DOUBLE_EQ(c.value_at(2.0), -3.0);
    EXPECT_DOUBLE_EQ(c.value_at(3.5), 1.5);
    EXPECT_EQ(c.value_at(4.999), 3.0);
    EXPECT_EQ(c.value_at(5.0), -3.0);
    EXPECT_EQ(c.value_at(99.0), -3.0);
    EXPECT_EQ(Curve{}.value_at(1.0), 0.0);
}

TEST(Curve, of_two_points_at_one_time_the_later_wins) {
    Curve c;
    for (const RidePoint& p : {RidePoint{2.0, 1.0}, RidePoint{1.0, 0.0}, RidePoint{2.0, -5.0}}) c.insert(p);
    EXPECT_EQ(c.points[0].time_s, 1.0);
    EXPECT_DOUBLE_EQ(c.value_at(1.5), 0.5);
    EXPECT_EQ(c.value_at(2.0), -5.0);
}

TEST(Curve, gains_are_the_formula_at_every_frame) {
    const Curve c = curve({{0.1, -20.0},
                           {0.30001, 6.0},
                           {0.35, 6.0, Segment::step},
                           {0.4, -60.0},
                           {0.4001, 0.0},
                           {0.8, 0.0, Segment::step},
                           {0.9, -3.0}});
    std::vector<double> gains(48000);
    level_ride_gains(c, 48000, 0, 48000, gains.data());
    for (int64_t i = 0; i < 48000; ++i) {
        const double expected = gain_from_db(c.value_at(static_cast<double>(i) / 48000.0));
        ASSERT_NEAR(gains[static_cast<size_t>(i)] / expected, 1.0, 1e-9) << i;
        ASSERT_LE(gains[static_cast<size_t>(i)], level_ride_bound(c, 48000, i, 1) * (1 + 1e-9));
    }
    for (const int64_t block : {1, 7, 32, 100, 1024}) {  // the same to the bit, cut anyhow
        std::vector<double> cut(48000);
        for (int64_t at = 0; at < 48000; at += block)
            level_ride_gains(c, 48000, at, std::min(block, 48000 - at), cut.data() + at);
        EXPECT_EQ(cut, gains) << block;
    }
}

// --- the renderer ---------------------------------------------------------------------------------------------------

TEST(Renderer, sums_by_the_book) {
    Folder folder;
    const auto tone = make(9600, 2, sine(1000, 48000, 0.25)), other = make(9600, 2, sine(1000, 48000, 0.25, 90));
    const fs::path a = write(folder / "a.wav", tone, 2), b = write(folder / "b.wav", tone, 2),
                   q = write(folder / "q.wav", other, 2);
    const auto level = [](const Mix& mix) { return *measure(render(mix.plan()), 2, 48000).rms_dbfs; };
    const double one = level(Mix({a}));
    EXPECT_NEAR(level(Mix({a, b})) - one, 6.0206, 0.001);  // coherent
    EXPECT_NEAR(level(Mix({a, q})) - one, 3.0103, 0.001);  // in quadrature, as incoherent ones
    Mix opposite({a, b});
    opposite.change(1, [](Track& t) { t.polarity_inverted = true; });
    for (const float x : render(opposite.plan())) ASSERT_EQ(x, 0.0f);
}

TEST(Renderer, a_delay_cancels_where_theory_says) {
    Folder folder;
    // Equal signals d apart: level 20 log10 |2 cos(pi f d)|, first null at 1/(2d).  d = 24 samples: null at 1 kHz.
    for (const double hz : {250.0, 500.0, 900.0, 1000.0}) {
        const fs::path a = write(folder / "a.wav", make(48000, 2, sine(hz, 48000, 0.25)), 2);
        Mix mix({a, a});
        mix.change(1, [](Track& t) { t.delay_samples = 24; });
        const auto out = render(mix.plan());
        const std::vector<float> steady(out.begin() + 96, out.begin() + 2 * 47900);
        const double expected = db(std::fabs(2.0 * std::cos(std::numbers::pi * hz * 24.0 / 48000.0)));
        const double found = measure(steady, 2, 48000).rms_dbfs.value_or(-200.0) - 20.0 * std::log10(0.25);
        if (hz == 1000.0) {
            EXPECT_LT(found, -100.0);
        } else {
            EXPECT_NEAR(found, expected, 0.05) << hz;
        }
    }
}

TEST(Renderer, a_negative_delay_is_earlier) {
    Folder folder;
    std::vector<float> click(2000, 0.0f);
    click[1000] = 0.5f;
    Mix mix({write(folder / "c.wav", click, 1)});
    mix.session.pan_law = PanLaw::balance;
    mix.change(0, [](Track& t) { t.delay_samples = -317; });
    const auto out = render(mix.plan());
    EXPECT_EQ(out[2 * 683], 0.5f);
    mix.change(0, [](Track& t) { t.delay_samples = 400; });
    EXPECT_EQ(mix.plan()->frames, 2400);
    EXPECT_EQ(render(mix.plan())[2 * 1400 + 1], 0.5f);
}

TEST(Renderer, unity_mix_is_the_double_precision_sum) {
    Folder folder;
    std::vector<fs::path> files;
    std::vector<double> sum(2 * 20000, 0.0);
    for (uint32_t n = 0; n < 24; ++n) {
        const auto x = make(20000, 2, noise(n, 0.04));
        for (size_t i = 0; i < x.size(); ++i) sum[i] += static_cast<double>(x[i]);
        files.push_back(write(folder / (std::to_string(n) + ".wav"), x, 2));
    }
    const auto out = render(Mix(files).plan());
    double error = 0.0;
    for (size_t i = 0; i < out.size(); ++i) error = std::max(error, std::fabs(static_cast<double>(out[i]) - sum[i]));
    EXPECT_LT(db(error), -140.0);
}

TEST(Renderer, mute_solo_fader_trim_and_main_fader) {
    Folder folder;
    Mix mix({write(folder / "a.wav", std::vector<float>(2000, 0.5f), 2),
             write(folder / "b.wav", std::vector<float>(2000, 0.25f), 2)});
    const auto value = [&] { return render(mix.plan())[1000]; };
    EXPECT_EQ(value(), 0.75f);
    mix.change(0, [](Track& t) { t.mute = true; });
    EXPECT_EQ(value(), 0.25f);
    mix.change(0, [](Track& t) { t.mute = false, t.solo = true; });
    EXPECT_EQ(value(), 0.5f);
    mix.change(0, [](Track& t) { t.mute = true; });  // muted and soloed: muted
    EXPECT_EQ(value(), 0.0f);
    mix.change(0, [](Track& t) { t.mute = t.solo = false, t.fader_db = silence_db; });
    EXPECT_EQ(value(), 0.25f);
    mix.change(1, [](Track& t) { t.fader_db = -6.0, t.trim_db = 3.0; });
    mix.session.main_fader_db = -2.0;
    EXPECT_NEAR(static_cast<double>(value()), 0.25 * gain_from_db(-5.0), 1e-7);
}

TEST(Renderer, any_block_size_and_the_export_give_the_same_bits_through_rides_and_swaps) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(30000, 2, noise(1)), 2), write(folder / "b.wav", make(25000, 1, noise(2)), 1),
             write(folder / "c.wav", make(30000, 2, noise(3)), 2)});
    mix.change(0, [](Track& t) {
        t.rides.set(Parameter::level, std::make_shared<const Curve>(
                                          curve({{0.05, -12.0}, {0.2, 3.0}, {0.21, 0.0, Segment::step}, {0.4, -6.0}})));
    });
    mix.change(1, [](Track& t) { t.pan = 0.3, t.fader_db = -4.0, t.delay_samples = 77; });
    mix.change(2, [](Track& t) { t.width = 1.6, t.pan = -0.2; });
    const PlanPtr first = mix.plan();
    mix.change(1, [](Track& t) { t.fader_db = -10.0, t.pan = -1.0; });
    mix.change(0, [](Track& t) { t.rides.set(Parameter::level, std::make_shared<const Curve>(curve({{0.0, -1.0}}))); });
    mix.session.main_fader_db = -3.0;
    const PlanPtr second = mix.plan();
    mix.change(2, [](Track& t) { t.mute = true, t.width = 0.0; });
    const PlanPtr third = mix.plan();
    const std::vector<std::pair<int64_t, PlanPtr>> swaps{
        {0, first}, {5000, second}, {5200, third}, {17001, first}};  // the third while the second still glides
    const auto expected = render(swaps, 30000, 4096);
    for (const int64_t block : {1, 17, 64, 256, 1000}) EXPECT_EQ(render(swaps, 30000, block), expected) << block;
    const auto whole = render(first, 333);
    for (const int block : {1, 17, 4096}) {
        Delivery what = mix_into(folder / "out.wav", SampleFormat::f32);
        what.block_frames = block;
        ASSERT_TRUE(export_mix(first, what));
        EXPECT_EQ(read(folder / "out.wav"), whole) << block;
    }
}

TEST(Renderer, an_edit_glides_and_a_drawn_step_jumps) {
    Folder folder;
    Mix mix({write(folder / "a.wav", std::vector<float>(20000, 0.5f), 2)});
    const PlanPtr before = mix.plan();
    mix.change(0, [](Track& t) { t.fader_db = silence_db; });
    const auto glide = render({{0, before}, {4000, mix.plan()}}, 10000, 256);
    float jump = 0.0f;
    for (size_t i = 2; i < glide.size(); i += 2) jump = std::max(jump, std::fabs(glide[i] - glide[i - 2]));
    EXPECT_LT(jump, 0.5f / 480.0f * 1.01f);  // 10 ms, straight
    EXPECT_EQ(glide[2 * 3999], 0.5f);
    EXPECT_EQ(glide[2 * 4480], 0.0f);
    mix.change(0, [](Track& t) {
        t.fader_db = 0.0,
        t.rides.set(Parameter::level, std::make_shared<const Curve>(curve({{0.0, 0.0, Segment::step}, {0.1, -20.0}})));
    });
    const auto step = render(mix.plan());
    EXPECT_EQ(step[2 * 4799], 0.5f);
    EXPECT_NEAR(step[2 * 4800], 0.05f, 1e-7f);
}

// --- mixdown --------------------------------------------------------------------------------------------------------

TEST(WholeSongPeak, is_what_rendering_everything_finds_to_the_bit) {
    Folder folder;
    std::mt19937 random(20261125);
    std::uniform_real_distribution<double> uniform(0.0, 1.0);
    std::vector<fs::path> files;
    for (uint32_t n = 0; n < 6; ++n) {
        const int channels = 1 + static_cast<int>(n % 2);
        const auto x = make(40000 + 3000 * n, channels, [w = noise(n, 1.0), n](int64_t i, int c) {
            return w(i, c) * std::pow(std::sin(static_cast<double>(i) * 0.0002 + n), 4.0);
        });
        files.push_back(write(folder / (std::to_string(n) + ".wav"), x, channels));
    }
    Mix mix(files);
    for (int round = 0; round < 60; ++round) {
        for (size_t n = 0; n < files.size(); ++n)
            mix.change(n, [&](Track& t) {
                t.fader_db = uniform(random) < 0.1 ? silence_db : -30.0 + 36.0 * uniform(random);
                t.trim_db = -6.0 + 12.0 * uniform(random);
                t.pan = -1.0 + 2.0 * uniform(random), t.width = 2.0 * uniform(random);
                t.mute = uniform(random) < 0.15, t.solo = uniform(random) < 0.1,
                t.polarity_inverted = uniform(random) < 0.5;
                t.delay_samples = std::floor(600.0 * uniform(random)) - 300.0;
                t.rides.set(Parameter::level, nullptr);
                if (uniform(random) < 0.5) {
                    Curve c;
                    for (int p = 0; p < 6; ++p)
                        c.insert({uniform(random), -20.0 + 30.0 * uniform(random),
                                  uniform(random) < 0.3 ? Segment::step : Segment::line});
                    t.rides.set(Parameter::level, std::make_shared<const Curve>(c));
                }
            });
        mix.session.main_fader_db = -6.0 * uniform(random);
        const PlanPtr plan = mix.plan();
        const auto all = render(plan);
        float peak = 0.0f;
        size_t at = 0;
        for (size_t i = 0; i < all.size(); ++i)
            if (std::fabs(all[i]) > peak) peak = std::fabs(all[i]), at = i;
        const MixPeak found = whole_song_peak(plan).value();
        ASSERT_EQ(found.peak, peak) << "round " << round;
        ASSERT_EQ(found.frame, static_cast<int64_t>(at / 2)) << "round " << round;
    }
}

TEST(Mixdown, stems_sum_to_the_mix) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(20000, 2, noise(1, 0.2)), 2),
             write(folder / "b.wav", make(20000, 1, noise(2, 0.2)), 1),
             write(folder / "c.wav", make(20000, 2, noise(3, 0.2)), 2)});
    mix.session.main_fader_db = -1.0;
    mix.change(1, [](Track& t) {
        t.pan = 0.4, t.rides.set(Parameter::level, std::make_shared<const Curve>(curve({{0.1, -6.0}, {0.3, 2.0}})));
    });
    mix.change(2, [](Track& t) { t.mute = true; });
    Delivery what = mix_into(folder / "mix.wav", SampleFormat::f32);
    what.folder = folder / "stems";
    what.stems = StemSplit::tracks;
    what.pattern = "{number} {part}";
    const auto files = deliver(mix.plan(), mix.session, what).value().files;
    ASSERT_EQ(files.size(), 3u);  // the muted one is none
    EXPECT_EQ(files[2].file, folder / "stems/02 b.wav");
    const auto whole = read(folder / "mix.wav"), a = read(files[1].file), b = read(files[2].file);
    double error = 0.0;
    for (size_t i = 0; i < whole.size(); ++i)
        error = std::max(
            error, std::fabs(static_cast<double>(whole[i]) - static_cast<double>(a[i]) - static_cast<double>(b[i])));
    EXPECT_LT(db(error), -120.0);
}

TEST(Mixdown, a_range_and_another_rate) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(96000, 2, sine(1000, 48000, 0.5)), 2)});
    Delivery what = mix_into(folder / "out.wav");
    what.excerpts = {{"", {24000, 48000}}};
    what.sample_rate = 44100;
    const DeliveredFile r = export_mix(mix.plan(), what).value();
    EXPECT_EQ(r.measured.frames, 44100);
    EXPECT_EQ(r.measured.sample_rate, 44100);
    EXPECT_NEAR(*r.measured.rms_dbfs, -6.02, 0.02);
    EXPECT_EQ(read_by_ffmpeg(what.mix_file).size(), 88200u);
    what.excerpts = {{"", {96000, 10}}};
    EXPECT_FALSE(export_mix(mix.plan(), what));
}

TEST(Mixdown, counts_what_lies_above_full_scale) {
    Folder folder;
    Mix mix({write(folder / "a.wav", std::vector<float>{0.5f, 0.5f, 0.9f, -0.9f}, 2)});
    mix.change(0, [](Track& t) { t.fader_db = 6.0; });
    EXPECT_EQ(export_mix(mix.plan(), mix_into(folder / "out.wav")).value().clamped_samples, 2);
}

TEST(Mixdown, cancelled_or_failed_leaves_what_was_there) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(200000, 2, noise(1)), 2)});
    write(folder / "out.wav", {0.5f, 0.5f}, 2);
    const Delivery what = mix_into(folder / "out.wav");
    Progress progress;
    progress.cancel();
    const auto cancelled = export_mix(mix.plan(), what, {}, &progress);
    ASSERT_FALSE(cancelled);
    EXPECT_TRUE(cancelled.error().cancelled);
    const PlanPtr plan = mix.plan();
    fs::remove(folder / "a.wav");
    const auto failed = export_mix(plan, what);
    ASSERT_FALSE(failed);
    EXPECT_EQ(failed.error().file, (folder / "a.wav").string());
    EXPECT_EQ(read(folder / "out.wav").size(), 2u);
    for (const auto& entry : fs::directory_iterator(folder.path()))
        EXPECT_EQ(entry.path().filename().string().find(".part"), std::string::npos);
}
