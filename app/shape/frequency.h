// Frequencies on the screen, and what Shape shows of a row: one ruler for lanes and the bench.
#pragma once

#include <QPainterPath>
#include <optional>

#include "app/desk/workspace.h"

namespace isotonus {

inline constexpr double lowest_hz = 20.0, highest_hz = 20000.0;

/// Frequencies across, 20 Hz to 20 kHz, evenly in octaves: one ruler for all rows.
struct FrequencyRuler {
    double left, right;
    double x_of(double hz) const;
    double hz(double x) const;
    void paint(QPainter& painter, const QRect& strip) const;
    void paint_rules(QPainter& painter, const QRect& area) const;
};

/// "250 Hz", "1.2 kHz".
QString hz_text(double hz);

/// A spectrum as a line: -84 … -12 dB (AES17) of a sixth of an octave from bottom to top, `gain_db` added.
QPainterPath spectrum_path(const LongTermSpectrum& spectrum, double gain_db, const FrequencyRuler& ruler,
                           const QRect& area);
/// A chain's gain over frequency as a line; `y_of` gives the height of a gain in dB.
QPainterPath response_path(const Chain& chain, double sample_rate, const FrequencyRuler& ruler, double step,
                           const std::function<double(double)>& y_of);

const Processor* first_of(const Chain& chain, std::string_view type);
double hz_of(const Processor& cut);
/// The value of a parameter of one of the equaliser's bands, 0 … 7.
double band_value(const Processor& equaliser, int band, const char* what);

/// A row that has a chain: a track or a bus.
struct ShapedRow {
    const Chain* chain;
    QString name;
    int colour_index = 0;
    bool chain_out = false;  ///< this chain or all
    MaterialPtr before;      ///< what the chain works on, without its trim
    double trim_db = 0.0;
    MaterialPtr after;  ///< null without a chain at work, and while it is being run
};
std::optional<ShapedRow> shaped_row(Workspace& work, TrackId id);

}  // namespace isotonus
