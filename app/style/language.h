// The language of the window: texts of the interface, sentences of the core, Qt's own buttons.
#pragma once

#include <QString>
#include <utility>
#include <vector>

namespace isotonus {

/// Those that texts are there in: their code, and their name as its speakers write it.
std::vector<std::pair<QString, QString>> languages();

/// Before windows are made.  "en", "de"; empty: as the system's, where there is a translation.  English texts have
/// plurals as "%n row(s)", of which "1 row" and "3 rows" are made.
void speak(const QString& language);

}  // namespace isotonus
