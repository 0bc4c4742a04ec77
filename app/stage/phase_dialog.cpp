#include "app/stage/phase_dialog.h"

#include <QDialogButtonBox>
#include <QFormLayout>
#include <QHeaderView>
#include <QVBoxLayout>
#include <cmath>

#include "app/desk/plain_table.h"
#include "app/style/text.h"
#include "app/style/theme.h"

namespace isotonus {

namespace {

constexpr double max_delay_s = 0.05;

}  // namespace

PhaseDialog::PhaseDialog(Workspace& work, std::vector<TrackId> rows, QWidget* parent) : QDialog(parent), work_(work) {
    setObjectName("phaseDialog");
    setWindowTitle(tr("Phase and polarity"));
    resize(on_screen({940, 640}, *this));
    auto* layout = new QVBoxLayout(this);
    auto* form = new QFormLayout;
    set_ = new QComboBox;
    set_->setObjectName("phaseSet");
    set_->setAccessibleName(tr("Microphones of one source"));
    set_->setToolTip(
        tr("Tracks that may be microphones of one source. Isotonus finds them by their names and confirms them by "
           "their sound."));
    form->addRow(tr("Microphones"), set_);
    reference_ = new QComboBox;
    reference_->setObjectName("phaseReference");
    reference_->setAccessibleName(tr("Reference"));
    reference_->setToolTip(tr("The microphone that stays where it is. Choose the one closest to the source."));
    form->addRow(tr("Reference"), reference_);
    layout->addLayout(form);
    make_table();
    layout->addWidget(table_, 1);
    advice_ = new QLabel;
    advice_->setObjectName("phaseAdvice");
    advice_->setWordWrap(true);
    layout->addWidget(advice_);

    auto* pictures = new QHBoxLayout;
    pictures->addWidget(hit_ = new HitPicture, 3);
    pictures->addWidget(curve_ = new CorrelationPicture, 2);
    layout->addLayout(pictures);
    layout->addLayout(make_nudges());

    auto* buttons = make_buttons();
    layout->addWidget(buttons);
    connect(apply_, &QPushButton::clicked, this, [this] { apply(true); });
    connect(apply_one_, &QPushButton::clicked, this, [this] { apply(false); });
    connect(undo_, &QPushButton::clicked, this, [this] { work_.document.undo(); });
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(set_, &QComboBox::currentIndexChanged, this, &PhaseDialog::take_set);
    connect(reference_, &QComboBox::currentIndexChanged, this, &PhaseDialog::compare);
    connect(table_, &QTableWidget::itemSelectionChanged, this, &PhaseDialog::show_pictures);
    connect(&work_.document, &Document::session_changed, this, &PhaseDialog::follow_session);
    connect(&work_.materials, &Materials::finished, this, &PhaseDialog::follow_session);
    undo_->setEnabled(false);
    if (rows.size() >= 2)
        show_sets({std::move(rows)});
    else
        look_for_sets();
}

void PhaseDialog::make_table() {
    table_ = plain_table(
        "phaseTable", tr("Delay and polarity against the reference"),
        {{tr("Channel"), tr("The track of a microphone.")},
         {tr("Delay"), tr("How much later the sound arrives than at the reference, in samples.")},
         {tr("Time"), tr("The same delay in milliseconds.")},
         {tr("Distance in air"), tr("How far sound travels in this time: the microphone was farther away by as much.")},
         {tr("Polarity"), tr("Whether the wave swings the same way as that of the reference.")},
         {tr("Correlation"), tr("How alike the two tracks are now: +1 is the same, 0 unrelated, −1 opposite.")},
         {tr("Aligned"), tr("How alike they are with delay and polarity corrected.")},
         {tr("Below 200 Hz"), tr("How much the low end of their sum gains when they are aligned.")}},
        7);
}

QHBoxLayout* PhaseDialog::make_nudges() {
    auto* by_hand = new QHBoxLayout;
    stands_ = new QLabel;
    stands_->setObjectName("phaseStands");
    by_hand->addWidget(stands_, 1);
    const auto button = [&](const char* name, const QString& text, const QString& why, auto work) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setToolTip(why);
        b->setAutoDefault(false);
        connect(b, &QPushButton::clicked, this, work);
        by_hand->addWidget(b);
        nudges_.push_back(b);
    };
    const auto tenth = [this] { return work_.document.session().sample_rate / 10000.0; };
    button("earlierTenth", tr("−0.1 ms"), tr("Moves this track 0.1 ms earlier."), [this, tenth] { nudge(-tenth()); });
    button("earlierSample", tr("−1 sample"), tr("Moves this track one sample earlier."), [this] { nudge(-1.0); });
    button("laterSample", tr("+1 sample"), tr("Moves this track one sample later."), [this] { nudge(1.0); });
    button("laterTenth", tr("+0.1 ms"), tr("Moves this track 0.1 ms later."), [this, tenth] { nudge(tenth()); });
    button("turnOver", tr("Invert polarity"),
           tr("Turns the waveform of this track upside down. Use it when microphones cancel each other."),
           [this] { turn_over(); });
    return by_hand;
}

QDialogButtonBox* PhaseDialog::make_buttons() {
    auto* buttons = new QDialogButtonBox;
    apply_one_ = buttons->addButton(tr("Align this track"), QDialogButtonBox::ActionRole);
    apply_one_->setObjectName("phaseApplyOne");
    apply_ = buttons->addButton(tr("Align all"), QDialogButtonBox::ActionRole);
    apply_->setObjectName("phaseApply");
    for (QPushButton* b : {apply_one_, apply_})
        b->setToolTip(tr("Sets delay and polarity of each track whose match is clear. Undo restores them."));
    undo_ = buttons->addButton(tr("Undo"), QDialogButtonBox::ActionRole);
    undo_->setToolTip(tr("Undoes the last change of the session."));
    undo_->setObjectName("phaseUndo");
    undo_->setAutoDefault(false);
    buttons->addButton(QDialogButtonBox::Close);
    return buttons;
}

void PhaseDialog::look_for_sets() {
    apply_->setEnabled(false);
    apply_one_->setEnabled(false);
    advice_->setText(tr("Searching for microphones of one source…"));
    std::map<TrackId, MaterialPtr> known;
    for (const auto& t : work_.document.session().tracks) known[t->id] = work_.materials.of(*t);
    using Sets = std::vector<std::vector<TrackId>>;
    const auto look = [session = work_.document.session(), known](Progress& progress) -> Result<Sets> {
        return microphone_sets(
            session, [&](const Track& t) { return known.at(t.id); }, &progress);
    };
    jobs_.start(look, [this](const Result<Sets>& sets) { show_sets(sets.value_or(Sets())); });
}

void PhaseDialog::show_sets(const std::vector<std::vector<TrackId>>& sets) {
    sets_ = sets;
    const QSignalBlocker quiet(set_);
    for (const auto& set : sets_) {
        QStringList names;
        for (const TrackId id : set) names << QString::fromStdString(work_.document.track(id)->name);
        set_->addItem(names.join(", "));
    }
    if (sets_.empty())
        advice_->setText(
            tr("No microphones of one source were found. Select two or more tracks to compare them anyway."));
    else
        take_set(0);
}

void PhaseDialog::take_set(int set) {
    if (set < 0 || static_cast<size_t>(set) >= sets_.size()) return;
    rows_ = sets_[static_cast<size_t>(set)];
    const QSignalBlocker quiet(reference_);
    reference_->clear();
    for (const TrackId id : rows_) reference_->addItem(QString::fromStdString(work_.document.track(id)->name));
    compare();
}

void PhaseDialog::compare() {
    ++round_;
    jobs_.give_up();
    apply_->setEnabled(false);
    found_.assign(rows_.size(), std::nullopt);
    advice_->setText(tr("Comparing the strongest hits of both…"));
    table_->clearSpans();
    table_->setRowCount(static_cast<int>(rows_.size()));
    for (size_t row = 0; row < rows_.size(); ++row) compare_row(row);
    const int first = reference_->currentIndex() == 0 ? 1 : 0;
    if (table_->rowCount() > first) table_->selectRow(first);
}

void PhaseDialog::compare_row(size_t row) {
    const size_t reference = static_cast<size_t>(reference_->currentIndex());
    const Track* a = work_.document.track(rows_[reference]);
    const Track* b = work_.document.track(rows_[row]);
    for (int column = 0; column < table_->columnCount(); ++column)
        table_->setItem(static_cast<int>(row), column, new QTableWidgetItem);
    if (!a || !b) return;
    const MaterialPtr heard = work_.materials.of(*a), other = work_.materials.of(*b);
    table_->item(static_cast<int>(row), 0)->setText(QString::fromStdString(b->name));
    if (row == reference || !heard || !other) {
        table_->item(static_cast<int>(row), 1)->setText(row == reference ? tr("reference") : tr("no file"));
        return;
    }
    jobs_.start([heard, other, first = standing_of(*a),
                 second = standing_of(*b)](Progress&) { return align_to(*heard, *other, first, second); },
                [this, round = round_, row](const Result<Alignment>& result) { show_result(round, row, result); });
}

void PhaseDialog::show_result(int round, size_t row, const Result<Alignment>& result) {
    if (round != round_) return;
    const auto put = [&](int column, const QString& text) {
        table_->item(static_cast<int>(row), column)->setText(text);
    };
    if (!result) {
        put(1, QString::fromStdString(result.error().text()));
        return;
    }
    const Alignment& a = *result;
    found_[row] = a;
    const double seconds = a.delay_samples / work_.document.session().sample_rate;
    if (a.reliable) {
        put(1, tr("%1 samples").arg(shown_figure(a.delay_samples, 1)));
        put(2, tr("%1 ms").arg(shown_figure(seconds * 1000.0, 2)));
        put(3, tr("%1 cm").arg(shown_figure(centimetres(seconds), 0)));
        put(4, a.inverted ? tr("inverted") : tr("same"));
        put(7, db_text(a.low_gain_db, "dB", true));
    } else {
        put(1, tr("too different to be aligned"));
        table_->setSpan(static_cast<int>(row), 1, 1, 4);
    }
    put(5, shown_figure(a.correlation_before, 2));
    put(6, shown_figure(a.correlation_after, 2));
    const bool any = std::any_of(found_.begin(), found_.end(), [](const auto& f) { return f && f->reliable; });
    apply_->setEnabled(any);
    advice_->setText(
        any ? tr("Aligned microphones add up instead of cancelling each other. The last column shows how much the low "
                 "end gains. Undo restores the delays.")
            : tr("No track matches the reference closely enough to be aligned. Choose another reference."));
    if (chosen_row() == static_cast<int>(row)) show_pictures();
}

int PhaseDialog::chosen_row() const {
    const auto selected = table_->selectionModel()->selectedRows();
    return selected.isEmpty() ? -1 : selected.front().row();
}

void PhaseDialog::follow_session() {
    undo_->setEnabled(work_.document.can_undo());
    if (rows_.empty()) return;
    const bool all_there =
        std::all_of(rows_.begin(), rows_.end(), [this](TrackId id) { return work_.document.track(id) != nullptr; });
    if (!all_there) {
        reject();
        return;
    }
    // Figures are computed anew once what was changed is measured; the pictures follow at once.
    if (work_.materials.waiting() == 0) {
        ++round_;
        jobs_.give_up();
        table_->clearSpans();
        for (size_t row = 0; row < rows_.size(); ++row) compare_row(row);
    }
    show_pictures();
}

void PhaseDialog::show_pictures() {
    const int row = chosen_row();
    const bool comparable = row >= 0 && row != reference_->currentIndex();
    for (QPushButton* b : nudges_) b->setEnabled(comparable);
    apply_one_->setEnabled(comparable && found_[static_cast<size_t>(row)] &&
                           found_[static_cast<size_t>(row)]->reliable);
    const Track* a =
        comparable ? work_.document.track(rows_[static_cast<size_t>(reference_->currentIndex())]) : nullptr;
    const Track* b = comparable ? work_.document.track(rows_[static_cast<size_t>(row)]) : nullptr;
    const MaterialPtr heard = a ? work_.materials.of(*a) : nullptr, other = b ? work_.materials.of(*b) : nullptr;
    const auto& found = comparable ? found_[static_cast<size_t>(row)] : std::nullopt;
    if (!heard || !other) {
        hit_->show_waves({}, {}, 48000.0);
        curve_->show_curve({}, 0.0);
        stands_->clear();
        return;
    }
    const double rate = work_.document.session().sample_rate;
    stands_->setText(tr("%1: delay %2 samples (%3 ms), polarity %4")
                         .arg(QString::fromStdString(b->name), shown_figure(b->delay_samples, 1),
                              shown_figure(b->delay_samples / rate * 1000.0, 2),
                              b->polarity_inverted ? tr("inverted") : tr("as recorded")));
    if (!found) return;  // what was seen before stays until the new figures are there
    const int frames = static_cast<int>(rate * 0.024);
    const int64_t first = found->strongest_hit - frames / 2;
    const auto x = heard_around(*heard, standing_of(*a), first, frames);
    const auto y = heard_around(*other, standing_of(*b), first, frames);
    if (x && y) hit_->show_waves(*x, *y, rate);
    curve_->show_curve(found->curve, found->delay_samples / rate * 1000.0);
}

void PhaseDialog::apply(bool all) {
    Session next = work_.document.session();
    const int reference = reference_->currentIndex();
    int count = 0;
    for (size_t row = 0; row < rows_.size(); ++row) {
        const bool wanted = all || static_cast<int>(row) == chosen_row();
        if (!wanted || static_cast<int>(row) == reference || !found_[row] || !found_[row]->reliable) continue;
        next = with_track(next, rows_[row], [&](Track& t) { t = aligned(t, *found_[row]); });
        ++count;
    }
    if (count == 0) return;
    work_.document.edit(tr("Align %n track(s) to %1", nullptr, count).arg(reference_->currentText()), std::move(next));
}

void PhaseDialog::nudge(double samples) {
    const int row = chosen_row();
    if (row < 0) return;
    const double most = max_delay_s * work_.document.session().sample_rate;
    const QString name = QString::fromStdString(work_.document.track(rows_[static_cast<size_t>(row)])->name);
    work_.document.edit_tracks(tr("Delay %1 %2 samples").arg(name, shown_figure(samples, 1)),
                               {rows_[static_cast<size_t>(row)]},
                               [&](Track& t) { t.delay_samples = std::clamp(t.delay_samples + samples, -most, most); });
}

void PhaseDialog::turn_over() {
    const int row = chosen_row();
    if (row < 0) return;
    const QString name = QString::fromStdString(work_.document.track(rows_[static_cast<size_t>(row)])->name);
    work_.document.edit_tracks(tr("Invert polarity of %1").arg(name), {rows_[static_cast<size_t>(row)]},
                               [](Track& t) { t.polarity_inverted = !t.polarity_inverted; });
}

}  // namespace isotonus
