// The search for the gains of tracks, bands and windows that explain a mix best; rough_mix.cpp makes faders of them.
#pragma once

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>

#include "core/balance/mix_products.h"

namespace isotonus::rough {

using Complex = std::complex<double>;

// All figures that the search aims at; docs/first_balance.md lists them with their reasons.
inline constexpr double exact_db = -45.0;  ///< with less left over the mix has no processing of its own
inline constexpr int max_rounds = 40;
inline constexpr double settled = 1e-4;       ///< change of the gains in a round, against all of them
inline constexpr double alike = 0.9;          ///< correlation from which two tracks are kept level
inline constexpr double alike_weight = 0.5;   ///< of what is left over: how strongly
inline constexpr double ridge = 0.02;         ///< of what is left over: how strongly a gain is drawn to none
inline constexpr int untouched_share = 98;    ///< percentile of the gains over time that is taken for no processing
inline constexpr double quiet_window = 0.03;  ///< of the mean power of a band: quieter windows count no more than that

struct Model {
    std::array<Eigen::VectorXd, 2> gains;  ///< of left and right
    std::vector<Complex> bands;            ///< common to all tracks
    std::vector<double> over_time;         ///< of each window
};

/// The search: the gains of tracks, of bands and of windows in turn, each by least squares.
class Search {
  public:
    explicit Search(const MixProducts& products)
        : p_(products),
          n_(static_cast<Eigen::Index>(products.tracks)),
          trust_(products.windows() * fit_bands, 1.0),
          fits_(trust_.size(), 1.0),
          with_mix_(2 * products.windows() * fit_bands),
          modelled_(with_mix_.size()) {
        for (auto& g : model.gains) g.setZero(n_);
        model.bands.assign(fit_bands, 1.0);
        model.over_time.assign(p_.windows(), 1.0);
        each_cell([&](size_t side, size_t w, size_t b) { band_power_[b] += p_.of_mix(p_.cell(side, w, b)); });
        weigh(false);
    }

    Model model;

    Result<void> run(Progress* progress) {
        solve_gains();
        measure();
        if (left_over_db() < exact_db) return {};
        for (int round = 0; round < max_rounds; ++round) {
            if (progress && progress->cancelled()) return stopped();
            if (progress) progress->report(0.7 + 0.3 * round / max_rounds);
            const auto before = model.gains;
            follow_bands();
            follow_time();
            weigh(true);
            solve_gains();
            measure();
            double change = 0.0, size = 0.0;
            for (size_t s = 0; s < 2; ++s)
                change += (model.gains[s] - before[s]).squaredNorm(), size += model.gains[s].squaredNorm();
            if (change < settled * settled * size) break;
        }
        return {};
    }

    double left_over_db() const { return db_from_power(std::max(left_over_ / all_, 1e-12)); }
    double left_over() const { return left_over_ / all_; }

    /// The weighted normal equations of some windows for both sides together, in changes against the gains: what each
    /// track explains by itself follows from them.
    struct Normal {
        Eigen::MatrixXd products;
        Eigen::VectorXd with_left_over;
        double mix = 0.0, left_over = 0.0;
    };
    Normal normal(size_t first, size_t end) const {
        Normal sum;
        sum.products.setZero(n_, n_);
        sum.with_left_over.setZero(n_);
        for (size_t side = 0; side < 2; ++side) {
            const auto [a, r] = equations(side, first, end);
            const Eigen::VectorXd& g = model.gains[side];
            sum.products += g.asDiagonal() * a * g.asDiagonal();
            sum.with_left_over += g.cwiseProduct(r - a * g);
        }
        for (size_t w = first; w < end; ++w)
            for (size_t b = 0; b < fit_bands; ++b) {
                sum.mix += weight(w, b) * (p_.of_mix(p_.cell(0, w, b)) + p_.of_mix(p_.cell(1, w, b)));
                sum.left_over += weight(w, b) * left_over_of(w, b);
            }
        return sum;
    }

    /// Where a track makes most of what was found: what is left over there, against it.
    std::vector<Level> left_over_of_tracks() const {
        std::vector<double> own(p_.tracks), rest(p_.tracks);
        std::vector<double> power(p_.tracks);
        for (size_t w = 0; w < p_.windows(); ++w)
            for (size_t b = 0; b < fit_bands; ++b) {
                std::ranges::fill(power, 0.0);
                double sum = 0.0;
                for (size_t side = 0; side < 2; ++side) {
                    const float* g = p_.among(p_.cell(side, w, b));
                    for (size_t t = 0; t < p_.tracks; g += ++t) {
                        const double gain = model.gains[side][static_cast<Eigen::Index>(t)];
                        power[t] += gain * gain * static_cast<double>(g[t]);
                    }
                }
                for (const double v : power) sum += v;
                const auto most = std::max_element(power.begin(), power.end());
                if (sum <= 0.0 || *most < 0.8 * sum) continue;
                const auto t = static_cast<size_t>(most - power.begin());
                own[t] += weight(w, b) * (p_.of_mix(p_.cell(0, w, b)) + p_.of_mix(p_.cell(1, w, b)));
                rest[t] += weight(w, b) * left_over_of(w, b);
            }
        std::vector<Level> found;
        for (size_t t = 0; t < p_.tracks; ++t)
            found.push_back(own[t] > 0.0 ? Level(db_from_power(std::max(rest[t] / own[t], 1e-12))) : std::nullopt);
        return found;
    }

    /// Level over time in dB, of the windows in which there is something.
    std::vector<double> levels_db() const {
        const double usual = usual_modelled();
        std::vector<double> found;
        for (size_t w = 0; w < p_.windows(); ++w)
            if (modelled_in(w) > quiet_window * usual) found.push_back(db_from_gain(model.over_time[w]));
        return found;
    }

    /// Windows in which the song plays and the mix has nothing.
    bool is_gap(size_t w) const {
        double mix = 0.0;
        for (size_t b = 0; b < fit_bands; ++b)
            mix += (p_.of_mix(p_.cell(0, w, b)) + p_.of_mix(p_.cell(1, w, b))) / band_power_[b];
        return mix < 1e-6 * static_cast<double>(fit_bands) / static_cast<double>(p_.windows()) &&
               modelled_in(w) > quiet_window * usual_modelled();
    }

  private:
    template <class Use>
    void each_cell(Use use) const {
        for (size_t side = 0; side < 2; ++side)
            for (size_t w = 0; w < p_.windows(); ++w)
                for (size_t b = 0; b < fit_bands; ++b) use(side, w, b);
    }

    double weight(size_t w, size_t b) const { return trust_[w * fit_bands + b] / band_power_[b]; }

    std::pair<Eigen::MatrixXd, Eigen::VectorXd> equations(size_t side, size_t first, size_t end) const {
        // Parts of the song in parallel, summed up in their order: the same bits with any number of threads.
        constexpr size_t part_windows = 128;
        const size_t parts = (end - first + part_windows - 1) / part_windows;
        std::vector<Eigen::VectorXd> among(parts), with(parts);
        parallel_for(static_cast<int64_t>(parts), worker_count(), [&](int64_t part) {
            Eigen::VectorXf a = Eigen::VectorXf::Zero(static_cast<Eigen::Index>(p_.triangle()));
            Eigen::VectorXd whole = Eigen::VectorXd::Zero(a.size()), r = Eigen::VectorXd::Zero(n_);
            const size_t from = first + static_cast<size_t>(part) * part_windows,
                         to = std::min(end, from + part_windows);
            for (size_t w = from; w < to; ++w) {
                a.setZero();
                for (size_t b = 0; b < fit_bands; ++b) {
                    const double c = model.over_time[w], k = weight(w, b);
                    const size_t cell = p_.cell(side, w, b);
                    a += static_cast<float>(k * c * c * std::norm(model.bands[b])) *
                         Eigen::Map<const Eigen::VectorXf>(p_.among(cell), a.size());
                    const std::complex<float>* y = p_.with_mix(cell);
                    for (Eigen::Index t = 0; t < n_; ++t)
                        r[t] += k * c * (std::conj(model.bands[b]) * Complex(y[t])).real();
                }
                whole += a.cast<double>();
            }
            among[static_cast<size_t>(part)] = std::move(whole);
            with[static_cast<size_t>(part)] = std::move(r);
        });
        Eigen::MatrixXd a = Eigen::MatrixXd::Zero(n_, n_);
        Eigen::VectorXd r = Eigen::VectorXd::Zero(n_);
        for (size_t part = 0; part < parts; ++part) {
            const double* v = among[part].data();
            for (Eigen::Index i = 0; i < n_; ++i)
                for (Eigen::Index j = 0; j <= i; ++j) a(i, j) += *v++;
            r += with[part];
        }
        a.triangularView<Eigen::StrictlyUpper>() = a.transpose();
        return {std::move(a), std::move(r)};
    }

    void solve_gains() {
        const double noise = std::max(left_over_known_ ? left_over() : 0.0, 1e-12);
        for (size_t side = 0; side < 2; ++side) {
            auto [a, r] = equations(side, 0, p_.windows());
            // Each column at the same size, so that what regularises is alike for loud and quiet tracks.
            const Eigen::VectorXd size = a.diagonal().cwiseSqrt();
            const Eigen::VectorXd scale = size.unaryExpr([](double s) { return s > 0.0 ? 1.0 / s : 0.0; });
            a = scale.asDiagonal() * a * scale.asDiagonal();
            Eigen::MatrixXd kept = a;
            for (Eigen::Index i = 0; i < n_; ++i) {
                kept(i, i) += scale[i] > 0.0 ? 1e-9 + ridge * noise : 1.0;
                for (Eigen::Index j = 0; j < i; ++j) {
                    if (std::fabs(a(i, j)) < alike) continue;
                    const double pull = alike_weight * noise, sign = a(i, j) > 0.0 ? 1.0 : -1.0;
                    kept(i, i) += pull, kept(j, j) += pull;
                    kept(i, j) -= sign * pull, kept(j, i) -= sign * pull;
                }
            }
            model.gains[side] = scale.asDiagonal() * kept.ldlt().solve(scale.cwiseProduct(r)).eval();
        }
    }

    /// What the gains make of each cell, and what of it is in the mix.
    void measure() {
        parallel_for(static_cast<int64_t>(p_.windows()), worker_count(), [&](int64_t window) {
            const auto w = static_cast<size_t>(window);
            for (size_t side = 0; side < 2; ++side) {
                const Eigen::VectorXf g = model.gains[side].cast<float>();
                for (size_t b = 0; b < fit_bands; ++b) {
                    const size_t cell = p_.cell(side, w, b);
                    Complex with = 0.0;
                    double power = 0.0;
                    const float* among = p_.among(cell);
                    const std::complex<float>* y = p_.with_mix(cell);
                    for (Eigen::Index i = 0; i < n_; ++i, among += i) {
                        const double own = model.gains[side][i];
                        with += own * Complex(y[i]);
                        const float others = Eigen::Map<const Eigen::VectorXf>(among, i).dot(g.head(i));
                        power += own * (2.0 * static_cast<double>(others) + own * static_cast<double>(among[i]));
                    }
                    with_mix_[cell] = with;
                    modelled_[cell] = std::max(0.0, power);
                }
            }
        });
        left_over_ = all_ = 0.0;
        for (size_t w = 0; w < p_.windows(); ++w)
            for (size_t b = 0; b < fit_bands; ++b) {
                left_over_ += weight(w, b) * left_over_of(w, b);
                all_ += weight(w, b) * (p_.of_mix(p_.cell(0, w, b)) + p_.of_mix(p_.cell(1, w, b)));
            }
        left_over_known_ = true;
    }

    double left_over_of(size_t w, size_t b) const {
        double sum = 0.0;
        for (size_t side = 0; side < 2; ++side) {
            const size_t cell = p_.cell(side, w, b);
            const double c = model.over_time[w];
            sum += static_cast<double>(p_.of_mix(cell)) -
                   2.0 * c * (std::conj(model.bands[b]) * with_mix_[cell]).real() +
                   c * c * std::norm(model.bands[b]) * modelled_[cell];
        }
        return std::max(0.0, sum);
    }

    void follow_bands() {
        std::array<Complex, fit_bands> with{};
        std::array<double, fit_bands> power{};
        each_cell([&](size_t side, size_t w, size_t b) {
            const size_t cell = p_.cell(side, w, b);
            // Loud windows tell most of an equaliser: a lossy file leaves out what is quiet.
            const double c = model.over_time[w], k = fits_[w * fit_bands + b];
            with[b] += k * c * with_mix_[cell];
            power[b] += k * c * c * modelled_[cell];
        });
        std::vector<double> sizes;
        for (size_t b = 0; b < fit_bands; ++b) {
            model.bands[b] = power[b] > 0.0 ? with[b] / power[b] : Complex(1.0);
            sizes.push_back(std::abs(model.bands[b]));
        }
        std::ranges::nth_element(sizes, sizes.begin() + fit_bands / 2);
        const double middle = sizes[fit_bands / 2];
        if (middle > 0.0)
            for (Complex& b : model.bands) b /= middle;
    }

    void follow_time() {
        std::vector<double> sorted;
        const double usual = usual_modelled();
        for (size_t w = 0; w < p_.windows(); ++w) {
            double with = 0.0, power = 0.0;
            for (size_t side = 0; side < 2; ++side)
                for (size_t b = 0; b < fit_bands; ++b) {
                    const size_t cell = p_.cell(side, w, b);
                    with += (std::conj(model.bands[b]) * with_mix_[cell]).real() / band_power_[b];
                    power += std::norm(model.bands[b]) * modelled_[cell] / band_power_[b];
                }
            model.over_time[w] = power > 1e-12 * usual ? std::clamp(with / power, 0.05, 4.0) : 1.0;
            if (power > quiet_window * usual) sorted.push_back(model.over_time[w]);
        }
        if (sorted.empty()) return;
        // Processing takes level away: what it leaves alone is how loud the mix is without it.
        const auto untouched = sorted.begin() + std::ssize(sorted) * untouched_share / 100;
        std::ranges::nth_element(sorted, untouched);
        for (double& c : model.over_time) c /= *untouched;
    }

    /// Loud windows count no more than quiet ones, and what the model does not explain counts less and less.
    void weigh(bool robust) {
        std::vector<double> apart(trust_.size());
        const double mean = 1.0 / static_cast<double>(std::max<size_t>(1, p_.windows()));
        for (size_t w = 0; w < p_.windows(); ++w)
            for (size_t b = 0; b < fit_bands; ++b) {
                const double power = p_.of_mix(p_.cell(0, w, b)) + p_.of_mix(p_.cell(1, w, b));
                const double share = std::max(power, quiet_window * mean * band_power_[b]);
                trust_[w * fit_bands + b] = mean * band_power_[b] / share;
                if (robust) apart[w * fit_bands + b] = left_over_of(w, b) / share;
            }
        if (!robust) return;
        std::vector<double> sorted = apart;
        const auto middle = sorted.begin() + std::ssize(sorted) / 2;
        std::ranges::nth_element(sorted, middle);
        for (size_t i = 0; i < trust_.size(); ++i) {
            fits_[i] = 1.0 / (1.0 + apart[i] / (3.0 * *middle + 1e-9));
            trust_[i] *= fits_[i];
        }
    }

    double modelled_in(size_t w) const {
        double power = 0.0;
        for (size_t side = 0; side < 2; ++side)
            for (size_t b = 0; b < fit_bands; ++b) power += modelled_[p_.cell(side, w, b)] / band_power_[b];
        return power;
    }
    double usual_modelled() const {
        std::vector<double> all;
        for (size_t w = 0; w < p_.windows(); ++w) all.push_back(modelled_in(w));
        if (all.empty()) return 0.0;
        const auto middle = all.begin() + std::ssize(all) / 2;
        std::ranges::nth_element(all, middle);
        return *middle;
    }

    const MixProducts& p_;
    const Eigen::Index n_;
    std::array<double, fit_bands> band_power_ = [] {
        std::array<double, fit_bands> start{};
        start.fill(1e-20);
        return start;
    }();
    std::vector<double> trust_;      ///< of each cell of both sides, [window * bands + band]
    std::vector<double> fits_;       ///< the part of it that says how well the model explains the cell
    std::vector<Complex> with_mix_;  ///< [cell]
    std::vector<double> modelled_;   ///< power of what the gains make, [cell]
    double left_over_ = 0.0, all_ = 1.0;
    bool left_over_known_ = false;
};

}  // namespace isotonus::rough
