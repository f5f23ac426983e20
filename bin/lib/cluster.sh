#!/usr/bin/env bash
# Brings a cluster up, breaks it part by part while cooks log, counts, and takes it away again.
#   bin/test cluster [writers] [seconds between]
set -euo pipefail
BIN="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
trap '"$BIN/cluster" down' EXIT
"$BIN/cluster" up
php "$BIN/../tests/Load/cluster.php" http://127.0.0.1:8200 "${1:-4}" "${2:-5}"
