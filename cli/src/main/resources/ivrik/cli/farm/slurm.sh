#!/usr/bin/env bash
# How a farm's parts become jobs of Slurm: an array, and a job after it that joins what they have made. A site may
# change a copy of this (options of sbatch, modules to load) and name it with --scheduler.
#
# Told: FARM_FOLDER, which every node sees; FARM_PARTS, such as 1-3,7, or nothing; FARM_AT_ONCE; and, to be
# cancelled or asked after, in FARM_JOBS what `submit` has printed.
set -euo pipefail
logs=${FARM_FOLDER//%/%%}/logs
options=(--parsable --requeue --open-mode=append --job-name=ivrik)
case $1 in
  submit)
    after=() jobs=
    if [ -n "$FARM_PARTS" ]; then
      jobs=$(sbatch "${options[@]}" --array="$FARM_PARTS%$FARM_AT_ONCE" --output="$logs/%a.slurm.txt" "$0" part)
      jobs=${jobs%%;*}
      after=(--dependency="afterany:$jobs")
    fi
    join=$(sbatch "${options[@]}" ${after[@]+"${after[@]}"} --output="$logs/join.slurm.txt" "$0" join)
    echo "$jobs ${join%%;*}"
    ;;
  part) exec "$FARM_FOLDER/part" "$SLURM_ARRAY_TASK_ID" ;;
  join) exec "$FARM_FOLDER/part" join ;;
  cancel) scancel $FARM_JOBS ;;
  alive)
    waiting=${FARM_JOBS## }
    squeue --noheader --format=%i --jobs="${waiting// /,}" 2>/dev/null | grep -q .
    ;;
esac
