#!/usr/bin/env bash
# The application for the browser tests: its own environment and database, seeded anew.
set -euo pipefail
cd "$(dirname "$0")/.."
export APP_ENV=e2e APP_DEBUG=false UNIONBIT_SOLO=0 DB_DATABASE="$PWD/database/e2e.sqlite" SESSION_DRIVER=file CACHE_STORE=file
rm -f database/e2e.sqlite* storage/framework/clock-offset
touch database/e2e.sqlite
php artisan migrate --force --seed --quiet
php artisan db:seed --force --quiet --class=OtherCrewSeeder
cd public
PHP_CLI_SERVER_WORKERS=3 exec php -d opcache.enable_cli=1 -d variables_order=EGPCS -d upload_max_filesize=12M -d post_max_size=45M -d max_file_uploads=20 -S "127.0.0.1:$1" ../vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php >/dev/null 2>&1
