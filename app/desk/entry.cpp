#include "app/desk/entry.h"

#include <QApplication>
#include <QKeyEvent>

namespace isotonus {

Entry::Entry(QWidget* over) : QLineEdit(over) { hide(); }

void Entry::open(const QRect& rect, const QString& text) {
    had_focus_ = QApplication::focusWidget();
    before_ = text;
    setGeometry(rect);
    setText(text);
    selectAll();
    show();
    setFocus();
}

void Entry::close_with(bool take) {
    if (isHidden()) return;
    const QString said = text();
    const bool had_keys = hasFocus();
    hide();
    if (had_keys) (had_focus_ ? had_focus_.data() : parentWidget())->setFocus();
    if (take && said != before_ && !said.trimmed().isEmpty()) emit taken(said);
}

bool Entry::event(QEvent* event) {
    const bool override = event->type() == QEvent::ShortcutOverride;
    if (!override && event->type() != QEvent::KeyPress) return QLineEdit::event(event);
    const int key = static_cast<QKeyEvent*>(event)->key();
    const bool enters = key == Qt::Key_Return || key == Qt::Key_Enter;
    const bool tabs = key == Qt::Key_Tab || key == Qt::Key_Backtab;
    if (!enters && !tabs && key != Qt::Key_Escape) {
        const bool done = QLineEdit::event(event);
        // What the field has no use for (Shift alone, an arrow at the end) is not for the channel below it.
        if (!override) event->accept();
        return done;
    }
    event->accept();
    if (override) return true;
    close_with(key != Qt::Key_Escape);
    if (tabs) emit tabbed(key == Qt::Key_Tab);
    return true;
}

void Entry::focusOutEvent(QFocusEvent* event) {
    QLineEdit::focusOutEvent(event);
    // Another window, or the field's own menu, is not a click elsewhere.
    if (event->reason() != Qt::ActiveWindowFocusReason && event->reason() != Qt::PopupFocusReason) close_with(true);
}

}  // namespace isotonus
