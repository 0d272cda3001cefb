<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

use Unionbit\Core\Data\Copies;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Cable;

/**
 * What a plan changes in the house besides the landing: a new wall cable pulled, a float switch moved, a kit's
 * adapter at the board.
 */
final readonly class HouseChanges
{
    use Copies;

    /**
     * @param  ?list<SafetyDevice>  $safety  all of the house's devices, where one of them is moved
     * @param  bool  $sharedKit  the adapter of the thermostat's kit stands at the board (WO04)
     * @param  list<string>  $mended  conductors spliced where they were damaged, "A4"
     * @param  bool  $kitStands  the adapter stood there before: nobody has to put it on
     * @param  bool  $elsewhere  the new cable goes to another wall position (WO12)
     */
    public function __construct(
        public ?Cable $pulled = null,
        public ?array $safety = null,
        public bool $sharedKit = false,
        public bool $elsewhere = false,
        public array $mended = [],
        public bool $kitStands = false,
    ) {
    }

    /** What an earlier plan left that this thermostat still needs: a kit's adapter stays where it stands (WO04). */
    public static function kept(Installation $house, Profile $profile): self
    {
        $stands = $house->facts->sharedKit && $profile->named(TerminalName::K) !== null;

        return new self(sharedKit: $stands, kitStands: $stands);
    }

    /** @param  list<SafetyDevice>  $safety  all of the house's devices */
    public function withSafety(array $safety): self
    {
        return $this->copy(['safety' => $safety]);
    }

    public function withKit(): self
    {
        return $this->copy(['sharedKit' => true]);
    }

    /** With one conductor more that is spliced. */
    public function mending(string $conductor): self
    {
        return $this->copy(['mended' => [...$this->mended, $conductor]]);
    }

    public function applied(Installation $house): Installation
    {
        foreach ($this->mended as $id) {
            $conductor = $house->wallConductor($id);
            $cable = $conductor === null ? null : $house->cable($conductor->cable);
            $house =
                $cable === null
                    ? $house
                    : $house->withCable(
                        $cable->withConductors([...$cable->without($conductor->number), $conductor->mended()]),
                    );
        }
        $house = $this->pulled === null ? $house : $house->withCable($this->pulled);

        $house = $this->safety === null ? $house : $house->withFacts($house->facts->withSafety($this->safety));

        return $this->sharedKit ? $house->withFacts($house->facts->withSharedKit()) : $house;
    }
}
