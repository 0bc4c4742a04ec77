// Advice about chains: found on sounds whose answer is known from how they were made, and on the demo.
#include "core/shape/advice.h"

#include <gmock/gmock.h>

#include "core/balance/make_room.h"
#include "core/mix/row_signals.h"
#include "core/session/session_file.h"
#include "core/shape/equaliser.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

MaterialPtr sound(const Folder& folder, const std::string& name, int64_t frames, int channels, const Wave& wave) {
    return load_material(write(folder / name, make(frames, channels, wave), channels), 48000).value();
}

/// Noise through a chain, as a file.
MaterialPtr shaped_noise(const Folder& folder, const std::string& name, const Chain& chain, double peak = 0.05) {
    return load_material(write(folder / name, through(chain, make(480000, 1, noise(7, peak)), 1), 1), 48000).value();
}

MaterialPtr demo(const char* name) { return load_material(demo_folder() / name, 48000).value(); }

SignalRecipe recipe_of(const MaterialPtr& material, const Chain& chain) {
    SignalRecipe recipe;
    recipe.source.material = material;
    recipe.chain = chain;
    return recipe;
}

/// Hits on a half-second beat: a tone that falls by 20 dB within `decay_s`.
Wave beats(double hz, double peak, double decay_s) {
    return [=](int64_t i, int) {
        const double t = static_cast<double>(i % 24000) / 48000.0;
        return peak * std::sin(2.0 * std::numbers::pi * hz * t) * std::pow(10.0, -t / decay_s);
    };
}

}  // namespace

TEST(LowCutAdvice, stands_under_the_body_and_above_the_rumble) {
    Folder folder;
    // A tone's partials from 440 Hz up, and a rumble at 38 Hz that is as strong as they are.
    const auto made = sound(folder, "x.wav", 480000, 1, [](int64_t i, int c) {
        double x = 0.3 * sine(38, 48000)(i, c);
        for (int k = 1; k <= 8; ++k) x += 0.3 / k * sine(440.0 * k, 48000, 1.0, 40.0 * k)(i, c);
        return x;
    });
    const auto spectrum = spectrum_of(*made).value();
    const LowCutAdvice advice = low_cut_advice(spectrum, false).value();
    EXPECT_GT(advice.hz, 150.0);  // 200 Hz at most, though the body ends at 400 Hz
    EXPECT_LE(advice.hz, 200.0);
    // Half of 0.09 is the rumble's power, the partials' is the sum of 0.09 / k^2.
    double partials = 0.0;
    for (int k = 1; k <= 8; ++k) partials += 0.09 / k / k;
    EXPECT_NEAR(advice.takes_db, 10.0 * std::log10((0.09 + partials) / partials), 0.15);
}

TEST(LowCutAdvice, leaves_what_is_wanted) {
    Folder folder;
    // A kick: everything from 35 Hz on is wanted; and a low voice that reaches down to 110 Hz.
    const auto kick = sound(folder, "kick.wav", 240000, 1, beats(52.0, 0.8, 0.3));
    EXPECT_FALSE(low_cut_advice(spectrum_of(*kick).value(), true));
    const auto voice = sound(folder, "voice.wav", 240000, 1, [](int64_t i, int c) {
        double x = 0.0;
        for (int k = 1; k <= 20; ++k) x += 0.1 / k * sine(110.0 * k, 48000, 1.0, 50.0 * k)(i, c);
        return x;
    });
    const LowCutAdvice advice = low_cut_advice(spectrum_of(*voice).value(), false).value();
    EXPECT_GT(advice.hz, 60.0);
    EXPECT_LT(advice.hz, 105.0);
    EXPECT_LT(advice.takes_db, 2.0);
    // Noise has its body everywhere: what lies below 45 Hz is rumble all the same.
    const auto even = sound(folder, "even.wav", 240000, 1, noise(4, 0.1));
    EXPECT_NEAR(low_cut_advice(spectrum_of(*even).value(), false)->hz, backed_off_hz(45.0), 15.0);
    // Silence gets no advice.
    EXPECT_FALSE(low_cut_advice(LongTermSpectrum{}, false));
}

TEST(LowCutAdvice, on_the_demo_takes_the_rumble_of_the_hats_and_leaves_the_kick) {
    const auto hats = spectrum_of(*demo("04 Hats.wav")).value(), kick = spectrum_of(*demo("01 Kick Close.wav")).value();
    const LowCutAdvice advice = low_cut_advice(hats, false).value();
    EXPECT_GT(advice.hz, 100.0);
    const auto at = static_cast<size_t>(std::lround(spectrum_band_number(38.0)));
    double rumble = 0.0, rest = 0.0;
    for (size_t b = 0; b < hats.power.size(); ++b) (b <= at + 4 ? rumble : rest) += hats.power[b];
    EXPECT_GT(advice.takes_db, 0.9 * 10.0 * std::log10((rumble + rest) / rest));
    const auto of_kick = low_cut_advice(kick, true);
    if (of_kick) {
        EXPECT_LE(of_kick->hz, 35.0);
        EXPECT_LT(of_kick->takes_db, 0.3);
    }
}

// Butterworth: 1 / sqrt(1 + (fc / f)^(2 n)).
TEST(LowCutAdvice, says_what_the_cut_then_takes) {
    Folder folder;
    const auto made = shaped_noise(folder, "x.wav",
                                   {processor("high_cut", {{"hz", 8000}, {"slope", 1}}, 1),
                                    processor("high_cut", {{"hz", 8000}, {"slope", 1}}, 2)});
    const auto spectrum = spectrum_of(*made).value();
    for (const double slope : {12.0, 24.0}) {
        const auto cut =
            make_signal(recipe_of(made, {processor("low_cut", {{"hz", 5000}, {"slope", slope / 12.0 - 1.0}})}));
        const double taken = *made->measurement.rms_dbfs - *(*cut)->measurement.rms_dbfs;
        EXPECT_NEAR(taken_by_low_cut_db(spectrum, 5000.0, slope), taken, 0.15) << slope;
    }
}

TEST(Troubles, are_resonances_that_ring_for_long) {
    Folder folder;
    const auto ringing =
        shaped_noise(folder, "ring.wav",
                     {processor("equaliser", {{"band1.in", 1}, {"band1.hz", 730}, {"band1.db", 18}, {"band1.q", 14}})});
    const auto found = find_troubles(*ringing).value();
    ASSERT_EQ(found.size(), 1u);
    EXPECT_NEAR(found[0].hz, 730.0, 20.0);
    EXPECT_GT(found[0].share, 0.5);
    EXPECT_LE(found[0].cut_db, -2.0);
    EXPECT_GE(found[0].cut_db, -6.0);
    EXPECT_TRUE(find_troubles(*shaped_noise(folder, "even.wav", {})).value().empty());
    // A tone that is held is the sound itself.
    EXPECT_TRUE(find_troubles(*sound(folder, "tone.wav", 480000, 1, sine(440, 48000, 0.3))).value().empty());
    // What rings for a tenth of the time is no trouble.
    const auto short_ring =
        sound(folder, "short.wav", 480000, 1, [n = noise(9, 0.05), s = sine(900, 48000, 0.2)](int64_t i, int c) {
            return n(i, c) + (i < 48000 ? s(i, c) : 0.0);
        });
    EXPECT_TRUE(find_troubles(*short_ring).value().empty());
}

/// Saw-like tones, a quarter of a second long and longer each, over a little noise.
Wave played(const std::vector<std::vector<double>>& chords, double chord_s, double noise_level) {
    return [=, n = noise(4, noise_level)](int64_t i, int c) {
        const double t = static_cast<double>(i) / 48000.0;
        const auto chord = static_cast<size_t>(t / chord_s) % chords.size();
        const double since = std::fmod(t, chord_s);
        double x = n(i, c);
        for (const double hz : chords[chord])
            for (int k = 1; k <= 12; ++k)
                x += 0.1 / k * std::exp(-2.0 * since) * std::sin(2.0 * std::numbers::pi * hz * k * t);
        return x;
    };
}

TEST(Troubles, are_no_notes_that_are_played) {
    Folder folder;
    const std::vector<std::vector<double>> bass{{52.0}, {52.0}, {58.4}, {52.0}}, chords{{130.8, 164.8, 196.0, 261.6},
                                                                                        {110.0, 130.8, 164.8, 261.6},
                                                                                        {87.3, 174.6, 220.0, 261.6},
                                                                                        {98.0, 146.8, 196.0, 246.9}};
    EXPECT_TRUE(find_troubles(*sound(folder, "bass.wav", 960000, 1, played(bass, 0.5, 0.001))).value().empty());
    const auto pad = sound(folder, "pad.wav", 960000, 1, played(chords, 1.0, 0.003));
    EXPECT_TRUE(find_troubles(*pad).value().empty());
    // The same chords in a room that rings beside their notes, whichever is played.
    const auto ringing = make_signal(recipe_of(
        pad, {processor("equaliser", {{"band1.in", 1}, {"band1.hz", 2410}, {"band1.db", 18}, {"band1.q", 12}})}));
    const auto found = find_troubles(**ringing).value();
    ASSERT_EQ(found.size(), 1u);
    EXPECT_NEAR(found[0].hz, 2410.0, 100.0);
}

// Frequencies of notes: ISO 16 (A4 = 440 Hz) in equal temperament.
TEST(Notes, are_named_by_their_frequency) {
    EXPECT_EQ(note_name(440.0), "A4");
    EXPECT_EQ(note_name(261.63), "C4");
    EXPECT_EQ(note_name(27.5), "A0");
    EXPECT_EQ(note_name(103.83), "G#2");
    EXPECT_EQ(note_name(445.1), "A4 +20 cents");
    EXPECT_EQ(note_name(30.0), "B0 -49 cents");
}

TEST(ReductionAims, are_met_over_the_whole_song) {
    Folder folder;
    const auto made = sound(folder, "x.wav", 960000, 1, [n = noise(5)](int64_t i, int c) {
        return n(i, c) * (0.2 + 0.6 * std::fabs(std::sin(static_cast<double>(i) / 30000.0)));
    });
    SignalRecipe recipe =
        recipe_of(made, {processor("low_cut", {{"hz", 60}}, 1),
                         processor("compressor", {{"ratio", 4}, {"attack_ms", 5}}, 2), processor("saturation", {}, 3)});
    for (const bool most : {false, true})
        for (const double db : {2.0, 5.0}) {
            const AimedThreshold found = threshold_for(recipe, 1, {most, db}).value();
            EXPECT_TRUE(found.reached);
            // It is what the signal then says.
            SignalRecipe with = recipe;
            with.chain[1].values["threshold_dbfs"] = found.threshold_dbfs;
            const auto reduction = signal_of(make_signal(with).value())->reduction(1).value();
            EXPECT_NEAR(most ? reduction.max_db : reduction.typical_db, db, 0.1) << most << db;
            EXPECT_EQ(reduction.max_db, found.reduction.max_db);
        }
    // Silence cannot be turned down; a low cut has no threshold.
    recipe.source.material = sound(folder, "silent.wav", 48000, 1, [](int64_t, int) { return 0.0; });
    EXPECT_FALSE(threshold_for(recipe, 1, {false, 3.0}).value().reached);
    EXPECT_FALSE(threshold_for(recipe, 0, {false, 3.0}));
    EXPECT_FALSE(threshold_for(recipe, 7, {false, 3.0}));
}

TEST(DuckAdvice, follows_the_keys_decay_and_how_much_both_overlap) {
    Folder folder;
    const PreFaderSource key{sound(folder, "kick.wav", 480000, 1, beats(60.0, 0.8, 0.24)), 0, 1.0, nullptr};
    const PreFaderSource bass{sound(folder, "bass.wav", 480000, 1, sine(80, 48000, 0.4)), 0, 1.0, nullptr};
    const DuckAdvice even = duck_advice(bass, 0.0, key, 0.0).value().value();
    EXPECT_EQ(even.hits, 20);
    EXPECT_NEAR(even.decay_ms, 240.0, 25.0);  // in blocks of 5.3 ms, from the block that rises on
    // Lowering the bass by 3 dB asks for 3 dB less; far below there is nothing to make way for.
    const DuckAdvice lower = duck_advice(bass, -3.0, key, 0.0).value().value();
    EXPECT_NEAR(even.overlap_db - lower.overlap_db, 3.0, 1e-9);
    EXPECT_NEAR(even.depth_db - lower.depth_db, 3.0, 0.51);
    EXPECT_EQ(duck_advice(bass, -30.0, key, 0.0).value()->depth_db, 0.0);
    const PreFaderSource still{sound(folder, "still.wav", 48000, 1, [](int64_t, int) { return 0.0; }), 0, 1.0, nullptr};
    EXPECT_FALSE(duck_advice(bass, 0.0, still, 0.0).value());
    // With it, the bass lies as far below the kick at its hits as was wanted, and is back before the next.
    SignalRecipe recipe;
    recipe.source = bass;
    recipe.keys[9] = key;
    recipe.chain = {processor("duck", {{"threshold_dbfs", even.threshold_dbfs},
                                       {"depth_db", even.depth_db},
                                       {"hold_ms", even.hold_ms},
                                       {"release_ms", even.release_ms}})};
    recipe.chain[0].key = 9;
    const auto ducked = make_signal(recipe).value();
    auto reader = ducked->open().value();
    std::vector<float> x(480000);
    ASSERT_TRUE(reader->read(0, 480000, x.data()));
    const double before = rms_db(read(folder / "bass.wav"), 1, 0, 240000, 264000);
    EXPECT_NEAR(before - rms_db(x, 1, 0, 240000 + 1000, 240000 + 4000), even.depth_db, 0.5);
    EXPECT_NEAR(rms_db(x, 1, 0, 263000, 264000), before, 1.0);
}

TEST(MakeRoom, raises_what_is_heard_as_it_was_predicted) {
    // A voice under keys that play in the same band: predicted and then measured, on tracks of the demo.
    const auto opened = read_session(demo_folder() / "demo.isotonus");
    Session session = opened.value();
    std::map<TrackId, MaterialPtr> files;
    for (const auto& t : session.tracks) files[t->id] = load_material(source_of(*t), session.sample_rate).value();
    const MaterialOf of_file = [&](const Track& t) { return files[t.id]; };
    std::map<MaterialPtr, ExcitationPtr> known;
    const ExcitationOf excitation = [&](const MaterialPtr& m) {
        ExcitationPtr& e = known[m];
        if (!e) e = excitation_of(*m).value();
        return e;
    };
    const auto share_of = [&](const Session& s, TrackId id) {
        RowSignals signals;
        EXPECT_TRUE(signals.make(s, of_file));
        const PlanPtr plan = compile_plan(s, [&](const Track& t) { return signals.played(s, t, of_file); });
        for (const Audibility& a : audibility(*plan, excitation, {}))
            if (a.id == id) return a.share.value_or(0.0);
        return 0.0;
    };
    int proposals = 0;
    for (const auto& track : session.tracks) {
        const PlanPtr plan = compile_plan(session, of_file);
        const RoomProposal p = make_room(*plan, track->id, excitation, {}, [](TrackId) { return true; });
        EXPECT_LE(p.cuts.size(), 8u);
        std::map<TrackId, int> count;
        for (const RoomCut& c : p.cuts) {
            EXPECT_GE(c.db, -3.0);
            EXPECT_NE(c.row, track->id);
            EXPECT_LE(++count[c.row], 3);
        }
        if (p.after - p.before < 0.04) continue;
        ++proposals;
        EXPECT_NEAR(share_of(session, track->id), p.before, 1e-9) << track->name;
        const double after = share_of(with_room(session, p.cuts), track->id);
        EXPECT_NEAR(after - p.before, p.after - p.before, 0.2 * (p.after - p.before)) << track->name;
    }
    EXPECT_GE(proposals, 1);
}

TEST(Room, is_not_made_in_anchors_nor_in_what_carries_the_low_end) {
    Session s = with_files({}, {"/a/Kick.wav", "/a/Bass.wav", "/a/Voice.wav", "/a/Chords.wav"});
    const auto unmeasured = [](const Track&) -> const Measurement* { return nullptr; };
    const auto names = [&] {
        std::vector<std::string> may;
        const auto allowed = may_make_room(s, unmeasured);
        for (const auto& t : s.tracks)
            if (allowed(t->id)) may.push_back(t->name);
        return may;
    };
    EXPECT_THAT(names(), testing::ElementsAre("Voice", "Chords"));
    s = with_track(s, s.tracks[2]->id, [](Track& t) { t.anchor = true; });
    EXPECT_THAT(names(), testing::ElementsAre("Kick", "Bass", "Chords"));
    EXPECT_EQ(RoomWish().min_gain, 0.02) << "what brings less than 2 % is not proposed";
}

TEST(LowCut, of_a_melody_goes_up_where_something_below_carries_the_low_end) {
    Session s = with_files({}, {"/a/Bass.wav", "/a/Chords.wav"});
    const auto unmeasured = [](const Track&) -> const Measurement* { return nullptr; };
    EXPECT_TRUE(has_lows_carried(s, *s.tracks[1], unmeasured));
    EXPECT_FALSE(has_lows_carried(s, *s.tracks[0], unmeasured));
    s = with_track(s, s.tracks[0]->id, [](Track& t) { t.mute = true; });
    EXPECT_FALSE(has_lows_carried(s, *s.tracks[1], unmeasured));
    // A body from 260 Hz on, and a little below it.
    LongTermSpectrum spectrum;
    for (int b = 0; b < spectrum_bands; ++b)
        spectrum.power[static_cast<size_t>(b)] = spectrum_hz(b) > 260.0 ? 1.0 : 0.003;
    const auto alone = low_cut_advice(spectrum, false), carried = low_cut_advice(spectrum, false, true);
    ASSERT_TRUE(alone && carried);
    EXPECT_LT(alone->hz, 100.0);
    EXPECT_GE(carried->hz, 100.0);
    EXPECT_LE(carried->hz, 200.0);
    EXPECT_LE(carried->takes_db, 0.5);
    EXPECT_FALSE(low_cut_advice(spectrum, true, true) &&
                 low_cut_advice(spectrum, true, true)->hz != low_cut_advice(spectrum, true)->hz)
        << "a bass keeps its lows";
}

TEST(Bells, take_free_bands_of_the_first_equaliser_that_is_in) {
    Chain chain{processor("low_cut", {}, 1), processor("compressor", {}, 2)};
    for (int n = 0; n < 9; ++n) add_bell(chain, {500.0 + n, -2.0, 4.0});
    ASSERT_EQ(chain.size(), 4u);
    EXPECT_EQ(chain[1].type, "equaliser");
    EXPECT_EQ(chain[2].type, "equaliser");  // the ninth found no band
    EXPECT_EQ(chain[1].values.at("band1.hz") + chain[2].values.at("band1.hz"), 500.0 + 508.0);
    EXPECT_EQ(chain[3].type, "compressor");
    EXPECT_NE(chain[1].id, chain[2].id);
}
