#include "core/mix/matched_bypass.h"

#include <algorithm>
#include <functional>
#include <limits>
#include <utility>

#include "core/mix/row_signals.h"
#include "core/session/channel.h"
#include "core/shape/match.h"

namespace isotonus {

std::vector<TrackId> matched_chains(const Session& session) {
    std::vector<TrackId> found;
    const auto look_at = [&](TrackId id, const Chain& chain, const Rides& rides, bool out) {
        const bool wanted = std::any_of(chain.begin(), chain.end(), [](const Processor& p) { return p.in && p.match; });
        if ((out || session.chains_out) && wanted && does_anything(chain, heard_rides(session, rides)))
            found.push_back(id);
    };
    for (const auto& t : session.tracks) look_at(t->id, t->chain, t->rides, t->chain_out);
    for (const Bus& b : session.buses) look_at(b.id, b.chain, b.rides, b.chain_out);
    look_at(main_output, session.main_chain, session.main_rides, session.main_chain_out);
    return found;
}

Session with_chains_in(const Session& session, const std::vector<TrackId>& channels) {
    Session next = session;
    // What is bypassed by itself stays so.
    next.chains_out = false;
    for (const TrackId id : channels) next = with_channel(next, id, [](const ChannelEdit& c) { *c.chain_out = false; });
    return next;
}

Session with_bypasses_matched(const Session& session, const std::map<TrackId, double>& match_db) {
    if (match_db.empty()) return session;
    Session next = session;
    const auto change = [&next](TrackId id, const std::function<void(const ChannelEdit&)>& edit) {
        next = with_channel(next, id, edit);
    };
    if (std::exchange(next.chains_out, false)) {  // each by itself
        const auto out = [](const ChannelEdit& c) { *c.chain_out = true; };
        for (const auto& t : session.tracks)
            if (!t->chain.empty()) change(t->id, out);
        for (const Bus& b : session.buses) change(b.id, out);
        change(main_output, out);
    }
    for (const auto& [id, db] : match_db) {
        Processor gain = new_processor(*processor_type("low_cut"), {});
        gain.id = std::numeric_limits<uint64_t>::max();  // no ride is its
        gain.in = false;
        gain.match = true;
        gain.match_db = db;
        change(id, [&gain](const ChannelEdit& c) {
            *c.chain = {gain};
            *c.chain_out = false;
        });
    }
    return next;
}

Result<double> loudness_change_db(const SignalRecipe& with_chain, Progress* progress) {
    SignalRecipe bare = with_chain;
    bare.chain.clear();
    bare.keys.clear();
    bare.detector_input.clear();
    const auto with = make_signal(with_chain, progress);
    if (!with) return tl::unexpected(with.error());
    const auto without = make_signal(bare, progress);
    if (!without) return tl::unexpected(without.error());
    return match_by_loudness((*with)->measurement, (*without)->measurement).value_or(0.0);
}

double power_change_db(const Signal& with_chain) {
    double sum = 0.0;
    for (size_t position = 0; position < with_chain.recipe().chain.size(); ++position)
        sum += with_chain.gain_db(position).value_or(0.0);
    return std::clamp(sum, -match_max_db, match_max_db);
}

}  // namespace isotonus
