// isotonus-cli: all of the job without a display.
// Exit status: 0 done; 1 a check did not pass; 2 wrong usage; 3 a file could not be read or written.

#include <fmt/format.h>

#include <cmath>
#include <ctime>
#include <map>

#include <CLI/CLI.hpp>
#include <nlohmann/json.hpp>

#include "cli/play.h"
#include "core/balance/track_draft.h"
#include "core/handoff/delivery.h"
#include "core/handoff/sheet.h"
#include "core/measure/measurement_json.h"
#include "core/session/session_file.h"
#include "core/stage/staging.h"
#include "demosong/song.h"

using namespace isotonus;
using nlohmann::json;

namespace {

constexpr int done = 0, check_failed = 1, wrong_usage = 2, file_trouble = 3;

int complain(const Error& error, int status = file_trouble) {
    fmt::print(stderr, "isotonus-cli: {}\n", error.text());
    return status;
}

void print(const json& document) { fmt::print("{}\n", document.dump(1, ' ', false, json::error_handler_t::replace)); }

std::string in_words(const Level& level, const char* unit) {
    return level ? fmt::format("{:.1f} {}", *level, unit) : "none";
}

/// A session with everything known about its tracks' files.
struct Opened {
    Session session;
    std::map<std::pair<TrackId, Band>, MaterialPtr> materials;  ///< none where the file cannot be used
    std::vector<MissingFile> missing;

    MaterialPtr of(const Track& track) const {
        const auto at = materials.find({track.id, track.source.band});
        return at == materials.end() ? nullptr : at->second;
    }
    PlanPtr plan(Solo solo = Solo::left_out) const {
        return compile_plan(
            session, [this](const Track& t) { return of(t); }, solo);
    }
};

Result<Opened> open_with_materials(const fs::path& file) {
    auto session = read_session(file);
    if (!session) return tl::unexpected(session.error());
    Opened opened{std::move(*session), {}, {}};
    struct Wanted {
        const Track* track;
        Source source;
        Result<MaterialPtr> found;
    };
    std::vector<Wanted> list;
    for (const auto& track : opened.session.tracks) {
        list.push_back({track.get(), source_of(*track), {}});
        if (track->low_centre_hz > 0.0)
            for (const Source& part : sources_of(*track)) list.push_back({track.get(), part, {}});
    }
    parallel_for(static_cast<int64_t>(list.size()), worker_count(), [&](int64_t i) {
        Wanted& w = list[static_cast<size_t>(i)];
        w.found = load_material(w.source, opened.session.sample_rate);
    });
    for (const Wanted& w : list) {
        if (w.found)
            opened.materials[{w.track->id, w.source.band}] = *w.found;
        else if (w.source.band == Band::all) {
            complain(w.found.error());
            opened.missing.push_back({w.track->name, w.found.error()});
        }
    }
    return opened;
}

// --- demo, scan, new, show ------------------------------------------------------------------------------------------

int make_demo(const fs::path& folder) {
    const auto written = write_demo(folder);
    return written ? done : complain(written.error());
}

int scan(const std::vector<std::string>& files, bool as_json) {
    int status = done;
    std::vector<Result<Measurer::Outcome>> found(files.size());
    parallel_for(static_cast<int64_t>(files.size()), worker_count(),
                 [&](int64_t i) { found[static_cast<size_t>(i)] = measure_file(files[static_cast<size_t>(i)]); });
    json list = json::array();
    for (size_t i = 0; i < files.size(); ++i) {
        if (!found[i]) {
            status = complain(found[i].error());
            continue;
        }
        const Measurement& m = found[i]->measurement;
        if (m.non_finite_samples > 0)
            complain({files[i], fmt::format("{} samples are not numbers (NaN or infinite); they count as silence",
                                            m.non_finite_samples)});
        if (const auto reader = SoundReader::open(files[i]); reader && !reader->info().warning.empty())
            complain({files[i], reader->info().warning});
        if (as_json) {
            json entry = measurement_to_json(m);
            entry["file"] = files[i];
            list.push_back(entry);
            continue;
        }
        fmt::print("{}\n  {} channel{}, {} Hz, {:.2f} s, {}\n", files[i], m.channels, m.channels == 1 ? "" : "s",
                   m.sample_rate, m.duration_s(), kind_name(m.kind));
        fmt::print("  sample peak {} at {:.2f} s, true peak {}, average {}, RMS {}, crest {}\n",
                   in_words(m.sample_peak_dbfs, "dBFS"), m.peak_time_s, in_words(m.true_peak_dbtp, "dBTP"),
                   in_words(m.average_dbfs, "dBFS"), in_words(m.rms_dbfs, "dBFS (AES17)"), in_words(m.crest_db, "dB"));
        fmt::print("  loudness {}, range {}, DC offset {:.4f}, clipped runs {}\n", in_words(m.integrated_lufs, "LUFS"),
                   in_words(m.loudness_range_lu, "LU"), m.dc_offset, m.clipped_runs);
    }
    if (as_json) print(list);
    return status;
}

int make_new(const fs::path& file, const fs::path& folder, bool force) {
    if (!force && fs::exists(file)) return complain({file.string(), "the file exists already (--force replaces it)"});
    std::vector<Error> problems;
    const auto session = session_from_folder(folder, &problems);
    for (const Error& p : problems) complain(p);
    if (!session) return complain(session.error());
    if (auto written = write_session(*session, file); !written) return complain(written.error());
    return problems.empty() ? done : file_trouble;
}

int show(const fs::path& file, bool as_json) {
    const auto session = read_session(file);
    if (!session) return complain(session.error());
    if (as_json) {
        print(json::parse(session_to_json(*session, fs::absolute(file).lexically_normal().parent_path())));
        return done;
    }
    fmt::print("{} tracks at {} Hz, main fader {:.1f} dB\n", session->tracks.size(), session->sample_rate,
               session->main_fader_db);
    for (const auto& t : session->tracks)
        fmt::print("  {:24} trim {:+6.1f} dB  fader {:+6.1f} dB  pan {:+.2f}{}{}{}{}\n", t->name, t->trim_db,
                   t->fader_db, t->pan, t->mute ? "  muted" : "", t->solo ? "  solo" : "",
                   t->polarity_inverted ? "  inverted" : "", t->rides.any() ? "  ridden" : "");
    return done;
}

// --- stage, set, ride -----------------------------------------------------------------------------------------------

json staging_to_json(const Track& track, const Staging& s, const std::string& why) {
    return {{"name", track.name},
            {"kind", kind_name(s.kind)},
            {"target",
             {{"measure", measure_name(s.target.measure)},
              {"low_dbfs", s.target.low_dbfs},
              {"high_dbfs", s.target.high_dbfs}}},
            {"before_dbfs", level_json(s.before_dbfs)},
            {"trim_db", s.trim_db},
            {"after_dbfs", level_json(s.after_dbfs)},
            {"limited_by_peak", s.limited_by_peak},
            {"limited_by_range", s.limited_by_range},
            {"over_ceiling_db", s.over_ceiling_db},
            {"why", why}};
}

int stage(const fs::path& file, bool as_json) {
    auto opened = open_with_materials(file);
    if (!opened) return complain(opened.error());
    const auto measured = [&](const Track& t) {
        const MaterialPtr m = opened->of(t);
        return m ? &m->measurement : nullptr;
    };
    const Session staged = with_staged_trims(opened->session, measured);
    json list = json::array();
    for (const auto& track : staged.tracks) {
        const Measurement* m = measured(*track);
        if (!m) continue;
        const Staging s = staged_as_is(staged.targets, *track, *m);
        const std::string why = why_not_in_window(staged.targets, *track, *m);
        list.push_back(staging_to_json(*track, s, why));
        if (!as_json)
            fmt::print("{:24} {:10}  {} {} -> {} (trim {:+.1f} dB){}{}\n", track->name, kind_name(s.kind),
                       measure_name(s.target.measure), in_words(s.before_dbfs, measure_unit(s.target.measure)),
                       in_words(s.after_dbfs, measure_unit(s.target.measure)), s.trim_db, why.empty() ? "" : ": " + why,
                       track->locked ? ", locked" : "");
    }
    if (auto written = write_session(staged, file); !written) return complain(written.error());
    if (as_json) print({{"tracks", list}});
    return opened->missing.empty() ? done : file_trouble;
}

int set(const fs::path& file, const std::string& name, const std::vector<std::string>& assignments) {
    auto session = read_session(file);
    if (!session) return complain(session.error());
    const Track* track = session->find(name);
    const bool is_main = !track && name == "main";
    if (!track && !is_main)
        return complain({file.string(), fmt::format("there is no track called '{}'", name)}, wrong_usage);
    Track changed = track ? *track : Track{};
    for (const std::string& assignment : assignments) {
        const size_t equals = assignment.find('=');
        if (equals == std::string::npos)
            return complain({"", fmt::format("'{}' is not KEY=VALUE", assignment)}, wrong_usage);
        const std::string key = assignment.substr(0, equals), value = assignment.substr(equals + 1);
        const auto result = is_main ? set_main_by_name(*session, key, value) : set_by_name(changed, key, value);
        if (!result) return complain(result.error(), wrong_usage);
    }
    const Session next = is_main ? *session : with_track(*session, changed.id, [&](Track& t) { t = changed; });
    const auto written = write_session(next, file);
    return written ? done : complain(written.error());
}

/// The row of this name: a track, a bus, a control group, or main.
std::optional<TrackId> row_called(const Session& session, const std::string& name) {
    if (const Track* t = session.find(name)) return t->id;
    for (const Bus& b : session.buses)
        if (b.name == name) return b.id;
    for (const ControlGroup& g : session.groups)
        if (g.name == name) return g.id;
    return name == "main" ? std::optional(main_output) : std::nullopt;
}

int ride(const fs::path& file, const std::string& name, const std::string& parameter,
         const std::vector<std::string>& points) {
    const auto session = read_session(file);
    if (!session) return complain(session.error());
    const auto row = row_called(*session, name);
    if (!row) return complain({file.string(), fmt::format("there is no row called '{}'", name)}, wrong_usage);
    const auto ridden = parameter_named(parameter);
    if (!ridden || !can_be_ridden(session->row_kind(*row), *ridden)) {
        std::string known;
        for (const ParameterInfo& p : parameters())
            if (can_be_ridden(session->row_kind(*row), p.parameter))
                known += (known.empty() ? "" : ", ") + std::string(p.id);
        return complain({"", fmt::format("'{}' cannot be ridden; {} can: {}", parameter, name, known)}, wrong_usage);
    }
    const ParameterInfo& info = info_of(*ridden);
    Curve curve;
    for (const std::string& text : points) {
        RidePoint p;
        int used = 0;
        if (std::sscanf(text.c_str(), "%lf=%lf%n", &p.time_s, &p.value, &used) != 2 ||
            used != static_cast<int>(text.size()) || !std::isfinite(p.time_s) || !(p.time_s >= 0.0))
            return complain({"", fmt::format("'{}' is not TIME=VALUE, in seconds and {}", text,
                                             *info.unit ? info.unit : "the parameter's unit")},
                            wrong_usage);
        if (!(p.value >= info.low && p.value <= info.high))
            return complain({"", fmt::format("a {} ride goes from {:g} to {:g} {}; {} is outside", info.id, info.low,
                                             info.high, info.unit, text)},
                            wrong_usage);
        if (info.law == Law::toggle) p.segment = Segment::step;
        curve.insert(p);
    }
    const auto written = write_session(with_ride(*session, *row, *ridden, curve), file);
    return written ? done : complain(written.error());
}

// --- render, check --------------------------------------------------------------------------------------------------

struct RenderOptions {
    fs::path session, out, stems;
    std::string bits = "24";
    int rate = 0, block = 4096;
    double from_s = 0.0, to_s = -1.0;
    bool as_json = false, solo = false;
};

json report_to_json(const ExportReport& r) {
    const Measurement& m = r.measured;
    return {{"file", r.file.string()},
            {"frames", m.frames},
            {"sample_rate", m.sample_rate},
            {"sample_peak_dbfs", level_json(m.sample_peak_dbfs)},
            {"true_peak_dbtp", level_json(m.true_peak_dbtp)},
            {"integrated_lufs", level_json(m.integrated_lufs)},
            {"clamped_samples", r.clamped_samples},
            {"render_seconds", r.render_seconds},
            {"realtime_factor", r.realtime_factor}};
}

int render(const RenderOptions& options) {
    const auto opened = open_with_materials(options.session);
    if (!opened) return complain(opened.error());
    const PlanPtr plan = opened->plan(options.solo ? Solo::counts : Solo::left_out);
    Export what;
    what.file = options.out;
    what.format = options.bits == "16"   ? SampleFormat::s16
                  : options.bits == "24" ? SampleFormat::s24
                                         : SampleFormat::f32;
    what.sample_rate = options.rate;
    what.block_frames = options.block;
    what.markers = markers_of(opened->session);
    what.stretch.first = std::llround(options.from_s * plan->sample_rate);
    if (options.to_s >= 0.0) {
        what.stretch.frames = std::llround(options.to_s * plan->sample_rate) - what.stretch.first;
        if (what.stretch.frames <= 0) return complain({"", "--to must lie after --from"}, wrong_usage);
    }
    const auto report = export_mix(plan, what);
    if (!report) return complain(report.error());
    json document = report_to_json(*report);
    if (!options.stems.empty()) {
        const auto stems = export_stems(plan, opened->session, options.stems, what);
        if (!stems) return complain(stems.error());
        document["stems"] = json::array();
        for (const ExportReport& r : *stems) document["stems"].push_back(report_to_json(r));
    }
    if (options.as_json) {
        print(document);
    } else {
        const Measurement& m = report->measured;
        fmt::print("{}: {:.2f} s, sample peak {}, true peak {}, loudness {}; {:.2f} s, {:.0f} times real time\n",
                   options.out.string(), m.duration_s(), in_words(m.sample_peak_dbfs, "dBFS"),
                   in_words(m.true_peak_dbtp, "dBTP"), in_words(m.integrated_lufs, "LUFS"), report->render_seconds,
                   report->realtime_factor);
    }
    if (report->clamped_samples > 0)
        complain({options.out.string(),
                  fmt::format("{} samples lay above full scale and were clipped", report->clamped_samples)});
    return opened->missing.empty() ? done : file_trouble;
}

int check(const fs::path& file, bool as_json) {
    const auto opened = open_with_materials(file);
    if (!opened) return complain(opened.error());
    const PlanPtr plan = opened->plan();
    const auto mix = measure_mix(plan);
    if (!mix) return complain(mix.error());
    CheckInput input{opened->session, *plan, *mix, opened->missing, {}, false, {}};
    input.limits = limits_of(opened->session.hand_off.profile, opened->session.hand_off.own);
    if (const auto moments = moments_of(plan, overs_of(mix->summary, plan->sample_rate, input.limits.most_peak_dbfs)))
        input.overs = *moments;
    const auto checks = check_handoff(input);
    json list = json::array();
    for (const Check& c : checks) {
        list.push_back({{"id", c.id},
                        {"passed", c.passed},
                        {"measured", level_json(c.measured)},
                        {"limit", level_json(c.limit)},
                        {"text", c.text},
                        {"notice", c.notice},
                        {"why", c.why}});
        if (!as_json) fmt::print("{}  {:20} {}\n", c.passed ? "ok  " : c.notice ? "note" : "FAIL", c.id, c.text);
    }
    if (as_json) print({{"passed", all_passed(checks)}, {"checks", list}});
    return all_passed(checks) ? done : check_failed;
}

struct DraftOptions {
    fs::path session;
    std::string track, by = "level";
    std::optional<double> to;
    double depth = 100.0;
    DraftWish wish;
};

int draft(const DraftOptions& options) {
    auto opened = open_with_materials(options.session);
    if (!opened) return complain(opened.error());
    Session& session = opened->session;
    const auto track = session.find(options.track);
    if (!track)
        return complain({options.session.string(), fmt::format("there is no track '{}'", options.track)}, wrong_usage);
    if (!opened->of(*track)) return complain({track->source.file.string(), "the file cannot be used"});
    const TrackId id = track->id;
    const CurvePtr before = track->rides[Parameter::level];
    session = with_ride(session, id, Parameter::level, {});
    const PlanPtr plan = opened->plan();
    const DraftBy by = options.by == "rest" ? DraftBy::rest : options.by == "heard" ? DraftBy::heard : DraftBy::level;
    Margins margins;
    if (by == DraftBy::heard) {
        std::map<MaterialPtr, ExcitationPtr> known;
        for (const PlanTrack& t : plan->tracks)
            if (t.heard()) known[t.material];
        std::vector<MaterialPtr> list;
        for (const auto& [material, none] : known) list.push_back(material);
        parallel_for(std::ssize(list), worker_count(), [&](int64_t i) {
            const MaterialPtr& m = list[static_cast<size_t>(i)];
            known.at(m) = excitation_of(m->ready).value_or(nullptr);
        });
        margins = margins_of(
            *plan, id, [&](const MaterialPtr& m) { return known.at(m); }, Listening{});
    }
    const TrackDraft made(*plan, id, by, std::move(margins));
    const Level middle = made.middle(options.wish);
    if (!middle) return complain({options.track, "there is no phrase to ride in this track"});
    const double unit = by == DraftBy::heard ? 100.0 : 1.0, wanted = options.to ? *options.to / unit : *middle;
    DraftWish wish = options.wish;
    wish.depth = options.depth / 100.0;
    const Curve ride = made.draft(wanted, wish, before ? *before : Curve{});
    session = with_ride(session, id, Parameter::level, ride);
    if (auto done = write_session(session, options.session); !done) return complain(done.error());
    fmt::print("{}: {} phrases to {:.1f} {} (the median was {:.1f}), {} points\n", options.track,
               made.phrases(wish, wanted).size(), wanted * unit,
               by == DraftBy::level  ? "dBFS"
               : by == DraftBy::rest ? "dB above the rest"
                                     : "% heard",
               *middle * unit, ride.points.size());
    return done;
}

struct DeliverOptions {
    fs::path session, folder;
    std::string type = "wav", bits = "24", stems = "none", note;
    int rate = 0;
    double from_s = 0.0, to_s = -1.0;
    bool before_main = false, tail = false, bext = false, force = false, sections = false, undithered = false,
         as_json = false;
};

int deliver_all(const DeliverOptions& options) {
    const auto opened = open_with_materials(options.session);
    if (!opened) return complain(opened.error());
    const Session& session = opened->session;
    const PlanPtr plan = opened->plan();
    Delivery d;
    d.folder = options.folder;
    d.session_name = options.session.stem().string();
    d.type = *file_type_named(options.type);
    d.format = options.bits == "16" ? SampleFormat::s16 : options.bits == "24" ? SampleFormat::s24 : SampleFormat::f32;
    d.stems = options.stems == "tracks"     ? StemSplit::tracks
              : options.stems == "families" ? StemSplit::families
              : options.stems == "buses"    ? StemSplit::buses
                                            : StemSplit::none;
    d.stems_before_main = options.before_main;
    d.sample_rate = options.rate;
    d.tail = options.tail;
    if (options.undithered) d.dither = Dither::none;
    d.bext = options.bext;
    d.overwrite = options.force;
    const std::time_t now = std::time(nullptr);
    std::tm local{};
    localtime_r(&now, &local);
    d.date = fmt::format("{:04}-{:02}-{:02}", local.tm_year + 1900, local.tm_mon + 1, local.tm_mday);
    d.time = fmt::format("{:02}:{:02}:{:02}", local.tm_hour, local.tm_min, local.tm_sec);
    const auto frames_at = [&](double s) { return static_cast<int64_t>(std::llround(s * plan->sample_rate)); };
    if (options.sections)
        for (size_t i = 0; i < session.sections.size(); ++i) {
            const int64_t first = frames_at(session.sections[i].start_s);
            const int64_t end = frames_at(section_end_s(session, static_cast<int>(i), plan->duration_s()));
            if (end > first) d.excerpts.push_back({session.sections[i].name, {first, end - first}});
        }
    else if (options.from_s > 0.0 || options.to_s >= 0.0) {
        if (options.to_s >= 0.0 && options.to_s <= options.from_s)
            return complain({"", "--to must lie after --from"}, wrong_usage);
        const int64_t first = frames_at(options.from_s);
        d.excerpts.push_back({"", {first, options.to_s < 0.0 ? 0 : frames_at(options.to_s) - first}});
    }
    const auto mix = measure_mix(plan);
    if (!mix) return complain(mix.error());
    CheckInput input{session, *plan, *mix, opened->missing, {}, false, {}};
    input.limits = limits_of(session.hand_off.profile, session.hand_off.own);
    if (const auto moments = moments_of(plan, overs_of(mix->summary, plan->sample_rate, input.limits.most_peak_dbfs)))
        input.overs = *moments;
    const auto checks = check_handoff(input);
    const auto report = deliver(plan, session, d);
    if (!report) return complain(report.error());
    const json sheet = sheet_to_json({session, d.session_name, d.date, *plan, checks, *report});
    const std::pair<const char*, std::string> papers[] = {{" sheet.json", sheet.dump(1) + "\n"},
                                                          {" sheet.txt", sheet_to_text(sheet)},
                                                          {" checksums.sha256", checksums_of(*report)}};
    for (const auto& [name, text] : papers)
        if (auto done = write_whole(d.folder / (d.session_name + name), text); !done) return complain(done.error());
    bool proved = true;
    for (const DeliveredFile& f : report->files) {
        proved = proved && f.proof != Proof::differs;
        if (!options.as_json)
            fmt::print("{}  {:>10}  {:>10}  {}\n", f.file.string(), in_words(f.measured.sample_peak_dbfs, "dBFS"),
                       in_words(f.measured.integrated_lufs, "LUFS"),
                       f.proof == Proof::same    ? "read back: the same samples"
                       : f.proof == Proof::alike ? "read back: the same level and length"
                                                 : "READ BACK: DIFFERS");
    }
    if (options.as_json) print(sheet);
    if (!proved) return check_failed;
    return opened->missing.empty() ? done : file_trouble;
}

int play_session(const fs::path& file, const std::string& device, double seconds, bool as_json) {
    const auto opened = open_with_materials(file);
    if (!opened) return complain(opened.error());
    const auto outcome = play(opened->plan(Solo::counts), device, seconds);
    if (!outcome) return complain(outcome.error());
    if (as_json)
        print(*outcome);
    else
        fmt::print("{}\n", outcome->dump());
    return done;
}

}  // namespace

int main(int argc, char** argv) {
    CLI::App app{"Isotonus without a display: measure, stage, balance, ride, export."};
    app.require_subcommand(1);
    app.set_version_flag("--version", "isotonus-cli " ISOTONUS_VERSION);
    app.failure_message([](const CLI::App* a, const CLI::Error& e) {
        return "isotonus-cli: " + std::string(e.what()) + "\nSee isotonus-cli " +
               (a->get_parent() ? a->get_name() + " " : "") + "--help\n";
    });
    int status = done;
    std::string session, folder, name, parameter, device = "simulated";
    std::vector<std::string> list;
    bool as_json = false, force = false;
    double seconds = 0.0;
    RenderOptions options;
    const auto verb = [&](const char* word, const char* what) { return app.add_subcommand(word, what); };
    const auto json_flag = [&](CLI::App* a) { a->add_flag("--json", as_json, "one JSON document on standard output"); };
    const auto session_argument = [&](CLI::App* a) { a->add_option("SESSION", session, "session file")->required(); };

    auto* demo_verb = verb("demo", "write the demo's audio and DIR/demo.isotonus");
    demo_verb->add_option("DIR", folder)->required();
    demo_verb->callback([&] { status = make_demo(folder); });

    auto* scan_verb = verb("scan", "measure audio files");
    scan_verb->add_option("FILE", list)->required();
    json_flag(scan_verb);
    scan_verb->callback([&] { status = scan(list, as_json); });

    auto* new_verb = verb("new", "a session from a folder of audio files");
    session_argument(new_verb);
    new_verb->add_option("--from", folder, "folder of audio files")->required();
    new_verb->add_flag("--force", force, "replace an existing session");
    new_verb->callback([&] { status = make_new(session, folder, force); });

    auto* show_verb = verb("show", "tracks and settings");
    session_argument(show_verb);
    json_flag(show_verb);
    show_verb->callback([&] { status = show(session, as_json); });

    auto* stage_verb = verb("stage", "measure, compute and store every trim by the session's target sheet");
    session_argument(stage_verb);
    json_flag(stage_verb);
    stage_verb->callback([&] { status = stage(session, as_json); });

    auto* set_verb =
        verb("set", "change settings: trim fader pan width low_centre mute solo solo_safe polarity delay kind target");
    session_argument(set_verb);
    set_verb->add_option("TRACK", name, "a track's name, or main")->required();
    set_verb->add_option("SETTINGS", list, "KEY=VALUE")->required();
    set_verb->callback([&] { status = set(session, name, list); });

    auto* ride_verb = verb("ride", "replace a ride's points: seconds = value");
    session_argument(ride_verb);
    ride_verb->add_option("TRACK", name, "a track, a bus, a control group, or main")->required();
    ride_verb->add_option("PARAMETER", parameter, "level, trim, pan, width or mute")->required();
    ride_verb->add_option("POINTS", list, "TIME=VALUE; none takes the ride away");
    ride_verb->callback([&] { status = ride(session, name, parameter, list); });

    DraftOptions drafted;
    auto* draft_verb = verb("draft", "a level ride for a track, so that its phrases sit alike");
    draft_verb->add_option("SESSION", drafted.session)->required();
    draft_verb->add_option("TRACK", drafted.track)->required();
    draft_verb->add_option("--by", drafted.by, "level, rest (of the mix) or heard (share of its bands)")
        ->check(CLI::IsMember({"level", "rest", "heard"}));
    draft_verb->add_option("--to", drafted.to, "dBFS AES17, dB above the rest, or % heard; the median if not said");
    draft_verb->add_option("--depth", drafted.depth, "% of the difference")->check(CLI::Range(0.0, 100.0));
    draft_verb->add_option("--within", drafted.wish.range_db, "dB that are left alone")->check(CLI::Range(0.0, 12.0));
    draft_verb->add_option("--up", drafted.wish.most_up_db, "dB at most")->check(CLI::Range(0.0, 12.0));
    draft_verb->add_option("--down", drafted.wish.most_down_db, "dB at most")->check(CLI::Range(0.0, 40.0));
    draft_verb->add_option("--shortest", drafted.wish.shortest_s, "seconds; shorter sounds are left alone")
        ->check(CLI::Range(0.1, 3.0));
    draft_verb->add_option("--follow", drafted.wish.follow_s, "seconds; longer phrases are followed in parts")
        ->check(CLI::Range(0.5, 30.0));
    draft_verb->callback([&] { status = draft(drafted); });

    auto* render_verb = verb("render", "export the mix as WAV");
    render_verb->add_option("SESSION", options.session)->required();
    render_verb->add_option("OUT", options.out)->required();
    render_verb->add_option("--bits", options.bits, "16, 24 or 32f")->check(CLI::IsMember({"16", "24", "32f"}));
    render_verb->add_option("--rate", options.rate, "Hz")->check(CLI::Range(8000, 768000));
    render_verb->add_option("--from", options.from_s, "seconds")->check(CLI::NonNegativeNumber);
    render_verb->add_option("--to", options.to_s, "seconds")->check(CLI::NonNegativeNumber);
    render_verb->add_option("--stems", options.stems, "a folder for one file for each track");
    render_verb->add_flag("--solo", options.solo, "render what is soloed; otherwise solo is left aside");
    render_verb->add_option("--block", options.block, "frames rendered at once")->check(CLI::Range(1, 16384));
    render_verb->add_flag("--json", options.as_json, "one JSON document on standard output");
    render_verb->callback([&] { status = render(options); });

    auto* check_verb = verb("check", "the checks before hand-off");
    session_argument(check_verb);
    json_flag(check_verb);
    check_verb->callback([&] { status = check(session, as_json); });

    DeliverOptions delivery;
    auto* deliver_verb = verb("deliver", "mix and stems into a folder, read back, with a sheet and checksums");
    deliver_verb->add_option("SESSION", delivery.session)->required();
    deliver_verb->add_option("FOLDER", delivery.folder)->required();
    deliver_verb->add_option("--type", delivery.type)
        ->check(CLI::IsMember({"wav", "aiff", "flac", "ogg", "opus", "mp3"}));
    deliver_verb->add_option("--bits", delivery.bits, "16, 24 or 32f")->check(CLI::IsMember({"16", "24", "32f"}));
    deliver_verb->add_option("--stems", delivery.stems, "none, tracks, families or buses")
        ->check(CLI::IsMember({"none", "tracks", "families", "buses"}));
    deliver_verb->add_flag("--before-main", delivery.before_main, "stems without the main fader");
    deliver_verb->add_option("--rate", delivery.rate, "Hz")->check(CLI::Range(8000, 768000));
    deliver_verb->add_option("--from", delivery.from_s, "seconds")->check(CLI::NonNegativeNumber);
    deliver_verb->add_option("--to", delivery.to_s, "seconds")->check(CLI::NonNegativeNumber);
    deliver_verb->add_flag("--sections", delivery.sections, "each section by itself");
    deliver_verb->add_flag("--tail", delivery.tail, "go on until it is silent");
    deliver_verb->add_flag("--no-dither", delivery.undithered, "16 and 24 bit rounded, without TPDF dither");
    deliver_verb->add_flag("--bext", delivery.bext, "Broadcast Wave");
    deliver_verb->add_flag("--force", delivery.force, "replace files that are there");
    deliver_verb->add_flag("--json", delivery.as_json, "the hand-off sheet on standard output");
    deliver_verb->callback([&] { status = deliver_all(delivery); });

    auto* play_verb = verb("play", "play through the real-time engine");
    session_argument(play_verb);
    play_verb->add_option("--device", device, "a device's name, or simulated")->required();
    play_verb->add_option("--seconds", seconds)->required()->check(CLI::PositiveNumber);
    json_flag(play_verb);
    play_verb->callback([&] { status = play_session(session, device, seconds, as_json); });

    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& e) {
        return app.exit(e) == 0 ? done : wrong_usage;
    }
    return status;
}
