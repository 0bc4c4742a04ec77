// Writing a ride while the song plays.
#pragma once

#include "core/ride/curve_edit.h"

namespace isotonus {

enum class WriteMode {
    read,   ///< the ride plays; moves change the row's own setting
    touch,  ///< written while the control is held; let go, it returns to the ride over the return time
    latch,  ///< written from the first touch until the song stops, at the last value
    write,  ///< written from where the song starts until it stops, at the control's value
};

struct WriteOptions {
    WriteMode mode = WriteMode::touch;
    double return_s = 0.3;  ///< touch only
    bool thin = true;       ///< by the parameter's tolerance, which the thinned part keeps to
};

/// One control's pass over the song, from a start to a stop (or to the loop's end).  Times are the song's, seconds, and
/// never go back.
class RideWriter {
  public:
    /// `own`: the value of the row itself where there is no ride yet.
    RideWriter(CurvePtr before, const ParameterInfo& info, WriteOptions options, double start_s, double own);

    /// The control is held at this value; it moves; it is let go.
    void touch(double time_s, double value);
    void move(double time_s, double value);
    void release(double time_s);

    bool held() const { return held_; }
    /// Something is being written at this moment.
    bool writing() const { return held_ || (latched_ && options_.mode != WriteMode::touch); }
    /// Anything was written.
    bool any() const { return !spans_.empty(); }
    /// What is heard now when the song has come to this time.
    double value_at(double time_s) const;

    /// The ride as it stands if the song stopped now; what is held goes on, so that it can be heard at once.
    Curve so_far(double time_s) const;
    /// The stretches that were written, for drawing.
    std::vector<Span> written(double time_s) const;
    /// The song stopped here.
    Curve finished(double time_s);

  private:
    struct Pass {
        double from_s;
        std::vector<RidePoint> points;
        double to_s = -1.0;  ///< below from_s: still open
        bool open() const { return to_s < from_s; }
    };
    void begin(double time_s, double value);
    void add(double time_s, double value);
    Curve with_passes(double time_s, bool thin) const;

    CurvePtr before_;
    const ParameterInfo& info_;
    WriteOptions options_;
    double own_;
    std::vector<Pass> spans_;
    bool held_ = false, latched_ = false;
};

}  // namespace isotonus
