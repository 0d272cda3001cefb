<?php

declare(strict_types=1);

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What a person has put on or taken off for a test, and not put back yet. Append-only.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('temporary_things', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('job_id')->constrained('jobs');
            $table->foreignId('user_id')->constrained();
            $table->string('kind');
            $table->string('a')->default('');
            $table->string('b')->default('');
            $table->boolean('stands');
            $table->boolean('simulated')->default(false);
            $table->unsignedInteger('seq')->default(0);
            $table->string('from_file')->nullable();
            $table->timestamp('at');
            $table->timestamp('created_at');
            $table->index(['job_id', 'seq']);
        });
    }

    public function down(): void
    {
        RecordsStay::unlessEmpty('temporary_things');
        Schema::drop('temporary_things');
    }
};
