// What rides do to the sound: every parameter, on every kind of row.
#include <fstream>
#include <numbers>

#include "core/mix/mixdown.h"
#include "core/mix/renderer.h"
#include "core/ride/parameter.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

std::vector<float> rendered(const PlanPtr& plan, int64_t block = 4096) {
    std::vector<float> out(static_cast<size_t>(2 * plan->frames));
    auto reader = PlanReader::open(plan, false).value();
    Renderer renderer(plan);
    for (int64_t at = 0; at < plan->frames; at += block) {
        const int64_t part = std::min(block, plan->frames - at);
        renderer.process(at, part, reader.read(at, part).value(), out.data() + 2 * at);
    }
    return out;
}

Curve line(std::initializer_list<RidePoint> points) { return Curve{points}; }

class RiddenRows : public testing::Test {
  protected:
    Folder folder;
    /// Constant signals: what comes out are the gains.
    Mix dc(int channels) {
        return Mix({write(folder / ("dc" + std::to_string(channels) + ".wav"),
                          make(48000, channels, [](int64_t, int c) { return c == 0 ? 0.5 : 0.25; }), channels)});
    }
};

}  // namespace

TEST_F(RiddenRows, pan_and_width_are_what_numpy_evaluates_at_every_sample) {
    // Independent evaluation of what render_plan.h says: the laws at every 32nd frame, straight between.
    Mix mono = dc(1), stereo = dc(2);
    const Curve pan = line({{0.1, -1.0}, {0.4, 0.8, Segment::smooth}, {0.7, -0.3, Segment::step}, {0.9, 0.5}});
    const Curve width = line({{0.2, 0.0}, {0.8, 2.0}});
    mono.session = with_ride(mono.session, mono.id(0), Parameter::pan, pan);
    mono.change(0, [](Track& t) { t.pan = 0.9; });  // the ride stands for it
    stereo.session =
        with_ride(with_ride(stereo.session, stereo.id(0), Parameter::pan, pan), stereo.id(0), Parameter::width, width);
    std::ofstream(folder / "p.py") << R"(
import numpy
t = numpy.arange(0, 48032, 32) / 48000.0
pan = numpy.where(t < 0.1, -1.0, 0.0)
def part(a, t0, t1, v0, v1, f):
    i = (t >= t0) & (t < t1)
    a[i] = v0 + (v1 - v0) * f((t[i] - t0) / (t1 - t0))
part(pan, 0.1, 0.4, -1.0, 0.8, lambda u: u)
part(pan, 0.4, 0.7, 0.8, -0.3, lambda u: u * u * (3 - 2 * u))
pan[(t >= 0.7) & (t < 0.9)] = -0.3
pan[t >= 0.9] = 0.5
width = numpy.clip((t - 0.2) / 0.6, 0, 1) * 2.0
frames = numpy.arange(48000) / 32.0
def between(a): return numpy.interp(frames, numpy.arange(len(a)), a)
angle = (pan + 1) * numpy.pi / 4
m = numpy.stack([between(numpy.cos(angle)), between(numpy.sin(angle))], 1) * 0.5
l = numpy.cos(numpy.clip(pan, 0, 1) * numpy.pi / 2)
r = numpy.cos(numpy.clip(-pan, 0, 1) * numpy.pi / 2)
own, other = (1 + width) / 2, (1 - width) / 2
s = numpy.stack([between(l * own) * 0.5 + between(l * other) * 0.25, between(r * own) * 0.25 + between(r * other) * 0.5], 1)
m.astype('f4').tofile('mono')
s.astype('f4').tofile('stereo')
)";
    int status = 0;
    output_of("cd '" + folder.path().string() + "' && /usr/bin/python3 p.py", &status);
    ASSERT_EQ(status, 0);
    for (const auto& [mix, name] : {std::pair{&mono, "mono"}, std::pair{&stereo, "stereo"}}) {
        std::vector<float> expected(96000);
        std::ifstream(folder / name, std::ios::binary).read(reinterpret_cast<char*>(expected.data()), 96000 * 4);
        const auto out = rendered(mix->plan());
        for (size_t i = 0; i < out.size(); ++i) ASSERT_NEAR(out[i], expected[i], 2e-7) << name << i;
        for (const int64_t block : {1, 31, 700}) EXPECT_EQ(rendered(mix->plan(), block), out) << block;
    }
}

TEST_F(RiddenRows, level_trim_group_and_main_rides_add_up_in_db) {
    Mix mix = dc(1);
    mix.session.pan_law = PanLaw::balance;
    TrackId group = 0, bus = 0;
    mix.session = with_new_group(with_new_bus(mix.session, "b", {}, {mix.id(0)}, &bus), "g", {}, {mix.id(0)}, &group);
    const auto add = [&](TrackId row, Parameter p, double db) {
        mix.session = with_ride(mix.session, row, p, line({{0.0, db}}));
    };
    add(mix.id(0), Parameter::level, -1.0);
    add(mix.id(0), Parameter::trim, -2.0);
    add(group, Parameter::level, -3.0);
    add(bus, Parameter::level, 4.0);
    add(main_output, Parameter::level, -6.0);
    EXPECT_NEAR(rendered(mix.plan())[20000], 0.5 * std::pow(10.0, -8.0 / 20.0), 1e-6);
    const PlanPtr plan = mix.plan();
    EXPECT_NEAR(plan->parts[0].ride_to_main_at(0.5), std::pow(10.0, -8.0 / 20.0), 1e-9);
    mix.session = with_rides(mix.session, group, [](Rides& r) { r.bypassed = true; });
    EXPECT_NEAR(rendered(mix.plan())[20000], 0.5 * std::pow(10.0, -5.0 / 20.0), 1e-6);
    mix.session.rides_bypassed = true;
    EXPECT_EQ(rendered(mix.plan())[20000], 0.5f);
}

TEST_F(RiddenRows, mutes_open_and_close_in_5_ms_and_stay) {
    Mix mix = dc(1);
    mix.session.pan_law = PanLaw::balance;
    const Curve mute{{{0.0, 0.0, Segment::step}, {0.25, 1.0, Segment::step}, {0.5, 0.0, Segment::step}}};
    mix.session = with_ride(mix.session, mix.id(0), Parameter::mute, mute);
    const auto out = rendered(mix.plan());
    const auto at = [&](double s) { return out[2 * static_cast<size_t>(std::llround(s * 48000))]; };
    EXPECT_EQ(at(0.2499), 0.5f);
    EXPECT_NEAR(at(0.2525), 0.25, 1e-4);  // half of the 5 ms
    EXPECT_EQ(at(0.2551), 0.0f);
    EXPECT_EQ(at(0.4999), 0.0f);
    EXPECT_EQ(at(0.5051), 0.5f);
    // A line through the middle turns there; turns closer than the ramp meet half way.
    EXPECT_NEAR(gate_of(line({{1.0, 0.0}, {2.0, 1.0}})).value_at(1.5025), 0.5, 1e-6);
    const Curve quick{{{1.0, 1.0, Segment::step}, {1.001, 0.0, Segment::step}}};
    EXPECT_NEAR(gate_of(quick).value_at(0.5), 0.0, 1e-12);
    EXPECT_NEAR(gate_of(quick).value_at(1.01), 1.0, 1e-12);
    for (double t = 0.9; t < 1.2; t += 1e-4)
        EXPECT_LE(std::fabs(gate_of(quick).value_at(t + 1e-4) - gate_of(quick).value_at(t)), 0.0201);
}

TEST_F(RiddenRows, sides_that_are_placed_apart_ride_each_by_itself) {
    Mix mix = dc(2);
    mix.change(0, [](Track& t) { t.dual_pan = true, t.left_pan = -0.5, t.right_pan = 0.5; });
    // Rides of what is not in use are kept, and not heard.
    mix.session = with_ride(mix.session, mix.id(0), Parameter::pan, line({{0.0, 1.0}}));
    const auto still = rendered(mix.plan());
    mix.session = with_ride(mix.session, mix.id(0), Parameter::right_pan, line({{0.2, 1.0}, {0.8, -1.0}}));
    const PlanPtr plan = mix.plan();
    const auto out = rendered(plan);
    EXPECT_EQ(rendered(plan, 480), out);
    for (const int64_t frame : {0, 4800, 24000, 31200, 47000}) {
        // Each side as a mono track at its place, constant power: right's value on a line from 1 to -1.
        const double t = static_cast<double>(frame) / 48000.0;
        const double right = t < 0.2 ? 1.0 : t > 0.8 ? -1.0 : 1.0 - 2.0 * (t - 0.2) / 0.6;
        const auto at = [](double pan, double sign) {
            const double a = (pan + 1.0) * std::numbers::pi / 4.0;
            return sign < 0.0 ? std::cos(a) : std::sin(a);
        };
        for (const double side : {-1.0, 1.0})
            EXPECT_NEAR(out[static_cast<size_t>(2 * frame + (side > 0.0))],
                        0.5 * at(-0.5, side) + 0.25 * at(right, side), 2e-5)
                << frame;
        EXPECT_NEAR(still[static_cast<size_t>(2 * frame)], 0.5 * at(-0.5, -1.0) + 0.25 * at(0.5, -1.0), 1e-6);
        const RowGains& row = plan->parts[0];
        const GainMatrix now = row.at(t), most = row.bound(48000.0, frame, 1);
        EXPECT_LE(std::fabs(now.left_from_right), most.left_from_right + 1e-12);
        EXPECT_LE(std::fabs(now.right_from_right), most.right_from_right + 1e-12);
    }
    // Together again they are passed over.
    mix.change(0, [](Track& t) { t.dual_pan = false; });
    EXPECT_NEAR(rendered(mix.plan())[48001], 0.25, 1e-6);
    EXPECT_FALSE(can_be_ridden(RowKind::bus, Parameter::left_pan));
    EXPECT_FALSE(is_in_use(mix.session, mix.id(0), Parameter::left_pan));
}

TEST_F(RiddenRows, the_main_outputs_pan_and_width_ride_too) {
    Mix mix = dc(2);
    mix.session = with_ride(mix.session, main_output, Parameter::width, line({{0.0, 0.0}}));
    auto out = rendered(mix.plan());
    EXPECT_NEAR(out[1000], 0.375, 1e-6);
    EXPECT_NEAR(out[1001], 0.375, 1e-6);
    mix.session = with_ride(mix.session, main_output, Parameter::pan, line({{0.0, 1.0}}));
    out = rendered(mix.plan());
    EXPECT_NEAR(out[1000], 0.0, 1e-6);
    EXPECT_NEAR(out[1001], 0.375, 1e-6);
}

TEST(Parameters, have_ids_ranges_and_laws_that_go_back) {
    for (const Parameter p : parameters()) {
        EXPECT_EQ(parameter_named(info_of(p).id), p);
        EXPECT_GE(p.info().rest, p.info().low);
        EXPECT_LE(p.info().rest, p.info().high);
        for (double at = 0.09; at <= 1.0; at += 0.013) {
            if (p.info().law == ControlTaper::toggle) continue;
            EXPECT_NEAR(position_of(p, value_at_position(p, at)), at, 1e-9) << info_of(p).id;
        }
    }
    EXPECT_FALSE(parameter_named("warmth"));
    EXPECT_TRUE(can_be_ridden(RowKind::main, Parameter::pan));
    EXPECT_FALSE(can_be_ridden(RowKind::group, Parameter::pan));
    EXPECT_NEAR(fader_db_at(0.78), 0.0, 1e-12);
    EXPECT_TRUE(std::isinf(fader_db_at(0.0)));
    EXPECT_EQ(fader_position(silence_db), 0.0);
}

TEST(SessionFile, keeps_rides_of_all_rows_hand_off_and_recordings) {
    Session s = with_files({}, {"/x/a.wav", "/x/b.wav"});
    TrackId bus = 0, group = 0;
    s = with_new_group(with_new_bus(s, "bus", {}, {1}, &bus), "group", {}, {2}, &group);
    const Curve c{{{1.0, 0.5, Segment::bend, -0.3, true}, {2.0, 0.0}}};
    for (const TrackId row : {TrackId{1}, bus, group, main_output})
        for (const Parameter p : parameters())
            if (can_be_ridden(s.row_kind(row), p)) s = with_ride(s, row, p, c);
    s = with_rides(s, bus, [](Rides& r) { r.bypassed = true; });
    s.rides_bypassed = true;
    s.hand_off.profile = HandOffProfile::own;
    s.hand_off.own.min_lufs = -17.5;
    s.hand_off.notes = "keep the lanterns soft";
    s.recordings = {{"first", "/x/prints/first.wav", false, "2030-01-01 10:00", "dull", -18.2, -6.1, -5.9},
                    {"other", "/y/other.flac", true, "", "", {}, {}, {}}};
    const std::string text = session_to_json(s, "/x");
    const Session back = session_from_json(text, "/x/s.isotonus").value();
    for (const TrackId row : {TrackId{1}, bus, group, main_output})
        for (const Parameter p : parameters()) {
            const CurvePtr &a = (*s.rides_of(row))[p], &b = (*back.rides_of(row))[p];
            ASSERT_EQ(a != nullptr, b != nullptr) << row << info_of(p).id;
            if (a) {
                EXPECT_EQ(*a, *b);
            }
        }
    EXPECT_TRUE(back.find_bus(bus)->rides.bypassed && back.rides_bypassed && !back.main_rides.bypassed);
    EXPECT_EQ(back.hand_off, s.hand_off);
    EXPECT_EQ(back.recordings, s.recordings);
    EXPECT_EQ(session_to_json(back, "/x"), text);
}
