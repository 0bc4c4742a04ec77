// Second-order filters against scipy's own bilinear transform of the analogue prototypes in the Audio EQ Cookbook (W3C
// Note), and against the closed form of what they do to a sine.
#include "core/audio/biquad.h"

#include <gtest/gtest.h>

#include <nlohmann/json.hpp>

#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

TEST(Biquads, are_the_cookbooks_prototypes_through_the_bilinear_transform) {
    // H(s) as the Cookbook writes it, with the frequency warped so that it is met exactly.
    int status = 0;
    const std::string answer = output_of(R"(/usr/bin/python3 - <<'PYTHON'
import json, math
from scipy import signal
def digital(b, a, hz, rate):
    w = math.tan(math.pi * hz / rate)   # s -> s / w: the warped frequency is 1
    b = [c / w ** (2 - n) for n, c in enumerate(b)]
    a = [c / w ** (2 - n) for n, c in enumerate(a)]
    b, a = signal.bilinear(b, a, fs=0.5)
    return [b[0] / a[0], b[1] / a[0], b[2] / a[0], a[1] / a[0], a[2] / a[0]]
found = []
for rate in (44100, 48000, 192000):
    for hz, q, db in ((30, 0.7071, 6), (1000, 4, -9), (12000, 0.5, 3)):
        A, r = 10 ** (db / 40), math.sqrt(10 ** (db / 40))
        found.append([digital([1, 0, 0], [1, 1 / q, 1], hz, rate), digital([0, 0, 1], [1, 1 / q, 1], hz, rate),
            digital([1, A / q, 1], [1, 1 / (A * q), 1], hz, rate),
            digital([A, A * r / q, A * A], [A, r / q, 1], hz, rate),
            digital([A * A, A * r / q, A], [1, r / q, A], hz, rate)])
print(json.dumps(found))
PYTHON)",
                                         &status);
    ASSERT_EQ(status, 0) << answer;
    const auto expected = nlohmann::json::parse(answer);
    struct Case {
        double hz, q, db;
    };
    size_t n = 0;
    for (const double rate : {44100.0, 48000.0, 192000.0})
        for (const Case& c : {Case{30, 0.7071, 6}, Case{1000, 4, -9}, Case{12000, 0.5, 3}}) {
            const Biquad found[] = {low_cut(c.hz, c.q, rate), high_cut(c.hz, c.q, rate), bell(c.hz, c.q, c.db, rate),
                                    low_shelf(c.hz, c.q, c.db, rate), high_shelf(c.hz, c.q, c.db, rate)};
            for (size_t shape = 0; shape < 5; ++shape) {
                const double got[] = {found[shape].b0, found[shape].b1, found[shape].b2, found[shape].a1,
                                      found[shape].a2};
                for (size_t k = 0; k < 5; ++k)
                    EXPECT_NEAR(got[k], expected[n][shape][k].get<double>(), 1e-9)
                        << rate << " " << c.hz << " " << shape;
            }
            ++n;
        }
}

TEST(Biquads, do_to_a_sine_what_their_response_says) {
    const Biquad f = bell(800, 2.0, 7.5, 48000);
    for (const double hz : {100.0, 700.0, 800.0, 5000.0}) {
        Biquad::State state;
        double square = 0.0;
        for (int n = 0; n < 96000; ++n) {
            const double y = f.step(state, std::sin(2.0 * std::numbers::pi * hz * n / 48000.0));
            if (n >= 48000) square += y * y;
        }
        EXPECT_NEAR(10.0 * std::log10(square / 24000.0), response_db({{f}}, hz, 48000), 1e-6) << hz;
    }
    EXPECT_NEAR(response_db({{f}}, 800, 48000), 7.5, 1e-9);
}
