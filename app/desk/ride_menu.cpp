#include "app/desk/ride_menu.h"

#include <QCoreApplication>
#include <QMenu>

#include "core/session/channel.h"
#include "core/shape/parameter_label.h"

namespace isotonus {

namespace {

QString tr(const char* text) { return QCoreApplication::translate("isotonus", text); }

}  // namespace

QString parameter_word(Parameter parameter) {
    if (parameter == Parameter::level) return tr("level");
    if (parameter == Parameter::trim) return tr("trim");
    if (parameter == Parameter::pan) return tr("pan");
    if (parameter == Parameter::width) return tr("width");
    if (parameter == Parameter::mute) return tr("mute");
    if (parameter == Parameter::left_pan) return tr("left pan");
    if (parameter == Parameter::right_pan) return tr("right pan");
    if (parameter.send() != 0)
        return tr("send %1, %2").arg(parameter.send()).arg(QString::fromStdString(label_of(parameter.info())));
    return QString::fromStdString(label_of(parameter.info()));
}

namespace {

struct RideMenu {
    Q_DECLARE_TR_FUNCTIONS(RideMenu)
};

constexpr int ride_station = 4;

void ride(Workspace& work, TrackId channel, Parameter parameter) {
    work.view.ride.touch(channel, parameter);
    emit work.view.station_wanted(ride_station);
    const Track* track = work.document.track(channel);
    const bool of_a_side = parameter == Parameter::left_pan || parameter == Parameter::right_pan;
    if (track && of_a_side && !track->dual_pan)
        emit work.view.hint(
            RideMenu::tr("Rides of left and right need dual pan. Turn it on in the menu of the track's name."));
}

}  // namespace

void add_ride_entries(QMenu& menu, Workspace& work, TrackId channel, const std::vector<Parameter>& parameters) {
    const Session& session = work.document.session();
    for (const Parameter parameter : parameters) {
        if (!can_be_ridden(session.row_kind(channel), parameter)) continue;
        const QString label = parameter_word(parameter);
        QAction* action = menu.addAction(parameters.size() == 1 ? RideMenu::tr("Ride this")
                                                                : RideMenu::tr("Ride this: %1").arg(label));
        action->setObjectName("rideThis");
        action->setToolTip(RideMenu::tr("Opens its lane in Ride. The value stays as it is."));
        QObject::connect(action, &QAction::triggered, &work.document,
                         [&work, channel, parameter] { ride(work, channel, parameter); });
    }
}

void open_ride_menu(Workspace& work, TrackId channel, const std::vector<Parameter>& parameters, const QPoint& global) {
    QMenu menu;
    menu.setObjectName("rideMenu");
    add_ride_entries(menu, work, channel, parameters);
    if (!menu.isEmpty()) menu.exec(global);
}

}  // namespace isotonus
