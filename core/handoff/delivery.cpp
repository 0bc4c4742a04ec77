#include "core/handoff/delivery.h"

#include <fmt/format.h>
#include <openssl/evp.h>

#include <algorithm>
#include <chrono>
#include <cmath>
#include <ctime>
#include <map>
#include <set>

#include "core/audio/kernels.h"
#include "core/audio/resample.h"
#include "core/files/hash.h"
#include "core/mix/row_shares.h"
#include "core/mix/row_signals.h"
#include "core/mix/whole.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"

namespace isotonus {

namespace {

/// Rates that a type holds, when they are few.
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

SampleFormat packing_of(const Delivery& d) { return is_lossy(d.type) ? SampleFormat::f32 : d.format; }

const char* bits_name(const Delivery& d) {
    if (is_lossy(d.type)) return file_type_name(d.type);
    return d.format == SampleFormat::s16 ? "16" : d.format == SampleFormat::s24 ? "24" : "32f";
}

std::string format_in_words(const Delivery& d) {
    if (is_lossy(d.type)) return file_type_name(d.type);
    if (d.format == SampleFormat::f32) return "32 bit float";
    const bool dithered =
        d.dither == Dither::always || (d.dither == Dither::for_16_bit && d.format == SampleFormat::s16);
    return fmt::format("{} bit{}", bits_name(d), dithered ? " with TPDF dither" : ", rounded");
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
std::string cut_to(std::string name, size_t most_bytes) {
    if (name.size() <= most_bytes) return name;
    while (most_bytes > 0 && (static_cast<unsigned char>(name[most_bytes]) & 0xC0) == 0x80) --most_bytes;
    name.resize(most_bytes);
    return name;
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

/// Of two channels of samples.
std::optional<uintmax_t> bytes_of(const Delivery& d, double duration_s, int rate) {
    if (is_lossy(d.type)) return std::nullopt;
    return static_cast<uintmax_t>(std::llround(duration_s * rate) * 2 * bytes_of(d.format));
}

/// What samples become in a file: held within what the format holds, and dithered by their place.
struct Packer {
    /// Where its dither begins: by its place in the song, so that sections join without a seam; each part has noise
    /// of its own, since alike the stems' would add up.
    int64_t dither_place = 0, written = 0;
    int64_t clamped = 0;
    std::vector<unsigned char> packed = {};
    std::vector<float> as_written = {};  ///< of the last piece
    std::vector<float> clamped_to_one = {};

    static int64_t place_of(const Stretch& stretch, size_t part, int rate, int plan_rate) {
        return 2 * (stretch.first * rate / plan_rate) + static_cast<int64_t>(part) * 0x9E3779B1LL;
    }
    /// Returns the samples that a lossy encoder gets, else those that came.
    std::span<const float> pack(std::span<const float> samples, const Delivery& d) {
        const SampleFormat format = packing_of(d);
        if (is_lossy(d.type)) {
            // Encoders end the program on samples far beyond full scale, and players clip what lies above it anyway.
            clamped_to_one.assign(samples.begin(), samples.end());
            for (float& x : clamped_to_one) {
                if (std::fabs(x) > 1.0f) ++clamped;
                x = std::clamp(x, -1.0f, 1.0f);
            }
            samples = clamped_to_one;
        }
        packed.resize(samples.size() * static_cast<size_t>(bytes_of(format)));
        clamped += pack_samples(samples, format, dither_place + 2 * written, packed.data(), d.dither);
        written += static_cast<int64_t>(samples.size() / 2);
        as_written.resize(samples.size());
        unpack_samples(packed, format, as_written.data());
        return samples;
    }
};

/// One file, from its first sample until it gets its name.
struct Job {
    DeliveredFile out;
    SoundWriter writer;
    std::optional<Resampler> resampler;
    std::optional<Measurer> measurer;  ///< of the samples as they are written; lossy files are measured when read back
    Broadcast bext;
    Hash hash = {};
    Packer packer = {};
    double square = 0.0;
    std::optional<Error> error = {};

    void put(std::span<const float> samples, const Delivery& d) {
        samples = packer.pack(samples, d);
        out.clamped_samples = packer.clamped;
        const std::vector<float>& written = packer.as_written;
        hash.add(written.data(), written.size() * sizeof(float));
        if (is_lossy(d.type))
            for (const float x : samples) square += static_cast<double>(x) * static_cast<double>(x);
        if (measurer) measurer->add(written.data(), std::ssize(written) / 2);
        if (auto done = writer.write(packer.packed); !done && !error) error = done.error();
    }

    /// Nothing comes any more: the file is made whole.
    Result<void> finish() {
        if (error) return tl::unexpected(*error);
        if (measurer) {
            out.measured = measurer->finish().measurement;
            measurer.reset();
        }
        if (bext.originator.empty()) return writer.finish();
        bext.loudness_lufs = out.measured.integrated_lufs;
        bext.range_lu = out.measured.loudness_range_lu;
        bext.true_peak_dbtp = out.measured.true_peak_dbtp;
        bext.momentary_lufs = out.measured.max_momentary_lufs;
        bext.short_term_lufs = out.measured.max_short_term_lufs;
        writer.finish_bext(bext);
        return writer.finish();
    }
};

/// Reads a file back under its temporary name: whether it holds what was rendered, and says so in its header.
Result<void> prove(Job& job, const Delivery& d, Progress* progress) {
    const fs::path& file = job.writer.pending().temporary();
    const std::string name = job.out.file.string();
    const auto differs = [&](const std::string& what) {
        return fail(name, say("what was written is not what was rendered, so that nothing was replaced: {}", what));
    };
    const auto promised = frames_by_header(file, d.type);
    if (!promised) return differs(promised.error().what);
    if (*promised && **promised != job.packer.written)
        return differs(say("its header says {} frames, {} were rendered", **promised, job.packer.written));
    auto reader = SoundReader::open(file);
    if (!reader) return differs(reader.error().what);
    const SoundInfo& info = reader->info();
    std::optional<Measurer> measurer;
    if (is_lossy(d.type)) measurer.emplace(info.channels, info.sample_rate, full_scale_of(info.bits, info.floating));
    Hash hash;
    constexpr int64_t piece = 4096;  // so that what is read stays in the processor's cache until it is hashed
    std::vector<float> samples(static_cast<size_t>(piece * info.channels));
    double square = 0.0;
    for (int64_t at = 0; at < info.frames; at += piece) {
        if (progress && progress->cancelled()) return stopped();
        const int64_t frames = std::min(piece, info.frames - at);
        if (auto done = reader->read(at, frames, samples.data()); !done) return differs(done.error().what);
        const std::span<const float> got(samples.data(), static_cast<size_t>(frames * info.channels));
        hash.add(got.data(), got.size_bytes());
        if (!measurer) continue;
        measurer->add(samples.data(), frames);
        for (const float x : got) square += static_cast<double>(x) * static_cast<double>(x);
    }
    if (measurer) {
        job.out.measured = measurer->finish().measurement;
        job.out.proof = Proof::alike;
        // Codecs leave the top of the spectrum out (of white noise 1.8 dB), and what is quieter than -80 dBFS
        // altogether.
        const double quiet = 1e-8 * static_cast<double>(2 * job.packer.written);
        if (std::fabs(10.0 * std::log10((square + quiet) / (job.square + quiet))) >= 3.0)
            return differs(said("its level is another"));
        if (std::llabs(info.frames - job.packer.written) > 3000)
            return differs(say("it has {} frames, {} were rendered", info.frames, job.packer.written));
    } else if (info.frames != job.packer.written || hash.value() != job.hash.value()) {
        return differs(said("its samples are others"));
    }
    if (d.checksums) {
        auto sum = sha256_of(file, progress);
        if (!sum) return tl::unexpected(sum.error());
        job.out.sha256 = *sum;
    }
    job.out.bytes = static_cast<uintmax_t>(job.writer.pending().bytes());
    return {};
}

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
    job->packer.dither_place = Packer::place_of(stretch, part, work.rate, plan_rate);
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
        return fail(files.front().string(), said("there is nothing to export: the range holds no samples"));
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
            const auto& mix = !mix_is_compared     ? pieces.back()
                              : jobs[0]->resampler ? pieces[0]
                                                   : jobs[0]->packer.as_written;
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

/// The same plan with nothing on the main output.
PlanPtr without_main(const RenderPlan& plan) {
    auto bare = std::make_shared<RenderPlan>(plan);
    bare->main_gain = 1.0;
    bare->main = {};
    return bare;
}

}  // namespace

MainChainExport main_chain_export(const Session& session) {
    MainChainExport e;
    e.is_there = !session.main_chain.empty();
    e.works = is_main_shaped(session);
    if (e.works) e.mixes = session.hand_off.main_chain;
    e.sentence = !e.is_there                 ? said("the main output has no chain")
                 : !e.works                  ? said("the main output's chain is bypassed")
                 : e.mixes == MainChain::out ? said("the mix is exported without the main output's chain")
                 : e.mixes == MainChain::in  ? said("the mix is exported with the main output's chain")
                                             : said(
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
    return say(
        "the mix peaks at {} dBFS, and {} holds nothing above full scale: its peaks will be clipped; turn the "
        "main fader down by {:.1f} dB",
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
        return fail("", said("a time of the song is a number of seconds, from 0 on"));
    if (from_s >= song_s)
        return fail("", say("{:g} s lies after the end of the song, which lasts {:.3f} s", from_s, song_s));
    if (to_s && *to_s <= from_s) return fail("", said("the end must lie after the start"));
    const int64_t first = std::llround(from_s * plan.sample_rate);
    const int64_t end = to_s && *to_s < song_s ? std::llround(*to_s * plan.sample_rate) : plan.frames;
    if (end <= first) return fail("", said("there is not one sample between these times"));
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

namespace {

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
        return fail(d.folder.string(), said("there is nothing to export: no mix is wanted, and no track is heard"));
    const std::vector<fs::path> files = files_of(plan, session, d);
    const ProtectedFiles kept = protected_by(session, d.session_file);
    for (const fs::path& f : files) {
        if (auto allowed = kept.allow(f); !allowed) return tl::unexpected(allowed.error());
        if (!d.overwrite && is_there(f)) return fail(f.string(), said("the file exists already"));
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
            if (!d.overwrite && is_there(paper.file)) return fail(paper.file.string(), said("the file exists already"));
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
                packers[p].dither_place = Packer::place_of(stretch, p, rate, plan->sample_rate);
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

Result<std::string> sha256_of(const fs::path& file, const Progress* progress) {
    auto opened = PooledFile::open(file);
    if (!opened) return tl::unexpected(opened.error());
    const std::unique_ptr<EVP_MD_CTX, decltype(&EVP_MD_CTX_free)> sum(EVP_MD_CTX_new(), &EVP_MD_CTX_free);
    EVP_DigestInit_ex(sum.get(), EVP_sha256(), nullptr);
    std::string piece(1 << 20, '\0');
    for (int64_t at = 0; at < (*opened)->bytes();) {
        if (progress && progress->cancelled()) return stopped();
        int problem = 0;
        const int64_t got = (*opened)->read(at, piece.data(), static_cast<int64_t>(piece.size()), &problem);
        if (problem || got == 0) return fail(file.string(), said("the file cannot be read"));
        EVP_DigestUpdate(sum.get(), piece.data(), static_cast<size_t>(got));
        at += got;
    }
    unsigned char digest[EVP_MAX_MD_SIZE];
    unsigned size = 0;
    EVP_DigestFinal_ex(sum.get(), digest, &size);
    return hexadecimal({reinterpret_cast<const char*>(digest), size});
}

std::string checksums_of(const DeliveryReport& report) {
    std::string text;
    for (const DeliveredFile& f : report.files) text += f.sha256 + "  " + f.file.filename().string() + "\n";
    return text;
}

}  // namespace isotonus
