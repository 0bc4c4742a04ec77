#include "core/session/sections_file.h"

#include <algorithm>
#include <cmath>

#include "core/audio/sound_file.h"
#include "core/session/fields.h"

namespace isotonus {

namespace {

/// Bytes of a MIDI file, one after the other; reading beyond the end gives 0 and is remembered.
class Bytes {
  public:
    explicit Bytes(std::string_view all) : left_(all) {}
    uint32_t number(size_t bytes) {
        uint32_t value = 0;
        for (size_t i = 0; i < bytes; ++i) value = (value << 8) | next();
        return value;
    }
    uint32_t variable() {  // seven bits a byte, at most four bytes
        uint32_t value = 0;
        for (int i = 0; i < 4; ++i) {
            const uint32_t byte = next();
            value = (value << 7) | (byte & 0x7F);
            if (!(byte & 0x80)) break;
        }
        return value;
    }
    std::string_view take(size_t count) {
        if (count > left_.size()) overrun_ = true;
        const std::string_view part = left_.substr(0, count);
        left_.remove_prefix(part.size());
        return part;
    }
    bool done() const { return left_.empty(); }
    bool overrun() const { return overrun_; }
    uint8_t peek() const { return left_.empty() ? 0 : static_cast<uint8_t>(left_.front()); }

  private:
    uint32_t next() {
        const std::string_view byte = take(1);
        return byte.empty() ? 0 : static_cast<uint8_t>(byte.front());
    }
    std::string_view left_;
    bool overrun_ = false;
};

struct MetaEvent {
    int64_t tick = 0;
    int type = 0;
    std::string data;
};

/// The meta events of one track; false when it is broken.
bool read_track(std::string_view chunk, std::vector<MetaEvent>& events) {
    Bytes in(chunk);
    int64_t tick = 0;
    uint8_t running = 0;
    while (!in.done() && !in.overrun()) {
        tick += in.variable();
        uint8_t status = in.peek();
        if (status & 0x80)
            in.take(1);
        else
            status = running;
        if (status == 0xFF) {
            const int type = static_cast<int>(in.number(1));
            events.push_back({tick, type, std::string(in.take(in.variable()))});
            if (type == 0x2F) break;
        } else if (status == 0xF0 || status == 0xF7) {
            in.take(in.variable());
        } else if (status >= 0x80 && status < 0xF0) {
            running = status;
            in.take((status & 0xE0) == 0xC0 ? 1 : 2);  // program change and channel pressure have one byte
        } else {
            return false;
        }
    }
    return !in.overrun();
}

void put(std::string& to, uint32_t value, int bytes) {
    for (int shift = 8 * (bytes - 1); shift >= 0; shift -= 8) to += static_cast<char>(value >> shift);
}

void put_variable(std::string& to, uint32_t value) {
    for (int shift = 21; shift >= 0; shift -= 7)
        if (shift == 0 || value >> shift) to += static_cast<char>(((value >> shift) & 0x7F) | (shift ? 0x80 : 0));
}

std::string track_chunk(std::vector<MetaEvent> events) {
    std::stable_sort(events.begin(), events.end(),
                     [](const MetaEvent& a, const MetaEvent& b) { return a.tick < b.tick; });
    std::string body;
    int64_t tick = 0;
    for (const MetaEvent& e : events) {
        put_variable(body, static_cast<uint32_t>(e.tick - tick));
        tick = e.tick;
        body += '\xFF';
        body += static_cast<char>(e.type);
        put_variable(body, static_cast<uint32_t>(e.data.size()));
        body += e.data;
    }
    body += std::string("\x00\xFF\x2F\x00", 4);
    std::string chunk = "MTrk";
    put(chunk, static_cast<uint32_t>(body.size()), 4);
    return chunk + body;
}

}  // namespace

Result<SectionsAndTempo> sections_from_midi(const std::string& bytes, const std::string& name) {
    Bytes in(bytes);
    if (in.take(4) != "MThd") return fail(name, translated("not a MIDI file. Choose a Standard MIDI File."));
    Bytes head(in.take(in.number(4)));
    const uint32_t format = head.number(2);
    head.number(2);
    const uint32_t division = head.number(2);
    if (head.overrun() || in.overrun()) return fail(name, translated("the MIDI file ends early. Export it again."));
    if (format > 1)
        return fail(name, translate("a MIDI file of format {} holds separate pieces. Export one song as format 0 or 1.",
                                    format));
    if (division == 0 || division & 0x8000)
        return fail(name,
                    translated("the MIDI file counts in film frames, so its markers have no beats. Export it with "
                               "ticks per quarter."));
    std::vector<MetaEvent> events;
    while (!in.done()) {
        const std::string_view type = in.take(4), chunk = in.take(in.number(4));
        if (in.overrun() || (type == "MTrk" && !read_track(chunk, events)))
            return fail(name, translated("the MIDI file is damaged or ends early. Export it again."));
    }
    std::stable_sort(events.begin(), events.end(),
                     [](const MetaEvent& a, const MetaEvent& b) { return a.tick < b.tick; });
    SectionsAndTempo found;
    TempoMark now;
    double time_s = 0.0, tick_s = 0.5 / division;
    int64_t tick = 0;
    bool any_tempo = false;
    const auto mark = [&] {
        if (!found.tempo.empty() && found.tempo.back().time_s == time_s) found.tempo.pop_back();
        now.time_s = time_s;
        found.tempo.push_back(now);
        any_tempo = true;
    };
    for (const MetaEvent& e : events) {
        time_s += static_cast<double>(e.tick - tick) * tick_s;
        tick = e.tick;
        const auto byte = [&](size_t i) { return i < e.data.size() ? static_cast<uint8_t>(e.data[i]) : 0U; };
        if (e.type == 0x51 && e.data.size() >= 3) {
            const uint32_t microseconds = std::max(1U, (byte(0) << 16) | (byte(1) << 8) | byte(2));
            now.quarters_a_minute = std::clamp(6e7 / microseconds, 1.0, 2000.0);
            tick_s = microseconds * 1e-6 / division;
            mark();
        } else if (e.type == 0x58 && e.data.size() >= 2 && byte(0) > 0 && byte(1) <= 7) {
            now.beats = static_cast<int>(byte(0));
            now.beat_unit = 1 << byte(1);
            mark();
        } else if (e.type == 0x06 || e.type == 0x07) {
            found.sections.push_back({e.data, time_s});
        }
    }
    if (found.sections.empty() && !any_tempo)
        return fail(
            name,
            translated("the MIDI file has no markers and no tempo. Add them where it was made, and export it again."));
    return found;
}

std::string sections_to_midi(const Session& session) {
    constexpr int ticks = 960;
    std::vector<TempoMark> tempo = session.tempo;
    if (tempo.empty() || tempo.front().time_s > 0.0) {
        TempoMark first = tempo.empty() ? TempoMark{} : tempo.front();
        first.time_s = 0.0;
        tempo.insert(tempo.begin(), first);
    }
    // As the file will say it: whole microseconds a quarter.
    for (TempoMark& m : tempo) m.quarters_a_minute = 6e7 / static_cast<double>(std::llround(6e7 / m.quarters_a_minute));
    std::vector<int64_t> starts{0};
    const auto tick_in = [&](size_t i, double time_s) {
        return starts[i] + std::llround((time_s - tempo[i].time_s) * tempo[i].quarters_a_minute / 60.0 * ticks);
    };
    for (size_t i = 1; i < tempo.size(); ++i) starts.push_back(tick_in(i - 1, tempo[i].time_s));
    std::vector<MetaEvent> map, markers;
    for (size_t i = 0; i < tempo.size(); ++i) {
        std::string data;
        put(data, static_cast<uint32_t>(std::llround(6e7 / tempo[i].quarters_a_minute)), 3);
        map.push_back({starts[i], 0x51, data});
        int unit = 0;
        while ((1 << unit) < tempo[i].beat_unit) ++unit;
        const std::string signature{static_cast<char>(tempo[i].beats), static_cast<char>(unit), 24, 8};
        map.push_back({starts[i], 0x58, signature});
    }
    for (const Section& s : session.sections) {
        size_t at = 0;
        while (at + 1 < tempo.size() && tempo[at + 1].time_s <= s.start_s) ++at;
        markers.push_back({tick_in(at, s.start_s), 0x06, s.name});
    }
    std::string file = "MThd";
    put(file, 6, 4);
    put(file, 1, 2);
    put(file, 2, 2);
    put(file, ticks, 2);
    return file + track_chunk(map) + track_chunk(markers);
}

Result<SectionsAndTempo> read_sections(const fs::path& file) {
    std::string extension = file.extension().string();
    for (char& c : extension) c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    if (extension == ".mid" || extension == ".midi") {
        const auto bytes = read_whole(file, limits::max_midi_bytes);
        if (!bytes) return tl::unexpected(bytes.error());
        return sections_from_midi(*bytes, file.string());
    }
    const auto reader = SoundReader::open(file);
    if (!reader) return tl::unexpected(reader.error());
    SectionsAndTempo found;
    for (const Marker& m : reader->markers())
        found.sections.push_back({m.name, static_cast<double>(m.frame) / reader->info().sample_rate});
    if (found.sections.empty())
        return fail(file.string(), translated("the file has no cue points. Choose a WAV file with cue points."));
    return found;
}

}  // namespace isotonus
