#include "core/files/mapped_list.h"

#include <fcntl.h>
#include <sys/mman.h>
#include <sys/stat.h>
#include <unistd.h>

namespace isotonus {

MappedBytes::~MappedBytes() {
    if (data) ::munmap(const_cast<unsigned char*>(data), bytes);
}

std::shared_ptr<const MappedBytes> map_file(const fs::path& file) {
    const int descriptor = ::open(file.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK);
    if (descriptor < 0) return nullptr;
    struct stat status {};
    auto mapped = std::make_shared<MappedBytes>();
    if (::fstat(descriptor, &status) == 0 && S_ISREG(status.st_mode) && status.st_size > 0) {
        void* const at = ::mmap(nullptr, static_cast<size_t>(status.st_size), PROT_READ, MAP_PRIVATE, descriptor, 0);
        if (at != MAP_FAILED) {
            mapped->data = static_cast<const unsigned char*>(at);
            mapped->bytes = static_cast<size_t>(status.st_size);
        }
    }
    ::close(descriptor);
    return mapped->data ? mapped : nullptr;
}

}  // namespace isotonus
