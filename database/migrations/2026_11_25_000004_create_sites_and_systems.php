<?php

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

// A site has systems, a system has visits (jobs). Jobs written before this each become the visit of a system of their
// own.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('sites', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('crew_id')->constrained();
            $table->string('name');
            $table->string('address')->default('');
            $table->timestamps();
            $table->index(['crew_id', 'name']);
        });
        Schema::create('systems', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('site_id')->constrained();
            $table->string('name');
            $table->timestamps();
        });
        Schema::table('jobs', function (Blueprint $table): void {
            $table->foreignUlid('system_id')->nullable()->constrained();
            $table->foreignUlid('earlier_id')->nullable()->constrained('jobs');
            $table->date('day')->nullable();
            $table->unsignedSmallInteger('starts_at')->nullable();
            $table->string('who')->nullable();
            $table->timestamp('archived_at')->nullable();
            $table->softDeletes();
            $table->index(['crew_id', 'day']);
        });
        foreach (DB::table('jobs')->get() as $job) {
            $at = ['created_at' => $job->created_at, 'updated_at' => $job->updated_at];
            [$site, $system] = [(string) Str::ulid(), (string) Str::ulid()];
            DB::table('sites')->insert([
                'id' => $site,
                'crew_id' => $job->crew_id,
                'name' => $job->site,
                'address' => $job->address,
                ...$at,
            ]);
            DB::table('systems')->insert(['id' => $system, 'site_id' => $site, 'name' => 'System', ...$at]);
            DB::table('jobs')
                ->where('id', $job->id)
                ->update(['system_id' => $system]);
        }
        Schema::table('jobs', function (Blueprint $table): void {
            $table->dropColumn(['site', 'address']);
        });
    }

    public function down(): void
    {
        RecordsStay::unlessEmpty('jobs', 'systems', 'sites');
        Schema::table('jobs', function (Blueprint $table): void {
            $table->dropIndex(['crew_id', 'day']);
            $table->dropConstrainedForeignId('system_id');
            $table->dropConstrainedForeignId('earlier_id');
            $table->dropColumn(['day', 'starts_at', 'who', 'archived_at', 'deleted_at']);
            $table->string('site')->default('');
            $table->string('address')->default('');
        });
        Schema::drop('systems');
        Schema::drop('sites');
    }
};
