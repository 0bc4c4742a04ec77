#include "app/style/text.h"

#include <QCoreApplication>
#include <QRegularExpression>
#include <cmath>
#include <string_view>

#include "core/session/pan_text.h"

namespace isotonus {

namespace {
bool plain = false;
const QChar minus(0x2212);

}  // namespace

QString db_text(double level_db, const char* unit, bool sign) {
    if (std::isinf(level_db)) return QCoreApplication::translate("text", "off");
    const double rounded = std::round(level_db * 10.0) / 10.0;
    QString number = QString::number(std::fabs(rounded), 'f', 1);
    if (rounded < 0.0)
        number.prepend(minus);
    else if (rounded > 0.0 && (sign || std::string_view(unit).starts_with("dBFS") || std::string_view(unit) == "dBTP"))
        number.prepend('+');
    return *unit ? number + ' ' + unit : number;
}

QString level_text(const Level& level, const char* unit) {
    return level ? db_text(*level, unit) : QString(QChar(0x2013));
}

QString with_true_minus(const std::string& sentence) {
    static const QRegularExpression before_figure("(?<![\\w])-(?=\\d)");
    return QString::fromStdString(sentence).replace(before_figure, minus);
}

QString time_text(double time_s, int decimals) {
    const double scale = std::pow(10.0, decimals);
    const double t = std::floor(std::max(0.0, time_s) * scale + 0.5) / scale;
    const int minutes = static_cast<int>(t / 60.0);
    return QString("%1:%2").arg(minutes).arg(t - 60.0 * minutes, decimals > 0 ? 3 + decimals : 2, 'f', decimals, '0');
}

QString pan_text(double pan) {
    const int percent = static_cast<int>(std::lround(std::fabs(pan) * 100.0));
    if (percent == 0) return "C";
    return QString("%1 %2").arg(pan < 0.0 ? "L" : "R").arg(percent);
}

std::optional<double> parse_level(const QString& text) {
    QString t = text.trimmed().toLower();
    t.replace(minus, '-').replace(',', '.');
    if (t == "off" || t == QCoreApplication::translate("text", "off") || t == "-inf") return silence_db;
    static const QRegularExpression unit("\\s*(db|dbfs)$");
    t.remove(unit);
    bool ok = false;
    const double value = t.toDouble(&ok);
    return ok && std::isfinite(value) ? std::optional(value) : std::nullopt;
}

QString size_text(uintmax_t bytes) {
    return QCoreApplication::translate("Text", "%1 MB").arg(static_cast<double>(bytes) / 1e6, 0, 'f', 1);
}

std::optional<double> parse_pan(const QString& text) {
    QString t = text;
    t.replace(minus, '-');
    return pan_from_text(t.toStdString(), true);
}

void set_plain_rms(bool on) { plain = on; }

bool plain_rms() { return plain; }

QString average_text(const Level& aes17_dbfs) {
    return level_text(aes17_dbfs && plain ? Level(*aes17_dbfs - aes17_db) : aes17_dbfs, "dBFS");
}

QString average_label() {
    return plain ? QCoreApplication::translate("text", "average, plain RMS")
                 : QCoreApplication::translate("text", "average, AES17");
}

void write_in(QPainter& painter, const QRect& place, const QString& text, Qt::Alignment to) {
    const QFont font = painter.font();
    const auto fitting = [&] { return painter.fontMetrics().elidedText(text, Qt::ElideRight, place.width()); };
    constexpr int narrowest = 75;  // percent of the width of a letter: what can still be read
    QFont narrow = font;
    for (int width = 95; width >= narrowest && fitting() != text; width -= 5) {
        narrow.setStretch(width);
        painter.setFont(narrow);
    }
    painter.drawText(place, static_cast<int>(to), fitting());
    painter.setFont(font);
}

}  // namespace isotonus
