// What a session keeps of listening, what has changed since a print and the way back, blind comparisons, widths, who
// makes a band, passages, and the correction of the monitor path.
#include <gmock/gmock.h>

#include <fstream>

#include "core/compare/blind.h"
#include "core/compare/makers.h"
#include "core/compare/match.h"
#include "core/compare/third_octaves.h"
#include "core/measure/passage.h"
#include "core/monitor/monitor.h"
#include "core/session/changes.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "core/session/validate.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::ElementsAre;
using testing::HasSubstr;

namespace {

Session listened() {
    Session s = with_files({}, {"/audio/Kick.wav", "/audio/Voice.wav"});
    Recording r{"ref", "/audio/ref.wav", true, "", "dense", -9.0, {}, {}};
    r.starts_s = -1.5;
    r.passages = {{"chorus", 40.0, 60.0, 10.0, 30.0}, {"verse", 5.0, 20.0, {}, {}}};
    Recording print{"mix 1", "/audio/mix 1.wav", false, "2030-06-01 20:15", "", {}, {}, {}};
    print.session = "/audio/mix 1.wav.isotonus";
    s.recordings = {r, print};
    s.notes = {{3.0, "voice too loud", "car", "2030-06-01T21:00:00", true}, {9.5, "hats sharp", "", "", false}};
    s.blind_results = {{"2030-06-02T09:00:00", "", {"the mix", "mix 1"}, {6, 2}}};
    s.hand_off.listening_notes_on_sheet = true;
    return s;
}

std::string fault(const std::function<void(Session&)>& change) {
    Session s = listened();
    change(s);
    const auto valid = validate(s);
    return valid ? "" : valid.error().what;
}

std::vector<std::string> words_on(const std::vector<RowChange>& all, TrackId row) {
    for (const RowChange& c : all)
        if (c.row == row) return c.words;
    return {};
}

}  // namespace

TEST(Listening, is_kept_in_the_session_file) {
    const Session s = listened();
    const Session back = session_from_json(session_to_json(s, "/audio"), "/audio/s.isotonus").value();
    EXPECT_EQ(back.recordings, s.recordings);
    EXPECT_EQ(back.notes, s.notes);
    EXPECT_EQ(back.blind_results, s.blind_results);
    EXPECT_EQ(back.hand_off, s.hand_off);
    EXPECT_THAT(session_to_json(s, "/audio"), HasSubstr("\"session\": \"mix 1.wav.isotonus\"")) << "beside the print";
}

TEST(Listening, is_held_to_its_limits) {
    EXPECT_EQ(fault([](Session&) {}), "");
    EXPECT_THAT(fault([](Session& s) { s.recordings.change()[0].passages[0].to_s = 1.0; }), HasSubstr("before from_s"));
    EXPECT_THAT(fault([](Session& s) { s.recordings.change()[0].passages[0].song_to_s.reset(); }),
                HasSubstr("together with song_from_s"));
    EXPECT_THAT(fault([](Session& s) { s.recordings.change()[0].starts_s = std::nan(""); }), HasSubstr("number"));
    EXPECT_THAT(fault([](Session& s) { s.notes.change()[0].time_s = 99.0; }), HasSubstr("before the preceding note"));
    EXPECT_THAT(fault([](Session& s) { s.notes.change()[0].time_s = -1.0; }), HasSubstr("time_s"));
    EXPECT_THAT(fault([](Session& s) { s.blind_results.change()[0].chosen.pop_back(); }), HasSubstr("every version"));
    EXPECT_THAT(fault([](Session& s) { s.blind_results.change()[0].chosen[0] = -1; }), HasSubstr("chosen"));
}

TEST(Listening, notes_of_a_file_are_put_in_order) {
    std::string text = session_to_json(listened(), "/audio");
    const size_t at = text.find("\"time_s\": 3.0");
    ASSERT_NE(at, std::string::npos);
    text.replace(at, 13, "\"time_s\": 30.0");
    const Session back = session_from_json(text, "/audio/s.isotonus").value();
    EXPECT_EQ(back.notes[0].text, "hats sharp");
}

TEST(Listening, keeps_references_on_a_shelf_for_all_sessions) {
    Folder folder;
    EXPECT_TRUE(read_shelf(folder / "references.json").value().empty());
    const std::vector<Recording> kept{listened().recordings[0]};
    ASSERT_TRUE(write_shelf(kept, folder / "references.json"));
    EXPECT_EQ(read_shelf(folder / "references.json").value(), kept);
    std::ofstream(folder / "references.json") << "{\"references\": [{\"name\": \"x\"}]}";
    EXPECT_THAT(read_shelf(folder / "references.json").error().text(), HasSubstr("references.json"));
}

TEST(Passages, stand_where_they_are_tied) {
    const Recording r = listened().recordings[0];
    EXPECT_EQ(r.recording_time_s(15.0), 45.0) << "its chorus to this chorus";
    EXPECT_EQ(r.recording_time_s(30.0), 28.5) << "after it by where it starts";
    EXPECT_EQ(r.tied_at(9.9), nullptr);
    EXPECT_EQ(r.tied_at(10.0)->name, "chorus");
}

TEST(Passages, are_as_loud_as_libebur128_says_of_them) {
    // ffmpeg's ebur128 filter, which uses libebur128, on the passage alone.
    Folder folder;
    auto x = make(480000, 2, noise(3, 0.5));
    for (size_t i = 0; i < x.size() / 2; ++i) x[i] *= 0.1f;
    write(folder / "in.wav", x, 2);
    const MaterialPtr m = load_material(folder / "in.wav", 48000).value();
    const auto of_ffmpeg = [&](double from, double to) {
        const std::string report = output_of(fmt::format(
            "ffmpeg -hide_banner -nostats -ss {} -t {} -i '{}' -af ebur128 -f null - 2>&1 | grep 'I:' | tail -1", from,
            to - from, (folder / "in.wav").string()));
        return std::stod(report.substr(report.find("I:") + 2));
    };
    for (const auto& [from, to] : {std::pair(0.0, 5.0), std::pair(5.0, 10.0), std::pair(6.0, 9.0)})
        EXPECT_NEAR(*passage_lufs(m->hops.weighted, from, to), of_ffmpeg(from, to), 0.1) << from;
    EXPECT_FALSE(passage_lufs(m->hops.weighted, 20.0, 30.0));
    EXPECT_FALSE(passage_lufs(m->hops.weighted, 5.0, 4.0));
}

TEST(Match, is_of_the_whole_of_the_passage_or_as_it_plays_and_knows_the_peak_it_leads_to) {
    // 10 s: a click at full scale in soft noise, then noise that is 20 dB louder.
    Folder folder;
    auto x = make(480000, 2, noise(3, 0.5));
    for (size_t i = 0; i < x.size() / 2; ++i) x[i] *= 0.1f;
    x[96000] = x[96001] = 0.9f;
    write(folder / "in.wav", x, 2);
    const MaterialPtr m = load_material(folder / "in.wav", 48000).value();
    const std::vector<float> peaks = true_peak_hops(*m).value();
    // The highest of them is the whole's; those of the parts are what the parts alone have.
    ASSERT_EQ(peaks.size(), 100u);
    EXPECT_NEAR(db_from_gain(static_cast<double>(*std::max_element(peaks.begin(), peaks.end()))),
                *m->measurement.true_peak_dbtp, 1e-4);
    EXPECT_LT(peaks[0], 0.1f);
    EXPECT_GE(peaks[10], 0.9f);
    const std::vector<double> mix(100, 2.0);  // the same power all the time
    const Level mix_lufs = integrated_lufs(mix);
    Recording r;
    r.passages = {{"", 3.0, 5.0, 6.0, 8.0}};
    const auto at = [&](MatchBy by, double song_s) {
        return match_at({mix_lufs, mix}, r, *m, peaks, by, song_s).value();
    };
    const Match whole = at(MatchBy::whole, 7.0);
    EXPECT_NEAR(whole.gain_db, *mix_lufs - *m->measurement.integrated_lufs, 1e-9);
    EXPECT_NEAR(whole.lower_db(), -(whole.gain_db + *m->measurement.true_peak_dbtp), 1e-9);
    EXPECT_LT(whole.lower_db(), 0.0);
    // Where nothing is tied, and where there are no 3 s yet, the whole counts.
    EXPECT_EQ(at(MatchBy::passage, 1.0).gain_db, whole.gain_db);
    EXPECT_EQ(at(MatchBy::short_term, 1.0).gain_db, whole.gain_db);
    const Match tied = at(MatchBy::passage, 7.0);
    EXPECT_NEAR(tied.gain_db, *mix_lufs - *passage_lufs(m->hops.weighted, 3.0, 5.0), 1e-9);
    EXPECT_NEAR(tied.true_peak_dbtp,
                db_from_gain(static_cast<double>(*std::max_element(peaks.begin() + 30, peaks.begin() + 50))), 1e-9)
        << "the click is elsewhere";
    r.passages.clear();
    const Match now = at(MatchBy::short_term, 9.0);
    EXPECT_NEAR(now.gain_db, *mix_lufs - *short_term_lufs(m->hops.weighted, 9.0), 1e-9);
    EXPECT_EQ(Match{}.lower_db(), 0.0);
    EXPECT_FALSE(match_at({std::nullopt, mix}, r, *m, peaks, MatchBy::whole, 0.0)) << "a silent mix";
}

TEST(ShortTerm, is_the_three_seconds_before) {
    // EBU Tech 3341: a stereo sine of 1 kHz at -23 dBFS reads -23 LUFS.
    Folder folder;
    write(folder / "in.wav", make(480000, 2, sine(1000, 48000, std::pow(10.0, -23.0 / 20.0))), 2);
    const auto hops = load_material(folder / "in.wav", 48000).value()->hops.weighted;
    EXPECT_NEAR(short_term_lufs(hops, 5.0).value_or(0.0), -23.0, 0.1);
    EXPECT_FALSE(short_term_lufs(hops, 2.9)) << "three seconds are not full";
    EXPECT_FALSE(short_term_lufs(hops, 11.0)) << "beyond its end";
    EXPECT_FALSE(short_term_lufs(hops, -1.0) || short_term_lufs(std::vector<double>(50, 0.0), 4.0));
    const auto series = short_term_series_lufs(hops);
    ASSERT_EQ(series.size(), hops.size());
    EXPECT_EQ(series[49], short_term_lufs(hops, 5.0));
    EXPECT_FALSE(series[28]);
}

TEST(Changes, are_told_in_words_row_by_row) {
    Session then = with_new_bus(with_files({}, {"/a/Kick.wav", "/a/Voice.wav", "/a/Pad.wav"}), "Hall", {}, {});
    const TrackId kick = then.tracks[0]->id, voice = then.tracks[1]->id, pad = then.tracks[2]->id;
    const TrackId hall = then.buses[0].id;
    then = with_track(then, voice, [&](Track& t) {
        t.fader_db = -7.5;
        t.chain = {processor("compressor", {{"threshold_dbfs", -20.0}})};
        t.sends = {{1, hall, -12.0}};
    });
    EXPECT_TRUE(changes_between(then, then).empty());
    Session now = with_track(then, voice, [](Track& t) {
        t.fader_db = -6.0;
        t.pan = -0.34;
        t.chain[0].in = false;
        set_value(t.chain[0], *parameter_of(t.chain[0], "threshold_dbfs"), -24.0);
        t.chain.push_back(processor("low_cut", {{"hz", 90.0}}, 2));
        t.sends[0].level_db = -9.0;
        t.name = "Lead";
        t.note = "another name is no change";
    });
    now = with_ride(now, kick, Parameter::level, Curve{{{1.0, 2.0}}});
    now = without_tracks(now, {pad});
    now = with_files(now, {"/a/New.wav"});
    now.main_fader_db = -1.0;
    const auto all = changes_between(then, now);
    EXPECT_THAT(words_on(all, voice), ElementsAre("fader −6.0 dB, was −7.5 dB", "pan L 34, was C", "comp bypassed",
                                                  "comp: threshold −24.0 dBFS, was −20.0 dBFS", "low cut added",
                                                  "send to Hall −9.0 dB, was −12.0 dB"));
    EXPECT_THAT(words_on(all, kick), ElementsAre("ride of level added"));
    EXPECT_THAT(words_on(all, pad), ElementsAre("removed"));
    EXPECT_THAT(words_on(all, now.tracks.back()->id), ElementsAre("added"));
    EXPECT_THAT(words_on(all, main_output), ElementsAre("main fader −1.0 dB, was 0.0 dB"));
    EXPECT_EQ(all.size(), 5u) << "and nothing else";

    // Row by row back, in any order, nothing is left.
    Session back = now;
    std::vector<TrackId> rows;
    for (const RowChange& c : all) rows.push_back(c.row);
    std::reverse(rows.begin(), rows.end());
    for (const TrackId row : rows) back = taken_back(back, then, row);
    EXPECT_TRUE(changes_between(then, back).empty());
    EXPECT_EQ(back.find(voice)->name, "Lead") << "names stay as they are";
    EXPECT_EQ(back.tracks[2]->id, pad) << "where it was";
    EXPECT_TRUE(validate(back));
    // A row that led to what is gone leads past it.
    const Session alone = taken_back(without_bus_or_group(now, hall), then, voice);
    EXPECT_TRUE(alone.find(voice)->sends.empty());
    EXPECT_TRUE(validate(alone));
}

TEST(Changes, taken_back_as_a_whole_give_the_old_render_to_the_bit) {
    Folder folder;
    std::vector<fs::path> files;
    for (uint32_t n = 0; n < 3; ++n)
        files.push_back(
            write(folder / fmt::format("{}.wav", n), make(48000, n == 0 ? 1 : 2, noise(n + 1, 0.2)), n == 0 ? 1 : 2));
    Shaped mix(files);
    const TrackId first = mix.session.tracks[0]->id, second = mix.session.tracks[1]->id;
    mix.session = with_track(mix.session, first, [](Track& t) {
        t.fader_db = -4.0;
        t.chain = {processor("compressor", {{"threshold_dbfs", -30.0}, {"ratio", 4.0}})};
    });
    mix.session = with_ride(mix.session, second, Parameter::level, Curve{{{0.1, -3.0}, {0.8, 2.0}}});
    ASSERT_TRUE(write_session(mix.session, folder / "then.isotonus"));
    const auto before = rendered(mix.shaped_plan(), 512);
    Session now = with_track(mix.session, first, [](Track& t) { t.fader_db = 1.0, t.chain.clear(); });
    now = without_tracks(now, {second});
    now = with_track(now, first, [](Track& t) { t.note = "close, dry", t.anchor = true, t.colour_index = 5; });
    now.notes = {{1.0, "kept", "", "", false}};
    now.main_fader_db = -3.0;
    mix.session = all_taken_back(now, read_session(folder / "then.isotonus").value());
    EXPECT_EQ(rendered(mix.shaped_plan(), 512), before);
    EXPECT_EQ(mix.session.notes.size(), 1u);
    EXPECT_EQ(mix.session.find(first)->note, "close, dry");
    EXPECT_TRUE(mix.session.find(first)->anchor && mix.session.find(first)->colour_index == 5);
    // The same by rows.
    mix.session = now;
    for (const RowChange& c : changes_between(read_session(folder / "then.isotonus").value(), now))
        mix.session = taken_back(mix.session, read_session(folder / "then.isotonus").value(), c.row);
    EXPECT_EQ(rendered(mix.shaped_plan(), 512), before);
}

TEST(Blind, chance_is_the_binomial_tail) {
    // Closed forms: 8 of 8 at one half is 1 / 256; 7 or more of 8 is (8 + 1) / 256; 3 of 3 at a third is 1 / 27.
    EXPECT_NEAR(chance_of(8, 8, 2), 1.0 / 256.0, 1e-12);
    EXPECT_NEAR(chance_of(7, 8, 2), 9.0 / 256.0, 1e-12);
    EXPECT_NEAR(chance_of(3, 3, 3), 1.0 / 27.0, 1e-12);
    EXPECT_EQ(chance_of(0, 8, 2), 1.0);
    EXPECT_NEAR(chance_of_most({7, 1}), 18.0 / 256.0, 1e-12) << "two-sided, since nobody said which beforehand";
    EXPECT_EQ(chance_of_most({4, 4}), 1.0);
    EXPECT_EQ(chance_of_most({}), 1.0);
    const std::string scipy =
        output_of("/usr/bin/python3 -c 'from scipy.stats import binom; print(binom.sf(11, 20, 1/3))'");
    EXPECT_NEAR(chance_of(12, 20, 3), std::stod(scipy), 1e-10);
}

TEST(Blind, rounds_are_shuffled_and_count_what_stands_under_the_letter) {
    BlindRounds rounds(3, 200, 7);
    std::array<int, 3> first{};
    while (!rounds.finished()) {
        ++first[rounds.under(0)];
        std::vector<size_t> there{rounds.under(0), rounds.under(1), rounds.under(2)};
        std::sort(there.begin(), there.end());
        EXPECT_THAT(there, ElementsAre(0u, 1u, 2u));
        for (size_t letter = 0; letter < 3; ++letter)
            if (rounds.under(letter) == 1) {
                rounds.choose(letter);
                break;
            }
    }
    EXPECT_THAT(rounds.chosen(), ElementsAre(0, 200, 0));
    for (const int n : first) EXPECT_GT(n, 40) << "each stands under A about as often";
    rounds.choose(0);
    EXPECT_EQ(rounds.round(), 200) << "it is over";
}

TEST(Widths, are_of_sides_and_middle) {
    Folder folder;
    const auto figures = [&](const Wave& wave) {
        write(folder / "in.wav", make(96000, 2, wave), 2);
        return third_octaves_of(*load_material(folder / "in.wav", 48000).value(), 0.0, 1.9).value();
    };
    const ThirdOctaves same = figures([](int64_t i, int) { return noise(1, 0.4)(i, 0); });
    EXPECT_NEAR(*agreement(same, 0, third_octaves - 1), 1.0, 1e-6);
    EXPECT_NEAR(*sides_over_middle_db(same, 10, 20), -60.0, 1.0);
    const ThirdOctaves apart = figures(noise(1, 0.4));
    EXPECT_NEAR(*agreement(apart, 10, 29), 0.0, 0.05);
    EXPECT_NEAR(*sides_over_middle_db(apart, 10, 29), 0.0, 0.5) << "two noises: sides as strong as the middle";
    const ThirdOctaves against = figures([](int64_t i, int c) { return (c == 0 ? 1.0 : -1.0) * noise(1, 0.4)(i, 0); });
    EXPECT_NEAR(*agreement(against, 0, 29), -1.0, 1e-6);
    // Its side is half as strong as its middle: -6.02 dB.
    const ThirdOctaves half = figures([](int64_t i, int c) {
        const double m = noise(1, 0.3)(i, 0), s = 0.5 * noise(2, 0.3)(i, 0);
        return c == 0 ? m + s : m - s;
    });
    EXPECT_NEAR(*sides_over_middle_db(half, 8, 29), -6.02, 0.3);
    EXPECT_FALSE(agreement(ThirdOctaves{}, 0, 29));
    EXPECT_EQ(third_octave_hz(last_band_below(120.0)), third_octave_hz(6)) << "100 Hz";
}

TEST(Makers, of_a_band_are_the_rows_that_sound_there) {
    Folder folder;
    Mix mix({write(folder / "low.wav", make(96000, 1, sine(100, 48000, 0.5)), 1),
             write(folder / "both.wav",
                   make(96000, 2,
                        [](int64_t i, int) { return sine(100, 48000, 0.25)(i, 0) + sine(3000, 48000, 0.5)(i, 0); }),
                   2),
             write(folder / "muted.wav", make(96000, 2, sine(100, 48000, 0.9)), 2)});
    const TrackId low = mix.session.tracks[0]->id, both = mix.session.tracks[1]->id;
    mix.session = with_track(mix.session, mix.session.tracks[2]->id, [](Track& t) { t.mute = true; });
    std::map<MaterialPtr, LongTermSpectrum> spectra;
    const auto of = [&](const MaterialPtr& m) -> const LongTermSpectrum* {
        auto reader = m->open().value();
        SpectrumMeter meter(m->channels(), m->rate());
        std::vector<float> x(static_cast<size_t>(m->frames() * m->channels()));
        EXPECT_TRUE(reader->read(0, m->frames(), x.data()));
        meter.add(x.data(), m->frames());
        return &(spectra[m] = meter.finish());
    };
    const auto shares = [&](double from, double to) {
        std::map<TrackId, double> found;
        for (const BandMaker& maker : makers_of(*mix.plan(), from, to, of)) found[maker.row] = maker.share;
        return found;
    };
    // A mono row of 0.5 in the centre (constant power: 0.707 on both sides) has a mean power of 0.125 / 2 there, the
    // stereo one of 0.25 has 0.03125: two thirds and one third.
    auto found = shares(89.0, 112.0);
    EXPECT_EQ(found.size(), 2u) << "what is muted makes nothing";
    EXPECT_NEAR(found[low], 2.0 / 3.0, 0.01);
    EXPECT_NEAR(shares(2800.0, 3600.0)[both], 1.0, 0.01);
    mix.session = with_track(mix.session, low, [](Track& t) { t.fader_db = -20.0; });
    EXPECT_NEAR(shares(89.0, 112.0)[low], 0.02 / 1.02, 0.005);
    // A ride that takes it away in half of its time takes half of its power.
    mix.session = with_track(mix.session, low, [](Track& t) { t.fader_db = 0.0; });
    mix.session =
        with_ride(mix.session, low, Parameter::level, Curve{{{0.0, 0.0, Segment::step}, {1.0, -60.0, Segment::step}}});
    EXPECT_NEAR(shares(89.0, 112.0)[low], 0.5, 0.02);
}

TEST(Correction, is_read_from_lines_and_refused_with_the_line) {
    Folder folder;
    const auto read = [&](const std::string& text) {
        std::ofstream(folder / "room.csv") << text;
        return read_correction(folder / "room.csv");
    };
    const CorrectionCurve curve =
        read("frequency, dB\n# measured\n20, -3\n100;+1.5\r\n\n1000\t0\n16000 -2.5\n").value();
    EXPECT_EQ(curve.name, "room");
    EXPECT_EQ(curve.points.size(), 4u);
    EXPECT_EQ(curve.db_at(10.0), -3.0);
    EXPECT_EQ(curve.db_at(100.0), 1.5);
    EXPECT_NEAR(curve.db_at(std::sqrt(100.0 * 1000.0)), 0.75, 1e-12) << "halfway in octaves";
    EXPECT_EQ(curve.db_at(20000.0), -2.5);
    EXPECT_THAT(read("20, 1\n100\n").error().text(), HasSubstr("room.csv: line 2"));
    EXPECT_THAT(read("20, 1\n20, 2\n").error().text(), HasSubstr("higher than the one before"));
    EXPECT_THAT(read("20, 99\n").error().text(), HasSubstr("to +24 dB"));
    EXPECT_THAT(read("20, nan\n").error().text(), HasSubstr("line 1"));
    EXPECT_THAT(read("1e9, 1\n").error().text(), HasSubstr("40,000"));
    EXPECT_THAT(read("only words\n").error().text(), HasSubstr("no line"));
    EXPECT_THAT(read_correction(folder / "none.csv").error().text(), HasSubstr("none.csv"));
}

TEST(Correction, gives_the_curve_on_the_monitor_path) {
    const CorrectionCurve curve{"room", {{25, 4}, {60, -6}, {120, 3}, {500, 0}, {2000, -2}, {8000, 5}, {16000, -4}}};
    for (const double rate : {44100.0, 48000.0, 96000.0}) {
        const auto sections = correction_sections(curve, rate);
        for (int n = 14; n <= 42; ++n) {  // the third octaves, 25 Hz to 16 kHz
            const double hz = std::pow(10.0, n / 10.0);
            EXPECT_NEAR(response_db(sections, hz, rate), curve.db_at(hz), 0.1) << hz << " Hz at " << rate;
            const double between = hz * std::pow(10.0, 0.05);
            if (hz < 9000.0) {  // above, bells narrow towards half the rate
                EXPECT_NEAR(response_db(sections, between, rate), curve.db_at(between), 1.0) << between;
            }
        }
    }
    // A sine through the path itself.
    MonitorSettings with;
    with.correction = std::make_shared<const CorrectionCurve>(curve);
    MonitorPath path(with, 48000.0);
    auto x = make(48000, 2, sine(2000, 48000, 0.25));
    for (int at = 0; at < 48000; at += 480) path.process(x.data() + 2 * at, 480, nullptr);
    EXPECT_NEAR(rms_db(x, 2, 0, 24000, 48000), 20.0 * std::log10(0.25) - 2.0, 0.15);
    EXPECT_TRUE(correction_sections({"flat", {{1000, 0}}}, 48000.0).empty()) << "what does nothing costs nothing";
}
