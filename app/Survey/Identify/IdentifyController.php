<?php

declare(strict_types=1);

namespace App\Survey\Identify;

use App\Survey\Edit\SurveyDraft;
use App\Web\Controller;
use App\Web\JsonResponse;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

/** The next thing to twist and to measure, from what has been read so far. Nothing is written. */
final class IdentifyController extends Controller
{
    public function __invoke(IdentifyRequest $request): JsonResponse
    {
        $cable = SurveyDraft::of($request->job())->cable($request->text('cable'));
        [$near, $far, $found, $answered] = array_map(
            static fn (string $key): array => IdentifyRequest::groups($request->input($key)),
            IdentifyRequest::READINGS,
        );
        $sides = count(array_merge([], ...$near)) === count(array_merge([], ...$far));
        $routine = IdentifyRequest::routine($cable, $sides ? $near : [], $sides ? $far : []);
        $ends = [];
        foreach ([...IdentifyRequest::routine($cable, [], [])->near, ...$routine->known] as $id) {
            foreach ($cable->conductors as $conductor) {
                if ($conductor->id() === $id) {
                    $ends[] = [
                        'id' => $id,
                        'near' => self::near($conductor),
                        'far' => self::far($conductor),
                        'known' => in_array($id, $routine->known, true),
                    ];
                }
            }
        }
        $ready = $request->has('answered') || ($routine->kind === 'known' && $request->has('found'));

        return new JsonResponse([
            'kind' => $routine->kind,
            'trips' => $routine->trips(false),
            'ends' => $ends,
            'far' => $routine->far,
            'near' => $request->has('found') ? $routine->near($found) : [],
            'read' => $ready ? $routine->read($found, $answered) : null,
        ]);
    }

    private static function near(Conductor $conductor): Message
    {
        return Message::of('survey.identify.end', name: $conductor->name(), end: $conductor->near->label());
    }

    /** The far end as it can be seen there: its color, and where it is landed. */
    private static function far(Conductor $conductor): Message
    {
        return Message::of(
            'survey.identify.end',
            name: $conductor->colourAfterSplice === null
                ? $conductor->color()
                : Message::term($conductor->colourAfterSplice),
            end: $conductor->far->label(),
        );
    }
}
