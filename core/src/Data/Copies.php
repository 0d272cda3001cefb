<?php

declare(strict_types=1);

namespace Unionbit\Core\Data;

use ReflectionClass;

/** A value that is never changed, only copied with some of it otherwise. Its properties are its constructor's. */
trait Copies
{
    /** @param  non-empty-array<string, mixed>  $changes  by name of the property; one that is none is an error */
    private function copy(array $changes): static
    {
        return (new ReflectionClass($this))->newInstance(...$changes + get_object_vars($this));
    }
}
