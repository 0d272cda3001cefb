<?php

use App\Database\WordIndex;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What the jobs screen says of each house, worked out when the job changes and not when the screen is asked for: the
// search, the counts and the calendar then ask the database alone, however many jobs there are. It can be made anew
// from the jobs at any time (unionbit:summaries), so going back just drops it.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('job_summaries', function (Blueprint $table): void {
            $table->foreignUlid('job_id')->primary()->constrained('jobs')->cascadeOnDelete();
            $table->foreignId('crew_id')->constrained();
            $table->string('mark');
            $table->boolean('flagged');
            $table->json('summary');
            $table->index(['job_id', 'mark', 'flagged']);
        });
        WordIndex::create();
    }

    public function down(): void
    {
        WordIndex::drop();
        Schema::drop('job_summaries');
    }
};
