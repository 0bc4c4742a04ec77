#include "app/window/station_tabs.h"

#include <QHBoxLayout>
#include <QPainter>

#include "app/balance/balance.h"
#include "app/compare/compare.h"
#include "app/gather/gather.h"
#include "app/handoff/hand_off.h"
#include "app/ride/ride.h"
#include "app/shape/shape.h"
#include "app/stage/stage.h"

namespace isotonus {

StationTab::StationTab(const QString& title, QWidget* parent) : QAbstractButton(parent) {
    setText(title);
    setObjectName("station" + QString(title).remove(' '));
    setCheckable(true);
    setAutoExclusive(true);
    setFocusPolicy(Qt::TabFocus);
    setAccessibleName(title);
}

void StationTab::set_state(const QString& state) {
    if (state == state_) return;
    state_ = state;
    setAccessibleDescription(state);
    update();
}

void StationTab::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (isChecked()) painter.fillRect(rect().adjusted(0, 0, 0, -1), theme().panel);
    painter.setFont(lettering(13, isChecked()));
    painter.setPen(isChecked() || underMouse() ? theme().text : theme().faint);
    write_in(painter, QRect(12, state_.isEmpty() ? 0 : 6, width() - 16, state_.isEmpty() ? height() : 18), text());
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    if (!state_.isEmpty()) write_in(painter, QRect(12, 25, width() - 14, 16), state_);
    if (isChecked()) painter.fillRect(12, height() - 4, 24, 3, theme().accent);
    if (hasFocus()) paint_focus(painter, rect());
}

StationTabs::StationTabs(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    stations_.push_back(std::make_unique<GatherStation>());
    stations_.push_back(std::make_unique<StageStation>());
    stations_.push_back(std::make_unique<BalanceStation>());
    stations_.push_back(std::make_unique<ShapeStation>());
    stations_.push_back(std::make_unique<RideStation>());
    stations_.push_back(std::make_unique<CompareStation>());
    stations_.push_back(std::make_unique<HandOffStation>());
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(0);
    const QString helps[] = {
        tr("Gather: read the files, listen once, and fix what is wrong with them. (Alt+1)"),
        tr("Stage: trim every track to its working level. (Alt+2)"),
        tr("Balance: set faders and pans, and keep headroom. (Alt+3)"),
        tr("Shape: filters, compressors, sends and plug-ins, where the balance is not enough. (Alt+4)"),
        tr("Ride: automation, where one setting does not work for the whole song. (Alt+5)"),
        tr("Compare: hear the mix against references and earlier exports. (Alt+6)"),
        tr("Hand off: check the mix and export it for mastering. (Alt+7)")};
    for (int n = 0; n < count(); ++n) {
        auto* tab = new StationTab(stations_[static_cast<size_t>(n)]->title(), this);
        tab->setToolTip(helps[n]);
        connect(tab, &QAbstractButton::clicked, this, [this, n] { choose(n); });
        layout->addWidget(tab);
        tabs_.push_back(tab);
    }
    tabs_.front()->setChecked(true);
    connect(&work_.document, &Document::session_changed, this, &StationTabs::refresh);
    connect(&work_.materials, &Materials::changed, this, &StationTabs::refresh);
    connect(&work_.mix, &MixWatch::changed, this, &StationTabs::refresh);
}

void StationTabs::choose(int n) {
    if (n < 0 || n >= count()) return;
    current_ = n;
    tabs_[static_cast<size_t>(n)]->setChecked(true);
    // Of buttons of which one is on, Qt lets the Tab key come to the first that was.
    for (StationTab* tab : tabs_) tab->setFocusPolicy(Qt::TabFocus);
    emit chosen(current());
}

void StationTabs::refresh() {
    for (size_t n = 0; n < tabs_.size(); ++n) tabs_[n]->set_state(stations_[n]->state(work_));
}

}  // namespace isotonus
