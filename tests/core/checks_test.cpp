// The checks before hand-off: every line passes on a good session, and is made to fail once.
#include "core/handoff/checks.h"

#include <gmock/gmock.h>

#include "core/session/routing.h"
#include "core/words.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// Two tracks that make a mix nothing can be said against: they fade in and out.
class HandOffChecks : public testing::Test {
  protected:
    Folder folder;
    Wave boat = [n = noise(1, 0.3)](int64_t i, int c) { return n(i, c) * shape(i); };
    Mix mix{
        {write(folder / "Boat.wav", make(240000, 2, boat), 2, 48000, SampleFormat::s24),
         write(folder / "Reed.wav", make(240000, 1, [n = noise(2, 0.3)](int64_t i, int) { return n(i, 0) * shape(i); }),
               1, 48000, SampleFormat::s24)}};
    std::vector<MissingFile> missing;
    HandOffLimits limits;
    bool monitoring = false;
    std::vector<Moment> overs;

    static double shape(int64_t i) {
        const double t = static_cast<double>(i) / 48000.0;
        return std::min({1.0, t * 4.0, std::max(0.0, (4.9 - t) * 2.0)});
    }
    std::vector<Check> all() {
        RowSignals signals;
        const MaterialOf files = [](const Track& t) { return load_material(source_of(t), 48000).value(); };
        EXPECT_TRUE(signals.make(mix.session, files));
        const PlanPtr plan = compile_plan(mix.session, signals.played_by(mix.session, files), Solo::left_out);
        const auto measured = measure_mix(plan).value();
        return check_handoff({mix.session, *plan, measured, missing, limits, monitoring, overs});
    }
    Check one(const std::string& id) {
        for (const Check& c : all())
            if (c.id == id) return c;
        ADD_FAILURE() << "no check " << id;
        return {};
    }
    void replace(size_t track, const fs::path& file) {
        mix.change(track, [&](Track& t) { t.source.file = file; });
    }
};

}  // namespace

TEST_F(HandOffChecks, a_good_mix_passes_every_line) {
    limits.min_lufs = -30.0;
    limits.max_lufs = -5.0;
    const auto checks = all();
    EXPECT_GE(checks.size(), 24u);
    for (const Check& c : checks) {
        EXPECT_TRUE(c.passed) << c.id << ": " << c.text;
        EXPECT_FALSE(c.text.empty() || c.why.empty()) << c.id;
    }
    EXPECT_TRUE(all_passed(checks));
}

TEST_F(HandOffChecks, every_line_fails_when_it_should) {
    const Mix good = mix;
    std::set<std::string> failed;
    const auto fails = [&](const std::string& id, const std::function<void()>& spoil) {
        spoil();
        const Check c = one(id);
        EXPECT_FALSE(c.passed) << id << ": " << c.text;
        failed.insert(id);
        mix.session = good.session;
        missing.clear();
        limits = {};
        monitoring = false;
        return c;
    };
    fails("mix_not_silent", [&] { mix.session.main_fader_db = silence_db; });
    const Check headroom = fails("headroom", [&] { mix.session.main_fader_db = 9.0; });
    EXPECT_GE(headroom.time_s, 0.0);
    EXPECT_NE(headroom.text.find("dB of headroom"), std::string::npos);
    fails("level_enough", [&] { mix.session.main_fader_db = -30.0; });
    EXPECT_GE(fails("true_peak", [&] { mix.session.main_fader_db = 9.0; }).time_s, 0.0);
    EXPECT_GE(fails("mix_clips",
                    [&] { mix.session.main_fader_db = 12.0, mix.change(0, [](Track& t) { t.fader_db = 12.0; }); })
                  .time_s,
              0.0);
    const fs::path offset =
        write(folder / "offset.wav",
              make(240000, 1, [](int64_t i, int) { return 0.02 + 0.2 * noise(3, 1.0)(i, 0) * shape(i); }), 1);
    fails("mix_dc_offset", [&] { replace(1, offset); });
    EXPECT_EQ(fails("track_dc_offset", [&] { replace(1, offset); }).row, mix.id(1));
    fails("loudness", [&] { limits.min_lufs = -5.0; });
    fails("loudness", [&] { limits.max_lufs = -40.0; });
    const fs::path sides =
        write(folder / "sides.wav",
              make(240000, 2, [](int64_t i, int c) { return (c ? -0.3 : 0.3) * noise(4, 1.0)(i, 0) * shape(i); }), 2);
    fails("mono_loss", [&] { replace(0, sides), mix.change(1, [](Track& t) { t.mute = true; }); });
    const auto late = [&](double from_s, double to_s) {
        return write(
            folder / "late.wav",
            make(48000 * 10, 1,
                 [=](int64_t i, int) {
                     const double t = static_cast<double>(i) / 48000.0;
                     return t > from_s && t < to_s ? 0.2 * noise(5, 1.0)(i, 0) * std::min(1.0, (to_s - t) * 4.0) : 0.0;
                 }),
            1);
    };
    const auto only_late = [&](double from_s, double to_s) {
        replace(1, late(from_s, to_s));
        mix.change(0, [](Track& t) { t.mute = true; });
    };
    EXPECT_NEAR(fails("silence_at_start", [&] { only_late(4.0, 9.0); }).time_s, 4.0, 0.02);
    EXPECT_NEAR(*fails("silence_at_end", [&] { only_late(0.1, 5.0); }).measured, 5.0, 0.1);
    const fs::path cut = write(folder / "cut.wav", make(240000, 1, noise(6, 0.3)), 1);
    fails("tail_cut", [&] { replace(1, cut); });
    fails("main_output_bare", [&] {
        mix.session = with_ride(mix.session, main_output, Parameter::level, {{{0.0, -1.0}}});
    });
    fails("rides_bypassed", [&] { mix.session.rides_bypassed = true; });
    fails("rides_bypassed", [&] {
        mix.session = with_ride(mix.session, mix.id(0), Parameter::pan, {{{0.0, 0.1}}});
        mix.session = with_rides(mix.session, mix.id(0), [](Rides& r) { r.bypassed = true; });
    });
    fails("monitoring_on", [&] { monitoring = true; });
    fails("missing_files", [&] { missing = {{"Reed", {"Reed.wav", "the file does not exist. Check its name."}}}; });
    EXPECT_EQ(fails("solo_left_on", [&] { mix.change(1, [](Track& t) { t.solo = true; }); }).row, mix.id(1));
    fails("mute_left_on", [&] { mix.change(1, [](Track& t) { t.mute = true; }); });
    fails("no_output", [&] { mix.change(1, [](Track& t) { t.fader_db = silence_db; }); });
    fails("no_output", [&] {
        TrackId bus = 0;
        mix.session = with_new_bus(mix.session, "off", {}, {mix.id(0)}, &bus);
        mix.session = with_bus(mix.session, bus, [](Bus& b) { b.fader_db = silence_db; });
    });
    const fs::path clipped = write(folder / "clipped.wav",
                                   make(240000, 1,
                                        [](int64_t i, int) {
                                            return std::clamp(3.0 * noise(7, 1.0)(i / 8, 0), -1.0, 1.0) *
                                                   (i > 48000 && i < 90000 ? 1.0 : 0.1);
                                        }),
                                   1);
    EXPECT_NEAR(fails("clipped_tracks", [&] { replace(1, clipped); }).time_s, 1.0, 0.05);
    auto broken = make(240000, 1, boat);
    broken[1000] = std::numeric_limits<float>::quiet_NaN();
    const fs::path nan = write(folder / "nan.wav", broken, 1);
    fails("samples_not_numbers", [&] { replace(1, nan); });
    const fs::path other =
        write(folder / "96.wav", make(480000, 1, [this](int64_t i, int) { return boat(i / 2, 0); }), 1, 96000);
    fails("converted_files", [&] { replace(1, other); });
    fails("rate_below_source", [&] { replace(1, other); });
    const Check end = fails("ride_at_its_end", [&] {
        mix.session = with_ride(mix.session, mix.id(0), Parameter::level, {{{1.0, 0.0}, {2.0, 12.0}, {3.0, 0.0}}});
    });
    EXPECT_EQ(end.time_s, 2.0);
    const fs::path quiet =
        write(folder / "quiet.wav", make(240000, 1, [this](int64_t i, int) { return 0.01 * boat(i, 0); }), 1);
    fails("open_findings", [&] { replace(1, quiet); });
    // Chains: 12 dB and more nearly all the time; gain that a later processor takes back; a key whose row has gone;
    // chains that are out for comparing.
    const Check deep = fails("deep_reduction", [&] {
        mix.change(0, [](Track& t) { t.chain = {processor("compressor", {{"threshold_dbfs", -50}, {"ratio", 20}})}; });
    });
    EXPECT_TRUE(deep.notice);
    EXPECT_EQ(deep.row, mix.id(0));
    EXPECT_THAT(deep.text, testing::HasSubstr("Boat"));
    const Check over = fails("chain_over", [&] {
        mix.change(0, [](Track& t) {
            t.chain = {processor("low_cut", {{"hz", 40}, {"output_db", 24}}, 1),
                       processor("low_cut", {{"hz", 40}, {"output_db", -24}}, 2)};
        });
    });
    EXPECT_TRUE(over.notice);
    const auto without_key = [](Track& t) { t.chain = {processor("duck")}, t.chain[0].key = 99; };
    EXPECT_FALSE(fails("key_missing", [&] { mix.change(0, without_key); }).notice);
    fails("chains_out", [&] { mix.change(0, without_key), mix.change(0, [](Track& t) { t.chain_out = true; }); });
    fails("chains_out", [&] { mix.session.chains_out = true; });
    const auto foreign = [](Track& t) { t.chain = {processor("width")}, t.chain[0].type = "lv2:urn:nobody:has:this"; };
    EXPECT_THAT(fails("cannot_run", [&] { mix.change(0, foreign); }).text, testing::HasSubstr("is not installed"));
    const auto limited = [&] {
        mix.session = with_chain(mix.session, main_output, [](Chain& c) { c = {processor("limiter")}; });
    };
    EXPECT_FALSE(fails("main_chain", [&] { limited(), mix.session.hand_off.main_chain = MainChain::in; }).notice);
    for (const Check& c : all()) EXPECT_TRUE(failed.contains(c.id)) << c.id << " was never made to fail";
}

TEST_F(HandOffChecks, a_fade_to_nothing_may_end_at_the_bottom_and_notices_do_not_hold_back) {
    mix.session = with_ride(mix.session, mix.id(0), Parameter::level, {{{3.0, 0.0}, {4.5, ride_min_db}}});
    EXPECT_TRUE(one("ride_at_its_end").passed);
    mix.session = with_ride(mix.session, mix.id(0), Parameter::level, {{{1.0, 12.0}, {2.0, 0.0}}});
    EXPECT_FALSE(one("ride_at_its_end").passed);
    auto checks = all();
    std::erase_if(checks, [](const Check& c) { return !c.notice; });
    EXPECT_TRUE(all_passed(checks));
}

TEST_F(HandOffChecks, overs_are_told_with_their_place_and_their_makers) {
    mix.session.main_fader_db = 9.0;
    const PlanPtr plan = mix.plan();
    const auto measured = measure_mix(plan).value();
    const auto places = overs_of(measured.summary, 48000, -3.0);
    ASSERT_GE(places.size(), 2u);
    for (const MixPeak& a : places)
        for (const MixPeak& b : places) EXPECT_TRUE(&a == &b || std::llabs(a.frame - b.frame) >= 48000);
    EXPECT_TRUE(overs_of(measured.summary, 48000, 12.0).empty());
    overs = moments_of(plan, places).value();
    for (size_t i = 0; i < overs.size(); ++i) {
        EXPECT_NEAR(overs[i].peak_dbfs, db_from_gain(static_cast<double>(places[i].peak)), 1e-4);
        EXPECT_LT(overs[i].frame - places[i].frame, LevelSummary::block_frames);
    }
    // A line each, at its place, with the row that makes most of it.
    std::vector<Check> told = all();
    std::erase_if(told, [](const Check& c) { return c.id != "over"; });
    ASSERT_EQ(told.size(), places.size());
    for (size_t i = 0; i < told.size(); ++i) {
        EXPECT_FALSE(told[i].passed);
        EXPECT_NEAR(told[i].time_s, static_cast<double>(places[i].frame) / 48000.0, 0.01);
        EXPECT_EQ(told[i].row, overs[i].contributions[0].id);
        EXPECT_NE(told[i].text.find("raised by " + mix.session.name_of(told[i].row)), std::string::npos);
    }
    EXPECT_EQ(limits_of(HandOffProfile::own, limits), limits);
    EXPECT_EQ(limits_of(HandOffProfile::streaming_demo, {}).max_peak_dbfs, -1.0);
}

TEST_F(HandOffChecks, speak_of_the_file_before_the_chain_and_of_the_mix_after_it) {
    // A file that clips stays one, whatever its chain does; a rumble that a low cut takes is no finding any more.
    replace(0, write(folder / "Voice.wav",
                     make(240000, 2,
                          [low = sine(20, 48000, 0.5), high = sine(900, 48000, 0.05)](int64_t i, int c) {
                              return std::clamp(3.0 * (low(i, c) + high(i, c)), -1.0, 1.0) * shape(i);
                          }),
                     2, 48000, SampleFormat::s16));
    mix.change(0, [](Track& t) { t.name = "Voice"; });
    EXPECT_THAT(one("open_findings").text, testing::HasSubstr("below 40 Hz"));
    EXPECT_FALSE(one("clipped_tracks").passed);
    mix.change(0, [](Track& t) {
        t.chain = {processor("low_cut", {{"hz", 300}, {"slope", 1}, {"output_db", -10}}, 1),
                   processor("low_cut", {{"hz", 300}, {"slope", 1}}, 2)};
    });
    EXPECT_THAT(one("open_findings").text, testing::Not(testing::HasSubstr("below 40 Hz")));
    EXPECT_FALSE(one("clipped_tracks").passed);
}

TEST(Checks, levels_beyond_full_scale_carry_their_sign) {
    EXPECT_EQ(signed_db(5.62), "+5.6");
    EXPECT_EQ(signed_db(-5.62), "−5.6");
    EXPECT_EQ(signed_db(0.04), "0.0");
    EXPECT_EQ(signed_db(-0.04), "0.0");
}
