#include "app/window/keys_dialog.h"

#include <QHBoxLayout>
#include <QLineEdit>
#include <QPushButton>
#include <QRegularExpression>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>
#include <map>
#include <numeric>

#include "app/style/theme.h"

namespace isotonus {

namespace {

/// Keys that differ in a number alone ("Section 1" to "Section 9") are one line; words need not say their task again.
std::vector<KeysDialog::Key> in_short(const std::vector<KeysDialog::Key>& keys) {
    static const QRegularExpression number("\\d+");
    const QString to = QString::fromUtf8("\u00a0…\u00a0");  // on one line
    std::vector<KeysDialog::Key> all;
    std::map<QString, std::pair<size_t, KeysDialog::Key>> first;  // of those with a number: where, and as it was
    for (KeysDialog::Key k : keys) {
        const QString title = task_title(k.task) + ": ";
        if (k.what.startsWith(title)) k.what = k.what.mid(title.size());
        QString pattern = k.what;
        if (!pattern.replace(number, "#").contains('#')) {
            all.push_back(std::move(k));
            continue;
        }
        const auto [at, is_new] = first.try_emplace(pattern, all.size(), k);
        if (is_new) {
            all.push_back(std::move(k));
            continue;
        }
        const auto& [line, begun] = at->second;
        const QString last = number.match(k.what).captured();
        all[line].keys = begun.keys + to + last;
        all[line].what = QString(begun.what).replace(number, number.match(begun.what).captured() + to + last);
    }
    return all;
}

}  // namespace

KeysDialog::KeysDialog(const std::vector<Key>& keys, QWidget* parent, Task first)
    : QDialog(parent), keys_(in_short(keys)), first_(first) {
    setObjectName("keysDialog");
    setWindowTitle(tr("Keys"));
    resize(on_screen({1240, 776}, *this));
    auto* layout = new QVBoxLayout(this);
    auto* search = new QLineEdit;
    search->setObjectName("keysSearch");
    search->setPlaceholderText(tr("A key, or a word of its action"));
    search->setAccessibleName(tr("Search"));
    search->setToolTip(tr("Shows only keys whose name or action has these words."));
    search->setClearButtonEnabled(false);
    connect(search, &QLineEdit::textChanged, this, &KeysDialog::show_with);
    auto* guide = new QPushButton(tr("Guide"));
    guide->setObjectName("keysGuide");
    guide->setAutoDefault(false);
    guide->setToolTip(tr("Explains the whole job on the demo, page by page."));
    connect(guide, &QPushButton::clicked, this, [this] {
        accept();
        emit guide_wanted();
    });
    auto* top = new QHBoxLayout;
    top->addWidget(search, 1);
    top->addWidget(guide);
    layout->addLayout(top);
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
            groups[static_cast<size_t>(k.task)].push_back(&k);
    constexpr qsizetype fits_a_line = 46;
    const auto height = [](const std::vector<const Key*>& group) {
        size_t high = group.empty() ? 0 : 2;
        for (const Key* k : group) high += k->what.size() > fits_a_line ? 2 : 1;
        return high;
    };
    for (const auto& g : groups) lines += height(g);
    std::vector<QString> texts(columns_.size());
    size_t column = 0, used = 0;
    std::vector<size_t> order(groups.size());
    std::iota(order.begin(), order.end(), size_t{0});
    std::stable_partition(order.begin(), order.end(), [this](size_t g) { return g == static_cast<size_t>(first_); });
    for (const size_t g : order) {
        if (groups[g].empty()) continue;
        // A task stays together; on to the next column where more than half of it would stand too low.
        const size_t high = height(groups[g]);
        if (column + 1 < columns_.size() && used > 0 && used + high / 2 > lines / columns_.size()) ++column, used = 0;
        used += high;
        QString& text = texts[column];
        text += QString(
                    "<p style='margin-top:8px; margin-bottom:2px'><b>%1</b></p><table cellspacing='0' "
                    "style='font-size:11px'>")
                    .arg(task_title(static_cast<Task>(g)).toHtmlEscaped());
        for (const Key* k : groups[g])
            text += QString("<tr><td style='white-space:nowrap; padding-right:10px; color:%1'>%2</td><td>%3</td></tr>")
                        .arg(theme().accent.name(), k->keys.toHtmlEscaped(), k->what.toHtmlEscaped());
        text += "</table>";
    }
    if (lines == 0) texts[0] = tr("No action matches. Try another word.");
    for (size_t n = 0; n < columns_.size(); ++n) columns_[n]->setText(texts[n]);
}

}  // namespace isotonus
