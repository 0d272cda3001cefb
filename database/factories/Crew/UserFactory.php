<?php

declare(strict_types=1);

namespace Database\Factories\Crew;

use App\Models\Crew\Crew;
use App\Models\Crew\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<User> */
final class UserFactory extends Factory
{
    private static int $number = 0;

    protected $model = User::class;

    public function definition(): array
    {
        $number = ++self::$number;

        return [
            'crew_id' => Crew::factory(),
            'name' => "Installer {$number}",
            'email' => "installer{$number}@ebb-and-sluice.example",
            'password' => 'saltmarsh',
        ];
    }
}
