<?php

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('jobs', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('crew_id')->constrained();
            $table->string('site');
            $table->string('address')->default('');
            $table->string('kind');
            $table->json('survey');
            $table->json('plan')->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->timestamp('surveyed_at')->nullable();
            $table->timestamp('planned_at')->nullable();
            $table->timestamp('handed_over_at')->nullable();
            $table->timestamps();
            $table->index(['crew_id', 'updated_at']);
        });
        // Every version of the shared document, so that nothing recorded is lost and an edit can be undone.
        Schema::create('job_revisions', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('job_id')->constrained('jobs');
            $table->foreignId('user_id')->constrained();
            $table->unsignedInteger('version');
            $table->string('what');
            $table->json('survey');
            $table->json('plan')->nullable();
            $table->timestamp('created_at');
            $table->unique(['job_id', 'version']);
        });
    }

    public function down(): void
    {
        RecordsStay::unlessEmpty('job_revisions', 'jobs');
        Schema::drop('job_revisions');
        Schema::drop('jobs');
    }
};
