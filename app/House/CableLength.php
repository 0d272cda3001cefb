<?php

declare(strict_types=1);

namespace App\House;

use App\Words\Words;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** How long a cable can be, in feet; refused in the units of whoever typed it. */
final class CableLength implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_numeric($value) || $value < Cable::LEAST_FEET || $value > Cable::MOST_FEET) {
            $fail(
                Words::say(
                    Message::of(
                        'house.cable-length.allowed',
                        least: Quantity::of(Cable::LEAST_FEET, Unit::Feet),
                        most: Quantity::of(Cable::MOST_FEET, Unit::Feet),
                    ),
                ),
            );
        }
    }
}
