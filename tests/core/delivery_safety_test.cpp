// Deliveries when something goes wrong: nothing of the user's is lost, and what is there is whole.
#include <gmock/gmock.h>
#include <sys/resource.h>

#include <fstream>

#include "core/handoff/papers.h"
#include "core/session/routing.h"
#include "tests/support/exports.h"
#include "tests/support/faults.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::HasSubstr;

namespace {

struct Danger : testing::Test {
    Folder folder;
    const bool made = fs::create_directories(folder / "in");
    Mix mix{{write(folder / "in/Kick.wav", make(30000, 1, noise(1, 0.2)), 1),
             write(folder / "in/Left.wav", make(30000, 1, noise(2, 0.2)), 1),
             write(folder / "in/Voice.wav", make(30000, 2, noise(3, 0.2)), 2)}};
    Danger() {
        write(folder / "in/Right.wav", make(30000, 1, noise(4, 0.2)), 1);
        mix.change(1, [&](Track& t) { t.source.right_file = folder / "in/Right.wav"; });
        write(folder / "in/print.wav", make(3000, 2, noise(5, 0.2)), 2);
        mix.session.recordings = {{"last week", folder / "in/print.wav", false, "", "", {}, {}, {}}};
    }
    static std::map<std::string, std::string> files_in(const fs::path& where) {
        std::map<std::string, std::string> files;
        for (const fs::path& file : entries_of(where).value_or(std::vector<fs::path>()))
            files[file.filename().string()] = read_whole(file, 1 << 24).value_or(std::string());
        return files;
    }
    Delivery to(const fs::path& where) {
        Delivery d;
        d.folder = where;
        d.session_name = "boats";
        d.stems = StemSplit::tracks;
        d.overwrite = true;
        d.session_file = folder / "in/s.isotonus";
        d.papers = [d](const DeliveryReport& report) -> Result<std::vector<Paper>> {
            return std::vector<Paper>{{d.folder / "sums.txt", checksums_of(report)}};
        };
        return d;
    }
};

}  // namespace

class DeliveryGuard : public Danger {};

TEST_F(DeliveryGuard, leaves_sources_right_sides_recordings_and_the_session_alone) {
    ASSERT_TRUE(write_whole(folder / "in/s.isotonus", "{}", none_protected()));
    const auto before = files_in(folder / "in");
    for (const char* name : {"Kick", "Left", "Right", "Voice", "print"}) {
        Delivery d = to(folder / "in");
        d.stems = StemSplit::none;
        d.mix_name = name;
        const auto done = deliver(mix.plan(), mix.session, d);
        ASSERT_FALSE(done) << name;
        EXPECT_THAT(done.error().what, HasSubstr("never replaced")) << name;
    }
    Delivery d = mix_into(folder / "in/s.isotonus");
    d.session_file = folder / "in/s.isotonus";
    EXPECT_THAT(deliver(mix.plan(), mix.session, d).error().what, HasSubstr("the file of the session"));
    // A paper is no exception.
    d = to(folder / "out");
    d.papers = [this](const DeliveryReport&) -> Result<std::vector<Paper>> {
        return std::vector<Paper>{{folder / "in/Kick.wav", "oh no"}};
    };
    EXPECT_FALSE(deliver(mix.plan(), mix.session, d));
    EXPECT_EQ(files_in(folder / "in"), before);
    EXPECT_TRUE(files_in(folder / "out").empty()) << "audio without its papers";
}

TEST_F(DeliveryGuard, free_names_are_numbered_and_a_name_that_takes_no_number_ends_in_a_refusal) {
    const PlanPtr plan = mix.plan();
    Delivery d = to(folder / "out");
    d.papers = nullptr;
    for (int n = 1; n <= 3; ++n) {
        const Delivery named = with_free_names(plan, mix.session, d);
        for (const fs::path& f : files_of(plan, mix.session, named)) EXPECT_FALSE(fs::exists(f)) << f;
        ASSERT_TRUE(deliver(plan, mix.session, named)) << n;
    }
    // As long as a name may be: what is put behind it is cut away, so that there is no other.
    Delivery longest = to(folder / "long");
    longest.mix_name = std::string(400, 'x');
    longest.stems = StemSplit::none;
    longest.papers = nullptr;
    ASSERT_TRUE(deliver(plan, mix.session, longest));
    const Delivery same = with_free_names(plan, mix.session, longest);
    EXPECT_EQ(files_of(plan, mix.session, same), files_of(plan, mix.session, longest));
    EXPECT_FALSE(deliver(plan, mix.session, same)) << "nothing is replaced unasked";
}

TEST_F(DeliveryGuard, a_fault_at_any_step_leaves_the_delivery_before_whole) {
    const fs::path out = folder / "out";
    ASSERT_TRUE(deliver(mix.plan(), mix.session, to(out)));
    const auto before = files_in(out);
    ASSERT_EQ(before.size(), 5u);  // the mix, three stems, one paper
    mix.change(0, [](Track& t) { t.fader_db = -3.0; });
    const PlanPtr plan = mix.plan();
    const auto count_of = [&](FileStep step) {
        int count = 0;
        std::mutex mutex;
        set_file_fault([&](FileStep s, const fs::path&) {
            std::scoped_lock lock(mutex);
            count += s == step ? 1 : 0;
            return 0;
        });
        Delivery elsewhere = to(folder / "count");
        EXPECT_TRUE(deliver(plan, mix.session, elsewhere));
        set_file_fault({});
        return count;
    };
    for (const FileStep step : {FileStep::create, FileStep::write, FileStep::sync, FileStep::close, FileStep::rename}) {
        const int count = count_of(step);
        ASSERT_GT(count, 3);
        // The first, the last (for a sound file: its header, written on closing) and some between.
        for (const int n : {0, 1, count / 2, count - 2, count - 1}) {
            const FaultAt fault(n, EIO, step);
            const auto done = deliver(plan, mix.session, to(out));
            if (!fault.reached()) continue;  // threads take turns: the order is not the same each time
            EXPECT_FALSE(done) << "step " << static_cast<int>(step) << " number " << n;
            EXPECT_EQ(files_in(out), before) << "step " << static_cast<int>(step) << " number " << n;
        }
    }
    ASSERT_TRUE(deliver(plan, mix.session, to(out)));
    EXPECT_NE(files_in(out), before);
}

TEST_F(DeliveryGuard, a_file_whose_header_was_never_written_is_no_delivery) {
    const PlanPtr plan = mix.plan();
    // What closing hides: the last write of a WAVE file is its header.
    for (const FileType type : {FileType::wav, FileType::aiff, FileType::flac, FileType::mp3, FileType::opus}) {
        int writes = 0;
        set_file_fault([&](FileStep step, const fs::path&) { return writes += step == FileStep::write ? 1 : 0, 0; });
        Delivery d = mix_into(folder / ("out." + std::string(file_type_name(type))));
        d.type = type;
        d.mix_file.replace_extension(file_type_name(type));
        ASSERT_TRUE(deliver(plan, mix.session, d)) << file_type_name(type);
        set_file_fault({});
        const std::string before = read_whole(d.mix_file, 1 << 24).value();
        const FaultAt fault(writes - 1, EIO, FileStep::write);
        const auto done = deliver(plan, mix.session, d);
        EXPECT_TRUE(fault.reached());
        EXPECT_FALSE(done) << file_type_name(type);
        EXPECT_EQ(read_whole(d.mix_file, 1 << 24).value(), before) << file_type_name(type);
    }
}

TEST_F(DeliveryGuard, what_is_on_the_disk_is_proved_and_not_what_was_meant) {
    // A disk that says it wrote and did not: bytes in the middle of the file are turned before it is read back.
    const PlanPtr plan = mix.plan();
    std::atomic<bool> done_once{false};
    set_file_fault([&](FileStep step, const fs::path& path) {
        if (step == FileStep::open && path.extension() == ".part" && !done_once.exchange(true)) {
            std::fstream file(path, std::ios::in | std::ios::out | std::ios::binary);
            file.seekp(5000);
            file.write("\x55\xAA\x55\xAA", 4);
        }
        return 0;
    });
    const auto done = deliver(plan, mix.session, mix_into(folder / "out.wav"));
    set_file_fault({});
    ASSERT_FALSE(done);
    EXPECT_THAT(done.error().what, HasSubstr("differs from the mix"));
    EXPECT_FALSE(is_there(folder / "out.wav"));
}

TEST(Headers, promise_what_the_file_holds) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(12345, 2, noise(1, 0.3)), 2)});
    for (const FileType type :
         {FileType::wav, FileType::aiff, FileType::flac, FileType::ogg, FileType::opus, FileType::mp3}) {
        Delivery d = mix_into(folder / ("out." + std::string(file_type_name(type))));
        d.type = type;
        ASSERT_TRUE(deliver(mix.plan(), mix.session, d));
        const auto promised = frames_by_header(d.mix_file, type);
        ASSERT_TRUE(promised) << promised.error().text();
        if (*promised) {
            EXPECT_EQ(**promised, 12345);
        }
        // Cut short, or with a length of 0, it is refused; the library itself would read on.
        if (type == FileType::mp3 || type == FileType::flac) continue;
        fs::resize_file(d.mix_file, fs::file_size(d.mix_file) - 100);
        EXPECT_FALSE(frames_by_header(d.mix_file, type)) << file_type_name(type);
    }
    const auto broken = [&](const std::string& bytes, FileType type) {
        std::ofstream(folder / "broken", std::ios::binary) << bytes;
        return !frames_by_header(folder / "broken", type);
    };
    for (const FileType type : {FileType::wav, FileType::aiff, FileType::flac, FileType::ogg, FileType::mp3})
        EXPECT_TRUE(broken("RIFF", type) && broken("OggSOggS", type == FileType::ogg ? FileType::wav : type));
}

TEST(DeliveryNames, are_filled_in_once_and_fit_any_disk) {
    Folder folder;
    const std::string long_name(300, 'x'), umlauts = [] {
        std::string text;
        for (int n = 0; n < 150; ++n) text += "\xC3\xBC";
        return text;
    }();
    Mix mix({write(folder / "a.wav", make(100, 1, noise(1, 0.3)), 1),
             write(folder / "b.wav", make(100, 1, noise(2, 0.3)), 1),
             write(folder / "c.wav", make(100, 1, noise(3, 0.3)), 1),
             write(folder / "d.wav", make(100, 1, noise(4, 0.3)), 1),
             write(folder / "e.wav", make(100, 1, noise(5, 0.3)), 1)});
    mix.change(0, [](Track& t) { t.name = "x{part}"; });
    mix.change(1, [](Track& t) { t.name = "a/b\nc{session"; });
    mix.change(2, [&](Track& t) { t.name = long_name; });
    mix.change(3, [&](Track& t) { t.name = umlauts; });
    mix.change(4, [](Track& t) { t.name = ".hidden"; });
    Delivery d;
    d.folder = folder / "out";
    d.session_name = "s";
    d.mix = false;
    d.stems = StemSplit::tracks;
    d.pattern = "{part}";
    const auto report = deliver(mix.plan(), mix.session, d).value();
    ASSERT_EQ(report.files.size(), 5u);
    EXPECT_EQ(report.files[0].file.filename(), "x{part}.wav");
    EXPECT_EQ(report.files[1].file.filename(), "a-b-c{session.wav");
    EXPECT_EQ(report.files[2].file.filename().string().size(), 255u);
    EXPECT_LE(report.files[3].file.filename().string().size(), 255u);
    EXPECT_TRUE(is_utf8(report.files[3].file.filename().string()));
    EXPECT_EQ(report.files[4].file.filename(), "-hidden.wav");
    for (const DeliveredFile& f : report.files) EXPECT_TRUE(is_there(f.file));
}

TEST(DeliveryNames, of_a_session_that_is_no_utf8_end_in_no_exception) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(100, 1, noise(1, 0.3)), 1)});
    Delivery d;
    d.folder = folder / "out";
    d.session_name = "K\xE4se";
    d.papers = [&](const DeliveryReport& report) -> Result<std::vector<Paper>> {
        const auto sheet = sheet_to_json({mix.session, d.session_name, "2030-01-01", *mix.plan(), {}, report});
        return papers_of(d, sheet, report);
    };
    EXPECT_TRUE(deliver(mix.plan(), mix.session, d));
}

TEST(DeliveryLossy, quiet_stems_are_no_fault_and_loud_sources_do_not_end_the_program) {
    Folder folder;
    Mix mix({write(folder / "quiet.wav", make(48000, 2, noise(1, 3.5e-5)), 2)});  // -89 dBFS
    for (const FileType type : {FileType::mp3, FileType::ogg, FileType::opus}) {
        Delivery d = mix_into(folder / ("quiet." + std::string(file_type_name(type))));
        d.type = type;
        const auto done = deliver(mix.plan(), mix.session, d);
        EXPECT_TRUE(done) << done.error().text();
    }
    Mix loud({write(folder / "loud.wav", make(48000, 2, noise(2, 1e8)), 2)});
    Delivery d = mix_into(folder / "loud.mp3");
    d.type = FileType::mp3;
    EXPECT_GT(deliver(loud.plan(), loud.session, d).value().files[0].clamped_samples, 90000);
}

TEST(DeliveryHandles, a_session_of_more_tracks_than_handles_is_delivered_with_stems) {
    Folder folder;
    std::vector<fs::path> files;
    for (int n = 0; n < 100; ++n)
        files.push_back(write(folder / ("t" + std::to_string(n) + ".wav"), make(500, 1, noise(7, 0.001)), 1));
    Mix mix(files);
    const PlanPtr plan = mix.plan();
    struct rlimit before {
    }, few{};
    ASSERT_EQ(::getrlimit(RLIMIT_NOFILE, &before), 0);
    few = before;
    few.rlim_cur = 96;
    ASSERT_EQ(::setrlimit(RLIMIT_NOFILE, &few), 0);
    Delivery d;
    d.folder = folder / "out";
    d.stems = StemSplit::tracks;
    const auto report = deliver(plan, mix.session, d);
    ASSERT_EQ(::setrlimit(RLIMIT_NOFILE, &before), 0);
    ASSERT_TRUE(report) << report.error().text();
    EXPECT_EQ(report->files.size(), 101u);
}

TEST(DeliveryStems, have_noise_of_their_own) {
    // Alike, the dither of 24 stems would add up: 24 equal noises by 27.6 dB, 24 unlike ones by 13.8 dB.
    Folder folder;
    std::vector<fs::path> files;
    for (int n = 0; n < 8; ++n)
        files.push_back(write(folder / ("t" + std::to_string(n) + ".wav"), std::vector<float>(48000, 1e-4f), 1));
    Mix mix(files);
    Delivery d;
    d.folder = folder / "out";
    d.mix = false;
    d.stems = StemSplit::tracks;
    d.format = SampleFormat::s16;
    const auto report = deliver(mix.plan(), mix.session, d).value();
    std::vector<double> sum(96000);
    for (const DeliveredFile& f : report.files) {
        const auto samples = read(f.file);
        double mean = 0.0;
        for (const float x : samples) mean += static_cast<double>(x) / static_cast<double>(samples.size());
        for (size_t i = 0; i < sum.size(); ++i) sum[i] += static_cast<double>(samples[i]) - mean;
    }
    double power = 0.0;
    for (const double x : sum) power += x * x / static_cast<double>(sum.size());
    const double one = 0.25 / 32768.0 / 32768.0;  // TPDF of 2 LSB peak to peak: LSB^2 / 4 in all
    EXPECT_NEAR(10.0 * std::log10(power / one), 10.0 * std::log10(8.0), 0.5);
}
