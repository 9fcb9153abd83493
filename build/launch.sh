# Starts Java, from the source tree and installed. To be sourced by a script that sets `java` to the program, `jars`
# to the class path, `home` to the folder of the demo, `program` to the command itself, and `vectors` to the folder
# where build/Vectors.java writes.

told=${BASH_SOURCE[0]%/*}
flags=("@$told/java.args")

# Removes the warning that Java prints about its vector module; all other lines pass.
quietly() {
  trap '' INT TERM
  local first
  IFS= read -r first && [[ $first == "WARNING: Using incubator modules"* ]] || printf '%s' "${first:+$first$'\n'}"
  exec cat
}

# Memory of this machine in kilobytes, or the limit of this process.
machine_kb() {
  local kb limit
  kb=$(sed -n 's/^MemTotal: *\([0-9]*\) kB$/\1/p' /proc/meminfo 2>/dev/null)
  [ -n "$kb" ] || kb=$(($(sysctl -n hw.memsize 2>/dev/null || echo 0) / 1024))
  limit=$(cat /sys/fs/cgroup/memory.max 2>/dev/null)
  case "$limit" in '' | *[!0-9]*) ;; *) [ $((limit / 1024)) -lt "$kb" ] && kb=$((limit / 1024)) ;; esac
  echo "$kb"
}

# The data folder, as in UserFolder.
data=${IVRIK_DATA:-${XDG_DATA_HOME:-$HOME/.local/share}/ivrik}
[ -z "${IVRIK_DATA:-}" ] && [ -d "$HOME/Library" ] && data="$HOME/Library/Application Support/Ivrik"

# Heap size: IVRIK_MEMORY; else the frame cache limit in the settings and a quarter more; else a third of the
# machine, at most 4 GB. A smaller heap has shorter pauses.
memory() {
  [ -n "${IVRIK_MEMORY:-}" ] && { printf -- '-Xmx%s' "$IVRIK_MEMORY"; return; }
  local mb
  mb=$(grep -oE '"memoryMb" *: *[0-9]{1,6}' "$data/window.json" 2>/dev/null | grep -oE '[0-9]+$')
  if [ "${mb:-0}" -gt 0 ]; then
    mb=$((mb * 5 / 4 > 1024 ? mb * 5 / 4 : 1024))
  else
    mb=$(($(machine_kb) / 3 / 1024))
    [ "$mb" -gt 0 ] || return 0
    mb=$((mb > 4096 ? 4096 : mb))
  fi
  printf -- '-Xmx%sm' "$mb"
}

# launch CACHE ARGUMENTS...: replaces the shell by Ivrik, with a class cache or an empty name. A cache is valid for
# the vector classes (jar or module) that it was made with. With IVRIK_KEEP_CLASSES=FILE, writes a class cache to
# that file (JEP 514).
launch() {
  local kept=()
  if [ -r "$vectors/vectors.jar" ]; then
    flags+=("@$vectors/vectors.args" "-Xbootclasspath/a:$vectors/vectors.jar")
  else
    flags+=(--add-modules=jdk.incubator.vector)
  fi
  if [ -n "${IVRIK_KEEP_CLASSES:-}" ]; then
    unset DISPLAY WAYLAND_DISPLAY
    kept=("-XX:AOTCacheOutput=$IVRIK_KEEP_CLASSES")
  elif [ -n "$1" ]; then
    kept=("-XX:AOTCache=$1" -Xlog:disable -Xlog:all=error:stderr '-Xlog:aot*=off:stderr')
  fi
  shift
  # no argument, "demo", "rehearse" and files open the window; everything else is a command
  case "${1:-demo}" in demo | rehearse | *.*) ;; *) flags+=("@$told/command.args") ;; esac
  # GTK would set these itself, which reallocates the environment while FFmpeg is loading: a crash
  export GDK_BACKEND=x11 IBUS_ENABLE_SYNC_MODE=1
  # without a settings service GTK's file chooser prints a warning
  [ -n "${DBUS_SESSION_BUS_ADDRESS:-}" ] || export GSETTINGS_BACKEND=${GSETTINGS_BACKEND:-memory}
  exec "$java" "${flags[@]}" "-Divrik.home=$home" "-Divrik.program=$program" -cp "$jars" ${kept[@]+"${kept[@]}"} $(memory) \
    ivrik.cli.Ivrik "$@" 2> >(quietly >&2)
}
