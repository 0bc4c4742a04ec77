// Sentences for people, in the language of the program that shows them.
//
// The core speaks English.  A program that speaks another language says once how a text is put into it; whatever `say`
// and `said` are given then comes out in that language.  Papers that leave are English, whoever wrote them.
#pragma once

#include <fmt/format.h>

#include <cmath>
#include <string>

namespace isotonus {

/// A text in another language, with the same {} in it; the text itself where there is no translation.
using Translation = std::string (*)(const char* english);
/// Before threads are started.
void speak_through(Translation translation);

/// While one lives, what its thread says is English.
class InEnglish {
  public:
    InEnglish();
    ~InEnglish();
    InEnglish(const InEnglish&) = delete;
};

std::string said(const char* english);

/// The same with values put into it, as fmt::format does.
template <class... Values>
std::string say(const char* english, const Values&... values) {
    try {
        return fmt::format(fmt::runtime(said(english)), values...);
    } catch (const fmt::format_error&) {  // a translation that asks for what is not there
        return fmt::format(fmt::runtime(english), values...);
    }
}

/// A level beyond full scale carries its sign: "+5.6", "0.0", "-5.6".
inline std::string signed_db(double db) {
    const double rounded = std::round(db * 10.0) / 10.0;
    if (rounded > 0.0) return fmt::format("{:+.1f}", rounded);
    return fmt::format("{:.1f}", rounded == 0.0 ? 0.0 : rounded);
}

/// Marks a text of a table for translation; it is said where it is shown.
constexpr const char* to_say(const char* english) { return english; }

}  // namespace isotonus
