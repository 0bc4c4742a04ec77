#include "app/style/spoken.h"

#include <QAbstractButton>
#include <QAccessible>
#include <QAccessibleWidget>
#include <QPointer>
#include <QPushButton>
#include <QToolButton>
#include <algorithm>
#include <cmath>

namespace isotonus {

namespace {

/// A level that is off stands at the lower end of its range, since a reader knows no infinity.
QVariant within(double number, const SpokenControl::Range& range) { return std::clamp(number, range.low, range.high); }

/// What is typed by hand for a value that a reader sets.
QString typed(const QVariant& value, const SpokenControl::Range& range) {
    bool is_number = false;
    const double number = value.toDouble(&is_number);
    if (!is_number || std::isinf(number)) return value.toString();
    if (range.off_at_low && number <= range.low) return "-inf";
    return QString::number(std::clamp(number, range.low, range.high));
}

/// One of the values that a widget draws beside its own.  Qt keeps it by its number and asks its parent for it.
class SpokenPart : public QAccessibleInterface, public QAccessibleValueInterface, public QAccessibleActionInterface {
  public:
    SpokenPart(QWidget* widget, SpokenControl& control, size_t number)
        : widget_(widget), control_(control), number_(number) {}

    bool isValid() const override { return widget_ && number_ < control_.parts().size(); }
    QObject* object() const override { return nullptr; }
    QWindow* window() const override { return widget_ ? widget_->window()->windowHandle() : nullptr; }
    QAccessibleInterface* parent() const override { return QAccessible::queryAccessibleInterface(widget_); }
    QAccessibleInterface* child(int) const override { return nullptr; }
    QAccessibleInterface* childAt(int, int) const override { return nullptr; }
    int childCount() const override { return 0; }
    int indexOfChild(const QAccessibleInterface*) const override { return -1; }
    QRect rect() const override { return parent() ? parent()->rect() : QRect(); }
    QAccessible::Role role() const override { return QAccessible::Slider; }
    QAccessible::State state() const override {
        QAccessible::State state = parent() ? parent()->state() : QAccessible::State();
        state.focused = false;
        return state;
    }
    QString text(QAccessible::Text what) const override {
        if (!isValid()) return {};
        if (what == QAccessible::Name) return part().name;
        // AT-SPI has a number for a value and no text: the text is read as the description.
        return what == QAccessible::Value || what == QAccessible::Description ? part().value : QString();
    }
    void setText(QAccessible::Text what, const QString& text) override {
        if (isValid() && what == QAccessible::Value) control_.say_to_part(number_, text);
    }
    void* interface_cast(QAccessible::InterfaceType type) override {
        if (type == QAccessible::ValueInterface) return static_cast<QAccessibleValueInterface*>(this);
        if (type == QAccessible::ActionInterface) return static_cast<QAccessibleActionInterface*>(this);
        return nullptr;
    }

    QVariant currentValue() const override { return isValid() ? within(part().number, part().range) : QVariant(); }
    void setCurrentValue(const QVariant& value) override {
        if (isValid()) control_.say_to_part(number_, typed(value, part().range));
    }
    QVariant maximumValue() const override { return isValid() ? part().range.high : 0.0; }
    QVariant minimumValue() const override { return isValid() ? part().range.low : 0.0; }
    QVariant minimumStepSize() const override { return {}; }

    QStringList actionNames() const override { return {increaseAction(), decreaseAction()}; }
    void doAction(const QString& name) override {
        if (!isValid() || !actionNames().contains(name)) return;
        control_.step_part(number_, name == increaseAction() ? 1 : -1);
    }
    QStringList keyBindingsForAction(const QString&) const override { return {}; }

  private:
    SpokenControl::Part part() const { return control_.parts()[number_]; }

    QPointer<QWidget> widget_;
    SpokenControl& control_;
    size_t number_;
};

class Spoken : public QAccessibleWidget, public QAccessibleValueInterface {
  public:
    Spoken(QWidget* widget, SpokenControl& control)
        : QAccessibleWidget(widget,
                            control.sort() == SpokenControl::Sort::slider ? QAccessible::Slider : QAccessible::Chart),
          control_(control) {}
    ~Spoken() override {
        for (const QAccessible::Id id : parts_) QAccessible::deleteAccessibleInterface(id);
    }

    void* interface_cast(QAccessible::InterfaceType type) override {
        if (type == QAccessible::ValueInterface && control_.sort() == SpokenControl::Sort::slider)
            return static_cast<QAccessibleValueInterface*>(this);
        return QAccessibleWidget::interface_cast(type);
    }
    QString text(QAccessible::Text what) const override {
        return what == QAccessible::Value ? control_.spoken_value() : QAccessibleWidget::text(what);
    }
    void setText(QAccessible::Text what, const QString& text) override {
        if (what == QAccessible::Value) control_.say(text);
    }

    int childCount() const override {
        return QAccessibleWidget::childCount() + static_cast<int>(control_.parts().size());
    }
    QAccessibleInterface* child(int n) const override {
        const int widgets = QAccessibleWidget::childCount();
        if (n < widgets) return QAccessibleWidget::child(n);
        const auto part = static_cast<size_t>(n - widgets);
        if (part >= control_.parts().size()) return nullptr;
        while (parts_.size() <= part)
            parts_.push_back(
                QAccessible::registerAccessibleInterface(new SpokenPart(widget(), control_, parts_.size())));
        return QAccessible::accessibleInterface(parts_[part]);
    }
    int indexOfChild(const QAccessibleInterface* child) const override {
        for (size_t n = 0; n < parts_.size(); ++n)
            if (QAccessible::accessibleInterface(parts_[n]) == child)
                return QAccessibleWidget::childCount() + static_cast<int>(n);
        return QAccessibleWidget::indexOfChild(child);
    }

    QVariant currentValue() const override {
        const auto number = control_.number();
        return number ? within(*number, control_.spoken_range()) : QVariant(control_.spoken_value());
    }
    void setCurrentValue(const QVariant& value) override { control_.say(typed(value, control_.spoken_range())); }
    QVariant maximumValue() const override { return control_.spoken_range().high; }
    QVariant minimumValue() const override { return control_.spoken_range().low; }
    QVariant minimumStepSize() const override { return {}; }

    QStringList actionNames() const override {
        QStringList names = QAccessibleWidget::actionNames();
        if (control_.sort() == SpokenControl::Sort::slider) names << increaseAction() << decreaseAction();
        return names << control_.actions();
    }
    void doAction(const QString& name) override {
        if (name == increaseAction())
            control_.step(1);
        else if (name == decreaseAction())
            control_.step(-1);
        else if (control_.actions().contains(name))
            control_.act(name);
        else
            QAccessibleWidget::doAction(name);
    }

  private:
    SpokenControl& control_;
    mutable std::vector<QAccessible::Id> parts_;
};

/// A button: whatever is done with it is a click.
class SpokenButton : public QAccessibleWidget {
  public:
    explicit SpokenButton(QAbstractButton* button) : QAccessibleWidget(button) {}

    QAccessible::Role role() const override {
        if (menu()) return QAccessible::ButtonMenu;
        if (!button()->isCheckable()) return QAccessible::Button;
        return button()->autoExclusive() ? QAccessible::RadioButton : QAccessible::CheckBox;
    }
    QAccessible::State state() const override {
        QAccessible::State state = QAccessibleWidget::state();
        const auto* push = qobject_cast<QPushButton*>(widget());
        state.checkable = button()->isCheckable();
        state.checked = button()->isChecked();
        state.pressed = button()->isDown();
        state.hasPopup = menu() != nullptr;
        state.defaultButton = push && push->isDefault();
        return state;
    }
    QString text(QAccessible::Text what) const override {
        const QString own = QAccessibleWidget::text(what);
        if (what != QAccessible::Name || !own.isEmpty()) return own;
        const QString label = button()->text().remove('&');
        return label.isEmpty() ? button()->toolTip() : label;
    }
    QStringList actionNames() const override {
        if (!button()->isEnabled()) return {};
        if (menu()) return {showMenuAction()};
        return {button()->isCheckable() ? toggleAction() : pressAction(), setFocusAction()};
    }
    void doAction(const QString& name) override {
        if (!button()->isEnabled()) return;
        // Pressed for a moment, as by hand: what a click opens must not keep the reader waiting for an answer.
        if (name == pressAction() || name == toggleAction() || name == showMenuAction())
            button()->animateClick();
        else
            QAccessibleWidget::doAction(name);
    }
    QStringList keyBindingsForAction(const QString& name) const override {
        const QString keys = button()->shortcut().toString(QKeySequence::NativeText);
        return keys.isEmpty() || name == setFocusAction() ? QStringList() : QStringList(keys);
    }

  private:
    QAbstractButton* button() const { return static_cast<QAbstractButton*>(widget()); }
    QMenu* menu() const {
        if (const auto* push = qobject_cast<QPushButton*>(widget())) return push->menu();
        const auto* tool = qobject_cast<QToolButton*>(widget());
        return tool ? tool->menu() : nullptr;
    }
};

QAccessibleInterface* spoken_side_of(const QString&, QObject* object) {
    auto* widget = qobject_cast<QWidget*>(object);
    if (auto* control = dynamic_cast<SpokenControl*>(widget)) return new Spoken(widget, *control);
    if (auto* button = qobject_cast<QAbstractButton*>(widget)) return new SpokenButton(button);
    return nullptr;
}

}  // namespace

void speak_for_controls() {
    static const bool once = (QAccessible::installFactory(spoken_side_of), true);
    (void)once;
}

}  // namespace isotonus
