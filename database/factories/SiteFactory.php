<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Crew\Crew;
use App\Models\Site;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Site> */
final class SiteFactory extends Factory
{
    protected $model = Site::class;

    public function definition(): array
    {
        return ['crew_id' => Crew::factory(), 'name' => 'Lock Keeper\'s Row 4', 'address' => 'Saltmarsh Locks'];
    }
}
