<?php

declare(strict_types=1);

namespace App\Survey\Identify;

use App\Document\Apart;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Survey\Edit\SurveyDraft;
use Unionbit\Core\Wiring\Identify\Traced;
use Unionbit\Core\Words\Message;

/**
 * What a routine has shown of a cable becomes evidence: traced, open, or touching. It is worked out again from the
 * readings.
 */
final readonly class KeepIdentified implements Apart
{
    /**
     * @param  array<string, list<list<string>>>  $readings  by {@see IdentifyRequest::READINGS}
     * @param  list<string>  $silent  that had not to answer, and did when they were read at last
     * @param  list<string>  $mute  such as did not
     */
    public function __construct(
        private string $cable,
        private array $readings,
        private array $silent,
        private array $mute,
    ) {
    }

    public static function op(): string
    {
        return 'identified';
    }

    public static function rules(): array
    {
        return [
            'cable' => ['required', 'string', 'max:2'],
            ...IdentifyRequest::readings(),
            'silent' => ['array', 'max:50'],
            'silent.*' => ['string', 'max:4'],
            'mute' => ['array', 'max:50'],
            'mute.*' => ['string', 'max:4'],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self(
            $request->text('cable'),
            array_combine(
                IdentifyRequest::READINGS,
                array_map(
                    static fn (string $key): array => IdentifyRequest::groups($request->input($key)),
                    IdentifyRequest::READINGS,
                ),
            ),
            $request->strings('silent'),
            $request->strings('mute'),
        );
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $cable = $draft->cable($this->cable);
        ['touchingNear' => $near, 'touchingFar' => $far] = $this->readings;
        $read = IdentifyRequest::routine($cable, $near, $far)->read(
            $this->readings['found'],
            $this->readings['answered'],
        );
        if ($read->contradicts) {
            throw Refused::at('answered', Message::of('survey.identify.contradicts'));
        }
        $traced = Traced::cable($cable, $read, $this->silent, $this->mute, $near, $far);
        $draft->keepConductors($cable, $traced->conductors);

        return Message::of(
            'survey.identify.kept',
            cable: $this->cable,
            count: count($read->whole) + count($this->silent),
        );
    }
}
