#include "app/desk/prompter.h"

#include <QFileDialog>
#include <QInputDialog>
#include <QMessageBox>
#include <QPushButton>

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

void DialogPrompter::complain(const QString& text) {
    QMessageBox(QMessageBox::NoIcon, "Isotonus", text, QMessageBox::Ok, parent_).exec();
}

}  // namespace isotonus
