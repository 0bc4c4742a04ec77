// Stems that hold what returns and buses with chains make of their rows.
#include "core/mix/row_shares.h"

#include <gmock/gmock.h>

#include "core/handoff/delivery.h"
#include "tests/support/sending.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::Lt;
using testing::Optional;

namespace {

/// Two tracks in a bus that is pressed, both sent to a return, and the bus is sent there too.
struct Sharing : Sending {
    TrackId pair = 0;
    explicit Sharing(const Folder& folder) : Sending(folder) {
        session = with_new_bus(session, "Pair", std::nullopt, {id(0), id(1)}, &pair);
        change(0, [](Track& t) { t.fader_db = 3.0, t.pan = -0.4; });
        change(1, [](Track& t) { t.fader_db = -2.0; });
        send(id(0), hall, [](Send& s) { s.level_db = -6.0; });
        send(pair, hall, [](Send& s) { s.level_db = -9.0, s.before_fader = true; });
        bus(pair, [](Bus& b) { b.trim_db = -1.0, b.fader_db = -2.0, b.pan = 0.2; });
        chain(hall, {processor("reverb", {{"decay_s", 0.4}})});
    }
    Delivery stems(const fs::path& to) const {
        Delivery d;
        d.folder = to;
        d.session_name = "boats";
        d.stems = StemSplit::tracks;
        d.format = SampleFormat::f32;
        d.shares = true;
        return d;
    }
    Result<DeliveryReport> run(const Delivery& d) { return deliver(shaped_plan(), session, d); }
};

/// Every processor of level, each with something that it might get wrong: a mix beside it, a gain before it, a look
/// ahead, a filtered key, a ride.
Chain pressing() {
    return {processor("equaliser", {{"band1.db", 4.0}, {"band1.hz", 900.0}}, 1),
            processor("compressor",
                      {{"threshold_dbfs", -30.0},
                       {"ratio", 6.0},
                       {"lookahead_ms", 3.0},
                       {"input_db", 4.0},
                       {"mix", 70.0},
                       {"key_low_cut_hz", 120.0}},
                      2),
            processor("gate", {{"threshold_dbfs", -25.0}, {"range_db", 20.0}}, 3),
            processor("transient", {{"attack_db", 6.0}, {"sustain_db", -4.0}}, 4),
            processor("width", {{"width", 60.0}}, 5),
            processor("limiter", {{"ceiling_dbtp", -9.0}}, 6)};
}

}  // namespace

TEST(Shares, of_rows_in_a_pressed_bus_and_its_return_sum_to_the_mix) {
    Folder folder;
    Sharing mix(folder);
    mix.chain(mix.pair, pressing());
    mix.session = with_ride(mix.session, mix.pair, *parameter_called(mix.session, mix.pair, "compressor.input_db"),
                            Curve{{{0.1, -3.0}, {0.8, 6.0}}});
    const auto report = mix.run(mix.stems(folder / "out"));
    ASSERT_TRUE(report) << report.error().text();
    ASSERT_EQ(report->files.size(), 3u) << "the mix and a stem of each track; none of the bus or the return";
    EXPECT_THAT(report->residue_dbfs, Optional(Lt(-120.0)));
    // The bus works on what is there: neither stem is silent, and neither is what the chain would make of it alone.
    const auto mixed = read(report->files[0].file), one = read(report->files[1].file);
    EXPECT_EQ(mixed, mix.now()) << "the mix itself is as it was, to the bit";
    Sharing alone(folder);
    alone.chain(alone.pair, pressing());
    alone.change(1, [](Track& t) { t.mute = true; });
    const auto by_itself = alone.now();
    double apart = 0.0;
    for (size_t i = 0; i < std::min(one.size(), by_itself.size()); ++i)
        apart = std::max(apart, std::fabs(static_cast<double>(one[i] - by_itself[i])));
    EXPECT_GT(apart, 0.01);
}

TEST(Shares, of_the_only_row_are_all_of_the_mix) {
    Folder folder;
    Sharing mix(folder);
    mix.chain(mix.pair, pressing());
    mix.change(1, [](Track& t) { t.mute = true; });
    const auto report = mix.run(mix.stems(folder / "out"));
    ASSERT_TRUE(report) << report.error().text();
    ASSERT_EQ(report->files.size(), 2u);
    EXPECT_LT(report->residue_dbfs.value_or(-200.0), -140.0);
}

TEST(Shares, what_is_not_linear_is_told_before_anything_is_written_and_is_what_the_files_differ_by) {
    Folder folder;
    Sharing mix(folder);
    const Delivery d = mix.stems(folder / "out");
    const auto plain = stems_residue(mix.shaped_plan(), mix.session, d);
    ASSERT_TRUE(plain) << plain.error().text();
    EXPECT_THAT(*plain, Optional(Lt(-120.0)));
    mix.chain(mix.pair, {processor("saturation", {{"drive_db", 18.0}})});
    const auto driven = stems_residue(mix.shaped_plan(), mix.session, d);
    ASSERT_TRUE(driven && *driven);
    EXPECT_GT(**driven, -40.0);
    EXPECT_FALSE(fs::exists(folder / "out"));
    EXPECT_NEAR(mix.run(d).value().residue_dbfs.value(), **driven, 1e-6);
    // As stems of their own, buses are what they are, and sum to the mix.
    Delivery own = d;
    own.shares = false;
    EXPECT_THAT(stems_residue(mix.shaped_plan(), mix.session, own).value(), Optional(Lt(-120.0)));
}

TEST(Shares, are_the_same_before_the_main_fader_by_families_and_with_a_main_chain) {
    Folder folder;
    Sharing mix(folder);
    mix.chain(mix.pair, pressing());
    mix.change(0, [](Track& t) { t.family = Family::bass; });
    mix.change(1, [](Track& t) { t.family = Family::keys; });
    mix.session.main_fader_db = -5.0;
    mix.session.main_chain = {processor("compressor", {{"threshold_dbfs", -30.0}})};
    ASSERT_TRUE(mix.row_signals.make(mix.session, mix.file_of()));
    const MixPlans plans =
        compile_mix_plans(mix.session, mix.row_signals.played_by(mix.session, mix.file_of()), Solo::left_out);
    Delivery d = mix.stems(folder / "out");
    d.finished = plans.finished;
    d.main_chain = MainChain::both;
    d.stems = StemSplit::families;
    d.stems_before_main = true;
    const auto report = deliver(plans.bare, mix.session, d);
    ASSERT_TRUE(report) << report.error().text();
    EXPECT_THAT(report->residue_dbfs, Optional(Lt(-120.0)));
    EXPECT_EQ(read(report->files[0].file), rendered(plans.bare, 4096));
    EXPECT_EQ(read(report->files[1].file), rendered(plans.finished, 4096));
}

TEST(Shares, can_be_cancelled_and_leave_nothing) {
    Folder folder;
    Sharing mix(folder);
    mix.chain(mix.pair, pressing());
    Progress progress;
    progress.cancel();
    const auto report = deliver(mix.shaped_plan(), mix.session, mix.stems(folder / "out"), &progress);
    ASSERT_FALSE(report);
    EXPECT_EQ(report.error().what, "cancelled");
    EXPECT_TRUE(!fs::exists(folder / "out") || fs::is_empty(folder / "out"));
}
