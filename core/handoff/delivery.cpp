#include "core/handoff/delivery.h"

#include <fmt/format.h>
#include <openssl/evp.h>
#include <signal.h>
#include <unistd.h>
#include <xxhash.h>

#include <algorithm>
#include <chrono>
#include <cmath>
#include <fstream>
#include <map>
#include <set>

#include "core/audio/kernels.h"
#include "core/audio/resample.h"
#include "core/session/routing.h"

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

std::string filled(std::string pattern, const std::map<std::string, std::string>& words) {
    for (const auto& [key, value] : words)
        for (size_t at; (at = pattern.find("{" + key + "}")) != std::string::npos;)
            pattern.replace(at, key.size() + 2, safe(value));
    std::string name;
    for (const char c : pattern)
        if (c != ' ' || (!name.empty() && name.back() != ' ')) name += c;
    while (!name.empty() && (name.back() == ' ' || name.back() == '.')) name.pop_back();
    return safe(name);
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

/// One file while it is rendered.
struct Job {
    fs::path file;
    std::optional<SoundWriter> writer;
    std::optional<Resampler> resampler;
    std::optional<Measurer> measurer;  ///< for the bext, which must be whole before the file is
    Broadcast bext;
    XXH3_state_t* hash = XXH3_createState();
    std::vector<unsigned char> packed;
    std::vector<float> as_written;  ///< of the last piece
    int64_t written = 0, clamped = 0;
    /// Where its dither begins: by its place in the song, so that sections join without a seam; each part has noise
    /// of its own, since alike the stems' would add up.
    int64_t dither_place = 0;
    double square = 0.0;
    std::optional<Error> error;

    Job() { XXH3_64bits_reset(hash); }
    ~Job() { XXH3_freeState(hash); }
    Job(const Job&) = delete;

    void put(std::span<const float> samples, const Delivery& d) {
        const SampleFormat format = packing_of(d);
        packed.resize(samples.size() * static_cast<size_t>(bytes_of(format)));
        clamped += pack_samples(samples, format, dither_place + 2 * written, packed.data(), d.dither);
        written += static_cast<int64_t>(samples.size() / 2);
        as_written.resize(samples.size());
        unpack_samples(packed, format, as_written.data());
        XXH3_64bits_update(hash, as_written.data(), as_written.size() * sizeof(float));
        if (is_lossy(d.type))
            for (const float x : samples) square += static_cast<double>(x) * static_cast<double>(x);
        if (measurer) measurer->add(samples.data(), static_cast<int64_t>(samples.size() / 2));
        if (auto done = writer->write(packed); !done && !error) error = done.error();
    }
};

std::string hexadecimal(std::span<const unsigned char> bytes) {
    std::string text;
    for (const unsigned char b : bytes) text += fmt::format("{:02x}", b);
    return text;
}

/// Reads a file back: its figures, and whether it holds what was rendered.
std::optional<Error> prove(DeliveredFile& out, Job& job, const Delivery& d, Progress* progress) {
    auto reader = SoundReader::open(out.file);
    if (!reader) return reader.error();
    const SoundInfo& info = reader->info();
    Measurer measurer(info.channels, info.sample_rate, full_scale_of(info.bits, info.floating));
    XXH3_state_t* hash = XXH3_createState();
    XXH3_64bits_reset(hash);
    constexpr int64_t piece = 65536;
    std::vector<float> samples(static_cast<size_t>(piece * info.channels));
    double square = 0.0;
    std::optional<Error> error;
    for (int64_t at = 0; at < info.frames && !error; at += piece) {
        if (progress && progress->cancelled()) error = Error{"", "cancelled"};
        const int64_t frames = std::min(piece, info.frames - at);
        if (auto done = reader->read(at, frames, samples.data()); !done) error = done.error();
        measurer.add(samples.data(), frames);
        const std::span<const float> got(samples.data(), static_cast<size_t>(frames * info.channels));
        if (is_lossy(d.type)) {
            for (const float x : got) square += static_cast<double>(x) * static_cast<double>(x);
            continue;
        }
        XXH3_64bits_update(hash, got.data(), got.size_bytes());
    }
    const bool same = XXH3_64bits_digest(hash) == XXH3_64bits_digest(job.hash);
    XXH3_freeState(hash);
    if (error) return error;
    out.measured = measurer.finish().measurement;
    if (is_lossy(d.type)) {
        // Codecs leave the top of the spectrum out: of white noise 1.8 dB.
        const bool level = std::fabs(10.0 * std::log10((square + 1e-6) / (job.square + 1e-6))) < 3.0;
        const bool length = std::llabs(info.frames - job.written) <= 3000;
        out.proof = level && length ? Proof::alike : Proof::differs;
    } else {
        out.proof = same && info.frames == job.written ? Proof::same : Proof::differs;
    }
    auto sum = sha256_of(out.file);
    if (!sum) return sum.error();
    out.sha256 = *sum;
    std::error_code ignored;
    out.bytes = fs::file_size(out.file, ignored);
    return std::nullopt;
}

/// One excerpt: all its parts in one pass.
Result<void> deliver_excerpt(const std::vector<Part>& parts, const PlanPtr& compared, const Excerpt& excerpt,
                             const std::vector<fs::path>& files, const Session& session, const Delivery& d, int rate,
                             DeliveryReport& report, double& residue, const std::function<void(double)>& tell,
                             Progress* progress) {
    const RenderPlan& plan = *parts.front().plan;
    const Stretch nominal = held_to(excerpt.stretch, plan);
    if (nominal.frames == 0)
        return fail(files.front().string(), "there is nothing to export: the range holds no samples");
    Stretch stretch = nominal;
    if (d.tail) stretch.frames = plan.frames - stretch.first;
    const int64_t frames = converted_frames(stretch.frames, plan.sample_rate, rate);
    std::vector<Marker> markers;
    if (d.cue_points)
        for (const Marker& m : markers_of(session))
            if (m.frame >= stretch.first && m.frame < stretch.first + stretch.frames)
                markers.push_back({m.name, (m.frame - stretch.first) * rate / plan.sample_rate});
    std::vector<std::unique_ptr<Job>> jobs;
    for (size_t i = 0; i < parts.size(); ++i) {
        auto job = std::make_unique<Job>();
        job->file = files[i];
        job->dither_place = 2 * (stretch.first * rate / plan.sample_rate) + static_cast<int64_t>(i) * 0x9E3779B1LL;
        SoundSpec spec{d.type, d.format, 2, rate, frames, d.quality, markers, std::nullopt};
        if (d.bext) {
            job->bext.description = fmt::format("{}, {}", d.session_name, parts[i].name);
            job->bext.originator = "Isotonus";
            job->bext.date = d.date;
            job->bext.time = d.time;
            job->bext.time_reference = stretch.first * rate / plan.sample_rate;
            spec.bext = job->bext;
            job->measurer.emplace(2, rate, 1.0f);
        }
        auto writer = SoundWriter::create(files[i], spec);
        if (!writer) return tl::unexpected(writer.error());
        job->writer.emplace(std::move(*writer));
        if (rate != plan.sample_rate) {
            auto made = Resampler::create(plan.sample_rate, rate, 2);
            if (!made) return fail(files[i].string(), made.error().what);
            job->resampler.emplace(std::move(*made));
        }
        jobs.push_back(std::move(job));
    }
    std::vector<PlanPtr> plans;
    for (const Part& p : parts) plans.push_back(p.plan);
    const bool compares = compared != nullptr;
    const bool mix_is_compared = compares && parts.front().is_mix && compared == parts.front().plan;
    if (compares && !mix_is_compared) plans.push_back(compared);
    // The end of a tail: the first place after the excerpt from which on 50 ms were quiet.
    int64_t rendered = 0, quiet = 0;
    bool enough = false;
    const int64_t quiet_wanted = plan.sample_rate / 20;
    std::vector<double> sum;
    const auto put_all = [&](const std::vector<std::vector<float>>& pieces, size_t length, bool last) {
        parallel_for(static_cast<int64_t>(jobs.size()), worker_count(), [&](int64_t i) {
            Job& job = *jobs[static_cast<size_t>(i)];
            const auto put = [&](std::span<const float> samples) {
                samples = samples.first(std::min(samples.size(), static_cast<size_t>(2 * (frames - job.written))));
                job.put(samples, d);
            };
            if (!pieces.empty()) {
                const std::span<const float> piece(pieces[static_cast<size_t>(i)].data(), length);
                put(job.resampler ? job.resampler->convert(piece) : piece);
            }
            if (last && job.resampler) put(job.resampler->convert({}));
        });
    };
    const auto sink = [&](const std::vector<std::vector<float>>& pieces) -> Result<void> {
        size_t length = pieces.front().size();
        if (d.tail) {
            for (size_t i = 0; i + 1 < pieces.front().size() && !enough; i += 2) {
                const float most = std::max(std::fabs(pieces.front()[i]), std::fabs(pieces.front()[i + 1]));
                quiet = most < 0.001f ? quiet + 1 : 0;
                if (rendered + static_cast<int64_t>(i / 2) + 1 >= nominal.frames && quiet >= quiet_wanted)
                    enough = true, length = i + 2;
            }
        }
        rendered += static_cast<int64_t>(length / 2);
        put_all(pieces, length, false);
        for (const auto& job : jobs)
            if (job->error) return tl::unexpected(*job->error);
        if (compares) {
            // In the samples as written; where rates are converted, as rendered.
            sum.assign(length, 0.0);
            for (size_t p = 0; p < parts.size(); ++p) {
                if (parts[p].is_mix) continue;
                const auto& from = jobs[p]->resampler ? pieces[p] : jobs[p]->as_written;
                for (size_t i = 0; i < length; ++i) sum[i] += static_cast<double>(from[i]);
            }
            const auto& mix = !mix_is_compared ? pieces.back() : jobs[0]->resampler ? pieces[0] : jobs[0]->as_written;
            for (size_t i = 0; i < length; ++i)
                residue = std::max(residue, std::fabs(sum[i] - static_cast<double>(mix[i])));
        }
        tell(0.7 * static_cast<double>(rendered) / static_cast<double>(stretch.frames));
        return {};
    };
    if (auto done = render_together(plans, stretch, d.block_frames, sink, progress, worker_count(), &enough); !done)
        return done;
    put_all({}, 0, true);
    for (const auto& job : jobs) {
        if (job->error) return tl::unexpected(*job->error);
        if (job->measurer) {
            const Measurement m = job->measurer->finish().measurement;
            job->bext.loudness_lufs = m.integrated_lufs;
            job->bext.range_lu = m.loudness_range_lu;
            job->bext.true_peak_dbtp = m.true_peak_dbtp;
            job->bext.momentary_lufs = m.max_momentary_lufs;
            job->bext.short_term_lufs = m.max_short_term_lufs;
            job->writer->finish_bext(job->bext);
        }
        if (auto done = job->writer->commit(); !done) return done;
    }
    const size_t first = report.files.size();
    for (size_t i = 0; i < parts.size(); ++i) {
        DeliveredFile f;
        f.file = files[i];
        f.part = parts[i].name;
        f.excerpt = excerpt.name;
        f.is_mix = parts[i].is_mix;
        f.clamped_samples = jobs[i]->clamped;
        report.files.push_back(std::move(f));
    }
    std::vector<std::optional<Error>> errors(parts.size());
    std::atomic<int> proved{0};
    parallel_for(static_cast<int64_t>(parts.size()), worker_count(), [&](int64_t i) {
        const auto at = static_cast<size_t>(i);
        errors[at] = prove(report.files[first + at], *jobs[at], d, progress);
        tell(0.7 + 0.3 * static_cast<double>(++proved) / static_cast<double>(parts.size()));
    });
    for (const auto& e : errors)
        if (e) return tl::unexpected(*e);
    return {};
}

}  // namespace

std::vector<Part> parts_of(const PlanPtr& plan, const Session& session, const Delivery& d) {
    std::vector<Part> parts;
    if (d.mix) parts.push_back({"mix", true, plan});
    if (d.stems == StemSplit::none) return parts;
    PlanPtr base = plan;
    if (d.stems_before_main) {
        auto bare = std::make_shared<RenderPlan>(*plan);
        bare->main_gain = 1.0;
        bare->main = {};
        base = bare;
    }
    // Tracks that go together, in the order of their first one.
    std::vector<std::pair<std::string, std::vector<TrackId>>> sets;
    for (const PlanTrack& t : base->tracks) {
        const Track* track = session.find(t.id);
        if (!track || !t.heard() || t.part == Band::low) continue;
        std::string name = track->name;
        bool joins = true;
        if (d.stems == StemSplit::families) {
            name = family_name(family_of(*track, &t.material->measurement));
        } else if (d.stems == StemSplit::buses) {
            const Bus* bus = session.find_bus(track->output);
            while (bus && bus->output != main_output) bus = session.find_bus(bus->output);
            if (bus) name = bus->name;
        } else {
            joins = false;
        }
        const auto at = std::find_if(sets.begin(), sets.end(), [&](const auto& s) { return joins && s.first == name; });
        if (at == sets.end())
            sets.emplace_back(name, std::vector<TrackId>{t.id});
        else
            at->second.push_back(t.id);
    }
    for (const auto& [name, ids] : sets) parts.push_back({name, false, plan_of_tracks(*base, ids)});
    return parts;
}

std::vector<fs::path> files_of(const PlanPtr& plan, const Session& session, const Delivery& d) {
    std::vector<fs::path> files;
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
                pattern = d.mix_name;
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
            fs::path file;
            for (int n = 1; file.empty() || !taken.insert(file).second; ++n)
                file = d.folder / (name + (n > 1 ? fmt::format(" {}", n) : "") + "." + file_type_name(d.type));
            files.push_back(file);
        }
    }
    return files;
}

Result<DeliveryReport> deliver(const PlanPtr& plan, const Session& session, const Delivery& d, Progress* progress) {
    const auto started = std::chrono::steady_clock::now();
    const std::vector<Part> parts = parts_of(plan, session, d);
    if (parts.empty())
        return fail(d.folder.string(), "there is nothing to export: no mix is wanted, and no track is heard");
    const std::vector<fs::path> files = files_of(plan, session, d);
    std::error_code problem;
    if (!d.overwrite)
        for (const fs::path& f : files)
            if (fs::exists(f, problem)) return fail(f.string(), "the file exists already");
    // An export must not write over what it reads.
    for (const auto& t : session.tracks)
        for (const fs::path& f : files)
            if (fs::equivalent(f, t->source.file, problem))
                return fail(f.string(), fmt::format("this is the file of the track '{}'", t->name));
    fs::create_directories(d.folder, problem);
    if (problem) return fail(d.folder.string(), "the folder cannot be made: " + problem.message());
    remove_stale_parts(d.folder);

    DeliveryReport report;
    report.sample_rate = rate_for(d.type, d.sample_rate > 0 ? d.sample_rate : plan->sample_rate);
    report.format = format_in_words(d);
    PlanPtr compared;
    if (d.stems != StemSplit::none) {
        compared = plan;
        if (d.stems_before_main) {
            auto bare = std::make_shared<RenderPlan>(*plan);
            bare->main_gain = 1.0;
            bare->main = {};
            compared = bare;
        }
        report.stems_compared = true;
    }
    double residue = 0.0;
    const auto excerpts = excerpts_of(d);
    for (size_t n = 0; n < excerpts.size(); ++n) {
        const auto from = files.begin() + static_cast<std::ptrdiff_t>(n * parts.size());
        const auto tell = [&](double share) {
            if (progress) progress->report((static_cast<double>(n) + share) / static_cast<double>(excerpts.size()));
        };
        auto done =
            deliver_excerpt(parts, compared, excerpts[n], {from, from + static_cast<std::ptrdiff_t>(parts.size())},
                            session, d, report.sample_rate, report, residue, tell, progress);
        if (!done) return tl::unexpected(done.error());
    }
    report.residue_dbfs = residue > 0.0 ? Level(db_from_gain(residue)) : std::nullopt;
    report.seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - started).count();
    return report;
}

void remove_stale_parts(const fs::path& folder) {
    std::error_code problem;
    for (const auto& entry : fs::directory_iterator(folder, problem)) {
        // ".NAME.PID.COUNT.part"
        const std::string name = entry.path().filename().string();
        if (!name.starts_with(".") || entry.path().extension() != ".part") continue;
        const fs::path without = entry.path().stem();
        const std::string count = without.extension().string(), process = fs::path(without.stem()).extension().string();
        if (count.size() < 2 || process.size() < 2 || count.find_first_not_of("0123456789", 1) != std::string::npos ||
            process.find_first_not_of("0123456789", 1) != std::string::npos)
            continue;
        const auto pid = static_cast<pid_t>(std::strtol(process.c_str() + 1, nullptr, 10));
        if (pid > 0 && pid != getpid() && kill(pid, 0) != 0 && errno == ESRCH) fs::remove(entry.path(), problem);
    }
}

Result<std::string> sha256_of(const fs::path& file) {
    std::ifstream in(file, std::ios::binary);
    if (!in) return fail(file.string(), "the file cannot be read");
    const std::unique_ptr<EVP_MD_CTX, decltype(&EVP_MD_CTX_free)> sum(EVP_MD_CTX_new(), &EVP_MD_CTX_free);
    EVP_DigestInit_ex(sum.get(), EVP_sha256(), nullptr);
    std::vector<char> piece(1 << 20);
    while (in.read(piece.data(), static_cast<std::streamsize>(piece.size())) || in.gcount() > 0)
        EVP_DigestUpdate(sum.get(), piece.data(), static_cast<size_t>(in.gcount()));
    if (in.bad()) return fail(file.string(), "the file cannot be read");
    unsigned char digest[EVP_MAX_MD_SIZE];
    unsigned size = 0;
    EVP_DigestFinal_ex(sum.get(), digest, &size);
    return hexadecimal({digest, size});
}

std::string checksums_of(const DeliveryReport& report) {
    std::string text;
    for (const DeliveredFile& f : report.files) text += f.sha256 + "  " + f.file.filename().string() + "\n";
    return text;
}

}  // namespace isotonus
