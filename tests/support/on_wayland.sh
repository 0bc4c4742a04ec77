#!/usr/bin/env bash
# on_wayland.sh PROGRAM [ARGUMENTS]: runs a program as a client of a Wayland compositor, weston, whose screen is a window
# of an X server of its own.  What is done to that window with xdotool reaches the program by Wayland's ways.
set -eu
if [ "${ISOTONUS_ON_WAYLAND:-}" != yes ]; then
    export ISOTONUS_ON_WAYLAND=yes
    exec xvfb-run -a -s "-screen 0 1280x800x24" "$0" "$@"
fi
runtime=$(mktemp -d)
chmod 700 "$runtime"
export XDG_RUNTIME_DIR=$runtime
printf '[core]\nidle-time=0\n' >"$runtime/weston.ini"
weston --backend=x11-backend.so --use-pixman --shell=kiosk-shell.so --width=1280 --height=800 \
    --config="$runtime/weston.ini" --socket=desk --log="$runtime/log" &
compositor=$!
trap 'kill "$compositor" 2>/dev/null; wait "$compositor" 2>/dev/null || true; rm -rf "$runtime"' EXIT
window=
for _ in $(seq 200); do
    window=$(sed -n 's/.*x11 output .* window id //p' "$runtime/log" 2>/dev/null || true) # its log comes a moment later
    [ -S "$runtime/desk" ] && [ -n "$window" ] && break
    sleep 0.05
done
[ -n "$window" ] || { cat "$runtime/log" >&2; exit 1; }
xdotool windowfocus "$window"
WAYLAND_DISPLAY=$runtime/desk QT_QPA_PLATFORM=wayland "$@"
