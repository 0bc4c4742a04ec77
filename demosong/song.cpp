#include "demosong/song.h"

#include <fmt/format.h>

#include <algorithm>
#include <mutex>

#include "core/audio/media.h"
#include "core/audio/resample.h"
#include "core/audio/sound_file.h"
#include "core/measure/loudness.h"
#include "core/session/session_file.h"
#include "demosong/score.h"
#include "demosong/wave.h"

namespace isotonus {

using namespace song;

namespace {

constexpr size_t total_frames = static_cast<size_t>(length_s * rate + 0.5);

/// One or two channels of the song's length.
struct Tape {
    explicit Tape(size_t channels) : channel(channels, std::vector<double>(total_frames)) {}
    std::vector<std::vector<double>> channel;

    double peak() const {
        double most = 0.0;
        for (const auto& c : channel)
            for (const double x : c) most = std::max(most, std::fabs(x));
        return most;
    }
    void scale(double gain) {
        for (auto& c : channel)
            for (double& x : c) x *= gain;
    }
    void scale_to_peak(double dbfs) { scale(decibels(dbfs) / peak()); }
};

size_t frame_at(double time_s) { return std::min(total_frames, static_cast<size_t>(time_s * rate + 0.5)); }

/// Calls voice(i, t_s) for the frames of a stretch, with the time since its start.
template <class Voice>
void play(double start_s, double seconds, Voice voice) {
    const size_t first = frame_at(start_s), last = frame_at(start_s + seconds);
    for (size_t i = first; i < last; ++i) voice(i, static_cast<double>(i - first) / rate);
}

/// Rises over `attack_s`, falls over the last `release_s`, both smoothly.
double swell(double t, double length, double attack_s, double release_s) {
    const auto smooth = [](double x, double whole) {
        if (x >= whole) return 1.0;
        x = std::max(0.0, x / whole);
        return x * x * (3.0 - 2.0 * x);
    };
    return smooth(t, attack_s) * smooth(length - t, release_s);
}

template <class Do>
void each_bar(Do make) {
    for (int bar = 0; bar < bars; ++bar) make(bar, bar * bar_s, part_of(bar));
}

bool has_full_beat(Part p) {
    return p == Part::verse || p == Part::chorus || p == Part::solo || p == Part::last_chorus;
}
bool is_chorus(Part p) { return p == Part::chorus || p == Part::last_chorus; }

void kick_hit(std::vector<double>& to, double start_s, double level) {
    play(start_s, 0.45, [&](size_t i, double t) {
        const double sweep = 48.0 * t + 3.2 * (1.0 - decay(t, 0.035));  // turns: falls from about 140 to 48 Hz
        const double click = decay(t, 0.003) * sine(1800.0 * t) * 0.25;
        to[i] += level * (sine(sweep) * decay(t, 0.13) + click) * std::min(1.0, t / 0.0008);
    });
}

Tape kick_close() {
    Tape tape(1);
    each_bar([&](int bar, double at, Part part) {
        if (part == Part::intro && bar < 2) return;
        if (part == Part::bridge || (part == Part::outro && bar > 33)) {
            kick_hit(tape.channel[0], at, 0.8);
            return;
        }
        for (const double beat : {0.0, 2.0}) kick_hit(tape.channel[0], at + beat * beat_s, 1.0);
        if (is_chorus(part)) kick_hit(tape.channel[0], at + 2.5 * beat_s, 0.7);
        if (bar % 4 == 3) kick_hit(tape.channel[0], at + 3.5 * beat_s, 0.85);
    });
    tape.scale_to_peak(-4.2);
    return tape;
}

Tape kick_room(const Tape& close) {
    Tape tape(1);
    Noise noise(7);
    Filter dull(2500.0, 0.7), rest(900.0, 0.7);
    double tail = 0.0;
    for (size_t i = 0; i < total_frames; ++i) {
        const size_t late = static_cast<size_t>(DemoFaults::room_delay_samples);
        const double direct = i >= late ? close.channel[0][i - late] : 0.0;
        tail = std::max(std::fabs(direct), tail * 0.9998);
        tape.channel[0][i] = -(0.55 * direct + 0.03 * dull.lowpass(tail * rest.lowpass(noise.next())));
    }
    return tape;
}

void snare_hit(std::vector<double>& to, double start_s, double level, Noise& noise) {
    Filter rattle(1800.0, 0.6);
    play(start_s, 0.35, [&](size_t i, double t) {
        const double body =
            sine(190.0 * t + 0.9 * (1.0 - decay(t, 0.02))) * decay(t, 0.07) + 0.5 * sine(331.0 * t) * decay(t, 0.04);
        to[i] +=
            level * (0.6 * body + 0.9 * rattle.highpass(noise.next()) * decay(t, 0.09)) * std::min(1.0, t / 0.0005);
    });
}

Tape snare() {
    Tape tape(1);
    Noise noise(11);
    each_bar([&](int bar, double at, Part part) {
        if (!has_full_beat(part)) return;
        for (const double beat : {1.0, 3.0}) snare_hit(tape.channel[0], at + beat * beat_s, 1.0, noise);
        if (bar % 4 == 3)
            for (const double beat : {2.5, 3.5, 3.75}) snare_hit(tape.channel[0], at + beat * beat_s, 0.5, noise);
    });
    tape.scale_to_peak(DemoFaults::snare_over_db);
    for (double& x : tape.channel[0]) x = std::clamp(x, -1.0, 1.0);
    return tape;
}

Tape hats() {
    Tape tape(2);
    Noise noise(13);
    each_bar([&](int bar, double at, Part part) {
        if (part == Part::intro || part == Part::bridge || (part == Part::outro && bar > 33)) return;
        for (int n = 0; n < 8; ++n) {
            const bool open = n == 7 && bar % 2 == 1;
            const double level = (n % 2 ? 0.6 : 1.0) * (0.9 + 0.1 * noise.next());
            Filter bright(7500.0, 0.8);
            const double side = 0.15 * noise.next();
            play(at + n * beat_s / 2, open ? 0.28 : 0.09, [&](size_t i, double t) {
                const double metal = noise.next() + 0.4 * (sine(5230.0 * t) + sine(7411.0 * t) + sine(9377.0 * t));
                const double x = level * bright.highpass(metal) * decay(t, open ? 0.11 : 0.022);
                tape.channel[0][i] += x * (1.0 - side);
                tape.channel[1][i] += x * (1.0 + side);
            });
        }
    });
    tape.scale_to_peak(-9.0);
    const double rumble = decibels(DemoFaults::hats_rumble_peak_dbfs);
    for (size_t i = 0; i < total_frames; ++i)
        for (auto& c : tape.channel) c[i] += rumble * sine(DemoFaults::hats_rumble_hz * static_cast<double>(i) / rate);
    return tape;
}

Tape shaker() {
    Tape tape(1);
    Noise noise(17);
    Filter grain(5200.0, 1.4);
    each_bar([&](int, double at, Part part) {
        if (part == Part::intro || part == Part::outro) return;
        for (int n = 0; n < 16; ++n) {
            const double level = n % 4 == 2 ? 1.0 : 0.55;
            play(at + n * beat_s / 4, 0.11, [&](size_t i, double t) {
                tape.channel[0][i] += level * grain.bandpass(noise.next()) * std::min(1.0, t / 0.02) * decay(t, 0.035);
            });
        }
    });
    tape.scale_to_peak(-15.0);
    return tape;
}

Tape paper_drums() {
    Tape tape(2);
    Noise noise(19);
    const auto hit = [&](double start_s, double hz, double level, double right) {
        play(start_s, 0.6, [&](size_t i, double t) {
            const double x = level * (sine(hz * t + 0.8 * (1.0 - decay(t, 0.05))) * decay(t, 0.16) +
                                      0.25 * noise.next() * decay(t, 0.02));
            tape.channel[0][i] += x * (1.0 - right);
            tape.channel[1][i] += x * right;
        });
    };
    each_bar([&](int bar, double at, Part part) {
        if (part == Part::bridge)
            for (const double beat : {0.0, 1.5, 2.0, 3.5})
                hit(at + beat * beat_s, bar % 2 ? 98.0 : 124.0, 0.8, beat > 1.0 ? 0.7 : 0.3);
        if (bar % 4 == 3 && bar > 3)
            for (int n = 0; n < 4; ++n)
                hit(at + (3.0 + n * 0.25) * beat_s, 165.0 - 22.0 * n, 0.7 + 0.1 * n, 0.2 + 0.2 * n);
    });
    tape.scale_to_peak(-8.0);
    return tape;
}

Tape bass() {
    Tape tape(1);
    Filter round(420.0, 0.9);
    Saw saw;
    each_bar([&](int bar, double at, Part part) {
        if (part == Part::intro && bar < 2) return;
        const int root = chord_of(bar).bass + 12;
        const auto pluck = [&](double beat, double beats, int number) {
            const double length = beats * beat_s * 0.95, hz = note_hz(number);
            play(at + beat * beat_s, length, [&](size_t i, double t) {
                const double x = 0.8 * sine(hz * t) + round.lowpass(0.5 * saw.next(hz));
                tape.channel[0][i] += x * swell(t, length, 0.006, 0.03) * (0.55 + 0.45 * decay(t, 0.35));
            });
        };
        if (part == Part::bridge || part == Part::outro) {
            pluck(0.0, 4.0, root);
        } else {
            pluck(0.0, 1.5, root);
            pluck(1.5, 0.5, root + 12);
            pluck(2.0, 1.0, root);
            pluck(3.0, 0.5, root + 7);
            pluck(3.5, 0.5, root + 12);
        }
    });
    tape.scale_to_peak(-9.5);
    for (double& x : tape.channel[0]) x += DemoFaults::bass_dc_offset;
    return tape;
}

/// A plucked string: harmonics that fade the faster the higher they are.
void pluck_string(std::vector<double>& to, double start_s, double length, int number, double level) {
    const double hz = note_hz(number);
    for (int h = 1; h <= 7 && hz * h < 16000.0; ++h) {
        const double amplitude = level / (h * (1.0 + 0.15 * h)), partial = hz * h * (1.0 + 0.0002 * h * h);
        Decay fade(0.9 / h);
        play(start_s, std::min(length, 6.3 / h), [&](size_t i, double t) {  // by then it has fallen by 60 dB
            to[i] += amplitude * sine(partial * t) * fade.next() * swell(t, length, 0.002, 0.05);
        });
    }
}

std::vector<float> interleaved(const Tape& tape) {
    std::vector<float> samples;
    samples.reserve(total_frames * tape.channel.size());
    for (size_t i = 0; i < total_frames; ++i)
        for (const auto& c : tape.channel) samples.push_back(static_cast<float>(c[i]));
    return samples;
}

/// Gated average of a tape, to 0.01 dB so that every machine computes the same gain from it.
double rounded_average_dbfs(const Tape& tape) {
    HopMeter meter(static_cast<int>(tape.channel.size()), static_cast<int>(rate));
    const std::vector<float> samples = interleaved(tape);
    meter.add(samples.data(), static_cast<int64_t>(total_frames));
    return std::nearbyint(100.0 * gated_average_dbfs(meter.hops().unweighted).value_or(0.0)) / 100.0;
}

Tape plucked_chords() {
    Tape tape(2);
    each_bar([&](int bar, double at, Part part) {
        if (part == Part::outro && bar == 35) return;
        const Chord& chord = chord_of(bar);
        for (int n = 0; n < 8; ++n) {
            static constexpr std::array<int, 8> order{0, 1, 2, 1, 0, 2, 1, 2};
            const int number = chord.notes[static_cast<size_t>(order[static_cast<size_t>(n)])] + (n == 5 ? 12 : 0);
            pluck_string(tape.channel[n % 2 ? 1 : 0], at + n * beat_s / 2, 1.4, number, 1.0);
        }
    });
    constexpr size_t across = 192;  // each side is heard on the other one 4 ms later, 6 dB down
    const auto alone = tape.channel;
    for (size_t i = across; i < total_frames; ++i)
        for (size_t c = 0; c < 2; ++c) tape.channel[c][i] += 0.5 * alone[1 - c][i - across];
    for (int twice = 0; twice < 2; ++twice)
        tape.scale(decibels(DemoFaults::plucked_average_dbfs - rounded_average_dbfs(tape)));
    return tape;
}

Tape held_chords() {
    Tape tape(2);
    Filter left(1700.0, 0.8), right(1700.0, 0.8);  // open where a voice's vowels lie: it covers the voice
    each_bar([&](int bar, double at, Part part) {
        if (part == Part::intro || part == Part::solo) return;
        for (const int number : chord_of(bar).notes) {
            Saw a(0.13), b(0.57);
            const double hz = note_hz(number + 12);
            play(at, bar_s, [&](size_t i, double t) {
                const double envelope = swell(t, bar_s, 0.08, 0.08);
                tape.channel[0][i] += envelope * a.next(hz * 1.0015);
                tape.channel[1][i] += envelope * b.next(hz * 0.9985);
            });
        }
    });
    for (size_t i = 0; i < total_frames; ++i) {
        tape.channel[0][i] = left.lowpass(tape.channel[0][i]);
        tape.channel[1][i] = right.lowpass(tape.channel[1][i]);
    }
    tape.scale_to_peak(-5.0);
    return tape;
}

Tape water_pad() {
    Tape tape(2);
    each_bar([&](int bar, double at, Part part) {
        if (part == Part::verse) return;
        for (const int number : chord_of(bar).notes) {
            const double hz = note_hz(number);
            play(at, bar_s, [&](size_t i, double t) {
                const double time = static_cast<double>(i) / rate;
                const double x =
                    swell(t, bar_s, 0.5, 0.5) * (sine(hz * t) + 0.4 * sine(2.0 * hz * t + 0.1 * sine(0.3 * time)));
                const double common = 0.06 * swell(t, bar_s, 0.5, 0.5) * sine(hz * 1.003 * t);
                tape.channel[0][i] += x + common;  // the sides are each other's opposite but for a little
                tape.channel[1][i] += common - x;
            });
        }
    });
    tape.scale_to_peak(-11.0);
    return tape;
}

Tape melody() {
    Tape tape(1);
    each_bar([&](int bar, double at, Part) {
        for (const Note& n : melody_of(bar))
            pluck_string(tape.channel[0], at + n.beat * beat_s, n.beats * beat_s + 0.4, n.number, 1.0);
    });
    tape.scale_to_peak(-7.5);
    return tape;
}

Tape counter_melody() {
    Tape tape(1);
    Filter soft(2600.0, 0.7);
    each_bar([&](int bar, double at, Part part) {
        if (!is_chorus(part) && part != Part::bridge) return;
        const Chord& chord = chord_of(bar);
        for (int n = 0; n < 2; ++n) {
            const double hz = note_hz(chord.notes[static_cast<size_t>(2 - n)] + 12), length = 1.9 * beat_s;
            play(at + 2 * n * beat_s, length, [&](size_t i, double t) {
                const double hum =
                    sine(hz * t + 0.02 * sine(5.0 * t)) + 0.35 * sine(3.0 * hz * t) + 0.12 * sine(5.0 * hz * t);
                tape.channel[0][i] += soft.lowpass(hum * swell(t, length, 0.05, 0.1));
            });
        }
    });
    tape.scale_to_peak(-12.5);
    return tape;
}

/// A wordless voice: a sawtooth throat through three moving vowel resonances.
void sing(std::vector<double>& to, int bar, double at, const std::vector<Note>& notes, double level, double detune) {
    static constexpr double vowels[4][3] = {{730, 1090, 2440}, {570, 840, 2410}, {300, 870, 2240}, {530, 1840, 2480}};
    int n = bar % 2;
    for (const Note& note : notes) {
        const double* vowel = vowels[static_cast<size_t>(n++ % 4)];
        Filter first(vowel[0], 9.0), second(vowel[1], 11.0), third(vowel[2], 14.0);
        Saw throat;
        Noise breath(static_cast<uint64_t>(bar * 31 + n));
        const double hz = note_hz(note.number + detune), length = note.beats * beat_s * 0.97;
        play(at + note.beat * beat_s, length, [&](size_t i, double t) {
            const double vibrato = 1.0 + 0.006 * sine(5.3 * t) * std::min(1.0, t / 0.3);
            const double source = throat.next(hz * vibrato) + 0.03 * breath.next();
            const double x =
                first.bandpass(source) + 0.6 * second.bandpass(source) + 0.25 * third.bandpass(source) + 0.05 * source;
            to[i] += level * x * swell(t, length, 0.05, 0.08);
        });
    }
}

Tape voice() {
    Tape tape(1);
    each_bar([&](int bar, double at, Part) {
        sing(tape.channel[0], bar, at, voice_of(bar), decibels(voice_phrase_db(bar)), 0.0);
    });
    tape.scale_to_peak(-3.0);
    return tape;
}

Tape voice_hum() {
    Tape tape(2);
    each_bar([&](int bar, double at, Part part) {
        if (!is_chorus(part)) return;
        const Chord& chord = chord_of(bar);
        sing(tape.channel[0], bar + 2, at, {{0.0, 4.0, chord.notes[1] + 12}}, 1.0, 0.05);
        sing(tape.channel[1], bar + 2, at, {{0.0, 4.0, chord.notes[2] + 12}}, 1.0, -0.05);
    });
    tape.scale_to_peak(-10.0);
    return tape;
}

Tape solo_reed() {
    Tape tape(1);
    Filter reed(2200.0, 1.1);
    each_bar([&](int bar, double at, Part) {
        for (const Note& n : solo_of(bar)) {
            Saw saw;
            const double hz = note_hz(n.number - 12), length = n.beats * beat_s * 0.96;
            play(at + n.beat * beat_s, length, [&](size_t i, double t) {
                const double vibrato = 1.0 + 0.008 * sine(5.8 * t) * std::min(1.0, t / 0.25);
                tape.channel[0][i] += reed.lowpass(saw.next(hz * vibrato)) * swell(t, length, 0.03, 0.05);
            });
        }
    });
    tape.scale_to_peak(-6.5);
    return tape;
}

Tape lantern_bells() {
    Tape tape(1);
    const auto strike = [&](double start_s, int number, double level) {
        static constexpr double partials[5] = {0.5, 1.0, 1.19, 2.0, 2.74};
        for (const double p : partials) {
            const double hz = note_hz(number) * p;
            Decay fade(1.1 / p);
            play(start_s, 4.0, [&](size_t i, double t) {
                tape.channel[0][i] += level / (1.0 + p) * sine(hz * t) * fade.next() * std::min(1.0, t / 0.001);
            });
        }
    };
    each_bar([&](int bar, double at, Part part) {
        if (part == Part::intro || is_chorus(part)) strike(at, chord_of(bar).notes[2] + 24, 0.30);
    });
    strike(DemoFaults::bell_peak_time_s, 81, 1.0);  // nobody hears it coming
    tape.scale_to_peak(-4.0);
    return tape;
}

Tape canal_water() {
    Tape tape(2);
    for (size_t c = 0; c < 2; ++c) {
        Noise noise(101 + c), drops(201 + c);
        Filter deep(420.0, 0.6), lap(900.0, 1.6);
        double wave = 0.0, drop = 0.0, pitch = 900.0;
        for (size_t i = 0; i < total_frames; ++i) {
            const double time = static_cast<double>(i) / rate;
            wave = 0.5 + 0.3 * sine(0.23 * time + 0.3 * static_cast<double>(c)) + 0.2 * sine(0.61 * time);
            if (i % 9600 == 0 && drops.next() > 0.2) drop = 1.0, pitch = 700.0 + 500.0 * (1.0 + drops.next());
            drop *= 0.9994;
            const double n = noise.next();
            tape.channel[c][i] = wave * (deep.lowpass(n) + 0.3 * lap.bandpass(n)) +
                                 0.15 * drop * sine(pitch * time * (1.0 + 0.0001 * drop));
        }
    }
    tape.scale_to_peak(-20.0);
    return tape;
}

Tape crowd() {
    Tape tape(2);
    for (int person = 0; person < 9; ++person) {
        Noise chance(static_cast<uint64_t>(300 + person)), breath(static_cast<uint64_t>(400 + person));
        Filter mouth(500.0 + 140.0 * person, 5.0), far(2200.0, 0.7);
        Saw throat(0.07 * person);
        const double right = static_cast<double>(person) / 8.0;
        double speaking = 0.0, wanted = 0.0, hz = 110.0 + 17.0 * person;
        for (size_t i = 0; i < total_frames; ++i) {
            if (i % 6000 == 0) {
                wanted = chance.next() > 0.1 ? 0.4 + 0.6 * std::fabs(chance.next()) : 0.0;
                hz = (110.0 + 17.0 * person) * (1.0 + 0.12 * chance.next());
            }
            speaking += (wanted - speaking) * 0.0006;
            const double x = speaking * far.lowpass(mouth.bandpass(throat.next(hz) + 0.5 * breath.next()));
            tape.channel[0][i] += x * (1.0 - right);
            tape.channel[1][i] += x * right;
        }
    }
    const size_t cheer_from = frame_at(33 * bar_s);
    Noise cheer(500);
    Filter hands(1400.0, 0.8);
    for (size_t i = cheer_from; i < total_frames; ++i) {
        const double t = static_cast<double>(i - cheer_from) / rate;
        const double x =
            2.0 * hands.bandpass(cheer.next()) * std::min(1.0, t / 2.0) * decay(std::max(0.0, t - 4.0), 2.0);
        tape.channel[0][i] += x;
        tape.channel[1][i] += x * 0.8;
    }
    tape.scale_to_peak(-17.0);
    return tape;
}

Result<void> write_tape(const Tape& tape, const fs::path& file, SampleFormat format, int file_rate) {
    const size_t channels = tape.channel.size();
    std::vector<float> samples = interleaved(tape);
    if (file_rate != static_cast<int>(rate)) {
        auto resampler = Resampler::create(static_cast<int>(rate), file_rate, static_cast<int>(channels));
        if (!resampler) return tl::unexpected(resampler.error());
        const auto most = resampler->convert(samples);
        std::vector<float> converted(most.begin(), most.end());
        const auto rest = resampler->convert({});
        converted.insert(converted.end(), rest.begin(), rest.end());
        converted.resize(static_cast<size_t>(
                             converted_frames(static_cast<int64_t>(total_frames), static_cast<int>(rate), file_rate)) *
                         channels);
        samples = std::move(converted);
    }
    SoundSpec spec;
    spec.format = format;
    spec.channels = static_cast<int>(channels);
    spec.sample_rate = file_rate;
    spec.expected_frames = static_cast<int64_t>(samples.size() / channels);
    auto writer = SoundWriter::create(file, spec, none_protected());
    if (!writer) return tl::unexpected(writer.error());
    std::vector<unsigned char> packed(samples.size() * static_cast<size_t>(bytes_of(format)));
    pack_samples(samples, format, 0, packed.data());
    if (auto done = writer->write(packed); !done) return done;
    return writer->commit();
}

struct Recipe {
    const char* name;
    std::function<Tape()> make;
    SampleFormat format = SampleFormat::s24;
    int file_rate = 48000;
};

}  // namespace

Result<fs::path> write_demo(const fs::path& folder, Progress* progress) {
    if (auto made = make_folder(folder); !made) return tl::unexpected(made.error());
    const std::vector<Recipe> recipes{
        {"01 Kick Close", kick_close},
        {"02 Kick Room", [] { return kick_room(kick_close()); }},
        {"03 Snare", snare},
        {"04 Hats", hats},
        {"05 Shaker", shaker, SampleFormat::s16},
        {"06 Paper Drums", paper_drums},
        {"07 Bass", bass},
        {"08 Plucked Chords", plucked_chords},
        {"09 Held Chords", held_chords},
        {"10 Water Pad", water_pad},
        {"11 Melody", melody},
        {"12 Counter Melody", counter_melody, SampleFormat::f32},
        {"13 Voice", voice},
        {"14 Voice Hum", voice_hum},
        {"15 Solo Reed", solo_reed},
        {"16 Lantern Bells", lantern_bells},
        {"17 Canal Water", canal_water},
        {"18 Crowd", crowd, SampleFormat::s16, 44100},
    };
    std::vector<fs::path> files;
    for (const Recipe& r : recipes) files.push_back(folder / (std::string(r.name) + ".wav"));
    std::mutex mutex;
    Result<void> outcome;
    int finished = 0;
    parallel_for(static_cast<int64_t>(recipes.size()), worker_count(), [&](int64_t n) {
        if (progress && progress->cancelled()) return;
        const Recipe& recipe = recipes[static_cast<size_t>(n)];
        auto written = write_tape(recipe.make(), files[static_cast<size_t>(n)], recipe.format, recipe.file_rate);
        std::scoped_lock lock(mutex);
        if (!written) outcome = written;
        if (progress) progress->report(++finished / static_cast<double>(recipes.size()));
    });
    if (progress && progress->cancelled()) return stopped();
    if (!outcome) return tl::unexpected(outcome.error());

    Session session = with_each_track(with_files({}, files), [](Track& t) { t.name = t.name.substr(3); });
    for (const PartSpan& part : parts) session.sections.push_back({part.name, part.first_bar * bar_s, 0});
    const fs::path file = folder / "demo.isotonus";
    if (auto written = write_session(session, file); !written) return tl::unexpected(written.error());
    return file;
}

Result<fs::path> demo_in_cache(Progress* progress) {
    const fs::path folder = cache_folder() / "demo-1";
    const fs::path file = folder / "demo.isotonus";
    if (const auto session = read_session(file)) {
        const bool whole = std::all_of(session->tracks.begin(), session->tracks.end(),
                                       [](const auto& t) { return is_there(t->source.file); });
        if (whole && !session->tracks.empty()) return file;
    }
    return write_demo(folder, progress);
}

}  // namespace isotonus
