// Headroom, loss in mono, audibility: by closed forms and by material with answers known from how it was made.
#include "core/balance/headroom.h"

#include "core/balance/audibility.h"
#include "core/balance/mono_loss.h"
#include "core/balance/track_draft.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

MaterialPtr loaded(const Track& t) { return load_material(source_of(t), 48000).value(); }

Wave impulses(std::vector<std::pair<int64_t, double>> at) {
    return [at = std::move(at)](int64_t i, int) {
        for (const auto& [frame, value] : at)
            if (i == frame) return value;
        return 0.0;
    };
}

}  // namespace

// --- headroom -------------------------------------------------------------------------------------------------------

// A song often reaches the same highest sample in every chorus.  Where one is sent to look is the first of them.
TEST(MixPeaks, of_several_places_as_high_tell_the_first) {
    Folder folder;
    for (const int workers : {1, 2}) {
        std::vector<std::pair<int64_t, double>> at;
        for (const int64_t frame : {190000, 777, 50000, 120000}) at.emplace_back(frame, 0.5);
        const Mix mix({write(folder / "a.wav", make(200000, 1, impulses(at)), 1)});
        MixPeaks peaks(workers);
        const auto peak = peaks.find(mix.plan());
        ASSERT_TRUE(peak);
        EXPECT_EQ(peak->frame, 777);
    }
}

TEST(Headroom, contributions_are_the_samples_at_the_peak) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(200000, 1, impulses({{1000, 0.5}, {100000, 0.3}})), 1),
             write(folder / "b.wav", make(200000, 1, impulses({{1000, 0.4}, {100000, 0.5}})), 1),
             write(folder / "c.wav", make(200000, 1, impulses({{1000, -0.1}})), 1)});
    mix.session.pan_law = PanLaw::balance;
    const PlanPtr plan = mix.plan();
    MixPeaks peaks;
    ASSERT_TRUE(peaks.settle(plan));
    const auto moments = moments_of(plan, peaks.worst_moments(2, 48000)).value();
    ASSERT_EQ(moments.size(), 2u);
    EXPECT_EQ(moments[0].frame, 1000);
    EXPECT_NEAR(moments[0].peak_dbfs, 20 * std::log10(0.8), 1e-4);
    const auto& c = moments[0].contributions;
    ASSERT_EQ(c.size(), 3u);
    EXPECT_EQ(c[0].id, 1u);
    EXPECT_NEAR(c[0].makes_db, 20 * std::log10(0.8 / 0.3), 1e-3);
    EXPECT_NEAR(c[1].makes_db, 20 * std::log10(0.8 / 0.4), 1e-3);
    EXPECT_NEAR(c[2].makes_db, 20 * std::log10(0.8 / 0.9), 1e-3);  // it cancels: without it the peak were higher
    EXPECT_NEAR(*c[2].alone_dbfs, -20.0, 1e-3);
    EXPECT_EQ(moments[1].contributions[0].id, 2u);
    // After the main fader all of them are lower by as much, and what each makes of the sum is the same.
    mix.session.main_fader_db = -6.0;
    const auto lower = moments_of(mix.plan(), {{0.4f, 1000}}).value();
    EXPECT_NEAR(lower[0].peak_dbfs, 20 * std::log10(0.8) - 6.0, 1e-4);
    EXPECT_NEAR(*lower[0].contributions[0].alone_dbfs, 20 * std::log10(0.5) - 6.0, 1e-4);
    EXPECT_NEAR(lower[0].contributions[0].makes_db, 20 * std::log10(0.8 / 0.3), 1e-3);
}

TEST(Headroom, every_proposal_gives_the_peak_it_promises) {
    Folder folder;
    std::vector<fs::path> files;
    for (uint32_t n = 0; n < 5; ++n)
        files.push_back(
            write(folder / (std::to_string(n) + ".wav"), make(100000, 1, noise(n, n == 0 ? 0.7 : 0.06)), 1));
    Mix mix(files);
    mix.change(1, [](Track& t) { t.anchor = true; });
    mix.change(4, [](Track& t) { t.fader_db = silence_db; });
    const MaterialOf material = loaded;
    MixPeaks peaks;
    const HeadroomPlan plan = headroom_plan(mix.session, material, -6.0, peaks).value();
    ASSERT_GT(*plan.peak_dbfs, -6.0);
    ASSERT_EQ(plan.proposals.size(), 3u);
    for (const Proposal& p : plan.proposals) {
        EXPECT_TRUE(p.reaches);
        const auto again = whole_song_peak(compile_plan(with_proposal(mix.session, p), material)).value();
        EXPECT_EQ(level_from_gain(static_cast<double>(again.peak)), p.peak_dbfs);
        EXPECT_LE(*p.peak_dbfs, -6.0);
        EXPECT_GT(*p.peak_dbfs, -6.2);  // no more than needed
        for (const auto& [id, fader] : p.faders) EXPECT_EQ(fader, -p.by_db);
        for (const auto& [id, fader] : p.faders) EXPECT_NE(id, 5u);  // what is off stays off
    }
    EXPECT_EQ(plan.proposals[0].faders.size(), 4u);
    EXPECT_EQ(plan.proposals[0].balance_change_db, 0.0);
    EXPECT_NEAR(plan.proposals[0].by_db, *plan.peak_dbfs + 6.0, 0.001);
    EXPECT_EQ(plan.proposals[1].faders.size(), 1u);  // the loud one alone does it
    EXPECT_EQ(plan.proposals[1].faders[0].first, 1u);
    EXPECT_EQ(plan.proposals[1].balance_change_db, plan.proposals[1].by_db);
    for (const auto& [id, fader] : plan.proposals[2].faders) EXPECT_NE(id, 2u);
    // In its window there is nothing to propose.
    const Session done = with_proposal(mix.session, plan.proposals[0]);
    EXPECT_TRUE(headroom_plan(done, material, -6.0, peaks).value().proposals.empty());
}

TEST(Headroom, says_when_the_anchors_alone_are_too_loud) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(50000, 1, noise(1, 1.0)), 1),
             write(folder / "b.wav", make(50000, 1, noise(2, 0.1)), 1)});
    mix.change(0, [](Track& t) { t.anchor = true, t.fader_db = 3.0; });
    MixPeaks peaks;
    const HeadroomPlan plan = headroom_plan(mix.session, loaded, -6.0, peaks).value();
    // What does not reach the window, or takes more than 6 dB from one track, is not proposed.
    ASSERT_EQ(plan.proposals.size(), 1u);
    EXPECT_EQ(plan.proposals[0].way, Remake::all_down);
    EXPECT_TRUE(plan.proposals[0].reaches);
}

// --- mono -----------------------------------------------------------------------------------------------------------

TEST(MonoLoss, closed_forms) {
    EXPECT_DOUBLE_EQ(mono_loss_db(1, 1, 1), 0.0);
    EXPECT_NEAR(mono_loss_db(1, 1, 0), -3.0103, 1e-4);
    EXPECT_NEAR(mono_loss_db(1, 0, 0), -3.0103, 1e-4);
    EXPECT_TRUE(std::isinf(mono_loss_db(1, 1, -1)));
    EXPECT_NEAR(mono_loss_db(1, 1, -0.5), -6.0206, 1e-4);
}

TEST(MonoLoss, of_tracks_is_what_summing_their_renders_gives) {
    Folder folder;
    const Wave a = noise(1, 0.2), b = noise(2, 0.2), both = noise(3, 0.2);
    Mix mix({write(folder / "wide.wav",
                   make(60000, 2,
                        [&](int64_t i, int c) { return c == 0 ? a(i, 0) + both(i, 0) : b(i, 0) - 0.7 * both(i, 0); }),
                   2),
             write(folder / "mono.wav", make(60000, 1, noise(4, 0.2)), 1),
             write(folder / "same.wav", make(60000, 2, [&](int64_t i, int) { return a(i, 0); }), 2)});
    mix.change(0, [](Track& t) { t.pan = 0.3, t.width = 1.4; });
    mix.change(1, [](Track& t) { t.pan = -1.0; });
    const auto compare = [&](double within_db) {
        const PlanPtr plan = mix.plan();
        const auto losses = mono_losses(*plan);
        ASSERT_EQ(losses.size(), 3u);
        for (const MonoLoss& loss : losses) {
            const PlanPtr one = plan_of_tracks(*plan, {loss.id});
            double mono = 0.0, sides = 0.0;
            ASSERT_TRUE(render_stretch(one, {0, one->frames}, 4096, [&](std::span<const float> x) {
                for (size_t i = 0; i < x.size(); i += 2) {
                    const double l = static_cast<double>(x[i]), r = static_cast<double>(x[i + 1]);
                    mono += (l + r) * (l + r) / 4.0;
                    sides += (l * l + r * r) / 2.0;
                }
                return Result<void>{};
            }));
            EXPECT_NEAR(loss.loss_db, 10.0 * std::log10(mono / sides), within_db) << loss.id;
        }
    };
    compare(0.02);
    EXPECT_EQ(mono_losses(*mix.plan()).front().id, 1u);
    // Pan, width and level ride: each moment counts by its power.
    mix.session = with_ride(mix.session, mix.id(1), Parameter::pan, {{{0.4, -1.0}, {1.2, 0.6}}});
    mix.session = with_ride(mix.session, mix.id(1), Parameter::level, {{{0.2, 0.0}, {1.0, -12.0}}});
    mix.session = with_ride(mix.session, mix.id(0), Parameter::width, {{{0.0, 1.0}, {1.5, 0.2}}});
    mix.session = with_ride(mix.session, mix.id(2), Parameter::pan, {{{0.5, 0.0}, {1.0, 1.0}}});
    compare(0.3);  // hops of 0.1 s
}

// --- audibility -----------------------------------------------------------------------------------------------------

TEST(Auditory, bandwidths_are_those_of_the_formula) {
    // Glasberg and Moore, 1990: ERB = 24.7 (4.37 f/kHz + 1).  Worked out by hand.
    EXPECT_NEAR(erb_hz(100), 35.494, 0.001);
    EXPECT_NEAR(erb_hz(1000), 132.639, 0.001);
    EXPECT_NEAR(erb_hz(10000), 1104.09, 0.01);
    EXPECT_NEAR(erb_number(1000), 15.62, 0.01);
    for (const double hz : {50.0, 440.0, 1000.0, 9000.0}) {
        EXPECT_NEAR(hz_of_erb_number(erb_number(hz)), hz, 1e-6);
        // The number grows by 1 over one bandwidth.
        EXPECT_NEAR(erb_number(hz + erb_hz(hz) / 2) - erb_number(hz - erb_hz(hz) / 2), 1.0, 0.02);
    }
    EXPECT_EQ(hearing_threshold_db_spl(1000), 2.4);  // ISO 226, from memory
    EXPECT_NEAR(hearing_threshold_db_spl(3150), -6.0, 1e-9);
    EXPECT_GT(hearing_threshold_db_spl(50), 40.0);
}

namespace {

struct Sounds {
    Folder folder;
    std::map<MaterialPtr, ExcitationPtr> known;
    ExcitationPtr of(const MaterialPtr& m) {
        ExcitationPtr& e = known[m];
        if (!e) e = excitation_of(*m).value();
        return e;
    }
    ExcitationOf all() {
        return [this](const MaterialPtr& m) { return of(m); };
    }
    /// Noise of many sines inside one band, with this power together (mean square).
    Wave band_noise(double hz, double power) {
        return [=](int64_t i, int) {
            double sum = 0.0;
            for (int k = -12; k <= 12; ++k) {
                const double f = hz + k * erb_hz(hz) / 30.0;
                sum += std::sin(2.0 * std::numbers::pi * f * static_cast<double>(i) / 48000.0 + k * k * 1.7);
            }
            return sum * std::sqrt(power / 12.5);
        };
    }
};

}  // namespace

TEST(Excitation, has_the_power_of_a_tone_in_its_band_and_falls_off_beside_it) {
    Sounds sounds;
    const double hz = band_middle_hz(15);
    Mix mix({write(sounds.folder / "t.wav", make(81920, 1, sine(hz, 48000, 0.5)), 1),
             write(sounds.folder / "s.wav",
                   make(81920, 2, [&](int64_t i, int c) { return (c == 0 ? 1.0 : -0.5) * sine(hz, 48000, 0.5)(i, 0); }),
                   2)});
    const PlanPtr plan = mix.plan();
    const auto mono = sounds.of(plan->tracks[0].material), stereo = sounds.of(plan->tracks[1].material);
    const Excitation::Hop& h = mono->hops[3];
    EXPECT_NEAR(10 * std::log10(h.left[15]), 10 * std::log10(0.125), 0.1);  // 0.5^2 / 2
    EXPECT_NEAR(10 * std::log10(h.left[16] / h.left[15]), -10.4, 1.0);      // W at one ERB: 5 exp(-4)
    EXPECT_LT(h.left[20], h.left[15] * 1e-6f);
    const Excitation::Hop& s = stereo->hops[3];
    EXPECT_NEAR(s.left[15], 0.125, 0.003);
    EXPECT_NEAR(s.right[15], 0.125 / 4, 0.001);
    EXPECT_NEAR(s.product[15], -0.125 / 2, 0.002);
}

TEST(Audibility, of_a_tone_in_noise_turns_at_the_masked_threshold) {
    // One tone and noise in its own band, at known signal-to-masker ratios.  Just heard at -3 dB from 1 kHz on.
    for (const size_t band : {15u, 22u, 28u}) {
        const double hz = band_middle_hz(band);
        for (const double ratio_db : {-8.0, -4.5, -1.5, 3.0}) {
            Sounds sounds;
            const double noise_power = 0.01, tone_power = noise_power * std::pow(10.0, ratio_db / 10.0);
            Mix mix({write(sounds.folder / "t.wav", make(163840, 1, sine(hz, 48000, std::sqrt(2 * tone_power))), 1),
                     write(sounds.folder / "n.wav", make(163840, 1, sounds.band_noise(hz, noise_power)), 1)});
            const auto found = audibility(*mix.plan(), sounds.all(), {});
            ASSERT_EQ(found.size(), 2u);
            const double threshold = masked_threshold_db(hz);
            const double own_band = *found[0].share;  // the tone's skirts lie in the noise's skirts, at the same ratio
            if (ratio_db > threshold + 1.0)
                EXPECT_GT(own_band, 0.8) << hz << " " << ratio_db;
            else
                EXPECT_LT(own_band, 0.2) << hz << " " << ratio_db;
        }
    }
}

TEST(Audibility, noise_far_away_in_frequency_covers_nothing) {
    Sounds sounds;
    Mix mix({write(sounds.folder / "t.wav", make(81920, 1, sine(band_middle_hz(10), 48000, 0.01)), 1),
             write(sounds.folder / "n.wav", make(81920, 1, sounds.band_noise(band_middle_hz(30), 0.02)), 1)});
    const auto found = audibility(*mix.plan(), sounds.all(), {});
    EXPECT_EQ(*found[0].share, 1.0);
    EXPECT_EQ(*found[1].share, 1.0);
}

TEST(Audibility, counts_bands_down_to_25_dB_below_a_tracks_strongest) {
    // Two tones of one track, the second 12 or 35 dB below the first and covered by noise: of that at 12 dB half the
    // track is lost, that at 35 is no part of it.
    const double low = band_middle_hz(15), high = band_middle_hz(28);
    for (const double below_db : {12.0, 35.0}) {
        Sounds sounds;
        const auto track = [a = sine(low, 48000, 0.2), b = sine(high, 48000, 0.2 * gain_from_db(-below_db))](
                               int64_t i, int c) { return a(i, c) + b(i, c); };
        Mix mix({write(sounds.folder / "t.wav", make(163840, 1, track), 1),
                 write(sounds.folder / "n.wav", make(163840, 1, sounds.band_noise(high, 0.1)), 1)});
        const double share = *audibility(*mix.plan(), sounds.all(), {})[0].share;
        if (below_db < 25.0)
            EXPECT_LT(share, 0.8);
        else
            EXPECT_EQ(share, 1.0);
    }
}

TEST(Audibility, ends_at_the_threshold_of_hearing) {
    // A tone of -60 dBFS at 1 kHz where -18 dBFS is 75 dB SPL: 33 dB SPL, heard; 30 dB lower it lies at 3 dB SPL
    // against 2.4: just.  At 100 Hz (26.5 dB SPL) it is gone.
    Sounds sounds;
    const double peak = gain_from_db(-60.0 + 3.0103 + 3.0103);  // panned to the centre: -3 dB; mean of the sides
    Mix mix({write(sounds.folder / "a.wav", make(81920, 1, sine(1000, 48000, peak)), 1),
             write(sounds.folder / "b.wav", make(81920, 1, sine(120, 48000, peak)), 1)});
    mix.change(1, [](Track& t) { t.delay_samples = 81920; });  // one after the other
    const auto found = audibility(*mix.plan(), sounds.all(), {});
    EXPECT_EQ(*found[0].share, 1.0);
    EXPECT_GT(*found[0].quiet_share, 0.0);
    EXPECT_EQ(*found[1].share, 1.0);
    EXPECT_EQ(*found[1].quiet_share, 0.0);
}

TEST(Audibility, follows_faders_and_names_who_covers) {
    Sounds sounds;
    const double hz = band_middle_hz(18);
    Mix mix({write(sounds.folder / "t.wav", make(163840, 1, sine(hz, 48000, 0.02)), 1),
             write(sounds.folder / "n.wav",
                   make(163840, 1,
                        [&, w = sounds.band_noise(hz, 0.02)](int64_t i, int) { return i < 81920 ? w(i, 0) : 0.0; }),
                   1),
             write(sounds.folder / "m.wav", make(163840, 1, sounds.band_noise(hz, 0.00001)), 1)});
    const std::vector<int64_t> sections{0, 81920};
    auto found = audibility(*mix.plan(), sounds.all(), {}, sections);
    EXPECT_LT(*found[0].in_sections[0], 0.1);
    EXPECT_GT(*found[0].in_sections[1], 0.9);
    EXPECT_NEAR(*found[0].share, 0.5, 0.1);
    const auto covers = covered_by(*mix.plan(), 1, sounds.all(), {}, 0, 81920);
    ASSERT_FALSE(covers.empty());
    EXPECT_EQ(covers[0].id, 2u);
    EXPECT_GT(covers[0].share, 0.95);
    mix.change(1, [](Track& t) { t.fader_db = -40.0; });
    found = audibility(*mix.plan(), sounds.all(), {}, sections);
    EXPECT_GT(*found[0].in_sections[0], 0.9);
    mix.change(1, [](Track& t) { t.mute = true; });
    EXPECT_EQ(audibility(*mix.plan(), sounds.all(), {}).size(), 2u);
}

TEST(Bandwidth, of_a_tone_is_small_and_of_noise_large) {
    Sounds sounds;
    Mix mix({write(sounds.folder / "t.wav", make(81920, 1, sine(band_middle_hz(15), 48000, 0.5)), 1),
             write(sounds.folder / "n.wav", make(81920, 1, noise(1, 0.5)), 1),
             write(sounds.folder / "s.wav", make(81920, 1, [](int64_t, int) { return 0.0; }), 1)});
    const PlanPtr plan = mix.plan();
    const double tone = bandwidth_share(*sounds.of(plan->tracks[0].material)),
                 wide = bandwidth_share(*sounds.of(plan->tracks[1].material));
    EXPECT_LE(tone, 3.0 / band_count);  // its band and its neighbours at -10 dB
    EXPECT_GT(wide, 0.5);
    EXPECT_EQ(bandwidth_share(*sounds.of(plan->tracks[2].material)), 0.0);
}

TEST(Excitation, of_white_noise_grows_with_the_bandwidth) {
    // Equal power in every Hz: a band has its ERB's share of all, and what the filters' skirts bring from beside it.
    Sounds sounds;
    Mix mix({write(sounds.folder / "n.wav", make(819200, 1, noise(5, 0.5)), 1)});
    const auto e = sounds.of(mix.plan()->tracks[0].material);
    std::array<double, band_count> sum{};
    for (const Excitation::Hop& h : e->hops)
        for (size_t b = 0; b < band_count; ++b) sum[b] += static_cast<double>(h.left[b]) / 100.0;
    const double per_hz = 0.25 / 3.0 / 24000.0;  // uniform in ±0.5: mean square 1/12
    for (const size_t b : {12u, 18u, 24u, 30u}) {
        const double alone = per_hz * erb_hz(band_middle_hz(b));
        EXPECT_NEAR(db_from_power(sum[b] / alone), 0.8, 0.5) << b;  // 10 log10(1 + 2 * 5 exp(-4) + …) = 0.75
    }
}

TEST(Audibility, of_the_demo_says_what_its_list_of_faults_says) {
    // demosong/README.md: the held chords cover the voice; muted, more of it is heard.
    Sounds sounds;
    Mix mix(
        {demo_folder() / "13 Voice.wav", demo_folder() / "09 Held Chords.wav", demo_folder() / "01 Kick Close.wav"});
    const auto voice = [&] { return *audibility(*mix.plan(), sounds.all(), {})[0].share; };
    const double covered = voice();
    const auto covers = covered_by(*mix.plan(), mix.id(0), sounds.all(), {}, 0, 89 * 48000);
    ASSERT_FALSE(covers.empty());
    EXPECT_EQ(covers[0].id, mix.id(1));
    mix.change(1, [](Track& t) { t.mute = true; });
    EXPECT_GT(voice(), covered + 0.1);
}

// --- drafts of rides by what is heard -------------------------------------------------------------------------------

TEST(HeardDraft, follows_what_covers_the_track_dB_for_dB) {
    // Three phrases of one level under noise of three levels, 12 dB apart: what is needed follows the noise.
    Sounds sounds;
    const auto voice = [](int64_t i, int) {
        const double t = static_cast<double>(i) / 48000.0, in_phrase = std::fmod(t, 4.0);
        if (in_phrase < 0.5 || in_phrase > 3.0) return 0.0;
        double sum = 0.0;
        for (const size_t band : {12u, 16u, 20u, 24u, 28u})
            sum += std::sin(2.0 * std::numbers::pi * band_middle_hz(band) * t + static_cast<double>(band));
        return 0.1 * sum;
    };
    const auto hiss = [w = noise(9, 0.64)](int64_t i, int c) { return w(i, c) * std::pow(4.0, -(i / (4 * 48000))); };
    Mix mix({write(sounds.folder / "v.wav", make(12 * 48000, 1, voice), 1),
             write(sounds.folder / "n.wav", make(12 * 48000, 1, hiss), 1)});
    const auto shares = [&] {
        std::vector<double> found;
        const auto rows = audibility(*mix.plan(), sounds.all(), {}, {24000, 144000, 216000, 336000, 408000, 528000});
        for (const size_t phrase : {0u, 2u, 4u}) found.push_back(*rows[0].in_sections[phrase]);
        return found;
    };
    const auto before = shares();
    EXPECT_LT(before[0], 0.4);
    EXPECT_GT(before[2], 0.8);
    const TrackDraft draft(*mix.plan(), mix.id(0), DraftBy::heard,
                           margins_of(*mix.plan(), mix.id(0), sounds.all(), {}));
    DraftWish wish;
    wish.range_db = 0.0;
    wish.max_up_db = wish.max_down_db = 40.0;
    ASSERT_EQ(draft.phrases(wish, 0.8).size(), 3u);
    EXPECT_NEAR(*draft.middle(), before[1], 0.1);
    const Curve ride = draft.draft(0.8, wish);
    EXPECT_NEAR(ride.value_at(1.7) - ride.value_at(5.7), 12.04, 1.0);
    EXPECT_NEAR(ride.value_at(5.7) - ride.value_at(9.7), 12.04, 1.0);
    // The audibility of the ridden mix, computed afresh, has the wished share in every phrase; a little lower it does
    // not.
    const auto ride_by = [&](double lower_db) {
        mix.change(0, [&](Track& t) {
            t.rides.set(Parameter::level, std::make_shared<const Curve>(ride));
            t.fader_db = -lower_db;
        });
        return shares();
    };
    for (const double share : ride_by(-0.3)) EXPECT_GE(share, 0.76);
    for (const double share : ride_by(2.5)) EXPECT_LT(share, 0.8);
}

TEST(HeardDraft, of_the_demos_voice_evens_out_what_is_heard) {
    Sounds sounds;
    Mix mix({demo_folder() / "13 Voice.wav", demo_folder() / "09 Held Chords.wav", demo_folder() / "07 Bass.wav"});
    const PlanPtr plan = mix.plan();
    const Margins margins = margins_of(*plan, mix.id(0), sounds.all(), {});
    const TrackDraft draft(*plan, mix.id(0), DraftBy::heard, margins);
    const double wanted = *draft.middle();
    const Curve ride = draft.draft(wanted, {});
    EXPECT_LT(static_cast<double>(ride.points.size()), 3.0 * plan->duration_s());
    mix.change(0, [&](Track& t) { t.rides.set(Parameter::level, std::make_shared<const Curve>(ride)); });
    const Margins after = margins_of(*mix.plan(), mix.id(0), sounds.all(), {});
    double worst_before = 1.0, worst_after = 1.0;
    for (const Phrase& p : draft.phrases({}, wanted)) {
        const auto first = std::llround(p.from_s * 48000), end = std::llround(p.to_s * 48000);
        worst_before = std::min(worst_before, margins.share(first, end).value_or(1.0));
        worst_after = std::min(worst_after, after.share(first, end).value_or(1.0));
    }
    EXPECT_LT(worst_before, wanted - 0.1);
    EXPECT_GT(worst_after, wanted - 0.06);
    EXPECT_TRUE(margins_of(*mix.plan(), 999, sounds.all(), {}).over_db.empty());
}
