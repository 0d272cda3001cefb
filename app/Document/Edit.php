<?php

declare(strict_types=1);

namespace App\Document;

use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Words\Message;

/**
 * One kind of edit of a job's shared document: what a request for it must hold, what it changes, and what the history
 * says of it. Undo is an edit too: `Restore`.
 */
interface Edit
{
    /** Its name in a request: "add-conductor". */
    public static function op(): string;

    /** @return array<string, list<mixed>> the fields of its request */
    public static function rules(): array;

    /** From a request that keeps to the rules. */
    public static function from(EditRequest $request): self;

    /**
     * Changes the job's attributes and saves nothing.
     *
     * @return Message what was done, for the history: "added 4 yellow"
     *
     * @throws Refused where the house does not take it
     */
    public function apply(Job $job, User $by): Message;
}
