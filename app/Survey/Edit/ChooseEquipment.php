<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Catalog;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Job\EquipmentFrom;
use Unionbit\Core\Words\Message;

/** Another kind of equipment, by the answers: cables stay as they were seen. */
final readonly class ChooseEquipment implements Edit
{
    public function __construct(private string $archetype)
    {
    }

    public static function op(): string
    {
        return 'set-archetype';
    }

    public static function rules(): array
    {
        return ['archetype' => ['required', 'string', 'max:200']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('archetype'));
    }

    public function apply(Job $job, User $by): Message
    {
        $catalog = app(Catalog::class);
        if (! $catalog->shelf()->knows($this->archetype)) {
            throw Refused::at(
                'archetype',
                Message::of('survey.choose-equipment.there-no-equipment-in-catalogue', archetype: $this->archetype),
            );
        }
        $archetype = $catalog->archetype($this->archetype);
        SurveyDraft::of($job)->choose($archetype, EquipmentFrom::Person);

        return Message::of('survey.choose-equipment.equipment', archetype: $archetype->title);
    }
}
