// Buses, control groups, solo, sides apart, the low end in the centre; and the whole-song peak while all of it moves.
#include "core/session/routing.h"

#include "core/mix/mix_peak.h"
#include "core/session/session_file.h"
#include "tests/support/chains.h"
#include "tests/support/sounds.h"

#include <nlohmann/json.hpp>
#include <random>

using namespace isotonus;
using namespace isotonus::test;

namespace {

double largest_difference(const std::vector<float>& a, const std::vector<float>& b) {
    EXPECT_EQ(a.size(), b.size());
    double most = 0.0;
    for (size_t i = 0; i < std::min(a.size(), b.size()); ++i)
        most = std::max(most, std::fabs(static_cast<double>(a[i]) - static_cast<double>(b[i])));
    return most;
}

struct Four : Mix {
    static std::vector<fs::path> files(const Folder& folder) {
        std::vector<fs::path> list;
        for (uint32_t n = 0; n < 4; ++n)
            list.push_back(write(folder / (std::to_string(n) + ".wav"),
                                 make(30000, 1 + static_cast<int>(n % 2), noise(n, 0.2)), 1 + static_cast<int>(n % 2)));
        return list;
    }
    explicit Four(const Folder& folder) : Mix(files(folder)) {}
};

constexpr double rounding = 1e-7;

}  // namespace

TEST(Bus, at_rest_changes_nothing_and_at_x_dB_moves_all_it_sums) {
    Folder folder;
    Four mix(folder);
    const auto before = rendered(mix.plan(), 4096);
    TrackId bus = 0;
    mix.session = with_new_bus(mix.session, "all", std::nullopt, {mix.id(0), mix.id(1), mix.id(2), mix.id(3)}, &bus);
    EXPECT_LT(largest_difference(rendered(mix.plan(), 4096), before), rounding);
    mix.session = with_bus(mix.session, bus, [](Bus& b) { b.fader_db = -4.0, b.trim_db = 1.0; });
    auto expected = before;
    for (float& x : expected) x = static_cast<float>(static_cast<double>(x) * gain_from_db(-3.0));
    EXPECT_LT(largest_difference(rendered(mix.plan(), 4096), expected), rounding);
    mix.session = with_bus(mix.session, bus, [](Bus& b) { b.mute = true; });
    for (const float x : rendered(mix.plan(), 4096)) ASSERT_EQ(x, 0.0f);
}

TEST(Bus, its_pan_width_and_ride_are_those_of_a_stereo_track_with_the_sum) {
    Folder folder;
    Four mix(folder);
    const auto sum = rendered(mix.plan(), 4096);
    TrackId bus = 0;
    mix.session = with_new_bus(mix.session, "all", std::nullopt, {1, 2, 3, 4}, &bus);
    const auto curve = ride({{0.1, -10.0}, {0.4, 3.0}});
    mix.session =
        with_bus(mix.session, bus, [&](Bus& b) { b.pan = 0.3, b.width = 0.5, b.rides.set(Parameter::level, curve); });
    Mix one({write(folder / "sum.wav", sum, 2)});
    one.change(0, [&](Track& t) { t.pan = 0.3, t.width = 0.5, t.rides.set(Parameter::level, curve); });
    EXPECT_LT(largest_difference(rendered(mix.plan(), 4096), rendered(one.plan(), 4096)), rounding);
}

TEST(Bus, may_lead_to_a_bus_but_never_to_itself) {
    Folder folder;
    Four mix(folder);
    TrackId a = 0, b = 0;
    mix.session = with_new_bus(with_new_bus(mix.session, "a", {}, {1, 2}, &a), "b", {}, {3}, &b);
    mix.session = with_output(mix.session, {a}, b).value();
    EXPECT_TRUE(leads_to(mix.session, a, b));
    EXPECT_FALSE(leads_to(mix.session, b, a));
    const auto circle = with_output(mix.session, {b}, a);
    ASSERT_FALSE(circle);
    EXPECT_EQ(circle.error().what,
              "b cannot have a as its output: this would make a feedback loop. Choose another output.");
    EXPECT_FALSE(with_output(mix.session, {a}, a));
    EXPECT_FALSE(with_output(mix.session, {1}, 99));
    EXPECT_EQ(tracks_under(mix.session, b), (std::vector<TrackId>{1, 2, 3}));
    const PlanPtr plan = mix.plan();
    EXPECT_EQ(plan->buses[0].id, a);  // before the one it leads to
    EXPECT_EQ(plan->buses[0].output, 1);
    mix.session =
        with_bus(with_bus(mix.session, a, [](Bus& x) { x.fader_db = -2.0; }), b, [](Bus& x) { x.fader_db = -3.0; });
    Four flat(folder);
    for (const size_t n : {0, 1}) flat.change(n, [](Track& t) { t.fader_db = -5.0; });
    flat.change(2, [](Track& t) { t.fader_db = -3.0; });
    EXPECT_LT(largest_difference(rendered(mix.plan(), 4096), rendered(flat.plan(), 4096)), rounding);
    mix.session = without_bus_or_group(mix.session, b);
    EXPECT_EQ(mix.session.find_bus(a)->output, main_output);
    EXPECT_EQ(mix.session.find(TrackId{3})->output, main_output);
}

TEST(ControlGroup, at_x_dB_is_its_members_moved_by_x_dB) {
    Folder folder;
    Four mix(folder), moved(folder);
    TrackId group = 0, bus = 0, moved_bus = 0;
    mix.session = with_new_bus(mix.session, "low", {}, {1, 2}, &bus);
    moved.session = with_new_bus(moved.session, "low", {}, {1, 2}, &moved_bus);
    mix.session = with_new_group(mix.session, "some", {}, {bus, 3}, &group);
    mix.session = with_group(mix.session, group, [](ControlGroup& g) { g.fader_db = -4.5; });
    moved.session = with_bus(moved.session, moved_bus, [](Bus& b) { b.fader_db -= 4.5; });
    moved.change(2, [](Track& t) { t.fader_db -= 4.5; });
    EXPECT_EQ(largest_difference(rendered(mix.plan(), 4096), rendered(moved.plan(), 4096)), 0.0);
    EXPECT_EQ(tracks_under(mix.session, group), (std::vector<TrackId>{1, 2, 3}));
    mix.session = with_group(mix.session, group, [](ControlGroup& g) { g.fader_db = silence_db; });
    EXPECT_EQ(mix.plan()->tracks[2].fader_gain, 0.0);
}

TEST(Mix, the_order_of_rows_changes_nothing_beyond_rounding) {
    Folder folder;
    Four mix(folder);
    for (size_t n = 0; n < 4; ++n)
        mix.change(n,
                   [n](Track& t) { t.fader_db = -3.0 * static_cast<double>(n), t.pan = 0.2 * static_cast<double>(n); });
    mix.session = with_new_bus(mix.session, "two", {}, {2, 4});
    const auto before = rendered(mix.plan(), 4096);
    std::vector<std::shared_ptr<const Track>>& tracks = mix.session.tracks.change();
    std::reverse(tracks.begin(), tracks.end());
    EXPECT_LT(largest_difference(rendered(mix.plan(), 4096), before), rounding);
}

TEST(Solo, then_unsolo_leaves_the_same_samples) {
    Folder folder;
    Four mix(folder);
    const auto before = rendered(mix.plan(), 4096);
    mix.change(2, [](Track& t) { t.solo = true; });
    EXPECT_NE(rendered(mix.plan(), 4096), before);
    mix.change(2, [](Track& t) { t.solo = false; });
    EXPECT_EQ(rendered(mix.plan(), 4096), before);
}

TEST(Solo, is_left_out_of_exports_and_reaches_through_buses) {
    Folder folder;
    Four mix(folder);
    TrackId bus = 0;
    mix.session = with_new_bus(mix.session, "two", {}, {1, 2}, &bus);
    const auto before = rendered(mix.plan(), 4096);
    mix.session = with_bus(mix.session, bus, [](Bus& b) { b.solo = true; });
    mix.change(3, [](Track& t) { t.solo_safe = true; });
    const auto heard = [&](size_t n) { return mix.session.is_heard(*mix.session.tracks[n]); };
    EXPECT_TRUE(heard(0) && heard(1) && !heard(2) && heard(3));
    const auto material = [&](const Track& t) { return load_material(source_of(t), 48000).value(); };
    EXPECT_EQ(rendered(compile_plan(mix.session, material, Solo::left_out), 4096), before);
    mix.session = with_bus(mix.session, bus, [](Bus& b) { b.mute = true; });
    EXPECT_FALSE(heard(0) || heard(1));  // muted on the way
    const Session only = with_only(mix.session, {3});
    EXPECT_FALSE(only.is_heard(*only.tracks[0]) || only.is_heard(*only.tracks[3]));
    EXPECT_TRUE(only.is_heard(*only.tracks[2]));
    EXPECT_FALSE(with_only(mix.session, {}).is_heard(*mix.session.tracks[2]) &&
                 with_only(mix.session, {}).tracks[2]->solo);
}

TEST(Pan, dual_pan_makes_two_mono_tracks) {
    EXPECT_EQ(pan_apart(PanLaw::constant_power, -1.0, 1.0), (GainMatrix{1, 0, 0, 1}));
    EXPECT_EQ(pan_apart(PanLaw::linear, 1.0, -1.0), (GainMatrix{0, 1, 1, 0}));
    Folder folder;
    const auto left = make(5000, 1, noise(1, 0.3)), right = make(5000, 1, noise(2, 0.3));
    std::vector<float> both;
    for (size_t i = 0; i < left.size(); ++i) both.push_back(left[i]), both.push_back(right[i]);
    Mix stereo({write(folder / "s.wav", both, 2)});
    stereo.change(0, [](Track& t) { t.dual_pan = true, t.left_pan = -0.4, t.right_pan = 0.7; });
    Mix apart({write(folder / "l.wav", left, 1), write(folder / "r.wav", right, 1)});
    apart.change(0, [](Track& t) { t.pan = -0.4; });
    apart.change(1, [](Track& t) { t.pan = 0.7; });
    EXPECT_LT(largest_difference(rendered(stereo.plan(), 4096), rendered(apart.plan(), 4096)), rounding);
}

// --- the low end in the centre --------------------------------------------------------------------------------------

TEST(LowCentre, bands_of_a_mono_track_sum_flat) {
    // Flat within 0.01 dB is asked for; low and high are made so that they sum to the samples themselves.
    Folder folder;
    const auto x = make(60000, 1, noise(3, 0.5));
    Source whole;
    whole.file = write(folder / "x.wav", x, 1);
    Source low = whole, high = whole;
    low.band = Band::low, high.band = Band::high;
    low.crossover_hz = high.crossover_hz = 120.0;
    const auto played = [](const Source& s) {
        const ReadySource ready = prepare_source(s, 48000).value();
        std::vector<float> out(static_cast<size_t>(60000 * ready.channels));
        // In the file's time: a band begins before it.
        const auto reader = edged(open_source(ready).value(), -ready.lead, 60000);
        EXPECT_TRUE(reader->read(0, 60000, out.data()));
        std::vector<float> cut(out.size());  // the same to the bit, read anyhow
        for (int64_t at = 59000; at >= 0; at -= 1000)
            EXPECT_TRUE(reader->read(at, 1000, cut.data() + at * ready.channels));
        EXPECT_EQ(cut, out);
        return out;
    };
    const auto l = played(low), h = played(high);
    for (size_t i = 0; i < x.size(); ++i) ASSERT_NEAR(l[i] + h[i], x[i], 1e-6) << i;
}

TEST(LowCentre, the_low_pass_is_steep_and_flat_below) {
    for (const double hz : {40.0, 120.0, 500.0})
        for (const double rate : {44100.0, 48000.0, 96000.0}) {
            const LowBand band(hz, rate);
            EXPECT_NEAR(band.gain_at(0.0, rate), 1.0, 1e-12);
            EXPECT_NEAR(20.0 * std::log10(band.gain_at(0.5 * hz, rate)), 0.0, 0.02) << hz << " " << rate;
            EXPECT_NEAR(20.0 * std::log10(band.gain_at(hz, rate)), -6.0, 0.2) << hz << " " << rate;
            EXPECT_LT(std::fabs(band.gain_at(1.7 * hz, rate)), gain_from_db(-50.0)) << hz << " " << rate;
        }
}

TEST(LowCentre, keeps_lows_in_the_middle_whatever_the_pan) {
    Folder folder;
    const auto level_of = [&](double hz, double pan, int side) {
        Mix mix({write(folder / "x.wav",
                       make(96000, 2,
                            [=](int64_t i, int c) {
                                return c == 0 ? sine(hz, 48000, 0.25)(i, 0) : 0.0;  // left only
                            }),
                       2)});
        mix.change(0, [=](Track& t) { t.mono_below_hz = 150.0, t.pan = pan; });
        const auto out = rendered(mix.plan(), 4096);
        float peak = 0.0f;
        for (size_t i = 48000; i < 140000; i += 2) peak = std::max(peak, std::fabs(out[i + static_cast<size_t>(side)]));
        return 20.0 * std::log10(static_cast<double>(peak) / 0.25);
    };
    for (const double pan : {-1.0, 0.0, 0.6}) {  // half of it on each side: the mean of the sides
        EXPECT_NEAR(level_of(50.0, pan, 0), -6.02, 0.05);
        EXPECT_NEAR(level_of(50.0, pan, 1), -6.02, 0.05);
    }
    EXPECT_NEAR(level_of(1000.0, 0.0, 0), 0.0, 0.02);
    EXPECT_LT(level_of(1000.0, 0.0, 1), -60.0);
    EXPECT_LT(level_of(1000.0, 1.0, 0), -60.0);
    // Live levels are those of the whole track, not of its parts.
    Mix mix({write(folder / "y.wav", make(9600, 1, sine(60, 48000, 0.5)), 1)});
    mix.change(0, [](Track& t) { t.mono_below_hz = 150.0; });
    const PlanPtr plan = mix.plan();
    ASSERT_EQ(plan->tracks.size(), 1u);
    ASSERT_EQ(plan->parts.size(), 2u);
    std::vector<TrackLevels> levels(1);
    std::vector<float> out(19200);
    Renderer(plan).process(0, 9600, PlanReader::open(plan, false).value().read(0, 9600).value(), out.data(), levels);
    EXPECT_NEAR(levels[0].peak_after_trim, 0.5, 1e-3);
}

// --- listening ------------------------------------------------------------------------------------------------------

TEST(Listening, adds_to_its_own_sum_and_leaves_the_mix_alone) {
    Folder folder;
    Four mix(folder);
    mix.change(1, [](Track& t) { t.fader_db = -6.0, t.pan = 1.0, t.trim_db = 3.0; });
    const PlanPtr plan = mix.plan();
    const auto heard = [&](bool after) {
        const PlanPtr with = plan_listening(*plan, mix.session, {mix.id(1)}, after);
        EXPECT_TRUE(with->any_listening());
        auto reader = PlanReader::open(with, false).value();
        const auto in = reader.read(0, 4096).value();
        std::vector<float> out(8192), listen(8192), alone(8192);
        Renderer(with).process(0, 4096, in, out.data(), {}, listen.data());
        Renderer(plan).process(0, 4096, in, alone.data());
        EXPECT_EQ(out, alone);
        return std::pair{listen, std::vector<float>(in[1], in[1] + 8192)};
    };
    const auto [pre, source] = heard(false);
    const auto [post, same] = heard(true);
    for (size_t i = 0; i < source.size(); i += 2) {
        ASSERT_NEAR(pre[i], source[i] * gain_from_db(3.0), 1e-6);
        ASSERT_NEAR(pre[i + 1], source[i + 1] * gain_from_db(3.0), 1e-6);
        ASSERT_EQ(post[i], 0.0f);
        ASSERT_NEAR(post[i + 1], source[i + 1] * gain_from_db(-3.0), 1e-6);
    }
}

// --- the session file -----------------------------------------------------------------------------------------------

TEST(SessionFile, keeps_buses_groups_and_selections) {
    Session s = with_files({}, {"/a.wav", "/b.wav", "/c.wav"});
    TrackId bus = 0, other = 0;
    s = with_new_bus(with_new_bus(s, "drums", Family::drums, {1, 2}, &bus), "all", {}, {}, &other);
    s = with_new_group(with_output(s, {bus}, other).value(), "front", Family::voices, {3, bus});
    s = with_bus(s, bus, [](Bus& b) {
        b.fader_db = silence_db, b.pan = 0.5, b.rides.set(Parameter::level, ride({{1.0, -3.0}}));
    });
    s = with_track(s, 3, [](Track& t) { t.dual_pan = t.solo_safe = true, t.left_pan = -0.5, t.mono_below_hz = 120.0; });
    s.selections[1] = {1, 3};
    const std::string text = session_to_json(s, "/");
    const Session back = session_from_json(text, "/s.isotonus").value();
    EXPECT_EQ(session_to_json(back, "/"), text);
    EXPECT_EQ(back.find(TrackId{1})->output, bus);
    EXPECT_EQ(back.find_bus(bus)->output, other);
    EXPECT_EQ(back.find_bus(bus)->rides[Parameter::level]->points.size(), 1u);
    EXPECT_EQ(back.groups[0].members, (std::vector<TrackId>{3, bus}));
    EXPECT_EQ(back.selections[1], (std::vector<TrackId>{1, 3}));
    EXPECT_EQ(back.next_id, s.next_id);
    EXPECT_TRUE(back.find(TrackId{3})->dual_pan && back.find(TrackId{3})->solo_safe);
}

TEST(SessionFile, with_one_id_twice_with_rings_or_with_ways_that_lead_nowhere_is_refused) {
    const auto refused = [](const std::string& rows, const std::string& why) {
        const auto read = session_from_json(
            R"({"format":"isotonus-session","version":3,"sample_rate":48000,)" + rows + "}", "/s.isotonus");
        ASSERT_FALSE(read) << why;
        EXPECT_NE(read.error().what.find(why), std::string::npos) << read.error().what;
    };
    refused(R"("tracks":[{"id":1,"name":"a","file":"a.wav","output":77}])", "'output' is not a bus of the session");
    refused(R"("tracks":[],"buses":[{"id":5,"name":"x","output":6},{"id":6,"name":"y","output":5}])",
            "'output' makes a feedback loop");
    refused(R"("tracks":[],"buses":[{"id":5,"name":"x","output":5}])", "'output' makes a feedback loop");
    refused(R"("tracks":[],"buses":[{"id":6,"name":"y"},{"id":6,"name":"twin"}])", "'id' belongs to two channels");
    refused(R"("tracks":[{"id":1,"name":"a","file":"a.wav"},{"id":1,"name":"b","file":"b.wav"}])",
            "'id' belongs to two channels");
    refused(R"("tracks":[],"control_groups":[{"id":5,"name":"x","members":["one"]}])",
            "'control_groups[0].members' must be a list of whole numbers");
}

// --- the whole-song peak --------------------------------------------------------------------------------------------

TEST(MixPeaks, of_one_plan_after_another_are_those_of_full_rendering_to_the_bit) {
    Folder folder;
    std::mt19937 random(20261126);
    std::uniform_real_distribution<double> uniform(0.0, 1.0);
    std::vector<fs::path> files;
    for (uint32_t n = 0; n < 6; ++n) {
        const int channels = 1 + static_cast<int>(n % 2);
        files.push_back(write(folder / (std::to_string(n) + ".wav"),
                              make(70000 + 3000 * n, channels,
                                   [w = noise(n, 0.3), n](int64_t i, int c) {
                                       return w(i, c) *
                                              (0.3 + std::pow(std::sin(static_cast<double>(i) * 2e-4 + n), 4.0));
                                   }),
                              channels));
    }
    Mix mix(files);
    TrackId bus = 0, upper = 0, group = 0;
    mix.session = with_new_bus(with_new_bus(mix.session, "a", {}, {1, 2, 3}, &bus), "b", {}, {4}, &upper);
    mix.session = with_new_group(with_output(mix.session, {bus}, upper).value(), "g", {}, {2, 5, bus}, &group);
    std::map<std::string, MaterialPtr> known;
    const auto material = [&](const Track& t) {
        MaterialPtr& m = known[t.name + std::to_string(static_cast<int>(t.source.band))];
        if (!m) m = load_material(source_of(t), 48000).value();
        return m;
    };
    MixPeaks peaks(2);
    int64_t rendered_stretches = 0, stretches = 0;
    const auto random_ride = [&]() -> std::shared_ptr<const Curve> {
        Curve c;
        for (int p = 0; p < 5; ++p) c.insert({1.6 * uniform(random), -12.0 + 18.0 * uniform(random)});
        return std::make_shared<const Curve>(c);
    };
    for (int round = 0; round < 220; ++round) {
        const auto any = static_cast<size_t>(uniform(random) * 5.999);
        const double u = uniform(random);
        if (u < 0.35)
            mix.change(any,
                       [&](Track& t) { t.fader_db = std::max(-40.0, t.fader_db) + 4.0 * (uniform(random) - 0.5); });
        else if (u < 0.45)
            mix.change(any, [&](Track& t) { t.pan = 2.0 * uniform(random) - 1.0, t.width = 2.0 * uniform(random); });
        else if (u < 0.52)
            mix.change(any, [&](Track& t) { t.mute = !t.mute; });
        else if (u < 0.56)
            mix.change(any, [&](Track& t) { t.fader_db = silence_db; });
        else if (u < 0.66) {
            // Any parameter of any row is ridden, or not any more.
            const TrackId rows[] = {mix.id(any), mix.id(any), bus, upper, group, main_output};
            const TrackId row = rows[static_cast<size_t>(uniform(random) * 5.999)];
            const Parameter p = parameters()[static_cast<size_t>(uniform(random) * 4.999)];
            const ParameterInfo& info = info_of(p);
            Curve c;
            for (int n = 0; n < 5 && uniform(random) < 0.9; ++n) {
                RidePoint point{1.6 * uniform(random),
                                std::max(info.low, -20.0) +
                                    (std::min(info.high, 6.0) - std::max(info.low, -20.0)) * uniform(random)};
                point.segment = static_cast<Segment>(static_cast<int>(uniform(random) * 3.999));
                c.insert(point);
            }
            if (can_be_ridden(mix.session.row_kind(row), p))
                mix.session = with_ride(mix.session, row, p, uniform(random) < 0.4 ? Curve{} : c);
        } else if (u < 0.68)
            mix.session.rides_bypassed = uniform(random) < 0.3;
        else if (u < 0.72)
            mix.session = with_bus(mix.session, bus, [&](Bus& b) { b.width = 2.0 * uniform(random); });
        else if (u < 0.75)
            mix.session = with_bus(mix.session, bus, [&](Bus& b) {
                b.fader_db = -6.0 * uniform(random),
                b.rides.set(Parameter::level, uniform(random) < 0.5 ? nullptr : random_ride());
            });
        else if (u < 0.77)
            mix.session = with_group(mix.session, group, [&](ControlGroup& g) { g.fader_db = -9.0 * uniform(random); });
        else if (u < 0.8)
            mix.session = with_bus(mix.session, upper, [&](Bus& b) { b.mute = !b.mute, b.pan = uniform(random); });
        else if (u < 0.84)
            mix.session.main_fader_db = -6.0 * uniform(random);
        else if (u < 0.88)
            mix.change(any, [&](Track& t) { t.polarity_inverted = !t.polarity_inverted; });
        else if (u < 0.9)
            mix.change(any, [&](Track& t) { t.delay_samples = std::floor(600.0 * uniform(random)); });  // begins anew
        else if (u < 0.95)
            for (size_t n = 0; n < files.size(); ++n) mix.change(n, [](Track& t) { t.fader_db -= 1.5; });
        const PlanPtr plan = compile_plan(mix.session, material);
        if (uniform(random) < 0.2) {
            ASSERT_TRUE(peaks.settle(plan));
        }
        const MixPeak found = peaks.find(plan).value();
        rendered_stretches += peaks.rendered();
        stretches += (plan->frames + MixPeaks::stretch_frames - 1) / MixPeaks::stretch_frames;
        const auto all = rendered(plan, 4096);
        float peak = 0.0f;
        size_t at = 0;
        for (size_t i = 0; i < all.size(); ++i)
            if (std::fabs(all[i]) > peak) peak = std::fabs(all[i]), at = i;
        ASSERT_EQ(found.peak, peak) << "round " << round;
        ASSERT_EQ(found.frame, static_cast<int64_t>(at / 2)) << "round " << round;
    }
    EXPECT_LT(rendered_stretches, stretches / 2);  // and it is a search, not a full rendering each time
}

TEST(MixPeaks, tell_the_worst_moments_apart) {
    Folder folder;
    Mix mix(
        {write(folder / "a.wav",
               make(480000, 1,
                    [](int64_t i, int) {
                        return i == 100000 ? 0.9 : i == 101000 ? 0.85 : i == 300000 ? -0.8 : i == 450000 ? 0.5 : 0.01;
                    }),
               1)});
    mix.session.pan_law = PanLaw::balance;
    const PlanPtr plan = mix.plan();
    MixPeaks peaks;
    ASSERT_TRUE(peaks.settle(plan));
    const auto worst = peaks.worst_moments(3, 48000);
    ASSERT_EQ(worst.size(), 3u);
    EXPECT_EQ(worst[0].frame, 100000);
    EXPECT_EQ(worst[1].frame, 300000);
    EXPECT_EQ(worst[2].frame, 450000);
    ASSERT_TRUE(peaks.find(plan));
    EXPECT_EQ(peaks.rendered(), 0);
}

TEST(BusPeaks, of_a_bus_that_only_sums_are_those_of_what_leaves_it) {
    Folder folder;
    Mix mix({write(folder / "1.wav", make(30000, 1, noise(1, 0.4)), 1),
             write(folder / "2.wav", make(30000, 2, noise(2, 0.4)), 2),
             write(folder / "3.wav", make(30000, 1, noise(3, 0.4)), 1)});
    TrackId inner = 0, outer = 0;
    mix.session = with_new_bus(mix.session, "Inner", std::nullopt, {mix.id(0), mix.id(1)}, &inner);
    mix.session = with_new_bus(mix.session, "Outer", std::nullopt, {mix.id(2)}, &outer);
    mix.session = with_bus(mix.session, inner, [&](Bus& b) { b.fader_db = -3.0, b.pan = 0.4, b.output = outer; });
    mix.session = with_bus(mix.session, outer, [](Bus& b) { b.fader_db = -6.0, b.width = 0.5; });
    mix.session = with_ride(mix.session, inner, Parameter::level, Curve{{{0.1, 0.0}, {0.5, 6.0}}});
    mix.session.main_fader_db = -9.0;
    const auto wanted = [&](TrackId bus) {
        // The same rows, and nothing after that bus.
        Mix alone = mix;
        alone.session.main_fader_db = 0.0;
        if (bus == inner) {
            alone.change(2, [](Track& t) { t.mute = true; });
            alone.session = with_bus(alone.session, outer, [](Bus& b) { b.fader_db = 0.0, b.width = 1.0; });
        }
        return whole_song_peak(alone.plan()).value().peak;
    };
    for (const TrackId bus : {inner, outer}) {
        const PlanPtr of = plan_of_bus(*mix.plan(), bus);
        ASSERT_TRUE(of);
        EXPECT_EQ(whole_song_peak(of).value().peak, wanted(bus));
    }
    EXPECT_FALSE(plan_of_bus(*mix.plan(), mix.id(0)));
}

TEST(ControlGroup, mutes_and_solos_what_it_moves) {
    Folder folder;
    Four mix(folder);
    TrackId bus = 0, group = 0;
    mix.session = with_new_bus(mix.session, "pair", std::nullopt, {mix.id(2), mix.id(3)}, &bus);
    mix.session = with_new_group(mix.session, "front", std::nullopt, {mix.id(0), bus}, &group);
    const auto of = [&](std::vector<TrackId> ids) {
        Four other(folder);
        other.session = with_only(mix.session, ids);
        return rendered(other.plan(), 4096);
    };
    const auto set = [&](const std::function<void(ControlGroup&)>& change) {
        mix.session = with_group(mix.session, group, change);
    };
    // Muted: what is in no group is left; its own mute and its bus's are as they were.
    set([](ControlGroup& g) { g.mute = true; });
    EXPECT_EQ(rendered(mix.plan(), 4096), of({mix.id(1)}));
    EXPECT_FALSE(mix.session.is_open(*mix.session.find(mix.id(0))));
    EXPECT_FALSE(mix.session.is_open(*mix.session.find(mix.id(2)))) << "by way of its bus";
    EXPECT_FALSE(mix.session.find(mix.id(0))->mute);
    set([](ControlGroup& g) { g.mute = false, g.solo = true; });
    EXPECT_TRUE(mix.session.any_solo());
    const PlanPtr heard = mix.plan();
    EXPECT_EQ(heard->tracks[1].fader_gain, 0.0);
    EXPECT_NE(heard->tracks[0].fader_gain, 0.0);
    EXPECT_NE(heard->tracks[3].fader_gain, 0.0);
    EXPECT_FALSE(with_track_alone(mix.session, mix.id(1)).is_soloed(*mix.session.find(mix.id(0))))
        << "one track alone knows no groups";
    // What leaves as a file leaves solo aside.
    const MaterialOf files = [](const Track& t) { return load_material(source_of(t), 48000).value(); };
    EXPECT_NE(compile_plan(mix.session, files, Solo::left_out)->tracks[1].fader_gain, 0.0);
    const std::string text = session_to_json(mix.session, "/");
    const Session back = session_from_json(text, "/s.isotonus").value();
    EXPECT_TRUE(back.groups[0].solo);
    EXPECT_EQ(session_to_json(back, "/"), text);
}

TEST(Rides, one_that_is_out_is_kept_and_not_heard) {
    Folder folder;
    Four mix(folder);
    const auto before = rendered(mix.plan(), 4096);
    mix.change(0, [](Track& t) {
        t.rides.set(Parameter::level, ride({{0.0, -12.0}}));
        t.rides.set(Parameter::pan, ride({{0.0, 0.5}}));
        t.rides.set_out(Parameter::pan, true);
        t.rides.set_out(Parameter::width, true);  // there is none: nothing to take out
    });
    const Track& t = *mix.session.tracks[0];
    EXPECT_TRUE(t.rides.any_bypassed() && t.rides.is_out(Parameter::pan) && !t.rides.is_out(Parameter::width));
    EXPECT_FALSE(t.rides.heard(Parameter::pan));
    EXPECT_TRUE(t.rides.heard(Parameter::level));
    Four level_only(folder);
    level_only.change(0, [](Track& x) { x.rides.set(Parameter::level, ride({{0.0, -12.0}})); });
    EXPECT_EQ(rendered(mix.plan(), 4096), rendered(level_only.plan(), 4096));
    mix.change(0, [](Track& x) { x.rides.set_out(Parameter::level, true); });
    EXPECT_EQ(rendered(mix.plan(), 4096), before);
    // In the file by name; what a newer version had out stays in it.
    std::string text = session_to_json(mix.session, "/");
    Session back = session_from_json(text, "/s.isotonus").value();
    EXPECT_TRUE(back.tracks[0]->rides.is_out(Parameter::pan) && back.tracks[0]->rides.is_out(Parameter::level));
    EXPECT_EQ(session_to_json(back, "/"), text);
    auto document = nlohmann::json::parse(text);
    document["tracks"][0]["rides_out"].push_back("colour");
    back = session_from_json(document.dump(), "/s.isotonus").value();
    EXPECT_EQ(nlohmann::json::parse(session_to_json(back, "/"))["tracks"][0]["rides_out"].size(), 3u);
    // Taken away it is not out any more when it is drawn again.
    mix.session = with_ride(mix.session, mix.id(0), Parameter::pan, {});
    mix.session = with_ride(mix.session, mix.id(0), Parameter::pan, {{{0.0, 1.0}}});
    EXPECT_TRUE(mix.session.tracks[0]->rides.heard(Parameter::pan));
}
