<?php

declare(strict_types=1);

namespace App\Prove;

use App\Models\Record\Measurement;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Figures\Figures;

/** A temperature split or an airflow as the proofs and the record show it. */
final class MeasurementView
{
    /** @return array<string, mixed> */
    public static function of(Measurement $row): array
    {
        return [
            'id' => $row->id,
            'figure' => $row->figure,
            'title' => Figures::named($row->figure->value)?->title() ?? $row->figure->value,
            'call' => $row->call,
            'callLabel' => $row->call === null ? null : CallName::tryFrom($row->call)?->label(),
            'inputs' => $row->inputs,
            'lines' => $row->lines,
            'tone' => $row->tone,
            'verdict' => $row->verdict,
            'simulated' => $row->simulated,
            'at' => $row->at->toIso8601String(),
        ];
    }
}
