<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Site;
use App\Models\System;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<System> */
final class SystemFactory extends Factory
{
    protected $model = System::class;

    public function definition(): array
    {
        return ['site_id' => Site::factory(), 'name' => 'System'];
    }
}
