<?php

declare(strict_types=1);

namespace App\House;

use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Data\Json;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Build\Unheld;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Words\Message;

/** Reads job files against the catalogue. */
final readonly class JobFiles
{
    /** A job file is a house with as many records as it may have, not an archive. */
    public const MOST_BYTES = 4_000_000;

    public function __construct(private Catalog $catalog)
    {
    }

    /** @throws InvalidData */
    public function read(string $path): JobFile
    {
        if (! is_file($path) || ! is_readable($path)) {
            throw InvalidData::unreadable('', Message::of('house.job-files.there-no-file-read', path: $path));
        }
        if (filesize($path) > self::MOST_BYTES) {
            throw InvalidData::unreadable('', self::tooLarge());
        }

        return $this->parse(Json::decode((string) file_get_contents($path)));
    }

    public static function tooLarge(): Message
    {
        return Message::of('house.job-files.too-large', most: intdiv(self::MOST_BYTES, 1_000_000));
    }

    /** @throws InvalidData */
    public function parse(mixed $json): JobFile
    {
        $known = [
            'archetypes' => $this->catalog->shelf()->ids(),
            'profiles' => $this->catalog->ids('thermostats'),
        ];

        return JobFile::read(
            $json,
            $this->equipment(...),
            fn (string $id) => in_array($id, $known['profiles'], true) ? $this->catalog->profile($id) : null,
            $known,
        );
    }

    /**
     * Equipment by its name, or by units and options; null where nothing is called so.
     *
     * @throws InvalidData where a unit has no such option or choice, or the units are no equipment together
     */
    private function equipment(string $id, string $pointer): ?Archetype
    {
        try {
            return $this->catalog->archetype($id);
        } catch (Unheld $unheld) {
            throw InvalidData::unreadable($pointer, $unheld->why);
        } catch (InvalidData $wrong) {
            return $wrong->pointer === '' ? null : throw InvalidData::unreadable($pointer, $wrong->problem);
        }
    }

    public function faults(): FaultCatalogue
    {
        return FaultCatalogue::read(
            json_decode(
                (string) file_get_contents(config()->string('unionbit.catalog').'/faults/faults.json'),
                true,
                flags: JSON_THROW_ON_ERROR,
            ),
        );
    }
}
