<?php

declare(strict_types=1);

namespace App\Stage;

use App\House\House;
use App\House\JobMark;
use App\House\Pulse;
use App\Models\Job;
use App\Records\Live\BeforeLive;
use App\Records\Power\PowerFlag;
use App\Records\Progress\Progress;
use App\Records\SetUp\SetupStrip;
use Illuminate\Support\Facades\Gate;
use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Things;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Netlist\Point;
use Unionbit\Core\Job\PowerSource;
use Unionbit\Core\Words\Message;

/** What every stage of a job shows around its own content: the job, the power flag, the tape, the points to probe. */
final class JobFrame
{
    /** @return array<string, mixed> */
    public static function props(Job $job, Circuit $circuit, Progress $progress): array
    {
        $house = House::of($job)->installation;

        return [
            'job' => [
                'id' => $job->id,
                'site' => $job->site,
                'address' => $job->address,
                'system' => $job->system_name,
                'kind' => Message::term($job->kind),
                'version' => $job->version,
                'equipment' => $house->equipmentInShort(),
                'equipmentTitle' => $house->equipment(),
                'cable' => $house->wallCable()?->label() ?? '',
                'handedOverAt' => $job->handed_over_at?->toIso8601String(),
                'closed' => Gate::denies('work', $job),
                'updatedAt' => $job->updated_at->toIso8601String(),
                'practice' => $job->isPractice(),
                'demo' => $job->demo,
                'mark' => JobMark::says($job),
                'importedAt' => $job->imported_at?->toIso8601String(),
            ],
            'power' => [...PowerFlag::of($job)->toArray(), 'read' => PowerFlag::read($job)],
            'supplies' => array_map(
                static fn (PowerSource $s): array => ['id' => $s->id, 'label' => $s->label, 'live' => $s->live],
                PowerFlag::sources($job),
            ),
            'strip' => SetupStrip::view($job),
            'beforeLive' => $job->handed_over_at === null ? BeforeLive::of($job, $progress) : [],
            'mark' => Pulse::of($job),
            'tape' => $progress->tape(),
            'fault' => $job->openFault()?->at->toIso8601String(),
            'points' => self::points($circuit, SetupStrip::of($job)),
        ];
    }

    /**
     * @return list<array{id: string, label: Message, place: string, placeLabel: string|Message, terminal: ?string,
     *     conductor: ?string, group: string}>
     */
    private static function points(Circuit $circuit, Things $strip): array
    {
        $points = [];
        // A part whose lead is off shows its own end.
        foreach (
            $circuit->netlist(AskedHouse::of($circuit)->setup(Hands::calling()->beside($strip)))->points as $point
        ) {
            if ($point->probeable && $point->place !== null) {
                $points[] = self::point($point);
            }
        }

        return $points;
    }

    /**
     * @return array{id: string, label: Message, place: string, placeLabel: string|Message, terminal: ?string,
     *     conductor: ?string, group: string}
     */
    private static function point(Point $point): array
    {
        return [
            'id' => $point->id,
            'label' => $point->label,
            'place' => $point->place->value ?? '',
            'placeLabel' => $point->where ?? '',
            'terminal' => $point->terminal,
            'conductor' => $point->conductor,
            'group' => $point->kind->value,
        ];
    }
}
