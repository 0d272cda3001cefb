#!/usr/bin/env bash
# Thirty minutes of twenty people who read and record, against a server that bin/deploy --try serves: each minute the
# memory of fpm's workers and of the queue, the size of the database, of its log, of the logs, and the rows of sessions.
#   bin/deploy --try /tmp/u --seed & benchmarks/soak.sh /tmp/u https://127.0.0.1:8443 [MINUTES]
set -euo pipefail
cd "$(dirname "$0")/.."
site="${1:?folder of the server}" base="${2:?address of the server}" minutes="${3:-30}"
php benchmarks/people.php "$base" $((minutes * 60)) 3 >"$site/soak.log" 2>&1 & people=$!
trap 'kill "$people" 2>/dev/null || true' EXIT
# Kilobytes that belong to them alone, and their share of what they have together: the largest, and all.
memory() { for pid in $(pgrep -f "$1" || true); do awk '/^Pss:/ { print $2 }' "/proc/$pid/smaps_rollup" 2>/dev/null || true; done | sort -n | awk '{ all += $1; most = $1 } END { printf "%d/%d", most / 1000, all / 1000 }'; }
bytes() { stat -c %s "$@" 2>/dev/null | awk '{ all += $1 } END { printf "%.1f", all / 1e6 }'; }
printf '%6s %14s %14s %10s %8s %8s %9s %9s\n' minute 'fpm MB' 'queue MB' database wal logs sessions readings
for minute in $(seq 0 "$minutes"); do
    rows=$(php -r '$p = new PDO("sqlite:$argv[1]"); foreach (["sessions", "readings"] as $t) printf("%9d ", $p->query("select count(*) from $t")->fetchColumn());' "$site/shared/unionbit.sqlite")
    printf '%6d %14s %14s %10s %8s %8s %s\n' "$minute" "$(memory 'php-fpm: pool unionbit')" "$(memory 'queue:work')" \
        "$(bytes "$site/shared/unionbit.sqlite")" "$(bytes "$site/shared/unionbit.sqlite-wal")" "$(bytes "$site"/shared/storage/logs/*.log)" "$rows"
    [ "$minute" = "$minutes" ] || sleep 60
done
wait "$people" || true
cat "$site/soak.log"
