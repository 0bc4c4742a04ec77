// Clips, channels and offsets: what a track plays of its files.
#include <random>
#include "core/mix/mix_peak.h"

#include "core/mix/mixdown.h"
#include "core/session/clips.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// Everything a source plays, read in blocks of this size.
std::vector<float> played(const Source& source, int64_t block = 1000) {
    const ReadySource ready = prepare_source(source, 48000).value();
    const auto opened = open_source(ready).value();
    FrameReader& reader = *opened;
    std::vector<float> out(static_cast<size_t>(ready.frames * ready.channels));
    for (int64_t at = 0; at < ready.frames; at += block) {
        const int64_t part = std::min(block, ready.frames - at);
        EXPECT_TRUE(reader.read(at, part, out.data() + at * ready.channels));
    }
    return out;
}

Source of(const fs::path& file) {
    Source source;
    source.file = file;
    return source;
}

double ramp(int64_t i, int c) { return (static_cast<double>(i) + 1.0) / 10000.0 * (c == 0 ? 1.0 : -0.5); }

}  // namespace

TEST(Source, plays_a_file_as_it_is) {
    Folder folder;
    const auto samples = make(5000, 2, ramp);
    EXPECT_EQ(played(of(write(folder / "a.wav", samples, 2))), samples);
}

TEST(Source, picks_swaps_and_folds_channels) {
    Folder folder;
    Source s = of(write(folder / "a.wav", make(3000, 2, ramp), 2));
    s.channels = Channels::swapped;
    EXPECT_EQ(played(s), make(3000, 2, [](int64_t i, int c) { return ramp(i, 1 - c); }));
    s.channels = Channels::one, s.channel = 1;
    EXPECT_EQ(played(s), make(3000, 1, [](int64_t i, int) { return ramp(i, 1); }));
    s.channels = Channels::mono;
    const auto mono = played(s);
    EXPECT_NEAR(mono[999], 0.025, 1e-7);  // half of 0.1 - 0.05
    s.channels = Channels::one, s.channel = 2;
    EXPECT_FALSE(prepare_source(s, 48000));
    // 5.1: ITU-R BS.775-3, centre and surrounds at -3 dB, the low effects left out.
    Source six = of(write(folder / "six.wav", make(100, 6, [](int64_t, int c) { return 0.01 * (1 << c); }), 6));
    const auto folded = played(six);
    const double s3 = std::sqrt(0.5);
    EXPECT_NEAR(folded[0], 0.01 + s3 * 0.04 + s3 * 0.16, 1e-6);
    EXPECT_NEAR(folded[1], 0.02 + s3 * 0.04 + s3 * 0.32, 1e-6);
    six.channels = Channels::one, six.channel = 3;
    EXPECT_NEAR(played(six)[50], 0.08, 1e-7);
}

TEST(Source, joins_two_mono_files_as_sides) {
    Folder folder;
    Source s = of(write(folder / "x.L.wav", make(3000, 1, ramp), 1));
    s.right_file = write(folder / "x.R.wav", make(2000, 1, sine(500, 48000)), 1);
    const auto both = played(s, 333);
    ASSERT_EQ(both.size(), 6000u);
    EXPECT_FLOAT_EQ(both[2 * 1500], static_cast<float>(ramp(1500, 0)));
    EXPECT_FLOAT_EQ(both[2 * 1500 + 1], static_cast<float>(sine(500, 48000)(1500, 0)));
    EXPECT_EQ(both[2 * 2500 + 1], 0.0f);
    s.right_file = write(folder / "y.wav", make(2000, 5, ramp), 5);
    EXPECT_NE(prepare_source(s, 48000).error().what.find("mono"), std::string::npos);
}

TEST(Source, joins_the_living_sides_of_two_stereo_files) {
    Folder folder;
    const auto one_side = [](int side, const auto& wave) {
        return [side, wave](int64_t i, int c) { return c == side ? wave(i, c) : 0.0; };
    };
    Source s = of(write(folder / "x 1.wav", make(3000, 2, one_side(0, ramp)), 2));
    s.right_file = write(folder / "x 2.wav", make(2000, 2, one_side(1, sine(500, 48000))), 2);
    const auto both = played(s, 333);
    ASSERT_EQ(both.size(), 6000u);
    for (const int64_t i : {0, 700, 1500, 1999}) {
        EXPECT_FLOAT_EQ(both[2 * i], static_cast<float>(ramp(i, 0)));
        EXPECT_FLOAT_EQ(both[2 * i + 1], static_cast<float>(sine(500, 48000)(i, 1)));
    }
}

TEST(Source, offset_goes_away_as_measured) {
    Folder folder;
    const auto shifted =
        make(48000, 2, [s = sine(100, 48000, 0.25)](int64_t i, int c) { return s(i, c) + (c ? -0.1 : 0.05); });
    Source s = of(write(folder / "a.wav", shifted, 2));
    s.offset_removed = true;
    const auto m = load_material(s, 48000).value();
    EXPECT_NEAR(m->recorded.channel_mean[0], 0.05, 1e-6);
    EXPECT_NEAR(m->recorded.channel_mean[1], -0.1, 1e-6);
    EXPECT_NEAR(m->measurement.dc_offset, 0.0, 1e-6);
    EXPECT_NEAR(*m->measurement.sample_peak_dbfs, -12.04, 0.01);
    s.channels = Channels::swapped;
    EXPECT_NEAR(load_material(s, 48000).value()->measurement.dc_offset, 0.0, 1e-6);
    s.channels = Channels::one, s.channel = 1;
    EXPECT_NEAR(load_material(s, 48000).value()->measurement.dc_offset, 0.0, 1e-6);
}

TEST(Clips, are_placed_with_gain_and_fades) {
    Folder folder;
    Source s = of(write(folder / "a.wav", make(10000, 1, [](int64_t, int) { return 0.1; }), 1));
    s.clips = {{2000, 500, 3000, 6.0, 100, 200}, {8000, 0, 1000, -6.0, 0, 0}};
    const auto out = played(s);
    ASSERT_EQ(out.size(), 9000u);
    EXPECT_EQ(out[1999], 0.0f);
    EXPECT_EQ(out[5000], 0.0f);
    EXPECT_NEAR(out[3000], 0.1 * std::pow(10.0, 6.0 / 20.0), 1e-6);
    EXPECT_NEAR(out[8500], 0.1 * std::pow(10.0, -6.0 / 20.0), 1e-6);
    // Half way through a sin^2 fade the gain is a half.
    EXPECT_NEAR(out[2050] / out[3000], 0.5, 0.01);
    EXPECT_NEAR(out[4900] / out[3000], 0.5, 0.01);
    EXPECT_EQ(song_frame(s, 600), 2100);
    EXPECT_EQ(song_frame(s, 9000), -1);
}

TEST(Clips, crossfades_of_one_material_sum_to_it) {
    Folder folder;
    const auto samples = make(48000, 2, noise(7));
    Source s = of(write(folder / "a.wav", samples, 2));
    // A change of 0 dB: three clips with crossfades must give the file back.
    s.clips = with_gain_between(clips_of(s, 48000), 10000, 20000, 0.0, 480);
    ASSERT_EQ(s.clips.size(), 3u);
    const auto out = played(s);
    ASSERT_EQ(out.size(), samples.size());
    for (size_t i = 0; i < out.size(); ++i) ASSERT_NEAR(out[i], samples[i], 1e-6) << i;
    s.clips = with_gain_between(clips_of(of(s.file), 48000), 10000, 20000, 10.0, 480);
    const auto louder = played(s);
    EXPECT_NEAR(louder[2 * 15000] / samples[2 * 15000], std::pow(10.0, 0.5), 1e-5);
    EXPECT_NEAR(louder[2 * 9000], samples[2 * 9000], 1e-7);
    EXPECT_NEAR(louder[2 * 21000], samples[2 * 21000], 1e-7);
}

TEST(Clips, any_block_size_gives_the_same_samples) {
    Folder folder;
    Source s = of(write(folder / "a.wav", make(20000, 2, noise(9)), 2));
    s.clips = {{100, 3000, 9000, 3.0, 777, 50}, {5000, 0, 8000, -12.0, 1000, 3000}};
    s.delay_fraction = 0.37;
    s.offset_removed = true;
    const auto whole = played(s, 1 << 20);
    for (const int64_t block : {1, 7, 256, 4096}) EXPECT_EQ(played(s, block), whole) << block;
}

TEST(Clips, edits_keep_what_is_heard_where_they_should) {
    Folder folder;
    const auto samples = make(10000, 1, ramp);
    Source s = of(write(folder / "a.wav", samples, 1));
    s.clips = with_split(clips_of(s, 10000), 0, 4000);
    ASSERT_EQ(s.clips.size(), 2u);
    EXPECT_EQ(played(s), samples);  // a cut alone changes nothing
    EXPECT_EQ(with_split(s.clips, 0, 4000), s.clips);
    EXPECT_EQ(clip_at(s.clips, 4000), 1);
    EXPECT_EQ(clip_at(s.clips, 20000), -1);
    auto moved = with_clip_moved(s.clips, 1, 500);
    EXPECT_EQ(moved[1].start, 4500);
    moved = with_clip_moved(s.clips, 1, -9000);
    EXPECT_EQ(moved[1].start, 0);
    const auto trimmed = with_clip_start(s.clips, 1, 5000);
    EXPECT_EQ(trimmed[1].start, 5000);
    EXPECT_EQ(trimmed[1].offset, 5000);
    EXPECT_EQ(trimmed[1].end(), 10000);
    EXPECT_EQ(with_clip_start(s.clips, 1, 20000)[1].frames, 32);
    EXPECT_EQ(with_clip_start(s.clips, 0, -100)[0].start, 0);
    EXPECT_EQ(with_clip_end(s.clips, 1, 20000, 10000)[1].end(), 10000);  // not beyond the file
    EXPECT_EQ(with_clip_end(s.clips, 0, 6000, 10000)[0].frames, 6000);   // what was cut away comes back
    s.clips = with_silence_between(clips_of(of(s.file), 10000), 3000, 5000, 100);
    const auto cut = played(s);
    EXPECT_EQ(cut[4000], 0.0f);
    EXPECT_EQ(cut[6000], samples[6000]);
    EXPECT_LT(cut[2999], samples[2999]);
    const auto nothing_left = with_silence_between(s.clips, 0, 10000, 100);
    EXPECT_EQ(nothing_left.size(), 1u);
    EXPECT_EQ(nothing_left[0].gain_db, -36.0);
}

TEST(Source, a_fraction_of_a_sample_is_a_fraction_of_a_sample) {
    Folder folder;
    for (const double hz : {100.0, 1000.0, 10000.0, 18000.0}) {
        Source s = of(write(folder / "a.wav", make(4800, 1, sine(hz, 48000, 0.5)), 1));
        s.delay_fraction = 0.3;
        const auto late = played(s);  // its filter begins 32 frames before it
        for (size_t i = 200; i < 4600; ++i) {
            const double want = 0.5 * std::sin(2.0 * std::numbers::pi * hz * (static_cast<double>(i) - 0.3) / 48000.0);
            ASSERT_NEAR(late[32 + i], want, 0.0006) << hz << " Hz, frame " << i;
        }
    }
}

TEST(Plan, plays_clips_and_fractions_and_finds_their_peak_exactly) {
    Folder folder;
    std::mt19937 random(5);
    const auto uniform = [&](double low, double high) { return std::uniform_real_distribution(low, high)(random); };
    Mix mix(
        {write(folder / "a.wav", make(60000, 1, noise(1)), 1), write(folder / "b.wav", make(50000, 2, noise(2)), 2)});
    for (int round = 0; round < 12; ++round) {
        for (size_t n = 0; n < 2; ++n)
            mix.change(n, [&](Track& t) {
                t.delay_samples = std::floor(uniform(-500, 500)) + (round % 2 ? 0.0 : 0.25);
                t.source.clips.clear();
                for (int c = 0; c < round % 4; ++c)
                    t.source.clips.push_back(
                        {static_cast<int64_t>(uniform(0, 40000)), static_cast<int64_t>(uniform(0, 9000)),
                         static_cast<int64_t>(uniform(64, 30000)), uniform(-12, 12),
                         static_cast<int64_t>(uniform(0, 2000)), static_cast<int64_t>(uniform(0, 2000))});
                t.source.channels = n == 1 && round % 3 == 0 ? Channels::swapped : Channels::as_recorded;
                t.pan = uniform(-1, 1);
            });
        const PlanPtr plan = mix.plan();
        std::vector<float> all;
        ASSERT_TRUE(render_stretch(plan, {0, plan->frames}, 512, [&](std::span<const float> part) -> Result<void> {
            all.insert(all.end(), part.begin(), part.end());
            return {};
        }));
        float peak = 0.0f;
        for (const float x : all) peak = std::max(peak, std::fabs(x));
        EXPECT_EQ(whole_song_peak(plan).value().peak, peak) << round;
    }
}
