#!/usr/bin/env bash
# on_x.sh PROGRAM [ARGUMENTS]: runs a program in an X server of its own, with a window manager, as on a desktop.  The
# screen is $SCREEN, 1280x800 if that is not set.
set -eu
if [ "${ISOTONUS_ON_X:-}" != yes ]; then
    export ISOTONUS_ON_X=yes
    exec xvfb-run -a -s "-screen 0 ${SCREEN:-1280x800}x24" "$0" "$@"
fi
settings=$(mktemp -d)
HOME=$settings openbox --sm-disable >"$settings/log" 2>&1 &
manager=$!
trap 'kill "$manager" 2>/dev/null; rm -rf "$settings"' EXIT
for _ in $(seq 100); do
    xdotool get_desktop >/dev/null 2>&1 && break # the window manager answers
    sleep 0.05
done
QT_QPA_PLATFORM=xcb "$@"
