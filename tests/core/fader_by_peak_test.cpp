// Faders from the peak that a track should have in the mix.
#include "core/balance/fader_by_peak.h"

#include <gmock/gmock.h>

#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;

TEST(FadersByPeak, bring_tracks_to_a_peak_and_name_the_one_that_cannot_reach_it) {
    Folder folder;
    // Peaks of -6.02 and -46.02 dBFS, and silence.
    Shaped mix({write(folder / "loud.wav", make(48000, 1, sine(1000, 48000, 0.5)), 1),
                write(folder / "soft.wav", make(48000, 1, sine(1000, 48000, 0.005)), 1),
                write(folder / "none.wav", make(48000, 1, sine(1000, 48000, 0.0)), 1)});
    mix.change(0, [](Track& t) { t.trim_db = -4.0, t.fader_db = 3.0; });
    const std::vector<TrackId> all{mix.id(0), mix.id(1), mix.id(2)};
    const FadersByPeak found = faders_by_peak(mix.session, all, mix.file_of(), -18.0);
    ASSERT_EQ(found.faders_db.size(), 1u);
    EXPECT_NEAR(found.faders_db.at(mix.id(0)), -18.0 + 6.0206 + 4.0, 0.01);
    EXPECT_EQ(found.too_low, mix.id(1));
    EXPECT_NEAR(found.highest_dbfs, -46.0206 + fader_max_db, 0.01);
    // So low that its fader is off.
    EXPECT_EQ(faders_by_peak(mix.session, {mix.id(0)}, mix.file_of(), -150.0).faders_db.at(mix.id(0)), silence_db);
}
