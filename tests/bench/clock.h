// What benchmarks time with.
#pragma once

#include <sys/resource.h>

#include <chrono>

inline double now_s() {
    return std::chrono::duration<double>(std::chrono::steady_clock::now().time_since_epoch()).count();
}

/// Processor time of all threads of this program so far.
inline double busy_s() {
    rusage used{};
    getrusage(RUSAGE_SELF, &used);
    const auto s = [](const timeval& t) {
        return static_cast<double>(t.tv_sec) + 1e-6 * static_cast<double>(t.tv_usec);
    };
    return s(used.ru_utime) + s(used.ru_stime);
}
