<?php

declare(strict_types=1);

namespace App\Console\Commands\Server;

use App\Crew\Door\DoorLinks;
use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Models\Crew\Crew;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class CrewCommand extends Command
{
    protected $signature = <<<'SIGNATURE'
    unionbit:crew
        {name? : name of a new crew; without it the crews are listed}
        {email? : e-mail address of who leads it}
    SIGNATURE;

    protected $description = 'Makes a crew and a link that lets its lead in, or lists the crews';

    public function handle(): int
    {
        $name = $this->argument('name');
        $email = $this->argument('email');
        if (! is_string($name)) {
            $this->table(
                ['crew', 'people', 'jobs'],
                Crew::query()
                    ->withCount('users')
                    ->orderBy('id')
                    ->get()
                    ->map(
                        static fn (Crew $c): array => [
                            $c->name,
                            $c->getAttribute('users_count'),
                            Job::query()->whereBelongsTo($c)->whereNull('practice_of_id')->count(),
                        ],
                    )
                    ->all(),
            );

            return self::SUCCESS;
        }
        if (! is_string($email) || filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            $this->error(
                'The e-mail address of its lead is missing or none: unionbit:crew "NAME" name@example.org',
            );

            return self::INVALID;
        }
        if (User::query()->where('email', mb_strtolower($email))->exists()) {
            $this->error("{$email} has an account here already.");

            return self::FAILURE;
        }
        $made = DB::transaction(static function () use ($name, $email): array {
            $crew = Crew::query()->create(['name' => $name]);
            SecurityLog::write(SecurityKind::CrewMade, $name);

            return DoorLinks::invite($crew, $email, Role::Lead, null);
        });
        $this->info(
            "{$name} stands. Its lead comes in by this link, once, until {$made['link']->ends_at->toIso8601String()}:",
        );
        $this->line($made['url']);

        return self::SUCCESS;
    }
}
