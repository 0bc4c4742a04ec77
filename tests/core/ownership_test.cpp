// One sound against the others: whose the third octaves of a mix are, and a note taken out of the others.
#include "core/compare/ownership.h"

#include <gmock/gmock.h>

#include "core/compare/third_octaves.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

struct Heard : Shaped {
    using Shaped::Shaped;
    std::map<MaterialPtr, LongTermSpectrum> spectra;
    SpectrumOf of() {
        return [this](const MaterialPtr& m) {
            if (!spectra.contains(m)) spectra[m] = spectrum_of(*m).value();
            return &spectra.at(m);
        };
    }
    const OwnedBand* band(const std::vector<OwnedBand>& all, double hz) {
        for (const OwnedBand& b : all)
            if (b.band == third_octave_at(hz)) return &b;
        return nullptr;
    }
};

}  // namespace

// Sines of known levels: shares are those of their powers.
TEST(Ownership, is_the_share_of_power_in_each_third_octave) {
    Folder folder;
    const auto tones = [&](const char* name, double low, double middle) {
        return write(
            folder / name,
            make(480000, 2,
                 [=](int64_t i, int c) { return sine(110, 48000, low)(i, c) + sine(1000, 48000, middle)(i, c); }),
            2);
    };
    Heard mix({tones("bass.wav", 0.3, 0.01), tones("lead.wav", 0.1, 0.2), tones("pad.wav", 0.001, 0.2)});
    const auto bass = owned_bands(*mix.shaped_plan(), mix.id(0), mix.of());
    const OwnedBand* low = mix.band(bass, 110.0);
    ASSERT_TRUE(low);
    EXPECT_NEAR(low->share, 0.09 / (0.09 + 0.01 + 1e-6), 0.01);
    EXPECT_EQ(low->rival, mix.id(1));
    EXPECT_TRUE(low->owned());
    EXPECT_FALSE(mix.band(bass, 1000.0)) << "29 dB below its strongest: no part of its sound";
    const auto lead = owned_bands(*mix.shaped_plan(), mix.id(1), mix.of());
    ASSERT_TRUE(mix.band(lead, 1000.0));
    EXPECT_NEAR(mix.band(lead, 1000.0)->share, 0.5, 0.01);
    ASSERT_TRUE(mix.band(lead, 110.0));
    EXPECT_FALSE(mix.band(lead, 110.0)->owned() || mix.band(lead, 110.0)->fought_for());
    // A fader counts, and so does a mute.
    mix.change(2, [](Track& t) { t.fader_db = -6.0; });
    EXPECT_NEAR(mix.band(owned_bands(*mix.shaped_plan(), mix.id(1), mix.of()), 1000.0)->share, 0.8, 0.01);
    mix.change(2, [](Track& t) { t.mute = true; });
    EXPECT_NEAR(mix.band(owned_bands(*mix.shaped_plan(), mix.id(1), mix.of()), 1000.0)->share, 1.0, 0.01);
}

TEST(Ownership, a_note_is_taken_out_of_the_others_and_brings_what_was_said) {
    Folder folder;
    const fs::path voice = write(folder / "voice.wav", make(480000, 1, sine(440.3, 48000, 0.1)), 1);
    const auto noisy = [&](const char* name, unsigned seed) {
        return write(folder / name, make(480000, 1, noise(seed, 0.5)), 1);
    };
    Heard mix({voice, noisy("pad.wav", 1), noisy("keys.wav", 2)});
    mix.change(0, [](Track& t) { t.fader_db = -14.0; });
    const auto hz = strongest_hz(*mix.file_of()(*mix.session.tracks[0])).value();
    ASSERT_TRUE(hz);
    EXPECT_NEAR(*hz, 440.3, 0.5);
    const auto none = [](TrackId) { return false; };
    const auto cuts = note_out_of_others(*mix.shaped_plan(), mix.id(0), *hz, mix.of(), none);
    ASSERT_TRUE(cuts);
    EXPECT_EQ(cuts->note(), "A4");
    ASSERT_EQ(cuts->cuts.size(), 2u);
    for (const auto& [id, db] : cuts->cuts) EXPECT_TRUE(db <= -3.0 && db >= -6.0) << db;
    // What was said is what comes of it.
    mix.session = with_note_cuts(mix.session, *cuts);
    double after = 0.0;
    const double edge = std::pow(2.0, 1.0 / 6.0);
    for (const BandMaker& maker : makers_of(*mix.shaped_plan(), *hz / edge, *hz * edge, mix.of()))
        if (maker.row == mix.id(0)) after = maker.share;
    EXPECT_NEAR(after, cuts->share_after, 0.02);
    EXPECT_GT(after, cuts->share_before + 0.02);
    // Who is spared is left alone, and what brings nothing is not proposed.
    const auto all = [](TrackId) { return true; };
    EXPECT_FALSE(note_out_of_others(*mix.shaped_plan(), mix.id(0), *hz, mix.of(), all));
    mix.change(0, [](Track& t) { t.fader_db = 10.0; });
    EXPECT_FALSE(note_out_of_others(*mix.shaped_plan(), mix.id(0), *hz, mix.of(), none));
}
