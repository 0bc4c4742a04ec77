#include "app/window/settings.h"

#include "core/files/paths.h"

namespace isotonus {

Settings::Settings()
    : file_(QString::fromStdString((settings_folder() / "settings.ini").string()), QSettings::IniFormat) {}

void Settings::add_recent(const QString& path) {
    QStringList list = recent();
    list.removeAll(path);
    list.prepend(path);
    while (list.size() > 9) list.removeLast();
    file_.setValue("recent", list);
}

}  // namespace isotonus
