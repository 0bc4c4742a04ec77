#include "core/session/presets.h"

#include <fmt/format.h>

#include <algorithm>
#include <nlohmann/json.hpp>

#include "core/files/paths.h"
#include "core/files/pending_file.h"
#include "core/session/fields.h"
#include "core/session/json_reader.h"
#include "core/session/session_file.h"
#include "core/shape/chain.h"
#include "core/words.h"

namespace isotonus {

using nlohmann::json;

namespace {

constexpr const char* preset_format = "isotonus-preset";

struct Setting {
    const char* parameter;
    const char* value;  ///< as people say it
};
struct Part {
    const char* type;
    std::vector<Setting> settings;
    double reduces_db = 0.0;  ///< a compressor, typically while it works; 0: its threshold stands
};

Chain chain_of(const std::vector<Part>& parts) {
    Chain chain;
    for (const Part& part : parts) {
        Processor p = new_processor(*processor_type(part.type), chain);
        for (const Setting& s : part.settings) {
            const ParameterInfo* info = parameter_of(p, s.parameter);
            set_value(p, *info, value_from_text(*info, s.value).value());
        }
        chain.push_back(std::move(p));
    }
    return chain;
}

/// A bell of the equaliser's nth band.
std::vector<Setting> bell(int band, const char* hz, const char* db, const char* q) {
    static const std::vector<std::array<std::string, 4>> names = [] {
        std::vector<std::array<std::string, 4>> all;
        for (int n = 1; n <= 8; ++n)
            all.push_back({fmt::format("band{}.in", n), fmt::format("band{}.hz", n), fmt::format("band{}.db", n),
                           fmt::format("band{}.q", n)});
        return all;
    }();
    const auto& name = names[static_cast<size_t>(band - 1)];
    return {{name[0].c_str(), "on"}, {name[1].c_str(), hz}, {name[2].c_str(), db}, {name[3].c_str(), q}};
}

std::vector<Setting> bells(std::initializer_list<std::vector<Setting>> all) {
    std::vector<Setting> together;
    for (const auto& one : all) together.insert(together.end(), one.begin(), one.end());
    return together;
}

}  // namespace

const std::vector<Preset>& shipped_presets() {
    static const std::vector<Preset> all = [] {
        std::vector<Preset> list;
        const auto add = [&list](const char* name, std::optional<Family> family, const char* purpose,
                                 const std::vector<Part>& parts) {
            Preset preset{name, purpose, family, chain_of(parts)};
            for (size_t n = 0; n < parts.size(); ++n)
                if (parts[n].reduces_db > 0.0) preset.reductions[preset.chain[n].id] = {false, parts[n].reduces_db};
            list.push_back(std::move(preset));
        };
        using F = Family;
        add(translatable("Clear the floor"), std::nullopt,
            translatable("A low cut at 100 Hz, the usual start for most tracks."), {{"low_cut", {{"hz", "100"}}}});
        add(translatable("Under the melody"), F::keys,
            translatable("A low cut at 150 Hz: the low end is left to kick and bass."), {{"low_cut", {{"hz", "150"}}}});
        add(translatable("Still stage"), F::drums,
            translatable("A steep low cut at 45 Hz: removes rumble from under drums."),
            {{"low_cut", {{"hz", "45"}, {"slope", "24"}}}});
        add(translatable("Keep the hit"), F::drums,
            translatable("4:1 with an attack of 10 ms: the hit passes, its tail is held."),
            {{"compressor",
              {{"threshold_dbfs", "-16"}, {"ratio", "4"}, {"attack_ms", "10"}, {"release_ms", "120"}},
              4.0}});
        add(translatable("Sharper hit"), F::drums,
            translatable("More attack and less sustain: drums that were lost come forward."),
            {{"transient", {{"attack_db", "4"}, {"sustain_db", "-3"}}}});
        add(translatable("Unboxed kick"), F::drums,
            translatable("A cut at 350 Hz where a kick sounds boxy, and a little more top."),
            {{"equaliser", bells({bell(1, "350", "-3", "1.4"), bell(2, "4000", "1.5", "0.7")})}});
        add(translatable("Scooped snare"), F::drums, translatable("A cut at 800 Hz, where a snare masks voices."),
            {{"low_cut", {{"hz", "90"}}}, {"equaliser", bells({bell(1, "800", "-2.5", "1.4")})}});
        add(translatable("Quiet between hits"), F::drums,
            translatable("A gate: spill in a drum's microphone is turned down between hits."),
            {{"gate", {{"threshold_dbfs", "-36"}, {"range_db", "18"}, {"hold_ms", "60"}, {"release_ms", "120"}}}});
        add(translatable("Catch the peaks"), F::percussion,
            translatable("20:1, as fast as it goes: only single peaks are held."),
            {{"compressor",
              {{"threshold_dbfs", "-10"},
               {"ratio", "20"},
               {"attack_ms", "0.1"},
               {"release_ms", "60"},
               {"lookahead_ms", "1"},
               {"knee_db", "0"}}}});
        add(translatable("Level bass"), F::bass,
            translatable("4:1, slow: every note of a bass is as loud as the last."),
            {{"compressor",
              {{"threshold_dbfs", "-22"}, {"ratio", "4"}, {"attack_ms", "25"}, {"release_ms", "250"}},
              5.0}});
        add(translatable("Bass on small speakers"), F::bass,
            translatable("Saturation from 80 to 400 Hz: harmonics that phones can play."),
            {{"saturation",
              {{"curve", "asymmetric"}, {"drive_db", "9"}, {"low_hz", "80"}, {"high_hz", "400"}, {"mix", "50"}}}});
        add(translatable("Body of the bass"), F::bass, translatable("A cut at 300 Hz and a small lift at 164 Hz."),
            {{"equaliser", bells({bell(1, "300", "-2.5", "1.4"), bell(2, "164", "1.5", "1")})}});
        add(translatable("Duck under the kick"), F::bass,
            translatable(
                "A ducker of 4 dB: choose the kick as its sidechain source, and the bass is turned down at every hit."),
            {{"duck", {{"depth_db", "4"}, {"hold_ms", "30"}, {"release_ms", "120"}}}});
        add(translatable("Guitars without mud"), F::guitars,
            translatable("A low cut at 110 Hz and a cut at 600 Hz, where guitars pile up."),
            {{"low_cut", {{"hz", "110"}}}, {"equaliser", bells({bell(1, "600", "-2.5", "1.2")})}});
        add(translatable("Room for a voice"), F::keys,
            translatable("A wide cut at 1.2 kHz: keys make room for a voice, even before one is recorded."),
            {{"low_cut", {{"hz", "120"}}}, {"equaliser", bells({bell(1, "1200", "-2.5", "0.8")})}});
        add(translatable("Even piano"), F::keys,
            translatable("3.5:1 and 3 dB of makeup: a piano whose loud chords no longer jump out."),
            {{"compressor",
              {{"threshold_dbfs", "-20"},
               {"ratio", "3.5"},
               {"attack_ms", "15"},
               {"release_ms", "180"},
               {"makeup_db", "3"}},
              3.0}});
        add(translatable("Steady voice"), F::voices,
            translatable("A low cut at 100 Hz, then 3:1 with a fast attack for a voice in front."),
            {{"low_cut", {{"hz", "100"}}},
             {"compressor",
              {{"threshold_dbfs", "-20"}, {"ratio", "3"}, {"attack_ms", "3"}, {"release_ms", "100"}},
              4.0}});
        add(translatable("Softer s"), F::voices,
            translatable(
                "A compressor of the band above 5 kHz: sharp sounds are turned down, the rest of the voice stays."),
            {{"band_compressor",
              {{"where", "above"},
               {"low_hz", "5000"},
               {"threshold_dbfs", "-30"},
               {"ratio", "4"},
               {"attack_ms", "0.5"},
               {"release_ms", "60"},
               {"range_db", "8"}},
              3.0}});
        add(translatable("Bass below the kick"), F::bass,
            translatable(
                "A compressor of the band below 120 Hz: choose the kick as its sidechain source, and only the low "
                "end of the bass is turned down."),
            {{"band_compressor",
              {{"where", "below"},
               {"high_hz", "120"},
               {"threshold_dbfs", "-24"},
               {"ratio", "6"},
               {"attack_ms", "3"},
               {"release_ms", "90"},
               {"range_db", "9"}}}});
        add(translatable("Voice in two steps"), F::voices,
            translatable("5 dB fast, then 5 dB slow, rather than 10 at once."),
            {{"low_cut", {{"hz", "100"}}},
             {"compressor", {{"threshold_dbfs", "-18"}, {"ratio", "6"}, {"attack_ms", "1"}, {"release_ms", "60"}}, 5.0},
             {"compressor",
              {{"threshold_dbfs", "-22"}, {"ratio", "3"}, {"attack_ms", "30"}, {"release_ms", "300"}},
              5.0}});
        add(parallel_preset, std::nullopt,
            translatable(
                "For a bus in parallel with its tracks: no lows, 10:1 and 9 dB of makeup, blended in by the fader "
                "of the bus."),
            {{"low_cut", {{"hz", "60"}}},
             {"compressor",
              {{"threshold_dbfs", "-32"},
               {"ratio", "10"},
               {"attack_ms", "2"},
               {"release_ms", "90"},
               {"makeup_db", "9"}},
              10.0}});
        add(translatable("Boathouse"), F::drums, translatable("A small wooden room around dry drums, a fifth of it."),
            {{"reverb",
              {{"decay_s", "0.5"},
               {"predelay_ms", "3"},
               {"size", "0.5"},
               {"early", "70"},
               {"high_factor", "0.6"},
               {"mix", "20"}}}});
        add(translatable("Tin awning"), F::voices,
            translatable("A bright, dense reverb without audible walls, for behind a voice."),
            {{"reverb",
              {{"decay_s", "1.6"},
               {"predelay_ms", "30"},
               {"size", "0.8"},
               {"early", "0"},
               {"high_factor", "0.9"},
               {"low_cut_hz", "300"},
               {"mix", "20"}}}});
        add(translatable("Under the bridge"), F::keys, translatable("A long, dark reverb: sets a track far back."),
            {{"reverb",
              {{"decay_s", "2.8"},
               {"predelay_ms", "20"},
               {"size", "1.6"},
               {"early", "35"},
               {"high_factor", "0.35"},
               {"low_cut_hz", "200"},
               {"mix", "30"}}}});
        add(translatable("Answer at once"), F::voices,
            translatable("One repeat after 110 ms: thicker, and not further away."),
            {{"delay",
              {{"left_ms", "110"},
               {"right_ms", "110"},
               {"feedback", "0"},
               {"low_cut_hz", "200"},
               {"high_cut_hz", "6000"},
               {"mix", "20"}}}});
        add(translatable("From bank to bank"), F::guitars,
            translatable("Repeats that go from side to side and grow duller."),
            {{"delay",
              {{"left_ms", "375"},
               {"right_ms", "375"},
               {"feedback", "45"},
               {"ping_pong", "on"},
               {"low_cut_hz", "250"},
               {"high_cut_hz", "4000"},
               {"mix", "25"}}}});
        add(translatable("Two hulls"), F::keys,
            translatable("A chorus: the track twice, the second a little out of step."),
            {{"modulation", {{"kind", "chorus"}, {"rate_hz", "0.6"}, {"depth", "40"}, {"mix", "40"}}}});
        add(translatable("Soft clip"), std::nullopt,
            translatable("Rounds off single peaks of the main output instead of letting them clip."),
            {{"saturation", {{"curve", "clip"}, {"drive_db", "3"}, {"output_db", "-3"}}}});
        add(sharing_preset, std::nullopt,
            translatable(
                "For the main output of a demo: a gentle shelf at 10 kHz, 2:1, and a limiter at -1 dBTP. Not for a "
                "mix that "
                "goes to mastering."),
            {{"equaliser",
              {{"band1.in", "on"},
               {"band1.shape", "high_shelf"},
               {"band1.hz", "10000"},
               {"band1.db", "1.5"},
               {"band1.q", "0.7"}}},
             {"compressor",
              {{"threshold_dbfs", "-18"}, {"ratio", "2"}, {"attack_ms", "30"}, {"release_ms", "200"}, {"knee_db", "6"}},
              2.0},
             {"limiter", {{"ceiling_dbtp", "-1"}, {"input_db", "4"}}}});
        add(translatable("Voice with echo and room"), F::voices,
            translatable("A cut at 300 Hz, a repeat after 250 ms and a short room, in one chain."),
            {{"equaliser", bells({bell(1, "300", "-2.5", "3")})},
             {"delay",
              {{"left_ms", "250"},
               {"right_ms", "250"},
               {"feedback", "15"},
               {"low_cut_hz", "250"},
               {"high_cut_hz", "5000"},
               {"mix", "12"}}},
             {"reverb", {{"decay_s", "1"}, {"predelay_ms", "20"}, {"low_cut_hz", "250"}, {"mix", "12"}}}});
        add(translatable("Pressed copy, hits kept"), F::drums,
            translatable(
                "For a bus in parallel with its tracks: no lows, 8:1 with an attack of 10 ms, so that the hits pass."),
            {{"low_cut", {{"hz", "150"}, {"slope", "24"}}},
             {"compressor",
              {{"threshold_dbfs", "-30"},
               {"ratio", "8"},
               {"attack_ms", "10"},
               {"release_ms", "100"},
               {"makeup_db", "8"}},
              10.0}});
        add(translatable("Barely moving"), std::nullopt,
            translatable("2:1, slow: a dB or two, for what should only hold together."),
            {{"compressor",
              {{"threshold_dbfs", "-18"},
               {"ratio", "2"},
               {"attack_ms", "30"},
               {"release_ms", "250"},
               {"knee_db", "10"}},
              1.5}});
        return list;
    }();
    return all;
}

fs::path preset_folder() { return settings_folder() / "presets"; }

std::string preset_text(const Preset& preset) {
    json j = preset.unknown ? *preset.unknown : json::object();
    j["format"] = preset_format;
    j["version"] = 1;
    j["name"] = preset.name;
    j["purpose"] = preset.purpose;
    if (preset.family) j["family"] = family_name(*preset.family);
    j["chain"] = chain_to_json(preset.chain, {}, preset_folder());
    for (const auto& [processor, aim] : preset.reductions)
        j["reductions"].push_back({{"processor", processor}, {"most", aim.most}, {"db", aim.db}});
    return j.dump(2) + "\n";
}

Result<Preset> read_preset(const fs::path& file) {
    const auto text = read_whole(file, limits::max_sheet_bytes);
    if (!text) return tl::unexpected(text.error());
    auto j = parse_json(*text, file.string(), translatable("not a preset"));
    if (!j) return tl::unexpected(j.error());
    if (!j->is_object() || j->value("format", "") != preset_format)
        return fail(file.string(), translated("not a preset. Choose a preset of this program."));
    if (j->value("version", json(0)) != json(1))
        return fail(file.string(),
                    translated("a newer version of Isotonus wrote this preset. Install that version to use it."));
    j->erase("format");
    j->erase("version");
    std::string fault;
    Preset preset;
    JsonReader t(*j, "", &fault);
    t.required("name");
    t.required("chain");
    t.text("name", preset.name, limits::longest_name);
    t.text("purpose", preset.purpose, limits::longest_text);
    t.optional_word("family", preset.family, family_names);
    Rides none;
    take_chain(t, preset.chain, none, file.parent_path(), &fault);
    t.each("reductions", limits::max_processors, [&](json item, const std::string& key_path) {
        uint64_t processor = 0;
        ReductionAim aim;
        JsonReader r(item, key_path, &fault);
        r.integer("processor", processor, 1, static_cast<int64_t>(limits::largest_id));
        r.truth("most", aim.most);
        r.number("db", aim.db, 0.0, 40.0);
        preset.reductions[processor] = aim;
    });
    preset.unknown = t.left();
    preset.own = true;
    if (!fault.empty())
        return fail(file.string(), translate("the preset cannot be read: {}. Delete it, or correct the file.", fault));
    return preset;
}

std::vector<Preset> all_presets(std::vector<Error>* problems) {
    std::vector<Preset> all = shipped_presets();
    if (!is_folder(preset_folder())) return all;
    const auto files = entries_of(preset_folder());
    if (!files) {
        if (problems) problems->push_back(files.error());
        return all;
    }
    for (const fs::path& file : *files) {
        if (file.extension() != ".json") continue;
        if (auto preset = read_preset(file))
            all.push_back(std::move(*preset));
        else if (problems)
            problems->push_back(preset.error());
    }
    return all;
}

const Preset* find_preset(const std::vector<Preset>& presets, std::string_view name) {
    const auto at = std::find_if(presets.begin(), presets.end(), [&](const Preset& p) { return p.name == name; });
    return at == presets.end() ? nullptr : &*at;
}

namespace {

/// The file of the user's preset of this name; where a new one would stand when there is none.  Fails when that place
/// is taken by what cannot be read, which may be the very preset.
Result<fs::path> file_of(const std::string& name) {
    const auto files = is_folder(preset_folder()) ? entries_of(preset_folder()) : Result<std::vector<fs::path>>();
    if (!files) return tl::unexpected(files.error());
    std::string stem;
    for (const char c : name.substr(0, 100))
        stem += std::string_view("/\\:*?\"<>|.\n").find(c) == std::string_view::npos ? c : '-';
    for (const fs::path& file : *files) {
        const auto preset = read_preset(file);
        if (preset && preset->name == name) return file;
        if (!preset && file.stem() == stem) return tl::unexpected(preset.error());
    }
    fs::path file = preset_folder() / (stem + ".json");
    for (int n = 2; is_there(file); ++n) file = preset_folder() / fmt::format("{} {}.json", stem, n);
    return file;
}

}  // namespace

Result<void> keep_preset(const std::string& name, const std::string& purpose, const Chain& chain) {
    if (name.find_first_not_of(" \t\n") == std::string::npos)
        return fail("", translated("a preset needs a name. Type one."));
    if (chain.empty()) return fail("", translated("the chain is empty. Add a processor before you save it."));
    if (find_preset(shipped_presets(), name))
        return fail("", translate("'{}' is a preset of Isotonus. Choose another name.", name));
    Preset preset{name, purpose, std::nullopt, chain};
    for (Processor& p : preset.chain) p.key = 0, p.match_db = 0.0;
    if (auto made = make_folder(preset_folder()); !made) return made;
    const auto file = file_of(name);
    return file ? write_whole(*file, preset_text(preset), none_protected()) : tl::unexpected(file.error());
}

Result<void> remove_preset(const std::string& name) {
    const auto file = file_of(name);
    std::error_code fault;
    if (!file) return tl::unexpected(file.error());
    if (!is_there(*file))
        return fail("", translate("you have no preset called '{}'. Check the name in the list of presets.", name));
    if (!fs::remove(*file, fault) || fault)
        return fail(file->string(),
                    translate("the file cannot be deleted: {}. Check its permissions.", fault.message()));
    return {};
}

namespace {
bool adds_to_what_comes_in(const Processor& p) {
    return p.type == "reverb" || p.type == "delay" || p.type == "modulation";
}
}  // namespace

bool suits_a_return(const Chain& chain) { return std::any_of(chain.begin(), chain.end(), adds_to_what_comes_in); }

Chain for_a_return(Chain chain) {
    for (Processor& p : chain)
        if (adds_to_what_comes_in(p)) p.values["mix"] = 100.0;
    return chain;
}

Chain copied(const Chain& chain, const Chain& replaced) {
    uint64_t last = 0;
    for (const Processor& p : replaced) last = std::max(last, p.id);
    Chain next;
    for (Processor p : chain) {
        p.id = ++last;
        next.push_back(std::move(p));
    }
    return next;
}

TakenPreset taken(const Preset& preset, const Chain& now, bool append) {
    TakenPreset result;
    if (append) result.chain = now;
    const Chain more = copied(preset.chain, now);
    for (size_t n = 0; n < more.size(); ++n)
        if (const auto aim = preset.reductions.find(preset.chain[n].id); aim != preset.reductions.end())
            result.reductions[more[n].id] = aim->second;
    result.chain.insert(result.chain.end(), more.begin(), more.end());
    return result;
}

}  // namespace isotonus
