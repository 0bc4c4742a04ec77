// The references that a user keeps for all sessions, with their passages and notes.
#pragma once

#include <QObject>
#include <vector>

#include "core/session/session.h"

namespace isotonus {

class ReferenceShelf : public QObject {
    Q_OBJECT
  public:
    ReferenceShelf();
    const std::vector<Recording>& recordings() const { return recordings_; }
    /// In place of what is known of the same file.
    void keep(const Recording& reference);
    void drop(size_t n);

  signals:
    void changed();
    void trouble(const QString& sentence);

  private:
    /// As it lies on the disk now: another window may have changed it.  False, and told, when it cannot be read; it is
    /// not written over then.
    bool read_again();
    void write_back();
    std::vector<Recording> recordings_;
};

}  // namespace isotonus
