<?php

declare(strict_types=1);

namespace App\Web;

use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Foundation\Http\FormRequest;
use LogicException;

/** A request that works on a job of the crew: authorised by the job's policy, with typed access to both. */
abstract class JobRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('work', $this->job()) === true;
    }

    public function job(): Job
    {
        $job = $this->route('job');

        return $job instanceof Job ? $job : throw new LogicException('No job in this route.');
    }

    public function crewMember(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new LogicException('Nobody is signed in.');
    }

    public function id(): string
    {
        return $this->string('id')->toString();
    }

    /** A field as text, without blanks around it; empty where it is missing. */
    public function text(string $key): string
    {
        return trim($this->string($key)->toString());
    }

    public function nullableString(string $key): ?string
    {
        return $this->filled($key) ? $this->string($key)->toString() : null;
    }
}
