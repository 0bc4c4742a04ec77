#include "app/gather/gather.h"

#include <QCoreApplication>
#include <QHBoxLayout>
#include <QMouseEvent>
#include <QPushButton>
#include <cmath>

#include "app/gather/clip_panel.h"

namespace isotonus {

QString GatherLane::value_text() const {
    const Clips clips = work_.edits.clips(id());
    return clips.empty() ? QString() : db_text(clips[work_.edits.current_clip(id())].gain_db, "dB", true);
}

void GatherLane::change_gain(const std::function<double(double)>& change, uint64_t gesture) {
    const auto ids = work_.document.moved_with(id());
    const Clips clips = work_.edits.clips(id());
    if (clips.empty()) return;
    const double now = clips[work_.edits.current_clip(id())].gain_db;
    const QString value = db_text(std::clamp(change(now), -clip_gain_max_db, clip_gain_max_db), "dB", true);
    work_.edits.change_clip_gains(ids, change,
                                  ids.size() == 1
                                      ? tr("Clip gain %1 %2").arg(track_name(), value)
                                      : tr("Clip gain of %n track(s)", nullptr, static_cast<int>(ids.size())),
                                  gesture);
}

void GatherLane::nudge(double by_db, uint64_t gesture) {
    change_gain([by_db](double db) { return db + by_db; }, gesture);
}

void GatherLane::type_value(const QString& text) {
    if (const auto to = parse_level(text); to && std::isfinite(*to)) change_gain([to](double) { return *to; }, 0);
}

void GatherLane::reset_value() {
    change_gain([](double) { return 0.0; }, 0);
}

QString GatherLane::sentence() const {
    const MaterialPtr m = work_.materials.of(*track());
    if (!m) {
        const Error* e = work_.materials.error(*track());
        return e ? QString::fromStdString(e->text()) : tr("%1 is being read").arg(track_name());
    }
    const Measurement& f = m->measurement;
    return tr("%1: peak %2 at %3, true peak %4, %5 (%6), loudness %7. Click to play from the peak.")
        .arg(track_name(), level_text(f.sample_peak_dbfs, "dBFS"), time_text(f.peak_time_s),
             level_text(f.true_peak_dbtp, "dBTP"), average_text(f.average_dbfs), average_label(),
             level_text(f.integrated_lufs, "LUFS"));
}

const GatherLane::Flag* GatherLane::flag_at(const QPoint& at) const {
    const auto found = std::find_if(flags_.begin(), flags_.end(), [&](const Flag& f) { return f.box.contains(at); });
    return found == flags_.end() ? nullptr : &*found;
}

bool GatherLane::grab(const QPoint& at) {
    work_.document.select_only(id());
    const auto& findings = work_.materials.findings(*track());
    if (const Flag* flag = flag_at(at); flag && flag->finding < findings.size()) {
        if (const Finding& f = findings[flag->finding]; f.time_s >= 0.0) work_.audition.hear(id(), f.time_s);
        return false;
    }
    const double time_s = lane_time(work_, width()).time(at.x());
    work_.player.locate(time_s);
    const Clips clips = work_.edits.clips(id());
    if (const int here = clip_at(clips, work_.document.frame_at(time_s - work_.document.shift_s(*track()))); here >= 0)
        work_.view.choose_clip(id(), static_cast<size_t>(here));
    return false;
}

void GatherLane::mouseMoveEvent(QMouseEvent* event) {
    const Flag* flag = track() ? flag_at(event->position().toPoint()) : nullptr;
    setCursor(flag ? Qt::PointingHandCursor : Qt::ArrowCursor);
    if (!flag) {
        Lane::mouseMoveEvent(event);
        return;
    }
    const auto& findings = work_.materials.findings(*track());
    if (flag->finding >= findings.size()) return;
    const Finding& f = findings[flag->finding];
    QStringList sentences{tr("%1: %2.").arg(track_name(), QString::fromStdString(f.text))};
    if (f.time_s >= 0.0) sentences << tr("Click to play it alone, from %1.").arg(time_text(f.time_s));
    if (f.remedy != Remedy::none) sentences << tr("The panel (E) can fix it.");
    emit work_.view.hint(sentences.join(' '));
}

void GatherLane::paint_clips(QPainter& painter, const QRect& area) {
    const Track& t = *track();
    gain_rect_ = {};
    if (t.source.clips.empty()) return;
    const TimeRuler time = lane_time(work_, width());
    const double rate = work_.document.session().sample_rate, shift = work_.document.shift_s(t);
    const size_t current = work_.edits.current_clip(id());
    painter.setFont(lettering(11));
    for (size_t i = 0; i < t.source.clips.size(); ++i) {
        const Clip& c = t.source.clips[i];
        const int left = static_cast<int>(time.x_of(static_cast<double>(c.start) / rate + shift));
        const int right = static_cast<int>(time.x_of(static_cast<double>(c.end()) / rate + shift));
        if (right < 0 || left > width()) continue;
        painter.setPen(i == current && work_.document.focused() == id() ? theme().accent : theme().faint);
        painter.drawRect(QRect(QPoint(left, area.top()), QPoint(right - 1, area.bottom())));
        if (c.gain_db == 0.0 || right - left < 54) continue;
        painter.fillRect(QRect(left + 2, area.top() + 1, 50, 12), theme().ground);
        if (i == current) gain_rect_ = QRect(left + 2, area.top(), 52, 14);
        painter.drawText(QRect(left + 4, area.top(), right - left - 6, 13), Qt::AlignVCenter,
                         db_text(c.gain_db, "dB", true));
    }
}

void GatherLane::paint(QPainter& painter, const QRect& clip) {
    const Track& t = *track();
    const MaterialPtr m = work_.materials.of(t);
    const bool low = height() < 30;  // words over the waveform: no room for more than findings
    const QRect words(8, height() - 15, width() - 16, 13);
    QColor veil = work_.document.is_selected(id()) ? theme().panel : theme().ground;
    veil.setAlpha(205);
    painter.setFont(lettering(11));
    flags_.clear();
    if (!m) {
        const Error* e = work_.materials.error(t);
        painter.setPen(e ? theme().clipped : theme().faint);
        painter.drawText(rect().adjusted(8, 0, -8, 0), Qt::AlignVCenter | Qt::AlignLeft,
                         e ? QString::fromStdString(e->text()) : tr("being read and measured…"));
        return;
    }
    const QRect area(0, 1, width(), height() - 3);
    paint_waveform(painter, area, clip, m, work_.document.shift_s(t), 1.0, lane_time(work_, width()),
                   theme().track_colour(t.colour_index), work_.samples);
    paint_clips(painter, area);
    painter.setFont(lettering(11));
    int x = 8;
    if (!low) {
        const SoundInfo& source = m->origin().media.source;
        QString bits;
        if (source.bits == 0)
            bits = tr("lossy");
        else if (source.floating)
            bits = tr("%1 bit float").arg(source.bits);
        else
            bits = tr("%1 bit").arg(source.bits);
        QString facts =
            tr("%1 · %2 kHz · %3 · peak %4")
                .arg(bits)
                .arg(shown_figure(source.sample_rate / 1000.0, source.sample_rate % 1000 == 0 ? 0 : 1))
                .arg(time_text(m->measurement.duration_s()), level_text(m->measurement.sample_peak_dbfs, "dBFS"));
        const int wide = QFontMetrics(painter.font()).horizontalAdvance(facts);
        painter.fillRect(QRect(words.left() - 3, words.top(), wide + 6, words.height()), veil);
        painter.setPen(theme().faint);
        painter.drawText(words, Qt::AlignLeft | Qt::AlignVCenter, facts);
        x = std::max(words.left() + wide + 16, 300);
    }
    const auto& findings = work_.materials.findings(t);
    for (size_t i = 0; i < findings.size(); ++i) {
        const Finding& f = findings[i];
        const QString text = QString::fromStdString(f.text);
        const int wide = QFontMetrics(painter.font()).horizontalAdvance(text);
        if (x + wide + 14 > width()) break;
        const QRect box(x, words.top(), wide + 15, words.height());
        painter.fillRect(box.adjusted(-3, 0, 3, 0), veil);
        const int middle = words.center().y();
        const QPolygon flag({QPoint(x, middle - 4), QPoint(x + 7, middle),
                             QPoint(x, middle + 4)});  // a mark, so that colour is not the only sign
        painter.setPen(f.fault ? theme().above : theme().faint);
        painter.setBrush(f.fault ? QBrush(theme().above) : QBrush(Qt::NoBrush));
        painter.drawPolygon(flag);
        painter.setPen(f.fault ? theme().text : theme().faint);
        painter.drawText(box.adjusted(11, 0, 0, 0), Qt::AlignVCenter, text);
        flags_.push_back({box, i});
        x += wide + 28;
    }
    painter.setBrush(Qt::NoBrush);
}

QString GatherStation::title() const { return QCoreApplication::translate("Station", "Gather"); }

QString GatherStation::state(const Workspace& work) const {
    const auto& tracks = work.document.session().tracks;
    if (tracks.empty()) return {};
    const auto lost = work.materials.missing().size();
    if (work.materials.waiting() > 0)
        return QCoreApplication::translate("Station", "%1 still loading").arg(work.materials.waiting());
    if (lost > 0) return QCoreApplication::translate("Station", "%1 missing").arg(lost);
    const auto faults = std::count_if(tracks.begin(), tracks.end(), [&](const auto& t) {
        const auto& found = work.materials.findings(*t);
        return std::any_of(found.begin(), found.end(), [](const Finding& f) { return f.fault; });
    });
    const auto n = static_cast<int>(tracks.size());
    if (faults > 0) return QCoreApplication::translate("Station", "%n track(s), %1 flagged", nullptr, n).arg(faults);
    return QCoreApplication::translate("Station", "%n track(s)", nullptr, n);
}

QWidget* GatherStation::make_tools(Workspace& work, QWidget* parent) const {
    auto* tools = new QWidget(parent);
    auto* layout = new QHBoxLayout(tools);
    layout->setContentsMargins(0, 0, 0, 0);
    auto* open = new QPushButton(QCoreApplication::translate("Station", "Clips and findings"));
    open->setObjectName("clipPanelOpen");
    open->setCheckable(true);
    open->setChecked(work.view.panel_open);
    open->setToolTip(QCoreApplication::translate(
        "Station", "Shows the findings in the selected track, and its clips: split, trim, fade, gain. (E)"));
    QObject::connect(open, &QPushButton::clicked, tools, [&work](bool on) { work.view.show_panel(on); });
    QObject::connect(&work.view, &ViewState::panel_shown, open, &QPushButton::setChecked);
    layout->addWidget(open);
    layout->addStretch();
    return tools;
}

QWidget* GatherStation::make_panel(Workspace& work, QWidget* parent) const { return new ClipPanel(work, parent); }

}  // namespace isotonus
