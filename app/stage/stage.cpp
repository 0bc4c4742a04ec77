#include "app/stage/stage.h"

#include <QCoreApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPushButton>
#include <cmath>

namespace isotonus {

namespace {

constexpr int strip_width = 150, buttons_width = 96;

Ruler stage_ruler(int width) { return Ruler::level(20.0, width - strip_width - buttons_width - 24.0); }

}  // namespace

StageLane::StageLane(Workspace& work, TrackId id, QWidget* parent) : Lane(work, id, parent) {
    fit_ = new QToolButton(this);
    fit_->setObjectName("fit");
    fit_->setText(tr("Stage"));
    fit_->setFocusPolicy(Qt::NoFocus);
    fit_->setToolTip(tr("Sets this track's trim so that its level falls into its window. (F)"));
    connect(fit_, &QToolButton::clicked, this, [this] { work_.stage({this->id()}, tr("Stage %1").arg(track_name())); });
    lock_ = new QToolButton(this);
    lock_->setObjectName("lock");
    lock_->setCheckable(true);
    lock_->setFocusPolicy(Qt::NoFocus);
    lock_->setToolTip(tr("A locked row keeps its trim when the others are staged. (L)"));
    connect(lock_, &QToolButton::clicked, this, [this](bool on) {
        work_.document.edit_tracks((on ? tr("Lock %1") : tr("Unlock %1")).arg(track_name()),
                                   work_.document.moved_with(this->id()), [on](Track& t) { t.locked = on; });
    });
}

void StageLane::place_children() {
    fit_->setGeometry(width() - buttons_width, 7, 62, 22);
    lock_->setGeometry(width() - 28, 7, 24, 22);
    if (!track()) return;
    fit_->setEnabled(!track()->locked);
    fit_->setAccessibleName(tr("Stage %1").arg(track_name()));
    lock_->setChecked(track()->locked);
    lock_->setIcon(icon(track()->locked ? "lock" : "unlock"));
    lock_->setAccessibleName(tr("Lock %1").arg(track_name()));
}

QRect StageLane::strip() const { return {width() - strip_width - buttons_width, 3, strip_width - 8, height() - 7}; }

QString StageLane::value_text() const { return track() ? db_text(track()->trim_db, "dB", true) : QString(); }

QString StageLane::sentence() const {
    const auto s = work_.materials.staging(*track());
    if (!s) return tr("%1 is not measured yet").arg(track_name());
    const bool peak = s->target.measure == Measure::peak;
    const char* unit = "dBFS";
    QString text = tr("%1: %2 %3 before, trim %4, %5 after; wanted %6 to %7.")
                       .arg(track_name(), peak ? tr("peak") : average_label(),
                            peak ? level_text(s->before_dbfs, unit) : average_text(s->before_dbfs), value_text(),
                            peak ? level_text(s->after_dbfs, unit) : average_text(s->after_dbfs),
                            db_text(s->target.low_dbfs, ""), db_text(s->target.high_dbfs, unit));
    if (s->limited_by_peak)
        text += ' ' + tr("More would lift its peak above the %1 ceiling.")
                          .arg(db_text(work_.document.session().targets.peak_ceiling_dbfs, unit));
    if (fit_of(*s) == Fit::above)
        text += ' ' + tr("That is %1 over.").arg(db_text(*s->after_dbfs - s->target.high_dbfs));
    return text;
}

void StageLane::set_trim(double db, uint64_t gesture) {
    const double by = std::clamp(db, -trim_max_db, trim_max_db) - track()->trim_db;
    const auto ids = work_.document.moved_with(id());
    const QString name = ids.size() > 1 ? tr("Trim %1 tracks %2").arg(ids.size()).arg(db_text(by, "dB", true))
                                        : tr("Trim %1 %2").arg(track_name(), db_text(db, "dB", true));
    work_.document.edit_tracks(
        name, ids, [by](Track& t) { t.trim_db = std::clamp(t.trim_db + by, -trim_max_db, trim_max_db); }, gesture);
}

void StageLane::nudge(double by_db, uint64_t gesture) { set_trim(track()->trim_db + by_db, gesture); }

void StageLane::type_value(const QString& text) {
    if (const auto db = parse_level(text); db && std::isfinite(*db)) set_trim(*db, 0);
}

void StageLane::reset_value() { set_trim(0.0, 0); }

double StageLane::per_pixel(const QPoint&) const { return stage_ruler(width()).db_per_pixel(0.0); }

bool StageLane::grab(const QPoint& at) {
    if (!strip().contains(at)) return at.x() < strip().left();
    TimeRuler time{0.0, work_.time.song_s(), static_cast<double>(strip().left()), static_cast<double>(strip().right())};
    work_.player.locate(time.time(at.x()));
    return false;
}

bool StageLane::key(QKeyEvent* event) {
    if (event->key() == Qt::Key_F) {
        work_.stage(work_.document.moved_with(id()), tr("Stage %1").arg(track_name()));
        return true;
    }
    if (event->key() == Qt::Key_L) {
        lock_->click();
        return true;
    }
    return false;
}

void StageLane::levels_changed() {
    const auto* bars = work_.player.meters().find(id());
    const double live = bars ? bars->after_trim.level_db : silence_db;
    const Ruler ruler = stage_ruler(width());
    if (std::lround(ruler.place(live)) == std::lround(ruler.place(shown_live_db_))) return;
    shown_live_db_ = live;
    update(0, height() - 7, strip().left(), 5);
}

void StageLane::paint(QPainter& painter, const QRect& clip) {
    const Track& t = *track();
    const Ruler ruler = stage_ruler(width());
    const QRect body(0, 0, strip().left() - 8, height() - 1);
    ruler.paint_rules(painter, body);
    const auto s = work_.materials.staging(t);
    const MaterialPtr m = work_.materials.of(t);
    if (!s || !m) {
        painter.setPen(theme().faint);
        painter.setFont(lettering(11));
        painter.drawText(body.adjusted(8, 0, 0, 0), Qt::AlignVCenter,
                         work_.materials.error(t) ? tr("no file, no level") : tr("being measured…"));
        return;
    }
    const auto x_of = [&](double db) { return static_cast<int>(std::lround(ruler.place(db))); };
    const Measurement& f = m->measurement;
    const Fit fit = fit_of(*s);
    // The average as a bar, the peak as a tick, both after the trim.
    if (f.average_dbfs) {
        QColor bar = theme().faint;
        bar.setAlpha(70);
        painter.fillRect(QRect(QPoint(x_of(-60.0), 21), QPoint(x_of(*f.average_dbfs + t.trim_db), 27)), bar);
    }
    if (f.sample_peak_dbfs) painter.fillRect(x_of(*f.sample_peak_dbfs + t.trim_db) - 1, 19, 3, 10, theme().ink);
    // The target window as a bracket.
    const int low = x_of(s->target.low_dbfs), high = x_of(s->target.high_dbfs);
    QColor tint = theme().inside;
    tint.setAlpha(36);
    painter.fillRect(low, 3, high - low + 1, height() - 8, tint);
    painter.setPen(QPen(theme().inside, 1.5));
    for (const auto& [x, inward] : {std::pair{low, 4}, std::pair{high, -4}}) {
        painter.drawLine(x, 3, x, height() - 6);
        painter.drawLine(x, 3, x + inward, 3);
        painter.drawLine(x, height() - 6, x + inward, height() - 6);
    }
    // Raw level hollow, staged level solid, the trim as an arrow between them.
    if (s->before_dbfs) {
        painter.setRenderHint(QPainter::Antialiasing);
        const int from = x_of(*s->before_dbfs), to = x_of(*s->after_dbfs), y = 12;
        painter.setPen(QPen(theme().ink, 1.2));
        painter.setBrush(Qt::NoBrush);
        if (std::abs(to - from) > 6) {
            const int side = to > from ? 1 : -1;
            painter.drawLine(from + 5 * side, y, to - 6 * side, y);
            painter.drawPolyline(
                QPolygon({QPoint(to - 10 * side, y - 3), QPoint(to - 6 * side, y), QPoint(to - 10 * side, y + 3)}));
            painter.drawEllipse(QPoint(from, y), 4, 4);
        }
        const QColor colour = colour_of(fit);
        painter.setPen(colour);
        painter.setBrush(colour);
        if (fit == Fit::above)  // a raised notch, so that colour is not the only sign
            painter.drawPolygon(QPolygon({QPoint(to - 5, y + 4), QPoint(to, y - 8), QPoint(to + 5, y + 4)}));
        else if (fit == Fit::below)
            painter.drawPolygon(QPolygon({QPoint(to - 5, y - 4), QPoint(to, y + 6), QPoint(to + 5, y - 4)}));
        else
            painter.drawEllipse(QPoint(to, y), 4, 4);
        painter.setRenderHint(QPainter::Antialiasing, false);
        painter.setBrush(Qt::NoBrush);
        painter.setFont(lettering(11));
        painter.setPen(theme().ink);
        const QString figure = value_text() + (s->limited_by_peak ? tr("  held by its peak") : QString());
        const int wide = QFontMetrics(painter.font()).horizontalAdvance(figure);
        int left = std::min(from, to) - wide - 12;
        if (left < high + 4 && left + wide > low - 8) left = low - wide - 8;  // not across the bracket
        if (left < 4) left = std::max({from, to, high}) + 12;
        painter.drawText(QRect(left, 3, wide + 2, 18), Qt::AlignVCenter, figure);
    }
    if (std::isfinite(shown_live_db_))
        painter.fillRect(QRect(QPoint(x_of(-60.0), height() - 6), QPoint(x_of(shown_live_db_), height() - 4)),
                         theme().accent);
    const TimeRuler time{0.0, work_.time.song_s(), static_cast<double>(strip().left()),
                         static_cast<double>(strip().right())};
    paint_level_shadow(painter, strip(), clip, m->summary, f.sample_rate,
                       static_cast<double>(t.delay_samples) / f.sample_rate, gain_from_db(t.trim_db), time,
                       theme().faint);
    painter.setPen(theme().above);
    const int peak_x = static_cast<int>(time.place(f.peak_time_s));
    painter.drawLine(peak_x, strip().top(), peak_x, strip().top() + 6);
}

QString StageStation::title() const { return QCoreApplication::translate("Station", "Stage"); }

QString StageStation::state(const Workspace& work) const {
    int inside = 0, counted = 0, held = 0;
    for (const auto& track : work.document.session().tracks) {
        const auto s = work.materials.staging(*track);
        if (!s || fit_of(*s) == Fit::silent) continue;
        ++counted;
        inside += fit_of(*s) == Fit::inside ? 1 : 0;
        held += fit_of(*s) == Fit::below && s->limited_by_peak ? 1 : 0;
    }
    if (counted == 0) return {};
    if (held > 0) return QCoreApplication::translate("Station", "%1 of %2, %3 held").arg(inside).arg(counted).arg(held);
    return QCoreApplication::translate("Station", "%1 of %2 in window").arg(inside).arg(counted);
}

void StageStation::paint_ruler(QPainter& painter, const QRect& area, const Workspace&) const {
    stage_ruler(area.width()).paint(painter, area);
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    painter.drawText(QRect(area.right() - strip_width - buttons_width, area.top(), strip_width, area.height() - 4),
                     Qt::AlignLeft | Qt::AlignVCenter, QCoreApplication::translate("Station", "level over the song"));
}

QWidget* StageStation::make_tools(Workspace& work, QWidget* parent) const {
    auto* tools = new QWidget(parent);
    auto* layout = new QHBoxLayout(tools);
    layout->setContentsMargins(0, 0, 0, 0);
    auto* all = new QPushButton(QCoreApplication::translate("Station", "Stage all"));
    all->setObjectName("stageAll");
    all->setToolTip(QCoreApplication::translate(
        "Station", "Trims every unlocked track to its target window; faders stay where they are."));
    QObject::connect(all, &QPushButton::clicked, tools, [&work] { work.stage_all(); });
    auto* selected = new QPushButton(QCoreApplication::translate("Station", "Selected"));
    selected->setToolTip(QCoreApplication::translate("Station", "Stages the selected rows only. (F)"));
    selected->setObjectName("stageSelected");
    QObject::connect(selected, &QPushButton::clicked, tools, [&work] {
        work.stage(work.document.selected(), QCoreApplication::translate("Station", "Stage selected"));
    });
    layout->addWidget(all);
    layout->addWidget(selected);
    layout->addStretch();
    return tools;
}

}  // namespace isotonus
