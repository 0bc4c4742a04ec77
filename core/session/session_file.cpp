#include "core/session/session_file.h"

#include "core/session/json_taker.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <unistd.h>

#include <algorithm>
#include <cmath>
#include <cstring>
#include <fstream>
#include <nlohmann/json.hpp>
#include <set>
#include <span>

namespace isotonus {

using nlohmann::json;

namespace {

constexpr const char* format_name = "isotonus-session";
constexpr const char* segment_names[] = {"line", "step", "bend", "smooth"};
constexpr const char* kind_names[] = {"auto", "percussive", "sustained"};
constexpr const char* channels_names[] = {"as_recorded", "swapped", "mono", "one"};
constexpr const char* pan_law_names[] = {"constant_power", "compromise", "linear", "balance"};
constexpr const char* profile_names[] = {"mastering", "streaming_demo", "own"};

json level_to_json(double level_db) { return std::isinf(level_db) ? json(nullptr) : json(level_db); }

json points_of(const Curve& ride) {
    json points = json::array();
    for (const RidePoint& p : ride.points) {
        points.push_back(
            {{"time_s", p.time_s}, {"value", p.value}, {"segment", segment_names[static_cast<size_t>(p.segment)]}});
        if (p.segment == Segment::bend) points.back()["bend"] = p.bend;
        if (p.locked) points.back()["locked"] = true;
    }
    return points;
}

void put_rides(json& j, const Rides& rides) {
    for (const ParameterInfo& p : parameters())
        if (const CurvePtr& curve = rides[p.parameter]) j["rides"][p.id] = points_of(*curve);
    if (rides.bypassed) j["rides_bypassed"] = true;
}

std::string beside(const fs::path& file, const fs::path& folder) {
    const fs::path relative = file.lexically_relative(folder);
    return relative.empty() ? file.generic_string() : relative.generic_string();
}

json track_to_json(const Track& t, const fs::path& folder) {
    json j = t.unknown ? *t.unknown : json::object();
    const Source& source = t.source;
    j["id"] = t.id;
    j["name"] = t.name;
    j["file"] = beside(source.file, folder);
    if (!source.right_file.empty()) j["right_file"] = beside(source.right_file, folder);
    if (source.channels != Channels::as_recorded) j["channels"] = channels_names[static_cast<int>(source.channels)];
    if (source.channels == Channels::one) j["channel"] = source.channel;
    if (source.offset_removed) j["offset_removed"] = true;
    for (const Clip& c : source.clips)
        j["clips"].push_back({{"start", c.start},
                              {"offset", c.offset},
                              {"frames", c.frames},
                              {"gain_db", c.gain_db},
                              {"fade_in", c.fade_in},
                              {"fade_out", c.fade_out}});
    if (t.anchor) j["anchor"] = true;
    if (!t.note.empty()) j["note"] = t.note;
    if (t.count_spikes) j["count_spikes"] = *t.count_spikes;
    if (t.passes_ceiling) j["passes_ceiling"] = true;
    j["kind"] = t.kind ? kind_name(*t.kind) : "auto";
    if (t.family) j["family"] = family_name(*t.family);
    if (t.target) j["target"] = target_to_json(*t.target);
    j["trim_db"] = t.trim_db;
    j["fader_db"] = level_to_json(t.fader_db);
    j["pan"] = t.pan;
    j["width"] = t.width;
    j["mute"] = t.mute;
    j["solo"] = t.solo;
    j["polarity_inverted"] = t.polarity_inverted;
    j["locked"] = t.locked;
    if (t.delay_samples == std::floor(t.delay_samples))
        j["delay_samples"] = static_cast<int64_t>(t.delay_samples);
    else
        j["delay_samples"] = t.delay_samples;
    j["ink"] = t.ink;
    if (t.sides_apart) j["sides_apart"] = true;
    if (t.sides_apart || t.left_pan != -1.0 || t.right_pan != 1.0)
        j["left_pan"] = t.left_pan, j["right_pan"] = t.right_pan;
    if (t.low_centre_hz > 0.0) j["low_centre_hz"] = t.low_centre_hz;
    if (t.solo_safe) j["solo_safe"] = true;
    if (t.output != main_output) j["output"] = t.output;
    put_rides(j, t.rides);
    return j;
}

Curve curve_from(const json& j, const std::string& place, std::string* fault) {
    Curve curve;
    if (!j.is_array()) {
        if (fault->empty()) *fault = fmt::format("'{}' must be a list", place);
        return curve;
    }
    for (size_t i = 0; i < j.size(); ++i) {
        Taker t(j[i], fmt::format("{}[{}]", place, i), fault);
        RidePoint p;
        t.number("time_s", p.time_s, 0.0, 1e6);
        t.number("value", p.value, -200.0, 200.0);
        if (const int n = t.word("segment", segment_names); n >= 0) p.segment = static_cast<Segment>(n);
        t.number("bend", p.bend, -1.0, 1.0);
        t.truth("locked", p.locked);
        curve.insert(p);
    }
    return curve;
}

/// The rides of a row; those that this version does not know stay among the unknown keys.
void take_rides(Taker& t, Rides& rides, std::string* fault) {
    t.truth("rides_bypassed", rides.bypassed);
    const json* v = t.take("rides");
    if (!v) return;
    const json all = *v;
    Taker r(all, t.at("rides"), fault);
    for (const ParameterInfo& p : parameters())
        if (const json* points = r.take(p.id))
            if (Curve curve = curve_from(*points, r.at(p.id), fault); !curve.empty())
                rides[p.parameter] = std::make_shared<const Curve>(std::move(curve));
    if (const UnknownKeys others = r.left()) t.put_back("rides", *others);
}

std::vector<TrackId> ids_from(const json& j, const std::string& place, std::string* fault) {
    std::vector<TrackId> ids;
    for (const json& id : j)
        if (id.is_number_unsigned() && id.get<double>() < 0x1p53)
            ids.push_back(id.get<TrackId>());
        else if (fault->empty())
            *fault = fmt::format("'{}' must be a list of whole numbers", place);
    return ids;
}

std::optional<Family> family_from(Taker& t) {
    const int n = t.word("family", family_names);
    return n >= 0 ? std::optional(static_cast<Family>(n)) : std::nullopt;
}

json bus_to_json(const Bus& b) {
    json j = b.unknown ? *b.unknown : json::object();
    j["id"] = b.id;
    j["name"] = b.name;
    if (b.family) j["family"] = family_name(*b.family);
    j["trim_db"] = b.trim_db;
    j["fader_db"] = level_to_json(b.fader_db);
    j["pan"] = b.pan;
    j["width"] = b.width;
    j["mute"] = b.mute;
    j["solo"] = b.solo;
    j["output"] = b.output;
    j["ink"] = b.ink;
    put_rides(j, b.rides);
    return j;
}

Bus bus_from(const json& j, const std::string& place, std::string* fault) {
    Taker t(j, place, fault);
    Bus b;
    t.integer("id", b.id, 1, int64_t{1} << 53);
    t.text("name", b.name, true);
    b.family = family_from(t);
    t.number("trim_db", b.trim_db, -trim_max_db, trim_max_db);
    t.level("fader_db", b.fader_db);
    t.number("pan", b.pan, -1.0, 1.0);
    t.number("width", b.width, 0.0, 2.0);
    t.truth("mute", b.mute);
    t.truth("solo", b.solo);
    t.integer("output", b.output, 0, int64_t{1} << 53);
    t.integer("ink", b.ink, 0, 11);
    take_rides(t, b.rides, fault);
    b.unknown = t.left();
    return b;
}

json group_to_json(const ControlGroup& g) {
    json j = g.unknown ? *g.unknown : json::object();
    j["id"] = g.id;
    j["name"] = g.name;
    if (g.family) j["family"] = family_name(*g.family);
    j["fader_db"] = level_to_json(g.fader_db);
    j["members"] = g.members;
    j["ink"] = g.ink;
    put_rides(j, g.rides);
    return j;
}

ControlGroup group_from(const json& j, const std::string& place, std::string* fault) {
    Taker t(j, place, fault);
    ControlGroup g;
    t.integer("id", g.id, 1, int64_t{1} << 53);
    t.text("name", g.name, true);
    g.family = family_from(t);
    t.level("fader_db", g.fader_db);
    if (const json* v = t.take("members")) g.members = ids_from(*v, t.at("members"), fault);
    t.integer("ink", g.ink, 0, 11);
    take_rides(t, g.rides, fault);
    g.unknown = t.left();
    return g;
}

std::vector<Clip> clips_from(const json& j, const std::string& place, std::string* fault) {
    constexpr int64_t longest = int64_t{1} << 40;
    std::vector<Clip> clips;
    if (!j.is_array() && fault->empty()) *fault = fmt::format("'{}' must be a list", place);
    for (size_t i = 0; j.is_array() && i < j.size(); ++i) {
        Taker t(j[i], fmt::format("{}[{}]", place, i), fault);
        Clip c;
        t.integer("start", c.start, 0, longest);
        t.integer("offset", c.offset, -longest, longest);
        t.integer("frames", c.frames, 1, longest);
        t.number("gain_db", c.gain_db, -clip_gain_max_db, clip_gain_max_db);
        t.integer("fade_in", c.fade_in, 0, longest);
        t.integer("fade_out", c.fade_out, 0, longest);
        if (c.frames < 1) t.complain("frames", "is missing");
        clips.push_back(c);
    }
    return clips;
}

Track track_from(const json& j, const std::string& place, const fs::path& folder, std::string* fault) {
    Taker t(j, place, fault);
    Track track;
    std::string file;
    t.integer("id", track.id, 1, int64_t{1} << 53);
    t.text("name", track.name, true);
    t.text("file", file, true);
    if (!file.empty()) track.source.file = (folder / fs::path(file)).lexically_normal();
    std::string right;
    t.text("right_file", right);
    if (!right.empty()) track.source.right_file = (folder / fs::path(right)).lexically_normal();
    if (const int n = t.word("channels", channels_names); n >= 0) track.source.channels = static_cast<Channels>(n);
    t.integer("channel", track.source.channel, 0, most_channels - 1);
    t.truth("offset_removed", track.source.offset_removed);
    if (const json* v = t.take("clips")) track.source.clips = clips_from(*v, t.at("clips"), fault);
    t.truth("anchor", track.anchor);
    t.text("note", track.note);
    bool counted = true;
    if (t.has("count_spikes")) t.truth("count_spikes", counted), track.count_spikes = counted;
    t.truth("passes_ceiling", track.passes_ceiling);
    if (const int n = t.word("kind", kind_names); n > 0) track.kind = n == 1 ? Kind::percussive : Kind::sustained;
    if (const int n = t.word("family", family_names); n >= 0) track.family = static_cast<Family>(n);
    if (const json* v = t.take("target")) track.target = target_from(*v, t.at("target"), {}, fault);
    t.number("trim_db", track.trim_db, -trim_max_db, trim_max_db);
    t.level("fader_db", track.fader_db);
    t.number("pan", track.pan, -1.0, 1.0);
    t.number("width", track.width, 0.0, 2.0);
    t.truth("mute", track.mute);
    t.truth("solo", track.solo);
    t.truth("polarity_inverted", track.polarity_inverted);
    t.truth("locked", track.locked);
    t.number("delay_samples", track.delay_samples, -1e7, 1e7);
    t.integer("ink", track.ink, 0, 11);
    t.truth("sides_apart", track.sides_apart);
    t.number("left_pan", track.left_pan, -1.0, 1.0);
    t.number("right_pan", track.right_pan, -1.0, 1.0);
    t.number("low_centre_hz", track.low_centre_hz, 0.0, low_centre_max_hz);
    t.truth("solo_safe", track.solo_safe);
    t.integer("output", track.output, 0, int64_t{1} << 53);
    take_rides(t, track.rides, fault);
    track.unknown = t.left();
    return track;
}

json optional_to_json(const std::optional<double>& value) { return value ? json(*value) : json(nullptr); }

void take_optional(Taker& t, const char* key, std::optional<double>& to) {
    double value = 0.0;
    if (const json* v = t.take(key); v && !v->is_null()) {
        t.put_back(key, json(*v));
        t.number(key, value, -400.0, 400.0);
        to = value;
    }
}

json hand_off_to_json(const HandOff& h) {
    const HandOffLimits& l = h.own;
    return {{"profile", profile_names[static_cast<int>(h.profile)]},
            {"notes", h.notes},
            {"own",
             {{"most_peak_dbfs", l.most_peak_dbfs},
              {"least_peak_dbfs", l.least_peak_dbfs},
              {"most_true_peak_dbtp", l.most_true_peak_dbtp},
              {"least_lufs", optional_to_json(l.least_lufs)},
              {"most_lufs", optional_to_json(l.most_lufs)},
              {"longest_silence_s", l.longest_silence_s},
              {"most_dc", l.most_dc},
              {"most_mono_loss_db", l.most_mono_loss_db},
              {"tail_dbfs", l.tail_dbfs}}}};
}

HandOff hand_off_from(const json& given, std::string* fault) {
    const json j = given;
    HandOff h;
    Taker t(j, "hand_off", fault);
    if (const int n = t.word("profile", profile_names); n >= 0) h.profile = static_cast<HandOffProfile>(n);
    t.text("notes", h.notes);
    if (const json* v = t.take("own")) {
        const json own = *v;
        Taker r(own, "hand_off.own", fault);
        HandOffLimits& l = h.own;
        r.number("most_peak_dbfs", l.most_peak_dbfs, -60.0, 12.0);
        r.number("least_peak_dbfs", l.least_peak_dbfs, -120.0, 12.0);
        r.number("most_true_peak_dbtp", l.most_true_peak_dbtp, -60.0, 12.0);
        take_optional(r, "least_lufs", l.least_lufs);
        take_optional(r, "most_lufs", l.most_lufs);
        r.number("longest_silence_s", l.longest_silence_s, 0.0, 3600.0);
        r.number("most_dc", l.most_dc, 0.0, 1.0);
        r.number("most_mono_loss_db", l.most_mono_loss_db, 0.0, 200.0);
        r.number("tail_dbfs", l.tail_dbfs, -200.0, 0.0);
    }
    return h;
}

json recording_to_json(const Recording& r, const fs::path& folder) {
    return {{"name", r.name},
            {"file", beside(r.file, folder)},
            {"reference", r.reference},
            {"made", r.made},
            {"note", r.note},
            {"integrated_lufs", optional_to_json(r.integrated_lufs)},
            {"sample_peak_dbfs", optional_to_json(r.sample_peak_dbfs)},
            {"true_peak_dbtp", optional_to_json(r.true_peak_dbtp)}};
}

Recording recording_from(const json& j, const std::string& place, const fs::path& folder, std::string* fault) {
    Taker t(j, place, fault);
    Recording r;
    std::string file;
    t.text("name", r.name, true);
    t.text("file", file, true);
    if (!file.empty()) r.file = (folder / fs::path(file)).lexically_normal();
    t.truth("reference", r.reference);
    t.text("made", r.made);
    t.text("note", r.note);
    take_optional(t, "integrated_lufs", r.integrated_lufs);
    take_optional(t, "sample_peak_dbfs", r.sample_peak_dbfs);
    take_optional(t, "true_peak_dbtp", r.true_peak_dbtp);
    return r;
}

/// Numbers that are missing or there twice are given anew; outputs that lead nowhere or in a circle lead to the main
/// output.
void mend_routing(Session& s) {
    std::set<TrackId> ids;
    for (const auto& t : s.tracks) ids.insert(t->id);
    const auto mend = [&](TrackId& id) {
        if (id == 0 || !ids.insert(id).second) id = *ids.insert(ids.empty() ? 1 : *ids.rbegin() + 1).first;
        s.next_id = std::max(s.next_id, id + 1);
    };
    for (Bus& b : s.buses) mend(b.id);
    for (ControlGroup& g : s.groups) mend(g.id);
    for (Bus& b : s.buses) {
        size_t steps = 0;
        const Bus* at = &b;
        while (at && at->output != main_output && steps++ <= s.buses.size()) at = s.find_bus(at->output);
        if (!at || steps > s.buses.size()) b.output = main_output;
    }
    for (auto& track : s.tracks)
        if (track->output != main_output && !s.find_bus(track->output)) {
            Track t = *track;
            t.output = main_output;
            track = std::make_shared<const Track>(std::move(t));
        }
}

}  // namespace

std::string session_to_json(const Session& s, const fs::path& folder) {
    json j = s.unknown ? *s.unknown : json::object();
    j["format"] = format_name;
    j["version"] = session_version;
    j["sample_rate"] = s.sample_rate;
    j["pan_law"] = pan_law_names[static_cast<int>(s.pan_law)];
    j["target_sheet"] = sheet_to_json(s.targets);
    j["tracks"] = json::array();
    for (const auto& track : s.tracks) j["tracks"].push_back(track_to_json(*track, folder));
    for (const Bus& b : s.buses) j["buses"].push_back(bus_to_json(b));
    for (const ControlGroup& g : s.groups) j["control_groups"].push_back(group_to_json(g));
    for (const auto& set : s.selections)
        if (std::any_of(s.selections.begin(), s.selections.end(), [](const auto& x) { return !x.empty(); }))
            j["selections"].push_back(set);
    j["sections"] = json::array();
    for (const Section& section : s.sections)
        j["sections"].push_back({{"name", section.name}, {"start_s", section.start_s}, {"ink", section.ink}});
    if (!s.tempo.empty()) j["tempo"] = json::array();
    for (const TempoMark& m : s.tempo)
        j["tempo"].push_back({{"time_s", m.time_s},
                              {"quarters_a_minute", m.quarters_a_minute},
                              {"beats", m.beats},
                              {"beat_unit", m.beat_unit}});
    if (s.rides_bypassed) j["rides_bypassed"] = true;
    if (s.hand_off != HandOff{}) j["hand_off"] = hand_off_to_json(s.hand_off);
    for (const Recording& r : s.recordings) j["recordings"].push_back(recording_to_json(r, folder));
    json main = s.unknown_main ? *s.unknown_main : json::object();
    main["fader_db"] = level_to_json(s.main_fader_db);
    put_rides(main, s.main_rides);
    j["main"] = main;
    return j.dump(1, ' ', false, json::error_handler_t::replace) + "\n";
}

Result<Session> session_from_json(const std::string& text, const fs::path& session_file) {
    const std::string name = session_file.string();
    const auto parsed = parse_json(text, name, "session file");
    if (!parsed) return tl::unexpected(parsed.error());
    const json& j = *parsed;
    if (!j.is_object() || !j.contains("format") || j["format"] != format_name)
        return fail(name, "not a session file: \"format\" is not \"isotonus-session\"");
    if (!j.contains("version") || !j["version"].is_number_integer())
        return fail(name, "the session's \"version\" is missing or not a whole number");
    if (j["version"].get<double>() > session_version)
        return fail(name,
                    fmt::format("this session was written by a newer Isotonus (version {}; this one reads up to {})",
                                j["version"].dump(), session_version));
    if (j["version"].get<double>() < 1) return fail(name, "the session's \"version\" must be 1 or more");

    std::string fault;
    Session s;
    Taker t(j, "", &fault);
    t.take("format");
    t.take("version");
    t.integer("sample_rate", s.sample_rate, 8000, 768000);
    if (const int n = t.word("pan_law", pan_law_names); n >= 0) s.pan_law = static_cast<PanLaw>(n);
    if (const json* v = t.take("target_sheet")) s.targets = sheet_from(*v, "target_sheet", &fault);
    // Relative paths are meant from where the session file is; an absolute one wins by itself.
    const fs::path folder = fs::absolute(session_file).parent_path();
    if (const json* v = t.take("tracks")) {
        const json tracks = *v;
        if (!tracks.is_array()) t.complain("tracks", "must be a list");
        std::set<TrackId> ids;
        for (size_t i = 0; tracks.is_array() && i < tracks.size() && fault.empty(); ++i) {
            Track track = track_from(tracks[i], fmt::format("tracks[{}]", i), folder, &fault);
            if (track.id == 0 || !ids.insert(track.id).second) {
                track.id = ids.empty() ? 1 : *ids.rbegin() + 1;  // an id missing, or there twice: a new one
                ids.insert(track.id);
            }
            s.next_id = std::max(s.next_id, track.id + 1);
            s.tracks.push_back(std::make_shared<const Track>(std::move(track)));
        }
    }
    const auto each = [&](const char* key, const auto& visit) {
        const json* v = t.take(key);
        if (!v) return;
        const json list = *v;
        if (!list.is_array()) t.complain(key, "must be a list");
        for (size_t i = 0; list.is_array() && i < list.size(); ++i) visit(list[i], fmt::format("{}[{}]", key, i), i);
    };
    each("buses",
         [&](const json& item, const std::string& place, size_t) { s.buses.push_back(bus_from(item, place, &fault)); });
    each("control_groups", [&](const json& item, const std::string& place, size_t) {
        s.groups.push_back(group_from(item, place, &fault));
    });
    each("selections", [&](const json& item, const std::string& place, size_t i) {
        if (i < s.selections.size()) s.selections[i] = ids_from(item, place, &fault);
    });
    mend_routing(s);
    if (const json* v = t.take("sections")) {
        const json sections = *v;
        if (!sections.is_array()) t.complain("sections", "must be a list");
        for (size_t i = 0; sections.is_array() && i < sections.size(); ++i) {
            Taker r(sections[i], fmt::format("sections[{}]", i), &fault);
            Section section;
            r.text("name", section.name, true);
            r.number("start_s", section.start_s, 0.0, 1e6);
            r.integer("ink", section.ink, 0, 11);
            s.sections.push_back(section);
        }
        std::stable_sort(s.sections.begin(), s.sections.end(),
                         [](const Section& a, const Section& b) { return a.start_s < b.start_s; });
    }
    if (const json* v = t.take("tempo")) {
        const json tempo = *v;
        if (!tempo.is_array()) t.complain("tempo", "must be a list");
        for (size_t i = 0; tempo.is_array() && i < tempo.size(); ++i) {
            Taker r(tempo[i], fmt::format("tempo[{}]", i), &fault);
            TempoMark m;
            r.number("time_s", m.time_s, 0.0, 1e6);
            r.number("quarters_a_minute", m.quarters_a_minute, 1.0, 2000.0);
            r.integer("beats", m.beats, 1, 255);
            r.integer("beat_unit", m.beat_unit, 1, 128);
            s.tempo.push_back(m);
        }
        sort_tempo(s.tempo);
    }
    t.truth("rides_bypassed", s.rides_bypassed);
    if (const json* v = t.take("hand_off")) s.hand_off = hand_off_from(*v, &fault);
    each("recordings", [&](const json& item, const std::string& place, size_t) {
        s.recordings.push_back(recording_from(item, place, folder, &fault));
    });
    if (const json* v = t.take("main")) {
        const json main = *v;
        Taker r(main, "main", &fault);
        r.level("fader_db", s.main_fader_db);
        take_rides(r, s.main_rides, &fault);
        s.unknown_main = r.left();
    }
    s.unknown = t.left();
    if (!fault.empty()) return fail(name, "the session cannot be read: " + fault);
    return s;
}

Result<Session> read_session(const fs::path& file) {
    std::error_code problem;
    const auto status = fs::status(file, problem);
    if (!fs::exists(status)) return fail(file.string(), "the file does not exist");
    if (fs::is_directory(status)) return fail(file.string(), "this is a folder, not a session file");
    std::ifstream in(file, std::ios::binary);
    std::string text((std::istreambuf_iterator<char>(in)), std::istreambuf_iterator<char>());
    if (!in.good() && !in.eof()) return fail(file.string(), "the file cannot be read");
    if (text.empty()) return fail(file.string(), "not a session file: the file is empty or cannot be read");
    return session_from_json(text, file);
}

const FileSteps& system_file_steps() {
    static const FileSteps steps{
        [](const fs::path& path, int* descriptor) {
            *descriptor = ::open(path.c_str(), O_WRONLY | O_CREAT | O_TRUNC | O_CLOEXEC, 0644);
            return *descriptor < 0 ? errno : 0;
        },
        [](int descriptor, const char* data, size_t bytes) {
            while (bytes > 0) {
                const ssize_t done = ::write(descriptor, data, bytes);
                if (done < 0 && errno == EINTR) continue;
                if (done <= 0) return done < 0 ? errno : EIO;
                data += done;
                bytes -= static_cast<size_t>(done);
            }
            return 0;
        },
        [](int descriptor) { return ::fsync(descriptor) == 0 ? 0 : errno; },
        [](int descriptor) { return ::close(descriptor) == 0 ? 0 : errno; },
        [](const fs::path& from, const fs::path& to) { return ::rename(from.c_str(), to.c_str()) == 0 ? 0 : errno; },
        [](const fs::path& folder) {
            const int descriptor = ::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC);
            if (descriptor < 0) return errno;
            const int problem = ::fsync(descriptor) == 0 ? 0 : errno;
            ::close(descriptor);
            return problem;
        }};
    return steps;
}

Result<void> write_whole(const fs::path& file, const std::string& content, const FileSteps& steps) {
    const fs::path folder = file.has_parent_path() ? file.parent_path() : fs::path(".");
    const fs::path temporary = folder / fmt::format(".{}.{}.part", file.filename().string(), getpid());
    int descriptor = -1;
    int problem = steps.create(temporary, &descriptor);
    if (problem == 0) {
        problem = steps.write(descriptor, content.data(), content.size());
        if (problem == 0) problem = steps.sync(descriptor);
        const int closing = steps.close(descriptor);
        if (problem == 0) problem = closing;
        if (problem == 0) problem = steps.rename(temporary, file);
    }
    if (problem == 0) {
        // The content is safe already; a folder that cannot be synced (some network drives) is no failure.
        steps.sync_folder(folder);
        return {};
    }
    std::error_code ignored;
    fs::remove(temporary, ignored);
    return fail(file.string(), std::string("the file cannot be written: ") + std::strerror(problem));
}

Result<void> write_session(const Session& session, const fs::path& file, const FileSteps& steps) {
    const fs::path absolute = fs::absolute(file).lexically_normal();
    return write_whole(absolute, session_to_json(session, absolute.parent_path()), steps);
}

}  // namespace isotonus
