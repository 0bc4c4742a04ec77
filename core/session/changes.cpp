#include "core/session/changes.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/session/channel.h"
#include "core/session/pan_text.h"
#include "core/session/routing.h"
#include "core/shape/chain.h"
#include "core/shape/parameter_label.h"
#include "core/shape/processor.h"
#include "core/words.h"

namespace isotonus {

namespace {

std::string db(double level) { return std::isinf(level) ? translated("-inf dB") : format_figures("{:.1f} dB", level); }
std::string percent(double share) { return format_figures("{:.0f} %", 100.0 * share); }

/// Collects sentences on two states of one row.
struct Words {
    const Session &then, &now;
    std::vector<std::string> found;

    template <class Value, class Text>
    void value(const std::string& what, const Value& before, const Value& after, const Text& text) {
        if (before != after) found.push_back(translate("{} {}, was {}", what, text(after), text(before)));
    }
    void flag(bool before, bool after, const std::string& on, const std::string& off) {
        if (before != after) found.push_back(after ? on : off);
    }
    template <class Value>
    void quiet(const std::string& what, const Value& before, const Value& after) {
        if (!(before == after)) found.emplace_back(what);
    }

    void chain(const Chain& before, const Chain& after);
    void sends(const Sends& before, const Sends& after);
    void rides(const Rides& before, const Rides& after, const Chain& chain_before, const Chain& chain_after);
    template <class Row>
    void mixed(const Row& before, const Row& after);
};

const ParameterInfo* info_called(const Processor& p, const std::string& id) {
    const ProcessorType* const type = processor_type(p.type);
    const ParameterInfo* const own = type ? type->find(id) : nullptr;
    if (own) return own;
    const auto common = common_parameters();
    const auto at = std::find_if(common.begin(), common.end(), [&](const ParameterInfo& i) { return id == i.id; });
    return at == common.end() ? nullptr : &*at;
}

void Words::chain(const Chain& before, const Chain& after) {
    std::vector<uint64_t> order_before, order_after;
    for (const Processor& b : before) {
        const Processor* const a = find_processor(&after, b.id);
        if (!a) {
            found.push_back(translate("{} removed", word_of(b.type)));
            continue;
        }
        order_before.push_back(b.id);
        const std::string word = word_of(b.type);
        if (b.in != a->in) found.push_back(a->in ? translate("{} on", word) : translate("{} bypassed", word));
        if (b.key != a->key)
            found.push_back(translate("{} has the sidechain source {}", word,
                                      a->key == 0 ? translated("its own channel") : now.name_of(a->key)));
        if (b.impulse != a->impulse) found.push_back(translate("{} has another impulse response", word));
        if (b.match != a->match || b.match_db != a->match_db)
            found.push_back(translate("{} has another loudness match while bypassed", word));
        if (b.type != a->type) found.push_back(translate("{} is now {}", word, word_of(a->type)));
        std::map<std::string, double, std::less<>> ids = b.values;
        ids.insert(a->values.begin(), a->values.end());
        for (const auto& [id, unused] : ids) {
            const ParameterInfo* const info = info_called(b, id);
            if (!info) continue;
            const double was = value_of(b, *info), is = value_of(*a, *info);
            if (was != is)
                found.push_back(translate("{}: {} {}, was {}", word, label_of(*info), shown_value(*info, is),
                                          shown_value(*info, was)));
        }
    }
    for (const Processor& a : after)
        if (find_processor(&before, a.id))
            order_after.push_back(a.id);
        else
            found.push_back(translate("{} added", word_of(a.type)));
    if (order_before != order_after) found.emplace_back(translated("the order of its processors has changed"));
}

void Words::sends(const Sends& before, const Sends& after) {
    const auto of = [](const Sends& all, uint64_t id) {
        const auto at = std::find_if(all.begin(), all.end(), [id](const Send& s) { return s.id == id; });
        return at == all.end() ? nullptr : &*at;
    };
    for (const Send& b : before) {
        const Send* const a = of(after, b.id);
        const std::string name = then.name_of(b.to);
        if (!a) {
            found.push_back(translate("send to {} removed", name));
            continue;
        }
        value(translate("send to {}", name), b.level_db, a->level_db, db);
        if (b.in != a->in)
            found.push_back(a->in ? translate("send to {} on", name) : translate("send to {} bypassed", name));
        if (b.before_fader != a->before_fader)
            found.push_back(a->before_fader ? translate("send to {} before the fader", name)
                                            : translate("send to {} after the fader", name));
        if (b.own_pan != a->own_pan || b.pan != a->pan || b.to != a->to)
            found.push_back(translate("send to {} with another pan", name));
    }
    for (const Send& a : after)
        if (!of(before, a.id)) found.push_back(translate("send to {} added", now.name_of(a.to)));
}

void Words::rides(const Rides& before, const Rides& after, const Chain& chain_before, const Chain& chain_after) {
    flag(before.bypassed, after.bypassed, translated("its rides are bypassed"), translated("its rides are on"));
    std::map<Parameter, std::pair<CurvePtr, CurvePtr>> both;
    for (const auto& [parameter, curve] : before.all()) both[parameter].first = curve;
    for (const auto& [parameter, curve] : after.all()) both[parameter].second = curve;
    for (const auto& [parameter, curves] : both) {
        const auto& [was, is] = curves;
        if (was && is && (was == is || *was == *is)) continue;
        const ParameterInfo& info = parameter.info();
        std::string what = label_of(info);
        for (const Chain* c : {&chain_before, &chain_after})
            if (const Processor* p = find_processor(c, parameter.processor())) {
                what = translate("{} of {}", what, word_of(p->type));
                break;
            }
        if (parameter.send() != 0) what = translate("{} of a send", what);
        if (!was)
            found.push_back(translate("ride of {} added", what));
        else if (!is)
            found.push_back(translate("ride of {} removed", what));
        else
            found.push_back(translate("ride of {} changed", what));
    }
    for (const auto& [parameter, curves] : both) {
        if (!curves.first || !curves.second || before.is_out(parameter) == after.is_out(parameter)) continue;
        found.push_back(after.is_out(parameter) ? translate("ride of {} bypassed", label_of(parameter.info()))
                                                : translate("ride of {} on", label_of(parameter.info())));
    }
}

template <class Row>
void Words::mixed(const Row& before, const Row& after) {
    value(translated("fader"), before.fader_db, after.fader_db, db);
    value(translated("trim"), before.trim_db, after.trim_db, db);
    value(translated("pan"), before.pan, after.pan, text_of_pan);
    value(translated("width"), before.width, after.width, percent);
    flag(before.mute, after.mute, translated("muted"), translated("no longer muted"));
    flag(before.solo, after.solo, translated("solo"), translated("no longer solo"));
    value(translated("output"), before.output, after.output,
          [this](TrackId id) { return now.name_of(id).empty() ? then.name_of(id) : now.name_of(id); });
    flag(before.chain_out, after.chain_out, translated("its chain is bypassed"), translated("its chain is on"));
    chain(before.chain, after.chain);
    sends(before.sends, after.sends);
    rides(before.rides, after.rides, before.chain, after.chain);
}

std::vector<std::string> words_on(const Session& then, const Session& now, const Track& b, const Track& a) {
    Words w{then, now, {}};
    w.mixed(b, a);
    w.flag(b.dual_pan, a.dual_pan, translated("dual pan on"), translated("dual pan off"));
    w.value(translated("left pan"), b.left_pan, a.left_pan, text_of_pan);
    w.value(translated("right pan"), b.right_pan, a.right_pan, text_of_pan);
    w.value(translated("mono below"), b.mono_below_hz, a.mono_below_hz,
            [](double hz) { return format_figures("{:.0f} Hz", hz); });
    w.flag(b.solo_safe, a.solo_safe, translated("solo-safe"), translated("no longer solo-safe"));
    w.flag(b.polarity_inverted, a.polarity_inverted, translated("polarity inverted"),
           translated("polarity as recorded"));
    w.value(translated("delay"), b.delay_samples, a.delay_samples,
            [](double n) { return translate("{:.2f} samples", n); });
    if (b.source.file != a.source.file)
        w.found.push_back(
            translate("plays {}, was {}", a.source.file.filename().string(), b.source.file.filename().string()));
    else if (!(b.source == a.source))
        w.found.emplace_back(translated("its clips or channels have changed"));
    return std::move(w.found);
}

std::vector<std::string> words_on(const Session& then, const Session& now, const Bus& b, const Bus& a) {
    Words w{then, now, {}};
    w.mixed(b, a);
    return std::move(w.found);
}

std::vector<std::string> words_on(const Session& then, const Session& now, const ControlGroup& b,
                                  const ControlGroup& a) {
    Words w{then, now, {}};
    w.value(translated("fader"), b.fader_db, a.fader_db, db);
    w.flag(b.mute, a.mute, translated("muted"), translated("no longer muted"));
    w.flag(b.solo, a.solo, translated("solo"), translated("no longer solo"));
    w.quiet(translated("its members have changed"), b.members, a.members);
    w.rides(b.rides, a.rides, {}, {});
    return std::move(w.found);
}

/// Rows of one kind; `at` gives the row itself.
template <class List, class Find, class At>
void compare_rows(std::vector<RowChange>& found, const Session& then, const Session& now, const List& before,
                  const List& after, const Find& find, const At& at) {
    using What = RowChange::What;
    for (const auto& item : after) {
        const auto& a = at(item);
        const auto* const b = find(then, a.id);
        if (!b)
            found.push_back({a.id, a.name, What::added, {translated("added")}});
        else if (auto words = words_on(then, now, *b, a); !words.empty())
            found.push_back({a.id, a.name, What::changed, std::move(words)});
    }
    for (const auto& item : before)
        if (const auto& b = at(item); !find(now, b.id))
            found.push_back({b.id, b.name, What::removed, {translated("removed")}});
}

bool has_channel(const Session& s, TrackId row) { return static_cast<bool>(channel_of(s, row)); }

/// Processors that listen to a row that is gone listen to their own.
void drop_lost_keys(const Session& now, Chain& chain) {
    for (Processor& p : chain)
        if (p.key != 0 && !has_channel(now, p.key)) p.key = 0;
}

/// What a row that comes back leads to may be gone.
template <class Row>
Row mended(const Session& now, Row row) {
    if (row.output != main_output && !now.find_bus(row.output)) row.output = main_output;
    std::vector<uint64_t> gone;
    std::erase_if(row.sends, [&](const Send& s) {
        if (now.find_bus(s.to)) return false;
        gone.push_back(s.id);
        return true;
    });
    Rides kept;
    kept.bypassed = row.rides.bypassed;
    for (const auto& [parameter, curve] : row.rides.all())
        if (std::find(gone.begin(), gone.end(), parameter.send()) == gone.end()) {
            kept.set(parameter, curve);
            kept.set_out(parameter, row.rides.is_out(parameter));
        }
    row.rides = std::move(kept);
    drop_lost_keys(now, row.chain);
    return row;
}

// What is not heard stays as it is now: what people call a row, think of it and want of it.
void keep_labels(ControlGroup& back, const ControlGroup& present) {
    back.name = present.name;
    back.family = present.family;
    back.colour_index = present.colour_index;
}
void keep_labels(Bus& back, const Bus& present) {
    back.name = present.name;
    back.family = present.family;
    back.colour_index = present.colour_index;
}
void keep_labels(Track& back, const Track& present) {
    back.name = present.name;
    back.kind = present.kind;
    back.family = present.family;
    back.target = present.target;
    back.locked = present.locked;
    back.anchor = present.anchor;
    back.note = present.note;
    back.count_spikes = present.count_spikes;
    back.passes_ceiling = present.passes_ceiling;
    back.colour_index = present.colour_index;
}

/// In the list where it is, or where it was.
template <class Item, class Is>
void put_in(std::vector<Item>& list, Item item, size_t was, const Is& is_it) {
    if (const auto at = std::find_if(list.begin(), list.end(), is_it); at != list.end())
        *at = std::move(item);
    else
        list.insert(list.begin() + static_cast<std::ptrdiff_t>(std::min(was, list.size())), std::move(item));
}

}  // namespace

std::vector<RowChange> changes_between(const Session& then, const Session& now) {
    std::vector<RowChange> found;
    const auto itself = [](const auto& row) -> const auto& { return row; };
    compare_rows(
        found, then, now, then.tracks, now.tracks, [](const Session& s, TrackId id) { return s.find(id); },
        [](const std::shared_ptr<const Track>& t) -> const Track& { return *t; });
    compare_rows(
        found, then, now, then.buses.items(), now.buses.items(),
        [](const Session& s, TrackId id) { return s.find_bus(id); }, itself);
    compare_rows(
        found, then, now, then.groups.items(), now.groups.items(),
        [](const Session& s, TrackId id) { return s.find_group(id); }, itself);
    Words w{then, now, {}};
    w.value(translated("main fader"), then.main_fader_db, now.main_fader_db, db);
    w.chain(then.main_chain, now.main_chain);
    w.flag(then.main_chain_out, now.main_chain_out, translated("its chain is bypassed"), translated("its chain is on"));
    w.rides(then.main_rides, now.main_rides, then.main_chain, now.main_chain);
    w.quiet(translated("the pan law has changed"), then.pan_law, now.pan_law);
    w.value(translated("sample rate"), then.sample_rate, now.sample_rate,
            [](int hz) { return fmt::format("{} Hz", hz); });
    w.flag(then.rides_bypassed, now.rides_bypassed, translated("all rides are bypassed"),
           translated("all rides are on"));
    w.flag(then.chains_out, now.chains_out, translated("all chains are bypassed"), translated("all chains are on"));
    w.quiet(translated("the tempo has changed"), then.tempo, now.tempo);
    if (!w.found.empty()) found.push_back({main_output, "main", RowChange::What::changed, std::move(w.found)});
    return found;
}

Session taken_back(const Session& now, const Session& then, TrackId row) {
    Session next = now;
    next.next_id = std::max(now.next_id, then.next_id);
    if (row == main_output) {
        next.main_fader_db = then.main_fader_db;
        next.main_chain = then.main_chain;
        drop_lost_keys(now, next.main_chain);
        next.main_chain_out = then.main_chain_out;
        next.main_rides = then.main_rides;
        next.pan_law = then.pan_law;
        next.sample_rate = then.sample_rate;
        next.rides_bypassed = then.rides_bypassed;
        next.chains_out = then.chains_out;
        next.tempo = then.tempo;
    } else if (const Track* t = then.find(row)) {
        const auto is_it = [row](const auto& x) { return x->id == row; };
        const auto was = std::find_if(then.tracks.begin(), then.tracks.end(), is_it) - then.tracks.begin();
        Track back = mended(now, *t);
        if (const Track* present = now.find(row)) keep_labels(back, *present);
        put_in(next.tracks.change(), std::make_shared<const Track>(std::move(back)), static_cast<size_t>(was), is_it);
    } else if (const Bus* b = then.find_bus(row)) {
        const auto is_it = [row](const Bus& x) { return x.id == row; };
        const auto& list = then.buses.items();
        Bus back = mended(now, *b);
        if (const Bus* present = now.find_bus(row)) keep_labels(back, *present);
        put_in(next.buses.change(), std::move(back),
               static_cast<size_t>(std::find_if(list.begin(), list.end(), is_it) - list.begin()), is_it);
    } else if (const ControlGroup* g = then.find_group(row)) {
        const auto is_it = [row](const ControlGroup& x) { return x.id == row; };
        ControlGroup back = *g;
        std::erase_if(back.members, [&](TrackId id) { return !now.find(id) && !now.find_bus(id); });
        if (const ControlGroup* present = now.find_group(row)) keep_labels(back, *present);
        put_in(next.groups.change(), std::move(back), then.groups.size(), is_it);
    } else if (now.find(row)) {
        next = without_tracks(now, {row});
    } else if (has_channel(now, row)) {
        next = without_bus_or_group(now, row);
    }
    return next;
}

Session all_taken_back(const Session& now, const Session& then) {
    Session next = then;
    next.next_id = std::max(now.next_id, then.next_id);
    next.targets = now.targets;
    next.sections = now.sections;
    next.selections = now.selections;
    next.anchor_order = now.anchor_order;
    next.hand_off = now.hand_off;
    next.recordings = now.recordings;
    next.notes = now.notes;
    next.blind_results = now.blind_results;
    next.unknown = now.unknown;
    for (const auto& t : then.tracks)
        if (const Track* present = now.find(t->id))
            next = with_track(next, t->id, [&](Track& back) { keep_labels(back, *present); });
    for (Bus& b : next.buses.change())
        if (const Bus* present = now.find_bus(b.id)) keep_labels(b, *present);
    for (ControlGroup& g : next.groups.change())
        if (const ControlGroup* present = now.find_group(g.id)) keep_labels(g, *present);
    return next;
}

}  // namespace isotonus
