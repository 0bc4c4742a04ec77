"""The application through AT-SPI, from another process, as a screen reader meets it.

The main job is done by actions and values alone, and what a reader would say is read back.  Then every object that is
seen in each station is looked at: it has a name and a role; a slider has a range that its value lies in; whatever can
be done with it is offered; and what can be checked changes when it is asked to, with the edit that a click makes.
"""

import sys
import time

import pyatspi

faults = []


def check(true, what):
    if not true:
        faults.append(what)
        print("FAULT:", what)


def until(look, seconds=10.0):
    """What `look` returns, once it is something."""
    end = time.time() + seconds
    while time.time() < end:
        found = look()
        if found:
            return found
        time.sleep(0.03)
    return look()


def seen(obj):
    """Every object below this one that is shown, the object itself first."""
    try:
        if not obj.getState().contains(pyatspi.STATE_SHOWING):
            return
        yield obj
        for n in range(obj.childCount):
            child = obj.getChildAtIndex(n)
            if child is not None:
                yield from seen(child)
    except Exception:  # it has gone while it was looked at
        return


def find(name, role=None):
    for obj in seen(window):
        if obj.name == name and (role is None or obj.getRoleName() == role):
            return obj
    return None


def wanted(name, role=None):
    obj = until(lambda: find(name, role))
    check(obj is not None, f"'{name}' is not there")
    if obj is None:
        sys.exit(1)
    return obj


def do(obj, *names):
    """Does the first of these actions that the object has."""
    action = obj.queryAction()
    offered = [action.getName(n) for n in range(action.nActions)]
    for name in names:
        if name in offered:
            action.doAction(offered.index(name))
            return
    check(False, f"'{obj.name}' offers {offered}, none of {names}")


def press(name, role=None):
    do(wanted(name, role), "Press", "Toggle")


def checked(obj):
    return obj.getState().contains(pyatspi.STATE_CHECKED)


def value(name):
    return wanted(name, "slider").queryValue()


def undone():
    """What the last edit was."""
    return next((o.name for o in seen(window) if o.name.startswith("Undo")), "")


def application():
    return next((a for a in pyatspi.Registry.getDesktop(0) if a is not None and a.name == "Isotonus"), None)


window = until(application, 30).getChildAtIndex(0)
check(window.name.startswith("demo"), f"the window is called '{window.name}'")
until(lambda: "dBFS" in next((o.name for o in seen(window) if o.name.startswith("Main output")), ""), 60)

# The main job: stage, balance, listen, look at the main output.
press("Stage", "radio button")
press("Stage all")
check(until(lambda: undone().startswith("Undo: Stage")), f"after 'Stage all' the last edit is '{undone()}'")
trim = value("Kick Close, trim")
check(trim.currentValue != 0.0, "the kick is not staged")
press("Balance", "radio button")
fader = value("Kick Close, fader")
check((fader.minimumValue, fader.maximumValue) == (-72.0, 12.0), "a fader goes from -72 to +12 dB")
fader.currentValue = -7.5
check(until(lambda: value("Kick Close, fader").currentValue == -7.5), "a fader takes what is said")
do(wanted("Kick Close, fader"), "Increase")
check(until(lambda: value("Kick Close, fader").currentValue == -6.5), "a fader goes up by a step")
pan = value("Bass, pan")
pan.currentValue = -30
check(until(lambda: value("Bass, pan").currentValue == -30), "a pan takes what is said")
check(until(lambda: wanted("Bass, pan").description == "L 30"), f"a pan is read as '{wanted('Bass, pan').description}'")
press("Mute Kick Close")
check(until(lambda: checked(wanted("Mute Kick Close"))), "a mute is checked when it is on")
check(until(lambda: "Mute" in undone()), f"a mute is an edit, not only a look: '{undone()}'")
press("Mute Kick Close")
check(until(lambda: not checked(wanted("Mute Kick Close"))), "and off again")
value("Main fader").currentValue = -3
check(until(lambda: value("Main fader").currentValue == -3), "the main fader takes what is said")
press("Mono", "check box")
check(until(lambda: any("Mono" in o.name or checked(o) for o in seen(window) if o.name == "Mono")), "mono is on")
press("Mono", "check box")
press("Play or stop")
check(until(lambda: find("0:00.0", "label") is None), "the song plays")
press("Play or stop")
check(find("Sound device: No sound: simulated device") is not None, "the device is told")

# Every object of every station.
ACTIVE = {"push button", "check box", "radio button", "toggle button", "slider", "combo box", "spin button", "text"}
for station in ("Gather", "Stage", "Balance", "Shape", "Ride", "Compare", "Hand off"):
    press(station, "radio button")
    check(until(lambda: checked(wanted(station, "radio button"))), f"{station} is not reached")
    time.sleep(0.3)
    sliders = boxes = 0
    for obj in list(seen(window)):
        try:
            role, name = obj.getRoleName(), obj.name
        except Exception:
            continue
        if role not in ACTIVE:
            continue
        where = f"{station}: {role} '{name}'"
        check(name.strip() != "", f"{where} has no name")
        check(not name.startswith(","), f"{where} begins with nothing")
        if role == "slider":
            sliders += 1
            v = obj.queryValue()
            check(v.minimumValue < v.maximumValue, f"{where} goes from {v.minimumValue} to {v.maximumValue}")
            check(v.minimumValue <= v.currentValue <= v.maximumValue, f"{where} is at {v.currentValue}")
        if role in {"push button", "check box", "radio button", "toggle button"}:
            if not obj.getState().contains(pyatspi.STATE_ENABLED):
                continue
            boxes += 1
            check(obj.queryAction().nActions > 0, f"{where} can not be pressed")
    check(sliders >= 2, f"{station}: only {sliders} sliders")
    print(f"{station}: {sliders} sliders, {boxes} buttons")

# What is checked by its action changes, and changes back.
press("Balance", "radio button")
until(lambda: checked(wanted("Balance", "radio button")) and find("Snare, fader"))
time.sleep(0.3)
for name in ("Mute Snare", "Solo Snare", "Dim", "Quiet", "Left", "Swap", "Loop", "Field"):
    box = until(lambda: find(name))
    check(box is not None, f"'{name}' is not there")
    if box is None:
        continue
    was = checked(box)
    for to in (not was, was):
        press(name)
        check(until(lambda: (o := find(name)) is not None and checked(o) == to), f"'{name}' does not become {to}")

print(f"{len(faults)} faults")
sys.exit(1 if faults else 0)
