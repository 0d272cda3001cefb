#!/usr/bin/env bash
# The application for the browser tests: its own environment, a database of its own, a clock that the tests can move.
# Sessions stand in files here, since each test gets the database anew.
#   bash e2e/serve.sh PORT [DATABASE [CLOCK]]     without a database it seeds one
set -euo pipefail
cd "$(dirname "$0")/.."
. bin/env
database="${2:-$PWD/database/e2e.sqlite}"
[ $# -ge 2 ] || bash e2e/seed.sh "$database"
export APP_ENV=e2e APP_DEBUG=false UNIONBIT_SOLO=0 DB_DATABASE="$database" UNIONBIT_CLOCK="${3:-clock-offset}" SESSION_DRIVER="${SESSION_DRIVER:-file}" CACHE_STORE=file BCRYPT_ROUNDS=4
# Tries at its doors are its own.
export LIMITS_FILE="$database.limits"
rm -f "storage/framework/$UNIONBIT_CLOCK" "$LIMITS_FILE"*
cd public
PHP_CLI_SERVER_WORKERS=3 exec php -d expose_php=0 -d memory_limit=128M -d opcache.enable_cli=1 -d variables_order=EGPCS -d upload_max_filesize=64M -d post_max_size=80M -d max_file_uploads=20 -S "127.0.0.1:$1" ../bin/router.php >/dev/null 2>&1
