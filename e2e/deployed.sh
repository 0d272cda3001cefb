#!/usr/bin/env bash
# The server that bin/deploy sets up, tried: installed from a clean copy into one folder, served by nginx and fpm over TLS,
# walked by a browser, upgraded in place by a second release, and gone back from.
#   e2e/deployed.sh [PORT]
set -euo pipefail
cd "$(dirname "$0")/.."
port="${1:-8453}"
folder=$(mktemp -d)
trap 'kill "$server" 2>/dev/null || true; sleep 1; rm -rf "$folder"' EXIT
git clone -q . "$folder/copy"
# What a clean copy would fetch again is what is here already.
for packages in vendor node_modules; do [ -e "$folder/copy/$packages" ] || cp -al "$packages" "$folder/copy/$packages" 2>/dev/null || cp -a "$packages" "$folder/copy/$packages"; done
serve() {
    (cd "$folder/copy" && exec bin/deploy --try "$folder/site" --port "$port" "$@") >"$folder/deploy.log" 2>&1 &
    server=$!
    for _ in $(seq 300); do
        grep -q '^✓' "$folder/deploy.log" && return
        kill -0 "$server" 2>/dev/null || break
        sleep 1
    done
    cat "$folder/deploy.log" >&2
    exit 1
}
stop() { kill "$server"; wait "$server" 2>/dev/null || true; }
serve
code=$(curl -ksS -o /dev/null "https://127.0.0.1:$port/first-start"; cat "$folder/site/shared/storage/app/first-start.txt")
DEPLOYED="https://127.0.0.1:$port" FIRST_CODE="$code" npx playwright test --config e2e/deployed.config.ts
echo "· A second release over the first"
stop
serve
ls "$folder/site/shared/backups" | grep -q Z || { echo "✗ The upgrade made no backup first." >&2; exit 1; }
[ "$(ls "$folder/site/releases" | wc -l)" -eq 2 ] || { echo "✗ There are not two releases." >&2; exit 1; }
curl -ksS "https://127.0.0.1:$port/metrics" | grep -q 'unionbit_rows{table="users"} 1' || { echo "✗ The people are gone." >&2; exit 1; }
(cd "$folder/copy" && bin/deploy --try "$folder/site" --back)
echo "✓ Deployed, walked, upgraded and gone back."
