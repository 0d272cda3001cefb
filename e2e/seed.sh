#!/usr/bin/env bash
# A database for the browser tests, migrated and seeded anew: bash e2e/seed.sh FILE
set -euo pipefail
cd "$(dirname "$0")/.."
export APP_ENV=e2e APP_DEBUG=false UNIONBIT_SOLO=0 DB_DATABASE="$1" SESSION_DRIVER=file CACHE_STORE=file BCRYPT_ROUNDS=4
rm -f "$1" "$1"-wal "$1"-shm
touch "$1"
php artisan migrate --force --seed --quiet
php artisan db:seed --force --quiet --class=OtherCrewSeeder
php artisan unionbit:summaries --quiet
