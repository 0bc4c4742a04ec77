// Reading JSON that people may have edited: every fault is told with its place, unknown keys are kept.
#pragma once

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <memory>
#include <nlohmann/json.hpp>
#include <optional>
#include <string>
#include <string_view>

#include "core/decibels.h"
#include "core/result.h"
#include "core/ride/curve.h"
#include "core/words.h"

namespace isotonus {

/// Lists of points that were read beside the document: as objects a million of them would take half a gigabyte.  In the
/// document stands a name for each.
struct PointLists {
    std::vector<std::vector<RidePoint>> all;
    static nlohmann::json name_of(size_t list);
    /// Null for what is no such name.
    std::vector<RidePoint>* find(const nlohmann::json& name);
};
/// One of them as an object.
nlohmann::json point_json(const RidePoint& point);

/// An object to begin with: what was kept of one that was read.
nlohmann::json kept(const UnknownKeys& unknown);

/// Parses text; `not_what` ("not a preset") begins the sentence about broken JSON, with line and column.  Lists are
/// counted while they are read.  `lists` gets the points of rides.
Result<nlohmann::json> parse_json(const std::string& text, const std::string& file, const char* not_what,
                                  PointLists* lists = nullptr);

/// Takes the known keys out of an object one by one; what is left at the end is unknown and kept.
/// The first fault found is remembered; later calls change nothing.
class JsonReader {
  public:
    JsonReader(nlohmann::json object, std::string path, std::string* fault)
        : key_path_(std::move(path)), fault_(fault) {
        if (object.is_object())
            left_ = std::move(object);
        else
            complain(translated("must be an object"));
    }

    JsonReader& rare() { return *this; }  ///< whatever is not there stays as it is
    void number(const char* key, double& to, double low, double high) {
        const nlohmann::json* v = take(key);
        if (!v) return;
        if (!v->is_number() || !std::isfinite(v->get<double>()))
            complain(key, translated("must be a number"));
        else if (v->get<double>() < low || v->get<double>() > high)
            complain(key, translate("must be from {:g} to {:g}", low, high));
        else
            to = v->get<double>();
    }
    void level(const char* key, double& to) {  // null is silence
        if (left_.contains(key) && left_[key].is_null()) {
            take(key);
            to = silence_db;
        } else {
            number(key, to, lowest_level_db, fader_max_db);
        }
    }
    /// Null is the same as absent.
    void optional_number(const char* key, std::optional<double>& to, double low, double high) {
        if (left_.contains(key) && left_[key].is_null()) take(key);
        if (!left_.contains(key)) return;
        double value = 0.0;
        number(key, value, low, high);
        to = value;
    }
    template <class Int>
    void integer(const char* key, Int& to, int64_t low, int64_t high) {
        const nlohmann::json* v = take(key);
        if (!v) return;
        if (!v->is_number_integer())
            complain(key, translated("must be a whole number"));
        else if (v->get<double>() < static_cast<double>(low) || v->get<double>() > static_cast<double>(high))
            complain(key, translate("must be from {} to {}", low, high));
        else
            to = v->get<Int>();
    }
    void truth(const char* key, bool& to) {
        const nlohmann::json* v = take(key);
        if (!v) return;
        if (v->is_boolean())
            to = v->get<bool>();
        else
            complain(key, translated("must be true or false"));
    }
    void text(const char* key, std::string& to, size_t max_bytes) {
        const nlohmann::json* v = take(key);
        if (!v) return;
        if (!v->is_string())
            complain(key, translated("must be a string"));
        else if (v->get_ref<const std::string&>().size() > max_bytes)
            complain(key, translate("is longer than {} bytes", max_bytes));
        else
            to = v->get<std::string>();
    }
    void required(const char* key) {
        if (!left_.contains(key)) complain(key, translated("is missing"));
    }
    /// An enumeration by the names of its values, in their order.
    template <class Word, class Names>
    void word(const char* key, Word& to, const Names& names) {
        std::string value;
        if (!left_.contains(key)) return;
        text(key, value, 100);
        const auto at = std::find(std::begin(names), std::end(names), std::string_view(value));
        if (at == std::end(names)) return complain(key, translate("cannot be '{}'", value));
        to = static_cast<Word>(at - std::begin(names));
    }
    template <class Word, class Names>
    void optional_word(const char* key, std::optional<Word>& to, const Names& names) {
        if (!left_.contains(key)) return;
        Word value{};
        word(key, value, names);
        to = value;
    }
    /// Each item of a list, which is the visitor's then, with its place: "tracks[3]".
    template <class Visit>
    void each(const char* key, size_t most, const Visit& visit) {
        nlohmann::json* v = take(key);
        if (!v) return;
        nlohmann::json list = std::move(*v);
        if (!list.is_array()) return complain(key, translated("must be a list"));
        if (list.size() > most) return complain(key, translate("has more than {} entries", most));
        for (size_t i = 0; i < list.size() && fault_->empty(); ++i) {
            visit(std::move(list[i]), fmt::format("{}[{}]", at(key), i));
            list[i] = nullptr;
        }
    }
    nlohmann::json* take(const char* key) {
        const auto found = left_.find(key);
        if (found == left_.end()) return nullptr;
        taken_ = std::move(*found);
        left_.erase(found);
        return &taken_;
    }
    /// What would be taken; null when there is none.
    const nlohmann::json* look(const char* key) const {
        const auto found = left_.find(key);
        return found == left_.end() ? nullptr : &*found;
    }
    bool has(const char* key) const { return left_.is_object() && left_.contains(key); }
    void put_back(const char* key, nlohmann::json value) { left_[key] = std::move(value); }
    std::string at(const std::string& key) const { return key_path_.empty() ? key : key_path_ + "." + key; }
    void complain(const std::string& key, const std::string& what) {
        if (fault_->empty()) *fault_ = fmt::format("'{}' {}", at(key), what);
    }
    void complain(const std::string& what) {
        if (fault_->empty())
            *fault_ = fmt::format("'{}' {}", key_path_.empty() ? translated("session") : key_path_, what);
    }
    /// Keys that nobody took; null when there are none.  The last that is asked of it.
    std::shared_ptr<const nlohmann::json> left() {
        return left_.empty() ? nullptr : std::make_shared<const nlohmann::json>(std::move(left_));
    }

  private:
    nlohmann::json left_ = nlohmann::json::object(), taken_;
    std::string key_path_;
    std::string* fault_;
};

}  // namespace isotonus
