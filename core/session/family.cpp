#include "core/session/family.h"

#include <cctype>
#include <string>
#include <utility>

namespace isotonus {

namespace {

constexpr std::pair<const char*, Family> words[] = {{"kick", Family::drums},
                                                    {"snare", Family::drums},
                                                    {"clap", Family::drums},
                                                    {"hat", Family::drums},
                                                    {"hihat", Family::drums},
                                                    {"tom", Family::drums},
                                                    {"cymbal", Family::drums},
                                                    {"crash", Family::drums},
                                                    {"ride", Family::drums},
                                                    {"drum", Family::drums},
                                                    {"overhead", Family::drums},
                                                    {"rim", Family::drums},
                                                    {"beat", Family::drums},
                                                    {"shaker", Family::percussion},
                                                    {"tambourine", Family::percussion},
                                                    {"perc", Family::percussion},
                                                    {"percussion", Family::percussion},
                                                    {"conga", Family::percussion},
                                                    {"bongo", Family::percussion},
                                                    {"cowbell", Family::percussion},
                                                    {"bell", Family::percussion},
                                                    {"block", Family::percussion},
                                                    {"bass", Family::bass},
                                                    {"sub", Family::bass},
                                                    {"guitar", Family::guitars},
                                                    {"gtr", Family::guitars},
                                                    {"banjo", Family::guitars},
                                                    {"mandolin", Family::guitars},
                                                    {"ukulele", Family::guitars},
                                                    {"piano", Family::keys},
                                                    {"key", Family::keys},
                                                    {"organ", Family::keys},
                                                    {"synth", Family::keys},
                                                    {"pad", Family::keys},
                                                    {"chord", Family::keys},
                                                    {"pluck", Family::keys},
                                                    {"arp", Family::keys},
                                                    {"lead", Family::keys},
                                                    {"melody", Family::keys},
                                                    {"string", Family::strings},
                                                    {"violin", Family::strings},
                                                    {"viola", Family::strings},
                                                    {"cello", Family::strings},
                                                    {"voice", Family::voices},
                                                    {"vocal", Family::voices},
                                                    {"vox", Family::voices},
                                                    {"choir", Family::voices},
                                                    {"bv", Family::voices},
                                                    {"rap", Family::voices},
                                                    {"adlib", Family::voices},
                                                    {"fx", Family::effects},
                                                    {"effect", Family::effects},
                                                    {"riser", Family::effects},
                                                    {"sweep", Family::effects},
                                                    {"impact", Family::effects},
                                                    {"noise", Family::effects},
                                                    {"ambience", Family::effects},
                                                    {"atmosphere", Family::effects},
                                                    {"crowd", Family::effects},
                                                    {"water", Family::effects}};

}  // namespace

namespace {

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
        for (const auto& [known, family] : words)
            if (word == known || singular == known) found = family;
    });
    return found;
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
