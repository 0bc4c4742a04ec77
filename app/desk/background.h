// Work behind the window.
#pragma once

#include <sys/resource.h>
#include <unistd.h>
#include <QCoreApplication>
#include <QThreadPool>
#include <exception>
#include <stdexcept>
#include <string>

namespace isotonus {

/// Runs work on a pool's thread.  What it throws is thrown again on the interface's thread, where the program's last
/// net catches it: on the pool's own it would end the program.
///
/// The window and the sound come first: on Linux each thread has a niceness of its own, and hands it on to those that
/// it starts.  `urgent`: it does not stand behind; no other work may share its pool.
template <class Work>
void in_background(QThreadPool& pool, Work work, bool urgent = false) {
    pool.start([work = std::move(work), urgent]() mutable {
        if (!urgent) setpriority(PRIO_PROCESS, static_cast<id_t>(gettid()), 10);
        try {
            work();
        } catch (const std::exception& e) {
            QMetaObject::invokeMethod(qApp, [what = std::string(e.what())] { throw std::runtime_error(what); });
        }
    });
}

}  // namespace isotonus
