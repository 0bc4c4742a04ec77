#include "core/session/routing.h"

#include <algorithm>
#include <set>
#include <unordered_map>

#include "core/session/channel.h"

namespace isotonus {

namespace {

template <class Thing>
void change_in(std::vector<Thing>& things, TrackId id, const std::function<void(Thing&)>& change) {
    for (Thing& thing : things)
        if (thing.id == id) change(thing);
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

bool feeds(const Session& session, TrackId from, TrackId to) {
    std::set<TrackId> seen;
    std::vector<TrackId> left{from};
    while (!left.empty()) {
        const TrackId row = left.back();
        left.pop_back();
        if (row == to) return true;
        if (row == main_output || !seen.insert(row).second) continue;
        const Channel channel = channel_of(session, row);
        if (!channel.output) continue;
        left.push_back(*channel.output);
        for (const Send& s : *channel.sends) left.push_back(s.to);
    }
    return false;
}

std::vector<TrackId> senders_to(const Session& session, TrackId bus) {
    std::vector<TrackId> rows;
    const auto look_at = [&](TrackId row, const Sends& sends) {
        if (std::any_of(sends.begin(), sends.end(), [bus](const Send& s) { return s.to == bus; })) rows.push_back(row);
    };
    for (const auto& t : session.tracks) look_at(t->id, t->sends);
    for (const Bus& b : session.buses) look_at(b.id, b.sends);
    return rows;
}

std::set<TrackId> needed_by(const Session& session, TrackId channel) {
    std::unordered_map<TrackId, std::vector<TrackId>> needs;
    const auto add = [&needs](const auto& row) {
        needs[row.output].push_back(row.id);
        for (const Send& s : row.sends) needs[s.to].push_back(row.id);
        for (const Processor& p : row.chain)
            if (p.key != 0) needs[row.id].push_back(p.key);
    };
    for (const auto& t : session.tracks) add(*t);
    for (const Bus& b : session.buses) add(b);
    for (const Processor& p : session.main_chain)
        if (p.key != 0) needs[main_output].push_back(p.key);
    for (const ControlGroup& g : session.groups) needs[g.id] = g.members;
    std::set<TrackId> all{channel};
    for (std::vector<TrackId> left{channel}; !left.empty();) {
        const TrackId row = left.back();
        left.pop_back();
        for (const TrackId other : needs[row])
            if (all.insert(other).second) left.push_back(other);
    }
    return all;
}

bool is_return(const Session& session, TrackId bus) {
    const auto leads_there = [bus](const auto& row) { return row.output == bus; };
    return session.find_bus(bus) && !senders_to(session, bus).empty() &&
           std::none_of(session.tracks.begin(), session.tracks.end(), [&](const auto& t) { return leads_there(*t); }) &&
           std::none_of(session.buses.begin(), session.buses.end(), leads_there);
}

Result<Session> with_send(const Session& session, TrackId row, TrackId bus, const std::function<void(Send&)>& change) {
    const Sends* now = session.sends_of(row);
    if (!now) return fail("", translated("only tracks and buses can send. Choose one of them."));
    if (!session.find_bus(bus))
        return fail("", translated("the bus to send to does not exist. Choose a bus or return of the session."));
    if (feeds(session, bus, row))
        return fail("", translate("{} cannot send to {}: this would make a feedback loop. Choose another bus.",
                                  session.name_of(row), session.name_of(bus)));
    Sends sends = *now;
    auto at = std::find_if(sends.begin(), sends.end(), [bus](const Send& s) { return s.to == bus; });
    if (at == sends.end()) {
        uint64_t id = 1;
        for (const Send& s : sends) id = std::max(id, s.id + 1);
        at = sends.insert(at, Send{});
        at->id = id;
        at->to = bus;
    }
    change(*at);
    return with_channel(session, row, [&sends](const ChannelEdit& c) { *c.sends = sends; });
}

Session without_send(const Session& session, TrackId row, uint64_t send) {
    return with_channel(session, row, [send](const ChannelEdit& c) {
        if (!c.sends) return;
        std::erase_if(*c.sends, [send](const Send& s) { return s.id == send; });
        for (const ParameterInfo* info : parameters_of_sends()) c.rides->set(Parameter::of_send(*info, send), nullptr);
    });
}

namespace {

Session without_sends_to(const Session& session, TrackId bus) {
    Session next = session;
    const auto clear = [&](TrackId row, const Sends& sends) {
        for (const Send& s : sends)
            if (s.to == bus) next = without_send(next, row, s.id);
    };
    for (const auto& t : session.tracks) clear(t->id, t->sends);
    for (const Bus& b : session.buses) clear(b.id, b.sends);
    return next;
}

}  // namespace

Session with_throw(const Session& session, TrackId row, const Send& send, double from_s, double to_s) {
    const Parameter level = Parameter::of_send(send_parameters::level, send.id);
    constexpr double edge_s = 0.03;
    const double shut = level.info().low, open = send.level_db <= shut ? 0.0 : send.level_db;
    const double before_s = std::max(0.0, from_s - edge_s), after_s = to_s + edge_s;
    const CurvePtr& now = (*session.rides_of(row))[level];
    Curve curve = now ? *now : Curve{{{0.0, shut}}};
    const double left = curve.value_at(before_s), right = curve.value_at(after_s);
    std::erase_if(curve.points, [&](const RidePoint& p) { return p.time_s >= before_s && p.time_s <= after_s; });
    for (const RidePoint& p :
         {RidePoint{before_s, left}, RidePoint{from_s, open}, RidePoint{to_s, open}, RidePoint{after_s, right}})
        curve.insert(p);
    return with_ride(session, row, level, curve);
}

Session with_new_return(const Session& session, const std::string& name, const std::vector<TrackId>& rows,
                        const Send& how, const Chain& chain, TrackId* id) {
    TrackId bus = 0;
    Session next = with_new_bus(session, name, std::nullopt, {}, &bus);
    // A colour that no other bus has, as long as there is one: sends are told apart by it.
    int colour_index = 0;
    const auto taken = [&session](int n) {
        return std::any_of(session.buses.begin(), session.buses.end(),
                           [n](const Bus& b) { return b.colour_index == n; });
    };
    while (colour_index < 11 && taken(colour_index)) ++colour_index;
    next = with_bus(next, bus, [&](Bus& b) { b.chain = chain, b.colour_index = colour_index; });
    for (const TrackId row : rows)
        if (auto sent = with_send(next, row, bus, [&how](Send& s) {
                s.level_db = how.level_db;
                s.before_fader = how.before_fader;
            }))
            next = std::move(*sent);
    if (id) *id = bus;
    return next;
}

Result<Session> with_output(const Session& session, const std::vector<TrackId>& ids, TrackId output) {
    if (output != main_output && !session.find_bus(output))
        return fail("", translated("the bus does not exist. Choose a bus of the session."));
    Session next = session;
    for (const TrackId id : ids) {
        if (id == output || (output != main_output && session.find_bus(id) && feeds(session, output, id)))
            return fail(
                "",
                translate("{} cannot have {} as its output: this would make a feedback loop. Choose another output.",
                          session.find_bus(id)->name, session.find_bus(output)->name));
        next = with_channel(next, id, [output](const ChannelEdit& c) {
            if (c.output) *c.output = output;
        });
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
    bus.colour_index = colour_of(family.value_or(Family::other));
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
    group.colour_index = colour_of(family.value_or(Family::other));
    group.members = members;
    next.groups.push_back(group);
    if (id) *id = group.id;
    return next;
}

Session forgotten(const Session& session, const std::vector<TrackId>& gone, std::vector<std::string>* told) {
    Session next = session;
    const auto listens = [&](const Chain& chain) {
        return std::any_of(chain.begin(), chain.end(),
                           [&](const Processor& p) { return p.key != 0 && is_among(gone, p.key); });
    };
    const auto forget = [&](TrackId channel, const Chain& chain) {
        if (!listens(chain)) return;
        if (told)
            for (const Processor& p : chain)
                if (p.key != 0 && is_among(gone, p.key))
                    told->push_back(translate("'{}' of '{}' had '{}' as its sidechain source; it is bypassed now",
                                              word_of(p.type), session.name_of(channel), session.name_of(p.key)));
        next = with_chain(next, channel, [&](Chain& changed) {
            for (Processor& p : changed) {
                if (p.key == 0 || !is_among(gone, p.key)) continue;
                p.key = 0;
                p.in = false;
            }
        });
    };
    for (const auto& t : session.tracks)
        if (!is_among(gone, t->id)) forget(t->id, t->chain);
    for (const Bus& b : session.buses)
        if (!is_among(gone, b.id)) forget(b.id, b.chain);
    forget(main_output, session.main_chain);
    const auto points_at_gone = [&](TrackId id) { return is_among(gone, id); };
    for (auto& selection : next.selections) std::erase_if(selection, points_at_gone);
    std::erase_if(next.anchor_order, points_at_gone);
    const bool is_member = std::any_of(session.groups.begin(), session.groups.end(), [&](const ControlGroup& g) {
        return std::any_of(g.members.begin(), g.members.end(), points_at_gone);
    });
    if (is_member)
        for (ControlGroup& g : next.groups.change()) std::erase_if(g.members, points_at_gone);
    return next;
}

Session without_bus_or_group(const Session& session, TrackId id, std::vector<std::string>* told) {
    Session next = forgotten(without_sends_to(session, id), {id}, told);
    const Bus* gone = session.find_bus(id);
    const TrackId output = gone ? gone->output : main_output;
    std::erase_if(next.buses.change(), [id](const Bus& b) { return b.id == id; });
    std::erase_if(next.groups.change(), [id](const ControlGroup& g) { return g.id == id; });
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

std::vector<TrackId> channels_under(const Session& session, TrackId bus_or_group) {
    std::vector<TrackId> channels = tracks_under(session, bus_or_group);
    channels.push_back(bus_or_group);
    for (const Bus& b : session.buses)
        if (leads_to(session, b.id, bus_or_group)) channels.push_back(b.id);
    return channels;
}

namespace {

/// No bus is soloed, no track is safe, and those tracks that `chosen` says are soloed.
Session with_solos(const Session& session, const std::function<bool(const Track&)>& chosen) {
    Session next = session;
    for (Bus& b : next.buses.change()) b.solo = false;
    for (ControlGroup& g : next.groups.change()) g.solo = false;
    return with_each_track(next, [&](Track& t) {
        t.solo = chosen(t);
        t.solo_safe = false;
    });
}

}  // namespace

Session with_only(const Session& session, const std::vector<TrackId>& tracks) {
    const Session next = with_solos(session, [&](const Track& t) { return is_among(tracks, t.id); });
    return tracks.empty() ? with_each_track(next, [](Track& t) { t.mute = true; }) : next;
}

Session with_row_alone(const Session& session, TrackId id) {
    if (!session.find_bus(id)) return with_only(session, tracks_under(session, id));
    // A bus is soloed as such: what is sent to it is heard as well, and nothing else.
    return with_bus(with_solos(session, [](const Track&) { return false; }), id, [](Bus& b) { b.solo = true; });
}

}  // namespace isotonus
