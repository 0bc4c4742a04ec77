#include "app/desk/plain_table.h"

#include <QCoreApplication>
#include <QHeaderView>

namespace isotonus {

QTableWidget* plain_table(const char* name, const QString& accessible, const QStringList& titles, int stretched) {
    auto* table = new QTableWidget;
    table->setObjectName(name);
    table->setAccessibleName(accessible);
    table->setColumnCount(static_cast<int>(titles.size()));
    table->setHorizontalHeaderLabels(titles);
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
