<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The words that jobs are found by, in the index of words that the database itself has: FTS5 of SQLite, text search of
 * PostgreSQL. Both take plain text, as TradeWords makes it, and find a phrase whole or by the beginning of its last
 * word.
 */
final class WordIndex
{
    private const POSTGRES = "to_tsvector('simple', words)";

    public static function create(): void
    {
        if (self::isPostgres()) {
            DB::statement('create table job_words (job_id varchar primary key, words text not null)');
            DB::statement('create index job_words_words on job_words using gin ('.self::POSTGRES.')');
        } else {
            DB::statement(
                "create virtual table job_words using fts5(job_id unindexed, words, tokenize = 'unicode61')",
            );
        }
    }

    public static function drop(): void
    {
        DB::statement('drop table job_words');
    }

    /** @param  string  $words  made plain */
    public static function keep(string $job, string $words): void
    {
        if (DB::table('job_words')->where('job_id', $job)->value('words') !== $words) {
            DB::table('job_words')->where('job_id', $job)->delete();
            DB::table('job_words')->insert(['job_id' => $job, 'words' => $words]);
        }
    }

    /**
     * @param  non-empty-list<non-empty-list<string>>  $terms  that must all be found, each by one of its names: with a
     *     space at its end it is whole, without one a beginning
     * @return Builder of the jobs' ids
     */
    public static function find(array $terms): Builder
    {
        $postgres = self::isPostgres();
        $name = $postgres ? self::asPostgres(...) : self::asSqlite(...);
        $all = array_map(
            static fn (array $names): string => '('.
                implode($postgres ? ' | ' : ' OR ', array_map($name, $names)).
                ')',
            $terms,
        );

        return DB::table('job_words')
            ->whereRaw($postgres ? self::POSTGRES." @@ to_tsquery('simple', ?)" : 'job_words match ?', [
                implode($postgres ? ' & ' : ' AND ', $all),
            ])
            ->select('job_id');
    }

    private static function asSqlite(string $name): string
    {
        return '"'.trim($name).'"'.(str_ends_with($name, ' ') ? '' : '*');
    }

    private static function asPostgres(string $name): string
    {
        $words = explode(' ', trim($name));

        return '('.
            implode(' <-> ', array_map(static fn (string $w): string => "'{$w}'", $words)).
            (str_ends_with($name, ' ') ? '' : ':*').
            ')';
    }

    private static function isPostgres(): bool
    {
        return DB::getDriverName() === 'pgsql';
    }
}
