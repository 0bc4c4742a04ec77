#!/usr/bin/env bash
# outside.sh APPLICATION SESSION SCRIPT: runs the application in an X server and on a session bus of its own, and a
# script beside it that reaches it through AT-SPI alone.
set -eu
if [ "${ISOTONUS_ON_A_BUS:-}" != yes ]; then
    export ISOTONUS_ON_A_BUS=yes
    exec dbus-run-session -- "$(dirname "$0")/on_x.sh" "$0" "$@"
fi
folder=$(mktemp -d)
chmod 700 "$folder"
export QT_LINUX_ACCESSIBILITY_ALWAYS_ON=1 XDG_RUNTIME_DIR=$folder XDG_CONFIG_HOME=$folder/config \
    XDG_STATE_HOME=$folder/state XDG_CACHE_HOME=$folder/cache
mkdir -p "$folder/config/isotonus"
printf '[General]\ndevice=simulated\nlanguage=en\n' >"$folder/config/isotonus/settings.ini"
/usr/libexec/at-spi-bus-launcher --launch-immediately >"$folder/bus.log" 2>&1 &
bus=$!
"$1" "$2" >"$folder/application.log" 2>&1 &
application=$!
trap 'kill "$application" "$bus" 2>/dev/null; wait 2>/dev/null; rm -rf "$folder"' EXIT
/usr/bin/python3 "$3"
