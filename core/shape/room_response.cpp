#include "core/shape/room_response.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <cstring>
#include <deque>
#include <map>
#include <mutex>

#include "core/audio/fft.h"
#include "core/audio/media.h"
#include "core/audio/resample.h"
#include "core/shape/dynamics.h"
#include "core/shape/lines.h"
#include "core/shape/reverb.h"

namespace isotonus {

namespace {

constexpr size_t bins = room_block + 1;

/// Samples of one channel as partitions' spectra.
std::vector<std::complex<float>> spectra_of(const std::vector<float>& x, size_t first, size_t step, size_t partitions,
                                            float scale) {
    RealFft fft(2 * room_block);
    std::vector<std::complex<float>> all;
    all.reserve(partitions * bins);
    for (size_t p = 0; p < partitions; ++p) {
        std::fill(fft.time().begin(), fft.time().end(), 0.0f);
        for (size_t i = 0; i < room_block; ++i)
            if (const size_t at = (p * room_block + i) * step + first; at < x.size()) fft.time()[i] = x[at] * scale;
        fft.forward();
        all.insert(all.end(), fft.bins().begin(), fft.bins().end());
    }
    return all;
}

int64_t frames_used(const SoundInfo& info) {
    return std::min(info.frames, static_cast<int64_t>(longest_room_s * info.sample_rate));
}

Result<std::shared_ptr<const RoomResponse>> read_room(const fs::path& file, double rate) {
    auto reader = SoundReader::open(file);
    if (!reader) return tl::unexpected(reader.error());
    const SoundInfo info = reader->info();
    if (info.channels != 1 && info.channels != 2 && info.channels != 4)
        return fail(file.string(),
                    translate("an impulse response has 1, 2 or 4 channels, this file has {}. Choose another file.",
                              info.channels));
    const auto wide = static_cast<size_t>(info.channels);
    const int64_t most = frames_used(info);
    std::vector<float> samples(static_cast<size_t>(most) * wide);
    if (auto read = reader->read(0, most, samples.data()); !read) return tl::unexpected(read.error());
    if (info.sample_rate != static_cast<int>(rate)) {
        auto resampler = Resampler::create(info.sample_rate, static_cast<int>(rate), info.channels);
        if (!resampler) return tl::unexpected(resampler.error());
        std::vector<float> converted;
        for (const std::span<const float> piece : {std::span<const float>(samples), std::span<const float>()}) {
            const auto out = resampler->convert(piece);
            converted.insert(converted.end(), out.begin(), out.end());
        }
        samples = std::move(converted);
    }
    double energy = 0.0;
    for (const float x : samples) energy += static_cast<double>(x) * static_cast<double>(x);
    if (!(energy > 0.0) || !std::isfinite(energy))
        return fail(file.string(), translated("the impulse response is silent. Choose another file."));
    auto room = std::make_shared<RoomResponse>();
    room->sample_rate = rate;
    room->frames = static_cast<int64_t>(samples.size() / wide);
    const double sides = std::min<double>(2.0, info.channels);
    const auto scale = static_cast<float>(1.0 / std::sqrt(energy / sides));
    const auto channel = [&](size_t n) { return spectra_of(samples, n, wide, room->partitions(), scale); };
    room->from[0][0] = channel(0);
    room->from[1][1] = room->from[0][0];
    if (wide > 1) room->from[1][1] = channel(wide == 2 ? 1 : 3);
    if (wide == 4) {
        room->from[0][1] = channel(1);
        room->from[1][0] = channel(2);
    }
    return room;
}

/// Sum += a b, of whole spectra.
ISOTONUS_WIDE void add_product(const std::complex<float>* a, const std::complex<float>* b, size_t count, float* sum) {
    const auto *x = reinterpret_cast<const float*>(a), *y = reinterpret_cast<const float*>(b);
    for (size_t i = 0; i < count; ++i) {
        sum[2 * i] += x[2 * i] * y[2 * i] - x[2 * i + 1] * y[2 * i + 1];
        sum[2 * i + 1] += x[2 * i] * y[2 * i + 1] + x[2 * i + 1] * y[2 * i];
    }
}

/// What it remembers is what came in: the last block of each side as it is, and the spectra of those before it.
class RoomRunning final : public Running {
  public:
    RoomRunning(std::shared_ptr<const RoomResponse> room, int channels, double rate)
        : channels_(channels),
          rate_(rate),
          room_(std::move(room)),
          partitions_(room_->partitions()),
          fft_(2 * room_block),
          sum_(2 * bins) {
        memory_.resize(sizeof(Head) + sizeof(float) * (2 * before_length(rate) + 2 * 2 * room_block + 2 * room_block +
                                                       2 * partitions_ * 2 * bins));
    }
    void set(std::span<const double> values) override {
        const auto value = [&](const char* id) {
            return values[static_cast<size_t>(reverb_type().find(id) - reverb_type().parameters.data())];
        };
        before_from_ = before_to_;
        before_to_ = static_cast<size_t>(std::lround(value("predelay_ms") * 0.001 * rate_));
        if (first_) before_from_ = before_to_;
        cuts_.set(value("low_cut_hz"), value("high_cut_hz"), rate_, first_);
        duck_.set(value("duck_db"), value("duck_threshold_dbfs"), rate_, first_);
        width_from_ = width_to_;
        width_to_ = static_cast<float>(value("width") / 100.0);
        if (std::exchange(first_, false)) width_from_ = width_to_;
    }
    void restart() override { first_ = true; }
    int latency() const override { return room_block; }
    std::span<std::byte> memory() override { return memory_; }
    float reduction_db(int) const override { return 0.0f; }
    std::complex<double> response(double) const override { return 1.0; }

    void process(float* cell, int frames, const float* key, int key_channels) override {
        Head& head = *std::launder(reinterpret_cast<Head*>(memory_.data()));
        float* const lines = reinterpret_cast<float*>(memory_.data() + sizeof(Head));
        float* const in = lines + 2 * before_length(rate_);  ///< of each side the last block and the one that fills up
        float* const out = in + 2 * 2 * room_block;          ///< of each side what is due
        auto* const spectra = reinterpret_cast<std::complex<float>*>(out + 2 * room_block);
        PairCell pair;
        pair.load(cell, channels_, frames);
        if (channels_ == 1)
            for (int i = 0; i < frames; ++i) pair.at[i][1] = pair.at[i][0];
        cuts_.run(head.cuts, pair, frames);
        uint32_t at = head.before;
        float side[cell_frames];
        for (size_t s = 0; s < 2; ++s) {
            Ring before(lines + s * before_length(rate_), before_length(rate_));
            for (int i = 0; i < frames; ++i) side[i] = static_cast<float>(pair.at[i][s]);
            at = head.before;
            before.write(at, side, frames);
            before.read_gliding(at, before_from_ + cell_frames, before_to_ + cell_frames,
                                in + s * 2 * room_block + room_block + head.filled);
        }
        head.before = at;
        for (int i = 0; i < frames; ++i) {
            const float left = out[head.filled + i], right = out[room_block + head.filled + i];
            const float middle = 0.5f * (left + right);
            const float width = width_from_ + (width_to_ - width_from_) * static_cast<float>(i + 1) / cell_frames;
            if (channels_ == 1)
                cell[i] = middle;
            else
                cell[2 * i] = middle + (left - middle) * width, cell[2 * i + 1] = middle + (right - middle) * width;
        }
        duck_.process(head.duck, {cell, channels_, frames, key, key_channels, rate_, nullptr});
        width_from_ = width_to_;
        before_from_ = before_to_;
        head.filled += frames;
        if (head.filled < room_block) return;
        head.filled = 0;
        convolve(head, in, out, spectra);
    }

  private:
    struct Head {
        KeyFilter::State cuts;
        EchoDuck::State duck;
        uint32_t before = 0;
        int32_t filled = 0;  ///< frames of the block that comes in
        int64_t newest = 0;  ///< place of the last spectrum
    };
    static size_t before_length(double rate) {
        constexpr double longest_before_ms = 250.0;
        return static_cast<size_t>(longest_before_ms * 0.001 * rate) + 3 * static_cast<size_t>(cell_frames);
    }

    void convolve(Head& head, float* in, float* out, std::complex<float>* spectra) {
        head.newest = (head.newest + 1) % static_cast<int64_t>(partitions_);
        const auto newest = static_cast<size_t>(head.newest);
        const auto spectrum = [&](size_t s, size_t position) { return spectra + (s * partitions_ + position) * bins; };
        for (size_t s = 0; s < 2; ++s) {
            float* const own = in + s * 2 * room_block;
            std::copy_n(own, 2 * room_block, fft_.time().begin());
            fft_.forward();
            std::copy_n(fft_.bins().begin(), bins, spectrum(s, newest));
            std::memmove(own, own + room_block, room_block * sizeof(float));
        }
        for (size_t to = 0; to < 2; ++to) {
            std::fill(sum_.begin(), sum_.end(), 0.0f);
            for (size_t s = 0; s < 2; ++s) {
                const auto& response = room_->from[s][to];
                if (response.empty()) continue;
                for (size_t p = 0; p < partitions_; ++p)
                    add_product(response.data() + p * bins, spectrum(s, (newest + partitions_ - p) % partitions_), bins,
                                sum_.data());
            }
            std::memcpy(static_cast<void*>(fft_.bins().data()), sum_.data(), sum_.size() * sizeof(float));
            fft_.back();
            for (size_t i = 0; i < room_block; ++i)
                out[to * room_block + i] = fft_.time()[room_block + i] / static_cast<float>(2 * room_block);
        }
    }

    int channels_;
    double rate_;
    std::shared_ptr<const RoomResponse> room_;
    size_t partitions_, before_from_ = 0, before_to_ = 0;
    bool first_ = true;
    float width_from_ = 1.0f, width_to_ = 1.0f;
    KeyFilter cuts_;
    EchoDuck duck_;
    RealFft fft_;
    std::vector<float> sum_;
    std::vector<std::byte> memory_;
};

/// A room whose file cannot be read lets through what comes in, and says why.
class NoRoom final : public Running {
  public:
    explicit NoRoom(std::string why) : why_(std::move(why)) {}
    void set(std::span<const double>) override {}
    void restart() override {}
    void process(float*, int, const float*, int) override {}
    int latency() const override { return 0; }
    std::span<std::byte> memory() override { return {}; }
    float reduction_db(int) const override { return 0.0f; }
    std::complex<double> response(double) const override { return 1.0; }
    std::string fault() const override { return why_; }

  private:
    std::string why_;
};

}  // namespace

Result<double> impulse_seconds(const fs::path& file) {
    static std::mutex mutex;
    static std::map<fs::path, std::pair<FileStamp, Result<double>>> all;
    const FileStamp stamp = stamp_of(file);
    const std::scoped_lock lock(mutex);
    if (const auto at = all.find(file); at != all.end() && at->second.first == stamp) return at->second.second;
    auto seconds = without_exceptions(file.string(), [&]() -> Result<double> {
        const auto reader = SoundReader::open(file);
        if (!reader) return tl::unexpected(reader.error());
        const SoundInfo& info = reader->info();
        return static_cast<double>(converted_frames(frames_used(info), info.sample_rate, 48000)) / 48000.0;
    });
    all.insert_or_assign(file, std::pair(stamp, seconds));
    return seconds;
}

Result<std::shared_ptr<const RoomResponse>> room_response(const fs::path& file, double sample_rate) {
    // Those that were used last stay, whoever holds them: a chain is started anew for everyone who reads it.
    constexpr size_t max_kept = 8;
    static std::mutex mutex;
    static std::map<std::string, std::weak_ptr<const RoomResponse>> all;
    static std::deque<std::shared_ptr<const RoomResponse>> kept;
    const FileStamp stamp = settled_stamp_of(file);
    const std::string key = cache_key(file, stamp, fmt::format("impulse {}", sample_rate));
    const std::scoped_lock lock(mutex);
    if (auto known = all[key].lock()) return known;
    auto read = without_exceptions(file.string(), [&] { return read_room(file, sample_rate); });
    if (read && stamp_of(file) != stamp)
        return fail(file.string(), translated("the file changed while it was read. Read the file again."));
    if (!read) return read;
    std::erase_if(all, [](const auto& entry) { return entry.second.expired(); });
    all[key] = *read;
    kept.push_back(*read);
    if (kept.size() > max_kept) kept.pop_front();
    return read;
}

std::unique_ptr<Running> start_room(const Processor& reverb, int channels, double sample_rate) {
    auto room = room_response(reverb.impulse, sample_rate);
    if (!room) return std::make_unique<NoRoom>(room.error().text());
    return std::make_unique<RoomRunning>(std::move(*room), channels, sample_rate);
}

}  // namespace isotonus
