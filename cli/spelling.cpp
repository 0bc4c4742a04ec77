#include "cli/spelling.h"

#include <algorithm>
#include <string_view>

namespace isotonus::cli {

namespace {

using Words = std::vector<std::string>;

struct Respelled {
    std::string_view verb;  ///< of today; empty: any
    std::string_view before, now;
};

constexpr Respelled verbs[] = {{"", "row", "track"}, {"", "advise", "suggest"}};
/// The word after SESSION.
constexpr Respelled actions[] = {{"reference", "take-back", "restore"}, {"suggest", "trouble", "resonance"}};
constexpr Respelled options[] = {{"suggest", "--take", "--apply"},
                                 {"tempo", "--take", "--apply"},
                                 {"align", "--take", "--apply"},
                                 {"ride", "--out", "--bypass"},
                                 {"ride", "--in", "--on"},
                                 {"reference", "--row", "--channel"},
                                 {"deliver", "--shares", "--returns-in-stems"},
                                 {"deliver", "--before-main", "--stems-before-main"}};
/// The beginning of key=value.
constexpr Respelled keys[] = {
    {"set", "low_centre=", "mono_below="}, {"suggest", "most=", "max="}, {"shape", "key=", "sidechain="}};
/// Options that became key=value.
constexpr Respelled settings[] = {{"note", "--at", "at="},
                                  {"note", "--text", "text="},
                                  {"note", "--heard-on", "system="},
                                  {"section", "--at", "at="}};
/// Values of --main-chain.
constexpr Respelled chains[] = {{"", "out", "bypassed"}, {"", "in", "on"}};

template <size_t Count>
void respell(const Respelled (&list)[Count], const std::string& verb, std::string& word) {
    for (const Respelled& r : list)
        if ((r.verb.empty() || r.verb == verb) && word == r.before) {
            word = r.now;
            return;
        }
}

/// `--at 12` and `--at=12` as `at=12`.
void options_as_settings(const std::string& verb, Words& words) {
    for (size_t n = 0; n < words.size(); ++n)
        for (const Respelled& r : settings) {
            if (r.verb != verb || !words[n].starts_with(r.before)) continue;
            if (words[n].size() == r.before.size() && n + 1 < words.size()) {
                words[n] = std::string(r.now) + words[n + 1];
                words.erase(words.begin() + static_cast<std::ptrdiff_t>(n) + 1);
            } else if (words[n][r.before.size()] == '=') {
                words[n] = std::string(r.now) + words[n].substr(r.before.size() + 1);
            }
            break;
        }
}

/// `send SESSION CHANNEL BUS LEVEL [--pre] [--out] [--pan PAN]`.
void respell_send(Words& words) {
    constexpr std::string_view known[] = {"list", "add", "set", "remove"};
    if (words.size() < 5 || std::find(std::begin(known), std::end(known), words[2]) != std::end(known)) return;
    Words plain, set;
    for (size_t n = 2; n < words.size(); ++n) {
        const bool is_pan = words[n] == "--pan" && n + 1 < words.size();
        if (words[n] == "--pre")
            set.emplace_back("tap=pre");
        else if (words[n] == "--out")
            set.emplace_back("bypass=on");
        else if (is_pan)
            set.push_back("pan=" + words[++n]);
        else
            plain.push_back(words[n]);
    }
    if (plain.size() != 3) return;
    const bool gone = plain[2] == "none";
    words.resize(2);
    words.insert(words.end(), {gone ? "remove" : "add", plain[0], plain[1]});
    if (gone) return;
    words.push_back("level=" + plain[2]);
    words.insert(words.end(), set.begin(), set.end());
}

}  // namespace

std::vector<std::string> with_new_spelling(std::vector<std::string> arguments) {
    Words& words = arguments;
    if (words.empty() || words[0].starts_with('-')) return words;
    respell(verbs, "", words[0]);
    const std::string verb = words[0];
    if (words.size() > 2) respell(actions, verb, words[2]);
    options_as_settings(verb, words);
    if (verb == "send") respell_send(words);
    const bool ticks = verb == "note" && words.size() > 3 && (words[2] == "done" || words[2] == "undone");
    if (ticks) {
        words.push_back(words[2] == "done" ? "done=on" : "done=off");
        words[2] = "set";
    }
    if (verb == "section" && words.size() > 4 && words[2] == "rename") {
        words[2] = "set";
        words[4] = "name=" + words[4];
    }
    for (size_t n = 1; n < words.size(); ++n) {
        respell(options, verb, words[n]);
        if (words[n - 1] == "--main-chain") respell(chains, "", words[n]);
        for (const Respelled& r : keys)
            if (r.verb == verb && words[n].starts_with(r.before)) {
                words[n] = std::string(r.now) + words[n].substr(r.before.size());
                break;
            }
    }
    return words;
}

}  // namespace isotonus::cli
