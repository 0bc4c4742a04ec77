// The faders in a window of their own, for another screen: the Balance station beside whatever the main window shows.
#pragma once

#include <QWidget>
#include <memory>

#include "app/desk/desk.h"

namespace isotonus {

class FaderWindow : public QWidget {
    Q_OBJECT
  public:
    /// The shortcuts of `main` work here too.
    FaderWindow(Workspace& work, QWidget* main);
    ~FaderWindow() override;

  private:
    const std::unique_ptr<const Station> station_;
    Desk* desk_;
};

}  // namespace isotonus
