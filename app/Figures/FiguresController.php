<?php

declare(strict_types=1);

namespace App\Figures;

use App\House\House;
use App\House\Refused;
use App\Models\Job;
use App\Web\Controller;
use App\Web\Decimal;
use App\Web\JsonResponse;
use App\Web\Page;
use App\Words\Words;
use Illuminate\Http\Request;
use Inertia\Response;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Figures\Figures;
use Unionbit\Core\Planning\Plan\Plan;

/** Figures of a house, or without one: the page, and one figure computed anew from its inputs. Nothing is written. */
final class FiguresController extends Controller
{
    public function index(): Response
    {
        return Page::of('Figures', FiguresPage::props(null));
    }

    public function job(Job $job): Response
    {
        $this->authorize('view', $job);

        return Page::of('Figures', FiguresPage::props($job));
    }

    public function compute(Request $request, string $key): JsonResponse
    {
        return self::answer($request, $key, null);
    }

    public function computeFor(Request $request, Job $job, string $key): JsonResponse
    {
        $this->authorize('view', $job);

        return self::answer($request, $key, House::of($job)->plan);
    }

    private static function answer(Request $request, string $key, ?Plan $plan): JsonResponse
    {
        $figure = Figures::named($key);
        abort_if($figure === null, 404, Words::of('figures.figures-controller.no-such-figure'));
        $given = [];
        foreach ((array) $request->input('values') as $input => $value) {
            $given[(string) $input] = Decimal::plain($value);
        }
        try {
            $values = Figures::values($figure, $given, $plan);
        } catch (InvalidData $problem) {
            throw Refused::at(ltrim($problem->pointer, '/'), $problem->problem);
        }

        return new JsonResponse([
            'result' => $values === null ? null : $figure->compute($values, $plan)->toArray(),
        ]);
    }
}
