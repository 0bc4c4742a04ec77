#include "core/handoff/checks.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/balance/mono_loss.h"
#include "core/handoff/delivery.h"
#include "core/mix/row_signals.h"
#include "core/mix/whole.h"
#include "core/session/channel.h"
#include "core/shape/signal.h"
#include "core/stage/findings.h"
#include "core/words.h"

namespace isotonus {

namespace {

constexpr double silence_gain = 0.001;  // -60 dBFS

/// What does not depend on the mix.
struct CheckKind {
    std::string_view id;
    CheckGroup group;
    const char* name;
    const char* unit;
    bool notice;
};
using enum CheckGroup;
constexpr CheckKind kinds[] = {
    CheckKind{"mix_not_silent", level, translatable("is heard"), "", false},
    CheckKind{"headroom", level, translatable("sample peak"), "dBFS", false},
    CheckKind{"over", level, translatable("above the limit"), "dBFS", false},
    CheckKind{"level_enough", level, translatable("loud enough"), "dBFS", true},
    CheckKind{"true_peak", level, translatable("true peak"), "dBTP", false},
    CheckKind{"mix_clips", level, translatable("clipping"), "", false},
    CheckKind{"mix_dc_offset", level, translatable("DC offset"), "share", false},
    CheckKind{"loudness", level, translatable("loudness"), "LUFS", false},
    CheckKind{"mono_loss", level, translatable("loss in mono"), "dB", false},
    CheckKind{"deep_reduction", level, translatable("deep reduction"), "", true},
    CheckKind{"chain_over", level, translatable("over inside a chain"), "", true},
    CheckKind{"ride_at_its_end", level, translatable("ride at its end"), "", true},
    CheckKind{"missing_files", files, translatable("missing"), "", false},
    CheckKind{"clipped_tracks", files, translatable("clipped"), "", false},
    CheckKind{"track_dc_offset", files, translatable("DC offset"), "", false},
    CheckKind{"samples_not_numbers", files, translatable("corrupt samples"), "", false},
    CheckKind{"converted_files", files, translatable("converted"), "", true},
    CheckKind{"rate_below_source", files, translatable("rate"), "", true},
    CheckKind{"open_findings", files, translatable("findings"), "", true},
    CheckKind{"main_output_bare", routing, translatable("main output"), "", true},
    CheckKind{"main_chain", routing, translatable("main chain"), "", false},
    CheckKind{"rides_bypassed", routing, translatable("rides"), "", false},
    CheckKind{"monitoring_on", routing, translatable("monitoring"), "", false},
    CheckKind{"solo_left_on", routing, translatable("solo"), "", false},
    CheckKind{"mute_left_on", routing, translatable("mute"), "", false},
    CheckKind{"no_output", routing, translatable("no output"), "", false},
    CheckKind{"cannot_run", routing, translatable("cannot run"), "", false},
    CheckKind{"key_missing", routing, translatable("sidechain sources"), "", false},
    CheckKind{"chains_out", routing, translatable("chains"), "", false},
    CheckKind{"silence_at_start", ends, translatable("silence before"), "s", false},
    CheckKind{"silence_at_end", ends, translatable("silence after"), "s", true},
    CheckKind{"tail_cut", ends, translatable("level at its end"), "dBFS", true},
};

const CheckKind& kind_of(std::string_view id) {
    return *std::find_if(std::begin(kinds), std::end(kinds), [id](const CheckKind& k) { return k.id == id; });
}

std::string joined(const std::vector<std::string>& names) {
    std::string text;
    for (const auto& n : names) text += (text.empty() ? "" : ", ") + n;
    return text;
}

std::string at(double time_s) {
    return format_figures("{}:{:05.2f}", static_cast<int>(time_s) / 60, std::fmod(time_s, 60.0));
}

/// A list of rows that should be empty.
struct Rows {
    std::vector<std::string> names;
    TrackId first = 0;
    double time_s = -1.0;
    void add(TrackId id, const std::string& text, double where = -1.0) {
        if (names.empty()) first = id, time_s = where;
        names.push_back(text);
    }
};

Check about(std::string id, const Rows& rows, const std::string& found, const std::string& none, std::string why) {
    return {std::move(id),
            rows.names.empty(),
            static_cast<double>(rows.names.size()),
            0.0,
            rows.names.empty() ? none : found + ": " + joined(rows.names),
            std::move(why),
            rows.time_s,
            rows.first};
}

float reach(const LevelSummary& s, int64_t block) {
    float most = 0.0f;
    for (int c = 0; c < s.channels; ++c) {
        const auto i = static_cast<size_t>(block * s.channels + c);
        most = std::max({most, -s.low[i], s.high[i]});
    }
    return most;
}

/// Times at which the mix begins and ends to be heard, seconds.
std::pair<double, double> sounding(const LevelSummary& s, int rate) {
    int64_t first = 0, last = s.blocks() - 1;
    while (first < s.blocks() && static_cast<double>(reach(s, first)) < silence_gain) ++first;
    while (last > first && static_cast<double>(reach(s, last)) < silence_gain) --last;
    const double block_s = static_cast<double>(LevelSummary::block_frames) / rate;
    return {static_cast<double>(first) * block_s, static_cast<double>(last + 1) * block_s};
}

void check_levels(const CheckInput& in, std::vector<Check>& checks) {
    const Measurement& mix = in.mix.measurement;
    const HandOffLimits& limits = in.limits;
    const double peak = *mix.sample_peak_dbfs;
    checks.push_back({"headroom", peak <= limits.max_peak_dbfs, peak, limits.max_peak_dbfs,
                      translate("the mix peaks at {} dBFS, at {}: {:.1f} dB of headroom, at least {:g} dB requested",
                                signed_db(peak), at(mix.peak_time_s), -peak, -limits.max_peak_dbfs),
                      translated("Mastering needs headroom for its processors."), mix.peak_time_s});
    for (const Moment& m : in.overs) {
        std::vector<std::string> names;
        TrackId most = 0;  // who makes most of it: its row is where to go
        for (const Contribution& c : m.contributions) {
            if (names.size() == 3 || c.makes_db <= 0.3 || c.id == main_output) continue;
            if (names.empty()) most = c.id;
            names.push_back(format_figures("{} ({:.1f} dB)", in.session.name_of(c.id), c.makes_db));
        }
        const double time_s = static_cast<double>(m.frame) / in.plan.sample_rate;
        checks.push_back({"over", false, m.peak_dbfs, limits.max_peak_dbfs,
                          names.empty() ? translate("{} dBFS at {}", signed_db(m.peak_dbfs), at(time_s))
                                        : translate("{} dBFS at {}, raised by {}", signed_db(m.peak_dbfs), at(time_s),
                                                    joined(names)),
                          translated("Without these tracks the peak would be lower by this much."), time_s, most});
    }
    checks.push_back(
        {"level_enough", peak >= limits.min_peak_dbfs, peak, limits.min_peak_dbfs,
         peak >= limits.min_peak_dbfs
             ? translate("the mix is not too quiet: {} dBFS", signed_db(peak))
             : translate("the mix peaks at only {:.1f} dBFS; at least {:g} is expected", peak, limits.min_peak_dbfs),
         translated("A mix far below full scale wastes resolution. Turn the main fader up."), mix.peak_time_s});
    checks.push_back({"true_peak", *mix.true_peak_dbtp <= limits.max_true_peak_dbtp, mix.true_peak_dbtp,
                      limits.max_true_peak_dbtp, translate("the true peak is {} dBTP", signed_db(*mix.true_peak_dbtp)),
                      translated("The wave between samples can exceed the highest sample and clip a converter."),
                      mix.true_peak_time_s});
    const bool clips = mix.clipped_runs > 0 || peak > 0.0;
    const double clip_s = mix.first_clipped_runs.empty()
                              ? mix.peak_time_s
                              : static_cast<double>(mix.first_clipped_runs.front().first_frame) / mix.sample_rate;
    std::string clipping = translated("the mix does not clip");
    if (mix.clipped_runs > 0)
        clipping = translate("the mix clips {}×", mix.clipped_runs);
    else if (clips)
        clipping = translate("the mix exceeds full scale and reaches {:+.1f} dBFS", peak);
    checks.push_back(
        {"mix_clips", !clips, static_cast<double>(mix.clipped_runs), 0.0, clipping,
         translated("Clipping in an exported file cannot be undone. Turn the main fader down before export."),
         clips ? clip_s : -1.0});
    checks.push_back({"mix_dc_offset", std::fabs(mix.dc_offset) <= limits.max_dc, std::fabs(mix.dc_offset),
                      limits.max_dc, translate("the mix's DC offset is {:.3f} % of full scale", 100.0 * mix.dc_offset),
                      translated("A DC offset takes headroom from one side of the wave and clicks at cuts.")});
    if (limits.min_lufs || limits.max_lufs) {
        const double loud = mix.integrated_lufs.value_or(-70.0);
        const bool low = limits.min_lufs && loud < *limits.min_lufs, high = limits.max_lufs && loud > *limits.max_lufs;
        std::string loudness = translate("the loudness of the mix is {:.1f} LUFS", loud);
        if (low)
            loudness =
                translate("the loudness of the mix is {:.1f} LUFS: quieter than the songs around it will be", loud);
        else if (high)
            loudness =
                translate("the loudness of the mix is {:.1f} LUFS: louder than the songs around it will be", loud);
        checks.push_back({"loudness", !low && !high, loud, low ? limits.min_lufs : limits.max_lufs, loudness,
                          translated("Streaming services turn loud songs down; quiet songs stay quiet.")});
    }
    const Level lost = mono_loss_db(mix);
    const double loss = lost ? -*lost : 0.0;
    checks.push_back({"mono_loss", loss <= limits.max_mono_loss_db, loss, limits.max_mono_loss_db,
                      translate("the mix loses {:.1f} dB in mono", loss),
                      translated("Phones, clubs and small radios play in mono.")});
}

void check_ends(const CheckInput& in, std::vector<Check>& checks) {
    const LevelSummary& s = in.mix.summary;
    const int rate = in.plan.sample_rate;
    const auto [from_s, to_s] = sounding(s, rate);
    const double end_s = in.plan.duration_s(), longest = in.limits.longest_silence_s,
                 silent_s = std::max(0.0, end_s - to_s);
    checks.push_back({"silence_at_start", from_s <= longest, from_s, longest,
                      translate("the mix starts to sound at {}", at(from_s)),
                      translated("Silence before the song is usually left by accident."), from_s});
    checks.push_back({"silence_at_end", silent_s <= longest, silent_s, longest,
                      translate("the mix is silent for its last {:.1f} s", silent_s),
                      translated("Silence after the song is usually left by accident."), to_s});
    // The last 10 ms.
    float most = 0.0f;
    const auto blocks = std::max<int64_t>(1, rate / 100 / LevelSummary::block_frames);
    for (int64_t b = std::max<int64_t>(0, s.blocks() - blocks); b < s.blocks(); ++b) most = std::max(most, reach(s, b));
    const Level end_level = level_from_gain(static_cast<double>(most));
    const bool cut = end_level && *end_level > in.limits.tail_dbfs;
    checks.push_back({"tail_cut", !cut, end_level, in.limits.tail_dbfs,
                      cut ? translate("the mix ends at {:.1f} dBFS: its end is cut off", *end_level)
                          : translated("the mix has faded to silence at its end"),
                      translated("A tail that is cut off sounds like a mistake and cannot be added later."),
                      cut ? end_s - 1.0 : -1.0});
}

/// What is wrong with settings and files of channels, gathered check by check.
class ChannelChecks {
  public:
    explicit ChannelChecks(const CheckInput& input) : in(input) {
        look_at_settings();
        for (const PlanTrack& t : in.plan.tracks)
            if (const Track* track = session.find(t.id)) look_at_sound(t, *track);
    }

    void tell(std::vector<Check>& checks) const {
        const auto add = [&](const char* id, const Rows& rows, const std::string& found, const std::string& none,
                             const std::string& why) { checks.push_back(about(id, rows, found, none, why)); };
        add("missing_files", lost, translated("files that cannot be used"), translated("every track's file is there"),
            translated("The mix does not contain missing files."));
        add("solo_left_on", soloed, translated("solo is on"), translated("no solo is on"),
            translated("Exports ignore solo: the exported mix differs from what you hear."));
        add("mute_left_on", muted, translated("muted"), translated("nothing is muted"),
            translated("A forgotten mute loses a part of the song."));
        add("no_output", silent, translated("not heard (fader off, or bus muted)"),
            translated("every track reaches the main output"),
            translated("A track that is on but not heard is usually a mistake."));
        add("clipped_tracks", clipped, translated("clipped in the recording"), translated("no track has clipped runs"),
            translated("Recorded clipping distorts at any level in the mix."));
        add("track_dc_offset", offset, translated("DC offset"), translated("no track has a DC offset"),
            translated("A DC offset takes headroom and clicks at cuts."));
        add("samples_not_numbers", not_finite, translated("corrupt samples (NaN, played as silence)"),
            translated("no file has corrupt samples"),
            translated("The program that wrote the file failed. Export the file again."));
        add("converted_files", converted, translated("files at another rate (converted)"),
            translated("every file has the session's rate"),
            translated("Each conversion is an extra step. Keep it only if you want it."));
        add("rate_below_source", higher, translated("recorded at a higher rate than the session's"),
            translated("no file has a higher rate than the session"),
            translated("Frequencies above half the session's rate are lost."));
        add("ride_at_its_end", limits, translated("rides at the end of the control's range"),
            translated("no ride reaches the end of the control's range"),
            translated("The control cannot go further. Let the fader or the trim do the rest."));
        add("open_findings", findings, translated("findings that are still open"),
            translated("no finding is still open"), translated("Faults found in Gather are heard in the mix too."));
    }

  private:
    void end_of_travel(TrackId id, const Rides& rides) {
        for (const Parameter parameter : parameters()) {
            const CurvePtr curve = rides.heard(parameter);
            const ParameterInfo& p = parameter.info();
            if (!curve || p.law == ControlTaper::toggle || !p.added) continue;
            for (const RidePoint& point : curve->points) {
                const bool top = point.value >= p.high - 1e-9, bottom = point.value <= p.low + 1e-9;
                if (!top && !bottom) continue;
                // A fade to nothing is meant to end at the bottom.
                if (bottom && parameter == Parameter::level && &point == &curve->points.back()) continue;
                limits.add(
                    id,
                    format_figures("{} {} {:+g} dB at {}", session.name_of(id), p.id, point.value, at(point.time_s)),
                    point.time_s);
                break;
            }
        }
    }

    void look_at_settings() {
        for (const MissingFile& m : in.missing) {
            const Track* t = session.find(m.track);
            lost.add(t ? t->id : 0, fmt::format("{} ({})", m.track, m.error.text()));
        }
        for (const auto& track : session.tracks) {
            if (track->mute) muted.add(track->id, track->name);
            if (track->solo) soloed.add(track->id, track->name);
            end_of_travel(track->id, track->rides);
        }
        for (const Bus& b : session.buses) {
            if (b.mute) muted.add(b.id, b.name);
            if (b.solo) soloed.add(b.id, b.name);
            end_of_travel(b.id, b.rides);
        }
        for (const ControlGroup& g : session.groups) {
            if (g.mute) muted.add(g.id, g.name);
            if (g.solo) soloed.add(g.id, g.name);
            end_of_travel(g.id, g.rides);
        }
        end_of_travel(main_output, session.main_rides);
    }

    void look_at_sound(const PlanTrack& t, const Track& track) {
        // Of the file where it speaks of the file; of what the chain makes of it where it speaks of the mix.
        const Material &material = before_chain(*t.material), &played = *t.material;
        const Measurement& m = material.measurement;
        if (session.is_open(track) &&
            (!in.plan.heard(t) || in.plan.parts[t.first_part].way().silent() || in.plan.main_gain == 0.0))
            silent.add(track.id, track.name);
        if (!in.plan.heard(t)) return;
        if (m.clipped_runs > 0)
            clipped.add(track.id, translate("{} (clips {}×)", track.name, m.clipped_runs),
                        m.first_clipped_runs.empty() ? -1.0
                                                     : static_cast<double>(m.first_clipped_runs.front().first_frame) /
                                                           std::max(1, material.recorded.sample_rate));
        if (const double dc = played.measurement.dc_offset; std::fabs(dc) > in.limits.max_dc)
            offset.add(track.id, format_figures("{} ({:.2f} %)", track.name, 100.0 * dc));
        if (m.non_finite_samples > 0)
            not_finite.add(track.id, fmt::format("{} ({})", track.name, m.non_finite_samples));
        const int rate = material.origin().media.source.sample_rate;
        if (rate != session.sample_rate)
            converted.add(track.id, format_figures("{} ({:g} kHz)", track.name, rate / 1000.0));
        if (rate > session.sample_rate)
            higher.add(track.id, format_figures("{} ({:g} kHz)", track.name, rate / 1000.0));
        // A rumble that a low cut takes is no finding any more.
        const std::vector<Finding> left = findings_of(played, track);
        for (const Finding& f : findings_of(material, track))
            if (f.fault && f.id != "clipped" && f.id != "dc_offset" &&
                std::any_of(left.begin(), left.end(), [&f](const Finding& l) { return l.id == f.id; }))
                findings.add(track.id, fmt::format("{}: {}", track.name, f.text), f.time_s);
    }

    const CheckInput& in;
    const Session& session = in.session;
    Rows muted, soloed, lost, clipped, offset, not_finite, silent, converted, limits, findings, higher;
};

/// What the rows' chains do over the whole song.
void check_chains(const CheckInput& in, std::vector<Check>& checks) {
    constexpr double deep_db = 10.0, long_s = 2.0;  // common practice, no source
    const Session& session = in.session;
    Rows deep, over, keyless, out, unable;
    const auto look_at = [&](TrackId row) {
        const Chain& chain = *session.chain_of(row);
        for (const Processor& p : chain)
            if (p.key != 0 && !channel_of(session, p.key).output)
                keyless.add(row, fmt::format("{} ({})", session.name_of(row), p.type));
        // The main output's has a check of its own.
        if (row != main_output && session.is_chain_out(row) && !chain.empty()) out.add(row, session.name_of(row));
    };
    for (const auto& track : session.tracks) look_at(track->id);
    for (const Bus& b : session.buses) look_at(b.id);
    look_at(main_output);
    for (const AbsentProcessor& p :
         absent_processors(session, in.plan, main_chain_export(session).mixes != MainChain::out))
        unable.add(p.channel, p.text);
    for (const PlanTrack& t : in.plan.tracks) {
        const Signal* signal = signal_of(t.material).get();
        if (!signal || !in.plan.heard(t)) continue;
        const std::string name = session.name_of(t.id);
        const Chain& chain = signal->recipe().chain;
        for (size_t n = 0; n < chain.size(); ++n) {
            if (chain[n].type == "compressor" && signal->reduced_s(n, deep_db) >= long_s) {
                const Signal::Reduction r = *signal->reduction(n);
                deep.add(t.id,
                         translate("{} (up to {:.1f} dB, {:.0f} s above {:g})", name, r.max_db,
                                   signal->reduced_s(n, deep_db), deep_db),
                         r.max_at_s);
            }
            // The last one's level is seen everywhere; what lies between the others is seen nowhere else.
            if (const Level peak = signal->peak_after_dbfs(n); peak && *peak > 0.0 && n + 1 < chain.size())
                over.add(t.id, translate("{} ({:+.1f} dBFS after {})", name, *peak, chain[n].type));
        }
    }
    const auto add = [&](const char* id, const Rows& rows, const std::string& found, const std::string& none,
                         const std::string& why) { checks.push_back(about(id, rows, found, none, why)); };
    add("deep_reduction", deep, translated("deep reduction for long"),
        translated("no compressor reduces by more than 10 dB for long"),
        translated("Reduction this deep is heard as pumping. Two gentle steps do the same."));
    add("cannot_run", unable, translated("processors that cannot run"), translated("every processor can run"),
        translated("The processor passes its input through: the export lacks its effect."));
    add("chain_over", over, translated("above full scale inside a chain"),
        translated("no chain exceeds full scale inside"),
        translated("The chain does not clip here. A saturation or a program that rebuilds the chain will."));
    add("key_missing", keyless, translated("sidechain source missing"), translated("every sidechain source exists"),
        translated("A processor without its sidechain source hears silence and does nothing."));
    if (session.chains_out) {
        Check all{"chains_out", false, 1.0, 0.0, translated("all chains are bypassed"), "", -1.0, 0};
        all.why = translated("Bypass is for comparing; the export contains none of these chains.");
        checks.push_back(std::move(all));
    } else {
        add("chains_out", out, translated("bypassed chains"), translated("no chain is bypassed"),
            translated("Bypass is for comparing; the export contains none of these chains."));
    }
}

}  // namespace

std::vector<MixPeak> overs_of(const LevelSummary& mix, int rate, double above_dbfs, size_t count) {
    std::vector<MixPeak> all, found;
    const auto above = static_cast<float>(gain_from_db(above_dbfs));
    for (int64_t b = 0; b < mix.blocks(); ++b)
        if (const float peak = reach(mix, b); peak > above) all.push_back({peak, b * LevelSummary::block_frames});
    std::stable_sort(all.begin(), all.end(), [](const MixPeak& a, const MixPeak& b) { return a.peak > b.peak; });
    for (const MixPeak& m : all) {
        if (found.size() >= count) break;
        if (std::all_of(found.begin(), found.end(),
                        [&](const MixPeak& f) { return std::abs(f.frame - m.frame) >= rate; }))
            found.push_back(m);
    }
    return found;
}

Result<std::vector<Check>> checks_of(const Session& session, const PlanPtr& plan, std::vector<MissingFile> missing) {
    const auto mix = measure_mix(plan);
    if (!mix) return tl::unexpected(mix.error());
    CheckInput input{session, *plan, *mix, std::move(missing), {}, false, {}};
    input.limits = limits_of(session.hand_off.profile, session.hand_off.own);
    auto moments = moments_of(plan, overs_of(mix->summary, plan->sample_rate, input.limits.max_peak_dbfs));
    if (!moments) return tl::unexpected(moments.error());
    input.overs = std::move(*moments);
    return check_handoff(input);
}

std::vector<Check> check_handoff(const CheckInput& in) {
    std::vector<Check> checks;
    const Session& session = in.session;
    const bool heard = in.mix.measurement.sample_peak_dbfs.has_value();
    checks.push_back({"mix_not_silent", heard, in.mix.measurement.sample_peak_dbfs, std::nullopt,
                      heard ? translated("the mix is not silent") : translated("the mix is silent from start to end"),
                      translated("The export would be silent.")});
    if (heard) {
        check_levels(in, checks);
        check_ends(in, checks);
    }
    const MainChainExport chain = main_chain_export(session);
    const bool ridden = in.plan.main.ridden(), on_main = ridden || chain.mixes != MainChain::out;
    std::string bare =
        on_main ? chain.sentence : translated("nothing but the fader of the main output changes the mix");
    if (ridden)
        bare = translated("the main output has rides: mastering engineers usually prefer to make fades themselves");
    checks.push_back({"main_output_bare", !on_main, on_main ? 1.0 : 0.0, 0.0, bare,
                      translated("Changes to the whole mix belong to mastering, unless agreed otherwise.")});
    const bool unwanted = chain.mixes == MainChain::in && session.hand_off.profile == HandOffProfile::mastering;
    checks.push_back(
        {"main_chain", !unwanted, chain.mixes != MainChain::out ? 1.0 : 0.0, std::nullopt, chain.sentence,
         translated(
             "Limiting and compression of the whole mix cannot be undone. Mastering needs the mix without them.")});
    const auto of_row = [](const auto& row) { return row.rides.any_bypassed(); };
    const bool bypassed =
        session.rides_bypassed || session.main_rides.any_bypassed() ||
        std::any_of(session.tracks.begin(), session.tracks.end(), [&](const auto& t) { return of_row(*t); }) ||
        std::any_of(session.buses.begin(), session.buses.end(), of_row) ||
        std::any_of(session.groups.begin(), session.groups.end(), of_row);
    checks.push_back({"rides_bypassed", !bypassed, bypassed ? 1.0 : 0.0, 0.0,
                      bypassed ? translated("rides are bypassed") : translated("no ride is bypassed"),
                      translated("Bypass is for comparing; the export contains none of these rides.")});
    checks.push_back({"monitoring_on", !in.monitoring_on, in.monitoring_on ? 1.0 : 0.0, 0.0,
                      in.monitoring_on ? translated("the monitoring is altered (dim, mono, a speaker check …)")
                                       : translated("you hear the mix as it is"),
                      translated("Monitoring never reaches the export: you do not hear what is exported.")});
    ChannelChecks(in).tell(checks);
    check_chains(in, checks);
    for (Check& c : checks) {
        const CheckKind& kind = kind_of(c.id);
        c.group = kind.group;
        c.name = translated(kind.name);
        c.unit = kind.unit;
        c.notice = kind.notice;
        c.at_least =
            c.measured && c.limit && (c.id == "level_enough" || (c.id == "loudness" && c.limit == in.limits.min_lufs));
    }
    return checks;
}

}  // namespace isotonus
