#!/usr/bin/env bash
# Renders the parts as a Slurm array job, followed by a job that joins them. A site can change a copy of this script
# (options of sbatch, modules to load) and name the copy with --scheduler.
#
# Variables: FARM_FOLDER, which every node must see; FARM_PARTS, such as 1-3,7, or empty; FARM_PARALLEL. For cancel
# and alive, FARM_JOBS is the output of submit.
set -euo pipefail
logs=${FARM_FOLDER//%/%%}/logs
options=(--parsable --requeue --open-mode=append --job-name=ivrik)
case $1 in
  submit)
    after=() jobs=
    if [ -n "$FARM_PARTS" ]; then
      jobs=$(sbatch "${options[@]}" --array="$FARM_PARTS%$FARM_PARALLEL" --output="$logs/%a.slurm.txt" "$0" part)
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
