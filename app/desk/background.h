// Work behind the window.
#pragma once

#include <QCoreApplication>
#include <QThreadPool>
#include <exception>
#include <stdexcept>
#include <string>

namespace isotonus {

/// Runs work on a pool's thread.  What it throws is thrown again on the interface's thread, where the program's last
/// net catches it: on the pool's own it would end the program.
template <class Work>
void in_background(QThreadPool& pool, Work work) {
    pool.start([work = std::move(work)]() mutable {
        try {
            work();
        } catch (const std::exception& e) {
            QMetaObject::invokeMethod(qApp, [what = std::string(e.what())] { throw std::runtime_error(what); });
        }
    });
}

}  // namespace isotonus
