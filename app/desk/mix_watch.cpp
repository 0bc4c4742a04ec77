#include "app/desk/mix_watch.h"

namespace isotonus {

MixWatch::MixWatch(Player& player, QObject* parent) : QObject(parent), player_(player) {
    pool_.setMaxThreadCount(1);
    connect(&player_, &Player::plan_changed, this, &MixWatch::restart);
}

MixWatch::~MixWatch() {
    if (running_) running_->cancel();
    pool_.waitForDone();
}

void MixWatch::want_figures(bool wanted) {
    if (wanted == figures_wanted_) return;
    figures_wanted_ = wanted;
    if (wanted && !figures_) restart();
}

void MixWatch::need_figures() {
    figures_needed_ = true;
    if (!figures_) restart();
}

void MixWatch::restart() {
    if (running_) running_->cancel();
    pool_.clear();
    running_ = std::make_shared<Progress>();
    busy_ = true;
    figures_.reset();
    pool_.start([this, plan = player_.plan(), progress = running_, figures_too = figures_wanted_ || figures_needed_] {
        const auto found = whole_song_peak(plan, progress.get());
        if (progress->cancelled()) return;
        std::optional<Peak> peak;
        if (found)
            peak = Peak{level_from_gain(static_cast<double>(found->peak)),
                        static_cast<double>(found->frame) / plan->sample_rate};
        QMetaObject::invokeMethod(this, [this, peak, progress, figures_too] {
            if (progress != running_) return;
            peak_ = peak;
            busy_ = figures_too;
            emit changed();
        });
        if (!figures_too) return;
        const auto measured = measure_mix(plan, progress.get());
        if (progress->cancelled()) return;
        QMetaObject::invokeMethod(this, [this, measured, progress] {
            if (progress != running_) return;
            if (measured) figures_ = *measured;
            figures_needed_ = false;
            busy_ = false;
            emit changed();
        });
    });
    emit changed();
}

}  // namespace isotonus
