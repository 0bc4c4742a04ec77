// Faders, pans and polarities found from a rough mix: mixes summed up sample by sample have known answers.
#include "core/balance/rough_mix.h"

#include "core/mix/row_signals.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "tests/support/made_song.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

struct Worst {
    double fader_db = 0.0, pan = 0.0, common_db = 0.0;
};

/// How far what was found lies from what the mix was made with; `beside_common`: the middle of all faders' differences
/// is left aside, since a mix that was processed has no level of its own.
Worst worst_of(const RoughMixFit& fit, const std::vector<MadeSong::Setting>& made, bool beside_common = false) {
    std::vector<double> apart;
    Worst worst;
    for (size_t n = 0; n < made.size(); ++n) {
        apart.push_back(fit.tracks[n].fader_db - made[n].fader_db);
        // Of a balanced stereo track near the centre hardly anything changes with the pan: what changes is compared.
        const auto far_side = [](double pan) { return std::cos(std::fabs(pan) * std::numbers::pi / 2.0); };
        worst.pan = std::max(worst.pan, n % 3 == 2 ? std::fabs(far_side(fit.tracks[n].pan) - far_side(made[n].pan))
                                                   : std::fabs(fit.tracks[n].pan - made[n].pan));
        EXPECT_EQ(fit.tracks[n].inverted, made[n].inverted) << n;
    }
    std::vector<double> sorted = apart;
    std::sort(sorted.begin(), sorted.end());
    worst.common_db = beside_common ? sorted[sorted.size() / 2] : 0.0;
    for (const double db : apart) worst.fader_db = std::max(worst.fader_db, std::fabs(db - worst.common_db));
    return worst;
}

std::string refusal(const MadeSong& song, const fs::path& mix) {
    const auto fit = fit_rough_mix(song.session, song.material(), mix);
    return fit ? "nothing was refused" : fit.error().text();
}

}  // namespace

TEST(RoughMix, of_plain_sums_give_faders_pans_and_polarities_back) {
    Folder folder;
    const MadeSong song(folder, 10, 12.0);
    for (const uint32_t seed : {1u, 2u, 3u}) {
        const auto made = song.random_settings(seed);
        const auto fit = fit_rough_mix(song.session, song.material(), write(folder / "m.wav", song.mixed(made), 2));
        ASSERT_TRUE(fit) << fit.error().text();
        const Worst worst = worst_of(*fit, made);
        EXPECT_LT(worst.fader_db, 0.05);
        EXPECT_LT(worst.pan, 0.005);
        EXPECT_LT(fit->left_over_db, -60.0);
        EXPECT_EQ(fit->begins_s, 0.0);
        EXPECT_FALSE(fit->processing.any());
        // What was found sums up to the mix: it is the session that would render it.
        Session found = song.session;
        for (const RoughMixTrack& t : fit->tracks) found = with_found(found, t);
        const std::vector<float> again = samples_of(compile_plan(found, song.material())), mix = song.mixed(made);
        for (size_t i = 1000; i < mix.size(); i += 9973) EXPECT_NEAR(again[i], mix[i], 1e-3) << i;
    }
}

TEST(RoughMix, goes_by_the_pan_law_of_the_session_and_by_trims_and_buses) {
    Folder folder;
    MadeSong song(folder, 6, 8.0);
    for (const PanLaw law : {PanLaw::linear, PanLaw::compromise, PanLaw::balance}) {
        Session mixed = song.session;
        mixed.pan_law = law;
        const TrackId bus = mixed.next_id++;
        Bus sum;
        sum.id = bus;
        sum.fader_db = -3.0;
        mixed.buses.push_back(sum);
        for (size_t n = 0; n < 6; ++n)
            mixed = with_track(mixed, song.id(n), [&](Track& t) {
                t.trim_db = 2.0 * static_cast<double>(n) - 5.0;
                t.polarity_inverted = n == 1;
                if (n < 2) t.output = bus;
                t.fader_db = -1.5 * static_cast<double>(n);
                t.pan = 0.15 * static_cast<double>(n) - 0.4;
            });
        const std::vector<float> samples = samples_of(compile_plan(mixed, song.material()));
        Session flat = with_each_track(mixed, [](Track& t) { t.fader_db = t.pan = 0.0; });
        const auto fit = fit_rough_mix(flat, song.material(), write(folder / "m.wav", samples, 2));
        ASSERT_TRUE(fit) << fit.error().text();
        for (size_t n = 0; n < 6; ++n) {
            EXPECT_NEAR(fit->tracks[n].fader_db, -1.5 * static_cast<double>(n), 0.05) << n;
            EXPECT_NEAR(fit->tracks[n].pan, 0.15 * static_cast<double>(n) - 0.4, 0.01) << n;
            EXPECT_FALSE(fit->tracks[n].inverted);
        }
    }
}

TEST(RoughMix, fits_what_leaves_a_chain) {
    Folder folder;
    MadeSong song(folder, 4, 8.0);
    song.session = with_chain(song.session, song.id(1), [](Chain& c) {
        Processor cut;
        cut.id = 100;
        cut.type = "low_cut";
        cut.values["hz"] = 900.0;
        c.push_back(cut);
    });
    song.session.next_id = 101;
    const MaterialOf files = song.material();
    RowSignals signals;
    ASSERT_TRUE(signals.make(song.session, files));
    Session mixed = song.session;
    for (size_t n = 0; n < 4; ++n)
        mixed = with_track(mixed, song.id(n), [n](Track& t) { t.fader_db = -2.0 * static_cast<double>(n) - 1.0; });
    const auto mix = samples_of(compile_plan(mixed, signals.played_by(mixed, files)));
    const auto fit =
        fit_rough_mix(song.session, signals.played_by(song.session, files), write(folder / "m.wav", mix, 2));
    ASSERT_TRUE(fit) << fit.error().text();
    for (size_t n = 0; n < 4; ++n) EXPECT_NEAR(fit->tracks[n].fader_db, -2.0 * static_cast<double>(n) - 1.0, 0.05) << n;
    EXPECT_LT(fit->left_over_db, -60.0);
}

TEST(RoughMix, of_the_demo_is_found_with_its_faults) {
    Folder folder;
    const Session demo = read_session(demo_folder() / "demo.isotonus").value();
    std::map<TrackId, MaterialPtr> known;
    for (const auto& t : demo.tracks) known[t->id] = load_material(source_of(*t), demo.sample_rate).value();
    const MaterialOf material = [&](const Track& t) { return known.at(t.id); };
    const Wave dice = noise(12, 1.0);
    int64_t n = 0;
    const Session mixed = with_each_track(demo, [&](Track& t) {
        t.fader_db = -10.0 + 10.0 * dice(n++, 0);
        t.pan = std::round(50.0 * dice(n++, 0)) / 100.0;
    });
    const auto fit =
        fit_rough_mix(demo, material, write(folder / "m.wav", samples_of(compile_plan(mixed, material)), 2));
    ASSERT_TRUE(fit) << fit.error().text();
    for (size_t i = 0; i < mixed.tracks.size(); ++i) {
        EXPECT_NEAR(fit->tracks[i].fader_db, mixed.tracks[i]->fader_db, 0.05) << mixed.tracks[i]->name;
        EXPECT_NEAR(fit->tracks[i].pan, mixed.tracks[i]->pan, 0.01) << mixed.tracks[i]->name;
    }
    EXPECT_LT(fit->left_over_db, -60.0);
}

TEST(RoughMix, is_found_where_it_was_cut_at_another_rate_and_in_16_bits) {
    Folder folder;
    const MadeSong song(folder, 8, 12.0);
    const auto made = song.random_settings(4);
    write(folder / "m.wav", song.mixed(made), 2);
    // Converted and cut by another program.
    output_of("sox '" + (folder / "m.wav").string() + "' -r 44100 -b 16 '" + (folder / "cut.wav").string() +
              "' trim 0.7");
    const auto fit = fit_rough_mix(song.session, song.material(), folder / "cut.wav");
    ASSERT_TRUE(fit) << fit.error().text();
    EXPECT_NEAR(fit->begins_s, 0.7, 2e-5);
    EXPECT_LT(worst_of(*fit, made).fader_db, 0.1);
    // One that begins earlier, after a count-in of silence.
    output_of("sox '" + (folder / "m.wav").string() + "' '" + (folder / "late.wav").string() + "' pad 2.5");
    const auto late = fit_rough_mix(song.session, song.material(), folder / "late.wav");
    ASSERT_TRUE(late) << late.error().text();
    EXPECT_NEAR(late->begins_s, -2.5, 2e-5);
    EXPECT_LT(worst_of(*late, made).fader_db, 0.05);
}

TEST(RoughMix, through_a_shelf_a_compressor_a_limiter_and_a_lossy_file_keeps_its_balance) {
    Folder folder;
    const MadeSong song(folder, 10, 16.0);
    const auto made = song.random_settings(5);
    write(folder / "m.wav", song.mixed(made), 2);
    // Another program's processing: a shelf of 3 dB, 2:1 from below the mean level on, a limiter, MP3 at 128 kbit/s.
    output_of("ffmpeg -v error -i '" + (folder / "m.wav").string() +
              "' -af 'volume=6dB,treble=g=3:f=6000:t=s:w=1,acompressor=threshold=0.06:ratio=2:attack=10:release=120:"
              "makeup=1,alimiter=limit=0.35:level=0' -b:a 128k '" +
              (folder / "m.mp3").string() + "'");
    const auto fit = fit_rough_mix(song.session, song.material(), folder / "m.mp3");
    ASSERT_TRUE(fit) << fit.error().text();
    const Worst worst = worst_of(*fit, made, true);
    EXPECT_LT(worst.fader_db, 1.0);
    EXPECT_LT(worst.pan, 0.05);
    std::string told;
    for (const std::string& s : fit->processing.sentences()) told += s + '\n';
    EXPECT_NE(told.find("highs +"), std::string::npos) << told;
    EXPECT_NE(told.find("compressor"), std::string::npos) << told;
}

TEST(RoughMix, of_microphones_and_doubles_has_no_wild_gains) {
    Folder folder;
    MadeSong song(folder, 5, 12.0);
    // The second is the first through another microphone, the third the first 12 ms later, each with a little noise.
    const std::vector<float> first = song.samples[0];
    for (const auto& [n, late, seed] : {std::tuple{size_t{1}, int64_t{0}, 5u}, {size_t{3}, int64_t{576}, 6u}}) {
        const Wave hiss = noise(seed, 0.0003);
        for (int64_t i = 0; i < song.frames; ++i)
            song.samples[n][static_cast<size_t>(i)] =
                (i >= late ? first[static_cast<size_t>(i - late)] : 0.0f) + static_cast<float>(hiss(i, 0));
        write(song.files[n], song.samples[n], 1);
    }
    std::vector<MadeSong::Setting> made(5);
    made[0].fader_db = -4.0, made[1].fader_db = -9.0, made[3].fader_db = -6.0;
    write(folder / "m.wav", song.mixed(made), 2);
    for (const char* lossy : {"", " -b:a 128k"}) {
        const std::string name = *lossy ? "m.mp3" : "again.wav";
        output_of("ffmpeg -v error -y -i '" + (folder / "m.wav").string() + "' -af acompressor=threshold=0.05:ratio=2" +
                  lossy + " '" + (folder / name).string() + "'");
        const auto fit = fit_rough_mix(song.session, song.material(), folder / name);
        ASSERT_TRUE(fit) << fit.error().text();
        const auto gain = [&](size_t n) { return gain_from_db(fit->tracks[n].fader_db); };
        const double common = fit->tracks[4].fader_db - made[4].fader_db;
        const double sum = db_from_gain(gain(0) + gain(1)) - common;
        EXPECT_NEAR(sum, db_from_gain(gain_from_db(-4.0) + gain_from_db(-9.0)), 0.3);
        EXPECT_NEAR(fit->tracks[3].fader_db - common, -6.0, 0.5);
        for (const size_t n : {0, 1, 3}) EXPECT_FALSE(fit->tracks[n].inverted);
        for (const size_t n : {0, 1}) {
            ASSERT_EQ(fit->tracks[n].how, InMix::together) << name << n;
            EXPECT_EQ(fit->tracks[n].with, std::vector<TrackId>{song.id(1 - n)});
        }
        EXPECT_NEAR(fit->tracks[0].fader_db, fit->tracks[1].fader_db, 4.0);  // drawn to one level
    }
}

TEST(RoughMix, tells_what_is_not_in_it_what_changes_by_section_and_what_has_an_effect) {
    Folder folder;
    MadeSong song(folder, 6, 24.0);
    song.session.sections = {{"verse", 0.0, 0}, {"chorus", 12.0, 0}};
    std::vector<MadeSong::Setting> made(6);
    MadeSong changed = song;
    const double up = gain_from_db(2.1);
    for (size_t i = static_cast<size_t>(song.frames) / 2; i < static_cast<size_t>(song.frames); ++i)
        changed.samples[1][i] *= static_cast<float>(up);
    // The third goes through an effect: each side and itself half a millisecond later.
    for (int64_t i = song.frames - 1; i >= 24; --i)
        for (int64_t c = 0; c < 2; ++c)
            changed.samples[2][static_cast<size_t>(2 * i + c)] +=
                changed.samples[2][static_cast<size_t>(2 * (i - 24) + c)];
    for (float& x : changed.samples[3]) x = 0.0f;
    const auto fit = fit_rough_mix(song.session, song.material(), write(folder / "m.wav", changed.mixed(made), 2));
    ASSERT_TRUE(fit) << fit.error().text();
    EXPECT_EQ(fit->tracks[3].how, InMix::absent);
    EXPECT_TRUE(std::isinf(fit->tracks[3].fader_db));
    const auto& sections = fit->tracks[1].in_sections;
    ASSERT_EQ(sections.size(), 2u) << sentence_of(song.session, fit->tracks[1]) << fit->left_over_db;
    EXPECT_NEAR(sections[1].by_db - sections[0].by_db, 2.1, 0.4);
    EXPECT_TRUE(fit->tracks[2].changed) << *fit->tracks[2].left_over_db;
    EXPECT_FALSE(fit->tracks[0].changed);
    EXPECT_TRUE(fit->tracks[0].in_sections.empty());
    EXPECT_NE(sentence_of(song.session, fit->tracks[1]).find("in chorus"), std::string::npos);
    // The ride that is offered follows it, and leaves the fader alone.
    const Session ridden = with_found_sections(song.session, fit->tracks[1]);
    const CurvePtr ride = ridden.find(song.id(1))->rides[Parameter::level];
    ASSERT_TRUE(ride);
    EXPECT_NEAR(ride->value_at(18.0) - ride->value_at(6.0), 2.1, 0.4);
    EXPECT_EQ(ridden.find(song.id(1))->fader_db, 0.0);
}

TEST(RoughMix, that_is_bad_is_refused_or_told_in_a_sentence) {
    Folder folder;
    const MadeSong song(folder, 5, 14.0);
    const auto made = song.random_settings(7);
    const std::vector<float> mix = song.mixed(made);
    const auto said_in = [&](const std::string& text, const char* words) {
        EXPECT_NE(text.find(words), std::string::npos) << text;
    };
    const MadeSong other(folder, 5, 14.0, 1);
    said_in(refusal(song, write(folder / "other.wav", other.mixed(other.random_settings(1)), 2)), "another song");
    said_in(refusal(song, write(folder / "silent.wav", make(600000, 2, [](int64_t, int) { return 0.0; }), 2)),
            "silent");
    said_in(refusal(song, write(folder / "short.wav", {mix.begin() + 200000, mix.begin() + 500000}, 2)), "are needed");
    said_in(refusal(song, folder / "none.wav"), "none.wav");
    put(folder / "noise.wav", "this is not audio");
    said_in(refusal(song, folder / "noise.wav"), "noise.wav");

    MadeSong many = song;
    many.session = with_files({}, std::vector<fs::path>(257, song.files[0]));
    said_in(refusal(many, folder / "other.wav"), "at most 256");

    const auto told = [&](const std::vector<float>& samples, int channels, const char* words) {
        const auto fit = fit_rough_mix(song.session, song.material(), write(folder / "x.wav", samples, channels));
        EXPECT_TRUE(fit) << fit.error().text();
        std::string all;
        for (const std::string& s : fit->remarks) all += s;
        said_in(all, words);
        return *fit;
    };
    std::vector<float> mono, gap = mix, clipped = mix;
    for (size_t i = 0; i + 1 < mix.size(); i += 2) mono.push_back(0.5f * (mix[i] + mix[i + 1]));
    for (size_t i = 400000; i < 600000; ++i) gap[i] = 0.0f;
    float highest = 0.0f;
    for (const float x : mix) highest = std::max(highest, std::fabs(x));
    for (float& x : clipped) x = std::clamp(1.8f / highest * x, -1.0f, 1.0f);
    for (const RoughMixTrack& t : told(mono, 1, "is mono").tracks) EXPECT_FALSE(t.pan_found);
    EXPECT_LT(worst_of(told(gap, 2, "is silent from"), made).fader_db, 0.1);
    EXPECT_LT(worst_of(told(clipped, 2, "clips"), made, true).fader_db, 1.0);
    told({mix.begin() + 300000, mix.begin() + 1100000}, 2, "covers the song from 3.1");
}

TEST(RoughMix, has_the_same_bits_with_one_thread_and_can_be_cancelled) {
    Folder folder;
    const MadeSong song(folder, 5, 8.0);
    const fs::path mix = write(folder / "m.wav", song.mixed(song.random_settings(8)), 2);
    const auto both = fit_rough_mix(song.session, song.material(), mix);
    setenv("ISOTONUS_WORKERS", "1", 1);
    const auto one = fit_rough_mix(song.session, song.material(), mix);
    unsetenv("ISOTONUS_WORKERS");
    ASSERT_TRUE(both && one);
    for (size_t n = 0; n < 5; ++n) {
        EXPECT_EQ(both->tracks[n].fader_db, one->tracks[n].fader_db);
        EXPECT_EQ(both->tracks[n].share, one->tracks[n].share);
    }
    EXPECT_EQ(both->left_over_db, one->left_over_db);
    Progress progress;
    progress.cancel();
    const auto stopped = fit_rough_mix(song.session, song.material(), mix, &progress);
    ASSERT_FALSE(stopped);
    EXPECT_TRUE(stopped.error().cancelled);
}
