#include "core/session/session.h"

#include <fmt/format.h>

#include <algorithm>
#include <charconv>
#include <cmath>
#include <map>

#include "core/audio/sound_file.h"

namespace isotonus {

const Track* Session::find(TrackId id) const {
    const auto at = std::find_if(tracks.begin(), tracks.end(), [&](const auto& t) { return t->id == id; });
    return at == tracks.end() ? nullptr : at->get();
}

const Track* Session::find(const std::string& name) const {
    const auto at = std::find_if(tracks.begin(), tracks.end(), [&](const auto& t) { return t->name == name; });
    return at == tracks.end() ? nullptr : at->get();
}

bool Session::any_solo() const {
    return std::any_of(tracks.begin(), tracks.end(), [](const auto& t) { return t->solo; });
}

Session with_track(const Session& session, TrackId id, const std::function<void(Track&)>& change) {
    Session next = session;
    for (auto& track : next.tracks) {
        if (track->id != id) continue;
        Track changed = *track;
        change(changed);
        track = std::make_shared<const Track>(std::move(changed));
    }
    return next;
}

Session with_files(const Session& session, const std::vector<fs::path>& files) {
    Session next = session;
    for (const fs::path& file : files) {
        Track track;
        track.id = next.next_id++;
        track.name = file.stem().string();
        track.file = fs::absolute(file).lexically_normal();
        track.ink = ink_of(guess_family(track.name));
        next.tracks.push_back(std::make_shared<const Track>(std::move(track)));
    }
    return next;
}

Session without_tracks(const Session& session, const std::vector<TrackId>& ids) {
    Session next = session;
    std::erase_if(next.tracks, [&](const auto& t) { return std::find(ids.begin(), ids.end(), t->id) != ids.end(); });
    return next;
}

Session with_tracks_moved(const Session& session, const std::vector<TrackId>& ids, int by) {
    Session next = session;
    auto& tracks = next.tracks;
    const auto moves = [&](size_t i) { return std::find(ids.begin(), ids.end(), tracks[i]->id) != ids.end(); };
    for (; by < 0; ++by)
        for (size_t i = 1; i < tracks.size(); ++i)
            if (moves(i) && !moves(i - 1)) std::swap(tracks[i], tracks[i - 1]);
    for (; by > 0; --by)
        for (size_t i = tracks.size(); i-- > 1;)
            if (moves(i - 1) && !moves(i)) std::swap(tracks[i - 1], tracks[i]);
    return next;
}

Session with_section(const Session& session, Section section) {
    Session next = session;
    const auto after = std::upper_bound(next.sections.begin(), next.sections.end(), section.start_s,
                                        [](double t, const Section& s) { return t < s.start_s; });
    next.sections.insert(after, std::move(section));
    return next;
}

int section_at(const Session& session, double time_s) {
    int found = -1;
    for (const Section& s : session.sections) found += s.start_s <= time_s + 1e-6 ? 1 : 0;
    return found;
}

double section_end_s(const Session& session, int section, double song_s) {
    const size_t next = static_cast<size_t>(section + 1);
    return next < session.sections.size() ? session.sections[next].start_s : song_s;
}

Result<Session> session_from_folder(const fs::path& folder, std::vector<Error>* problems) {
    auto files = audio_files_in(folder);
    if (!files) return tl::unexpected(files.error());
    if (files->empty()) return fail(folder.string(), "no audio files in this folder");
    std::vector<fs::path> readable;
    std::map<int, int> rates;
    for (const fs::path& file : *files) {
        const auto reader = SoundReader::open(file);
        if (!reader) {
            problems->push_back(reader.error());
            continue;
        }
        ++rates[reader->info().sample_rate];
        readable.push_back(file);
    }
    if (readable.empty()) return fail(folder.string(), "none of the audio files in this folder can be read");
    Session session;
    int most = 0;
    for (const auto& [rate, count] : rates)
        if (count >= most) most = count, session.sample_rate = rate;
    return with_files(session, readable);
}

namespace {

Result<double> number_in(const std::string& key, const std::string& text, double low, double high, const char* unit) {
    double value = 0.0;
    const char* begin = text.c_str() + (text.starts_with('+') ? 1 : 0);
    const char* const end = text.c_str() + text.size();
    const auto [stop, problem] = std::from_chars(begin, end, value);
    if (problem != std::errc() || stop != end || !std::isfinite(value))
        return fail("", fmt::format("{} wants a number, not '{}'", key, text));
    if (value < low || value > high)
        return fail("", fmt::format("{} goes from {:g} to {:g}{}; {} is outside", key, low, high, unit, text));
    return value;
}

Result<double> fader_value(const std::string& key, const std::string& text) {
    if (text == "-inf") return silence_db;
    auto value = number_in(key, text, -200.0, fader_max_db, " dB");
    if (value && *value < fader_floor_db) return silence_db;
    return value;
}

Result<bool> switch_value(const std::string& key, const std::string& text, const char* off, const char* on) {
    if (text == on) return true;
    if (text == off) return false;
    return fail("", fmt::format("{} is {} or {}, not '{}'", key, on, off, text));
}

Result<Target> target_value(const std::string& text) {
    const size_t first = text.find(':');
    const size_t second = first == std::string::npos ? first : text.find(':', first + 1);
    const std::string measure = text.substr(0, first);
    if (second == std::string::npos || (measure != "peak" && measure != "average"))
        return fail("", fmt::format("target is auto or MEASURE:LOW:HIGH (such as peak:-7:-5), not '{}'", text));
    const auto low = number_in("target", text.substr(first + 1, second - first - 1), -60.0, 0.0, " dBFS");
    const auto high = number_in("target", text.substr(second + 1), -60.0, 0.0, " dBFS");
    if (!low) return tl::unexpected(low.error());
    if (!high) return tl::unexpected(high.error());
    if (*low > *high) return fail("", "target wants the lower level first");
    return Target{measure == "peak" ? Measure::peak : Measure::average, *low, (*low + *high) / 2.0, *high};
}

template <class T, class U>
Result<void> assign(const Result<T>& value, U& to) {
    if (!value) return tl::unexpected(value.error());
    if constexpr (std::is_arithmetic_v<U>)
        to = static_cast<U>(*value);
    else
        to = *value;
    return {};
}

}  // namespace

Result<void> set_by_name(Track& track, const std::string& key, const std::string& value) {
    if (key == "trim") return assign(number_in(key, value, -trim_max_db, trim_max_db, " dB"), track.trim_db);
    if (key == "fader") return assign(fader_value(key, value), track.fader_db);
    if (key == "pan") return assign(number_in(key, value, -1.0, 1.0, ""), track.pan);
    if (key == "width") return assign(number_in(key, value, 0.0, 2.0, ""), track.width);
    if (key == "mute") return assign(switch_value(key, value, "off", "on"), track.mute);
    if (key == "solo") return assign(switch_value(key, value, "off", "on"), track.solo);
    if (key == "polarity") return assign(switch_value(key, value, "normal", "inverted"), track.polarity_inverted);
    if (key == "delay") {
        const auto samples = number_in(key, value, -192000.0, 192000.0, " samples");
        if (samples && *samples != std::floor(*samples)) return fail("", "delay wants a whole number of samples");
        return assign(samples, track.delay_samples);
    }
    if (key == "kind") {
        if (value == "auto") {
            track.kind.reset();
            return {};
        }
        if (value != "percussive" && value != "sustained")
            return fail("", fmt::format("kind is percussive, sustained or auto, not '{}'", value));
        track.kind = value == "percussive" ? Kind::percussive : Kind::sustained;
        return {};
    }
    if (key == "target") {
        if (value == "auto") {
            track.target.reset();
            return {};
        }
        return assign(target_value(value), track.target);
    }
    return fail(
        "",
        fmt::format(
            "'{}' is not a setting of a track (they are: trim fader pan width mute solo polarity delay kind target)",
            key));
}

Result<void> set_main_by_name(Session& session, const std::string& key, const std::string& value) {
    if (key == "fader") return assign(fader_value(key, value), session.main_fader_db);
    return fail("", fmt::format("'{}' is not a setting of the main output (it has: fader)", key));
}

}  // namespace isotonus
