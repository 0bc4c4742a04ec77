#include "core/balance/mix_products.h"

#include <Eigen/Dense>
#include <bit>
#include <numbers>

#include "core/audio/fft.h"

namespace isotonus {

namespace {

using Rows = Eigen::Matrix<float, Eigen::Dynamic, Eigen::Dynamic, Eigen::RowMajor>;
constexpr size_t max_bytes = 200'000'000;

/// One thread's work: the transforms of all tracks and of the mix in one window.
class WindowWork {
  public:
    WindowWork(const std::vector<MixColumn>& columns, const AlignedMix& mix, int frames)
        : columns_(columns), mix_(mix), fft_(frames), frames_(static_cast<size_t>(frames)) {
        for (Rows& side : sides_) side.resize(std::ssize(columns), frames + 2);
        for (auto* sides : {&heard_, &turned_})
            for (auto& side : *sides) side.resize(frames_ + 2);
        window_.resize(frames_);
        for (size_t i = 0; i < frames_; ++i) {
            const double s = std::sin(std::numbers::pi * (static_cast<double>(i) + 0.5) / frames);
            window_[i] = static_cast<float>(s * s);
        }
        for (size_t b = 0; b <= fit_bands; ++b) {
            const double bin = fit_band_edges_hz[b] * frames / mix.material->rate();
            edges_[b] = std::clamp<int64_t>(std::llround(bin), 1, frames / 2);
        }
    }

    Result<void> open() {
        for (const MixColumn& c : columns_) {
            auto reader = c.material->open();
            if (!reader) return tl::unexpected(reader.error());
            readers_.push_back(std::move(*reader));
        }
        auto reader = mix_.material->open();
        if (!reader) return tl::unexpected(reader.error());
        readers_.push_back(std::move(*reader));
        return {};
    }

    Result<void> add(MixProducts& into, size_t window) {
        const int64_t first = into.first_frames[window];
        for (size_t t = 0; t < columns_.size(); ++t) {
            const MixColumn& c = columns_[t];
            if (auto done = read(t, first - c.delay_samples); !done) return done;
            const double ride = c.part->any_ride_to_main()
                                    ? c.part->ride_to_main_at((static_cast<double>(first) + 0.5 * window_size()) /
                                                              mix_.material->rate())
                                    : 1.0;
            transform(c.to_main.left_from_left * ride, c.to_main.left_from_right * ride,
                      sides_[0].row(static_cast<Eigen::Index>(t)).data());
            transform(c.to_main.right_from_left * ride, c.to_main.right_from_right * ride,
                      sides_[1].row(static_cast<Eigen::Index>(t)).data());
        }
        if (auto done = read(columns_.size(), first - mix_.begins); !done) return done;
        const bool mono = readers_.back()->channels() == 1;
        transform(1.0, 0.0, heard_[0].data());
        if (mono)
            heard_[1] = heard_[0];
        else
            transform(0.0, 1.0, heard_[1].data());
        for (size_t side = 0; side < 2; ++side) multiply(into, window, side);
        return {};
    }

  private:
    double window_size() const { return static_cast<double>(frames_); }

    /// Both channels of a reader, transformed.
    Result<void> read(size_t of, int64_t first) {
        FrameReader& reader = *readers_[of];
        const auto channels = static_cast<size_t>(reader.channels());
        samples_.resize(frames_ * channels);
        if (auto done = reader.read(first, static_cast<int64_t>(frames_), samples_.data()); !done) return done;
        for (size_t c = 0; c < 2; ++c) {
            channel_[c].assign(frames_ + 2, 0.0f);
            if (c >= channels) break;
            float loudest = 0.0f;
            for (size_t i = 0; i < frames_; ++i) {
                fft_.time()[i] = samples_[i * channels + c] * window_[i];
                loudest = std::max(loudest, std::fabs(fft_.time()[i]));
            }
            if (loudest == 0.0f) continue;
            fft_.forward();
            std::copy_n(reinterpret_cast<const float*>(fft_.bins().data()), frames_ + 2, channel_[c].data());
        }
        return {};
    }

    void transform(double from_left, double from_right, float* out) const {
        const auto l = static_cast<float>(from_left), r = static_cast<float>(from_right);
        for (size_t i = 0; i < frames_ + 2; ++i) out[i] = l * channel_[0][i] + r * channel_[1][i];
    }

    void multiply(MixProducts& into, size_t window, size_t side) {
        const std::vector<float>& y = heard_[side];
        // The imaginary part of conj(X) Y is the product with Y turned by a quarter.
        std::vector<float>& turned = turned_[side];
        for (size_t i = 0; i < y.size(); i += 2) turned[i] = y[i + 1], turned[i + 1] = -y[i];
        for (size_t b = 0; b < fit_bands; ++b) {
            const int64_t from = 2 * edges_[b], count = 2 * (edges_[b + 1] - edges_[b]);
            if (count <= 0) continue;
            const auto x = sides_[side].middleCols(from, count);
            const Eigen::Map<const Eigen::VectorXf> heard(y.data() + from, count), quarter(turned.data() + from, count);
            products_.setZero(x.rows(), x.rows());
            products_.selfadjointView<Eigen::Lower>().rankUpdate(x);
            const Eigen::VectorXf re = x * heard, im = x * quarter;
            const size_t cell = into.cell(side, window, b);
            float* among = into.among(cell);
            for (std::ptrdiff_t i = 0; i < products_.rows(); ++i)
                among = std::copy_n(products_.data() + i * products_.cols(), i + 1, among);
            for (std::ptrdiff_t i = 0; i < re.size(); ++i) into.with_mix(cell)[i] = {re[i], im[i]};
            into.of_mix(cell) = heard.squaredNorm();
        }
    }

    const std::vector<MixColumn>& columns_;
    const AlignedMix& mix_;
    RealFft fft_;
    const size_t frames_;
    std::array<int64_t, fit_bands + 1> edges_{};
    std::vector<std::unique_ptr<FrameReader>> readers_;
    std::vector<float> window_, samples_;
    std::array<std::vector<float>, 2> channel_, heard_, turned_;
    std::array<Rows, 2> sides_;
    Rows products_;
};

}  // namespace

void MixProducts::resize() {
    const size_t cells = 2 * windows() * fit_bands;
    among_.resize(cells * triangle());
    with_mix_.resize(cells * tracks);
    of_mix_.resize(cells);
}

Result<MixProducts> mix_products(const std::vector<MixColumn>& columns, const AlignedMix& mix, Progress* progress) {
    MixProducts found;
    found.tracks = columns.size();
    const int rate = mix.material->rate();
    found.window_frames = static_cast<int64_t>(std::bit_ceil(static_cast<unsigned>(std::max(64, rate / 50))));
    int64_t song_frames = 0;
    for (const MixColumn& c : columns) song_frames = std::max(song_frames, c.material->frames() + c.delay_samples);
    const int64_t from = std::max<int64_t>(0, mix.begins),
                  to = std::min(song_frames, mix.begins + mix.material->frames());
    const size_t bytes_a_window = 2 * fit_bands * sizeof(float) * (found.triangle() + 2 * found.tracks + 1);
    const auto most = static_cast<int64_t>(std::max<size_t>(64, max_bytes / bytes_a_window));
    const int64_t step = std::max(4 * found.window_frames, (to - from) / most);
    for (int64_t first = from; first + found.window_frames <= to; first += step) found.first_frames.push_back(first);
    found.resize();

    const int workers = worker_count();
    constexpr size_t batch = 32;  // windows one after the other: chains and compressed files are read in order
    const auto batches = static_cast<int64_t>((found.windows() + batch - 1) / batch);
    std::atomic<int64_t> next{0}, done_batches{0};
    std::mutex mutex;
    std::optional<Error> error;
    parallel_for(workers, workers, [&](int64_t) {
        WindowWork work(columns, mix, static_cast<int>(found.window_frames));
        auto done = work.open();
        for (int64_t b = next++; done && b < batches; b = next++) {
            if (progress && progress->cancelled()) break;
            const size_t begin = static_cast<size_t>(b) * batch, end = std::min(begin + batch, found.windows());
            for (size_t w = begin; done && w < end; ++w) done = work.add(found, w);
            if (progress)
                progress->report(0.1 + 0.6 * static_cast<double>(++done_batches) / static_cast<double>(batches));
        }
        if (done) return;
        std::scoped_lock lock(mutex);
        error = done.error();
    });
    if (progress && progress->cancelled()) return stopped();
    if (error) return tl::unexpected(*error);
    return found;
}

}  // namespace isotonus
