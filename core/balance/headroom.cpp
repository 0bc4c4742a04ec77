#include "core/balance/headroom.h"

#include <algorithm>
#include <cmath>

#include "core/session/channel.h"
#include "core/session/routing.h"

namespace isotonus {

namespace {

constexpr double fine_db = 0.05;

/// What can be turned down by itself: tracks, and buses with a chain in place of their members; the main output alone
/// where it has a chain, since what comes out of that does not fall as rows do.
std::vector<TrackId> heard_rows(const RenderPlan& plan) {
    std::vector<TrackId> ids;
    for (const PlanTrack& t : plan.tracks)
        if (plan.heard(t) && !plan.parts[t.first_part].through_chain) ids.push_back(t.id);
    return ids;
}

double fader_of(const Session& session, TrackId row) { return *channel_of(session, row).fader_db; }

/// One kind of proposal: these tracks, down by the least that reaches the target.
struct ProposalSearch {
    const Session& session;
    const MaterialOf& material;
    double target_dbfs;
    MixPeaks& peaks;
    Progress* progress;
    size_t heard;

    Proposal proposal_of(Remake way, const std::vector<TrackId>& ids, double by_db) const {
        Proposal p;
        p.way = way;
        p.by_db = by_db;
        for (const TrackId id : ids) {
            const double to = fader_of(session, id) - by_db;
            p.faders.emplace_back(id, to < fader_floor_db ? silence_db : to);
        }
        p.balance_change_db = ids.size() < heard ? by_db : 0.0;
        return p;
    }

    Result<Level> peak_with(const Proposal& p) const {
        const auto found = peaks.find(compile_plan(with_proposal(session, p), material, Solo::left_out), progress);
        if (!found) return tl::unexpected(found.error());
        return level_from_gain(static_cast<double>(found->peak));
    }

    /// Sets p.peak_dbfs and p.reaches.
    Result<Proposal> tried(Proposal p) const {
        const auto peak = peak_with(p);
        if (!peak) return tl::unexpected(peak.error());
        p.peak_dbfs = *peak;
        p.reaches = !*peak || **peak <= target_dbfs + 1e-9;
        return p;
    }

    Result<Proposal> least(Remake way, const std::vector<TrackId>& ids, double min_db, double max_db) const {
        auto best = tried(proposal_of(way, ids, max_db));
        if (!best || !best->reaches) return best;
        double low = min_db, high = max_db;
        while (high - low > fine_db) {
            const double middle = (low + high) / 2.0;
            auto now = tried(proposal_of(way, ids, middle));
            if (!now) return now;
            if (now->reaches)
                best = now, high = middle;
            else
                low = middle;
        }
        return best;
    }
};

}  // namespace

Session with_proposal(const Session& session, const Proposal& proposal) {
    Session next = session;
    for (const auto& [id, fader_db] : proposal.faders)
        next = with_channel(next, id, [db = fader_db](const ChannelEdit& c) { *c.fader_db = db; });
    return next;
}

Result<std::vector<Moment>> moments_of(const PlanPtr& plan, const std::vector<MixPeak>& peaks) {
    auto reader = PlanReader::open(plan, true);
    if (!reader) return tl::unexpected(reader.error());
    Renderer renderer(plan);
    std::vector<Moment> moments;
    for (const MixPeak& peak : peaks) {
        const int64_t frames = std::clamp<int64_t>(plan->frames - peak.frame, 1, LevelSummary::block_frames);
        const auto inputs = reader->read(peak.frame, frames);
        if (!inputs) return tl::unexpected(inputs.error());
        std::array<float, 2 * LevelSummary::block_frames> out{};
        renderer.process(peak.frame, frames, *inputs, out.data());
        const auto highest = std::max_element(out.begin(), out.begin() + 2 * frames,
                                              [](float a, float b) { return std::fabs(a) < std::fabs(b); });
        const auto at = static_cast<size_t>(highest - out.begin()) / 2;
        Moment m;
        m.frame = peak.frame + static_cast<int64_t>(at);
        m.right = (highest - out.begin()) % 2 == 1;
        const double sum = static_cast<double>(*highest);
        m.peak_dbfs = db_from_gain(std::fabs(sum));
        for (const PlanTrack& t : plan->tracks) {
            std::optional<double> here;
            for (size_t i = t.first_part; i < t.first_part + t.part_count; ++i) {
                const PlanPart& p = plan->parts[i];
                if (!(*inputs)[i] || !p.heard() || p.through_chain) continue;
                const float* in = (*inputs)[i] + at * static_cast<size_t>(p.channels);
                const double l = static_cast<double>(in[0]), r = p.channels == 2 ? static_cast<double>(in[1]) : 0.0;
                const GainMatrix g = p.to_main_at(static_cast<double>(m.frame) / plan->sample_rate);
                here = here.value_or(0.0) + (m.right ? g.right(l, r) : g.left(l, r)) * plan->main_gain;
            }
            if (here) m.contributions.push_back({t.id, {}, *here});
        }
        for (Contribution& c : m.contributions) {  // so far its sample; now what it makes
            const double here = c.makes_db;
            c.alone_dbfs = level_from_gain(std::fabs(here));
            c.makes_db = m.peak_dbfs - db_from_gain(std::max(1e-6, std::fabs(sum - here)));
        }
        std::stable_sort(m.contributions.begin(), m.contributions.end(),
                         [](const Contribution& a, const Contribution& b) { return a.makes_db > b.makes_db; });
        moments.push_back(std::move(m));
    }
    return moments;
}

Result<HeadroomPlan> headroom_plan(const Session& session, const MaterialOf& material, double target_dbfs,
                                   MixPeaks& peaks, Progress* progress) {
    const PlanPtr plan = compile_plan(session, material, Solo::left_out);
    if (auto settled = peaks.settle(plan, progress); !settled) return tl::unexpected(settled.error());
    HeadroomPlan out;
    out.target_dbfs = target_dbfs;
    auto worst = moments_of(plan, peaks.worst_moments(5, plan->sample_rate));
    if (!worst) return tl::unexpected(worst.error());
    out.worst = std::move(*worst);
    if (out.worst.empty()) return out;
    const double peak = out.worst.front().peak_dbfs;
    out.peak_dbfs = peak;
    if (peak <= target_dbfs) return out;

    const std::vector<TrackId> heard = heard_rows(*plan);
    const ProposalSearch search{session, material, target_dbfs, peaks, progress, heard.size()};
    // What does not reach the target, or changes the balance by more than this, is not proposed; common practice.
    constexpr double modest_db = 6.0;
    const auto propose = [&out](Proposal p) {
        if (p.reaches) out.proposals.push_back(std::move(p));
    };
    // A hair more than the difference: decibels have more digits than samples.
    auto all = search.tried(search.proposal_of(Remake::all_down, heard, peak - target_dbfs + 1e-4));
    if (!all) return tl::unexpected(all.error());
    propose(std::move(*all));

    std::vector<std::pair<double, TrackId>> makers;  // summed over the moments that lie above the target
    for (const TrackId id : heard) {
        double makes = 0.0;
        for (const Moment& m : out.worst)
            for (const Contribution& c : m.contributions)
                if (c.id == id && m.peak_dbfs > target_dbfs) makes += std::max(0.0, c.makes_db);
        makers.emplace_back(makes, id);
    }
    std::stable_sort(makers.begin(), makers.end(), [](const auto& a, const auto& b) { return a.first > b.first; });
    std::optional<Proposal> largest;
    std::vector<TrackId> few;
    const size_t most = std::min<size_t>(6, makers.size());
    for (size_t k = 0; k < most; ++k) {
        few.push_back(makers[k].second);
        auto found = search.least(Remake::largest, few, 0.0, modest_db);
        if (!found) return tl::unexpected(found.error());
        largest = std::move(*found);
        if (largest->reaches) break;
    }
    if (largest) propose(std::move(*largest));

    std::vector<TrackId> others;
    for (const TrackId id : heard)
        if (const Track* t = session.find(id); !t || !t->anchor) others.push_back(id);
    if (others.size() < heard.size() && !others.empty()) {
        auto found = search.least(Remake::not_anchors, others, 0.0, modest_db);
        if (!found) return tl::unexpected(found.error());
        propose(std::move(*found));
    }
    return out;
}

}  // namespace isotonus
