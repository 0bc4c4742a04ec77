#include "core/balance/mono_loss.h"

#include <algorithm>
#include <cmath>

namespace isotonus {

namespace {

struct Powers {
    double left = 0.0, right = 0.0, product = 0.0;
};

Powers powers_of(const Measurement& m) {
    const auto power = [](const Level& dbfs) { return dbfs ? std::pow(10.0, (*dbfs - aes17_db) / 10.0) : 0.0; };
    if (m.channels == 1) {
        const double p = power(m.rms_dbfs);
        return {p, p, p};
    }
    const double l = power(m.left_dbfs), r = power(m.right_dbfs);
    return {l, r, m.correlation.value_or(0.0) * std::sqrt(l * r)};
}

}  // namespace

double mono_loss_db(double left, double right, double product) {
    return db_from_power(std::max(0.0, (left + right + 2.0 * product) / (2.0 * (left + right))));
}

Level mono_loss_db(const Measurement& m) {
    if (!m.rms_dbfs) return std::nullopt;
    const Powers p = powers_of(m);
    return mono_loss_db(p.left, p.right, p.product);
}

std::vector<MonoLoss> mono_losses(const RenderPlan& plan) {
    std::vector<MonoLoss> losses;
    for (const PlanTrack& t : plan.tracks) {
        // A low end that is kept in the centre loses nothing: what counts is where the rest of the track stands.
        const PlanPart& part = plan.parts[t.first_part];
        if (!part.heard() || part.to_main.silent() || !t.material->measurement.rms_dbfs) continue;
        const Powers p = powers_of(t.material->measurement);
        Powers sum;
        const auto add = [&](const GainMatrix& g, double weight) {
            const double ll = g.left_from_left, lr = g.left_from_right, rl = g.right_from_left, rr = g.right_from_right;
            sum.left += weight * (ll * ll * p.left + lr * lr * p.right + 2.0 * ll * lr * p.product);
            sum.right += weight * (rl * rl * p.left + rr * rr * p.right + 2.0 * rl * rr * p.product);
            sum.product += weight * (ll * rl * p.left + lr * rr * p.right + (ll * rr + lr * rl) * p.product);
        };
        if (part.any_ride_to_main()) {
            constexpr double hop_s = 0.1;
            const auto& hops = t.material->hops.unweighted;
            const double shift_s = static_cast<double>(part.delay_samples) / plan.sample_rate;
            for (size_t h = 0; h < hops.size(); ++h)
                add(part.to_main_at(shift_s + (static_cast<double>(h) + 0.5) * hop_s), hops[h]);
        } else {
            add(part.to_main, 1.0);
        }
        losses.push_back({t.id, mono_loss_db(sum.left, sum.right, sum.product)});
    }
    std::stable_sort(losses.begin(), losses.end(),
                     [](const MonoLoss& a, const MonoLoss& b) { return a.loss_db < b.loss_db; });
    return losses;
}

}  // namespace isotonus
