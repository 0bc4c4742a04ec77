// Sentences for people, in the language of the program that shows them.
//
// The core speaks English.  A program in another language sets its translation once; `translated` and `translate` then
// return every text in that language.  Papers that are exported are English, whoever wrote them.
#pragma once

#include <fmt/format.h>

#include <cmath>
#include <locale>
#include <string>

namespace isotonus {

/// A text in another language, with the same {} in it; the text itself where there is no translation.
using Translation = std::string (*)(const char* english);
/// Before threads are started.  The decimal mark is that of figures in sentences: '.' or ','.
void set_translation(Translation translation, char decimal_mark = '.');

/// While one lives, what its thread says is English.
class InEnglish {
  public:
    InEnglish();
    ~InEnglish();
    InEnglish(const InEnglish&) = delete;
};

/// The text in the language of the program.
std::string translated(const char* english);

/// How figures are written where that is not with a point; null where it is.
const std::locale* marks_of_figures();
/// A format whose figures go by the locale that they are written with: "{:.1f}" as "{:.1Lf}".
std::string with_marks(const std::string& format);

/// A figure written with a point, with the decimal mark of the program's language instead.
std::string shown_figure(std::string figure);

/// fmt::format, with figures ({:.1f}, {:g}) in the decimal mark of the program's language.
template <class... Values>
std::string format_figures(const std::string& format, const Values&... values) {
    if (const std::locale* marks = marks_of_figures())
        return fmt::format(*marks, fmt::runtime(with_marks(format)), values...);
    return fmt::format(fmt::runtime(format), values...);
}

/// The translated text with values put into it, as fmt::format does.
template <class... Values>
std::string translate(const char* english, const Values&... values) {
    try {
        return format_figures(translated(english), values...);
    } catch (const fmt::format_error&) {  // a translation that asks for what is not there
        return format_figures(english, values...);
    }
}

/// A level beyond full scale carries its sign: "+5.6", "0.0", "-5.6".
inline std::string signed_db(double db) {
    const double rounded = std::round(db * 10.0) / 10.0;
    return format_figures(rounded > 0.0 ? "{:+.1f}" : "{:.1f}", rounded == 0.0 ? 0.0 : rounded);
}

/// Marks a text of a table for translation; it is translated where it is shown.
constexpr const char* translatable(const char* english) { return english; }

}  // namespace isotonus
