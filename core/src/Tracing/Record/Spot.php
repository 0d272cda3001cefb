<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Record;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Run;
use Unionbit\Core\Words\Message;

/** Where along its run a cable is hurt: what is looked at before a new one is pulled. */
enum Spot: string
{
    case WallPlate = 'wall-plate';
    case Staples = 'staples';
    case InTheWall = 'in-the-wall';
    case Attic = 'attic';
    case Eave = 'eave';
    case Crawlspace = 'crawlspace';
    case CabinetHole = 'cabinet-hole';
    case LineSet = 'line-set';
    case ServiceValve = 'service-valve';
    case OutdoorCabinet = 'outdoor-cabinet';

    public function label(): Message
    {
        return Message::term($this);
    }

    /** @return list<self> along one cable, from its first end to its last; no staples where it lies loose */
    public static function along(Cable $cable): array
    {
        $wall = $cable->from === Place::Wall || $cable->to === Place::Wall;
        $outdoor = $cable->from === Place::Outdoor || $cable->to === Place::Outdoor;

        return array_values(
            array_filter([
                $wall ? self::WallPlate : null,
                $wall ? self::InTheWall : null,
                $cable->run === Run::Loose ? null : self::Staples,
                self::Attic,
                self::Crawlspace,
                self::CabinetHole,
                $outdoor ? self::Eave : null,
                $outdoor ? self::LineSet : null,
                $outdoor ? self::ServiceValve : null,
                $outdoor ? self::OutdoorCabinet : null,
            ]),
        );
    }
}
