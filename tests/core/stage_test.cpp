// Staging by the target sheet, and what is found in files.  The windows are common practice, no source.
#include "core/stage/staging.h"

#include "core/handoff/checks.h"
#include "core/session/session_file.h"
#include "core/stage/findings.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

Measurement figures(Kind kind, double peak_dbfs, double average_dbfs) {
    Measurement m;
    m.kind = kind;
    m.sample_peak_dbfs = peak_dbfs;
    m.average_dbfs = average_dbfs;
    return m;
}

}  // namespace

TEST(Staging, percussive_peaks_go_to_minus_6) {
    const Staging s = stage_track({}, {}, figures(Kind::percussive, -1.5, -20.0));
    EXPECT_DOUBLE_EQ(s.trim_db, -4.5);
    EXPECT_DOUBLE_EQ(*s.before_dbfs, -1.5);
    EXPECT_DOUBLE_EQ(*s.after_dbfs, -6.0);
    EXPECT_FALSE(s.limited_by_peak);
    EXPECT_EQ(fit_of(s), Fit::inside);
}

TEST(Staging, sustained_averages_go_to_minus_18) {
    const Staging s = stage_track({}, {}, figures(Kind::sustained, -15.0, -30.0));
    EXPECT_DOUBLE_EQ(*s.after_dbfs, -21.0);  // the peak stops it: -15 + 9 = -6
    EXPECT_TRUE(s.limited_by_peak);
    EXPECT_EQ(fit_of(s), Fit::below);
    const Staging free = stage_track({}, {}, figures(Kind::sustained, -25.0, -30.0));
    EXPECT_DOUBLE_EQ(free.trim_db, 12.0);
    EXPECT_FALSE(free.limited_by_peak);
}

TEST(Staging, no_staged_peak_lies_above_the_ceiling) {
    for (double peak = -40.0; peak <= 3.0; peak += 1.7)
        for (double average = peak - 25.0; average < peak; average += 2.3) {
            const Staging s = stage_track({}, {}, figures(Kind::sustained, peak, average));
            EXPECT_LE(peak + s.trim_db, -6.0 + 1e-9);
            EXPECT_EQ(s.limited_by_peak, average + (-6.0 - peak) < -18.0 - 1e-9);
        }
}

TEST(Staging, trims_end_at_24_dB) {
    const Staging s = stage_track({}, {}, figures(Kind::sustained, -50.0, -60.0));
    EXPECT_DOUBLE_EQ(s.trim_db, 24.0);
    EXPECT_TRUE(s.limited_by_range);
}

TEST(Staging, silence_keeps_its_trim_at_0) {
    const Staging s = stage_track({}, {}, Measurement{});
    EXPECT_EQ(s.trim_db, 0.0);
    EXPECT_FALSE(s.after_dbfs);
    EXPECT_EQ(fit_of(s), Fit::silent);
}

TEST(Staging, the_users_word_on_kind_and_target_wins) {
    Track t;
    t.kind = Kind::percussive;
    EXPECT_EQ(stage_track({}, t, figures(Kind::sustained, -1.0, -20.0)).target.measure, Measure::peak);
    t.target = Target{Measure::peak, -18.0, -17.0, -16.0};
    EXPECT_DOUBLE_EQ(stage_track({}, t, figures(Kind::sustained, -1.0, -20.0)).trim_db, -16.0);
}

TEST(Staging, leaves_locked_and_unmeasured_tracks_alone) {
    Session s = with_files({}, {"/a.wav", "/b.wav", "/c.wav"});
    s = with_track(s, 2, [](Track& t) { t.locked = true, t.trim_db = 1.0; });
    const Measurement m = figures(Kind::percussive, -1.0, -20.0);
    const Session staged = with_staged_trims(s, [&](const Track& t) { return t.id == 3 ? nullptr : &m; });
    EXPECT_EQ(staged.tracks[0]->trim_db, -5.0);
    EXPECT_EQ(staged.tracks[1]->trim_db, 1.0);
    EXPECT_EQ(staged.tracks[2]->trim_db, 0.0);
}

TEST(Staging, levels_after_the_fader_count_trim_and_fader) {
    Track t;
    t.trim_db = -4.0, t.fader_db = -3.0;
    const Measurement m = figures(Kind::sustained, -2.0, -20.0);
    EXPECT_DOUBLE_EQ(*peak_after_fader_dbfs(t, m), -9.0);
    EXPECT_DOUBLE_EQ(*average_after_fader_dbfs(t, m), -27.0);
    t.fader_db = silence_db;
    EXPECT_FALSE(peak_after_fader_dbfs(t, m));
    EXPECT_FALSE(average_after_fader_dbfs(Track{}, Measurement{}));
}

TEST(Staging, above_and_below_are_told) {
    Track t;
    t.trim_db = 3.0;
    const Staging s = staged_as_is({}, t, figures(Kind::percussive, -6.0, -20.0));
    EXPECT_EQ(fit_of(s), Fit::above);
    t.trim_db = -3.0;
    EXPECT_EQ(fit_of(staged_as_is({}, t, figures(Kind::percussive, -6.0, -20.0))), Fit::below);
}

// --- the demo's faults, at the sizes that demosong/README.md lists ---------------------------------------------------

namespace {

std::vector<std::string> found_in(const std::string& name) {
    Folder cache;
    std::vector<std::string> ids;
    const auto material = load_material(demo_folder() / name, 48000).value();
    Track track;
    track.name = fs::path(name).stem().string();
    for (const Finding& f : findings_of(*material, track)) ids.push_back(f.id);
    return ids;
}

bool has(const std::vector<std::string>& ids, const char* id) {
    return std::find(ids.begin(), ids.end(), id) != ids.end();
}

}  // namespace

TEST(Findings, name_the_demos_faults) {
    EXPECT_TRUE(has(found_in("03 Snare.wav"), "clipped"));
    EXPECT_TRUE(has(found_in("07 Bass.wav"), "dc_offset"));
    EXPECT_TRUE(has(found_in("08 Plucked Chords.wav"), "quiet"));
    EXPECT_TRUE(has(found_in("10 Water Pad.wav"), "correlation"));
    EXPECT_TRUE(has(found_in("15 Solo Reed.wav"), "silent_start"));
    EXPECT_TRUE(has(found_in("16 Lantern Bells.wav"), "late_peak"));
    EXPECT_TRUE(has(found_in("18 Crowd.wav"), "converted"));
    EXPECT_TRUE(found_in("01 Kick Close.wav").empty());
}

// A floor is the same whenever nothing plays; what still falls, or is quiet at one place only, is the music.
TEST(Findings, tell_a_noise_floor_from_a_note_that_is_held) {
    Folder folder;
    const auto ids_of = [&](const Wave& wave) {
        write(folder / "a.wav", make(48000 * 24, 1, wave), 1);
        std::vector<std::string> ids;
        for (const Finding& f : findings_of(*load_material(folder / "a.wav", 48000).value(), Track{}))
            ids.push_back(f.id);
        return ids;
    };
    // Chords of six seconds that fall by 6 dB a second, the last of them longer than the others.
    const auto guitar = [](double falls_db) {
        return [falls_db, s = sine(196, 48000, 0.4)](int64_t i, int c) {
            const double t = static_cast<double>(i) / 48000.0, since = t < 15.0 ? std::fmod(t, 5.0) : t - 15.0;
            return s(i, c) * std::pow(10.0, -falls_db * since / 20.0);
        };
    };
    EXPECT_FALSE(has(ids_of(guitar(6.0)), "noise_floor"));
    EXPECT_FALSE(has(ids_of(guitar(3.0)), "noise_floor"));
    // The same over hiss: between chords it is all that is left.
    const auto hissing = [played = guitar(30.0), n = noise(2, 0.004)](int64_t i, int c) {
        return played(i, c) + n(i, c);
    };
    EXPECT_TRUE(has(ids_of(hissing), "noise_floor"));
}

TEST(Findings, call_hits_quiet_by_their_peak) {
    Folder folder;
    const auto quiet = [&](double peak) {
        write(folder / "snap.wav",
              make(48000 * 8, 1,
                   [=, n = noise(5, peak)](int64_t i, int c) {
                       return n(i, c) * std::exp(-static_cast<double>(i % 48000) / 480.0);
                   }),
              1);
        Track track;
        track.name = "snap";
        std::vector<std::string> ids;
        for (const Finding& f : findings_of(*load_material(folder / "snap.wav", 48000).value(), track))
            ids.push_back(f.id);
        return has(ids, "quiet");
    };
    EXPECT_FALSE(quiet(0.23)) << "-12.8 dBFS";
    EXPECT_TRUE(quiet(0.05));
}

TEST(Findings, dither_is_as_good_as_silence_and_nothing_else) {
    Folder folder;
    write(folder / "a.wav", make(48000 * 8, 2, noise(7, 1.0 / 32768.0)), 2);
    const auto found = findings_of(*load_material(folder / "a.wav", 48000).value(), Track{});
    ASSERT_EQ(found.size(), 1u);
    EXPECT_EQ(found.front().text, "nearly silent: peak −90 dBFS");
}

TEST(Findings, unrelated_sides_do_not_lose_in_mono) {
    Folder folder;
    const auto finding = [&](double common) {
        const Wave a = noise(1, 0.3), b = noise(2, 0.3), both = noise(3, 0.3 * std::fabs(common));
        write(folder / "a.wav",
              make(48000 * 4, 2,
                   [&](int64_t i, int c) {
                       return c == 0 ? a(i, 0) + both(i, 0) : b(i, 0) + (common < 0.0 ? -1.0 : 1.0) * both(i, 0);
                   }),
              2);
        for (const Finding& f : findings_of(*load_material(folder / "a.wav", 48000).value(), Track{}))
            if (f.id == "correlation" || f.id == "low_correlation") return f.text;
        return std::string();
    };
    EXPECT_EQ(finding(0.0), "correlation 0.0");
    EXPECT_EQ(finding(-0.2), "correlation 0.0");  // -0.04 / 1.04
    EXPECT_EQ(finding(-1.0), "loses in mono (correlation −0.50)");
    EXPECT_EQ(finding(1.0), "");
}

TEST(Kind, a_telling_name_outweighs_a_doubtful_sound) {
    // Hits of half a second that ring on: by ear a kick, by figures close to a held note.
    const auto hits = [](int64_t i, int) {
        const double t = static_cast<double>(i % 24000) / 48000.0;
        return 0.8 * std::exp(-6.0 * t) * std::sin(2.0 * std::numbers::pi * 55.0 * t);
    };
    Folder folder;
    write(folder / "01 kick.wav", make(48000 * 8, 1, hits), 1);
    EXPECT_EQ(load_material(folder / "01 kick.wav", 48000).value()->measurement.kind, Kind::percussive);
}

TEST(Checks, tell_what_keeps_a_mix_from_mastering) {
    Folder folder;
    write(folder / "hot.wav", make(48000, 1, sine(200, 48000, 1.0)), 1);
    Mix mix({folder / "hot.wav"});
    mix.change(0, [](Track& t) { t.fader_db = 6.0, t.mute = false; });
    const auto run = [&](const std::vector<MissingFile>& missing) {
        const PlanPtr plan = mix.plan();
        const auto measured = measure_mix(plan).value();
        return check_handoff({mix.session, *plan, measured, missing, {}, false, {}});
    };
    const auto passed = [](const std::vector<Check>& checks, const std::string& id) {
        for (const Check& c : checks)
            if (c.id == id) return c.passed;
        ADD_FAILURE() << id;
        return false;
    };
    auto checks = run({{"Voice", {"voice.wav", "the file does not exist. Check its name."}}});
    EXPECT_FALSE(passed(checks, "headroom"));
    EXPECT_FALSE(passed(checks, "true_peak"));
    EXPECT_FALSE(passed(checks, "mix_clips"));
    EXPECT_FALSE(passed(checks, "missing_files"));
    EXPECT_TRUE(passed(checks, "mute_left_on"));
    mix.change(0, [](Track& t) { t.fader_db = -3.0, t.solo = true; });
    checks = run({});
    EXPECT_TRUE(passed(checks, "headroom"));  // -3 dB and the pan law's -3 dB
    EXPECT_FALSE(passed(checks, "solo_left_on"));
    EXPECT_FALSE(all_passed(checks));
    mix.change(0, [](Track& t) { t.solo = false, t.mute = true; });
    checks = run({});
    EXPECT_FALSE(passed(checks, "mix_not_silent"));
    EXPECT_FALSE(passed(checks, "mute_left_on"));
}

TEST(PeakAfterRide, is_the_peak_of_what_the_ride_leaves) {
    Folder folder;
    // Impulses of 0.5 at 1 s and 0.8 at 3 s; the ride takes 12 dB from the second one.
    write(folder / "a.wav", make(192000, 1, [](int64_t i, int) { return i == 48000    ? 0.5
                                                                        : i == 144000 ? -0.8
                                                                                      : 0.0; }),
          1);
    Track t;
    t.source.file = folder / "a.wav";
    const auto m = load_material(t.source, 48000).value();
    t.fader_db = -2.0, t.trim_db = 1.0;
    EXPECT_NEAR(*peak_after_ride_dbfs(t, *m, 0.0), 20 * std::log10(0.8) - 1.0, 1e-4);
    t.rides.set(Parameter::level, std::make_shared<const Curve>(Curve{{{2.0, 0.0}, {2.5, -12.0}}}));
    EXPECT_NEAR(*peak_after_ride_dbfs(t, *m, 0.0), 20 * std::log10(0.5) - 1.0, 1e-4);
    EXPECT_NEAR(*peak_after_ride_dbfs(t, *m, -3.0), 20 * std::log10(0.5) - 4.0, 1e-4);
    t.delay_samples = 72000;  // the first one comes at 2.5 s now, where the ride is down too
    EXPECT_NEAR(*peak_after_ride_dbfs(t, *m, 0.0), 20 * std::log10(0.8) - 13.0, 1e-4);
    t.fader_db = silence_db;
    EXPECT_FALSE(peak_after_ride_dbfs(t, *m, 0.0));
}

TEST(Staging, a_track_can_be_staged_without_a_passage_that_is_meant_to_be_louder) {
    // 20 s at an average of -30 dBFS, then 6 s 12 dB louder.
    Folder folder;
    const auto wave = [](int64_t i, int) {
        return (i >= 20 * 48000 ? 4.0 : 1.0) * gain_from_db(-30.0) *
               std::sin(2.0 * std::numbers::pi * 220.0 * static_cast<double>(i) / 48000.0);
    };
    const fs::path file = write(folder / "Pad.wav", make(26 * 48000, 1, wave), 1, 48000, SampleFormat::s24);
    Session s = with_files({}, {file});
    const MaterialPtr whole = load_material(file, 48000).value();
    EXPECT_GT(*measurement_for_staging(*s.tracks[0], *whole)->average_dbfs, -25.0);
    s = with_track(s, 1, [](Track& t) {
        t.delay_samples = 4800.0;  // the passage is a part of the song, not of the file
        t.staged_without = LeftOut{20.1, 26.1};
    });
    const Measurement rest = measurement_for_staging(*s.tracks[0], *whole).value();
    // AES17: a sine's average is its peak.
    EXPECT_NEAR(*rest.average_dbfs, -30.0, 0.05);
    EXPECT_NEAR(*rest.sample_peak_dbfs, -30.0, 0.05);
    EXPECT_EQ(rest.kind, whole->measurement.kind);
    EXPECT_NEAR(stage_track(s.targets, *s.tracks[0], rest).trim_db, 12.0, 0.05);
    // In the file, and checked there.
    const std::string text = session_to_json(s, "/");
    EXPECT_EQ(session_from_json(text, "/s.isotonus").value().tracks[0]->staged_without, s.tracks[0]->staged_without);
    std::string wrong = text;
    wrong.replace(wrong.find("26.1"), 4, "10.0");
    const auto refused = session_from_json(wrong, "/s.isotonus");
    ASSERT_FALSE(refused);
    EXPECT_NE(refused.error().what.find("staged_without"), std::string::npos) << refused.error().what;
    Track t = *s.tracks[0];
    EXPECT_TRUE(set_by_name(t, "staged_without", "3-4.5"));
    EXPECT_EQ(t.staged_without, (LeftOut{3.0, 4.5}));
    EXPECT_FALSE(set_by_name(t, "staged_without", "4-3"));
    EXPECT_FALSE(set_by_name(t, "staged_without", "now"));
    EXPECT_TRUE(set_by_name(t, "staged_without", "off") && !t.staged_without);
}
