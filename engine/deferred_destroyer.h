// An end that nobody has to wait for.
#pragma once

#include <condition_variable>
#include <memory>
#include <mutex>
#include <thread>
#include <vector>

namespace isotonus {

/// Lets go of things on a thread of its own: what takes a while to end (a thread that has to be waited for, much
/// memory) does not hold up whoever is done with it.  Its own end waits for all of them.
class DeferredDestroyer {
  public:
    void operator()(std::shared_ptr<void> thing) {
        const std::scoped_lock lock(mutex_);
        things_.push_back(std::move(thing));
        wake_.notify_one();
    }

  private:
    void work(const std::stop_token& stop) {
        while (!stop.stop_requested()) {
            std::vector<std::shared_ptr<void>> ending;
            std::unique_lock lock(mutex_);
            wake_.wait(lock, stop, [this] { return !things_.empty(); });
            ending.swap(things_);
            lock.unlock();
        }
    }

    std::mutex mutex_;
    std::condition_variable_any wake_;
    std::vector<std::shared_ptr<void>> things_;
    std::jthread thread_{[this](const std::stop_token& stop) { work(stop); }};
};

}  // namespace isotonus
