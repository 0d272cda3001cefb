<?php

declare(strict_types=1);

namespace App\Backup;

use Symfony\Component\Process\Exception\ExceptionInterface;
use Symfony\Component\Process\Process;

/**
 * Files of a backup as `age` seals them, to a key that this server does not hold: whoever has the backups has nothing
 * without it.
 */
final readonly class Seal
{
    public const ENDS = '.age';

    public function __construct(public string $to)
    {
    }

    /** As the settings want it; null where backups are to be read by whoever has them. */
    public static function wanted(): ?self
    {
        $to = config()->string('unionbit.backup_to');

        return $to === '' ? null : new self($to);
    }

    /** @throws Broken where the key is none, or it could not be written */
    public function close(string $from, string $to): void
    {
        self::run(['age', '-r', $this->to, '-o', $to, $from], 'sealed');
    }

    /**
     * @param  string  $key  file of the key that it was sealed to
     *
     * @throws Broken where the key is another
     */
    public static function open(string $from, string $to, string $key): void
    {
        self::run(['age', '-d', '-i', $key, '-o', $to, $from], 'opened');
    }

    /** @param  list<string>  $command */
    private static function run(array $command, string $what): void
    {
        $age = new Process($command, timeout: null);
        try {
            $age->mustRun();
        } catch (ExceptionInterface) {
            $says = trim($age->getErrorOutput());
            $file = basename($command[count($command) - 1]);
            throw new Broken("{$file} cannot be {$what}: ".($says === '' ? 'is age installed?' : $says));
        }
    }
}
