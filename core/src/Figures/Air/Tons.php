<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Air;

use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Unit;

/** The cooling capacity by which airflow is judged: the survey's, or three tons to be looked up. */
final class Tons
{
    public static function input(?Plan $plan): Input
    {
        $tons = $plan?->installation->answers->number('outdoorTons');

        return new Input(
            'tons',
            Message::of('figures.airflow-check.capacity'),
            Unit::Tons,
            $tons ?? 3.0,
            $tons === null
                ? Message::of('figures.airflow-check.nameplate-12-000')
                : Message::of('figures.airflow-check.survey'),
            0.5,
            10,
        );
    }
}
