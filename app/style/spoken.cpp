#include "app/style/spoken.h"

#include <QAccessible>
#include <QAccessibleWidget>
#include <QWidget>

namespace isotonus {

namespace {

class Spoken : public QAccessibleWidget, public QAccessibleValueInterface {
  public:
    Spoken(QWidget* widget, SpokenControl& control)
        : QAccessibleWidget(widget,
                            control.sort() == SpokenControl::Sort::slider ? QAccessible::Slider : QAccessible::Chart),
          control_(control) {}

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

    QVariant currentValue() const override {
        const auto number = control_.number();
        return number ? QVariant(*number) : QVariant(control_.spoken_value());
    }
    void setCurrentValue(const QVariant& value) override { control_.say(value.toString()); }
    // Ranges differ by what a lane shows and have no ends where a fader can be off.
    QVariant maximumValue() const override { return {}; }
    QVariant minimumValue() const override { return {}; }
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
};

QAccessibleInterface* spoken_side_of(const QString&, QObject* object) {
    auto* widget = qobject_cast<QWidget*>(object);
    auto* control = dynamic_cast<SpokenControl*>(widget);
    return control ? new Spoken(widget, *control) : nullptr;
}

}  // namespace

void speak_for_drawn_controls() {
    static const bool once = (QAccessible::installFactory(spoken_side_of), true);
    (void)once;
}

}  // namespace isotonus
