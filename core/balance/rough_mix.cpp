#include "core/balance/rough_mix.h"

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>
#include <numeric>

#include "core/balance/mix_search.h"
#include "core/balance/song_offset.h"
#include "core/ride/curve_edit.h"
#include "core/session/channel.h"

namespace isotonus {

namespace {

// All figures by which a result is judged; docs/first_balance.md lists them with their reasons.
constexpr double another_song_db = -3.0;  ///< with more left over it is another song
constexpr size_t max_tracks = 256;        ///< more would need more windows than memory holds
constexpr double min_overlap_s = 5.0;     ///< of song and mix
constexpr double unsure = 0.3;            ///< variance against what is left over from which tracks are told as one
constexpr double absent_share = 1e-3;     ///< of what is left over: with less a track explains nothing
constexpr double min_absent_share = 1e-9;
constexpr double changed_db = -6.0;         ///< left over where a track is the loudest, from which it sounds changed;
constexpr double clean_changed_db = -15.0;  ///< in a mix of which less than that is left over:
constexpr double clean_db = -25.0;
constexpr double changed_share = 0.005;    ///< of the mix that such a track must explain
constexpr double section_change_db = 1.0;  ///< between sections, from which they are told; and the least of one
constexpr double min_section_db = 0.3;
constexpr double section_share = 0.01;  ///< of what is left over in a section that the change must explain
constexpr double processing_db = 1.0;   ///< from which the mix's own processing is told

/// Fader, pan and polarity that come nearest to two gains.
void set_gains(RoughMixTrack& track, const MixColumn& column, double left, double right, bool mono_mix) {
    track.inverted = left + right < 0.0;
    const double l = std::fabs(left), r = std::fabs(right);
    track.pan_found = column.can_be_panned && !mono_mix && l + r > 0.0;
    double pan = track.pan;
    if (track.pan_found) {
        // The right side's share of the power rises with the pan under every law.
        const double wanted = r * r / (l * l + r * r);
        const auto share = [&](double at) {
            const GainMatrix m = column.mono ? pan_mono(column.law, at) : pan_stereo(at, 1.0);
            const double a = m.left_from_left, b = column.mono ? m.right_from_left : m.right_from_right;
            return b * b / (a * a + b * b);
        };
        double low = -1.0, high = 1.0;
        for (int i = 0; i < 50; ++i) {
            pan = 0.5 * (low + high);
            (share(pan) < wanted ? low : high) = pan;
        }
        pan = std::round(pan * 1000.0) / 1000.0;
        track.pan = pan == 0.0 ? 0.0 : pan;
    }
    const GainMatrix m = !column.can_be_panned ? GainMatrix{}
                         : column.mono         ? pan_mono(column.law, pan)
                                               : pan_stereo(pan, 1.0);
    const double a = m.left_from_left, b = column.mono && column.can_be_panned ? m.right_from_left : m.right_from_right;
    track.fader_db = db_from_gain(std::sqrt((l * l + r * r) / (a * a + b * b)));
}

/// How each track fares by itself: shares, certainty, sections.
class Judge {
  public:
    Judge(const Session& session, const MixProducts& products, const rough::Search& search)
        : session_(session), products_(products), search_(search) {}

    void judge(std::vector<RoughMixTrack*>& tracks) const {
        const auto all = search_.normal(0, products_.windows());
        const double noise = std::max(search_.left_over(), 1e-12);
        const Eigen::VectorXd power = all.products.diagonal();
        const Eigen::VectorXd scale = power.cwiseSqrt().unaryExpr([](double s) { return s > 0.0 ? 1.0 / s : 0.0; });
        const Eigen::MatrixXd alikeness = scale.asDiagonal() * all.products * scale.asDiagonal();
        const auto n = alikeness.rows();
        const Eigen::MatrixXd inverse =
            (alikeness + 1e-9 * Eigen::MatrixXd::Identity(n, n)).ldlt().solve(Eigen::MatrixXd::Identity(n, n));
        const std::vector<Level> left_over = search_.left_over_of_tracks();
        for (Eigen::Index i = 0; i < n; ++i) {
            RoughMixTrack& t = *tracks[static_cast<size_t>(i)];
            const double variance = std::max(1.0, inverse(i, i));
            t.share = all.mix > 0.0 ? std::min(1.0, power[i] / variance / all.mix) : 0.0;
            t.left_over_db = left_over[static_cast<size_t>(i)];
            const double limit = search_.left_over_db() < clean_db ? clean_changed_db : changed_db;
            t.changed = t.share > changed_share && t.left_over_db && *t.left_over_db > limit;
            if (!sounds(static_cast<size_t>(i))) {
                t.how = InMix::unknown;
                continue;
            }
            t.how = InMix::found;
            if (variance * noise > unsure) {
                for (Eigen::Index j = 0; j < n; ++j)
                    if (j != i && std::fabs(alikeness(i, j)) > rough::alike)
                        t.with.push_back(tracks[static_cast<size_t>(j)]->id);
                if (!t.with.empty()) t.how = InMix::together;
            }
            if (t.with.empty() && t.share < std::max(absent_share * noise, min_absent_share)) t.how = InMix::absent;
        }
        judge_sections(tracks, all);
    }

  private:
    bool sounds(size_t track) const {
        double power = 0.0;
        for (size_t w = 0; w < products_.windows(); ++w)
            for (size_t side = 0; side < 2; ++side)
                for (size_t b = 0; b < fit_bands; ++b)
                    power += static_cast<double>(
                        products_.among(products_.cell(side, w, b))[track * (track + 1) / 2 + track]);
        return power > 0.0;
    }

    struct Part {
        std::optional<size_t> section;
        size_t first, end;
    };
    std::vector<Part> parts() const {
        std::vector<Part> found;
        const auto& at = products_.first_frames;
        const auto window_of = [&](double s) {
            return static_cast<size_t>(std::ranges::lower_bound(at, std::llround(s * session_.sample_rate)) -
                                       at.begin());
        };
        for (size_t n = 0; n < session_.sections.size(); ++n) {
            const size_t end =
                n + 1 < session_.sections.size() ? window_of(session_.sections[n + 1].start_s) : at.size();
            found.push_back({n, window_of(session_.sections[n].start_s), end});
        }
        for (size_t n = 0; session_.sections.empty() && n < 8; ++n)
            found.push_back({std::nullopt, at.size() * n / 8, at.size() * (n + 1) / 8});
        std::erase_if(found, [](const Part& p) { return p.end < p.first + 20; });
        return found;
    }

    void judge_sections(std::vector<RoughMixTrack*>& tracks, const rough::Search::Normal& all) const {
        std::vector<std::vector<double>> levels(tracks.size());
        const double windows = static_cast<double>(products_.windows());
        for (const Part& part : parts()) {
            const auto own = search_.normal(part.first, part.end);
            const double length = static_cast<double>(part.end - part.first) / windows;
            // Drawn to the whole song's levels, which a section that tells nothing keeps.
            Eigen::MatrixXd kept = own.products;
            for (Eigen::Index i = 0; i < kept.rows(); ++i)
                kept(i, i) +=
                    0.02 * length * all.products(i, i) + 0.02 * own.products(i, i) * search_.left_over() + 1e-20;
            const Eigen::VectorXd change = kept.ldlt().solve(own.with_left_over);
            for (Eigen::Index i = 0; i < change.size(); ++i) {
                RoughMixTrack& t = *tracks[static_cast<size_t>(i)];
                if (t.how != InMix::found || own.products(i, i) < 0.1 * length * all.products(i, i)) continue;
                const double db = db_from_gain(std::max(1.0 + change[i], 0.01));
                levels[static_cast<size_t>(i)].push_back(db);
                const double brings = change[i] * change[i] * own.products(i, i);
                if (part.section && std::fabs(db) >= min_section_db && brings > section_share * own.left_over)
                    t.in_sections.push_back({*part.section, std::round(db * 10.0) / 10.0});
            }
        }
        for (size_t i = 0; i < tracks.size(); ++i) {
            const auto& own = levels[i];
            if (own.size() < 2) continue;
            const double mean = std::accumulate(own.begin(), own.end(), 0.0) / static_cast<double>(own.size());
            double sum = 0.0;
            for (const double v : own) sum += (v - mean) * (v - mean);
            const auto [low, high] = std::ranges::minmax(own);
            if (high - low < section_change_db) tracks[i]->in_sections.clear();
            tracks[i]->spread_db = std::sqrt(sum / static_cast<double>(own.size() - 1));
        }
    }

    const Session& session_;
    const MixProducts& products_;
    const rough::Search& search_;
};

RoughMixProcessing processing_of(const rough::Search& search) {
    RoughMixProcessing found;
    for (size_t b = 0; b < fit_bands; ++b) {
        found.band_hz.push_back(std::sqrt(fit_band_edges_hz[b] * fit_band_edges_hz[b + 1]));
        found.band_db.push_back(db_from_gain(std::abs(search.model.bands[b])));
    }
    std::vector<double> levels = search.levels_db();
    if (levels.empty()) return found;
    std::ranges::sort(levels);
    found.usual_db = std::min(0.0, levels[levels.size() / 2]);
    found.max_db = std::min(0.0, levels[levels.size() / 100]);
    return found;
}

std::vector<std::string> remarks_of(const Material& mix, const MixProducts& products, const rough::Search& search,
                                    double begins_s, double song_s) {
    std::vector<std::string> found;
    const Measurement& m = mix.measurement;
    if (m.channels == 1) found.push_back(translate("The rough mix is mono: it gives levels but no pans."));
    if (m.clipped_runs > 0)
        found.push_back(translate("The rough mix clips {}×: the peaks of drums may be found too low.", m.clipped_runs));
    const double end_s = begins_s + static_cast<double>(mix.frames()) / mix.rate();
    if (begins_s > 1.0 || end_s < song_s - 1.0)
        found.push_back(
            translate("The rough mix covers the song from {:.1f} to {:.1f} s: the rest of the song is not in it.",
                      std::max(0.0, begins_s), std::min(song_s, end_s)));
    size_t first = 0;
    for (size_t w = 0; w <= products.windows(); ++w) {
        if (w < products.windows() && search.is_gap(w)) continue;
        const auto seconds = [&](size_t at) {
            return static_cast<double>(products.first_frames[std::min(at, products.windows() - 1)]) / mix.rate();
        };
        if (w > first && seconds(w) - seconds(first) >= 0.5)
            found.push_back(translate(
                "The rough mix is silent from {:.1f} to {:.1f} s, while the tracks play: that part is left out.",
                seconds(first), seconds(w)));
        first = w + 1;
    }
    return found;
}

}  // namespace

bool RoughMixProcessing::any() const { return !sentences().empty(); }

std::vector<std::string> RoughMixProcessing::sentences() const {
    std::vector<std::string> found;
    // A shelf: what the outer bands have in common, up to where it begins.
    const auto end_of = [&](bool high) {
        const std::vector<double> from_there = high ? std::vector<double>(band_db.rbegin(), band_db.rend()) : band_db;
        size_t count = 0;
        for (const double db : from_there) {
            if (std::fabs(db) < processing_db / 2.0 || db * from_there[0] < 0.0) break;
            ++count;
        }
        return std::pair(count, count > 0 ? from_there[0] : 0.0);
    };
    if (!band_db.empty()) {
        if (const auto [count, db] = end_of(true); std::fabs(db) >= processing_db)
            found.push_back(translate("An equaliser: highs {:+.1f} dB, from about {:.0f} Hz on.", db,
                                      band_hz[band_hz.size() - count]));
        if (const auto [count, db] = end_of(false); std::fabs(db) >= processing_db)
            found.push_back(translate("An equaliser: lows {:+.1f} dB, up to about {:.0f} Hz.", db, band_hz[count - 1]));
        for (size_t n = 1; n + 1 < band_db.size(); ++n)
            if (std::fabs(band_db[n]) >= 1.5 && std::fabs(band_db[n]) > std::fabs(band_db[n - 1]) + 0.5 &&
                std::fabs(band_db[n]) > std::fabs(band_db[n + 1]) + 0.5)
                found.push_back(translate("An equaliser: {:+.1f} dB around {:.0f} Hz.", band_db[n], band_hz[n]));
    }
    if (max_db <= -processing_db)
        found.push_back(
            usual_db <= -processing_db / 2.0
                ? translate("A compressor takes {:.1f} dB half of the time; with a limiter {:.1f} dB at most.",
                            -usual_db, -max_db)
                : translate("A limiter takes up to {:.1f} dB.", -max_db));
    return found;
}

Result<RoughMixFit> fit_rough_mix(const Session& session, const MaterialOf& material, const fs::path& mix,
                                  Progress* progress) {
    return without_exceptions(mix.string(), [&]() -> Result<RoughMixFit> {
        const std::string name = mix.string();
        const auto whole = load_material(mix, session.sample_rate, progress);
        if (!whole) return tl::unexpected(whole.error());
        if (!(*whole)->measurement.sample_peak_dbfs || *(*whole)->measurement.sample_peak_dbfs < -70.0)
            return fail(name, translated("the rough mix is silent. Choose the export of the whole song."));
        const MixColumns made = mix_columns(session, material);
        const std::vector<MixColumn>& columns = made.columns;
        if (columns.empty())
            return fail(name,
                        translated("the session has no tracks to compare with the rough mix. Add the tracks first."));
        if (columns.size() > max_tracks)
            return fail(name,
                        translate("the session has {} tracks, and at most {} can be found in a rough mix. Remove some, "
                                  "or export groups of them as one file.",
                                  columns.size(), max_tracks));
        const auto offset = song_offset(columns, **whole, progress);
        if (!offset) return tl::unexpected(offset.error());
        const auto another = [&] {
            return fail(name,
                        translated("the rough mix is of another song or another version: the tracks explain too little "
                                   "of it. Choose a mix of these files."));
        };
        if (!*offset) return another();
        AlignedMix aligned{*whole, static_cast<int64_t>(std::floor(**offset))};
        if (const double fraction = **offset - std::floor(**offset); fraction > 0.0) {
            Source later;
            later.file = mix;
            later.delay_fraction = fraction;
            const auto moved = load_material(later, session.sample_rate, progress);
            if (!moved) return tl::unexpected(moved.error());
            aligned.material = *moved;
            aligned.begins -= (*moved)->origin().lead;
        }
        const auto products = mix_products(columns, aligned, progress);
        if (!products) return tl::unexpected(products.error());
        const double covered_s =
            products->windows() > 0
                ? static_cast<double>(products->first_frames.back() - products->first_frames.front()) /
                      session.sample_rate
                : 0.0;
        if (covered_s < min_overlap_s)
            return fail(
                name, translate("the rough mix has {:.0f} s of the song, and {:.0f} s are needed. Choose a longer one.",
                                covered_s, min_overlap_s));
        rough::Search search(*products);
        if (auto done = search.run(progress); !done) return tl::unexpected(done.error());
        if (search.left_over_db() > another_song_db) return another();

        RoughMixFit found;
        found.begins_s = **offset / session.sample_rate;
        found.left_over_db = search.left_over_db();
        found.processing = processing_of(search);
        std::vector<RoughMixTrack> tracks;
        for (const MixColumn& c : columns) {
            RoughMixTrack t;
            t.id = c.id;
            t.pan = session.find(c.id)->pan;
            const auto i = static_cast<Eigen::Index>(tracks.size());
            set_gains(t, c, search.model.gains[0][i], search.model.gains[1][i], (*whole)->measurement.channels == 1);
            tracks.push_back(std::move(t));
        }
        std::vector<RoughMixTrack*> each;
        for (RoughMixTrack& t : tracks) each.push_back(&t);
        Judge(session, *products, search).judge(each);
        double highest = 0.0;
        for (RoughMixTrack& t : tracks) {
            if (t.how == InMix::absent) t.fader_db = silence_db, t.pan = session.find(t.id)->pan, t.inverted = false;
            if (t.how == InMix::unknown) t.fader_db = session.find(t.id)->fader_db, t.inverted = false;
            if (t.how == InMix::found || t.how == InMix::together) highest = std::max(highest, t.fader_db);
        }
        for (const auto& track : session.tracks) {
            const auto at = std::ranges::find(tracks, track->id, &RoughMixTrack::id);
            RoughMixTrack unknown;
            unknown.id = track->id;
            unknown.fader_db = track->fader_db;
            unknown.pan = track->pan;
            found.tracks.push_back(at == tracks.end() ? unknown : *at);
        }
        found.remarks = remarks_of(**whole, *products, search, found.begins_s, made.plan->duration_s());
        if (highest > fader_max_db) {
            const double by = found.lowered_db = highest - fader_max_db;
            for (RoughMixTrack& t : found.tracks)
                if (t.how == InMix::found || t.how == InMix::together) t.fader_db -= by;
            found.remarks.push_back(
                translate("All faders are {:.1f} dB lower than in the rough mix, since none goes above +12 dB.", by));
        }
        if (progress) progress->report(1.0);
        return found;
    });
}

Session with_found(const Session& session, const RoughMixTrack& found) {
    if (found.how == InMix::unknown) return session;
    return with_track(session, found.id, [&](Track& t) {
        t.fader_db = found.fader_db < fader_floor_db ? silence_db : found.fader_db;
        if (found.pan_found && found.how != InMix::absent) t.pan = found.pan;
        if (found.inverted) t.polarity_inverted = !t.polarity_inverted;
    });
}

std::string sentence_of(const Session& session, const RoughMixTrack& found) {
    switch (found.how) {
        case InMix::unknown:
            return translated(
                "The track is silent in the part of the song that the rough mix covers: it stays as it is.");
        case InMix::absent:
            return translated("The rough mix does not contain this track: its fader goes all the way down.");
        case InMix::together: {
            std::string others;
            for (const TrackId id : found.with) others += (others.empty() ? "" : ", ") + session.name_of(id);
            return translate(
                "Found only as a sum with {}: the tracks are too alike to be told apart, and are kept at one level.",
                others);
        }
        case InMix::found:
            break;
    }
    std::string text =
        translate("The track alone explains {:.1f} % of the mix; its level stays within {:.1f} dB over the song.",
                  100.0 * found.share, found.spread_db);
    const auto add = [&text](const std::string& sentence) {
        text += ' ';
        text += sentence;
    };
    for (const SectionLevel& s : found.in_sections) {
        const std::string& section = session.sections[s.section].name;
        add(s.by_db > 0.0 ? translate("The track is louder by {:.1f} dB in {}.", s.by_db, section)
                          : translate("The track is softer by {:.1f} dB in {}.", -s.by_db, section));
    }
    if (found.changed) add(translated("The track sounds different in the mix: an effect or an equaliser was on it."));
    return text;
}

Session with_found_sections(const Session& session, const RoughMixTrack& found) {
    const double end_s = 1e6;
    Curve curve;
    if (const Track* t = session.find(found.id))
        if (const CurvePtr ride = t->rides[Parameter::level]) curve = *ride;
    for (const SectionLevel& s : found.in_sections) {
        const auto n = static_cast<int>(s.section);
        const Span span{session.sections[s.section].start_s, section_end_s(session, n, end_s)};
        curve = raised(curve, span, s.by_db, 0.05, info_of(Parameter::level));
    }
    if (found.in_sections.empty()) return session;
    return with_rides(session, found.id, [&](Rides& rides) {
        rides.set(Parameter::level, std::make_shared<const Curve>(std::move(curve)));
    });
}

}  // namespace isotonus
