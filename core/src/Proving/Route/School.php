<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Route;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Words\Message;

/** Which proof of a call a person reaches for first. It changes costs and order, not what counts as proved. */
enum School: string
{
    case Short = 'short';
    case Jumper = 'jumper';
    case Meter = 'meter';
    case Unit = 'unit';
    case Continuity = 'continuity';

    public function label(): Message
    {
        return Message::term($this);
    }

    /** @return list<Method> every proof, the first reached for first */
    public function order(): array
    {
        $first = match ($this) {
            self::Jumper => [
                Method::Jumper,
                Method::BoardJumper,
                Method::AuxAlone,
                Method::Continuity,
                Method::Voltage,
            ],
            self::Short, self::Meter => [
                Method::Voltage,
                Method::Jumper,
                Method::BoardJumper,
                Method::AuxAlone,
                Method::Continuity,
            ],
            self::Unit => [
                Method::BoardJumper,
                Method::Jumper,
                Method::AuxAlone,
                Method::Voltage,
                Method::Continuity,
            ],
            self::Continuity => [
                Method::Continuity,
                Method::Jumper,
                Method::BoardJumper,
                Method::AuxAlone,
                Method::Voltage,
            ],
        };

        return [
            Method::PreCheck,
            Method::AtRest,
            ...$first,
            Method::FloatLift,
            Method::Shed,
            Method::Cable,
            Method::Looks,
            Method::Chain,
        ];
    }

    /**
     * The proofs of one call that this school does: its own first one that the thermostat allows, and the voltage. The
     * short form goes without the former, and looks at what no reading shows instead; a jumper parts suspects where a
     * call has failed.
     *
     * @param  list<Step>  $steps  of one call
     * @return list<Step>
     */
    public function of(array $steps): array
    {
        if ($this === self::Short) {
            return array_values(
                array_filter(
                    $steps,
                    static fn (Step $s): bool => $s->call !== CallName::Defrost &&
                        ($s->method->isRequired() || in_array($s->method, [Method::PreCheck, Method::Looks], true)),
                ),
            );
        }
        $order = $this->order();
        usort(
            $steps,
            static fn (Step $a, Step $b): int => (int) array_search($a->method, $order, true) <=>
                (int) array_search($b->method, $order, true),
        );
        $chosen = [];
        foreach ($steps as $step) {
            $isFirst =
                ! $step->method->isRequired() &&
                $step->method !== Method::Chain &&
                ! $step->method->isLook() &&
                array_filter($chosen, static fn (Step $s): bool => ! $s->method->isRequired()) === [];
            if ($step->method->isRequired() || $step->method === Method::AuxAlone || $isFirst) {
                $chosen[] = $step;
            }
        }

        return $chosen;
    }
}
