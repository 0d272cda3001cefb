<?php

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Calls that are not proved, each with its reason; signatures of a handover; practice on a house with a hidden fault,
// whose readings come from the simulated meter and are marked so. Append-only but for the practice switch of a job.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('waivers', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('job_id')->constrained('jobs');
            $table->foreignId('user_id')->constrained();
            $table->string('call');
            $table->string('reason');
            $table->timestamp('at');
            $table->timestamp('created_at');
            $table->index(['job_id', 'at']);
        });
        Schema::create('signatures', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('job_id')->constrained('jobs');
            $table->foreignId('user_id')->constrained();
            $table->string('role');
            $table->string('name');
            $table->text('strokes');
            $table->timestamp('at');
            $table->timestamp('created_at');
            $table->index(['job_id', 'at']);
        });
        Schema::table('jobs', function (Blueprint $table): void {
            $table->string('practice')->nullable();
        });
        foreach (['readings', 'observations'] as $records) {
            Schema::table($records, function (Blueprint $table): void {
                $table->boolean('simulated')->default(false);
            });
        }
    }

    public function down(): void
    {
        RecordsStay::unlessEmpty('signatures', 'waivers');
        foreach (['readings', 'observations'] as $records) {
            RecordsStay::unlessUnused($records, 'simulated', false);
            Schema::table($records, function (Blueprint $table): void {
                $table->dropColumn('simulated');
            });
        }
        Schema::table('jobs', function (Blueprint $table): void {
            $table->dropColumn('practice');
        });
        Schema::drop('signatures');
        Schema::drop('waivers');
    }
};
