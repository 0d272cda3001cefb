<?php

declare(strict_types=1);

use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Job\Interview\Questions;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Planning\Way\Way;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Screening\Screening;
use Unionbit\Core\Setting\Key\Setting;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Setting\Settings;

// A class in the folder is a line in the list: what nobody registered does nothing, and would be green everywhere.

/**
 * @param  class-string  $kind
 * @return list<class-string> classes of a folder of core/src that are of this kind
 */
function inFolder(string $folder, string $kind): array
{
    $root = dirname(__DIR__).'/src/';
    $files = new RegexIterator(
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root.$folder)),
        '/\.php$/',
    );
    $classes = [];
    foreach ($files as $file) {
        $class = 'Unionbit\\Core\\'.strtr(substr((string) $file, strlen($root), -4), '/', '\\');
        if (is_subclass_of($class, $kind) && (new ReflectionClass($class))->isInstantiable()) {
            $classes[] = $class;
        }
    }
    sort($classes);

    return $classes;
}

it('has every class of a folder in its list', function (string $folder, string $kind, array $list): void {
    $listed = array_map(static fn (object $one): string => $one::class, $list);
    sort($listed);
    expect($listed)->toBe(inFolder($folder, $kind))->and(array_unique($listed))->toBe($listed);
})->with([
    'screening rules' => ['Screening/Rule', ScreeningRule::class, Screening::rules()],
    'mapping rules' => ['Planning/Rule', MappingRule::class, MappingRules::rules()],
    'settings' => ['Setting/Key', Setting::class, Settings::all()],
]);

it('has every way out in the planner: in its list, or made for the cables of the house', function (): void {
    $planner = (string) file_get_contents(dirname(__DIR__).'/src/Planning/Offer/Planner.php');
    $listed = array_map(static fn (Way $way): string => $way::class, Planner::ways());
    foreach (inFolder('Planning/Way', Way::class) as $class) {
        $made = 'new '.basename(strtr($class, '\\', '/')).'(';
        expect(in_array($class, $listed, true) || str_contains($planner, $made))->toBeTrue($class);
    }
});

it('has a setting for every key, and a key for every setting', function (): void {
    $keys = array_map(static fn (Setting $s): SettingKey => $s->key(), Settings::all());
    expect($keys)->toEqualCanonicalizing(SettingKey::cases());
});

it('asks every question that a class of the walk has', function (): void {
    $asked = array_map(static fn (Question $q): string => $q->key, Questions::all());
    $walk = [];
    foreach (glob(dirname(__DIR__).'/src/Job/Interview/Ask/*.php') ?: [] as $file) {
        $class = 'Unionbit\\Core\\Job\\Interview\\Ask\\'.basename($file, '.php');
        foreach (method_exists($class, 'all') ? $class::all() : [] as $question) {
            $walk[] = $question->key;
        }
    }
    expect($asked)->toEqualCanonicalizing($walk)->and(array_unique($asked))->toBe($asked);
});
