// Files in: every fault has a sentence.  Files out: other programs read the same samples.
#include "core/audio/media.h"
#include "tests/support/sounds.h"

#include <sys/stat.h>

#include <cstring>
#include <fstream>

using namespace isotonus;
using namespace isotonus::test;

namespace {

std::string le(uint64_t value, int bytes) {
    std::string s;
    for (int i = 0; i < bytes; ++i) s += static_cast<char>(value >> (8 * i));
    return s;
}

/// A WAV file by hand: header as told, data as given.
std::string wav(int format, int channels, int rate, int bits, const std::string& data, size_t promised) {
    const int frame = channels * bits / 8;
    return "RIFF" + le(36 + promised, 4) + "WAVEfmt " + le(16, 4) + le(static_cast<uint64_t>(format), 2) +
           le(static_cast<uint64_t>(channels), 2) + le(static_cast<uint64_t>(rate), 4) +
           le(static_cast<uint64_t>(rate * frame), 4) + le(static_cast<uint64_t>(frame), 2) +
           le(static_cast<uint64_t>(bits), 2) + "data" + le(promised, 4) + data;
}

std::string complaint(const fs::path& file) {
    const auto reader = SoundReader::open(file);
    EXPECT_FALSE(reader) << file;
    if (reader) return {};
    EXPECT_EQ(reader.error().file, file.string());
    return reader.error().what;
}

}  // namespace

TEST(BadFile, each_fault_has_its_sentence) {
    Folder folder;
    EXPECT_EQ(complaint(folder / "none.wav"), "the file does not exist. Check its name.");
    EXPECT_EQ(complaint(folder.path()), "this is a folder. Choose a file.");
    put(folder / "empty.wav", "");
    EXPECT_EQ(complaint(folder / "empty.wav"), "the file is empty. Export it again.");
    put(folder / "text.wav", "Dear diary, today the boats went out.\n");
    EXPECT_NE(complaint(folder / "text.wav").find("the audio file cannot be read"), std::string::npos);
    put(folder / "header.wav", wav(1, 1, 48000, 16, "", 0));
    EXPECT_EQ(complaint(folder / "header.wav"), "the file has no audio. Export it again.");
    put(folder / "half-header.wav", wav(1, 1, 48000, 16, "", 0).substr(0, 20));
    EXPECT_NE(complaint(folder / "half-header.wav").find("the audio file cannot be read"), std::string::npos);
    put(folder / "many.wav", wav(1, 100, 48000, 16, std::string(200 * 100, '\1'), 20000));
    EXPECT_NE(complaint(folder / "many.wav").find("100 channels"), std::string::npos);
}

TEST(BadFile, unreadable_is_said_so) {
    Folder folder;
    write(folder / "x.wav", std::vector<float>(10, 0.1f), 1);
    fs::permissions(folder.path(), fs::perms::all);
    fs::permissions(folder / "x.wav", fs::perms::none);
    const uid_t user = geteuid();
    if (user == 0) {
        ASSERT_EQ(seteuid(65534), 0);  // root may read everything: be nobody for a moment
    }
    EXPECT_EQ(complaint(folder / "x.wav"), "no permission to read the file. Change its permissions.");
    if (user == 0) {
        ASSERT_EQ(seteuid(0), 0);
    }
}

TEST(BadFile, truncated_data_is_used_as_far_as_it_goes_and_said_so) {
    Folder folder;
    put(folder / "short.wav", wav(1, 1, 48000, 16, std::string(2000, '\1'), 96000));
    auto reader = SoundReader::open(folder / "short.wav").value();
    EXPECT_EQ(reader.info().frames, 1000);
    EXPECT_NE(reader.info().warning.find("ends early"), std::string::npos);
    EXPECT_EQ(measure_file(folder / "short.wav").value().measurement.frames, 1000);
    put(folder / "whole.wav", wav(1, 1, 48000, 16, std::string(2000, '\1'), 2000));
    EXPECT_EQ(SoundReader::open(folder / "whole.wav").value().info().warning, "");
}

TEST(BadFile, what_is_not_a_number_is_silence_and_counted) {
    Folder folder;
    std::vector<float> x(1000, 0.25f);
    x[10] = std::numeric_limits<float>::quiet_NaN();
    x[20] = std::numeric_limits<float>::infinity();
    write(folder / "nan.wav", x, 1);
    const Measurement m = measure_file(folder / "nan.wav").value().measurement;
    EXPECT_EQ(m.non_finite_samples, 2);
    EXPECT_NEAR(*m.sample_peak_dbfs, db_from_gain(0.25), 1e-9);
    EXPECT_EQ(read(folder / "nan.wav")[10], 0.0f);
}

TEST(SoundReader, reads_one_frame_and_pads_what_lies_outside) {
    Folder folder;
    write(folder / "one.wav", {0.5f, -0.5f}, 2);
    auto reader = SoundReader::open(folder / "one.wav").value();
    std::vector<float> out(10, 9.0f);
    ASSERT_TRUE(reader.read(-2, 5, out.data()));
    EXPECT_EQ(out, (std::vector<float>{0, 0, 0, 0, 0.5f, -0.5f, 0, 0, 0, 0}));
    ASSERT_TRUE(reader.read(100, 2, out.data()));
    EXPECT_EQ(out[0], 0.0f);
    ASSERT_TRUE(reader.read(-50, 2, out.data()));
    EXPECT_EQ(out[3], 0.0f);
}

class AnyFormat : public testing::TestWithParam<std::tuple<const char*, const char*, int, double>> {};
INSTANTIATE_TEST_SUITE_P(Sox, AnyFormat,
                         testing::Values(std::tuple{"wav", "-b 8 -e unsigned-integer", 8, 42.0},
                                         std::tuple{"wav", "-b 16", 16, 90.0}, std::tuple{"wav", "-b 24", 24, 138.0},
                                         std::tuple{"wav", "-b 32", 32, 138.0},
                                         std::tuple{"wav", "-b 32 -e floating-point", 32, 138.0},
                                         std::tuple{"wav", "-b 64 -e floating-point", 64, 138.0},
                                         std::tuple{"aiff", "-b 24", 24, 138.0}, std::tuple{"aiff", "-b 16", 16, 90.0},
                                         std::tuple{"flac", "-b 24", 24, 138.0}, std::tuple{"au", "-b 16", 16, 90.0},
                                         std::tuple{"ogg", "-C 8", 0, 20.0}));

TEST_P(AnyFormat, made_by_sox_is_read_with_its_samples) {
    const auto [ending, options, bits, quiet_db] = GetParam();
    Folder folder;
    const auto x = make(20000, 2, [s = sine(441, 48000, 0.6)](int64_t i, int c) { return s(i + 30 * c, 0); });
    write(folder / "x.wav", x, 2);
    const fs::path made = folder / (std::string("made.") + ending);
    ASSERT_EQ(
        std::system(("sox -D '" + (folder / "x.wav").string() + "' " + options + " '" + made.string() + "'").c_str()),
        0);
    auto reader = SoundReader::open(made).value();
    EXPECT_EQ(reader.info().bits, bits);
    EXPECT_EQ(reader.info().channels, 2);
    const auto got = read(made);
    ASSERT_GE(got.size(), x.size());
    double error = 0.0;
    for (size_t i = 2000; i < x.size() - 2000; ++i)
        error = std::max(error, std::fabs(static_cast<double>(got[i]) - static_cast<double>(x[i])));
    EXPECT_LT(db_from_gain(error), -quiet_db);
}

TEST(SoundReader, takes_rates_from_8_to_192_kHz) {
    Folder folder;
    for (const int rate : {8000, 11025, 22050, 44100, 48000, 88200, 96000, 176400, 192000}) {
        write(folder / "r.wav", make(rate, 1, sine(440, rate, 0.5)), 1, rate);
        const Measurement m = measure_file(folder / "r.wav").value().measurement;
        EXPECT_EQ(m.sample_rate, rate);
        EXPECT_NEAR(*m.rms_dbfs, -6.02, 0.01) << rate;
    }
}

TEST(SoundWriter, files_are_read_back_by_ffmpeg_and_sox_with_the_same_samples) {
    Folder folder;
    const auto x = make(5000, 2, noise(11, 0.9));
    for (const SampleFormat format : {SampleFormat::s16, SampleFormat::s24, SampleFormat::f32}) {
        write(folder / "out.wav", x, 2, 48000, format);
        const auto ours = read(folder / "out.wav");
        EXPECT_EQ(read_by_ffmpeg(folder / "out.wav"), ours);
        const auto theirs = read_by_sox(folder / "out.wav");  // sox works in 32-bit integers
        ASSERT_EQ(theirs.size(), ours.size());
        for (size_t i = 0; i < ours.size(); ++i)
            ASSERT_NEAR(theirs[i], ours[i], format == SampleFormat::f32 ? 1e-7f : 0.0f);
        if (format == SampleFormat::f32) {
            EXPECT_EQ(ours, x);
        }
    }
}

TEST(SoundWriter, leaves_nothing_behind_without_commit_and_keeps_what_was_there) {
    Folder folder;
    write(folder / "out.wav", {0.5f}, 1);
    SoundSpec mono;
    mono.channels = 1;
    {
        auto writer = SoundWriter::create(folder / "out.wav", mono, none_protected()).value();
        const unsigned char zero[3] = {};
        EXPECT_TRUE(writer.write(zero));
    }
    EXPECT_EQ(read(folder / "out.wav"), std::vector<float>{0.5f});
    EXPECT_EQ(std::distance(fs::directory_iterator(folder.path()), {}), 1);
    EXPECT_FALSE(SoundWriter::create(folder / "no/such/folder.wav", mono, none_protected()));
}

// The library refuses some rates when it opens a file and some with the first sample; neither is "No Error".
TEST(SoundWriter, says_which_rates_a_file_type_cannot_hold) {
    Folder folder;
    SoundSpec spec;
    spec.type = FileType::mp3;
    spec.sample_rate = 96000;
    const auto refused = SoundWriter::create(folder / "out.mp3", spec, none_protected());
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().what, "a mp3 file cannot hold 2 channels at 96000 Hz. Choose another format or rate.");
    spec.type = FileType::ogg;
    spec.sample_rate = 384000;
    auto writer = SoundWriter::create(folder / "out.ogg", spec, none_protected());
    ASSERT_TRUE(writer);
    const std::vector<unsigned char> silence(8 * 4096);
    const auto written = writer->write(silence);
    ASSERT_FALSE(written);
    EXPECT_EQ(written.error().what, "this file type cannot hold the audio. Choose another type.");
}

TEST(SoundWriter, long_files_become_RF64) {  // EBU Tech 3306: 'RF64' where RIFF's 32-bit sizes end
    Folder folder;
    SoundSpec spec;
    spec.format = SampleFormat::f32;
    spec.expected_frames = int64_t{1} << 30;
    auto writer = SoundWriter::create(folder / "long.wav", spec, none_protected()).value();
    const std::vector<unsigned char> some(800, 0);
    ASSERT_TRUE(writer.write(some));
    ASSERT_TRUE(writer.commit());
    std::ifstream in(folder / "long.wav");
    std::string mark(4, ' ');
    in.read(mark.data(), 4);
    EXPECT_EQ(mark, "RF64");
}

TEST(Dither, is_TPDF_with_a_total_error_power_of_a_quarter_LSB_squared) {
    // Total error of TPDF dither of 2 LSB peak to peak: LSB^2/4, and none of it correlated with the signal.
    const auto x = make(200000, 1, sine(997, 48000, 0.3));
    std::vector<unsigned char> packed(2 * x.size());
    pack_samples(x, SampleFormat::s16, 0, packed.data());
    double power = 0.0, product = 0.0, signal = 0.0;
    for (size_t i = 1; i < x.size(); ++i) {
        const auto code = static_cast<int16_t>(packed[2 * i] | packed[2 * i + 1] << 8);
        const double error = code - static_cast<double>(x[i]) * 32768.0;
        power += error * error;
        product += error * static_cast<double>(x[i]);
        signal += static_cast<double>(x[i]) * static_cast<double>(x[i]);
    }
    EXPECT_NEAR(power / static_cast<double>(x.size()), 0.25, 0.005);
    EXPECT_NEAR(product / std::sqrt(power * signal), 0.0, 0.01);
}

TEST(Media, of_the_sessions_rate_is_the_file_itself) {
    Folder folder;
    write(folder / "x.wav", make(100, 1, sine(440, 48000)), 1, 48000);
    const Media m = prepare_media(folder / "x.wav", 48000).value();
    EXPECT_FALSE(m.converted());
    EXPECT_EQ(m.playable, m.original);
}

TEST(Media, of_another_rate_is_converted_once_and_keeps_its_tone) {
    Folder folder;
    write(folder / "x.wav", make(88200, 2, sine(997, 44100, 0.5)), 2, 44100);
    const Media m = prepare_media(folder / "x.wav", 48000).value();
    EXPECT_TRUE(m.converted());
    EXPECT_EQ(m.frames, 96000);
    const auto got = read(m.playable);
    const auto expected = make(96000, 2, sine(997, 48000, 0.5));
    double error = 0.0;
    for (size_t i = 4000; i < got.size() - 4000; ++i)
        error = std::max(error, std::fabs(static_cast<double>(got[i] - expected[i])));
    EXPECT_LT(db_from_gain(error), -120.0);
    const auto number = [&] {
        struct stat status {};
        return ::stat(m.playable.c_str(), &status) == 0 ? status.st_ino : 0;
    };
    const auto written = number();
    EXPECT_EQ(prepare_media(folder / "x.wav", 48000).value().playable, m.playable);
    EXPECT_EQ(number(), written) << "it was converted again";
}

TEST(Media, compressed_files_are_decoded_to_where_any_frame_can_be_reached) {
    Folder folder;
    const auto x = make(30000, 1, noise(5, 0.4));
    write(folder / "x.wav", x, 1, 48000, SampleFormat::s24);
    ASSERT_EQ(std::system(("sox '" + (folder / "x.wav").string() + "' '" + (folder / "x.flac").string() + "'").c_str()),
              0);
    const Media m = prepare_media(folder / "x.flac", 48000).value();
    EXPECT_TRUE(m.converted());
    EXPECT_EQ(read(m.playable), read(folder / "x.wav"));
}

TEST(Media, cancelled_conversion_leaves_no_half_file) {
    Folder folder;
    write(folder / "x.wav", make(441000, 1, sine(997, 44100, 0.5)), 1, 44100);
    Progress progress;
    progress.cancel();
    EXPECT_FALSE(prepare_media(folder / "x.wav", 48000, &progress));
    EXPECT_EQ(std::distance(fs::directory_iterator(cache_folder() / "converted"), {}), 0);
}

TEST(Material, comes_from_the_cache_the_second_time_and_follows_a_changed_file) {
    Folder folder;
    write(folder / "x.wav", make(48000, 1, sine(997, 48000, 0.5)), 1);
    const auto first = load_material(folder / "x.wav", 48000).value();
    const auto again = load_material(folder / "x.wav", 48000).value();
    EXPECT_EQ(*again->measurement.rms_dbfs, *first->measurement.rms_dbfs);
    EXPECT_EQ(again->summary.low, first->summary.low);
    EXPECT_EQ(again->measurement.integrated_lufs, first->measurement.integrated_lufs);
    write(folder / "x.wav", make(50000, 1, sine(997, 48000, 0.25)), 1);
    EXPECT_NEAR(*load_material(folder / "x.wav", 48000).value()->measurement.rms_dbfs, -12.04, 0.01);
}

TEST(Material, whose_cache_file_was_damaged_anywhere_is_measured_anew) {
    Folder folder;
    write(folder / "x.wav", make(480000, 2, noise(3, 0.4)), 2);
    const auto first = load_material(folder / "x.wav", 48000).value();
    const auto kept = entries_of(cache_folder() / "measured").value();
    ASSERT_EQ(kept.size(), 1u);
    const std::string good = read_whole(kept[0], 1 << 26).value();
    // The file that is mapped already stays whole; another one bears its name.
    const auto replace = [&](const std::string& content) {
        fs::remove(kept[0]);
        put(kept[0], content);
    };
    const auto expect_the_truth = [&](const std::string& how) {
        const auto again = load_material(folder / "x.wav", 48000).value();
        EXPECT_EQ(again->summary.low, first->summary.low) << how;
        EXPECT_EQ(again->summary.high, first->summary.high) << how;
        EXPECT_EQ(again->summary.mean_square_of_8, first->summary.mean_square_of_8) << how;
        EXPECT_EQ(*again->measurement.integrated_lufs, *first->measurement.integrated_lufs) << how;
        EXPECT_EQ(*again->measurement.rms_dbfs, *first->measurement.rms_dbfs) << how;
        EXPECT_EQ(read_whole(kept[0], 1 << 26).value(), good) << how << ": it is written anew";
    };
    // A whole page of zeros, as a crash of the system leaves it; one bit; an end that is missing; another text.
    for (size_t at = 0; at < good.size(); at += good.size() / 23) {
        std::string damaged = good;
        const size_t end = std::min(good.size(), at + 4096);
        std::fill(damaged.begin() + static_cast<std::ptrdiff_t>(at), damaged.begin() + static_cast<std::ptrdiff_t>(end),
                  '\0');
        replace(damaged);
        expect_the_truth("zeros from " + std::to_string(at));
        damaged = good;
        damaged[at] = static_cast<char>(damaged[at] ^ 16);
        replace(damaged);
        expect_the_truth("a bit at " + std::to_string(at));
    }
    replace(good.substr(0, good.size() - 8));
    expect_the_truth("cut short");
    replace("broken");
    expect_the_truth("another text");
}

TEST(Media, whose_conversion_was_damaged_is_converted_anew) {
    Folder folder;
    write(folder / "x.wav", make(44100, 1, noise(4, 0.4)), 1, 44100);
    const fs::path converted = prepare_media(folder / "x.wav", 48000).value().playable;
    const std::string good = read_whole(converted, 1 << 26).value();
    std::string damaged = good;
    std::fill(damaged.end() - 4096, damaged.end(), '\0');
    put(converted, damaged);
    const fs::path again = prepare_media(folder / "x.wav", 48000).value().playable;
    EXPECT_EQ(read_whole(again, 1 << 26).value(), good);
}

TEST(Cache, keeps_to_its_budget_and_to_what_was_used_last) {
    Folder folder;
    const auto used = [&](const std::string& name, int hours_ago) {
        const fs::path file = cache_folder() / name;
        put(file, std::string(1000, 'x'));
        fs::last_write_time(file, fs::file_time_type::clock::now() - std::chrono::hours(hours_ago));
        return file;
    };
    ASSERT_TRUE(make_folder(cache_folder() / "measured"));
    ASSERT_TRUE(make_folder(cache_folder() / "converted"));
    const uintmax_t before = tidy_cache(cache_budget_bytes);
    const fs::path oldest = used("measured/oldest", 400), old = used("converted/old.wav", 300);
    const fs::path newer = used("measured/newer", 200), in_use = used("measured/in use", 0);
    EXPECT_EQ(tidy_cache(cache_budget_bytes), before + 4000);
    EXPECT_TRUE(fs::exists(oldest));
    EXPECT_LE(tidy_cache(before + 2500), before + 2500);
    EXPECT_FALSE(fs::exists(oldest));
    EXPECT_FALSE(fs::exists(old));
    EXPECT_TRUE(fs::exists(newer));
    (void)tidy_cache(0);
    EXPECT_FALSE(fs::exists(newer));
    EXPECT_TRUE(fs::exists(in_use)) << "another window may have it open";
}
