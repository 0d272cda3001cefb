<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// How often a piece of long work was begun: what cuts off whoever does it is not tried for ever. It is a count and no
// record, so going back just drops it.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('errands', static function (Blueprint $table): void {
            $table->unsignedTinyInteger('begun')->default(0);
        });
    }

    public function down(): void
    {
        Schema::table('errands', static function (Blueprint $table): void {
            $table->dropColumn('begun');
        });
    }
};
