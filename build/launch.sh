# How Java is started, from the tree and installed alike. To be read in by a script that has set `java` to the
# program, `jars` to the class path, `home` to the folder that holds the demo, `program` to the command itself, and
# `vectors` to a folder where build/Vectors.java may have been.

told=${BASH_SOURCE[0]%/*}
flags=("@$told/java.args")

# Java announces its vector module on a line of its own before anything else. Nobody asked: that line is
# left out, all others pass as they come.
quietly() {
  trap '' INT TERM
  local first
  IFS= read -r first && [[ $first == "WARNING: Using incubator modules"* ]] || printf '%s' "${first:+$first$'\n'}"
  exec cat
}

# Kilobytes of memory that this machine has, or what this process is allowed of it.
machine_kb() {
  local kb limit
  kb=$(sed -n 's/^MemTotal: *\([0-9]*\) kB$/\1/p' /proc/meminfo 2>/dev/null)
  [ -n "$kb" ] || kb=$(($(sysctl -n hw.memsize 2>/dev/null || echo 0) / 1024))
  limit=$(cat /sys/fs/cgroup/memory.max 2>/dev/null)
  case "$limit" in '' | *[!0-9]*) ;; *) [ $((limit / 1024)) -lt "$kb" ] && kb=$((limit / 1024)) ;; esac
  echo "$kb"
}

# Where the window keeps its settings, as UserFolder has it.
data=${IVRIK_DATA:-${XDG_DATA_HOME:-$HOME/.local/share}/ivrik}
[ -z "${IVRIK_DATA:-}" ] && [ -d "$HOME/Library" ] && data="$HOME/Library/Application Support/Ivrik"

# Memory for Java: what it is told; else what pictures may take by those settings and a quarter more; else a
# third of the machine's, at most 4 GB. A heap that has no more room than it needs is also collected in
# shorter pauses.
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

# launch CACHE WORDS...: becomes Ivrik, with the classes that a file keeps, or none. The cache holds for Java's vectors
# as a jar or as a module, whichever there was when it was made. With IVRIK_KEEP_CLASSES=FILE
# it keeps in that file what it loads, so that it starts quicker from then on (JEP 514).
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
  # no words, "demo" and files are for the window, which is also rehearsed
  case "${1:-demo}" in demo | rehearse | *.*) ;; *) flags+=("@$told/command.args") ;; esac
  # the toolkit would set these itself, which moves the environment while what loads FFmpeg reads it: a crash
  export GDK_BACKEND=x11 IBUS_ENABLE_SYNC_MODE=1
  # where nobody keeps settings, the toolkit's file chooser would complain that it cannot
  [ -n "${DBUS_SESSION_BUS_ADDRESS:-}" ] || export GSETTINGS_BACKEND=${GSETTINGS_BACKEND:-memory}
  exec "$java" "${flags[@]}" "-Divrik.home=$home" "-Divrik.program=$program" -cp "$jars" ${kept[@]+"${kept[@]}"} $(memory) \
    ivrik.cli.Ivrik "$@" 2> >(quietly >&2)
}
