#include "core/shape/parameter_help.h"

#include <algorithm>
#include <array>

#include "core/words.h"

namespace isotonus {

namespace {

struct Help {
    std::string_view type;       ///< empty: of every processor that has this parameter
    std::string_view parameter;  ///< empty: the processor as a whole
    const char* text;
};

// A text of one type stands before that of all.
constexpr auto helps = std::to_array<Help>({
    {"low_cut", "", translatable("Removes everything below a frequency: rumble, hum, lows that another track needs.")},
    {"high_cut", "",
     translatable("Removes everything above a frequency: hiss, or brightness that draws a sound forward.")},
    {"equaliser", "",
     translatable("Raises or lowers parts of the spectrum. Cut what disturbs before you boost what is missing.")},
    {"compressor", "", translatable("Turns loud passages down, so that the level stays even. 2 to 3 dB for a voice.")},
    {"band_compressor", "",
     translatable("Compresses one range of frequencies alone, such as sharp s sounds or a boomy low end.")},
    {"duck", "", translatable("Lowers the sound while another track plays, such as the bass under the kick.")},
    {"gate", "", translatable("Silences what stays below a threshold, such as bleed between the hits of a drum.")},
    {"saturation", "", translatable("Adds harmonics by gentle distortion. Makes a bass audible on small speakers.")},
    {"transient", "", translatable("Makes the attack or the ring of hits louder or softer, whatever their level.")},
    {"limiter", "",
     translatable("Lets no peak pass a ceiling. Use it on single peaks of a track, sparingly on the main output.")},
    {"modulation", "",
     translatable("Chorus, flanger or phaser: a copy that moves against the sound. Widens what is static.")},
    {"delay", "", translatable("Echoes, free or in note values. Gives depth without the wash of a room.")},
    {"reverb", "", translatable("The sound of a room. Use it on a return, so that several tracks share one room.")},
    {"width", "", translatable("Makes a stereo sound wider or narrower. Narrow what loses too much in mono.")},

    {"", "mix",
     translatable(
         "How much of the result is processed sound; the rest is the sound as it came in. Lower it for parallel "
         "processing, keep 100 % on a return.")},
    {"", "input_db", translatable("Gain before the processor. Raise it to drive the processor harder.")},
    {"", "output_db",
     translatable("Gain after the processor. Set it so that the sound is as loud with the processor as without it.")},
    {"", "in",
     translatable("Switches the processor on or bypasses it. Ride it to use the processor in one passage only.")},

    {"low_cut", "hz",
     translatable(
         "Frequencies below it are removed. Start at 100 Hz, raise it until it is too much, then go back by 10 to "
         "15 %.")},
    {"high_cut", "hz",
     translatable("Frequencies above it are removed. Lower it to take hiss away or to move a sound further back.")},
    {"", "slope",
     translatable("How steeply the cut falls. 12 or 24 dB/oct suits most sounds; a steeper one for rumble.")},

    {"equaliser", "in", translatable("Switches this band on or off. Compare both at the same loudness.")},
    {"equaliser", "shape",
     translatable(
         "What the band does: a bell around its frequency, a shelf above or below it, a cut or a notch. Use a bell "
         "first.")},
    {"equaliser", "hz",
     translatable("The frequency in the middle of the band. Sweep it with a narrow boost to find a trouble spot.")},
    {"equaliser", "db",
     translatable(
         "How much the band raises or lowers. Small steps first; cutting usually sounds more natural than boosting.")},
    {"equaliser", "q", translatable("How narrow the band is; higher is narrower. About 3 for a cut, 0.7 for a boost.")},
    {"equaliser", "where",
     translatable(
         "Which part of a stereo sound the band works on. Choose mid or side to treat the centre or the width alone.")},

    {"compressor", "threshold_dbfs",
     translatable(
         "What rises above this level is turned down. Lower it until the meter shows the reduction that you want: 2 "
         "to 3 dB for a voice.")},
    {"", "ratio",
     translatable(
         "How much of what rises above the threshold is left. 3:1 for a lead, 2:1 where it should not be noticed.")},
    {"", "knee_db",
     translatable(
         "How gradually the reduction begins around the threshold. Wider is less noticeable, 0 dB is strictest.")},
    {"compressor", "attack_ms",
     translatable("How fast the level is turned down. About 10 ms keeps the hit of a drum; faster catches peaks.")},
    {"compressor", "release_ms",
     translatable("How fast the level comes back. Set it so that it has recovered before the next hit.")},
    {"", "release_auto",
     translatable(
         "Lets the release follow the sound: fast after peaks, slow after long passages. Use it when one release "
         "does not fit.")},
    {"", "lookahead_ms",
     translatable(
         "The compressor sees the sound this much earlier. Raise it when even the fastest attack lets peaks through.")},
    {"", "makeup_db", translatable("Gain that replaces what was taken away. Set it so that bypass sounds as loud.")},
    {"", "detector",
     translatable(
         "What the level is judged by: the peak or the average. Peak for drums, average for voices and bass.")},
    {"", "key_low_cut_hz",
     translatable(
         "Removes lows from what the level is judged by; the sound itself keeps them. Raise it when a kick triggers "
         "too much.")},
    {"", "key_high_cut_hz",
     translatable("Removes highs from what the level is judged by. Lower it when hats trigger too much.")},
    {"compressor", "range_db",
     translatable("The most that is ever taken away. Lower it to keep a compressor gentle in loud passages.")},

    {"band_compressor", "where",
     translatable(
         "Which band is compressed: below, above or within two frequencies. Above for sharp highs, below for a bass "
         "under a kick.")},
    {"band_compressor", "low_hz", translatable("The lower edge of the band. Set it just below what disturbs.")},
    {"band_compressor", "high_hz", translatable("The upper edge of the band. Set it just above what disturbs.")},
    {"band_compressor", "threshold_dbfs",
     translatable(
         "When the band rises above this level it is turned down. Lower it until only what disturbs is caught.")},
    {"band_compressor", "attack_ms",
     translatable("How fast the band is turned down. 1 to 5 ms for sibilance, slower for lows.")},
    {"band_compressor", "release_ms", translatable("How fast the band comes back. 50 to 150 ms suits most sounds.")},
    {"band_compressor", "range_db",
     translatable("The most that is ever taken from the band. 6 dB is plenty for sibilance.")},

    {"duck", "threshold_dbfs",
     translatable(
         "When the sidechain source rises above this level, this channel is turned down. Start far down and raise "
         "it until it sounds natural.")},
    {"duck", "depth_db", translatable("How far this channel is turned down. 3 to 6 dB makes room, more is an effect.")},
    {"duck", "hold_ms", translatable("How long it stays down after the source. About as long as the kick sounds.")},
    {"duck", "release_ms", translatable("How fast it comes back. Set it in time with the beat.")},
    {"duck", "where",
     translatable(
         "What is turned down: everything, or only a band. The low end alone is enough for a kick against a bass.")},
    {"duck", "low_hz", translatable("The lower edge of the band that is turned down. 100 Hz is a start for a bass.")},
    {"duck", "high_hz", translatable("The upper edge of the band that is turned down. 500 Hz is a start for a bass.")},

    {"gate", "threshold_dbfs",
     translatable(
         "Sound below this level is turned down. Set it between the noise and the softest note that you want to "
         "keep.")},
    {"gate", "range_db",
     translatable("How far the gate turns down when it is closed. 10 to 20 dB sounds more natural than silence.")},
    {"gate", "attack_ms", translatable("How fast the gate opens. Keep it short for drums, longer where it clicks.")},
    {"gate", "hold_ms", translatable("How long it stays open at least. Raise it when the gate flutters.")},
    {"gate", "release_ms", translatable("How fast it closes. Let it be as long as the sound rings.")},

    {"saturation", "curve",
     translatable(
         "How the sound is bent: tanh is soft, asymmetric is warmer, clip is hardest. Listen with the gain matched.")},
    {"saturation", "drive_db",
     translatable("How hard the sound is driven. Raise it until it is heard, then lower it a little.")},
    {"saturation", "ceiling_dbfs",
     translatable("The level that the curve does not exceed. On a main output −1 dBFS is a safe soft clip.")},
    {"saturation", "tone_db",
     translatable("Tilts the sound before the curve towards highs or lows. Raise it to saturate the highs more.")},
    {"saturation", "compensate",
     translatable(
         "Lowers the output by as much as the drive raised it. Keep it on to judge the colour, not the level.")},
    {"saturation", "low_hz",
     translatable("Only what lies above it is saturated. Raise it to keep the lowest notes clean.")},
    {"saturation", "high_hz",
     translatable("Only what lies below it is saturated. Lower it to keep cymbals and air clean.")},

    {"transient", "attack_db",
     translatable(
         "Raises or lowers the beginning of each hit. A few dB bring a drum forward without making it louder.")},
    {"transient", "sustain_db",
     translatable("Raises or lowers what rings after each hit. Lower it to dry a room, raise it to lengthen a drum.")},

    {"limiter", "ceiling_dbtp",
     translatable("The true peak that is never exceeded. −1 dBTP leaves room for lossy files.")},
    {"limiter", "release_ms", translatable("How fast it recovers after a peak. Longer is cleaner, shorter is louder.")},

    {"modulation", "kind", translatable("Chorus thickens, flanger and phaser sweep. Chorus is the gentlest one.")},
    {"modulation", "rate_hz",
     translatable("How fast it moves. Slow movements are less noticeable; a note value follows the tempo.")},
    {"modulation", "depth", translatable("How far it moves. Lower it when the pitch seems to waver.")},
    {"modulation", "feedback", translatable("How much of the result goes in again. Raise it for a sharper sweep.")},
    {"modulation", "apart",
     translatable(
         "How much left and right move apart. Raise it for width, keep it low for a sound that must stay in mono.")},

    {"delay", "left_ms",
     translatable("Time until the echo on the left. A note value follows the tempo: 1/8, 1/8. or 1/8t.")},
    {"delay", "right_ms",
     translatable("Time until the echo on the right. A little more than the left makes the echo wide.")},
    {"delay", "feedback", translatable("How much of an echo is repeated. 20 to 40 % gives a few repeats.")},
    {"delay", "ping_pong", translatable("Echoes change from side to side. Use it for a single word or a short part.")},
    {"delay", "modulation_ms", translatable("How far the time of the echo wavers. A little makes repeats softer.")},
    {"delay", "modulation_hz", translatable("How fast the time of the echo wavers. Keep it below 1 Hz.")},
    {"", "low_cut_hz", translatable("Removes lows from the echo or the room. 150 to 300 Hz keeps a mix clear.")},
    {"", "high_cut_hz",
     translatable("Removes highs from the echo or the room. Lower it to move the effect further back.")},
    {"", "duck_db",
     translatable("How far the echo is turned down while the sidechain source plays. 6 dB keeps words clear.")},
    {"", "duck_threshold_dbfs",
     translatable(
         "From which level of the sidechain source on the echo is turned down. Lower it when nothing happens.")},

    {"reverb", "decay_s",
     translatable("How long the room rings, until it is 60 dB lower. 0.5 s for drums, 1 to 2 s for voices.")},
    {"reverb", "low_factor", translatable("How long lows ring against the middle. Below 1 keeps a mix clear.")},
    {"reverb", "high_factor", translatable("How long highs ring against the middle. Lower is a darker room.")},
    {"reverb", "predelay_ms",
     translatable("Time before the room begins. 20 to 40 ms keeps a voice in front of its room.")},
    {"reverb", "size", translatable("How large the room is. Larger rooms have later and sparser reflections.")},
    {"reverb", "early", translatable("How loud the first reflections are. They tell how near a sound is.")},

    {"width", "mono_below_hz",
     translatable("Below it the sound is mono. 100 to 150 Hz keeps the low end firm in the centre.")},
    {"", "width",
     translatable("How wide the sides are: 0 % is mono, 100 % as it is. Lower it when too much is lost in mono.")},
});

}  // namespace

std::string help_of(std::string_view processor_type, const ParameterInfo& parameter) {
    std::string_view id = parameter.id;
    if (processor_type == "equaliser" && id.starts_with("band")) id.remove_prefix(id.find('.') + 1);
    const auto is_of = [id](std::string_view type) {
        return [=](const Help& h) { return h.type == type && h.parameter == id; };
    };
    const auto own = std::ranges::find_if(helps, is_of(processor_type));
    const auto shared = std::ranges::find_if(helps, is_of(""));
    if (own != helps.end()) return translated(own->text);
    return shared == helps.end() ? std::string() : translated(shared->text);
}

std::string help_of(std::string_view processor_type) {
    const auto own =
        std::ranges::find_if(helps, [=](const Help& h) { return h.type == processor_type && h.parameter.empty(); });
    return own == helps.end() ? std::string() : translated(own->text);
}

}  // namespace isotonus
