#include "core/mix/compile_plan.h"

#include <algorithm>
#include <map>
#include <tuple>
#include <unordered_map>
#include <unordered_set>

#include "core/mix/row_signals.h"
#include "core/mix/sum_of_rows.h"
#include "core/session/channel.h"

namespace isotonus {

namespace {

/// Rides of trim, level and mute, and those of the groups that a row belongs to.
struct LevelRides {
    bool trim = true, fader = true;
    void add_to(RowGains& row, const Session& session, const Rides& rides, TrackId id) const {
        if (session.rides_bypassed) return;
        const auto add = [&](const Rides& r, Parameter p) {
            if (CurvePtr curve = r.heard(p)) row.level_rides.push_back(std::move(curve));
        };
        const auto add_gate = [&](const Rides& r) {
            if (const CurvePtr mute = r.heard(Parameter::mute))
                row.gates.push_back(std::make_shared<const Curve>(gate_of(*mute)));
        };
        if (trim) add(rides, Parameter::trim);
        if (!fader) return;
        add(rides, Parameter::level);
        add_gate(rides);
        for (const ControlGroup& g : session.groups) {
            if (id == main_output || std::find(g.members.begin(), g.members.end(), id) == g.members.end()) continue;
            add(g.rides, Parameter::level);
            add_gate(g.rides);
        }
    }
};

/// Rides of pan and width.
void add_pan_rides(RowGains& row, const Session& session, const Rides& rides) {
    if (session.rides_bypassed) return;
    row.pan_ride = rides.heard(row.apart ? Parameter::left_pan : Parameter::pan);
    if (row.channels == 2) row.width_ride = rides.heard(row.apart ? Parameter::right_pan : Parameter::width);
    if (row.pan_ride) row.pan = 0.0;
    if (row.width_ride) row.width = 1.0;
}

/// Level, place and rides of a send; the row's own are there already.
void add_send(RowGains& part, const Session& session, const Send& send, const Rides& rides, bool may_be_panned) {
    const auto ridden = [&](const ParameterInfo& info) {
        return session.rides_bypassed ? nullptr : rides.heard(Parameter::of_send(info, send.id));
    };
    if (CurvePtr level = ridden(send_parameters::level))
        part.level_rides.push_back(std::move(level));
    else
        part.level *= gain_from_db(send.level_db);
    if (const CurvePtr in = ridden(send_parameters::in)) {
        Curve out = *in;
        for (RidePoint& p : out.points) p.value = 1.0 - p.value;
        part.gates.push_back(std::make_shared<const Curve>(gate_of(out)));
    } else if (!send.in) {
        part.level = 0.0;
    }
    if (!send.own_pan || !may_be_panned) return;
    // The place of its own takes the row's width along, and nothing else of where the row stands.
    part.apart = false;
    part.pan = send.pan;
    part.pan_ride = ridden(send_parameters::pan);
    if (part.pan_ride) part.pan = 0.0;
}

/// A copy in which a group's members, and nothing else, lead to a bus that is new; its id.
std::pair<Session, TrackId> with_bus_of_members(const Session& session, const ControlGroup& group) {
    Session summed = session;
    Bus sum;
    sum.id = summed.next_id++;
    summed.buses.push_back(sum);
    for (const TrackId id : group.members)
        summed = with_channel(summed, id, [&sum](const ChannelEdit& c) {
            if (c.output) *c.output = sum.id;
        });
    return {std::move(summed), sum.id};
}

/// Makes the plan of what leads to a root: the mix, or what goes into the chain of a bus or of the main output.
class Compiler {
  public:
    /// Signals of buses and the main output, which several plans of one session share.
    using Made = std::map<TrackId, MaterialPtr>;

    /// The mix.
    Compiler(const Session& session, const MaterialOf& material, Solo solo, Made& made)
        : Compiler(session, material, solo, made, main_output, false) {}

    static std::optional<PreFaderSource> tap_of_sum(const Session& session, TrackId id, const MaterialOf& material) {
        Made made;
        if (const Bus* bus = session.find_bus(id))
            return Compiler(session, material, Solo::left_out, made).tap_of(*bus);
        const ControlGroup* group = session.find_group(id);
        if (!group) return std::nullopt;
        const auto [summed, sum] = with_bus_of_members(session, *group);
        return PreFaderSource{Compiler(summed, material, Solo::left_out, made).input_of(sum), 0, 1.0, nullptr};
    }

    PlanPtr compile() {
        plan_->sample_rate = session_.sample_rate;
        if (is_mix_) {
            plan_->main_gain = gain_from_db(session_.main_fader_db);
            LevelRides().add_to(plan_->main, session_, session_.main_rides, main_output);
            add_pan_rides(plan_->main, session_, session_.main_rides);
        }
        const std::vector<const Bus*> order = in_order();
        for (const Bus* b : order)
            if (!has_signal(session_, *b)) row_indices_.emplace(b->id, static_cast<int>(row_indices_.size()));
        for (const Bus* b : order) {
            PlanBus bus = bus_of(*b, true);
            gains_of_[b->id] = bus;
            if (!has_signal(session_, *b)) plan_->buses.push_back(std::move(bus));
        }
        for (const auto& track : session_.tracks)
            if (reaches_root(*track)) add_track(*track);
        for (const Bus* b : order)
            if (has_signal(session_, *b)) add_signal_of(*b);
        if (is_mix_ && is_main_shaped(session_)) add_signal_of_main();
        return plan_;
    }

  private:
    Compiler(const Session& session, const MaterialOf& material, Solo solo, Made& made, TrackId root, bool is_input)
        : session_(session),
          material_(material),
          solo_(solo),
          made_(made),
          root_(root),
          is_mix_(!is_input),
          plan_(std::make_shared<RenderPlan>()) {}

    /// All that leads to a bus or to the main output, as one source.
    MaterialPtr input_of(TrackId row) const {
        return sum_of_rows(Compiler(session_, material_, solo_, made_, row, true).compile());
    }

    PlanBus bus_of(const Bus& b, bool trim_too) const {
        PlanBus bus;
        bus.id = b.id;
        // Its mute is that of the tracks that lead to it: they are not heard (see is_heard).
        bus.level = gain_from_db((trim_too ? b.trim_db : 0.0) + b.fader_db + session_.group_db(b.id));
        bus.pan = b.pan;
        bus.width = b.width;
        LevelRides{trim_too, true}.add_to(bus, session_, b.rides, b.id);
        add_pan_rides(bus, session_, b.rides);
        bus.gains = scaled(pan_stereo(bus.pan, bus.width), bus.level);
        bus.output = index_of(b.output);
        return bus;
    }

    /// Known of all buses at once: from the root back along what feeds it.
    bool leads_to_root(TrackId output) const {
        if (output == root_) return true;
        if (output == main_output) return false;
        if (!leads_known_) {
            leads_known_ = true;
            std::unordered_map<TrackId, std::vector<TrackId>> fed_by;
            for (const Bus& b : session_.buses) {
                fed_by[b.output].push_back(b.id);
                for (const Send& s : b.sends) fed_by[s.to].push_back(b.id);
            }
            std::vector<TrackId> ways{root_};
            while (!ways.empty()) {
                const TrackId to = ways.back();
                ways.pop_back();
                for (const TrackId from : fed_by[to])
                    if (leads_.insert(from).second) ways.push_back(from);
            }
        }
        return leads_.contains(output) || (root_ == main_output && !session_.find_bus(output));
    }
    template <class Row>
    bool reaches_root(const Row& row) const {
        return leads_to_root(row.output) ||
               std::any_of(row.sends.begin(), row.sends.end(), [this](const Send& s) { return leads_to_root(s.to); });
    }

    /// Buses on the way to the root, each before those that it leads or sends to; else as they stand in the session.
    std::vector<const Bus*> in_order() const {
        std::vector<const Bus*> wanted;
        std::unordered_map<TrackId, size_t> index;
        for (const Bus& b : session_.buses)
            if (b.id != root_ && reaches_root(b)) index[b.id] = wanted.size(), wanted.push_back(&b);
        std::vector<size_t> waits_for(wanted.size());
        const auto for_each_fed = [&](const Bus& bus, const auto& use) {
            const auto feed = [&](TrackId id) {
                if (const auto at = index.find(id); at != index.end()) use(at->second);
            };
            feed(bus.output);
            for (const Send& s : bus.sends)
                if (s.to != bus.output) feed(s.to);
        };
        for (const Bus* b : wanted) for_each_fed(*b, [&](size_t fed) { ++waits_for[fed]; });
        // Passes over the list as it stands, each taking all that wait for nobody any more: a bus is taken in a pass
        // later than one that feeds it and stands behind it.
        std::vector<size_t> pass(wanted.size()), ready;
        for (size_t n = 0; n < wanted.size(); ++n)
            if (waits_for[n] == 0) ready.push_back(n);
        for (size_t next = 0; next < ready.size(); ++next) {
            const size_t n = ready[next];
            for_each_fed(*wanted[n], [&](size_t fed) {
                pass[fed] = std::max(pass[fed], pass[n] + (fed < n ? 1 : 0));
                if (--waits_for[fed] == 0) ready.push_back(fed);
            });
        }
        // What is missing is in a circle, which validate() does not let be.
        std::sort(ready.begin(), ready.end(),
                  [&](size_t x, size_t y) { return std::tie(pass[x], x) < std::tie(pass[y], y); });
        std::vector<const Bus*> order;
        for (const size_t n : ready) order.push_back(wanted[n]);
        return order;
    }

    int index_of(TrackId id) const {
        const Bus* bus = session_.find_bus(id);
        if (id == root_ || !bus) return is_mix_ && is_main_shaped(session_) ? no_output : to_main_output;
        if (has_signal(session_, *bus)) return no_output;
        const auto at = row_indices_.find(id);
        return at == row_indices_.end() ? no_output : at->second;
    }

    /// None of the buses from this one on to the root is muted.
    bool is_open(TrackId output) const {
        for (const Bus* bus = session_.find_bus(output); bus && bus->id != root_; bus = session_.find_bus(bus->output))
            if (session_.is_muted(*bus)) return false;
        return true;
    }
    bool solo_counts() const { return solo_ == Solo::counts && session_.any_solo(); }

    bool is_heard(const Track& track) const {
        if (session_.is_muted(track) || !is_open(track.output)) return false;
        return !solo_counts() || session_.is_soloed(track);
    }

    /// A send before the fader is heard when its track is muted, and one after it when only the track's bus is: what
    /// was sent has left by then.  One to a return that is soloed is heard as well.
    bool is_heard(const Track& track, const Send& send) const {
        if ((session_.is_muted(track) && !send.before_fader) || !is_open(send.to)) return false;
        if (!solo_counts() || session_.is_soloed(track)) return true;
        for (const Bus* bus = session_.find_bus(send.to); bus; bus = session_.find_bus(bus->output))
            if (session_.is_soloed_itself(*bus)) return true;
        return false;
    }

    /// Sets where a part leads, and its way to the main output as a whole.
    void lead(PlanPart& p, TrackId output) const {
        if (!leads_to_root(output)) {
            p.silence_it();
            p.output = no_output;
            return;
        }
        p.output = index_of(output);
        GainMatrix way = p.gains;
        while (output != root_) {
            const auto at = gains_of_.find(output);
            if (at == gains_of_.end()) break;
            way = chained(at->second.gains, way);
            p.rows_on_way.push_back(at->second);
            const Bus& bus = *session_.find_bus(output);
            p.through_chain |= has_signal(session_, bus);
            output = bus.output;
        }
        if (plan_->main.ridden()) p.rows_on_way.push_back(plan_->main);
        p.through_chain |= is_mix_ && is_main_shaped(session_);
        p.to_main = p.through_chain ? silence : way;
        p.gains_without_chains = way;
    }

    void add_track(const Track& track) {
        const MaterialPtr whole = material_(track);
        std::vector<std::pair<Band, MaterialPtr>> bands;
        if (track.mono_below_hz > 0.0) {
            Track played = track;  // as it asks for its material
            for (const Source& s : sources_of(track)) {
                played.source.band = s.band;
                played.source.crossover_hz = s.crossover_hz;
                if (MaterialPtr m = material_(played)) bands.emplace_back(s.band, std::move(m));
            }
        }
        if (bands.size() != 2) {
            bands.clear();
            if (whole) bands.emplace_back(Band::all, whole);
        }
        if (bands.empty()) return;
        PlanTrack t;
        t.id = track.id;
        t.first_part = plan_->parts.size();
        t.band_count = bands.size();
        t.material = whole ? whole : bands.front().second;
        // A signal has its trim, its polarity and its delay in it: they stand before the chain.
        const bool shaped = signal_of(bands.front().second) != nullptr;
        t.trim_gain = shaped ? 1.0 : gain_from_db(track.trim_db);
        const double fader_gain = gain_from_db(track.fader_db + session_.group_db(track.id)),
                     before_fader = t.trim_gain * (track.polarity_inverted && !shaped ? -1.0 : 1.0);
        t.fader_gain = is_heard(track) ? fader_gain : 0.0;
        const int channels = bands.front().second->channels();
        /// A band as it is, or as it is sent.
        const auto add = [&](size_t band, const Send* send) {
            const auto& [which, m] = bands[band];
            PlanPart p;
            p.track = plan_->tracks.size();
            p.band = which;
            p.input = t.first_part + band;
            p.channels = m->channels();
            p.frames = m->frames();
            p.delay_samples = shaped ? 0 : start_in_song(track, m->origin());
            p.apart = p.channels == 2 && track.dual_pan;
            p.law = which != Band::low || channels == 1 ? session_.pan_law : PanLaw::balance;
            if (p.apart)
                p.pan = track.left_pan, p.width = track.right_pan;
            else if (which != Band::low)
                p.pan = track.pan, p.width = track.width;
            LevelRides{!shaped, !send || !send->before_fader}.add_to(p, session_, track.rides, track.id);
            if (which != Band::low) add_pan_rides(p, session_, track.rides);
            p.level = before_fader;
            if (send) {
                p.send = send->id;
                if (!send->before_fader) p.level *= fader_gain;
                if (!is_heard(track, *send)) p.level *= 0.0;
                if (send->own_pan && p.apart) p.width = track.width;
                add_send(p, session_, *send, track.rides, which != Band::low);
            } else {
                p.level *= t.fader_gain;
            }
            p.gains = scaled(p.gains_for(p.pan, p.width), p.level);
            p.material = m;
            lead(p, send ? send->to : track.output);
            plan_->frames = std::max(plan_->frames, p.frames + p.delay_samples);
            plan_->parts.push_back(std::move(p));
        };
        for (size_t band = 0; band < bands.size(); ++band) add(band, nullptr);
        for (const Send& send : track.sends)
            for (size_t band = 0; band < bands.size() && leads_to_root(send.to); ++band) add(band, &send);
        t.part_count = plan_->parts.size() - t.first_part;
        plan_->tracks.push_back(std::move(t));
    }

    /// What the chain of a bus or of the main output makes of all that leads to it.
    MaterialPtr chain_output_of(TrackId row, const Chain& chain, const Rides& rides, double trim_db,
                                CurvePtr trim_ride) {
        const auto known = made_.find(row);
        if (known != made_.end()) return known->second;
        SignalRecipe recipe;
        recipe.row = row;
        recipe.sample_rate = session_.sample_rate;
        recipe.source.material = input_of(row);
        recipe.source.gain = gain_from_db(trim_db);
        recipe.source.trim_ride = std::move(trim_ride);
        if (!session_.chains_out && !session_.is_chain_out(row)) recipe.chain = chain;
        recipe.rides = heard_rides(session_, rides);
        for (const Processor& p : recipe.chain)
            if (p.key != 0)
                if (auto tap = tap_of_key(p.key)) recipe.keys[p.key] = std::move(*tap);
        MaterialPtr material = material_.bus ? material_.bus(recipe) : nullptr;
        if (!material) material = provisional_signal(recipe);
        return made_[row] = material;
    }

    /// A row before its fader, for a bus or the main output to listen to.
    std::optional<PreFaderSource> tap_of_key(TrackId row) {
        if (const Track* track = session_.find(row)) {
            const MaterialPtr played = material_(*track);
            if (!played) return std::nullopt;
            return signal_of(played) ? PreFaderSource{played, 0, 1.0, nullptr}
                                     : isotonus::tap_of(session_, *track, played);
        }
        if (const Bus* bus = session_.find_bus(row)) return tap_of(*bus);
        return tap_of_sum(session_, row, material_);
    }
    PreFaderSource tap_of(const Bus& bus) {
        const CurvePtr trim_ride = trim_ride_of(bus.rides);
        if (has_signal(session_, bus))
            return {chain_output_of(bus.id, bus.chain, bus.rides, bus.trim_db, trim_ride), 0, 1.0, nullptr};
        return {input_of(bus.id), 0, gain_from_db(bus.trim_db), trim_ride};
    }
    CurvePtr trim_ride_of(const Rides& rides) const {
        return session_.rides_bypassed ? nullptr : rides.heard(Parameter::trim);
    }

    /// A bus with a chain plays what the chain makes of all that leads to it; and so does one that sends.
    void add_signal_of(const Bus& bus) {
        PlanTrack t;
        t.id = bus.id;
        t.is_bus = true;
        t.material = chain_output_of(bus.id, bus.chain, bus.rides, bus.trim_db, trim_ride_of(bus.rides));
        const PlanBus gains = bus_of(bus, false);  // its trim is before its chain
        const bool muted = session_.is_muted(bus);
        t.fader_gain = !muted && is_open(bus.output) ? gains.level : 0.0;
        t.first_part = plan_->parts.size();
        const auto add = [&](const Send* send) {
            PlanPart p;
            p.track = plan_->tracks.size();
            p.input = t.first_part;
            p.frames = t.material->frames();
            p.material = t.material;
            if (send) {
                p.send = send->id;
                p.pan = bus.pan;
                p.width = bus.width;
                const bool heard = is_open(send->to) && (send->before_fader || !muted);
                if (!heard)
                    p.level = 0.0;
                else if (send->before_fader)
                    p.level = 1.0;
                else
                    p.level = gains.level;
                LevelRides{false, !send->before_fader}.add_to(p, session_, bus.rides, bus.id);
                add_pan_rides(p, session_, bus.rides);
                add_send(p, session_, *send, bus.rides, true);
            } else {
                static_cast<RowGains&>(p) = gains;
                p.level = t.fader_gain;
            }
            p.gains = p.level == 0.0 ? silence : scaled(pan_stereo(p.pan, p.width), p.level);
            lead(p, send ? send->to : bus.output);
            plan_->frames = std::max(plan_->frames, p.frames);
            plan_->parts.push_back(std::move(p));
        };
        add(nullptr);
        for (const Send& send : bus.sends)
            if (leads_to_root(send.to)) add(&send);
        t.part_count = plan_->parts.size() - t.first_part;
        plan_->tracks.push_back(std::move(t));
    }

    /// The mix plays what the main output's chain makes of all rows.
    void add_signal_of_main() {
        PlanTrack t;
        t.id = main_output;
        t.is_bus = true;
        t.material = chain_output_of(main_output, session_.main_chain, session_.main_rides, 0.0, nullptr);
        PlanPart p;
        p.frames = t.material->frames();
        p.material = t.material;
        if (plan_->main.ridden()) p.rows_on_way.push_back(plan_->main);
        p.to_main = p.gains_without_chains = p.gains;
        plan_->frames = std::max(plan_->frames, p.frames);
        plan_->add(std::move(t), std::move(p));
    }

    const Session& session_;
    const MaterialOf& material_;
    const Solo solo_;
    Made& made_;
    const TrackId root_;
    const bool is_mix_;
    std::shared_ptr<RenderPlan> plan_;
    std::unordered_map<TrackId, int> row_indices_;  ///< of buses that sum, in the plan's order
    std::map<TrackId, PlanBus> gains_of_;
    mutable bool leads_known_ = false;
    mutable std::unordered_set<TrackId> leads_;  ///< buses of which what comes out reaches the root
};

}  // namespace

MaterialOf material_of(const RenderPlan& plan) {
    auto known = std::make_shared<std::map<std::pair<TrackId, Band>, MaterialPtr>>();
    for (const PlanTrack& t : plan.tracks) (*known)[{t.id, Band::all}] = t.material;
    for (const PlanPart& p : plan.parts) (*known)[{plan.id_of(p), p.band}] = p.material;
    const auto find = [known](TrackId row, Band band) {
        const auto at = known->find({row, band});
        return at == known->end() ? nullptr : at->second;
    };
    return {[find](const Track& t) { return find(t.id, t.source.band); },
            [find](const SignalRecipe& recipe) { return find(recipe.row, Band::all); }};
}

PlanPtr compile_plan(const Session& session, const MaterialOf& material, Solo solo) {
    Compiler::Made made;
    return Compiler(session, material, solo, made).compile();
}

std::optional<PreFaderSource> tap_of_sum(const Session& session, TrackId bus_or_group, const MaterialOf& material) {
    return Compiler::tap_of_sum(session, bus_or_group, material);
}

MixPlans compile_mix_plans(const Session& session, const MaterialOf& material, Solo solo) {
    const PlanPtr finished = compile_plan(session, material, solo);
    if (!is_main_shaped(session)) return {finished, finished};
    Session without = session;
    without.main_chain_out = true;
    auto bare = std::make_shared<RenderPlan>(*compile_plan(without, material, solo));
    // What comes out of the chain is there too, and silent.
    PlanPart part = finished->parts.back();
    part.silence_it();
    part.output = no_output;
    bare->add(finished->tracks.back(), std::move(part));
    bare->tracks.back().fader_gain = 0.0;
    bare->frames = finished->frames;
    return {std::move(bare), finished};
}

}  // namespace isotonus
