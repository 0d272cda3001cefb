#!/usr/bin/env bash
# Twenty people at once without think time, against a server that bin/deploy --try serves (nginx, fpm, TLS):
#   bin/deploy --try /tmp/u --seed & benchmarks/load.sh https://127.0.0.1:8443 [SECONDS]
# Each stage by itself, of a small house and of the largest; then all of them mixed. wrk, from Debian, does the asking.
#   benchmarks/load.sh --writes ADDRESS [SECONDS [THINKS [ARCHIVE]]]     twenty people who read and record: people.php
set -euo pipefail
if [ "${1:-}" = --writes ]; then shift; exec php "$(dirname "$0")/people.php" "$@"; fi
base="${1:?address of the server}" seconds="${2:-10}"
command -v wrk >/dev/null || { echo "apt-get install wrk" >&2; exit 1; }
jar=$(mktemp) lua=$(mktemp) urls=$(mktemp)
trap 'rm -f "$jar" "$lua" "$urls"' EXIT
page() { curl -ksS -b "$jar" -c "$jar" "$@"; }
page "$base/sign-in" -o /dev/null
token() { php -r 'foreach (file($argv[1]) as $l) { $p = explode("\t", trim($l)); if (($p[5] ?? "") === "XSRF-TOKEN") echo urldecode($p[6]); }' "$jar"; }
page -X POST -H "X-XSRF-TOKEN: $(token)" -d 'email=wren@ebb-and-sluice.example&password=saltmarsh' "$base/sign-in" -o /dev/null
data() { page "$base/jobs" | grep -o 'data-page="[^"]*"' | php -r 'echo html_entity_decode(substr(trim(stream_get_contents(STDIN)), 11, -1), ENT_QUOTES | ENT_HTML5);'; }
all=$(data)
version=$(php -r 'echo json_decode($argv[1])->version;' "$all")
house() { php -r 'foreach (json_decode($argv[1])->props->jobs as $j) { if ($j->site === $argv[2]) exit($j->id); }' "$all" "$1"; }
cookies=$(awk -F'\t' 'NF==7{printf "%s=%s; ",$6,$7}' "$jar")
small=$(house 'Tollhouse') large=$(house 'The Old Chandlery') traced=$(house 'Quay House') done=$(house "Lock Keeper's Row 4")
cat >"$lua" <<LUA
local paths = {}
for line in io.lines("$urls") do paths[#paths + 1] = line end
local at, bad = 0, 0
local head = { Cookie = "$cookies", Accept = "text/html, application/xhtml+xml", ["X-Inertia"] = "true", ["X-Inertia-Version"] = "$version", ["X-Requested-With"] = "XMLHttpRequest" }
request = function() at = at % #paths + 1; return wrk.format("GET", paths[at], head) end
response = function(status) if status ~= 200 then bad = bad + 1; if bad == 1 then print("  status " .. status) end end end
done = function(s, latency)
    io.write(string.format("%6.1f pages/s   p50 %4.0f ms   p95 %4.0f ms   max %5.0f ms   not 200: %d\n", s.requests / s.duration * 1e6, latency:percentile(50) / 1000, latency:percentile(95) / 1000, latency.max / 1000, s.errors.status))
end
LUA
run() { printf '%-26s' "$1"; shift; printf '%s\n' "$@" >"$urls"; wrk -t1 -c20 -d"${seconds}s" --timeout 10s -s "$lua" "$base" | grep -E 'pages/s|status'; }
run jobs /jobs
for stage in survey plan set prove trace handover; do run "$stage, small" "/jobs/$small/$stage"; done
for stage in survey plan; do run "$stage, largest" "/jobs/$large/$stage"; done
run "trace, under way" "/jobs/$traced/trace"
run "handover, finished" "/jobs/$done/handover"
mixed=(/jobs)
for house in "$small" "$large" "$done"; do for stage in survey plan prove handover; do mixed+=("/jobs/$house/$stage"); done; done
run "mixed" "${mixed[@]}" "/jobs/$small/set" "/jobs/$traced/trace"
