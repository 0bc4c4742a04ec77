// What a control that draws itself tells a screen reader, and what one may do with it.
//
// Qt asks a factory for the accessible side of a widget; the one here answers for every widget that is a SpokenControl.
// AT-SPI, and whatever else Qt speaks to, then finds a slider or a chart with a name, a value in words, a number where
// there is one, and actions.
#pragma once

#include <QStringList>
#include <optional>

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
    /// What is said to it: taken as if it were typed.
    virtual void say(const QString&) {}
    /// Up or down by a step of the arrow keys.
    virtual void step(int) {}
    /// What else can be done with it, in words; `act` does one of them.
    virtual QStringList actions() const { return {}; }
    virtual void act(const QString&) {}
};

/// Once in a process, before windows are shown.
void speak_for_drawn_controls();

}  // namespace isotonus
