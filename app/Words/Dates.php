<?php

declare(strict_types=1);

namespace App\Words;

use DateTimeInterface;
use DateTimeZone;
use Illuminate\Support\Carbon;
use IntlDateFormatter;
use IntlDatePatternGenerator;

/** Days and times as a language writes them, in the zone of whoever reads: "28 Nov 2026 10:05". */
final class Dates
{
    private readonly string $locale;

    /** English is written as on our screens: the day before the month, 24 hours. */
    public function __construct(string $locale, private readonly DateTimeZone $zone)
    {
        $this->locale = $locale === 'en' ? 'en_GB' : $locale;
    }

    public function day(DateTimeInterface|string $at): string
    {
        return $this->written($at, 'dMMMy');
    }

    public function moment(DateTimeInterface|string $at): string
    {
        return $this->written($at, 'dMMMy').' '.$this->written($at, 'HHmm');
    }

    private function written(DateTimeInterface|string $at, string $skeleton): string
    {
        $pattern = (string) (new IntlDatePatternGenerator($this->locale))->getBestPattern($skeleton);
        $format = new IntlDateFormatter(
            $this->locale,
            IntlDateFormatter::NONE,
            IntlDateFormatter::NONE,
            $this->zone,
            IntlDateFormatter::GREGORIAN,
            $pattern,
        );

        return (string) $format->format(Carbon::parse($at));
    }
}
