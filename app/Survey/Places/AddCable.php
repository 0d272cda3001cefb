<?php

declare(strict_types=1);

namespace App\Survey\Places;

use App\Document\Edit;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Survey\Edit\SurveyDraft;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Wiring\Entry\CableEntry;
use Unionbit\Core\Words\Message;

/** Another cable, from one line: "second wall cable 18/5 to the attic air handler". */
final class AddCable implements Edit
{
    use OneLine;

    public static function op(): string
    {
        return 'add-cable';
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $entry = CableEntry::parse($this->line, HouseMap::words($draft->house));
        if ($entry->problems !== []) {
            throw Refused::at('line', ...$entry->problems);
        }
        if (count($draft->house->cables) >= SurveyFile::MOST_CABLES) {
            throw Refused::at('line', Message::of('survey.add-cable.as-many', most: SurveyFile::MOST_CABLES));
        }
        $cable = $entry->cable($draft->house->freeLetter());
        $draft->keepHouse($draft->house->withCables([...$draft->house->cables, $cable]));

        return Message::of(
            'survey.add-cable.added',
            cable: $cable->id,
            size: $cable->label(),
            from: $draft->house->placeName($cable->from),
            to: $draft->house->placeName($cable->to),
        );
    }
}
