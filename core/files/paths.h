// Paths without exceptions, and paths as text.
#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/files/file_steps.h"
#include "core/result.h"

namespace isotonus {

/// Whether bytes are UTF-8 (RFC 3629: no overlong forms, no surrogates).
bool is_utf8(std::string_view bytes);
/// The same text with every byte that is no UTF-8 shown as \xNN; for people, not for opening files.
std::string shown_text(std::string_view bytes);

/// The same with every control character shown so too (C0, DEL and C1 of Unicode): a name must not reach a terminal's
/// own language.
std::string printable(std::string_view bytes);

/// Bytes in hexadecimal, and back; nothing when it is none.
std::string hexadecimal(std::string_view bytes);
std::optional<std::string> from_hexadecimal(std::string_view text);

/// Whether something of this name is there; false also when it cannot be reached.
bool is_there(const fs::path& path);
bool is_folder(const fs::path& path);

/// An absolute path without "." and ".."; the path itself when the current folder is gone.
fs::path absolute_path(const fs::path& path);
/// The same with all links followed as far as they lead to something that is there.
fs::path real_path(const fs::path& path);

/// Entries of a folder in name order.  Fails with a sentence.
Result<std::vector<fs::path>> entries_of(const fs::path& folder);

/// Makes a folder and those above it.  Fails with a sentence, also when a file of this name is in the way.
Result<void> make_folder(const fs::path& folder);

/// Where settings are kept: $XDG_CONFIG_HOME/isotonus, else ~/.config/isotonus.
/// Where files of a kind lie by the XDG Base Directory Specification: what its environment variable says, else a folder
/// below the user's home.
fs::path folder_of_user(const char* variable, const char* below_home);
fs::path settings_folder();

/// A regular file's content.  Refused with a sentence: what is no regular file (a folder, a device, a pipe), more than
/// `max_bytes`, what cannot be read to its end.
Result<std::string> read_whole(const fs::path& file, uintmax_t max_bytes);

}  // namespace isotonus
