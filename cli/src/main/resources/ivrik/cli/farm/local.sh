#!/usr/bin/env bash
# How a farm's parts are done without a scheduler: on this machine, or with GNU parallel on those that FARM_HOSTS
# names (as for its --sshlogin), which see the same folders. A site may change a copy of this and name it with
# --scheduler.
#
# Told: FARM_FOLDER; FARM_LIST, such as "1 2 3 7", or nothing; FARM_AT_ONCE; and, to be cancelled or asked after,
# in FARM_JOBS what `submit` has printed.
set -euo pipefail
all() {
  if command -v parallel >/dev/null; then
    parallel ${FARM_HOSTS:+--sshlogin "$FARM_HOSTS"} -j "$FARM_AT_ONCE" "$(printf %q "$FARM_FOLDER/part")" '{}'
  else
    xargs -P "$FARM_AT_ONCE" -n 1 "$FARM_FOLDER/part"
  fi
}
case $1 in
  submit)
    setsid bash "$0" all >>"$FARM_FOLDER/logs/local.txt" 2>&1 </dev/null &
    # its group, which is what it is known by, is there a moment after it: who asks before would be told that it has ended
    until kill -0 -- "-$!" 2>/dev/null || ! kill -0 $! 2>/dev/null; do sleep 0.01; done
    echo $!
    ;;
  all)
    [ -z "$FARM_LIST" ] || printf '%s\n' $FARM_LIST | all || true # joining says which are missing
    exec "$FARM_FOLDER/part" join
    ;;
  cancel) kill -- "-$FARM_JOBS" ;;
  alive) kill -0 -- "-$FARM_JOBS" 2>/dev/null ;;
esac
