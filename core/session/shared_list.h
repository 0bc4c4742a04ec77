// A list that copies of a session share until one of them changes it.
#pragma once

#include <algorithm>
#include <cstdint>
#include <memory>
#include <mutex>
#include <unordered_map>
#include <utility>
#include <vector>

namespace isotonus {

/// Reads like a constant vector.  Copying it costs a pointer; change() makes this one's items its own first.
template <class T>
class SharedList {
  public:
    SharedList() = default;
    SharedList(std::vector<T> items) : items_(std::make_shared<Items>(std::move(items))) {}
    SharedList(std::initializer_list<T> items) : SharedList(std::vector<T>(items)) {}

    const std::vector<T>& items() const {
        static const std::vector<T> none;
        return items_ ? items_->list : none;
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
        items_ = items_ ? std::make_shared<Items>(items_->list) : std::make_shared<Items>(std::vector<T>());
        return items_->list;
    }
    void push_back(T item) { change().push_back(std::move(item)); }

    /// The item with this id; null when there is none.  Quick also when there are thousands.
    const T* with_id(uint64_t id) const {
        const std::vector<T>& list = items();
        const auto has_id = [id](const T& item) { return id_of(item) == id; };
        constexpr size_t few = 16;
        if (list.size() > few) {
            std::call_once(items_->indexed, [this] {
                for (size_t n = 0; n < items_->list.size(); ++n) items_->indices.emplace(id_of(items_->list[n]), n);
            });
            const auto at = items_->indices.find(id);
            if (at == items_->indices.end() && items_->indices.size() == list.size()) return nullptr;
            if (at != items_->indices.end() && at->second < list.size() && has_id(list[at->second]))
                return &list[at->second];
            // Somebody still changes them.
        }
        const auto at = std::find_if(list.begin(), list.end(), has_id);
        return at == list.end() ? nullptr : &*at;
    }

    /// The same items, known without looking at them.
    bool shares_with(const SharedList& other) const { return items_ == other.items_; }
    bool operator==(const SharedList& other) const { return shares_with(other) || items() == other.items(); }

  private:
    /// Items stand in the list themselves or are pointed at.
    static uint64_t id_of(const T& item) {
        if constexpr (requires { item->id; })
            return item->id;
        else
            return item.id;
    }
    struct Items {
        explicit Items(std::vector<T> items) : list(std::move(items)) {}
        std::vector<T> list;
        std::once_flag indexed;
        std::unordered_map<uint64_t, size_t> indices;  ///< by id
    };
    std::shared_ptr<Items> items_;
};

}  // namespace isotonus
