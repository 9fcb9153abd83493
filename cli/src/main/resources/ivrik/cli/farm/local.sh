#!/usr/bin/env bash
# Renders the parts without a scheduler: on this computer, or with GNU parallel on those in FARM_HOSTS (the format
# of its --sshlogin), which must see the same folders. A site can change a copy of this script and name the copy
# with --scheduler.
#
# Variables: FARM_FOLDER; FARM_LIST, such as "1 2 3 7", or empty; FARM_PARALLEL. For cancel and alive, FARM_JOBS is
# the output of submit.
set -euo pipefail
all() {
  if command -v parallel >/dev/null; then
    parallel ${FARM_HOSTS:+--sshlogin "$FARM_HOSTS"} -j "$FARM_PARALLEL" "$(printf %q "$FARM_FOLDER/part")" '{}'
  else
    xargs -P "$FARM_PARALLEL" -n 1 "$FARM_FOLDER/part"
  fi
}
case $1 in
  submit)
    setsid bash "$0" all >>"$FARM_FOLDER/logs/local.txt" 2>&1 </dev/null &
    # the process group appears a moment after the process; until then alive would report that the jobs have ended
    until kill -0 -- "-$!" 2>/dev/null || ! kill -0 $! 2>/dev/null; do sleep 0.01; done
    echo $!
    ;;
  all)
    [ -z "$FARM_LIST" ] || printf '%s\n' $FARM_LIST | all || true # the join reports missing parts
    exec "$FARM_FOLDER/part" join
    ;;
  cancel) kill -- "-$FARM_JOBS" ;;
  alive) kill -0 -- "-$FARM_JOBS" 2>/dev/null ;;
esac
