// What has to be made is decided in one place, whoever makes it: here threads that work behind edits, as the window's
// do.
#include "core/mix/signal_graph.h"

#include <gmock/gmock.h>

#include <condition_variable>
#include <deque>
#include <mutex>
#include <thread>

#include "core/mix/sum_of_rows.h"
#include "core/session/channel.h"
#include "tests/support/sending.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// Runs jobs on two threads; what they make is taken by whoever edits, when it asks for it.
class Behind {
  public:
    Behind() {
        for (int n = 0; n < 2; ++n) threads_.emplace_back([this](const std::stop_token& stop) { work(stop); });
    }
    ~Behind() {
        for (auto& t : threads_) t.request_stop();
        wake_.notify_all();
    }

    /// Begins what is missing for this session, and gives up what it does not want any more.
    void follow(const Session& session, const MaterialOf& files) {
        SignalsAsked asked;
        bool of_tracks = false;
        for (const auto& [channel, running] : running_) {
            asked.running[channel] = {running.job.key, running.job.begun};
            of_tracks |= !running.job.of_bus;
        }
        asked.buses = !of_tracks;
        SignalWork work = next_work(session, files, made.played_by(session, files), made, asked);
        for (const TrackId channel : work.unwanted) running_.at(channel).progress->cancel();
        for (SignalJob& job : work.jobs) {
            const Running running{std::move(job), std::make_shared<Progress>()};
            running_[running.job.recipe.row] = running;
            const std::scoped_lock lock(mutex_);
            waiting_.push_back(running);
        }
        wake_.notify_all();
    }
    /// Takes what is done by now; `all`: until nothing is missing.
    void take(const Session& session, const MaterialOf& files, bool all) {
        do {
            std::deque<std::pair<Running, Result<MadeSignals>>> done;
            {
                std::unique_lock lock(mutex_);
                if (all && !running_.empty()) ready_.wait(lock, [this] { return !done_.empty(); });
                done.swap(done_);
            }
            for (const auto& [running, signals] : done) {
                const auto at = running_.find(running.job.recipe.row);
                if (at != running_.end() && at->second.progress == running.progress) running_.erase(at);
                if (!running.progress->cancelled() && signals)
                    for (const MaterialPtr& material : *signals) made.add(material);
            }
            follow(session, files);
        } while (all && !running_.empty());
    }

    RowSignals made;

  private:
    struct Running {
        SignalJob job;
        std::shared_ptr<Progress> progress;
    };
    void work(const std::stop_token& stop) {
        for (;;) {
            std::unique_lock lock(mutex_);
            wake_.wait(lock, [&] { return stop.stop_requested() || !waiting_.empty(); });
            if (stop.stop_requested()) return;
            const Running running = std::move(waiting_.front());
            waiting_.pop_front();
            lock.unlock();
            auto signals = running.progress->cancelled() ? Result<MadeSignals>(stopped())
                                                         : isotonus::make(running.job, running.progress.get());
            lock.lock();
            done_.emplace_back(running, std::move(signals));
            ready_.notify_all();
        }
    }
    std::map<TrackId, Running> running_;  ///< the editing thread's
    std::mutex mutex_;
    std::condition_variable wake_, ready_;
    std::deque<Running> waiting_;
    std::deque<std::pair<Running, Result<MadeSignals>>> done_;
    std::vector<std::jthread> threads_;  ///< the last: they are joined before the rest goes
};

}  // namespace

TEST(SignalGraph, jobs_behind_edits_undos_and_cancels_end_in_what_is_made_all_at_once) {
    Folder folder;
    for (unsigned seed = 1; seed <= 3; ++seed) {
        std::mt19937 random(seed);
        Sending mix(folder);
        mix.send(mix.id(0), mix.hall, [](Send& s) { s.level_db = -6.0; });
        mix.chain(mix.hall, {processor("delay", {{"left_ms", 40.0}}, 1)});
        Behind behind;
        std::vector<Session> past{mix.session};
        for (int step = 0; step < 12; ++step) {
            const TrackId channel = std::array{mix.id(0), mix.id(1), mix.hall, main_output}[random() % 4];
            if (random() % 4 == 0) {
                mix.session = past[random() % past.size()];
            } else if (random() % 3 == 0) {
                mix.session = with_channel(mix.session, channel, [&](const ChannelEdit& c) {
                    *c.fader_db = -static_cast<double>(random() % 12);
                });
            } else {
                const TrackId source = random() % 2 ? mix.hall : mix.id(0);
                auto [made, rides] = random_chain(random, channel == mix.id(1) ? source : 0);
                mix.chain(channel, made);
            }
            past.push_back(mix.session);
            behind.follow(mix.session, mix.file_of());
            behind.take(mix.session, mix.file_of(), random() % 5 == 0);
        }
        behind.take(mix.session, mix.file_of(), true);
        const MaterialOf made = behind.made.played_by(mix.session, mix.file_of());
        const PlanPtr plan = compile_plan(mix.session, made, Solo::left_out);
        EXPECT_TRUE(is_known(*plan)) << "seed " << seed << ": something is only provisional";
        EXPECT_EQ(rendered(plan, 4096), mix.now()) << "seed " << seed;
    }
}
