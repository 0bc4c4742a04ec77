#include "app/gather/gather.h"

#include <QCoreApplication>
#include <QMouseEvent>

#include "core/stage/findings.h"

namespace isotonus {

QString GatherLane::value_text() const { return track_name(); }

void GatherLane::type_value(const QString& text) {
    if (text.trimmed().isEmpty() || text == track_name()) return;
    work_.document.edit_tracks(tr("Rename %1 to %2").arg(track_name(), text), {id()},
                               [&](Track& t) { t.name = text.trimmed().toStdString(); });
}

QString GatherLane::sentence() const {
    const MaterialPtr m = work_.materials.of(*track());
    if (!m) {
        const Error* e = work_.materials.error(*track());
        return e ? QString::fromStdString(e->text()) : tr("%1 is being read").arg(track_name());
    }
    const Measurement& f = m->measurement;
    return tr("%1: peak %2 at %3, true peak %4, %5 (%6), loudness %7. A click plays from there.")
        .arg(track_name(), level_text(f.sample_peak_dbfs, "dBFS"), time_text(f.peak_time_s),
             level_text(f.true_peak_dbtp, "dBTP"), average_text(f.average_dbfs), average_label(),
             level_text(f.integrated_lufs, "LUFS"));
}

bool GatherLane::grab(const QPoint& at) {
    work_.document.select_only(id());
    work_.player.locate(lane_time(work_, width()).time(at.x()));
    return false;
}

void GatherLane::paint(QPainter& painter, const QRect& clip) {
    const Track& t = *track();
    const MaterialPtr m = work_.materials.of(t);
    const QRect words(8, height() - 15, width() - 16, 13);
    painter.setFont(lettering(11));
    if (!m) {
        const Error* e = work_.materials.error(t);
        painter.setPen(e ? theme().clipped : theme().faint);
        painter.drawText(rect().adjusted(8, 0, -8, 0), Qt::AlignVCenter | Qt::AlignLeft,
                         e ? QString::fromStdString(e->text()) : tr("being read and measured…"));
        return;
    }
    paint_waveform(painter, QRect(0, 1, width(), height() - 17), clip, m->summary, m->measurement.sample_rate,
                   static_cast<double>(t.delay_samples) / m->measurement.sample_rate, 1.0, lane_time(work_, width()),
                   theme().track_ink(t.ink));
    const SoundInfo& source = m->media.source;
    QString facts =
        tr("%1 bit%2 · %3 kHz · %4 · peak %5")
            .arg(source.bits > 0 ? QString::number(source.bits) : tr("no fixed"), source.floating ? tr(" float") : "")
            .arg(source.sample_rate / 1000.0)
            .arg(time_text(m->measurement.duration_s()), level_text(m->measurement.sample_peak_dbfs, "dBFS"));
    painter.setPen(theme().faint);
    QRect used;
    painter.drawText(words, Qt::AlignLeft | Qt::AlignVCenter, facts, &used);
    int x = std::max(used.right() + 16, 300);
    for (const Finding& f : findings_of(*m)) {
        const QString text = with_true_minus(f.text);
        const int wide = QFontMetrics(painter.font()).horizontalAdvance(text);
        if (x + wide + 14 > width()) break;
        const int middle = words.center().y();
        const QPolygon flag({QPoint(x, middle - 4), QPoint(x + 7, middle),
                             QPoint(x, middle + 4)});  // a mark, so that colour is not the only sign
        painter.setPen(f.fault ? theme().above : theme().faint);
        painter.setBrush(f.fault ? QBrush(theme().above) : QBrush(Qt::NoBrush));
        painter.drawPolygon(flag);
        painter.setPen(f.fault ? theme().ink : theme().faint);
        painter.drawText(QRect(x + 11, words.top(), wide + 4, words.height()), Qt::AlignVCenter, text);
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
        return QCoreApplication::translate("Station", "%1 to read").arg(work.materials.waiting());
    if (lost > 0) return QCoreApplication::translate("Station", "%1 missing").arg(lost);
    return QCoreApplication::translate("Station", "%1 tracks").arg(tracks.size());
}

}  // namespace isotonus
