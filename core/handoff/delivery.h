// core/handoff: handing the mix on: checks, deliveries that are proved before they get their names, and the papers that
// go with them.
//
// A delivery: the mix and its stems as files, rendered in one pass, read back and compared.
#pragma once

#include <functional>

#include "core/mix/compile_plan.h"
#include "core/mix/mixdown.h"

namespace isotonus {

enum class StemSplit { none, tracks, families, buses, groups };

/// A part of the song that becomes files of its own.
struct Excerpt {
    std::string name;  ///< a section's; empty: the whole song
    Stretch stretch;   ///< frames at the session's rate; 0 frames: up to the end
};

/// A text that goes with the audio: a sheet, checksums.
struct Paper {
    fs::path file;
    std::string content;
};

struct DeliveryReport;

struct Delivery {
    fs::path folder;
    /// File names without their ending.  {session} {part} {number} {section} {date} {rate} {bits} stand for what they
    /// say; {number} is 01 … of a stem and nothing for the mix; spaces that meet become one.  What stands for itself in
    /// a name, braces too, is taken as it is; a name that is too long is cut.
    std::string pattern = "{session} {number} {part}";
    std::string session_name;
    bool mix = true;
    std::string mix_name;  ///< the mix's own file name without its ending; empty: by the pattern
    fs::path mix_file;     ///< the mix's own file, in whatever folder; empty: in `folder`
    StemSplit stems = StemSplit::none;
    MainChain main_chain = MainChain::out;  ///< of the mix; stems are without it
    PlanPtr finished;  ///< the mix with the main output's chain, of the same parts as the plan; null: there is no chain
    bool shares = false;  ///< a stem holds all that is heard of its rows, also in returns and in buses with chains;
                          ///< else those are stems of their own
    bool stems_before_main = false;  ///< without the main fader and the main output's rides
    std::vector<Excerpt> excerpts;   ///< none: the whole song
    bool tail = false;               ///< an excerpt goes on until it has been below -60 dBFS for 50 ms
    FileType type = FileType::wav;
    SampleFormat format = SampleFormat::s24;
    Dither dither = Dither::always;  ///< where the format has fewer bits than what is rendered
    int sample_rate = 0;  ///< Hz, converted after rendering; 0: as the session (or what the type can hold nearest)
    double quality = 0.8;
    bool cue_points = true;
    bool bext = false;  ///< Broadcast Wave, with these:
    std::string date, time;
    bool overwrite = false;
    bool checksums = true;  ///< of each file
    int block_frames = 4096;
    fs::path session_file;  ///< where the session is saved; like its sources it is never written over
    /// What is written together with the audio, or not at all; made once the audio is proved.
    std::function<Result<std::vector<Paper>>(const DeliveryReport&)> papers;
};

/// Today, as a delivery says it: "2030-01-31" and "12:00:00", in local time.
void date_now(Delivery& delivery);

enum class Proof {
    same,   ///< every sample of the file is the one that was rendered
    alike,  ///< a lossy file: its length, and its power to 3 dB above -80 dBFS, are what was rendered
};

struct DeliveredFile {
    fs::path file;
    std::string part, excerpt;
    bool is_mix = false;
    Measurement measured;  ///< of the file, as read back
    int64_t clamped_samples = 0;
    Proof proof = Proof::same;
    std::string sha256;  ///< of the file, FIPS 180-4, in hexadecimal
    uintmax_t bytes = 0;
};

struct DeliveryReport {
    std::vector<DeliveredFile> files;
    Level residue_dbfs;  ///< largest difference between the stems' sum and the mix, in the samples as written; absent:
                         ///< none at all, or no stems
    bool stems_compared = false;
    double seconds = 0.0;
    int sample_rate = 0;
    std::string format;  ///< in words: "24 bit with TPDF dither"
};

/// What an export of a session holds of the main output's chain: decided here for all that export, check or report.
struct MainChainExport {
    bool is_there = false;             ///< the main output has a chain
    bool works = false;                ///< and it is neither bypassed nor without effect
    MainChain mixes = MainChain::out;  ///< which mixes are exported: without it, with it, or both
    std::string sentence;
};
MainChainExport main_chain_export(const Session& session);

/// The mixes of a delivery, as the session's hand-off says.
void set_mixes(Delivery& delivery, const MixPlans& plans, const Session& session);
/// The plan of the mix that is exported; of two, the one without the main output's chain.
PlanPtr exported_plan(const MixPlans& plans, const Session& session);

/// Samples of such a peak will be clipped by the format of a delivery; in a sentence, with what to do.  Nothing when
/// the format holds them, or the peak is not above full scale.
std::optional<std::string> clipping_warning(const Delivery& delivery, const Level& peak_dbfs);

/// One file of each excerpt: the mix, or a stem.
struct Part {
    std::string name;
    bool is_mix = false;
    PlanPtr plan;  ///< of a stem with its shares: without them, until they are made
    std::vector<TrackId> rows = {};
};
/// Stems without a heard track are left out.  The plan is that of the mix without the main output's chain.
std::vector<Part> parts_of(const PlanPtr& plan, const Session& session, const Delivery& delivery);

/// A file that will be written.
struct PlannedFile {
    fs::path file;
    double duration_s = 0.0;         ///< without a tail
    std::optional<uintmax_t> bytes;  ///< of its samples as they are, which FLAC makes fewer; absent: a lossy file
};
/// What it will write, excerpt by excerpt, part by part.
std::vector<PlannedFile> planned_files(const PlanPtr& plan, const Session& session, const Delivery& delivery);
/// The same, their names alone.
std::vector<fs::path> files_of(const PlanPtr& plan, const Session& session, const Delivery& delivery);

/// A copy whose files are all new: when one of them, or of `more` of the copy, is there already, all names get the next
/// free number, "mix 2".
Delivery with_free_names(const PlanPtr& plan, const Session& session, const Delivery& delivery,
                         const std::function<std::vector<fs::path>(const Delivery&)>& more = nullptr);

/// The part of the song between two times; `to_s` absent: up to the end.  Fails with a sentence when there is none.
Result<Excerpt> excerpt_between(const RenderPlan& plan, double from_s, std::optional<double> to_s);

/// Each section by itself.
std::vector<Excerpt> section_excerpts(const Session& session, const RenderPlan& plan);

/// Everything is written under temporary names, read back and proved: the samples, and the sizes in the headers.  Only
/// then all files get their names, or none.  When it fails or is cancelled nothing is left and what was there stays.
/// Fails with the file and the fault: also when a file is there and overwrite is off, or is one that the session needs.
Result<DeliveryReport> deliver(const PlanPtr& plan, const Session& session, const Delivery& delivery,
                               Progress* progress = nullptr);

/// By how much the sum of its stems will differ from the mix at most, in the samples as they will be written, found out
/// without writing anything; absent: not at all.  Fails as delivering does.
Result<Level> stems_residue(const PlanPtr& plan, const Session& session, const Delivery& delivery,
                            Progress* progress = nullptr);

/// Lines as sha256sum reads and writes them.
std::string checksums_of(const DeliveryReport& report);

Result<std::string> sha256_of(const fs::path& file, const Progress* progress = nullptr);

}  // namespace isotonus
