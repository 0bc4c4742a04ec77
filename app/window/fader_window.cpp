#include "app/window/fader_window.h"

#include <QAction>
#include <QVBoxLayout>

#include "app/balance/balance.h"
#include "app/style/theme.h"
#include "app/window/keys_back.h"

namespace isotonus {

FaderWindow::FaderWindow(Workspace& work, QWidget* main)
    : QWidget(main, Qt::Window), station_(std::make_unique<BalanceStation>()), desk_(new Desk(work)) {
    setObjectName("faderWindow");
    setWindowTitle(tr("Faders"));
    setAttribute(Qt::WA_StyledBackground);
    setMinimumSize(700, 300);
    resize(on_screen({900, 700}, *this));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(desk_);
    desk_->show_station(station_.get());
    addActions(main->actions());
    new KeysBack(*this, [this] { desk_->take_keys(); });
}

FaderWindow::~FaderWindow() {
    delete desk_;  // its lanes are of the station
}

}  // namespace isotonus
