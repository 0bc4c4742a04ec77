#include "core/session/session_file.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <unistd.h>

#include <cmath>
#include <cstring>
#include <fstream>
#include <nlohmann/json.hpp>
#include <set>
#include <span>

namespace isotonus {

using nlohmann::json;

namespace {

constexpr int deepest_nesting = 64;
constexpr const char* format_name = "isotonus-session";
constexpr const char* measure_names[] = {"peak", "average"};
constexpr const char* segment_names[] = {"line", "step"};
constexpr const char* kind_names[] = {"auto", "percussive", "sustained"};
constexpr const char* pan_law_names[] = {"constant_power", "compromise", "linear", "balance"};

json level_to_json(double level_db) { return std::isinf(level_db) ? json(nullptr) : json(level_db); }

json target_to_json(const Target& t) {
    return {{"measure", t.measure == Measure::peak ? "peak" : "average"},
            {"low_dbfs", t.low_dbfs},
            {"aim_dbfs", t.aim_dbfs},
            {"high_dbfs", t.high_dbfs}};
}

json track_to_json(const Track& t, const fs::path& folder) {
    json j = t.unknown ? *t.unknown : json::object();
    const fs::path relative = t.file.lexically_relative(folder);
    j["id"] = t.id;
    j["name"] = t.name;
    j["file"] = relative.empty() ? t.file.generic_string() : relative.generic_string();
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
    j["delay_samples"] = t.delay_samples;
    j["ink"] = t.ink;
    if (t.level_ride) {
        json points = json::array();
        for (const RidePoint& p : t.level_ride->points)
            points.push_back(
                {{"time_s", p.time_s}, {"value", p.value}, {"segment", p.segment == Segment::step ? "step" : "line"}});
        j["rides"]["level"] = points;
    }
    return j;
}

/// Takes the known keys out of an object one by one; what is left at the end is unknown and kept.
/// The first fault found is remembered; later calls change nothing.
class Taker {
  public:
    Taker(const json& object, std::string place, std::string* fault) : place_(std::move(place)), fault_(fault) {
        if (object.is_object())
            left_ = object;
        else
            complain("must be an object");
    }

    void number(const char* key, double& to, double low, double high) {
        const json* v = take(key);
        if (!v) return;
        if (!v->is_number() || !std::isfinite(v->get<double>()))
            complain(key, "must be a number");
        else if (v->get<double>() < low || v->get<double>() > high)
            complain(key, fmt::format("must lie between {:g} and {:g}", low, high));
        else
            to = v->get<double>();
    }
    void level(const char* key, double& to) {  // null is silence
        if (left_.contains(key) && left_[key].is_null()) {
            take(key);
            to = silence_db;
        } else {
            number(key, to, -200.0, fader_max_db);
        }
    }
    template <class Int>
    void integer(const char* key, Int& to, int64_t low, int64_t high) {
        const json* v = take(key);
        if (!v) return;
        if (!v->is_number_integer())
            complain(key, "must be a whole number");
        else if (v->get<double>() < static_cast<double>(low) || v->get<double>() > static_cast<double>(high))
            complain(key, fmt::format("must lie between {} and {}", low, high));
        else
            to = v->get<Int>();
    }
    void truth(const char* key, bool& to) {
        const json* v = take(key);
        if (!v) return;
        if (v->is_boolean())
            to = v->get<bool>();
        else
            complain(key, "must be true or false");
    }
    void text(const char* key, std::string& to, bool required = false) {
        if (required && !left_.contains(key)) complain(key, "is missing");
        const json* v = take(key);
        if (!v) return;
        if (v->is_string())
            to = v->get<std::string>();
        else
            complain(key, "must be a string");
    }
    /// The place of a word in a list; -1 when the key is absent.
    int word(const char* key, std::span<const char* const> words) {
        std::string value;
        if (!left_.contains(key)) return -1;
        text(key, value);
        int n = 0;
        for (const char* w : words) {
            if (value == w) return n;
            ++n;
        }
        complain(key, fmt::format("cannot be '{}'", value));
        return -1;
    }
    const json* take(const char* key) {
        if (!left_.is_object() || !left_.contains(key)) return nullptr;
        taken_ = left_[key];
        left_.erase(key);
        return &taken_;
    }
    void put_back(const char* key, const json& value) { left_[key] = value; }
    std::string at(const std::string& key) const { return place_.empty() ? key : place_ + "." + key; }
    void complain(const std::string& key, const std::string& what) {
        if (fault_->empty()) *fault_ = fmt::format("'{}' {}", at(key), what);
    }
    void complain(const std::string& what) {
        if (fault_->empty()) *fault_ = fmt::format("'{}' {}", place_.empty() ? "session" : place_, what);
    }
    UnknownKeys left() const { return left_.empty() ? nullptr : std::make_shared<const json>(left_); }

  private:
    json left_ = json::object(), taken_;
    std::string place_;
    std::string* fault_;
};

Target target_from(const json& j, const std::string& place, Target target, std::string* fault) {
    Taker t(j, place, fault);
    if (const int n = t.word("measure", measure_names); n >= 0)
        target.measure = n == 0 ? Measure::peak : Measure::average;
    t.number("low_dbfs", target.low_dbfs, -120.0, 0.0);
    t.number("aim_dbfs", target.aim_dbfs, -120.0, 0.0);
    t.number("high_dbfs", target.high_dbfs, -120.0, 0.0);
    if (target.low_dbfs > target.high_dbfs) t.complain("low_dbfs", "must not lie above high_dbfs");
    return target;
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
        if (t.word("segment", segment_names) == 1) p.segment = Segment::step;
        curve.insert(p);
    }
    return curve;
}

Track track_from(const json& j, const std::string& place, const fs::path& folder, std::string* fault) {
    Taker t(j, place, fault);
    Track track;
    std::string file;
    t.integer("id", track.id, 1, int64_t{1} << 53);
    t.text("name", track.name, true);
    t.text("file", file, true);
    if (!file.empty()) track.file = (folder / fs::path(file)).lexically_normal();
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
    t.integer("delay_samples", track.delay_samples, -10000000, 10000000);
    t.integer("ink", track.ink, 0, 11);
    if (const json* v = t.take("rides")) {
        const json rides = *v;
        Taker r(rides, t.at("rides"), fault);
        if (const json* level = r.take("level")) {
            Curve curve = curve_from(*level, r.at("level"), fault);
            if (!curve.empty()) track.level_ride = std::make_shared<const Curve>(std::move(curve));
        }
        if (const UnknownKeys others = r.left()) t.put_back("rides", *others);
    }
    track.unknown = t.left();
    return track;
}

}  // namespace

std::string session_to_json(const Session& s, const fs::path& folder) {
    json j = s.unknown ? *s.unknown : json::object();
    j["format"] = format_name;
    j["version"] = session_version;
    j["sample_rate"] = s.sample_rate;
    j["pan_law"] = pan_law_names[static_cast<int>(s.pan_law)];
    j["target_sheet"] = {{"percussive", target_to_json(s.targets.percussive)},
                         {"sustained", target_to_json(s.targets.sustained)},
                         {"peak_ceiling_dbfs", s.targets.peak_ceiling_dbfs},
                         {"mains_low_dbfs", s.targets.mains_low_dbfs},
                         {"mains_high_dbfs", s.targets.mains_high_dbfs}};
    j["tracks"] = json::array();
    for (const auto& track : s.tracks) j["tracks"].push_back(track_to_json(*track, folder));
    j["sections"] = json::array();
    for (const Section& section : s.sections)
        j["sections"].push_back({{"name", section.name}, {"start_s", section.start_s}});
    json main = s.unknown_main ? *s.unknown_main : json::object();
    main["fader_db"] = level_to_json(s.main_fader_db);
    j["main"] = main;
    return j.dump(1, ' ', false, json::error_handler_t::replace) + "\n";
}

Result<Session> session_from_json(const std::string& text, const fs::path& session_file) {
    const std::string name = session_file.string();
    json j;
    try {
        j = json::parse(text, [](int depth, json::parse_event_t, json&) {
            if (depth > deepest_nesting) throw std::length_error("nesting");
            return true;
        });
    } catch (const json::parse_error& e) {
        const std::string before = text.substr(0, e.byte > 0 ? e.byte - 1 : 0);
        const auto line = 1 + std::count(before.begin(), before.end(), '\n');
        const size_t line_start = before.rfind('\n') == std::string::npos ? 0 : before.rfind('\n') + 1;
        return fail(name, fmt::format("not a session file: the JSON is broken at line {}, column {}", line,
                                      before.size() - line_start + 1));
    } catch (const json::exception&) {
        return fail(name, "not a session file: it holds a number that is too large");
    } catch (const std::length_error&) {
        return fail(name, "not a session file: it is nested too deeply");
    }
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
    if (const json* v = t.take("target_sheet")) {
        const json sheet = *v;
        Taker r(sheet, "target_sheet", &fault);
        if (const json* p = r.take("percussive"))
            s.targets.percussive = target_from(*p, r.at("percussive"), s.targets.percussive, &fault);
        if (const json* p = r.take("sustained"))
            s.targets.sustained = target_from(*p, r.at("sustained"), s.targets.sustained, &fault);
        r.number("peak_ceiling_dbfs", s.targets.peak_ceiling_dbfs, -60.0, 0.0);
        r.number("mains_low_dbfs", s.targets.mains_low_dbfs, -60.0, 0.0);
        r.number("mains_high_dbfs", s.targets.mains_high_dbfs, -60.0, 0.0);
    }
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
    if (const json* v = t.take("sections")) {
        const json sections = *v;
        if (!sections.is_array()) t.complain("sections", "must be a list");
        for (size_t i = 0; sections.is_array() && i < sections.size(); ++i) {
            Taker r(sections[i], fmt::format("sections[{}]", i), &fault);
            Section section;
            r.text("name", section.name, true);
            r.number("start_s", section.start_s, 0.0, 1e6);
            s.sections.push_back(section);
        }
        std::stable_sort(s.sections.begin(), s.sections.end(),
                         [](const Section& a, const Section& b) { return a.start_s < b.start_s; });
    }
    if (const json* v = t.take("main")) {
        const json main = *v;
        Taker r(main, "main", &fault);
        r.level("fader_db", s.main_fader_db);
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
