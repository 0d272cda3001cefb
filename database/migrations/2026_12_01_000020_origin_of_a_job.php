<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The id that a job had where its file was written: by it the same job is known again. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('jobs', static function (Blueprint $table): void {
            $table->string('origin_id', 26)->nullable()->index();
        });
    }

    public function down(): void
    {
        Schema::table('jobs', static function (Blueprint $table): void {
            $table->dropIndex(['origin_id']);
            $table->dropColumn('origin_id');
        });
    }
};
