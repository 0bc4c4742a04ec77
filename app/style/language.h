// The language of the window: texts of the interface, sentences of the core, Qt's own buttons.
#pragma once

#include <QString>
#include <utility>
#include <vector>

namespace isotonus {

/// Those that texts are there in: their code, and their name as its speakers write it.
std::vector<std::pair<QString, QString>> languages();

/// Before windows are made.  "en", "de"; empty: as the system's, where there is a translation.  English texts have
/// plurals as "%n track(s)", of which "1 track" and "3 tracks" are made.
void speak(const QString& language);
/// The one that is spoken: "en", "de".
QString spoken();

}  // namespace isotonus
