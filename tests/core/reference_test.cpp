// The demo's files as libebur128, ffmpeg and sox measure them.  Tolerances: loudness 0.1 LU, true peak 0.2 dB, sample
// peak and RMS 0.01 dB.
#include <ebur128.h>

#include <regex>

#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class DemoFile : public testing::TestWithParam<const char*> {
  protected:
    fs::path file = demo_folder() / GetParam();
    Measurement ours = measure_file(file).value().measurement;
};
INSTANTIATE_TEST_SUITE_P(Demo, DemoFile,
                         testing::Values("01 Kick Close.wav", "03 Snare.wav", "04 Hats.wav", "05 Shaker.wav",
                                         "07 Bass.wav", "08 Plucked Chords.wav", "10 Water Pad.wav",
                                         "12 Counter Melody.wav", "13 Voice.wav", "17 Canal Water.wav",
                                         "18 Crowd.wav"));

double number_after(const std::string& text, const std::string& label) {
    std::smatch found;
    EXPECT_TRUE(std::regex_search(text, found, std::regex(label + R"(\s*(-?[0-9.]+))"))) << label << "\n" << text;
    return found.empty() ? 0.0 : std::stod(found[1]);
}

}  // namespace

TEST_P(DemoFile, agrees_with_libebur128) {
    const auto x = read(file);
    ebur128_state* state =
        ebur128_init(static_cast<unsigned>(ours.channels), static_cast<unsigned long>(ours.sample_rate),
                     EBUR128_MODE_I | EBUR128_MODE_LRA | EBUR128_MODE_TRUE_PEAK | EBUR128_MODE_S);
    ebur128_add_frames_float(state, x.data(), x.size() / static_cast<size_t>(ours.channels));
    double loudness = 0.0, range = 0.0, peak = 0.0, true_peak = 0.0;
    ebur128_loudness_global(state, &loudness);
    ebur128_loudness_range(state, &range);
    for (unsigned c = 0; c < static_cast<unsigned>(ours.channels); ++c) {
        double sample = 0.0, between = 0.0;
        ebur128_sample_peak(state, c, &sample);
        ebur128_true_peak(state, c, &between);
        peak = std::max(peak, sample);
        true_peak = std::max(true_peak, between);
    }
    ebur128_destroy(&state);
    EXPECT_NEAR(*ours.integrated_lufs, loudness, 0.1);
    EXPECT_NEAR(*ours.loudness_range_lu, range, 1.0);  // Tech 3342's tolerance: the windows' hop is free
    EXPECT_NEAR(*ours.sample_peak_dbfs, db_from_gain(peak), 0.01);
    EXPECT_NEAR(*ours.true_peak_dbtp, db_from_gain(true_peak), 0.2);
}

TEST_P(DemoFile, agrees_with_ffmpeg) {
    const std::string quoted = "'" + file.string() + "'";
    const std::string stats =
        output_of("ffmpeg -hide_banner -i " + quoted + " -af astats=measure_perchannel=none -f null - 2>&1");
    EXPECT_NEAR(*ours.sample_peak_dbfs, number_after(stats, "Peak level dB:"), 0.01);
    // ffmpeg's RMS is the plain figure, the mean power of the channels.
    EXPECT_NEAR(*ours.rms_dbfs - aes17_db, number_after(stats, "RMS level dB:"), 0.01);
    const std::string loudness =
        output_of("ffmpeg -hide_banner -nostats -i " + quoted + " -af ebur128=peak=true -f null - 2>&1");
    const std::string summary = loudness.substr(loudness.find("Summary:"));
    EXPECT_NEAR(*ours.integrated_lufs, number_after(summary, "I:"), 0.1);
    EXPECT_NEAR(*ours.true_peak_dbtp, number_after(summary, "Peak:"), 0.2);
}

TEST_P(DemoFile, agrees_with_sox) {
    const std::string stats = output_of("sox '" + file.string() + "' -n stats 2>&1");
    EXPECT_NEAR(*ours.sample_peak_dbfs, number_after(stats, "Pk lev dB"), 0.01);
    EXPECT_NEAR(*ours.rms_dbfs - aes17_db, number_after(stats, "RMS lev dB"), 0.01);
    if (ours.channels == 1) {
        EXPECT_NEAR(ours.dc_offset, number_after(stats, "DC offset"), 1e-5);
    }
}
