<?php

declare(strict_types=1);

namespace App\Document;

/**
 * An edit that says one thing of the house and rests on no other: it is taken on a document that somebody else changed
 * meanwhile, as long as the two do not touch.
 */
interface Apart extends Edit
{
}
