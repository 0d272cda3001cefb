<?php

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Photographs of a place, or the reason why there is none; marks tie a spot of one to a conductor end. Append-only.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('photos', function (Blueprint $table): void {
            $table->ulid('id');
            $table->primary('id');
            $table->foreignUlid('job_id')->constrained('jobs');
            $table->foreignId('user_id')->constrained();
            $table->string('place');
            $table->string('path')->nullable();
            $table->unsignedInteger('width')->nullable();
            $table->unsignedInteger('height')->nullable();
            $table->string('skipped')->nullable();
            $table->timestamp('at');
            $table->timestamp('created_at');
            $table->index(['job_id', 'at']);
        });
        Schema::create('photo_marks', function (Blueprint $table): void {
            $table->ulid('id');
            $table->primary('id');
            $table->foreignUlid('job_id')->constrained('jobs');
            $table->foreignId('user_id')->constrained();
            $table->foreignUlid('photo_id')->constrained();
            $table->double('x');
            $table->double('y');
            $table->string('end');
            $table->foreignUlid('takes_back_id')->nullable()->constrained('photo_marks');
            $table->timestamp('at');
            $table->timestamp('created_at');
            $table->index(['job_id', 'at']);
        });
    }

    public function down(): void
    {
        RecordsStay::unlessEmpty('photo_marks', 'photos');
        Schema::drop('photo_marks');
        Schema::drop('photos');
    }
};
