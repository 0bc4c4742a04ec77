#include "core/session/session_file.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <nlohmann/json.hpp>

#include "core/session/fields.h"
#include "core/session/json_writer.h"
#include "core/session/validate.h"
#include "core/shape/chain.h"
#include "core/shape/plugin_registry.h"

namespace isotonus {

using nlohmann::json;

namespace {

constexpr const char* session_format = "isotonus-session";

// Paths are text in a session file.  One that is no UTF-8 stands there as well as it can be shown, and beside it are
// its bytes in hexadecimal, which count.

void put_path(json& j, const char* key, const fs::path& file, const fs::path& folder) {
    const fs::path relative = file.lexically_relative(folder);
    const std::string path = (relative.empty() ? file : relative).generic_string();
    j[key] = shown_text(path);
    if (!is_utf8(path)) j[std::string(key) + "_bytes"] = hexadecimal(path);
}

void take_path(JsonReader& t, const std::string& key, fs::path& to, const fs::path& folder) {
    constexpr size_t longest_path = 65536;
    std::string path, bytes;
    t.text(key.c_str(), path, longest_path);
    t.text((key + "_bytes").c_str(), bytes, longest_path);
    if (!bytes.empty()) {
        const auto exact = from_hexadecimal(bytes);
        if (!exact) return t.complain(key + "_bytes", translated("must be bytes in hexadecimal"));
        path = *exact;
    }
    if (path.find('\0') != std::string::npos) return t.complain(key, translated("cannot contain a zero byte"));
    if (!path.empty()) to = (folder / fs::path(path)).lexically_normal();
}

/// One item of the file: what it must have, its fields, and what this version does not know of it.
template <class Item, class Fields>
Item item_from(json j, const std::string& key_path, std::string* fault, std::initializer_list<const char*> needed,
               const Fields& fields) {
    JsonReader t(std::move(j), key_path, fault);
    for (const char* key : needed) t.required(key);
    Item item;
    fields(t, item);
    item.unknown = t.left();
    return item;
}

// --- rows -----------------------------------------------------------------------------------------------------------

json points_of(const Curve& ride, const ParameterInfo& info) {
    json points = json::array();
    for (const RidePoint& p : ride.points) {
        json point = given(p.unknown, [&](JsonWriter& g) { point_fields(g, p, info); });
        // How far it bends counts only where it does.
        if (p.segment == Segment::bend) point["bend"] = p.bend;
        if (p.segment != Segment::bend) point.erase("bend");
        points.push_back(std::move(point));
    }
    return points;
}

/// Rides of those parameters of a row that are its own, a processor's, or a send's.
void put_rides_of(json& j, const Rides& rides, const std::function<bool(Parameter)>& is_meant) {
    for (const auto& [parameter, curve] : rides.all()) {
        if (!is_meant(parameter)) continue;
        j["rides"][parameter.info().id] = points_of(*curve, parameter.info());
        if (rides.is_out(parameter)) j["rides_out"].push_back(parameter.info().id);
    }
}

void put_rides(json& j, const Rides& rides) {
    put_rides_of(j, rides, [](Parameter p) { return p.is_rows_own(); });
    if (rides.bypassed) j["rides_bypassed"] = true;
}

/// What reading a file goes along with: the first fault, the folder that paths are relative to, and points that were
/// read beside the document.
struct Reading {
    std::string* fault;
    fs::path folder;
    PointLists* lists = nullptr;
};

/// Points that were read beside the document, in order of time; nothing when one of them is not as it should be.
std::optional<std::vector<RidePoint>> sound_points(std::vector<RidePoint>& points, const ParameterInfo& info) {
    const auto is_sound = [&info](const RidePoint& p) {
        return p.time_s >= 0.0 && p.time_s <= limits::latest_s && p.value >= info.low && p.value <= info.high &&
               p.bend >= -1.0 && p.bend <= 1.0;
    };
    if (points.size() > limits::max_points || !std::all_of(points.begin(), points.end(), is_sound)) return std::nullopt;
    const auto earlier = [](const RidePoint& a, const RidePoint& b) { return a.time_s < b.time_s; };
    if (!std::is_sorted(points.begin(), points.end(), earlier)) std::stable_sort(points.begin(), points.end(), earlier);
    return std::move(points);
}

Curve take_points(JsonReader& t, const ParameterInfo& info, const Reading& reading) {
    Curve curve;
    const json* const there = t.look(info.id);
    if (std::vector<RidePoint>* const list = there && reading.lists ? reading.lists->find(*there) : nullptr) {
        t.take(info.id);
        if (auto points = sound_points(*list, info)) {
            curve.points = std::move(*points);
            return curve;
        }
        json objects = json::array();
        for (const RidePoint& p : *list) objects.push_back(point_json(p));
        t.put_back(info.id, std::move(objects));
    }
    t.each(info.id, limits::max_points, [&](json item, const std::string& key_path) {
        curve.points.push_back(
            item_from<RidePoint>(std::move(item), key_path, reading.fault, {},
                                 [&](JsonReader& point, RidePoint& p) { point_fields(point, p, info); }));
    });
    std::stable_sort(curve.points.begin(), curve.points.end(),
                     [](const RidePoint& a, const RidePoint& b) { return a.time_s < b.time_s; });
    return curve;
}

/// A name of points that nobody took, as what it stands for.
void expand_points(json& rides, PointLists* lists) {
    for (auto& [name, points] : rides.items())
        if (const auto* list = lists ? lists->find(points) : nullptr) {
            json objects = json::array();
            for (const RidePoint& p : *list) objects.push_back(point_json(p));
            points = std::move(objects);
        }
}

/// Rides of these parameters; others stay among the unknown keys.
void take_rides_of(JsonReader& t, Rides& rides, std::span<const Parameter> known, const Reading& reading) {
    const json* const out = t.take("rides_out");
    json names_out = out && out->is_array() ? *out : json::array();
    json* v = t.take("rides");
    if (!v) return;
    JsonReader r(std::move(*v), t.at("rides"), reading.fault);
    for (const Parameter parameter : known) {
        const ParameterInfo& info = parameter.info();
        Curve curve = take_points(r, info, reading);
        if (curve.empty()) continue;
        rides.set(parameter, std::make_shared<const Curve>(std::move(curve)));
        const auto name = std::find(names_out.begin(), names_out.end(), json(info.id));
        if (name == names_out.end()) continue;
        rides.set_out(parameter, true);
        names_out.erase(name);
    }
    if (!names_out.empty()) t.put_back("rides_out", names_out);  // of rides that a newer version knows
    if (const UnknownKeys others = r.left()) {
        json kept_rides = *others;
        expand_points(kept_rides, reading.lists);
        t.put_back("rides", std::move(kept_rides));
    }
}

/// The rides of a row itself.
void take_rides(JsonReader& t, Rides& rides, RowKind kind, const Reading& reading) {
    t.truth("rides_bypassed", rides.bypassed);
    std::vector<Parameter> known;
    for (const Parameter p : parameters())
        if (can_be_ridden(kind, p)) known.push_back(p);
    take_rides_of(t, rides, known, reading);
}

}  // namespace

json chain_to_json(const Chain& chain, const Rides& rides, const fs::path& folder) {
    json list = json::array();
    for (const Processor& p : chain) {
        json j = given(p.unknown, [&](JsonWriter& g) { processor_fields(g, p); });
        if (is_plugin(p.type)) {
            j["type"] = "lv2";
            j["uri"] = uri_of_type(p.type);
        }
        if (!p.impulse.empty()) put_path(j, "impulse", p.impulse, folder);
        for (const auto& [id, value] : p.values) {
            const ParameterInfo* info = parameter_of(p, id);
            if (info && !info->words.empty())
                j[id] = value_text(*info, value);
            else
                j[id] = value;
        }
        put_rides_of(j, rides, [&](Parameter of) { return of.processor() == p.id; });
        list.push_back(std::move(j));
    }
    return list;
}

namespace {

void take_chain(JsonReader& t, Chain& chain, Rides& rides, const Reading& reading) {
    t.each("chain", limits::max_processors, [&](json item, const std::string& key_path) {
        chain.push_back(item_from<Processor>(
            std::move(item), key_path, reading.fault, {"id", "type"}, [&](JsonReader& c, Processor& p) {
                processor_fields(c, p);
                if (p.type == "reverb") take_path(c, "impulse", p.impulse, reading.folder);
                if (p.type == "lv2") {
                    std::string uri;
                    c.text("uri", uri, limits::longest_name);
                    p.type = std::string(plugin_prefix) + uri;
                }
                std::vector<Parameter> known;
                for (const ParameterInfo* info : parameters_of(p)) {
                    if (processor_type(p.type)) known.emplace_back(*info, p.id);
                    if (info == common_parameters().data() || !c.has(info->id)) continue;
                    double value = info->rest;
                    if (is_plugin(p.type) && c.look(info->id)->is_number()) {
                        // Another version of a plug-in may have other limits: nothing is lost for that.
                        constexpr double any = std::numeric_limits<float>::max();
                        c.number(info->id, value, -any, any);
                        value = std::clamp(value, info->low, info->high);
                    } else if (info->words.empty()) {
                        c.number(info->id, value, info->low, info->high);
                    } else {
                        std::string word;
                        c.text(info->id, word, limits::longest_name);
                        const auto found = value_from_text(*info, word);
                        if (!found) c.complain(info->id, translated("is not one of the known words"));
                        value = found.value_or(value);
                    }
                    set_value(p, *info, value);
                }
                take_rides_of(c, rides, known, reading);
            }));
    });
}

}  // namespace

void take_chain(JsonReader& t, Chain& chain, Rides& rides, const fs::path& folder, std::string* fault) {
    take_chain(t, chain, rides, {fault, folder});
}

namespace {

json sends_to_json(const Sends& sends, const Rides& rides) {
    json list = json::array();
    for (const Send& s : sends) {
        json j = given(s.unknown, [&](JsonWriter& g) { send_fields(g, s); });
        if (s.own_pan) j["pan"] = s.pan;
        put_rides_of(j, rides, [&](Parameter of) { return of.send() == s.id; });
        list.push_back(std::move(j));
    }
    return list;
}

void take_sends(JsonReader& t, Sends& sends, Rides& rides, const Reading& reading) {
    t.each("sends", limits::max_sends, [&](json item, const std::string& key_path) {
        sends.push_back(
            item_from<Send>(std::move(item), key_path, reading.fault, {"id", "to"}, [&](JsonReader& c, Send& s) {
                send_fields(c, s);
                std::vector<Parameter> known;
                for (const ParameterInfo* info : parameters_of_sends())
                    known.push_back(Parameter::of_send(*info, s.id));
                take_rides_of(c, rides, known, reading);
            }));
    });
}

/// What tracks and buses have beside their fields.
template <class Row>
void put_mixed(json& j, const Row& row, const fs::path& folder) {
    put_rides(j, row.rides);
    if (!row.chain.empty()) j["chain"] = chain_to_json(row.chain, row.rides, folder);
    if (!row.sends.empty()) j["sends"] = sends_to_json(row.sends, row.rides);
}

json bus_to_json(const Bus& bus, const fs::path& folder) {
    json j = given(bus.unknown, [&](JsonWriter& g) { mixed_fields(g, bus); });
    put_mixed(j, bus, folder);
    return j;
}

json track_to_json(const Track& t, const fs::path& folder) {
    json j = given(t.unknown, [&](JsonWriter& g) { track_fields(g, t); });
    put_mixed(j, t, folder);
    const Source& source = t.source;
    put_path(j, "file", source.file, folder);
    if (!source.right_file.empty()) put_path(j, "right_file", source.right_file, folder);
    if (source.channels == Channels::one) j["channel"] = source.channel;
    for (const Clip& c : source.clips)
        j["clips"].push_back(given(c.unknown, [&](JsonWriter& g) { clip_fields(g, c); }));
    if (t.count_spikes) j["count_spikes"] = *t.count_spikes;
    j["kind"] = t.kind ? kind_name(*t.kind) : "auto";
    if (t.target) j["target"] = target_to_json(*t.target);
    if (t.delay_samples == std::floor(t.delay_samples)) j["delay_samples"] = static_cast<int64_t>(t.delay_samples);
    if (!t.dual_pan && t.left_pan == -1.0 && t.right_pan == 1.0) {
        j.erase("left_pan");
        j.erase("right_pan");
    }
    if (t.staged_without)
        j["staged_without"] = given(nullptr, [&](JsonWriter& g) { left_out_fields(g, *t.staged_without); });
    return j;
}

Track track_from(json j, const std::string& key_path, const Reading& reading) {
    const fs::path& folder = reading.folder;
    std::string* const fault = reading.fault;
    constexpr std::array kinds{"auto", "percussive", "sustained"};
    enum class Choice { automatic, percussive, sustained };
    JsonReader t(std::move(j), key_path, fault);
    Track track;
    t.required("name");
    t.required("file");
    take_path(t, "file", track.source.file, folder);
    take_path(t, "right_file", track.source.right_file, folder);
    track_fields(t, track);
    t.each("clips", limits::max_clips, [&](json item, const std::string& clip_name) {
        track.source.clips.push_back(item_from<Clip>(std::move(item), clip_name, fault, {"frames"},
                                                     [](JsonReader& c, Clip& clip) { clip_fields(c, clip); }));
    });
    bool counted = true;
    if (t.has("count_spikes")) {
        t.truth("count_spikes", counted);
        track.count_spikes = counted;
    }
    Choice kind = Choice::automatic;
    t.word("kind", kind, kinds);
    if (kind != Choice::automatic) track.kind = kind == Choice::percussive ? Kind::percussive : Kind::sustained;
    if (json* v = t.take("target")) track.target = target_from(*v, t.at("target"), {}, fault);
    if (json* v = t.take("staged_without")) {
        JsonReader stretch(std::move(*v), t.at("staged_without"), fault);
        left_out_fields(stretch, track.staged_without.emplace());
    }
    take_rides(t, track.rides, RowKind::track, reading);
    take_chain(t, track.chain, track.rides, reading);
    take_sends(t, track.sends, track.rides, reading);
    track.unknown = t.left();
    return track;
}

Bus bus_from(json j, const std::string& key_path, const Reading& reading) {
    return item_from<Bus>(std::move(j), key_path, reading.fault, {"name"}, [&](JsonReader& t, Bus& bus) {
        mixed_fields(t, bus);
        take_rides(t, bus.rides, RowKind::bus, reading);
        take_chain(t, bus.chain, bus.rides, reading);
        take_sends(t, bus.sends, bus.rides, reading);
    });
}

std::vector<TrackId> ids_from(const json& j, const std::string& key_path, std::string* fault) {
    std::vector<TrackId> ids;
    for (const json& id : j)
        if (id.is_number_unsigned() && id.get<double>() <= static_cast<double>(limits::largest_id))
            ids.push_back(id.get<TrackId>());
        else if (fault->empty())
            *fault = translate("'{}' must be a list of whole numbers", key_path);
    return ids;
}

json group_to_json(const ControlGroup& g) {
    json j = given(g.unknown, [&](JsonWriter& giver) { row_fields(giver, g); });
    if (!g.mute) j.erase("mute");
    if (!g.solo) j.erase("solo");
    put_rides(j, g.rides);
    j["members"] = g.members;
    return j;
}

ControlGroup group_from(json j, const std::string& key_path, const Reading& reading) {
    std::string* const fault = reading.fault;
    return item_from<ControlGroup>(std::move(j), key_path, fault, {"name"}, [&](JsonReader& t, ControlGroup& group) {
        row_fields(t, group);
        if (json* v = t.take("members")) group.members = ids_from(*v, t.at("members"), fault);
        take_rides(t, group.rides, RowKind::group, reading);
    });
}

// --- hand-off, recordings, blind comparisons
// --------------------------------------------------------------------------

json hand_off_to_json(const HandOff& h) {
    json j = given(h.unknown, [&](JsonWriter& g) { hand_off_fields(g, h); });
    j["own"] = given(h.own.unknown, [&](JsonWriter& g) { limit_fields(g, h.own); });
    return j;
}

HandOff hand_off_from(json given, std::string* fault) {
    JsonReader t(std::move(given), "hand_off", fault);
    HandOff h;
    hand_off_fields(t, h);
    if (json* v = t.take("own")) {
        JsonReader own(std::move(*v), "hand_off.own", fault);
        limit_fields(own, h.own);
        h.own.unknown = own.left();
    }
    h.unknown = t.left();
    return h;
}

json recording_to_json(const Recording& r, const fs::path& folder) {
    json j = given(r.unknown, [&](JsonWriter& g) { recording_fields(g, r); });
    put_path(j, "file", r.file, folder);
    if (!r.session.empty()) put_path(j, "session", r.session, folder);
    for (const RecordingPassage& p : r.passages)
        j["passages"].push_back(given(p.unknown, [&](JsonWriter& g) { recording_passage_fields(g, p); }));
    return j;
}

Recording recording_from(json j, const std::string& key_path, const fs::path& folder, std::string* fault) {
    return item_from<Recording>(std::move(j), key_path, fault, {"name", "file"}, [&](JsonReader& t, Recording& r) {
        recording_fields(t, r);
        take_path(t, "file", r.file, folder);
        take_path(t, "session", r.session, folder);
        t.each("passages", limits::max_passages, [&](json item, const std::string& where) {
            r.passages.push_back(item_from<RecordingPassage>(
                std::move(item), where, fault, {"from_s", "to_s"},
                [](JsonReader& passage, RecordingPassage& p) { recording_passage_fields(passage, p); }));
        });
    });
}

json blind_to_json(const BlindResult& b) {
    json j = given(b.unknown, [&](JsonWriter& g) { blind_result_fields(g, b); });
    for (size_t n = 0; n < b.versions.size(); ++n)
        j["versions"].push_back(
            given(nullptr, [&](JsonWriter& g) { blind_version_fields(g, b.versions[n], b.chosen[n]); }));
    return j;
}

BlindResult blind_from(json j, const std::string& key_path, std::string* fault) {
    return item_from<BlindResult>(std::move(j), key_path, fault, {"versions"}, [&](JsonReader& t, BlindResult& b) {
        blind_result_fields(t, b);
        t.each("versions", limits::max_blind_versions, [&](json item, const std::string& where) {
            JsonReader version(std::move(item), where, fault);
            blind_version_fields(version, b.versions.emplace_back(), b.chosen.emplace_back());
        });
    });
}

/// Rows without an id, of which the first versions had some, get one.  What else is wrong with ids and outputs is
/// refused by validate().  An id that was given once is never given again: `next_id` is above all of them.
void give_ids(Session& s) {
    const auto above = [&s](TrackId id) { s.next_id = std::max(s.next_id, id + 1); };
    for (const auto& t : s.tracks) above(t->id);
    for (const Bus& b : s.buses) above(b.id);
    for (const ControlGroup& g : s.groups) above(g.id);
    for (auto& track : s.tracks.change()) {
        if (track->id != 0) continue;
        Track t = *track;
        t.id = s.next_id++;
        track = std::make_shared<const Track>(std::move(t));
    }
    const auto give = [&s](auto& list) {
        for (size_t n = 0; n < list.size(); ++n)
            if (list[n].id == 0) list.change()[n].id = s.next_id++;
    };
    give(s.buses);
    give(s.groups);
}

}  // namespace

std::string session_to_json(const Session& s, const fs::path& folder) {
    json j = given(s.unknown, [&](JsonWriter& g) { session_fields(g, s); });
    j["version"] = session_version;
    j["target_sheet"] = sheet_to_json(s.targets);
    j["tracks"] = json::array();
    for (const auto& track : s.tracks) j["tracks"].push_back(track_to_json(*track, folder));
    for (const Bus& b : s.buses) j["buses"].push_back(bus_to_json(b, folder));
    for (const ControlGroup& g : s.groups) j["control_groups"].push_back(group_to_json(g));
    const bool any_selection =
        std::any_of(s.selections.begin(), s.selections.end(), [](const auto& x) { return !x.empty(); });
    if (any_selection) j["selections"] = s.selections;
    if (!s.anchor_order.empty()) j["anchor_order"] = s.anchor_order;
    j["sections"] = json::array();
    for (const Section& section : s.sections)
        j["sections"].push_back(given(section.unknown, [&](JsonWriter& g) { section_fields(g, section); }));
    for (const TempoMark& mark : s.tempo)
        j["tempo"].push_back(given(mark.unknown, [&](JsonWriter& g) { tempo_fields(g, mark); }));
    if (s.hand_off != HandOff{}) j["hand_off"] = hand_off_to_json(s.hand_off);
    for (const Recording& r : s.recordings) j["recordings"].push_back(recording_to_json(r, folder));
    for (const ListeningNote& n : s.notes)
        j["listening_notes"].push_back(given(n.unknown, [&](JsonWriter& g) { listening_note_fields(g, n); }));
    for (const BlindResult& b : s.blind_results) j["blind_comparisons"].push_back(blind_to_json(b));
    json main = given(s.unknown_main, [&](JsonWriter& g) { main_fields(g, s); });
    put_rides(main, s.main_rides);
    if (!s.main_chain.empty()) main["chain"] = chain_to_json(s.main_chain, s.main_rides, folder);
    j["main"] = main;
    const std::string fields = j.dump(1, ' ', false, json::error_handler_t::replace);
    // What the file is stands in its first line, where a desktop looks that knows files by their content.
    return fmt::format("{{\n \"format\": \"{}\",{}\n", session_format, std::string_view(fields).substr(1));
}

namespace {
Result<Session> session_from(json j, PointLists& lists, const fs::path& session_file);
}  // namespace

Result<Session> session_from_json(const std::string& text, const fs::path& session_file) {
    const std::string name = session_file.string();
    PointLists lists;
    auto parsed = parse_json(text, name, translatable("not a session file"), &lists);
    if (!parsed) return tl::unexpected(parsed.error());
    return session_from(std::move(*parsed), lists, session_file);
}

namespace {

Result<Session> session_from(json j, PointLists& lists, const fs::path& session_file) {
    const std::string name = session_file.string();
    if (!j.is_object() || !j.contains("format") || j["format"] != session_format)
        return fail(name,
                    translated("not a session file: \"format\" differs from \"isotonus-session\". Choose a file that "
                               "ends in .isotonus."));
    if (!j.contains("version") || !j["version"].is_number_integer())
        return fail(
            name,
            translated(
                "the \"version\" of the session is missing or not a whole number. Restore a backup of the file."));
    if (j["version"].get<double>() > session_version)
        return fail(name,
                    translate("a newer Isotonus wrote this session (version {}; this program reads up to {}). Install "
                              "the newer version to open it.",
                              j["version"].dump(), session_version));
    if (j["version"].get<double>() < 1)
        return fail(name,
                    translated("the \"version\" of the session must be 1 or more. Restore a backup of the file."));

    std::string fault;
    Session s;
    JsonReader t(std::move(j), "", &fault);
    t.take("format");
    t.take("version");
    session_fields(t, s);
    if (json* v = t.take("target_sheet")) s.targets = sheet_from(*v, "target_sheet", &fault);
    // Relative paths are meant from where the session file really is, whatever link led to it; absolute ones win.
    const fs::path folder = real_path(session_file).parent_path();
    const Reading reading{&fault, folder, &lists};
    std::vector<std::shared_ptr<const Track>> tracks;
    std::vector<Bus> buses;
    std::vector<ControlGroup> groups;
    std::vector<Section> found_sections;
    std::vector<TempoMark> tempo;
    std::vector<Recording> recordings;
    std::vector<ListeningNote> notes;
    std::vector<BlindResult> blind_results;
    t.each("tracks", limits::max_rows, [&](json item, const std::string& key_path) {
        tracks.push_back(std::make_shared<const Track>(track_from(std::move(item), key_path, reading)));
    });
    t.each("buses", limits::max_rows, [&](json item, const std::string& key_path) {
        buses.push_back(bus_from(std::move(item), key_path, reading));
    });
    t.each("control_groups", limits::max_rows, [&](json item, const std::string& key_path) {
        groups.push_back(group_from(std::move(item), key_path, reading));
    });
    size_t selection = 0;
    t.each("selections", s.selections.size(), [&](json item, const std::string& key_path) {
        s.selections[selection++] = ids_from(item, key_path, &fault);
    });
    if (json* v = t.take("anchor_order")) s.anchor_order = ids_from(*v, "anchor_order", &fault);
    t.each("sections", limits::max_sections, [&](json item, const std::string& key_path) {
        found_sections.push_back(
            item_from<Section>(std::move(item), key_path, &fault, {"name"},
                               [](JsonReader& r, Section& section) { section_fields(r, section); }));
    });
    t.each("tempo", limits::max_tempo_marks, [&](json item, const std::string& key_path) {
        tempo.push_back(item_from<TempoMark>(std::move(item), key_path, &fault, {},
                                             [](JsonReader& r, TempoMark& mark) { tempo_fields(r, mark); }));
    });
    if (json* v = t.take("hand_off")) s.hand_off = hand_off_from(std::move(*v), &fault);
    t.each("recordings", limits::max_recordings, [&](json item, const std::string& key_path) {
        recordings.push_back(recording_from(std::move(item), key_path, folder, &fault));
    });
    t.each("listening_notes", limits::max_notes, [&](json item, const std::string& key_path) {
        notes.push_back(
            item_from<ListeningNote>(std::move(item), key_path, &fault, {"time_s"},
                                     [](JsonReader& r, ListeningNote& note) { listening_note_fields(r, note); }));
    });
    t.each("blind_comparisons", limits::max_blind_results, [&](json item, const std::string& key_path) {
        blind_results.push_back(blind_from(std::move(item), key_path, &fault));
    });
    if (json* v = t.take("main")) {
        JsonReader r(std::move(*v), "main", &fault);
        main_fields(r, s);
        take_rides(r, s.main_rides, RowKind::main, reading);
        take_chain(r, s.main_chain, s.main_rides, reading);
        s.unknown_main = r.left();
    }
    s.unknown = t.left();
    if (!fault.empty())
        return fail(name, translate("the session cannot be read: {}. Restore a backup or correct the file.", fault));
    std::stable_sort(found_sections.begin(), found_sections.end(),
                     [](const Section& a, const Section& b) { return a.start_s < b.start_s; });
    sort_tempo(tempo);
    sort_notes(notes);
    if (!tracks.empty()) s.tracks = std::move(tracks);
    if (!buses.empty()) s.buses = std::move(buses);
    if (!groups.empty()) s.groups = std::move(groups);
    if (!found_sections.empty()) s.sections = std::move(found_sections);
    if (!tempo.empty()) s.tempo = std::move(tempo);
    if (!recordings.empty()) s.recordings = std::move(recordings);
    if (!notes.empty()) s.notes = std::move(notes);
    if (!blind_results.empty()) s.blind_results = std::move(blind_results);
    give_ids(s);
    if (const auto valid = validate(s); !valid)
        return fail(name, translate("the session cannot be read: {}. Restore a backup or correct the file.",
                                    valid.error().what));
    return s;
}

}  // namespace

Result<Session> read_session(const fs::path& file) {
    PointLists lists;
    json document;
    {
        // The text goes before the document becomes a session: both may be large.
        const auto text = read_whole(file, limits::max_session_bytes);
        if (!text) return tl::unexpected(text.error());
        if (text->empty())
            return fail(file.string(), translated("not a session file: the file is empty. Restore a backup."));
        auto parsed = parse_json(*text, file.string(), translatable("not a session file"), &lists);
        if (!parsed) return tl::unexpected(parsed.error());
        document = std::move(*parsed);
    }
    return session_from(std::move(document), lists, file);
}

Result<void> write_session(const Session& session, const fs::path& file) {
    if (auto valid = validate(session); !valid)
        return fail(
            file.string(),
            translate(
                "the session was not saved, because it could not be opened again: {}. Undo the last change and save.",
                valid.error().what));
    const std::string text = session_to_json(session, real_path(file).parent_path());
    if (text.size() > limits::max_session_bytes)
        return fail(
            file.string(),
            translated(
                "the session was not saved, because it would be too large to open again. Simplify its longest rides."));
    return write_whole(file, text, protected_by(session, {}));
}

Result<void> change_session(const fs::path& file, const std::function<Result<void>(Session&)>& change) {
    const auto lock = FileLock::take(file, 10.0);
    if (!lock) return tl::unexpected(lock.error());
    auto session = read_session(file);
    if (!session) return tl::unexpected(session.error());
    if (auto changed = change(*session); !changed) return changed;
    return write_session(*session, file);
}

Result<std::vector<Recording>> read_shelf(const fs::path& file) {
    std::vector<Recording> found;
    if (!is_there(file)) return found;
    const auto text = read_whole(file, limits::max_sheet_bytes);
    if (!text) return tl::unexpected(text.error());
    const auto parsed = parse_json(*text, file.string(), translatable("not a list of references"));
    if (!parsed) return tl::unexpected(parsed.error());
    std::string fault;
    JsonReader t(*parsed, "", &fault);
    t.each("references", limits::max_recordings, [&](json item, const std::string& key_path) {
        found.push_back(recording_from(std::move(item), key_path, file.parent_path(), &fault));
    });
    if (!fault.empty())
        return fail(
            file.string(),
            translate("the list of references cannot be read: {}. Delete the file to start a new list.", fault));
    return found;
}

Result<void> write_shelf(const std::vector<Recording>& references, const fs::path& file) {
    json j{{"references", json::array()}};
    for (const Recording& r : references) j["references"].push_back(recording_to_json(r, file.parent_path()));
    if (!make_folder(file.parent_path()))
        return fail(file.string(),
                    translated("the folder of the file cannot be made. Check the permissions of the folder above."));
    return write_whole(file, j.dump(1, ' ', false, json::error_handler_t::replace) + "\n", none_protected());
}

}  // namespace isotonus
