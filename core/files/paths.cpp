#include "core/files/paths.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <cstdlib>
#include <cstring>

namespace isotonus {

namespace {

/// Length of the UTF-8 sequence at the start of `bytes`; 0 when there is none.
size_t sequence_length(std::string_view bytes) {
    const auto at = [&](size_t i) { return static_cast<unsigned char>(bytes[i]); };
    const auto continues = [&](size_t i) { return i < bytes.size() && (at(i) & 0xC0) == 0x80; };
    const unsigned char first = at(0);
    if (first < 0x80) return 1;
    if (first >= 0xC2 && first <= 0xDF) return continues(1) ? 2 : 0;
    if (first >= 0xE0 && first <= 0xEF) {
        if (!continues(1) || !continues(2)) return 0;
        const bool overlong = first == 0xE0 && at(1) < 0xA0, surrogate = first == 0xED && at(1) > 0x9F;
        return overlong || surrogate ? 0 : 3;
    }
    if (first >= 0xF0 && first <= 0xF4) {
        if (!continues(1) || !continues(2) || !continues(3)) return 0;
        const bool overlong = first == 0xF0 && at(1) < 0x90, beyond = first == 0xF4 && at(1) > 0x8F;
        return overlong || beyond ? 0 : 4;
    }
    return 0;
}

}  // namespace

bool is_utf8(std::string_view bytes) {
    while (!bytes.empty()) {
        const size_t length = sequence_length(bytes);
        if (length == 0) return false;
        bytes.remove_prefix(length);
    }
    return true;
}

std::string shown_text(std::string_view bytes) {
    std::string text;
    while (!bytes.empty()) {
        const size_t length = sequence_length(bytes);
        if (length == 0)
            text += fmt::format("\\x{:02x}", static_cast<unsigned char>(bytes.front()));
        else
            text += bytes.substr(0, length);
        bytes.remove_prefix(std::max<size_t>(1, length));
    }
    return text;
}

std::string printable(std::string_view bytes) {
    const std::string text = shown_text(bytes);
    std::string out;
    for (size_t n = 0; n < text.size(); ++n) {
        const auto c = static_cast<unsigned char>(text[n]);
        const auto next = n + 1 < text.size() ? static_cast<unsigned char>(text[n + 1]) : 0;
        if (c < 0x20 || c == 0x7f)
            out += fmt::format("\\x{:02x}", c);
        else if (c == 0xc2 && next >= 0x80 && next < 0xa0)
            out += fmt::format("\\x{:02x}", next), ++n;
        else
            out += text[n];
    }
    return out;
}

std::string hexadecimal(std::string_view bytes) {
    std::string text;
    for (const char b : bytes) text += fmt::format("{:02x}", static_cast<unsigned char>(b));
    return text;
}

std::optional<std::string> from_hexadecimal(std::string_view text) {
    if (text.size() % 2 != 0) return std::nullopt;
    const auto digit = [](char c) {
        if (c >= '0' && c <= '9') return c - '0';
        return c >= 'a' && c <= 'f' ? c - 'a' + 10 : -1;
    };
    std::string bytes;
    for (size_t i = 0; i < text.size(); i += 2) {
        const int high = digit(text[i]), low = digit(text[i + 1]);
        if (high < 0 || low < 0) return std::nullopt;
        bytes += static_cast<char>(high * 16 + low);
    }
    return bytes;
}

bool is_there(const fs::path& path) {
    std::error_code problem;
    return fs::exists(path, problem);
}

bool is_folder(const fs::path& path) {
    std::error_code problem;
    return fs::is_directory(path, problem);
}

fs::path absolute_path(const fs::path& path) {
    std::error_code problem;
    const fs::path absolute = fs::absolute(path, problem);
    return (problem ? path : absolute).lexically_normal();
}

fs::path real_path(const fs::path& path) {
    std::error_code problem;
    const fs::path real = fs::weakly_canonical(absolute_path(path), problem);
    return problem || real.empty() ? absolute_path(path) : real;
}

Result<std::vector<fs::path>> entries_of(const fs::path& folder) {
    std::error_code problem;
    std::vector<fs::path> entries;
    for (fs::directory_iterator at(folder, problem), end; !problem && at != end; at.increment(problem))
        entries.push_back(at->path());
    if (problem)
        return fail(folder.string(),
                    translate("the folder cannot be read: {}. Check its permissions.", problem.message()));
    std::sort(entries.begin(), entries.end());
    return entries;
}

Result<void> make_folder(const fs::path& folder) {
    std::error_code problem;
    fs::create_directories(folder, problem);
    if (!problem && !fs::is_directory(folder, problem) && !problem)
        return fail(folder.string(), translated("a file has the name of the folder. Choose another folder."));
    if (problem)
        return fail(folder.string(),
                    translate("the folder cannot be made: {}. Choose another folder.", problem.message()));
    return {};
}

Result<std::string> read_whole(const fs::path& file, uintmax_t max_bytes) {
    // Without O_NONBLOCK the mere opening of a pipe would wait for somebody who writes into it.
    int problem = file_fault(FileStep::open, file);
    const int descriptor = problem ? -1 : ::open(file.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK | O_NOCTTY);
    if (descriptor < 0) {
        problem = problem ? problem : errno;
        if (problem == ENOENT) return fail(file.string(), translated("the file does not exist. Check its name."));
        if (problem == EACCES)
            return fail(file.string(), translated("no permission to read the file. Change its permissions."));
        return fail(file.string(), translate("the file cannot be read: {}. Check the disk.", strerror(problem)));
    }
    const auto finished = [&](Result<std::string> result) {
        ::close(descriptor);
        return result;
    };
    struct stat status {};
    if (::fstat(descriptor, &status) != 0)
        return finished(
            fail(file.string(), translate("the file cannot be read: {}. Check the disk.", strerror(errno))));
    if (S_ISDIR(status.st_mode)) return finished(fail(file.string(), translated("this is a folder. Choose a file.")));
    if (!S_ISREG(status.st_mode))
        return finished(fail(file.string(), translated("this is not a regular file. Choose a file.")));
    const auto too_large = [&] {
        return fail(
            file.string(),
            translate("the file is too large: at most {} bytes can be read. Choose a smaller file.", max_bytes));
    };
    if (static_cast<uintmax_t>(status.st_size) > max_bytes) return finished(too_large());
    std::string content;
    char piece[65536];
    for (;;) {
        problem = file_fault(FileStep::read, file);
        const ssize_t got = problem ? -1 : ::read(descriptor, piece, sizeof piece);
        if (got < 0 && !problem && errno == EINTR) continue;
        if (got < 0)
            return finished(fail(file.string(), translate("the file cannot be read: {}. Check the disk.",
                                                          strerror(problem ? problem : errno))));
        if (got == 0) break;
        content.append(piece, static_cast<size_t>(got));
        if (content.size() > max_bytes) return finished(too_large());
    }
    return finished(std::move(content));
}

fs::path folder_of_user(const char* variable, const char* below_home) {
    const char* folder = std::getenv(variable);
    if (folder && *folder) return folder;
    const char* home = std::getenv("HOME");
    return fs::path(home && *home ? home : "/tmp") / below_home;
}

fs::path settings_folder() {
    const fs::path base = folder_of_user("XDG_CONFIG_HOME", ".config");
    return base / "isotonus";
}

}  // namespace isotonus
