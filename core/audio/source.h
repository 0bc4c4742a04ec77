// What a track plays before its trim: clips of a file (or of a pair), its choice of channels, its offset taken away.
// Nothing here changes a file; every part is a setting that can be undone.
#pragma once

#include <array>
#include <memory>
#include <optional>

#include "core/audio/crossover.h"
#include "core/audio/media.h"
#include "core/unknown_keys.h"

namespace isotonus {

/// A piece of a track's file, placed in the song.  Frames at the session's rate.
struct Clip {
    int64_t start = 0;     ///< where it begins in the song, 0 or later
    int64_t offset = 0;    ///< where it begins in the file
    int64_t frames = 0;    ///< how long it is
    double gain_db = 0.0;  ///< -36 … +36
    int64_t fade_in = 0;   ///< frames; the gain rises as sin^2(pi/2 t)
    int64_t fade_out = 0;  ///< frames; falls as cos^2(pi/2 t): two fades of one material across each other sum to 1
    UnknownKeys unknown = nullptr;
    int64_t end() const { return start + frames; }
    bool operator==(const Clip&) const = default;
};
inline constexpr double clip_gain_max_db = 36.0;

/// Which channels of a file are heard.
enum class Channels {
    as_recorded,  ///< mono or stereo; a file of more channels is folded to stereo
    swapped,      ///< left and right change places
    mono,         ///< the mean of both sides
    one           ///< one channel alone, as mono
};

/// A part of a track's spectrum: what the low end is kept in the centre by.  `low` is the mean of the sides below the
/// crossover, mono; `high` is each side without its own lows.  Low and high of a mono track sum to it.
enum class Band { all, low, high };

struct Source {
    fs::path file;  ///< absolute while in memory
    /// Of a pair of files the one with the right side; empty: none.  Of stereo files the left one's left channel and
    /// the right one's right channel are heard.
    fs::path right_file;
    Channels channels = Channels::as_recorded;
    int channel = 0;              ///< from 0, for Channels::one
    bool offset_removed = false;  ///< the mean of each channel (its DC offset) is taken away
    std::vector<Clip> clips;      ///< where they overlap they sum; none: all of the file, from the song's start
    double delay_fraction = 0.0;  ///< 0 … 1 sample later
    Band band = Band::all;
    double crossover_hz = 0.0;  ///< between low and high
    bool operator==(const Source&) const = default;
    /// The file as it is, from start to end.
    bool plain() const {
        return right_file.empty() && channels == Channels::as_recorded && !offset_removed && clips.empty() &&
               delay_fraction == 0.0 && band == Band::all;
    }
};

/// All that a source says, as text: two sources are equal when this is.
std::string source_key(const Source& source);

/// A source whose files can be reached at once.
struct ReadySource {
    Source source;
    Media media;                     ///< of the file
    std::optional<Media> right;      ///< of the right file
    std::array<double, 2> offset{};  ///< what is taken away from each channel heard; 1 is full scale
    int channels = 0;                ///< heard: 1 or 2
    int rate = 0;                    ///< the session's, Hz
    int64_t lead = 0;  ///< frames before its clips' time at which it begins: filters are heard before what they filter
    int64_t frames = 0;   ///< from there to the end of the last clip, and of what filters make of it
    std::string content;  ///< a hash of the samples of its files; known once they were measured
    int64_t file_frames() const { return std::max(media.frames, right ? right->frames : 0); }
};

/// Prepares the files of a source (see prepare_media).  Offsets are still 0, and its content is not known yet.
Result<ReadySource> prepare_source(const Source& source, int session_rate, Progress* progress = nullptr);

/// Where a frame of the file is heard in the song; -1 when no clip holds it.
int64_t song_frame(const Source& source, int64_t file_frame);

/// How loud a clip is at a frame of the song: its gain and its fades; linear.
double clip_gain_at(const Clip& clip, int64_t song_frame);

/// Whatever frames can be read from.
class FrameReader {
  public:
    virtual ~FrameReader() = default;
    virtual int channels() const = 0;
    /// Fills `out` with frames of the song, interleaved.  The same samples for any blocks.
    virtual Result<void> read(int64_t first, int64_t frames, float* out) = 0;
    /// The same where they lie in memory already, without copying; valid as long as the reader.  Null: they do not.
    virtual const float* view(int64_t /*first*/, int64_t /*frames*/) { return nullptr; }
    /// Samples that were no numbers, so far.
    virtual int64_t non_finite() const { return 0; }
};

/// Files of more than two channels are folded by ITU-R BS.775 (centre and surrounds at -3 dB to their sides, the low
/// effects channel left out) where the count is 3 to 6 or 8, in the order of WAVE files; else odd channels go left and
/// even ones right.  Fractions of a sample are delayed by a Kaiser-windowed sinc of 64 taps (flat within 0.01 dB up to
/// 0.45 of the rate).  All bands together.  Not safe to share between threads.
class SourceReader : public FrameReader {
  public:
    /// For open_source, which knows of bands too.
    static Result<SourceReader> open(const ReadySource& source);

    int channels() const override { return channels_; }
    /// Silence where no clip is.
    Result<void> read(int64_t first, int64_t frames, float* out) override;

    int64_t non_finite() const override { return file_.non_finite() + (right_ ? right_->non_finite() : 0); }

  private:
    explicit SourceReader(SoundReader file) : file_(std::move(file)) {}
    Result<void> read_file(int64_t first, int64_t frames, float* out);
    Result<void> read_clips(int64_t first, int64_t frames, float* out);
    Result<void> read_delayed(int64_t first, int64_t frames, float* out);

    Source source_;
    std::array<double, 2> offset_{};
    int channels_ = 0;
    SoundReader file_;
    std::optional<SoundReader> right_;
    std::vector<float> raw_, clip_, late_;
    std::vector<std::array<float, 2>> fold_;  ///< what each channel of the file gives to left and right
    std::vector<double> taps_;
};

/// One band of whatever another reader reads.  Not safe to share between threads.
class BandReader : public FrameReader {
  public:
    BandReader(std::unique_ptr<FrameReader> whole, Band band, double crossover_hz, double sample_rate);
    int channels() const override { return channels_; }
    Result<void> read(int64_t first, int64_t frames, float* out) override;
    int64_t non_finite() const override { return whole_->non_finite(); }

  private:
    std::unique_ptr<FrameReader> whole_;
    Band band_;
    LowBand low_;
    int channels_;
    std::vector<float> cell_in_, cell_out_;
    int64_t cell_ = -1;  ///< the cell of the song that is in cell_out_; -1: none
};

/// What another reader reads, `lead` frames later, and silence before its frame 0 and from `end` on.
std::unique_ptr<FrameReader> edged(std::unique_ptr<FrameReader> reader, int64_t lead, int64_t end);

/// What a source plays: its files, or one band of them.  Frame 0 is `lead` frames before the clips' time.
Result<std::unique_ptr<FrameReader>> open_source(const ReadySource& source);

}  // namespace isotonus
