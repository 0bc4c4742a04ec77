#include "app/desk/family_row.h"

#include <QKeyEvent>
#include <QPainter>

#include "app/desk/lane.h"
#include "app/desk/row_head.h"

namespace isotonus {

FamilyRow::FamilyRow(Workspace& work, Family family, QWidget* parent) : QWidget(parent), work_(work), family_(family) {
    setObjectName("familyRow");
    setFixedHeight(row_height());
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Family %1, folded").arg(family_word(family)));
    setToolTip(tr("A click unfolds the family."));
    connect(&work_.view.time, &TimeView::changed, this, [this] { update(); });
    connect(&work_.player, &Player::plan_changed, this, [this] { update(); });
}

std::vector<const Track*> FamilyRow::members() const {
    std::vector<const Track*> found;
    for (const auto& t : work_.document.session().tracks)
        if (work_.materials.family(*t) == family_) found.push_back(t.get());
    return found;
}

void FamilyRow::mousePressEvent(QMouseEvent*) { work_.view.toggle_fold(family_); }

void FamilyRow::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter)
        work_.view.toggle_fold(family_);
    else
        QWidget::keyPressEvent(event);
}

void FamilyRow::show_lane(Lane* lane) {
    if (!lane) return;
    lane_ = lane;
    connect(&work_.document, &Document::session_changed, lane, &Lane::refresh);
    connect(&work_.player, &Player::levels_changed, lane, &Lane::levels_changed);
    connect(&work_.player, &Player::moved, lane, &Lane::playhead_moved);
    lane->refresh();
}

void FamilyRow::resizeEvent(QResizeEvent*) {
    if (lane_) lane_->setGeometry(head_width, 0, width() - head_width, height());
}

void FamilyRow::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    const auto tracks = members();
    painter.fillRect(0, 0, 4, height() - 1, theme().track_colour(colour_of(family_)));
    const int middle = height() / 2;
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(theme().text);
    painter.setBrush(theme().text);
    painter.drawPolygon(QPolygon({QPoint(16, middle - 5), QPoint(16, middle + 5), QPoint(23, middle)}));
    painter.setRenderHint(QPainter::Antialiasing, false);
    painter.setFont(lettering(13, true));
    painter.drawText(QRect(32, 0, head_width - 40, height()), Qt::AlignVCenter,
                     tr("%1: %n track(s)", nullptr, static_cast<int>(tracks.size())).arg(family_word(family_)));
    // Together, as far as they are heard: the mix of this family alone, as the faders stand.
    if (of_ != work_.player.plan()) {
        of_ = work_.player.plan();
        auto alone = std::make_shared<RenderPlan>(*of_);
        for (PlanPart& p : alone->parts)
            if (std::none_of(tracks.begin(), tracks.end(), [&](const Track* m) { return m->id == of_->id_of(p); }))
                p.silence_it();
        overview_ = std::make_unique<MixOverview>(alone);
    }
    const QRect area(head_width, 2, width() - head_width, height() - 4);
    const double rate = work_.document.session().sample_rate;
    const auto power = overview_->power(std::llround(work_.view.time.from_s() * rate),
                                        std::llround(work_.view.time.to_s() * rate), area.width());
    painter.setPen(theme().track_colour(colour_of(family_)));
    for (int x = 0; x < static_cast<int>(power.size()); ++x) {
        const double level = db_from_power(power[static_cast<size_t>(x)]) + aes17_db;
        const double share = std::clamp((level + 60.0) / 60.0, 0.0, 1.0);
        if (share > 0.0)
            painter.drawLine(area.left() + x, area.bottom(), area.left() + x,
                             area.bottom() - static_cast<int>(share * area.height()));
    }
    painter.setPen(theme().rule);
    painter.drawLine(0, height() - 1, width(), height() - 1);
    painter.drawLine(head_width - 1, 0, head_width - 1, height());
    if (hasFocus()) paint_focus(painter, rect());
}

}  // namespace isotonus
