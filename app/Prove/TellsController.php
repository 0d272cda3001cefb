<?php

declare(strict_types=1);

namespace App\Prove;

use App\House\House;
use App\House\JobFiles;
use App\House\Refused;
use App\Models\Job;
use App\Records\Progress\Progress;
use App\Records\Reading\ReadingRequest;
use App\Records\Step\StepRecord;
use App\Web\Controller;
use App\Web\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Proving\Judge\Pattern;
use Unionbit\Core\Proving\Judge\StepEvidence;
use Unionbit\Core\Proving\Route\Separation;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Words\Message;

/** What a test would tell, asked before it is done. */
final class TellsController extends Controller
{
    private const A_DAY = 86400;

    /** What this step cannot tell apart if it fails, before it is done. */
    public function cannotTell(Request $request, Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        $key = $request->string('step')->toString();
        $steps = StepRecord::steps($job);
        $step =
            array_values(array_filter($steps, static fn (Step $s): bool => $s->key() === $key))[0] ??
            throw Refused::at('step', Message::of('prove.tells-controller.there-no-proving-step-for', key: $key));
        $plan =
            House::of($job)->standing ??
            throw Refused::at('step', Message::of('prove.tells-controller.choose-thermostat-first'));
        $groups = Cache::remember(
            'cannot-tell/'.House::key($plan)."/{$key}/".House::asks($steps),
            self::A_DAY,
            static function () use ($plan, $step, $steps): array {
                $others = array_values(
                    array_filter($steps, static fn (Step $s): bool => $s->call === $step->call && $s !== $step),
                );
                $groups = (new Separation(
                    AskedHouse::of($plan->circuit()),
                    app(JobFiles::class)->faults(),
                ))->ofStep($step, $others);
                $labels = array_combine(
                    array_map(static fn (Step $s): string => $s->key(), $others),
                    array_map(static fn (Step $s): Message => $s->method->label(), $others),
                );

                return array_map(
                    static fn (array $g): array => [
                        'places' => $g['places'],
                        'told' => $g['told'] === null ? null : ['step' => $g['told'], 'label' => $labels[$g['told']]],
                    ],
                    $groups,
                );
            },
        );

        return new JsonResponse(['groups' => $groups]);
    }

    /**
     * What one pair of points would read with each single fault: those still in question once something has failed,
     * else all.
     */
    public function tells(ReadingRequest $request): JsonResponse
    {
        $job = $request->job();
        $place = $request->place();
        if (! in_array($place->mode, [MeterMode::Volts, MeterMode::Ohms], true)) {
            throw Refused::at('mode', Message::of('prove.tells-controller.volts-or-ohms-can-be'));
        }
        $context = $place->context($job);
        $context->expect($place->mode, $place->a, $place->b);
        $faults = app(JobFiles::class)->faults();
        $seen = Progress::of($job)->seen();
        $failing = array_filter($seen, static fn (StepEvidence $s): bool => in_array(false, $s->signs, true)) !== [];
        $suspects = $failing
            ? array_map(
                static fn (Fault $f): string => $f->id,
                (new Pattern($context->house, $faults))->explain($seen),
            )
            : null;
        $groups = (new Separation($context->house, $faults))->ofReading(
            $context->hands,
            $place->mode,
            $place->a,
            $place->b,
            $suspects,
        );

        return new JsonResponse([
            'suspects' => $suspects === null ? null : count($suspects),
            'unit' => $place->mode->unit(),
            'groups' => $groups,
        ]);
    }
}
