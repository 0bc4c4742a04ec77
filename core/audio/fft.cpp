#include "core/audio/fft.h"

#include <fftw3.h>

#include <mutex>

namespace isotonus {

struct RealFft::Work {
    float* time;
    fftwf_complex* bins;
    fftwf_plan forward, back;
};

namespace {
std::mutex planning;  ///< FFTW's planner is not safe to share
}

RealFft::RealFft(int size) : size_(size), work_(std::make_unique<Work>()) {
    std::scoped_lock lock(planning);
    work_->time = fftwf_alloc_real(static_cast<size_t>(size));
    work_->bins = fftwf_alloc_complex(static_cast<size_t>(size / 2 + 1));
    work_->forward = fftwf_plan_dft_r2c_1d(size, work_->time, work_->bins, FFTW_ESTIMATE);
    work_->back = fftwf_plan_dft_c2r_1d(size, work_->bins, work_->time, FFTW_ESTIMATE);
}

RealFft::RealFft(RealFft&&) noexcept = default;

RealFft::~RealFft() {
    if (!work_) return;
    std::scoped_lock lock(planning);
    fftwf_destroy_plan(work_->forward);
    fftwf_destroy_plan(work_->back);
    fftwf_free(work_->time);
    fftwf_free(work_->bins);
}

std::span<float> RealFft::time() { return {work_->time, static_cast<size_t>(size_)}; }

std::span<std::complex<float>> RealFft::bins() {
    // FFTW documents its complex type as bit-compatible with the standard's.
    return {reinterpret_cast<std::complex<float>*>(work_->bins), static_cast<size_t>(size_ / 2 + 1)};
}

void RealFft::forward() { fftwf_execute(work_->forward); }

void RealFft::back() { fftwf_execute(work_->back); }

int RealFft::fast_size(int least) {
    for (int n = least + (least & 1);; n += 2) {
        int rest = n;
        for (const int factor : {2, 3, 5, 7})
            while (rest % factor == 0) rest /= factor;
        if (rest == 1) return n;
    }
}

}  // namespace isotonus
