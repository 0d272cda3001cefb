<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Point\At;
use Unionbit\Core\Words\Message;

/**
 * A 24 V supply that can make this house live: each is proved dead by a reading of its own. One that the survey counts
 * but the circuit does not know is one too, and so is a plug-in transformer that a plan brought to the wall.
 */
final readonly class PowerSource
{
    public const UNKNOWN = 'second';

    public const PLUG_IN = 'plug-in';

    /** @param  Message  $label  as in "dead reading of {label}" */
    private function __construct(public string $id, public Message $label, public Message $live)
    {
    }

    /**
     * @param  bool  $plugIn  a plug-in transformer stands at the wall
     * @return non-empty-list<self> in the order of the equipment; the first is the indoor unit's own
     */
    public static function all(Installation $house, bool $plugIn = false): array
    {
        $transformers = $house->transformers();
        $several = count($transformers) > 1;
        $sources = array_map(static fn (Transformer $t): self => self::of($t, $several), $transformers);
        if (! $several && $house->answers->is('supplies', '2')) {
            $sources[] = new self(
                self::UNKNOWN,
                Message::of('job.power-source.second-supply-found-but-not'),
                Message::of('job.power-source.own-hot-common'),
            );
        }
        if ($plugIn) {
            $sources[] = new self(
                self::PLUG_IN,
                Message::of('job.power-source.plug-in-transformer-at-wall'),
                Message::of('job.power-source.two-screws'),
            );
        }

        return $sources === []
            ? [new self(self::UNKNOWN, Message::of('job.power-source.supply'), Message::of('job.power-source.r-c'))]
            : $sources;
    }

    private static function of(Transformer $transformer, bool $several): self
    {
        $printed = static fn (string $point): string => (string) At::read($point)->name();
        $hot = $printed($transformer->hot);

        return new self(
            $transformer->id,
            $several ? Message::of('job.power-source.supply-2', hot: $hot) : Message::of('job.power-source.supply'),
            Message::of('job.power-source.text', hot: $hot, value: $printed($transformer->common)),
        );
    }
}
