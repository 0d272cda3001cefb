<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Crew\Crew;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Database\Seeder;

/** The demo data: a crew of four, of whom two drive out on their own, and its houses around Saltmarsh Locks. */
final class DatabaseSeeder extends Seeder
{
    public function run(): void
    {
        if (User::query()->exists()) {
            return;
        }
        $crew = Crew::query()->create(['name' => 'Ebb & Sluice Heating']);
        $person = static fn (string $name, Role $role): User => User::query()->create([
            'crew_id' => $crew->id,
            'name' => $name,
            'email' => strtolower(explode(' ', $name)[0]).'@ebb-and-sluice.example',
            'password' => 'saltmarsh',
            'role' => $role,
        ]);
        $wren = $person('Wren Halyard', Role::Lead);
        $sedge = $person('Sedge Barrow', Role::Installer);
        $person('Teal Marl', Role::Apprentice);
        $person('Iris Quoin', Role::Reader);

        self::day('lock-keepers-row-4', $wren, 4, static fn (DemoHouse $h): Job => $h->work(), -2, 510);
        self::day('tollhouse', $wren, 2, static fn (DemoHouse $h): Job => $h->planned(used: true), 0, 510);
        self::day('ropewalk-11', $sedge, 3, static fn (DemoHouse $h): Job => $h->surveyed(), 0, 540);
        self::day('the-old-chandlery', $wren, 14, static fn (DemoHouse $h): Job => $h->planned(used: false), 0, 690);
        self::day('dredger-cottage', $sedge, 5, static fn (DemoHouse $h): Job => $h->planned(used: false), 0, 660);
        self::day(
            'quay-house-flat-2',
            $sedge,
            16,
            static fn (DemoHouse $h): Job => $h->traced(
                'conductors-touch:A1~A2',
                ['cool-1', 'heat-1'],
                ['nail-or-screw', 'fuse-blew-before'],
                tests: 3,
            ),
            0,
            870,
        );
        self::day('heron-boathouse', $wren, 7, static fn (DemoHouse $h): Job => $h->planned(used: false), 0, 840);
        self::day('sailmakers-loft', $wren, 8, static fn (DemoHouse $h): Job => $h->planned(used: false), 1, 540);
        self::day('weir-pump-room', $sedge, 9, static fn (DemoHouse $h): Job => $h->planned(used: true), 1, 510);
        self::day(
            'winding-hole-2',
            $wren,
            10,
            static fn (DemoHouse $h): Job => $h->set(['fan-in-heat' => 'equipment']),
            1,
            780,
        );
        (new DemoHouse($wren, 'lock-keepers-row-6', seed: 6))->open();
    }

    /** @param  callable(DemoHouse): Job  $stand */
    private static function day(string $name, User $by, int $seed, callable $stand, int $days, int $start): void
    {
        $demo = new DemoHouse($by, $name, seed: $seed);
        $demo->on($stand($demo), $days, $start, $by->name);
    }
}
