#include "core/audio/source.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/audio/kaiser.h"
#include "core/audio/playable.h"
#include "core/decibels.h"

namespace isotonus {

namespace {

constexpr int64_t reach = 32;  ///< taps of the fractional delay on each side

/// Taps for the samples reach - 1 later … reach earlier: a sinc centred `fraction` samples late.
std::vector<double> delay_taps(double fraction) {
    constexpr double beta = 9.0;
    std::vector<double> h;
    double sum = 0.0;
    for (int64_t k = -reach + 1; k <= reach; ++k) {
        const double t = static_cast<double>(k) - fraction;
        const double window = kaiser(t / static_cast<double>(reach), beta);
        const double x = std::numbers::pi * t;
        h.push_back(window * (t == 0.0 ? 1.0 : std::sin(x) / x));
        sum += h.back();
    }
    for (double& tap : h) tap /= sum;
    return h;
}

std::vector<std::array<float, 2>> fold_of(int channels) {
    constexpr float s = 0.70710678f;
    switch (channels) {
        case 3:  // L R C
            return {{1, 0}, {0, 1}, {s, s}};
        case 4:  // L R Ls Rs
            return {{1, 0}, {0, 1}, {s, 0}, {0, s}};
        case 5:  // L R C Ls Rs
            return {{1, 0}, {0, 1}, {s, s}, {s, 0}, {0, s}};
        case 6:  // L R C LFE Ls Rs
            return {{1, 0}, {0, 1}, {s, s}, {0, 0}, {s, 0}, {0, s}};
        case 8:  // L R C LFE Lb Rb Ls Rs
            return {{1, 0}, {0, 1}, {s, s}, {0, 0}, {s, 0}, {0, s}, {s, 0}, {0, s}};
        default:
            break;
    }
    std::vector<std::array<float, 2>> fold;
    for (int c = 0; c < channels; ++c) fold.push_back(c % 2 == 0 ? std::array{1.0f, 0.0f} : std::array{0.0f, 1.0f});
    return fold;
}

}  // namespace

std::string source_key(const Source& s) {
    std::string key =
        fmt::format("{}\n{}\n{} {} {} {} {} {}", s.file.string(), s.right_file.string(), static_cast<int>(s.channels),
                    s.channel, s.offset_removed, s.delay_fraction, static_cast<int>(s.band), s.crossover_hz);
    for (const Clip& c : s.clips)
        key += fmt::format("\n{} {} {} {} {} {}", c.start, c.offset, c.frames, c.gain_db, c.fade_in, c.fade_out);
    return key;
}

Result<ReadySource> prepare_source(const Source& source, int session_rate, Progress* progress) {
    auto media = prepare_media(source.file, session_rate, progress);
    if (!media) return tl::unexpected(media.error());
    ReadySource ready;
    ready.source = source;
    ready.rate = session_rate;
    ready.media = std::move(*media);
    const int recorded = ready.media.channels;
    ready.channels = std::min(2, recorded);
    if (!source.right_file.empty()) {
        auto right = prepare_media(source.right_file, session_rate, progress);
        if (!right) return tl::unexpected(right.error());
        if (recorded > 2 || right->channels > 2)
            return fail(source.right_file.string(),
                        translated("the left and the right file must be mono or stereo. Choose other files."));
        ready.right = std::move(*right);
        ready.channels = 2;
    }
    const bool narrowed = source.channels == Channels::mono || source.channels == Channels::one;
    if (narrowed) ready.channels = 1;
    if (source.channels == Channels::one && source.channel >= std::max(recorded, ready.right ? 2 : 1))
        return fail(
            source.file.string(),
            translate(
                "the session uses channel {}, the file has {}. Choose other channels in the menu of the track's name.",
                source.channel + 1, recorded));
    ready.frames = source.clips.empty() ? ready.file_frames() : 0;
    for (const Clip& clip : source.clips) ready.frames = std::max(ready.frames, clip.end());
    if (source.delay_fraction != 0.0) ready.lead += reach;
    if (source.band == Band::low) ready.channels = 1;
    if (source.band != Band::all) ready.lead += LowBand(source.crossover_hz, session_rate).reach();
    ready.frames += 2 * ready.lead;
    return ready;
}

int64_t song_frame(const Source& source, int64_t file_frame) {
    if (source.clips.empty()) return file_frame;
    for (const Clip& c : source.clips)
        if (file_frame >= c.offset && file_frame < c.offset + c.frames) return c.start + file_frame - c.offset;
    return -1;
}

double clip_gain_at(const Clip& clip, int64_t frame) {
    const auto rise = [](int64_t at, int64_t length) {
        if (at >= length) return 1.0;
        const double s =
            std::sin(std::numbers::pi / 2.0 * (static_cast<double>(at) + 0.5) / static_cast<double>(length));
        return s * s;
    };
    return gain_from_db(clip.gain_db) * rise(frame - clip.start, clip.fade_in) *
           rise(clip.end() - 1 - frame, clip.fade_out);
}

Result<SourceReader> SourceReader::open(const ReadySource& ready) {
    auto file = SoundReader::open(ready.media.playable);
    if (!file) return tl::unexpected(file.error());
    SourceReader reader(std::move(*file));
    if (reader.file_.info().channels != ready.media.channels)
        return fail(ready.media.playable.string(),
                    translated("the file changed while it was in use. Read the file again."));
    if (ready.right) {
        auto right = SoundReader::open(ready.right->playable);
        if (!right) return tl::unexpected(right.error());
        reader.right_ = std::move(*right);
    }
    reader.source_ = ready.source;
    reader.offset_ = ready.offset;
    // A low band has one channel, of whatever its track has.
    const Channels way = ready.source.channels;
    const bool one = way == Channels::mono || way == Channels::one || (!ready.right && ready.media.channels == 1);
    reader.channels_ = one ? 1 : 2;
    if (reader.file_.info().channels > 2) reader.fold_ = fold_of(reader.file_.info().channels);
    if (ready.source.delay_fraction != 0.0) reader.taps_ = delay_taps(ready.source.delay_fraction);
    return reader;
}

/// The channels that are wanted, their offset taken away, in the file's time.
Result<void> SourceReader::read_file(int64_t first, int64_t frames, float* out) {
    const int recorded = file_.info().channels;
    const bool as_it_is = !right_ && recorded <= 2 && source_.channels == Channels::as_recorded;
    if (as_it_is) {
        if (auto done = file_.read(first, frames, out); !done) return done;
    } else {
        const size_t step = static_cast<size_t>(right_ ? 2 : recorded);
        raw_.resize(std::max(raw_.size(), static_cast<size_t>(frames) * (step + 2)));
        if (right_) {
            float* const file = raw_.data() + static_cast<size_t>(frames) * 2;
            for (size_t c = 0; c < 2; ++c) {
                SoundReader& side = c == 0 ? file_ : *right_;
                const auto width = static_cast<size_t>(side.info().channels);
                if (auto done = side.read(first, frames, file); !done) return done;
                for (size_t i = 0; i < static_cast<size_t>(frames); ++i)
                    raw_[2 * i + c] = file[width * i + std::min(c, width - 1)];
            }
        } else if (auto done = file_.read(first, frames, raw_.data()); !done) {
            return done;
        }
        const float* in = raw_.data();
        for (size_t i = 0; i < static_cast<size_t>(frames); ++i, in += step) {
            if (source_.channels == Channels::one) {
                out[i] = in[source_.channel];
                continue;
            }
            float left = in[0], right = step > 1 ? in[1] : in[0];
            if (step > 2) {
                left = right = 0.0f;
                for (size_t c = 0; c < step; ++c) left += in[c] * fold_[c][0], right += in[c] * fold_[c][1];
            }
            if (source_.channels == Channels::mono) {
                out[i] = 0.5f * (left + right);
            } else if (channels_ == 1) {
                out[i] = left;
            } else {
                const bool swapped = source_.channels == Channels::swapped;
                out[2 * i] = swapped ? right : left;
                out[2 * i + 1] = swapped ? left : right;
            }
        }
    }
    if (!source_.offset_removed) return {};
    // Only where the file sounds: before its start and after its end is silence, not minus the offset.
    const int64_t length = std::max(file_.info().frames, right_ ? right_->info().frames : 0);
    const int64_t begin = std::clamp<int64_t>(-first, 0, frames), end = std::clamp<int64_t>(length - first, 0, frames);
    for (int64_t i = begin; i < end; ++i)
        for (int64_t c = 0; c < channels_; ++c)
            out[i * channels_ + c] -= static_cast<float>(offset_[static_cast<size_t>(c)]);
    return {};
}

Result<void> SourceReader::read_clips(int64_t first, int64_t frames, float* out) {
    if (source_.clips.empty()) return read_file(first, frames, out);
    std::fill_n(out, frames * channels_, 0.0f);
    for (const Clip& clip : source_.clips) {
        const int64_t begin = std::max(first, clip.start), end = std::min(first + frames, clip.end());
        if (begin >= end) continue;
        clip_.resize(std::max(clip_.size(), static_cast<size_t>((end - begin) * channels_)));
        if (auto done = read_file(clip.offset + begin - clip.start, end - begin, clip_.data()); !done) return done;
        const double flat = gain_from_db(clip.gain_db);
        const float* in = clip_.data();
        float* to = out + (begin - first) * channels_;
        for (int64_t t = begin; t < end; ++t) {
            const bool fading = t < clip.start + clip.fade_in || t >= clip.end() - clip.fade_out;
            const double gain = fading ? clip_gain_at(clip, t) : flat;
            for (int c = 0; c < channels_; ++c) *to++ += static_cast<float>(static_cast<double>(*in++) * gain);
        }
    }
    return {};
}

BandReader::BandReader(std::unique_ptr<FrameReader> whole, Band band, double crossover_hz, double sample_rate)
    : whole_(std::move(whole)),
      band_(band),
      low_(crossover_hz, sample_rate),
      channels_(band == Band::low ? 1 : whole_->channels()) {}

Result<void> BandReader::read(int64_t first, int64_t frames, float* out) {
    constexpr int64_t length = LowBand::cell_frames;
    const auto channels = static_cast<size_t>(whole_->channels());
    const int64_t around = low_.reach();
    std::vector<float> low(static_cast<size_t>(length));
    for (int64_t done = 0; done < frames;) {
        const int64_t at = first + done;
        const int64_t cell = at >= 0 ? at / length : -((-at + length - 1) / length);
        if (cell != cell_ || cell_out_.empty()) {
            cell_in_.resize(static_cast<size_t>(length + 2 * around) * channels);
            cell_out_.resize(static_cast<size_t>(length * channels_));
            cell_ = cell;
            if (auto read = whole_->read(cell * length - around, length + 2 * around, cell_in_.data()); !read) {
                cell_out_.clear();
                return read;
            }
            if (band_ == Band::low)
                for (size_t i = 0; channels == 2 && i < cell_in_.size(); i += 2)
                    cell_in_[i / 2] = 0.5f * (cell_in_[i] + cell_in_[i + 1]);
            for (int c = 0; c < channels_; ++c) {
                low_.filter(cell_in_.data() + c, channels_, low.data());
                for (size_t i = 0; i < low.size(); ++i) {
                    const size_t here = i * static_cast<size_t>(channels_) + static_cast<size_t>(c);
                    const size_t there = here + static_cast<size_t>(around * channels_);
                    cell_out_[here] = band_ == Band::low ? low[i] : cell_in_[there] - low[i];
                }
            }
        }
        const int64_t inside = at - cell * length, part = std::min(frames - done, length - inside);
        std::copy_n(cell_out_.begin() + inside * channels_, part * channels_, out + done * channels_);
        done += part;
    }
    return {};
}

namespace {

/// Another reader so many frames later, and silent outside of its frames: what a transform leaves there depends on
/// where its cells lie.
class EdgedReader : public FrameReader {
  public:
    EdgedReader(std::unique_ptr<FrameReader> reader, int64_t lead, int64_t end)
        : reader_(std::move(reader)), lead_(lead), end_(end) {}
    int channels() const override { return reader_->channels(); }
    Result<void> read(int64_t first, int64_t frames, float* out) override {
        const int64_t from = std::clamp<int64_t>(-first, 0, frames), to = std::clamp(end_ - first, from, frames),
                      wide = channels();
        std::fill_n(out, from * wide, 0.0f);
        std::fill_n(out + to * wide, (frames - to) * wide, 0.0f);
        if (to == from) return {};
        return reader_->read(first + from - lead_, to - from, out + from * wide);
    }
    int64_t non_finite() const override { return reader_->non_finite(); }

  private:
    const std::unique_ptr<FrameReader> reader_;
    const int64_t lead_, end_;
};

}  // namespace

Result<std::unique_ptr<FrameReader>> open_source(const ReadySource& ready) {
    auto opened = SourceReader::open(ready);
    if (!opened) return tl::unexpected(opened.error());
    std::unique_ptr<FrameReader> reader = std::make_unique<SourceReader>(std::move(*opened));
    if (ready.source.band != Band::all)
        reader =
            std::make_unique<BandReader>(std::move(reader), ready.source.band, ready.source.crossover_hz, ready.rate);
    if (ready.lead != 0) return edged(std::move(reader), ready.lead, ready.frames);
    return reader;
}

std::unique_ptr<FrameReader> edged(std::unique_ptr<FrameReader> reader, int64_t lead, int64_t end) {
    return std::make_unique<EdgedReader>(std::move(reader), lead, end);
}

Result<void> SourceReader::read(int64_t first, int64_t frames, float* out) { return read_delayed(first, frames, out); }

Result<void> SourceReader::read_delayed(int64_t first, int64_t frames, float* out) {
    if (taps_.empty()) return read_clips(first, frames, out);
    const size_t channels = static_cast<size_t>(channels_);
    late_.resize(std::max(late_.size(), static_cast<size_t>(frames + 2 * reach) * channels));
    if (auto done = read_clips(first - reach, frames + 2 * reach, late_.data()); !done) return done;
    for (size_t i = 0; i < static_cast<size_t>(frames); ++i)
        for (size_t c = 0; c < channels; ++c) {
            double sum = 0.0;  // tap k belongs to the sample k - reach + 1 earlier
            for (size_t k = 0; k < taps_.size(); ++k)
                sum += taps_[k] * static_cast<double>(late_[(i + 2 * reach - 1 - k) * channels + c]);
            out[i * channels + c] = static_cast<float>(sum);
        }
    return {};
}

Result<void> FileSound::unchanged(Seen&) const {
    for (const Media* media : {&ready_.media, ready_.right ? &*ready_.right : nullptr})
        if (media && stamp_of(media->original) != media->stamp)
            return fail(media->original.string(), translated("the file changed after it was measured. Try again."));
    return {};
}

}  // namespace isotonus
