<?php

declare(strict_types=1);

namespace App\Web;

use DateTimeZone;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/**
 * The day that it is where the person stands. Their device says its time zone in a plain cookie
 * (`resources/js/lib/zone.ts`); until it has, and where it says none that exists, the day is UTC's.
 */
final class PersonsDay
{
    public const COOKIE = 'zone';

    public static function of(Request $request): string
    {
        return Carbon::now(self::zone($request))->format('Y-m-d');
    }

    public static function zone(Request $request): DateTimeZone
    {
        $zone = $request->cookies->get(self::COOKIE);
        $known =
            is_string($zone) && in_array($zone, DateTimeZone::listIdentifiers(DateTimeZone::ALL_WITH_BC), true);

        return new DateTimeZone($known ? $zone : 'UTC');
    }
}
