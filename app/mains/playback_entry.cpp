#include "app/mains/playback_entry.h"

#include <QMenu>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "app/style/theme.h"

namespace isotonus {

namespace {

class Picture : public QWidget {
  public:
    Picture(PlaybackEntry& entry, const QString& does, const std::function<double(double)>& gain_db, QWidget* parent)
        : QWidget(parent), entry_(entry), does_(does) {
        setFixedSize(400, 40);
        setMouseTracking(true);
        setAccessibleName(entry.text() + ": " + does);
        constexpr double low = 20.0, high = 20000.0, floor_db = -24.0, top_db = 9.0;
        for (int x = 0; x <= curve_width; ++x) {
            const double db =
                std::clamp(gain_db(low * std::pow(high / low, x / static_cast<double>(curve_width))), floor_db, top_db);
            const QPointF at(x, 36.0 - (db - floor_db) / (top_db - floor_db) * 32.0);
            x == 0 ? curve_.moveTo(at) : curve_.lineTo(at);
        }
        flat_y_ = 36.0 - (0.0 - floor_db) / (top_db - floor_db) * 32.0;
        connect(&entry, &QAction::changed, this, qOverload<>(&QWidget::update));
    }

  protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        painter.fillRect(rect(), underMouse() ? theme().rule : theme().panel);
        painter.setPen(theme().text);
        painter.setFont(lettering(13, entry_.isChecked()));
        painter.drawText(QRect(12, 2, 266, 18), Qt::AlignVCenter,
                         (entry_.isChecked() ? QString(QChar(0x25B6)) + ' ' : "") + entry_.text());
        painter.setFont(lettering(11));
        painter.setPen(theme().faint);
        painter.drawText(QRect(12, 20, 280, 16), Qt::AlignVCenter, does_);
        painter.translate(width() - curve_width - 10, 0);
        painter.setPen(theme().rule);
        painter.drawLine(QPointF(0, flat_y_), QPointF(curve_width, flat_y_));
        painter.setRenderHint(QPainter::Antialiasing);
        painter.setPen(QPen(theme().accent, 1.6));
        painter.drawPath(curve_);
    }
    void enterEvent(QEnterEvent*) override { update(); }
    void leaveEvent(QEvent*) override { update(); }
    void mouseReleaseEvent(QMouseEvent*) override {
        entry_.trigger();
        if (auto* menu = qobject_cast<QMenu*>(parentWidget())) menu->close();
    }

  private:
    static constexpr int curve_width = 96;
    PlaybackEntry& entry_;
    QString does_;
    QPainterPath curve_;
    double flat_y_ = 0.0;
};

}  // namespace

PlaybackEntry::PlaybackEntry(const QString& name, const QString& does, std::function<double(double)> gain_db,
                             QObject* parent)
    : QWidgetAction(parent), does_(does), gain_db_(std::move(gain_db)) {
    setText(name);
    setCheckable(true);
}

QWidget* PlaybackEntry::createWidget(QWidget* parent) { return new Picture(*this, does_, gain_db_, parent); }

}  // namespace isotonus
