<?php

declare(strict_types=1);

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What a trace adds to a job's readings and signs: the complaint, what was seen and looked at, repairs, withdrawals.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('trace_rows', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('job_id')->constrained('jobs');
            $table->foreignId('user_id')->constrained();
            $table->string('kind');
            $table->json('body');
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
        RecordsStay::unlessEmpty('trace_rows');
        Schema::drop('trace_rows');
    }
};
