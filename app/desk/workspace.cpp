#include "app/desk/workspace.h"

#include <algorithm>

#include "app/desk/row_head.h"
#include "app/style/text.h"
#include "core/measure/passage.h"

namespace isotonus {

namespace {
constexpr double shortest_s = 0.0005;  ///< shown at once: two dozen samples
}

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
    const double length = std::clamp(to_s - from_s, shortest_s, song_s_);
    from_s_ = std::clamp(from_s, 0.0, song_s_ - length);
    to_s_ = from_s_ + length;
    emit changed();
}

void TimeView::zoom(double factor, double around_s) {
    const double length = std::clamp((to_s_ - from_s_) / factor, shortest_s, song_s_);
    const double share = (around_s - from_s_) / (to_s_ - from_s_);
    show(around_s - share * length, around_s + (1.0 - share) * length);
}

Workspace::Workspace()
    : materials(document),
      player(document, materials),
      mix(document, player),
      writing(document, player),
      faders(*this),
      comparison(document, player, mix),
      exports(comparison) {
    connect(&faders, &FaderLink::message, this, &Workspace::hint);
    connect(&document, &Document::selection_changed, this, [this] {
        if (!ride_view.row) return;
        ride_view.row.reset();
        emit ride_view_changed();
    });
    connect(&player, &Player::plan_changed, this, [this] { time.set_song(song_s()); });
    connect(&mix, &MixWatch::changed, this, &Workspace::take_passage);
    connect(&materials, &Materials::changed, this, [this] { time.set_song(song_s()); });
    connect(&materials, &Materials::finished, this, &Workspace::stage_waiting);
}

void Workspace::add_section(double time_s) {
    const QString given = tr("section %1").arg(document.session().sections.size() + 1);
    const auto name = prompter->ask_text(tr("New section"), tr("Its name, at %1").arg(time_text(time_s, 2)), given);
    if (!name) return;
    document.edit(tr("Section %1 at %2").arg(*name, time_text(time_s, 2)),
                  with_section(document.session(), {name->toStdString(), std::max(0.0, time_s), 0}));
}

void Workspace::rename_section(int section) {
    const std::string& before = document.session().sections[static_cast<size_t>(section)].name;
    const auto name = prompter->ask_text(tr("Rename the section"), tr("Its name"), QString::fromStdString(before));
    if (!name) return;
    Session next = document.session();
    next.sections.change()[static_cast<size_t>(section)].name = name->toStdString();
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
            longest_s = std::max(longest_s, m->duration_s() + track->delay_samples / m->sample_rate);
    return longest_s;
}

void Workspace::stage(const std::vector<TrackId>& ids, const QString& name) {
    document.edit(name, with_staged_trims(
                            document.session(), [this](const Track& t) { return materials.measured(t); }, &ids));
}

void Workspace::stage_when_measured(const std::vector<TrackId>& ids, const QString& name, uint64_t gesture) {
    waiting_ = {ids, name, gesture};
    if (materials.waiting() == 0) stage_waiting();
}

void Workspace::stage_waiting() {
    if (!waiting_) return;
    const Waiting now = std::move(*waiting_);
    waiting_.reset();
    document.edit(now.name,
                  with_staged_trims(
                      document.session(), [this](const Track& t) { return materials.measured(t); }, &now.ids),
                  now.gesture);
}

void Workspace::hear(TrackId id, double time_s) {
    const Track* t = document.track(id);
    if (!t) return;
    constexpr double before_s = 0.5;
    player.hear_track(id, std::max(0.0, time_s + shift_s(*t) - before_s));
    emit hint(tr("%1 alone, from %2. Space stops; then the mix is heard again.")
                  .arg(QString::fromStdString(t->name), time_text(std::max(0.0, time_s))));
}

void Workspace::put_right(TrackId id, const Finding& finding) {
    const Track* t = document.track(id);
    const MaterialPtr m = t ? materials.of(*t) : nullptr;
    if (!m || finding.remedy == Remedy::none) return;
    const QString name = QString::fromStdString(t->name);
    QString what;
    switch (finding.remedy) {
        case Remedy::none:
            return;
        case Remedy::remove_offset:
            what = tr("Remove the DC offset of %1");
            break;
        case Remedy::make_mono:
            what = tr("Make %1 mono");
            break;
        case Remedy::use_left:
            what = tr("Use the left side of %1");
            break;
        case Remedy::use_right:
            what = tr("Use the right side of %1");
            break;
        case Remedy::swap_sides:
            what = tr("Swap the sides of %1");
            break;
        case Remedy::tame_spikes:
            what = tr("Tame the spikes of %1");
            break;
    }
    document.edit_tracks(what.arg(name), {id}, [&](Track& track) { track = with_remedy(track, finding.remedy, *m); });
}

Clips Workspace::clips(TrackId id) const {
    const Track* t = document.track(id);
    const MaterialPtr m = t ? materials.of(*t) : nullptr;
    return m ? clips_of(t->source, m->ready.file_frames()) : Clips{};
}

void Workspace::set_clips(TrackId id, const QString& name, Clips clips, uint64_t gesture) {
    const Track* t = document.track(id);
    const MaterialPtr m = t ? materials.of(*t) : nullptr;
    if (!m || clips == this->clips(id)) return;
    if (clips == clips_of({}, m->ready.file_frames())) clips.clear();  // all of the file, as it is
    document.edit_tracks(
        name, {id}, [&](Track& track) { track.source.clips = std::move(clips); }, gesture);
}

size_t Workspace::current_clip(TrackId id) const {
    const Clips all = clips(id);
    if (clip_track_ == id && clip_ < all.size()) return clip_;
    const Track* t = document.track(id);
    const int here = t ? clip_at(all, frame_at(player.position_s() - shift_s(*t))) : -1;
    return here < 0 ? 0 : static_cast<size_t>(here);
}

void Workspace::choose_clip(TrackId id, size_t clip) {
    clip_track_ = id;
    clip_ = clip;
    emit clip_chosen();
}

void Workspace::split_clip(TrackId id) {
    const Track* t = document.track(id);
    if (!t) return;
    const Clips all = clips(id);
    const int64_t frame = frame_at(player.position_s() - shift_s(*t));
    const int here = clip_at(all, frame);
    const Clips next = here < 0 ? all : with_split(all, static_cast<size_t>(here), frame);
    if (next == all) {
        emit hint(
            tr("There is nothing to split at the playhead: it is outside of the clips, at an edge, or in a fade."));
        return;
    }
    set_clips(id, tr("Split %1 at %2").arg(QString::fromStdString(t->name), time_text(player.position_s(), 2)), next);
    choose_clip(id, static_cast<size_t>(here) + 1);
}

void Workspace::cut_out_loop(TrackId id) {
    const Track* t = document.track(id);
    const auto& loop = player.loop();
    if (!t || loop.to_s <= loop.from_s) {
        emit hint(tr("Mark the stretch to cut out first: Shift and drag on the song map."));
        return;
    }
    const double shift = shift_s(*t);
    set_clips(id,
              tr("Cut %1 to %2 out of %3")
                  .arg(time_text(loop.from_s, 2), time_text(loop.to_s, 2), QString::fromStdString(t->name)),
              with_silence_between(clips(id), frame_at(loop.from_s - shift), frame_at(loop.to_s - shift),
                                   document.session().sample_rate / 200));
}

void Workspace::show_balance_page(BalancePage page) {
    balance_page = page == balance_page ? BalancePage::none : page;
    mix.want_plan(balance_page == BalancePage::headroom);
    if (balance_page == BalancePage::cover) mix.want_audibility(true);
    mix.want_figures(balance_page == BalancePage::mono);
    if (balance_page != BalancePage::headroom) show_ghosts({});
    emit balance_page_changed();
}

std::optional<Family> Workspace::family_of_selection() const {
    std::optional<Family> shared;
    for (const TrackId id : document.selected()) {
        const Track* t = document.track(id);
        if (!t) continue;
        if (shared && *shared != family(*t)) return std::nullopt;
        shared = family(*t);
    }
    return shared;
}

std::vector<TrackId> Workspace::rows_meant() const {
    const auto shared = family_of_selection();
    if (document.selected().size() != 1 || !shared) return document.selected();
    std::vector<TrackId> rows;
    for (const auto& t : document.session().tracks)
        if (family(*t) == *shared) rows.push_back(t->id);
    return rows;
}

void Workspace::make_bus() {
    const std::vector<TrackId> rows = rows_meant();
    if (rows.empty()) return;
    const auto shared = family_of_selection();
    const QString name = shared ? family_word(*shared) : tr("bus %1").arg(document.session().buses.size() + 1);
    document.edit(tr("Bus '%1' of %n row(s)", nullptr, static_cast<int>(rows.size())).arg(name),
                  with_new_bus(document.session(), name.toStdString(), shared, rows));
}

void Workspace::make_group() {
    const std::vector<TrackId> rows = rows_meant();
    if (rows.empty()) return;
    const auto shared = family_of_selection();
    const QString name = shared ? family_word(*shared) : tr("group %1").arg(document.session().groups.size() + 1);
    document.edit(tr("Control group '%1' of %n row(s)", nullptr, static_cast<int>(rows.size())).arg(name),
                  with_new_group(document.session(), name.toStdString(), shared, rows));
}

void Workspace::lead_to(const std::vector<TrackId>& ids, TrackId output) {
    auto next = with_output(document.session(), ids, output);
    if (!next) {
        prompter->complain(QString::fromStdString(next.error().what));
        return;
    }
    const Bus* bus = document.session().find_bus(output);
    document.edit(tr("Lead to %1").arg(bus ? QString::fromStdString(bus->name) : tr("the main output")),
                  std::move(*next));
}

void Workspace::remove_bus_or_group(TrackId id) {
    document.edit(document.session().find_bus(id) ? tr("Remove the bus") : tr("Remove the control group"),
                  without_bus_or_group(document.session(), id));
}

void Workspace::mirror_pans() {
    const auto ids = document.selected();
    Session next = document.session();
    for (size_t i = 0; i + 1 < ids.size(); i += 2) {
        const double pan = document.track(ids[i])->pan;
        next = with_track(next, ids[i + 1], [pan](Track& t) { t.pan = -pan; });
    }
    if (ids.size() < 2)
        emit hint(tr("Select pairs of rows: the second of each gets the first one's pan on the other side."));
    else
        document.edit(tr("Mirror pans"), std::move(next));
}

void Workspace::spread_pans() {
    const auto ids = document.selected();
    if (ids.size() < 2) {
        emit hint(tr("Select several rows: they are spread evenly from side to side."));
        return;
    }
    double reach = 0.0;
    for (const TrackId id : ids) reach = std::max(reach, std::fabs(document.track(id)->pan));
    if (reach < 0.05) reach = 0.35;  // common practice, no source
    Session next = document.session();
    for (size_t i = 0; i < ids.size(); ++i) {
        const double pan = reach * (2.0 * static_cast<double>(i) / static_cast<double>(ids.size() - 1) - 1.0);
        next = with_track(next, ids[i], [pan](Track& t) { t.pan = pan; });
    }
    document.edit(tr("Spread pans of %n row(s)", nullptr, static_cast<int>(ids.size())), std::move(next));
}

void Workspace::toggle_fold(Family family) {
    if (!folded_.erase(family)) folded_.insert(family);
    emit folds_changed();
}

void Workspace::show_ride(RideView view) {
    if (std::find(view.open.begin(), view.open.end(), view.parameter) == view.open.end()) view.open = {view.parameter};
    ride_view = std::move(view);
    emit ride_view_changed();
}

void Workspace::touched(TrackId row, Parameter parameter) {
    if (ride_row() == row && ride_view.parameter == parameter) return;
    RideView view = ride_view;
    view.parameter = parameter;
    if (document.track(row)) {
        view.row.reset();
        if (document.focused() != row) {
            if (document.is_selected(row))
                document.select(document.selected(), row);
            else
                document.select_only(row);
        }
    } else {
        view.row = row;
    }
    show_ride(std::move(view));
    emit hint(tr("%1 of %2: its ride is shown.")
                  .arg(info_of(parameter).id, QString::fromStdString(document.session().name_of(row))));
}

double Workspace::fader_db(TrackId row) const {
    const Session& s = document.session();
    if (const Track* t = s.find(row)) return t->fader_db;
    if (const Bus* b = s.find_bus(row)) return b->fader_db;
    if (const ControlGroup* g = s.find_group(row)) return g->fader_db;
    return s.main_fader_db;
}

void Workspace::set_fader(TrackId row, double db, uint64_t gesture) {
    const Session& s = document.session();
    if (db < fader_floor_db) db = silence_db;
    Session next = s;
    if (s.find(row))
        next = with_track(s, row, [db](Track& t) { t.fader_db = db; });
    else if (s.find_bus(row))
        next = with_bus(s, row, [db](Bus& b) { b.fader_db = db; });
    else if (s.find_group(row))
        next = with_group(s, row, [db](ControlGroup& g) { g.fader_db = db; });
    else
        next.main_fader_db = db;
    document.edit(tr("Fader %1 %2").arg(QString::fromStdString(s.name_of(row)), db_text(db)), std::move(next), gesture);
}

void Workspace::set_own_value(TrackId row, Parameter parameter, double value, uint64_t gesture) {
    const Session& s = document.session();
    const auto set = [&](auto& x) {
        switch (parameter) {
            case Parameter::level:
                break;
            case Parameter::trim:
                x.trim_db = value;
                break;
            case Parameter::pan:
                x.pan = value;
                break;
            case Parameter::width:
                x.width = value;
                break;
            case Parameter::mute:
                x.mute = value >= 0.5;
                break;
        }
    };
    const QString name = tr("%1 of %2").arg(info_of(parameter).id, QString::fromStdString(s.name_of(row)));
    if (s.find(row))
        document.edit(name, with_track(s, row, set), gesture);
    else if (s.find_bus(row))
        document.edit(name, with_bus(s, row, set), gesture);
}

void Workspace::stage_all() {
    std::vector<TrackId> ids;
    for (const auto& t : document.session().tracks) ids.push_back(t->id);
    stage(ids, tr("Stage all"));
}

}  // namespace isotonus
