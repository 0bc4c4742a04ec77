#include "app/compare/compare.h"

#include <QCoreApplication>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QMenu>
#include <QVBoxLayout>
#include <algorithm>

#include "app/shape/frequency.h"

namespace isotonus {

namespace {

using ComparePage = CompareView::Page;

}  // namespace

ComparePanel::ComparePanel(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("comparePanel");
    setFixedHeight(428);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(12, 8, scroll_width, 8);
    column->setSpacing(6);
    column->addLayout(make_pages(), 1);
    words_ = new QLabel;
    words_->setObjectName("compareWords");
    column->addWidget(words_);
    table_ =
        plain_table("compareTable", tr("Recordings to compare with"),
                    {{tr("Heard"), tr("A dot marks the recording that plays now.")},
                     {tr("Name"), tr("The name of the recording. Double click to hear it.")},
                     {tr("Kind"), tr("A print is an export of this mix, a reference is a finished recording.")},
                     {tr("Loudness"), tr("The integrated loudness of the whole recording (LUFS).")},
                     {tr("True peak"), tr("The peak of the wave between its samples.")},
                     {tr("Sample peak"), tr("The highest sample of the recording.")},
                     {tr("Gain match"), tr("How much the recording is raised or lowered to be as loud as the mix.")},
                     {tr("Date, note"), tr("When the recording was made, and your note.")}},
                    7);
    table_->setSelectionMode(QAbstractItemView::ExtendedSelection);
    table_->setFixedHeight(132);
    column->addWidget(table_);
    column->addLayout(make_buttons());
    connect(&work_.comparison, &Comparison::changed, this, &ComparePanel::refresh);
    connect(&work_.document, &Document::session_changed, this, &ComparePanel::refresh);
    connect(&work_.view.compare, &CompareView::changed, this, &ComparePanel::show_page);
    connect(table_, &QTableWidget::itemSelectionChanged, this, [this] {
        const bool one = one_chosen().has_value();
        for (QPushButton* b : {hear_, note_, remove_}) b->setEnabled(one);
        show_chosen();
    });
    connect(table_, &QTableWidget::cellDoubleClicked, this, [this](int r, int) {
        if (!work_.comparison.blind())
            work_.comparison.hear(r == 0 ? std::nullopt : std::optional(static_cast<size_t>(r - 1)));
    });
    work_.comparison.show(true);
    refresh();
    show_page();
}

ComparePanel::~ComparePanel() { work_.comparison.show(false); }

QLayout* ComparePanel::make_pages() {
    auto* row = new QHBoxLayout;
    row->setSpacing(0);
    auto* list = new QVBoxLayout;
    list->setSpacing(2);
    pages_ = new QStackedWidget;
    const auto page = [&](ComparePage which, const char* name, const QString& title, const QString& tip,
                          QWidget* widget) {
        auto* b = new QToolButton;
        b->setObjectName(name);
        b->setText(title);
        b->setToolTip(tip);
        b->setCheckable(true);
        b->setFixedSize(head_width - 36, 24);
        b->setFocusPolicy(Qt::TabFocus);
        connect(b, &QToolButton::clicked, this, [this, which] { work_.view.compare.show_page(which); });
        connect(&work_.view.compare, &CompareView::changed, b,
                [this, b, which] { b->setChecked(work_.view.compare.page == which); });
        b->setChecked(work_.view.compare.page == which);
        list->addWidget(b);
        pages_->addWidget(widget);
    };
    spectrum_ = new SpectrumPicture(work_, pages_);
    loudness_ = new LoudnessPicture(work_, pages_);
    width_ = new WidthPicture(work_, pages_);
    changes_ = new ChangesPage(work_, pages_);
    blind_ = new BlindPage(work_, pages_);
    page(ComparePage::frequencies, "pageFrequencies", tr("Frequencies"),
         tr("Shows where the mix has too little or too much. Click a band to see which tracks make it."), spectrum_);
    page(ComparePage::loudness, "pageLoudness", tr("Loudness over time"),
         tr("Shows the mix and the recordings one below the other, with their passages. Tie a passage to compare it "
            "with a part of the song."),
         make_loudness_page());
    page(ComparePage::width, "pageWidth", tr("Width by bands"),
         tr("Shows how wide each band is, and whether the low end is mono."), width_);
    page(ComparePage::changes, "pageChanges", tr("Since the print"),
         tr("Lists what has changed since a print, and restores it channel by channel."), changes_);
    page(ComparePage::notes, "pageNotes", tr("Listening notes"),
         tr("Lists your listening notes: what you noticed, where in the song, and on which system."),
         new NotesPage(work_, pages_));
    page(ComparePage::blind, "pageBlind", tr("Blind"),
         tr("Compares versions without their names, so that only your ears decide."), blind_);
    page(ComparePage::done, "pageDone", tr("Am I done?"),
         tr("Lists which parts of the job are done, and which are open."), new DonePage(work_, pages_));
    scope_ = new QComboBox;
    scope_->setObjectName("compareScope");
    scope_->setAccessibleName(tr("Spectrum source"));
    scope_->addItems({tr("Whole song"), tr("Passage"), tr("Live")});
    scope_->setToolTip(
        tr("The part that spectra and widths are computed from: the whole song, the tied passages at the playhead, or "
           "the last second."));
    scope_->setFixedWidth(head_width - 36);
    scope_->setCurrentIndex(static_cast<int>(work_.comparison.spectra.scope()));
    connect(scope_, &QComboBox::activated, this,
            [this](int n) { work_.comparison.spectra.set_scope(static_cast<ComparedSpectra::Scope>(n)); });
    list->addSpacing(4);
    list->addWidget(scope_);
    list->addStretch();
    row->addLayout(list);
    row->addSpacing(head_width - 12 - (head_width - 36));
    row->addWidget(pages_, 1);
    return row;
}

QWidget* ComparePanel::make_loudness_page() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(loudness_, 1);
    auto* row = new QHBoxLayout;
    tie_ = button_in(row, "passageTie", tr("Tie to this part of the song"),
                     tr("Compares the marked passage of the recording with the loop or section at the playhead. F6 "
                        "switches between the two."));
    untie_ = button_in(row, "passageUntie", tr("Untie"),
                       tr("Ends the comparison with this part of the song. The passage stays marked."));
    rename_ = button_in(row, "passageRename", tr("Name…"), tr("Names the passage, for example 'chorus'."));
    drop_ = button_in(row, "passageRemove", tr("Remove"), tr("Removes the mark of the passage."));
    row->addStretch();
    column->addLayout(row);
    const auto changed = [this](const QString& name, auto change) {
        if (const auto at = loudness_->chosen())
            work_.comparison.change(at->first, name, [&](Recording& r) { change(r, r.passages[at->second]); });
    };
    connect(tie_, &QPushButton::clicked, this, &ComparePanel::tie);
    connect(untie_, &QPushButton::clicked, this, [changed] {
        changed(tr("Untie a passage"), [](Recording&, RecordingPassage& p) {
            p.song_from_s.reset();
            p.song_to_s.reset();
        });
    });
    connect(rename_, &QPushButton::clicked, this, [this, changed] {
        const auto at = loudness_->chosen();
        if (!at) return;
        const auto& passage = work_.comparison.recordings()[at->first].passages[at->second];
        const auto name = work_.prompter->ask_text(tr("Passage"), tr("Name"), QString::fromStdString(passage.name));
        if (name)
            changed(tr("Passage %1").arg(*name),
                    [&](Recording&, RecordingPassage& p) { p.name = name->toStdString(); });
    });
    connect(drop_, &QPushButton::clicked, this, [this, changed] {
        const auto at = loudness_->chosen();
        if (at)
            changed(tr("Remove a passage"), [&](Recording& r, RecordingPassage&) {
                r.passages.erase(r.passages.begin() + static_cast<std::ptrdiff_t>(at->second));
            });
    });
    const auto enable = [this] {
        const bool any = loudness_->chosen().has_value();
        for (QPushButton* b : {tie_, untie_, rename_, drop_}) b->setEnabled(any);
    };
    connect(loudness_, &LoudnessPicture::passage_chosen, this, enable);
    connect(&work_.comparison, &Comparison::changed, this, enable);
    enable();
    return page;
}

void ComparePanel::tie() {
    const auto at = loudness_->chosen();
    if (!at) return;
    // The loop or section where the song is, whatever is tied there already.
    const auto& loop = work_.player.loop();
    const double now = work_.player.position_s(), song_s = work_.view.time.song_s();
    const Session& session = work_.document.session();
    double from = 0.0, to = song_s;
    if (loop.to_s > loop.from_s) {
        from = loop.from_s, to = loop.to_s;
    } else if (const int section = section_at(session, now); section >= 0) {
        from = session.sections[static_cast<size_t>(section)].start_s;
        to = section_end_s(session, section, song_s);
    }
    if (to <= from) return;
    work_.comparison.change(at->first, tr("Tie a passage to %1").arg(time_text(from)), [&](Recording& r) {
        r.passages[at->second].song_from_s = from;
        r.passages[at->second].song_to_s = to;
    });
}

QLayout* ComparePanel::make_buttons() {
    auto* row = new QHBoxLayout;
    hear_ = button_in(row, "compareHear", tr("Hear it"),
                      tr("Plays the recording instead of the mix, and back. (F6; Ctrl+Shift+F6 from the start of the "
                         "passage; Ctrl+F6 for the next recording)"));
    connect(hear_, &QPushButton::clicked, this, [this] {
        const auto n = one_chosen();
        if (!work_.comparison.blind()) work_.comparison.hear(n == work_.comparison.heard() ? std::nullopt : n);
    });
    connect(button_in(row, "compareAdd", tr("Add a reference…"),
                      tr("Adds an audio file to compare with. It bypasses the faders of the mix.")),
            &QPushButton::clicked, this, [this] {
                for (const fs::path& file : work_.prompter->open_files(
                         tr("References"), tr("Audio (*.wav *.aiff *.aif *.flac *.ogg *.opus *.mp3)")))
                    work_.comparison.add_reference(file);
            });
    shelf_ = new QToolButton;
    shelf_->setObjectName("compareShelf");
    shelf_->setText(tr("From other sessions"));
    shelf_->setToolTip(tr("Adds a reference that you used in another session, with its passages and notes."));
    shelf_->setPopupMode(QToolButton::InstantPopup);
    shelf_->setStyleSheet("QToolButton::menu-indicator { image: none; }");
    shelf_->setMenu(new QMenu(shelf_));
    connect(shelf_->menu(), &QMenu::aboutToShow, this, &ComparePanel::fill_shelf);
    row->addWidget(shelf_);
    note_ = button_in(row, "compareNote", tr("Note…"), tr("Notes what this recording is."));
    connect(note_, &QPushButton::clicked, this, [this] {
        const auto n = one_chosen();
        if (!n) return;
        const auto text = work_.prompter->ask_text(tr("Note"), tr("Description of the recording"),
                                                   QString::fromStdString(work_.comparison.recordings()[*n].note));
        if (text) work_.comparison.set_note(*n, *text);
    });
    remove_ = button_in(row, "compareRemove", tr("Remove from the list"),
                        tr("Removes the recording from the list. The file stays."));
    connect(remove_, &QPushButton::clicked, this, [this] {
        if (const auto n = one_chosen()) work_.comparison.remove(*n);
    });
    row->addStretch();
    row->addWidget(new QLabel(tr("Matched by loudness")));
    match_ = new QComboBox;
    match_->setObjectName("compareMatch");
    match_->setAccessibleName(tr("Loudness match"));
    match_->addItems({tr("Whole song"), tr("Tied passages"), tr("Live")});
    match_->setToolTip(
        tr("What the loudness match is computed from: both recordings as a whole, the two tied passages, or the last "
           "three seconds. If a recording would exceed 0 dBTP, both are lowered alike, for listening only."));
    match_->setCurrentIndex(static_cast<int>(work_.comparison.match_by()));
    connect(match_, &QComboBox::activated, this,
            [this](int n) { work_.comparison.set_match_by(static_cast<MatchBy>(n)); });
    row->addWidget(match_);
    return row;
}

void ComparePanel::fill_shelf() {
    QMenu* menu = shelf_->menu();
    menu->clear();
    const auto& kept = work_.comparison.shelf.recordings();
    if (kept.empty()) menu->addAction(tr("no references yet; added references appear here"))->setEnabled(false);
    for (size_t n = 0; n < kept.size(); ++n) {
        QString name = QString::fromStdString(kept[n].name);
        if (!kept[n].note.empty()) name += " · " + QString::fromStdString(kept[n].note).left(60);
        connect(menu->addAction(name), &QAction::triggered, this, [this, n] { work_.comparison.take_from_shelf(n); });
    }
    if (kept.empty()) return;
    QMenu* off = menu->addMenu(tr("Remove from this list"));
    off->menuAction()->setToolTip(tr("The file stays on the disk."));
    for (size_t n = 0; n < kept.size(); ++n)
        connect(off->addAction(QString::fromStdString(kept[n].name)), &QAction::triggered, this,
                [this, n] { work_.comparison.shelf.drop(n); });
}

std::vector<size_t> ComparePanel::chosen() const {
    std::vector<size_t> found;
    for (int r = 1; r < table_->rowCount(); ++r)
        if (table_->item(r, 0) && table_->item(r, 0)->isSelected()) found.push_back(static_cast<size_t>(r - 1));
    return found;
}

std::optional<size_t> ComparePanel::one_chosen() const {
    const auto all = chosen();
    return all.size() == 1 ? std::optional(all.front()) : std::nullopt;
}

void ComparePanel::show_page() {
    const auto page = static_cast<int>(work_.view.compare.page);
    pages_->setCurrentIndex(page);
    const bool of_recordings =
        work_.view.compare.page != ComparePage::notes && work_.view.compare.page != ComparePage::done;
    for (QWidget* w : {static_cast<QWidget*>(table_), static_cast<QWidget*>(words_)}) w->setVisible(of_recordings);
    scope_->setVisible(work_.view.compare.page == ComparePage::frequencies ||
                       work_.view.compare.page == ComparePage::width);
    show_chosen();
}

void ComparePanel::show_chosen() {
    const std::vector<Recording>& all = work_.comparison.recordings();
    std::vector<size_t> beside = chosen();
    std::optional<size_t> print = one_chosen();
    if (beside.empty()) {
        // With none chosen the mix is beside all references, and what is usual among them; else beside the last print.
        for (size_t n = 0; n < all.size(); ++n)
            if (all[n].reference) beside.push_back(n);
        if (beside.empty() && !all.empty()) beside.push_back(all.size() - 1);
        for (size_t n = 0; n < all.size(); ++n)
            if (!all[n].reference) print = n;  // the last one
    }
    spectrum_->show_beside(beside);
    loudness_->show_beside(beside);
    width_->show_beside(beside);
    changes_->show_since(print);
    if (!work_.comparison.blind()) blind_->choose_from(std::move(beside));
}

void ComparePanel::refresh() {
    const Comparison& all = work_.comparison;
    const auto playing = all.heard();
    const int heard = playing && !all.blind() ? static_cast<int>(*playing) : -1;  // below 0: not said, or the mix
    table_->setRowCount(static_cast<int>(all.recordings().size()) + 1);
    const auto put = [this](int row, const QStringList& cells) {
        for (int c = 0; c < cells.size(); ++c) {
            QTableWidgetItem* item = table_->item(row, c);
            if (!item) table_->setItem(row, c, item = new QTableWidgetItem);
            if (item->text() != cells[c]) item->setText(cells[c]);
        }
        table_->setRowHeight(row, 24);
    };
    const auto& figures = work_.mix.figures();
    const Measurement* mix = figures ? &figures->measurement : nullptr;
    const QString mark = QString(QChar(0x25B6));
    put(0, {playing || all.blind() ? QString() : mark, tr("the current mix"), QString(),
            mix ? level_text(mix->integrated_lufs, "LUFS") : tr("…"),
            mix ? level_text(mix->true_peak_dbtp, "dBTP") : QString(),
            mix ? level_text(mix->sample_peak_dbfs, "dBFS") : QString(),
            all.lower_db() < 0.0 ? db_text(all.lower_db(), "dB", true) : QString(), QString()});
    for (size_t n = 0; n < all.recordings().size(); ++n) {
        const Recording& r = all.recordings()[n];
        const Comparison::Known* k = all.known(n);
        const Measurement* m = k && k->material ? &k->material->measurement : nullptr;
        QString loudness = k && !k->trouble.isEmpty() ? tr("missing") : tr("being read");
        if (m) loudness = level_text(m->integrated_lufs, "LUFS");
        const auto match = all.match_db(n);
        QString last = QString::fromStdString(r.made);
        if (!r.note.empty()) last += (last.isEmpty() ? "" : " · ") + QString::fromStdString(r.note);
        if (k && !k->trouble.isEmpty()) last = k->trouble;
        put(static_cast<int>(n) + 1, {heard == static_cast<int>(n) ? mark : QString(), QString::fromStdString(r.name),
                                      r.reference ? tr("reference") : tr("print"), loudness,
                                      m ? level_text(m->true_peak_dbtp, "dBTP") : QString(),
                                      m ? level_text(m->sample_peak_dbfs, "dBFS") : QString(),
                                      match ? db_text(*match + all.lower_db(), "dB", true) : QString(), last});
    }
    QString words = tr("You hear the mix. F6 switches without a gap, matched in loudness.");
    if (all.blind())
        words = tr("A blind comparison runs: names are hidden here.");
    else if (all.recordings().empty())
        words = tr("No recordings yet. Export the mix with 'Keep as a print', or add a reference.");
    else if (heard >= 0)
        words = tr("You hear %1, matched to the mix's loudness. F6 returns to the mix.")
                    .arg(QString::fromStdString(all.recordings()[static_cast<size_t>(heard)].name));
    if (all.lower_db() < -0.05)
        words = tr("%1 Monitoring is lowered by %2, because the matched recording would clip.")
                    .arg(words, db_text(-all.lower_db(), "dB"));
    words_->setText(words);
    const bool one = one_chosen().has_value();
    for (QPushButton* b : {hear_, note_, remove_}) b->setEnabled(one);
    show_chosen();
}

void ComparePanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().panel);
    painter.setPen(theme().faint);
    painter.drawLine(0, 0, width(), 0);
}

QString CompareStation::title() const { return QCoreApplication::translate("Station", "Compare"); }

QString CompareStation::state(const Workspace& work) const {
    const auto n = static_cast<int>(work.document.session().recordings.size());
    return n > 0 ? QCoreApplication::translate("Station", "%n recording(s)", nullptr, n) : QString();
}

void CompareStation::paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const {
    const QRect frequencies = compare_frequencies(area.width(), area.top(), area.height() - 2);
    const FrequencyRuler ruler{static_cast<double>(frequencies.left()), static_cast<double>(frequencies.right())};
    ruler.paint(painter, frequencies);
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    const auto band = work.view.compare.band;
    painter.drawText(
        QRect(frequencies.right() + 16, area.top(), area.width() - frequencies.right() - 16, area.height()),
        Qt::AlignVCenter | Qt::AlignLeft,
        band ? QCoreApplication::translate("Station", "share of %1").arg(hz_text(third_octave_name_hz(*band)))
             : QCoreApplication::translate("Station", "share of a band (click)"));
}

}  // namespace isotonus
