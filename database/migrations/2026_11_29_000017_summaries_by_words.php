<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// A person has units and a language of their own: a summary is kept in each that somebody of the crew reads. It can be
// made anew at any time, so nothing of the old table is taken over.
return new class extends Migration
{
    public function up(): void
    {
        Schema::drop('job_summaries');
        Schema::create('job_summaries', function (Blueprint $table): void {
            $table->foreignUlid('job_id')->constrained('jobs')->cascadeOnDelete();
            $table->string('said', 20);
            $table->foreignId('crew_id')->constrained();
            $table->string('mark');
            $table->boolean('flagged');
            $table->json('summary');
            $table->primary(['job_id', 'said']);
            $table->index(['job_id', 'said', 'mark', 'flagged']);
        });
    }

    public function down(): void
    {
        Schema::drop('job_summaries');
        Schema::create('job_summaries', function (Blueprint $table): void {
            $table->foreignUlid('job_id')->primary()->constrained('jobs')->cascadeOnDelete();
            $table->foreignId('crew_id')->constrained();
            $table->string('mark');
            $table->boolean('flagged');
            $table->json('summary');
            $table->index(['job_id', 'mark', 'flagged']);
        });
    }
};
