// Work shared among threads, and the means to stop it.
#pragma once

#include <algorithm>
#include <atomic>
#include <cstdint>
#include <cstdlib>
#include <exception>
#include <mutex>
#include <optional>
#include <thread>
#include <vector>

namespace isotonus {

/// Long work reports its progress (0 … 1) and looks here whether it should stop.  Safe to share between threads.
class Progress {
  public:
    Progress() = default;
    /// Of one part of a work: it is cancelled with the whole, and reports for itself.
    explicit Progress(const Progress* whole) : whole_(whole) {}
    void report(double fraction) { fraction_.store(fraction, std::memory_order_relaxed); }
    double fraction() const { return fraction_.load(std::memory_order_relaxed); }
    void cancel() { cancelled_.store(true, std::memory_order_relaxed); }
    bool cancelled() const { return cancelled_.load(std::memory_order_relaxed) || (whole_ && whole_->cancelled()); }

  private:
    const Progress* const whole_ = nullptr;
    std::atomic<double> fraction_{0.0};
    std::atomic<bool> cancelled_{false};
};

/// How many threads share long work: as many as there are processors, or what ISOTONUS_WORKERS says (1 … 256).
inline int worker_count() {
    const char* const wanted = std::getenv("ISOTONUS_WORKERS");
    const int count = wanted ? std::atoi(wanted) : static_cast<int>(std::thread::hardware_concurrency());
    return std::clamp(count, 1, 256);
}

/// What ISOTONUS_WORKERS says; nothing when it says nothing.  Threads that mostly wait for each other are not counted
/// then, and are when it does.
inline std::optional<int> workers_allowed() {
    return std::getenv("ISOTONUS_WORKERS") ? std::optional(worker_count()) : std::nullopt;
}

/// Calls work(index) once for each index in 0 … count-1 from at most `workers` threads; returns when all are done.
/// What one of them throws is thrown again on the calling thread; the indices that were not begun are left out then.
/// When the system gives no more threads, fewer do the work.
template <class Work>
void parallel_for(int64_t count, int workers, Work work) {
    std::atomic<int64_t> next{0};
    std::mutex mutex;
    std::exception_ptr thrown;
    auto loop = [&] {
        try {
            for (int64_t index = next.fetch_add(1); index < count; index = next.fetch_add(1)) work(index);
        } catch (...) {
            next = count;
            std::scoped_lock lock(mutex);
            thrown = std::current_exception();
        }
    };
    {
        std::vector<std::jthread> others;
        try {
            for (int64_t n = 1; n < std::min<int64_t>(workers, count); ++n) others.emplace_back(loop);
        } catch (const std::exception&) {
        }
        loop();
    }
    if (thrown) std::rethrow_exception(thrown);
}

}  // namespace isotonus
