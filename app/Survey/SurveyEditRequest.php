<?php

declare(strict_types=1);

namespace App\Survey;

use App\Document\EditRequest;
use App\Document\Restore;
use App\Survey\Edit\AddConductor;
use App\Survey\Edit\AddConductors;
use App\Survey\Edit\AnswerQuestion;
use App\Survey\Edit\ChangeConductor;
use App\Survey\Edit\ChooseEquipment;
use App\Survey\Edit\FindJumpers;
use App\Survey\Edit\FinishSurvey;
use App\Survey\Edit\FitSafety;
use App\Survey\Edit\GoPastStop;
use App\Survey\Edit\ReadSchedule;
use App\Survey\Edit\RemoveConductor;
use App\Survey\Edit\SetFacts;
use App\Survey\Identify\KeepIdentified;
use App\Survey\Places\AddCable;
use App\Survey\Places\AddPlace;
use App\Survey\Places\AddSupply;
use App\Survey\Places\NamePlace;
use App\Survey\Places\ReadPrint;
use App\Survey\Places\RemoveCable;
use App\Survey\Places\RemovePlace;
use App\Survey\Places\SetCable;
use App\Web\Decimal;

/** One edit of a survey. */
final class SurveyEditRequest extends EditRequest
{
    protected static function kinds(): array
    {
        return [
            AddConductor::class,
            AddConductors::class,
            ChangeConductor::class,
            RemoveConductor::class,
            ReadSchedule::class,
            AnswerQuestion::class,
            ChooseEquipment::class,
            FitSafety::class,
            FindJumpers::class,
            GoPastStop::class,
            SetFacts::class,
            SetCable::class,
            AddCable::class,
            AddSupply::class,
            RemoveCable::class,
            AddPlace::class,
            NamePlace::class,
            RemovePlace::class,
            ReadPrint::class,
            KeepIdentified::class,
            FinishSurvey::class,
            Restore::class,
        ];
    }

    protected function prepareForValidation(): void
    {
        $facts = $this->input('facts');
        $this->merge([
            ...$this->has('feet') ? ['feet' => Decimal::plain($this->input('feet'))] : [],
            ...is_array($facts) ? ['facts' => Decimal::each($facts)] : [],
        ]);
    }
}
