#include "app/desk/plain_table.h"

#include <QCoreApplication>
#include <QHeaderView>

namespace isotonus {

void show_whole_sentences(QTableWidget* table) {
    // Queued, since a column still has its old width when its header tells of the new one.
    QObject::connect(table->horizontalHeader(), &QHeaderView::sectionResized, table,
                     &QTableWidget::resizeRowsToContents, Qt::QueuedConnection);
}

void set_heads(QTableWidget* table, const std::vector<TableHead>& heads) {
    table->setColumnCount(static_cast<int>(heads.size()));
    table->setTabKeyNavigation(false);  // the arrow keys go from cell to cell, the Tab key leaves
    for (size_t n = 0; n < heads.size(); ++n) {
        auto* item = new QTableWidgetItem(heads[n].title);
        item->setToolTip(heads[n].help);
        table->setHorizontalHeaderItem(static_cast<int>(n), item);
    }
}

QTableWidget* plain_table(const char* name, const QString& accessible, const std::vector<TableHead>& heads,
                          int stretched) {
    auto* table = new QTableWidget;
    table->setObjectName(name);
    table->setAccessibleName(accessible);
    set_heads(table, heads);
    table->verticalHeader()->hide();
    table->setShowGrid(false);
    table->setSelectionBehavior(QAbstractItemView::SelectRows);
    table->setSelectionMode(QAbstractItemView::SingleSelection);
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    table->horizontalHeader()->setSectionResizeMode(stretched, QHeaderView::Stretch);
    table->horizontalHeader()->setHighlightSections(false);
    table->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    for (auto* corner : table->findChildren<QAbstractButton*>())
        corner->setAccessibleName(QCoreApplication::translate("Compare", "all"));
    return table;
}

QPushButton* button_in(QBoxLayout* row, const char* name, const QString& text, const QString& tip) {
    auto* b = new QPushButton(text);
    b->setObjectName(name);
    b->setToolTip(tip);
    row->addWidget(b);
    return b;
}

}  // namespace isotonus
