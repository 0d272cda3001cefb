<?php

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Thermostat profiles that a crew made or read from a file, beside those of the catalogue. Never changed, only put
// away: a plan that was made with one keeps it.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('own_profiles', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->foreignId('crew_id')->constrained();
            $table->json('profile');
            $table->timestamps();
            $table->softDeletes();
        });
    }

    public function down(): void
    {
        RecordsStay::unlessEmpty('own_profiles');
        Schema::drop('own_profiles');
    }
};
