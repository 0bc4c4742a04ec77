// Figures as they are written everywhere: true minus sign, one decimal for dB, the unit always there.
#pragma once

#include <QPainter>
#include <QString>

#include "core/decibels.h"

namespace isotonus {

/// "−6.0 dB", "+3.0 dB" with `sign`; "off" for minus infinity.
QString db_text(double level_db, const char* unit = "dB", bool sign = false);
/// The same beside a line of a scale, where a whole number needs no decimal: "−6", "+12".
QString scale_text(double level_db, const char* unit = "", bool sign = false);
/// "−18.2 dBFS"; "–" for none.
QString level_text(const Level& level, const char* unit);
/// "−0.25", in the decimal mark of the window's language.
QString shown_figure(double value, int decimals);
/// A label that is clicked begins with a capital letter, though the same word beside a figure does not.
QString sentence_case(QString label);
/// "51.3 MB", of a million bytes each.
QString size_text(uintmax_t bytes);
/// "1:07.25"
QString time_text(double time_s, int decimals = 1);
/// "C", "L 30", "R 100": percent of the way to a side.
QString pan_text(double pan);
/// A number typed by the user: true or plain minus, comma or point, an optional unit; "off" and "-inf" are minus
/// infinity.
std::optional<double> parse_level(const QString& text);
/// A pan position typed by the user: "C", "L 30", "R30", "34" as R 34, or −1.0 … 1.0.
std::optional<double> parse_pan(const QString& text);

/// Writes one line into its place: in narrower letters where the text is too long, as other languages are; what is too
/// long even so ends in an ellipsis.
void write_in(QPainter& painter, const QRect& rect, const QString& text, Qt::Alignment to = Qt::AlignVCenter);

/// How averages are shown: AES17, or the plain mathematical figure, 3.01 dB lower.
void set_plain_rms(bool plain);
bool plain_rms();
/// "−18.0 dBFS" in the convention that is set; "average AES17" or "average plain" says which.
QString average_text(const Level& aes17_dbfs);
QString average_label();

}  // namespace isotonus
