#include "core/balance/mix_columns.h"

namespace isotonus {

GainMatrix MixColumn::with_pan(double pan) const {
    if (!can_be_panned) return to_main;
    return chained(mono ? pan_mono(law, pan) : pan_stereo(pan, 1.0), to_main);
}

MixColumns mix_columns(const Session& session, const MaterialOf& material) {
    Session open = with_each_track(session, [](Track& t) {
        t.mute = t.solo = false;
        t.fader_db = t.pan = t.mono_below_hz = 0.0;
        t.sends.clear();
        t.rides.set(Parameter::mute, nullptr);
        t.rides.set(Parameter::pan, nullptr);
    });
    open.main_chain_out = true;
    for (Bus& b : open.buses.change()) {
        b.chain_out = true;
        b.mute = b.solo = false;
        b.sends.clear();
    }
    MixColumns found{compile_plan(open, material, Solo::left_out), {}};
    for (const PlanTrack& t : found.plan->tracks) {
        const PlanPart& part = found.plan->parts[t.first_part];
        const Track* track = open.find(t.id);
        MixColumn c;
        c.id = t.id;
        c.material = part.material;
        c.delay_samples = part.delay_samples;
        c.part = &part;
        c.law = part.law;
        c.mono = part.channels == 1;
        c.can_be_panned = !part.apart && session.find(t.id)->rides.heard(Parameter::pan) == nullptr && track;
        c.to_main = scaled(part.way(), found.plan->main_gain);
        if (c.mono && c.can_be_panned) {
            const GainMatrix centre = pan_mono(c.law, 0.0);
            c.to_main.left_from_left /= centre.left_from_left;
            c.to_main.right_from_left /= centre.right_from_left;
        }
        found.columns.push_back(std::move(c));
    }
    return found;
}

}  // namespace isotonus
