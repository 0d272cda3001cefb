<?php

declare(strict_types=1);

namespace App\Crew\Factor;

use RuntimeException;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * Codes of six figures that change every 30 seconds (RFC 6238), checked by Debian's `oathtool`: the secret goes to it
 * over a pipe, never in its arguments, which everybody on a machine can read.
 */
final class Totp
{
    public const PERIOD = 30;

    /** Bytes of a secret: 160 bits, as the RFC asks for. */
    private const BYTES = 20;

    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    public static function isHere(): bool
    {
        return (new ExecutableFinder())->find('oathtool') !== null;
    }

    /** @return string in base 32, as devices take it */
    public static function secret(): string
    {
        $bits = '';
        foreach (str_split(random_bytes(self::BYTES)) as $byte) {
            $bits .= str_pad(decbin(ord($byte)), 8, '0', STR_PAD_LEFT);
        }

        return implode(
            '',
            array_map(static fn (string $five): string => self::ALPHABET[(int) bindec($five)], str_split($bits, 5)),
        );
    }

    /** What a device reads off the picture. */
    public static function address(string $secret, string $account): string
    {
        $label = rawurlencode('Unionbit').':'.rawurlencode($account);

        return "otpauth://totp/{$label}?secret={$secret}&issuer=Unionbit&digits=6&period=".self::PERIOD;
    }

    /**
     * The time step that this code belongs to: now, the one before or the one after, for clocks that are a little off.
     *
     * @return ?int null where it is no code of these three
     */
    public static function step(#[\SensitiveParameter] string $secret, string $code, int $now): ?int
    {
        if (preg_match('/^\d{6}$/', $code) !== 1) {
            return null;
        }
        $from = $now - self::PERIOD;
        $process = new Process(
            ['oathtool', '--totp', '--base32', '--window=2', "--now=@{$from}", '-', $code],
            input: $secret."\n",
            timeout: 10,
        );
        $process->run();

        return match ($process->getExitCode()) {
            0 => intdiv($from, self::PERIOD) + (int) trim($process->getOutput()),
            2 => null,
            default => throw new RuntimeException('oathtool: '.trim($process->getErrorOutput())),
        };
    }
}
