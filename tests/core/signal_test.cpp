// Signals: whatever a chain makes of a row is the same bits wherever it is read from, and known like a file.
#include <gmock/gmock.h>

#include "core/mix/mix_peak.h"
#include "core/mix/row_signals.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "core/session/validate.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

MaterialPtr file_of(const Folder& folder, const std::string& name, int channels, int64_t frames, unsigned seed) {
    return load_material(write(folder / name, make(frames, channels, noise(seed, 0.4)), channels), 48000).value();
}

std::vector<float> read_all(FrameReader& reader, int64_t frames, int64_t block) {
    std::vector<float> all(static_cast<size_t>(frames * reader.channels()));
    for (int64_t at = 0; at < frames; at += block)
        EXPECT_TRUE(reader.read(at, std::min(block, frames - at), all.data() + at * reader.channels()));
    return all;
}

}  // namespace

TEST(Signals, are_the_same_bits_from_the_start_and_from_every_checkpoint_in_any_blocks) {
    Folder folder;
    constexpr int64_t frames = 40000;
    // The second one ends early: what rings on dies away into numbers too small to be normal.
    const auto early = make(frames, 2, [of = noise(2, 0.4)](int64_t i, int c) { return i < 9000 ? of(i, c) : 0.0; });
    const MaterialPtr files[] = {file_of(folder, "mono.wav", 1, frames, 1),
                                 load_material(write(folder / "stereo.wav", early, 2), 48000).value()};
    std::mt19937 random(20);
    for (int round = 0; round < (sanitized ? 4 : 20); ++round) {
        SignalRecipe recipe;
        recipe.source.material = files[round % 2];
        recipe.source.delay_samples = static_cast<int64_t>(random() % 300) - 100;
        recipe.source.gain = 0.5 + static_cast<double>(random() % 100) / 100.0;
        if (round % 3 == 0) recipe.source.trim_ride = ride({{0.0, -6.0}, {0.5, 6.0}});
        std::tie(recipe.chain, recipe.rides) = random_chain(random, 9);
        if (round % 4 < 2) recipe.rides = {};  // then many cells are worked on at once
        recipe.keys[9] = PreFaderSource{files[(round + 1) % 2], 50, 0.7, nullptr};
        const MaterialPtr made = make_signal(recipe).value();
        const int64_t end = made->frames();
        auto reader = open_running(signal_of(made)).value();
        const auto whole = read_all(*reader, end, end);
        // What was kept of it is the same.
        auto kept = made->open().value();
        ASSERT_EQ(read_all(*kept, end, 700), whole) << round;
        // In any blocks.
        for (const int64_t block : {1, 17, 512, 4096}) {
            if (block == 1 && round > 3) continue;
            auto other = open_running(signal_of(made)).value();
            ASSERT_EQ(read_all(*other, end, block), whole) << round << " " << block;
        }
        // From anywhere, forwards and back.
        for (int n = 0; n < 30; ++n) {
            const auto at = static_cast<int64_t>(random() % static_cast<uint64_t>(end));
            const int64_t count = std::min<int64_t>(end - at, 1 + static_cast<int64_t>(random() % 700));
            std::vector<float> part(static_cast<size_t>(count * made->channels()));
            ASSERT_TRUE(reader->read(at, count, part.data()));
            ASSERT_TRUE(std::equal(part.begin(), part.end(), whole.begin() + at * made->channels()))
                << round << " " << at;
        }
        // And its figures are those of its samples.
        float peak = 0.0f;
        for (const float x : whole) peak = std::max(peak, std::fabs(x));
        ASSERT_TRUE(std::isfinite(peak));
        if (peak > 0.0f) {
            EXPECT_FLOAT_EQ(static_cast<float>(gain_from_db(*made->measurement.sample_peak_dbfs)), peak) << round;
        }
    }
}

TEST(Signals, with_nothing_in_are_the_file_times_its_trim) {
    Folder folder;
    SignalRecipe recipe;
    recipe.source = {file_of(folder, "a.wav", 2, 9000, 3), 32, 0.5, nullptr};
    const MaterialPtr made = make_signal(recipe).value();
    auto reader = made->open().value();
    const auto out = read_all(*reader, 9032, 1000);
    const auto in = read(folder / "a.wav");
    for (size_t i = 0; i < in.size(); ++i) ASSERT_EQ(out[64 + i], in[i] * 0.5f);
}

TEST(Signals, tell_their_reduction_over_the_whole_song) {
    Folder folder;
    const auto x = make(
        480000, 1, [](int64_t i, int c) { return sine(1000, 48000, i >= 240000 && i < 288000 ? 0.5 : 0.02)(i, c); });
    SignalRecipe recipe;
    recipe.source.material = load_material(write(folder / "x.wav", x, 1), 48000).value();
    recipe.chain = {processor("compressor", {{"threshold_dbfs", -24}, {"ratio", 4}, {"knee_db", 0}, {"attack_ms", 1}})};
    const auto found = signal_of(make_signal(recipe).value())->reduction(0).value();
    const double wanted = (24.0 - 6.02) * 0.75;
    EXPECT_NEAR(found.max_db, wanted, 0.3);
    EXPECT_GE(found.max_at_s, 4.99);
    EXPECT_LT(found.max_at_s, 6.01);
    EXPECT_NEAR(found.typical_db, wanted, 0.3);
    EXPECT_NEAR(found.share, 0.12, 0.03);
}

TEST(Signals, tell_no_reduction_of_a_processor_while_a_ride_has_it_out) {
    Folder folder;
    SignalRecipe recipe;
    recipe.source.material =
        load_material(write(folder / "x.wav", make(96000, 1, sine(1000, 48000, 0.5)), 1), 48000).value();
    recipe.chain = {processor("compressor", {{"threshold_dbfs", -24}, {"ratio", 4}})};
    recipe.rides.set(Parameter(*parameter_of(recipe.chain[0], "in"), recipe.chain[0].id),
                     ride({{0.0, 1.0}, {1.0, 1.0}, {1.001, 0.0}}));
    const auto signal = signal_of(make_signal(recipe).value());
    const std::vector<float>& reductions = signal->reductions(0);
    const size_t out_from = 48000 / LevelSummary::block_frames + 2;
    EXPECT_LT(reductions[out_from - 4], -5.0f);
    for (size_t n = out_from; n < reductions.size(); ++n) EXPECT_EQ(reductions[n], 0.0f) << n;
}

TEST(Signals, need_little_memory) {
    Folder folder;
    SignalRecipe recipe;
    recipe.source.material = file_of(folder, "a.wav", 2, 48000 * 60, 3);
    Processor ahead = processor("compressor", {{"lookahead_ms", 10}}, 3);
    recipe.chain = {processor("low_cut", {{"slope", 1}}, 1),
                    processor("equaliser", {{"band1.in", 1}, {"band1.db", 3}}, 2), ahead};
    const MaterialPtr made = make_signal(recipe).value();
    const size_t summary = 4 * (made->summary.low.size() + made->summary.high.size() +
                                made->summary.mean_square.size() + made->summary.mean_square_of_8.size());
    std::printf("a minute of a stereo row: %zu kB of checkpoints, %zu kB of summary\n",
                signal_of(made)->checkpoint_bytes() / 1000, summary / 1000);
    EXPECT_LT(signal_of(made)->checkpoint_bytes() + summary, 2000000u);
}

TEST(Signals, are_mixed_to_the_same_bits_by_any_number_of_workers_and_their_peak_is_found_exactly) {
    Folder folder;
    Shaped mix({write(folder / "kick.wav", make(60000, 1, noise(1, 0.5)), 1),
                write(folder / "bass.wav", make(60000, 2, noise(2, 0.5)), 2),
                write(folder / "pad.wav", make(50000, 2, noise(3, 0.5)), 2)});
    std::mt19937 random(5);
    const TrackId kick = mix.session.tracks[0]->id;
    MixPeaks peaks(1);
    for (int round = 0; round < (sanitized ? 1 : 5); ++round) {
        for (size_t n = 1; n < 3; ++n)
            mix.change(n, [&](Track& t) {
                std::tie(t.chain, t.rides) = random_chain(random, kick);
                t.trim_db = static_cast<double>(random() % 12) - 6.0;
                t.polarity_inverted = random() % 2;
                t.delay_samples = static_cast<double>(random() % 200);
                t.fader_db = -static_cast<double>(random() % 20);
                t.pan = 0.3;
            });
        ASSERT_TRUE(validate(mix.session));
        const PlanPtr plan = mix.shaped_plan();
        const auto one = rendered(plan, 4096);
        EXPECT_EQ(rendered(plan, 17), one);
        EXPECT_EQ(rendered(plan, 512, 4), one);
        float peak = 0.0f;
        for (const float x : one) peak = std::max(peak, std::fabs(x));
        EXPECT_EQ(whole_song_peak(plan).value().peak, peak);
        // Another chain is another source; faders move over signals as over files, and the search does not begin anew.
        EXPECT_EQ(peaks.find(plan).value().peak, peak) << round;
        mix.change(1, [](Track& t) { t.fader_db -= 3.0; });
        const PlanPtr moved = mix.shaped_plan();
        EXPECT_TRUE(plan->same_sources(*moved));
        float after = 0.0f;
        for (const float x : rendered(moved, 4096)) after = std::max(after, std::fabs(x));
        EXPECT_EQ(peaks.find(moved).value().peak, after);
    }
}

TEST(Signals, of_a_key_are_before_its_fader_muted_or_not) {
    Folder folder;
    Shaped mix({write(folder / "kick.wav",
                      make(48000, 1, [](int64_t i, int) { return i >= 20000 && i < 30000 ? 0.9 : 0.0; }), 1),
                write(folder / "bass.wav", make(48000, 1, sine(100, 48000, 0.5)), 1)});
    const TrackId kick = mix.session.tracks[0]->id;
    mix.change(1, [&](Track& t) {
        t.chain = {processor("duck", {{"depth_db", 20}})};
        t.chain[0].key = kick;
    });
    mix.change(0, [](Track& t) { t.mute = true, t.fader_db = -40.0; });
    const auto ducked = rendered(mix.shaped_plan(), 4096);
    EXPECT_LT(rms_db(ducked, 2, 0, 25000, 30000), rms_db(ducked, 2, 0, 5000, 15000) - 19.0);
    // A trim of the key is before its chain and counts; its gain changed is another signal.
    mix.change(0, [](Track& t) { t.trim_db = -24.0; });
    mix.session = with_chain(mix.session, kick, [](Chain& c) {
        c = {processor("gate", {{"threshold_dbfs", -10}, {"range_db", 96}})};
    });
    const auto gated = rendered(mix.shaped_plan(), 4096);
    EXPECT_NEAR(rms_db(gated, 2, 0, 25000, 30000), rms_db(gated, 2, 0, 5000, 15000), 0.2)
        << "the key's own gate closed it";
}

TEST(Signals, of_a_centred_low_end_sum_to_the_whole) {
    Folder folder;
    Shaped mix({write(folder / "bass.wav", make(60000, 2, noise(2, 0.4)), 2)});
    mix.change(0, [](Track& t) { t.chain = {processor("saturation", {{"drive_db", 12}})}; });
    const auto whole = rendered(mix.shaped_plan(), 4096);
    mix.change(0, [](Track& t) { t.mono_below_hz = 120.0; });
    const PlanPtr split = mix.shaped_plan();
    ASSERT_EQ(split->parts.size(), 2u);
    const auto both = rendered(split, 4096);
    // Middle of both sides: what is centred is the mean, and the rest adds to it.
    double worst = 0.0;
    for (size_t i = 2000; i + 1 < whole.size(); i += 2)
        worst = std::max(worst, std::fabs(static_cast<double>(whole[i] + whole[i + 1]) -
                                          static_cast<double>(both[i] + both[i + 1])));
    EXPECT_LT(worst, 1e-5);
    EXPECT_EQ(rendered(split, 333, 3), both);
}

TEST(Chains, are_kept_in_the_session_file_with_their_rides_and_what_is_unknown) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(4800, 1, noise(1, 0.5)), 1),
             write(folder / "b.wav", make(4800, 1, noise(2, 0.5)), 1)});
    Session s = mix.session;
    const TrackId a = s.tracks[0]->id, b = s.tracks[1]->id;
    s = with_chain(s, a, [&](Chain& c) {
        c = {processor("compressor", {{"threshold_dbfs", -21.5}, {"detector", 1}}, 1),
             processor("equaliser", {{"band2.in", 1}, {"band2.shape", 3}}, 4)};
        c[0].key = b;
        c[0].in = false;
        c[0].match_db = 2.5;
    });
    const Parameter threshold = parameter_called(s, a, "1.threshold_dbfs").value();
    EXPECT_EQ(parameter_called(s, a, "compressor.threshold_dbfs"), threshold);
    EXPECT_EQ(parameter_called(s, a, "2.in")->processor(), 4u);
    s = with_ride(s, a, threshold, Curve{{{0.0, -20.0}, {1.0, -30.0}}});
    ASSERT_TRUE(write_session(s, folder / "s.isotonus"));
    const Session back = read_session(folder / "s.isotonus").value();
    EXPECT_EQ(back.tracks[0]->chain, s.tracks[0]->chain);
    EXPECT_EQ(*back.tracks[0]->rides[threshold], *s.tracks[0]->rides[threshold]);
    // Without the processor its rides go too.
    EXPECT_FALSE(with_chain(back, a, [](Chain& c) { c.erase(c.begin()); }).tracks[0]->rides.any());
    // A processor of a later version is kept with all that it says.
    std::string text = session_to_json(back, folder.path());
    const size_t at = text.find("\"compressor\"");
    text.replace(at, 12, "\"time machine\"");
    const Session later = session_from_json(text, folder / "s.isotonus").value();
    EXPECT_EQ(later.tracks[0]->chain[0].type, "time machine");
    EXPECT_FALSE(processor_type(later.tracks[0]->chain[0].type));
    const std::string again = session_to_json(later, folder.path());
    EXPECT_THAT(again, testing::HasSubstr("\"threshold_dbfs\": -21.5"));
    EXPECT_THAT(again, testing::HasSubstr("-30.0"));
    EXPECT_EQ(session_to_json(session_from_json(again, folder / "s.isotonus").value(), folder.path()), again);
}

TEST(Chains, that_cannot_be_are_refused_with_a_sentence) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(4800, 1, noise(1, 0.5)), 1),
             write(folder / "b.wav", make(4800, 1, noise(2, 0.5)), 1)});
    const TrackId a = mix.session.tracks[0]->id, b = mix.session.tracks[1]->id;
    const auto fault = [&](const std::function<void(Chain&)>& change) {
        const auto valid = validate(with_chain(mix.session, a, change));
        return valid ? std::string() : valid.error().what;
    };
    EXPECT_THAT(fault([](Chain& c) { c = {processor("compressor")}, c[0].values["ratio"] = 0.5; }),
                testing::HasSubstr("ratio"));
    EXPECT_THAT(fault([](Chain& c) { c = {processor("compressor")}, c[0].values["ratio"] = std::nan(""); }),
                testing::HasSubstr("must be a number"));
    EXPECT_THAT(fault([](Chain& c) { c = {processor("gate")}, c[0].values["warmth"] = 1.0; }),
                testing::HasSubstr("warmth"));
    EXPECT_THAT(fault([](Chain& c) { c = {processor("gate"), processor("gate")}; }), testing::HasSubstr("id"));
    EXPECT_THAT(fault([](Chain& c) {
                    for (uint64_t n = 1; n <= 65; ++n) c.push_back(processor("gate", {}, n));
                }),
                testing::HasSubstr("64"));
    EXPECT_EQ(fault([](Chain& c) {
                  for (uint64_t n = 1; n <= 64; ++n) c.push_back(processor("gate", {}, n));
              }),
              "");
    EXPECT_THAT(fault([&](Chain& c) { c = {processor("duck")}, c[0].key = a; }), testing::HasSubstr("makes a loop"));
    Session s = with_chain(mix.session, b, [&](Chain& c) { c = {processor("duck")}, c[0].key = a; });
    EXPECT_TRUE(validate(s));
    s = with_chain(s, a, [&](Chain& c) { c = {processor("gate")}, c[0].key = b; });
    EXPECT_THAT(validate(s).error().what, testing::HasSubstr("makes a loop"));
}

TEST(Signals, of_rows_that_an_edit_left_alone_keep_their_keys_and_others_never_do) {
    Folder folder;
    Shaped mix({write(folder / "a.wav", make(24000, 2, noise(1, 0.4)), 2),
                write(folder / "b.wav", make(24000, 1, noise(2, 0.4)), 1)});
    const auto cut = [](double hz) {
        return [hz](Chain& c) {
            c = {new_processor(*processor_type("low_cut"), {})};
            c[0].values["hz"] = hz;
        };
    };
    mix.session = with_chain(with_chain(mix.session, mix.id(0), cut(100.0)), mix.id(1), cut(200.0));
    // After every edit in a row of edits, each of which changes something else that a key depends on.
    const auto is_right = [&] {
        for (const auto& t : mix.session.tracks) {
            const auto recipe = mix.row_signals.recipe(mix.session, *t, mix.file_of());
            EXPECT_EQ(mix.row_signals.key(mix.session, *t, mix.file_of()),
                      recipe ? std::optional(content_key(*recipe)) : std::nullopt);
        }
    };
    is_right();
    const auto before = mix.row_signals.key(mix.session, *mix.session.tracks[0], mix.file_of());
    mix.change(0, [](Track& t) { t.fader_db = -3.0; });
    is_right();
    EXPECT_EQ(mix.row_signals.key(mix.session, *mix.session.tracks[0], mix.file_of()), before);
    mix.change(0, [](Track& t) { t.trim_db = -3.0; });
    is_right();
    EXPECT_NE(mix.row_signals.key(mix.session, *mix.session.tracks[0], mix.file_of()), before);
    mix.session = with_ride(mix.session, mix.id(1), Parameter::trim, Curve{{{0.1, -6.0}, {0.3, 0.0}}});
    is_right();
    mix.session.rides_bypassed = true;
    is_right();
    mix.session.rides_bypassed = false;
    is_right();
    mix.session = with_chain(mix.session, mix.id(0), cut(150.0));
    is_right();
    mix.session = with_chain(mix.session, mix.id(0), cut(100.0));
    is_right();
    // What a key listens to may change while the row itself does not.
    mix.session = with_chain(mix.session, mix.id(0), [&](Chain& c) {
        c.push_back(new_processor(*processor_type("compressor"), c));
        c.back().key = mix.id(1);
    });
    is_right();
    mix.change(1, [](Track& t) { t.trim_db = 2.0; });
    EXPECT_TRUE(mix.row_signals.make(mix.session, mix.file_of()));
    is_right();
    mix.files[mix.id(0)] = load_material(write(folder / "c.wav", make(24000, 2, noise(3, 0.4)), 2), 48000).value();
    EXPECT_TRUE(mix.row_signals.make(mix.session, mix.file_of()));
    is_right();
}

TEST(Signals, that_were_changed_are_there_for_an_undo_and_those_switched_off_for_the_switch) {
    Folder folder;
    Shaped mix({write(folder / "a.wav", make(24000, 2, noise(1, 0.4)), 2),
                write(folder / "b.wav", make(24000, 1, noise(2, 0.4)), 1)});
    const auto set = [&](size_t n, double hz) {
        mix.change(n, [hz](Track& t) { t.chain = {processor("low_cut", {{"hz", hz}})}; });
    };
    const auto made_by_edit = [&] {
        const size_t before = mix.row_signals.size();
        EXPECT_TRUE(mix.row_signals.make(mix.session, mix.file_of()));
        const size_t made = mix.row_signals.size() - before;
        mix.row_signals.forget_old();
        return made;
    };
    const auto played = [&](size_t n) {
        return mix.row_signals.played(mix.session, *mix.session.tracks[n], mix.file_of());
    };
    set(1, 300.0);
    for (const double hz : {100.0, 110.0, 120.0, 130.0, 140.0, 150.0}) {
        set(0, hz);
        made_by_edit();
    }
    EXPECT_EQ(mix.row_signals.size(), 5u) << "two that play, three that did";
    // Undone one by one, and done again.
    for (const double hz : {140.0, 130.0, 120.0, 130.0, 140.0}) {
        set(0, hz);
        EXPECT_EQ(made_by_edit(), 0u) << hz;
    }
    set(0, 100.0);
    EXPECT_EQ(made_by_edit(), 1u) << "that is long ago";
    const MaterialPtr first = played(0), second = played(1);
    mix.session.chains_out = true;
    for (int edit = 0; edit < 10; ++edit) {
        mix.change(0, [](Track& t) { t.fader_db -= 1.0; });
        EXPECT_EQ(made_by_edit(), 0u);
    }
    mix.session.chains_out = false;
    EXPECT_EQ(played(0), first);
    EXPECT_EQ(played(1), second);
    EXPECT_EQ(made_by_edit(), 0u);
}
