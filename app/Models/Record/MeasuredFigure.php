<?php

declare(strict_types=1);

namespace App\Models\Record;

/** What is measured beside the circuit and kept with what its figure makes of it. */
enum MeasuredFigure: string
{
    case Split = 'split';
    case Airflow = 'airflow';
}
