#include "app/desk/make_way.h"

#include <QCoreApplication>

#include "core/ride/hits.h"
#include "core/shape/duck.h"

namespace isotonus {

namespace {
QString tr(const char* text) { return QCoreApplication::translate("isotonus", text); }
}  // namespace

void ask_make_way(Workspace& work, TrackId row, Way offered, Parameter parameter, std::optional<Span> span) {
    const Session& session = work.document.session();
    const Rides* rides = session.rides_of(row);
    if (!rides) return;
    std::vector<const Track*> others;
    QStringList names;
    for (const auto& t : session.tracks)
        if (t->id != row && work.materials.of(*t)) others.push_back(t.get()), names << QString::fromStdString(t->name);
    if (others.empty()) {
        emit work.view.hint(tr("There is no other track to duck. Add the second track first."));
        return;
    }
    QStringList ways{tr("Ducker, by level"), tr("Ride, drawn at the hits")};
    const bool has_chain = session.chain_of(row) != nullptr;
    if (!has_chain) ways.removeFirst();
    const Dip dip;
    const QString unit = parameter.info().unit;
    const auto n =
        work.prompter->ask_numbers(tr("duck %1").arg(QString::fromStdString(session.name_of(row))),
                                   {{tr("under"), 0.0, 0.0, 0.0, 0, names},
                                    {tr("with"), has_chain && offered == Way::drawn ? 1.0 : 0.0, 0.0, 0.0, 0, ways},
                                    {unit.isEmpty() ? tr("depth") : tr("depth, %1").arg(unit), dip.depth, 0.1, 40.0, 1},
                                    {tr("before the hit, ms (ride only)"), dip.attack_s * 1000.0, 0.0, 500.0, 0},
                                    {tr("hold, ms"), dip.hold_s * 1000.0, 0.0, 2000.0, 0},
                                    {tr("release, ms"), dip.release_s * 1000.0, 1.0, 4000.0, 0}});
    if (!n) return;
    const auto which = static_cast<size_t>((*n)[0]);
    if (which >= others.size()) return;
    const Track& other = *others[which];
    const QString name = QString::fromStdString(other.name);
    if (has_chain && (*n)[1] < 0.5) {
        work.edits.set_chains({row}, tr("Duck under %1").arg(name), [&](Chain& chain) {
            Processor& duck = duck_for(chain, other.id);
            duck.values["depth_db"] = (*n)[2];
            duck.values["hold_ms"] = std::min((*n)[4], duck_type().find("hold_ms")->high);
            duck.values["release_ms"] =
                std::clamp((*n)[5], duck_type().find("release_ms")->low, duck_type().find("release_ms")->high);
        });
        return;
    }
    const MaterialPtr m = work.materials.of(other);
    std::vector<double> hits = hits_of(m->summary, m->measurement.sample_rate);
    for (double& hit : hits) hit += work.document.shift_s(other);
    const CurvePtr& before = (*rides)[parameter];
    ParameterInfo info = parameter.info();
    if (!info.added) info.rest = own_value(session, row, parameter);
    const Curve curve = dipped(before ? *before : Curve{}, span.value_or(Span{0.0, work.view.time.song_s()}), hits,
                               {(*n)[2], (*n)[3] / 1000.0, (*n)[4] / 1000.0, (*n)[5] / 1000.0}, info);
    work.document.edit(tr("Dips around %1").arg(name), with_ride(session, row, parameter, curve));
}

}  // namespace isotonus
