#include "core/session/validate.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <functional>
#include <span>
#include <unordered_map>
#include <unordered_set>

#include "core/files/paths.h"
#include "core/session/fields.h"
#include "core/shape/chain.h"

namespace isotonus {

namespace {

/// A visitor of fields.h that compares values with their limits, and remembers the first fault.
class LimitCheck {
  public:
    bool failed() const { return !fault_.empty(); }
    Result<void> result() const {
        if (failed()) return fail("", fault_);
        return {};
    }

    /// What is looked at, for sentences: "Voice, level ride, point 3".
    template <class Look>
    void inside(std::string_view name, size_t number, const Look& look) {
        if (failed()) return;
        path_.push_back({name, number});
        look();
        path_.pop_back();
    }

    LimitCheck& rare() { return *this; }
    void number(const char* key, double value, double low, double high) {
        if (!std::isfinite(value))
            complain(key, translated("must be a number"));
        else if (value < low || value > high)
            complain(key, translate("must be from {:.9g} to {:.9g}, but is {:.9g}", low, high, value));
    }
    void level(const char* key, double db) {
        if (db != silence_db) number(key, db, lowest_level_db, fader_max_db);
    }
    template <class Int>
    void integer(const char* key, Int value, int64_t low, int64_t high) {
        if (static_cast<int64_t>(value) < low || static_cast<int64_t>(value) > high ||
            static_cast<double>(value) > static_cast<double>(high))
            complain(key, translate("must be from {} to {}, but is {}", low, high, value));
    }
    void truth(const char*, bool) {}
    void text(const char* key, const std::string& value, size_t max_bytes) {
        if (value.size() > max_bytes)
            complain(key, translate("is longer than {} bytes", max_bytes));
        else if (!is_utf8(value))
            complain(key, translated("is not text in UTF-8"));
    }
    template <class Word, class Names>
    void word(const char* key, Word value, const Names& names) {
        if (static_cast<size_t>(value) >= names.size()) complain(key, translated("is not one of the known words"));
    }
    template <class Word, class Names>
    void optional_word(const char* key, const std::optional<Word>& value, const Names& names) {
        if (value) word(key, *value, names);
    }
    void optional_number(const char* key, const std::optional<double>& value, double low, double high) {
        if (value) number(key, *value, low, high);
    }
    void count(const char* what, size_t count, size_t most) {
        if (count > most) complain(what, translate("has {} entries, at most {} are possible", count, most));
    }
    void complain(std::string_view key, const std::string& what) {
        if (failed()) return;
        for (const auto& [name, number] : path_)
            fault_ += fmt::format("{}{}, ", shown_text(name), number ? fmt::format(" {}", number) : "");
        fault_ += fmt::format("'{}' {}", key, what);
    }

  private:
    struct Step {
        std::string_view name;
        size_t number;
    };
    std::vector<Step> path_;
    std::string fault_;
};

void check_curve(LimitCheck& check, const Curve& curve, const ParameterInfo& info) {
    check.count("points", curve.points.size(), limits::max_points);
    double before_s = 0.0;
    for (size_t i = 0; i < curve.points.size() && !check.failed(); ++i)
        check.inside("point", i + 1, [&] {
            point_fields(check, curve.points[i], info);
            if (curve.points[i].time_s < before_s)
                check.complain("time_s", translated("is before the preceding point"));
            before_s = curve.points[i].time_s;
        });
}

void check_rides(LimitCheck& check, const Rides& rides, const Rides* before, RowKind kind) {
    for (const auto& ride : rides.all()) {
        const Parameter parameter = ride.first;
        const CurvePtr& curve = ride.second;
        if (before && (*before)[parameter] == curve) continue;
        check.inside(parameter.info().id, 0, [&] {
            if (!can_be_ridden(kind, parameter))
                check.complain("ride", translated("is not a ride that this channel can have"));
            check_curve(check, *curve, parameter.info());
        });
    }
}

void check_chain(LimitCheck& check, const Chain& chain, const Rides& rides) {
    check.count("processors", chain.size(), limits::max_processors);
    std::unordered_set<uint64_t> ids;
    for (size_t n = 0; n < chain.size(); ++n)
        check.inside(chain[n].type, n + 1, [&] {
            const Processor& p = chain[n];
            processor_fields(check, p);
            if (!ids.insert(p.id).second) check.complain("id", translated("belongs to two processors"));
            for (const auto& [id, value] : p.values) {
                const ParameterInfo* info = parameter_of(p, id);
                if (info)
                    check.number(info->id, value, info->low, info->high);
                else if (processor_type(p.type))
                    check.complain(id, translated("is not one of its parameters"));
            }
        });
    for (const auto& [parameter, curve] : rides.all())
        if (parameter.processor() != 0 && !ids.contains(parameter.processor()))
            check.complain(parameter.info().id, translated("is a ride of a processor that does not exist"));
}

void check_sends(LimitCheck& check, const Sends& sends, const Rides& rides) {
    check.count("sends", sends.size(), limits::max_sends);
    std::unordered_set<uint64_t> ids;
    std::unordered_set<TrackId> buses;
    for (size_t n = 0; n < sends.size(); ++n)
        check.inside("send", n + 1, [&] {
            send_fields(check, sends[n]);
            if (!ids.insert(sends[n].id).second) check.complain("id", translated("belongs to two sends"));
            if (!buses.insert(sends[n].to).second) check.complain("to", translated("is the target of two sends"));
        });
    for (const auto& [parameter, curve] : rides.all())
        if (parameter.send() != 0 && !ids.contains(parameter.send()))
            check.complain(parameter.info().id, translated("is a ride of a send that does not exist"));
}

void check_track(LimitCheck& check, const Track& track, const Track* before) {
    check.inside(track.name, 0, [&] {
        track_fields(check, track);
        if (track.target) check.inside("target", 0, [&] { target_fields(check, *track.target); });
        check.count("clips", track.source.clips.size(), limits::max_clips);
        for (size_t i = 0; i < track.source.clips.size(); ++i)
            check.inside("clip", i + 1, [&] {
                clip_fields(check, track.source.clips[i]);
                if (track.source.clips[i].end() > limits::max_frames)
                    check.complain("frames", translated("ends too late"));
            });
        if (track.staged_without)
            check.inside("staged_without", 0, [&] { left_out_fields(check, *track.staged_without); });
        check_rides(check, track.rides, before ? &before->rides : nullptr, RowKind::track);
        check_chain(check, track.chain, track.rides);
        check_sends(check, track.sends, track.rides);
    });
}

/// Items of a list that the session before did not have.
template <class T, class Look>
void check_list(LimitCheck& check, const char* name, const SharedList<T>& list, const SharedList<T>* before,
                size_t most, const Look& look) {
    if (before && list.shares_with(*before)) return;
    check.count(name, list.size(), most);
    for (size_t i = 0; i < list.size() && !check.failed(); ++i) check.inside(name, i + 1, [&] { look(list[i]); });
}

void check_sheet(LimitCheck& check, const TargetSheet& sheet) {
    check.inside("target sheet", 0, [&] {
        sheet_fields(check, sheet);
        check.inside("percussive", 0, [&] { target_fields(check, sheet.percussive); });
        check.inside("sustained", 0, [&] { target_fields(check, sheet.sustained); });
        check.count("rules", sheet.rules.size(), limits::max_rules);
        for (size_t i = 0; i < sheet.rules.size(); ++i)
            check.inside("rule", i + 1, [&] {
                rule_fields(check, sheet.rules[i]);
                target_fields(check, sheet.rules[i].target);
            });
    });
}

void check_ids_and_routing(LimitCheck& check, const Session& s) {
    std::unordered_set<TrackId> ids;
    std::unordered_map<TrackId, TrackId> buses;  // and where they lead
    const auto take = [&](TrackId id, const std::string& name) {
        if (!ids.insert(id).second)
            check.inside(name, 0, [&] { check.complain("id", translated("belongs to two channels")); });
        if (id >= s.next_id)
            check.inside(name, 0, [&] { check.complain("id", translated("is an identifier that was not given yet")); });
    };
    for (const auto& t : s.tracks) take(t->id, t->name);
    for (const Bus& b : s.buses) take(b.id, b.name), buses[b.id] = b.output;
    for (const ControlGroup& g : s.groups) take(g.id, g.name);
    for (const auto& t : s.tracks)
        if (t->output != main_output && !buses.contains(t->output))
            check.inside(t->name, 0, [&] { check.complain("output", translated("is not a bus of the session")); });
    // From every bus on to one that was looked at before: each is passed once.
    enum class Seen { no, under_way, done };
    std::unordered_map<TrackId, Seen> seen;
    for (const Bus& b : s.buses) {
        if (check.failed()) return;
        std::vector<TrackId> way;
        TrackId at = b.id;
        while (at != main_output && seen[at] == Seen::no) {
            seen[at] = Seen::under_way;
            way.push_back(at);
            const auto bus = buses.find(at);
            if (bus == buses.end())
                return check.inside(s.name_of(way.size() > 1 ? way[way.size() - 2] : at), 0,
                                    [&] { check.complain("output", translated("is not a bus of the session")); });
            at = bus->second;
        }
        if (at != main_output && seen[at] == Seen::under_way)
            return check.inside(s.name_of(at), 0,
                                [&] { check.complain("output", translated("makes a feedback loop")); });
        for (const TrackId id : way) seen[id] = Seen::done;
    }
}

/// A row needs what leads to it, what is sent to it, and what its processors listen to: that must not go in a circle. A
/// key whose row is gone is silent; the checks before hand-off tell of it.
class Needs {
  public:
    Needs(LimitCheck& check, const Session& session) : check(check), s(session) {
        for (const Bus& b : s.buses) buses.insert(b.id);
        for (const auto& t : s.tracks) add(*t);
        for (const Bus& b : s.buses) add(b);
        for (const ControlGroup& g : s.groups)
            for (const TrackId member : g.members) needs[g.id].push_back({member, false});
    }

    void tell_of_circles() {
        for (const auto& [id, others] : needs)
            if (!check.failed() && is_round(id)) return tell_of_circle();
    }

  private:
    struct Need {
        TrackId row;
        bool listened;
    };

    template <class Row>
    void add(const Row& row) {
        if (row.output != main_output) needs[row.output].push_back({row.id, false});
        for (const Send& send : row.sends) {
            if (!buses.contains(send.to))
                check.inside(row.name, 0, [&] { check.complain("send", translated("is not a bus of the session")); });
            needs[send.to].push_back({row.id, false});
        }
        for (const Processor& p : row.chain)
            if (p.key != 0) needs[row.id].push_back({p.key, true});
    }

    /// Depth first, without recursion: rows may stand in a line of thousands.
    bool is_round(TrackId first) {
        static const std::vector<Need> none;
        struct Step {
            TrackId row;
            const std::vector<Need>* needs;
            size_t next = 0;
        };
        const auto needs_of = [&](TrackId id) {
            const auto at = needs.find(id);
            return at == needs.end() ? &none : &at->second;
        };
        if (seen[first] != Seen::no) return false;
        std::vector<Step> steps{{first, needs_of(first)}};
        seen[first] = Seen::under_way;
        while (!steps.empty()) {
            Step& here = steps.back();
            if (here.next == here.needs->size()) {
                seen[here.row] = Seen::done;
                steps.pop_back();
                if (!way.empty()) way.pop_back();
                continue;
            }
            const Need& other = (*here.needs)[here.next++];
            if (seen[other.row] == Seen::done) continue;
            way.push_back(other);
            if (seen[other.row] == Seen::under_way) return true;
            seen[other.row] = Seen::under_way;
            steps.push_back({other.row, needs_of(other.row)});
        }
        return false;
    }

    void tell_of_circle() {
        // The way ends where the circle closes; what lies before it is no part of it.
        const TrackId closes = way.back().row;
        size_t from = way.size() - 1;
        while (from > 0 && way[from - 1].row != closes) --from;
        bool listens = false;
        std::string names = s.name_of(closes);
        for (size_t n = from; n < way.size(); ++n) {
            listens |= way[n].listened;
            names = way[n].listened ? translate("{}, sidechain source {}", names, s.name_of(way[n].row))
                                    : translate("{}, input {}", names, s.name_of(way[n].row));
        }
        return check.inside(s.name_of(closes), 0, [&] {
            if (listens)
                check.complain("key",
                               translate("makes a loop: the channel would be its own sidechain source ({})", names));
            else
                check.complain("send", translate("makes a feedback loop: {}", names));
        });
    }

    LimitCheck& check;
    const Session& s;
    std::unordered_map<TrackId, std::vector<Need>> needs;
    std::unordered_set<TrackId> buses;
    enum class Seen { no, under_way, done };
    std::unordered_map<TrackId, Seen> seen;
    std::vector<Need> way;
};

}  // namespace

Result<void> validate(const RidePoint& point, const ParameterInfo& info) {
    LimitCheck check;
    point_fields(check, point, info);
    return check.result();
}

Result<void> validate(const Session& s, const Session* before) {
    LimitCheck check;
    session_fields(check, s);
    main_fields(check, s);
    check_rides(check, s.main_rides, before ? &before->main_rides : nullptr, RowKind::main);
    check.inside("main", 0, [&] { check_chain(check, s.main_chain, s.main_rides); });
    if (!before || !(s.targets == before->targets)) check_sheet(check, s.targets);

    check.count("tracks", s.tracks.size(), limits::max_rows);
    std::unordered_map<TrackId, const Track*> known;
    if (before)
        for (const auto& t : before->tracks) known[t->id] = t.get();
    for (const auto& t : s.tracks) {
        const auto at = known.find(t->id);
        const Track* const old = at == known.end() ? nullptr : at->second;
        if (old != t.get()) check_track(check, *t, old);
    }
    std::unordered_map<TrackId, const Bus*> known_buses;
    if (before)
        for (const Bus& b : before->buses) known_buses[b.id] = &b;
    const auto of = [&](const auto& list) { return before ? &(before->*list) : nullptr; };
    check_list(check, "bus", s.buses, of(&Session::buses), limits::max_rows, [&](const Bus& bus) {
        mixed_fields(check, bus);
        const auto known_bus = known_buses.find(bus.id);
        const Bus* const old = known_bus == known_buses.end() ? nullptr : known_bus->second;
        check_rides(check, bus.rides, old ? &old->rides : nullptr, RowKind::bus);
        check_chain(check, bus.chain, bus.rides);
        check_sends(check, bus.sends, bus.rides);
    });
    check_list(check, "control group", s.groups, of(&Session::groups), limits::max_rows,
               [&](const ControlGroup& group) {
                   row_fields(check, group);
                   const ControlGroup* const old = before ? before->find_group(group.id) : nullptr;
                   check_rides(check, group.rides, old ? &old->rides : nullptr, RowKind::group);
                   check.count("members", group.members.size(), limits::max_rows);
               });
    double section_s = 0.0, mark_s = 0.0;
    check_list(check, "section", s.sections, of(&Session::sections), limits::max_sections, [&](const Section& section) {
        section_fields(check, section);
        if (section.start_s < section_s) check.complain("start_s", translated("is before the preceding section"));
        section_s = section.start_s;
    });
    check_list(check, "tempo mark", s.tempo, of(&Session::tempo), limits::max_tempo_marks, [&](const TempoMark& mark) {
        tempo_fields(check, mark);
        if (mark.time_s < mark_s) check.complain("time_s", translated("is before the preceding mark"));
        mark_s = mark.time_s;
    });
    check_list(check, "recording", s.recordings, of(&Session::recordings), limits::max_recordings,
               [&](const Recording& recording) {
                   recording_fields(check, recording);
                   check.count("passages", recording.passages.size(), limits::max_passages);
                   for (size_t n = 0; n < recording.passages.size(); ++n)
                       check.inside("passage", n + 1, [&] { recording_passage_fields(check, recording.passages[n]); });
               });
    double note_s = 0.0;
    check_list(check, "listening note", s.notes, of(&Session::notes), limits::max_notes,
               [&](const ListeningNote& note) {
                   listening_note_fields(check, note);
                   if (note.time_s < note_s) check.complain("time_s", translated("is before the preceding note"));
                   note_s = note.time_s;
               });
    check_list(check, "blind comparison", s.blind_results, of(&Session::blind_results), limits::max_blind_results,
               [&](const BlindResult& result) {
                   blind_result_fields(check, result);
                   check.count("versions", result.versions.size(), limits::max_blind_versions);
                   if (result.chosen.size() != result.versions.size())
                       return check.complain("chosen", translated("must count every version once"));
                   for (size_t n = 0; n < result.versions.size(); ++n)
                       check.inside("version", n + 1,
                                    [&] { blind_version_fields(check, result.versions[n], result.chosen[n]); });
               });
    check.inside("hand-off", 0, [&] {
        hand_off_fields(check, s.hand_off);
        limit_fields(check, s.hand_off.own);
    });
    check_ids_and_routing(check, s);
    if (!check.failed()) Needs(check, s).tell_of_circles();
    return check.result();
}

}  // namespace isotonus
