# What ./demo, ./test and ./screenshots share: the packages, and the build.
set -eu
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$root"
# Precompiled headers: what they hold stands in the sources too.
export CCACHE_SLOPPINESS=pch_defines,time_macros,include_file_mtime,include_file_ctime

# packages SECTION...: the names in these sections of packages.txt
packages() {
    local section
    for section in "$@"; do
        awk -v want="[$section]" '/^#/ || /^$/ { next } /^\[/ { on = ($0 == want); next } on' packages.txt
    done
}

# Installs what is missing, and only then touches the network.
install_missing() {
    local missing=() name
    for name in $(packages "$@"); do
        dpkg-query -W -f='${Status}' "$name" 2>/dev/null | grep -q 'ok installed' || missing+=("$name")
    done
    [ ${#missing[@]} -eq 0 ] && return 0
    echo "Installing from Debian: ${missing[*]}"
    local as_root=()
    [ "$(id -u)" -eq 0 ] || as_root=(sudo)
    "${as_root[@]}" apt-get update -q
    "${as_root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -q --no-install-recommends "${missing[@]}"
}

# build PRESET [CMAKE OPTIONS] -- TARGETS
build() {
    local preset=$1 options=()
    shift
    while [ $# -gt 0 ] && [ "$1" != -- ]; do options+=("$1"); shift; done
    [ $# -gt 0 ] && shift
    cmake --preset "$preset" "${options[@]}" >"build-$preset.log" 2>&1 || { cat "build-$preset.log"; return 1; }
    rm -f "build-$preset.log"
    cmake --build --preset "$preset" ${1:+--target "$@"}
}
