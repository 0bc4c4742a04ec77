// The fast Fourier transform of real samples, by FFTW.
#pragma once

#include <complex>
#include <memory>
#include <span>

namespace isotonus {

/// One transform's size and work space; not to be shared between threads.  Not scaled: forward and back multiply by
/// the size.
class RealFft {
  public:
    explicit RealFft(int size);
    ~RealFft();
    RealFft(RealFft&&) noexcept;

    int size() const { return size_; }
    /// `size` samples to fill before forward(), and what back() leaves there.
    std::span<float> time();
    /// size / 2 + 1 bins: what forward() leaves, and what back() starts from (and spoils).
    std::span<std::complex<float>> bins();
    void forward();
    void back();

    /// The smallest even size from `least` on that has small factors only.
    static int fast_size(int least);

  private:
    struct Work;
    int size_;
    std::unique_ptr<Work> work_;
};

}  // namespace isotonus
