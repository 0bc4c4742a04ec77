#include "core/files/protected_files.h"

#include <sys/stat.h>

namespace isotonus {

void ProtectedFiles::add(const fs::path& file, std::string what) {
    if (file.empty()) return;
    Kept kept{real_path(file), 0, 0, std::move(what)};
    struct stat status {};
    if (::stat(file.c_str(), &status) == 0) kept.device = status.st_dev, kept.inode = status.st_ino;
    kept_.push_back(std::move(kept));
}

Result<void> ProtectedFiles::allow(const fs::path& target) const {
    if (kept_.empty()) return {};
    const fs::path real = real_path(target);
    struct stat status {};
    const bool there = ::stat(target.c_str(), &status) == 0;
    for (const Kept& kept : kept_) {
        const bool same_file = there && kept.inode != 0 && kept.device == status.st_dev && kept.inode == status.st_ino;
        if (same_file || kept.real == real)
            return fail(target.string(),
                        translate("this is {}, which is never replaced. Choose another name.", kept.what));
    }
    return {};
}

}  // namespace isotonus
