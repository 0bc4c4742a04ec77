#include "core/session/json_reader.h"

#include <algorithm>
#include <array>
#include <vector>

namespace isotonus {

nlohmann::json kept(const UnknownKeys& unknown) { return unknown ? *unknown : nlohmann::json::object(); }

using nlohmann::json;

namespace {

/// Takes what the library reads, event by event, and builds the document.  Points of rides, of which there may be a
/// million, never become objects: they are collected as they are.
class DocumentMaker {
  public:
    explicit DocumentMaker(PointLists* lists) : lists_(lists) {}

    enum class Fault { none, broken, number, nested, many };
    Fault fault = Fault::none;
    size_t position = 0;
    json document;

    bool null() { return in_point_ ? odd_value(nullptr) : put(nullptr); }
    bool boolean(bool value) {
        if (!in_point_) return put(value);
        if (key_ != "locked") return odd_value(value);
        point_.locked = value;
        return true;
    }
    bool number_integer(json::number_integer_t value) { return number(static_cast<double>(value), value); }
    bool number_unsigned(json::number_unsigned_t value) { return number(static_cast<double>(value), value); }
    bool number_float(json::number_float_t value, const json::string_t&) { return number(value, value); }
    bool string(json::string_t& value) {
        if (!in_point_) return put(std::move(value));
        constexpr std::array<std::string_view, 4> names{"line", "step", "bend", "smooth"};
        const auto name = std::find(names.begin(), names.end(), value);
        if (key_ != "segment" || name == names.end()) return odd_value(std::move(value));
        point_.segment = static_cast<Segment>(name - names.begin());
        return true;
    }
    bool binary(json::binary_t&) { return false; }
    bool key(json::string_t& value) {
        key_.swap(value);
        return true;
    }
    bool start_object(size_t) {
        if (in_point_) make_odd();
        if (collecting_ && !in_point_) {
            point_ = {};
            in_point_ = true;
            return count();
        }
        return open(json::object());
    }
    bool end_object() {
        if (in_point_) {
            in_point_ = false;
            lists_->all.back().push_back(point_);
            return lists_->all.back().size() <= max_items || wrong(Fault::many);
        }
        return close();
    }
    bool start_array(size_t) {
        if (in_point_ || collecting_) make_odd();
        collecting_ = lists_ && open_nodes_.size() >= 3 && keys_.back() == "rides" && are_rides();
        if (collecting_) lists_->all.emplace_back();
        return open(json::array());
    }
    bool end_array() {
        if (collecting_) {
            collecting_ = false;
            if (lists_->all.back().empty()) {
                lists_->all.pop_back();
            } else {
                lists_->all.back().shrink_to_fit();
                *open_nodes_.back() = lists_->name_of(lists_->all.size() - 1);
            }
        }
        return close();
    }
    bool parse_error(size_t at, const std::string&, const json::exception& e) {
        position = at;
        constexpr int out_of_range = 406;
        return wrong(e.id == out_of_range ? Fault::number : Fault::broken);
    }

  private:
    static constexpr size_t deepest_nesting = 64, max_items = 1000000, max_values = 8000000;

    /// The object that is open now holds the rides of a row, of a processor or of a send; elsewhere the word may mean
    /// anything.
    bool are_rides() const {
        constexpr std::array<std::string_view, 9> known{
            "tracks//rides",       "buses//rides",         "control_groups//rides",
            "main/rides",          "tracks//chain//rides", "tracks//sends//rides",
            "buses//chain//rides", "buses//sends//rides",  "main/chain//rides"};
        std::string way = keys_[1];
        for (size_t n = 2; n < keys_.size(); ++n) way += '/' + keys_[n];
        return open_nodes_.back()->is_object() && std::find(known.begin(), known.end(), way) != known.end();
    }
    bool wrong(Fault what) {
        fault = what;
        return false;
    }
    bool count() { return ++values_ <= max_values || wrong(Fault::many); }
    template <class Value>
    bool number(double as_number, Value value) {
        if (!in_point_) return put(value);
        double* to = nullptr;
        if (key_ == "time_s")
            to = &point_.time_s;
        else if (key_ == "value")
            to = &point_.value;
        else if (key_ == "bend")
            to = &point_.bend;
        if (!to) return odd_value(value);
        *to = as_number;
        return true;
    }
    /// A point that has something else than points have: it and those before it become ordinary objects.
    template <class Value>
    bool odd_value(Value value) {
        make_odd();
        return put(std::move(value));
    }
    void make_odd() {
        const bool inside = in_point_;
        collecting_ = in_point_ = false;
        for (const RidePoint& p : lists_->all.back()) open_nodes_.back()->push_back(point_json(p));
        lists_->all.pop_back();
        if (!inside) return;
        const std::string key = key_;
        open(point_json(point_));
        key_ = key;
    }
    json* node_for(json value) {
        if (open_nodes_.empty()) {
            document = std::move(value);
            return &document;
        }
        if (open_nodes_.back()->is_array()) {
            if (open_nodes_.back()->size() >= max_items) return nullptr;
            open_nodes_.back()->push_back(std::move(value));
            return &open_nodes_.back()->back();
        }
        return &((*open_nodes_.back())[key_] = std::move(value));
    }
    bool put(json value) {
        if (collecting_ && !in_point_) make_odd();
        return (node_for(std::move(value)) || wrong(Fault::many)) && count();
    }
    bool open(json value) {
        const bool in_list = !open_nodes_.empty() && open_nodes_.back()->is_array();
        json* const here = node_for(std::move(value));
        if (!here) return wrong(Fault::many);
        open_nodes_.push_back(here);
        keys_.push_back(in_list || open_nodes_.size() == 1 ? std::string() : key_);
        return open_nodes_.size() <= deepest_nesting ? count() : wrong(Fault::nested);
    }
    bool close() {
        open_nodes_.pop_back();
        keys_.pop_back();
        return true;
    }

    PointLists* const lists_;
    std::vector<json*> open_nodes_;
    std::vector<std::string> keys_;  ///< under which each of them stands
    std::string key_;
    RidePoint point_;
    bool collecting_ = false, in_point_ = false;
    size_t values_ = 0;
};

}  // namespace

json point_json(const RidePoint& p) {
    constexpr std::array names{"line", "step", "bend", "smooth"};
    json point{{"time_s", p.time_s}, {"value", p.value}, {"segment", names[static_cast<size_t>(p.segment)]}};
    if (p.bend != RidePoint().bend) point["bend"] = p.bend;
    if (p.locked) point["locked"] = true;
    return point;
}

json PointLists::name_of(size_t list) {
    json::binary_t name;
    for (size_t n = 0; n < sizeof list; ++n) name.push_back(static_cast<uint8_t>(list >> (8 * n)));
    return json(std::move(name));
}

std::vector<RidePoint>* PointLists::find(const json& name) {
    if (!name.is_binary()) return nullptr;
    size_t list = 0;
    for (size_t n = 0; n < name.get_binary().size(); ++n) list |= size_t{name.get_binary()[n]} << (8 * n);
    return list < all.size() ? &all[list] : nullptr;
}

Result<json> parse_json(const std::string& text, const std::string& name, const char* not_what, PointLists* lists) {
    DocumentMaker maker(lists);
    if (json::sax_parse(text, &maker)) return std::move(maker.document);
    switch (maker.fault) {
        case DocumentMaker::Fault::number:
            return fail(name,
                        translate("{}: a number in the file is too large. Restore a backup or correct the number.",
                                  translated(not_what)));
        case DocumentMaker::Fault::nested:
            return fail(name, translate("{}: the file is nested too deeply. Restore a backup.", translated(not_what)));
        case DocumentMaker::Fault::many:
            return fail(name, translate("{}: a list in the file is too long. Restore a backup.", translated(not_what)));
        default:
            break;
    }
    const std::string_view before = std::string_view(text).substr(0, maker.position > 0 ? maker.position - 1 : 0);
    const auto line = 1 + std::count(before.begin(), before.end(), '\n');
    const size_t line_end = before.rfind('\n'), line_start = line_end == std::string_view::npos ? 0 : line_end + 1;
    return fail(name, translate("{}: the JSON is damaged at line {}, column {}. Restore a backup or correct that line.",
                                translated(not_what), line, before.size() - line_start + 1));
}

}  // namespace isotonus
