<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Show;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Equipment\Observable;

/** What each call of a house should run and should not, by what its equipment needs, whatever its wiring does. */
final readonly class Duties
{
    public function __construct(private Circuit $circuit)
    {
    }

    /** @return list<CallName> every call of the house but the rest */
    public function calls(): array
    {
        return array_values(
            array_filter(
                CallTable::needed($this->circuit->installation->archetype)->calls(),
                static fn (CallName $c): bool => $c !== CallName::Idle,
            ),
        );
    }

    /** @return array<string, string> "yes" or "no" by key of what is seen; what may run or not is left out */
    public function of(CallName $call): array
    {
        $archetype = $this->circuit->installation->archetype;
        $needs = $archetype->needs[$call->value] ?? [];
        $allows = $archetype->allows[$call->value] ?? [];
        $wanted = [];
        foreach ($archetype->loads as $load) {
            $key = $load->observable?->value;
            if ($key === null || in_array($load->id, $allows, true)) {
                continue;
            }
            $runs = in_array($load->id, $needs, true);
            $wanted[$key] = $runs || ($wanted[$key] ?? 'no') === 'yes' ? 'yes' : 'no';
        }
        $heats = array_any(
            array_keys($wanted),
            static fn (string $key): bool => ($wanted[$key] ?? '') === 'yes' && Observable::from($key)->needsAir(),
        );
        if ($heats && $archetype->fanInHeat === FanInHeat::Equipment && isset($wanted[Observable::Blower->value])) {
            $wanted[Observable::Blower->value] = 'yes';
        }

        return $wanted;
    }

    /** @param  array<string, string>  $sees  what was seen of a call */
    public function works(CallName $call, array $sees): bool
    {
        $wanted = $this->of($call);

        return $sees !== [] &&
            ! array_any(
                array_keys($wanted),
                static fn (string $key): bool => isset($sees[$key]) && $sees[$key] !== $wanted[$key],
            ) &&
            array_any(
                array_keys($wanted),
                static fn (string $key): bool => isset($sees[$key]) && $wanted[$key] === 'yes',
            );
    }
}
