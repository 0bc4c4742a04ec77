#include "app/stage/phase_dialog.h"

#include <QDialogButtonBox>
#include <QFormLayout>
#include <QHeaderView>
#include <QVBoxLayout>
#include <cmath>

#include "app/style/text.h"
#include "app/style/theme.h"

namespace isotonus {

PhaseDialog::PhaseDialog(Workspace& work, std::vector<TrackId> rows, QWidget* parent)
    : QDialog(parent), work_(work), rows_(std::move(rows)), found_(rows_.size()) {
    setObjectName("phaseDialog");
    setWindowTitle(tr("Phase and polarity"));
    resize(860, 420);
    auto* layout = new QVBoxLayout(this);
    auto* form = new QFormLayout;
    reference_ = new QComboBox;
    reference_->setObjectName("phaseReference");
    reference_->setAccessibleName(tr("Reference"));
    for (const TrackId id : rows_) reference_->addItem(QString::fromStdString(work_.document.track(id)->name));
    reference_->setToolTip(tr("The microphone that stays where it is; the closest one is a good choice."));
    form->addRow(tr("Reference"), reference_);
    layout->addLayout(form);
    const QStringList titles{tr("Row"),      tr("late by"),     tr("in time"), tr("in air"),
                             tr("polarity"), tr("correlation"), tr("aligned"), tr("below 200 Hz")};
    table_ = new QTableWidget(static_cast<int>(rows_.size()), static_cast<int>(titles.size()));
    table_->setObjectName("phaseTable");
    table_->setHorizontalHeaderLabels(titles);
    table_->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    table_->horizontalHeader()->setStretchLastSection(true);
    table_->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table_->verticalHeader()->hide();
    table_->setShowGrid(false);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    layout->addWidget(table_, 1);
    advice_ = new QLabel;
    advice_->setObjectName("phaseAdvice");
    advice_->setWordWrap(true);
    layout->addWidget(advice_);
    auto* buttons = new QDialogButtonBox;
    apply_ = buttons->addButton(tr("Align"), QDialogButtonBox::ActionRole);
    apply_->setObjectName("phaseApply");
    apply_->setToolTip(
        tr("Sets delay and polarity of the selected rows, or of all, where the evidence is good. Undo takes it back."));
    buttons->addButton(QDialogButtonBox::Close);
    layout->addWidget(buttons);
    connect(apply_, &QPushButton::clicked, this, &PhaseDialog::apply);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(reference_, &QComboBox::currentIndexChanged, this, &PhaseDialog::compare);
    compare();
}

PhaseDialog::~PhaseDialog() {
    pool_.clear();
    pool_.waitForDone();
}

void PhaseDialog::compare() {
    ++round_;
    pool_.clear();
    apply_->setEnabled(false);
    advice_->setText(tr("Listening to the strongest hits of both…"));
    const size_t reference = static_cast<size_t>(reference_->currentIndex());
    const Track& a = *work_.document.track(rows_[reference]);
    const MaterialPtr heard = work_.materials.of(a);
    for (size_t row = 0; row < rows_.size(); ++row) {
        found_[row].reset();
        const Track& b = *work_.document.track(rows_[row]);
        for (int column = 0; column < table_->columnCount(); ++column)
            table_->setItem(static_cast<int>(row), column, new QTableWidgetItem);
        table_->item(static_cast<int>(row), 0)->setText(QString::fromStdString(b.name));
        const MaterialPtr other = work_.materials.of(b);
        if (row == reference || !heard || !other) {
            table_->item(static_cast<int>(row), 1)->setText(row == reference ? tr("reference") : tr("no file"));
            continue;
        }
        const bool turned = a.polarity_inverted != b.polarity_inverted;
        pool_.start([this, round = round_, row, heard, other, turned, rate = work_.document.session().sample_rate,
                     da = a.delay_samples, db = b.delay_samples] {
            auto result = align_to(heard->media, other->media, rate, heard->summary, da, db);
            if (result && turned) {  // what is set already counts
                result->inverted = !result->inverted;
                result->correlation_before = -result->correlation_before;
            }
            QMetaObject::invokeMethod(
                this, [this, round, row, result = std::move(result)] { show_result(round, row, result); });
        });
    }
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
    const auto figure = [](double value, int decimals) {
        const QString text = QString::number(value, 'f', decimals);
        return text.toDouble() == 0.0 ? QString::number(0.0, 'f', decimals) : with_true_minus(text.toStdString());
    };
    if (a.reliable) {
        put(1, tr("%1 samples").arg(figure(a.delay_samples, 1)));
        put(2, tr("%1 ms").arg(figure(seconds * 1000.0, 2)));
        put(3, tr("%1 cm").arg(figure(centimetres(seconds), 0)));
        put(4, a.inverted ? tr("inverted") : tr("same"));
        put(7, db_text(a.low_gain_db, "dB", true));
    } else {
        put(1, tr("the evidence is too weak to advise"));
        table_->setSpan(static_cast<int>(row), 1, 1, 4);
    }
    put(5, figure(a.correlation_before, 2));
    put(6, figure(a.correlation_after, 2));
    const bool any = std::any_of(found_.begin(), found_.end(), [](const auto& f) { return f && f->reliable; });
    apply_->setEnabled(any);
    advice_->setText(any ? tr("Aligned microphones add up where they now cancel: the last column says what the low end "
                              "gains. Undo takes it back.")
                         : tr("Nothing here moves with the reference closely enough to be aligned."));
}

void PhaseDialog::apply() {
    Session next = work_.document.session();
    const auto selected = table_->selectionModel()->selectedRows();
    int count = 0;
    for (size_t row = 0; row < rows_.size(); ++row) {
        const bool wanted = selected.isEmpty() || table_->selectionModel()->isRowSelected(static_cast<int>(row));
        if (!wanted || !found_[row] || !found_[row]->reliable) continue;
        const Alignment a = *found_[row];
        next = with_track(next, rows_[row], [&](Track& t) {
            t.delay_samples -= std::llround(a.delay_samples);
            t.polarity_inverted = t.polarity_inverted != a.inverted;
        });
        ++count;
    }
    if (count == 0) return;
    work_.document.edit(tr("Align %n row(s) to %1", nullptr, count).arg(reference_->currentText()), std::move(next));
    table_->clearSelection();
    compare();
}

}  // namespace isotonus
