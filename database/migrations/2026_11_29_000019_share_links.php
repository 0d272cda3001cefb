<?php

declare(strict_types=1);

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Links by which somebody outside the crew reads parts of one house until they end.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('share_links', static function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('job_id')->constrained('jobs');
            $table->string('token', 64)->unique();
            $table->string('label', 80);
            $table->json('parts');
            $table->foreignId('user_id')->constrained();
            $table->timestamp('ends_at');
            $table->timestamp('revoked_at')->nullable();
            $table->unsignedInteger('opened')->default(0);
            $table->timestamp('opened_at')->nullable();
            $table->timestamps();
            $table->index(['job_id', 'ends_at']);
        });
    }

    public function down(): void
    {
        RecordsStay::unlessEmpty('share_links');
        Schema::drop('share_links');
    }
};
