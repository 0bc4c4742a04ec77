// Widgets that panels are made of.
#pragma once

#include <QBoxLayout>
#include <QPushButton>
#include <QTableWidget>

namespace isotonus {

/// A list that looks as ours do: whole rows, no grid, no editing.
QTableWidget* plain_table(const char* name, const QString& accessible, const QStringList& titles, int stretched);

/// A button at the end of a row, with the why of it.
QPushButton* button_in(QBoxLayout* row, const char* name, const QString& text, const QString& tip);

}  // namespace isotonus
