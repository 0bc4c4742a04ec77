#include "app/shape/shape.h"

#include <QCoreApplication>
#include <QPainter>
#include <algorithm>

#include "app/balance/bus_block.h"

namespace isotonus {

QWidget* ShapeStation::make_pinned(Workspace& work, QWidget* parent) const {
    // Control groups sum nothing and have no chain.
    return new BusBlock(work, parent, true, [&work](TrackId id, QWidget* row) -> Lane* {
        return work.document.session().chain_of(id) ? new ShapeLane(work, id, row) : nullptr;
    });
}

QString ShapeStation::title() const { return QCoreApplication::translate("Station", "Shape"); }

QString ShapeStation::state(const Workspace& work) const {
    const Session& session = work.document.session();
    const auto n =
        std::count_if(session.tracks.begin(), session.tracks.end(),
                      [&](const auto& t) { return is_shaped(session, *t); }) +
        std::count_if(session.buses.begin(), session.buses.end(), [&](const Bus& b) { return is_shaped(session, b); }) +
        (is_main_shaped(session) ? 1 : 0);
    if (session.chains_out) return QCoreApplication::translate("Station", "all out");
    if (n == 0) return {};
    return QCoreApplication::translate("Station", "%n row(s)", nullptr, static_cast<int>(n));
}

void ShapeStation::paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const {
    const QRect frequencies = frequency_area(area.width(), area.height()),
                levels = level_area(area.width(), area.height());
    FrequencyRuler{static_cast<double>(frequencies.left()), static_cast<double>(frequencies.right())}.paint(painter,
                                                                                                            area);
    painter.setPen(theme().faint);
    for (const int db : {-48, -24, 0})
        painter.drawText(QRect(levels.left() + (db + 60) * levels.width() / 60 - 30, area.top(), 60, area.height() - 5),
                         Qt::AlignHCenter | Qt::AlignBottom,
                         QString(db == -48 ? "%1 dBFS" : "%1").arg(db).replace('-', QChar(0x2212)));
    write_in(painter, QRect(levels.right() + 16, area.top(), area.right() - levels.right() - 18, area.height() - 5),
             shows_sends(work.document.session())
                 ? QCoreApplication::translate("Station", "chain")
                 : QCoreApplication::translate("Station", "chain; a click takes out or in"),
             Qt::AlignLeft | Qt::AlignBottom);
    if (shows_sends(work.document.session()))
        painter.drawText(send_area(area.width(), area.height()).translated(0, area.top()).adjusted(0, 0, 0, -5),
                         Qt::AlignLeft | Qt::AlignBottom, QCoreApplication::translate("Station", "sends"));
}

}  // namespace isotonus
