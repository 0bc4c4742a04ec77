#include "app/balance/first_balance_page.h"

#include <QHBoxLayout>
#include <QMenu>
#include <QVBoxLayout>

#include "app/desk/plain_table.h"
#include "app/style/text.h"
#include "app/style/theme.h"
#include "app/window/file_actions.h"

namespace isotonus {

FirstBalancePage::FirstBalancePage(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(3);
    auto* line = new QHBoxLayout;
    like_ = new QPushButton(tr("From a rough mix"));
    like_->setObjectName("firstLike");
    like_->setToolTip(
        tr("Finds the faders and pans that make the tracks sound like a rough mix of the same song. A file can also be "
           "dropped here."));
    like_->setMenu(new QMenu(like_));
    connect(like_->menu(), &QMenu::aboutToShow, this, &FirstBalancePage::fill_mixes);
    line->addWidget(like_);
    draft_ = button_in(line, "firstDraft", tr("Draft from what can be heard"),
                       tr("Sets anchors to working levels, and raises every other track until it is heard as its role "
                          "needs. Use it when you have no rough mix."));
    strength_ = new QComboBox;
    strength_->setObjectName("firstStrength");
    strength_->setAccessibleName(tr("Extent of the draft"));
    strength_->setToolTip(
        tr("Which settings a draft proposes: faders only, pans too, or also the widths of tracks that lose too much in "
           "mono."));
    strength_->addItems({tr("Levels only"), tr("Levels and pans"), tr("Levels, pans, widths")});
    strength_->setCurrentIndex(1);
    line->addWidget(strength_);
    also_set_ = new QCheckBox(tr("Also tracks set by hand"));
    also_set_->setObjectName("firstAlsoSet");
    also_set_->setToolTip(
        tr("A track whose fader or pan was moved stays as it is unless this is on. Locked tracks always "
           "stay."));
    line->addWidget(also_set_);
    line->addStretch();
    progress_ = new QProgressBar;
    progress_->setObjectName("firstProgress");
    progress_->setRange(0, 100);
    progress_->setFixedWidth(120);
    dismiss_ =
        button_in(line, "firstDismiss", tr("Dismiss"), tr("Removes the dashed marks. The session stays as it is."));
    column->addLayout(line);
    summary_ = new QLabel;
    summary_->setObjectName("firstSummary");
    summary_->setStyleSheet("font-size: 11px;");
    summary_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    auto* state = new QHBoxLayout;
    state->addWidget(progress_);
    state->addWidget(summary_, 1);
    column->addLayout(state);
    found_ = new QWidget;
    auto* both = new QHBoxLayout(found_);
    both->setContentsMargins(0, 0, 0, 0);
    table_ = plain_table("firstTable", tr("Proposed balance"),
                         {{tr("Track"), tr("The track that the proposal is for.")},
                          {tr("Fader"), tr("The proposed level of the fader.")},
                          {tr("Pan"), tr("The proposed pan.")},
                          {tr("Why"), tr("The reason for the proposal, in a sentence.")}},
                         3);
    table_->setStyleSheet("font-size: 11px;");
    table_->verticalHeader()->setDefaultSectionSize(20);
    both->addWidget(table_, 1);
    auto* deeds = new QVBoxLayout;
    deeds->setSpacing(2);
    auto* slide = new QHBoxLayout;
    from_ = new QLabel(tr("as it is"));
    to_ = new QLabel(tr("as proposed"));
    for (QLabel* label : {from_, to_}) label->setStyleSheet("font-size: 11px;");
    share_ = new QSlider(Qt::Horizontal);
    share_->setObjectName("firstShare");
    share_->setAccessibleName(tr("Between the current and the proposed balance"));
    share_->setToolTip(tr("How much of the proposal is heard and applied. It is heard while the slider moves."));
    share_->setRange(0, 100);
    slide->addWidget(from_);
    slide->addWidget(share_, 1);
    slide->addWidget(to_);
    deeds->addLayout(slide);
    auto* first = new QHBoxLayout;
    all_ = button_in(first, "firstApply", tr("Apply all"),
                     tr("Sets all tracks that are listed, as far as the slider says. One undo brings them back."));
    one_ = button_in(first, "firstApplyOne", tr("Apply to this track"),
                     tr("Applies only the track that is selected in the list."));
    deeds->addLayout(first);
    auto* second = new QHBoxLayout;
    difference_ = button_in(second, "firstDifference", tr("Hear the remainder"),
                            tr("Plays the rough mix minus the sum of the tracks, at its level. You hear the part of "
                               "the rough mix that faders and pans cannot explain."));
    difference_->setCheckable(true);
    sections_ = button_in(second, "firstSections", tr("Rides by section"),
                          tr("Where a track is louder or softer in a section, a ride follows the rough mix."));
    deeds->addLayout(second);
    why_ = new QLabel;
    why_->setObjectName("firstWhy");
    why_->setWordWrap(true);
    why_->setStyleSheet("font-size: 11px;");
    why_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    why_->setFixedWidth(300);
    deeds->addWidget(why_, 1);
    both->addLayout(deeds);
    column->addWidget(found_, 1);
    column->addStretch();

    connect(draft_, &QPushButton::clicked, this, [this] {
        work_.first.draft(static_cast<DraftStrength>(strength_->currentIndex()), also_set_->isChecked());
    });
    connect(dismiss_, &QPushButton::clicked, this, [this] { work_.first.dismiss(); });
    connect(all_, &QPushButton::clicked, this, [this] { work_.first.apply(); });
    connect(one_, &QPushButton::clicked, this, &FirstBalancePage::apply_selected);
    connect(sections_, &QPushButton::clicked, this, [this] { work_.first.apply_sections(); });
    connect(difference_, &QPushButton::clicked, this, [this](bool on) { work_.first.hear_difference(on); });
    connect(share_, &QSlider::valueChanged, this, [this](int percent) {
        work_.first.set_share(percent / 100.0);
        show_ghosts();
    });
    connect(table_, &QTableWidget::itemSelectionChanged, this, [this] {
        const int row = table_->currentRow();
        const auto& rows = work_.first.rows();
        if (row < 0 || static_cast<size_t>(row) >= rows.size()) return;
        one_->setEnabled(!rows[static_cast<size_t>(row)].kept);
        if (work_.document.focused() != rows[static_cast<size_t>(row)].id)
            work_.document.select_only(rows[static_cast<size_t>(row)].id);
    });
    connect(&work_.document, &Document::selection_changed, this, &FirstBalancePage::show_why);
    connect(&work_.first, &FirstBalance::changed, this, &FirstBalancePage::follow);
    connect(&work_.first, &FirstBalance::hearing_changed, this,
            [this] { difference_->setChecked(work_.first.hears_difference()); });
    timer_.setInterval(100);
    connect(&timer_, &QTimer::timeout, this,
            [this] { progress_->setValue(static_cast<int>(100.0 * work_.first.progress())); });
    follow();
}

void FirstBalancePage::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    show_ghosts();
}

void FirstBalancePage::hideEvent(QHideEvent* event) {
    QWidget::hideEvent(event);
    work_.first.hear_the_mix();
}

void FirstBalancePage::fill_mixes() {
    QMenu* menu = like_->menu();
    menu->clear();
    QAction* choose = menu->addAction(tr("Choose a file…"), this, [this] {
        if (const auto file = work_.prompter->open_file(tr("Rough mix"), FileActions::audio_filter()))
            work_.first.find_like(*file);
    });
    choose->setObjectName("firstChoose");
    choose->setToolTip(tr("A two-track export of the same song, from the program in which it was made."));
    for (const Recording& r : work_.comparison.recordings())
        menu->addAction(QString::fromStdString(r.name), this, [this, file = r.file] { work_.first.find_like(file); });
}

void FirstBalancePage::follow() {
    const FirstBalance& first = work_.first;
    const bool found = !first.rows().empty();
    progress_->setVisible(first.busy());
    first.busy() ? timer_.start() : timer_.stop();
    dismiss_->setVisible(first.busy() || found || !first.trouble().isEmpty());
    dismiss_->setText(first.busy() ? tr("Cancel") : tr("Dismiss"));
    found_->setVisible(found);
    const QSignalBlocker quiet(table_), still(share_);
    share_->setValue(static_cast<int>(std::lround(100.0 * first.share())));
    difference_->setVisible(first.has_difference());
    sections_->setVisible(first.any_sections());
    if (first.busy())
        summary_->setText(tr("Measuring the whole song…"));
    else if (!first.trouble().isEmpty())
        summary_->setText(first.trouble());
    else if (found)
        summary_->setText(first.summary().join(' '));
    else
        summary_->setText(
            tr("Proposes faders and pans for all tracks, as dashed marks with a reason for each. Nothing "
               "changes until it is applied."));
    summary_->setToolTip(first.summary().join('\n'));
    table_->setRowCount(static_cast<int>(first.rows().size()));
    for (size_t n = 0; n < first.rows().size(); ++n) {
        const FirstBalance::Row& r = first.rows()[n];
        const QStringList cells{QString::fromStdString(work_.document.session().name_of(r.id)), db_text(r.fader_db),
                                r.pan ? pan_text(*r.pan) : QString(), r.why};
        for (int c = 0; c < cells.size(); ++c) {
            auto* item = new QTableWidgetItem(cells[c]);
            item->setToolTip(cells[c]);
            if (r.kept) item->setForeground(theme().faint);
            table_->setItem(static_cast<int>(n), c, item);
        }
    }
    one_->setEnabled(false);
    show_ghosts();
    show_why();
}

void FirstBalancePage::show_why() {
    const auto& rows = work_.first.rows();
    const auto at = std::ranges::find(rows, work_.document.focused(), &FirstBalance::Row::id);
    why_->setText(at == rows.end() ? QString()
                                   : QString::fromStdString(work_.document.session().name_of(at->id)) + ": " + at->why);
}

void FirstBalancePage::show_ghosts() {
    if (work_.view.balance.page != BalanceView::Page::first) return;
    BalanceView::Ghosts ghosts;
    const Session shown = work_.first.shown();
    for (const FirstBalance::Row& r : work_.first.rows()) {
        const Track* t = shown.find(r.id);
        if (!t || r.kept) continue;
        ghosts[r.id].fader_db = t->fader_db;
        if (r.pan) ghosts[r.id].pan = t->pan;
    }
    work_.view.balance.show_ghosts(std::move(ghosts));
}

void FirstBalancePage::apply_selected() {
    const int row = table_->currentRow();
    if (row >= 0 && static_cast<size_t>(row) < work_.first.rows().size())
        work_.first.apply(work_.first.rows()[static_cast<size_t>(row)].id);
}

}  // namespace isotonus
