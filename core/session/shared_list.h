// A list that copies of a session share until one of them changes it.
#pragma once

#include <memory>
#include <utility>
#include <vector>

namespace isotonus {

/// Reads like a constant vector.  Copying it costs a pointer; change() makes this one's items its own first.
template <class T>
class SharedList {
  public:
    SharedList() = default;
    SharedList(std::vector<T> items) : items_(std::make_shared<std::vector<T>>(std::move(items))) {}
    SharedList(std::initializer_list<T> items) : SharedList(std::vector<T>(items)) {}

    const std::vector<T>& items() const {
        static const std::vector<T> none;
        return items_ ? *items_ : none;
    }
    operator const std::vector<T>&() const { return items(); }
    auto begin() const { return items().begin(); }
    auto end() const { return items().end(); }
    size_t size() const { return items().size(); }
    bool empty() const { return items().empty(); }
    const T& operator[](size_t i) const { return items()[i]; }
    const T& front() const { return items().front(); }
    const T& back() const { return items().back(); }

    /// The items, to be changed.  Not to be kept: another copy of the list may share them afterwards.
    std::vector<T>& change() {
        items_ = items_ ? std::make_shared<std::vector<T>>(*items_) : std::make_shared<std::vector<T>>();
        return *items_;
    }
    void push_back(T item) { change().push_back(std::move(item)); }

    /// The same items, known without looking at them.
    bool shares_with(const SharedList& other) const { return items_ == other.items_; }
    bool operator==(const SharedList& other) const { return shares_with(other) || items() == other.items(); }

  private:
    std::shared_ptr<std::vector<T>> items_;
};

}  // namespace isotonus
