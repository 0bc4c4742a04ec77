#include <cmath>

#include "cli/play.h"
#include "cli/verbs.h"
#include "core/handoff/papers.h"
#include "core/measure/measurement_json.h"
#include "core/session/fields.h"
#include "core/session/prints.h"
#include "core/session/session_file.h"
#include "engine/device.h"

namespace isotonus::cli {

using nlohmann::json;

namespace {

SampleFormat format_named(const std::string& bits) {
    if (bits == "16") return SampleFormat::s16;
    if (bits == "24") return SampleFormat::s24;
    return SampleFormat::f32;
}

/// The excerpt that --from and --to ask for; none when neither does.
Result<std::vector<Excerpt>> excerpts_between(const RenderPlan& plan, double from_s, double to_s) {
    const bool to_the_end = to_s == no_time_s;
    if (from_s == 0.0 && to_the_end) return std::vector<Excerpt>();
    auto excerpt = excerpt_between(plan, from_s, to_the_end ? std::nullopt : std::optional(to_s));
    if (!excerpt) return tl::unexpected(excerpt.error());
    return std::vector<Excerpt>{*excerpt};
}

json file_to_json(const DeliveredFile& f, double seconds) {
    const Measurement& m = f.measured;
    return {{"file", shown_text(f.file.string())},
            {"frames", m.frames},
            {"sample_rate", m.sample_rate},
            {"sample_peak_dbfs", level_json(m.sample_peak_dbfs)},
            {"true_peak_dbtp", level_json(m.true_peak_dbtp)},
            {"integrated_lufs", level_json(m.integrated_lufs)},
            {"clamped_samples", f.clamped_samples},
            {"render_seconds", seconds},
            {"realtime_factor", m.duration_s() / std::max(1e-9, seconds)}};
}

/// What was asked for on the command line goes before what the session says.
void take_main_chain(Session& session, const std::string& wanted) {
    constexpr std::array<std::string_view, 3> words{"bypassed", "on", "both"};  // in the order of MainChain
    const auto way = std::find(words.begin(), words.end(), wanted);
    if (way != words.end()) session.hand_off.main_chain = static_cast<MainChain>(way - words.begin());
}

void complain_about_clipping(const DeliveryReport& report) {
    for (const DeliveredFile& f : report.files)
        if (f.clamped_samples > 0)
            complain({f.file.string(),
                      fmt::format("{} above full scale {} clipped. Turn the main fader down and export again.",
                                  counted(static_cast<size_t>(f.clamped_samples), "sample"),
                                  f.clamped_samples == 1 ? "was" : "were")});
}

/// Before anything is written, from the peak that the checks have found.
void warn_of_clipping(const Delivery& d, const std::vector<Check>& checks) {
    for (const Check& c : checks)
        if (const auto warning = c.id == "headroom" ? clipping_warning(d, c.measured) : std::nullopt)
            complain({d.folder.string(), *warning});
}

/// The mix of an export, in the session's list.
Result<void> keep_as_print(const Opened& opened, const fs::path& session_file, const DeliveryReport& report) {
    const auto mix = std::find_if(report.files.begin(), report.files.end(), [](const auto& f) { return f.is_mix; });
    if (mix == report.files.end()) return {};
    Delivery now;
    date_now(now);
    return keep_print(session_file, opened.session, mix->file, mix->measured, now.date + ' ' + now.time.substr(0, 5));
}

}  // namespace

int render(const RenderOptions& options) {
    const Solo solo = options.solo ? Solo::counts : Solo::left_out;
    const bool once = options.stems.empty() && options.from_s == 0.0 && options.to_s == no_time_s;
    auto opened = once ? open_to_render(options.session, solo) : open_with_materials(options.session);
    if (!opened) return complain(opened.error());
    take_main_chain(opened->session, options.main_chain);
    if (auto whole = opened->check_whole(options.out, options.without_missing); !whole) return complain(whole.error());
    if (!once && options.solo)
        if (auto made = opened->make_signals(solo); !made) return complain(made.error());
    const MixPlans plans = opened->mix_plans(solo);
    const PlanPtr plan = plans.bare;
    auto excerpts = excerpts_between(*plan, options.from_s, options.to_s);
    if (!excerpts) return complain(excerpts.error(), wrong_usage);
    Delivery d;
    d.mix_file = options.out;
    set_mixes(d, plans, opened->session);
    d.folder = options.stems.empty() ? options.out.parent_path() : options.stems;
    d.stems = options.stems.empty() ? StemSplit::none : StemSplit::tracks;
    d.pattern = "{number} {part}";
    d.session_name = options.session.stem().string();
    d.format = format_named(options.bits);
    d.sample_rate = options.rate;
    d.block_frames = options.block;
    d.excerpts = std::move(*excerpts);
    d.overwrite = true;
    d.checksums = false;
    d.session_file = options.session;
    if (options.as_print) d = with_free_names(plan, opened->session, d);
    const auto report = deliver(plan, opened->session, d);
    if (!report) return complain(report.error());
    if (options.as_print)
        if (auto kept = keep_as_print(*opened, options.session, *report); !kept) return complain(kept.error());
    const DeliveredFile& mix = report->files.front();
    const MainChainExport main_chain = main_chain_export(opened->session);
    if (options.as_json) {
        json document = file_to_json(mix, report->seconds);
        document["main_chain"] = main_chain_names[static_cast<size_t>(main_chain.mixes)];
        for (size_t n = 1; n < report->files.size(); ++n)
            document["stems"].push_back(file_to_json(report->files[n], report->seconds));
        print(document);
    } else {
        const Measurement& m = mix.measured;
        put("{}: {:.2f} s, sample peak {}, true peak {}, loudness {}; {:.2f} s, {:.0f} times real time\n",
            mix.file.string(), m.duration_s(), in_words(m.sample_peak_dbfs, "dBFS"), in_words(m.true_peak_dbtp, "dBTP"),
            in_words(m.integrated_lufs, "LUFS"), report->seconds, m.duration_s() / std::max(1e-9, report->seconds));
        if (main_chain.is_there) put("{}\n", main_chain.sentence);
    }
    complain_about_clipping(*report);
    return done;
}

int check(const fs::path& file, bool as_json) {
    const auto opened = open_with_materials(file);
    if (!opened) return complain(opened.error());
    const auto checks =
        checks_of(opened->session, exported_plan(opened->mix_plans(), opened->session), opened->missing);
    if (!checks) return complain(checks.error());
    if (as_json) {
        json list = json::array();
        for (const Check& c : *checks)
            list.push_back({{"id", c.id},
                            {"passed", c.passed},
                            {"measured", level_json(c.measured)},
                            {"limit", level_json(c.limit)},
                            {"text", c.text},
                            {"notice", c.notice},
                            {"group", check_group_names[static_cast<size_t>(c.group)]},
                            {"unit", c.unit},
                            {"why", c.why}});
        print({{"passed", all_passed(*checks)}, {"checks", list}});
    } else {
        const auto outcome_of = [](const Check& c) {
            if (c.passed) return "ok  ";
            return c.notice ? "note" : "FAIL";
        };
        for (const Check& c : *checks) put("{}  {:20} {}\n", outcome_of(c), c.id, c.text);
    }
    return all_passed(*checks) ? done : check_failed;
}

namespace {

/// The files of a delivery, and how far its stems will be from the mix.
int list_exported_files(const PlanPtr& plan, const Session& session, const Delivery& d, bool as_json) {
    const std::vector<fs::path> files = files_of(plan, session, d);
    const auto residue = stems_residue(plan, session, d);
    if (!residue) return complain(residue.error());
    if (as_json) {
        json list = json::array();
        for (const fs::path& f : files) list.push_back(f.string());
        print({{"files", list}, {"stems_residue_dbfs", level_json(*residue)}});
        return done;
    }
    for (const fs::path& f : files) put("{}\n", f.string());
    if (d.stems != StemSplit::none)
        put("{}\n",
            *residue ? format_figures("the sum of the stems will differ from the mix by at most {:.1f} dBFS", **residue)
                     : "the stems will sum to the mix");
    return done;
}

}  // namespace

int deliver_all(const DeliverOptions& options) {
    auto opened = open_with_materials(options.session);
    if (!opened) return complain(opened.error());
    take_main_chain(opened->session, options.main_chain);
    if (auto whole = opened->check_whole(options.folder, options.without_missing); !whole)
        return complain(whole.error());
    const Session& session = opened->session;
    const MixPlans plans = opened->mix_plans();
    const PlanPtr plan = plans.bare;
    Delivery d;
    set_mixes(d, plans, session);
    d.folder = options.folder;
    d.session_name = options.session.stem().string();
    d.type = *file_type_named(options.type);
    d.format = format_named(options.bits);
    if (options.stems == "tracks")
        d.stems = StemSplit::tracks;
    else if (options.stems == "families")
        d.stems = StemSplit::families;
    else if (options.stems == "buses")
        d.stems = StemSplit::buses;
    else if (options.stems == "groups")
        d.stems = StemSplit::groups;
    else
        d.stems = StemSplit::none;
    d.stems_before_main = options.before_main;
    d.shares = options.shares;
    d.sample_rate = options.rate;
    d.tail = options.tail;
    if (options.undithered) d.dither = Dither::none;
    d.bext = options.bext;
    d.overwrite = options.force;
    d.session_file = options.session;
    date_now(d);
    auto excerpts =
        options.sections ? section_excerpts(session, *plan) : excerpts_between(*plan, options.from_s, options.to_s);
    if (!excerpts) return complain(excerpts.error(), wrong_usage);
    d.excerpts = std::move(*excerpts);
    const PlanPtr exported = exported_plan(plans, session);
    const auto checks = checks_of(session, exported, opened->missing);
    if (!checks) return complain(checks.error());
    if (options.as_print) d = with_free_names(plan, session, d, paper_files);
    warn_of_clipping(d, *checks);
    if (options.dry_run) return list_exported_files(plan, session, d, options.as_json);
    json sheet;
    d.papers = [&](const DeliveryReport& report) -> Result<std::vector<Paper>> {
        sheet = sheet_to_json({session, d.session_name, d.date, *exported, *checks, report, opened->left_out()});
        return papers_of(d, sheet, report);
    };
    const auto report = deliver(plan, session, d);
    if (!report) return complain(report.error());
    if (options.as_print)
        if (auto kept = keep_as_print(*opened, options.session, *report); !kept) return complain(kept.error());
    complain_about_clipping(*report);
    if (options.as_json)
        print(sheet);
    else
        for (const DeliveredFile& f : report->files)
            put("{}  {:>10}  {:>10}  {}\n", f.file.string(), in_words(f.measured.sample_peak_dbfs, "dBFS"),
                in_words(f.measured.integrated_lufs, "LUFS"),
                f.proof == Proof::same ? "verified: the same samples" : "verified: the same level and length");
    return done;
}

int list_devices(bool as_json) {
    const std::vector<std::string> names = device_names();
    if (as_json)
        print(nlohmann::json(names));
    else
        for (const std::string& name : names)
            put("{}\n", name == system_output ? name + "  (what the desktop plays through)" : name);
    return done;
}

int play_session(const PlayOptions& options) {
    const auto opened = open_with_materials(options.session);
    if (!opened) return complain(opened.error());
    if (auto whole = opened->check_whole(options.session, options.without_missing); !whole)
        return complain(whole.error());
    const auto outcome = play(opened->plan(Solo::counts), options.device, options.seconds);
    if (!outcome) return complain(outcome.error());
    if (options.as_json)
        print(*outcome);
    else
        put("{}\n", outcome->dump());
    return done;
}

}  // namespace isotonus::cli
