// Rows that send to a bus, for tests.
#pragma once

#include "core/session/routing.h"
#include "tests/support/chains.h"

namespace isotonus::test {

/// A mono and a stereo track, and a bus that nothing leads to.
struct Sending : Shaped {
    TrackId hall = 0;
    explicit Sending(const Folder& folder)
        : Shaped({write(folder / "1.wav", make(60000, 1, noise(1, 0.4)), 1),
                  write(folder / "2.wav", make(50000, 2, noise(2, 0.4)), 2)}) {
        session = with_new_bus(session, "Hall", std::nullopt, {}, &hall);
    }
    void send(TrackId row, TrackId bus, const std::function<void(Send&)>& with) {
        auto next = with_send(session, row, bus, with);
        ASSERT_TRUE(next) << next.error().text();
        session = std::move(*next);
    }
    void bus(TrackId row, const std::function<void(Bus&)>& with) { session = with_bus(session, row, with); }
    void chain(TrackId row, Chain c) {
        session = with_chain(session, row, [&](Chain& now) { now = std::move(c); });
    }
    std::vector<float> now(int block = 4096, int workers = 1) { return rendered(shaped_plan(), block, workers); }
};

}  // namespace isotonus::test
