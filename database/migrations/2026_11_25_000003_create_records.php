<?php

use App\Database\RecordsStay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Append-only rows with an id made by the client: replaying a request changes nothing.
return new class extends Migration
{
    public function up(): void
    {
        $row = static function (string $name, callable $columns): void {
            Schema::create($name, function (Blueprint $table) use ($columns): void {
                $table->ulid('id');
                $table->primary('id');
                $table->foreignUlid('job_id')->constrained('jobs');
                $table->foreignId('user_id')->constrained();
                $columns($table);
                $table->timestamp('at');
                $table->timestamp('created_at');
                $table->index(['job_id', 'at']);
            });
        };
        $row('readings', function (Blueprint $table): void {
            $table->string('stage');
            $table->string('step')->nullable();
            $table->string('call')->nullable();
            $table->string('mode', 1);
            $table->string('a');
            $table->string('b');
            $table->double('value')->nullable();
            $table->string('power');
            $table->json('expected');
            $table->string('outcome');
            $table->text('reason');
            $table->json('candidates');
            $table->foreignUlid('corrects_id')->nullable()->constrained('readings');
        });
        $row('observations', function (Blueprint $table): void {
            $table->string('step');
            $table->string('sign');
            $table->boolean('seen');
            $table->string('outcome');
            $table->text('reason');
        });
        $row('setting_entries', function (Blueprint $table): void {
            $table->string('key');
            $table->string('value');
            $table->string('old_value')->nullable();
            $table->text('reason');
        });
        $row('power_events', function (Blueprint $table): void {
            $table->string('state');
            $table->double('volts')->nullable();
            $table->boolean('meter_proved')->default(false);
        });
        $row('move_ticks', function (Blueprint $table): void {
            $table->string('move');
            $table->boolean('done');
        });
        $row('step_events', function (Blueprint $table): void {
            $table->string('step');
            $table->string('event');
        });
    }

    public function down(): void
    {
        $records = ['step_events', 'move_ticks', 'power_events', 'setting_entries', 'observations', 'readings'];
        RecordsStay::unlessEmpty(...$records);
        array_map(Schema::drop(...), $records);
    }
};
