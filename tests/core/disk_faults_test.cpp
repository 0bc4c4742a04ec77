// A disk that fails at each step in turn: what is written is the old or the new, whole; what is heard and measured is
// right or refused, then and ever after.
#include <gmock/gmock.h>

#include "core/compare/third_octaves.h"
#include "core/mix/whole.h"
#include "core/session/presets.h"
#include "core/session/session_file.h"
#include "tests/support/chains.h"
#include "tests/support/faults.h"
#include "tests/support/plugins.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::HasSubstr;

namespace {

/// Works with a fault at the first step, at the second, until there is none so late, and looks at what is there each
/// time when the disk is well again; tells how many steps there were.
int at_every_step(
    int problem, const std::function<void()>& prepare, const std::function<void(int)>& work,
    const std::function<void(int)>& look = [](int) {}) {
    for (int step = 0; step < 2000; ++step) {
        prepare();
        bool reached = false;
        {
            const FaultAt fault(step, problem);
            work(step);
            reached = fault.reached();
        }
        look(step);
        if (!reached) return step;
    }
    ADD_FAILURE() << "it never ends";
    return 0;
}

std::string bytes_or_none(const fs::path& file) {
    return fs::exists(file) ? read_whole(file, 1 << 24).value() : "none";
}

/// A row with a chain of everything that reads or keeps a file, mixed anew as by another run of the program.
struct Chained {
    Plugins plugins;
    Session session;
    Chained() {
        plugins.scan();
        const fs::path row = write(plugins.folder / "row.wav", make(20000, 2, noise(1, 0.3)), 2);
        session = with_files({}, {row});
        session = with_track(session, 1, [&](Track& t) {
            t.chain = {processor(amplifier, {{"gain", -6.0}}, 1), processor("reverb", {{"mix", 50.0}}, 2),
                       processor("compressor", {{"threshold_dbfs", -30.0}}, 3)};
            t.chain[1].impulse = write(plugins.folder / "room.wav", make(3000, 1, noise(3, 0.3)), 1);
        });
    }
    Result<std::vector<float>> mixed() const {
        MaterialPtr file;
        if (auto loaded = load_material(source_of(*session.tracks[0]), session.sample_rate); loaded)
            file = *loaded;
        else
            return tl::unexpected(loaded.error());
        const MaterialOf file_of = [&](const Track&) { return file; };
        RowSignals signals;
        if (auto made = signals.make(session, file_of); !made) return tl::unexpected(made.error());
        const PlanPtr plan = compile_plan(session, signals.played_by(session, file_of), Solo::left_out);
        if (const auto absent = absent_processors(session, *plan, true); !absent.empty())
            return fail("row", absent[0].text);
        std::vector<float> all;
        const auto take = [&](std::span<const float> x) -> Result<void> {
            all.insert(all.end(), x.begin(), x.end());
            return {};
        };
        if (auto done = render_stretch(plan, {0, plan->frames}, 4096, take, nullptr, 1); !done)
            return tl::unexpected(done.error());
        return all;
    }
    Result<ThirdOctaves> spectrum() const {
        auto loaded = load_material(source_of(*session.tracks[0]), session.sample_rate);
        if (!loaded) return tl::unexpected(loaded.error());
        return third_octaves_of(**loaded);
    }
    void empty_the_cache() const {
        const auto kinds = entries_of(cache_folder()).value();
        for (const auto& kind : kinds)
            if (kind.filename().string().find("plugin-list") == std::string::npos) fs::remove_all(kind);
    }
};

}  // namespace

TEST(DiskFaults, at_every_step_leave_what_is_written_old_or_new) {
    Folder folder;
    const Environment settings("XDG_CONFIG_HOME", (folder / "settings").string());
    const Chain chain{processor("compressor", {{"ratio", 3.0}}, 1), processor("delay", {{"mix", 20.0}}, 2)};
    Session session = with_files({}, {write(folder / "row.wav", make(3000, 1, noise(1, 0.3)), 1)});
    session = with_track(session, 1, [&](Track& t) { t.chain = chain; });
    Recording reference;
    reference.name = "Evening";
    reference.reference = true;
    reference.file = folder / "row.wav";
    struct Way {
        std::string what;
        fs::path file;
        std::function<Result<void>(bool second)> write;
    };
    fs::create_directories(folder / "out");
    const Way ways[] = {
        {"preset", preset_folder() / "Quay.json",
         [&](bool second) { return keep_preset("Quay", second ? "new" : "old", chain); }},
        {"shelf", folder / "out/shelf.json",
         [&](bool second) {
             return write_shelf(second ? std::vector{reference} : std::vector<Recording>{}, folder / "out/shelf.json");
         }},
        {"session", folder / "out/s.isotonus",
         [&](bool second) {
             session.main_fader_db = second ? -1.0 : -2.0;
             return write_session(session, folder / "out/s.isotonus");
         }},
    };
    for (const Way& way : ways) {
        fs::create_directories(way.file.parent_path());
        ASSERT_TRUE(way.write(true)) << way.what;
        const std::string after = bytes_or_none(way.file);
        ASSERT_TRUE(way.write(false));
        const std::string before = bytes_or_none(way.file);
        const auto files = [&] { return entries_of(way.file.parent_path()).value(); };
        const auto there = files();
        ASSERT_NE(before, after);
        Result<void> written;
        const int steps = at_every_step(
            ENOSPC, [&] { ASSERT_TRUE(way.write(false)); }, [&](int) { written = way.write(true); },
            [&](int step) {
                EXPECT_EQ(bytes_or_none(way.file), written ? after : before) << way.what << ", step " << step;
                EXPECT_EQ(files(), there) << "nothing else is left there; step " << step;
                if (written) return;
                EXPECT_THAT(written.error().text(), HasSubstr(way.file.filename().string()));
                EXPECT_THAT(written.error().text(), HasSubstr("No space left on device")) << step;
            });
        EXPECT_GT(steps, 3) << way.what;
    }
}

TEST(DiskFaults, at_every_step_of_chains_plugin_sound_and_caches_change_no_sample) {
    const Chained it;
    const auto right = it.mixed();
    ASSERT_TRUE(right) << right.error().text();
    int refused = 0;
    for (const bool cold : {true, false}) {
        const int steps = at_every_step(
            EIO,
            [&] {
                if (cold) it.empty_the_cache();
            },
            [&](int step) {
                if (const auto mixed = it.mixed())
                    EXPECT_TRUE(*mixed == *right) << (cold ? "cold" : "warm") << ", step " << step;
                else
                    ++refused;
            });
        EXPECT_GT(steps, cold ? 15 : 3);
        const auto later = it.mixed();
        ASSERT_TRUE(later) << "a fault that has passed stays: " << later.error().text();
        EXPECT_TRUE(*later == *right);
    }
    EXPECT_GT(refused, 0) << "a file that cannot be read is no mix";
}

TEST(DiskFaults, at_every_step_of_a_comparison_change_no_band) {
    const Chained it;
    const auto right = it.spectrum();
    ASSERT_TRUE(right);
    for (const bool cold : {true, false}) {
        at_every_step(
            EIO,
            [&] {
                if (cold) it.empty_the_cache();
            },
            [&](int step) {
                const auto bands = it.spectrum();
                for (size_t n = 0; bands && n < right->size(); ++n)
                    EXPECT_EQ((*bands)[n], (*right)[n]) << step << ' ' << n;
            });
        const auto later = it.spectrum();
        ASSERT_TRUE(later);
        EXPECT_EQ((*later)[10], (*right)[10]);
    }
}
