// Many numbers in a row that need not be in memory: a list of one's own, or a stretch of a file that the system reads
// when it is looked at and may forget again.
#pragma once

#include <algorithm>
#include <memory>
#include <vector>

#include "core/files/paths.h"

namespace isotonus {

/// A whole file as memory, read-only; null when it cannot be mapped.  Stays valid when the file is removed.
struct MappedBytes {
    const unsigned char* data = nullptr;
    size_t bytes = 0;
    ~MappedBytes();
};
std::shared_ptr<const MappedBytes> map_file(const fs::path& file);

template <class T>
class MappedList {
  public:
    MappedList() = default;
    MappedList(std::vector<T> own) {
        auto kept = std::make_shared<const std::vector<T>>(std::move(own));
        data_ = kept->data();
        size_ = kept->size();
        owner_ = std::move(kept);
    }
    /// `count` values from this byte of a file on, which must be within it and aligned.
    MappedList(std::shared_ptr<const MappedBytes> file, size_t first_byte, size_t count)
        : data_(reinterpret_cast<const T*>(file->data + first_byte)), size_(count), owner_(std::move(file)) {}

    size_t size() const { return size_; }
    bool empty() const { return size_ == 0; }
    const T* data() const { return data_; }
    const T* begin() const { return data_; }
    const T* end() const { return data_ + size_; }
    const T& operator[](size_t i) const { return data_[i]; }
    bool operator==(const MappedList& other) const { return std::equal(begin(), end(), other.begin(), other.end()); }

  private:
    const T* data_ = nullptr;
    size_t size_ = 0;
    std::shared_ptr<const void> owner_;
};

}  // namespace isotonus
