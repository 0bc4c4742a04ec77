// Samples that are kept outside of memory.
#include "core/files/spool.h"

#include <cstdio>
#include <fstream>
#include <random>
#include <string>
#include <thread>

#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

TEST(Spools, give_back_what_they_were_given_and_their_room) {
    const int64_t before = Spooled::bytes_in_use();
    std::mt19937 random(3);
    std::vector<std::pair<std::shared_ptr<Spooled>, std::vector<float>>> held;
    for (int round = 0; round < 300; ++round) {
        if (held.size() > 20 || (!held.empty() && random() % 3 == 0))
            held.erase(held.begin() + static_cast<std::ptrdiff_t>(random() % held.size()));
        std::vector<float> samples(1 + random() % 20000);
        for (float& x : samples) x = static_cast<float>(random());
        auto kept = Spooled::reserve(std::ssize(samples)).value_or(nullptr);
        ASSERT_TRUE(kept);
        const int64_t half = std::ssize(samples) / 2;
        ASSERT_TRUE(kept->write(0, samples.data(), half));
        ASSERT_TRUE(kept->write(half, samples.data() + half, std::ssize(samples) - half));
        held.emplace_back(std::move(kept), std::move(samples));
        // None has written over another.
        for (const auto& [spooled, wanted] : held) {
            std::vector<float> back(wanted.size());
            ASSERT_TRUE(spooled->read(0, back.data(), std::ssize(back)));
            ASSERT_EQ(back, wanted) << round;
        }
    }
    held.clear();
    EXPECT_EQ(Spooled::bytes_in_use(), before);
}

TEST(Spools, have_a_budget) {
    EXPECT_FALSE(Spooled::reserve(spool_budget_bytes));  // four bytes each
    EXPECT_FALSE(Spooled::reserve(0));
    const auto most = Spooled::reserve(spool_budget_bytes / 4 - (Spooled::bytes_in_use() + 4096) / 4);
    ASSERT_TRUE(most);
    EXPECT_FALSE(Spooled::reserve(1 << 20));
}

TEST(Spools, let_go_of_memory_and_are_read_on_to_the_same_samples) {
    constexpr int64_t count = (int64_t{40} << 20) / 4 + 123;
    const auto kept = Spooled::reserve(count).value();
    std::vector<float> samples(count);
    for (size_t n = 0; n < samples.size(); ++n) samples[n] = static_cast<float>(n);
    ASSERT_TRUE(kept->write(0, samples.data(), count));
    const float* const mapped = kept->mapped();
    ASSERT_TRUE(mapped);
    // As the system counts it: what is this program's now of all that is mapped there.
    const auto resident_kib = [&] {
        std::ifstream maps("/proc/self/smaps");
        const auto at = reinterpret_cast<uintptr_t>(mapped);
        bool is_it = false;
        for (std::string line; std::getline(maps, line);) {
            unsigned long from = 0, to = 0;
            if (std::sscanf(line.c_str(), "%lx-%lx ", &from, &to) == 2) is_it = from <= at && at < to;
            if (is_it && line.starts_with("Rss:")) return std::stol(line.substr(4));
        }
        return -1l;
    };
    ASSERT_TRUE(std::equal(samples.begin(), samples.end(), mapped));
    const long before = resident_kib();
    kept->let_go(0, count - 100000);
    EXPECT_LT(resident_kib(), before - 38000);
    EXPECT_TRUE(std::equal(samples.begin(), samples.end(), mapped));
}
