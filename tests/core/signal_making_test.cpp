// Signals that are read while they are made, and such as are streamed: always the bits that they have once they are
// made.
#include <gmock/gmock.h>

#include <fstream>

#include "core/mix/mix_peak.h"
#include "core/mix/sum_of_rows.h"
#include "tests/support/sending.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::HasSubstr;

namespace {

/// Everything that makes rows depend on others: keys, a low end in the centre, a bus with a chain, one of its sends, a
/// return with a long memory, a chain on the main output.
struct Everything : Sending {
    TrackId drums = 0, echo = 0;
    explicit Everything(const Folder& folder, unsigned seed) : Sending(folder) {
        std::mt19937 random(seed);
        session = with_new_bus(session, "Drums", std::nullopt, {id(0)}, &drums);
        session = with_new_bus(session, "Echo", std::nullopt, {}, &echo);
        const auto shape = [&](TrackId row, uint64_t key) {
            auto [made, rides] = random_chain(random, key);
            chain(row, made);
            for (const auto& [parameter, curve] : rides.all()) session = with_ride(session, row, parameter, *curve);
        };
        shape(id(0), id(1));
        shape(id(1), 0);
        change(1, [](Track& t) { t.mono_below_hz = 150.0; });
        shape(drums, id(1));
        chain(hall, {processor("reverb", {{"decay_s", 0.6}}, 1), processor("compressor", {{"lookahead_ms", 5.0}}, 2)});
        chain(echo, {processor("delay", {{"left_ms", 90.0}}, 1)});
        chain(main_output, {processor("saturation", {}, 1), processor("limiter", {}, 2)});
        for (const TrackId row : {id(0), id(1), drums}) send(row, hall, [](Send& s) { s.level_db = -6.0; });
        send(hall, echo, [](Send&) {});
    }
};

std::vector<float> samples_of(const Material& material, int64_t block) {
    auto reader = material.open().value();
    const auto wide = static_cast<size_t>(reader->channels());
    std::vector<float> all(static_cast<size_t>(material.frames()) * wide);
    for (int64_t at = 0; at < material.frames(); at += block)
        EXPECT_TRUE(
            reader->read(at, std::min(block, material.frames() - at), all.data() + static_cast<size_t>(at) * wide));
    return all;
}

SignalRecipe noisy(const fs::path& file, Chain chain) {
    SignalRecipe recipe;
    recipe.source.material = load_material(file, 48000).value();
    recipe.chain = std::move(chain);
    return recipe;
}

const Chain late_and_long{processor("saturation", {}, 1), processor("delay", {{"left_ms", 120.0}}, 2),
                          processor("compressor", {{"lookahead_ms", 3.0}, {"threshold_dbfs", -30.0}}, 3)};

}  // namespace

TEST(SignalMaking, many_may_read_while_it_is_made_and_all_read_the_bits_that_it_has_then) {
    Folder folder;
    const SignalRecipe recipe = noisy(write(folder / "noise.wav", make(150000, 2, noise(3, 0.5)), 2), late_and_long);
    const MaterialPtr made = make_signal(recipe).value();
    const auto whole = samples_of(*made, 4096);
    for (int round = 0; round < (sanitized ? 2 : 10); ++round) {
        const BegunSignal begun = *BegunSignal::begin(recipe);
        EXPECT_EQ(begun.material()->sound->content_key(), made->sound->content_key());
        std::atomic<int> wrong{0};
        std::vector<std::jthread> readers;
        for (unsigned n = 0; n < 3; ++n)
            readers.emplace_back([&, n] {
                std::mt19937 random(n);
                auto reader = begun.material()->open().value();
                for (int k = 0; k < 40; ++k) {
                    const auto at = static_cast<int64_t>(random() % 149000);
                    std::vector<float> part(2000);
                    const float* there = k % 2 == 0 ? reader->view(at, 1000) : nullptr;
                    if (!there && reader->read(at, 1000, part.data())) there = part.data();
                    wrong += !there || !std::equal(there, there + 2000, whole.begin() + 2 * at);
                }
            });
        // Now and then nobody but who reads makes it.
        Result<MaterialPtr> finished = MaterialPtr();
        if (round % 3 == 0) readers.clear();
        finished = begun.finish();
        readers.clear();
        ASSERT_TRUE(finished);
        EXPECT_EQ(wrong, 0);
        EXPECT_EQ(*finished, begun.material());
        EXPECT_EQ(samples_of(**finished, 700), whole);
        // And it is known like one that nobody read meanwhile.
        EXPECT_EQ((*finished)->measurement.true_peak_dbtp, made->measurement.true_peak_dbtp);
        EXPECT_EQ((*finished)->summary.high, made->summary.high);
        EXPECT_EQ(signal_of(*finished)->reductions(2), signal_of(made)->reductions(2));
        EXPECT_EQ(signal_of(*finished)->checkpoint_bytes(), signal_of(made)->checkpoint_bytes());
    }
}

TEST(SignalMaking, one_that_was_cancelled_can_be_read_and_finished_later) {
    Folder folder;
    const SignalRecipe recipe = noisy(write(folder / "a.wav", make(90000, 1, noise(4, 0.5)), 1), late_and_long);
    const auto whole = samples_of(*make_signal(recipe).value(), 4096);
    const BegunSignal begun = *BegunSignal::begin(recipe);
    Progress progress;
    progress.cancel();
    const auto stopped = begun.finish(&progress);
    ASSERT_FALSE(stopped);
    EXPECT_EQ(stopped.error().text(), make_signal(recipe, &progress).error().text());
    EXPECT_EQ(samples_of(*begun.material(), 5000), whole);
    ASSERT_TRUE(begun.finish());
    EXPECT_TRUE(begun.material()->measurement.sample_peak_dbfs);
}

TEST(SignalMaking, one_that_is_given_up_reads_no_more_than_the_stretch_it_is_in) {
    Folder folder;
    for (const bool of_bus : {false, true}) {
        Progress progress;
        int64_t furthest = 0;
        SignalRecipe recipe;
        recipe.chain = late_and_long;
        recipe.source.material = Computed::material(10 * 60 * 48000, [&](int64_t first, int64_t frames) {
            furthest = std::max(furthest, first + frames);
            if (first >= 48000) progress.cancel();
        });
        const auto made = of_bus ? BegunSignal::begin(recipe)->finish(&progress) : make_signal(recipe, &progress);
        ASSERT_FALSE(made);
        EXPECT_TRUE(made.error().cancelled);
        EXPECT_LT(furthest, 4 * 48000) << "of ten minutes";
    }
}

TEST(SignalMaking, what_goes_wrong_is_told_to_all_who_read_and_to_who_makes_it) {
    Folder folder;
    const fs::path file = write(folder / "gone.wav", make(90000, 1, noise(5, 0.5)), 1);
    const SignalRecipe recipe = noisy(file, late_and_long);
    fs::remove(file);
    const BegunSignal begun = *BegunSignal::begin(recipe);
    auto reader = begun.material()->open().value();
    float sample = 0.0f;
    EXPECT_THAT(reader->read(0, 1, &sample).error().text(), HasSubstr("gone.wav"));
    EXPECT_EQ(reader->view(0, 1), nullptr);
    EXPECT_THAT(begun.finish().error().text(), HasSubstr("gone.wav"));
    const MaterialPtr streamed = BegunSignal::stream(recipe)->material();
    const StreamsAhead ahead({streamed}, 2);
    auto stream = streamed->open().value();
    EXPECT_THAT(stream->read(0, 1, &sample).error().text(), HasSubstr("gone.wav"));
}

TEST(SignalMaking, buses_that_lead_to_each_other_are_made_at_once_to_the_same_bits_as_one_after_the_other) {
    for (unsigned seed = 0; seed < (sanitized ? 2 : 5); ++seed) {
        Folder folder;
        Everything one(folder, seed), other = one;
        ASSERT_TRUE(one.row_signals.make(one.session, one.file_of(), nullptr, 1));
        ASSERT_TRUE(other.row_signals.make(other.session, other.file_of(), nullptr, 2));
        const auto plan_of = [](Everything& mix) {
            return compile_plan(mix.session, mix.row_signals.played_by(mix.session, mix.file_of()), Solo::left_out);
        };
        const PlanPtr plan = plan_of(one), also = plan_of(other);
        ASSERT_EQ(rendered(plan, 4096), rendered(also, 512, 2)) << seed;
        EXPECT_EQ(whole_song_peak(plan)->peak, whole_song_peak(also)->peak);
        // A move after a move: what depends on it is made anew, and nothing else.
        const auto move = [](Everything& mix) {
            mix.change(0, [](Track& t) { t.fader_db -= 3.0; });
            EXPECT_TRUE(mix.row_signals.make(mix.session, mix.file_of()));
        };
        move(one), move(one);
        const size_t before = one.row_signals.size();
        EXPECT_TRUE(one.row_signals.make(one.session, one.file_of()));
        EXPECT_EQ(one.row_signals.size(), before);
        move(other), move(other);
        ASSERT_EQ(rendered(plan_of(one), 4096), rendered(plan_of(other), 4096)) << seed;
    }
}

TEST(Streams, give_a_plan_that_is_rendered_once_the_bits_that_made_signals_give_it) {
    for (unsigned seed = 0; seed < (sanitized ? 2 : 8); ++seed) {
        Folder folder;
        Everything mix(folder, seed);
        const auto whole = mix.now();
        RowSignals streamed;
        const auto ahead = streamed.stream(mix.session, mix.file_of(), Solo::left_out, seed % 3);
        ASSERT_TRUE(ahead);
        const PlanPtr plan = compile_plan(mix.session, streamed.played_by(mix.session, mix.file_of()), Solo::left_out);
        ASSERT_TRUE(is_known(*plan));
        ASSERT_EQ(rendered(plan, 4096, 1 + seed % 2), whole) << seed;
        // Once more from the start, when all of it has gone.
        if (seed < 3) {
            ASSERT_EQ(rendered(plan, 700), whole) << seed;
        }
    }
}

TEST(Streams, are_read_elsewhere_too_by_several_and_nobody_waits_for_one_that_stands_still) {
    Folder folder;
    const SignalRecipe recipe =
        noisy(write(folder / "long.wav", make(1500000, 1, noise(6, 0.3)), 1), {processor("low_cut", {{"hz", 90.0}})});
    const auto whole = samples_of(*make_signal(recipe).value(), 4096);
    const MaterialPtr streamed = BegunSignal::stream(recipe)->material();
    const StreamsAhead ahead({streamed}, 2);
    auto standing = streamed->open().value();
    std::vector<float> part(3000);
    ASSERT_TRUE(standing->read(1000, 3000, part.data()));
    EXPECT_EQ(samples_of(*streamed, 4096), whole);
    // What the other has left behind is long gone.
    for (const int64_t at : {4000, 2000, 700000, 1499000}) {
        ASSERT_TRUE(standing->read(at, 3000, part.data()));
        for (int64_t i = 0; i < 3000; ++i)
            ASSERT_EQ(part[static_cast<size_t>(i)],
                      at + i < std::ssize(whole) ? whole[static_cast<size_t>(at + i)] : 0.0f)
                << at;
    }
}
