<?php

declare(strict_types=1);

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('observations', static function (Blueprint $table): void {
            $table->string('how')->nullable();
        });
    }

    public function down(): void
    {
        RecordsStay::unlessUnused('observations', 'how');
        Schema::table('observations', static function (Blueprint $table): void {
            $table->dropColumn('how');
        });
    }
};
