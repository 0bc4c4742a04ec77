// What is told must be true: of whole tracks, at the limits, and while plans change over.  Several of these tests hold
// figures that once could be changed without any test noticing.
#include <gmock/gmock.h>

#include "core/balance/mono_loss.h"
#include "core/handoff/checks.h"
#include "core/mix/mix_peak.h"
#include "core/stage/findings.h"
#include "core/stage/staging.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::HasSubstr;

namespace {

std::vector<Check> checks_of_mix(const Mix& mix) {
    const PlanPtr plan = mix.plan();
    const auto measured = measure_mix(plan).value();
    return check_handoff({mix.session, *plan, measured, {}, {}, false, {}});
}

Check find(const std::vector<Check>& checks, const std::string& id) {
    for (const Check& c : checks)
        if (c.id == id) return c;
    ADD_FAILURE() << "no check " << id;
    return {};
}

}  // namespace

TEST(LowCentre, hides_nothing_of_the_track_from_checks_and_findings) {
    Folder folder;
    // A DC offset of 1.5 %, and rumble at 20 Hz under a quiet tone: both lie in the band that is kept in the centre.
    Mix mix({write(folder / "Offset.wav",
                   make(96000, 2, [s = sine(440, 48000, 0.2)](int64_t i, int c) { return s(i, c) + 0.015; }), 2),
             write(folder / "Voice.wav",
                   make(96000, 2,
                        [low = sine(20, 48000, 0.2), high = sine(900, 48000, 0.02)](int64_t i, int c) {
                            return low(i, c) + high(i, c);
                        }),
                   2)});
    const auto findings = [&](size_t n) {
        std::vector<std::string> ids;
        const Track& t = *mix.session.tracks[n];
        const PlanPtr plan = mix.plan();
        for (const PlanTrack& p : plan->tracks)
            if (p.id == t.id)
                for (const Finding& f : findings_of(*p.material, t)) ids.push_back(f.id);
        return ids;
    };
    const Check plain = find(checks_of_mix(mix), "track_dc_offset");
    const auto rumble = findings(1);
    EXPECT_FALSE(plain.passed);
    EXPECT_THAT(plain.text, HasSubstr("Offset (1.50 %)"));
    EXPECT_THAT(rumble, testing::Contains("rumble"));
    for (size_t n = 0; n < 2; ++n) mix.change(n, [](Track& t) { t.low_centre_hz = 150.0; });
    EXPECT_EQ(find(checks_of_mix(mix), "track_dc_offset").text, plain.text);
    EXPECT_EQ(findings(1), rumble);
    EXPECT_EQ(mix.plan()->parts.size(), 4u);
}

TEST(ListeningAfterTheFader, follows_rides_of_pan_and_width) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(96000, 2, noise(1, 0.3)), 2),
             write(folder / "b.wav", make(96000, 1, noise(2, 0.3)), 1)});
    mix.change(0, [](Track& t) {
        t.rides[Parameter::pan] = std::make_shared<const Curve>(Curve{{{0.0, -1.0}, {2.0, 1.0}}});
        t.rides[Parameter::width] = std::make_shared<const Curve>(Curve{{{0.0, 0.0}, {2.0, 2.0}}});
        t.rides[Parameter::level] = std::make_shared<const Curve>(Curve{{{0.0, -6.0}, {2.0, 0.0}}});
    });
    mix.session.main_fader_db = -2.0;
    mix.session.main_rides[Parameter::pan] = std::make_shared<const Curve>(Curve{{{0.0, 0.5}, {2.0, -0.5}}});
    for (const size_t n : {size_t{0}, size_t{1}}) {
        // Listening to one row after the fader is the mix of that row alone.
        const PlanPtr plan = mix.plan();
        const PlanPtr alone = plan_of_tracks(*plan, {mix.id(n)});
        const PlanPtr listening = plan_listening(*plan, mix.session, {mix.id(n)}, true);
        std::vector<float> wanted(192000), out(192000), heard(192000);
        auto reader = PlanReader::open(plan, false).value();
        const auto inputs = reader.read(0, 96000).value();
        Renderer(alone).process(0, 96000, inputs, wanted.data());
        Renderer(listening).process(0, 96000, inputs, out.data(), {}, heard.data());
        double worst = 0.0;
        for (size_t i = 0; i < heard.size(); ++i)
            worst = std::max(worst, std::fabs(static_cast<double>(heard[i]) - static_cast<double>(wanted[i])));
        // Pans along a way are each straight within a cell of 32 frames, and their product is not: -80 dB of the
        // signal.
        EXPECT_LT(worst, 3e-5) << n;
    }
}

TEST(Kinds, of_drums_own_words_are_decided_by_the_name) {
    Folder folder;
    // A kick that rings for a second, without a pause: by its figures it is held.
    const auto ringing = make(480000, 1, [s = sine(50, 48000, 0.5)](int64_t i, int c) { return s(i, c); });
    write(folder / "kick in.wav", ringing, 1);
    write(folder / "kick bass.wav", ringing, 1);
    write(folder / "tone.wav", ringing, 1);
    EXPECT_EQ(load_material(folder / "kick in.wav", 48000).value()->measurement.kind, Kind::percussive);
    EXPECT_EQ(load_material(folder / "kick bass.wav", 48000).value()->measurement.kind, Kind::sustained);
    EXPECT_EQ(load_material(folder / "tone.wav", 48000).value()->measurement.kind, Kind::sustained);
    EXPECT_EQ(kind_hint("03 Snares top"), KindHint::certainly_percussive);
    EXPECT_EQ(kind_hint("shaker loop"), KindHint::percussive);
    EXPECT_EQ(kind_hint("Water Pad"), KindHint::sustained);
    EXPECT_EQ(kind_hint("take 4"), KindHint::none);
    EXPECT_EQ(guess_family("Drone"), Family::other);
}

TEST(Kinds, count_as_near_the_top_what_lies_within_12_dB_of_it) {
    // 20 ms at the top, then 80 ms 6 dB lower: all of it is near the top, so it is held.
    const auto samples = make(
        192000, 1, [s = sine(500, 48000, 0.5)](int64_t i, int c) { return s(i, c) * (i % 4800 < 960 ? 1.0 : 0.5); });
    Measurer m(1, 48000, 1.0f);
    m.add(samples.data(), 192000);
    EXPECT_EQ(estimate_kind(m.finish().summary, 48000, 15.0, ""), Kind::sustained);
}

TEST(StagedAsItIs, forgets_limits_of_a_trim_that_is_another) {
    Measurement m;
    m.sample_peak_dbfs = m.peak_without_spikes_dbfs = -1.0;
    m.average_dbfs = -40.0;
    m.kind = Kind::sustained;
    Track track;
    track.trim_db = 0.0;  // the proposal is -5 dB, held back by the peak
    const TargetSheet sheet;
    EXPECT_TRUE(stage_track(sheet, track, m).limited_by_peak);
    EXPECT_FALSE(staged_as_is(sheet, track, m).limited_by_peak);
    track.trim_db = -5.0;
    EXPECT_TRUE(staged_as_is(sheet, track, m).limited_by_peak);
    track.trim_db = -5.2;
    EXPECT_FALSE(staged_as_is(sheet, track, m).limited_by_peak);
}

TEST(MonoLossCheck, fails_from_its_limit_on) {
    Folder folder;
    // Middle and side of unlike noise; what is lost in mono follows from their powers: (M) / (M + S).
    const auto losing = [&](double db_lost) {
        const double side = std::sqrt(std::pow(10.0, db_lost / 10.0) - 1.0);
        return write(folder / "wide.wav",
                     make(96000, 2,
                          [m = noise(1, 0.1), s = noise(2, 0.1), side](int64_t i, int c) {
                              return m(i, 0) + (c == 0 ? side : -side) * s(i, 0);
                          }),
                     2);
    };
    for (const auto& [lost, passes] : {std::pair{5.5, true}, {6.5, false}, {8.0, false}}) {
        Mix mix({losing(lost)});
        const Check c = find(checks_of_mix(mix), "mono_loss");
        EXPECT_NEAR(*c.measured, lost, 0.1);
        EXPECT_EQ(c.passed, passes) << lost;
    }
}

TEST(WholeSongPeaks, are_found_behind_a_looser_bound_of_almost_the_same_height) {
    Folder folder;
    // Stretch 0: two tracks whose peaks do not meet, so that its bound (0.7) is far above what it reaches (0.49995).
    // Stretch 1: one track alone reaches 0.5, and its bound is as tight as can be: 0.1 % less would hide it.
    std::vector<float> a(4096), b(4096);
    a[100] = 0.49995f;
    b[200] = 0.2f;
    a[1500] = 0.5f;
    Mix mix({write(folder / "a.wav", a, 1), write(folder / "b.wav", b, 1)});
    mix.session.pan_law = PanLaw::balance;
    const MixPeak peak = whole_song_peak(mix.plan(), nullptr, 1).value();
    EXPECT_EQ(peak.peak, 0.5f);
    EXPECT_EQ(peak.frame, 1500);
}

TEST(TakeOver, leaves_a_track_silent_that_a_mute_ride_holds_silent) {
    Folder folder;
    Mix mix({write(folder / "a.wav", std::vector<float>(48000, 0.5f), 1)});
    mix.change(0, [](Track& t) {
        t.rides[Parameter::mute] =
            std::make_shared<const Curve>(Curve{{{0.0, 0.0, Segment::step}, {0.2, 1.0, Segment::step}}});
    });
    const PlanPtr before = mix.plan();
    mix.change(0, [](Track& t) { t.fader_db = -12.0; });
    const PlanPtr after = mix.plan();
    Renderer one(before), two(after);
    auto reader = PlanReader::open(before, false).value();
    std::vector<float> out(2 * 4800);
    one.process(19200, 4800, reader.read(19200, 4800).value(), out.data());
    two.take_over(one, 24000);
    two.process(24000, 4800, reader.read(24000, 4800).value(), out.data());
    for (const float x : out) ASSERT_EQ(x, 0.0f);
}

TEST(Notices, do_not_hold_a_mix_back) {
    Folder folder;
    Mix mix({write(folder / "a.wav",
                   make(480000, 2,
                        [n = noise(1, 0.3)](int64_t i, int c) {
                            const double t = static_cast<double>(i) / 48000.0;
                            return n(i, c) * std::clamp(std::min(t * 4.0, (6.0 - t) * 2.0), 0.0, 1.0);
                        }),
                   2)});
    mix.session.main_rides[Parameter::level] = std::make_shared<const Curve>(Curve{{{5.0, 0.0}, {6.0, -3.0}}});
    const auto checks = checks_of_mix(mix);
    for (const char* id : {"silence_at_end", "main_output_bare"}) {
        EXPECT_FALSE(find(checks, id).passed) << id;
        EXPECT_TRUE(find(checks, id).notice) << id;
    }
    EXPECT_TRUE(all_passed(checks));
}
