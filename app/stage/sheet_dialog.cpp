#include "app/stage/sheet_dialog.h"

#include <QDialogButtonBox>
#include <QFormLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

#include "core/files/paths.h"

#include "app/desk/plain_table.h"
#include "app/desk/row_head.h"
#include "app/style/text.h"
#include "app/style/theme.h"
#include "core/session/session_file.h"

namespace isotonus {

QString measure_words(Measure measure) {
    switch (measure) {
        case Measure::peak:
            return SheetDialog::tr("sample peak");
        case Measure::average:
            return average_label();
        case Measure::true_peak:
            return SheetDialog::tr("true peak");
        case Measure::short_term:
            return SheetDialog::tr("loudest 3 s");
        case Measure::vu:
            break;
    }
    return SheetDialog::tr("VU maximum");
}

namespace {

enum Column { word_column, family_column, kind_column, measure_column, low_column, aim_column, high_column, columns };

/// With a true minus sign, and either sign typed.
class LevelBox : public QDoubleSpinBox {
  public:
    QString textFromValue(double value) const override { return db_text(value, "").trimmed(); }
    double valueFromText(const QString& text) const override { return parse_level(text).value_or(value()); }
    QValidator::State validate(QString& text, int&) const override {
        return parse_level(text) ? QValidator::Acceptable : QValidator::Intermediate;
    }
};

QDoubleSpinBox* level_box(double value) {
    auto* box = new LevelBox;
    box->setRange(-60.0, 0.0);
    box->setDecimals(1);
    box->setSingleStep(0.5);
    box->setValue(value);
    box->setButtonSymbols(QAbstractSpinBox::NoButtons);
    return box;
}

}  // namespace

fs::path SheetDialog::own_folder() { return settings_folder() / "sheets"; }

SheetDialog::SheetDialog(Workspace& work, QWidget* parent) : QDialog(parent), work_(work) {
    setObjectName("sheetDialog");
    setWindowTitle(tr("Target sheet"));
    resize(on_screen({820, 460}, *this));
    auto* layout = new QVBoxLayout(this);
    auto* top = new QHBoxLayout;
    choice_ = new QComboBox;
    choice_->setObjectName("sheetChoice");
    choice_->setAccessibleName(tr("Target sheet"));
    choice_->setProperty("shows_names", true);
    choice_->setToolTip(tr("Sheets that come with Isotonus, and your own. Choosing one fills in the table below."));
    top->addWidget(new QLabel(tr("Sheet")));
    top->addWidget(choice_, 1);
    const auto button = [&](QHBoxLayout* to, const char* name, const QString& text, const QString& why, auto method) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setToolTip(why);
        b->setAutoDefault(false);
        connect(b, &QPushButton::clicked, this, method);
        to->addWidget(b);
    };
    button(top, "sheetKeep", tr("Save as my sheet…"), tr("Saves these windows under a name, for other sessions too."),
           &SheetDialog::keep_as_own);
    button(top, "sheetImport", tr("Import…"), tr("Loads a sheet from a JSON file."), &SheetDialog::import_sheet);
    button(top, "sheetExport", tr("Export…"), tr("Saves these windows as a JSON file."), &SheetDialog::export_sheet);
    layout->addLayout(top);
    auto* why =
        new QLabel(tr("The first line that matches a track sets its window; empty fields match all. The last two lines "
                      "are for tracks that match no other line."));
    why->setWordWrap(true);
    layout->addWidget(why);
    table_ = new QTableWidget(0, columns);
    table_->setObjectName("sheetTable");
    table_->setAccessibleName(tr("Target windows"));
    set_heads(table_, {{tr("Word in the name"), tr("The line is for tracks with this word in their name.")},
                       {tr("Family"), tr("The line is for tracks of this family.")},
                       {tr("Kind"), tr("The line is for tracks of this kind: percussive or sustained.")},
                       {tr("Measure"), tr("What is compared with the window: sample peak or average.")},
                       {tr("From"), tr("The lower end of the window, in dBFS.")},
                       {tr("Target"), tr("The level that staging aims at, in dBFS.")},
                       {tr("To"), tr("The upper end of the window, in dBFS.")}});
    table_->horizontalHeader()->setSectionResizeMode(QHeaderView::Interactive);
    table_->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table_->verticalHeader()->hide();
    table_->verticalHeader()->setDefaultSectionSize(32);
    table_->setShowGrid(false);
    const int widths[] = {150, 130, 130, 150, 70, 70, 70};
    for (int c = 0; c < columns; ++c) table_->setColumnWidth(c, widths[c]);
    layout->addWidget(table_, 1);
    auto* rules = new QHBoxLayout;
    button(rules, "ruleAdd", tr("Add a line"), tr("Adds a window for some tracks only."), &SheetDialog::add_rule);
    button(rules, "ruleRemove", tr("Remove the line"), tr("Removes the selected line."), &SheetDialog::remove_rule);
    rules->addStretch();
    layout->addLayout(rules);
    auto* form = new QHBoxLayout;
    const auto field = [&](const QString& text, QWidget* w) {
        form->addWidget(new QLabel(text));
        form->addWidget(w);
        form->addSpacing(12);
    };
    field(tr("Peak ceiling, dBFS"), ceiling_ = level_box(-6.0));
    ceiling_->setObjectName("sheetCeiling");
    ceiling_->setToolTip(tr("Staging never raises the peak of a track above this level."));
    field(tr("Main output from"), mains_low_ = level_box(-10.0));
    field(tr("to"), mains_high_ = level_box(-6.0));
    for (QWidget* w : {mains_low_, mains_high_})
        w->setToolTip(tr("The window for the peak of the mix, in dBFS. −10 to −6 dBFS keeps room for mastering."));
    spikes_ = new QCheckBox(tr("Count spikes"));
    spikes_->setObjectName("sheetSpikes");
    spikes_->setToolTip(
        tr("If off, up to three short moments that alone set a track's peak are ignored. Turn it off for tracks with "
           "single spikes."));
    form->addWidget(spikes_);
    form->addStretch();
    layout->addLayout(form);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    buttons->button(QDialogButtonBox::Ok)->setText(tr("Use"));
    buttons->button(QDialogButtonBox::Ok)->setObjectName("sheetUse");
    buttons->button(QDialogButtonBox::Ok)
        ->setToolTip(tr("Sets these windows for the session. Trims stay until you stage again."));
    layout->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &SheetDialog::take);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(choice_, &QComboBox::activated, this, [this](int n) {
        if (n >= 0 && static_cast<size_t>(n) < sheets_.size()) show_sheet(sheets_[static_cast<size_t>(n)]);
    });
    list_sheets();
    show_sheet(work_.document.session().targets);
}

void SheetDialog::list_sheets() {
    sheets_ = built_in_sheets();
    for (const fs::path& file : entries_of(own_folder()).value_or(std::vector<fs::path>()))
        if (file.extension() == ".json")
            if (auto own = read_sheet(file)) sheets_.push_back(std::move(*own));
    choice_->clear();
    for (const TargetSheet& s : sheets_) choice_->addItem(QString::fromStdString(s.name));
}

void SheetDialog::add_row(const QString& word, int family, int kind, const Target& target) {
    const int row = table_->rowCount();
    table_->insertRow(row);
    auto* name = new QLineEdit(word);
    name->setAccessibleName(tr("word in the name"));
    table_->setCellWidget(row, word_column, name);
    auto* families = new QComboBox;
    families->addItem(tr("Any"));
    for (size_t n = 0; n < family_names.size(); ++n)
        families->addItem(sentence_case(family_word(static_cast<Family>(n))));
    families->setCurrentIndex(family + 1);
    table_->setCellWidget(row, family_column, families);
    auto* kinds = new QComboBox;
    kinds->addItems({tr("Any"), tr("Percussive"), tr("Sustained")});
    kinds->setCurrentIndex(kind + 1);
    table_->setCellWidget(row, kind_column, kinds);
    auto* measures = new QComboBox;
    for (size_t n = 0; n < measure_names.size(); ++n)
        measures->addItem(sentence_case(measure_words(static_cast<Measure>(n))));
    measures->setCurrentIndex(static_cast<int>(target.measure));
    table_->setCellWidget(row, measure_column, measures);
    table_->setCellWidget(row, low_column, level_box(target.low_dbfs));
    table_->setCellWidget(row, aim_column, level_box(target.aim_dbfs));
    table_->setCellWidget(row, high_column, level_box(target.high_dbfs));
    for (int c = 0; c < columns; ++c)
        table_->cellWidget(row, c)->setToolTip(table_->horizontalHeaderItem(c)->toolTip());
}

void SheetDialog::show_sheet(const TargetSheet& sheet) {
    name_ = QString::fromStdString(sheet.name);
    choice_->setCurrentIndex(choice_->findText(name_));
    table_->setRowCount(0);
    for (const TargetRule& r : sheet.rules)
        add_row(QString::fromStdString(r.word), r.family ? static_cast<int>(*r.family) : -1,
                r.kind ? static_cast<int>(*r.kind) : -1, r.target);
    add_row({}, -1, static_cast<int>(Kind::percussive), sheet.percussive);
    add_row({}, -1, static_cast<int>(Kind::sustained), sheet.sustained);
    for (int row = table_->rowCount() - 2; row < table_->rowCount(); ++row)
        for (const int column : {word_column, family_column, kind_column})
            table_->cellWidget(row, column)->setEnabled(false);
    ceiling_->setValue(sheet.peak_ceiling_dbfs);
    mains_low_->setValue(sheet.mains_low_dbfs);
    mains_high_->setValue(sheet.mains_high_dbfs);
    spikes_->setChecked(sheet.count_spikes);
}

TargetSheet SheetDialog::shown() const {
    TargetSheet sheet;
    sheet.name = name_.toStdString();
    for (int row = 0; row < table_->rowCount(); ++row) {
        const auto combo = [&](int column) {
            return static_cast<QComboBox*>(table_->cellWidget(row, column))->currentIndex();
        };
        const auto level = [&](int column) {
            return static_cast<QDoubleSpinBox*>(table_->cellWidget(row, column))->value();
        };
        TargetRule rule;
        rule.word = static_cast<QLineEdit*>(table_->cellWidget(row, word_column))->text().trimmed().toStdString();
        if (combo(family_column) > 0) rule.family = static_cast<Family>(combo(family_column) - 1);
        if (combo(kind_column) > 0) rule.kind = static_cast<Kind>(combo(kind_column) - 1);
        const double low = std::min(level(low_column), level(high_column)),
                     high = std::max(level(low_column), level(high_column));
        rule.target = {static_cast<Measure>(combo(measure_column)), low, std::clamp(level(aim_column), low, high),
                       high};
        if (row == table_->rowCount() - 2)
            sheet.percussive = rule.target;
        else if (row == table_->rowCount() - 1)
            sheet.sustained = rule.target;
        else
            sheet.rules.push_back(rule);
    }
    sheet.peak_ceiling_dbfs = ceiling_->value();
    sheet.mains_low_dbfs = std::min(mains_low_->value(), mains_high_->value());
    sheet.mains_high_dbfs = std::max(mains_low_->value(), mains_high_->value());
    sheet.count_spikes = spikes_->isChecked();
    return sheet;
}

void SheetDialog::add_rule() {
    TargetSheet sheet = shown();
    sheet.rules.push_back({"", Family::other, {}, sheet.sustained});
    show_sheet(sheet);
}

void SheetDialog::remove_rule() {
    TargetSheet sheet = shown();
    const int row = table_->currentRow();
    if (row < 0 || static_cast<size_t>(row) >= sheet.rules.size()) return;
    sheet.rules.erase(sheet.rules.begin() + row);
    show_sheet(sheet);
}

void SheetDialog::keep_as_own() {
    const auto name = work_.prompter->ask_text(tr("Save the sheet"), tr("Name"), name_);
    if (!name || name->trimmed().isEmpty()) return;
    name_ = name->trimmed();
    (void)make_folder(own_folder());  // writing says when it could not be made
    const fs::path file = own_folder() / (QString(name_).replace('/', '-').toStdString() + ".json");
    if (const auto kept = write_whole(file, sheet_file_text(shown()), work_.document.kept_files()); !kept) {
        work_.prompter->complain(QString::fromStdString(kept.error().text()));
        return;
    }
    const TargetSheet sheet = shown();
    list_sheets();
    show_sheet(sheet);
}

void SheetDialog::export_sheet() {
    auto file = work_.prompter->save_file(tr("Export the sheet"), tr("Target sheet (*.json)"),
                                          fs::path(name_.toStdString() + ".json"));
    if (!file) return;
    if (file->extension().empty()) *file += ".json";
    if (const auto done = write_whole(*file, sheet_file_text(shown()), work_.document.kept_files()); !done)
        work_.prompter->complain(QString::fromStdString(done.error().text()));
}

void SheetDialog::import_sheet() {
    const auto file = work_.prompter->open_file(tr("Import a sheet"), tr("Target sheet (*.json)"));
    if (!file) return;
    const auto sheet = read_sheet(*file);
    if (sheet)
        show_sheet(*sheet);
    else
        work_.prompter->complain(QString::fromStdString(sheet.error().text()));
}

void SheetDialog::take() {
    Session next = work_.document.session();
    next.targets = shown();
    if (next.targets != work_.document.session().targets)
        work_.document.edit(tr("Target sheet '%1'").arg(name_), std::move(next));
    accept();
}

}  // namespace isotonus
