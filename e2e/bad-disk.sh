#!/usr/bin/env bash
# A server whose disk lets it down: full, read-only, slow, its database held by somebody for thirty seconds. Pages are
# read all the while, writes are refused in words, /health says which it is, and nothing that was acknowledged is lost.
# As root: it mounts a small disk of its own.
#   e2e/bad-disk.sh [PORT]
set -euo pipefail
cd "$(dirname "$0")/.."
[ "$(id -u)" -eq 0 ] || { echo "✗ e2e/bad-disk.sh mounts a disk: as root" >&2; exit 1; }
command -v strace >/dev/null || { echo "✗ Missing: strace. As root: apt-get install strace" >&2; exit 1; }
port="${1:-8473}"
folder=$(mktemp -d)
site=$folder/site base=https://127.0.0.1:$port jar=$folder/jar
finish() { kill "$server" 2>/dev/null || true; wait "$server" 2>/dev/null || true; umount -l "$site/shared" 2>/dev/null || true; umount -l "$site/shared" 2>/dev/null || true; rm -rf "$folder"; }
trap finish EXIT
fail() { echo "✗ $*" >&2; exit 1; }
mkdir -p "$site/shared"
mount -t tmpfs -o size=120m tmpfs "$site/shared"
bin/deploy --try "$site" --port "$port" --seed >"$folder/deploy.log" 2>&1 & server=$!
for _ in $(seq 300); do grep -q '^✓' "$folder/deploy.log" && break; kill -0 "$server" || { cat "$folder/deploy.log"; exit 1; }; sleep 1; done
page() { curl -ksS -b "$jar" -c "$jar" --max-time 60 "$@"; }
token() { awk -F'\t' '$6 == "XSRF-TOKEN" { print $7 }' "$jar" | php -r 'echo urldecode(trim(stream_get_contents(STDIN)));'; }
page "$base/sign-in" -o /dev/null
page -X POST -H "X-XSRF-TOKEN: $(token)" -d 'email=wren@ebb-and-sluice.example&password=saltmarsh' "$base/sign-in" -o /dev/null
database=$site/shared/unionbit.sqlite
job=$(php -r '$p = new PDO("sqlite:$argv[1]"); echo $p->query("select j.id from jobs j join systems y on y.id = j.system_id join sites s on s.id = y.site_id where s.name = \"Tollhouse\"")->fetchColumn();' "$database")
rows() { php -r '$p = new PDO("sqlite:$argv[1]"); echo $p->query("select count(*) from readings")->fetchColumn();' "$database"; }
acknowledged=$(rows)
# Answers the status, and counts what was acknowledged.
reads() {
    local id status
    id=01KV$(head -c 400 /dev/urandom | tr -dc 'A-HJKMNP-TV-Z0-9' | head -c 22)
    status=$(page -o "$folder/answer" -w '%{http_code}' -X POST -H "X-XSRF-TOKEN: $(token)" -H 'Accept: application/json' -H 'Content-Type: application/json' \
        -d "{\"id\":\"$id\",\"stage\":\"survey\",\"mode\":\"V\",\"a\":\"indoor.R\",\"b\":\"indoor.C\",\"value\":\"26\"}" "$base/jobs/$job/readings")
    [ "$status" != 201 ] || acknowledged=$((acknowledged + 1))
    echo "$status" >"$folder/status"
}
status() { cat "$folder/status"; }
pages() {
    for path in /jobs "/jobs/$job/survey" "/jobs/$job/plan" "/jobs/$job/set" "/jobs/$job/handover" /figures /account; do
        page -o "$folder/page" -w '%{http_code} %{time_total}\n' "$base$path" | sed "s|^|$path |"
    done >"$folder/pages"
    ! grep -v ' 200 ' "$folder/pages" || fail "$1: a page is not shown."
    awk -v what="$1" '{ if ($3 > most) most = $3 } END { printf "  %s: %d pages, the slowest %.2f s\n", what, NR, most }' "$folder/pages"
}
health() { page "$base/health" | grep -E "$1" || fail "/health does not say $1: $(page "$base/health")"; }
refused() {
    [ "$(status)" = 503 ] || fail "$1: a write was answered with $(status): $(head -c 200 "$folder/answer")"
    printf '  %s: a write is answered with 503, "%s"\n' "$1" "$(php -r 'echo json_decode(file_get_contents($argv[1]))->message ?? "";' "$folder/answer")"
}
well() {
    reads; [ "$(status)" = 201 ] || fail "After $1 a write is answered with $(status): $(head -c 200 "$folder/answer")"
    [ "$(rows)" -eq "$acknowledged" ] || fail "After $1: $(rows) rows, $acknowledged were acknowledged."
    [ "$(php -r '$p = new PDO("sqlite:$argv[1]"); echo $p->query("pragma integrity_check")->fetchColumn();' "$database")" = ok ] || fail "After $1 the database is not whole."
    echo "  after $1: $acknowledged acknowledged, $(rows) there, whole"
}
reads; [ "$(status)" = 201 ] || fail "Nothing is written in the beginning: $(status)"
pages well

echo "· Full"
dd if=/dev/zero of="$site/shared/filler" bs=64k 2>/dev/null || true
# What is begun may take some more.
for _ in $(seq 400); do reads; [ "$(status)" = 201 ] || break; done
refused full
pages full
health 'disk +NOT WELL'
rm "$site/shared/filler"
well 'a full disk'

echo "· Read-only"
# What is open stays so; whatever is opened from now on cannot be written.
mount --bind "$site/shared" "$site/shared" && mount -o remount,bind,ro "$site/shared"
reads; refused read-only
pages read-only
health 'disk +NOT WELL'
umount "$site/shared"
well 'a read-only disk'

echo "· Held by somebody for thirty seconds"
php -r '$p = new PDO("sqlite:$argv[1]"); $p->exec("begin immediate"); sleep(30); $p->exec("rollback");' "$database" & holds=$!
sleep 0.5
reads; refused held
pages held
health 'database +NOT WELL'
wait "$holds"
well 'it was let go'

echo "· Slow: a quarter of a second more each time that something is brought onto the disk"
strace -qq -f $(pgrep -f 'php-fpm: pool unionbit' | sed 's/^/-p /') -e trace=fsync,fdatasync -e inject=fsync,fdatasync:delay_exit=250000 -o /dev/null & slow=$!
sleep 1
pages slow
reads; [ "$(status)" = 201 ] || fail "A slow write is answered with $(status)."
kill "$slow"; wait "$slow" 2>/dev/null || true
well 'a slow disk'
echo "✓ Full, read-only, held and slow: every page shown, every write refused in words or kept."
