<?php

declare(strict_types=1);

namespace App\Console\Commands\Server;

use App\Crew\Door\DoorLinks;
use App\Crew\Factor\SecondFactor;
use App\Models\Crew\User;
use Illuminate\Console\Command;

final class PasswordCommand extends Command
{
    protected $signature = <<<'SIGNATURE'
    unionbit:password
        {email : of whoever cannot come in}
        {--factor : take their second factor off too: the device and the codes on paper are lost}
    SIGNATURE;

    protected $description = 'A link by which somebody sets a new password: for a lead whom nobody else can help';

    public function handle(): int
    {
        $email = (string) $this->argument('email');
        $user = User::query()->where('email', mb_strtolower(trim($email)))->first();
        if ($user === null || ! $user->isActive()) {
            $this->error($user === null ? "Nobody has the address {$email}." : "{$email} is deactivated.");

            return self::FAILURE;
        }
        if ((bool) $this->option('factor') && $user->hasSecondFactor()) {
            SecondFactor::off($user);
        }
        $made = DoorLinks::newPassword($user, null);
        $this->info(
            "{$user->name} comes in by this link, once, until {$made['link']->ends_at->toIso8601String()}:",
        );
        $this->line($made['url']);

        return self::SUCCESS;
    }
}
