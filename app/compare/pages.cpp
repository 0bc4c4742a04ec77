#include "app/compare/pages.h"

#include <QDateTime>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>
#include <random>

#include "app/desk/lane.h"

namespace isotonus {

namespace {

void put(QTableWidget* table, int row, const QStringList& cells) {
    for (int c = 0; c < cells.size(); ++c) {
        auto* item = new QTableWidgetItem(cells[c]);
        item->setToolTip(cells[c]);
        table->setItem(row, c, item);
    }
    table->setRowHeight(row, 24);
}

std::optional<size_t> row_chosen(const QTableWidget* table, size_t count) {
    const int r = table->currentRow();
    return r >= 0 && static_cast<size_t>(r) < count && !table->selectedItems().isEmpty()
               ? std::optional(static_cast<size_t>(r))
               : std::nullopt;
}

}  // namespace

// --- what has changed -----------------------------------------------------------------------------------------------

ChangesPage::ChangesPage(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    words_ = new QLabel;
    words_->setObjectName("changesWords");
    words_->setWordWrap(true);
    column->addWidget(words_);
    table_ = plain_table("changesTable", tr("Changes since the print"),
                         {{tr("Channel"), tr("The track, bus or main output that has changed.")},
                          {tr("Changes"), tr("What differs between the print and now.")}},
                         1);
    column->addWidget(table_, 1);
    auto* row = new QHBoxLayout;
    one_ = button_in(row, "changesTakeBack", tr("Restore this channel"),
                     tr("Restores this channel as it was at the print, in one undo step."));
    all_ = button_in(row, "changesTakeAll", tr("Restore everything"),
                     tr("Restores the whole sound as it was at the print. Notes, targets and sections stay."));
    row->addStretch();
    column->addLayout(row);
    connect(one_, &QPushButton::clicked, this, &ChangesPage::take_back);
    connect(all_, &QPushButton::clicked, this, [this] {
        if (then_ && recording_)
            work_.document.edit(
                tr("Back to %1").arg(QString::fromStdString(work_.comparison.recordings()[*recording_].name)),
                all_taken_back(work_.document.session(), *then_));
    });
    connect(table_, &QTableWidget::itemSelectionChanged, this,
            [this] { one_->setEnabled(row_chosen(table_, changes_.size()).has_value()); });
    connect(&work_.document, &Document::session_changed, this, &ChangesPage::follow);
    follow();
}

void ChangesPage::show_since(std::optional<size_t> recording) {
    recording_ = recording;
    follow();
}

void ChangesPage::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    follow();
}

void ChangesPage::follow() {
    if (!isVisible()) return;  // an edit elsewhere does not wait for it
    const auto& all = work_.comparison.recordings();
    if (recording_ && (*recording_ >= all.size() || all[*recording_].reference)) recording_.reset();
    if (recording_ && all[*recording_].file != read_from_) {
        read_from_ = all[*recording_].file;
        then_.reset();
        trouble_.clear();
        if (auto then = work_.comparison.session_then(*recording_))
            then_ = std::move(*then);
        else
            trouble_ = QString::fromStdString(then.error().text());
    }
    changes_ = recording_ && then_ ? changes_between(*then_, work_.document.session()) : std::vector<RowChange>{};
    table_->setRowCount(static_cast<int>(changes_.size()));
    for (size_t n = 0; n < changes_.size(); ++n) {
        QStringList words;
        for (const std::string& w : changes_[n].words) words << QString::fromStdString(w);
        put(table_, static_cast<int>(n), {QString::fromStdString(changes_[n].name), words.join("; ")});
    }
    if (!recording_)
        words_->setText(tr("Choose a print below to see what has changed since."));
    else if (!trouble_.isEmpty())
        words_->setText(trouble_);
    else if (changes_.empty())
        words_->setText(tr("No audible change since %1.").arg(QString::fromStdString(all[*recording_].name)));
    else
        words_->setText(
            tr("Since %1 (%2):")
                .arg(QString::fromStdString(all[*recording_].name), QString::fromStdString(all[*recording_].made)));
    one_->setEnabled(row_chosen(table_, changes_.size()).has_value());
    all_->setEnabled(!changes_.empty());
}

void ChangesPage::take_back() {
    const auto n = row_chosen(table_, changes_.size());
    if (!n || !then_) return;
    const RowChange change = changes_[*n];
    work_.document.edit(tr("Restore %1").arg(QString::fromStdString(change.name)),
                        taken_back(work_.document.session(), *then_, change.row));
}

// --- notes ----------------------------------------------------------------------------------------------------------

NotesPage::NotesPage(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    table_ = plain_table("notesTable", tr("Listening notes"),
                         {{tr("Done"), tr("Tick a note when you have dealt with it.")},
                          {tr("Time"), tr("Where in the song you noticed it. Double click to go there.")},
                          {tr("Note"), tr("What you noticed.")},
                          {tr("System"), tr("The system on which you noticed it.")},
                          {tr("Made"), tr("When you made the note.")}},
                         2);
    column->addWidget(table_, 1);
    auto* row = new QHBoxLayout;
    auto* add =
        button_in(row, "noteAdd", tr("Note at the playhead…"),
                  tr("Notes what you hear at the playhead. The active speaker check is noted with it. (Shift+N)"));
    change_ = button_in(row, "noteChange", tr("Edit…"), tr("Changes the text of the note."));
    heard_on_ =
        button_in(row, "noteHeardOn", tr("System…"), tr("The system on which you noticed it, such as car or phone."));
    remove_ = button_in(row, "noteRemove", tr("Remove"), tr("Removes the note. Undo restores it."));
    on_sheet_ =
        button_in(row, "notesOnSheet", tr("On the hand-off sheet"), tr("Prints open notes on the hand-off sheet."));
    on_sheet_->setCheckable(true);
    row->addStretch();
    column->addLayout(row);
    connect(add, &QPushButton::clicked, this, [this] { work_.edits.add_note(work_.player.position_s()); });
    connect(change_, &QPushButton::clicked, this, [this] {
        const auto n = chosen();
        if (!n) return;
        const auto text = work_.prompter->ask_text(tr("Listening note"), tr("Text of the note"),
                                                   QString::fromStdString(work_.document.session().notes[*n].text));
        if (text)
            work_.edits.change_note(*n, tr("Edit a note"), [&](ListeningNote& x) { x.text = text->toStdString(); });
    });
    connect(heard_on_, &QPushButton::clicked, this, [this] {
        const auto n = chosen();
        if (!n) return;
        const auto text = work_.prompter->ask_text(tr("Listening note"), tr("System"),
                                                   QString::fromStdString(work_.document.session().notes[*n].heard_on));
        if (text)
            work_.edits.change_note(*n, tr("System: %1").arg(*text),
                                    [&](ListeningNote& x) { x.heard_on = text->toStdString(); });
    });
    connect(remove_, &QPushButton::clicked, this, [this] {
        if (const auto n = chosen()) work_.edits.remove_note(*n);
    });
    connect(on_sheet_, &QPushButton::clicked, this, [this](bool on) {
        Session next = work_.document.session();
        next.hand_off.listening_notes_on_sheet = on;
        work_.document.edit(on ? tr("Notes on the sheet") : tr("Notes not on the sheet"), std::move(next));
    });
    connect(table_, &QTableWidget::itemChanged, this, [this](QTableWidgetItem* item) {
        if (filling_ || item->column() != 0) return;
        const bool done = item->checkState() == Qt::Checked;
        const auto n = static_cast<size_t>(item->row());
        // Not from within the list that is filled anew by it.
        QMetaObject::invokeMethod(
            this,
            [this, n, done] {
                work_.edits.change_note(n, done ? tr("Mark a note as done") : tr("Reopen a note"),
                                        [&](ListeningNote& x) { x.done = done; });
            },
            Qt::QueuedConnection);
    });
    connect(table_, &QTableWidget::cellDoubleClicked, this, [this](int r, int) {
        const auto& notes = work_.document.session().notes;
        if (static_cast<size_t>(r) < notes.size()) work_.player.locate(notes[static_cast<size_t>(r)].time_s);
    });
    connect(table_, &QTableWidget::itemSelectionChanged, this, [this] {
        for (QPushButton* b : {change_, heard_on_, remove_}) b->setEnabled(chosen().has_value());
    });
    connect(&work_.document, &Document::session_changed, this, &NotesPage::follow);
    follow();
}

std::optional<size_t> NotesPage::chosen() const { return row_chosen(table_, work_.document.session().notes.size()); }

void NotesPage::follow() {
    filling_ = true;
    const auto& notes = work_.document.session().notes;
    const int kept = table_->currentRow();
    table_->setRowCount(static_cast<int>(notes.size()));
    for (size_t n = 0; n < notes.size(); ++n) {
        const ListeningNote& note = notes[n];
        const QString made = QString::fromStdString(note.made).replace('T', ' ').left(16);
        put(table_, static_cast<int>(n),
            {QString(), time_text(note.time_s), QString::fromStdString(note.text),
             note.heard_on.empty() ? tr("the room") : QString::fromStdString(note.heard_on), made});
        QTableWidgetItem* tick = table_->item(static_cast<int>(n), 0);
        tick->setFlags(Qt::ItemIsUserCheckable | Qt::ItemIsEnabled | Qt::ItemIsSelectable);
        tick->setCheckState(note.done ? Qt::Checked : Qt::Unchecked);
    }
    if (kept >= 0 && kept < table_->rowCount()) table_->setCurrentCell(kept, 2);
    on_sheet_->setChecked(work_.document.session().hand_off.listening_notes_on_sheet);
    for (QPushButton* b : {change_, heard_on_, remove_}) b->setEnabled(chosen().has_value());
    filling_ = false;
}

// --- blind ----------------------------------------------------------------------------------------------------------

BlindPage::BlindPage(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    words_ = new QLabel;
    words_->setObjectName("blindWords");
    words_->setWordWrap(true);
    column->addWidget(words_);
    auto* row = new QHBoxLayout;
    rounds_ = new QSpinBox;
    rounds_->setObjectName("blindRounds");
    rounds_->setToolTip(tr("The number of rounds. More rounds make the result more certain; 8 are a good start."));
    rounds_->setAccessibleName(tr("Rounds"));
    rounds_->setRange(1, 100);
    rounds_->setValue(8);
    rounds_->setSuffix(' ' + tr("rounds"));
    row->addWidget(rounds_);
    start_ = button_in(row, "blindStart", tr("Start"), tr("Shuffles the versions in every round, at one loudness."));
    stop_ = button_in(row, "blindStop", tr("Stop the test"), tr("Ends the comparison without a result."));
    row->addStretch();
    column->addLayout(row);
    auto* choices = new QHBoxLayout;
    for (size_t letter = 0; letter < 3; ++letter) {
        const QString name(QChar('A' + static_cast<int>(letter)));
        auto* hear = button_in(choices, ("blindHear" + name.toStdString()).c_str(), tr("Hear %1").arg(name),
                               tr("Plays this version at the song's position."));
        auto* best = button_in(choices, ("blindBest" + name.toStdString()).c_str(), tr("%1 is the best").arg(name),
                               tr("Votes for this version and starts the next round."));
        hear->setCheckable(true);
        connect(hear, &QPushButton::clicked, this, [this, letter] { this->hear(letter); });
        connect(best, &QPushButton::clicked, this, [this, letter] { choose(letter); });
        letters_.push_back({hear, best});
        choices->addSpacing(16);
    }
    choices->addStretch();
    column->addLayout(choices);
    results_ = new QLabel;
    results_->setObjectName("blindResults");
    results_->setWordWrap(true);
    results_->setAlignment(Qt::AlignLeft | Qt::AlignTop);
    column->addWidget(results_, 1);
    connect(start_, &QPushButton::clicked, this, &BlindPage::start);
    connect(stop_, &QPushButton::clicked, this, &BlindPage::stop);
    connect(&work_.comparison, &Comparison::changed, this, &BlindPage::follow);
    connect(&work_.document, &Document::session_changed, this, &BlindPage::follow);
    follow();
}

void BlindPage::choose_from(std::vector<size_t> recordings) {
    if (recordings.size() > 2) recordings.resize(2);
    offered_ = std::move(recordings);
    follow();
}

void BlindPage::start() {
    versions_ = {std::nullopt};
    for (const size_t n : offered_) versions_.emplace_back(n);
    if (versions_.size() < 2 || !work_.comparison.begin_blind(offered_)) return;
    std::random_device random;
    running_.emplace(versions_.size(), rounds_->value(), (uint64_t{random()} << 32) | random());
    hear(0);
}

void BlindPage::hear(size_t letter) {
    if (!running_ || letter >= running_->versions()) return;
    work_.comparison.hear(versions_[running_->under(letter)]);
    for (size_t n = 0; n < letters_.size(); ++n) letters_[n].hear->setChecked(n == letter);
    follow();
}

void BlindPage::choose(size_t letter) {
    if (!running_ || letter >= running_->versions()) return;
    running_->choose(letter);
    if (!running_->finished()) return hear(0);
    Session next = work_.document.session();
    BlindResult result;
    result.made = QDateTime::currentDateTime().toString(Qt::ISODate).toStdString();
    for (const auto& version : versions_)
        result.versions.push_back(version ? work_.comparison.recordings()[*version].name : tr("the mix").toStdString());
    result.chosen = running_->chosen();
    next.blind_results.push_back(std::move(result));
    stop();
    work_.document.edit(tr("Blind comparison"), std::move(next));
}

void BlindPage::stop() {
    running_.reset();
    work_.comparison.end_blind();
    follow();
}

void BlindPage::follow() {
    if (running_ && !work_.comparison.blind()) running_.reset();  // what is compared has changed
    const auto& all = work_.comparison.recordings();
    QStringList names{tr("the mix")};
    for (const size_t n : offered_)
        if (n < all.size()) names << QString::fromStdString(all[n].name);
    const bool enough = names.size() >= 2;
    if (running_)
        words_->setText(tr("Round %1 of %2: listen as often as you like, then vote for the best. Names are hidden; "
                           "look away from the meters.")
                            .arg(running_->round() + 1)
                            .arg(running_->rounds()));
    else if (!enough)
        words_->setText(tr("Choose one or two recordings below. The mix is always one of the versions."));
    else {
        QString versions = names.takeFirst();
        for (const QString& name : names) versions = tr("%1 against %2").arg(versions, name);
        words_->setText(tr("%1, shuffled under letters in each round and matched in loudness.").arg(versions));
    }
    start_->setEnabled(!running_ && enough);
    rounds_->setEnabled(!running_);
    stop_->setEnabled(running_.has_value());
    for (size_t n = 0; n < letters_.size(); ++n)
        for (QPushButton* b : {letters_[n].hear, letters_[n].best}) {
            b->setVisible(running_ && n < running_->versions());
            b->setEnabled(running_.has_value());
        }
    QStringList lines;
    const auto& results = work_.document.session().blind_results;
    for (size_t n = results.size(); n-- > 0 && lines.size() < 5;) {
        const BlindResult& r = results[n];
        QStringList counts;
        int rounds = 0;
        for (size_t v = 0; v < r.versions.size(); ++v) {
            counts << tr("%1: %2").arg(QString::fromStdString(r.versions[v])).arg(r.chosen[v]);
            rounds += r.chosen[v];
        }
        const double chance = chance_of_most(r.chosen);
        lines << (chance < 0.05 ? tr("%1, %n round(s): %2. By chance one version gets that many votes in %3 % of such "
                                     "comparisons: you heard the difference.",
                                     nullptr, rounds)
                                : tr("%1, %n round(s): %2. By chance one version gets that many votes in %3 % of such "
                                     "comparisons: the result proves little.",
                                     nullptr, rounds))
                     .arg(QString::fromStdString(r.made).replace('T', ' ').left(16), counts.join(", "))
                     .arg(100.0 * chance, 0, 'f', chance < 0.1 ? 1 : 0);
    }
    results_->setText(lines.join('\n'));
}

// --- am I done? -----------------------------------------------------------------------------------------------------

DonePage::DonePage(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    table_ = plain_table("doneTable", tr("Progress of the job"),
                         {{QString(), {}},
                          {tr("Part of the job"), tr("Each part of the job, done or open.")},
                          {tr("Where"), tr("Click to go to the view in which it is done.")}},
                         1);
    column->addWidget(table_, 1);
    const auto go = [this](int row) {
        if (row < 0 || static_cast<size_t>(row) >= shown_.size()) return;
        const Line line = shown_[static_cast<size_t>(row)];
        // The page goes with its station.
        QMetaObject::invokeMethod(
            &work_.view,
            [&view = work_.view, line] {
                emit view.station_wanted(line.station);
                if (line.then) line.then();
            },
            Qt::QueuedConnection);
    };
    connect(table_, &QTableWidget::cellClicked, this, [go](int row, int column) {
        if (column == 2) go(row);
    });
    connect(table_, &QTableWidget::cellActivated, this, [go](int row, int) { go(row); });
    timer_.setInterval(1000);
    connect(&timer_, &QTimer::timeout, this, &DonePage::follow);
    timer_.start();
}

void DonePage::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    work_.mix.want_audibility(true);
    follow();
}

DonePage::Counts DonePage::counts() const {
    const Session& session = work_.document.session();
    Counts c;
    for (const auto& t : session.tracks) {
        const auto& findings = work_.materials.findings(*t);
        c.flagged += std::any_of(findings.begin(), findings.end(), [](const Finding& f) { return f.fault; }) ? 1 : 0;
        if (const auto s = work_.materials.staging(*t); s && fit_of(*s) != Fit::silent) {
            ++c.counted;
            c.in_window += fit_of(*s) == Fit::inside || t->locked ? 1 : 0;
        }
        c.anchors += t->anchor ? 1 : 0;
        if (!session.is_heard(*t)) continue;
        ++c.heard;
        const Audibility* a = work_.mix.audibility(t->id);
        if (!a)
            ++c.unknown;
        else if (a->share && *a->share < hardly_heard)
            ++c.covered;
    }
    return c;
}

std::vector<DonePage::Line> DonePage::lines() const {
    enum Station { gather, stage, balance, shape, ride, compare, hand_off };
    const Session& session = work_.document.session();
    const auto count = static_cast<int>(session.tracks.size());
    std::vector<Line> found;
    const auto add = [&](bool done, const QString& text, Station where, std::function<void()> then = {}) {
        found.push_back({done, text, where, std::move(then)});
    };
    const auto [flagged, in_window, counted, anchors, covered, heard, unknown] = counts();
    const auto missing = static_cast<int>(work_.materials.missing().size());
    QString files = tr("no file has an open finding");
    if (count == 0)
        files = tr("no tracks yet");
    else if (missing > 0)
        files = tr("missing: %n file(s)", nullptr, missing);
    else if (flagged > 0)
        files = tr("the files of %n track(s) have faults", nullptr, flagged);
    add(count > 0 && missing == 0 && flagged == 0, files, gather);
    add(counted > 0 && in_window == counted,
        tr("%1 of %2 tracks are staged into their windows").arg(in_window).arg(counted), stage);
    add(anchors > 0,
        anchors > 0 ? tr("anchors set: %n", nullptr, anchors)
                    : tr("no anchor is set: choose the tracks that the mix is built on"),
        balance);
    const auto& peak = work_.mix.peak();
    const bool in_peak = peak && peak->dbfs && *peak->dbfs <= session.targets.mains_high_dbfs;
    add(in_peak,
        peak && peak->dbfs ? tr("the mix peaks at %1, its window ends at %2")
                                 .arg(db_text(*peak->dbfs, "dBFS"), db_text(session.targets.mains_high_dbfs, "dBFS"))
                           : tr("the peak of the mix is not known yet"),
        balance, [&view = work_.view] { view.balance.show_page(BalanceView::Page::headroom); });
    QString heard_words = tr("every track is heard");
    if (unknown > 0)
        heard_words = tr("audibility is being computed");
    else if (covered > 0)
        heard_words = tr("hardly heard under the others: %n track(s)", nullptr, covered);
    add(heard > 0 && covered == 0 && unknown == 0, heard_words, balance,
        [&view = work_.view] { view.balance.show_page(BalanceView::Page::cover); });
    constexpr double enough_s = 10.0;  // long enough to have meant it
    const auto listened = [&](double seconds, const QString& how) {
        add(seconds >= enough_s,
            seconds >= enough_s ? tr("heard %1, %2 s").arg(how).arg(std::lround(seconds))
                                : tr("not heard %1 yet").arg(how),
            balance);
    };
    listened(work_.listened.mono_s(), tr("in mono"));
    listened(work_.listened.quiet_s(), tr("at the quiet check's level"));
    listened(work_.listened.small_s(), tr("on a small system"));
    constexpr qint64 hour_s = 3600;
    const bool reference = work_.comparison.reference_heard_within(hour_s);
    const bool any = std::any_of(session.recordings.begin(), session.recordings.end(),
                                 [](const Recording& r) { return r.reference; });
    QString reference_words = tr("the session has no reference");
    if (reference)
        reference_words = tr("a reference was played in the last hour");
    else if (any)
        reference_words = tr("no reference was played in the last hour");
    add(reference, reference_words, compare);
    const auto open = static_cast<int>(
        std::count_if(session.notes.begin(), session.notes.end(), [](const ListeningNote& n) { return !n.done; }));
    add(open == 0, open == 0 ? tr("no listening note is open") : tr("still open: %n listening note(s)", nullptr, open),
        compare, [&view = work_.view] { view.compare.show_page(CompareView::Page::notes); });
    const auto& m = work_.mix.leaving_figures();
    const HandOffLimits limits = limits_of(session.hand_off.profile, session.hand_off.own);
    const bool clean = m && m->measurement.true_peak_dbtp &&
                       *m->measurement.true_peak_dbtp <= limits.max_true_peak_dbtp && m->measurement.sample_peak_dbfs &&
                       *m->measurement.sample_peak_dbfs <= limits.max_peak_dbfs;
    QString peaks = tr("the peaks of the exported mix are above the limits");
    if (!m)
        peaks = tr("the exported mix is being measured");
    else if (clean)
        peaks = tr("the peaks of the exported mix are inside the limits; Hand off has the other checks");
    add(clean, peaks, hand_off);
    return found;
}

void DonePage::follow() {
    if (!isVisible()) return;
    shown_ = lines();
    const int kept = table_->currentRow();
    const QStringList stations{tr("Gather"), tr("Stage"),   tr("Balance"), tr("Shape"),
                               tr("Ride"),   tr("Compare"), tr("Hand off")};
    if (table_->rowCount() != static_cast<int>(shown_.size())) table_->setRowCount(static_cast<int>(shown_.size()));
    for (size_t n = 0; n < shown_.size(); ++n) {
        const Line& line = shown_[n];
        put(table_, static_cast<int>(n),
            {line.done ? QString(QChar(0x2713)) : QString(QChar(0x2013)), line.text,
             tr("Go to %1").arg(stations[line.station])});
        table_->item(static_cast<int>(n), 1)->setForeground(line.done ? theme().faint : theme().text);
        table_->item(static_cast<int>(n), 2)->setForeground(theme().accent);
    }
    if (kept >= 0 && kept < table_->rowCount()) table_->setCurrentCell(kept, 1);
}

}  // namespace isotonus
