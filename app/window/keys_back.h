// Fields and dialogs give the keys back: what is typed into a field ends with Enter or Escape, a dialog when it closes,
// and then Space plays again.  Space plays too while a button has the keyboard, which is pressed by Enter.
#pragma once

#include <QAbstractButton>
#include <QAbstractSpinBox>
#include <QApplication>
#include <QDialog>
#include <QKeyEvent>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QPointer>
#include <QTimer>
#include <functional>

namespace isotonus {

/// Of one window; its dialogs and menus keep what is theirs.
class KeysBack : public QObject {
  public:
    /// `take` gives the focus to what keys are for in this window.
    KeysBack(QWidget& window, std::function<void()> take) : QObject(&window), window_(window), take_(std::move(take)) {
        qApp->installEventFilter(this);
    }

    bool eventFilter(QObject* object, QEvent* event) override {
        switch (event->type()) {
            case QEvent::ShortcutOverride:
                // A number that nobody has begun to type has no use for a space.
                if (auto* field = field_of<QAbstractSpinBox>(object);
                    field && static_cast<QKeyEvent*>(event)->key() == Qt::Key_Space)
                    if (const auto* line = field->findChild<QLineEdit*>(); line && !line->isModified()) return true;
                break;
            case QEvent::KeyPress:
                if (ends_typing(object, static_cast<QKeyEvent*>(event)->key())) give_back(object);
                if (auto* button = qobject_cast<QAbstractButton*>(object);
                    button && button->window() == &window_ && is_enter(static_cast<QKeyEvent*>(event)->key())) {
                    button->animateClick();
                    return true;
                }
                break;
            case QEvent::MouseButtonRelease:
                // Its arrows were clicked.
                if (auto* field = field_of<QAbstractSpinBox>(object); field && object == field) give_back(object);
                break;
            case QEvent::Hide:
                if (is_dialog(object)) activate();
                break;
            default:
                break;
        }
        return false;
    }

  private:
    /// The field that an event is for, or for a part of it.
    template <class Field>
    Field* field_of(QObject* object) const {
        auto* widget = qobject_cast<QWidget*>(object);
        if (!widget || widget->window() != &window_) return nullptr;
        auto* field = qobject_cast<Field*>(widget);
        return field ? field : qobject_cast<Field*>(widget->parentWidget());
    }
    bool is_dialog(QObject* object) const {
        const auto* dialog = qobject_cast<QDialog*>(object);
        return dialog && dialog->isModal() && dialog->parentWidget() && dialog->parentWidget()->window() == &window_;
    }
    /// Some window managers leave it to the program which of its windows is active after a dialog.  And where they were
    /// quick, the window has the keyboard before the toolkit has done with the dialog: keys arrive, but no shortcut
    /// lives, since the toolkit knows of no active window.  Then it is told.
    void activate() {
        const auto no_dialog = [] { return !QApplication::activeModalWidget(); };
        QTimer::singleShot(0, this, [this, no_dialog] {
            if (no_dialog()) window_.activateWindow();
        });
        constexpr int settled_ms = 150;
        QTimer::singleShot(settled_ms, this, [this, no_dialog] {
            if (no_dialog() && !QApplication::activeWindow() && window_.isVisible())
                QApplication::setActiveWindow(&window_);
        });
    }
    static bool is_enter(int key) { return key == Qt::Key_Return || key == Qt::Key_Enter; }
    bool ends_typing(QObject* object, int key) const {
        if (key == Qt::Key_Escape && field_of<QPlainTextEdit>(object)) return true;
        return (is_enter(key) || key == Qt::Key_Escape) &&
               (field_of<QAbstractSpinBox>(object) || field_of<QLineEdit>(object));
    }
    /// Once the field has done with the event.
    void give_back(QObject* object) {
        QMetaObject::invokeMethod(
            this,
            [this, field = QPointer(qobject_cast<QWidget*>(object))] {
                const QWidget* focused = QApplication::focusWidget();
                const bool still = field && focused && (focused == field || field->isAncestorOf(focused));
                if (still) take_();
            },
            Qt::QueuedConnection);
    }

    QWidget& window_;
    const std::function<void()> take_;
};

}  // namespace isotonus
