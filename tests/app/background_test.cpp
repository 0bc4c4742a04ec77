// What is done behind the window: every job's end is told, and nothing outlives whoever asked for it.
#include "app/desk/background.h"

#include <semaphore>
#include <stdexcept>

#include "app/desk/sample_windows.h"
#include "app/desk/spectra.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

void wait_until(const std::function<bool()>& done) { ASSERT_TRUE(QTest::qWaitFor(done, 60000)); }

/// Counts who opens it and holds them up until it is let go.
struct Gate : Computed {
    Gate() : Computed(480000, {}) {}
    mutable std::atomic<int> opened{0};
    mutable std::counting_semaphore<> free{0};
    Result<std::unique_ptr<FrameReader>> open() const override {
        ++opened;
        free.acquire();
        return fail("gate", std::string("is closed"));
    }
};

struct Breaks : Computed {
    Breaks() : Computed(480000, {}) {}
    Result<std::unique_ptr<FrameReader>> open() const override { throw std::bad_alloc(); }
};

MaterialPtr playing(PlayablePtr sound) {
    auto material = std::make_shared<Material>();
    material->sound = std::move(sound);
    return material;
}

}  // namespace

TEST(Background, tells_the_end_of_every_job_whatever_becomes_of_it) {
    application();
    Background jobs;
    std::vector<std::string> told;
    const auto tell = [&](const Result<int>& r) { told.push_back(r ? std::to_string(*r) : r.error().text()); };
    jobs.start([](Progress&) -> Result<int> { return 1; }, tell);
    jobs.start([](Progress&) -> Result<int> { return fail("a.wav", std::string("it is gone")); }, tell);
    jobs.start([](Progress&) -> Result<int> { throw std::bad_alloc(); }, tell);
    jobs.start([](Progress&) -> Result<int> { throw std::runtime_error("a library gave up"); }, tell);
    wait_until([&] { return told.size() == 4; });
    EXPECT_EQ(told, (std::vector<std::string>{"1", "a.wav: it is gone",
                                              "the memory is full. Close other programs and try again.",
                                              "a library gave up"}));
}

TEST(Background, begins_no_job_that_was_given_up_and_tells_that_too) {
    application();
    Background jobs;
    std::binary_semaphore gate(0);
    int begun = 0, cancelled = 0;
    const auto tell = [&](const Result<int>& r) { cancelled += !r && r.error().cancelled; };
    jobs.start(
        [&](Progress& progress) -> Result<int> {
            ++begun;
            gate.acquire();
            if (progress.cancelled()) return stopped();
            return 1;
        },
        tell);
    for (int n = 0; n < 20; ++n) jobs.start([&](Progress&) -> Result<int> { return ++begun; }, tell);
    wait_until([&] { return begun == 1; });
    jobs.give_up();
    gate.release();
    wait_until([&] { return cancelled == 21; });
    EXPECT_EQ(begun, 1);
}

TEST(Background, that_goes_gives_up_its_jobs_and_tells_nobody) {
    application();
    std::atomic<int> begun{0};
    int told = 0;
    {
        Background jobs(2);
        for (int n = 0; n < 40; ++n)
            jobs.start(
                [&](Progress& progress) -> Result<int> {
                    ++begun;
                    while (!progress.cancelled()) std::this_thread::yield();
                    return stopped();
                },
                [&](const Result<int>&) { ++told; });
        wait_until([&] { return begun == 2; });
    }
    QCoreApplication::processEvents();
    EXPECT_EQ(begun, 2);
    EXPECT_EQ(told, 0);
}

TEST(Background, has_all_threads_of_the_window) {  // so that what holds for it holds for all that the window does
    for (const auto& entry : fs::recursive_directory_iterator(fs::path(ISOTONUS_SOURCE) / "app")) {
        const fs::path& file = entry.path();
        if ((file.extension() != ".h" && file.extension() != ".cpp") || file.filename() == "background.h") continue;
        std::ifstream in(file);
        const std::string text{std::istreambuf_iterator<char>(in), {}};
        for (const char* word :
             {"QThreadPool", "QThread(", "std::thread", "std::jthread", "std::async", "QtConcurrent"})
            EXPECT_EQ(text.find(word), std::string::npos) << file << " starts threads by itself: " << word;
    }
}

TEST(Background, reads_no_windows_of_samples_that_nobody_looks_at_any_more) {
    application();
    const auto gate = std::make_shared<const Gate>();
    {
        SampleWindows windows;
        const MaterialPtr material = playing(gate), other = playing(gate);
        windows.of(material, 0, 100);
        wait_until([&] { return gate->opened == 1; });
        // A scroll, in another track: only its last window is wanted when the thread is free.
        for (int n = 0; n < 10; ++n) windows.of(other, 10000 * n, 100);
        gate->free.release();
        wait_until([&] { return gate->opened == 2; });
        for (int n = 10; n < 20; ++n) windows.of(n % 2 ? material : other, 10000 * n, 100);
        gate->free.release(100);
    }
    EXPECT_LE(gate->opened, 4) << "a window of each at most";
}

TEST(Background, a_spectrum_that_cannot_be_had_is_not_waited_for) {
    application();
    Spectra spectra;
    const MaterialPtr broken = playing(std::make_shared<const Breaks>());
    int ready = 0;
    QObject::connect(&spectra, &Spectra::ready, [&] { ++ready; });
    EXPECT_EQ(spectra.of(broken), nullptr);
    wait_until([&] { return ready == 1; });
    EXPECT_NE(spectra.of(broken), nullptr) << "it is known to be empty";
}
