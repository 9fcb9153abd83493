#!/usr/bin/env bash
# A real Slurm of two nodes, both on this machine, for one test: slurm.sh DIR PORT. Its daemons' process ids lie in
# DIR/*.pid. Needs root and the packages slurmctld, slurmd and slurm-client.
set -euo pipefail
dir=$1 port=$2 host=$(hostname -s)
mkdir -p "$dir"/{state,log,spool-n1,spool-n2}
cat >"$dir/slurm.conf" <<C
ClusterName=test
SlurmctldHost=$host(127.0.0.1)
SlurmctldPort=$port
AuthType=auth/none
AuthInfo=cred_expire=5
CredType=cred/none
SlurmUser=root
SlurmdUser=root
StateSaveLocation=$dir/state
SlurmdSpoolDir=$dir/spool-%n
SlurmctldPidFile=$dir/ctld.pid
SlurmdPidFile=$dir/%n.pid
SlurmctldLogFile=$dir/log/ctld.log
SlurmdLogFile=$dir/log/%n.log
ProctrackType=proctrack/linuxproc
TaskPlugin=task/none
SwitchType=switch/none
MpiDefault=none
SelectType=select/cons_tres
SelectTypeParameters=CR_Core
SchedulerParameters=sched_interval=2,bf_interval=2
ReturnToService=2
SlurmdTimeout=6
KillWait=2
NodeName=n1 NodeHostname=$host NodeAddr=127.0.0.1 Port=$((port + 1)) CPUs=$(nproc) RealMemory=2000 State=UNKNOWN
NodeName=n2 NodeHostname=$host NodeAddr=127.0.0.1 Port=$((port + 2)) CPUs=$(nproc) RealMemory=2000 State=UNKNOWN
PartitionName=all Nodes=ALL Default=YES MaxTime=INFINITE State=UP
C
export SLURM_CONF=$dir/slurm.conf
slurmctld
slurmd -N n1
slurmd -N n2
for _ in $(seq 60); do
  sinfo -h -t idle -o %D 2>/dev/null | grep -q '^2$' && exit 0
  sleep 0.5
done
sinfo
exit 1
