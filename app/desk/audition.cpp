#include "app/desk/audition.h"

#include "app/desk/workspace.h"
#include "app/style/text.h"
#include "core/measure/passage.h"

namespace isotonus {

Audition::Audition(Workspace& work) : work_(work) {
    connect(&work.mix, &MixWatch::changed, this, &Audition::take_passage);
}

void Audition::hear(TrackId id, double time_s) {
    const Track* t = work_.document.track(id);
    if (!t) return;
    constexpr double before_s = 0.5;
    work_.player.hear_track(id, std::max(0.0, time_s + work_.document.shift_s(*t) - before_s));
    emit work_.view.hint(tr("%1 alone, from %2. Space stops; then the mix is heard again.")
                             .arg(QString::fromStdString(t->name), time_text(std::max(0.0, time_s))));
}

void Audition::loop_passage(Passages which) {
    passage_wanted_ = which;
    work_.mix.need_figures();
    take_passage();
}

void Audition::take_passage() {
    if (!passage_wanted_ || !work_.mix.figures()) return;
    const bool widest = *passage_wanted_ == Passages::widest;
    passage_wanted_.reset();
    const auto& hops = work_.mix.figures()->hops.weighted;
    const auto found = widest ? widest_passage(hops) : loudest_passage(hops);
    if (!found) {
        emit work_.view.hint(tr("The song is too short or too quiet for that: a passage has 8 s."));
        return;
    }
    work_.player.set_loop({true, found->from_s, found->to_s});
    work_.player.locate(found->from_s);
    emit work_.view.hint(widest ? tr("Looping the widest passage: %1 LU between its quietest and loudest 3 s.")
                                      .arg(found->figure, 0, 'f', 1)
                                : tr("Looping the loudest 8 s: %1.").arg(db_text(found->figure, "LUFS")));
}

}  // namespace isotonus
