<?php

declare(strict_types=1);

namespace App\Document;

use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Words\Message;

/** Undo: the document as an earlier version had it, as a new version. */
final readonly class Restore implements Edit
{
    public function __construct(private int $version)
    {
    }

    public static function op(): string
    {
        return 'restore';
    }

    public static function rules(): array
    {
        return ['to_version' => ['required', 'integer', 'min:1']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->integer('to_version'));
    }

    public function apply(Job $job, User $by): Message
    {
        $revision =
            $job->revisions()->where('version', $this->version)->first() ??
            throw Refused::at(
                'to_version',
                Message::of('document.restore.there-no-version-job', version: $this->version),
            );
        $job->survey = $revision->survey;
        $job->plan = $revision->plan;

        return Message::of('document.restore.went-back-version', version: $this->version);
    }
}
