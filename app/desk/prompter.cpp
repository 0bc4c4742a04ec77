#include "app/desk/prompter.h"

#include "app/style/figure_box.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QFileDialog>
#include <QFormLayout>
#include <QInputDialog>
#include <QMessageBox>
#include <QPushButton>
#include <cmath>
#include <functional>

namespace isotonus {

namespace {
std::optional<fs::path> maybe(const QString& path) {
    return path.isEmpty() ? std::nullopt : std::optional(from_qt(path));
}
}  // namespace

std::optional<fs::path> DialogPrompter::open_file(const QString& title, const QString& filter) {
    return maybe(QFileDialog::getOpenFileName(parent_, title, {}, filter));
}

std::vector<fs::path> DialogPrompter::open_files(const QString& title, const QString& filter) {
    std::vector<fs::path> files;
    for (const QString& f : QFileDialog::getOpenFileNames(parent_, title, {}, filter)) files.push_back(from_qt(f));
    return files;
}

std::optional<fs::path> DialogPrompter::choose_folder(const QString& title) {
    return maybe(QFileDialog::getExistingDirectory(parent_, title));
}

std::optional<fs::path> DialogPrompter::save_file(const QString& title, const QString& filter,
                                                  const fs::path& suggested) {
    return maybe(QFileDialog::getSaveFileName(parent_, title, to_qt(suggested), filter));
}

Prompter::Answer DialogPrompter::ask(const QString& title, const QString& text, const QString& yes, const QString& no) {
    QMessageBox box(QMessageBox::NoIcon, title, text, QMessageBox::NoButton, parent_);
    const QPushButton* yes_button = box.addButton(yes, QMessageBox::AcceptRole);
    const QPushButton* no_button = no.isEmpty() ? nullptr : box.addButton(no, QMessageBox::DestructiveRole);
    box.addButton(QMessageBox::Cancel);
    box.exec();
    if (box.clickedButton() == yes_button) return Answer::yes;
    return no_button && box.clickedButton() == no_button ? Answer::no : Answer::cancel;
}

std::optional<QString> DialogPrompter::ask_text(const QString& title, const QString& label, const QString& initial) {
    bool given = false;
    const QString text = QInputDialog::getText(parent_, title, label, QLineEdit::Normal, initial, &given).trimmed();
    return given && !text.isEmpty() ? std::optional(text) : std::nullopt;
}

std::optional<std::vector<double>> DialogPrompter::ask_numbers(const QString& title, const std::vector<Number>& numbers,
                                                               const Changed& changed) {
    QDialog dialog(parent_);
    dialog.setObjectName("numbersDialog");
    dialog.setWindowTitle(title);
    auto* form = new QFormLayout(&dialog);
    std::vector<std::function<double()>> answers;
    const auto given = [&answers] {
        std::vector<double> values;
        for (const auto& answer : answers) values.push_back(answer());
        return values;
    };
    const auto tell = [&] {
        if (changed && answers.size() == numbers.size()) changed(given());
    };
    for (const Number& n : numbers) {
        if (!n.words.empty()) {
            auto* list = new QComboBox;
            list->addItems(n.words);
            list->setCurrentIndex(static_cast<int>(n.value));
            list->setAccessibleName(n.label);
            form->addRow(n.label, list);
            QObject::connect(list, &QComboBox::currentIndexChanged, &dialog, tell);
            answers.emplace_back([list] { return static_cast<double>(std::max(0, list->currentIndex())); });
            continue;
        }
        auto* box = new FigureBox;
        box->setDecimals(n.decimals);
        box->setRange(n.low, n.high);
        box->setSingleStep(std::pow(10.0, -n.decimals) * (n.high - n.low > 20.0 ? 10.0 : 1.0));
        box->setValue(n.value);
        box->setAccessibleName(n.label);
        QObject::connect(box, &QDoubleSpinBox::valueChanged, &dialog, tell);
        form->addRow(n.label, box);
        answers.emplace_back([box] { return box->value(); });
    }
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    QObject::connect(buttons, &QDialogButtonBox::accepted, &dialog, &QDialog::accept);
    QObject::connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    form->addRow(buttons);
    tell();
    return dialog.exec() == QDialog::Accepted ? std::optional(given()) : std::nullopt;
}

std::optional<size_t> DialogPrompter::ask_choice(const QString& title, const QString& label,
                                                 const QStringList& choices) {
    bool given = false;
    const QString chosen = QInputDialog::getItem(parent_, title, label, choices, 0, false, &given);
    return given ? std::optional(static_cast<size_t>(std::max<qsizetype>(0, choices.indexOf(chosen)))) : std::nullopt;
}

void DialogPrompter::complain(const QString& text) {
    QMessageBox(QMessageBox::NoIcon, "Isotonus", text, QMessageBox::Ok, parent_).exec();
}

}  // namespace isotonus
