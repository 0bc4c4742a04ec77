#include "app/desk/view_state.h"

#include "app/desk/ride_menu.h"

#include <algorithm>

#include "core/shape/parameter_label.h"

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

ViewState::ViewState(Document& document) : shape(document), ride(document), document_(document) {
    connect(&document, &Document::selection_changed, this, [this] {
        shape.show({});
        ride.leave_row();
    });
    connect(&ride, &RideView::hint, this, &ViewState::hint);
}

void ViewState::toggle_fold(Family family) {
    if (!folded_.erase(family)) folded_.insert(family);
    emit folds_changed();
}

void ShapeView::show(std::optional<TrackId> bus) {
    if (bus == bus_) return;
    bus_ = bus;
    emit row_changed();
}

void ShapeView::show_ghosts(std::map<TrackId, Chain> ghosts) {
    if (ghosts.empty() && ghosts_.empty()) return;
    ghosts_ = std::move(ghosts);
    emit ghosts_changed();
}

void ViewState::show_panel(bool on) {
    panel_open = on;
    emit panel_shown(on);
}

std::optional<size_t> ViewState::chosen_clip(TrackId id) const {
    return clip_track_ == id ? std::optional(clip_) : std::nullopt;
}

void ViewState::fold(Pinned kind, bool on) {
    if (on)
        pinned_folded_.insert(kind);
    else
        pinned_folded_.erase(kind);
    emit pinned_changed();
}

void ViewState::choose_clip(TrackId id, size_t clip) {
    clip_track_ = id;
    clip_ = clip;
    emit clip_chosen();
}

void ShapeView::touch_band(int n) {
    band = n;
    emit band_touched();
}

void BalanceView::show_ghosts(Ghosts ghosts) {
    if (ghosts == ghosts_) return;
    ghosts_ = std::move(ghosts);
    emit ghosts_changed();
}

void BalanceView::show_page(Page wanted) {
    page = wanted == page ? Page::none : wanted;
    if (page != Page::headroom && page != Page::first) show_ghosts({});
    emit page_changed();
}

void BalanceView::show_field(bool on) {
    field_shown = on;
    emit field_changed();
}

void RideView::show(Shown wanted) {
    if (std::find(wanted.open.begin(), wanted.open.end(), wanted.parameter) == wanted.open.end())
        wanted.open = {wanted.parameter};
    shown = std::move(wanted);
    emit changed();
}

void RideView::leave_row() {
    if (!shown.row) return;
    shown.row.reset();
    emit changed();
}

void RideView::touch(TrackId row, Parameter parameter) {
    if (this->row() == row && shown.parameter == parameter) return;
    Shown wanted = shown;
    wanted.parameter = parameter;
    if (document_.track(row)) {
        wanted.row.reset();
        if (document_.focused() != row) {
            if (document_.is_selected(row))
                document_.select(document_.selected(), row);
            else
                document_.select_only(row);
        }
    } else {
        wanted.row = row;
    }
    show(std::move(wanted));
    const Send* send = find_send(document_.session(), row, parameter.send());
    const QString what = send ? tr("%1 of the send to %2")
                                    .arg(QString::fromStdString(label_of(parameter.info())),
                                         QString::fromStdString(document_.session().name_of(send->to)))
                              : parameter_word(parameter);
    emit hint(tr("%1 of %2: the ride is shown.").arg(what, QString::fromStdString(document_.session().name_of(row))));
}

void CompareView::show_page(Page wanted) {
    page = wanted;
    emit changed();
}

void CompareView::choose_band(std::optional<int> wanted) {
    band = wanted;
    emit changed();
}

}  // namespace isotonus
