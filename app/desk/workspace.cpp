#include "app/desk/workspace.h"

#include <algorithm>

#include "app/style/text.h"
#include "core/measure/passage.h"

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
    connect(&mix, &MixWatch::changed, this, &Workspace::take_passage);
    connect(&materials, &Materials::changed, this, [this] { time.set_song(song_s()); });
}

void Workspace::add_section(double time_s) {
    const QString given = tr("section %1").arg(document.session().sections.size() + 1);
    const auto name = prompter->ask_text(tr("New section"), tr("Its name, at %1").arg(time_text(time_s, 2)), given);
    if (!name) return;
    document.edit(tr("Section %1 at %2").arg(*name, time_text(time_s, 2)),
                  with_section(document.session(), {name->toStdString(), std::max(0.0, time_s)}));
}

void Workspace::rename_section(int section) {
    const std::string& before = document.session().sections[static_cast<size_t>(section)].name;
    const auto name = prompter->ask_text(tr("Rename the section"), tr("Its name"), QString::fromStdString(before));
    if (!name) return;
    Session next = document.session();
    next.sections[static_cast<size_t>(section)].name = name->toStdString();
    document.edit(tr("Rename section to %1").arg(*name), std::move(next));
}

void Workspace::loop_passage(Passages which) {
    passage_wanted_ = which;
    mix.need_figures();
    take_passage();
}

void Workspace::take_passage() {
    if (!passage_wanted_ || !mix.figures()) return;
    const bool widest = *passage_wanted_ == Passages::widest;
    passage_wanted_.reset();
    const auto& hops = mix.figures()->hops.weighted;
    const auto found = widest ? widest_passage(hops) : loudest_passage(hops);
    if (!found) {
        emit hint(tr("The song is too short or too quiet for that: a passage has 8 s."));
        return;
    }
    player.set_loop({true, found->from_s, found->to_s});
    player.locate(found->from_s);
    emit hint(widest ? tr("Looping the widest passage: %1 LU between its quietest and loudest 3 s.")
                           .arg(found->figure, 0, 'f', 1)
                     : tr("Looping the loudest 8 s: %1.").arg(db_text(found->figure, "LUFS")));
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
