#include "core/session/difference.h"

#include "core/session/routing.h"

namespace isotonus {

Session with_difference_alone(const Session& session, TrackId id, size_t position) {
    const Track* track = session.find(id);
    if (!track || position >= track->chain.size()) return session;
    Session next = with_duplicates(session, {id});
    const auto at = std::find_if(next.tracks.begin(), next.tracks.end(), [id](const auto& t) { return t->id == id; });
    const TrackId twin = (*(at + 1))->id;
    const auto cut_off = [](size_t from) { return [from](Chain& chain) { chain.resize(from); }; };
    next = with_chain(next, id, cut_off(position));
    next = with_chain(next, twin, cut_off(position + 1));
    next = with_track(next, twin, [](Track& t) {
        t.polarity_inverted = !t.polarity_inverted;
        t.chain.back().in = true;
    });
    for (const TrackId row : {id, twin})
        next = with_track(next, row, [](Track& t) {
            t.output = main_output, t.chain_out = t.mute = false;
            t.sends.clear();
        });
    next.chains_out = false;
    next.main_chain_out = true;
    return with_only(next, {id, twin});
}

}  // namespace isotonus
