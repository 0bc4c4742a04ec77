#include "app/desk/workspace.h"

#include <algorithm>

namespace isotonus {

void TimeView::set_song(double song_s) {
    if (song_s == song_s_) return;
    const bool whole = from_s_ == 0.0 && to_s_ == song_s_;
    song_s_ = std::max(0.1, song_s);
    if (whole)
        show(0.0, song_s_);
    else
        show(from_s_, to_s_);
}

void TimeView::show(double from_s, double to_s) {
    const double length = std::clamp(to_s - from_s, 0.001, song_s_);
    from_s_ = std::clamp(from_s, 0.0, song_s_ - length);
    to_s_ = from_s_ + length;
    emit changed();
}

void TimeView::zoom(double factor, double around_s) {
    const double length = std::clamp((to_s_ - from_s_) / factor, 0.001, song_s_);
    const double share = (around_s - from_s_) / (to_s_ - from_s_);
    show(around_s - share * length, around_s + (1.0 - share) * length);
}

Workspace::Workspace() : materials(document), player(document, materials), mix(player) {
    connect(&player, &Player::plan_changed, this, [this] { time.set_song(song_s()); });
    connect(&materials, &Materials::changed, this, [this] { time.set_song(song_s()); });
}

double Workspace::song_s() const {
    double longest_s = 0.0;
    for (const auto& track : document.session().tracks)
        if (const Measurement* m = materials.measured(*track))
            longest_s =
                std::max(longest_s, m->duration_s() + static_cast<double>(track->delay_samples) / m->sample_rate);
    return longest_s;
}

void Workspace::stage(const std::vector<TrackId>& ids, const QString& name) {
    document.edit(name, with_staged_trims(
                            document.session(), [this](const Track& t) { return materials.measured(t); }, &ids));
}

void Workspace::stage_all() {
    std::vector<TrackId> ids;
    for (const auto& t : document.session().tracks) ids.push_back(t->id);
    stage(ids, tr("Stage all"));
}

}  // namespace isotonus
