#!/usr/bin/env bash
# How a farm's parts become an indexed Job of Kubernetes: writes its manifest into the farm's folder, to be looked
# over and applied by hand. FARM_IMAGE is an image with Ivrik in it, FARM_CLAIM a volume claim that holds the
# folder under the same path; a site may change a copy of this and name it with --scheduler.
#
# Told: FARM_FOLDER, FARM_COUNT, FARM_AT_ONCE. Parts that are done already end at once.
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
  parallelism: $FARM_AT_ONCE
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
    echo "kubectl apply -f '$FARM_FOLDER/job.yaml' begins it" >&2
    ;;
  cancel) ;;
  alive) exit 1 ;;
esac
