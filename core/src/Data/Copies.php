<?php

declare(strict_types=1);

namespace Unionbit\Core\Data;

use ReflectionClass;

/** A value that is never changed, only copied with some of it otherwise. Its constructor does nothing but keep. */
trait Copies
{
    /** @param  non-empty-array<string, mixed>  $changes  by name of the property; one that is none is an error */
    private function copy(array $changes): static
    {
        $copy = (new ReflectionClass($this))->newInstanceWithoutConstructor();
        foreach ($changes + get_object_vars($this) as $name => $value) {
            $copy->{$name} = $value;
        }

        return $copy;
    }
}
