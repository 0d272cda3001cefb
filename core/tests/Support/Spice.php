<?php

declare(strict_types=1);

namespace Unionbit\Core\Tests\Support;

/** Runs the packaged SPICE program on a deck and reads back the complex node voltages. */
final class Spice
{
    /** @return array<string, array{float, float}> volts by node name */
    public static function run(string $deck): array
    {
        $file = tempnam(sys_get_temp_dir(), 'deck');
        file_put_contents($file, $deck);
        $output = (string) shell_exec('ngspice -b '.escapeshellarg($file).' 2>/dev/null');
        unlink($file);
        preg_match_all('/^([a-z]\w*) = ([-+.\de]+),([-+.\de]+)\s*$/mi', $output, $rows, PREG_SET_ORDER);
        if ($rows === []) {
            throw new \RuntimeException("The SPICE program gave no voltages:\n".substr($output, 0, 500));
        }

        return array_column(
            array_map(static fn (array $row): array => [$row[1], [(float) $row[2], (float) $row[3]]], $rows),
            1,
            0,
        );
    }
}
