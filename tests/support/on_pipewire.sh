#!/usr/bin/env bash
# on_pipewire.sh PROGRAM [ARGUMENTS]: runs a program beside a PipeWire of its own, with its doors for Pulse, JACK and
# ALSA, without a sound card: a null sink, "Desk", takes what is played.  Everything is on this machine, in a runtime
# folder of its own.  The program finds the servers' process ids in $SERVERS: pipewire, pulse.
set -eu
if [ "${ISOTONUS_ON_PIPEWIRE:-}" != yes ]; then
    runtime=$(mktemp -d)
    chmod 700 "$runtime"
    trap 'rm -rf "$runtime"' EXIT
    ISOTONUS_ON_PIPEWIRE=yes XDG_RUNTIME_DIR=$runtime HOME=$runtime XDG_CONFIG_HOME=$runtime/config \
        XDG_STATE_HOME=$runtime/state XDG_CACHE_HOME=$runtime/cache PULSE_SERVER=unix:$runtime/pulse/native \
        dbus-run-session -- "$0" "$@" 2> >(grep -v 'Failed to set fd limit\|Killed' >&2)
    exit
fi
export SERVERS=$XDG_RUNTIME_DIR/servers
mkdir -p "$SERVERS" "$XDG_RUNTIME_DIR/pulse"
end() {
    for id in "$SERVERS"/*; do kill -KILL "$(cat "$id")" 2>/dev/null || true; done
    wait 2>/dev/null || true
}
trap end EXIT
start() { # NAME PROGRAM
    "$2" >"$XDG_RUNTIME_DIR/$1.log" 2>&1 &
    echo $! >"$SERVERS/$1"
}
start pipewire pipewire
for _ in $(seq 100); do
    [ -S "$XDG_RUNTIME_DIR/pipewire-0" ] && break
    sleep 0.05
done
start session wireplumber
start pulse pipewire-pulse
for _ in $(seq 200); do
    pactl info >/dev/null 2>&1 && break
    sleep 0.05
done
pactl load-module module-null-sink sink_name=desk sink_properties=device.description=Desk rate=48000 >/dev/null
for _ in $(seq 200); do # the session's manager may not be there yet
    pactl set-default-sink desk 2>/dev/null && [ "$(pactl get-default-sink)" = desk ] && break
    sleep 0.05
done
# The program finds PipeWire's library in the place of JACK's own.
pw-jack "$@"
