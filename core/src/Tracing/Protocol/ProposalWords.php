<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Protocol;

use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Phase;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Trace;
use Unionbit\Core\Words\Message;

/** A proposal as one would say it: the set-up, then what to read, see or look at. */
final readonly class ProposalWords
{
    public function __construct(private Trace $trace)
    {
    }

    public function of(Proposal $proposal): Message
    {
        if ($proposal->setup === null || $proposal->probe === null) {
            return $this->event($proposal);
        }

        $look = $proposal->probe->inspect !== '';

        return Message::sentences([...$look ? [] : $this->setup($proposal->setup), $this->probe($proposal->probe)]);
    }

    private function event(Proposal $proposal): Message
    {
        $event = $proposal->event;
        $repair = $this->trace->list->repairs[$event->what ?? ''] ?? null;

        return match ($event?->kind) {
            EventKind::Soaked => Message::of('tracing.do.soak', minutes: (int) ($event->minutes ?? 0)),
            EventKind::FuseReplaced => Message::of('tracing.do.fuse', supply: $event->of),
            default => Message::of(
                'tracing.do.repair',
                repair: $repair->title ?? Message::of('tracing.repair.unknown'),
            ),
        };
    }

    /** @return list<Message> */
    public function setup(Hands $setup): array
    {
        $says = [];
        if ($setup->isolated) {
            $says[] = Message::of('tracing.setup.dead');
        }
        if ($setup->face() === Face::Bare) {
            $says[] = Message::of('tracing.setup.bare');
        }
        $things = $this->trace->house->contacts->standing($setup)->labels($this->trace->circuit);
        if ($things !== []) {
            $says[] = Message::of('tracing.setup.things', things: $things);
        }
        if ($setup->call !== CallName::Idle) {
            $says[] = Message::of('tracing.setup.call', call: $setup->call->label());
        }
        if ($setup->phase === Phase::Early) {
            $says[] = Message::of('tracing.setup.early');
        }

        return $says;
    }

    public function probe(Probe $probe): Message
    {
        if ($probe->inspect !== '') {
            $repair = $this->trace->list->repairs[$probe->inspect];

            $at = $this->at($repair);

            return $at->isNone()
                ? Message::of('tracing.do.look', repair: $repair->title)
                : Message::of('tracing.do.look-at', at: $at, repair: $repair->title);
        }
        if ($probe->look !== null) {
            return Message::of('tracing.do.round', look: $probe->look->label());
        }
        if ($probe->mode === null) {
            return Message::of(
                $probe->together ? 'tracing.do.any' : 'tracing.do.see',
                keys: array_map(static fn (string $k): Message => self::key($k), $probe->see),
            );
        }
        [$from, $to] = array_map(fn (At $at): Message => $this->point($at->id), $probe->points());

        return $probe->mode === MeterMode::Amps
            ? Message::of('tracing.do.amps', at: $from)
            : Message::of('tracing.do.read', mode: $probe->mode->value, from: $from, to: $to);
    }

    /** What a repair is at: points, conductors, a part; nothing where the house has it once. */
    public function at(Repair $repair): Message
    {
        $netlist = $this->trace->house->contacts->netlist;
        $said = [];
        foreach ($repair->of as $one) {
            $point = $netlist->points[$one] ?? ($netlist->points[At::near($one)->id] ?? null);
            $said[] =
                $repair->kind === 'setting'
                    ? self::setting($one)
                    : $point?->phrase() ?? ($netlist->elements[$one]->label ?? Message::raw($one));
        }

        return $said === [] ? Message::none() : Message::of('tracing.point.all', all: $said);
    }

    /** A setting by its key, or the one that the catalogue of faults knows beside them: how many stages there are. */
    private static function setting(string $key): Message
    {
        $setting = SettingKey::tryFrom($key);

        return $setting === null
            ? Message::of('tracing.point.setting-stages')
            : Message::of('tracing.point.setting', setting: Message::term($setting)->within());
    }

    public static function key(string $key): Message
    {
        return Senses::name($key) ?? Message::raw($key);
    }

    public function point(string $name): Message
    {
        $contacts = $this->trace->house->contacts;
        $at = At::read($name);
        $lead = $contacts->leadOf($at);
        if ($lead?->part !== null) {
            $part = $this->trace->circuit->partName($lead->part);

            return $lead->lead === Lead::Hot
                ? Message::of('tracing.point.hot', part: $part)
                : Message::of('tracing.point.common', part: $part);
        }
        $node = $contacts->node($contacts->clamped($at));

        return ($contacts->netlist->points[$node ?? $name] ?? null)?->phrase() ?? Message::raw($name);
    }
}
