// Target sheets, spikes, choices.  Figures of the sheets: common practice, no source.
#include "core/session/target_sheet.h"

#include <random>

#include "core/session/clips.h"
#include "core/session/session_file.h"
#include "core/stage/staging.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

Track named(const std::string& name) {
    Track t;
    t.name = name;
    return t;
}

const TargetSheet& sheet(const std::string& name) {
    for (const TargetSheet& s : built_in_sheets())
        if (s.name == name) return s;
    throw std::runtime_error(name);
}

Measurement levels(Kind kind, double peak, double average) {
    Measurement m;
    m.kind = kind;
    m.sample_peak_dbfs = m.peak_without_spikes_dbfs = peak;
    m.true_peak_dbtp = peak + 0.5;
    m.average_dbfs = average;
    m.vu_max_dbfs = average + 3.0;
    m.max_short_term_lufs = average - 1.0;
    return m;
}

}  // namespace

TEST(TargetSheet, the_built_in_ones_stage_as_they_say) {
    const Measurement kick = levels(Kind::percussive, -3.0, -15.0), pad = levels(Kind::sustained, -12.0, -20.0);
    EXPECT_NEAR(*stage_track(sheet("default"), named("Kick"), kick).after_dbfs, -6.0, 1e-9);
    EXPECT_NEAR(*stage_track(sheet("default"), named("Pad"), pad).after_dbfs, -18.0, 1e-9);
    for (const auto& [name, m] : {std::pair{"Kick", kick}, {"Pad", pad}}) {
        const Staging s = stage_track(sheet("many layers"), named(name), m);
        EXPECT_GE(*s.after_dbfs, -18.0);
        EXPECT_LE(*s.after_dbfs, -16.0);
        EXPECT_EQ(s.after_dbfs, s.peak_after_dbfs);
        EXPECT_NEAR(*stage_track(sheet("average meter"), named(name), m).after_dbfs, -18.0, 1e-9);
    }
    const Staging beat = stage_track(sheet("beat"), named("Kicks 2"), kick);
    EXPECT_GE(*beat.after_dbfs, -9.0);
    EXPECT_LE(*beat.after_dbfs, -6.0);
    EXPECT_LE(*stage_track(sheet("beat"), named("Snare"), kick).after_dbfs, -6.0);
    EXPECT_EQ(target_for(sheet("beat"), "Kickback Guitar", Family::guitars, Kind::sustained), sheet("beat").sustained);
}

TEST(TargetSheet, measures_are_their_own) {
    const Measurement m = levels(Kind::sustained, -10.0, -20.0);
    TargetSheet s;
    for (const auto& [measure, level] : {std::pair{Measure::peak, -10.0},
                                         {Measure::average, -20.0},
                                         {Measure::true_peak, -9.5},
                                         {Measure::short_term, -21.0},
                                         {Measure::vu, -17.0}}) {
        s.sustained = {measure, -25.0, -24.0, -23.0};
        const Staging staged = stage_track(s, named("x"), m);
        EXPECT_NEAR(*staged.before_dbfs, level, 1e-9);
        EXPECT_NEAR(*staged.after_dbfs, -24.0, 1e-9);
    }
}

TEST(TargetSheet, goes_out_and_comes_in) {
    Folder folder;
    TargetSheet mine = sheet("beat");
    mine.name = "mine";
    mine.rules.push_back({"", {}, Kind::sustained, {Measure::short_term, -24.0, -23.0, -22.0}});
    mine.count_spikes = false;
    ASSERT_TRUE(write_whole(folder / "mine.json", sheet_file_text(mine), none_protected()));
    EXPECT_EQ(read_sheet(folder / "mine.json").value(), mine);
    const auto fault = [&](const std::string& text) {
        EXPECT_TRUE(write_whole(folder / "bad.json", text, none_protected()));
        const auto read = read_sheet(folder / "bad.json");
        EXPECT_FALSE(read);
        return read ? "" : read.error().what;
    };
    EXPECT_NE(fault("{").find("line 1"), std::string::npos);
    EXPECT_NE(fault("{}").find("not a target sheet"), std::string::npos);
    EXPECT_NE(fault(R"({"format": "isotonus-target-sheet", "version": 2})").find("newer"), std::string::npos);
    EXPECT_NE(
        fault(R"({"format": "isotonus-target-sheet", "version": 1, "rules": [{"word": "x"}]})").find("rules[0].target"),
        std::string::npos);
    EXPECT_FALSE(read_sheet(folder / "none.json"));
    // In a session too, with all else that a track may hold.
    Session session = with_files({}, {folder / "a.wav"});
    session.targets = mine;
    session.tempo = {{0.0, 97.5, 6, 8}};
    session.sections = {{"verse", 1.0, 5}};
    session = with_track(session, 1, [&](Track& t) {
        t.source.right_file = folder / "b.wav";
        t.source.channels = Channels::one, t.source.channel = 1, t.source.offset_removed = true;
        t.source.clips = {{0, 10, 1000, -3.5, 10, 20}, {5000, 0, 99, 36.0, 0, 0}};
        t.delay_samples = -12.25, t.anchor = true, t.note = "two mics", t.count_spikes = true, t.passes_ceiling = true;
    });
    ASSERT_TRUE(write_session(session, folder / "s.isotonus"));
    const Session back = read_session(folder / "s.isotonus").value();
    const Track &a = *session.tracks[0], &b = *back.tracks[0];
    EXPECT_EQ(a.source, b.source);
    EXPECT_EQ(std::tie(a.delay_samples, a.anchor, a.note, a.count_spikes, a.passes_ceiling),
              std::tie(b.delay_samples, b.anchor, b.note, b.count_spikes, b.passes_ceiling));
    EXPECT_EQ(back.targets, mine);
    EXPECT_EQ(back.tempo, session.tempo);
    EXPECT_EQ(back.sections, session.sections);
}

TEST(Spiky, tracks_are_staged_without_their_spikes_when_told_so) {
    Folder folder;
    auto samples = make(480000, 1, sine(200, 48000, 0.05));
    samples[100000] = 0.8f;
    Mix mix({write(folder / "Pad.wav", samples, 1)});
    const auto material = load_material(folder / "Pad.wav", 48000).value();
    const Track& pad = *mix.session.tracks[0];
    const Staging counted = stage_track({}, pad, material->measurement);
    EXPECT_TRUE(counted.limited_by_peak);
    const auto choices = choices_for(counted, material->measurement);
    ASSERT_EQ(choices.size(), 4u);
    EXPECT_NE(why_not_in_window(
                  {},
                  [&] {
                      Track t = pad;
                      t.trim_db = counted.trim_db;
                      return t;
                  }(),
                  material->measurement)
                  .find("ceiling"),
              std::string::npos);
    const Track left_out = with_choice(pad, Choice::leave_out_spikes, counted, *material);
    const Staging without = stage_track({}, left_out, material->measurement);
    EXPECT_FALSE(without.limited_by_peak);
    EXPECT_NEAR(*without.after_dbfs, -18.0, 1e-6);
    EXPECT_NEAR(without.over_ceiling_db, 20.0 * std::log10(0.8) + without.trim_db + 6.0,
                1e-5);  // marked, and by how much
    // Tamed, the track's peak is the rest's, the average as it was.
    Track tamed = with_choice(pad, Choice::tame_spikes, counted, *material);
    EXPECT_EQ(tamed.source.clips.size(), 3u);
    const auto after = load_material(source_of(tamed), 48000).value();
    EXPECT_NEAR(*after->measurement.sample_peak_dbfs, *material->measurement.peak_without_spikes_dbfs, 0.02);
    EXPECT_NEAR(*after->measurement.average_dbfs, *material->measurement.average_dbfs, 0.1);
    EXPECT_TRUE(after->measurement.spikes.empty());
    // It may pass the ceiling, or be taken as it is.
    const Staging passing =
        stage_track({}, with_choice(pad, Choice::pass_ceiling, counted, *material), material->measurement);
    EXPECT_NEAR(*passing.after_dbfs, -18.0, 1e-6);
    Track accepted = pad;
    accepted.trim_db = counted.trim_db;
    accepted = with_choice(accepted, Choice::accept, staged_as_is({}, accepted, material->measurement), *material);
    EXPECT_EQ(fit_of(staged_as_is({}, accepted, material->measurement)), Fit::inside);
}

TEST(Staging, beyond_the_trims_range_clip_gain_is_offered) {
    Folder folder;
    const auto faint =
        load_material(write(folder / "x.wav", make(96000, 1, sine(300, 48000, 0.002)), 1), 48000).value();
    Track track = named("Faint pad");
    track.source.file = folder / "x.wav";
    const Staging s = stage_track({}, track, faint->measurement);
    EXPECT_TRUE(s.limited_by_range);
    EXPECT_EQ(s.trim_db, 24.0);
    const auto choices = choices_for(s, faint->measurement);
    ASSERT_NE(std::find(choices.begin(), choices.end(), Choice::use_clip_gain), choices.end());
    const Track lifted = with_choice(track, Choice::use_clip_gain, s, *faint);
    const auto after = load_material(source_of(lifted), 48000).value();
    const Staging again = stage_track({}, lifted, after->measurement);
    EXPECT_NEAR(*again.after_dbfs, -18.0, 1e-6);
    EXPECT_LT(std::fabs(again.trim_db), 0.51);
}

TEST(Staging, is_idempotent_and_every_track_is_in_its_window_or_says_why) {
    std::mt19937 random(11);
    const auto uniform = [&](double low, double high) { return std::uniform_real_distribution(low, high)(random); };
    int held = 0;
    for (int round = 0; round < 400; ++round) {
        const TargetSheet& targets = built_in_sheets()[static_cast<size_t>(round) % built_in_sheets().size()];
        const double peak = uniform(-80.0, 0.0), average = peak - uniform(0.5, 40.0);
        Measurement m = levels(round % 2 ? Kind::percussive : Kind::sustained, peak, average);
        if (round % 3 == 0) {
            m.spikes = {{1000, 256, peak}};
            m.peak_without_spikes_dbfs = peak - uniform(3.0, 20.0);
        }
        Session session = with_files({}, {"/nowhere/" + std::string(round % 5 ? "Pad" : "Kick") + ".wav"});
        session.targets = targets;
        session.targets.count_spikes = round % 7 != 0;
        const auto measured = [&](const Track&) { return &m; };
        const Session once = with_staged_trims(session, measured), twice = with_staged_trims(once, measured);
        EXPECT_EQ(once.tracks[0]->trim_db, twice.tracks[0]->trim_db);
        const Track& track = *once.tracks[0];
        const Staging s = staged_as_is(once.targets, track, m);
        const std::string why = why_not_in_window(once.targets, track, m);
        EXPECT_EQ(why.empty(), fit_of(s) == Fit::inside) << round << " " << why;
        held += why.empty() ? 0 : 1;
        if (!s.limited_by_range) {
            const Level top = level_for(Measure::peak, m, s.spikes_counted);
            EXPECT_LE(*top + s.trim_db, once.targets.peak_ceiling_dbfs + 1e-9);
        }
        if (!why.empty()) {
            EXPECT_FALSE(choices_for(s, m).empty()) << round;
        }
    }
    EXPECT_GT(held, 20);
}
