// The fields of a send in the bench of Shape.
#pragma once

#include <QFormLayout>
#include <functional>
#include <vector>

#include "app/desk/workspace.h"

namespace isotonus {

class SendForm : public QObject {
    Q_OBJECT
  public:
    SendForm(Workspace& work, QObject* parent) : QObject(parent), work_(work) {}
    /// Adds the fields of a row's send to a form, which takes them away when it goes.
    void fill(QFormLayout* layout, TrackId row, const Send& send);
    /// The fields show what the send is now.
    void show(const Send& send);
    /// The fields are gone.
    void forget() { fields_.clear(); }

  private:
    void throw_at_loop();
    Workspace& work_;
    TrackId row_ = 0;
    uint64_t send_ = 0;
    std::vector<std::function<void(const Send&)>> fields_;
};

}  // namespace isotonus
