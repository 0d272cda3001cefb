<?php

declare(strict_types=1);

namespace App\Models\Share;

use Unionbit\Core\Words\Message;

/** What of a house a link shows. Signatures, and who of the crew did what, go out by none. */
enum SharePart: string
{
    /** Name and address of the house. */
    case Place = 'place';
    /** Equipment, and every conductor as it was found and as it is now. */
    case Wiring = 'wiring';
    case Settings = 'settings';
    /** Which calls are proved, what the proofs are worth, what is open. */
    case Calls = 'calls';
    case Readings = 'readings';
    /** The fault that is traced, row by row. */
    case Fault = 'fault';
    case Photographs = 'photographs';
    /** What was written for the customer. */
    case Customer = 'customer';

    public function label(): Message
    {
        return Message::of('share.part', part: $this->value);
    }

    /** @return list<self> what somebody needs who is asked for advice from afar */
    public static function forAdvice(): array
    {
        return [self::Wiring, self::Settings, self::Calls, self::Readings, self::Fault, self::Photographs];
    }

    /** @return list<self> what a customer keeps */
    public static function forCustomer(): array
    {
        return [self::Place, self::Calls, self::Photographs, self::Customer];
    }
}
