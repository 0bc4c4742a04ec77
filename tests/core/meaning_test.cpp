// What processors, bounds and comparisons mean, by closed forms: worked out from what their words say, not from how
// they are written.
#include <gmock/gmock.h>

#include <cstring>
#include <random>

#include "core/compare/makers.h"
#include "core/compare/match.h"
#include "core/compare/third_octaves.h"
#include "core/files/artifact_cache.h"
#include "core/files/spool.h"
#include "core/mix/mix_bound.h"
#include "core/mix/mix_peak.h"
#include "core/session/changes.h"
#include "core/session/presets.h"
#include "core/session/routing.h"
#include "core/shape/chain_bound.h"
#include "tests/support/chains.h"
#include "tests/support/exports.h"
#include "tests/support/plugins.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

constexpr double rate = 48000.0;

double db_of(float out, float in) { return 20.0 * std::log10(std::fabs(static_cast<double>(out / in))); }

}  // namespace

// --- bounds
// -----------------------------------------------------------------------------------------------------------

// Whatever comes in: no block comes out higher than the bound says, also where a filter answers in the next block.
TEST(ChainBounds, hold_for_clicks_at_the_edges_of_blocks_and_for_what_rings_on) {
    constexpr int64_t block = 256, blocks = 60;
    const std::vector<Chain> chains{
        {processor("low_cut", {{"hz", 30.0}})},
        {processor("high_cut", {{"hz", 200.0}})},
        {processor("equaliser", {{"band1.hz", 100.0}, {"band1.db", 18.0}, {"band1.q", 8.0}, {"band1.in", 1.0}})},
        // It is over within a block, and so within the next one when the click is a block's last sample.
        {processor("equaliser", {{"band1.hz", 12000.0}, {"band1.db", 12.0}, {"band1.q", 0.7}, {"band1.in", 1.0}})},
        {processor("low_cut", {{"hz", 300.0}, {"output_db", 6.0}, {"mix", 60.0}})},
        {processor("high_cut", {{"hz", 60.0}}, 1), processor("low_cut", {{"hz", 50.0}}, 2)},
        {processor("transient", {{"attack_db", 12.0}})},
        {processor("limiter", {{"ceiling_dbtp", -6.0}})}};
    for (size_t c = 0; c < chains.size(); ++c)
        for (const int64_t at : {block - 1, block, 5 * block - 1, 7 * block + 100}) {
            std::vector<float> in(2 * block * blocks, 0.0f);
            in[static_cast<size_t>(2 * at)] = 0.9f;
            in[static_cast<size_t>(2 * at + 1)] = -0.9f;
            const auto out = through(chains[c], in, 2);
            std::vector<float> reach(blocks, 0.0f);
            reach[static_cast<size_t>(at / block)] = 0.9f;
            bound_through(chains[c], {}, rate, block, reach);
            for (int64_t b = 0; b < blocks; ++b) {
                float most = 0.0f;
                for (int64_t i = 2 * b * block; i < 2 * (b + 1) * block; ++i)
                    most = std::max(most, std::fabs(out[static_cast<size_t>(i)]));
                EXPECT_LE(most, reach[static_cast<size_t>(b)] + 1e-9f)
                    << "chain " << c << ", click " << at << ", block " << b;
            }
        }
}

// A linear filter's answer to a click is not over when the click's own block is.
TEST(ChainBounds, reach_as_many_blocks_on_as_the_filter_is_heard) {
    constexpr int64_t block = 256;
    std::vector<float> reach(40, 0.0f);
    reach[10] = 1.0f;
    bound_through({processor("low_cut", {{"hz", 1000.0}})}, {}, rate, block, reach);
    EXPECT_EQ(reach[9], 0.0f) << "nothing is heard before";
    EXPECT_GT(reach[10], 1.0f);
    EXPECT_EQ(reach[11], reach[10]) << "the click may be the block's last sample";
}

// Bypassed it is as loud as in: by its match gain, which counts wherever it may be bypassed.
TEST(ChainBounds, count_the_match_gain_of_what_may_be_bypassed) {
    Processor p = processor("low_cut", {{"hz", 20.0}});
    p.match = true;
    p.match_db = 12.0;
    Rides rides;
    rides.set(Parameter(*parameter_of(p, "in"), p.id), ride({{0.0, 1.0}, {0.1, 0.0, Segment::step}}));
    std::vector<float> reach(40, 0.5f);
    bound_through({p}, rides, rate, 256, reach);
    EXPECT_GE(reach[30], 0.5f * static_cast<float>(gain_from_db(12.0)));
    p.in = false;
    std::vector<float> out(4, 0.5f);
    bound_through({p}, {}, rate, 256, out);
    EXPECT_FLOAT_EQ(out[0], 0.5f * static_cast<float>(gain_from_db(12.0)));
}

TEST(MixBounds, are_never_below_what_the_mix_reaches) {
    Folder folder;
    std::mt19937 random(20301);
    std::uniform_real_distribution<double> uniform(0.0, 1.0);
    std::vector<fs::path> files;
    for (uint32_t n = 0; n < 4; ++n) {
        auto x = make(30000, 1 + static_cast<int>(n % 2), noise(n, 0.02));
        for (int k = 0; k < 12; ++k) x[random() % x.size()] = uniform(random) < 0.5 ? 0.9f : -0.9f;  // lone peaks
        files.push_back(write(folder / fmt::format("{}.wav", n), x, 1 + static_cast<int>(n % 2)));
    }
    for (int round = 0; round < 60; ++round) {
        Mix mix(files);
        for (size_t n = 0; n < files.size(); ++n)
            mix.change(n, [&](Track& t) {
                t.delay_samples = std::floor(3000.0 * uniform(random));
                t.fader_db = n == static_cast<size_t>(round) % 4 ? 0.0 : -60.0;
                t.pan = 2.0 * uniform(random) - 1.0;
                // Steep, so that the gain moves within a block and on into the next one.
                std::vector<RidePoint> up;
                const double at_s = 0.1 + 0.4 * uniform(random);
                up.push_back({at_s, -60.0});
                up.push_back({at_s + 0.001, 12.0});
                up.push_back({at_s + 0.004, -60.0});
                t.rides.set(uniform(random) < 0.5 ? Parameter::level : Parameter::trim,
                            std::make_shared<const Curve>(Curve{up}));
                if (uniform(random) < 0.5)
                    t.rides.set(Parameter::pan,
                                std::make_shared<const Curve>(Curve{{{at_s, -1.0}, {at_s + 0.001, 1.0}}}));
            });
        const PlanPtr plan = mix.plan();
        const float peak = peak_of(rendered(plan, 4096));
        EXPECT_GE(max_of_mix(*plan).value(), static_cast<double>(peak)) << round;
        EXPECT_EQ(whole_song_peak(plan).value().peak, peak) << round;
    }
}

// --- processors
// -------------------------------------------------------------------------------------------------------

// Below means below the upper frequency, and there alone; the lower one is of other ways.
TEST(Duck, of_what_lies_below_a_frequency_leaves_the_rest_alone) {
    const std::vector<float> key(96000, 0.9f);
    const auto ducked = [&](double hz, double where, double low_hz, double high_hz) {
        Processor p =
            processor("duck", {{"depth_db", 12.0}, {"where", where}, {"low_hz", low_hz}, {"high_hz", high_hz}});
        p.key = 7;
        const auto in = make(96000, 1, sine(hz, rate, 0.5));
        const auto out = through({p}, in, 1, rate, {}, &key);
        return rms_db(out, 1, 0, 48000, 96000) - rms_db(in, 1, 0, 48000, 96000);
    };
    constexpr double below = 1.0, above = 2.0;
    EXPECT_NEAR(ducked(30.0, below, 5000.0, 300.0), -12.0, 0.3);
    EXPECT_NEAR(ducked(300.0, below, 5000.0, 300.0), -6.0, 0.5) << "half of the depth at the corner, as shelves have";
    EXPECT_NEAR(ducked(3000.0, below, 5000.0, 300.0), 0.0, 0.3);
    EXPECT_NEAR(ducked(12000.0, above, 3000.0, 60.0), -12.0, 0.4);
    EXPECT_NEAR(ducked(300.0, above, 3000.0, 60.0), 0.0, 0.3);
}

// A hold of 10 ms is 480 frames of 48 kHz: as many are as they were after the level has fallen, and not one more.
TEST(Gate, holds_for_as_long_as_it_says_to_the_frame) {
    const Chain chain{processor(
        "gate",
        {{"threshold_dbfs", -20.0}, {"range_db", 60.0}, {"attack_ms", 0.05}, {"hold_ms", 10.0}, {"release_ms", 5.0}})};
    constexpr size_t loud = 4801;
    std::vector<float> in(9600, 1e-4f);
    std::fill(in.begin(), in.begin() + loud, 0.5f);
    const auto out = through(chain, in, 1);
    size_t closes = loud;
    while (closes < in.size() && db_of(out[closes], in[closes]) > -0.001) ++closes;
    EXPECT_EQ(closes - loud, 480u);
}

// After an end the one envelope lets go within 50 ms and the other within 400 ms; 12 dB apart is the whole of it.
TEST(Transient, lifts_what_rings_by_how_far_its_two_envelopes_are_apart) {
    const Chain chain{processor("transient", {{"sustain_db", 6.0}})};
    std::vector<float> in(96000, 1e-5f);
    std::fill(in.begin(), in.begin() + 48000, 0.5f);
    const auto out = through(chain, in, 1);
    for (const double t : {0.02, 0.04, 0.06, 0.2}) {
        const double apart_db = 20.0 * std::log10(std::exp(-t / 0.4) / std::exp(-t / 0.05));
        const double wanted = 6.0 * std::clamp(apart_db / 12.0, 0.0, 1.0);
        const auto at = 48000 + static_cast<size_t>(t * rate);
        EXPECT_NEAR(db_of(out[at], in[at]), wanted, 0.08) << t;
    }
}

// A ramp through a delay that moves says how long the delay is at every moment.
TEST(Modulation, sides_are_as_far_apart_as_is_set) {
    constexpr double rate_hz = 1.0, depth = 0.5;
    for (const double apart : {0.0, 60.0, 90.0, 180.0}) {
        const Chain chain{processor("modulation", {{"rate_hz", rate_hz}, {"depth", 100.0 * depth}, {"apart", apart}})};
        const auto out =
            through(chain, make(48000, 2, [](int64_t i, int) { return static_cast<double>(i) / rate; }), 2);
        for (const size_t frame : {size_t{9600}, size_t{20000}, size_t{43210}})
            for (int side = 0; side < 2; ++side) {
                const double now_s = static_cast<double>(frame) / rate;
                const double heard_s = static_cast<double>(out[2 * frame + static_cast<size_t>(side)]);
                const double turn = rate_hz * now_s + (side == 1 ? apart / 360.0 : 0.0);
                // A chorus: 15 ms, and 8 ms to either side at full depth.
                const double wanted_s = 0.015 + 0.008 * depth * std::sin(2.0 * std::numbers::pi * turn);
                EXPECT_NEAR(now_s - heard_s, wanted_s, 3e-5) << apart << ' ' << frame << ' ' << side;
            }
    }
}

// What is soft passes through a tanh as through a gain: the drive, which compensation takes away again.
TEST(Saturation, compensates_its_drive_for_what_is_soft) {
    for (const double drive_db : {6.0, 18.0})
        for (const double on : {1.0, 0.0}) {
            const Chain chain{
                processor("saturation", {{"drive_db", drive_db}, {"compensate", on}, {"ceiling_dbfs", 0.0}})};
            const auto in = make(48000, 1, sine(1000.0, rate, 0.0005));
            const auto out = through(chain, in, 1);
            EXPECT_NEAR(rms_db(out, 1, 0, 24000, 47000) - rms_db(in, 1, 0, 24000, 47000), on > 0.5 ? 0.0 : drive_db,
                        0.05);
        }
}

// After a long passage its automatic release takes a second; after a short one it is quicker.
TEST(Compressor, releases_by_itself_within_a_second_after_what_was_long) {
    const Chain chain{processor(
        "compressor",
        {{"threshold_dbfs", -30.0}, {"ratio", 20.0}, {"knee_db", 0.0}, {"attack_ms", 1.0}, {"release_auto", 1.0}})};
    std::vector<float> in(48000 * 9, 0.0005f);
    std::fill(in.begin(), in.begin() + 48000 * 6, 0.5f);
    const auto out = through(chain, in, 1);
    const double full = -db_of(out[48000 * 6 - 10], 0.5f);
    EXPECT_NEAR(full, (30.0 - 6.02) * 0.95, 0.2);
    for (const double t : {0.5, 1.0, 2.0}) {
        const auto at = 48000 * 6 + static_cast<size_t>(t * rate);
        EXPECT_NEAR(-db_of(out[at], in[at]), full * std::exp(-t), 0.03 * full) << t;
    }
}

// --- comparing
// --------------------------------------------------------------------------------------------------------

TEST(Match, by_what_plays_now_knows_the_second_that_follows_and_no_more) {
    Folder folder;
    const MaterialPtr m = load_material(write(folder / "in.wav", make(480000, 2, noise(3, 0.1)), 2), 48000).value();
    const std::vector<double> mix(100, 2.0);
    const Recording r;
    const auto peak_at = [&](size_t hop, MatchBy by, const Recording& recording, double song_s) {
        std::vector<float> peaks(100, 0.01f);
        peaks[hop] = 0.5f;
        return match_at({integrated_lufs(mix), mix}, recording, *m, peaks, by, song_s).value().true_peak_dbtp > -20.0;
    };
    // At 5 s: from 2 s to 6 s.
    EXPECT_FALSE(peak_at(19, MatchBy::short_term, r, 5.0));
    EXPECT_TRUE(peak_at(20, MatchBy::short_term, r, 5.0));
    EXPECT_TRUE(peak_at(59, MatchBy::short_term, r, 5.0));
    EXPECT_FALSE(peak_at(60, MatchBy::short_term, r, 5.0));
    // A passage from 3 s to 5 s against two seconds of the song; against three it is heard on to 6 s.
    Recording tied;
    tied.passages = {{"", 3.0, 5.0, 6.0, 8.0}};
    EXPECT_FALSE(peak_at(29, MatchBy::passage, tied, 7.0));
    EXPECT_TRUE(peak_at(30, MatchBy::passage, tied, 7.0));
    EXPECT_TRUE(peak_at(49, MatchBy::passage, tied, 7.0));
    EXPECT_FALSE(peak_at(50, MatchBy::passage, tied, 7.0));
    tied.passages = {{"", 3.0, 5.0, 6.0, 9.0}};
    EXPECT_TRUE(peak_at(59, MatchBy::passage, tied, 7.0));
    EXPECT_FALSE(peak_at(60, MatchBy::passage, tied, 7.0));
}

// A track that begins a second later meets its ride a second later.
TEST(Makers, count_a_ride_where_the_row_sounds) {
    Folder folder;
    // Sounds in its first half second; another one is there to compare with.
    const auto burst = [](int64_t i, int) { return i < 24000 ? sine(1000, rate, 0.5)(i, 0) : 0.0; };
    Mix mix(
        {write(folder / "late.wav", make(96000, 2, burst), 2), write(folder / "other.wav", make(96000, 2, burst), 2)});
    mix.change(0, [](Track& t) { t.delay_samples = 48000.0; });
    std::map<MaterialPtr, LongTermSpectrum> spectra;
    const auto of = [&](const MaterialPtr& m) -> const LongTermSpectrum* {
        SpectrumMeter meter(m->channels(), m->rate());
        std::vector<float> x(static_cast<size_t>(m->frames() * m->channels()));
        EXPECT_TRUE(m->open().value()->read(0, m->frames(), x.data()));
        meter.add(x.data(), m->frames());
        return &(spectra[m] = meter.finish());
    };
    const auto share = [&](double opens_s, double shuts_s) {
        mix.session = with_ride(
            mix.session, mix.id(0), Parameter::level,
            Curve{{{0.0, -60.0, Segment::step}, {opens_s, 0.0, Segment::step}, {shuts_s, -60.0, Segment::step}}});
        for (const BandMaker& maker : makers_of(*mix.plan(), 890.0, 1120.0, of))
            if (maker.row == mix.id(0)) return maker.share;
        return 0.0;
    };
    EXPECT_NEAR(share(1.0, 1.6), 0.5, 0.02) << "open where it sounds: as strong as the other";
    EXPECT_LT(share(0.0, 0.6), 0.01) << "open before it begins";
}

// Two references 3 dB to either side of their mean have a standard deviation of 3 dB.
TEST(BandDifferences, tolerate_what_the_references_themselves_differ_by) {
    ThirdOctaves mix{}, high{}, low{};
    mix.fill(1e-3);
    high.fill(1e-3 * std::pow(10.0, 0.5));
    low.fill(1e-3 * std::pow(10.0, -0.1));
    const auto all = band_differences(mix, {high, low}, {0.0, 0.0});
    for (const BandDifference& d : all) {
        EXPECT_NEAR(d.tolerance_db, 3.0, 1e-9);
        EXPECT_NEAR(*d.difference_db, -2.0, 1e-9);
    }
    EXPECT_EQ(band_differences(mix, {high}, {0.0})[4].tolerance_db, 0.0);
    EXPECT_NEAR(band_differences(mix, {high, low}, {-5.0, 1.0})[4].tolerance_db, 0.0, 1e-6) << "once matched";
}

// --- presets, taking back, hand-off
// -------------------------------------------------------------------------------------

TEST(Presets, keep_no_match_gain_which_is_of_one_sound) {
    Folder folder;
    const Environment settings("XDG_CONFIG_HOME", (folder / "settings").string());
    Chain chain{processor("compressor", {{"ratio", 3.0}})};
    chain[0].match_db = 5.0;
    chain[0].key = 9;
    ASSERT_TRUE(keep_preset("Kept", "for a test", chain));
    const auto all = all_presets();
    const Preset* kept = find_preset(all, "Kept");
    ASSERT_TRUE(kept);
    EXPECT_EQ(kept->chain[0].match_db, 0.0);
    EXPECT_EQ(kept->chain[0].key, 0u);
    EXPECT_EQ(kept->chain[0].values.at("ratio"), 3.0);
}

TEST(Changes, taken_back_leave_a_ride_that_was_bypassed_bypassed_and_a_track_in_its_place) {
    Folder folder;
    std::vector<fs::path> files;
    for (const char* name : {"a.wav", "b.wav", "c.wav"})
        files.push_back(write(folder / name, make(2000, 1, noise(1, 0.1)), 1));
    Session then = with_files({}, files);
    const TrackId middle = then.tracks[1]->id;
    then = with_ride(then, middle, Parameter::level, Curve{{{0.0, -6.0}}});
    then = with_rides(then, middle, [](Rides& rides) { rides.set_out(Parameter::level, true); });
    Session now = with_rides(then, middle, [](Rides& rides) { rides.set_out(Parameter::level, false); });
    EXPECT_FALSE(changes_between(then, now).empty()) << "a ride that comes in is heard";
    const Session back = taken_back(now, then, middle);
    EXPECT_TRUE(back.find(middle)->rides.is_out(Parameter::level));
    EXPECT_FALSE(back.find(middle)->rides.heard(Parameter::level));
    const Session whole = taken_back(without_tracks(then, {middle}), then, middle);
    ASSERT_EQ(whole.tracks.size(), 3u);
    EXPECT_EQ(whole.tracks[1]->id, middle) << "between those it was between";
}

// EBU Tech 3285: the time reference counts samples since midnight at the file's own rate; here since the song's start.
TEST(BroadcastWaves, count_their_time_reference_at_their_own_rate) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(96000, 2, noise(1, 0.1)), 2)});
    for (const int to : {44100, 48000, 96000}) {
        Delivery d;
        d.folder = folder / fmt::format("{}", to);
        d.bext = true;
        d.sample_rate = to;
        d.excerpts = {Excerpt{"", {24000, 24000}}};
        const auto report = deliver(mix.plan(), mix.session, d);
        ASSERT_TRUE(report) << report.error().text();
        const std::string bytes = read_whole(report->files[0].file, 1 << 24).value();
        const size_t chunk = bytes.find("bext") + 8;
        uint32_t low = 0;
        std::memcpy(&low, bytes.data() + chunk + 338, 4);
        EXPECT_EQ(low, static_cast<uint32_t>(to / 2));
    }
}

TEST(CuePoints, mark_sections_that_begin_within_and_none_that_begins_where_it_ends) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(96000, 2, noise(1, 0.1)), 2)});
    for (const auto& [name, frame] : {std::pair{"first", 24000}, {"last", 47999}, {"end", 48000}, {"before", 23999}})
        mix.session = with_section(mix.session, {name, frame / rate, 0});
    Delivery d;
    d.folder = folder / "out";
    d.excerpts = {Excerpt{"", {24000, 24000}}};
    const auto report = deliver(mix.plan(), mix.session, d);
    ASSERT_TRUE(report) << report.error().text();
    const auto markers = SoundReader::open(report->files[0].file).value().markers();
    ASSERT_EQ(markers.size(), 2u);
    EXPECT_EQ(markers[0].name, "first");
    EXPECT_EQ(markers[0].frame, 0);
    EXPECT_EQ(markers[1].name, "last");
    EXPECT_EQ(markers[1].frame, 23999);
}

// --- what was not noticed before
// ------------------------------------------------------------------------------------------------

// A gate that closes at the level at which it opens flutters on anything that hovers there: it closes 3 dB lower.
TEST(Gate, stays_open_until_3_db_below_where_it_opens) {
    const Chain chain{processor(
        "gate",
        {{"threshold_dbfs", -30.0}, {"range_db", 60.0}, {"attack_ms", 0.05}, {"hold_ms", 0.0}, {"release_ms", 5.0}})};
    const auto left_of = [&](double then_dbfs) {
        std::vector<float> in(48000, static_cast<float>(gain_from_db(then_dbfs)));
        std::fill(in.begin(), in.begin() + 4800, static_cast<float>(gain_from_db(-20.0)));
        return db_of(through(chain, in, 1).back(), in.back());
    };
    EXPECT_NEAR(left_of(-32.5), 0.0, 1e-3);
    EXPECT_LT(left_of(-33.5), -59.0);
}

// Its look ahead makes everything late by the same, wherever reading begins and whatever a ride says there.
TEST(Compressor, is_late_by_what_it_says_also_where_its_look_ahead_is_ridden) {
    const Processor p = processor("compressor", {{"threshold_dbfs", 0.0}, {"lookahead_ms", 2.0}});
    Rides rides;
    rides.set(Parameter(*parameter_of(p, "lookahead_ms"), p.id), ride({{0.0, 2.0}, {1.0, 9.0}}));
    ChainRun run({p}, rides, 1, rate);
    for (const int64_t first : {0, 3000}) {
        run.begin(first);
        std::vector<float> in(cell_frames * 40, 0.0f);
        in[0] = 0.5f;
        for (size_t at = 0; at < in.size(); at += cell_frames) run.process(in.data() + at, 1, {}, {});
        const auto peak = std::max_element(in.begin(), in.end());
        EXPECT_EQ(peak - in.begin(), run.latency()) << "from cell " << first;
    }
}

// The longer side counts: 60 dB are ten halvings, of a second each.
TEST(Delays, ring_for_as_long_as_their_longer_side) {
    const std::pair<double, double> sides[] = {{50.0, 1000.0}, {1000.0, 50.0}};
    for (const auto& [left, right] : sides)
        EXPECT_NEAR(tail_s({processor("delay", {{"left_ms", left}, {"right_ms", right}, {"feedback", 50.0}})}, {}),
                    11.0, 0.1);
}

// Before a room answers there is silence for as long as its pre-delay, also when a ride has brought it there.
TEST(Reverb, keeps_silent_for_a_pre_delay_that_was_ridden) {
    const Processor p = processor("reverb", {{"predelay_ms", 0.0}, {"mix", 100.0}});
    Rides rides;
    rides.set(Parameter(*parameter_of(p, "predelay_ms"), p.id), ride({{0.0, 0.0}, {0.2, 100.0}}));
    std::vector<float> in(2 * 96000, 0.0f);
    in[2 * 48000] = in[2 * 48000 + 1] = 0.9f;
    const auto out = through({p}, in, 2, rate, rides);
    size_t first = 48000;
    while (first < 96000 && std::fabs(out[2 * first]) < 1e-5f && std::fabs(out[2 * first + 1]) < 1e-5f) ++first;
    EXPECT_GE(first, 48000u + 4800u);
    EXPECT_LT(first, 48000u + 4800u + 9600u);
}

// A bus is summed before what it leads to, whichever of them was made first.
TEST(Buses, that_lead_to_one_that_was_made_before_them_are_summed_before_it) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(20000, 2, noise(1, 0.3)), 2),
             write(folder / "b.wav", make(20000, 2, noise(2, 0.3)), 2)});
    const auto direct = rendered(mix.plan(), 4096);
    TrackId all = 0, drums = 0, kit = 0;
    mix.session = with_new_bus(mix.session, "All", std::nullopt, {}, &all);
    mix.session = with_new_bus(mix.session, "Drums", std::nullopt, {}, &drums);
    mix.session = with_new_bus(mix.session, "Kit", std::nullopt, {mix.id(0)}, &kit);
    mix.session = with_output(mix.session, {kit}, drums).value();
    mix.session = with_output(mix.session, {drums}, all).value();
    EXPECT_LT(worst_difference(rendered(mix.plan(), 4096), direct), 1e-6);
}

// What chains keep while the program runs lies on the same disk, and counts.
TEST(Artifacts, make_room_for_what_a_running_program_keeps) {
    Folder folder;
    const Environment cache("XDG_CACHE_HOME", (folder / "cache").string());
    const std::string megabyte(1 << 20, 'x');
    for (int n = 0; n < 4; ++n)
        ASSERT_TRUE(keep_artifact(Artifact::plugin_sound, fmt::format("artifact {}", n), megabyte));
    const uintmax_t kept = tidy_cache(uintmax_t{100} << 20);
    ASSERT_GE(kept, uintmax_t{4} << 20);
    const auto spool = Spooled::reserve(8 << 18);  // 8 MiB of floats
    ASSERT_TRUE(spool);
    const auto in_use = static_cast<uintmax_t>(Spooled::bytes_in_use());
    ASSERT_GE(in_use, uintmax_t{8} << 20);
    EXPECT_LE(tidy_cache(in_use + (kept / 2)), kept / 2);
}
