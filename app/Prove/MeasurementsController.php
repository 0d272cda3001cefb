<?php

declare(strict_types=1);

namespace App\Prove;

use App\House\House;
use App\House\Refused;
use App\Models\Record\MeasuredFigure;
use App\Models\Record\Measurement;
use App\Records\Append;
use App\Records\Progress\Progress;
use App\Web\Controller;
use App\Web\JsonResponse;
use LogicException;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figures;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;

/** A temperature split or an airflow, kept with what the figure makes of it. */
final class MeasurementsController extends Controller
{
    public function __invoke(MeasurementRequest $request): JsonResponse
    {
        $job = $request->job();
        $kind = MeasuredFigure::from($request->text('figure'));
        $figure = Figures::named($kind->value) ?? throw new LogicException("No figure {$kind->value}.");
        $call = $request->nullableString('call');
        if ($call !== null) {
            Progress::of($job)->refuseUnknownCall($call);
        }
        $plan = House::of($job)->standing;
        $values = $this->values($figure, $request->values(), $plan);
        $result = $figure->compute($values, $plan);
        $row = Append::row(
            Measurement::class,
            $request->id(),
            $job,
            $request->crewMember(),
            static fn (): array => [
                'figure' => $kind,
                'call' => $call,
                'inputs' => $values,
                'lines' => $result->lines,
                'tone' => $result->tone,
                'verdict' => $result->verdict,
            ],
        );

        return new JsonResponse(['id' => $row->id, 'tone' => $row->tone, 'verdict' => $row->verdict], 201);
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, float>
     */
    private function values(Figure $figure, array $given, ?Plan $plan): array
    {
        try {
            return Figures::values($figure, $given, $plan) ??
                throw Refused::at('values', Message::of('prove.measurements-controller.fill-in-every-field-not'));
        } catch (InvalidData $problem) {
            throw Refused::at(ltrim($problem->pointer, '/'), $problem->problem);
        }
    }
}
