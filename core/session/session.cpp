#include "core/session/session.h"
#include "core/session/pan_text.h"

#include <fmt/format.h>

#include <algorithm>
#include <charconv>
#include <cmath>
#include <map>

#include "core/audio/sound_file.h"
#include "core/session/channel.h"
#include "core/session/fields.h"
#include "core/session/routing.h"
#include "core/shape/chain.h"

namespace isotonus {

bool is_among(const std::vector<TrackId>& ids, TrackId id) {
    return std::find(ids.begin(), ids.end(), id) != ids.end();
}

const Track* Session::find(TrackId id) const {
    const auto* track = tracks.with_id(id);
    return track ? track->get() : nullptr;
}

const Track* Session::find(const std::string& name) const {
    const auto at = std::find_if(tracks.begin(), tracks.end(), [&](const auto& t) { return t->name == name; });
    return at == tracks.end() ? nullptr : at->get();
}

const Bus* Session::find_bus(TrackId id) const { return buses.with_id(id); }

const ControlGroup* Session::find_group(TrackId id) const { return groups.with_id(id); }

bool Session::any_solo() const {
    const auto on = [](const auto& row) { return row.solo; };
    return std::any_of(tracks.begin(), tracks.end(), [](const auto& t) { return t->solo; }) ||
           std::any_of(buses.begin(), buses.end(), on) || std::any_of(groups.begin(), groups.end(), on);
}

bool Session::any_group_of(TrackId member, bool ControlGroup::*flag) const {
    return std::any_of(groups.begin(), groups.end(),
                       [&](const ControlGroup& g) { return g.*flag && is_among(g.members, member); });
}

bool Session::is_open(const Track& track) const {
    if (is_muted(track)) return false;
    for (const Bus* bus = find_bus(track.output); bus; bus = find_bus(bus->output))
        if (is_muted(*bus)) return false;
    return true;
}

bool Session::is_soloed(const Track& track) const {
    if (is_soloed_itself(track) || track.solo_safe) return true;
    for (const Bus* bus = find_bus(track.output); bus; bus = find_bus(bus->output))
        if (is_soloed_itself(*bus)) return true;
    return false;
}

RowKind Session::row_kind(TrackId id) const {
    const Channel channel = channel_of(*this, id);
    return channel ? channel.kind : RowKind::track;
}

const Rides* Session::rides_of(TrackId id) const { return channel_of(*this, id).rides; }

std::string Session::name_of(TrackId id) const {
    const Channel channel = channel_of(*this, id);
    return channel ? *channel.name : std::string();
}

Session with_rides(const Session& session, TrackId row, const std::function<void(Rides&)>& change) {
    return with_channel(session, row, [&](const ChannelEdit& c) { change(*c.rides); });
}

Session with_ride(const Session& session, TrackId row, Parameter parameter, const Curve& curve) {
    return with_rides(session, row, [&](Rides& rides) {
        rides.set(parameter, curve.empty() ? nullptr : std::make_shared<const Curve>(curve));
    });
}

const Chain* Session::chain_of(TrackId id) const { return channel_of(*this, id).chain; }

bool Session::is_chain_out(TrackId id) const {
    const Channel channel = channel_of(*this, id);
    return channel.chain_out && *channel.chain_out;
}

const Sends* Session::sends_of(TrackId id) const { return channel_of(*this, id).sends; }

Session with_chain(const Session& session, TrackId row, const std::function<void(Chain&)>& change) {
    return with_channel(session, row, [&](const ChannelEdit& c) {
        if (!c.chain) return;
        change(*c.chain);
        const Rides before = *c.rides;
        for (const auto& [parameter, curve] : before.all())
            if (parameter.processor() != 0 && !find_processor(c.chain, parameter.processor()))
                c.rides->set(parameter, nullptr);
    });
}

std::vector<Parameter> parameters_of(const Session& session, TrackId row) {
    std::vector<Parameter> all;
    for (const Parameter p : parameters())
        if (can_be_ridden(session.row_kind(row), p)) all.push_back(p);
    if (const Chain* chain = session.chain_of(row))
        for (const Processor& processor : *chain)
            for (const ParameterInfo* info : parameters_of(processor)) all.emplace_back(*info, processor.id);
    if (const Sends* sends = session.sends_of(row))
        for (const Send& send : *sends)
            for (const ParameterInfo* info : parameters_of_sends()) all.push_back(Parameter::of_send(*info, send.id));
    return all;
}

bool is_in_use(const Session& session, TrackId row, Parameter parameter) {
    if (!can_be_ridden(session.row_kind(row), parameter)) return false;
    const Track* t = session.find(row);
    const bool apart = t && t->dual_pan;
    if (parameter == Parameter::pan || parameter == Parameter::width) return !apart;
    return (parameter != Parameter::left_pan && parameter != Parameter::right_pan) || apart;
}

const Send* find_send(const Session& session, TrackId row, uint64_t id) {
    const Sends* sends = session.sends_of(row);
    if (!sends || id == 0) return nullptr;
    const auto at = std::find_if(sends->begin(), sends->end(), [id](const Send& s) { return s.id == id; });
    return at == sends->end() ? nullptr : &*at;
}

std::string parameter_text(const Session& session, TrackId row, Parameter parameter) {
    const char* const id = parameter.info().id;
    if (const Send* s = find_send(session, row, parameter.send()))
        return fmt::format("send{}.{}", s - session.sends_of(row)->data() + 1, id);
    const Chain* chain = session.chain_of(row);
    const Processor* p = find_processor(chain, parameter.processor());
    if (!p) return id;
    return fmt::format("{}.{}", p - chain->data() + 1, id);
}

std::optional<Parameter> parameter_called(const Session& session, TrackId row, std::string_view name) {
    const size_t dot = name.find('.');
    for (const Parameter p : parameters_of(session, row)) {
        if (p.is_rows_own() ? name == p.info().id : name == parameter_text(session, row, p)) return p;
        if (const Send* send = find_send(session, row, p.send());
            send && name == fmt::format("send.{}.{}", session.name_of(send->to), p.info().id))
            return p;
        const Processor* processor = find_processor(session.chain_of(row), p.processor());
        if (processor && dot != std::string_view::npos && name.substr(0, dot) == processor->type &&
            name.substr(dot + 1) == p.info().id)
            return p;
    }
    return std::nullopt;
}

double own_value(const Session& session, TrackId row, Parameter parameter) {
    if (const Processor* p = find_processor(session.chain_of(row), parameter.processor()))
        return setting_of(*p, parameter.info());
    if (const Send* send = find_send(session, row, parameter.send())) {
        if (&parameter.info() == &send_parameters::in) return send->in ? 1.0 : 0.0;
        if (&parameter.info() == &send_parameters::level) return std::max(send->level_db, send_parameters::level.low);
        return send->own_pan ? send->pan : own_value(session, row, Parameter::pan);
    }
    const Channel c = channel_of(session, row);
    if (parameter == Parameter::pan) return c.pan ? *c.pan : 0.0;
    if (parameter == Parameter::width) return c.width ? *c.width : 1.0;
    if (parameter == Parameter::left_pan) return c.left_pan ? *c.left_pan : -1.0;
    if (parameter == Parameter::right_pan) return c.right_pan ? *c.right_pan : 1.0;
    // Of a group and of the main output a ride of the mute is all there is.
    if (parameter == Parameter::mute) return c.output && *c.mute ? 1.0 : 0.0;
    return 0.0;
}

double Session::group_db(TrackId member) const {
    double db = 0.0;
    for (const ControlGroup& g : groups)
        if (is_among(g.members, member)) db += g.fader_db;
    return db;
}

Session with_track(const Session& session, TrackId id, const std::function<void(Track&)>& change) {
    Session next = session;
    if (const auto* track = session.tracks.with_id(id)) {
        Track changed = **track;
        change(changed);
        const auto slot = static_cast<size_t>(track - session.tracks.items().data());
        next.tracks.change()[slot] = std::make_shared<const Track>(std::move(changed));
    }
    return next;
}

Session with_each_track(const Session& session, const std::function<void(Track&)>& change) {
    Session next = session;
    for (auto& track : next.tracks.change()) {
        Track changed = *track;
        change(changed);
        track = std::make_shared<const Track>(std::move(changed));
    }
    return next;
}

Session with_files(const Session& session, const std::vector<fs::path>& files) {
    Session next = session;
    auto& tracks = next.tracks.change();
    for (const fs::path& file : files) {
        Track track;
        track.id = next.next_id++;
        track.name = shown_text(file.stem().string());
        track.source.file = absolute_path(file);
        track.colour_index = colour_of(guess_family(track.name));
        tracks.push_back(std::make_shared<const Track>(std::move(track)));
    }
    return next;
}

Family family_of(const Track& track, const Measurement* m) {
    if (track.family) return *track.family;
    const Family said = guess_family(track.name);
    if (said != Family::other || !m || !m->sample_peak_dbfs) return said;
    const bool low = m->share_below_200_hz > 0.7;
    if (track.kind.value_or(m->kind) == Kind::percussive) return low ? Family::drums : Family::percussion;
    return low ? Family::bass : Family::other;
}

void change_what_it_is(Track& track, const Measurement* measured, const std::function<void(Track&)>& change) {
    // A track that comes in has the colour of its family by name: what it sounds like is not known yet.
    const bool follows = track.colour_index == colour_of(family_of(track, measured)) ||
                         track.colour_index == colour_of(guess_family(track.name));
    change(track);
    if (follows) track.colour_index = colour_of(family_of(track, measured));
}

bool wants_lows(const Track& track, const Measurement* m) {
    return family_of(track, m) == Family::bass || has_word(track.name, "kick");
}

Source source_of(const Track& track) {
    Source source = track.source;
    source.delay_fraction = track.delay_samples - std::floor(track.delay_samples);
    return source;
}

namespace {

/// A name without the word for its side: "Pad.L" gives "Pad" and 0, "Pad_right" "Pad" and 1; -1 when it has none.
std::pair<std::string, int> without_side(const std::string& name) {
    static constexpr std::pair<const char*, int> sides[] = {{"left", 0}, {"right", 1}, {"l", 0}, {"r", 1}};
    std::string lower;
    for (const char c : name) lower += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    for (const auto& [word, side] : sides) {
        const std::string_view text(word);
        if (lower.size() < text.size() + 2 || !lower.ends_with(text)) continue;
        const size_t at = lower.size() - text.size() - 1;
        if (std::string_view(" ._-(").find(lower[at]) == std::string_view::npos) continue;
        std::string stem = name.substr(0, at);
        while (!stem.empty() && std::string_view(" ._-").find(stem.back()) != std::string_view::npos) stem.pop_back();
        return {stem, side};
    }
    if (lower.ends_with("(l)") || lower.ends_with("(r)")) {
        std::string stem = name.substr(0, name.size() - 3);
        while (!stem.empty() && stem.back() == ' ') stem.pop_back();
        return {stem, lower[lower.size() - 2] == 'r' ? 1 : 0};
    }
    return {name, -1};
}

}  // namespace

namespace {
/// A name without the number that it begins with: the sides of a pair are often counted one after the other.
std::string_view without_number(std::string_view name) {
    const size_t at = name.find_first_not_of("0123456789 ._-");
    return at == std::string_view::npos ? name : name.substr(at);
}
}  // namespace

std::string name_without_side(const std::string& name) {
    constexpr std::string_view around = "0123456789 ._-()";
    const std::string bare = without_side(name).first;
    std::string_view kept = bare;
    while (!kept.empty() && around.find(kept.front()) != std::string_view::npos) kept.remove_prefix(1);
    while (!kept.empty() && around.find(kept.back()) != std::string_view::npos) kept.remove_suffix(1);
    return std::string(kept);
}

std::optional<std::string> shared_name_of_pair(const fs::path& left, const fs::path& right) {
    const auto [a, a_side] = without_side(left.stem().string());
    const auto [b, b_side] = without_side(right.stem().string());
    if (a_side != 0 || b_side != 1 || without_number(a) != without_number(b) || a.empty() ||
        left.parent_path() != right.parent_path())
        return std::nullopt;
    return a;
}

namespace {

/// Calls with the left and the right side of each pair and the name that they share.
void for_each_pair(const std::vector<std::shared_ptr<const Track>>& tracks,
                   const std::function<int(const fs::path&)>& channels_of,
                   const std::function<void(const Track& left, const Track& right, const std::string& name)>& use) {
    std::vector<TrackId> taken;
    for (const auto& left : tracks)
        for (const auto& right : tracks) {
            if (left == right || is_among(taken, left->id) || is_among(taken, right->id)) continue;
            if (!left->source.plain() || !right->source.plain()) continue;
            const auto name = shared_name_of_pair(left->source.file, right->source.file);
            if (!name || channels_of(left->source.file) != 1 || channels_of(right->source.file) != 1) continue;
            taken.push_back(left->id);
            taken.push_back(right->id);
            use(*left, *right, *name);
        }
}

}  // namespace

Session with_pairs_joined(const Session& session, const std::function<int(const fs::path&)>& channels_of) {
    Session next = session;
    for_each_pair(session.tracks.items(), channels_of,
                  [&](const Track& left, const Track& right, const std::string& name) {
                      next = with_track(next, left.id, [&](Track& both) {
                          both.name = name;
                          both.source.right_file = right.source.file;
                      });
                      std::erase_if(next.tracks.change(), [&](const auto& t) { return t->id == right.id; });
                  });
    return next;
}

Session with_pairs_panned(const Session& session, const std::function<int(const fs::path&)>& channels_of) {
    Session next = session;
    for_each_pair(session.tracks.items(), channels_of, [&](const Track& left, const Track& right, const std::string&) {
        next = with_track(next, left.id, [](Track& t) { t.pan = -1.0; });
        next = with_track(next, right.id, [](Track& t) { t.pan = 1.0; });
    });
    return next;
}

Session with_channels_split(const Session& session, TrackId id, int channels) {
    Session next = session;
    const auto* found = session.tracks.with_id(id);
    if (!found) return next;
    const std::shared_ptr<const Track> whole = *found;
    auto& tracks = next.tracks.change();
    auto slot = tracks.erase(tracks.begin() + (found - session.tracks.items().data()));
    for (int c = 0; c < channels; ++c) {
        Track part = *whole;
        if (c > 0) part.id = next.next_id++;
        part.name = fmt::format("{} {}", whole->name, c + 1);
        part.source.channels = Channels::one;
        part.source.channel = c;
        slot = tracks.insert(slot, std::make_shared<const Track>(std::move(part))) + 1;
    }
    return next;
}

Session with_duplicates(const Session& session, const std::vector<TrackId>& ids) {
    Session next = session;
    auto& tracks = next.tracks.change();
    for (size_t i = 0; i < tracks.size(); ++i) {
        if (!is_among(ids, tracks[i]->id)) continue;
        Track twin = *tracks[i];
        twin.id = next.next_id++;
        twin.name += " copy";
        tracks.insert(tracks.begin() + static_cast<std::ptrdiff_t>(++i),
                      std::make_shared<const Track>(std::move(twin)));
    }
    return next;
}

Session with_tracks_before(const Session& session, const std::vector<TrackId>& ids, TrackId before) {
    if (is_among(ids, before)) return session;
    Session next = session;
    std::vector<std::shared_ptr<const Track>> moved;
    for (const auto& t : session.tracks)
        if (is_among(ids, t->id)) moved.push_back(t);
    auto& tracks = next.tracks.change();
    std::erase_if(tracks, [&](const auto& t) { return is_among(ids, t->id); });
    std::erase_if(next.anchor_order, [&](TrackId id) { return is_among(ids, id); });
    const auto at = std::find_if(tracks.begin(), tracks.end(), [&](const auto& t) { return t->id == before; });
    tracks.insert(at, moved.begin(), moved.end());
    return next;
}

Session with_mix_at_rest(const Session& session) {
    Session next = session;
    next.main_fader_db = 0.0;
    next.main_rides = {};
    next.main_chain_out = true;
    for (Bus& bus : next.buses.change()) {
        bus.sends.clear();
        bus.trim_db = bus.fader_db = bus.pan = 0.0;
        bus.width = 1.0;
        bus.rides = {};
    }
    for (ControlGroup& group : next.groups.change()) group.fader_db = 0.0, group.rides = {};
    return with_each_track(next, [](Track& t) {
        t.fader_db = t.pan = t.mono_below_hz = 0.0;
        t.width = 1.0;
        t.dual_pan = false;
        t.sends.clear();
        t.rides = {};
    });
}

Session with_track_alone(const Session& session, TrackId id) {
    Session next = with_mix_at_rest(session);
    next.buses = {};
    next.groups = {};
    return with_each_track(next, [id](Track& t) {
        t.solo = t.id == id;
        t.mute = t.solo_safe = false;
    });
}

Session without_tracks(const Session& session, const std::vector<TrackId>& ids, std::vector<std::string>* told) {
    Session next = forgotten(session, ids, told);
    std::erase_if(next.tracks.change(), [&](const auto& t) { return is_among(ids, t->id); });
    return next;
}

Session with_tracks_moved(const Session& session, const std::vector<TrackId>& ids, int by) {
    Session next = session;
    auto& tracks = next.tracks.change();
    const auto moves = [&](size_t i) { return is_among(ids, tracks[i]->id); };
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
    std::vector<Section>& sections = next.sections.change();
    const auto after = std::upper_bound(sections.begin(), sections.end(), section.start_s,
                                        [](double t, const Section& s) { return t < s.start_s; });
    sections.insert(after, std::move(section));
    return next;
}

std::vector<Marker> markers_of(const Session& session) {
    std::vector<Marker> markers;
    for (const Section& s : session.sections)
        markers.push_back({s.name, std::llround(s.start_s * session.sample_rate)});
    return markers;
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
    if (files->empty())
        return fail(folder.string(),
                    translated("the folder has no audio files. Choose the folder of the exported tracks."));
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
    if (readable.empty())
        return fail(folder.string(),
                    translated("none of the audio files in the folder can be read. Export them again as WAV."));
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
        return fail("", translate("{} is a number, '{}' is not. Type a number.", key, text));
    if (value < low || value > high)
        return fail("", translate("{} goes from {:.9g} to {:.9g}{}; {} is outside. Type a value inside.", key, low,
                                  high, unit, text));
    return value;
}

Result<double> fader_value(const std::string& key, const std::string& text) {
    if (text == "-inf" || text == "off") return silence_db;
    auto value = number_in(key, text, -200.0, fader_max_db, " dB");
    if (value && *value < fader_floor_db) return silence_db;
    return value;
}

Result<bool> switch_value(const std::string& key, const std::string& text, const char* off, const char* on) {
    if (text == on) return true;
    if (text == off) return false;
    return fail("", translate("{} is {} or {}, not '{}'. Type one of the two.", key, on, off, text));
}

Result<Target> target_value(const std::string& text) {
    const size_t first = text.find(':');
    const size_t second = first == std::string::npos ? first : text.find(':', first + 1);
    const std::string measure = text.substr(0, first);
    const auto known = std::find(measure_names.begin(), measure_names.end(), measure);
    if (second == std::string::npos || known == measure_names.end())
        return fail("", translate("target is auto or MEASURE:LOW:HIGH, not '{}'. Type peak:-7:-5, for example.", text));
    const auto low = number_in("target", text.substr(first + 1, second - first - 1), -60.0, 0.0, " dBFS");
    const auto high = number_in("target", text.substr(second + 1), -60.0, 0.0, " dBFS");
    if (!low) return tl::unexpected(low.error());
    if (!high) return tl::unexpected(high.error());
    if (*low > *high)
        return fail("", translated("the first level of target is above the second. Type the lower level first."));
    return Target{static_cast<Measure>(known - measure_names.begin()), *low, (*low + *high) / 2.0, *high};
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
    if (key == "pan") {
        if (const auto pan = pan_from_text(value, false)) return track.pan = *pan, Result<void>{};
        return assign(number_in(key, value, -1.0, 1.0, ""), track.pan);
    }
    if (key == "width") return assign(number_in(key, value, 0.0, 2.0, ""), track.width);
    if (key == "mono_below") {
        if (value == "off") return track.mono_below_hz = 0.0, Result<void>{};
        return assign(number_in(key, value, mono_below_min_hz, mono_below_max_hz, " Hz"), track.mono_below_hz);
    }
    if (key == "staged_without") {
        if (value == "off") return track.staged_without.reset(), Result<void>{};
        const size_t to = value.find('-');
        if (to == std::string::npos)
            return fail(
                "", translated("staged_without is off or FROM-TO in seconds of the song. Type 12-15, for example."));
        const auto from_s = number_in(key, value.substr(0, to), 0.0, limits::latest_s, " s");
        const auto to_s = number_in(key, value.substr(to + 1), 0.0, limits::latest_s, " s");
        if (!from_s) return tl::unexpected(from_s.error());
        if (!to_s) return tl::unexpected(to_s.error());
        if (*to_s <= *from_s)
            return fail(
                "", translated("the first time of staged_without is after the second. Type the earlier time first."));
        track.staged_without = LeftOut{*from_s, *to_s};
        return {};
    }
    if (key == "solo_safe") return assign(switch_value(key, value, "off", "on"), track.solo_safe);
    if (key == "mute") return assign(switch_value(key, value, "off", "on"), track.mute);
    if (key == "solo") return assign(switch_value(key, value, "off", "on"), track.solo);
    if (key == "polarity") return assign(switch_value(key, value, "normal", "inverted"), track.polarity_inverted);
    if (key == "delay") {
        return assign(number_in(key, value, -192000.0, 192000.0, " samples"), track.delay_samples);
    }
    if (key == "kind") {
        if (value == "auto") {
            track.kind.reset();
            return {};
        }
        if (value != "percussive" && value != "sustained")
            return fail("",
                        translate("kind is percussive, sustained or auto, not '{}'. Type one of the three.", value));
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
        "", translate("'{}' is not a setting of a track. Use one of trim, fader, pan, width, mono_below, mute, solo, "
                      "solo_safe, polarity, delay, kind, target, staged_without.",
                      key));
}

Result<void> set_main_by_name(Session& session, const std::string& key, const std::string& value) {
    if (key == "fader") return assign(fader_value(key, value), session.main_fader_db);
    if (key == "pan_law") {
        const auto law = std::find(pan_law_names.begin(), pan_law_names.end(), value);
        if (law == pan_law_names.end())
            return fail("",
                        translate("'{}' is not a pan law. Use constant_power, compromise, linear or balance.", value));
        session.pan_law = static_cast<PanLaw>(law - pan_law_names.begin());
        return {};
    }
    return fail("", translate("'{}' is not a setting of the main output. Use fader or pan_law.", key));
}

}  // namespace isotonus
