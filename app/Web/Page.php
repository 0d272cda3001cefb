<?php

declare(strict_types=1);

namespace App\Web;

use App\Words\Words;
use Inertia\Inertia;
use Inertia\Response;

/** A page of the application: its messages are said, and what it holds goes out as it is. */
final class Page
{
    /** @param  array<string, mixed>  $props  messages anywhere in them */
    public static function of(string $component, array $props = []): Response
    {
        return Inertia::render($component, array_map(PageProp::of(...), Words::spoken($props)));
    }
}
