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
    emit work_.view.hint(tr("%1 alone, from %2. Space stops and returns to the mix.")
                             .arg(QString::fromStdString(t->name), time_text(std::max(0.0, time_s))));
}

void Audition::hear_low_end(TrackId id) {
    const Track* t = work_.document.track(id);
    if (!t || t->mono_below_hz <= 0.0) return;
    work_.player.hear_low_end(id);
    emit work_.view.hint(tr("Only %1 below %2 Hz, as the mono bass hears it. Space stops and returns to the mix.")
                             .arg(QString::fromStdString(t->name))
                             .arg(t->mono_below_hz));
}

void Audition::loop(double from_s, double to_s) {
    if (work_.view.snapping) std::tie(from_s, to_s) = in_whole_bars(work_.document.session().tempo, from_s, to_s);
    work_.player.set_loop({true, from_s, std::min(to_s, work_.view.time.song_s())});
}

void Audition::loop_sections(double from_s, double to_s) {
    const Session& s = work_.document.session();
    const int first = section_at(s, from_s), last = section_at(s, to_s);
    if (last < 0) return;
    loop(first >= 0 ? s.sections[static_cast<size_t>(first)].start_s : 0.0,
         section_end_s(s, last, work_.view.time.song_s()));
}

void Audition::loop_one_more(int side) {
    const Player::Loop now = work_.player.loop();
    const Session& s = work_.document.session();
    constexpr double inside_s = 0.01;
    if (!now.on || now.to_s <= now.from_s) {
        const double here = work_.player.position_s();
        return loop_sections(here, here);
    }
    const int first = std::max(0, section_at(s, now.from_s + inside_s)) - (side < 0 ? 1 : 0);
    const int last = section_at(s, now.to_s - inside_s) + (side > 0 ? 1 : 0);
    if (first < 0 || last >= static_cast<int>(s.sections.size())) return;
    loop(s.sections[static_cast<size_t>(first)].start_s, section_end_s(s, last, work_.view.time.song_s()));
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
        emit work_.view.hint(tr("The song is too short or too quiet: a passage needs 8 s."));
        return;
    }
    loop(found->from_s, found->to_s);
    work_.player.locate(work_.player.loop().from_s);
    emit work_.view.hint(
        widest ? tr("Looping the most dynamic passage: %1 LU between its quietest and loudest 3 s.")
                     .arg(shown_figure(found->figure, 1))
               : tr("Looping the loudest passage: its loudest 8 s are at %1.").arg(db_text(found->figure, "LUFS")));
}

}  // namespace isotonus
