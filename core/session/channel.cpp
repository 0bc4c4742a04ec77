#include "core/session/channel.h"

#include "core/session/routing.h"

namespace isotonus {

namespace {

template <bool editable, class Row>
ChannelFields<editable> common_of(Row& row, RowKind kind) {
    ChannelFields<editable> c;
    c.id = row.id;
    c.kind = kind;
    c.name = &row.name;
    c.fader_db = &row.fader_db;
    c.rides = &row.rides;
    c.colour_index = &row.colour_index;
    c.mute = &row.mute;
    c.solo = &row.solo;
    return c;
}

/// Of a track or a bus.
template <bool editable, class Row>
ChannelFields<editable> summed_of(Row& row, RowKind kind) {
    ChannelFields<editable> c = common_of<editable>(row, kind);
    c.trim_db = &row.trim_db;
    c.pan = &row.pan;
    c.width = &row.width;
    c.output = &row.output;
    c.sends = &row.sends;
    c.chain = &row.chain;
    c.chain_out = &row.chain_out;
    return c;
}

template <bool editable, class Row>
ChannelFields<editable> fields_of(Row& row) {
    using Plain = std::remove_const_t<Row>;
    if constexpr (std::is_same_v<Plain, Track>) {
        ChannelFields<editable> c = summed_of<editable>(row, RowKind::track);
        c.left_pan = &row.left_pan;
        c.right_pan = &row.right_pan;
        return c;
    } else if constexpr (std::is_same_v<Plain, Bus>) {
        return summed_of<editable>(row, RowKind::bus);
    } else if constexpr (std::is_same_v<Plain, ControlGroup>) {
        return common_of<editable>(row, RowKind::group);
    } else {
        ChannelFields<editable> c;
        c.fader_db = &row.main_fader_db;
        c.rides = &row.main_rides;
        c.chain = &row.main_chain;
        c.chain_out = &row.main_chain_out;
        return c;
    }
}

}  // namespace

Channel channel_of(const Session& session, TrackId id) {
    static const std::string main_name = "main";
    if (id == main_output) {
        Channel c = fields_of<false>(session);
        c.name = &main_name;
        return c;
    }
    if (const Track* t = session.find(id)) return fields_of<false>(*t);
    if (const Bus* b = session.find_bus(id)) return fields_of<false>(*b);
    if (const ControlGroup* g = session.find_group(id)) return fields_of<false>(*g);
    return {};
}

Session with_channel(const Session& session, TrackId id, const std::function<void(const ChannelEdit&)>& change) {
    const auto apply = [&change](auto& row) { change(fields_of<true>(row)); };
    const Channel now = channel_of(session, id);
    if (now && now.kind == RowKind::track) return with_track(session, id, apply);
    if (now && now.kind == RowKind::bus) return with_bus(session, id, apply);
    if (now && now.kind == RowKind::group) return with_group(session, id, apply);
    Session next = session;
    if (now) apply(next);
    return next;
}

}  // namespace isotonus
