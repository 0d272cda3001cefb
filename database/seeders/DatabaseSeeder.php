<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Crew;
use App\Models\User;
use Illuminate\Database\Seeder;

/** The demo data: a two-person crew and its houses around Saltmarsh Locks. */
final class DatabaseSeeder extends Seeder
{
    public function run(): void
    {
        if (User::query()->exists()) {
            return;
        }
        $crew = Crew::query()->create(['name' => 'Ebb & Sluice Heating']);
        $wren = User::query()->create(['crew_id' => $crew->id, 'name' => 'Wren Halyard', 'email' => 'wren@ebb-and-sluice.example', 'password' => 'saltmarsh']);
        User::query()->create(['crew_id' => $crew->id, 'name' => 'Sedge Bollard', 'email' => 'sedge@ebb-and-sluice.example', 'password' => 'saltmarsh']);

        (new DemoHouse($wren, 'lock-keepers-row-4', seed: 4))->work();
        (new DemoHouse($wren, 'tollhouse', seed: 2))->planned(used: true);
        (new DemoHouse($wren, 'the-old-chandlery', seed: 14))->planned(used: false);
        (new DemoHouse($wren, 'dredger-cottage', seed: 5))->planned(used: false);
        (new DemoHouse($wren, 'lock-keepers-row-6', seed: 6))->open();
    }
}
