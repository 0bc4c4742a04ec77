// Track, bus, return, control group and main output under one roof: what all of them have, whichever it is.
#pragma once

#include <functional>
#include <string>
#include <type_traits>

#include "core/session/session.h"

namespace isotonus {

/// A channel of a session.  It points at the session's own values and lives no longer than they do; null is what this
/// kind of channel does not have.
template <bool editable>
struct ChannelFields {
    template <class T>
    using To = std::conditional_t<editable, T, const T>*;

    TrackId id = main_output;
    RowKind kind = RowKind::main;
    To<std::string> name = nullptr;  ///< the main output's cannot be changed
    To<double> fader_db = nullptr;   ///< all have one
    To<Rides> rides = nullptr;       ///< all have them
    To<int> colour_index = nullptr;  ///< all but the main output
    To<bool> mute = nullptr, solo = nullptr;
    To<double> trim_db = nullptr, pan = nullptr, width = nullptr;  ///< tracks and buses
    To<TrackId> output = nullptr;
    To<Sends> sends = nullptr;
    To<Chain> chain = nullptr;  ///< tracks, buses and the main output
    To<bool> chain_out = nullptr;
    To<double> left_pan = nullptr, right_pan = nullptr;  ///< tracks

    /// False for an id that no channel has.
    explicit operator bool() const { return fader_db != nullptr; }
};
using Channel = ChannelFields<false>;
using ChannelEdit = ChannelFields<true>;

Channel channel_of(const Session& session, TrackId id);

/// A copy in which one channel is changed; the same when there is no such channel.
Session with_channel(const Session& session, TrackId id, const std::function<void(const ChannelEdit&)>& change);

}  // namespace isotonus
