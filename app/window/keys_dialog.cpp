#include "app/window/keys_dialog.h"

#include <QHBoxLayout>
#include <QLineEdit>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>

#include "app/style/theme.h"

namespace isotonus {

KeysDialog::KeysDialog(std::vector<Key> keys, QWidget* parent) : QDialog(parent), keys_(std::move(keys)) {
    setObjectName("keysDialog");
    setWindowTitle(tr("Keys"));
    resize(1240, 740);
    auto* layout = new QVBoxLayout(this);
    auto* search = new QLineEdit;
    search->setObjectName("keysSearch");
    search->setPlaceholderText(tr("A key, or a word of what it does"));
    search->setAccessibleName(tr("Search"));
    search->setClearButtonEnabled(false);
    connect(search, &QLineEdit::textChanged, this, &KeysDialog::show_with);
    layout->addWidget(search);
    auto* page = new QWidget;
    auto* row = new QHBoxLayout(page);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(20);
    for (int n = 0; n < 3; ++n) {
        columns_.push_back(new QLabel);
        columns_.back()->setObjectName(QString("keysColumn%1").arg(n + 1));
        columns_.back()->setTextFormat(Qt::RichText);
        columns_.back()->setAlignment(Qt::AlignTop | Qt::AlignLeft);
        columns_.back()->setWordWrap(true);
        columns_.back()->setFont(lettering(11));
        row->addWidget(columns_.back(), 1);
    }
    auto* scroll = new QScrollArea;
    scroll->setWidget(page);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    layout->addWidget(scroll, 1);
    show_with({});
    search->setFocus();
}

void KeysDialog::show_with(const QString& wanted) {
    const QString word = wanted.trimmed();
    std::vector<std::vector<const Key*>> groups(static_cast<size_t>(tasks));
    size_t lines = 0;
    for (const Key& k : keys_)
        if (word.isEmpty() || k.keys.contains(word, Qt::CaseInsensitive) || k.what.contains(word, Qt::CaseInsensitive))
            groups[static_cast<size_t>(k.task)].push_back(&k), ++lines;
    for (const auto& g : groups) lines += g.empty() ? 0 : 2;
    std::vector<QString> texts(columns_.size());
    size_t column = 0, used = 0;
    for (size_t g = 0; g < groups.size(); ++g) {
        if (groups[g].empty()) continue;
        // A task stays together; on to the next column where more than half of it would stand too low.
        const size_t high = groups[g].size() + 2;
        if (column + 1 < columns_.size() && used > 0 && used + high / 2 > lines / columns_.size()) ++column, used = 0;
        used += high;
        QString& text = texts[column];
        text += QString("<p style='margin-top:8px; margin-bottom:2px'><b>%1</b></p><table cellspacing='0'>")
                    .arg(task_title(static_cast<Task>(g)).toHtmlEscaped());
        for (const Key* k : groups[g])
            text += QString("<tr><td style='white-space:nowrap; padding-right:10px; color:%1'>%2</td><td>%3</td></tr>")
                        .arg(theme().accent.name(), k->keys.toHtmlEscaped(), k->what.toHtmlEscaped());
        text += "</table>";
    }
    if (lines == 0) texts[0] = tr("No key does that.");
    for (size_t n = 0; n < columns_.size(); ++n) columns_[n]->setText(texts[n]);
}

}  // namespace isotonus
