<?php

declare(strict_types=1);

namespace Unionbit\Core\Tests\Support;

/** Which folders of a tree use which, read from the first lines of its files; and where they go round in a circle. */
final class Folders
{
    /** @var array<string, array<string, list<string>>> what names what, by the folder that uses and the folder used */
    private array $uses = [];

    /** A tree of PHP: what its files import of their own namespace. */
    public static function ofPhp(string $root, string $namespace): self
    {
        $folders = new self();
        foreach (self::files($root, 'php') as $name => $code) {
            preg_match_all('/^use '.preg_quote("{$namespace}\\").'([\w\\\\]+)(?: as \w+)?;/m', $code, $used);
            foreach ($used[1] as $class) {
                $folders->add($name, strtr($class, '\\', '/'));
            }
        }

        return $folders;
    }

    /** A tree of TypeScript: what its files import of each other, `@/` being its root. */
    public static function ofTypeScript(string $root): self
    {
        $folders = new self();
        foreach (self::files($root, 'tsx?') as $name => $code) {
            preg_match_all('/(?:from|import|import\() ?\'((?:@|\.\.?)\/[^\']+)\'/', $code, $used);
            foreach ($used[1] as $path) {
                $path = str_starts_with($path, '@/') ? substr($path, 2) : self::joined(dirname($name), $path);
                $folders->add($name, is_dir("{$root}/{$path}") ? "{$path}/index" : $path);
            }
        }

        return $folders;
    }

    /** @return list<string> each arrow that lies in a circle: "Plan > Offer: PlanOffer uses WayOut" */
    public function circles(): array
    {
        $found = [];
        foreach ($this->uses as $from => $arrows) {
            foreach ($arrows as $to => $names) {
                if (in_array($from, $this->reached($to), true)) {
                    $found[] = "{$from} > {$to}: {$names[0]}";
                }
            }
        }

        return $found;
    }

    /** @return list<string> every folder that has a file which names one of another folder */
    public function all(): array
    {
        return array_keys($this->uses);
    }

    private function add(string $file, string $used): void
    {
        if (dirname($file) !== dirname($used)) {
            $this->uses[dirname($file)][dirname($used)][] = basename($file).' uses '.basename($used);
        }
    }

    /** @return list<string> */
    private function reached(string $from): array
    {
        $seen = [$from => true];
        for ($todo = [$from]; $todo !== [];) {
            foreach (array_keys($this->uses[array_pop($todo)] ?? []) as $next) {
                if (! isset($seen[$next])) {
                    $seen[$next] = true;
                    $todo[] = $next;
                }
            }
        }

        return array_keys($seen);
    }

    private static function joined(string $folder, string $path): string
    {
        $parts = $folder === '.' ? [] : explode('/', $folder);
        foreach (explode('/', $path) as $part) {
            if ($part === '..') {
                array_pop($parts);
            } elseif ($part !== '.') {
                $parts[] = $part;
            }
        }

        return implode('/', $parts);
    }

    /** @return iterable<string, string> code by name from the root */
    private static function files(string $root, string $ending): iterable
    {
        $all = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root));
        foreach (new \RegexIterator($all, "/\.{$ending}\$/") as $file) {
            yield substr((string) $file, strlen($root) + 1) => (string) file_get_contents((string) $file);
        }
    }
}
