#include "cli/command.h"

#include <algorithm>

#include "core/foreign/plugins.h"
#include "core/handoff/delivery.h"
#include "core/mix/whole.h"
#include "core/session/channel.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "core/session/validate.h"
#include "core/stage/alignment.h"
#include "core/words.h"

namespace isotonus::cli {

using nlohmann::json;

int complain(const Error& error, int status) {
    fmt::print(stderr, "isotonus-cli: {}\n", printable(error.text()));
    return status;
}

std::string counted(size_t count, const char* word) {
    return fmt::format("{} {}{}", count, word, count == 1 ? "" : "s");
}

std::optional<double> seconds_in(const std::string& text) {
    char* end = nullptr;
    const double seconds = std::strtod(text.c_str(), &end);
    return text.empty() || *end != '\0' ? std::nullopt : std::optional(seconds);
}

void put_lines(std::string_view text) {
    for (;;) {
        const size_t end = text.find('\n');
        put("{}\n", text.substr(0, end));
        if (end == std::string_view::npos || end + 1 == text.size()) return;
        text.remove_prefix(end + 1);
    }
}

void print(const json& document) { fmt::print("{}\n", document.dump(1, ' ', false, json::error_handler_t::replace)); }

std::string in_words(const Level& level, const char* unit) {
    if (!level) return "none";
    const bool to_full_scale = std::string_view(unit).starts_with("dBFS") || std::string_view(unit) == "dBTP";
    return to_full_scale ? fmt::format("{} {}", signed_db(*level), unit) : format_figures("{:.1f} {}", *level, unit);
}

std::optional<TrackId> row_called(const Session& session, const std::string& name) {
    if (const Track* t = session.find(name)) return t->id;
    for (const Bus& b : session.buses)
        if (b.name == name) return b.id;
    for (const ControlGroup& g : session.groups)
        if (g.name == name) return g.id;
    return name == "main" ? std::optional(main_output) : std::nullopt;
}

Result<std::vector<TrackId>> rows_called(const Session& session, const std::vector<std::string>& names) {
    std::vector<TrackId> rows;
    for (const std::string& name : names) {
        const auto row = row_called(session, name);
        if (!row || !channel_of(session, *row).output)
            return fail("", fmt::format("there is no track or bus called '{}'. {}", name, see_show));
        rows.push_back(*row);
    }
    return rows;
}

Result<void> no_such_row(const fs::path& file, const std::string& name) {
    return fail(file.string(), fmt::format("there is no channel called '{}'. {}", name, see_show));
}

int change(const fs::path& file, const std::function<Result<void>(Session&)>& change_it) {
    bool wrong = false;
    const auto changed = change_session(file, [&](Session& session) {
        auto result = change_it(session);
        if (result) result = validate(session);
        wrong = !result;
        return result;
    });
    if (changed) return done;
    return complain(changed.error(), wrong ? wrong_usage : file_trouble);
}

MaterialPtr Opened::of(const Track& track) const {
    const auto at = materials.find(source_key(source_of(track)));
    return at == materials.end() ? nullptr : at->second;
}

MaterialPtr Opened::played(const Track& track) const {
    return signals.played(session, track, [this](const Track& t) { return of(t); });
}

MaterialOf Opened::plays() const {
    return signals.played_by(session, [this](const Track& t) { return of(t); });
}

PlanPtr Opened::plan(Solo solo) const { return compile_plan(session, plays(), solo); }

MixPlans Opened::mix_plans(Solo solo) const { return compile_mix_plans(session, plays(), solo); }

Result<void> Opened::make_signals(Solo solo) {
    return signals.make(
        session, [this](const Track& t) { return of(t); }, nullptr, worker_count(), solo);
}

std::vector<std::string> Opened::left_out() const {
    std::vector<std::string> all;
    for (const MissingFile& m : missing) all.push_back(fmt::format("{}: {}", m.track, m.error.text()));
    const bool with_main = main_chain_export(session).mixes != MainChain::out;
    for (const AbsentProcessor& p : absent_processors(session, *mix_plans().finished, with_main)) all.push_back(p.text);
    return all;
}

Result<void> Opened::check_whole(const fs::path& about, bool without_missing) const {
    // Files were complained about when they were opened.
    std::vector<std::string> all = left_out();
    for (size_t n = missing.size(); n < all.size(); ++n) complain({{}, all[n]});
    if (all.empty() || without_missing) return {};
    return fail(about.string(), std::string("the mix is incomplete, so nothing was done. Fix what is missing, or add "
                                            "--without-missing to go on without it."));
}

namespace {

/// Plug-ins that the session names are looked for now that they are to be heard.
Result<Session> read_to_hear(const fs::path& file) {
    auto session = read_session(file);
    if (!session) return session;
    const std::vector<std::string> types = plugins_named(*session);
    const auto is_known = [](const std::string& type) { return plugin_type(type) != nullptr; };
    const bool all_known = std::all_of(types.begin(), types.end(), is_known);
    if (auto found = find_plugins(types); !found) complain(found.error());
    // What a plug-in that was not known is set to can be understood now.
    return all_known ? std::move(session) : read_session(file);
}

/// Without the signals of its rows; of these rows alone when they are named.
Result<Opened> open_with_files(const fs::path& file, const std::function<std::set<TrackId>(const Session&)>& rows) {
    auto session = read_to_hear(file);
    if (!session) return tl::unexpected(session.error());
    remove_stale_parts(real_path(file).parent_path());
    tidy_cache();
    Opened opened{std::move(*session), {}, {}, {}, nullptr};
    struct Wanted {
        const Track* track;
        Source source;
        Result<MaterialPtr> found;
    };
    std::vector<Wanted> list;
    const std::set<TrackId> named = rows ? rows(opened.session) : std::set<TrackId>();
    for (const auto& track : opened.session.tracks) {
        if (rows && !named.contains(track->id)) continue;
        list.push_back({track.get(), source_of(*track), {}});
        if (track->mono_below_hz > 0.0)
            for (const Source& part : sources_of(*track)) list.push_back({track.get(), part, {}});
    }
    parallel_for(static_cast<int64_t>(list.size()), worker_count(), [&](int64_t i) {
        Wanted& w = list[static_cast<size_t>(i)];
        w.found = load_material(w.source, opened.session.sample_rate);
    });
    for (const Wanted& w : list) {
        if (w.found)
            opened.materials[source_key(w.source)] = *w.found;
        else if (w.source.band == Band::all) {
            complain(w.found.error());
            opened.missing.push_back({w.track->name, w.found.error()});
        }
    }
    return opened;
}

}  // namespace

StartingLevels starting_levels_of(const Opened& opened) {
    StartingLevels levels;
    levels.family = [&opened](const Track& t) {
        const MaterialPtr m = opened.of(t);
        return family_of(t, m ? &m->measurement : nullptr);
    };
    levels.microphones = microphone_sets(opened.session, [&opened](const Track& t) { return opened.of(t); });
    return levels;
}

Result<Opened> open_files(const fs::path& file) { return open_with_files(file, {}); }

Result<Opened> open_with_materials(const fs::path& file) {
    auto opened = open_with_files(file, {});
    if (!opened) return opened;
    if (auto made = opened->make_signals(Solo::left_out); !made) return tl::unexpected(made.error());
    return opened;
}

Result<Opened> open_channel(const fs::path& file, const std::string& name) {
    std::optional<TrackId> channel;
    auto opened = open_with_files(file, [&](const Session& session) {
        channel = row_called(session, name);
        return channel ? needed_by(session, *channel) : std::set<TrackId>();
    });
    if (!opened || !channel) return opened;
    auto made = opened->signals.make_channel(opened->session, *channel, [&](const Track& t) { return opened->of(t); });
    if (!made) return tl::unexpected(made.error());
    return opened;
}

Result<Opened> open_to_render(const fs::path& file, Solo solo) {
    auto opened = open_with_files(file, {});
    if (!opened) return opened;
    opened->streams = opened->signals.stream(
        opened->session, [&](const Track& t) { return opened->of(t); }, solo);
    if (opened->streams) return opened;
    if (auto made = opened->make_signals(solo); !made) return tl::unexpected(made.error());
    return opened;
}

}  // namespace isotonus::cli
