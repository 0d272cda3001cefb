<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\Route;

/** Writes the named routes for the interface, which builds its addresses from them alone. */
final class RoutesCommand extends Command
{
    protected $signature = 'unionbit:routes {--check : Only say whether the file is as the routes are}';

    protected $description = 'Write resources/js/lib/routes.ts from the named routes';

    public function handle(): int
    {
        $file = resource_path('js/lib/routes.ts');
        $written = self::file();
        if ($this->option('check') && file_get_contents($file) !== $written) {
            $this->error('resources/js/lib/routes.ts is not as the routes are: php artisan unionbit:routes');

            return self::FAILURE;
        }
        file_put_contents($file, $written);

        return self::SUCCESS;
    }

    private static function file(): string
    {
        $lines = [];
        foreach (Route::getRoutes()->getRoutesByName() as $name => $route) {
            if (! str_starts_with((string) $name, 'storage.')) {
                $key = preg_match('/^\w+$/', (string) $name) === 1 ? $name : "'{$name}'";
                $lines[] = "    {$key}: '/{$route->uri()}',";
            }
        }
        sort($lines);

        return "/** Every named route: written by `php artisan unionbit:routes`, held against them by a test. */\n".
            "export const routes = {\n".
            implode("\n", $lines).
            "\n} as const;\n";
    }
}
