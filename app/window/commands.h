// What can be done in the window: to which task it belongs, and how the same is done without a display.
#pragma once

#include <QString>
#include <span>

namespace isotonus {

enum class Task { files, song, gather, stage, rows, balance, shape, ride, compare, monitoring, window };
inline constexpr int tasks = 11;
QString task_title(Task task);

struct Command {
    const char* action;  ///< the object name of the window's action
    Task task;
    const char* verb;       ///< of the command line; empty: there is none
    const char* reason;     ///< why there is none
    const char* help = "";  ///< what it is for, where its name alone does not say so
};
/// Every action that the window itself has.
std::span<const Command> commands();

/// The tooltip of a command, in the language of the window; empty where its name says all.
QString command_help(const Command& command);

}  // namespace isotonus
