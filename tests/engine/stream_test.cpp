// Read-ahead: the right samples, in time, in bounded memory.
#include "engine/stream.h"

#include <chrono>
#include <random>
#include <thread>

#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

constexpr int64_t song = 40 * Stream::chunk_frames + 123;

class Reading : public testing::Test {
  protected:
    Folder folder;
    /// Every sample tells its own frame.
    static Wave counting() {
        return [](int64_t i, int c) { return static_cast<double>(i) / 1048576.0 + 0.5 * c; };
    }
    Mix mix{{write(folder / "stereo.wav", make(song, 2, counting()), 2),
             write(folder / "mono.wav", make(song / 2, 1, counting()), 1)}};
    std::vector<const float*> inputs{2, nullptr};

    bool enter_soon(Stream& stream, int64_t frame) {
        for (int n = 0; n < 2000; ++n) {
            if (stream.enter(frame, inputs)) return true;
            std::this_thread::sleep_for(std::chrono::milliseconds(1));
        }
        return false;
    }
};

}  // namespace

TEST_F(Reading, gives_each_frame_its_samples_wherever_play_jumps) {
    Stream stream(mix.plan());
    std::mt19937 random(1);
    for (int jump = 0; jump < 60; ++jump) {
        const auto frame = static_cast<int64_t>(random() % static_cast<uint32_t>(song));
        ASSERT_TRUE(enter_soon(stream, frame)) << frame;
        ASSERT_TRUE(inputs[0]);
        EXPECT_EQ(inputs[0][0], static_cast<float>(static_cast<double>(frame) / 1048576.0));
        EXPECT_EQ(inputs[0][1], static_cast<float>(static_cast<double>(frame) / 1048576.0 + 0.5));
        if (frame / Stream::chunk_frames * Stream::chunk_frames >= song / 2) {
            EXPECT_EQ(inputs[1], nullptr);  // the mono file has ended
        } else if (frame < song / 2) {
            EXPECT_EQ(inputs[1][0], inputs[0][0]);
        }
    }
}

TEST_F(Reading, runs_ahead_of_the_playhead) {
    Stream stream(mix.plan());
    ASSERT_TRUE(enter_soon(stream, 0));
    for (int n = 0; n < 2000 && !stream.has(14 * Stream::chunk_frames); ++n)
        std::this_thread::sleep_for(std::chrono::milliseconds(1));
    for (int64_t chunk = 0; chunk < 15; ++chunk) EXPECT_TRUE(stream.has(chunk * Stream::chunk_frames)) << chunk;
    EXPECT_FALSE(stream.has(30 * Stream::chunk_frames));  // memory is bounded: not the whole song
}

TEST_F(Reading, has_the_loops_start_ready_before_its_end_is_reached) {
    Stream stream(mix.plan());
    const int64_t first = 5 * Stream::chunk_frames + 10, end = 35 * Stream::chunk_frames + 7;
    stream.set_loop(first, end);
    ASSERT_TRUE(enter_soon(stream, end - 2 * Stream::chunk_frames));
    const int64_t last = first + 3 * Stream::chunk_frames;
    for (int n = 0; n < 5000 && !(stream.has(first) && stream.has(last)); ++n)
        std::this_thread::sleep_for(std::chrono::milliseconds(1));
    EXPECT_TRUE(stream.has(first));
    EXPECT_TRUE(stream.has(last));
    stream.set_loop(0, 0);
    ASSERT_TRUE(enter_soon(stream, end));
}

TEST_F(Reading, delays_are_offsets_in_the_file) {
    mix.change(0, [](Track& t) { t.delay_samples = 1000; });
    mix.change(1, [](Track& t) { t.delay_samples = -500; });
    Stream stream(mix.plan());
    ASSERT_TRUE(enter_soon(stream, 3000));
    EXPECT_EQ(inputs[0][0], static_cast<float>(2000.0 / 1048576.0));
    EXPECT_EQ(inputs[1][0], static_cast<float>(3500.0 / 1048576.0));
    ASSERT_TRUE(enter_soon(stream, 10));
    EXPECT_EQ(inputs[0][0], 0.0f);  // before the file starts
}

TEST(Stream, keeps_the_chunk_that_is_being_played_whatever_is_expected) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(60 * Stream::chunk_frames, 1, noise(1, 0.5)), 1)});
    Stream stream(mix.plan());
    std::vector<const float*> inputs(1);
    for (int n = 0; n < 5000 && !stream.enter(0, inputs); ++n)
        std::this_thread::sleep_for(std::chrono::milliseconds(1));
    ASSERT_TRUE(inputs[0]);
    const std::vector<float> playing(inputs[0], inputs[0] + Stream::chunk_frames);
    // Late news of a jump: play was at another place, and has gone on since.
    stream.expect(40 * Stream::chunk_frames);
    for (int n = 0; n < 5000 && !stream.has(44 * Stream::chunk_frames); ++n)
        std::this_thread::sleep_for(std::chrono::milliseconds(1));
    ASSERT_TRUE(stream.has(44 * Stream::chunk_frames));
    EXPECT_TRUE(std::equal(playing.begin(), playing.end(), inputs[0]));
    EXPECT_TRUE(stream.enter(Stream::chunk_frames, inputs)) << "what comes next is there too";
}

TEST(Stream, lets_the_streams_before_it_go_though_none_of_them_has_read_all_that_it_wants) {
    // In a drag a new one comes with every step, long before the last has filled its memory.
    Folder folder;
    Mix mix({write(folder / "a.wav", make(480, 1, noise(1)), 1)});
    constexpr int64_t frames = 60 * Stream::chunk_frames;
    const MaterialPtr slow = Computed::material(
        frames, [](int64_t, int64_t) { std::this_thread::sleep_for(std::chrono::milliseconds(40)); });
    std::shared_ptr<Stream> newest;
    std::vector<std::weak_ptr<Stream>> all;
    for (int n = 0; n < 12; ++n) {
        mix.change(0, [n](Track& t) { t.delay_samples = n; });  // nothing of the one before can be used
        newest =
            std::make_shared<Stream>(compile_plan(mix.session, [&](const Track&) { return slow; }), std::move(newest));
        all.push_back(newest);
        std::this_thread::sleep_for(std::chrono::milliseconds(5));
    }
    const auto alive = [&] {
        return std::count_if(all.begin(), all.end(), [](const auto& stream) { return !stream.expired(); });
    };
    // The one before it has read little more, and would keep its own until it has filled all of its memory.
    const auto half_full = [&] { return newest->has(Stream::slot_count / 2 * Stream::chunk_frames); };
    while (alive() > 2 && !half_full()) std::this_thread::sleep_for(std::chrono::milliseconds(1));
    EXPECT_LE(alive(), 2) << "the newest, and the one that it takes samples from";
}
