// Sends, returns, parallel buses and the main output's chain.
#include <gmock/gmock.h>

#include <fstream>
#include <nlohmann/json.hpp>

#include "core/balance/headroom.h"
#include "core/handoff/delivery.h"
#include "core/mix/mix_bound.h"
#include "core/mix/mix_peak.h"
#include "core/mix/sum_of_rows.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "core/session/validate.h"
#include "core/shape/chain_bound.h"
#include "tests/support/sending.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::HasSubstr;

TEST(Sends, and_their_rides_are_at_every_sample_what_numpy_makes_of_them) {
    Folder folder;
    Sending mix(folder);
    mix.change(0, [](Track& t) {
        t.fader_db = -3.0, t.pan = -0.5, t.trim_db = 2.0;
        t.rides.set(Parameter::level, ride({{0.1, 0.0}, {0.6, -6.0}}));
    });
    mix.change(1, [](Track& t) { t.fader_db = -8.0, t.trim_db = 1.5; });
    // A word is thrown; the other is sent before its fader, at a place of its own.
    mix.send(mix.id(0), mix.hall, [](Send& s) { s.level_db = -60.0; });
    mix.send(mix.id(1), mix.hall,
             [](Send& s) { s.level_db = -4.5, s.before_fader = true, s.own_pan = true, s.pan = 0.3; });
    mix.session = with_ride(mix.session, mix.id(0), *parameter_called(mix.session, mix.id(0), "send.Hall.level"),
                            Curve{{{0.2, -40.0}, {0.5, -3.0}, {0.7, -3.0}, {0.9, -40.0}}});
    mix.bus(mix.hall, [](Bus& b) { b.fader_db = -2.0; });
    ASSERT_TRUE(validate(mix.session)) << validate(mix.session).error().text();
    write(folder / "mix.wav", mix.now(), 2);
    std::ofstream(folder / "t.py") << R"(
import numpy, scipy.io.wavfile as w
one, two, mix = (w.read(f)[1].astype(float) for f in ('1.wav', '2.wav', 'mix.wav'))
n = len(mix)
one = numpy.concatenate([one, numpy.zeros(n - len(one))])
two = numpy.concatenate([two, numpy.zeros((n - len(two), 2))])
t = numpy.arange(n) / 48000
db = lambda x: 10 ** (x / 20)
pan = lambda p: numpy.array([numpy.cos((p + 1) * numpy.pi / 4), numpy.sin((p + 1) * numpy.pi / 4)])
after = (one * db(-3 + 2) * db(numpy.interp(t, [.1, .6], [0, -6])))[:, None] * pan(-.5)
thrown = after * db(numpy.interp(t, [.2, .5, .7, .9], [-40, -3, -3, -40]))[:, None]
sent = two * db(1.5 - 4.5) * numpy.array([numpy.cos(.3 * numpy.pi / 2), 1])
print(numpy.abs(after + two * db(-8 + 1.5) + db(-2) * (thrown + sent) - mix).max())
)";
    int status = 0;
    const std::string said = output_of("cd '" + folder.path().string() + "' && /usr/bin/python3 t.py", &status);
    ASSERT_EQ(status, 0) << said;
    EXPECT_LT(std::stod(said), 2e-6) << "level rides are lines within 32 samples";
}

TEST(Sends, leave_before_or_after_the_fader_and_mutes_and_solos_choose_what_is_heard) {
    Folder folder;
    Sending mix(folder);
    mix.change(1, [](Track& t) { t.mute = true; });
    mix.send(mix.id(0), mix.hall, [](Send&) {});
    const auto after = mix.now();
    // After the fader: what is pulled down is not heard in the return either, and no more when it is muted.
    mix.change(0, [](Track& t) { t.fader_db = silence_db; });
    EXPECT_EQ(peak_of(mix.now()), 0.0f);
    mix.change(0, [](Track& t) { t.fader_db = 0.0, t.mute = true; });
    EXPECT_EQ(peak_of(mix.now()), 0.0f);
    // Before it: the return hears it all the same.
    mix.send(mix.id(0), mix.hall, [](Send& s) { s.before_fader = true; });
    const auto before = mix.now();
    mix.change(0, [](Track& t) { t.fader_db = -30.0; });
    EXPECT_EQ(mix.now(), before);
    for (size_t i = 0; i < 1000; ++i) EXPECT_FLOAT_EQ(after[i], 2.0f * before[i]);
    mix.send(mix.id(0), mix.hall, [](Send& s) { s.in = false; });
    EXPECT_EQ(peak_of(mix.now()), 0.0f);
    mix.send(mix.id(0), mix.hall, [](Send& s) { s.in = true; });
    mix.bus(mix.hall, [](Bus& b) { b.mute = true; });
    EXPECT_EQ(peak_of(mix.now()), 0.0f);

    // For the ear a soloed return is heard alone, and a soloed track with what it sends.
    mix.bus(mix.hall, [](Bus& b) { b.mute = false, b.solo = true; });
    mix.change(0, [](Track& t) { t.mute = false, t.fader_db = 0.0; });
    mix.change(1, [](Track& t) { t.mute = false; });
    const auto heard = [&] {
        EXPECT_TRUE(mix.row_signals.make(mix.session, mix.file_of(), nullptr, 1, Solo::counts));
        return rendered(compile_plan(mix.session, mix.row_signals.played_by(mix.session, mix.file_of())), 4096);
    };
    EXPECT_EQ(heard(), before);
    mix.bus(mix.hall, [](Bus& b) { b.solo = false; });
    mix.change(0, [](Track& t) { t.solo = true; });
    for (size_t i = 0; i < 1000; ++i) EXPECT_FLOAT_EQ(heard()[i], 2.0f * before[i]);
    mix.change(0, [](Track& t) { t.solo = false; });
    mix.change(1, [](Track& t) { t.solo = true; });
    mix.session = without_send(mix.session, mix.id(0), 1);
    EXPECT_EQ(heard().size(), before.size());
}

TEST(Sends, in_parallel_add_no_delay_and_are_what_a_mix_in_place_is) {
    Folder folder;
    Sending mix(folder);
    // A copy through a chain that looks ahead and changes nothing cancels the row to nothing when it is turned over.
    mix.chain(mix.hall, {processor("compressor", {{"ratio", 1.0}, {"lookahead_ms", 10.0}}, 1),
                         processor("limiter", {{"ceiling_dbtp", 0.0}}, 2)});
    mix.change(1, [](Track& t) { t.mute = true; });
    mix.send(mix.id(0), mix.hall, [](Send&) {});
    const auto both = mix.now();
    mix.bus(mix.hall, [](Bus& b) { b.mute = true; });
    auto one = mix.now();
    for (float& x : one) x *= 2.0f;
    one.resize(both.size());
    EXPECT_LT(worst_difference(both, one), 1e-6);
    mix.bus(mix.hall, [](Bus& b) { b.mute = false; });

    // Half and half by a bus is half and half by the compressor's own mix.
    const auto squeezed = [](double share) {
        return Chain{processor("compressor", {{"threshold_dbfs", -30.0}, {"ratio", 8.0}, {"mix", share}})};
    };
    mix.chain(mix.hall, squeezed(100.0));
    const auto by_bus = mix.now();
    mix.session = without_bus_or_group(mix.session, mix.hall);
    EXPECT_TRUE(mix.session.tracks[0]->sends.empty()) << "what was sent to it goes with the bus";
    mix.chain(mix.id(0), squeezed(50.0));
    auto in_place = mix.now();
    // The copy is squeezed after the pan, 3 dB lower, and so by less: in the centre both sides are alike.
    mix.change(0, [](Track& t) { t.trim_db = db_from_gain(std::sqrt(0.5)); });
    in_place = mix.now();
    for (float& x : in_place) x *= 2.0f * static_cast<float>(std::sqrt(2.0));
    in_place.resize(by_bus.size());
    EXPECT_LT(worst_difference(by_bus, in_place), 1e-5);
}

TEST(Sends, give_the_same_bits_in_any_blocks_on_any_workers_and_the_peak_is_exact) {
    Folder folder;
    Sending mix(folder);
    TrackId echo = 0, drums = 0;
    mix.session = with_new_bus(mix.session, "Echo", std::nullopt, {}, &echo);
    mix.session = with_new_bus(mix.session, "Drums", std::nullopt, {mix.id(0)}, &drums);
    mix.send(mix.id(0), mix.hall, [](Send& s) { s.level_db = -6.0; });
    mix.send(mix.id(1), echo, [](Send& s) { s.before_fader = true; });
    mix.send(drums, mix.hall, [](Send& s) { s.level_db = -3.0, s.own_pan = true, s.pan = -0.7; });
    mix.send(echo, mix.hall, [](Send& s) { s.level_db = -9.0; });  // a return may send on
    mix.change(1, [](Track& t) { t.mono_below_hz = 120.0, t.width = 1.4; });
    std::mt19937 random(5);
    MixPeaks peaks(1);
    for (int round = 0; round < (sanitized ? 1 : 4); ++round) {
        for (const TrackId row : {mix.hall, echo, drums, main_output}) {
            auto [chain, rides] = random_chain(random, mix.id(1));
            if (row == mix.hall) chain.push_back(processor("duck", {{"depth_db", 9.0}}, 60)), chain.back().key = drums;
            mix.chain(row, chain);
            mix.session = with_rides(mix.session, row, [&rides = rides](Rides& r) {
                for (const auto& [parameter, curve] : rides.all()) r.set(parameter, curve);
            });
        }
        ASSERT_TRUE(validate(mix.session)) << validate(mix.session).error().text();
        const PlanPtr plan = mix.shaped_plan();
        EXPECT_TRUE(is_known(*plan));
        const auto one = rendered(plan, 4096);
        EXPECT_GT(peak_of(one), 0.0f);
        EXPECT_EQ(rendered(plan, 17), one);
        EXPECT_EQ(rendered(plan, 512, 4), one);
        EXPECT_EQ(peaks.find(plan).value().peak, peak_of(one)) << round;
        mix.change(0, [](Track& t) { t.fader_db -= 2.0; });
        const PlanPtr moved = mix.shaped_plan();
        EXPECT_EQ(peaks.find(moved).value().peak, peak_of(rendered(moved, 4096)));
    }
}

TEST(Sends, of_a_bus_without_a_chain_are_known_like_those_of_one_with_a_chain) {
    Folder folder;
    Sending mix(folder);
    TrackId drums = 0;
    mix.session = with_new_bus(mix.session, "Drums", std::nullopt, {mix.id(0)}, &drums);
    mix.chain(mix.hall, {processor("delay")});
    for (const Chain& chain : {Chain{}, Chain{processor("reverb")}}) {
        mix.chain(drums, chain);
        mix.session = with_chain(mix.session, drums, [](Chain& c) {
            for (Processor& p : c) p.in = false;
        });
        mix.send(drums, mix.hall, [](Send& s) { s.level_db = -3.0; });
        const PlanPtr plan = mix.shaped_plan();
        EXPECT_TRUE(is_known(*plan));
        EXPECT_EQ(rendered(plan, 17), rendered(plan, 4096, 2));
    }
}

TEST(Sends, swap_without_a_jump_while_they_are_played) {
    Folder folder;
    Sending mix(folder);
    mix.send(mix.id(0), mix.hall, [](Send&) {});
    const PlanPtr plan = mix.shaped_plan();
    mix.send(mix.id(0), mix.hall, [](Send& s) { s.level_db = -20.0; });
    const PlanPtr softer = mix.shaped_plan();
    auto reader = PlanReader::open(plan, false).value();
    Renderer before(plan), after(softer), still(softer);
    std::vector<float> out(2 * 4800), settled(2 * 4800);
    const auto inputs = reader.read(24000, 4800).value();
    after.take_over(before, 24000);
    after.process(24000, 4800, inputs, out.data());
    still.process(24000, 4800, inputs, settled.data());
    std::vector<float> old(2);
    before.process(24000, 1, inputs, old.data());
    EXPECT_NEAR(out[0], old[0], 1e-3) << "it begins where the other was";
    EXPECT_EQ(std::vector<float>(out.begin() + 2 * 480, out.end()),
              std::vector<float>(settled.begin() + 2 * 480, settled.end()))
        << "and is the new one after 10 ms";
}

TEST(Sends, that_would_make_a_ring_are_refused_and_the_rows_are_named) {
    Folder folder;
    Sending mix(folder);
    TrackId echo = 0;
    mix.session = with_new_bus(mix.session, "Echo", std::nullopt, {}, &echo);
    mix.send(mix.hall, echo, [](Send&) {});
    const auto ring = with_send(mix.session, echo, mix.hall, [](Send&) {});
    ASSERT_FALSE(ring);
    EXPECT_THAT(ring.error().what, HasSubstr("Echo cannot send to Hall: this would make a feedback loop"));
    EXPECT_FALSE(with_send(mix.session, mix.hall, mix.hall, [](Send&) {}));
    EXPECT_FALSE(with_output(mix.session, {echo}, mix.hall)) << "an output closes a ring as well";
    EXPECT_FALSE(with_send(mix.session, mix.id(0), 99, [](Send&) {}));
    EXPECT_FALSE(with_send(mix.session, main_output, echo, [](Send&) {}));

    // By any other door validate() sees it.
    Session forced = with_bus(mix.session, echo, [&](Bus& b) { b.sends = {{.id = 1, .to = mix.hall}}; });
    ASSERT_FALSE(validate(forced));
    EXPECT_THAT(validate(forced).error().what, HasSubstr("makes a feedback loop"));
    EXPECT_THAT(validate(forced).error().what, HasSubstr("Hall, input Echo, input Hall"));
    // Also by way of what is listened to.
    Session listening = with_chain(mix.session, mix.hall, [&](Chain& c) {
        c = {processor("duck")};
        c[0].key = echo;
    });
    ASSERT_FALSE(validate(listening));
    EXPECT_THAT(validate(listening).error().what, HasSubstr("sidechain source"));
    forced = with_track(mix.session, mix.id(0), [&](Track& t) {
        t.sends = {{.id = 1, .to = mix.hall}, {.id = 2, .to = mix.hall}};
    });
    EXPECT_FALSE(validate(forced)) << "two to one bus";
    forced = with_track(mix.session, mix.id(0), [&](Track& t) { t.sends = {{.id = 1, .to = 77}}; });
    EXPECT_FALSE(validate(forced));
    forced = with_track(mix.session, mix.id(0),
                        [&](Track& t) { t.sends = {{.id = 1, .to = mix.hall, .level_db = std::nan("")}}; });
    EXPECT_FALSE(validate(forced));
}

TEST(Sends, are_kept_in_the_file_with_their_rides_and_what_is_not_known_of_them) {
    Folder folder;
    Sending mix(folder);
    mix.send(mix.id(1), mix.hall, [](Send& s) {
        s.level_db = silence_db, s.before_fader = true, s.own_pan = true, s.pan = -0.25, s.in = false;
        s.unknown = std::make_shared<const nlohmann::json>(nlohmann::json{{"colour", "later"}});
    });
    mix.session = with_ride(mix.session, mix.id(1), *parameter_called(mix.session, mix.id(1), "send1.level"),
                            Curve{{{0.5, -72.0}, {0.7, -6.0}}});
    mix.session = with_chain(mix.session, main_output, [](Chain& c) {
        c = {processor("limiter", {{"ceiling_dbtp", -1.5}})};
    });
    mix.session = with_ride(mix.session, main_output, *parameter_called(mix.session, main_output, "1.ceiling_dbtp"),
                            Curve{{{0.0, -3.0}}});
    mix.session.main_chain_out = true;
    ASSERT_TRUE(validate(mix.session)) << validate(mix.session).error().text();
    ASSERT_TRUE(write_session(mix.session, folder / "s.isotonus"));
    const auto read = read_session(folder / "s.isotonus");
    ASSERT_TRUE(read) << read.error().text();
    const Send& send = read->tracks[1]->sends.at(0);
    EXPECT_EQ(send.level_db, silence_db);
    EXPECT_TRUE(send.before_fader && send.own_pan && !send.in);
    EXPECT_EQ(send.pan, -0.25);
    EXPECT_EQ((*send.unknown)["colour"], "later");
    EXPECT_EQ(parameter_text(*read, mix.id(1), Parameter::of_send(send_parameters::level, send.id)), "send1.level");
    EXPECT_EQ(read->tracks[1]->rides[Parameter::of_send(send_parameters::level, send.id)]->points.size(), 2u);
    EXPECT_EQ(read->main_chain, mix.session.main_chain);
    EXPECT_TRUE(read->main_chain_out);
    EXPECT_EQ(session_to_json(*read, folder.path()), session_to_json(mix.session, folder.path()));
    // Without the send its ride is gone too, and the session is whole.
    EXPECT_TRUE(validate(without_send(*read, mix.id(1), send.id)));
    EXPECT_FALSE(without_send(*read, mix.id(1), send.id).tracks[1]->rides.any());
    EXPECT_TRUE(validate(without_bus_or_group(*read, mix.hall)));
}

TEST(Returns, are_buses_that_only_sends_lead_to_and_listen_to_any_row) {
    Folder folder;
    Shaped mix({write(folder / "clap.wav",
                      make(48000, 1, [](int64_t i, int) { return i > 20000 && i < 30000 ? 0.9 : 0.0; }), 1),
                write(folder / "pad.wav", make(48000, 2, sine(300, 48000, 0.3)), 2)});
    TrackId claps = 0, echo = 0;
    mix.session = with_new_bus(mix.session, "claps", std::nullopt, {mix.id(0)}, &claps);
    EXPECT_FALSE(is_return(mix.session, claps));
    mix.session = with_new_return(mix.session, "echo", {mix.id(1)}, {.before_fader = true},
                                  {processor("duck", {{"depth_db", 12.0}})}, &echo);
    EXPECT_TRUE(is_return(mix.session, echo));
    mix.session = with_chain(mix.session, echo, [&](Chain& c) { c[0].key = claps; });
    mix.change(0, [](Track& t) { t.fader_db = silence_db; });
    mix.change(1, [](Track& t) { t.fader_db = silence_db; });
    for (const double trim : {0.0, -60.0}) {  // the key is a bus, after its trim and before its fader
        mix.session = with_bus(mix.session, claps, [&](Bus& b) { b.trim_db = trim, b.fader_db = -20.0; });
        // The bus is after the fader of its member, which is off: nothing is heard, and nothing ducks.
        const auto quiet = rendered(mix.shaped_plan(), 4096);
        EXPECT_NEAR(rms_db(quiet, 2, 0, 5000, 15000) - rms_db(quiet, 2, 0, 25000, 30000), 0.0, 0.1);
        mix.change(0, [](Track& t) { t.fader_db = 0.0; });
        mix.session = with_bus(mix.session, claps, [&](Bus& b) { b.mute = true; });
        const auto ducked = rendered(mix.shaped_plan(), 4096);
        EXPECT_NEAR(rms_db(ducked, 2, 0, 5000, 15000) - rms_db(ducked, 2, 0, 25000, 30000), trim < -1.0 ? 0.0 : 12.0,
                    0.3);
        mix.change(0, [](Track& t) { t.fader_db = silence_db; });
        mix.session = with_bus(mix.session, claps, [&](Bus& b) { b.mute = false; });
    }
}

TEST(MainChain, is_before_the_main_fader_and_one_switch_takes_it_out) {
    Folder folder;
    Sending mix(folder);
    mix.session.main_fader_db = -2.0;
    mix.session.main_rides.set(Parameter::level, ride({{0.0, 0.0}, {0.5, -6.0}}));
    const auto plain = mix.now();
    Session open = mix.session;
    open.main_fader_db = 0.0;
    open.main_rides = {};
    std::swap(mix.session, open);
    const auto into = mix.now();
    std::swap(mix.session, open);
    const Chain chain{processor("equaliser", {{"band1.in", 1.0}, {"band1.db", 3.0}}, 1),
                      processor("compressor", {{"threshold_dbfs", -20.0}, {"lookahead_ms", 3.0}}, 2),
                      processor("limiter", {{"ceiling_dbtp", -3.0}}, 3)};
    auto wanted = through(chain, into, 2);
    mix.chain(main_output, chain);
    const auto got = mix.now();
    // The ride that follows the chain, as it is without one.
    std::vector<double> gains(wanted.size() / 2);
    level_ride_gains(*mix.session.main_rides[Parameter::level], 48000, 0, std::ssize(gains), gains.data());
    for (size_t i = 0; i < wanted.size(); ++i)
        wanted[i] = static_cast<float>(static_cast<double>(wanted[i]) * gains[i / 2] * gain_from_db(-2.0));
    wanted.resize(got.size());
    EXPECT_LT(worst_difference(got, wanted), 1e-6);
    // Rows keep their levels for the screen, and every sample that is heard comes out of the chain.
    const PlanPtr plan = mix.shaped_plan();
    EXPECT_EQ(plan->tracks.back().id, main_output);
    for (size_t i = 0; i + 1 < plan->parts.size(); ++i) EXPECT_TRUE(plan->parts[i].through_chain);
    mix.session.main_chain_out = true;
    EXPECT_EQ(mix.now(), plain);
    mix.session.main_chain_out = false;
    mix.session.chains_out = true;
    EXPECT_EQ(mix.now(), plain);
}

TEST(MainChain, leaves_out_in_or_both_ways_and_stems_are_without_it) {
    Folder folder;
    Sending mix(folder);
    mix.chain(mix.hall, {processor("delay", {{"left_ms", 50.0}, {"right_ms", 70.0}})});
    mix.send(mix.id(0), mix.hall, [](Send& s) { s.level_db = -6.0; });
    const auto bare = mix.now();
    mix.chain(main_output, {processor("compressor", {{"threshold_dbfs", -30.0}, {"ratio", 4.0}}, 1),
                            processor("limiter", {{"ceiling_dbtp", -9.0}}, 2)});
    const auto finished = mix.now();
    EXPECT_TRUE(mix.row_signals.make(mix.session, mix.file_of()));
    const MixPlans plans =
        compile_mix_plans(mix.session, mix.row_signals.played_by(mix.session, mix.file_of()), Solo::left_out);
    EXPECT_TRUE(plans.differ());
    EXPECT_EQ(rendered(plans.bare, 4096), bare);
    EXPECT_EQ(rendered(plans.finished, 4096), finished);
    const auto samples_of = [](const fs::path& file) {
        SoundReader reader = SoundReader::open(file).value();
        std::vector<float> all(static_cast<size_t>(reader.info().frames * 2));
        EXPECT_TRUE(reader.read(0, reader.info().frames, all.data()));
        return all;
    };
    for (const MainChain way : {MainChain::out, MainChain::in, MainChain::both}) {
        Delivery d;
        d.folder = folder / fmt::format("{}", static_cast<int>(way));
        d.session_name = "boats";
        d.format = SampleFormat::f32;
        d.stems = StemSplit::tracks;
        d.main_chain = way;
        d.finished = plans.finished;
        const auto report = deliver(plans.bare, mix.session, d);
        ASSERT_TRUE(report) << report.error().text();
        const size_t mixes = way == MainChain::both ? 2 : 1;
        ASSERT_EQ(report->files.size(), mixes + 3) << "two tracks and the return";
        EXPECT_EQ(samples_of(report->files[0].file), way == MainChain::in ? finished : bare);
        if (way == MainChain::both) {
            EXPECT_EQ(samples_of(report->files[1].file), finished);
        }
        EXPECT_EQ(report->files.back().part, "Hall");
        EXPECT_LT(report->residue_dbfs.value_or(-200.0), -130.0) << "stems make up the mix without the chain";
        EXPECT_EQ(files_of(plans.bare, mix.session, d).size(), report->files.size());
    }
}

TEST(Bounds, hold_for_every_chain_that_has_one) {
    std::mt19937 random(17);
    int known = 0;
    for (int round = 0; round < (sanitized ? 30 : 300); ++round) {
        auto [chain, rides] = random_chain(random, 0);
        const auto in = make(24000, 2, [round](int64_t i, int c) {
            return noise(static_cast<uint64_t>(round), 0.7)(i, c) * (i / 4000 % 2 == 0 ? 1.0 : 0.05);
        });
        std::vector<float> reach;
        for (size_t b = 0; b * 512 < in.size(); ++b)
            reach.push_back(peak_of({in.begin() + static_cast<std::ptrdiff_t>(b * 512),
                                     in.begin() + static_cast<std::ptrdiff_t>(std::min(in.size(), (b + 1) * 512))}));
        bound_through(chain, rides, 48000, 256, reach);
        if (std::isinf(reach[0])) continue;
        ++known;
        const auto out = through(chain, in, 2, 48000, rides);
        for (size_t i = 0; i < out.size(); ++i)
            ASSERT_LE(std::fabs(out[i]), reach[i / 512] + 1e-6f) << round << " at " << i << " " << chain[0].type;
    }
    EXPECT_GT(known, sanitized ? 3 : 60);
}

TEST(Bounds, of_a_mix_with_chains_that_are_not_worked_out_lie_above_its_peak_and_not_far) {
    Folder folder;
    Sending mix(folder);
    TrackId drums = 0;
    mix.session = with_new_bus(mix.session, "Drums", std::nullopt, {mix.id(0), mix.id(1)}, &drums);
    mix.chain(drums, {processor("compressor", {{"threshold_dbfs", -20.0}, {"ratio", 4.0}, {"makeup_db", 2.0}})});
    mix.change(1, [](Track& t) {
        t.chain = {processor("low_cut", {{"hz", 80.0}})};
        t.rides.set(Parameter::level, ride({{0.0, 0.0}, {0.5, -12.0}}));
        t.delay_samples = 300.0;
    });
    const auto peak_and_bound = [&] {
        // By files alone: nothing of the chains was worked out.
        const auto most = max_of_mix(*compile_plan(mix.session, mix.file_of(), Solo::left_out));
        EXPECT_TRUE(most);
        return std::pair(static_cast<double>(peak_of(mix.now())), most.value_or(0.0));
    };
    const auto [peak, most] = peak_and_bound();
    EXPECT_GE(most, peak);
    EXPECT_LT(most, peak * gain_from_db(15.0));
    // What a limiter lets through is known to a tenth of a decibel.
    mix.chain(main_output, {processor("limiter", {{"ceiling_dbtp", -6.0}})});
    const auto [limited, at_most] = peak_and_bound();
    EXPECT_GE(at_most, limited);
    EXPECT_NEAR(db_from_gain(at_most), -5.9, 0.01);
    // A reverb has no bound that says anything; with a limiter behind it that does not matter.
    mix.chain(drums, {processor("reverb")});
    EXPECT_NEAR(db_from_gain(peak_and_bound().second), -5.9, 0.01);
    mix.session.main_chain_out = true;
    EXPECT_FALSE(max_of_mix(*compile_plan(mix.session, mix.file_of(), Solo::left_out)));
}

TEST(MainChain, headroom_plan_turns_the_main_fader_down) {
    Folder folder;
    Sending mix(folder);
    mix.chain(main_output, {processor("limiter", {{"ceiling_dbtp", -1.0}})});
    mix.change(0, [](Track& t) { t.trim_db = 12.0; });
    ASSERT_TRUE(mix.row_signals.make(mix.session, mix.file_of()));
    MixPeaks peaks(1);
    const auto plan = headroom_plan(mix.session, mix.row_signals.played_by(mix.session, mix.file_of()), -6.0, peaks);
    ASSERT_TRUE(plan);
    ASSERT_FALSE(plan->proposals.empty());
    const Proposal& down = plan->proposals.front();
    ASSERT_EQ(down.faders.size(), 1u);
    EXPECT_EQ(down.faders[0].first, main_output);
    EXPECT_TRUE(down.reaches);
    mix.session = with_proposal(mix.session, down);
    EXPECT_NEAR(db_from_gain(static_cast<double>(peak_of(mix.now()))), -6.0, 0.01);
}

TEST(Sends, are_thrown_for_one_word_and_for_another_and_come_back_to_what_they_ride) {
    Folder folder;
    Sending mix(folder);
    mix.send(mix.id(0), mix.hall, [](Send& s) { s.level_db = -6.0; });
    const auto level_at = [&](double time_s) {
        const auto p = *parameter_called(mix.session, mix.id(0), "send.Hall.level");
        return (*mix.session.rides_of(mix.id(0)))[p]->value_at(time_s);
    };
    const auto throw_at = [&](double from_s, double to_s) {
        const Send send = mix.session.find(mix.id(0))->sends.front();
        mix.session = with_throw(mix.session, mix.id(0), send, from_s, to_s);
        ASSERT_TRUE(validate(mix.session)) << validate(mix.session).error().text();
    };
    throw_at(0.3, 0.5);
    throw_at(0.0, 0.1);
    for (const double shut_s : {0.2, 0.26, 0.54, 0.9}) EXPECT_EQ(level_at(shut_s), send_parameters::level.low);
    for (const double open_s : {0.0, 0.1, 0.3, 0.4, 0.5}) EXPECT_DOUBLE_EQ(level_at(open_s), -6.0);
    // Over what rides already: it goes on as it rode, and one that is off is opened to where it was.
    mix.send(mix.id(0), mix.hall, [](Send& s) { s.level_db = silence_db; });
    throw_at(0.45, 0.7);
    EXPECT_DOUBLE_EQ(level_at(0.4), -6.0);
    EXPECT_DOUBLE_EQ(level_at(0.6), 0.0);
    EXPECT_EQ(level_at(0.8), send_parameters::level.low);
}
