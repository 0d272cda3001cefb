<?php

declare(strict_types=1);

namespace App\Plan;

use App\House\House;
use App\House\Refused;
use App\House\Stops;
use App\Models\Job;
use App\Models\Record\MoveTick;
use App\Records\Append;
use App\Records\Photo\Photographs;
use App\Records\Power\PowerFlag;
use App\Web\Controller;
use App\Web\JsonResponse;
use Unionbit\Core\Planning\Work\Move;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** Moves of the landing list as they are done. */
final class MovesController extends Controller
{
    public function __invoke(MoveRequest $request): JsonResponse
    {
        $job = $request->job();
        $key = $request->text('move');
        $plan = House::of($job)->plan;
        $known = $plan === null ? [] : array_map(static fn (Move $m): string => $m->key, MoveList::of($plan));
        if (! in_array($key, $known, true)) {
            throw Refused::at('move', Message::of('plan.moves-controller.there-no-move-in-plan', key: $key));
        }
        $tick = ['move' => $key, 'done' => $request->boolean('done')];
        $row = Append::row(MoveTick::class, $request->id(), $job, $request->crewMember(), function (Job $job) use (
            $tick,
        ): array {
            if ($tick['done']) {
                $this->gate($job);
            }

            return $tick;
        });

        return new JsonResponse(['id' => $row->id], 201);
    }

    /** Before a conductor is touched: no stop, power off and proved dead, photographs or reasons for none. */
    private function gate(Job $job): void
    {
        Stops::refuse($job);
        $flag = PowerFlag::of($job);
        if (! $flag->isIsolated()) {
            throw Refused::at(
                'power',
                Message::of('plan.moves-controller.conductors-moved-with-power-off', flag: $flag->says()),
            );
        }
        $missing = array_map(
            static fn (string $place): Message => Message::of(
                'plan.moves-controller.the',
                place: Place::from($place),
            ),
            Photographs::missing($job),
        );
        if ($missing !== []) {
            throw Refused::at(
                'photo',
                Message::of('plan.moves-controller.photograph-before-first-move-or', places: $missing),
            );
        }
    }
}
