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
#include "core/words.h"

namespace isotonus {

/// Parses text; `not_what` ("not a preset") begins the sentence about broken JSON, with line and column.
Result<nlohmann::json> parse_json(const std::string& text, const std::string& file, const char* not_what);

/// Takes the known keys out of an object one by one; what is left at the end is unknown and kept.
/// The first fault found is remembered; later calls change nothing.
class Taker {
  public:
    Taker(const nlohmann::json& object, std::string place, std::string* fault)
        : place_(std::move(place)), fault_(fault) {
        if (object.is_object())
            left_ = object;
        else
            complain(said("must be an object"));
    }

    void number(const char* key, double& to, double low, double high) {
        const nlohmann::json* v = take(key);
        if (!v) return;
        if (!v->is_number() || !std::isfinite(v->get<double>()))
            complain(key, said("must be a number"));
        else if (v->get<double>() < low || v->get<double>() > high)
            complain(key, say("must lie between {:g} and {:g}", low, high));
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
            complain(key, said("must be a whole number"));
        else if (v->get<double>() < static_cast<double>(low) || v->get<double>() > static_cast<double>(high))
            complain(key, say("must lie between {} and {}", low, high));
        else
            to = v->get<Int>();
    }
    void truth(const char* key, bool& to) {
        const nlohmann::json* v = take(key);
        if (!v) return;
        if (v->is_boolean())
            to = v->get<bool>();
        else
            complain(key, said("must be true or false"));
    }
    void text(const char* key, std::string& to, size_t most_bytes) {
        const nlohmann::json* v = take(key);
        if (!v) return;
        if (!v->is_string())
            complain(key, said("must be a string"));
        else if (v->get_ref<const std::string&>().size() > most_bytes)
            complain(key, say("is longer than {} bytes", most_bytes));
        else
            to = v->get<std::string>();
    }
    void required(const char* key) {
        if (!left_.contains(key)) complain(key, said("is missing"));
    }
    /// An enumeration by the names of its values, in their order.
    template <class Word, class Names>
    void word(const char* key, Word& to, const Names& names) {
        std::string value;
        if (!left_.contains(key)) return;
        text(key, value, 100);
        const auto at = std::find(std::begin(names), std::end(names), std::string_view(value));
        if (at == std::end(names)) return complain(key, say("cannot be '{}'", value));
        to = static_cast<Word>(at - std::begin(names));
    }
    template <class Word, class Names>
    void optional_word(const char* key, std::optional<Word>& to, const Names& names) {
        if (!left_.contains(key)) return;
        Word value{};
        word(key, value, names);
        to = value;
    }
    /// Each item of a list, with its place: "tracks[3]".
    template <class Visit>
    void each(const char* key, size_t most, const Visit& visit) {
        const nlohmann::json* v = take(key);
        if (!v) return;
        const nlohmann::json list = *v;
        if (!list.is_array()) return complain(key, said("must be a list"));
        if (list.size() > most) return complain(key, say("has more than {} items", most));
        for (size_t i = 0; i < list.size() && fault_->empty(); ++i) visit(list[i], fmt::format("{}[{}]", at(key), i));
    }
    const nlohmann::json* take(const char* key) {
        if (!left_.is_object() || !left_.contains(key)) return nullptr;
        taken_ = left_[key];
        left_.erase(key);
        return &taken_;
    }
    bool has(const char* key) const { return left_.is_object() && left_.contains(key); }
    void put_back(const char* key, const nlohmann::json& value) { left_[key] = value; }
    std::string at(const std::string& key) const { return place_.empty() ? key : place_ + "." + key; }
    void complain(const std::string& key, const std::string& what) {
        if (fault_->empty()) *fault_ = fmt::format("'{}' {}", at(key), what);
    }
    void complain(const std::string& what) {
        if (fault_->empty()) *fault_ = fmt::format("'{}' {}", place_.empty() ? said("session") : place_, what);
    }
    /// Keys that nobody took; null when there are none.
    std::shared_ptr<const nlohmann::json> left() const {
        return left_.empty() ? nullptr : std::make_shared<const nlohmann::json>(left_);
    }

  private:
    nlohmann::json left_ = nlohmann::json::object(), taken_;
    std::string place_;
    std::string* fault_;
};

}  // namespace isotonus
