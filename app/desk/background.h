// Work behind the window: every thread of the interface's own is started here.
#pragma once

#include <sys/resource.h>
#include <unistd.h>
#include <QCoreApplication>
#include <QObject>
#include <QThreadPool>
#include <memory>
#include <utility>
#include <vector>

#include "core/parallel.h"
#include "core/result.h"

namespace isotonus {

/// The jobs of one part of the window, on threads of their own.
///
/// A job is `work(Progress&)`, which returns a Result on one of the threads, and `then(result)`, which is called on the
/// window's thread once for every job, in the end, whatever became of it: what work threw arrives as an error, and a
/// job that was given up before it began as stopped().  So nobody who waits for a job waits for ever.
///
/// The one exception: when this object goes, jobs are given up and nobody is told.  It is declared after all that work
/// uses, so that it goes first.
class Background {
  public:
    /// The window and the sound come first: on Linux each thread has a niceness of its own, and hands it on to those
    /// that it starts.  An urgent job does not stand behind.
    enum class Standing { behind, urgent };

    explicit Background(int threads = 1, Standing standing = Standing::behind) : standing_(standing) {
        pool_.setMaxThreadCount(threads);
    }
    ~Background() { end(); }
    Background(const Background&) = delete;

    template <class Work, class Then>
    void start(Work work, Then then, std::shared_ptr<Progress> progress = std::make_shared<Progress>()) {
        std::erase_if(jobs_, [](const auto& job) { return job.expired(); });
        jobs_.push_back(progress);
        pool_.start([this, work = std::move(work), then = std::move(then), progress]() mutable {
            if (standing_ == Standing::behind) setpriority(PRIO_PROCESS, static_cast<id_t>(gettid()), 10);
            using Outcome = decltype(work(*progress));
            Outcome outcome =
                progress->cancelled() ? Outcome(stopped()) : without_exceptions({}, [&] { return work(*progress); });
            QMetaObject::invokeMethod(
                &here_, [then = std::move(then), outcome = std::move(outcome)]() mutable { then(std::move(outcome)); });
        });
    }

    /// Jobs that run are told to stop, and those that wait are not begun; `then` is called for each.
    void give_up() {
        for (const auto& job : jobs_)
            if (const auto progress = job.lock()) progress->cancel();
    }
    /// Until all jobs are done; their `then` is still to come.
    void wait() { pool_.waitForDone(); }
    /// Gives up all jobs, waits until those that run have noticed, and tells nobody.
    void end() {
        give_up();
        pool_.clear();
        pool_.waitForDone();
        QCoreApplication::removePostedEvents(&here_);
    }

  private:
    const Standing standing_;
    std::vector<std::weak_ptr<Progress>> jobs_;
    QObject here_;  ///< lives on the window's thread
    QThreadPool pool_;
};

}  // namespace isotonus
