<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Long work that is done behind a request, each with how far it is; and the queue's own tables. What an errand brings
// is written where it belongs: of the errand itself nothing has to be kept, so going back just drops it.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('errands', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('crew_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('kind', 20);
            $table->string('job_id', 26)->nullable();
            $table->string('state', 10);
            $table->json('input');
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('of')->default(0);
            $table->json('result')->nullable();
            $table->json('errors')->nullable();
            $table->unsignedSmallInteger('status')->default(200);
            $table->timestamps();
            $table->index(['state', 'updated_at']);
        });
        Schema::create('queue_work', static function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('queue_failed', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::drop('queue_failed');
        Schema::drop('queue_work');
        Schema::drop('errands');
    }
};
