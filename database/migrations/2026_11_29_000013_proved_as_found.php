<?php

declare(strict_types=1);

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const TABLES = ['readings', 'observations', 'step_events', 'waivers'];

    public function up(): void
    {
        foreach (self::TABLES as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->boolean('as_found')->default(false);
            });
        }
    }

    public function down(): void
    {
        foreach (self::TABLES as $name) {
            RecordsStay::unlessUnused($name, 'as_found', false);
            Schema::table($name, static function (Blueprint $table): void {
                $table->dropColumn('as_found');
            });
        }
    }
};
