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
    const auto channels =
        std::count_if(session.tracks.begin(), session.tracks.end(),
                      [&](const auto& t) { return is_shaped(session, *t); }) +
        std::count_if(session.buses.begin(), session.buses.end(), [&](const Bus& b) { return is_shaped(session, b); }) +
        (is_main_shaped(session) ? 1 : 0);
    if (session.chains_out) return QCoreApplication::translate("Station", "all bypassed");
    if (channels == 0) return {};
    const auto n = static_cast<int>(channels);
    return QCoreApplication::translate("Station", "%n channel(s)", nullptr, n);
}

void ShapeStation::paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const {
    const QRect frequencies = frequency_area(area.width(), area.height()),
                levels = level_area(area.width(), area.height());
    FrequencyRuler{static_cast<double>(frequencies.left()), static_cast<double>(frequencies.right())}.paint(painter,
                                                                                                            area);
    painter.setPen(theme().faint);
    // Where there is no room for the unit at the first figure, it stands at the second one alone.
    const bool wide = levels.width() > 130;
    for (const auto& [db, text] : {std::pair(-48, wide ? "−48 dBFS" : ""), {-24, wide ? "−24" : "−24 dBFS"}, {0, "0"}})
        painter.drawText(QRect(levels.left() + (db + 60) * levels.width() / 60 - 30, area.top(), 60, area.height() - 5),
                         Qt::AlignHCenter | Qt::AlignBottom, QString::fromUtf8(text));
    write_in(painter, QRect(levels.right() + 16, area.top(), area.right() - levels.right() - 18, area.height() - 5),
             shows_sends(work.document.session()) ? QCoreApplication::translate("Station", "chain")
                                                  : QCoreApplication::translate("Station", "chain; click to bypass"),
             Qt::AlignLeft | Qt::AlignBottom);
    if (shows_sends(work.document.session()))
        painter.drawText(send_area(area.width(), area.height()).translated(0, area.top()).adjusted(0, 0, 0, -5),
                         Qt::AlignLeft | Qt::AlignBottom, QCoreApplication::translate("Station", "sends"));
}

std::vector<Station::Head> ShapeStation::heads(const QRect& area) const {
    const QRect frequencies = frequency_area(area.width(), area.height()),
                levels = level_area(area.width(), area.height());
    const auto part = [&](int from, int to) { return QRect(from, area.top(), to - from, area.height()); };
    return {
        {part(area.left(), frequencies.right() + 8),
         QCoreApplication::translate(
             "Station", "The spectrum of each track over the song: faint before its chain, in colour after it.")},
        {part(frequencies.right() + 8, levels.right() + 8),
         QCoreApplication::translate("Station", "How often each level occurs, with the threshold of the compressor.")},
        {part(levels.right() + 8, area.right()),
         QCoreApplication::translate(
             "Station", "The processors of each track in order, and its sends. Click a processor to bypass it.")}};
}

}  // namespace isotonus
