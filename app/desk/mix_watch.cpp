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
    busy_ = true;
    figures_.reset();
    if (searching_) {
        // While a fader moves, each search is let finish and the newest plan comes next: the figure follows the hand.
        again_ = true;
        emit changed();
        return;
    }
    if (running_) running_->cancel();
    running_ = std::make_shared<Progress>();
    searching_ = true;
    pool_.start([this, plan = player_.plan(), progress = running_, figures_too = figures_wanted_ || figures_needed_] {
        const auto found = whole_song_peak(plan, progress.get());
        std::optional<Peak> peak;
        if (found)
            peak = Peak{level_from_gain(static_cast<double>(found->peak)),
                        static_cast<double>(found->frame) / plan->sample_rate};
        QMetaObject::invokeMethod(this, [this, peak, figures_too] { peak_found(peak, figures_too); });
        if (!figures_too) return;
        const auto measured = measure_mix(plan, progress.get());
        QMetaObject::invokeMethod(this, [this, measured, progress] {
            if (progress != running_ || searching_) return;  // a newer plan is on its way
            if (measured) figures_ = *measured;
            figures_needed_ = busy_ = false;
            emit changed();
        });
    });
    emit changed();
}

void MixWatch::peak_found(const std::optional<Peak>& peak, bool figures_follow) {
    searching_ = false;
    peak_ = peak;
    busy_ = figures_follow || again_;
    if (std::exchange(again_, false))
        restart();
    else
        emit changed();
}

}  // namespace isotonus
