// How needles move: the VU meter of IEC 60268-17 and the peak programme meter, type I, of IEC 60268-10 and 60268-18.
#pragma once

namespace isotonus {

/// VU: the mean of the rectified signal, seen by a needle that is a damped pendulum (two poles).  A steady tone
/// switched on reads 99 % after 300 ms and swings 1.25 % too far (IEC 60268-17: 300 ms +/-10 %, 1 to 1.5 %).
class VuNeedle {
  public:
    explicit VuNeedle(double step_s) { set_step(step_s); }
    void set_step(double step_s);
    /// Moves on by one step during which the rectified signal had this mean; returns the reading: the peak amplitude of
    /// a sine that would hold the needle there (pi/2 times the mean).
    double move(double mean_magnitude);
    double reading() const { return at_ > 0.0 ? at_ : 0.0; }

  private:
    double at_ = 0.0, speed_ = 0.0;
    double aa_ = 0.0, as_ = 0.0, sa_ = 0.0, ss_ = 0.0;  ///< the exact solution over one step, as a matrix
};

/// 0 VU is a sine at this level (EBU R 68's alignment level); common practice.
inline constexpr double vu_zero_dbfs = -18.0;

/// Peak programme meter, type I: charges with a time constant of 1.53 ms while the signal is above it, falls 20 dB in
/// 1.7 s.  Bursts of a 5 kHz tone of 10, 5, 3 and 0.4 ms read -1, -2, -4 and -15 dB within 0.5 dB, 0.5 dB, 0.5 dB and
/// 2 dB.
class ProgrammeNeedle {
  public:
    explicit ProgrammeNeedle(double sample_rate);
    /// Moves on by these samples (every `stride`th, from the first); returns the reading: the peak amplitude of a sine
    /// that would hold it.
    double move(const float* samples, long frames, int stride);
    double reading() const { return at_ * 1.0195; }  ///< between a sine's crests the needle falls back by that much

  private:
    double at_ = 0.0, charge_, fall_;
};

}  // namespace isotonus
