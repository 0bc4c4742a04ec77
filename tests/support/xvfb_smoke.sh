#!/usr/bin/env bash
# xvfb_smoke.sh ISOTONUS SESSION: the application under Xvfb draws a window that is not blank.
set -eu
folder=$(mktemp -d)
trap 'rm -rf "$folder"' EXIT
export XDG_CACHE_HOME=$folder/cache XDG_CONFIG_HOME=$folder/config XDG_STATE_HOME=$folder/state
unset QT_QPA_PLATFORM
xvfb-run -a -s "-screen 0 1280x800x24" "$1" --picture "$folder/window.png" "$2"
ffmpeg -v error -i "$folder/window.png" -f rawvideo -pix_fmt rgb24 "$folder/window.rgb"
python3 - "$folder/window.rgb" <<'P'
import sys
pixels = open(sys.argv[1], 'rb').read()
assert len(pixels) == 1280 * 800 * 3, f'{len(pixels)} bytes are not a window of 1280 by 800'
colours = {pixels[i:i + 3] for i in range(0, len(pixels), 3)}
background = max(colours, key=lambda c: pixels.count(c)) if len(colours) < 5 else pixels[:3]
drawn = sum(pixels[i:i + 3] != background for i in range(0, len(pixels), 3 * 7))
assert len(colours) > 20, f'only {len(colours)} colours: the window is blank'
assert drawn > 2000, 'hardly anything is drawn'
print(f'{len(colours)} colours in the window')
P
