#include "demosong/shaped.h"

#include "core/session/presets.h"
#include "core/shape/cuts.h"
#include "core/shape/equaliser.h"

namespace isotonus {

namespace {

// Common practice, no source.
constexpr double hats_cut_hz = 200.0, chords_cut_hz = 120.0, bass_cut_hz = 30.0, duck_db = 4.0;

Chain preset_chain(const char* name) { return find_preset(shipped_presets(), name)->chain; }

}  // namespace

Session with_demo_shaped(const Session& session) {
    Session next = session;
    const auto shape = [&next](const char* name, const Chain& chain) {
        const Track* t = next.find(std::string(name));
        if (t && t->chain.empty()) next = with_chain(next, t->id, [&chain](Chain& c) { c = chain; });
    };
    Chain hats, chords, bass;
    set_low_cut(hats, hats_cut_hz);
    shape("Hats", hats);
    set_low_cut(chords, chords_cut_hz);
    add_bell(chords, {500.0, -2.5, 1.2});
    add_bell(chords, {1200.0, -2.5, 1.0});
    shape("Held Chords", chords);
    set_low_cut(bass, bass_cut_hz);
    if (const Track* kick = next.find(std::string("Kick Close"))) {
        bass.push_back(new_processor(*processor_type("duck"), bass));
        bass.back().key = kick->id;
        bass.back().values["depth_db"] = duck_db;
    }
    shape("Bass", bass);
    shape("Voice", preset_chain("Steady voice"));
    for (const Bus& bus : session.buses)
        if (bus.family == Family::drums && bus.chain.empty())
            next = with_chain(next, bus.id, [](Chain& c) { c = preset_chain("Barely moving"); });
    return next;
}

}  // namespace isotonus
