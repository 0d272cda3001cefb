#!/usr/bin/env bash
# The server that bin/deploy sets up, tried: installed from a clean copy into one folder, served by nginx and fpm over TLS,
# walked by a browser, upgraded in place; upgraded by releases that fail, each time with the way back that was printed,
# word by word; gone back from twice.
#   e2e/deployed.sh [PORT]
set -euo pipefail
cd "$(dirname "$0")/.."
port="${1:-8453}"
folder=$(mktemp -d)
copy=$folder/copy site=$folder/site base=https://127.0.0.1:$port
trap 'kill "$server" 2>/dev/null || true; sleep 1; rm -rf "$folder"' EXIT
fail() { echo "✗ $*" >&2; exit 1; }
git clone -q . "$copy"
# What a clean copy would fetch again is what is here already.
for packages in vendor node_modules; do [ -e "$copy/$packages" ] || cp -al "$packages" "$copy/$packages" 2>/dev/null || cp -a "$packages" "$copy/$packages"; done
serve() {
    (cd "$copy" && exec bin/deploy --try "$site" --port "$port" "$@") >"$folder/deploy.log" 2>&1 &
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
serves() { basename "$(readlink "$site/current")"; }
# Every row of the people and of their records, and whether the page is there.
rows() { php -r '$p = new PDO("sqlite:$argv[1]"); foreach (["users", "jobs", "job_revisions", "photos", "migrations"] as $t) echo $t, " ", hash("sha256", json_encode($p->query("select * from $t order by 1")->fetchAll(PDO::FETCH_ASSOC))), "\n";' "$site/shared/unionbit.sqlite"; }

serve
first=$(serves)
code=$(curl -ksS -o /dev/null "$base/first-start"; cat "$site/shared/storage/app/first-start.txt")
DEPLOYED="$base" FIRST_CODE="$code" npx playwright test --config e2e/deployed.config.ts

echo "· Its doors: this machine alone, its own name, no old ciphers, no secret of a link in a log"
ss -ltn "sport = :$port" | grep -q '127.0.0.1' || fail "It does not listen on loopback alone."
[ "$(curl -ksS -o /dev/null -w '%{http_code}' -H 'Host: evil.example' "$base/up")" = 421 ] || fail "It answers under another name."
curl -sS -o /dev/null -D - -H 'Host: evil.example' "http://127.0.0.1:$((port + 1))/x" | grep -q "^Location: $base/x" || fail "It sends to another name."
for old in AES128-SHA AES256-SHA256 ECDHE-RSA-AES128-SHA; do
    openssl s_client -connect "127.0.0.1:$port" -tls1_2 -cipher "$old" </dev/null >/dev/null 2>&1 && fail "It takes $old."
done
secret=$(head -c 32 /dev/urandom | base64 | tr '+/' '-_' | tr -d '=')
curl -ksS "$base/shared/$secret" "$base/door/$secret" -e "$base/door/$secret" "$base/build/manifest.json" >/dev/null
pkill -STOP -f "php-fpm: pool unionbit" || true
curl -ksS -o /dev/null --max-time 2 "$base/shared/$secret" || true
pkill -CONT -f "php-fpm: pool unionbit" || true
mv "$site/fpm.sock" "$site/away" && curl -ksS "$base/shared/$secret" "$base/door/$secret" >/dev/null; mv "$site/away" "$site/fpm.sock"
! grep -rqF "$secret" "$site" || fail "The secret of a link stands in $(grep -rlF "$secret" "$site" | head -3)."
curl -ksSI "$base/sign-in" | grep -qi '^set-cookie: __Host-unionbit=.*secure' || fail "The cookie of a session is not held to this host."
[ "$(head -c 3000000 /dev/zero | curl -ksS -o /dev/null -w '%{http_code}' --data-binary @- "$base/sign-in")" = 413 ] || fail "A door takes any length."

echo "· A second release over the first"
stop
serve
second=$(serves)
ls "$site/shared/backups" | grep -q Z || fail "The upgrade made no backup first."
[ "$(ls "$site/releases" | wc -l)" -eq 2 ] || fail "There are not two releases."
[ ! -e "$site/current/tests" ] && [ ! -e "$site/current/.ci" ] && [ ! -e "$site/current/node_modules" ] || fail "More than the program is in the release."
curl -ksS "$base/metrics" | grep -q 'unionbit_rows{table="users"} 1' || fail "The people are gone."
stop
before=$(rows)

bad=$copy/database/migrations/2099_01_01_000001_that_fails.php
cat >"$bad" <<'PHP'
<?php

return new class extends Illuminate\Database\Migrations\Migration
{
    public function up(): void
    {
        Illuminate\Support\Facades\DB::table('jobs')->update(['kind' => 'spoiled']);
        throw new RuntimeException('this migration fails on purpose');
    }
};
PHP
sed 's/throw .*/return;/' "$bad" >"$copy/database/migrations/2099_01_01_000000_that_spoils.php"
for time in once twice; do
    echo "· A release whose migration fails, $time"
    sleep 1
    if (cd "$copy" && bin/deploy --try "$site" --port "$port") >"$folder/failed.log" 2>&1; then fail "It was put in place."; fi
    grep -q 'this migration fails on purpose' "$folder/failed.log" || fail "It does not say why: $(tail -3 "$folder/failed.log")"
    [ "$(serves)" = "$second" ] || fail "current is $(serves), not $second."
    [ "$(rows)" != "$before" ] || fail "Nothing was spoiled: this shows nothing."
    grep -oP '^  \d\. \K.*' "$folder/failed.log" >"$folder/way"
    [ "$(wc -l <"$folder/way")" -eq 3 ] || fail "Three lines are the way back, not: $(cat "$folder/way")"
    # Word by word, as they were printed.
    bash -euo pipefail "$folder/way" || fail "The way back does not go."
    [ "$(rows)" = "$before" ] || fail "After the way back the rows are others."
    (cd "$copy" && bin/deploy --try "$site" --back) | grep -q 'Nothing to do' || fail "It went back from a release that never ran."
    [ "$(serves)" = "$second" ] || fail "current is $(serves), not $second."
done
rm "$bad" "$copy/database/migrations/2099_01_01_000000_that_spoils.php"
sleep 1
serve
third=$(serves)
curl -ksS "$base/metrics" | grep -q 'unionbit_rows{table="users"} 1' || fail "The people are gone."
stop
echo "· Two steps back"
for wanted in "$second" "$first"; do
    (cd "$copy" && bin/deploy --try "$site" --back)
    [ "$(serves)" = "$wanted" ] || fail "current is $(serves), not $wanted."
done
if (cd "$copy" && bin/deploy --try "$site" --back) 2>/dev/null; then fail "It went back further than there is: $(serves)"; fi
[ "$third" != "$second" ] && [ "$(rows)" = "$before" ] || fail "The rows are others."
echo "✓ Deployed, walked, upgraded, failed twice with the way back as printed, and gone back two."
