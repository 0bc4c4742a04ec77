#!/usr/bin/env bash
# A stereo file of 180 s through a low cut, six bells and a compressor to a 24-bit WAV file on one thread, against ffmpeg's
# filters with the same settings.  Prints seconds of each, least of five by turns, and the ratio.
#   tests/bench/shape.sh PATH/TO/isotonus-cli
set -eu
cli=$1
work=$(mktemp -d)
trap 'rm -rf "$work"' EXIT
export XDG_CACHE_HOME=$work/cache ISOTONUS_WORKERS=1
mkdir "$work/in"
ffmpeg -v error -f lavfi -i "anoisesrc=d=180:c=pink:r=48000:a=0.5:seed=1" -f lavfi -i "anoisesrc=d=180:c=pink:r=48000:a=0.5:seed=2" \
    -filter_complex "[0][1]amerge=inputs=2" -c:a pcm_s24le "$work/in/row.wav"
"$cli" new "$work/s.isotonus" --from "$work/in"
"$cli" shape "$work/s.isotonus" row 1 low_cut hz=80 slope=24
bands=()
n=1
for hz in 120 300 700 1500 4000 9000; do
    bands+=("band$n.in=on" "band$n.hz=$hz" "band$n.db=3" "band$n.q=1.4")
    n=$((n + 1))
done
"$cli" shape "$work/s.isotonus" row 2 equaliser "${bands[@]}"
"$cli" shape "$work/s.isotonus" row 3 compressor threshold_dbfs=-24 ratio=3 attack_ms=10 release_ms=120 knee_db=6
filters="highpass=f=80:t=q:w=0.5412,highpass=f=80:t=q:w=1.3066"
for hz in 120 300 700 1500 4000 9000; do filters+=",equalizer=f=$hz:t=q:w=1.4:g=3"; done
filters+=",acompressor=threshold=0.063:ratio=3:attack=10:release=120:knee=2"
seconds() {
    local from to
    from=$(date +%s.%N)
    "$@" >/dev/null
    to=$(date +%s.%N)
    echo "$to - $from" | bc
}
ours=() theirs=()
"$cli" render "$work/s.isotonus" "$work/out.wav" >/dev/null # measures the file once, as opening a session does
for _ in 1 2 3 4 5; do
    ours+=("$(seconds "$cli" render "$work/s.isotonus" "$work/out.wav")")
    theirs+=("$(seconds ffmpeg -v error -threads 1 -filter_threads 1 -y -i "$work/in/row.wav" -af "$filters" -c:a pcm_s24le "$work/theirs.wav")")
done
least() { printf '%s\n' "$@" | sort -n | head -1; }
a=$(least "${ours[@]}") b=$(least "${theirs[@]}")
echo "ours $a s, ffmpeg $b s: $(echo "scale=2; $b / $a" | bc) times"
