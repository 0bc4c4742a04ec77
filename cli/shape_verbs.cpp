#include "cli/verbs.h"

#include <cmath>

#include "core/foreign/plugins.h"
#include "core/measure/measurement_json.h"
#include "core/session/channel.h"
#include "core/session/routing.h"
#include "core/session/tempo.h"
#include "core/shape/chain.h"
#include "core/shape/room_response.h"

namespace isotonus::cli {

using nlohmann::json;

namespace {

/// One KEY=VALUE of a processor.
Result<void> assign(const Session& session, Processor& processor, const std::string& assignment) {
    const size_t equals = assignment.find('=');
    if (equals == std::string::npos)
        return fail("", fmt::format("'{}' is not a setting. Write it as key=value.", assignment));
    const std::string key = assignment.substr(0, equals), text = assignment.substr(equals + 1);
    if (key == "match") {
        if (text != "on" && text != "off")
            return fail("", std::string("match is on or off. Write match=on or match=off."));
        processor.match = text == "on";
        return {};
    }
    const ProcessorType& type = *processor_type(processor.type);
    if (key == "sidechain") {
        if (!type.keyed)
            return fail("",
                        fmt::format("'{}' has no sidechain. Use a compressor, a ducker, a gate, a delay or a reverb.",
                                    processor.type));
        const auto row = row_called(session, text);
        const bool is_row = row && *row != main_output;
        if (!is_row && text != "none")
            return fail("", fmt::format("there is no channel called '{}'. {}", text, see_show));
        processor.key = is_row ? *row : 0;
        return {};
    }
    if (key == "impulse" && processor.type == "reverb") {
        processor.impulse = text == "none" ? fs::path() : absolute_path(text);
        if (processor.impulse.empty()) return {};
        if (const auto room = room_response(processor.impulse, session.sample_rate); !room)
            return tl::unexpected(room.error());
        return {};
    }
    const ParameterInfo* info = parameter_of(processor, key);
    if (!info) {
        std::string known = type.keyed ? "sidechain, match" : "match";
        for (const ParameterInfo* p : parameters_of(processor)) known += std::string(", ") + p->id;
        return fail("", fmt::format("'{}' has no parameter '{}'. Use one of: {}.", processor.type, key, known));
    }
    auto value = value_from_text(*info, text);
    if (!value) value = value_from_note(*info, session.tempo, 0.0, text);
    if (!value && takes_notes(*info) && text.starts_with("1/") && session.tempo.empty())
        return fail("", fmt::format("'{}' is a note value, and the song has no tempo. Set the tempo first.", text));
    if (!value) {
        std::string range = format_figures("a number from {:.9g} to {:.9g} {}", info->low, info->high, info->unit);
        if (!info->words.empty()) {
            range = "one of";
            for (const char* word : info->words) range += std::string(" ") + word;
        }
        return fail("", fmt::format("'{}' cannot be '{}'. Use {}.", key, text, range));
    }
    set_value(processor, *info, *value);
    // A band whose values are set is on; `band3.in=off` after them leaves it off.
    if (processor.type == "equaliser" && key.starts_with("band") && !key.ends_with(".in"))
        processor.values[key.substr(0, key.find('.')) + ".in"] = 1.0;
    return {};
}

json processor_json(const Session& session, const Processor& p, size_t position) {
    json j{{"position", position}, {"type", p.type}, {"match", p.match}, {"match_db", p.match_db}};
    if (is_plugin(p.type)) {
        j["type"] = "lv2";
        j["uri"] = uri_of_type(p.type);
        if (const auto why = plugin_fault(p.type)) j["cannot_run"] = *why;
    }
    if (!p.impulse.empty()) j["impulse"] = p.impulse.string();
    for (const ParameterInfo* info : parameters_of(p)) {
        const double value = setting_of(p, *info);
        if (info->words.empty())
            j[info->id] = value;
        else if (info == common_parameters().data())
            j[info->id] = p.in;
        else
            j[info->id] = value_text(*info, value);
    }
    if (p.key != 0) j["key"] = session.name_of(p.key);
    if (!processor_type(p.type)) j["unknown"] = true;
    return j;
}

constexpr const char* made_up = "makeup_db=auto";

/// What a compressor takes away while it works, it gives back.
int make_up(const ShapeOptions& options) {
    auto opened = open_channel(options.session, options.row);
    if (!opened) return complain(opened.error());
    const Session& session = opened->session;
    const Track* track = session.find(options.row);
    const auto recipe =
        track ? opened->signals.recipe(session, *track, [&](const Track& t) { return opened->of(t); }) : std::nullopt;
    if (!recipe)
        return complain(
            {options.session.string(), "makeup_db=auto needs a track with its file. Relink the file, or set a figure."},
            wrong_usage);
    const auto reduction = reduction_of(*recipe, options.position - 1);
    if (!reduction) return complain(reduction.error(), wrong_usage);
    return change(options.session, [&](Session& s) -> Result<void> {
        s = with_chain(s, track->id, [&](Chain& c) {
            c[options.position - 1].values["makeup_db"] = std::min(24.0, reduction->typical_db);
        });
        return {};
    });
}

void put_chain(const Session& session, const Chain& chain, const Signal* signal, const MaterialPtr& before,
               const MaterialPtr& after) {
    for (size_t n = 0; n < chain.size(); ++n) {
        const Processor& p = chain[n];
        put("{} {}{}", n + 1, p.type, p.in ? "" : " (bypassed)");
        for (const auto& [id, value] : p.values)
            if (const ParameterInfo* info = parameter_of(p, id)) put("  {} {}", id, shown_value(*info, value));
        if (p.key != 0) put("  sidechain {}", session.name_of(p.key));
        if (const auto found = signal ? signal->reduction(n) : std::nullopt)
            put("  at most {:.1f} dB at {:.1f} s, {:.1f} dB while it works", found->max_db, found->max_at_s,
                found->typical_db);
        put("\n");
    }
    if (before && after) {
        // The trim is before the chain, and not its doing.
        const double trim_db = signal ? db_from_gain(std::fabs(signal->recipe().source.gain)) : 0.0;
        Level lufs = before->measurement.integrated_lufs;
        if (lufs) *lufs += trim_db;
        put("before {}, after {}\n", in_words(lufs, "LUFS"), in_words(after->measurement.integrated_lufs, "LUFS"));
    }
}

void print_chain(const Session& session, TrackId row, const Chain& chain, const Signal* signal,
                 const MaterialPtr& before, const MaterialPtr& after) {
    json j{{"row", session.name_of(row)}, {"chain", json::array()}, {"reduction", nullptr}};
    for (size_t n = 0; n < chain.size(); ++n) {
        json p = processor_json(session, chain[n], n + 1);
        if (const auto found = signal ? signal->reduction(n) : std::nullopt) {
            const json reduction{
                {"most_db", found->max_db}, {"most_at_s", found->max_at_s}, {"typical_db", found->typical_db}};
            p["reduction"] = reduction;
            if (j["reduction"].is_null() || j["reduction"]["most_db"] < reduction["most_db"])
                j["reduction"] = reduction;
        }
        j["chain"].push_back(std::move(p));
    }
    j["before"] = before ? measurement_to_json(before->measurement) : json();
    j["after"] = after ? measurement_to_json(after->measurement) : json();
    print(j);
}

int show_chain(const ShapeOptions& options) {
    auto opened = open_channel(options.session, options.row);
    if (!opened) return complain(opened.error());
    const Session& session = opened->session;
    const auto row = row_called(session, options.row);
    const Chain* chain = row ? session.chain_of(*row) : nullptr;
    if (!chain)
        return complain({options.session.string(),
                         fmt::format("there is no channel with a chain called '{}'. {}", options.row, see_show)},
                        wrong_usage);
    MaterialPtr before, after;
    if (const Track* track = session.find(*row)) {
        before = opened->of(*track);
        after = opened->played(*track);
    } else {
        const PlanPtr plan = opened->plan();
        for (const PlanTrack& t : plan->tracks)
            if (t.id == *row) after = t.material;
    }
    const Signal* signal = after ? signal_of(after).get() : nullptr;
    if (options.as_json)
        print_chain(session, *row, *chain, signal, before, after);
    else
        put_chain(session, *chain, signal, before, after);
    return done;
}

/// The type of processor that is asked for, known by now.
Result<const ProcessorType*> wanted_type(const ShapeOptions& options, const Chain& chain, size_t at) {
    std::string wanted = options.type;
    if (wanted == "lv2") {
        const auto uri = std::find_if(options.assignments.begin(), options.assignments.end(),
                                      [](const std::string& a) { return a.starts_with("uri="); });
        if (uri == options.assignments.end() && (at >= chain.size() || !is_plugin(chain[at].type)))
            return fail("", std::string("a plug-in needs uri=URI. Use `plugins list` to see the plug-ins."));
        wanted = uri == options.assignments.end() ? chain[at].type : std::string(plugin_prefix) + uri->substr(4);
        if (auto found = find_plugins({wanted}); !found) return tl::unexpected(found.error());
        if (!plugin_type(wanted))
            return fail("", fmt::format("there is no usable plug-in '{}'. Use `plugins list` to see the plug-ins.",
                                        uri_of_type(wanted)));
    }
    const ProcessorType* type = processor_type(wanted);
    if (!type) {
        std::string known;
        for (const ProcessorType* t : processor_types()) known += (known.empty() ? "" : ", ") + std::string(t->id);
        return fail("", fmt::format("'{}' is not a processor. Use one of: {}, lv2, none.", options.type, known));
    }
    return type;
}

Result<void> set_processor(const ShapeOptions& options, Session& session) {
    const auto row = row_called(session, options.row);
    const Chain* now = row ? session.chain_of(*row) : nullptr;
    if (!now) return fail("", fmt::format("there is no channel with a chain called '{}'. {}", options.row, see_show));
    Chain chain = *now;
    const size_t at = options.position - 1;
    if (options.type == "none") {
        if (at >= chain.size())
            return fail("", fmt::format("the chain has no processor {}. Use `shape SESSION CHANNEL` to see the chain.",
                                        options.position));
        chain.erase(chain.begin() + static_cast<std::ptrdiff_t>(at));
    } else {
        const auto wanted = wanted_type(options, chain, at);
        if (!wanted) return tl::unexpected(wanted.error());
        const ProcessorType* const type = *wanted;
        if (at > chain.size())
            return fail("", fmt::format("the next free position is {}, not {}. Use that one.", chain.size() + 1,
                                        options.position));
        if (at == chain.size())
            chain.push_back(new_insert(*type, chain, is_return(session, *row)));
        else if (chain[at].type != type->id)
            chain[at] = new_insert(*type, chain, is_return(session, *row));
        for (const std::string& assignment : options.assignments)
            if (assignment == made_up || (is_plugin(type->id) && assignment.starts_with("uri=")))
                continue;  // once the whole song's reduction is known
            else if (auto assigned = assign(session, chain[at], assignment); !assigned)
                return assigned;
    }
    session = with_chain(session, *row, [&](Chain& c) { c = chain; });
    return {};
}

}  // namespace

int shape(const ShapeOptions& options) {
    if (options.position == 0) return show_chain(options);
    const int status = change(options.session, [&](Session& session) { return set_processor(options, session); });
    const bool made =
        std::find(options.assignments.begin(), options.assignments.end(), made_up) != options.assignments.end();
    return status == done && made ? make_up(options) : status;
}

int plugins(const PluginOptions& options) {
    auto all = known_plugins();
    if (options.what == "scan" || all.empty()) {
        auto found = scan_plugins();
        if (!found) return complain(found.error());
        all = std::move(*found);
    }
    all = plugins_like(all, options.words);
    if (options.as_json) {
        json list = json::array();
        for (const Plugin& p : all) {
            json j{{"uri", p.uri}, {"name", p.name}, {"class", p.kind}, {"maker", p.author}, {"missing", p.missing}};
            j["fault"] = p.fault.empty() ? json() : json(p.fault);
            j["parameters"] = json::array();
            if (p.type)
                for (const ParameterInfo& info : p.type->parameters)
                    j["parameters"].push_back({{"key", info.id},
                                               {"name", info.name},
                                               {"unit", info.unit},
                                               {"low", info.low},
                                               {"high", info.high},
                                               {"rest", info.rest}});
            list.push_back(std::move(j));
        }
        print(list);
        return done;
    }
    for (const Plugin& p : all) {
        std::string state;
        if (p.missing)
            state = "  (no longer installed)";
        else if (!p.fault.empty())
            state = fmt::format("  (cannot be used: {})", p.fault);
        put("{}  {}{}\n    {}\n", p.name, p.kind, state, p.uri);
    }
    return done;
}

}  // namespace isotonus::cli
