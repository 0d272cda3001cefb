<?php

declare(strict_types=1);

namespace Database\Factories\Crew;

use App\Models\Crew\Crew;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Crew> */
final class CrewFactory extends Factory
{
    protected $model = Crew::class;

    public function definition(): array
    {
        return ['name' => 'Ebb & Sluice Heating'];
    }
}
