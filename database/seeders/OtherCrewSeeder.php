<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Crew\Crew;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use Illuminate\Database\Seeder;

/** A second crew with nothing of its own, for the tests of who may see what. */
final class OtherCrewSeeder extends Seeder
{
    public function run(): void
    {
        $crew = Crew::query()->create(['name' => 'Sounding Pole Services']);
        User::query()->create([
            'crew_id' => $crew->id,
            'name' => 'Another installer',
            'email' => 'another@crew.example',
            'password' => 'saltmarsh',
            'role' => Role::Lead,
        ]);
    }
}
