<?php

declare(strict_types=1);

namespace App\Web;

use JsonSerializable;

/**
 * A part of a page that is plain data all through. The adapter looks into every array of a page for values to be worked
 * out late; there are none here, and of a large page looking took a quarter of the time.
 */
final readonly class PageProp implements JsonSerializable
{
    /** @param  array<mixed>  $data */
    private function __construct(private array $data)
    {
    }

    public static function of(mixed $prop): mixed
    {
        return is_array($prop) ? new self($prop) : $prop;
    }

    /** @return array<mixed> */
    public function jsonSerialize(): array
    {
        return $this->data;
    }
}
