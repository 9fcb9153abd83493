#!/usr/bin/env bash
# Renders the parts as an indexed Job of Kubernetes: writes a manifest into the farm's folder, to review and apply
# by hand. FARM_IMAGE is an image that contains Ivrik, FARM_CLAIM a volume claim that has the folder under the same
# path. A site can change a copy of this script and name the copy with --scheduler.
#
# Variables: FARM_FOLDER, FARM_COUNT, FARM_PARALLEL. Finished parts exit immediately.
set -euo pipefail
case $1 in
  submit)
    volume="
          volumeMounts: [{name: work, mountPath: '$(dirname "$FARM_FOLDER")'}]
      volumes: [{name: work, persistentVolumeClaim: {claimName: '${FARM_CLAIM:-work}'}}]"
    cat >"$FARM_FOLDER/job.yaml" <<MANIFEST
apiVersion: batch/v1
kind: Job
metadata: {name: ivrik-parts}
spec:
  completionMode: Indexed
  completions: $FARM_COUNT
  parallelism: $FARM_PARALLEL
  backoffLimitPerIndex: 2
  template:
    spec:
      restartPolicy: Never
      containers:
        - name: part
          image: '${FARM_IMAGE:-ivrik:latest}'
          command: [bash, -c, 'exec "\$0/part" \$((JOB_COMPLETION_INDEX + 1))', '$FARM_FOLDER']$volume
---
apiVersion: batch/v1
kind: Job
metadata: {name: ivrik-join}
spec:
  backoffLimit: 0
  template:
    spec:
      restartPolicy: Never
      containers:
        - name: join
          image: '${FARM_IMAGE:-ivrik:latest}'
          command: [bash, -c, 'while [ "\$(ls "\$0/done" | wc -l)" -lt $FARM_COUNT ]; do sleep 10; done; exec "\$0/part" join', '$FARM_FOLDER']$volume
MANIFEST
    echo "kubectl apply -f '$FARM_FOLDER/job.yaml' starts the render" >&2
    ;;
  cancel) ;;
  alive) exit 1 ;;
esac
