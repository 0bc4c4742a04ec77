// What a control that draws itself tells a screen reader, and what one may do with it.
//
// Qt asks a factory for the accessible side of a widget; the one here answers for every widget that is a SpokenControl,
// and for every button.  AT-SPI, and whatever else Qt speaks to, then finds a slider or a chart with a name, a value in
// words, a number within a range where there is one, and actions, and a button whose actions do what a click does: Qt's
// own *Toggle* changes how a button looks, and nothing that is done when it is clicked happens.
#pragma once

#include <QStringList>
#include <optional>
#include <vector>

namespace isotonus {

class SpokenControl {
  public:
    enum class Sort { slider, chart };
    virtual ~SpokenControl() = default;
    virtual Sort sort() const { return Sort::chart; }
    /// What it shows now, in words with its unit.
    virtual QString spoken_value() const = 0;
    /// The same as a number, where it is one.
    virtual std::optional<double> number() const { return std::nullopt; }
    struct Range {
        double low, high;
        bool off_at_low = false;  ///< a level that can be off: the lower end stands for that
    };
    virtual Range spoken_range() const { return {0.0, 0.0}; }
    /// What is said to it: taken as if it were typed.
    virtual void say(const QString&) {}
    /// Up or down by a step of the arrow keys.
    virtual void step(int) {}
    /// What else can be done with it, in words; `act` does one of them.
    virtual QStringList actions() const { return {}; }
    virtual void act(const QString&) {}

    /// Another value that one widget draws and sets, as a lane does a pan beside its fader: a slider of its own.
    struct Part {
        QString name, value;
        double number;
        Range range;
    };
    virtual std::vector<Part> parts() const { return {}; }
    virtual void say_to_part(size_t, const QString&) {}
    virtual void step_part(size_t, int) {}
};

/// Once in a process, before windows are shown.
void speak_for_controls();

}  // namespace isotonus
