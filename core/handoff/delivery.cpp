#include "core/handoff/delivery.h"

#include <algorithm>
#include <chrono>
#include <cmath>

#include "core/audio/kernels.h"
#include "core/handoff/delivery_parts.h"
#include "core/mix/row_shares.h"
#include "core/mix/whole.h"
#include "core/session/used_files.h"

namespace isotonus {

namespace {

using Jobs = std::vector<std::unique_ptr<Job>>;

/// What all excerpts of a delivery have in common.
struct Work {
    const std::vector<Part>& parts;
    const PlanPtr& compared;  ///< what the stems must sum to; null: no stems
    const Session& session;
    const Delivery& delivery;
    const ProtectedFiles kept;
    int rate;
    double residue = 0.0;  ///< largest difference between the stems' sum and it
};

std::vector<Marker> markers_in(const Stretch& stretch, const Work& work, int plan_rate) {
    std::vector<Marker> markers;
    if (!work.delivery.cue_points) return markers;
    for (const Marker& m : markers_of(work.session))
        if (m.frame >= stretch.first && m.frame < stretch.first + stretch.frames)
            markers.push_back({m.name, (m.frame - stretch.first) * work.rate / plan_rate});
    return markers;
}

Result<std::unique_ptr<Job>> new_job(const Work& work, size_t part, const fs::path& file, const Excerpt& excerpt,
                                     const Stretch& stretch, int64_t frames, int plan_rate) {
    const Delivery& d = work.delivery;
    SoundSpec spec{d.type,      d.format, 2, work.rate, frames, d.quality, markers_in(stretch, work, plan_rate),
                   std::nullopt};
    Broadcast bext;
    if (d.bext) {
        bext.description = fmt::format("{}, {}", d.session_name, work.parts[part].name);
        bext.originator = "Isotonus";
        bext.date = d.date;
        bext.time = d.time;
        bext.time_reference = stretch.first * work.rate / plan_rate;
        spec.bext = bext;
    }
    auto writer = SoundWriter::create(file, spec, work.kept);
    if (!writer) return tl::unexpected(writer.error());
    std::unique_ptr<Job> job(new Job{{}, std::move(*writer), {}, {}, bext});
    job->out.file = file;
    job->out.part = work.parts[part].name;
    job->out.excerpt = excerpt.name;
    job->out.is_mix = work.parts[part].is_mix;
    job->packer.first_dithered = Packer::first_sample_of(stretch, part, work.rate, plan_rate);
    if (!is_lossy(d.type))
        job->measurer.emplace(2, work.rate, full_scale_of(8 * bytes_of(d.format), d.format == SampleFormat::f32));
    if (work.rate != plan_rate) {
        auto made = Resampler::create(plan_rate, work.rate, 2);
        if (!made) return fail(file.string(), made.error().what);
        job->resampler.emplace(std::move(*made));
    }
    return job;
}

/// Finds the end of a tail: the first place after the excerpt from which on 50 ms were quiet, in every file.
struct TailEnd {
    int64_t nominal_frames, quiet_wanted, rendered = 0, quiet = 0;
    /// How many samples of this piece still belong to it; `*over` when it ends there.
    size_t take(std::span<const std::vector<float>> pieces, bool* over) {
        const size_t length = pieces.front().size();
        for (size_t i = 0; i + 1 < length; i += 2) {
            float most = 0.0f;
            for (const std::vector<float>& piece : pieces)
                most = std::max({most, std::fabs(piece[i]), std::fabs(piece[i + 1])});
            quiet = most < 0.001f ? quiet + 1 : 0;
            if (rendered + static_cast<int64_t>(i / 2) + 1 < nominal_frames || quiet < quiet_wanted) continue;
            *over = true;
            return i + 2;
        }
        rendered += static_cast<int64_t>(length / 2);
        return length;
    }
};

/// One excerpt: all its parts in one pass, as whole files under temporary names.
Result<Jobs> render_excerpt(Work& work, const Excerpt& excerpt, std::span<const fs::path> files,
                            const std::function<void(double)>& tell, Progress* progress) {
    const Delivery& d = work.delivery;
    const std::vector<Part>& parts = work.parts;
    const RenderPlan& plan = *parts.front().plan;
    const Stretch nominal = held_to(excerpt.stretch, plan);
    if (nominal.frames == 0)
        return fail(files.front().string(), translated("the range to export is empty. Choose another range."));
    Stretch stretch = nominal;
    if (d.tail) stretch.frames = plan.frames - stretch.first;
    const int64_t frames = converted_frames(stretch.frames, plan.sample_rate, work.rate);
    Jobs jobs;
    for (size_t i = 0; i < parts.size(); ++i) {
        auto job = new_job(work, i, files[i], excerpt, stretch, frames, plan.sample_rate);
        if (!job) return tl::unexpected(job.error());
        jobs.push_back(std::move(*job));
    }
    std::vector<PlanPtr> plans;
    for (const Part& p : parts) plans.push_back(p.plan);
    const bool mix_is_compared = work.compared && parts.front().is_mix && work.compared == parts.front().plan;
    if (work.compared && !mix_is_compared) plans.push_back(work.compared);
    const auto put_all = [&](const std::vector<std::vector<float>>& pieces, size_t length, bool last) {
        parallel_for(static_cast<int64_t>(jobs.size()), worker_count(), [&](int64_t i) {
            Job& job = *jobs[static_cast<size_t>(i)];
            const auto put = [&](std::span<const float> samples) {
                samples =
                    samples.first(std::min(samples.size(), static_cast<size_t>(2 * (frames - job.packer.written))));
                job.put(samples, d);
            };
            if (!pieces.empty()) {
                const std::span<const float> piece(pieces[static_cast<size_t>(i)].data(), length);
                put(job.resampler ? job.resampler->convert(piece) : piece);
            }
            if (last && job.resampler) put(job.resampler->convert({}));
        });
    };
    int64_t rendered = 0;
    bool enough = false;
    TailEnd tail{nominal.frames, plan.sample_rate / 20};
    std::vector<double> sum;
    const auto sink = [&](const std::vector<std::vector<float>>& pieces) -> Result<void> {
        const size_t length =
            d.tail ? tail.take(std::span(pieces).first(parts.size()), &enough) : pieces.front().size();
        rendered += static_cast<int64_t>(length / 2);
        put_all(pieces, length, false);
        for (const auto& job : jobs)
            if (job->error) return tl::unexpected(*job->error);
        if (work.compared) {
            // In the samples as written; where rates are converted, as rendered.
            sum.assign(length, 0.0);
            for (size_t p = 0; p < parts.size(); ++p) {
                if (parts[p].is_mix) continue;
                const auto& from = jobs[p]->resampler ? pieces[p] : jobs[p]->packer.as_written;
                for (size_t i = 0; i < length; ++i) sum[i] += static_cast<double>(from[i]);
            }
            const auto& rendered = mix_is_compared ? pieces[0] : pieces.back();
            const auto& mix = mix_is_compared && !jobs[0]->resampler ? jobs[0]->packer.as_written : rendered;
            for (size_t i = 0; i < length; ++i)
                work.residue = std::max(work.residue, std::fabs(sum[i] - static_cast<double>(mix[i])));
        }
        tell(static_cast<double>(rendered) / static_cast<double>(stretch.frames));
        return {};
    };
    if (auto done = render_together(plans, stretch, d.block_frames, sink, progress, worker_count(), &enough); !done)
        return tl::unexpected(done.error());
    put_all({}, 0, true);
    for (const auto& job : jobs)
        if (auto finished = job->finish(); !finished) return tl::unexpected(finished.error());
    return jobs;
}

/// What a delivery renders: its parts, and what its stems must sum to (null: it has none).
struct Rendered {
    std::vector<Part> parts;
    PlanPtr compared;
};

/// Of the progress of a delivery, what the stems' shares take.
constexpr double shares_share = 0.4;

/// Makes the stems' shares, when they are wanted.
Result<Rendered> rendered_by(const PlanPtr& plan, const Session& session, const Delivery& d, Progress* progress) {
    Rendered all{parts_of(plan, session, d), nullptr};
    if (d.stems == StemSplit::none) return all;
    all.compared = d.stems_before_main ? without_main(*plan) : plan;
    if (!d.shares) return all;
    std::vector<PlanPtr> plans;
    std::vector<std::vector<TrackId>> sets;
    for (const Part& part : all.parts)
        if (part.is_mix)
            plans.push_back(part.plan);
        else
            sets.push_back(part.rows);
    const bool mix_is_compared = !plans.empty() && plans.front() == all.compared;
    plans.push_back(all.compared);
    Progress of_shares(progress);
    auto shared = share_out(plans, all.compared, sets, &of_shares);
    if (progress) progress->report(shares_share);
    if (!shared) return tl::unexpected(shared.error());
    auto mix = shared->plans.begin();
    auto set = shared->sets.begin();
    for (Part& part : all.parts) part.plan = part.is_mix ? *mix++ : *set++;
    all.compared = mix_is_compared ? shared->plans.front() : shared->plans.back();
    return all;
}

Result<DeliveryReport> write_delivery(const PlanPtr& plan, const Session& session, const Delivery& d,
                                      Progress* progress) {
    const auto started = std::chrono::steady_clock::now();
    if (parts_of(plan, session, d).empty())
        return fail(d.folder.string(),
                    translated("nothing to export: the mix is not selected, and every track is muted. "
                               "Select the mix or unmute a track."));
    const std::vector<fs::path> files = files_of(plan, session, d);
    const ProtectedFiles kept = protected_by(session, d.session_file);
    for (const fs::path& f : files) {
        if (auto allowed = kept.allow(f); !allowed) return tl::unexpected(allowed.error());
        if (!d.overwrite && is_there(f))
            return fail(f.string(), translated("the file already exists. Choose another name, or allow replacing it."));
    }
    for (const fs::path& f : files)
        if (f != d.mix_file)
            if (auto made = make_folder(absolute_path(f).parent_path()); !made) return tl::unexpected(made.error());

    const auto unchanged = [&]() -> Result<void> {
        if (auto same = sources_unchanged(*plan); !same || !d.finished) return same;
        return sources_unchanged(*d.finished);
    };
    if (auto same = unchanged(); !same) return tl::unexpected(same.error());
    DeliveryReport report;
    report.sample_rate = rate_for(d.type, d.sample_rate > 0 ? d.sample_rate : plan->sample_rate);
    report.format = format_in_words(d);
    const auto prepared = rendered_by(plan, session, d, progress);
    if (!prepared) return tl::unexpected(prepared.error());
    const std::vector<Part>& parts = prepared->parts;
    report.stems_compared = prepared->compared != nullptr;
    const double prepared_share = d.shares && prepared->compared ? shares_share : 0.0;
    Work work{parts, prepared->compared, session, d, kept, report.sample_rate};
    const auto excerpts = excerpts_of(d);
    Jobs jobs;
    for (size_t n = 0; n < excerpts.size(); ++n) {
        const auto tell = [&](double share) {
            if (progress)
                progress->report(prepared_share + (0.7 - prepared_share) * (static_cast<double>(n) + share) /
                                                      static_cast<double>(excerpts.size()));
        };
        auto rendered =
            render_excerpt(work, excerpts[n], std::span(files).subspan(n * parts.size(), parts.size()), tell, progress);
        if (!rendered) return tl::unexpected(rendered.error());
        std::move(rendered->begin(), rendered->end(), std::back_inserter(jobs));
    }
    if (auto same = unchanged(); !same) return tl::unexpected(same.error());
    std::vector<Result<void>> proofs(jobs.size());
    std::atomic<int> proved{0};
    parallel_for(std::ssize(jobs), worker_count(), [&](int64_t i) {
        proofs[static_cast<size_t>(i)] = prove(*jobs[static_cast<size_t>(i)], d, progress);
        if (progress) progress->report(0.7 + 0.3 * ++proved / static_cast<double>(jobs.size()));
    });
    for (const Result<void>& proof : proofs)
        if (!proof) return tl::unexpected(proof.error());
    for (const auto& job : jobs) report.files.push_back(job->out);
    report.residue_dbfs = work.residue > 0.0 ? Level(db_from_gain(work.residue)) : std::nullopt;
    report.seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - started).count();

    std::vector<PendingFile> papers;
    if (d.papers) {
        auto wanted = d.papers(report);
        if (!wanted) return tl::unexpected(wanted.error());
        for (const Paper& paper : *wanted) {
            if (!d.overwrite && is_there(paper.file))
                return fail(paper.file.string(),
                            translated("the file already exists. Choose another name, or allow replacing it."));
            auto pending = PendingFile::create(paper.file, kept);
            if (!pending) return tl::unexpected(pending.error());
            if (auto written = pending->write(0, paper.content); !written) return tl::unexpected(written.error());
            papers.push_back(std::move(*pending));
        }
    }
    if (progress && progress->cancelled()) return stopped();
    std::vector<PendingFile*> all;
    for (const auto& job : jobs) all.push_back(&job->writer.pending());
    for (PendingFile& paper : papers) all.push_back(&paper);
    if (auto named = commit_together(all); !named) return tl::unexpected(named.error());
    return report;
}

}  // namespace

Result<DeliveryReport> deliver(const PlanPtr& plan, const Session& session, const Delivery& d, Progress* progress) {
    return without_exceptions(d.folder.string(), [&] { return write_delivery(plan, session, d, progress); });
}

Result<Level> stems_residue(const PlanPtr& plan, const Session& session, const Delivery& d, Progress* progress) {
    return without_exceptions(d.folder.string(), [&]() -> Result<Level> {
        const auto prepared = rendered_by(plan, session, d, progress);
        if (!prepared) return tl::unexpected(prepared.error());
        if (!prepared->compared) return Level();
        const std::vector<Part>& parts = prepared->parts;
        const int rate = rate_for(d.type, d.sample_rate > 0 ? d.sample_rate : plan->sample_rate);
        // Where rates are converted stems are compared as they are rendered.
        const bool as_written = rate == plan->sample_rate;
        std::vector<PlanPtr> plans;
        for (const Part& part : parts) plans.push_back(part.plan);
        const bool mix_is_compared = parts.front().is_mix && prepared->compared == parts.front().plan;
        if (!mix_is_compared) plans.push_back(prepared->compared);
        double residue = 0.0;
        for (const Excerpt& e : excerpts_of(d)) {
            Stretch stretch = held_to(e.stretch, *plan);
            TailEnd tail{stretch.frames, plan->sample_rate / 20};
            if (d.tail) stretch.frames = plan->frames - stretch.first;
            std::vector<Packer> packers(parts.size());
            for (size_t p = 0; p < parts.size(); ++p)
                packers[p].first_dithered = Packer::first_sample_of(stretch, p, rate, plan->sample_rate);
            bool enough = false;
            const auto sink = [&](const std::vector<std::vector<float>>& pieces) -> Result<void> {
                const size_t length =
                    d.tail ? tail.take(std::span(pieces).first(parts.size()), &enough) : pieces.front().size();
                const auto heard = [&](size_t p) -> const std::vector<float>& {
                    if (!as_written || p >= parts.size()) return pieces[p];
                    packers[p].pack(std::span(pieces[p]).first(length), d);
                    return packers[p].as_written;
                };
                std::vector<double> sum(length, 0.0);
                for (size_t p = 0; p < parts.size(); ++p) {
                    if (parts[p].is_mix) continue;
                    const std::vector<float>& stem = heard(p);
                    for (size_t i = 0; i < length; ++i) sum[i] += static_cast<double>(stem[i]);
                }
                const std::vector<float>& mix = heard(mix_is_compared ? 0 : pieces.size() - 1);
                for (size_t i = 0; i < length; ++i)
                    residue = std::max(residue, std::fabs(sum[i] - static_cast<double>(mix[i])));
                return {};
            };
            if (auto done = render_together(plans, stretch, d.block_frames, sink, progress, worker_count(), &enough);
                !done)
                return tl::unexpected(done.error());
        }
        return residue > 0.0 ? Level(db_from_gain(residue)) : std::nullopt;
    });
}

}  // namespace isotonus
