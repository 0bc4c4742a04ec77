// A delivery: the mix and its stems as files, rendered in one pass, read back and compared.
#pragma once

#include "core/mix/mixdown.h"

namespace isotonus {

enum class StemSplit { none, tracks, families, buses };

/// A part of the song that becomes files of its own.
struct Excerpt {
    std::string name;  ///< a section's; empty: the whole song
    Stretch stretch;   ///< frames at the session's rate; 0 frames: up to the end
};

struct Delivery {
    fs::path folder;
    /// File names without their ending.  {session} {part} {number} {section} {date} {rate} {bits} stand for what they
    /// say; {number} is 01 … of a stem and nothing for the mix; spaces that meet become one.
    std::string pattern = "{session} {number} {part}";
    std::string session_name;
    bool mix = true;
    std::string mix_name;  ///< the mix's own file name without its ending; empty: by the pattern
    StemSplit stems = StemSplit::none;
    bool stems_before_main = false;  ///< without the main fader and the main output's rides
    std::vector<Excerpt> excerpts;   ///< none: the whole song
    bool tail = false;               ///< a excerpt goes on until it has been below -60 dBFS for 50 ms
    FileType type = FileType::wav;
    SampleFormat format = SampleFormat::s24;
    Dither dither = Dither::always;  ///< where the format has fewer bits than what is rendered
    int sample_rate = 0;  ///< Hz, converted after rendering; 0: as the session (or what the type can hold nearest)
    double quality = 0.8;
    bool cue_points = true;
    bool bext = false;  ///< Broadcast Wave, with these:
    std::string date, time;
    bool overwrite = false;
    int block_frames = 4096;
};

enum class Proof {
    same,   ///< every sample of the file is the one that was rendered
    alike,  ///< a lossy file: its length, and its power to 3 dB, are what was rendered
    differs
};

struct DeliveredFile {
    fs::path file;
    std::string part, excerpt;
    bool is_mix = false;
    Measurement measured;  ///< of the file, as read back
    int64_t clamped_samples = 0;
    Proof proof = Proof::differs;
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

/// One file of each excerpt: the mix, or a stem.
struct Part {
    std::string name;
    bool is_mix = false;
    PlanPtr plan;
};
/// Stems without a heard track are left out.
std::vector<Part> parts_of(const PlanPtr& plan, const Session& session, const Delivery& delivery);

/// The files that it will write, excerpt by excerpt, part by part.
std::vector<fs::path> files_of(const PlanPtr& plan, const Session& session, const Delivery& delivery);

/// Files are written under temporary names and get their own when all is rendered; when it fails or is cancelled
/// nothing is left, and what was there stays.  Then each is read back.  Fails with the file and the fault, also when a
/// file is there and overwrite is off, or with "cancelled".
Result<DeliveryReport> deliver(const PlanPtr& plan, const Session& session, const Delivery& delivery,
                               Progress* progress = nullptr);

/// Takes away temporary files of exports whose process is gone.
void remove_stale_parts(const fs::path& folder);

/// Lines as sha256sum reads and writes them.
std::string checksums_of(const DeliveryReport& report);

Result<std::string> sha256_of(const fs::path& file);

}  // namespace isotonus
