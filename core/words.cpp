#include "core/words.h"

namespace isotonus {

namespace {
Translation translated = nullptr;
thread_local int in_english = 0;
}  // namespace

void speak_through(Translation translation) { translated = translation; }

InEnglish::InEnglish() { ++in_english; }
InEnglish::~InEnglish() { --in_english; }

std::string said(const char* english) { return translated && in_english == 0 ? translated(english) : english; }

}  // namespace isotonus
