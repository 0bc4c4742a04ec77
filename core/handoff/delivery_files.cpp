#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <ctime>
#include <map>
#include <set>

#include "core/handoff/delivery_parts.h"
#include "core/mix/row_shares.h"
#include "core/mix/row_signals.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"

namespace isotonus {

namespace {

const char* bits_name(const Delivery& d) {
    if (is_lossy(d.type)) return file_type_name(d.type);
    if (d.format == SampleFormat::s16) return "16";
    if (d.format == SampleFormat::s24) return "24";
    return "32f";
}

/// What may stand in a file's name on any system.
std::string safe(std::string text) {
    for (char& c : text)
        if (static_cast<unsigned char>(c) < 32 || std::string_view("/\\:*?\"<>|").find(c) != std::string_view::npos)
            c = '-';
    return text;
}

/// Words in braces replaced by what they stand for, from the start to the end once: what they stand for may hold
/// braces.
std::string filled(std::string_view pattern, const std::map<std::string, std::string>& words) {
    std::string whole;
    while (!pattern.empty()) {
        const size_t close = pattern.front() == '{' ? pattern.find('}') : std::string_view::npos;
        const auto word =
            close == std::string_view::npos ? words.end() : words.find(std::string(pattern.substr(1, close - 1)));
        whole += word == words.end() ? std::string(1, pattern.front()) : word->second;
        pattern.remove_prefix(word == words.end() ? 1 : close + 1);
    }
    std::string name;
    for (const char c : safe(whole))
        if (c != ' ' || (!name.empty() && name.back() != ' ')) name += c;
    while (!name.empty() && (name.back() == ' ' || name.back() == '.')) name.pop_back();
    if (name.starts_with('.')) name.front() = '-';  // it would be a hidden file
    return name;
}

/// Cut to so many bytes, between two letters.
std::string cut_to(std::string name, size_t max_bytes) {
    if (name.size() <= max_bytes) return name;
    while (max_bytes > 0 && (static_cast<unsigned char>(name[max_bytes]) & 0xC0) == 0x80) --max_bytes;
    name.resize(max_bytes);
    return name;
}

/// Of two channels of samples.
std::optional<uintmax_t> bytes_of(const Delivery& d, double duration_s, int rate) {
    if (is_lossy(d.type)) return std::nullopt;
    return static_cast<uintmax_t>(std::llround(duration_s * rate) * 2 * bytes_of(d.format));
}

}  // namespace

int rate_for(FileType type, int wanted) {
    const auto nearest = [&](std::initializer_list<int> rates) {
        for (const int r : rates)
            if (r == wanted) return r;
        return wanted % 11025 == 0 && type == FileType::mp3 ? 44100 : 48000;
    };
    if (type == FileType::opus) return nearest({8000, 12000, 16000, 24000, 48000});
    if (type == FileType::mp3) return nearest({8000, 11025, 12000, 16000, 22050, 24000, 32000, 44100, 48000});
    return wanted;
}

std::string format_in_words(const Delivery& d) {
    if (is_lossy(d.type)) return file_type_name(d.type);
    if (d.format == SampleFormat::f32) return "32 bit float";
    const bool dithered =
        d.dither == Dither::always || (d.dither == Dither::for_16_bit && d.format == SampleFormat::s16);
    return fmt::format("{} bit{}", bits_name(d), dithered ? " with TPDF dither" : ", rounded");
}

std::vector<Excerpt> excerpts_of(const Delivery& d) {
    return d.excerpts.empty() ? std::vector<Excerpt>{Excerpt{}} : d.excerpts;
}

Stretch held_to(Stretch s, const RenderPlan& plan) {
    s.first = std::clamp<int64_t>(s.first, 0, plan.frames);
    const int64_t rest = plan.frames - s.first;
    s.frames = s.frames <= 0 ? rest : std::min(s.frames, rest);
    return s;
}

PlanPtr without_main(const RenderPlan& plan) {
    auto bare = std::make_shared<RenderPlan>(plan);
    bare->main_gain = 1.0;
    bare->main = {};
    return bare;
}

MainChainExport main_chain_export(const Session& session) {
    MainChainExport e;
    e.is_there = !session.main_chain.empty();
    e.works = is_main_shaped(session);
    if (e.works) e.mixes = session.hand_off.main_chain;
    if (!e.is_there)
        e.sentence = translated("the main output has no chain");
    else if (!e.works)
        e.sentence = translated("the main output's chain is bypassed");
    else if (e.mixes == MainChain::out)
        e.sentence = translated("the mix is exported without the main output's chain");
    else if (e.mixes == MainChain::in)
        e.sentence = translated("the mix is exported with the main output's chain");
    else
        e.sentence = translated(
            "the mix is exported twice: without the main output's chain and "
            "with it");
    return e;
}

void set_mixes(Delivery& d, const MixPlans& plans, const Session& session) {
    d.finished = plans.finished;
    d.main_chain = main_chain_export(session).mixes;
}

PlanPtr exported_plan(const MixPlans& plans, const Session& session) {
    return main_chain_export(session).mixes == MainChain::in ? plans.finished : plans.bare;
}

std::optional<std::string> clipping_warning(const Delivery& d, const Level& peak_dbfs) {
    const bool holds_it = !is_lossy(d.type) && d.format == SampleFormat::f32;
    if (holds_it || !peak_dbfs || *peak_dbfs <= 0.0) return std::nullopt;
    return translate(
        "the mix peaks at {} dBFS, and {} holds nothing above full scale: its peaks will be clipped. Turn the main "
        "fader down by {:.1f} dB.",
        signed_db(*peak_dbfs), format_in_words(d), std::ceil(*peak_dbfs * 10.0) / 10.0);
}

std::vector<Part> parts_of(const PlanPtr& plan, const Session& session, const Delivery& d) {
    std::vector<Part> parts;
    const bool two_ways = d.finished && d.finished != plan;
    if (d.mix && (!two_ways || d.main_chain != MainChain::in)) parts.push_back({"mix", true, plan});
    if (d.mix && two_ways && d.main_chain != MainChain::out)
        parts.push_back({d.main_chain == MainChain::both ? "mix with main chain" : "mix", true, d.finished});
    if (d.stems == StemSplit::none) return parts;
    const PlanPtr base = d.stems_before_main ? without_main(*plan) : plan;
    // Tracks that go together, in the order of their first one: by what joins them, whatever it is called.
    struct Set {
        std::string name;
        TrackId joined_by;  ///< a bus, a group or, from 1 on, a family; 0: one row by itself
        std::vector<TrackId> rows;
    };
    std::vector<Set> sets;
    for (const PlanTrack& t : base->tracks) {
        // Rows whose bus has a chain leave together, as that bus, unless what it makes of each is wanted.
        const Track* track = session.find(t.id);
        const Bus* const row = session.find_bus(t.id);
        const auto of_row = base->parts_of(t);
        const auto leaves = [&](const PlanPart& p) {
            return p.heard() && (d.shares || (!p.is_send() && !p.through_chain));
        };
        if ((!track && (!row || d.shares)) || std::none_of(of_row.begin(), of_row.end(), leaves)) continue;
        std::string name = session.name_of(t.id);
        TrackId joined_by = 0;
        if (d.stems == StemSplit::families) {
            std::optional<Family> family = row ? row->family : std::nullopt;
            if (track) family = family_of(*track, &t.material->measurement);
            if (family) name = family_name(*family), joined_by = 1 + static_cast<TrackId>(*family);
        } else if (d.stems == StemSplit::buses) {
            const Bus* bus = row ? row : session.find_bus(track->output);
            while (bus && bus->output != main_output) bus = session.find_bus(bus->output);
            if (bus) name = bus->name, joined_by = bus->id;
        } else if (d.stems == StemSplit::groups) {
            // Of several control groups the first one: a row leaves once.
            const auto moves = [&](TrackId member) {
                return std::find_if(session.groups.begin(), session.groups.end(), [&](const ControlGroup& g) {
                    return std::find(g.members.begin(), g.members.end(), member) != g.members.end();
                });
            };
            auto group = moves(t.id);
            const Bus* bus = session.find_bus(row ? row->output : track->output);
            for (; group == session.groups.end() && bus; bus = session.find_bus(bus->output)) group = moves(bus->id);
            if (group != session.groups.end()) name = group->name, joined_by = group->id;
        }
        const auto at = std::find_if(sets.begin(), sets.end(),
                                     [&](const Set& s) { return joined_by != 0 && s.joined_by == joined_by; });
        if (at == sets.end())
            sets.push_back({name, joined_by, {t.id}});
        else
            at->rows.push_back(t.id);
    }
    for (const Set& set : sets) parts.push_back({set.name, false, plan_of_tracks(*base, set.rows), set.rows});
    return parts;
}

std::vector<fs::path> files_of(const PlanPtr& plan, const Session& session, const Delivery& d) {
    std::vector<fs::path> files;
    for (PlannedFile& f : planned_files(plan, session, d)) files.push_back(std::move(f.file));
    return files;
}

std::vector<PlannedFile> planned_files(const PlanPtr& plan, const Session& session, const Delivery& d) {
    std::vector<PlannedFile> files;
    std::set<fs::path> taken;
    const auto excerpts = excerpts_of(d);
    const int rate = rate_for(d.type, d.sample_rate > 0 ? d.sample_rate : plan->sample_rate);
    const auto parts = parts_of(plan, session, d);
    const bool tells_part = d.pattern.find("{part}") != std::string::npos || parts.size() == 1;
    const bool tells_section = d.pattern.find("{section}") != std::string::npos || excerpts.size() == 1;
    for (const Excerpt& excerpt : excerpts) {
        int number = 0;
        for (const Part& part : parts) {
            std::string pattern = d.pattern;
            if (part.is_mix && !d.mix_name.empty())
                pattern = d.mix_name + (part.plan == plan || d.main_chain != MainChain::both ? "" : " {part}");
            else if (!tells_part)
                pattern += " {part}";
            if (!tells_section || (excerpts.size() > 1 && pattern.find("{section}") == std::string::npos))
                pattern += " {section}";
            std::string name = filled(pattern, {{"session", d.session_name},
                                                {"part", part.name},
                                                {"number", part.is_mix ? "" : fmt::format("{:02}", ++number)},
                                                {"section", excerpt.name},
                                                {"date", d.date},
                                                {"rate", fmt::format("{}", rate)},
                                                {"bits", bits_name(d)}});
            if (name.empty()) name = safe(part.name);
            const bool has_own = part.is_mix && !d.mix_file.empty() && excerpts.size() == 1;
            fs::path file = has_own ? d.mix_file : fs::path();
            for (int n = 1; file.empty() || !taken.insert(file).second; ++n) {
                const std::string ending = (n > 1 ? fmt::format(" {}", n) : "") + "." + file_type_name(d.type);
                constexpr size_t longest_file_name = 255;  // bytes, on Linux
                file = d.folder / (cut_to(name, longest_file_name - ending.size()) + ending);
            }
            const double duration_s = static_cast<double>(held_to(excerpt.stretch, *plan).frames) / plan->sample_rate;
            files.push_back({file, duration_s, bytes_of(d, duration_s, rate)});
        }
    }
    return files;
}

void date_now(Delivery& d) {
    const std::time_t now = std::time(nullptr);
    std::tm local{};
    localtime_r(&now, &local);
    d.date = fmt::format("{:04}-{:02}-{:02}", local.tm_year + 1900, local.tm_mon + 1, local.tm_mday);
    d.time = fmt::format("{:02}:{:02}:{:02}", local.tm_hour, local.tm_min, local.tm_sec);
}

Result<Excerpt> excerpt_between(const RenderPlan& plan, double from_s, std::optional<double> to_s) {
    const double song_s = plan.duration_s();
    if (!std::isfinite(from_s) || from_s < 0.0 || (to_s && !std::isfinite(*to_s)))
        return fail("", translated("a time in the song is a number of seconds from 0. Type it as 12.5, for example."));
    if (from_s >= song_s)
        return fail("", translate("{:g} s is after the end of the song, which lasts {:.3f} s. Choose an earlier time.",
                                  from_s, song_s));
    if (to_s && *to_s <= from_s) return fail("", translated("the end is before the start. Swap the two times."));
    const int64_t first = std::llround(from_s * plan.sample_rate);
    const int64_t end = to_s && *to_s < song_s ? std::llround(*to_s * plan.sample_rate) : plan.frames;
    if (end <= first)
        return fail("", translated("the two times are less than one sample apart. Choose a longer range."));
    return Excerpt{"", {first, end - first}};
}

std::vector<Excerpt> section_excerpts(const Session& session, const RenderPlan& plan) {
    std::vector<Excerpt> excerpts;
    for (size_t i = 0; i < session.sections.size(); ++i) {
        const double end_s = section_end_s(session, static_cast<int>(i), plan.duration_s());
        if (auto excerpt = excerpt_between(plan, session.sections[i].start_s, end_s))
            excerpts.push_back({session.sections[i].name, excerpt->stretch});
    }
    return excerpts;
}

Delivery with_free_names(const PlanPtr& plan, const Session& session, const Delivery& delivery,
                         const std::function<std::vector<fs::path>(const Delivery&)>& more) {
    const auto all_of = [&](const Delivery& d) {
        std::vector<fs::path> files = files_of(plan, session, d);
        if (more)
            for (fs::path& f : more(d)) files.push_back(std::move(f));
        return files;
    };
    const std::vector<fs::path> wanted = all_of(delivery);
    const auto is_free = [&](const Delivery& d) {
        const std::vector<fs::path> files = all_of(d);
        return std::none_of(files.begin(), files.end(), [](const fs::path& f) { return is_there(f); });
    };
    Delivery next = delivery;
    next.overwrite = false;
    // A name that is cut since it is too long takes no number: then there is no free one.
    constexpr int most = 10000;
    for (int n = 2; n < most && !is_free(next) && (n == 2 || all_of(next) != wanted); ++n) {
        const std::string number = fmt::format(" {}", n);
        next.session_name = delivery.session_name + number;
        if (delivery.pattern.find("{session}") == std::string::npos) next.pattern = delivery.pattern + number;
        if (!delivery.mix_name.empty()) next.mix_name = delivery.mix_name + number;
        if (!delivery.mix_file.empty())
            next.mix_file = delivery.mix_file.parent_path() /
                            (delivery.mix_file.stem().string() + number + delivery.mix_file.extension().string());
    }
    return next;
}

}  // namespace isotonus
