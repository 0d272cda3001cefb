<?php

declare(strict_types=1);

namespace App\Survey\Places;

use App\Document\EditRequest;

/** An edit of the house that is one typed line. */
trait OneLine
{
    public function __construct(private readonly string $line)
    {
    }

    public static function rules(): array
    {
        return ['line' => ['required', 'string', 'max:120']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('line'));
    }
}
