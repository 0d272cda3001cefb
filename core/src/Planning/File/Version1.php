<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\File;

/**
 * What a document of version 1 says, in the words of version 2: conductors of its one wall cable by number become
 * conductors of cable A, and the ends at the one board that there was the ends at the board.
 */
final class Version1
{
    public static function plan(mixed $plan): mixed
    {
        if (! is_array($plan)) {
            return $plan;
        }
        foreach (['wall' => 'wall', 'indoor' => 'board'] as $was => $is) {
            $ends = $plan[$was] ?? null;
            unset($plan[$was]);
            if ($ends !== null) {
                $plan[$is] = is_array($ends) ? self::byConductor($ends) : $ends;
            }
        }

        return $plan;
    }

    /** Whether a plan is written as version 1 has it. */
    public static function is(mixed $plan): bool
    {
        return is_array($plan) &&
            (isset($plan['indoor']) ||
                (is_array($plan['wall'] ?? null) && array_filter(array_keys($plan['wall']), is_int(...)) !== []));
    }

    /**
     * @param  array<mixed>  $ends
     * @return array<string, mixed>
     */
    private static function byConductor(array $ends): array
    {
        $named = [];
        foreach ($ends as $number => $end) {
            $named[is_int($number) ? "A{$number}" : $number] = $end;
        }

        return $named;
    }
}
