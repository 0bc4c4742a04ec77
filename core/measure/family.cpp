#include "core/measure/family.h"

#include <cctype>
#include <string>
#include <utility>

namespace isotonus {

namespace {

/// What a word of a track's name says of how it sounds.
enum class Says { nothing, struck, held, decides_struck };

struct Word {
    const char* word;
    Family family;  ///< other: it says nothing of the family
    Says kind;
};

constexpr Word words[] = {
    {"kick", Family::drums, Says::decides_struck},
    {"snare", Family::drums, Says::decides_struck},
    {"clap", Family::drums, Says::decides_struck},
    {"hat", Family::drums, Says::decides_struck},
    {"hihat", Family::drums, Says::decides_struck},
    {"tom", Family::drums, Says::decides_struck},
    {"cymbal", Family::drums, Says::decides_struck},
    {"crash", Family::drums, Says::decides_struck},
    {"ride", Family::drums, Says::decides_struck},
    {"drum", Family::drums, Says::decides_struck},
    {"overhead", Family::drums, Says::decides_struck},
    {"rim", Family::drums, Says::decides_struck},
    {"beat", Family::drums, Says::struck},
    {"shaker", Family::percussion, Says::struck},
    {"tambourine", Family::percussion, Says::struck},
    {"perc", Family::percussion, Says::struck},
    {"percussion", Family::percussion, Says::struck},
    {"conga", Family::percussion, Says::struck},
    {"bongo", Family::percussion, Says::struck},
    {"cowbell", Family::percussion, Says::struck},
    {"bell", Family::percussion, Says::nothing},
    {"block", Family::percussion, Says::struck},
    {"bass", Family::bass, Says::held},
    {"sub", Family::bass, Says::held},
    {"guitar", Family::guitars, Says::held},
    {"gtr", Family::guitars, Says::nothing},
    {"banjo", Family::guitars, Says::nothing},
    {"mandolin", Family::guitars, Says::nothing},
    {"ukulele", Family::guitars, Says::nothing},
    {"piano", Family::keys, Says::nothing},
    {"key", Family::keys, Says::held},
    {"organ", Family::keys, Says::held},
    {"synth", Family::keys, Says::held},
    {"pad", Family::keys, Says::held},
    {"chord", Family::keys, Says::held},
    {"pluck", Family::keys, Says::nothing},
    {"arp", Family::keys, Says::nothing},
    {"lead", Family::keys, Says::held},
    {"melody", Family::keys, Says::held},
    {"string", Family::strings, Says::held},
    {"violin", Family::strings, Says::nothing},
    {"viola", Family::strings, Says::nothing},
    {"cello", Family::strings, Says::nothing},
    {"voice", Family::voices, Says::held},
    {"vocal", Family::voices, Says::held},
    {"vox", Family::voices, Says::held},
    {"choir", Family::voices, Says::held},
    {"bv", Family::voices, Says::nothing},
    {"rap", Family::voices, Says::nothing},
    {"adlib", Family::voices, Says::nothing},
    {"fx", Family::effects, Says::nothing},
    {"effect", Family::effects, Says::nothing},
    {"riser", Family::effects, Says::nothing},
    {"sweep", Family::effects, Says::nothing},
    {"impact", Family::effects, Says::nothing},
    {"noise", Family::effects, Says::nothing},
    {"ambience", Family::effects, Says::held},
    {"atmosphere", Family::effects, Says::held},
    {"crowd", Family::effects, Says::nothing},
    {"water", Family::effects, Says::nothing},
    {"loop", Family::other, Says::struck},
    {"drone", Family::other, Says::held},
    {"brass", Family::other, Says::held},
    {"flute", Family::other, Says::held},
};

/// Calls visit(word, singular) for each word of a name, in lower case.
template <class Visit>
void each_word(std::string_view name, const Visit& visit) {
    std::string word;
    for (size_t i = 0; i <= name.size(); ++i) {
        const bool letter = i < name.size() && std::isalpha(static_cast<unsigned char>(name[i]));
        if (letter) {
            word += static_cast<char>(std::tolower(static_cast<unsigned char>(name[i])));
            continue;
        }
        visit(word, word.ends_with('s') ? word.substr(0, word.size() - 1) : word);
        word.clear();
    }
}

}  // namespace

Family guess_family(std::string_view name) {
    Family found = Family::other;
    each_word(name, [&](const std::string& word, const std::string& singular) {
        for (const Word& known : words)
            if ((word == known.word || singular == known.word) && known.family != Family::other) found = known.family;
    });
    return found;
}

KindHint kind_hint(std::string_view name) {
    Says said = Says::nothing;
    each_word(name, [&](const std::string& word, const std::string& singular) {
        for (const Word& known : words)
            if ((word == known.word || singular == known.word) && known.kind != Says::nothing) said = known.kind;
    });
    if (said == Says::decides_struck) return KindHint::certainly_percussive;
    if (said == Says::struck) return KindHint::percussive;
    if (said == Says::held) return KindHint::sustained;
    return KindHint::none;
}

bool has_word(std::string_view name, std::string_view wanted) {
    std::string lower;
    for (const char c : wanted) lower += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    bool found = false;
    each_word(name, [&](const std::string& word, const std::string& singular) {
        found = found || (!lower.empty() && (word == lower || singular == lower));
    });
    return found;
}

}  // namespace isotonus
