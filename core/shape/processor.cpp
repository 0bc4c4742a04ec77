#include "core/shape/processor.h"

#include <fmt/format.h>

#include <algorithm>
#include <charconv>
#include <cmath>

#include "core/shape/band_compressor.h"
#include "core/shape/compressor.h"
#include "core/shape/cuts.h"
#include "core/shape/delay.h"
#include "core/shape/duck.h"
#include "core/shape/equaliser.h"
#include "core/shape/gate.h"
#include "core/shape/limiter.h"
#include "core/shape/modulation.h"
#include "core/shape/plugin_registry.h"
#include "core/shape/reverb.h"
#include "core/shape/saturation.h"
#include "core/shape/transient.h"
#include "core/shape/width.h"
#include "core/words.h"

namespace isotonus {

std::span<const ProcessorType* const> processor_types() {
    static const std::vector<const ProcessorType*> all{
        &low_cut_type(),    &high_cut_type(), &equaliser_type(),  &compressor_type(), &band_compressor_type(),
        &duck_type(),       &gate_type(),     &saturation_type(), &transient_type(),  &limiter_type(),
        &modulation_type(), &delay_type(),    &reverb_type(),     &width_type()};
    return all;
}

const ProcessorType* processor_type(std::string_view id) {
    for (const ProcessorType* type : processor_types())
        if (id == type->id) return type;
    return plugin_registry().type(id);
}

std::string word_of(std::string_view type) {
    const ProcessorType* known = processor_type(type);
    if (known) return translated(known->word);
    return std::string(is_plugin(type) ? uri_of_type(type) : type);
}

const ParameterInfo* ProcessorType::find(std::string_view parameter) const {
    for (const ParameterInfo& p : parameters)
        if (parameter == p.id) return &p;
    return nullptr;
}

const Processor* find_processor(const Chain* chain, uint64_t id) {
    if (!chain || id == 0) return nullptr;
    const auto at = std::find_if(chain->begin(), chain->end(), [id](const Processor& p) { return p.id == id; });
    return at == chain->end() ? nullptr : &*at;
}

double value_of(const Processor& processor, const ParameterInfo& parameter) {
    const auto set = processor.values.find(parameter.id);
    return set == processor.values.end() ? parameter.rest : set->second;
}

Processor new_processor(const ProcessorType& type, const Chain& chain) {
    Processor processor;
    processor.type = type.id;
    processor.id = 1;
    for (const Processor& p : chain) processor.id = std::max(processor.id, p.id + 1);
    return processor;
}

std::string value_text(const ParameterInfo& p, double value) {
    if (!p.words.empty()) return p.words[static_cast<size_t>(std::clamp(value + 0.5, 0.0, p.high))];
    const std::string_view unit = p.unit;
    int decimals = 2;
    if (std::fabs(value) >= 100.0)
        decimals = 0;
    else if (std::fabs(value) >= 10.0)
        decimals = 1;
    std::string number = fmt::format("{:.{}f}", value, decimals);
    // A second decimal only where it says something.
    if (decimals == 2 && number.back() == '0') number.pop_back();
    if (unit.empty()) return number;
    return fmt::format("{}{}{}", number, unit.front() == ':' ? "" : " ", unit);
}

bool is_slope(const ParameterInfo& p) { return !p.words.empty() && std::string_view(p.id) == "slope"; }

std::string shown_value(const ParameterInfo& p, double value) {
    return shown_figure(value_text(p, value)) + (is_slope(p) ? " dB/oct" : "");
}

std::optional<double> value_from_text(const ParameterInfo& p, std::string_view text) {
    for (size_t n = 0; n < p.words.size(); ++n)
        if (text == p.words[n]) return static_cast<double>(n);
    if (!p.words.empty()) return std::nullopt;
    double value = 0.0;
    const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), value);
    if (error != std::errc() || end != text.data() + text.size() || !std::isfinite(value)) return std::nullopt;
    return value >= p.low && value <= p.high ? std::optional(value) : std::nullopt;
}

}  // namespace isotonus
