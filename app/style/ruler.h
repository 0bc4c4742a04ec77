// Rulers: which place on the screen is which level.
#pragma once

#include <QPainter>
#include <QRect>

namespace isotonus {

/// Levels along a line.  On a fader's ruler dB are spread unevenly, finest around 0 dB.
class Ruler {
  public:
    static Ruler level(double from, double to) { return {from, to, false}; }  ///< −60 … 0 dBFS
    static Ruler fader(double from, double to) { return {from, to, true}; }   ///< off … +12 dB

    double x_of(double db) const;
    double db(double x) const;
    /// dB that one pixel stands for around a level.
    double db_per_pixel(double db) const;

    /// Ticks and figures, in a strip above the lanes; `below` draws ticks downwards from the strip's lower edge.
    void paint(QPainter& painter, const QRect& strip) const;
    /// Faint upright rules through a lane.
    void paint_rules(QPainter& painter, const QRect& lane) const;

  private:
    Ruler(double from, double to, bool fader) : from_(from), to_(to), fader_(fader) {}
    double share(double db) const;
    double from_, to_;
    bool fader_;
};

/// Time along the song map and the lanes: both share one, so that they line up.
struct TimeRuler {
    double from_s = 0.0, to_s = 1.0;
    double left = 0.0, right = 1.0;
    double x_of(double time_s) const { return left + (right - left) * (time_s - from_s) / (to_s - from_s); }
    double time(double x) const { return from_s + (to_s - from_s) * (x - left) / (right - left); }
    void paint(QPainter& painter, const QRect& strip) const;
};

}  // namespace isotonus
