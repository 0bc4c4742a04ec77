#include "app/style/ruler.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <vector>

#include "app/style/text.h"
#include "app/style/theme.h"
#include "core/ride/parameter.h"

namespace isotonus {

namespace {

constexpr std::array fader_marks{-48.0, -36.0, -24.0, -18.0, -12.0, -9.0, -6.0, -3.0, 0.0, 3.0, 6.0, 12.0};
constexpr std::array level_marks{-60.0, -54.0, -48.0, -42.0, -36.0, -30.0, -24.0, -18.0, -12.0, -6.0, 0.0};

template <class Do>
void each_mark(bool fader, Do with) {
    if (fader)
        for (const double db : fader_marks) with(db);
    else
        for (const double db : level_marks) with(db);
}

}  // namespace

double Ruler::share(double db) const { return fader_ ? fader_position(db) : (std::max(db, -60.0) + 60.0) / 60.0; }

double Ruler::x_of(double db) const { return from_ + (to_ - from_) * share(db); }

double Ruler::db(double x) const {
    const double s = (x - from_) / (to_ - from_);
    return fader_ ? fader_db_at(s) : s * 60.0 - 60.0;
}

double Ruler::db_per_pixel(double db) const {
    if (!fader_) return 60.0 / std::fabs(to_ - from_);
    const double near = std::clamp(db, -60.0, 11.0);
    return 1.0 / std::fabs(x_of(near + 0.5) - x_of(near - 0.5));
}

void Ruler::paint(QPainter& painter, const QRect& strip) const {
    painter.setFont(lettering(11));
    const QFontMetrics metrics(painter.font());
    std::vector<double> marks;
    each_mark(fader_, [&](double db) { marks.push_back(db); });
    // Figures outwards from 0 dB, as many as have room.
    std::stable_sort(marks.begin(), marks.end(), [](double a, double b) { return std::fabs(a) < std::fabs(b); });
    double free_below = to_ + 24.0, free_above = from_ - 24.0;
    for (const double db : marks) {
        const int x = static_cast<int>(std::lround(x_of(db)));
        painter.setPen(theme().faint);
        painter.drawLine(x, strip.bottom() - 3, x, strip.bottom());
        const QString text = scale_text(db, "", fader_);
        const double half = metrics.horizontalAdvance(text) / 2.0 + 2.0;
        if (db < 0.0 ? x + half > free_below : x - half < free_above) continue;
        if (db <= 0.0) free_below = x - half;
        if (db >= 0.0) free_above = x + half;
        painter.setPen(db == 0.0 ? theme().text : theme().faint);
        painter.drawText(QRect(x - 24, strip.top(), 48, strip.height() - 3), Qt::AlignCenter, text);
    }
}

void Ruler::paint_rules(QPainter& painter, const QRect& lane) const {
    painter.setPen(theme().scale);
    // A short line at the foot of each lane, so that what stands on the scale is not lost among lines; 0 dB goes
    // through.
    constexpr int foot = 6;
    each_mark(fader_, [&](double db) {
        const int x = static_cast<int>(std::lround(x_of(db)));
        painter.drawLine(x, db == 0.0 ? lane.top() : lane.bottom() - foot, x, lane.bottom());
    });
}

void TimeRuler::paint(QPainter& painter, const QRect& strip) const {
    painter.setFont(lettering(11));
    double step = 0.001;
    const double wanted = (to_s - from_s) * 90.0 / std::max(1.0, right - left);
    for (const double s :
         {0.001, 0.005, 0.01, 0.05, 0.1, 0.5, 1.0, 2.0, 5.0, 10.0, 20.0, 30.0, 60.0, 120.0, 300.0, 600.0}) {
        step = s;
        if (s >= wanted) break;
    }
    int decimals = 0;
    for (const double s : {1.0, 0.1, 0.01})
        if (step < s) ++decimals;
    for (double t = std::ceil(from_s / step) * step; t <= to_s; t += step) {
        const int x = static_cast<int>(std::lround(x_of(t)));
        painter.setPen(theme().faint);
        painter.drawLine(x, strip.bottom() - 3, x, strip.bottom());
        if (x > right - 44.0) continue;  // no room for its figure
        painter.drawText(QRect(x + 3, strip.top(), 80, strip.height() - 1), Qt::AlignLeft | Qt::AlignVCenter,
                         time_text(t, decimals));
    }
}

}  // namespace isotonus
