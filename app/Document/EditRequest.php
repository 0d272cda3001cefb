<?php

declare(strict_types=1);

namespace App\Document;

use App\Web\JobRequest;
use Illuminate\Validation\Rule;
use LogicException;

/** One edit, on the version of the document that the person saw. Which fields it has is for the kind of edit to say. */
abstract class EditRequest extends JobRequest
{
    /** @return list<class-string<Edit>> the kinds that may be asked for here */
    abstract protected static function kinds(): array;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $kind = $this->kind();

        return [
            'id' => ['required', 'ulid'],
            'version' => ['required', 'integer', 'min:1'],
            'op' => [
                'required',
                Rule::in(array_map(static fn (string $kind): string => $kind::op(), static::kinds())),
            ],
            ...$kind === null ? [] : $kind::rules(),
        ];
    }

    public function edit(): Edit
    {
        $kind = $this->kind() ?? throw new LogicException('Read before it was validated.');

        return $kind::from($this);
    }

    /** @return list<string> */
    public function strings(string $key): array
    {
        $list = $this->input($key);

        return array_values(array_filter(is_array($list) ? $list : [], is_string(...)));
    }

    /** @return ?class-string<Edit> */
    private function kind(): ?string
    {
        foreach (static::kinds() as $kind) {
            if ($kind::op() === $this->input('op')) {
                return $kind;
            }
        }

        return null;
    }
}
