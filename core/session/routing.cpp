#include "core/session/routing.h"

#include <fmt/format.h>

#include <algorithm>

namespace isotonus {

namespace {

template <class Thing>
void change_in(std::vector<Thing>& things, TrackId id, const std::function<void(Thing&)>& change) {
    for (Thing& thing : things)
        if (thing.id == id) change(thing);
}

bool is_among(const std::vector<TrackId>& ids, TrackId id) {
    return std::find(ids.begin(), ids.end(), id) != ids.end();
}

}  // namespace

Session with_bus(const Session& session, TrackId id, const std::function<void(Bus&)>& change) {
    Session next = session;
    if (session.find_bus(id)) change_in(next.buses.change(), id, change);
    return next;
}

Session with_group(const Session& session, TrackId id, const std::function<void(ControlGroup&)>& change) {
    Session next = session;
    if (session.find_group(id)) change_in(next.groups.change(), id, change);
    return next;
}

bool leads_to(const Session& session, TrackId from, TrackId to) {
    for (const Bus* bus = session.find_bus(from); bus; bus = session.find_bus(bus->output))
        if (bus->id == to || bus->output == to) return true;
    return false;
}

Result<Session> with_output(const Session& session, const std::vector<TrackId>& ids, TrackId output) {
    if (output != main_output && !session.find_bus(output)) return fail("", "there is no such bus");
    Session next = session;
    for (const TrackId id : ids) {
        if (id == output || (output != main_output && session.find_bus(id) && leads_to(session, output, id)))
            return fail("", fmt::format("{} cannot lead to {}: it would feed itself", session.find_bus(id)->name,
                                        session.find_bus(output)->name));
        next = with_track(next, id, [output](Track& t) { t.output = output; });
        next = with_bus(next, id, [output](Bus& b) { b.output = output; });
    }
    return next;
}

Session with_new_bus(const Session& session, const std::string& name, std::optional<Family> family,
                     const std::vector<TrackId>& tracks, TrackId* id) {
    Session next = session;
    Bus bus;
    bus.id = next.next_id++;
    bus.name = name;
    bus.family = family;
    bus.ink = ink_of(family.value_or(Family::other));
    next.buses.push_back(bus);
    for (const TrackId t : tracks) next = with_track(next, t, [&](Track& track) { track.output = bus.id; });
    if (id) *id = bus.id;
    return next;
}

Session with_new_group(const Session& session, const std::string& name, std::optional<Family> family,
                       const std::vector<TrackId>& members, TrackId* id) {
    Session next = session;
    ControlGroup group;
    group.id = next.next_id++;
    group.name = name;
    group.family = family;
    group.ink = ink_of(family.value_or(Family::other));
    group.members = members;
    next.groups.push_back(group);
    if (id) *id = group.id;
    return next;
}

Session without_bus_or_group(const Session& session, TrackId id) {
    Session next = session;
    const Bus* gone = session.find_bus(id);
    const TrackId output = gone ? gone->output : main_output;
    std::erase_if(next.buses.change(), [id](const Bus& b) { return b.id == id; });
    std::erase_if(next.groups.change(), [id](const ControlGroup& g) { return g.id == id; });
    for (ControlGroup& g : next.groups.change()) std::erase(g.members, id);
    for (Bus& b : next.buses.change())
        if (b.output == id) b.output = output;
    for (const auto& t : session.tracks)
        if (gone && t->output == id) next = with_track(next, t->id, [output](Track& track) { track.output = output; });
    return next;
}

std::vector<TrackId> tracks_under(const Session& session, TrackId id) {
    const ControlGroup* group = session.find_group(id);
    std::vector<TrackId> found;
    for (const auto& t : session.tracks) {
        bool under = group ? is_among(group->members, t->id) : t->output == id || leads_to(session, t->output, id);
        if (group)
            for (const TrackId member : group->members)
                under = under || t->output == member || leads_to(session, t->output, member);
        if (under) found.push_back(t->id);
    }
    return found;
}

Session with_only(const Session& session, const std::vector<TrackId>& tracks) {
    Session next = session;
    for (Bus& b : next.buses.change()) b.solo = false;
    for (auto& track : next.tracks) {
        Track t = *track;
        t.solo = is_among(tracks, t.id);
        t.solo_safe = false;
        track = std::make_shared<const Track>(std::move(t));
    }
    if (!next.any_solo())
        for (auto& track : next.tracks) {
            Track t = *track;
            t.mute = true;
            track = std::make_shared<const Track>(std::move(t));
        }
    return next;
}

}  // namespace isotonus
