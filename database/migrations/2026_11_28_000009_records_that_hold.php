<?php

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

// Every record has its place in the job's own order, given by the server; says whether it is simulated, and whether it
// came out of a file. Practice is a copy of a job, with records of its own. Demo data is a mark of the job. A power
// event names the supplies that it is about. A handed-over job keeps the names under which it was handed over.
return new class extends Migration
{
    private const RECORDS = [
        'readings',
        'observations',
        'setting_entries',
        'power_events',
        'move_ticks',
        'step_events',
        'waivers',
        'signatures',
        'measurements',
        'reading_marks',
        'photos',
        'photo_marks',
    ];

    private const MARKED_BEFORE = ['readings', 'observations', 'measurements'];

    private const SCREEN = [
        'crew_id',
        'practice_of_id',
        'archived_at',
        'deleted_at',
        'handed_over_at',
        'day',
        'starts_at',
        'updated_at',
        'version',
        'recorded',
        'id',
    ];

    public function up(): void
    {
        foreach (self::RECORDS as $records) {
            Schema::table($records, function (Blueprint $table) use ($records): void {
                $table->unsignedInteger('seq')->default(0);
                $table->string('from_file')->nullable();
                if (! in_array($records, self::MARKED_BEFORE, true)) {
                    $table->boolean('simulated')->default(false);
                }
                $table->index(['job_id', 'seq']);
            });
        }
        Schema::table('power_events', function (Blueprint $table): void {
            $table->json('supplies')->nullable();
            $table->json('despite')->nullable();
        });
        Schema::table('jobs', function (Blueprint $table): void {
            $table->unsignedInteger('recorded')->default(0);
            $table->boolean('demo')->default(false);
            $table->foreignUlid('practice_of_id')->nullable()->constrained('jobs');
            $table->foreignId('practice_user_id')->nullable()->constrained('users');
            $table->timestamp('imported_at')->nullable();
            $table->foreignId('away_by_id')->nullable()->constrained('users');
            $table->json('handed_over_as')->nullable();
            // All that the jobs screen sifts and sorts by, so that it need not read the documents.
            $table->index(self::SCREEN, 'jobs_screen');
        });
        $this->practiceWasOnTheRealJob();
        $this->order();
        $this->names();
    }

    public function down(): void
    {
        foreach (['practice_of_id', 'imported_at', 'away_by_id', 'handed_over_as'] as $column) {
            RecordsStay::unlessUnused('jobs', $column);
        }
        RecordsStay::unlessUnused('jobs', 'demo', false);
        RecordsStay::unlessUnused('power_events', 'supplies');
        Schema::table('jobs', function (Blueprint $table): void {
            $table->dropIndex('jobs_screen');
            $table->dropConstrainedForeignId('practice_of_id');
            $table->dropConstrainedForeignId('practice_user_id');
            $table->dropConstrainedForeignId('away_by_id');
            $table->dropColumn(['recorded', 'demo', 'imported_at', 'handed_over_as']);
        });
        Schema::table('power_events', function (Blueprint $table): void {
            $table->dropColumn(['supplies', 'despite']);
        });
        foreach (self::RECORDS as $records) {
            Schema::table($records, function (Blueprint $table) use ($records): void {
                $table->dropIndex(['job_id', 'seq']);
                $table->dropColumn([
                    ...['seq', 'from_file'],
                    ...in_array($records, self::MARKED_BEFORE, true) ? [] : ['simulated'],
                ]);
            });
        }
    }

    /**
     * Practice used to write into the real job. From its first simulated row to its last everything recorded is taken
     * for practice, and the power flag begins anew: nothing of it opens the gate.
     */
    private function practiceWasOnTheRealJob(): void
    {
        foreach (DB::table('jobs')->get() as $job) {
            $times = array_merge(
                ...array_map(
                    static fn (string $t): array => DB::table($t)
                        ->where('job_id', $job->id)
                        ->where('simulated', true)
                        ->pluck('at')
                        ->all(),
                    self::MARKED_BEFORE,
                ),
            );
            if ($times === [] && $job->practice === null) {
                continue;
            }
            if ($times !== []) {
                $run = [min($times), max($times)];
                foreach (array_diff(self::RECORDS, ['photos', 'photo_marks']) as $records) {
                    DB::table($records)
                        ->where('job_id', $job->id)
                        ->whereBetween('at', $run)
                        ->update(['simulated' => true]);
                }
            }
            $anybody = DB::table('users')->where('crew_id', $job->crew_id)->value('id');
            if ($job->handed_over_at === null && $anybody !== null) {
                DB::table('power_events')->insert([
                    'id' => (string) Str::ulid(),
                    'job_id' => $job->id,
                    'user_id' => $anybody,
                    'state' => 'not-proved',
                    'meter_proved' => false,
                    'at' => now(),
                    'created_at' => now(),
                ]);
            }
        }
        DB::table('jobs')->update(['practice' => null]);
    }

    private function order(): void
    {
        foreach (DB::table('jobs')->pluck('id') as $job) {
            $rows = [];
            foreach (self::RECORDS as $records) {
                foreach (
                    DB::table($records)
                        ->where('job_id', $job)
                        ->get(['id', 'at']) as $row
                ) {
                    $rows[] = [$row->at, $row->id, $records];
                }
            }
            sort($rows);
            foreach ($rows as $index => [, $id, $records]) {
                DB::table($records)
                    ->where('id', $id)
                    ->update(['seq' => $index + 1]);
            }
            DB::table('jobs')
                ->where('id', $job)
                ->update(['recorded' => count($rows)]);
        }
    }

    private function names(): void
    {
        $closed = DB::table('jobs')
            ->whereNotNull('handed_over_at')
            ->join('systems', 'systems.id', 'jobs.system_id')
            ->join('sites', 'sites.id', 'systems.site_id')
            ->join('crews', 'crews.id', 'jobs.crew_id')
            ->get([
                'jobs.id',
                'sites.name as site',
                'sites.address',
                'systems.name as system',
                'crews.name as crew',
            ]);
        foreach ($closed as $job) {
            $as = [
                'site' => $job->site,
                'address' => $job->address,
                'system' => $job->system,
                'crew' => $job->crew,
                'unsigned' => [],
            ];
            DB::table('jobs')
                ->where('id', $job->id)
                ->update(['handed_over_as' => json_encode($as)]);
        }
    }
};
