#include "app/style/text.h"

#include <QCoreApplication>
#include <QRegularExpression>
#include <cmath>
#include <string_view>

#include "core/session/pan_text.h"
#include "core/words.h"

namespace isotonus {

namespace {
bool plain = false;
const QChar minus(0x2212);

}  // namespace

QString db_text(double level_db, const char* unit, bool sign) {
    if (std::isinf(level_db)) return QCoreApplication::translate("text", "off");
    const double rounded = std::round(level_db * 10.0) / 10.0;
    QString number = shown_figure(std::fabs(rounded), 1);
    if (rounded < 0.0)
        number.prepend(minus);
    else if (rounded > 0.0 && (sign || std::string_view(unit).starts_with("dBFS") || std::string_view(unit) == "dBTP"))
        number.prepend('+');
    return *unit ? number + ' ' + unit : number;
}

QString scale_text(double level_db, const char* unit, bool sign) {
    static const QRegularExpression no_decimal("[.,]0(?!\\d)");
    return db_text(level_db, unit, sign).remove(no_decimal);
}

QString shown_figure(double value, int decimals) {
    QString text = QString::number(value, 'f', decimals);
    if (text.toDouble() == 0.0) text = QString::number(0.0, 'f', decimals);  // no sign before a zero
    return QString::fromStdString(shown_figure(text.toStdString()));
}

QString level_text(const Level& level, const char* unit) {
    return level ? db_text(*level, unit) : QString(QChar(0x2013));
}

QString time_text(double time_s, int decimals) {
    const double scale = std::pow(10.0, decimals);
    const double t = std::floor(std::max(0.0, time_s) * scale + 0.5) / scale;
    const int minutes = static_cast<int>(t / 60.0);
    const QString seconds = shown_figure(t - 60.0 * minutes, decimals);
    return QString("%1:%2").arg(minutes).arg(seconds, decimals > 0 ? 3 + decimals : 2, '0');
}

QString pan_text(double pan) { return QString::fromStdString(text_of_pan(pan)); }

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

QString sentence_case(QString label) {
    if (!label.isEmpty()) label[0] = label[0].toUpper();
    return label;
}

QString size_text(uintmax_t bytes) {
    return QCoreApplication::translate("Text", "%1 MB").arg(shown_figure(static_cast<double>(bytes) / 1e6, 1));
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

void write_in(QPainter& painter, const QRect& rect, const QString& text, Qt::Alignment to) {
    const QFont font = painter.font();
    const auto fitting = [&] { return painter.fontMetrics().elidedText(text, Qt::ElideRight, rect.width()); };
    constexpr int narrowest = 75;  // percent of the width of a letter: what can still be read
    QFont narrow = font;
    for (int width = 95; width >= narrowest && fitting() != text; width -= 5) {
        narrow.setStretch(width);
        painter.setFont(narrow);
    }
    painter.drawText(rect, static_cast<int>(to), fitting());
    painter.setFont(font);
}

}  // namespace isotonus
