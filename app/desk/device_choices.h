// The devices that can be chosen, as people read them.
#pragma once

#include <QCoreApplication>
#include <QString>
#include <utility>
#include <vector>

#include "engine/device.h"

namespace isotonus {

/// A device's name, and the text that stands for it.
inline QString device_text(const QString& name) {
    if (name == system_output) return QCoreApplication::translate("Device", "System output");
    if (name == simulated_device) return QCoreApplication::translate("Device", "Simulated: keeps time, makes no sound");
    return name;
}

/// All that are there; the one that was chosen stays among them while it is not.
inline std::vector<std::pair<QString, QString>> device_choices(const QString& chosen) {
    std::vector<std::pair<QString, QString>> all;
    for (const std::string& name : device_names()) {
        const QString text = QString::fromStdString(name);
        all.emplace_back(text, device_text(text));
    }
    const bool there = std::any_of(all.begin(), all.end(), [&](const auto& d) { return d.first == chosen; });
    if (!there)
        all.insert(all.begin(),
                   {chosen, QCoreApplication::translate("Device", "%1 (not connected)").arg(device_text(chosen))});
    return all;
}

}  // namespace isotonus
