#include "app/compare/compare.h"

#include <QCoreApplication>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QVBoxLayout>

namespace isotonus {

ComparePanel::ComparePanel(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("comparePanel");
    setFixedHeight(412);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 10, 16, 10);
    column->setSpacing(8);
    words_ = new QLabel;
    words_->setObjectName("compareWords");
    words_->setWordWrap(true);
    column->addWidget(words_);
    picture_ = new SpectrumPicture(work_, this);
    column->addWidget(picture_, 3);
    table_ = new QTableWidget;
    table_->setObjectName("compareTable");
    table_->setAccessibleName(tr("What the mix is compared with"));
    table_->setColumnCount(8);
    table_->setHorizontalHeaderLabels({tr("Heard"), tr("Name"), tr("What"), tr("Loudness"), tr("True peak"), tr("Peak"),
                                       tr("Matched by"), tr("Made, note")});
    table_->verticalHeader()->hide();
    table_->setShowGrid(false);
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->setSelectionMode(QAbstractItemView::SingleSelection);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    table_->horizontalHeader()->setSectionResizeMode(7, QHeaderView::Stretch);
    table_->horizontalHeader()->setHighlightSections(false);
    table_->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    for (auto* corner : table_->findChildren<QAbstractButton*>()) corner->setAccessibleName(tr("all"));
    column->addWidget(table_, 2);
    auto* row = new QHBoxLayout;
    const auto button = [&](const char* name, const QString& text, const QString& tip, auto work_done) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setToolTip(tip);
        connect(b, &QPushButton::clicked, this, work_done);
        row->addWidget(b);
        return b;
    };
    hear_ = button("compareHear", tr("Hear it"), tr("In the mix's place, and back. (F6; Ctrl+F6 goes on to the next)"),
                   [this] {
                       const auto n = chosen();
                       work_.comparison.hear(n == work_.comparison.heard() ? std::nullopt : n);
                   });
    button("compareAdd", tr("Add a reference…"),
           tr("Any audio file to compare with. It never passes the mix's faders."), [this] {
               for (const fs::path& file : work_.prompter->open_files(
                        tr("References"), tr("Audio (*.wav *.aiff *.aif *.flac *.ogg *.opus *.mp3)")))
                   work_.comparison.add_reference(file);
           });
    note_ = button("compareNote", tr("Note…"), tr("What this one is."), [this] {
        const auto n = chosen();
        if (!n) return;
        const auto text = work_.prompter->ask_text(tr("Note"), tr("What this one is"),
                                                   QString::fromStdString(work_.comparison.recordings()[*n].note));
        if (text) work_.comparison.set_note(*n, *text);
    });
    remove_ = button("compareRemove", tr("Take off the list"), tr("The file stays."), [this] {
        if (const auto n = chosen()) work_.comparison.remove(*n);
    });
    row->addStretch();
    column->addLayout(row);
    connect(&work_.comparison, &Comparison::changed, this, &ComparePanel::refresh);
    connect(&work_.document, &Document::session_changed, this, &ComparePanel::refresh);
    connect(table_, &QTableWidget::itemSelectionChanged, this, [this] {
        const auto n = chosen();
        for (QPushButton* b : {hear_, note_, remove_}) b->setEnabled(n.has_value());
        show_chosen();
    });
    connect(table_, &QTableWidget::cellDoubleClicked, this, [this](int r, int) {
        work_.comparison.hear(r == 0 ? std::nullopt : std::optional(static_cast<size_t>(r - 1)));
    });
    work_.comparison.want(true);
    refresh();
}

ComparePanel::~ComparePanel() { work_.comparison.want(false); }

std::optional<size_t> ComparePanel::chosen() const {
    const int r = table_->currentRow();
    return r > 0 && !table_->selectedItems().isEmpty() ? std::optional(static_cast<size_t>(r - 1)) : std::nullopt;
}

void ComparePanel::show_chosen() {
    const std::vector<Recording>& all = work_.comparison.recordings();
    std::vector<size_t> beside;
    if (const auto n = chosen()) {
        beside.push_back(*n);
    } else {
        // With none chosen the mix is beside all references, and what is usual among them; else beside the last print.
        for (size_t n = 0; n < all.size(); ++n)
            if (all[n].reference) beside.push_back(n);
        if (beside.empty() && !all.empty()) beside.push_back(all.size() - 1);
    }
    picture_->show_beside(std::move(beside));
}

void ComparePanel::refresh() {
    const Comparison& all = work_.comparison;
    const auto heard = all.heard();
    const int kept = table_->currentRow();
    table_->setRowCount(static_cast<int>(all.recordings().size()) + 1);
    const auto put = [this](int row, const QStringList& cells) {
        for (int c = 0; c < cells.size(); ++c) {
            auto* item = new QTableWidgetItem(cells[c]);
            table_->setItem(row, c, item);
        }
        table_->setRowHeight(row, 24);
    };
    const auto& figures = work_.mix.figures();
    const Measurement* mix = figures ? &figures->measurement : nullptr;
    const QString mark = QString(QChar(0x25B6));
    put(0, {heard ? QString() : mark, tr("the mix as it stands"), QString(),
            mix ? level_text(mix->integrated_lufs, "LUFS") : tr("…"),
            mix ? level_text(mix->true_peak_dbtp, "dBTP") : QString(),
            mix ? level_text(mix->sample_peak_dbfs, "dBFS") : QString(), QString(), QString()});
    for (size_t n = 0; n < all.recordings().size(); ++n) {
        const Recording& r = all.recordings()[n];
        const Comparison::Known* k = all.known(n);
        const Measurement* m = k && k->material ? &k->material->measurement : nullptr;
        const auto match = all.match_db(n);
        QString last = QString::fromStdString(r.made);
        if (!r.note.empty()) last += (last.isEmpty() ? "" : " · ") + QString::fromStdString(r.note);
        if (k && !k->trouble.isEmpty()) last = k->trouble;
        put(static_cast<int>(n) + 1,
            {heard == n ? mark : QString(), QString::fromStdString(r.name), r.reference ? tr("reference") : tr("print"),
             m                            ? level_text(m->integrated_lufs, "LUFS")
             : k && !k->trouble.isEmpty() ? tr("missing")
                                          : tr("being read"),
             m ? level_text(m->true_peak_dbtp, "dBTP") : QString(),
             m ? level_text(m->sample_peak_dbfs, "dBFS") : QString(), match ? db_text(*match, "dB", true) : QString(),
             last});
    }
    if (kept >= 0 && kept < table_->rowCount()) table_->setCurrentCell(kept, 0);
    words_->setText(all.recordings().empty()
                        ? tr("Nothing to compare with yet: export the mix with 'keep as a print', or add a reference.")
                    : heard ? tr("You hear %1, brought to the mix's loudness. F6 goes back to the mix.")
                                  .arg(QString::fromStdString(all.recordings()[*heard].name))
                            : tr("You hear the mix. F6 changes over without a gap, matched in loudness."));
    const auto n = chosen();
    for (QPushButton* b : {hear_, note_, remove_}) b->setEnabled(n.has_value());
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

}  // namespace isotonus
