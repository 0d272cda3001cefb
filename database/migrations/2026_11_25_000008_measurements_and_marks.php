<?php

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What is measured beside the circuit (temperature split, airflow), and marks on readings that nothing explains yet.
// Both append-only.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('measurements', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('job_id')->constrained('jobs');
            $table->foreignId('user_id')->constrained();
            $table->string('figure');
            $table->string('call')->nullable();
            $table->json('inputs');
            $table->json('lines');
            $table->string('tone');
            $table->text('verdict');
            $table->boolean('simulated')->default(false);
            $table->timestamp('at');
            $table->timestamp('created_at');
            $table->index(['job_id', 'at']);
        });
        Schema::create('reading_marks', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('job_id')->constrained('jobs');
            $table->foreignId('user_id')->constrained();
            $table->foreignUlid('reading_id')->constrained('readings');
            $table->boolean('unexplained');
            $table->string('note');
            $table->timestamp('at');
            $table->timestamp('created_at');
            $table->index(['job_id', 'at']);
        });
    }

    public function down(): void
    {
        RecordsStay::unlessEmpty('reading_marks', 'measurements');
        Schema::drop('reading_marks');
        Schema::drop('measurements');
    }
};
