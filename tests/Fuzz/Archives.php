<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use ZipArchive;

/** Archives of a house, bent: what stands in them, how they are packed, what their pictures are. */
final class Archives
{
    /** @param  array<mixed>  $job  a job file */
    public function __construct(private readonly array $job)
    {
    }

    /** The archive of this seed as a file. */
    public function file(int $seed): string
    {
        $mutator = new Mutator($seed);
        $file = (string) tempnam(sys_get_temp_dir(), 'fuzz');
        $zip = new ZipArchive();
        $zip->open($file, ZipArchive::OVERWRITE);
        $rows = self::rows($seed);
        $zip->addFromString(
            'job.json',
            $seed % 4 === 0 ? $mutator->text($this->job) : (string) json_encode($this->job),
        );
        $zip->addFromString(
            'photographs.json',
            $seed % 3 === 0 ? (string) json_encode($rows) : $mutator->text($rows),
        );
        foreach ($rows as $number => $row) {
            $name = "photographs/{$row['id']}.jpg";
            // Two of three have pictures that can be drawn, whatever is in them beside the picture.
            $zip->addFromString($name, self::picture($seed % 3 === 1 ? mt_rand(0, 9) : [1, 2, 8][mt_rand(0, 2)]));
            if (mt_rand(0, 20) === 0) {
                $zip->setEncryptionName($name, ZipArchive::EM_AES_256, 'x');
            }
        }
        foreach (
            ['../../evil.php', '/etc/passwd', "photographs/\u{202E}gpj.jpg", str_repeat('a/', 300).'b'] as $name
        ) {
            if (mt_rand(0, 6) === 0) {
                $zip->addFromString($name, '<?php echo 1;');
            }
        }
        $zip->close();

        return $seed % 5 === 0 ? self::spoiled($file) : $file;
    }

    /** @return list<array<string, mixed>> */
    private static function rows(int $seed): array
    {
        $rows = [];
        for ($n = 0; $n < ($seed % 4) + 1; $n++) {
            $mark = ['id' => "m{$n}", 'x' => 0.5, 'y' => 0.5, 'end' => 'A1.near', 'takesBack' => null];
            $taken = ['at' => '2026-11-20T10:00:00Z', 'by' => 'A. Teal'];
            $rows[] = [
                'id' => "p{$n}",
                'place' => 'wall',
                'skipped' => null,
                ...$taken,
                'marks' => [[...$mark, ...$taken]],
            ];
        }

        return $rows;
    }

    private static function picture(int $kind): string
    {
        static $good = null;
        if ($good === null) {
            ob_start();
            imagejpeg(imagecreatetruecolor(80, 60) ?: throw new \LogicException('no picture'));
            $good = (string) ob_get_clean();
        }
        $exif = "Exif\0\0".random_bytes(mt_rand(1, 400));

        return match ($kind) {
            0 => substr($good, 0, mt_rand(0, strlen($good))),
            1 => substr($good, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($good, 2),
            2 => $good.'<script>alert(1)</script>',
            3 => "\xFF\xD8\xFF\xC0\0\x11\x08".
                pack('nn', mt_rand(0, 65535), mt_rand(0, 65535)).
                str_repeat("\0", 50_000),
            4 => '<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>',
            5 => "\x89PNG\r\n\x1a\n".random_bytes(200),
            6 => '',
            7 => substr_replace($good, random_bytes(4), mt_rand(20, strlen($good) - 5), 4),
            default => $good,
        };
    }

    /** Some bytes of the file itself exchanged, its end cut off, or a size in its list that lies. */
    private static function spoiled(string $file): string
    {
        $content = (string) file_get_contents($file);
        $at = mt_rand(0, strlen($content) - 8);
        file_put_contents(
            $file,
            match (mt_rand(0, 2)) {
                0 => substr_replace($content, random_bytes(4), $at, 4),
                1 => substr($content, 0, $at),
                default => preg_replace('/(PK\x01\x02.{20}).{4}/s', "$1\x01\0\0\0", $content),
            },
        );

        return $file;
    }
}
