#include "core/words.h"

#include <cctype>

namespace isotonus {

namespace {
Translation into_language = nullptr;
thread_local int in_english = 0;

/// Only the decimal mark: a locale of the system would group thousands too, and may not be installed.
struct Comma : std::numpunct<char> {
    char do_decimal_point() const override { return ','; }
};
const std::locale commas(std::locale::classic(), new Comma);
bool with_commas = false;
}  // namespace

void set_translation(Translation translation, char decimal_mark) {
    into_language = translation;
    with_commas = decimal_mark == ',';
}

const std::locale* marks_of_figures() { return with_commas && in_english == 0 ? &commas : nullptr; }

std::string with_marks(const std::string& format) {
    std::string marked;
    for (size_t n = 0; n < format.size(); ++n) {
        const bool figure = (format[n] == 'f' || format[n] == 'g') && n + 1 < format.size() && format[n + 1] == '}';
        if (figure && format.find_first_of(":}", format.rfind('{', n)) < n) marked += 'L';
        marked += format[n];
    }
    return marked;
}

std::string shown_figure(std::string figure) {
    if (marks_of_figures())
        for (size_t n = 1; n + 1 < figure.size(); ++n)
            if (figure[n] == '.' && std::isdigit(figure[n - 1]) && std::isdigit(figure[n + 1])) figure[n] = ',';
    if (figure.starts_with('-')) figure.replace(0, 1, "\u2212");
    return figure;
}

InEnglish::InEnglish() { ++in_english; }
InEnglish::~InEnglish() { --in_english; }

std::string translated(const char* english) {
    return into_language && in_english == 0 ? into_language(english) : english;
}

}  // namespace isotonus
