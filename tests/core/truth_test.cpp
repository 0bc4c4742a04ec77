// What is told must be true: of whole tracks, at the limits, and while plans change over.  Several of these tests hold
// figures that once could be changed without any test noticing.
#include <gmock/gmock.h>

#include "core/balance/mono_loss.h"
#include "core/handoff/checks.h"
#include "core/mix/mix_peak.h"
#include "core/ride/hits.h"
#include "core/session/clips.h"
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
    for (size_t n = 0; n < 2; ++n) mix.change(n, [](Track& t) { t.mono_below_hz = 150.0; });
    EXPECT_EQ(find(checks_of_mix(mix), "track_dc_offset").text, plain.text);
    EXPECT_EQ(findings(1), rumble);
    EXPECT_EQ(mix.plan()->parts.size(), 4u);
}

TEST(ListeningAfterTheFader, follows_rides_of_pan_and_width) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(96000, 2, noise(1, 0.3)), 2),
             write(folder / "b.wav", make(96000, 1, noise(2, 0.3)), 1)});
    mix.change(0, [](Track& t) {
        t.rides.set(Parameter::pan, std::make_shared<const Curve>(Curve{{{0.0, -1.0}, {2.0, 1.0}}}));
        t.rides.set(Parameter::width, std::make_shared<const Curve>(Curve{{{0.0, 0.0}, {2.0, 2.0}}}));
        t.rides.set(Parameter::level, std::make_shared<const Curve>(Curve{{{0.0, -6.0}, {2.0, 0.0}}}));
    });
    mix.session.main_fader_db = -2.0;
    mix.session.main_rides.set(Parameter::pan, std::make_shared<const Curve>(Curve{{{0.0, 0.5}, {2.0, -0.5}}}));
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

TEST(Kinds, weigh_how_much_of_a_sound_is_held) {
    // Twice a second a hit that falls by 12 dB within 41 ms, and is heard for 140: three tenths of it are held.  A
    // crest factor that speaks for a held sound does not outweigh that.
    const auto samples = make(192000, 1, [s = sine(500, 48000, 0.5)](int64_t i, int c) {
        return s(i, c) * std::exp(-static_cast<double>(i % 24000) / 1440.0);
    });
    Measurer m(1, 48000, 1.0f);
    m.add(samples.data(), 192000);
    EXPECT_EQ(estimate_kind(m.finish().summary, 48000, 10.0, ""), Kind::percussive);
}

// ITU-R BS.1770-5 Annex 2.  Samples of a sine at a third of the rate stand at every 60 degrees of it, and so do those
// half way between: twice the rate would miss its peak by up to 20 log10 cos 30 = -1.25 dB, four times the rate by
// 20 log10 cos 15 = -0.30 dB.
TEST(TruePeaks, are_looked_for_at_four_times_the_rate) {
    for (double phase_deg = 0.0; phase_deg < 180.0; phase_deg += 4.0) {
        const auto samples = make(4800, 1, sine(16000, 48000, 0.5, phase_deg));
        Measurer m(1, 48000, 1.0f);
        m.add(samples.data(), 4800);
        EXPECT_GT(*m.finish().measurement.true_peak_dbtp, -6.02 - 0.45) << phase_deg;
    }
}

TEST(Spikes, are_not_all_there_is_of_a_sound) {
    // Two hits and a bed at -60 dBFS: the bed remains, so the hits are spikes.  With a bed at -80 they are the sound
    // itself.
    const auto hits = [](double bed) {
        const auto samples = make(96000, 1, [=](int64_t i, int) { return i % 48000 < 240 ? 0.9 : i % 2 ? bed : -bed; });
        Measurer m(1, 48000, 1.0f);
        m.add(samples.data(), 96000);
        return m.finish().measurement.spikes.size();
    };
    EXPECT_EQ(hits(0.001), 2u);
    EXPECT_EQ(hits(0.0001), 0u);
}

TEST(FullScale, is_the_largest_value_of_the_samples_width) {
    EXPECT_EQ(full_scale_of(8, false), 127.0f / 128.0f);
    EXPECT_EQ(full_scale_of(16, false), 32767.0f / 32768.0f);
    // Converters that clip at 16 bits are behind files of more, and of floats.
    EXPECT_EQ(full_scale_of(24, false), 32767.0f / 32768.0f);
    EXPECT_EQ(full_scale_of(32, true), 32767.0f / 32768.0f);
}

TEST(Summaries, mean_what_is_left_at_the_end_over_what_is_left) {
    // 11 blocks of one level: the mean of the last three is that of the first eight.
    const std::vector<float> level(11 * LevelSummary::block_frames, 0.5f);
    Measurer m(1, 48000, 1.0f);
    m.add(level.data(), static_cast<int64_t>(level.size()));
    const LevelSummary s = m.finish().summary;
    ASSERT_EQ(s.mean_square_of_8.size(), 2u);
    EXPECT_FLOAT_EQ(s.mean_square_of_8[0], 0.25f);
    EXPECT_FLOAT_EQ(s.mean_square_of_8[1], 0.25f);
}

TEST(Plans, leave_a_ridden_pan_and_width_to_their_rides) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(4800, 2, noise(1, 0.5)), 2)});
    mix.change(0, [](Track& t) {
        t.pan = 0.7, t.width = 0.2;
        t.rides.set(Parameter::width, std::make_shared<const Curve>(Curve{{{0.0, 2.0}}}));
        t.rides.set(Parameter::pan, std::make_shared<const Curve>(Curve{{{0.0, -0.5}}}));
    });
    // What is without rides knows nothing of the values that the rides stand for.
    const PlanPart part = mix.plan()->parts[0];
    EXPECT_EQ(part.gains, pan_stereo(0.0, 1.0));
    EXPECT_EQ(part.at(0.01), pan_stereo(-0.5, 2.0));
}

TEST(Plans, bound_a_ridden_width_from_the_cell_in_which_a_stretch_begins) {
    // Gains go straight from the value at frame 96 to that at 128: at frame 101 most of what was before is left.
    RowGains row;
    row.width_ride = std::make_shared<const Curve>(Curve{{{96 / 48000.0, 2.0}, {100 / 48000.0, 0.0}}});
    const double here =
        pan_stereo(0.0, 2.0).left_from_left * (1.0 - 5.0 / 32.0) + pan_stereo(0.0, 0.0).left_from_left * 5.0 / 32.0;
    EXPECT_GE(row.bound(48000, 101, 10).left_from_left, here - 1e-12);
}

TEST(Curves, hold_a_step_until_the_next_point) {
    const RidePoint step{0.0, -6.0, Segment::step};
    for (const double u : {0.0, 0.5, 0.75, 0.999}) EXPECT_EQ(share_at(step, u), 0.0);
    EXPECT_EQ(share_at(step, 1.0), 1.0);
}

TEST(WholeSongPeaks, are_found_where_the_bound_is_met_exactly) {
    // When the second track doubles, the first stretch may reach 0.5999 by its bound and reaches 0.4999; the third is
    // bounded by 0.5, which is just what it reaches.
    Folder folder;
    const auto steps = [](double x, double y) {
        return make(4096, 1, [=](int64_t i, int) { return i < 1024 ? x : i >= 2048 && i < 3072 ? y : 0.0; });
    };
    Mix mix({write(folder / "1.wav", steps(0.5999, 0.3), 1), write(folder / "2.wav", steps(-0.05, 0.1), 1)});
    MixPeaks peaks(1);
    const PlanPtr before = mix.plan();
    ASSERT_TRUE(peaks.find(before));
    ASSERT_TRUE(peaks.settle(before));
    mix.change(1, [](Track& t) { t.fader_db = 20.0 * std::log10(2.0); });
    const MixPeak found = peaks.find(mix.plan()).value();
    EXPECT_EQ(found.frame, 2048);
    EXPECT_NEAR(found.peak, 0.5 * std::sqrt(0.5), 1e-6);
}

TEST(Hits, are_counted_down_to_24_dB_below_the_loudest) {
    std::vector<float> x(192000, 0.0f);
    const auto hit = [&x](size_t at, double db) {
        for (size_t i = at; i < at + 400; ++i) x[i] = static_cast<float>(0.9 * std::pow(10.0, db / 20.0));
    };
    hit(10000, 0.0);
    hit(60000, -22.0);
    hit(110000, -26.0);
    Measurer m(1, 48000, 1.0f);
    m.add(x.data(), 192000);
    const auto found = hits_of(m.finish().summary, 48000);
    ASSERT_EQ(found.size(), 2u);
    EXPECT_NEAR(found[1], 60000 / 48000.0, 0.006);
}

TEST(SilentFinding, begins_at_70_dB_below_full_scale) {
    Folder folder;
    const auto found_at = [&folder](double dbfs) {
        Track track;
        track.source.file = write(folder / "x.wav", make(96000, 1, sine(300, 48000, std::pow(10.0, dbfs / 20.0))), 1);
        const auto found = findings_of(*load_material(track.source, 48000).value(), track);
        return std::any_of(found.begin(), found.end(), [](const Finding& f) { return f.id == "silent"; });
    };
    EXPECT_FALSE(found_at(-60.0));
    EXPECT_TRUE(found_at(-75.0));
}

TEST(Findings, of_an_imbalance_begin_at_6_dB_between_the_sides) {
    Folder folder;
    for (const double db : {5.0, 7.0}) {
        Track track;
        track.source.file = write(folder / "x.wav",
                                  make(96000, 2,
                                       [right = gain_from_db(-db), n = noise(3, 0.3)](int64_t i, int c) {
                                           return c == 0 ? n(i, 0) : right * (0.9 * n(i, 0) + 0.43 * n(i, 1));
                                       }),
                                  2);
        const auto found = findings_of(*load_material(track.source, 48000).value(), track);
        EXPECT_EQ(std::count_if(found.begin(), found.end(), [](const Finding& f) { return f.id == "imbalance"; }),
                  db > 6.0 ? 1 : 0);
    }
}

TEST(Findings, of_rumble_begin_at_5_percent_of_the_energy) {
    Folder folder;
    for (const double share : {0.03, 0.1}) {
        Track track;
        track.name = "Voice";
        track.source.file = write(
            folder / "x.wav",
            make(192000, 1,
                 [low = sine(20, 48000, 0.3 * std::sqrt(share)), high = sine(900, 48000, 0.3 * std::sqrt(1.0 - share))](
                     int64_t i, int c) { return low(i, c) + high(i, c); }),
            1);
        const auto found = findings_of(*load_material(track.source, 48000).value(), track);
        EXPECT_EQ(std::count_if(found.begin(), found.end(), [](const Finding& f) { return f.id == "rumble"; }),
                  share > 0.05 ? 1 : 0);
    }
}

TEST(Fades, stay_at_the_ends_of_a_clip_that_is_split) {
    Clip clip{0, 0, 48000};
    clip.fade_in = 480, clip.fade_out = 960;
    const Clips parts = with_split({clip}, 0, 24000);
    ASSERT_EQ(parts.size(), 2u);
    EXPECT_EQ(parts[0].fade_in, 480);
    EXPECT_EQ(parts[0].fade_out, 0);
    EXPECT_EQ(parts[1].fade_in, 0);
    EXPECT_EQ(parts[1].fade_out, 960);
}

TEST(Groups, that_share_a_row_add_up) {
    Session session;
    for (const double db : {-3.0, -4.0}) {
        ControlGroup group;
        group.members = {7};
        group.fader_db = db;
        session.groups.push_back(group);
    }
    EXPECT_EQ(session.group_db(7), -7.0);
    EXPECT_EQ(session.group_db(8), 0.0);
}

TEST(Fits, turn_at_the_edges_of_the_window) {
    Staging s;
    s.target.low_dbfs = -20.0, s.target.high_dbfs = -16.0;
    const auto fit_at = [&s](double dbfs) {
        s.after_dbfs = dbfs;
        return fit_of(s);
    };
    EXPECT_EQ(fit_at(-16.0), Fit::inside);
    EXPECT_EQ(fit_at(-15.9), Fit::above);
    EXPECT_EQ(fit_at(-20.0), Fit::inside);
    EXPECT_EQ(fit_at(-20.1), Fit::below);
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

TEST(HeadroomCheck, fails_from_its_limit_on) {
    Folder folder;
    for (const double dbfs : {-3.5, -2.5}) {
        Mix mix({write(folder / "a.wav", make(96000, 1, sine(300, 48000, gain_from_db(dbfs))), 1)});
        mix.session.pan_law = PanLaw::balance;
        const Check c = find(checks_of_mix(mix), "headroom");
        EXPECT_NEAR(*c.measured, dbfs, 0.01);
        EXPECT_EQ(c.passed, dbfs < -3.0);
    }
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
        t.rides.set(Parameter::mute,
                    std::make_shared<const Curve>(Curve{{{0.0, 0.0, Segment::step}, {0.2, 1.0, Segment::step}}}));
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
    mix.session.main_rides.set(Parameter::level, std::make_shared<const Curve>(Curve{{{5.0, 0.0}, {6.0, -3.0}}}));
    const auto checks = checks_of_mix(mix);
    for (const char* id : {"silence_at_end", "main_output_bare"}) {
        EXPECT_FALSE(find(checks, id).passed) << id;
        EXPECT_TRUE(find(checks, id).notice) << id;
    }
    EXPECT_TRUE(all_passed(checks));
}
