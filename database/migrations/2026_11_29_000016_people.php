<?php

declare(strict_types=1);

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

// What each person of a crew may do, how they like it, their second factor; links that let somebody in once. Of a crew
// that stands already its first person leads it.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->string('role', 20)->default('installer');
            $table->json('settings')->nullable();
            $table->timestamp('deactivated_at')->nullable();
            $table->timestamp('forgotten_at')->nullable();
            $table->text('totp_secret')->nullable();
            $table->timestamp('totp_since')->nullable();
            $table->unsignedBigInteger('totp_step')->default(0);
            $table->text('recovery_codes')->nullable();
        });
        foreach (DB::table('crews')->pluck('id') as $crew) {
            $first = DB::table('users')->where('crew_id', $crew)->min('id');
            DB::table('users')
                ->where('id', $first)
                ->update(['role' => 'lead']);
        }
        Schema::create('door_links', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crew_id')->constrained();
            $table->string('kind', 20);
            $table->foreignId('user_id')->nullable()->constrained();
            $table->string('email');
            $table->string('role', 20);
            $table->string('token', 64)->unique();
            $table->foreignId('made_by_id')->nullable()->constrained('users');
            $table->timestamp('ends_at');
            $table->timestamp('used_at')->nullable();
            $table->timestamp('revoked_at')->nullable();
            $table->timestamps();
            $table->index(['crew_id', 'ends_at']);
        });
    }

    public function down(): void
    {
        foreach (['settings', 'deactivated_at', 'forgotten_at', 'totp_secret'] as $column) {
            RecordsStay::unlessUnused('users', $column);
        }
        Schema::drop('door_links');
        Schema::table('users', static function (Blueprint $table): void {
            $table->dropColumn([
                'role',
                'settings',
                'deactivated_at',
                'forgotten_at',
                'totp_secret',
                'totp_since',
                'totp_step',
                'recovery_codes',
            ]);
        });
    }
};
