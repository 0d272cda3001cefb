<?php

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Sessions stand in the database, so that changing a password can end the others. The security log is written, never
// changed: sign-ins, refusals, exports, changes of who belongs where.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->foreignId('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
        Schema::create('security_events', function (Blueprint $table): void {
            $table->id();
            $table->string('kind');
            $table->unsignedBigInteger('user_id')->nullable();
            $table->unsignedBigInteger('crew_id')->nullable();
            $table->string('address', 45)->nullable();
            $table->string('what', 300);
            $table->timestamp('at');
            $table->index(['at']);
            $table->index(['crew_id', 'at']);
        });
    }

    public function down(): void
    {
        RecordsStay::unlessEmpty('security_events');
        Schema::drop('security_events');
        Schema::drop('sessions');
    }
};
