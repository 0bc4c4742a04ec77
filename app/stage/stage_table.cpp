#include "app/stage/stage_table.h"

#include <QDialogButtonBox>
#include <QHeaderView>
#include <QMenu>
#include <QPushButton>
#include <QToolButton>
#include <QVBoxLayout>

#include "app/desk/plain_table.h"
#include "app/stage/sheet_dialog.h"
#include "app/style/text.h"
#include "app/style/theme.h"

namespace isotonus {

QString choice_words(Choice choice) {
    switch (choice) {
        case Choice::leave_out_spikes:
            return StageTable::tr("Ignore its spikes: they pass the ceiling, and a compressor can catch them");
        case Choice::tame_spikes:
            return StageTable::tr("Tame its spikes by clip gain");
        case Choice::use_clip_gain:
            return StageTable::tr("Add clip gain where the trim ends");
        case Choice::pass_ceiling:
            return StageTable::tr("Allow its peak above the ceiling");
        case Choice::accept:
            break;
    }
    return StageTable::tr("Keep its level: give the track a window of its own");
}

StageTable::StageTable(Workspace& work, QWidget* parent) : QDialog(parent), work_(work) {
    setObjectName("stageTable");
    setWindowTitle(tr("Staging, before and after"));
    resize(on_screen({1200, 600}, *this));
    auto* layout = new QVBoxLayout(this);
    summary_ = new QLabel;
    summary_->setObjectName("stageSummary");
    layout->addWidget(summary_);
    table_ = plain_table(
        "stageTableRows", tr("Levels before and after staging"),
        {{tr("Channel"), tr("The track.")},
         {tr("Measure"), tr("What is compared with the window: the sample peak of percussive tracks, the average of "
                            "sustained ones.")},
         {tr("Window"), tr("The range for the level after the trim, in dBFS.")},
         {tr("Before"), tr("The level of the file.")},
         {tr("Trim"), tr("The gain before the chain. Staging sets it.")},
         {tr("After"), tr("The level after the trim.")},
         {tr("Peak before"), tr("The highest sample of the file.")},
         {tr("Peak after"), tr("The highest sample after the trim.")},
         {tr("True peak"), tr("The peak of the wave between its samples, after the trim.")},
         {tr("Status"), tr("Whether the level is inside the window, and the reason if it is not.")},
         {tr("Options"), tr("Ways into the window for a track that does not reach it.")}},
        9);
    table_->verticalHeader()->setMinimumSectionSize(28);
    show_whole_sentences(table_);
    layout->addWidget(table_, 1);
    auto* buttons = new QDialogButtonBox;
    auto* all = buttons->addButton(tr("Stage all"), QDialogButtonBox::ActionRole);
    all->setObjectName("tableStageAll");
    all->setToolTip(tr("Trims every unlocked track to its target window. Faders stay where they are."));
    auto* undo = buttons->addButton(tr("Undo"), QDialogButtonBox::ActionRole);
    undo->setToolTip(tr("Undoes the last change of the session."));
    buttons->addButton(QDialogButtonBox::Close);
    layout->addWidget(buttons);
    connect(all, &QPushButton::clicked, this, [this] { work_.edits.stage_all(); });
    connect(undo, &QPushButton::clicked, this, [this] { work_.document.undo(); });
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(&work_.document, &Document::session_changed, this, &StageTable::refresh);
    connect(&work_.materials, &Materials::changed, this, &StageTable::refresh);
    refresh();
}

void StageTable::refresh() {
    const auto& tracks = work_.document.session().tracks;
    table_->setRowCount(static_cast<int>(tracks.size()));
    int inside = 0, counted = 0;
    for (size_t row = 0; row < tracks.size(); ++row) {
        fill_row(static_cast<int>(row), *tracks[row]);
        const auto s = work_.materials.staging(*tracks[row]);
        if (!s || fit_of(*s) == Fit::silent) continue;
        ++counted;
        inside += fit_of(*s) == Fit::inside ? 1 : 0;
    }
    table_->resizeRowsToContents();
    summary_->setText(tr("%1 of %2 tracks are in their windows; the sheet is '%3', its peak ceiling %4.")
                          .arg(inside)
                          .arg(counted)
                          .arg(QString::fromStdString(work_.document.session().targets.name),
                               db_text(work_.document.session().targets.peak_ceiling_dbfs, "dBFS")));
}

void StageTable::fill_row(int row, const Track& track) {
    const auto put = [&](int column, const QString& text) {
        auto* item = new QTableWidgetItem(text);
        item->setToolTip(text);
        table_->setItem(row, column, item);
    };
    for (int c = 0; c < table_->columnCount(); ++c) put(c, {});
    table_->removeCellWidget(row, 10);
    put(0, QString::fromStdString(track.name));
    const Measurement* m = work_.materials.measured(track);
    const auto s = work_.materials.staging(track);
    if (!m || !s) {
        put(9, work_.materials.error(track) ? tr("no file") : tr("being measured…"));
        return;
    }
    const char* unit = measure_unit(s->target.measure);
    const bool average = s->target.measure == Measure::average;
    const auto figure = [&](const Level& level) { return average ? average_text(level) : level_text(level, unit); };
    const auto plus = [](const Level& level, double db) { return level ? Level(*level + db) : std::nullopt; };
    put(1, measure_words(s->target.measure));
    put(2, db_text(s->target.low_dbfs, "").trimmed() + " … " + db_text(s->target.high_dbfs, "").trimmed());
    put(3, figure(s->before_dbfs));
    put(4, (track.locked ? tr("%1 locked") : QString("%1")).arg(db_text(track.trim_db, "dB", true)));
    put(5, figure(s->after_dbfs));
    put(6, level_text(m->sample_peak_dbfs, "dBFS"));
    put(7, level_text(s->peak_after_dbfs, "dBFS"));
    put(8, level_text(plus(m->true_peak_dbtp, track.trim_db), "dBTP"));
    const std::string why = why_not_in_window(work_.document.session().targets, track, *m);
    const QString reason = why.empty() ? tr("not staged") : QString::fromStdString(why);
    QString stands;
    switch (fit_of(*s)) {
        case Fit::inside:
            stands = tr("inside its window");
            break;
        case Fit::silent:
            stands = tr("silent");
            break;
        case Fit::below:
            stands = tr("below: %1").arg(reason);
            break;
        case Fit::above:
            stands = tr("above: %1").arg(reason);
            break;
    }
    if (s->over_ceiling_db > 0.0) stands = tr("%1, %2 over the ceiling").arg(stands, db_text(s->over_ceiling_db));
    put(9, stands);
    const auto choices = choices_for(*s, *m);
    if (choices.empty()) return;
    auto* button = new QToolButton;
    button->setObjectName("choices");
    button->setText(tr("Options…"));
    button->setStyleSheet("border: 1px solid " + theme().faint.name() + "; padding: 0 6px;");
    button->setPopupMode(QToolButton::InstantPopup);
    auto* menu = new QMenu(button);
    for (const Choice choice : choices)
        connect(menu->addAction(choice_words(choice)), &QAction::triggered, this,
                [this, id = track.id, choice] { choose(id, choice); });
    button->setMenu(menu);
    table_->setCellWidget(row, 10, button);
}

void StageTable::choose(TrackId id, Choice choice) {
    const Track* track = work_.document.track(id);
    const MaterialPtr m = track ? work_.materials.of(*track) : nullptr;
    const auto s = track ? work_.materials.staging(*track) : std::nullopt;
    if (!m || !s) return;
    const QString name = QString::fromStdString(track->name) + ": " + choice_words(choice);
    const uint64_t gesture = work_.document.new_gesture();
    work_.document.edit_tracks(
        name, {id}, [&](Track& t) { t = with_choice(t, choice, *s, *m); }, gesture);
    work_.edits.stage_when_measured({id}, name, gesture);
}

}  // namespace isotonus
