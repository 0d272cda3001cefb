<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use Symfony\Component\Serializer\Encoder\CsvEncoder;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Job\File\ConductorSchedule;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Words\Message;

/** The conductor schedule as CSV, with a heading; a comma or a semicolon between columns. */
final class Schedule
{
    private const CABLES = 4;

    /** @param  ?string  $mark  of the job, in a column of its own */
    public static function csv(Installation $house, ?string $mark = null): string
    {
        $rows = array_map(
            static fn (array $row): array => $mark === null ? $row : [...$row, 'mark' => $mark],
            ConductorSchedule::rows($house),
        );

        return (new CsvEncoder([CsvEncoder::ESCAPE_FORMULAS_KEY => true]))->encode(
            $rows === [] ? [array_fill_keys(ConductorSchedule::COLUMNS, '')] : $rows,
            'csv',
        );
    }

    /**
     * @return list<array<string, string>>
     *
     * @throws InvalidData
     */
    public static function rows(string $csv): array
    {
        $csv = str_starts_with($csv, "\xEF\xBB\xBF") ? substr($csv, 3) : $csv;
        if (! mb_check_encoding($csv, 'UTF-8')) {
            throw InvalidData::unreadable('/1', Message::of('survey.schedule.not-utf-8-text'));
        }
        $heading = strtok($csv, "\n") ?: '';
        $delimiter = substr_count($heading, ';') > substr_count($heading, ',') ? ';' : ',';
        if (substr_count($csv, "\n") > SurveyFile::MOST_CONDUCTORS * self::CABLES + 1) {
            throw InvalidData::unreadable(
                '/1',
                Message::of(
                    'survey.schedule.more-rows-allowed-at-most',
                    rows: substr_count(rtrim($csv), "\n"),
                    most_conductors: SurveyFile::MOST_CONDUCTORS,
                ),
            );
        }
        /** @var list<array<string, mixed>> $decoded */
        $decoded = (new CsvEncoder())->decode($csv, 'csv', [
            CsvEncoder::DELIMITER_KEY => $delimiter,
            CsvEncoder::AS_COLLECTION_KEY => true,
            CsvEncoder::KEY_SEPARATOR_KEY => "\0",
        ]);
        $rows = [];
        foreach ($decoded as $row) {
            $missing = array_diff(['cable', 'number', 'colour', 'near', 'far'], array_keys($row));
            if ($missing !== []) {
                throw InvalidData::unreadable(
                    '/1',
                    Message::of(
                        'survey.schedule.has-no-column-needed',
                        missing: array_values($missing),
                        columns: ConductorSchedule::COLUMNS,
                    ),
                );
            }
            $rows[] = array_map(
                static fn (mixed $cell): string => is_scalar($cell)
                    ? (string) preg_replace("/^'(?=[=+\\-@\t\r])/", '', (string) $cell)
                    : '',
                $row,
            );
        }

        return array_values(array_filter($rows, static fn (array $row): bool => implode('', $row) !== ''));
    }
}
