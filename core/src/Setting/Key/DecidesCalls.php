<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key;

/** A setting that changes which terminals a call closes: what it does is asked of the circuit. */
interface DecidesCalls extends Setting
{
}
