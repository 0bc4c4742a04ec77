// core/audio: sound, from the file to samples at the session's rate: files in and out, what a track plays of them,
// conversion, filters, transforms and the vectorised inner loops.  It knows nothing of sessions.
//
// Sound files in and out, through libsndfile.  Samples are interleaved floats, full scale 1.
#pragma once

#include <cstdint>
#include <memory>
#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <vector>

#include "core/files/pending_file.h"

typedef struct sf_private_tag SNDFILE;
struct SF_VIRTUAL_IO;

namespace isotonus {

struct SoundInfo {
    int channels = 0;
    int sample_rate = 0;  ///< Hz
    int64_t frames = 0;
    int bits = 0;                ///< bits a sample for PCM, 32 or 64 for float, 0 for lossy codecs
    bool floating = false;       ///< samples are stored as floating point numbers
    bool random_access = false;  ///< any frame can be reached at once: uncompressed, in one piece
    std::string format;          ///< in words: "WAV (Microsoft), Signed 24 bit PCM"
    std::string warning;         ///< a sentence about a fault that does not keep the file from being read; else empty
};

/// A cue point of a WAVE file: a named place.
struct Marker {
    std::string name;
    int64_t frame = 0;
};

/// Extensions (lower case, with the dot) of files that are taken for audio when a folder is searched.
bool has_audio_extension(const fs::path& file);

/// Audio files directly in a folder, in name order.
Result<std::vector<fs::path>> audio_files_in(const fs::path& folder);

inline constexpr int max_channels = 64;

/// Reads one file.  Not safe to share between threads; open one for each: they share the open file.
class SoundReader {
  public:
    /// Fails with a sentence for: missing, unreadable, a directory, empty, not audio, no frames, more than 64 channels.
    static Result<SoundReader> open(const fs::path& file);

    const SoundInfo& info() const { return info_; }

    /// Cue points, in order of time; one without a label is called "marker N".
    std::vector<Marker> markers() const;

    /// Fills `out` with `frames` frames from `first` on.  Frames before the start and beyond the end are silence;
    /// NaN and infinite samples are replaced by silence and counted in `non_finite`.
    Result<void> read(int64_t first, int64_t frames, float* out);

    /// How many samples that are not numbers have been read so far.
    int64_t non_finite() const { return non_finite_; }

  private:
    struct Close {
        void operator()(SNDFILE* file) const;
    };
    enum class Packing { by_library, s16, s24, f32 };
    struct Cursor;  ///< where the library reads in the file, and the first fault it met

    std::string name_;
    SoundInfo info_;
    std::shared_ptr<Cursor> cursor_;
    std::unique_ptr<SNDFILE, Close> file_;
    Packing packing_ = Packing::by_library;
    int64_t position_ = 0;
    int64_t non_finite_ = 0;
};

enum class SampleFormat { s16, s24, f32 };
inline int bytes_of(SampleFormat format) {
    if (format == SampleFormat::s16) return 2;
    if (format == SampleFormat::s24) return 3;
    return 4;
}

/// Whether 16 and 24 bit get TPDF dither of 2 LSB peak to peak; otherwise they are rounded to nearest.
enum class Dither { none, for_16_bit, always };

/// Packs interleaved floats into little-endian samples.  Dither depends only on the sample's place (`first_sample`), so
/// that the same export is the same file; digital silence gets none.  Returns how many samples lay beyond full scale
/// and were clamped (never in f32).
int64_t pack_samples(std::span<const float> in, SampleFormat format, int64_t first_sample, unsigned char* out,
                     Dither dither = Dither::for_16_bit);
/// The samples that a reader of the packed ones gets.
void unpack_samples(std::span<const unsigned char> packed, SampleFormat format, float* out);

enum class FileType { wav, aiff, flac, ogg, opus, mp3 };
const char* file_type_name(FileType type);  ///< "wav" …: also the ending of its files
std::optional<FileType> file_type_named(std::string_view name);
/// Ogg (Vorbis), Opus and MP3 keep no samples as they were.
inline bool is_lossy(FileType type) { return type == FileType::ogg || type == FileType::opus || type == FileType::mp3; }

/// The `bext` chunk of a Broadcast Wave file (EBU Tech 3285, version 2).
struct Broadcast {
    std::string description, originator, reference;
    std::string date, time;      ///< "2030-01-31", "12:00:00"
    int64_t time_reference = 0;  ///< frames from the start of the song
    std::string history;         ///< coding history before this file; the writer adds a line of its own
    std::optional<double> loudness_lufs, range_lu, true_peak_dbtp, momentary_lufs, short_term_lufs;
};

struct SoundSpec {
    FileType type = FileType::wav;
    SampleFormat format = SampleFormat::s24;  ///< of WAV and AIFF; FLAC: 16 or 24 bit; lossy types take f32
    int channels = 2;
    int sample_rate = 48000;
    int64_t expected_frames = 0;    ///< WAV becomes RF64 (EBU Tech 3306) when it will exceed 4 GB
    double quality = 0.8;           ///< 0 … 1, of lossy types
    std::vector<Marker> markers;    ///< WAV only: cue points with labels (RIFF `cue ` and `LIST adtl`)
    std::optional<Broadcast> bext;  ///< WAV and RF64 only
};

/// Writes a sound file beside the wanted name (see PendingFile).
class SoundWriter {
  public:
    /// Fails with a sentence, also when the type cannot hold the format or the rate.
    static Result<SoundWriter> create(const fs::path& file, const SoundSpec& spec, const ProtectedFiles& kept);
    SoundWriter(SoundWriter&&) noexcept;
    SoundWriter& operator=(SoundWriter&&) = delete;
    ~SoundWriter();

    /// Samples packed as by pack_samples, in the spec's format (f32 for lossy types).
    Result<void> write(std::span<const unsigned char> packed);
    /// What is known only at the end; the file must have had a bext from the start.
    void finish_bext(const Broadcast& bext);
    /// Writes what is left, the header last.  More may be put behind it, into the pending file.
    Result<void> close_sound();
    /// The same, and forces it onto the disk.  Any write that failed since it was created,
    /// by the library as well, fails here.  The file can be read under its temporary name then.
    Result<void> finish();
    /// Finishes it, if that was not done, and gives it its name.
    Result<void> commit();
    PendingFile& pending();

  private:
    struct Cursor;  ///< where the library writes in the file
    SoundWriter();
    std::unique_ptr<Cursor> cursor_;
    SNDFILE* sound_ = nullptr;
    FileType type_ = FileType::wav;
    SampleFormat format_ = SampleFormat::f32;
    std::vector<int> whole_;
    std::vector<float> floats_;
};

/// Frames that a file's own header and length promise, read without the library: RIFF/WAVE and RF64 (EBU Tech 3306),
/// AIFF, FLAC (RFC 9639).  Fails with a sentence when sizes in the header do not fit each other or the file's length.
/// Absent for types whose header does not say (Ogg, Opus, MP3); those must still begin and, for Ogg, end as such files
/// do (RFC 3533).
Result<std::optional<int64_t>> frames_by_header(const fs::path& file, FileType type);

}  // namespace isotonus
