<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Words\Message;

/** Something that a person puts on a house or takes off for a test, and has to put back. A class for each kind. */
interface Thing
{
    /** What it is on a job's record; null for what only a trace's protocol says. */
    public function kind(): ?ThingKind;

    /** The same for two that are the same. */
    public function key(): string;

    /** Whether this circuit has what it is put on. */
    public function isOf(Circuit $circuit): bool;

    /** The set-up with it in place; on what this circuit has. */
    public function on(Setup $setup, Circuit $circuit): Setup;

    /** As it is said on the strip: "jumper R at the wall plate to G at the wall plate". */
    public function label(Circuit $circuit): Message;

    /** @return list<string> the points, parts or supplies by which it is kept and sent */
    public function names(): array;
}
