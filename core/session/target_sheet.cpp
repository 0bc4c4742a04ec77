#include "core/session/target_sheet.h"

#include <fstream>
#include <sstream>

#include "core/session/json_taker.h"

namespace isotonus {

using nlohmann::json;

namespace {

constexpr const char* sheet_format = "isotonus-target-sheet";
constexpr const char* kind_names[] = {"percussive", "sustained"};

}  // namespace

const std::vector<TargetSheet>& built_in_sheets() {
    static const std::vector<TargetSheet> sheets = [] {
        TargetSheet layers, beat, needle;
        layers.name = "many layers";
        layers.percussive = layers.sustained = {Measure::peak, -18.0, -17.0, -16.0};
        beat.name = "beat";
        beat.rules = {{"kick", {}, {}, {Measure::peak, -9.0, -7.0, -6.0}},
                      {"", Family::bass, {}, {Measure::peak, -9.0, -7.0, -6.0}}};
        beat.percussive = {Measure::peak, -14.0, -10.0, -6.0};
        needle.name = "average meter";
        needle.percussive = needle.sustained = {Measure::vu, -19.0, -18.0, -17.0};
        return std::vector<TargetSheet>{TargetSheet{}, layers, beat, needle};
    }();
    return sheets;
}

const Target& target_for(const TargetSheet& sheet, const std::string& name, Family family, Kind kind) {
    for (const TargetRule& rule : sheet.rules) {
        if (rule.family && *rule.family != family) continue;
        if (rule.kind && *rule.kind != kind) continue;
        if (!rule.word.empty() && !has_word(name, rule.word)) continue;
        return rule.target;
    }
    return kind == Kind::percussive ? sheet.percussive : sheet.sustained;
}

json target_to_json(const Target& t) {
    return {{"measure", measure_name(t.measure)},
            {"low_dbfs", t.low_dbfs},
            {"aim_dbfs", t.aim_dbfs},
            {"high_dbfs", t.high_dbfs}};
}

Target target_from(const json& j, const std::string& place, Target target, std::string* fault) {
    Taker t(j, place, fault);
    if (const int n = t.word("measure", measure_names); n >= 0) target.measure = static_cast<Measure>(n);
    t.number("low_dbfs", target.low_dbfs, -120.0, 0.0);
    t.number("aim_dbfs", target.aim_dbfs, -120.0, 0.0);
    t.number("high_dbfs", target.high_dbfs, -120.0, 0.0);
    if (target.low_dbfs > target.high_dbfs) t.complain("low_dbfs", "must not lie above high_dbfs");
    return target;
}

json sheet_to_json(const TargetSheet& s) {
    json rules = json::array();
    for (const TargetRule& r : s.rules) {
        json rule{{"target", target_to_json(r.target)}};
        if (!r.word.empty()) rule["word"] = r.word;
        if (r.family) rule["family"] = family_name(*r.family);
        if (r.kind) rule["kind"] = kind_name(*r.kind);
        rules.push_back(rule);
    }
    return {{"name", s.name},
            {"rules", rules},
            {"percussive", target_to_json(s.percussive)},
            {"sustained", target_to_json(s.sustained)},
            {"peak_ceiling_dbfs", s.peak_ceiling_dbfs},
            {"count_spikes", s.count_spikes},
            {"mains_low_dbfs", s.mains_low_dbfs},
            {"mains_high_dbfs", s.mains_high_dbfs}};
}

TargetSheet sheet_from(const json& j, const std::string& place, std::string* fault) {
    TargetSheet s;
    Taker t(j, place, fault);
    t.text("name", s.name);
    if (const json* p = t.take("percussive")) s.percussive = target_from(*p, t.at("percussive"), s.percussive, fault);
    if (const json* p = t.take("sustained")) s.sustained = target_from(*p, t.at("sustained"), s.sustained, fault);
    if (const json* v = t.take("rules")) {
        const json rules = *v;
        if (!rules.is_array()) t.complain("rules", "must be a list");
        for (size_t i = 0; rules.is_array() && i < rules.size(); ++i) {
            Taker r(rules[i], t.at("rules") + "[" + std::to_string(i) + "]", fault);
            TargetRule rule;
            r.text("word", rule.word);
            if (const int n = r.word("family", family_names); n >= 0) rule.family = static_cast<Family>(n);
            if (const int n = r.word("kind", kind_names); n >= 0) rule.kind = static_cast<Kind>(n);
            if (const json* target = r.take("target"))
                rule.target = target_from(*target, r.at("target"), rule.target, fault);
            else
                r.complain("target", "is missing");
            s.rules.push_back(rule);
        }
    }
    t.number("peak_ceiling_dbfs", s.peak_ceiling_dbfs, -60.0, 0.0);
    t.truth("count_spikes", s.count_spikes);
    t.number("mains_low_dbfs", s.mains_low_dbfs, -60.0, 0.0);
    t.number("mains_high_dbfs", s.mains_high_dbfs, -60.0, 0.0);
    return s;
}

std::string sheet_file_text(const TargetSheet& sheet) {
    json j = sheet_to_json(sheet);
    j["format"] = sheet_format;
    j["version"] = 1;
    return j.dump(1, ' ', false, json::error_handler_t::replace) + "\n";
}

Result<TargetSheet> read_sheet(const std::filesystem::path& file) {
    std::ifstream in(file);
    std::stringstream text;
    if (!in || !(text << in.rdbuf())) return fail(file.string(), "the target sheet cannot be read");
    const auto j = parse_json(text.str(), file.string(), "target sheet");
    if (!j) return tl::unexpected(j.error());
    if (!j->is_object() || j->value("format", json()) != sheet_format)
        return fail(file.string(), "not a target sheet: \"format\" is not \"isotonus-target-sheet\"");
    if (!j->contains("version") || (*j)["version"] != 1)
        return fail(file.string(), "this target sheet was written by a newer Isotonus");
    std::string fault;
    TargetSheet sheet = sheet_from(*j, "", &fault);
    if (!fault.empty()) return fail(file.string(), "the target sheet cannot be read: " + fault);
    return sheet;
}

}  // namespace isotonus
