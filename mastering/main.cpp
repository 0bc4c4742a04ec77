// The simulated mastering desk: takes a delivered folder as a mastering engineer would, and accepts it or says what is
// wrong.  It looks at the audio files alone, never at a sheet.
//   isotonus-desk FOLDER [--json]
// Exit status: 0 accepted, 1 refused, 2 wrong usage, 3 the folder or a file cannot be read.
#include <fmt/format.h>

#include <CLI/CLI.hpp>
#include <cmath>
#include <nlohmann/json.hpp>
#include <set>

#include "core/audio/sound_file.h"
#include "core/measure/measure.h"
#include "core/words.h"

using namespace isotonus;

namespace {

// What this desk wants; common practice, no source.
constexpr double max_peak_dbfs = -3.0, min_peak_dbfs = -20.0, max_true_peak_dbtp = -1.0;
constexpr int min_rate = 44100, min_bits = 24;
constexpr double max_residue_dbfs = -90.0;

struct Delivered {
    fs::path file;
    SoundInfo info;
    Measurement measured;
};

struct Desk {
    std::vector<std::string> faults;
    template <class... Args>
    void refuse(fmt::format_string<const Args&...> text, const Args&... args) {
        faults.push_back(format_figures(fmt::to_string(fmt::string_view(text)), args...));
    }
};

std::string name_of(const Delivered& d) { return d.file.filename().string(); }

/// A second mix, to be listened to: as it sounded through the main output's chain.  It is neither the mix to be
/// mastered nor a stem.
bool is_finished_mix(const Delivered& d) { return d.file.stem().string().ends_with("with main chain"); }

/// The mix is the file that says so; else the only one.
const Delivered* find_mix(const std::vector<Delivered>& all) {
    const Delivered* found = nullptr;
    for (const Delivered& d : all) {
        std::string stem = d.file.stem().string();
        std::transform(stem.begin(), stem.end(), stem.begin(), [](unsigned char c) { return std::tolower(c); });
        const bool says = stem == "mix" || stem.ends_with(" mix") || stem.starts_with("mix ") ||
                          stem.ends_with("_mix") || stem.ends_with("-mix");
        if (says && (!found || stem.size() < found->file.stem().string().size())) found = &d;
    }
    if (found) return found;
    if (all.size() == 1) return &all.front();
    return nullptr;
}

void look_at(const Delivered& d, bool is_mix, Desk& desk) {
    const Measurement& m = d.measured;
    if (d.info.bits == 0)
        desk.refuse("{}: a lossy file ({}). Send WAV, AIFF or FLAC.", name_of(d), d.info.format);
    else if (d.info.bits < min_bits)
        desk.refuse("{}: {} bit. Send {} bit or 32 bit float.", name_of(d), d.info.bits, min_bits);
    if (d.info.sample_rate < min_rate)
        desk.refuse("{}: {} Hz. Send at least {} Hz.", name_of(d), d.info.sample_rate, min_rate);
    if (!d.info.warning.empty()) desk.refuse("{}: {}", name_of(d), d.info.warning);
    if (m.non_finite_samples > 0)
        desk.refuse("{}: {} corrupt samples (NaN). Export the file again.", name_of(d), m.non_finite_samples);
    if (m.clipped_runs > 0)
        desk.refuse("{}: clips in {} place{}. Turn the main fader down and export again.", name_of(d), m.clipped_runs,
                    m.clipped_runs == 1 ? "" : "s");
    if (std::fabs(m.dc_offset) > 0.001)
        desk.refuse("{}: a DC offset of {:.2f} %. Fix the tracks with an offset and export again.", name_of(d),
                    100.0 * m.dc_offset);
    if (!is_mix) return;
    if (d.info.channels != 2)
        desk.refuse("{}: {} channel{}. Send a stereo mix.", name_of(d), d.info.channels,
                    d.info.channels == 1 ? "" : "s");
    if (!m.sample_peak_dbfs) {
        desk.refuse("{}: silent from start to end. Export the file again.", name_of(d));
        return;
    }
    if (*m.sample_peak_dbfs > max_peak_dbfs)
        desk.refuse("{}: {:.1f} dB of headroom. Leave at least {:.0f} dB.", name_of(d), -*m.sample_peak_dbfs,
                    -max_peak_dbfs);
    if (*m.sample_peak_dbfs < min_peak_dbfs)
        desk.refuse("{}: peaks at only {:.1f} dBFS. Turn the main fader up and export again.", name_of(d),
                    *m.sample_peak_dbfs);
    if (*m.true_peak_dbtp > max_true_peak_dbtp)
        desk.refuse("{}: the true peak is {:.1f} dBTP. Turn the main fader down and export again.", name_of(d),
                    *m.true_peak_dbtp);
}

/// Do the stems sum to the mix, but for one gain (they may come from before the main fader)?
std::optional<Error> sum_stems(const std::vector<Delivered>& all, const Delivered& mix, Desk& desk) {
    std::vector<SoundReader> readers;
    std::vector<const Delivered*> stems;
    for (const Delivered& d : all) {
        if (&d == &mix) continue;
        stems.push_back(&d);
        if (d.info.sample_rate != mix.info.sample_rate)
            desk.refuse("{}: {} Hz, but the mix has {} Hz. Export both at one rate.", name_of(d), d.info.sample_rate,
                        mix.info.sample_rate);
        if (d.info.frames != mix.info.frames)
            desk.refuse(
                "{}: {:.3f} s long, but the mix has {:.3f} s: they cannot be laid side by side. Export both at once.",
                name_of(d), d.measured.duration_s(), mix.measured.duration_s());
        auto reader = SoundReader::open(d.file);
        if (!reader) return reader.error();
        readers.push_back(std::move(*reader));
    }
    // Numbers in the names tell of stems that were left out.
    std::set<int> numbers;
    for (const Delivered* d : stems) {
        const std::string stem = d->file.stem().string();
        for (size_t i = 0; i + 1 < stem.size(); ++i)
            if (std::isdigit(static_cast<unsigned char>(stem[i])) &&
                std::isdigit(static_cast<unsigned char>(stem[i + 1])) && (i == 0 || stem[i - 1] == ' ') &&
                (i + 2 == stem.size() || stem[i + 2] == ' ')) {
                numbers.insert(std::stoi(stem.substr(i, 2)));
                break;
            }
    }
    if (numbers.size() == stems.size() && !numbers.empty())
        for (int n = 1; n <= *numbers.rbegin(); ++n)
            if (!numbers.contains(n)) desk.refuse("stem {:02} is missing. Send it too.", n);
    auto whole = SoundReader::open(mix.file);
    if (!whole) return whole.error();
    constexpr int64_t piece = 65536;
    std::vector<float> samples, part;
    std::vector<double> sum;
    // Two passes: the gain that fits best (least squares), then the largest difference.
    double gain = 1.0, worst = 0.0, products = 0.0, squares = 0.0;
    for (const bool first : {true, false}) {
        for (int64_t at = 0; at < mix.info.frames; at += piece) {
            const int64_t frames = std::min(piece, mix.info.frames - at);
            samples.resize(static_cast<size_t>(frames * mix.info.channels));
            if (auto done = whole->read(at, frames, samples.data()); !done) return done.error();
            sum.assign(samples.size(), 0.0);
            for (SoundReader& r : readers) {
                const int channels = r.info().channels;
                part.resize(static_cast<size_t>(frames * channels));
                if (auto done = r.read(at, frames, part.data()); !done) return done.error();
                for (size_t i = 0; i < sum.size(); ++i) {
                    const size_t frame = i / static_cast<size_t>(mix.info.channels),
                                 side = i % static_cast<size_t>(mix.info.channels);
                    sum[i] += static_cast<double>(part[frame * static_cast<size_t>(channels) +
                                                       std::min(side, static_cast<size_t>(channels - 1))]);
                }
            }
            for (size_t i = 0; i < sum.size(); ++i) {
                const auto x = static_cast<double>(samples[i]);
                if (first)
                    products += x * sum[i], squares += sum[i] * sum[i];
                else
                    worst = std::max(worst, std::fabs(x - gain * sum[i]));
            }
        }
        // A gain of its own counts only when it is one: stems that sum as they are need none.
        if (first && squares > 0.0 && std::fabs(products / squares - 1.0) > 1e-4) gain = products / squares;
    }
    const double residue = worst > 0.0 ? 20.0 * std::log10(worst) : -200.0;
    if (residue > max_residue_dbfs)
        desk.refuse("the stems do not sum to the mix: they differ by {:.1f} dBFS. Export mix and stems at once.",
                    residue);
    return std::nullopt;
}

int complain(const Error& error) {
    fmt::print(stderr, "isotonus-desk: {}\n", error.text());
    return 3;
}

}  // namespace

int main(int argc, char** argv) {
    CLI::App app{"A simulated mastering desk: accepts a delivered folder, or names its faults."};
    std::string folder;
    bool as_json = false;
    app.add_option("FOLDER", folder, "The delivered folder.")->required();
    app.set_version_flag("--version", "isotonus-desk " ISOTONUS_VERSION);
    app.add_flag("--json", as_json, "Prints one JSON document on standard output.");
    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& e) {
        return app.exit(e) == 0 ? 0 : 2;
    }
    const auto files = audio_files_in(folder);
    if (!files) return complain(files.error());
    Desk desk;
    std::vector<Delivered> all;
    for (const fs::path& file : *files) {
        auto reader = SoundReader::open(file);
        if (!reader) {
            desk.refuse("{}: {}", file.filename().string(), reader.error().what);
            continue;
        }
        Delivered d{file, reader->info(), {}};
        if (d.info.channels > 2) {
            desk.refuse("{}: {} channels. Send mono or stereo files.", name_of(d), d.info.channels);
            continue;
        }
        const auto measured = measure_file(file);
        if (!measured) return complain(measured.error());
        d.measured = measured->measurement;
        all.push_back(std::move(d));
    }
    const auto finished =
        std::stable_partition(all.begin(), all.end(), [](const Delivered& d) { return !is_finished_mix(d); });
    for (auto d = finished; d != all.end(); ++d) look_at(*d, false, desk);
    const bool heard_too = finished != all.end();
    all.erase(finished, all.end());
    if (files->empty()) desk.refuse("there is no audio file in the folder. Send the exported files.");
    const Delivered* mix = find_mix(all);
    if (!mix && !all.empty()) desk.refuse("no file says that it is the mix. Name one 'mix'.");
    for (const Delivered& d : all) look_at(d, &d == mix, desk);
    if (mix && all.size() > 1)
        if (const auto error = sum_stems(all, *mix, desk)) return complain(*error);
    const bool accepted = desk.faults.empty();
    if (as_json) {
        fmt::print("{}\n", nlohmann::json({{"accepted", accepted},
                                           {"files", files->size()},
                                           {"mix", mix ? name_of(*mix) : ""},
                                           {"faults", desk.faults}})
                               .dump(1, ' ', false, nlohmann::json::error_handler_t::replace));
    } else if (accepted) {
        fmt::print("Accepted: {} file{}{}{}.\n", files->size(), files->size() == 1 ? "" : "s",
                   all.size() > 1 ? ", and the stems sum to the mix" : "",
                   heard_too ? "; one is the mix with its main chain" : "");
    } else {
        fmt::print("Refused:\n");
        for (const std::string& fault : desk.faults) fmt::print("  {}\n", fault);
    }
    return accepted ? 0 : 1;
}
