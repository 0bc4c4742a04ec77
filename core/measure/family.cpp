#include "core/measure/family.h"

#include <algorithm>
#include <cctype>
#include <map>
#include <string>
#include <utility>
#include <vector>

namespace isotonus {

namespace {

/// What a word of a track's name says of how it sounds.
enum class Says { nothing, struck, held, decides_struck };

/// What a name may say, most first: the source itself ("snare"), the part that it plays ("lead", "pad"), or nothing but
/// where or which take it is, which leads a splitter through joined words.
enum class Leads { source, part, aside };

struct Row {
    const char* role;  ///< what its words are called together
    Family family;     ///< other: they say nothing of the family
    Says kind;
    Leads leads;
    const char* words;  ///< with blanks between; each also counts as its plural
};

/// The trade's names and abbreviations; common practice, no source.
constexpr Row table[] = {
    {"kick", Family::drums, Says::decides_struck, Leads::source, "kick kik kck kd bd bassdrum kickdrum bdrum beater"},
    {"snare", Family::drums, Says::decides_struck, Leads::source,
     "snare snr sn sd sdr snaredrum rimshot rim sidestick xstick brushes"},
    {"clap", Family::drums, Says::decides_struck, Leads::source, "clap clp handclap"},
    {"snap", Family::percussion, Says::decides_struck, Leads::source, "snap fingersnap stomp"},
    {"hat", Family::drums, Says::decides_struck, Leads::source,
     "hat hihat hh chh ohh openhat closedhat hho hhc pedalhat highhat"},
    {"tom", Family::drums, Says::decides_struck, Leads::source,
     "tom tomtom racktom floortom ftom rtom rototom octoban"},
    {"cymbal", Family::drums, Says::decides_struck, Leads::source,
     "cymbal cym crash ride splash china bellride ridebell crsh rd"},
    {"overhead", Family::drums, Says::decides_struck, Leads::source, "overhead ovh oh"},
    {"drum", Family::drums, Says::decides_struck, Leads::source,
     "drum drumkit kit drumbus drumloop breakbeat break drumroom trap dr drm"},
    {"beat", Family::drums, Says::struck, Leads::part, "beat groove rhythm"},
    {"shaker", Family::percussion, Says::struck, Leads::source, "shaker shkr shk maraca caxixi cabasa egg"},
    {"tambourine", Family::percussion, Says::struck, Leads::source, "tambourine tamb tambo tmb jingle sleighbell"},
    {"percussion", Family::percussion, Says::struck, Leads::source,
     "percussion perc prc conga bongo cowbell block woodblock triangle tri timbale djembe cajon tabla guiro clave "
     "agogo darbuka udu vibraslap castanet taiko timpani timp gong tick whip"},
    {"bell", Family::percussion, Says::nothing, Leads::source, "bell chime glock glockenspiel tubular crotale"},
    {"mallet", Family::percussion, Says::nothing, Leads::source,
     "marimba xylophone xylo vibraphone vibes kalimba steelpan"},
    {"bass", Family::bass, Says::held, Leads::source,
     "bass bs bss sub subbass 808 reese lowend moogbass uprightbass upright contrabass doublebass slapbass "
     "bassline bassguitar bassgtr"},
    {"guitar", Family::guitars, Says::held, Leads::source,
     "guitar gtr guit git egtr agtr eguitar strat tele acoustic acou acgtr elec elecgtr slide lapsteel pedalsteel "
     "twelvestring nylon"},
    {"plucked", Family::guitars, Says::nothing, Leads::source,
     "banjo mandolin mando ukulele uke lute oud sitar bouzouki dobro zither harp koto"},
    {"piano", Family::keys, Says::nothing, Leads::source,
     "piano pno pian grand uprightpiano rhodes wurli wurlitzer epiano ep clav clavinet harpsichord celesta"},
    {"organ", Family::keys, Says::held, Leads::source, "organ org accordion harmonium melodica"},
    {"keys", Family::keys, Says::held, Leads::part, "key keyboard kbd kys"},
    {"synth", Family::keys, Says::held, Leads::part, "synth syn synthesizer synthesiser supersaw wavetable"},
    {"pad", Family::keys, Says::held, Leads::part, "pad texture swell"},
    {"chord", Family::keys, Says::held, Leads::part, "chord stab chd"},
    {"pluck", Family::keys, Says::nothing, Leads::part, "pluck plk"},
    {"arp", Family::keys, Says::nothing, Leads::part, "arp arpeggio sequence seq"},
    {"melody", Family::keys, Says::held, Leads::part, "melody mel lead ld theme topline hook riff solo counter"},
    {"strings", Family::strings, Says::held, Leads::source,
     "string str strgs orchestra orch ensemble violin vln viola vla cello vc vcl celli fiddle pizz pizzicato spiccato "
     "legato tremolo quartet"},
    {"brass", Family::other, Says::held, Leads::source,
     "brass horn trumpet tpt trp trombone tbn tuba flugel flugelhorn cornet"},
    {"wind", Family::other, Says::held, Leads::source,
     "flute flt whistle sax saxophone tenorsax altosax clarinet clar oboe bassoon recorder reed woodwind ww "
     "harmonica piccolo panpipe ocarina"},
    {"voice", Family::voices, Says::held, Leads::source,
     "voice vocal vox voc vx vo ldvox leadvox leadvocal leadvoc lv singer rap spoken speech dialogue"},
    {"second voice", Family::voices, Says::held, Leads::source,
     "choir bv bgv bgvox bgs adlib hum humming backingvocal backvox"},
    {"second part", Family::voices, Says::held, Leads::part, "backing harmony harm gang"},
    {"room", Family::drums, Says::nothing, Leads::part, "room rm"},
    {"effect", Family::effects, Says::nothing, Leads::part, "fx sfx effect efx reverse rev transition stinger"},
    {"riser", Family::effects, Says::nothing, Leads::source,
     "riser rise uplifter downlifter downer sweep impact hit boom whoosh swoosh noise foley crackle vinyl hiss "
     "scratch"},
    {"ambience", Family::effects, Says::held, Leads::part, "ambience ambient amb atmosphere atmo atmos roomtone"},
    {"scenery", Family::effects, Says::nothing, Leads::part,
     "crowd audience applause water rain sea street nature bird"},
    {"loop", Family::other, Says::struck, Leads::part, "loop lp"},
    {"drone", Family::other, Says::held, Leads::part, "drone"},
    {"place", Family::other, Says::nothing, Leads::aside,
     "in out top bottom bot btm up down left right l r mid side close near far amp cab mic di direct dry wet "
     "open closed high low hi lo main alt front inside outside stereo st stem take tk comp edit bounce print dup "
     "double dbl doubletrack "
     "copy new old final master bus group grp track trk audio file"},
};

/// Words that mean another thing together than each of them does.
struct Together {
    const char *first, *second, *as;
};
constexpr Together pairs[] = {
    {"bass", "drum", "kick"},        {"drum", "kick", "kick"},        {"hi", "hat", "hat"},
    {"high", "hat", "hat"},          {"floor", "tom", "tom"},         {"rack", "tom", "tom"},
    {"side", "stick", "snare"},      {"wood", "block", "percussion"}, {"finger", "snap", "snap"},
    {"hand", "clap", "clap"},        {"bass", "guitar", "bass"},      {"bass", "gtr", "bass"},
    {"bass", "synth", "bass"},       {"synth", "bass", "bass"},       {"sub", "bass", "bass"},
    {"string", "synth", "strings"},  {"string", "pad", "strings"},    {"back", "vocal", "second voice"},
    {"back", "vox", "second voice"}, {"vinyl", "noise", "riser"},     {"room", "tone", "ambience"},
    {"steel", "guitar", "guitar"},   {"mouth", "harp", "wind"},       {"sleigh", "bell", "tambourine"},
    {"drum", "room", "drum"},        {"electric", "piano", "piano"},  {"double", "bass", "bass"},
    {"upright", "piano", "piano"},   {"pedal", "steel", "guitar"},    {"lap", "steel", "guitar"},
};

/// Every word with its row.
const std::map<std::string, const Row*, std::less<>>& dictionary() {
    static const auto made = [] {
        std::map<std::string, const Row*, std::less<>> all;
        for (const Row& row : table) {
            std::string word;
            for (const char* c = row.words;; ++c) {
                if (*c != ' ' && *c != '\0') {
                    word += *c;
                    continue;
                }
                all.emplace(std::exchange(word, {}), &row);
                if (*c == '\0') break;
            }
        }
        return all;
    }();
    return made;
}

const Row* row_of(std::string_view word) {
    const auto& all = dictionary();
    if (const auto at = all.find(word); at != all.end()) return at->second;
    if (word.size() > 2 && word.ends_with('s'))
        if (const auto at = all.find(word.substr(0, word.size() - 1)); at != all.end()) return at->second;
    return nullptr;
}

/// A word that is joined of known ones, of two letters and more each: "snaretop", "kickin".  As it is when it is not.
std::vector<std::string> parted(const std::string& word) {
    constexpr size_t least = 2;
    constexpr size_t most = 40;  // a longer one is no name of a sound
    if (word.size() < 2 * least || word.size() > most || row_of(word)) return {word};
    // The longest known beginning whose rest is known too.
    for (size_t n = word.size() - least; n >= least; --n) {
        if (!row_of(word.substr(0, n))) continue;
        std::vector<std::string> rest = parted(word.substr(n));
        if (!std::all_of(rest.begin(), rest.end(), [](const std::string& w) { return row_of(w); })) continue;
        rest.insert(rest.begin(), word.substr(0, n));
        return rest;
    }
    return {word};
}

/// The words of a name in lower case: parted at what is no letter, where small letters meet a capital ("SnareTop"),
/// where capitals meet small letters ("HHopen"), and within words that are joined of known ones.
std::vector<std::string> words_of(std::string_view name) {
    std::vector<std::string> words;
    std::string word;
    const auto end_word = [&] {
        if (!word.empty())
            for (std::string& part : parted(word)) words.push_back(std::move(part));
        word.clear();
    };
    const auto is = [&](size_t i, auto what) { return i < name.size() && what(static_cast<unsigned char>(name[i])); };
    for (size_t i = 0; i < name.size(); ++i) {
        if (name.substr(i, 3) == "808") {
            end_word();
            words.push_back("808");
            i += 2;
            continue;
        }
        if (!is(i, isalpha)) {
            end_word();
            continue;
        }
        const bool capital = is(i, isupper), after_small = i > 0 && is(i - 1, islower);
        // "HHopen": the run of capitals is an abbreviation when it is known as one.
        const bool after_abbreviation =
            is(i, islower) && word.size() >= 2 && i >= 2 && is(i - 1, isupper) && is(i - 2, isupper) && row_of(word);
        if ((capital && after_small) || after_abbreviation) end_word();
        word += static_cast<char>(std::tolower(static_cast<unsigned char>(name[i])));
    }
    end_word();
    return words;
}

std::string singular(const std::string& word) {
    return word.size() > 2 && word.ends_with('s') ? word.substr(0, word.size() - 1) : word;
}

const Row* row_called(std::string_view role) {
    const auto at = std::find_if(std::begin(table), std::end(table), [role](const Row& r) { return role == r.role; });
    return at == std::end(table) ? row_of(role) : &*at;
}

struct Said {
    const Row* row = nullptr;
    std::string word;
};

/// All that a name says, in its order; words that belong together count as one.
std::vector<Said> said_by(std::string_view name) {
    const std::vector<std::string> words = words_of(name);
    std::vector<Said> found;
    for (size_t n = 0; n < words.size(); ++n) {
        if (n + 1 < words.size()) {
            const auto at = std::find_if(std::begin(pairs), std::end(pairs), [&](const Together& t) {
                return (words[n] == t.first || singular(words[n]) == t.first) &&
                       (words[n + 1] == t.second || singular(words[n + 1]) == t.second);
            });
            if (at != std::end(pairs)) {
                found.push_back({row_called(at->as), words[n] + ' ' + words[n + 1]});
                ++n;
                continue;
            }
        }
        if (const Row* row = row_of(words[n])) found.push_back({row, words[n]});
    }
    return found;
}

/// The word that leads: a source before a part that it plays, and of several the last.  `counts` says which do.
template <class Counts>
Said leading(std::string_view name, const Counts& counts) {
    Said found;
    for (const Said& said : said_by(name)) {
        if (!counts(*said.row)) continue;
        if (!found.row || said.row->leads <= found.row->leads) found = said;
    }
    return found;
}

Said leading_kind(std::string_view name) {
    return leading(name, [](const Row& row) { return row.kind != Says::nothing; });
}

}  // namespace

Family guess_family(std::string_view name) {
    // A flute has no family here, and does not get that of its part.
    const Said said =
        leading(name, [](const Row& row) { return row.family != Family::other || row.leads == Leads::source; });
    return said.row ? said.row->family : Family::other;
}

KindHint kind_hint(std::string_view name) {
    const Said said = leading_kind(name);
    if (!said.row) return KindHint::none;
    if (said.row->kind == Says::decides_struck) return KindHint::certainly_percussive;
    return said.row->kind == Says::struck ? KindHint::percussive : KindHint::sustained;
}

std::string word_of_kind(std::string_view name) { return leading_kind(name).word; }

bool has_word(std::string_view name, std::string_view wanted) {
    std::string lower;
    for (const char c : wanted) lower += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    if (lower.empty()) return false;
    for (const std::string& word : words_of(name))
        if (word == lower || singular(word) == lower) return true;
    // "BD" is a kick.
    const auto all = said_by(name);
    return std::any_of(all.begin(), all.end(), [&](const Said& said) { return said.row->role == lower; });
}

size_t known_names() { return dictionary().size(); }

}  // namespace isotonus
