#include "app/stage/stage.h"

#include <QAction>
#include <QCoreApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPushButton>
#include <cmath>

#include "app/stage/sheet_dialog.h"

namespace isotonus {

namespace {

constexpr int strip_width = 130, buttons_width = 96, column_width = 46, figures_width = 4 * column_width + 8;

Ruler stage_ruler(int width) { return Ruler::level(20.0, width - strip_width - buttons_width - figures_width - 24.0); }

int figures_left(int width) { return width - strip_width - buttons_width - figures_width; }

/// A level without its unit, which stands in the head of its column.
QString bare(const Level& level) { return level ? db_text(*level, "").trimmed() : QString(QChar(0x2013)); }

/// −3.2 as +14.8 on a scale whose 0 is at −18 dBFS.
QString vu_text(double dbfs) { return db_text(dbfs - vu_zero_dbfs, "", true).trimmed(); }

}  // namespace

StageLane::StageLane(Workspace& work, TrackId id, QWidget* parent) : Lane(work, id, parent) {
    fit_ = new QToolButton(this);
    fit_->setObjectName("fit");
    fit_->setText(tr("Stage", "on the button of a row"));
    fit_->setFocusPolicy(Qt::TabFocus);
    fit_->setStyleSheet("font-size: 11px; padding: 0 2px;");
    fit_->setToolTip(
        tr("Trims this track so that its level falls into its window. If the track is selected, all selected tracks "
           "are trimmed. (F)"));
    connect(fit_, &QToolButton::clicked, this,
            [this] { work_.edits.stage(work_.document.moved_with(this->id()), tr("Stage %1").arg(track_name())); });
    connect(&work_.materials, &Materials::reshaped, this, qOverload<>(&QWidget::update));
    lock_ = new QToolButton(this);
    lock_->setObjectName("lock");
    lock_->setCheckable(true);
    lock_->setFocusPolicy(Qt::TabFocus);
    lock_->setToolTip(tr("A locked track keeps its trim when the others are staged. (L)"));
    connect(lock_, &QToolButton::clicked, this, [this](bool on) {
        work_.document.edit_tracks((on ? tr("Lock %1") : tr("Unlock %1")).arg(track_name()),
                                   work_.document.moved_with(this->id()), [on](Track& t) { t.locked = on; });
    });
}

void StageLane::place_children() {
    fit_->setGeometry(width() - buttons_width, (height() - 22) / 2, 62, 22);
    lock_->setGeometry(width() - 28, (height() - 22) / 2, 24, 22);
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
    const Measurement* m = work_.materials.for_staging(*track());
    const auto s = work_.materials.staging(*track());
    if (!s || !m) return tr("%1 is not measured yet").arg(track_name());
    const char* unit = measure_unit(s->target.measure);
    const bool average = s->target.measure == Measure::average;
    const auto figure = [&](const Level& level) { return average ? average_text(level) : level_text(level, unit); };
    QString text = tr("%1: %2 %3 before, trim %4, %5 after; target %6 to %7.")
                       .arg(track_name(), measure_words(s->target.measure), figure(s->before_dbfs), value_text(),
                            figure(s->after_dbfs), db_text(s->target.low_dbfs, ""), db_text(s->target.high_dbfs, unit));
    if (const std::string why = why_not_in_window(work_.document.session().targets, *track(), *m); !why.empty())
        text += ' ' + tr("Outside its window: %1. Shift+T shows the options.").arg(QString::fromStdString(why));
    else if (fit_of(*s) == Fit::above)
        text += ' ' + tr("That is %1 over.").arg(db_text(*s->after_dbfs - s->target.high_dbfs));
    if (track()->staged_without)
        text += ' ' + tr("Staged without %1 … %2 (hatched).")
                          .arg(time_text(track()->staged_without->from_s), time_text(track()->staged_without->to_s));
    if (const auto added = chain_adds_db(*s))
        text += ' ' + tr("The chain then changes the level by %1.").arg(db_text(*added, "dB", true));
    if (s->over_ceiling_db > 0.0)
        text += ' ' + tr("The peak is %1 above the ceiling.").arg(db_text(s->over_ceiling_db));
    return text;
}

std::optional<double> StageLane::chain_adds_db(const Staging& staging) const {
    const MaterialPtr shaped = work_.materials.shaped(*track());
    const Level after = shaped ? level_for(staging.target.measure, shaped->measurement) : std::nullopt;
    return after && staging.after_dbfs ? std::optional(*after - *staging.after_dbfs) : std::nullopt;
}

void StageLane::set_trim(double db) {
    const double to = std::clamp(db, -trim_max_db, trim_max_db);
    const auto ids = work_.document.moved_with(id());
    const QString value = db_text(to, "dB", true);
    const QString name = ids.size() > 1 ? tr("Trim %n track(s) at %1", nullptr, static_cast<int>(ids.size())).arg(value)
                                        : tr("Trim %1 %2").arg(track_name(), value);
    work_.document.edit_tracks(name, ids, [to](Track& t) { t.trim_db = to; });
}

void StageLane::nudge(double by_db, uint64_t gesture) {
    const auto moved = [by_db](const Track& t) { return std::clamp(t.trim_db + by_db, -trim_max_db, trim_max_db); };
    const auto ids = work_.document.moved_with(id());
    const QString name =
        ids.size() > 1
            ? tr("Trim %n track(s) by %1", nullptr, static_cast<int>(ids.size())).arg(db_text(by_db, "dB", true))
            : tr("Trim %1 %2").arg(track_name(), db_text(moved(*track()), "dB", true));
    work_.document.edit_tracks(
        name, ids, [moved](Track& t) { t.trim_db = moved(t); }, gesture);
}

void StageLane::type_value(const QString& text) {
    if (const auto db = parse_level(text); db && std::isfinite(*db)) set_trim(*db);
}

void StageLane::reset_value() { set_trim(0.0); }

double StageLane::per_pixel(const QPoint&) const { return stage_ruler(width()).db_per_pixel(0.0); }

bool StageLane::grab(const QPoint& at) {
    if (at.x() >= figures_left(width()) && at.x() < strip().left()) {
        if (const MaterialPtr m = work_.materials.of(*track())) {
            const StretchLevels here = shown_levels(*m);
            work_.player.locate(std::max(0.0, here.peak_time_s + work_.document.shift_s(*track()) - 0.5));
        }
        return false;
    }
    if (!strip().contains(at)) return at.x() < figures_left(width());
    TimeRuler time{0.0, work_.view.time.song_s(), static_cast<double>(strip().left()),
                   static_cast<double>(strip().right())};
    work_.player.locate(time.time(at.x()));
    return false;
}

bool StageLane::key(QKeyEvent* event) {
    if (event->key() == Qt::Key_F) {
        work_.edits.stage(work_.document.moved_with(id()), tr("Stage %1").arg(track_name()));
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
    if (std::lround(ruler.x_of(live)) != std::lround(ruler.x_of(shown_live_db_))) {
        shown_live_db_ = live;
        update(0, height() - 7, figures_left(width()), 5);
    }
    const double vu = bars ? bars->vu_dbfs : silence_db;
    if (std::fabs(vu - shown_vu_dbfs_) < 0.1 || (vu < -60.0 && shown_vu_dbfs_ < -60.0)) return;
    shown_vu_dbfs_ = vu;
    update(figures_left(width()) + 2 * column_width, 0, column_width, height());
}

StretchLevels StageLane::shown_levels(const Material& m) const {
    const auto& loop = work_.player.loop();
    const double shift = work_.document.shift_s(*track());
    if (loop.on && loop.to_s > loop.from_s) return levels_between(m, loop.from_s - shift, loop.to_s - shift);
    return {m.measurement.sample_peak_dbfs, m.measurement.peak_time_s, m.measurement.average_dbfs};
}

void StageLane::paint_figures(QPainter& painter, const Material& m, double trim_db) {
    const StretchLevels here = shown_levels(m);
    const auto after = [trim_db](const Level& level) { return level ? Level(*level + trim_db) : std::nullopt; };
    const bool live = shown_vu_dbfs_ > -60.0;
    const Level average = after(here.average_dbfs);
    QString vu(QChar(0x2013));
    if (live)
        vu = vu_text(shown_vu_dbfs_);
    else if (m.measurement.vu_max_dbfs)
        vu = vu_text(*m.measurement.vu_max_dbfs + trim_db);
    const QString texts[] = {
        bare(after(here.peak_dbfs)), bare(average && plain_rms() ? Level(*average - aes17_db) : average), vu,
        here.peak_dbfs ? time_text(here.peak_time_s + work_.document.shift_s(*track())) : QString(QChar(0x2013))};
    painter.setFont(lettering(11));
    for (int n = 0; n < 4; ++n) {
        painter.setPen(n == 2 && live ? theme().accent : theme().text);
        painter.drawText(QRect(figures_left(width()) + n * column_width, 0, column_width - 4, height()),
                         Qt::AlignRight | Qt::AlignVCenter, texts[n]);
    }
}

int StageLane::Canvas::x_of(double db) const { return static_cast<int>(std::lround(ruler.x_of(db))); }

void StageLane::paint(QPainter& painter, const QRect& clip) {
    const Track& t = *track();
    const Ruler ruler = stage_ruler(width());
    const QRect body(0, 0, figures_left(width()) - 4, height() - 1);
    ruler.paint_rules(painter, body);
    const auto s = work_.materials.staging(t);
    const MaterialPtr m = work_.materials.of(t);
    trim_rect_ = {};
    if (!s || !m) {
        painter.setPen(theme().faint);
        painter.setFont(lettering(11));
        painter.drawText(body.adjusted(8, 0, 0, 0), Qt::AlignVCenter,
                         work_.materials.error(t) ? tr("no file, no level") : tr("being measured…"));
        return;
    }
    const Canvas c{painter, ruler, *s, *m};
    paint_levels(c);
    paint_window(c);
    if (s->before_dbfs) {
        paint_trim(c);
        paint_trim_figure(c);
    }
    if (std::isfinite(shown_live_db_))
        painter.fillRect(QRect(QPoint(c.x_of(-60.0), height() - 6), QPoint(c.x_of(shown_live_db_), height() - 4)),
                         theme().accent);
    paint_figures(painter, *m, t.trim_db);
    paint_song(c, clip);
}

/// The average as a bar, the peak as a tick, both after the trim.
void StageLane::paint_levels(const Canvas& c) {
    QPainter& painter = c.painter;
    const Track& t = *track();
    const Measurement& f = c.material.measurement;
    if (f.average_dbfs) {
        QColor bar = theme().faint;
        bar.setAlpha(70);
        painter.fillRect(QRect(QPoint(c.x_of(-60.0), y(21)), QPoint(c.x_of(*f.average_dbfs + t.trim_db), y(27))), bar);
    }
    if (f.sample_peak_dbfs) {
        const int at = c.x_of(*f.sample_peak_dbfs + t.trim_db);
        painter.fillRect(at - 1, y(19), 3, y(10), c.staging.over_ceiling_db > 0.0 ? theme().above : theme().text);
        if (c.staging.over_ceiling_db > 0.0)
            painter.fillRect(at - 4, y(19), 9, 2, theme().above);  // and a raised notch
    }
}

/// The target window as a bracket.
void StageLane::paint_window(const Canvas& c) {
    QPainter& painter = c.painter;
    const int low = c.x_of(c.staging.target.low_dbfs), high = c.x_of(c.staging.target.high_dbfs);
    QColor tint = theme().inside;
    tint.setAlpha(36);
    painter.fillRect(low, 3, high - low + 1, height() - 8, tint);
    painter.setPen(QPen(theme().inside, 1.5));
    for (const auto& [x, inward] : {std::pair{low, 4}, std::pair{high, -4}}) {
        painter.drawLine(x, 3, x, height() - 6);
        painter.drawLine(x, 3, x + inward, 3);
        painter.drawLine(x, height() - 6, x + inward, height() - 6);
    }
}

/// Raw level hollow, staged level solid, the trim as an arrow between them.
void StageLane::paint_trim(const Canvas& c) {
    QPainter& painter = c.painter;
    const Fit fit = fit_of(c.staging);
    painter.setRenderHint(QPainter::Antialiasing);
    const int from = c.x_of(*c.staging.before_dbfs), to = c.x_of(*c.staging.after_dbfs), axis = y(12);
    painter.setPen(QPen(theme().text, 1.2));
    painter.setBrush(Qt::NoBrush);
    if (std::abs(to - from) > 6) {
        const int side = to > from ? 1 : -1;
        painter.drawLine(from + 5 * side, axis, to - 6 * side, axis);
        painter.drawPolyline(QPolygon(
            {QPoint(to - 10 * side, axis - 3), QPoint(to - 6 * side, axis), QPoint(to - 10 * side, axis + 3)}));
        painter.drawEllipse(QPoint(from, axis), 4, 4);
    }
    const QColor colour = colour_of(fit);
    painter.setPen(colour);
    painter.setBrush(colour);
    if (fit == Fit::above)  // a raised notch, so that colour is not the only sign
        painter.drawPolygon(QPolygon({QPoint(to - 5, axis + 4), QPoint(to, axis - 8), QPoint(to + 5, axis + 4)}));
    else if (fit == Fit::below)
        painter.drawPolygon(QPolygon({QPoint(to - 5, axis - 4), QPoint(to, axis + 6), QPoint(to + 5, axis - 4)}));
    else
        painter.drawEllipse(QPoint(to, axis), 4, 4);
}

/// The trim in figures, and what holds it back.
void StageLane::paint_trim_figure(const Canvas& c) {
    QPainter& painter = c.painter;
    const Fit fit = fit_of(c.staging);
    painter.setRenderHint(QPainter::Antialiasing, false);
    painter.setBrush(Qt::NoBrush);
    painter.setFont(lettering(11));
    painter.setPen(theme().text);
    const int low = c.x_of(c.staging.target.low_dbfs), high = c.x_of(c.staging.target.high_dbfs);
    const int from = c.x_of(*c.staging.before_dbfs), to = c.x_of(*c.staging.after_dbfs), axis = y(12);
    const bool outside = fit != Fit::inside && fit != Fit::silent;
    QString figure = value_text();
    if (outside && c.staging.limited_by_peak) figure += "  " + tr("limited by its peak");
    if (outside && c.staging.limited_by_range) figure += "  " + tr("trim at its limit");
    if (c.staging.over_ceiling_db > 0.0)
        figure += "  " + tr("%1 over the ceiling").arg(db_text(c.staging.over_ceiling_db));
    if (const auto added = chain_adds_db(c.staging)) figure += "  " + tr("chain %1").arg(db_text(*added, "dB", true));
    const int wide = QFontMetrics(painter.font()).horizontalAdvance(figure);
    int left = std::min(from, to) - wide - 12;
    if (left < high + 4 && left + wide > low - 8) left = low - wide - 8;  // not across the bracket
    if (left < 4) left = std::max({from, to, high}) + 12;
    trim_rect_ = QRect(left, axis - 9, QFontMetrics(painter.font()).horizontalAdvance(value_text()) + 2, 18);
    painter.drawText(QRect(left, axis - 9, wide + 2, 18), Qt::AlignVCenter, figure);
}

/// The level over the song, with its peak and its spikes.
void StageLane::paint_song(const Canvas& c, const QRect& clip) {
    QPainter& painter = c.painter;
    const Track& t = *track();
    const Measurement& f = c.material.measurement;
    const TimeRuler time{0.0, work_.view.time.song_s(), static_cast<double>(strip().left()),
                         static_cast<double>(strip().right())};
    paint_level_shadow(painter, strip(), clip, c.material.summary, f.sample_rate, work_.document.shift_s(t),
                       gain_from_db(t.trim_db), time, theme().faint);
    if (t.staged_without) {
        const int from = static_cast<int>(time.x_of(t.staged_without->from_s)),
                  to = static_cast<int>(time.x_of(t.staged_without->to_s));
        painter.fillRect(QRect(QPoint(from, strip().top()), QPoint(std::max(from, to), strip().bottom())),
                         QBrush(theme().accent, Qt::BDiagPattern));
    }
    painter.setPen(theme().text);
    const int peak_x = static_cast<int>(time.x_of(f.peak_time_s + work_.document.shift_s(t)));
    painter.drawLine(peak_x, strip().top(), peak_x, strip().top() + 6);
    painter.setPen(theme().above);
    painter.setBrush(c.staging.spikes_counted ? QBrush(Qt::NoBrush) : QBrush(theme().above));
    for (const Spike& spike : f.spikes) {
        const int x = static_cast<int>(time.x_of(
            static_cast<double>(spike.first_frame + spike.frames / 2) / f.sample_rate + work_.document.shift_s(t)));
        painter.drawPolygon(
            QPolygon({QPoint(x - 3, strip().top()), QPoint(x + 3, strip().top()), QPoint(x, strip().top() + 6)}));
    }
    painter.setBrush(Qt::NoBrush);
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
    if (held > 0)
        return QCoreApplication::translate("Station", "%1 of %2, %3 limited").arg(inside).arg(counted).arg(held);
    return QCoreApplication::translate("Station", "%1 of %2 in their windows").arg(inside).arg(counted);
}

void StageStation::paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const {
    stage_ruler(area.width()).paint(painter, area);
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    painter.drawText(QRect(area.right() - strip_width - buttons_width, area.top(), strip_width, area.height() - 4),
                     Qt::AlignLeft | Qt::AlignVCenter, QCoreApplication::translate("Station", "level over the song"));
    const bool looped = work.player.loop().on && work.player.loop().to_s > work.player.loop().from_s;
    const QString heads[] = {QCoreApplication::translate("Station", "peak"),
                             plain_rms() ? QCoreApplication::translate("Station", "plain RMS")
                                         : QCoreApplication::translate("Station", "average"),
                             QCoreApplication::translate("Station", "VU"),
                             QCoreApplication::translate("Station", "loudest")};
    const int left = area.left() + figures_left(area.width());
    for (int n = 0; n < 4; ++n)
        write_in(painter, QRect(left + n * column_width, area.top() + 14, column_width - 4, 16), heads[n],
                 Qt::AlignRight | Qt::AlignVCenter);
    write_in(painter, QRect(left, area.top(), 4 * column_width, 15),
             looped ? QCoreApplication::translate("Station", "after the trim, in the loop")
                    : QCoreApplication::translate("Station", "after the trim, dBFS"),
             Qt::AlignRight | Qt::AlignVCenter);
}

std::vector<Station::Head> StageStation::heads(const QRect& area) const {
    const QString figures[] = {
        QCoreApplication::translate("Station", "The sample peak after the trim. Percussive tracks are staged by it."),
        QCoreApplication::translate("Station", "The average after the trim. Sustained tracks are staged by it."),
        QCoreApplication::translate("Station", "The highest reading of a VU needle after the trim; 0 VU is −18 dBFS."),
        QCoreApplication::translate("Station", "Where the track is loudest. Check this place for a late peak.")};
    const int left = area.left() + figures_left(area.width());
    std::vector<Head> all{
        {QRect(area.left(), area.top(), left - area.left(), area.height()),
         QCoreApplication::translate(
             "Station", "The level of the file (hollow), after the trim (solid), and the target window (bracket).")}};
    for (int n = 0; n < 4; ++n)
        all.push_back({QRect(left + n * column_width, area.top(), column_width, area.height()), figures[n]});
    all.push_back({QRect(area.right() - strip_width - buttons_width, area.top(), strip_width, area.height()),
                   QCoreApplication::translate(
                       "Station", "The level of the track over the whole song. A late peak is seen here.")});
    return all;
}

QWidget* StageStation::make_tools(Workspace& work, QWidget* parent) const {
    auto* tools = new QWidget(parent);
    auto* layout = new QHBoxLayout(tools);
    layout->setContentsMargins(0, 0, 0, 0);
    auto* all = new QPushButton(QCoreApplication::translate("Station", "Stage all"));
    all->setObjectName("stageAll");
    all->setToolTip(QCoreApplication::translate(
        "Station", "Trims every unlocked track to its target window. Faders stay where they are."));
    QObject::connect(all, &QPushButton::clicked, tools, [&work] { work.edits.stage_all(); });
    layout->setSpacing(3);
    layout->addWidget(all);
    const auto opens = [&](const char* name, const char* action, const QString& text, const QString& why) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setToolTip(why);
        QObject::connect(b, &QPushButton::clicked, tools, [tools, action] {
            if (auto* a = tools->window()->findChild<QAction*>(action)) a->trigger();
        });
        layout->addWidget(b);
    };
    opens("openSheet", "sheet", QCoreApplication::translate("Station", "Sheet…"),
          QCoreApplication::translate("Station", "Shows the target level of each kind of track. (Ctrl+T)"));
    opens("openTable", "stageTable", QCoreApplication::translate("Station", "Table…"),
          QCoreApplication::translate("Station",
                                      "Shows every figure before and after, and the options for tracks that do not "
                                      "reach their window. (Shift+T)"));
    for (QPushButton* b : tools->findChildren<QPushButton*>()) b->setStyleSheet("font-size: 11px; padding: 4px 3px;");
    return tools;
}

}  // namespace isotonus
