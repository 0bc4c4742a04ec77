#include "app/songmap/tempo_window.h"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QPushButton>
#include <QShortcut>
#include <algorithm>
#include <cmath>
#include <map>
#include <utility>

#include "core/session/tempo.h"
#include "core/stage/tempo_finder.h"

namespace isotonus {

namespace {

QString text_of(const TempoMark& m) {
    return QString("%1 %2/%3")
        .arg(QString::fromStdString(format_figures("{:.6g}", m.quarters_a_minute)))
        .arg(m.beats)
        .arg(m.beat_unit);
}

}  // namespace

TempoWindow::TempoWindow(Workspace& work, QWidget* parent) : QDialog(parent), work_(work) {
    setObjectName("tempoWindow");
    setWindowTitle(tr("Tempo"));
    auto* form = new QFormLayout(this);
    tempo_ = new QLineEdit;
    tempo_->setObjectName("tempoText");
    tempo_->setToolTip(tr("Quarters a minute and the time signature: 120, or 97.5 6/8."));
    form->addRow(tr("Tempo"), tempo_);
    first_bar_ = new FigureBox;
    first_bar_->setObjectName("firstBar");
    first_bar_->setRange(0.0, 86400.0);
    first_bar_->setDecimals(3);
    first_bar_->set_unit("s");
    first_bar_->setKeyboardTracking(false);
    first_bar_->setToolTip(tr("The start of a bar: bars are counted from there."));
    auto* line = new QHBoxLayout;
    line->addWidget(first_bar_, 1);
    const auto button = [&](QHBoxLayout* line, const char* name, const QString& text, const QString& tip, auto act) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setToolTip(tip);
        b->setAutoDefault(false);
        b->setFocusPolicy(Qt::TabFocus);
        connect(b, &QPushButton::clicked, this, act);
        line->addWidget(b);
    };
    button(line, "firstBarHere", tr("At the playhead"), tr("Sets the start of a bar to the playhead."), [this] {
        TempoMark mark = now();
        mark.time_s = work_.player.position_s();
        set(mark);
    });
    form->addRow(tr("First bar at"), line);
    auto* ways = new QHBoxLayout;
    button(ways, "tapTempo", tr("Tap"), tr("Tap along with the beat, by mouse or with T, while the song plays."),
           [this] { tap(); });
    button(ways, "findTempo", tr("Find from kick and snare"),
           tr("Compares the hits of tracks called kick, snare or clap with a grid of sixteenths."), [this] { find(); });
    button(ways, "halfTempo", tr("Half"), tr("Halves the tempo. Use it when the tempo is twice too fast."),
           [this] { multiply(0.5); });
    button(ways, "doubleTempo", tr("Double"),
           tr("Doubles the tempo. Use it when the tempo is only half as fast as the song."), [this] { multiply(2.0); });
    button(ways, "noTempo", tr("None"), tr("Removes the tempo of the song."), [this] {
        Session next = work_.document.session();
        next.tempo = {};
        work_.document.edit(tr("No tempo"), std::move(next));
    });
    form->addRow(ways);
    told_ = new QLabel(tr("The song map draws the bars. Play the song, and check that they start with the kick."));
    told_->setObjectName("tempoTold");
    told_->setWordWrap(true);
    form->addRow(told_);
    connect(tempo_, &QLineEdit::editingFinished, this, [this] { type(tempo_->text()); });
    connect(first_bar_, &QDoubleSpinBox::valueChanged, this, [this](double time_s) {
        TempoMark mark = now();
        mark.time_s = time_s;
        set(mark);
    });
    connect(&work_.document, &Document::session_changed, this, &TempoWindow::show_session);
    connect(&work_.player, &Player::moved, this, [this] {  // to another tempo
        if (work_.document.session().tempo.size() > 1 && !is_typed_in()) show_session();
    });
    // Outside its fields the keys are those of the main window: Space plays, or presses the button that Tab went to.
    const auto on = [this](Qt::Key key, auto act) {
        connect(new QShortcut(key, this), &QShortcut::activated, this, act);
    };
    on(Qt::Key_T, [this] { tap(); });
    on(Qt::Key_Space, [this] {
        if (auto* button = qobject_cast<QPushButton*>(focusWidget()); button && button->hasFocus())
            button->click();
        else
            work_.player.toggle_playing();
    });
    clock_.start();
    show_session();
    setFocusPolicy(Qt::StrongFocus);
    setFocus();
}

TempoMark TempoWindow::now() const {
    const auto& tempo = work_.document.session().tempo;
    return tempo.empty() ? TempoMark{} : mark_at(tempo, shown_at_s_);
}

bool TempoWindow::is_typed_in() const {
    const auto* field = qobject_cast<QLineEdit*>(focusWidget());
    return field && field->hasFocus() && field->isModified();
}

void TempoWindow::show_session() {
    const auto& tempo = work_.document.session().tempo;
    const bool any = !tempo.empty();
    if (!is_typed_in()) shown_at_s_ = work_.player.position_s();
    if (std::exchange(count_, tempo.size()) != tempo.size() && tempo.size() > 1)
        told_->setText(tr("The song has %n tempo(s). This is the one at the playhead; the others stay.", nullptr,
                          static_cast<int>(tempo.size())));
    if (!tempo_->hasFocus() || !tempo_->isModified()) tempo_->setText(any ? text_of(now()) : QString());
    const QSignalBlocker quiet(first_bar_);
    first_bar_->setValue(now().time_s);
    first_bar_->setEnabled(any);
}

void TempoWindow::set(const TempoMark& mark, uint64_t gesture) {
    Session next = work_.document.session();
    next.tempo = with_mark_at(next.tempo, shown_at_s_, mark);
    tempo_->setModified(false);
    work_.document.edit(tr("Tempo %1").arg(text_of(mark)), std::move(next), gesture);
}

void TempoWindow::type(const QString& text) {
    if (!tempo_->isModified()) return;
    if (text.trimmed().isEmpty()) return show_session();
    const auto mark = tempo_from_text(QString(text).replace(',', '.').toStdString(), now());
    if (mark) return set(*mark);
    told_->setText(QString::fromStdString(mark.error().what));
    tempo_->setModified(false);
    show_session();
}

void TempoWindow::tap() {
    const double time_s = static_cast<double>(clock_.nsecsElapsed()) * 1e-9;
    taps_s_.push_back(time_s);
    const auto tempo = tempo_of_taps(taps_s_);
    if (!tempo) {
        taps_s_ = {time_s};
        tapping_ = work_.document.new_gesture();
        told_->setText(tr("Continue tapping: four taps are the minimum."));
        return;
    }
    TempoMark mark = now();
    mark.quarters_a_minute = std::clamp(std::round(*tempo * 10.0) / 10.0, 10.0, 1000.0);
    told_->setText(tr("%n tap(s).", nullptr, static_cast<int>(taps_s_.size())));
    set(mark, tapping_);
}

void TempoWindow::multiply(double by) {
    Session next = work_.document.session();
    if (next.tempo.empty()) next.tempo = {TempoMark{}};
    for (TempoMark& m : next.tempo.change()) m.quarters_a_minute = std::clamp(m.quarters_a_minute * by, 10.0, 1000.0);
    tempo_->setModified(false);
    work_.document.edit(by < 1.0 ? tr("Half the tempo") : tr("Double the tempo"), std::move(next));
}

void TempoWindow::find() {
    const auto session = work_.document.shared();
    std::map<TrackId, MaterialPtr> known;
    for (const auto& t : session->tracks) known[t->id] = work_.materials.of(*t);
    told_->setText(tr("Comparing the hits…"));
    jobs_.start(
        [session, known = std::move(known)](Progress&) -> Result<std::optional<FoundTempo>> {
            return find_tempo(*session, [&](const Track& t) { return known.at(t.id); });
        },
        [this](const Result<std::optional<FoundTempo>>& found) {
            if (!found || !*found) {
                told_->setText(
                    tr("No steady tempo was found: at least 8 hits of kick, snare or clap must be in time. Tap or type "
                       "the tempo."));
                return;
            }
            const FoundTempo& f = **found;
            Session next = work_.document.session();
            auto tempo = one_tempo(next.tempo, f.mark);
            if (!tempo) return told_->setText(QString::fromStdString(tempo.error().what));
            next.tempo = std::move(*tempo);
            told_->setText(tr("%1 % of %2 hits are in time. Check the bars in the song map; Half and Double correct a "
                              "tempo that is twice or half as fast.")
                               .arg(100.0 * f.share_in_time, 0, 'f', 0)
                               .arg(f.hits));
            tempo_->setModified(false);
            work_.document.edit(tr("Tempo %1").arg(text_of(f.mark)), std::move(next));
        });
}

bool ask_tempo(Workspace& work) {
    const auto text = work.prompter->ask_text(
        TempoWindow::tr("Tempo"), TempoWindow::tr("Note values need the song's tempo; quarters a minute:"), "120 4/4");
    if (!text) return false;
    const auto mark = tempo_from_text(text->toStdString(), {});
    if (!mark) {
        work.prompter->complain(QString::fromStdString(mark.error().what));
        return false;
    }
    Session next = work.document.session();
    next.tempo = {*mark};
    return work.document.edit(TempoWindow::tr("Tempo %1").arg(text_of(*mark)), std::move(next));
}

}  // namespace isotonus
