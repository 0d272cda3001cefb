<?php

declare(strict_types=1);

namespace App\Survey;

use App\House\Catalog;
use App\House\ConductorView;
use App\House\FindingView;
use App\House\House;
use App\House\SurveyReadings;
use App\Models\Job;
use App\Models\JobRevision;
use App\Models\Kind\Stage;
use App\Records\Photo\PhotoView;
use App\Records\Progress\Progress;
use App\Records\Reading\ReadingView;
use App\Stage\JobFrame;
use App\Survey\Places\HouseMap;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Assumptions;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\Interview\WantedReadings;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Job\Suggest\EquipmentMatch;
use Unionbit\Core\Job\Suggest\ModelDigits;
use Unionbit\Core\Job\Suggest\PlateRecognition;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Entry\EntryWords;
use Unionbit\Core\Words\Message;

final class SurveyPage
{
    /** @return array<string, mixed> */
    public static function props(Job $job): array
    {
        $house = House::of($job)->installation;
        $progress = Progress::of($job);
        $written = SurveyFile::write($house);
        $match = EquipmentMatch::of($house->answers, app(Catalog::class)->shelf(), $house->archetype->id);
        $letters = array_values(
            array_filter(
                array_map(static fn (Conductor $c): ?string => $c->near->terminal, $house->wallConductors()),
            ),
        );

        return [
            ...JobFrame::props($job, House::of($job)->circuitAsFound(), $progress),
            'cables' => array_map(
                static fn (Cable $cable): array => ConductorView::cable($cable, $house),
                $house->cables,
            ),
            'entry' => EntryWords::offered(),
            'map' => HouseMap::of($house),
            'prints' => $house->equipmentSeen() ? self::prints($house) : [],
            'screws' => (object) self::screws($house),
            'questions' => Interview::of($house),
            'match' => [
                'id' => $match->id,
                'title' => $match->id === null ? null : app(Catalog::class)->archetype($match->id)->title,
                'why' => $match->why(),
                'open' => $match->open,
                'current' => $house->archetype->id,
            ],
            'plate' => array_map(
                static fn (array $s): array => [...$s, 'answers' => (object) $s['answers']],
                PlateRecognition::suggest($letters),
            ),
            'digits' => ModelDigits::suggest($house->answers->choice('outdoorModel') ?? ''),
            'safety' => array_map(
                static fn (SafetyDevice $d): array => [...SurveyFile::writeDevice($d), 'label' => $d->name()],
                $house->facts->safety,
            ),
            'jumpers' => $written['jumpers'],
            'wanted' => WantedReadings::of($house),
            'photos' => PhotoView::all($job),
            'needs' => $progress->survey(),
            'assumes' => Assumptions::of($house, SurveyReadings::supplyMeasured($job)),
            'finished' => $job->surveyed_at !== null,
            'findings' => FindingView::all(SurveyReadings::screening($job)),
            'overrides' => (object) $house->overrides,
            'readings' => ReadingView::log($job, Stage::Survey),
            'visits' => self::visits($job),
            'changes' => self::changes($job),
        ];
    }

    /**
     * Letters read at boards that the catalogue has not, and what they were said to be.
     *
     * @return list<array{place: string, name: Message, printed: string, means: ?string}>
     */
    private static function prints(Installation $house): array
    {
        $prints = [];
        foreach ($house->cables as $cable) {
            foreach ($cable->conductors as $conductor) {
                foreach ([[$cable->from, $conductor->near], [$cable->to, $conductor->far]] as [$place, $end]) {
                    $point = "{$place->value}.{$end->terminal}";
                    $said = $house->prints[$point] ?? null;
                    if (
                        $place !== Place::Wall &&
                        $end->terminal !== null &&
                        ($said !== null || $house->screw($place, $end->terminal) === null)
                    ) {
                        $prints[$point] = [
                            'place' => $place->value,
                            'name' => $house->placeName($place),
                            'printed' => $end->terminal,
                            'means' => $said,
                        ];
                    }
                }
            }
        }

        return array_values($prints);
    }

    /** @return array<string, list<string>> what each place prints, or what boards print where nobody has seen it yet */
    private static function screws(Installation $house): array
    {
        $usual = [
            Place::Indoor->value => ['R', 'C', 'W', 'Y', 'G', 'O', 'B', 'W1', 'W2', 'Y2', 'E'],
            Place::Outdoor->value => ['Y', 'C', 'R', 'O', 'B', 'W', 'Y2'],
        ];

        return $house->equipmentSeen() ? $house->archetype->lettersByPlace() : $usual;
    }

    /**
     * @return list<array{id: string, kind: Message, at: string, current: bool, follows: bool, handedOverAt: ?string}>
     */
    private static function visits(Job $job): array
    {
        return array_values(
            $job->system
                ->visits()
                ->get()
                ->map(
                    static fn (Job $v): array => [
                        'id' => $v->id,
                        'kind' => Message::term($v->kind),
                        'at' => $v->created_at->toIso8601String(),
                        'current' => $v->id === $job->id,
                        'follows' => $v->id === $job->earlier_id,
                        'handedOverAt' => $v->handed_over_at?->toIso8601String(),
                    ],
                )
                ->all(),
        );
    }

    /** @return list<array{version: int, what: string, by: string, at: string}> latest first */
    private static function changes(Job $job): array
    {
        $rows = $job->revisions()->with('user')->reorder()->orderByDesc('version')->limit(30)->get();

        return array_values(
            $rows
                ->map(
                    static fn (JobRevision $r): array => [
                        'version' => $r->version,
                        'what' => $r->what,
                        'by' => $r->user->name,
                        'at' => $r->created_at->toIso8601String(),
                    ],
                )
                ->all(),
        );
    }
}
