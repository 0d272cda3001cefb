<?php

declare(strict_types=1);

namespace Tests\Support;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** Every message that the source can say: its codes as they stand there, with the names of the parameters given. */
final class Codes
{
    /** @return list<array{code: string, params: list<string>, spread: bool, at: string}> */
    public static function said(): array
    {
        $said = [];
        $parser = (new ParserFactory())->createForHostVersion();
        foreach (self::files() as $file) {
            $calls = (new NodeFinder())->find(
                $parser->parse((string) file_get_contents($file)) ?? [],
                static fn (Node $n): bool => $n instanceof Expr\StaticCall &&
                    $n->class instanceof Node\Name &&
                    in_array($n->class->getLast(), ['Message', 'Words'], true) &&
                    $n->name instanceof Node\Identifier &&
                    $n->name->toString() === 'of',
            );
            foreach ($calls as $call) {
                if (! ($call instanceof Expr\StaticCall)) {
                    continue;
                }
                $args = $call->getArgs();
                $named = array_slice($args, 1);
                foreach (self::literals($args[0]->value) as $code) {
                    $said[] = [
                        'code' => $code,
                        'params' => array_values(
                            array_filter(
                                array_map(static fn (Node\Arg $a): ?string => $a->name?->toString(), $named),
                            ),
                        ),
                        'spread' => array_filter($named, static fn (Node\Arg $a): bool => $a->unpack) !== [],
                        'at' => basename($file).':'.$call->getStartLine(),
                    ];
                }
            }
        }

        return $said;
    }

    /** @return list<string> */
    private static function literals(Expr $expr): array
    {
        return match (true) {
            $expr instanceof Node\Scalar\String_ => [$expr->value],
            $expr instanceof Expr\Ternary => [
                ...$expr->if === null ? [] : self::literals($expr->if),
                ...self::literals($expr->else),
            ],
            $expr instanceof Expr\Match_ => array_merge(
                ...array_map(static fn (Node\MatchArm $a): array => self::literals($a->body), $expr->arms),
            ),
            default => [],
        };
    }

    /** @return list<string> */
    private static function files(): array
    {
        $files = [];
        foreach (['core/src', 'app'] as $top) {
            $all = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base_path($top), 4096));
            foreach ($all as $file) {
                if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                    $files[] = $file->getPathname();
                }
            }
        }
        sort($files);

        return $files;
    }
}
