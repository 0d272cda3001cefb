<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;

it('takes the write lock as a transaction begins, so that a reader who writes later never fails', function (): void {
    $file = tempnam(sys_get_temp_dir(), 'lock').'.sqlite';
    touch($file);
    config(['database.connections.file' => ['database' => $file] + config()->array('database.connections.sqlite')]);
    $db = DB::connection('file');
    $db->statement('create table marks (id integer)');
    $other = new PDO("sqlite:{$file}", options: [PDO::ATTR_TIMEOUT => 0]);

    $db->transaction(function () use ($db, $other): void {
        expect($db->table('marks')->count())->toBe(0)
            ->and(fn () => $other->exec('insert into marks values (7)'))->toThrow(PDOException::class, 'locked');
        $db->table('marks')->insert(['id' => 1]);
    });
    $other->exec('insert into marks values (2)');

    expect($db->table('marks')->orderBy('id')->pluck('id')->all())->toBe([1, 2])
        ->and($db->selectOne('pragma journal_mode')->journal_mode)->toBe('wal')
        ->and($db->selectOne('pragma foreign_keys')->foreign_keys)->toBe(1)
        ->and($db->selectOne('pragma busy_timeout')->timeout)->toBe(5000);
    try {
        $db->transaction(function () use ($db): void {
            $db->table('marks')->insert(['id' => 3]);
            throw new RuntimeException('stop');
        });
    } catch (RuntimeException) {
        // Rolled back whole.
    }
    expect($db->table('marks')->count())->toBe(2);
    DB::purge('file');
    array_map(unlink(...), glob("{$file}*") ?: []);
});
