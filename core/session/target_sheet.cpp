#include "core/session/target_sheet.h"

#include "core/files/paths.h"
#include "core/session/fields.h"
#include "core/session/json_writer.h"

namespace isotonus {

using nlohmann::json;

namespace {

constexpr const char* sheet_format = "isotonus-target-sheet";

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
    return given(t.unknown, [&](JsonWriter& g) { target_fields(g, t); });
}

Target target_from(const json& given, const std::string& key_path, Target target, std::string* fault) {
    JsonReader t(given, key_path, fault);
    target_fields(t, target);
    target.unknown = t.left();
    return target;
}

json sheet_to_json(const TargetSheet& s) {
    json j = given(s.unknown, [&](JsonWriter& g) { sheet_fields(g, s); });
    j["rules"] = json::array();
    for (const TargetRule& r : s.rules) {
        json rule = given(r.unknown, [&](JsonWriter& g) { rule_fields(g, r); });
        rule["target"] = target_to_json(r.target);
        j["rules"].push_back(rule);
    }
    j["percussive"] = target_to_json(s.percussive);
    j["sustained"] = target_to_json(s.sustained);
    return j;
}

TargetSheet sheet_from(const json& j, const std::string& key_path, std::string* fault) {
    TargetSheet s;
    JsonReader t(j, key_path, fault);
    sheet_fields(t, s);
    if (const json* p = t.take("percussive"))
        s.percussive = target_from(json(*p), t.at("percussive"), s.percussive, fault);
    if (const json* p = t.take("sustained")) s.sustained = target_from(json(*p), t.at("sustained"), s.sustained, fault);
    t.each("rules", limits::max_rules, [&](json item, const std::string& rule_name) {
        JsonReader r(std::move(item), rule_name, fault);
        TargetRule rule;
        r.required("target");
        rule_fields(r, rule);
        if (const json* target = r.take("target"))
            rule.target = target_from(json(*target), r.at("target"), rule.target, fault);
        rule.unknown = r.left();
        s.rules.push_back(rule);
    });
    s.unknown = t.left();
    return s;
}

std::string sheet_file_text(const TargetSheet& sheet) {
    json j = sheet_to_json(sheet);
    j["format"] = sheet_format;
    j["version"] = 1;
    return j.dump(1, ' ', false, json::error_handler_t::replace) + "\n";
}

Result<TargetSheet> read_sheet(const std::filesystem::path& file) {
    const auto text = read_whole(file, limits::max_sheet_bytes);
    if (!text) return tl::unexpected(text.error());
    auto j = parse_json(*text, file.string(), translatable("not a target sheet"));
    if (!j) return tl::unexpected(j.error());
    if (!j->is_object() || j->value("format", json()) != sheet_format)
        return fail(
            file.string(),
            translated(
                "not a target sheet: \"format\" differs from \"isotonus-target-sheet\". Choose a target sheet."));
    if (!j->contains("version") || (*j)["version"] != 1)
        return fail(file.string(),
                    translated("a newer version of Isotonus wrote this target sheet. Install that version to use it."));
    j->erase("format");
    j->erase("version");
    std::string fault;
    TargetSheet sheet = sheet_from(*j, "", &fault);
    if (!fault.empty())
        return fail(
            file.string(),
            translate("the target sheet cannot be read: {}. Correct the file, or choose another sheet.", fault));
    return sheet;
}

}  // namespace isotonus
