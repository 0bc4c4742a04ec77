#include "core/shape/parameter_label.h"

#include <algorithm>
#include <string_view>

#include "core/words.h"

namespace isotonus {

namespace {
/// Words that come of ids and tables, where whoever translates would not find them.
constexpr const char* parameter_words[] = {translatable("above"),
                                           translatable("all"),
                                           translatable("apart"),
                                           translatable("asymmetric"),
                                           translatable("attack"),
                                           translatable("band comp"),
                                           translatable("below"),
                                           translatable("between"),
                                           translatable("ceiling"),
                                           translatable("chorus"),
                                           translatable("clip"),
                                           translatable("comp"),
                                           translatable("compensate"),
                                           translatable("curve"),
                                           translatable("decay"),
                                           translatable("delay"),
                                           translatable("depth"),
                                           translatable("detector"),
                                           translatable("drive"),
                                           translatable("duck"),
                                           translatable("duck threshold"),
                                           translatable("early"),
                                           translatable("feedback"),
                                           translatable("flanger"),
                                           translatable("frequencies"),
                                           translatable("frequency"),
                                           translatable("gain"),
                                           translatable("gate"),
                                           translatable("high"),
                                           translatable("high cut"),
                                           translatable("high factor"),
                                           translatable("hold"),
                                           translatable("input"),
                                           translatable("kind"),
                                           translatable("knee"),
                                           translatable("left"),
                                           translatable("limit"),
                                           translatable("lookahead"),
                                           translatable("low"),
                                           translatable("low cut"),
                                           translatable("low factor"),
                                           translatable("low-mid"),
                                           translatable("makeup"),
                                           translatable("mid"),
                                           translatable("mix"),
                                           translatable("mod"),
                                           translatable("modulation"),
                                           translatable("mono below"),
                                           translatable("off"),
                                           translatable("on"),
                                           translatable("output"),
                                           translatable("peak"),
                                           translatable("phaser"),
                                           translatable("ping pong"),
                                           translatable("predelay"),
                                           translatable("range"),
                                           translatable("rate"),
                                           translatable("ratio"),
                                           translatable("release"),
                                           translatable("release auto"),
                                           translatable("reverb"),
                                           translatable("right"),
                                           translatable("send"),
                                           translatable("shape"),
                                           translatable("sidechain high cut"),
                                           translatable("sidechain low cut"),
                                           translatable("size"),
                                           translatable("slope"),
                                           translatable("sustain"),
                                           translatable("threshold"),
                                           translatable("tone"),
                                           translatable("transient"),
                                           translatable("width")};

/// Ids that the session file keeps, though the trade has another word by now.
constexpr std::pair<std::string_view, const char*> trade_words[] = {{"in", "on"},
                                                                    {"key low cut", "sidechain low cut"},
                                                                    {"key high cut", "sidechain high cut"},
                                                                    {"where", "frequencies"},
                                                                    {"within", "between"}};
}  // namespace

std::span<const char* const> label_words() { return parameter_words; }

std::string label_of_id(std::string_view id) {
    for (const auto& [kept, word] : trade_words)
        if (id == kept) return translated(word);
    return translated(std::string(id).c_str());
}

std::string label_in_band(const ParameterInfo& parameter) {
    std::string_view what = parameter.id;
    what.remove_prefix(what.find('.') + 1);
    if (what == "hz") return translated("frequency");
    if (what == "db") return translated("gain");
    if (what == "q") return "Q";
    if (what == "where") return translated("channels");
    return label_of_id(what);
}

std::string label_of(const ParameterInfo& parameter) {
    if (parameter.name && *parameter.name) return translated(parameter.name);
    std::string_view id = parameter.id;
    if (id == "hz") return translated("frequency");
    if (id.starts_with("band") && id.find('.') != std::string_view::npos)
        return translate("band {}: {}", id.substr(4, id.find('.') - 4), label_in_band(parameter));
    for (const std::string_view unit : {"_dbfs", "_dbtp", "_db", "_ms", "_hz", "_s"})
        if (id.ends_with(unit)) {
            id.remove_suffix(unit.size());
            break;
        }
    std::string label(id);
    std::replace_if(
        label.begin(), label.end(), [](char c) { return c == '_' || c == '.'; }, ' ');
    return label_of_id(label);
}

}  // namespace isotonus
