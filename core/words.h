// Sentences for people, in the language of the program that shows them.
//
// The core speaks English.  A program in another language sets its translation once; `translated` and `translate` then
// return every text in that language.  Papers that are exported are English, whoever wrote them.
#pragma once

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <locale>
#include <string>
#include <type_traits>

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

/// A figure written with a point and a hyphen, with the decimal mark of the program's language and a true minus
/// instead.
std::string shown_figure(std::string figure);

/// A number that is shown with a true minus sign.
template <class Number>
struct Figure {
    Number value;
};

template <class Value>
decltype(auto) as_figure(const Value& value) {
    constexpr bool is_letter = std::is_same_v<Value, char> || std::is_same_v<Value, signed char>;
    if constexpr (std::is_arithmetic_v<Value> && std::is_signed_v<Value> && !is_letter)
        return Figure<Value>{value};
    else
        return (value);
}

}  // namespace isotonus

template <class Number>
struct fmt::formatter<isotonus::Figure<Number>> : fmt::formatter<Number> {
    template <class Context>
    auto format(isotonus::Figure<Number> figure, Context& to) const {
        fmt::memory_buffer number;
        const auto write = [&](Number value) {
            number.clear();
            fmt::format_context plain(fmt::appender(number), {}, to.locale());
            fmt::formatter<Number>::format(value, plain);
        };
        write(figure.value);
        // What is rounded to zero has no sign, and is as wide as it would be with one where it stands in a column.
        if (std::isfinite(static_cast<double>(figure.value)) &&
            std::none_of(number.begin(), number.end(), [](char c) { return '1' <= c && c <= '9'; })) {
            if (figure.value < 0) write(Number{0});
            if (char* const plus = std::find(number.begin(), number.end(), '+'); plus != number.end()) {
                *plus = ' ';
                if (plus == number.begin())
                    number.resize(static_cast<size_t>(std::copy(plus + 1, number.end(), plus) - plus));
            }
        }
        auto out = to.out();
        for (const char c : number)
            if (c == '-')
                out = std::copy_n("\u2212", 3, out);
            else
                *out++ = c;
        return out;
    }
};

namespace isotonus {

/// fmt::format, with figures ({:.1f}, {:g}) in the decimal mark of the program's language and with a true minus sign.
template <class... Values>
std::string format_figures(const std::string& format, const Values&... values) {
    if (const std::locale* marks = marks_of_figures())
        return fmt::format(*marks, fmt::runtime(with_marks(format)), as_figure(values)...);
    return fmt::format(fmt::runtime(format), as_figure(values)...);
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
