// A field for a figure, written as figures are written everywhere: a true minus sign, a second decimal only where it
// says something, a ratio as "3.0:1".
#pragma once

#include <QDoubleSpinBox>
#include <QString>

#include "app/style/text.h"
#include "core/words.h"

namespace isotonus {

class FigureBox : public QDoubleSpinBox {
  public:
    /// Qt reads and writes points here whatever the system's language is; the window's language has its own mark.
    FigureBox() { setLocale(QLocale::c()); }
    /// "dB", "Hz", ":1"; empty for none.
    void set_unit(const QString& unit) { setSuffix(unit.isEmpty() || unit.startsWith(':') ? unit : ' ' + unit); }

  protected:
    QString textFromValue(double value) const override {
        QString text = QDoubleSpinBox::textFromValue(value);
        if (decimals() == 2 && text.endsWith('0')) text.chop(1);
        return QString::fromStdString(shown_figure(text.toStdString()));
    }
    double valueFromText(const QString& text) const override { return QDoubleSpinBox::valueFromText(plain(text)); }
    QValidator::State validate(QString& text, int& at) const override {
        QString typed = plain(text);
        return QDoubleSpinBox::validate(typed, at);
    }

  private:
    /// As Qt reads numbers: with the hyphen of the keyboard, and a point.
    static QString plain(QString text) { return text.replace(QChar(0x2212), '-').replace(',', '.'); }
};

}  // namespace isotonus
