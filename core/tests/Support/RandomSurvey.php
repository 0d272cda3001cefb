<?php

declare(strict_types=1);

namespace Unionbit\Core\Tests\Support;

use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Job\Interview\Questions;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Evidence;

/** Surveys with something wrong in each: a screw, a letter, a mark, an answer, the same again for the same seed. */
final class RandomSurvey
{
    /** @return array<string, mixed> a survey document with some of it changed */
    public static function of(Pick $pick, string $archetype, string $house = ''): array
    {
        $survey = SurveyFile::write(ExampleHouse::of(House::archetype($archetype)));
        foreach ($survey['cables'] as &$cable) {
            foreach ($cable['conductors'] as &$conductor) {
                if ($pick->one([true, false, false])) {
                    $end = $pick->one(['near', 'far']);
                    $conductor[$end] =
                        ['terminal' => $pick->one(['R', 'C', 'W', 'Y', 'G', 'O', 'B', 'X'])] + $conductor[$end];
                    $conductor['evidence'] = $pick->one(array_column(Evidence::cases(), 'value'));
                }
                if ($pick->one([true, false, false, false])) {
                    $conductor['condition'] = [$pick->one(array_column(Condition::cases(), 'value'))];
                }
            }
            $cable['kind'] = $pick->one(['solid', 'stranded', 'telephone', 'thick', null]);
            $cable['feet'] = $pick->one([20, 90, 240]);
            $cable['gauge'] = $pick->one([18, 20, 22, 24]);
        }
        foreach (Questions::all() as $question) {
            // By a seed of its own: a new question changes no answer to another.
            $own = new Pick("{$archetype} {$house} {$question->key}");
            if (Interview::isNote($question->key) && $own->one([true, false])) {
                $survey['answers'][$question->key] = self::answered($own, $question);
            }
        }
        $survey['facts']['plateLink'] = $pick->one(['in', 'out', 'none', 'unknown']);
        $survey['facts']['oldPower'] = $pick->one(['common', 'battery', 'shared']);
        $survey['facts']['fuseAmps'] = $pick->one([3.0, 5.0]);

        return $survey;
    }

    private static function answered(Pick $pick, Question $question): mixed
    {
        return match ($question->kind) {
            'choice' => $pick->one(array_map(strval(...), array_keys($question->choices))),
            'ticks' => [$pick->one(array_map(strval(...), array_keys($question->choices)))],
            'number' => $pick->one([$question->min, ($question->min + $question->max) / 2, $question->max]),
            default => 'as found',
        };
    }
}
