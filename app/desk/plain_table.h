// Widgets that panels are made of.
#pragma once

#include <QBoxLayout>
#include <QPushButton>
#include <QTableWidget>
#include <vector>

namespace isotonus {

/// Of a column: its title, and a tooltip that says what the column shows.
struct TableHead {
    QString title, help;
};
void set_heads(QTableWidget* table, const std::vector<TableHead>& heads);

/// A list that looks as ours do: whole rows, no grid, no editing.
QTableWidget* plain_table(const char* name, const QString& accessible, const std::vector<TableHead>& heads,
                          int stretched);

/// The rows of a table are as high as its longest sentences need.
void show_whole_sentences(QTableWidget* table);

/// A button at the end of a row, with the why of it.
QPushButton* button_in(QBoxLayout* row, const char* name, const QString& text, const QString& tip);

}  // namespace isotonus
