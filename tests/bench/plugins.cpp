// bench_plugins COUNT: looking at COUNT plug-ins made up from Debian's lv2-examples for the first time, against again
// when nothing has changed; and how soon it stops when it is cancelled.
#include <fmt/format.h>
#include <gtest/gtest.h>

#include <thread>

#include "tests/bench/clock.h"
#include "tests/support/plugins.h"

using namespace isotonus;
using namespace isotonus::test;

int main(int argc, char** argv) {
    const int count = argc > 1 ? std::atoi(argv[1]) : 200;
    Plugins plugins;
    for (int n = 0; n < count; ++n) plugins.add_amplifier(n);
    double from = now_s();
    size_t usable = 0;
    for (const Plugin& p : scan_plugins().value()) usable += p.type ? 1 : 0;
    const double first_s = now_s() - from;
    from = now_s();
    (void)scan_plugins().value();
    const double again_s = now_s() - from;
    for (int n = 0; n < count; ++n)
        fs::last_write_time(plugins.folder / "lv2" / (Plugins::copy_of_amplifier(n) + ".lv2") / "amp.ttl",
                            fs::file_time_type::clock::now());
    Progress progress;
    double asked = 0.0;
    std::thread other([&] {
        std::this_thread::sleep_for(std::chrono::duration<double>(first_s / 4.0));
        asked = now_s();
        progress.cancel();
    });
    const bool stopped = !scan_plugins(&progress);
    const double done = now_s();
    other.join();
    fmt::print(
        "{} plug-ins that can be used: looked at in {:.2f} s, again in {:.0f} ms ({:.0f} times quicker); {} {:.0f} ms "
        "after it was cancelled\n",
        usable, first_s, again_s * 1e3, first_s / again_s, stopped ? "stopped" : "done", (done - asked) * 1e3);
}
