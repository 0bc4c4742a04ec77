#include "core/balance/first_draft.h"

#include <algorithm>
#include <cmath>

#include "core/balance/mono_loss.h"
#include "core/balance/voices.h"
#include "core/session/routing.h"

namespace isotonus {

namespace {

// All figures that the draft aims at, besides those of the header; docs/first_balance.md lists them with their reasons.
constexpr double working_peak_dbfs = -8.0;        ///< of a kick, a bass and a backbeat
constexpr double working_average_dbfs = -18.0;    ///< of a lead, and of a bass
constexpr double highest_peak_dbfs = -6.0;        ///< of any single track
constexpr double wanted_of_anchor = 0.70;         ///< share at the level of the monitors
constexpr double anchor_range_db = 12.0;          ///< between anchors, against their working levels
constexpr double begins_below_db = 12.0;          ///< the loudest that a track may be, where a draft begins
constexpr int first_steps = 20, later_steps = 6;  ///< towards what roles want
constexpr int max_favours = 40;                   ///< steps in which what covers an anchor comes down
constexpr double favour_db = 1.5;
constexpr int favour_patience = 6;
constexpr double min_width = 0.25;  ///< what needs less has sides that cancel, which no width mends
constexpr double lowest_fader_db = -40.0;
constexpr int rounds = 3;                   ///< each after all was moved into the window
constexpr size_t max_hops = 384;            ///< of the song that are listened to
constexpr double pair_difference_db = 3.0;  ///< mean over the bands, up to which two tracks are a pair
constexpr double wide_side_db = -12.0;      ///< side against mid, from which a stereo track has sides of its own
constexpr double low_hz = 200.0;            ///< what is strongest below stays in the centre

constexpr RoleWish wishes[] = {
    /* kick          */ {0.40, 0.10, 0.00, 0},
    /* bass          */ {0.40, 0.10, 0.00, 1},
    /* backbeat      */ {0.40, 0.10, 0.00, 2},
    /* lead          */ {0.45, 0.10, 0.00, 3},
    /* drums         */ {0.30, 0.08, 0.12, 4},
    /* tops          */ {0.15, 0.05, 0.30, 7},
    /* harmony       */ {0.25, 0.06, 0.30, 5},
    /* second_voice  */ {0.25, 0.06, 0.12, 6},
    /* effects       */ {0.08, 0.03, 0.12, 9},
    /* pad           */ {0.12, 0.04, 0.12, 6},
    /* other         */ {0.20, 0.05, 0.12, 8},
};

/// Tracks that are set alike: a single one, the microphones of a source, or a pair.
struct Unit {
    std::vector<size_t> tracks;  ///< places in Drafting::tracks_
    MixRole role = MixRole::other;
    bool anchor = false, kept = false, pair = false;
    double by_db = 0.0;  ///< of each against the unit's level: microphones of one source add up
    double fader_db = 0.0;
    std::vector<Bands> bands;  ///< with the fader at 0 dB, hop by hop
    float loudest = 0.0f;
    const Unit* limited_by = nullptr;  ///< the anchor that kept it lower
};

struct Share {
    int64_t bands = 0, heard = 0;
    Level value() const {
        return bands > 0 ? Level(static_cast<double>(heard) / static_cast<double>(bands)) : std::nullopt;
    }
};

class Drafting {
  public:
    Drafting(const Session& session, const MaterialOf& material, const ExcitationOf& excitation,
             const FirstDraftWish& wish, MixPeaks& peaks, Progress* progress)
        : session_(session),
          material_(material),
          excitation_(excitation),
          wish_(wish),
          peaks_(peaks),
          progress_(progress),
          monitors_(wish.listening.level_db_spl),
          quiet_(wish.listening.level_db_spl + wish.listening.quiet_db) {}

    Result<FirstDraft> run() {
        gather();
        for (Unit& u : units_)
            if (u.anchor && !u.kept) u.fader_db = working_fader_db(u);
        for (Unit& u : units_)
            if (!u.anchor && !u.kept) u.fader_db = highest_fader_db(u) - begins_below_db;
        for (int round = 0; round < rounds; ++round) {
            if (progress_ && progress_->cancelled()) return stopped();
            if (progress_) progress_->report(0.2 + 0.2 * round);
            sum_up();
            even_out(round == 0 ? first_steps : later_steps);
            for (Unit* u : order())
                if (!u->anchor && !u->kept) spare_anchors(*u);
            favour_anchors();
            // Into the window before the next round: what is heard depends on how loud all of it is.
            if (round + 1 < rounds)
                if (auto moved = move_into_window(); !moved) return tl::unexpected(moved.error());
        }
        if (wish_.strength != DraftStrength::levels) set_pans();
        if (auto moved = move_into_window(); !moved) return tl::unexpected(moved.error());
        sum_up();
        return finish();
    }

  private:
    // --- what there is ----------------------------------------------------------------------------------------------

    void gather() {
        open_ = with_each_track(session_, [](Track& t) { t.mute = t.solo = false; });
        open_.main_chain_out = true;
        for (Bus& b : open_.buses.change()) b.chain_out = true;
        if (wish_.strength == DraftStrength::all)
            open_ = with_each_track(open_, [&](Track& t) {
                if (const MaterialPtr m = is_kept(t) ? nullptr : material_(t))
                    t.width = width_of(t.width, m->measurement);
            });
        const Session at_rest = with_each_track(open_, [](Track& t) { t.fader_db = 0.0; });
        plan_ = compile_plan(at_rest, material_, Solo::left_out);
        const std::vector<Voice> voices = voices_of(*plan_, excitation_);
        const int64_t hops = (plan_->frames + Excitation::hop_frames - 1) / Excitation::hop_frames;
        step_ = std::max<int64_t>(1, hops / static_cast<int64_t>(max_hops));
        for (const auto& t : session_.tracks) tracks_.push_back(t.get());
        std::vector<std::vector<size_t>> sets = pairs();
        const size_t pair_count = sets.size();
        for (const auto& set : wish_.levels.microphones) {
            std::vector<size_t> indices;
            for (const TrackId id : set) indices.push_back(index_of(id));
            sets.push_back(std::move(indices));
        }
        std::vector<bool> taken(tracks_.size());
        const auto add = [&](std::vector<size_t> tracks, bool pair) {
            // What is kept of a set is by itself: the others may move.
            if (tracks.size() > 1) std::erase_if(tracks, [&](size_t n) { return is_kept(*tracks_[n]); });
            if (tracks.empty() || std::any_of(tracks.begin(), tracks.end(), [&](size_t n) { return taken[n]; })) return;
            pair &= tracks.size() == 2;
            Unit u;
            u.tracks = tracks;
            u.pair = pair;
            u.role = role_of(*tracks_[tracks[0]], wish_.levels.family(*tracks_[tracks[0]]));
            if (tracks.size() > 1 && !pair) u.by_db = -db_from_gain(static_cast<double>(tracks.size()));
            for (const size_t n : tracks) {
                taken[n] = true;
                u.anchor |= tracks_[n]->anchor;
                u.kept |= is_kept(*tracks_[n]);
            }
            units_.push_back(std::move(u));
        };
        for (size_t n = 0; n < sets.size(); ++n) add(sets[n], n < pair_count);
        for (size_t n = 0; n < tracks_.size(); ++n)
            if (!taken[n]) add({n}, false);
        parallel_for(std::ssize(units_), worker_count(), [&](int64_t at) {
            Unit& u = units_[static_cast<size_t>(at)];
            for (int64_t h = 0; h < hops; h += step_) {
                Bands sum{};
                for (const size_t n : u.tracks) {
                    const auto v = std::ranges::find(voices, tracks_[n]->id, &Voice::id);
                    if (v == voices.end()) continue;
                    const Bands own = v->at(h, *plan_);
                    // What is kept may have another fader than its unit's other tracks.
                    const float by = power_of(u.kept ? tracks_[n]->fader_db : u.by_db);
                    for (size_t b = 0; b < band_count; ++b) sum[b] += by * own[b];
                }
                u.loudest = std::max(u.loudest, top(sum));
                u.bands.push_back(sum);
            }
        });
        if (std::none_of(units_.begin(), units_.end(), [](const Unit& u) { return u.anchor; })) propose_anchors();
        // A track that nobody knows the sound of stays as it is.
        for (Unit& u : units_)
            if (u.loudest <= 0.0f) u.kept = true;
    }

    size_t index_of(TrackId id) const {
        return static_cast<size_t>(std::ranges::find(tracks_, id, [](const Track* t) { return t->id; }) -
                                   tracks_.begin());
    }
    bool is_kept(const Track& t) const {
        const bool set = (t.fader_db != 0.0 && !std::isinf(t.fader_db)) || t.pan != 0.0;
        return t.locked || (set && !wish_.also_set);
    }
    static float power_of(double db) { return static_cast<float>(gain_from_db(db) * gain_from_db(db)); }

    /// Left and right of one sound by their names, and doubles: two tracks that sound alike and have one name but for
    /// numbers.
    std::vector<std::vector<size_t>> pairs() const {
        std::vector<std::vector<size_t>> found;
        std::map<std::pair<std::string, MixRole>, std::vector<size_t>> by_name;
        for (size_t n = 0; n < tracks_.size(); ++n) {
            const Track& t = *tracks_[n];
            const MixRole role = role_of(t, wish_.levels.family(t));
            if (wishes[static_cast<size_t>(role)].pan == 0.0) continue;
            by_name[{name_without_side(t.name), role}].push_back(n);
        }
        for (auto& [name, tracks] : by_name) {
            if (name.first.empty() || tracks.size() != 2) continue;
            const fs::path one = tracks_[tracks[0]]->name, other = tracks_[tracks[1]]->name;
            if (shared_name_of_pair(other, one)) std::swap(tracks[0], tracks[1]);  // the left one first
            if (shared_name_of_pair(one, other) || shared_name_of_pair(other, one) || alike(tracks[0], tracks[1]))
                found.push_back(tracks);
        }
        return found;
    }
    bool alike(size_t a, size_t b) const {
        const auto bands = [&](size_t n) {
            Bands sum{};
            const MaterialPtr m = material_(*tracks_[n]);
            const ExcitationPtr e = m ? excitation_(m) : nullptr;
            for (size_t h = 0; e && h < e->hops.size(); ++h)
                for (size_t band = 0; band < band_count; ++band)
                    sum[band] += e->hops[h].left[band] + (e->channels == 2 ? e->hops[h].right[band] : 0.0f);
            return sum;
        };
        const Bands one = bands(a), other = bands(b);
        const float most = std::min(top(one), top(other));
        double mean = 0.0, difference = 0.0;
        int count = 0;
        std::vector<double> each;
        for (size_t band = 0; band < band_count; ++band) {
            if (one[band] < 0.001f * most || other[band] < 0.001f * most) continue;
            each.push_back(db_from_power(static_cast<double>(one[band] / other[band])));
            mean += each.back();
            ++count;
        }
        if (count == 0) return false;
        mean /= count;
        for (const double db : each) difference += std::fabs(db - mean);
        return difference / count <= pair_difference_db;
    }

    void propose_anchors() {
        const auto strongest = [&](MixRole role) {
            Unit* best = nullptr;
            double most = 0.0;
            for (Unit& u : units_) {
                if (u.role != role) continue;
                double sum = 0.0;
                for (const Bands& b : u.bands)
                    for (const float x : b) sum += static_cast<double>(x);
                if (sum > most) best = &u, most = sum;
            }
            if (best) best->anchor = true;
        };
        for (const MixRole role : {MixRole::kick, MixRole::bass, MixRole::backbeat, MixRole::lead}) strongest(role);
    }

    double working_fader_db(const Unit& u) const {
        double fader = fader_max_db;
        for (const size_t n : u.tracks) {
            const auto t = std::ranges::find(plan_->tracks, tracks_[n]->id, &PlanTrack::id);
            if (t == plan_->tracks.end() || !t->material->measurement.sample_peak_dbfs) continue;
            const double trim_db = db_from_gain(t->trim_gain),
                         peak = *t->material->measurement.sample_peak_dbfs + trim_db;
            const double average = t->material->measurement.average_dbfs.value_or(peak - 12.0) + trim_db;
            const double at_peak = (u.role == MixRole::lead ? highest_peak_dbfs : working_peak_dbfs) - peak;
            const bool held = u.role == MixRole::lead || u.role == MixRole::bass;
            fader = std::min({fader, at_peak, held ? working_average_dbfs - average : at_peak});
        }
        return std::max(fader, lowest_fader_db);
    }

    // --- levels -----------------------------------------------------------------------------------------------------

    void sum_up() {
        total_.assign(units_.empty() ? 0 : units_[0].bands.size(), Bands{});
        for (const Unit& u : units_) add(u, 1.0f);
    }
    void add(const Unit& u, float sign) {
        const float power = sign * gain_of(u);
        for (size_t h = 0; h < total_.size(); ++h)
            for (size_t b = 0; b < band_count; ++b) total_[h][b] = std::max(0.0f, total_[h][b] + power * u.bands[h][b]);
    }
    /// Every track moves towards what its role wants: up when it is heard less, down when it is heard more, the further
    /// the more is missing.  Where there is not enough for all, everything comes down against the anchor that is
    /// missing most, until each is heard to the same part of its share.
    void even_out(int steps) {
        std::vector<double> moves(units_.size());
        for (int step = 0; step < steps; ++step) {
            const double max_db = step < steps / 2 ? 2.0 : 0.5;
            parallel_for(std::ssize(units_), worker_count(), [&](int64_t at) {
                const Unit& u = units_[static_cast<size_t>(at)];
                double& move = moves[static_cast<size_t>(at)];
                move = 0.0;
                if (u.kept && !u.anchor) return;
                const double wanted = u.anchor ? wanted_of_anchor : wish_of(u.role).heard;
                const Level now = share_of(u, gain_of(u), rest_without(u), u.anchor ? monitors_ : quiet_).value();
                if (now) move = std::clamp(2.0 * max_db * (1.0 - *now / wanted), -max_db, max_db);
                if (u.anchor) move = std::max(0.0, move);  // what is left over is the anchors'
            });
            double missing = 0.0, highest_anchor = -1000.0;
            for (size_t n = 0; n < units_.size(); ++n)
                if (units_[n].anchor) missing = std::max(missing, moves[n]);
            for (size_t n = 0; n < units_.size(); ++n) {
                Unit& u = units_[n];
                if (u.kept) continue;
                u.fader_db = std::clamp(u.fader_db + moves[n] - missing, lowest_fader_db, highest_fader_db(u));
                if (u.anchor) highest_anchor = std::max(highest_anchor, u.fader_db - working_fader_db(u));
            }
            // Anchors leave their working levels, against each other, so far and no further.
            for (Unit& u : units_)
                if (u.anchor && !u.kept)
                    u.fader_db = std::max(u.fader_db, working_fader_db(u) + highest_anchor - anchor_range_db);
            sum_up();
        }
    }
    float gain_of(const Unit& u) const { return u.kept ? 1.0f : power_of(u.fader_db); }

    /// What of a unit is heard when it is this loud, beside the rest; `extra`: what else is there, as loud as it says.
    Share share_of(const Unit& u, float power, const std::vector<Bands>& rest, const Thresholds& at,
                   const Unit* extra = nullptr, float extra_power = 0.0f) const {
        Share found;
        for (size_t h = 0; h < u.bands.size(); ++h) {
            const float strongest = top(u.bands[h]);
            if (strongest <= u.loudest * hop_range || strongest <= 0.0f) continue;
            for (size_t b = 0; b < band_count; ++b) {
                const float own = power * u.bands[h][b];
                if (u.bands[h][b] < strongest * band_range || own < monitors_.quiet[b]) continue;
                const float others = rest[h][b] + (extra ? extra_power * extra->bands[h][b] : 0.0f);
                ++found.bands;
                found.heard += is_heard(own, others, at, b) ? 1 : 0;
            }
        }
        return found;
    }
    std::vector<Bands> without_unit(std::vector<Bands> sum, const Unit& u) const {
        const float power = gain_of(u);
        for (size_t h = 0; h < sum.size(); ++h)
            for (size_t b = 0; b < band_count; ++b) sum[h][b] = std::max(0.0f, sum[h][b] - power * u.bands[h][b]);
        return sum;
    }
    std::vector<Bands> rest_without(const Unit& u) const { return without_unit(total_, u); }

    std::vector<Unit*> order() {
        std::vector<Unit*> all;
        for (Unit& u : units_) all.push_back(&u);
        std::ranges::stable_sort(all, {}, [](const Unit* u) { return wishes[static_cast<size_t>(u->role)].position; });
        return all;
    }

    /// No louder than the anchors bear.
    void spare_anchors(Unit& u) {
        const RoleWish& wish = wish_of(u.role);
        add(u, -1.0f);
        u.limited_by = nullptr;
        for (const Unit& anchor : units_) {
            if (!anchor.anchor) continue;
            // total_ does not hold the track now.
            const std::vector<Bands> rest = without_unit(total_, anchor);
            const float power = gain_of(anchor);
            const double before = share_of(anchor, power, rest, monitors_).value().value_or(1.0);
            const auto with = [&](double db) {
                return share_of(anchor, power, rest, monitors_, &u, power_of(db)).value().value_or(1.0);
            };
            const double takes = wish.takes * (with(u.fader_db) < min_of_anchor ? 0.5 : 1.0);
            const auto bears = [&](double db) { return before - with(db) <= takes; };
            if (bears(u.fader_db)) continue;
            double low = lowest_fader_db;
            while (u.fader_db - low > 0.2) {
                const double middle = 0.5 * (low + u.fader_db);
                (bears(middle) ? low : u.fader_db) = middle;
            }
            u.fader_db = low;
            u.limited_by = &anchor;
        }
        add(u, 1.0f);
    }
    /// As long as an anchor is heard too little, what covers it most comes down.
    void favour_anchors() {
        double before = 0.0;
        for (int step = 0; step < max_favours; ++step) {
            Unit* least = nullptr;
            double heard = min_of_anchor;
            for (Unit& u : units_) {
                if (!u.anchor) continue;
                const double now = share_of(u, gain_of(u), rest_without(u), monitors_).value().value_or(1.0);
                if (now < heard) least = &u, heard = now;
            }
            if (!least) return;
            // When nothing comes of it, it is not the others that cover it.
            if (step % favour_patience == 0) {
                if (step > 0 && heard < before + 0.01) return;
                before = heard;
            }
            std::vector<double> over(units_.size());
            parallel_for(std::ssize(units_), worker_count(), [&](int64_t at) {
                const Unit& other = units_[static_cast<size_t>(at)];
                // Another anchor gives way too, if it has more than it needs.
                const auto may_fall = [&] {
                    if (!other.anchor) return other.fader_db > lowest_fader_db;
                    const Level own = share_of(other, gain_of(other), rest_without(other), monitors_).value();
                    return own.value_or(0.0) > min_of_anchor + 0.1;
                };
                if (&other != least && !other.kept && may_fall())
                    over[static_cast<size_t>(at)] = covering(*least, other);
            });
            const auto most = std::max_element(over.begin(), over.end());
            if (most == over.end() || *most <= 0.0) return;
            Unit& gives_way = units_[static_cast<size_t>(most - over.begin())];
            add(gives_way, -1.0f);
            gives_way.fader_db = std::max(lowest_fader_db, gives_way.fader_db - favour_db);
            add(gives_way, 1.0f);
            if (!gives_way.anchor) gives_way.limited_by = least;
        }
    }
    /// How much of what lies over a unit's bands is another's.
    double covering(const Unit& u, const Unit& other) const {
        double sum = 0.0;
        const float power = gain_of(other);
        for (size_t h = 0; h < u.bands.size(); ++h) {
            const float strongest = top(u.bands[h]);
            if (strongest <= u.loudest * hop_range) continue;
            for (size_t b = 0; b < band_count; ++b)
                if (total_[h][b] > 0.0f && u.bands[h][b] >= strongest * band_range)
                    sum += static_cast<double>(power * other.bands[h][b] / total_[h][b]);
        }
        return sum;
    }

    /// No single track peaks above what a track may while mixing.
    double highest_fader_db(const Unit& u) const {
        double highest = fader_max_db;
        for (const size_t n : u.tracks) {
            const auto t = std::ranges::find(plan_->tracks, tracks_[n]->id, &PlanTrack::id);
            if (t == plan_->tracks.end() || !t->material->measurement.sample_peak_dbfs) continue;
            highest = std::min(highest, highest_peak_dbfs - *t->material->measurement.sample_peak_dbfs -
                                            db_from_gain(t->trim_gain) - u.by_db);
        }
        return highest;
    }

    Session as_drafted() const {
        Session next = open_;
        for (const Unit& u : units_)
            for (const size_t n : u.tracks) {
                if (u.kept) continue;
                next = with_track(next, tracks_[n]->id, [&](Track& t) {
                    if (!pans_.empty()) t.pan = pans_[n];
                    t.fader_db =
                        std::clamp(std::round((u.fader_db + u.by_db) * 10.0) / 10.0, fader_floor_db, fader_max_db);
                });
            }
        return next;
    }

    Result<Level> peak_dbfs() {
        const auto found = peaks_.find(compile_plan(as_drafted(), material_, Solo::left_out), progress_);
        if (!found) return tl::unexpected(found.error());
        return level_from_gain(static_cast<double>(found->peak));
    }

    Result<void> move_into_window() {
        const auto peak = peak_dbfs();
        if (!peak) return tl::unexpected(peak.error());
        if (!*peak) return {};
        double by = (session_.targets.mains_low_dbfs + session_.targets.mains_high_dbfs) / 2.0 - **peak;
        // None goes above the end of its fader.
        bool all_move = true;
        for (const Unit& u : units_)
            if (u.kept)
                all_move = false;
            else
                by = std::min(by, fader_max_db - u.fader_db - u.by_db);
        const auto move = [this](double db) {
            for (Unit& u : units_)
                if (!u.kept) u.fader_db += db;
        };
        move(by);
        if (all_move) return {};
        // What is kept does not move along: where it makes the peak, nothing is won by moving the others.
        const auto moved = peak_dbfs();
        if (!moved) return tl::unexpected(moved.error());
        if (std::fabs(moved->value_or(lowest_level_db) - **peak) < 0.5 * std::fabs(by)) move(-by);
        return {};
    }

    // --- pans -------------------------------------------------------------------------------------------------------

    void set_pans() {
        pans_.assign(tracks_.size(), 0.0);
        for (size_t n = 0; n < tracks_.size(); ++n) pans_[n] = tracks_[n]->pan;
        std::array<double, band_count> lean{}, both{};
        const auto put = [&](const Unit& u, size_t n, double pan, double share) {
            pans_[n] = pan;
            const double a = (pan + 1.0) * std::numbers::pi / 4.0,
                         side = std::sin(a) * std::sin(a) - std::cos(a) * std::cos(a);
            for (const Bands& bands : u.bands)
                for (size_t b = 0; b < band_count; ++b) {
                    const double power = share * static_cast<double>(gain_of(u) * bands[b]);
                    lean[b] += side * power, both[b] += power;
                }
        };
        std::vector<Unit*> free;
        for (Unit& u : units_) {
            const double share = 1.0 / static_cast<double>(u.tracks.size());
            const double pan = wish_of(u.role).pan;
            if (u.kept) {
                for (const size_t n : u.tracks) put(u, n, tracks_[n]->pan, share);
            } else if (u.pair) {
                put(u, u.tracks[0], -pan_of_pair, share);
                put(u, u.tracks[1], pan_of_pair, share);
            } else if (u.anchor || pan == 0.0 || is_low(u) || has_sides(u) || u.tracks.size() > 1) {
                for (const size_t n : u.tracks) put(u, n, has_sides(u) ? tracks_[n]->pan : 0.0, share);
            } else {
                free.push_back(&u);
            }
        }
        // The ones with most energy first; each to the side that leaves both sides most alike in its bands.
        std::ranges::stable_sort(free, std::greater<>(), [&](const Unit* u) {
            double sum = 0.0;
            for (const Bands& bands : u->bands)
                for (const float x : bands) sum += static_cast<double>(gain_of(*u) * x);
            return sum;
        });
        for (const Unit* u : free) {
            std::array<double, band_count> own{};
            for (const Bands& bands : u->bands)
                for (size_t b = 0; b < band_count; ++b) own[b] += static_cast<double>(gain_of(*u) * bands[b]);
            double leans = 0.0;
            for (size_t b = 0; b < band_count; ++b)
                if (both[b] + own[b] > 0.0) leans += own[b] / (both[b] + own[b]) * lean[b] / (both[b] + own[b]);
            const double pan = wish_of(u->role).pan;
            put(*u, u->tracks[0], leans > 0.0 ? -pan : pan, 1.0);
        }
    }
    bool is_low(const Unit& u) const {
        std::array<double, band_count> sum{};
        for (const Bands& bands : u.bands)
            for (size_t b = 0; b < band_count; ++b) sum[b] += static_cast<double>(bands[b]);
        const auto strongest = static_cast<size_t>(std::ranges::max_element(sum) - sum.begin());
        return band_middle_hz(strongest) < low_hz;
    }
    const Measurement* measured(size_t n) const {
        const auto t = std::ranges::find(plan_->tracks, tracks_[n]->id, &PlanTrack::id);
        return t == plan_->tracks.end() ? nullptr : &t->material->measurement;
    }
    /// A stereo track whose sides differ has its place already.
    bool has_sides(const Unit& u) const {
        const Measurement* m = measured(u.tracks[0]);
        return m && m->channels == 2 && m->side_dbfs && m->rms_dbfs && *m->side_dbfs > *m->rms_dbfs + wide_side_db;
    }
    /// The width at which a track loses no more in mono than it may; its own where its sides cancel.
    static double width_of(double width, const Measurement& m) {
        if (m.channels != 2 || !m.side_dbfs || !m.rms_dbfs) return width;
        const Level loss = mono_loss_db(m);
        if (!loss || -*loss <= max_mono_loss_db) return width;
        // The mid keeps its power M, the side S is scaled by w^2: the loss is M / (M + w^2 S).
        const double all = std::pow(10.0, *m.rms_dbfs / 10.0), side = std::pow(10.0, *m.side_dbfs / 10.0);
        const double mid = std::max(1e-12, all - side);
        const double wanted = mid * (std::pow(10.0, max_mono_loss_db / 10.0) - 1.0);
        const double narrowed = std::floor(100.0 * std::sqrt(wanted / side)) / 100.0;
        return narrowed < min_width ? width : std::min(width, narrowed);
    }

    // --- what comes of it -------------------------------------------------------------------------------------------

    std::string names_of(const Unit& u) const { return tracks_[u.tracks[0]]->name; }

    std::string why(const Unit& u, const Level& heard, const Level& at_monitors, const std::string& beside) const {
        const auto percent = [](const Level& l) { return std::lround(100.0 * l.value_or(0.0)); };
        if (!heard) return translated("The track is silent, or not read yet: it stays as it is.");
        if (u.kept && tracks_[u.tracks[0]]->locked)
            return translate("Locked: it stays as it is, heard to {} %.", percent(heard));
        if (u.kept) return translate("Set by hand: it stays as it is, heard to {} %.", percent(heard));
        if (u.anchor)
            return translate("An anchor ({}): at its working level, heard to {} % beside all others.",
                             role_name(u.role), percent(at_monitors));
        const double wanted = wish_of(u.role).heard;
        if (*heard >= wanted - 0.02)
            return translate("Heard to {} % when quiet, beside {}; its role needs {} %.", percent(heard), beside,
                             std::lround(100.0 * wanted));
        const auto under_ceiling = [&] { return u.fader_db < highest_fader_db(u) - 0.2; };
        const Unit* spared = u.limited_by ? u.limited_by : max_taken_from(u);
        if (spared && under_ceiling())
            return translate("Heard to {} % when quiet, beside {}; more would cover {}.", percent(heard), beside,
                             with_section(u, *spared));
        return translate("Heard to {} % when quiet, beside {}; more would lift its peak above {:.0f} dBFS.",
                         percent(heard), beside, highest_peak_dbfs);
    }

    /// Behind the reason of its level: what its width has to do with mono.
    std::string why_narrowed(size_t n, double width) const {
        const Measurement* m = measured(n);
        const Level loss = m && wish_.strength == DraftStrength::all ? mono_loss_db(*m) : std::nullopt;
        if (!loss || -*loss <= max_mono_loss_db) return {};
        if (width < tracks_[n]->width)
            return ' ' +
                   translate("Its width becomes {:.0f} %, as it would lose {:.1f} dB in mono.", 100.0 * width, -*loss);
        return ' ' + translated("Its sides cancel in mono, which no width mends. Check the polarity of its channels.");
    }

    /// The anchor that loses most by a unit.
    const Unit* max_taken_from(const Unit& u) const {
        const std::vector<Bands> without = rest_without(u);
        const Unit* most = nullptr;
        double taken = 0.0;
        for (const Unit& anchor : units_) {
            if (!anchor.anchor || &anchor == &u) continue;
            const std::vector<Bands> rest = without_unit(without, anchor);
            const float power = gain_of(anchor);
            const double by = share_of(anchor, power, rest, monitors_).value().value_or(0.0) -
                              share_of(anchor, power, rest, monitors_, &u, gain_of(u)).value().value_or(0.0);
            if (!most || by > taken) most = &anchor, taken = by;
        }
        return most;
    }

    /// An anchor's name, with the section in which it loses most by a unit.
    std::string with_section(const Unit& u, const Unit& anchor) const {
        const std::vector<Bands> rest = without_unit(rest_without(u), anchor);
        std::map<int, int64_t> lost;
        const float own = gain_of(anchor), other = gain_of(u);
        for (size_t h = 0; h < anchor.bands.size(); ++h) {
            const double time_s = (static_cast<double>(h) * static_cast<double>(step_) + 0.5) *
                                  static_cast<double>(Excitation::hop_frames) / session_.sample_rate;
            const int section = section_at(session_, time_s);
            for (size_t b = 0; section >= 0 && b < band_count; ++b)
                if (is_heard(own * anchor.bands[h][b], rest[h][b], monitors_, b) &&
                    !is_heard(own * anchor.bands[h][b], rest[h][b] + other * u.bands[h][b], monitors_, b))
                    ++lost[section];
        }
        const auto most = std::ranges::max_element(lost, {}, [](const auto& l) { return l.second; });
        if (most == lost.end()) return names_of(anchor);
        return translate("{} in {}", names_of(anchor), session_.sections[static_cast<size_t>(most->first)].name);
    }

    /// Who covers most of a unit.
    std::string beside(const Unit& u) const {
        const Unit* most = nullptr;
        double covered = -1.0;
        for (const Unit& other : units_) {
            if (&other == &u) continue;
            const double sum = covering(u, other);
            if (sum > covered) covered = sum, most = &other;
        }
        return most ? names_of(*most) : std::string();
    }

    Result<FirstDraft> finish() {
        FirstDraft draft;
        draft.strength = wish_.strength;
        draft.tracks.resize(tracks_.size());
        const Session drafted = as_drafted();
        const auto peak = peak_dbfs();
        if (!peak) return tl::unexpected(peak.error());
        draft.peak_dbfs = *peak;
        parallel_for(std::ssize(units_), worker_count(), [&](int64_t at) {
            const Unit& u = units_[static_cast<size_t>(at)];
            const std::vector<Bands> rest = rest_without(u);
            const Level heard = share_of(u, gain_of(u), rest, quiet_).value();
            const Level at_monitors = share_of(u, gain_of(u), rest, monitors_).value();
            const std::string sentence = why(u, heard, at_monitors, beside(u));
            for (const size_t n : u.tracks) {
                const Track& as = *(u.kept ? tracks_[n] : drafted.find(tracks_[n]->id));
                draft.tracks[n] = {as.id,  u.role,   u.anchor, u.kept,      as.fader_db,
                                   as.pan, as.width, heard,    at_monitors, sentence + why_narrowed(n, as.width)};
            }
        });
        if (progress_) progress_->report(1.0);
        return draft;
    }

    const Session& session_;
    const MaterialOf& material_;
    const ExcitationOf& excitation_;
    const FirstDraftWish& wish_;
    MixPeaks& peaks_;
    Progress* progress_;
    const Thresholds monitors_, quiet_;
    Session open_;  ///< with all tracks on
    PlanPtr plan_;  ///< of it, faders at 0 dB
    int64_t step_ = 1;
    std::vector<const Track*> tracks_;
    std::vector<Unit> units_;
    std::vector<Bands> total_;  ///< of what is there so far
    std::vector<double> pans_;
};

}  // namespace

const RoleWish& wish_of(MixRole role) { return wishes[static_cast<size_t>(role)]; }

Result<FirstDraft> first_draft(const Session& session, const MaterialOf& material, const ExcitationOf& excitation,
                               const FirstDraftWish& wish, MixPeaks& peaks, Progress* progress) {
    return without_exceptions({}, [&] { return Drafting(session, material, excitation, wish, peaks, progress).run(); });
}

Session with_draft(const Session& session, const FirstDraft& draft, TrackId only) {
    Session next = session;
    for (const DraftedTrack& drafted : draft.tracks) {
        if (!next.find(drafted.id) || drafted.kept || (only != 0 && drafted.id != only)) continue;
        next = with_track(next, drafted.id, [&](Track& t) {
            t.fader_db = drafted.fader_db;
            if (draft.strength != DraftStrength::levels) t.pan = drafted.pan;
            if (draft.strength == DraftStrength::all) t.width = drafted.width;
        });
    }
    return next;
}

Session between(const Session& now, const Session& then, double share) {
    if (share <= 0.0) return now;
    if (share >= 1.0) return then;
    return with_each_track(then, [&](Track& t) {
        const Track* from = now.find(t.id);
        if (!from) return;
        const auto mean = [share](double a, double b) { return a + share * (b - a); };
        const auto on_the_way = [](double db) { return std::max(db, fader_floor_db); };
        if (t.fader_db != from->fader_db) t.fader_db = mean(on_the_way(from->fader_db), on_the_way(t.fader_db));
        t.pan = mean(from->pan, t.pan);
        t.width = mean(from->width, t.width);
    });
}

}  // namespace isotonus
