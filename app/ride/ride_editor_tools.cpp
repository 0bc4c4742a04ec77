// What the ride editor's buttons and keys do to the points that are chosen.
#include "app/ride/ride_editor.h"
#include "app/style/text.h"
#include "core/ride/thin.h"

namespace isotonus {

void RideEditor::remove_selected() {
    Curve c = curve();
    if (!ranges_.empty() && selected_.empty()) {
        for (const Span& r : ranges_) c = without_inside(c, r, info());
        store(c, tr("Clear a stretch"));
        return;
    }
    if (selected_.empty()) return;
    for (auto i = selected_.rbegin(); i != selected_.rend(); ++i)
        c.points.erase(c.points.begin() + static_cast<std::ptrdiff_t>(*i));
    const size_t count = selected_.size();
    selected_.clear();
    store(c, tr("Delete %n point(s)", nullptr, static_cast<int>(count)));
}

void RideEditor::toggle_shape() {
    Curve c = curve();
    if (selected_.empty()) return;
    // Line, step, bend that starts slowly, bend that starts fast, S, and line again.
    RidePoint next = c.points[*selected_.begin()];
    if (next.segment == Segment::bend && next.bend > 0.0) {
        next.bend = -next.bend;
    } else {
        next.segment = static_cast<Segment>((static_cast<int>(next.segment) + 1) % 4);
        if (next.segment == Segment::bend) next.bend = 0.5;
    }
    for (const size_t i : selected_) c.points[i].segment = next.segment, c.points[i].bend = next.bend;
    const QString names[] = {tr("Line"), tr("Step"), next.bend > 0.0 ? tr("Bend, slow first") : tr("Bend, fast first"),
                             tr("S-shape")};
    store(c, names[static_cast<size_t>(next.segment)]);
}

void RideEditor::toggle_locks() {
    Curve c = curve();
    if (selected_.empty()) return;
    const bool on = !c.points[*selected_.begin()].locked;
    for (const size_t i : selected_) c.points[i].locked = on;
    store(c, on ? tr("Lock points") : tr("Unlock points"));
}

void RideEditor::thin() {
    const Curve c = curve(), fewer = thinned(c, std::max(info().tolerance, 1e-9));
    if (fewer == c) {
        emit work_.view.hint(tr("The ride is as simple as possible: every point changes it by more than %1.")
                                 .arg(ride_value_text(parameter_, info().tolerance).remove('+')));
        return;
    }
    selected_.clear();
    store(fewer, tr("Simplify %1 to %n point(s)", nullptr, static_cast<int>(fewer.points.size())).arg(c.points.size()));
}

void RideEditor::copy() {
    const Curve c = curve();
    std::optional<Span> span = range();
    if (!span && selected_.size() > 1)
        span = Span{c.points[*selected_.begin()].time_s, c.points[*selected_.rbegin()].time_s};
    if (!span || c.empty()) {
        emit work_.view.hint(tr("To copy, mark a stretch in the strip above the curve, or select two points."));
        return;
    }
    work_.view.ride.clip = cut_out(c, *span, info().tolerance);
    emit work_.view.hint(tr("%n point(s) copied. Ctrl+V pastes at the playhead.", nullptr,
                            static_cast<int>(work_.view.ride.clip.points.size())));
}

void RideEditor::paste_at(double time_s) {
    if (work_.view.ride.clip.empty()) return;
    const Span span{time_s, time_s + work_.view.ride.clip.points.back().time_s};
    selected_.clear();
    ParameterInfo own = info();
    own.rest = rest();
    store(with_inside(curve(), span, work_.view.ride.clip, own), tr("Paste at %1").arg(time_text(time_s, 2)));
    set_range(span);
}

void RideEditor::scale_values(double factor) {
    if (selected_.size() < 2) return;
    store(scaled(curve(), selected_, factor, info()),
          tr("Scale %n point(s)", nullptr, static_cast<int>(selected_.size())));
}

void RideEditor::stretch_times(double factor) {
    if (selected_.size() < 2) return;
    store(stretched(curve(), selected_, factor),
          tr("Stretch %n point(s)", nullptr, static_cast<int>(selected_.size())));
}

void RideEditor::type_point() {
    const Curve c = curve();
    if (selected_.size() != 1) return;
    const RidePoint& p = c.points[*selected_.begin()];
    const bool bends = p.segment == Segment::bend;
    QString offered = QString("%1  %2").arg(shown_figure(p.time_s, 3)).arg(ride_value_text(parameter_, p.value));
    if (bends) offered += QString("  bend %1").arg(shown_figure(p.bend, 2));
    const auto text = work_.prompter->ask_text(
        tr("Point"), bends ? tr("Time in seconds, value, and bend from −1 to +1") : tr("Time in seconds, and value"),
        offered);
    if (!text) return;
    QString line = text->simplified();
    double bend = p.bend;
    if (const qsizetype at = line.indexOf(" bend "); bends && at > 0) {
        bend = parse_level(line.mid(at + 6)).value_or(2.0);
        line.truncate(at);
    }
    const qsizetype gap = line.indexOf(' ');
    bool number = false;
    const double time_s = line.left(gap).replace(',', '.').toDouble(&number);
    const auto value = gap > 0 ? parse_ride_value(parameter_, line.mid(gap + 1)) : std::nullopt;
    if (!number || !value || time_s < 0.0 || std::fabs(bend) > 1.0) {
        work_.prompter->complain(
            tr("'%1' is not a time in seconds and a value from %2 to %3. Type 12.5 −3, for example.")
                .arg(*text, ride_value_text(parameter_, info().low), ride_value_text(parameter_, info().high)));
        return;
    }
    const uint64_t gesture = work_.document.new_gesture();
    if (bend != p.bend) {
        Curve bent = c;
        bent.points[*selected_.begin()].bend = bend;
        store(bent, tr("Bend %1").arg(shown_figure(bend, 2)), gesture);
    }
    if (time_s != p.time_s || *value != p.value) move_selected(time_s - p.time_s, *value - p.value, gesture);
}

}  // namespace isotonus
