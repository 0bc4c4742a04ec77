// Deliveries: every type read back by other programs, stems, names, papers, and what happens when it goes wrong.
#include "core/handoff/delivery.h"

#include <signal.h>

#include <fstream>
#include <random>
#include <thread>

#include "core/handoff/sheet.h"
#include "core/session/routing.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class Deliveries : public testing::Test {
  protected:
    Folder folder;
    Mix mix{{write(folder / "Kick.wav", make(96000, 1, noise(1, 0.2)), 1),
             write(folder / "Pad.wav", make(120000, 2, noise(2, 0.2)), 2),
             write(folder / "Voice.wav", make(90000, 1, noise(3, 0.2)), 1)}};
    Delivery to(const char* name) {
        Delivery d;
        d.folder = folder / name;
        d.session_name = "paper boats";
        d.date = "2030-06-21";
        d.time = "21:30:00";
        return d;
    }
    Result<DeliveryReport> run(const Delivery& d, Progress* progress = nullptr) {
        return deliver(mix.plan(), mix.session, d, progress);
    }
    /// Files in a folder, hidden ones too.
    static std::vector<std::string> in(const fs::path& where) {
        std::vector<std::string> names;
        for (const auto& entry : fs::directory_iterator(where)) names.push_back(entry.path().filename().string());
        std::sort(names.begin(), names.end());
        return names;
    }
    static double worst(const std::vector<float>& a, const std::vector<float>& b) {
        double most = a.size() == b.size() ? 0.0 : 99.0;
        for (size_t i = 0; i < std::min(a.size(), b.size()); ++i)
            most = std::max(most, std::fabs(static_cast<double>(a[i]) - static_cast<double>(b[i])));
        return most;
    }
};

}  // namespace

TEST_F(Deliveries, every_lossless_type_is_read_with_the_same_samples_by_ffmpeg_sox_and_flac) {
    Delivery d = to("plain");
    d.format = SampleFormat::f32;
    const auto rendered = read(run(d).value().files[0].file);
    for (const auto& [type, format] : {std::pair{FileType::wav, SampleFormat::s16},
                                       {FileType::wav, SampleFormat::s24},
                                       {FileType::aiff, SampleFormat::s16},
                                       {FileType::aiff, SampleFormat::s24},
                                       {FileType::aiff, SampleFormat::f32},
                                       {FileType::flac, SampleFormat::s16},
                                       {FileType::flac, SampleFormat::s24}}) {
        Delivery one = to(file_type_name(type));
        one.folder += std::to_string(static_cast<int>(format));
        one.type = type;
        one.format = format;
        const DeliveredFile f = run(one).value().files[0];
        SCOPED_TRACE(f.file.string());
        EXPECT_EQ(f.proof, Proof::same);
        const double step = format == SampleFormat::s16   ? 1.51 / 32768
                            : format == SampleFormat::s24 ? 1.51 / 8388608
                                                          : 0.0;
        const auto ours = read(f.file);
        EXPECT_LE(worst(ours, rendered), step);  // half a step, and the dither's whole one
        EXPECT_EQ(worst(read_by_ffmpeg(f.file), ours), 0.0);
        // sox holds samples as 32-bit whole numbers.
        EXPECT_LE(worst(read_by_sox(f.file), ours), format == SampleFormat::f32 ? 1e-7 : 0.0);
        if (type != FileType::flac) continue;
        int status = 1;
        output_of("flac -t -s '" + f.file.string() + "' 2>&1", &status);
        EXPECT_EQ(status, 0);
    }
}

TEST_F(Deliveries, lossy_types_keep_length_and_level_and_say_that_they_are_lossy) {
    for (const FileType type : {FileType::ogg, FileType::opus, FileType::mp3}) {
        Delivery d = to(file_type_name(type));
        d.type = type;
        const DeliveredFile f = run(d).value().files[0];
        EXPECT_EQ(f.proof, Proof::alike) << f.file;
        const auto heard = read_by_ffmpeg(f.file);
        EXPECT_NEAR(static_cast<double>(heard.size()) / 2.0, 120000.0, 3000.0) << f.file;
        double square = 0.0, wanted = 0.0;
        for (const float x : heard) square += static_cast<double>(x) * static_cast<double>(x);
        d.type = FileType::wav;
        for (const float x : read(run(d).value().files[0].file))
            wanted += static_cast<double>(x) * static_cast<double>(x);
        EXPECT_NEAR(10.0 * std::log10(square / wanted), 0.0, 2.0) << f.file;  // the top of the noise is cut
    }
    // A rate that a type cannot hold becomes the nearest that it can.
    Delivery d = to("opus44");
    d.type = FileType::opus;
    d.sample_rate = 44100;
    EXPECT_EQ(run(d).value().sample_rate, 48000);
    d = to("flacfloat");
    d.type = FileType::flac;
    d.format = SampleFormat::f32;
    EXPECT_NE(run(d).error().what.find("no floating point"), std::string::npos);
}

TEST_F(Deliveries, dither_has_the_power_and_the_independence_of_tpdf) {
    // STANDARDS: TPDF of 2 LSB peak to peak: total error power LSB^2 / 4, no correlation with the signal.
    for (const auto& [format, dither, lsb] : {std::tuple{SampleFormat::s16, Dither::for_16_bit, 1.0 / 32768},
                                              std::tuple{SampleFormat::s24, Dither::always, 1.0 / 8388608}}) {
        const auto signal = make(400000, 1, sine(997, 48000, 0.1));
        std::vector<unsigned char> packed(signal.size() * static_cast<size_t>(bytes_of(format)));
        pack_samples(signal, format, 0, packed.data(), dither);
        std::vector<float> back(signal.size());
        unpack_samples(packed, format, back.data());
        double power = 0.0, mean = 0.0, with_signal = 0.0, energy = 0.0, next = 0.0, last = 0.0;
        for (size_t i = 0; i < signal.size(); ++i) {
            const double x = static_cast<double>(signal[i]), e = (static_cast<double>(back[i]) - x) / lsb;
            power += e * e, mean += e, with_signal += e * x, energy += x * x, next += e * last;
            last = e;
        }
        const auto n = static_cast<double>(signal.size());
        EXPECT_NEAR(power / n, 0.25, 0.005);
        EXPECT_NEAR(mean / n, 0.0, 0.005);
        EXPECT_NEAR(with_signal / std::sqrt(power * energy), 0.0, 0.01);
        EXPECT_NEAR(next / power, 0.0, 0.01);  // and white
    }
}

TEST_F(Deliveries, bext_and_cue_points_are_read_by_ffprobe) {
    mix.session.sections = {{"landing", 0.5}, {"lanterns, lit", 1.25}};
    Delivery d = to("bext");
    d.bext = true;
    d.excerpts = {{"", {24000, 72000}}};
    const DeliveredFile f = run(d).value().files[0];
    const std::string tags =
        output_of("ffprobe -v error -show_entries format_tags -show_chapters '" + f.file.string() + "'");
    for (const char* tag : {"TAG:comment=paper boats, mix", "TAG:encoded_by=Isotonus", "TAG:date=2030-06-21",
                            "TAG:creation_time=21:30:00", "TAG:time_reference=24000"})
        EXPECT_NE(tags.find(tag), std::string::npos) << tag << "\n" << tags;
    // The loudness of version 2 (EBU Tech 3285): hundredths of LUFS and dB at bytes 412 on; ffprobe does not tell it.
    std::ifstream in(f.file, std::ios::binary);
    const std::string bytes((std::istreambuf_iterator<char>(in)), {});
    const size_t at = bytes.find("bext") + 8;
    const auto word = [&](size_t offset) {
        return static_cast<int16_t>(static_cast<unsigned char>(bytes[at + offset]) |
                                    static_cast<unsigned char>(bytes[at + offset + 1]) << 8);
    };
    EXPECT_EQ(word(346), 2);
    EXPECT_NEAR(word(412) / 100.0, *f.measured.integrated_lufs, 0.02);
    EXPECT_NEAR(word(416) / 100.0, *f.measured.true_peak_dbtp, 0.02);
    const auto markers = SoundReader::open(f.file).value().markers();
    ASSERT_EQ(markers.size(), 2u);
    EXPECT_EQ(markers[0].frame, 0);
    EXPECT_EQ(markers[1].name, "lanterns, lit");
    EXPECT_EQ(markers[1].frame, 36000);
    EXPECT_EQ(read_by_sox(f.file).size(), 144000u);
}

TEST_F(Deliveries, stems_sum_to_the_mix_and_are_split_as_asked) {
    TrackId bus = 0;
    mix.session = with_new_bus(mix.session, "boats", {}, {1, 2}, &bus);
    mix.session = with_bus(mix.session, bus, [](Bus& b) { b.pan = 0.3, b.fader_db = -2.0; });
    mix.session = with_ride(mix.session, 2, Parameter::pan, {{{0.2, -1.0}, {1.0, 1.0}}});
    mix.session = with_ride(mix.session, main_output, Parameter::level, {{{0.5, 0.0}, {1.5, -12.0}}});
    mix.session.main_fader_db = -3.0;
    mix.change(0, [](Track& t) { t.family = Family::drums; });
    // Two control groups that share a row: it leaves once, with the first.
    mix.session = with_new_group(mix.session, "front", {}, {3, 1});
    mix.session = with_new_group(mix.session, "back", {}, {bus});
    for (const auto& [split, count] : {std::pair{StemSplit::tracks, 3u},
                                       {StemSplit::families, 3u},
                                       {StemSplit::buses, 2u},
                                       {StemSplit::groups, 2u}}) {
        Delivery d = to(("split" + std::to_string(static_cast<int>(split))).c_str());
        d.stems = split;
        const DeliveryReport r = run(d).value();
        ASSERT_EQ(r.files.size(), count + 1);
        ASSERT_TRUE(r.residue_dbfs);
        EXPECT_LT(*r.residue_dbfs, -120.0);  // STANDARDS: stems against the mix
        // The statement is what another program finds in the files.
        std::vector<double> sum(240000);
        double most = 0.0;
        for (const DeliveredFile& f : r.files)
            if (!f.is_mix)
                for (size_t i = 0; const float x : read_by_sox(f.file)) sum[i++] += static_cast<double>(x);
        for (size_t i = 0; const float x : read_by_sox(r.files[0].file))
            most = std::max(most, std::fabs(sum[i++] - static_cast<double>(x)));
        EXPECT_NEAR(20.0 * std::log10(most), *r.residue_dbfs, 0.1);
    }
    // Before the main fader: louder by it, and still compared with a mix before it.
    Delivery d = to("before");
    d.stems = StemSplit::tracks;
    d.stems_before_main = true;
    const DeliveryReport r = run(d).value();
    EXPECT_LT(*r.residue_dbfs, -120.0);
    d = to("after");
    d.stems = StemSplit::tracks;
    const DeliveryReport after = run(d).value();
    EXPECT_NEAR(*r.files[1].measured.sample_peak_dbfs - *after.files[1].measured.sample_peak_dbfs, 3.0, 0.6);
    // A muted track has no stem, and a mix is not needed for stems.
    mix.change(1, [](Track& t) { t.mute = true; });
    d = to("alone");
    d.mix = false;
    d.stems = StemSplit::tracks;
    EXPECT_EQ(run(d).value().files.size(), 2u);
}

TEST_F(Deliveries, names_follow_the_pattern_and_never_meet) {
    mix.session.sections = {{"first/half", 0.0}, {"second", 1.0}};
    mix.change(1, [](Track& t) { t.name = "Kick"; });
    Delivery d = to("names");
    d.stems = StemSplit::tracks;
    d.excerpts = {{"first/half", {0, 48000}}, {"second", {48000, 0}}};
    d.pattern = "{date} {part}";
    std::vector<std::string> names;
    for (const fs::path& f : files_of(mix.plan(), mix.session, d)) names.push_back(f.filename().string());
    EXPECT_EQ(names, (std::vector<std::string>{"2030-06-21 mix first-half.wav", "2030-06-21 Kick first-half.wav",
                                               "2030-06-21 Kick first-half 2.wav", "2030-06-21 Voice first-half.wav",
                                               "2030-06-21 mix second.wav", "2030-06-21 Kick second.wav",
                                               "2030-06-21 Kick second 2.wav", "2030-06-21 Voice second.wav"}));
    d.mix_name = "my mix";
    EXPECT_EQ(files_of(mix.plan(), mix.session, d)[0].filename(), "my mix first-half.wav");
    const DeliveryReport r = run(d).value();
    EXPECT_EQ(r.files[0].measured.frames, 48000);
    EXPECT_EQ(r.files[4].measured.frames, 72000);
    // The sections follow each other without a seam.
    auto both = read(r.files[0].file);
    for (const float x : read(r.files[4].file)) both.push_back(x);
    EXPECT_EQ(both, read(run(to("whole")).value().files[0].file));
}

TEST_F(Deliveries, sizes_are_known_before_anything_is_written) {
    constexpr uintmax_t headers = 8192;
    for (const auto& [type, format, rate] : {std::tuple{FileType::wav, SampleFormat::s24, 0},
                                             {FileType::aiff, SampleFormat::s16, 0},
                                             {FileType::wav, SampleFormat::f32, 44100},
                                             {FileType::flac, SampleFormat::s16, 0},
                                             {FileType::ogg, SampleFormat::f32, 0}}) {
        Delivery d = to(fmt::format("sizes {} {}", file_type_name(type), rate).c_str());
        d.type = type, d.format = format, d.sample_rate = rate, d.stems = StemSplit::tracks;
        d.excerpts = {{"half", {48000, 48000}}};
        const auto planned = planned_files(mix.plan(), mix.session, d);
        const auto written = run(d).value().files;
        ASSERT_EQ(planned.size(), written.size());
        for (size_t n = 0; n < planned.size(); ++n) {
            EXPECT_EQ(planned[n].file, written[n].file);
            EXPECT_EQ(planned[n].duration_s, 1.0);
            const uintmax_t bytes = fs::file_size(written[n].file);
            ASSERT_EQ(planned[n].bytes.has_value(), type != FileType::ogg);
            if (!planned[n].bytes) continue;
            EXPECT_LE(bytes, *planned[n].bytes + headers);
            const uintmax_t least = type == FileType::flac ? 1 : *planned[n].bytes;
            EXPECT_GE(bytes, least) << file_type_name(type);
        }
    }
}

TEST_F(Deliveries, a_tail_lasts_until_it_is_silent) {
    Mix ringing({write(folder / "ring.wav",
                       make(240000, 1,
                            [](int64_t i, int) {
                                const double t = static_cast<double>(i) / 48000.0;
                                return t < 1.0 ? 0.5
                                               : 0.5 * std::pow(10.0, -(t - 1.0) * 40.0 / 20.0);  // 40 dB a second
                            }),
                       1)});
    ringing.session.pan_law = PanLaw::balance;
    Delivery d = to("tail");
    d.excerpts = {{"", {0, 48000}}};
    d.tail = true;
    const auto r = deliver(ringing.plan(), ringing.session, d).value();
    // From -6 dBFS to -60 takes 1.35 s; then 50 ms of quiet.
    EXPECT_NEAR(static_cast<double>(r.files[0].measured.frames) / 48000.0, 1.0 + 1.35 + 0.05, 0.01);
}

TEST_F(Deliveries, conversion_comes_after_rendering_and_keeps_the_length) {
    Delivery d = to("44");
    d.sample_rate = 44100;
    d.stems = StemSplit::tracks;
    const auto r = run(d).value();
    EXPECT_EQ(r.files[0].measured.sample_rate, 44100);
    EXPECT_EQ(r.files[0].measured.frames, 110250);
    EXPECT_EQ(r.files[0].proof, Proof::same);
    EXPECT_LT(*r.residue_dbfs, -120.0);
}

TEST_F(Deliveries, nothing_is_overwritten_and_nothing_half_is_left) {
    Delivery d = to("keep");
    ASSERT_TRUE(run(d));
    const auto before = read(folder / "keep/paper boats mix.wav");
    mix.change(0, [](Track& t) { t.fader_db = -12.0; });
    const auto again = run(d);
    ASSERT_FALSE(again);
    EXPECT_NE(again.error().text().find("paper boats mix.wav"), std::string::npos);
    EXPECT_EQ(read(folder / "keep/paper boats mix.wav"), before);
    d.overwrite = true;
    Progress cancelled;
    cancelled.cancel();
    EXPECT_EQ(run(d, &cancelled).error().what, "cancelled");
    EXPECT_EQ(in(folder / "keep"), std::vector<std::string>{"paper boats mix.wav"});
    EXPECT_EQ(read(folder / "keep/paper boats mix.wav"), before);
    EXPECT_TRUE(run(d));
    EXPECT_NE(read(folder / "keep/paper boats mix.wav"), before);
    // A track's own file is safe even from a yes.
    d = to(".");
    d.mix_name = "Kick";
    d.overwrite = true;
    EXPECT_NE(run(d).error().what.find("the track 'Kick'"), std::string::npos);
    mix.change(0, [](Track& t) { t.mute = true; });
    mix.change(1, [](Track& t) { t.mute = true; });
    mix.change(2, [](Track& t) { t.mute = true; });
    d = to("nothing");
    d.mix = false;
    d.stems = StemSplit::tracks;
    EXPECT_NE(run(d).error().what.find("nothing to export"), std::string::npos);
}

TEST_F(Deliveries, a_crash_in_the_middle_leaves_no_half_file_and_the_next_export_sweeps_up) {
    Mix longer({write(folder / "long.wav", make(48000 * 60, 2, noise(5, 0.3)), 2)});
    const PlanPtr plan = longer.plan();
    Delivery d = to("crash");
    d.stems = StemSplit::tracks;
    const pid_t child = fork();
    if (child == 0) {
        // Dies by itself in the middle: nothing after it is run.
        Progress progress;
        std::thread([&progress] {
            while (progress.fraction() < 0.05) std::this_thread::sleep_for(std::chrono::microseconds(200));
            kill(getpid(), SIGKILL);
        }).detach();
        (void)deliver(plan, longer.session, d, &progress);
        _exit(0);
    }
    int status = 0;
    waitpid(child, &status, 0);
    ASSERT_TRUE(WIFSIGNALED(status));
    const auto left = in(d.folder);
    for (const std::string& name : left) EXPECT_TRUE(name.starts_with(".") && name.ends_with(".part")) << name;
    EXPECT_FALSE(left.empty());  // it was in the middle
    ASSERT_TRUE(deliver(plan, longer.session, d));
    EXPECT_EQ(in(d.folder), (std::vector<std::string>{"paper boats 01 long.wav", "paper boats mix.wav"}));
}

TEST_F(Deliveries, checksums_are_those_of_sha256sum_and_the_sheet_tells_all) {
    mix.session.hand_off.notes = "Please keep <the bells> soft & far.";
    mix.session.sections = {{"landing", 0.5}};
    mix.session = with_ride(mix.session, 3, Parameter::level, {{{0.0, -1.0}, {1.0, 0.0}}});
    Delivery d = to("sums");
    d.stems = StemSplit::tracks;
    const PlanPtr plan = mix.plan();
    const auto r = deliver(plan, mix.session, d).value();
    std::ofstream(d.folder / "sums") << checksums_of(r);
    int status = 1;
    output_of("cd '" + d.folder.string() + "' && sha256sum -c --quiet sums", &status);
    EXPECT_EQ(status, 0);
    const auto measured = measure_mix(plan).value();
    const auto checks = check_handoff({mix.session, *plan, measured, {}, {}, false, {}});
    const auto sheet = sheet_to_json({mix.session, "paper boats", d.date, *plan, checks, r});
    ASSERT_EQ(sheet["files"].size(), 4u);
    EXPECT_EQ(sheet["files"][0]["sha256"], r.files[0].sha256);
    EXPECT_NEAR(sheet["files"][0]["integrated_lufs"].get<double>(), *measured.measurement.integrated_lufs, 0.01);
    EXPECT_EQ(sheet["tracks"][2]["rides"]["level"], 2);
    EXPECT_EQ(sheet["tracks"][2]["output"], "main");
    EXPECT_EQ(sheet["checks"].size(), checks.size());
    const std::string text = sheet_to_text(sheet), html = sheet_to_html(sheet);
    for (const char* part : {"<the bells> soft & far", "landing", "Voice", "level ride of 2 points", "same samples"})
        EXPECT_NE(text.find(part), std::string::npos) << part;
    EXPECT_NE(text.find(r.files[3].sha256), std::string::npos);
    EXPECT_NE(html.find("&lt;the bells&gt; soft &amp; far"), std::string::npos);
}
