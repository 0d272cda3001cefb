<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

/** Who said what the equipment of a house is. */
enum EquipmentFrom: string
{
    /** Nobody yet: the catalogue's entry is only a place holder until the answers describe one. */
    case Nobody = 'nobody';
    /** The survey's answers: it follows them until a person chooses. */
    case Answers = 'answers';
    case Person = 'person';
}
