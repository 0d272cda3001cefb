<?php

declare(strict_types=1);

namespace Tests\Support;

use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use ReflectionClass;
use RegexIterator;

/** Methods that are longer than one glance, but for tables: what decides and repeats nothing is data. */
final class Lengths
{
    private const GLANCE = 40;

    private const DECIDES = [T_IF, T_FOREACH, T_FOR, T_WHILE, T_DO, T_TRY];

    /** @return list<string> "65 Meter::settledVolts", the longest first */
    public static function over(string $folder, string $namespace): array
    {
        $long = [];
        $all = new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder));
        foreach (new RegexIterator($all, '/\.php$/') as $file) {
            $lines = file((string) $file) ?: [];
            $class = $namespace.strtr(substr((string) $file, strlen($folder), -4), '/', '\\');
            if (! class_exists($class) && ! interface_exists($class) && ! trait_exists($class)) {
                continue;
            }
            foreach ((new ReflectionClass($class))->getMethods() as $method) {
                [$from, $to] = [(int) $method->getStartLine(), (int) $method->getEndLine()];
                $isOwn = $method->getFileName() === (string) $file && ! $method->isConstructor();
                if (
                    $isOwn &&
                    $to - $from >= self::GLANCE &&
                    ! self::isTable(array_slice($lines, $from, $to - $from))
                ) {
                    $long[] = sprintf(
                        '%d %s::%s',
                        $to - $from + 1,
                        basename((string) $file, '.php'),
                        $method->name,
                    );
                }
            }
        }
        rsort($long, SORT_NATURAL);

        return $long;
    }

    /** @param  array<string>  $lines  of a method */
    private static function isTable(array $lines): bool
    {
        $tokens = token_get_all('<?php '.implode('', $lines));

        return ! array_filter($tokens, static fn ($t): bool => is_array($t) && in_array($t[0], self::DECIDES, true));
    }
}
