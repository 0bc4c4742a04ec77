#include "app/window/settings.h"

#include <cstdlib>

namespace isotonus {

namespace {

QString settings_file() {
    const char* config = std::getenv("XDG_CONFIG_HOME");
    const char* home = std::getenv("HOME");
    const QString base = config && *config ? QString(config) : QString(home && *home ? home : "/tmp") + "/.config";
    return base + "/isotonus/settings.ini";
}

}  // namespace

Settings::Settings() : file_(settings_file(), QSettings::IniFormat) {}

void Settings::add_recent(const QString& path) {
    QStringList list = recent();
    list.removeAll(path);
    list.prepend(path);
    while (list.size() > 9) list.removeLast();
    file_.setValue("recent", list);
}

}  // namespace isotonus
