<?php

declare(strict_types=1);

namespace App\Web;

use App\Words\Words;
use Illuminate\Http\JsonResponse as Response;

/** JSON for a person's screen: whatever is a message in it is said in their words. */
final class JsonResponse extends Response
{
    /** @param  mixed  $data */
    public function setData($data = []): static
    {
        return parent::setData(is_array($data) ? Words::spoken($data) : $data);
    }
}
