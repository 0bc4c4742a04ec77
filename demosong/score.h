// The paper-boat festival: what is played when.  100 beats a minute, four to the bar.
#pragma once

#include <array>
#include <vector>

namespace isotonus::song {

inline constexpr double beat_s = 0.6;
inline constexpr double bar_s = 4 * beat_s;
inline constexpr int bars = 36;
inline constexpr double length_s = bars * bar_s + 2.6;  // 89 s

enum class Part { intro, verse, chorus, bridge, solo, last_chorus, outro };
struct PartSpan {
    Part part;
    const char* name;
    int first_bar, bars;
};
inline constexpr std::array<PartSpan, 7> parts{{{Part::intro, "intro", 0, 4},
                                                {Part::verse, "verse", 4, 8},
                                                {Part::chorus, "chorus", 12, 6},
                                                {Part::bridge, "bridge", 18, 4},
                                                {Part::solo, "solo", 22, 4},
                                                {Part::last_chorus, "chorus", 26, 6},
                                                {Part::outro, "outro", 32, 4}}};

inline Part part_of(int bar) {
    for (const PartSpan& p : parts)
        if (bar >= p.first_bar && bar < p.first_bar + p.bars) return p.part;
    return Part::outro;
}

/// Three notes from the middle of the keyboard, and the bass note below.
struct Chord {
    std::array<int, 3> notes;
    int bass;
};
inline constexpr Chord a_minor{{57, 60, 64}, 33}, f_major{{57, 60, 65}, 29}, c_major{{55, 60, 64}, 36},
    g_major{{55, 59, 62}, 31}, d_minor{{57, 62, 65}, 38}, e_minor{{55, 59, 64}, 28};

inline const Chord& chord_of(int bar) {
    static constexpr std::array<const Chord*, 4> verse{&a_minor, &f_major, &c_major, &g_major};
    static constexpr std::array<const Chord*, 6> chorus{&f_major, &g_major, &a_minor, &f_major, &g_major, &c_major};
    static constexpr std::array<const Chord*, 4> bridge{&d_minor, &a_minor, &e_minor, &g_major};
    switch (part_of(bar)) {
        case Part::chorus:
            return *chorus[static_cast<size_t>(bar - 12)];
        case Part::last_chorus:
            return *chorus[static_cast<size_t>(bar - 26)];
        case Part::bridge:
            return *bridge[static_cast<size_t>(bar - 18)];
        default:
            return *verse[static_cast<size_t>(bar % 4)];
    }
}

struct Note {
    double beat;   ///< from the start of the bar
    double beats;  ///< how long
    int number;
};

/// The melody of the plucked lead.
inline std::vector<Note> melody_of(int bar) {
    switch (part_of(bar)) {
        case Part::intro:
            return bar % 2 ? std::vector<Note>{{0, 1, 76}, {1.5, .5, 74}, {2, 2, 72}}
                           : std::vector<Note>{{0, 1.5, 69}, {1.5, .5, 72}, {2, 2, 76}};
        case Part::chorus:
        case Part::last_chorus:
            switch ((bar - 12) % 3) {
                case 0:
                    return {{0, .5, 77}, {.5, .5, 76}, {1, 1, 72}, {2, .5, 72}, {2.5, 1.5, 74}};
                case 1:
                    return {{0, .5, 79}, {.5, .5, 77}, {1, 1, 74}, {2, 1, 71}, {3, 1, 74}};
                default:
                    return {{0, 1, 76}, {1, .5, 79}, {1.5, .5, 76}, {2, 2, 72}};
            }
        case Part::bridge:
            return {{0, 2, bar % 2 ? 72 : 74}, {2, 2, bar % 2 ? 71 : 69}};
        case Part::outro:
            return bar == 35 ? std::vector<Note>{{0, 3, 69}} : std::vector<Note>{{0, 1.5, 72}, {2, 1.5, 71}};
        default:
            return {};
    }
}

/// The wordless voice: one phrase every two bars.
inline std::vector<Note> voice_of(int bar) {
    switch (part_of(bar)) {
        case Part::verse:
            switch (bar % 4) {
                case 0:
                    return {{0, 1, 64}, {1, 1, 69}, {2, 1.5, 72}, {3.5, .5, 71}};
                case 1:
                    return {{0, 2, 69}, {2, 1, 65}};
                case 2:
                    return {{0, 1, 67}, {1, 1, 72}, {2, 1.5, 76}, {3.5, .5, 74}};
                default:
                    return {{0, 1.5, 74}, {1.5, 1.5, 71}};
            }
        case Part::chorus:
        case Part::last_chorus:
            return bar % 2 ? std::vector<Note>{{0, 1, 74}, {1, 1, 71}, {2, 1.2, 67}}
                           : std::vector<Note>{{0, 1.5, 72}, {1.5, .5, 74}, {2, 2, 76}};
        case Part::bridge:
            return bar % 2 ? std::vector<Note>{{0, 3, 69}} : std::vector<Note>{{0, 1, 69}, {1, 3, 74}};
        default:
            return {};
    }
}

/// Level of each of the voice's two-bar phrases against the one in tune with the rest, in dB: the fault to be ridden.
inline double voice_phrase_db(int bar) {
    static constexpr std::array<double, 9> levels{0.0, -8.0, 3.0, -4.0, 0.0, 6.0, -2.0, -6.0, 1.0};
    return levels[static_cast<size_t>((bar / 2) % 9)];
}

inline std::vector<Note> solo_of(int bar) {
    switch (bar) {
        case 22:
            return {{0, .75, 81}, {.75, .25, 79}, {1, 1, 76}, {2, .5, 79}, {2.5, .5, 81}, {3, 1, 84}};
        case 23:
            return {{0, 1.5, 81}, {1.5, .5, 77}, {2, 2, 76}};
        case 24:
            return {{0, .5, 76}, {.5, .5, 79}, {1, .5, 84}, {1.5, .5, 83}, {2, 1, 79}, {3, 1, 76}};
        case 25:
            return {{0, .5, 74}, {.5, .5, 79}, {1, 3, 83}};
        default:
            return {};
    }
}

}  // namespace isotonus::song
