<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Protocol;

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Showing;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Look;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\Routine;
use Unionbit\Core\Tracing\Record\Spot;
use Unionbit\Core\Tracing\Refusal;
use Unionbit\Core\Tracing\Test\Moment;
use Unionbit\Core\Tracing\Test\Result;

/** Set-ups, probes, results and events out of a request, against the words of one house. */
final readonly class Reading
{
    private const EVENT = [
        'kind',
        'of',
        'what',
        'part',
        'amps',
        'minutes',
        'key',
        'value',
        'at',
        'answered',
        'row',
        'ohms',
        'list',
    ];

    private const RESULT = ['volts', 'ohms', 'amps', 'beeps', 'sees', 'found', 'note', 'fuses', 'when', 'cannot'];

    public function __construct(private Vocabulary $words)
    {
    }

    public function call(Given $given): CallName
    {
        return CallName::from($given->oneOf($this->words->calls));
    }

    public function setup(Given $test): Hands
    {
        return (new HandsText($this->words))->read($test);
    }

    /**
     * @param  list<string>  $allowed
     * @return list<string>
     */
    private function list(Given $test, string $key, array $allowed): array
    {
        return array_map(static fn (Given $one): string => $one->oneOf($allowed), $test->each($key));
    }

    private function point(Given $given): string
    {
        return $given->oneOf($this->words->points);
    }

    public function probe(Given $probe, Hands $setup): Probe
    {
        if ($probe->has('see')) {
            $probe->onlyHas(['see']);

            return Probe::see($this->seen($probe, 'see'));
        }
        if ($probe->has('round')) {
            $probe->onlyHas(['round']);

            return Probe::round(Look::from($probe->at('round')->oneOf(array_column(Look::cases(), 'value'))));
        }
        if ($probe->has('any')) {
            $probe->onlyHas(['any']);

            return Probe::anyOf($this->seen($probe, 'any'));
        }
        if ($probe->has('inspect')) {
            $probe->onlyHas(['inspect']);

            return Probe::inspect(
                $probe->at('inspect')->oneOf(array_map(strval(...), array_keys($this->words->inspect))),
            );
        }
        $probe->onlyHas(['mode', 'from', 'to']);
        $mode = MeterMode::from($probe->at('mode')->oneOf(array_column(MeterMode::cases(), 'value')));
        if (in_array($mode, [MeterMode::Ohms, MeterMode::Beep], true) && ! $setup->isolated) {
            throw new Refusal("{$probe->pointer}/mode", $mode->value, ['V', 'A', 'N']);
        }
        if ($mode === MeterMode::Amps) {
            return Probe::clamp(At::read($probe->at('from')->oneOf($this->words->clampable)));
        }

        return Probe::meter(
            $mode,
            At::read($this->point($probe->at('from'))),
            At::read($this->point($probe->at('to'))),
        );
    }

    /** @return list<string> */
    private function seen(Given $probe, string $at): array
    {
        return $this->list($probe, $at, array_map(strval(...), array_keys($this->words->see)));
    }

    public function result(Given $result, Probe $probe): Result
    {
        $result->onlyHas(self::RESULT);
        $reading = self::number($result);
        $found = $result->has('found') ? $result->at('found')->text() : '';
        $finds =
            $probe->look !== null || $probe->together
                ? [Showing::SOUND, Probe::OTHERWISE]
                : $this->words->inspect[$probe->inspect] ?? [];
        if ($found !== '' && $finds !== []) {
            $found = $result->at('found')->oneOf($finds);
        }

        return new Result(
            low: $reading[0],
            high: $reading[1],
            over: $reading[2],
            beeps: $result->has('beeps') ? $result->at('beeps')->bool() : null,
            sees: $this->sees($result),
            found: $found,
            note: $result->has('note') ? $result->at('note')->text() : '',
            fuses: $this->fuses($result),
            when: $result->has('when')
                ? Moment::from($result->at('when')->oneOf(array_column(Moment::cases(), 'value')))
                : null,
            cannot: $result->has('cannot') ? $result->at('cannot')->oneOf(Result::CANNOT) : '',
        );
    }

    /** @return array{?float, ?float, bool} */
    private static function number(Given $result): array
    {
        foreach (['volts', 'ohms', 'amps'] as $unit) {
            if (! $result->has($unit)) {
                continue;
            }
            $at = $result->at($unit);
            if ($unit === 'ohms' && $at->value === 'OL') {
                return [null, null, true];
            }
            if (is_array($at->value)) {
                $at->onlyHas(['low', 'high']);

                return [$at->at('low')->number(), $at->at('high')->number(), false];
            }

            return [$at->number(), $at->number(), false];
        }

        return [null, null, false];
    }

    /** @return array<string, string> */
    public function sees(Given $given): array
    {
        $sees = [];
        foreach ($given->entries('sees') as $key => $answer) {
            $allowed = $this->words->see[$key] ?? null;
            if ($allowed === null) {
                $keys = array_map(strval(...), array_keys($this->words->see));
                throw new Refusal($answer->pointer, $key, $keys);
            }
            $sees[$key] = $answer->oneOf($allowed);
        }

        return $sees;
    }

    /** @return array<string, string> */
    public function fuses(Given $given): array
    {
        $fuses = [];
        foreach ($given->entries('fuses') as $id => $said) {
            if (! in_array($id, $this->words->fused, true)) {
                throw new Refusal($said->pointer, $id, $this->words->fused);
            }
            $fuses[$id] = $said->oneOf(['opened', 'open']);
        }

        return $fuses;
    }

    public function event(Given $event): Event
    {
        $event->onlyHas(self::EVENT);
        $kind = EventKind::from($event->at('kind')->oneOf(array_column(EventKind::cases(), 'value')));
        $text = static fn (string $key): string => $event->has($key) ? $event->at($key)->text() : '';
        $number = static fn (string $key): ?float => $event->has($key) ? $event->at($key)->number() : null;

        return new Event(
            $kind,
            of: match (true) {
                $kind->isOfSupply() => $event->at('of')->oneOf($this->words->fused),
                $kind === EventKind::Moved => $event
                    ->at('at')
                    ->oneOf(array_map(static fn (Place $p): string => $p->value, $this->words->stand)),
                $kind === EventKind::Touched => $this->point($event->at('of')),
                $kind === EventKind::Walked => $event->at('of')->oneOf($this->words->cables),
                default => $text('of'),
            },
            what: $kind === EventKind::Repaired || $kind === EventKind::Listed
                ? $event
                    ->at('what')
                    ->oneOf([
                        ...array_map(strval(...), array_keys($this->words->repairs)),
                        ...array_map(strval(...), array_keys($this->words->faults)),
                    ])
                : $text('what'),
            part: $text('part'),
            amps: $number('amps'),
            minutes: $number('minutes'),
            key: $this->key($kind, $event, $text('key')),
            value: $event->has('value') && ! is_string($event->at('value')->value)
                ? (string) json_encode($event->at('value')->value)
                : $text('value'),
            answered: $event->has('answered') ? $event->at('answered')->bool() : null,
            row: $kind->isOfRow() ? (int) $event->at('row')->number() : null,
            ohms: $kind === EventKind::Compared ? $event->at('ohms')->number() : null,
            list: array_map(static fn (Given $wire): string => $wire->text(), $event->each('list')),
        );
    }

    /** The word of a routine, a spot, a switch; of a setting whatever it is called. */
    private function key(EventKind $kind, Given $event, string $text): string
    {
        return match ($kind) {
            EventKind::Routine => $event->has('key') && $text !== ''
                ? $event->at('key')->oneOf(array_column(Routine::cases(), 'value'))
                : '',
            EventKind::Walked => $event->at('key')->oneOf(array_column(Spot::cases(), 'value')),
            default => $text,
        };
    }
}
