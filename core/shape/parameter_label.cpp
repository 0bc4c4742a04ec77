#include "core/shape/parameter_label.h"

#include <algorithm>
#include <string_view>

#include "core/words.h"

namespace isotonus {

namespace {
/// Words that come of ids and tables, where whoever translates would not find them.
constexpr const char* parameter_words[] = {
    to_say("above"),        to_say("all"),         to_say("apart"),     to_say("asymmetric"),
    to_say("attack"),       to_say("band comp"),   to_say("below"),     to_say("ceiling"),
    to_say("chorus"),       to_say("clip"),        to_say("comp"),      to_say("compensate"),
    to_say("curve"),        to_say("decay"),       to_say("delay"),     to_say("depth"),
    to_say("detector"),     to_say("drive"),       to_say("duck"),      to_say("duck threshold"),
    to_say("early"),        to_say("feedback"),    to_say("flanger"),   to_say("frequency"),
    to_say("gain"),         to_say("gate"),        to_say("high"),      to_say("high cut"),
    to_say("high factor"),  to_say("hold"),        to_say("in"),        to_say("input"),
    to_say("key high cut"), to_say("key low cut"), to_say("kind"),      to_say("knee"),
    to_say("left"),         to_say("limit"),       to_say("low-mid"),   to_say("mid"),
    to_say("lookahead"),    to_say("low"),         to_say("low cut"),   to_say("low factor"),
    to_say("makeup"),       to_say("mix"),         to_say("mod"),       to_say("modulation"),
    to_say("mono below"),   to_say("off"),         to_say("on"),        to_say("output"),
    to_say("peak"),         to_say("phaser"),      to_say("ping pong"), to_say("predelay"),
    to_say("range"),        to_say("rate"),        to_say("ratio"),     to_say("release"),
    to_say("release auto"), to_say("reverb"),      to_say("right"),     to_say("send"),
    to_say("shape"),        to_say("size"),        to_say("slope"),     to_say("sustain"),
    to_say("threshold"),    to_say("tone"),        to_say("transient"), to_say("where"),
    to_say("width"),        to_say("within")};
}  // namespace

std::span<const char* const> label_words() { return parameter_words; }

std::string label_of(const ParameterInfo& parameter) {
    if (parameter.name && *parameter.name) return said(parameter.name);
    std::string_view id = parameter.id;
    if (id == "hz") return said("frequency");
    for (const std::string_view unit : {"_dbfs", "_dbtp", "_db", "_ms", "_hz", "_s"})
        if (id.ends_with(unit)) {
            id.remove_suffix(unit.size());
            break;
        }
    std::string label(id);
    std::replace_if(
        label.begin(), label.end(), [](char c) { return c == '_' || c == '.'; }, ' ');
    return said(label.c_str());
}

}  // namespace isotonus
