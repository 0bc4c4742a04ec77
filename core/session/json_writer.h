// Writing JSON by the lists of fields.h: the counterpart of json_reader.h.
#pragma once

#include "core/session/json_reader.h"

namespace isotonus {

/// Puts the fields that it visits into an object.
class JsonWriter {
  public:
    explicit JsonWriter(nlohmann::json& to) : to_(to) {}
    /// The next field is left out where it says nothing: false, 0, no text, the first of its words, no number.
    JsonWriter& rare() {
        rare_ = true;
        return *this;
    }
    void number(const char* key, double value, double /*low*/, double /*high*/) { put(key, value, value == 0.0); }
    void level(const char* key, double db) {
        put(key, std::isinf(db) ? nlohmann::json(nullptr) : nlohmann::json(db), false);
    }
    void optional_number(const char* key, const std::optional<double>& value, double /*low*/, double /*high*/) {
        put(key, value ? nlohmann::json(*value) : nlohmann::json(nullptr), !value);
    }
    template <class Int>
    void integer(const char* key, Int value, int64_t /*low*/, int64_t /*high*/) {
        put(key, value, value == 0);
    }
    void truth(const char* key, bool value) { put(key, value, !value); }
    void text(const char* key, const std::string& value, size_t /*max_bytes*/) { put(key, value, value.empty()); }
    template <class Word, class Names>
    void word(const char* key, Word value, const Names& names) {
        put(key, names[static_cast<size_t>(value)], static_cast<size_t>(value) == 0);
    }
    template <class Word, class Names>
    void optional_word(const char* key, const std::optional<Word>& value, const Names& names) {
        if (value) to_[key] = names[static_cast<size_t>(*value)];
    }
    /// What is wrong with fields is asked before they are written (see validate).
    void complain(const std::string& /*key*/, const std::string& /*what*/) {}

  private:
    template <class Value>
    void put(const char* key, Value&& value, bool says_nothing) {
        if (!std::exchange(rare_, false) || !says_nothing) to_[key] = std::forward<Value>(value);
    }
    nlohmann::json& to_;
    bool rare_ = false;
};

/// An object of what was kept of it and of the fields that `visit` visits.
template <class Visit>
nlohmann::json given(const UnknownKeys& unknown, const Visit& visit) {
    nlohmann::json object = kept(unknown);
    JsonWriter giver(object);
    visit(giver);
    return object;
}

}  // namespace isotonus
