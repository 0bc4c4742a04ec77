// Chains on buses: after the faders of their members, and still the same bits and the whole song known.
#include <gmock/gmock.h>

#include "core/balance/audibility.h"
#include "core/balance/headroom.h"
#include "core/handoff/delivery.h"
#include "core/mix/mix_peak.h"
#include "core/mix/sum_of_rows.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "core/session/validate.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// Four tracks: two on a bus, that bus and a third track on another bus, the fourth on the main output.
struct Nested : Shaped {
    TrackId inner = 0, outer = 0;
    explicit Nested(const Folder& folder)
        : Shaped({write(folder / "1.wav", make(60000, 1, noise(1, 0.4)), 1),
                  write(folder / "2.wav", make(50000, 2, noise(2, 0.4)), 2),
                  write(folder / "3.wav", make(60000, 2, noise(3, 0.4)), 2),
                  write(folder / "4.wav", make(40000, 1, noise(4, 0.4)), 1)}) {
        session = with_new_bus(session, "inner", std::nullopt, {id(0), id(1)});
        inner = session.buses[0].id;
        session = with_new_bus(session, "outer", std::nullopt, {id(2)});
        outer = session.buses[1].id;
        session = with_output(session, {inner}, outer).value();
        change(0, [](Track& t) { t.fader_db = -4.0, t.pan = -0.4; });
        change(1, [](Track& t) { t.fader_db = -2.0, t.trim_db = 1.0; });
        change(2, [](Track& t) { t.rides.set(Parameter::level, ride({{0.0, 0.0}, {1.0, -9.0}})); });
        bus(inner, [](Bus& b) { b.fader_db = -1.0, b.trim_db = 2.0; });
        bus(outer, [](Bus& b) { b.pan = 0.2, b.rides.set(Parameter::trim, ride({{0.0, 0.0}, {1.0, 3.0}})); });
    }
    void bus(TrackId row, const std::function<void(Bus&)>& with) { session = with_bus(session, row, with); }
    void chain(TrackId row, Chain c) {
        session = with_chain(session, row, [&](Chain& now) { now = std::move(c); });
    }
};

}  // namespace

TEST(BusChains, that_do_nothing_leave_the_mix_as_it_is) {
    Folder folder;
    Nested mix(folder);
    const auto plain = rendered(mix.shaped_plan(), 4096);
    // An equaliser whose bands are out is at work, and changes nothing: only roundings of the sums to float differ.
    for (const TrackId row : {mix.inner, mix.outer}) {
        mix.chain(row, {processor("equaliser")});
        EXPECT_LT(worst_difference(rendered(mix.shaped_plan(), 4096), plain), 2e-7);
    }
    mix.bus(mix.inner, [](Bus& b) { b.chain_out = true; });
    mix.bus(mix.outer, [](Bus& b) { b.chain_out = true; });
    EXPECT_EQ(rendered(mix.shaped_plan(), 4096), plain);
    mix.session.chains_out = true;
    EXPECT_EQ(rendered(mix.shaped_plan(), 4096), plain);
}

TEST(BusChains, are_after_the_members_faders_and_the_buss_trim_and_before_its_fader) {
    Folder folder;
    Nested mix(folder);
    // What the inner bus sums up, by hand: a plan of its members alone, rendered and run through the chain.
    Session alone = mix.session;
    alone = without_tracks(alone, {mix.id(2), mix.id(3)});
    alone = with_output(alone, {mix.inner}, main_output).value();
    alone = with_bus(alone, mix.inner, [](Bus& b) { b.fader_db = 0.0; });
    Shaped members(std::vector<fs::path>{});
    members.session = alone;
    const auto summed = rendered(members.shaped_plan(), 4096);
    const Chain chain{processor("compressor", {{"threshold_dbfs", -20}, {"ratio", 6}, {"lookahead_ms", 5}}, 1),
                      processor("saturation", {{"drive_db", 6}}, 2)};
    auto wanted = through(chain, summed, 2);
    for (float& x : wanted) x *= static_cast<float>(gain_from_db(-1.0));
    mix.session = alone;
    mix.bus(mix.inner, [](Bus& b) { b.fader_db = -1.0; });
    mix.chain(mix.inner, chain);
    EXPECT_LT(worst_difference(rendered(mix.shaped_plan(), 512), wanted), 1e-6);
}

TEST(BusChains, give_the_same_bits_in_any_blocks_on_any_workers_and_their_peak_is_exact) {
    Folder folder;
    Nested mix(folder);
    std::mt19937 random(11);
    MixPeaks peaks(1);
    for (int round = 0; round < (sanitized ? 1 : 4); ++round) {
        for (const TrackId row : {mix.inner, mix.outer}) {
            auto [chain, rides] = random_chain(random, mix.id(3));
            mix.chain(row, chain);
            mix.bus(row, [&rides = rides](Bus& b) {
                for (const auto& [parameter, curve] : rides.all()) b.rides.set(parameter, curve);
            });
        }
        ASSERT_TRUE(validate(mix.session)) << validate(mix.session).error().text();
        const PlanPtr plan = mix.shaped_plan();
        EXPECT_TRUE(is_known(*plan));
        const auto one = rendered(plan, 4096);
        EXPECT_EQ(rendered(plan, 17), one);
        EXPECT_EQ(rendered(plan, 512, 4), one);
        EXPECT_EQ(peaks.find(plan).value().peak, peak_of(one)) << round;
        // A member's fader moves: the bus is another signal, and all is exact again.
        mix.change(0, [](Track& t) { t.fader_db -= 2.0; });
        const PlanPtr moved = mix.shaped_plan();
        EXPECT_EQ(peaks.find(moved).value().peak, peak_of(rendered(moved, 4096)));
    }
}

TEST(BusChains, hear_a_key_that_leads_elsewhere) {
    Folder folder;
    Shaped mix({write(folder / "clap.wav",
                      make(48000, 1, [](int64_t i, int) { return i > 20000 && i < 30000 ? 0.9 : 0.0; }), 1),
                write(folder / "pad.wav", make(48000, 2, sine(300, 48000, 0.3)), 2)});
    mix.session = with_new_bus(mix.session, "melody", std::nullopt, {mix.id(1)});
    const TrackId bus = mix.session.buses[0].id;
    mix.session = with_chain(mix.session, bus, [&](Chain& c) {
        c = {processor("duck", {{"depth_db", 12}})};
        c[0].key = mix.id(0);
    });
    mix.change(0, [](Track& t) { t.mute = true; });
    const auto ducked = rendered(mix.shaped_plan(), 4096);
    EXPECT_NEAR(rms_db(ducked, 2, 0, 5000, 15000) - rms_db(ducked, 2, 0, 25000, 30000), 12.0, 0.3);
}

namespace {

Session with_duck(const Session& session, TrackId track, TrackId source) {
    return with_chain(session, track, [source](Chain& c) {
        c = {processor("duck", {{"depth_db", 12}, {"threshold_dbfs", -30}})};
        c[0].key = source;
    });
}

/// All of a session, made from the beginning.
std::vector<float> made_anew(const Session& session) {
    EXPECT_TRUE(validate(session)) << validate(session).error().text();
    Shaped whole(std::vector<fs::path>{});
    whole.session = session;
    const PlanPtr plan = whole.shaped_plan();
    EXPECT_TRUE(is_known(*plan));
    return rendered(plan, 512, 2);
}

}  // namespace

// The reference: the bus rendered by itself to a file, and that file as an ordinary track that is not heard.
TEST(BusChains, are_sidechain_sources_of_tracks_too) {
    Folder folder;
    Nested mix(folder);
    for (const bool chained : {false, true}) {
        if (chained)
            for (const TrackId row : {mix.inner, mix.outer})
                mix.chain(row, {processor("compressor", {{"threshold_dbfs", -25}, {"ratio", 4}})});
        mix.change(3, [](Track& t) { t.chain.clear(); });
        Session alone = without_tracks(mix.session, {mix.id(3)});
        alone = with_bus(alone, mix.outer, [](Bus& b) { b.fader_db = 0.0, b.pan = 0.0; });
        Shaped summed(std::vector<fs::path>{});
        summed.session = alone;
        const fs::path file =
            write(folder / (chained ? "chained.wav" : "bus.wav"), rendered(summed.shaped_plan(), 4096), 2);
        const auto keyed_to = [&](Session session, TrackId source) {
            session = with_duck(session, mix.id(3), source);
            const auto made = made_anew(session);
            Shaped streamed(std::vector<fs::path>{});
            streamed.session = session;
            const auto ahead = streamed.row_signals.stream(session, streamed.file_of());
            EXPECT_TRUE(ahead);
            const MaterialOf played = streamed.row_signals.played_by(session, streamed.file_of());
            EXPECT_EQ(rendered(compile_plan(session, played, Solo::left_out), 4096), made) << "exported in one pass";
            return made;
        };
        const auto by_bus = keyed_to(mix.session, mix.outer);
        Session with_file = with_files(mix.session, {file});
        const TrackId copy = with_file.tracks.back()->id;
        with_file = with_track(with_file, copy, [](Track& t) { t.mute = true; });
        EXPECT_LT(worst_difference(by_bus, keyed_to(with_file, copy)), 2e-6) << chained;
        EXPECT_GT(worst_difference(by_bus, rendered(mix.shaped_plan(), 512)), 0.05) << "it ducks";
        // Solo is for the ear: what is ducked stays as it is in the mix.
        mix.change(3, [](Track& t) { t.solo = true; });
        EXPECT_EQ(keyed_to(mix.session, mix.outer), by_bus);
        mix.change(3, [](Track& t) { t.solo = false; });
    }
    // A control group: its members after their faders.
    TrackId group = 0;
    Session grouped = with_new_group(mix.session, "both", std::nullopt, {mix.id(2), mix.inner}, &group);
    grouped = with_group(grouped, group, [](ControlGroup& g) { g.fader_db = -3.0; });
    Session members = without_tracks(grouped, {mix.id(3)});
    members = with_output(members, {mix.id(2), mix.inner}, main_output).value();
    Shaped summed(std::vector<fs::path>{});
    summed.session = members;
    const fs::path file = write(folder / "group.wav", rendered(summed.shaped_plan(), 4096), 2);
    const auto ducked = [&](const Session& session, TrackId source) {
        return made_anew(with_duck(session, mix.id(3), source));
    };
    Session with_file = with_files(grouped, {file});
    const TrackId copy = with_file.tracks.back()->id;
    with_file = with_track(with_file, copy, [](Track& t) { t.mute = true; });
    EXPECT_LT(worst_difference(ducked(grouped, group), ducked(with_file, copy)), 2e-6);
    EXPECT_THAT(validate(with_duck(grouped, mix.id(0), group)).error().what, testing::HasSubstr("makes a loop"));
    // A track cannot go by a bus that it feeds.
    EXPECT_THAT(validate(with_duck(mix.session, mix.id(0), mix.outer)).error().what,
                testing::HasSubstr("makes a loop"));
}

TEST(BusChains, mutes_and_solos_choose_what_is_heard) {
    Folder folder;
    Nested mix(folder);
    mix.chain(mix.inner, {processor("compressor", {{"threshold_dbfs", -20}})});
    mix.bus(mix.inner, [](Bus& b) { b.mute = true; });
    const auto muted = rendered(mix.shaped_plan(), 4096);
    mix.change(0, [](Track& t) { t.mute = true; });
    mix.change(1, [](Track& t) { t.mute = true; });
    EXPECT_EQ(rendered(mix.shaped_plan(), 4096), muted);
    mix.change(0, [](Track& t) { t.mute = false, t.solo = true; });
    mix.bus(mix.inner, [](Bus& b) { b.mute = false; });
    // For the ear only the soloed member goes through its bus's chain; what leaves as a file is not changed by it.
    ASSERT_TRUE(mix.row_signals.make(mix.session, mix.file_of(), nullptr, 1, Solo::counts));
    const PlanPtr soloed = compile_plan(mix.session, mix.row_signals.played_by(mix.session, mix.file_of()));
    EXPECT_TRUE(is_known(*soloed));
    const auto heard = rendered(soloed, 4096);
    mix.change(0, [](Track& t) { t.solo = false; });
    for (size_t n = 2; n < 4; ++n) mix.change(n, [](Track& t) { t.mute = true; });
    EXPECT_EQ(rendered(mix.shaped_plan(), 4096), heard);
}

TEST(BusChains, are_read_provisionally_until_they_are_known) {
    Folder folder;
    Nested mix(folder);
    mix.chain(mix.outer, {processor("compressor", {{"threshold_dbfs", -25}, {"ratio", 4}, {"release_ms", 100}})});
    const PlanPtr at_once = compile_plan(mix.session, mix.file_of(), Solo::left_out);
    EXPECT_FALSE(is_known(*at_once));
    const PlanPtr known = mix.shaped_plan();
    // Wherever playing begins, a second of what was before is enough for the ear: -80 dB of the signal.
    auto reader = PlanReader::open(at_once, true).value();
    Renderer renderer(at_once);
    std::vector<float> heard(2 * 5000), exact = rendered(known, 4096);
    renderer.process(52000, 5000, reader.read(52000, 5000).value(), heard.data());
    const std::vector<float> there(exact.begin() + 2 * 52000, exact.begin() + 2 * 57000);
    EXPECT_LT(worst_difference(heard, there), 1e-4 * static_cast<double>(peak_of(there)));
}

TEST(BusChains, leave_as_one_stem_and_the_stems_sum_to_the_mix) {
    Folder folder;
    Nested mix(folder);
    mix.chain(mix.outer, {processor("saturation", {{"drive_db", 9}})});
    const PlanPtr plan = mix.shaped_plan();
    Delivery d;
    d.stems = StemSplit::tracks;
    const auto parts = parts_of(plan, mix.session, d);
    ASSERT_EQ(parts.size(), 3u);  // the mix, the fourth track, and the outer bus with all that leads to it
    EXPECT_THAT((std::vector<std::string>{parts[1].name, parts[2].name}), testing::UnorderedElementsAre("4", "outer"));
    const auto whole = rendered(plan, 4096);
    std::vector<float> sum(whole.size());
    for (size_t n = 1; n < parts.size(); ++n) {
        const auto stem = rendered(parts[n].plan, 4096);
        for (size_t i = 0; i < sum.size(); ++i) sum[i] += stem[i];
    }
    EXPECT_LT(worst_difference(sum, whole), 1e-6);  // below -120 dBFS
}

TEST(BusChains, count_in_headroom_plans_as_one_row_with_a_fader) {
    Folder folder;
    Nested mix(folder);
    mix.chain(mix.inner, {processor("compressor", {{"makeup_db", 12}})});
    mix.shaped_plan();
    const MaterialOf played = mix.row_signals.played_by(mix.session, mix.file_of());
    MixPeaks peaks(1);
    const HeadroomPlan plan = headroom_plan(mix.session, played, -12.0, peaks).value();
    ASSERT_FALSE(plan.proposals.empty());
    for (const Proposal& p : plan.proposals) {
        if (!p.reaches) continue;
        mix.session = with_proposal(mix.session, p);
        EXPECT_NEAR(*level_from_gain(static_cast<double>(peak_of(rendered(mix.shaped_plan(), 4096)))), *p.peak_dbfs,
                    1e-6);
        break;
    }
    std::set<TrackId> rows;
    for (const Contribution& c : plan.worst[0].contributions) rows.insert(c.id);
    EXPECT_TRUE(rows.contains(mix.inner));
    EXPECT_FALSE(rows.contains(mix.id(0)));
}

TEST(BusChains, leave_the_audibility_of_members_to_how_they_stand_in_their_bus) {
    Folder folder;
    Nested mix(folder);
    std::map<MaterialPtr, ExcitationPtr> known;
    const ExcitationOf excitation = [&](const MaterialPtr& m) {
        ExcitationPtr& e = known[m];
        if (!e) e = excitation_of(*m).value();
        return e;
    };
    const auto before = audibility(*mix.shaped_plan(), excitation, {});
    mix.chain(mix.inner, {processor("equaliser")});
    const auto after = audibility(*mix.shaped_plan(), excitation, {});
    ASSERT_EQ(before.size(), 4u);
    ASSERT_EQ(after.size(), 4u);
    for (size_t n = 0; n < 4; ++n) EXPECT_NEAR(*before[n].share, *after[n].share, 0.02) << n;
}

TEST(BusChains, are_kept_in_the_session_file_and_ridden) {
    Folder folder;
    Nested mix(folder);
    mix.chain(mix.inner, {processor("compressor", {{"ratio", 8}})});
    mix.bus(mix.inner, [](Bus& b) { b.chain_out = true; });
    const Parameter threshold = parameter_called(mix.session, mix.inner, "1.threshold_dbfs").value();
    mix.session = with_ride(mix.session, mix.inner, threshold, Curve{{{0.0, -20.0}, {1.0, -30.0}}});
    ASSERT_TRUE(validate(mix.session));
    ASSERT_TRUE(write_session(mix.session, folder / "s.isotonus"));
    const Session back = read_session(folder / "s.isotonus").value();
    EXPECT_EQ(back.buses[0].chain, mix.session.buses[0].chain);
    EXPECT_TRUE(back.buses[0].chain_out);
    EXPECT_EQ(*back.buses[0].rides[threshold], *mix.session.buses[0].rides[threshold]);
}

// Whoever says how many threads share long work means buses too, of which there may be many.
TEST(BusChains, are_made_on_no_more_threads_than_there_may_be) {
    Folder folder;
    Shaped mix({write(folder / "1.wav", make(400000, 2, noise(1, 0.4)), 2)});
    for (int n = 0; n < 12; ++n) {
        TrackId bus = 0;
        mix.session = with_new_bus(mix.session, fmt::format("bus {}", n), std::nullopt, {}, &bus);
        mix.session = with_chain(mix.session, bus, [](Chain& c) { c = {processor("saturation")}; });
        mix.session = with_send(mix.session, mix.id(0), bus, [](Send&) {}).value();
    }
    unsetenv("ISOTONUS_WORKERS");
    const auto threads = [] {
        return std::distance(fs::directory_iterator("/proc/self/task"), fs::directory_iterator());
    };
    const auto max_while_made = [&] {
        mix.row_signals = {};
        const auto before = threads();
        std::ptrdiff_t most = 0;
        std::atomic<bool> done{false};
        std::jthread maker([&] {
            EXPECT_TRUE(mix.row_signals.make(mix.session, mix.file_of(), nullptr, 2));
            done = true;
        });
        while (!done) most = std::max(most, threads());
        return most - before;
    };
    EXPECT_GT(max_while_made(), 6) << "buses wait for each other: all at once, when nobody says otherwise";
    ASSERT_EQ(setenv("ISOTONUS_WORKERS", "2", 1), 0);
    EXPECT_LE(max_while_made(), 3) << "who makes them, and one beside it";
    unsetenv("ISOTONUS_WORKERS");
}
