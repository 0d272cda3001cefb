<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Test;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Data\Copies;

/** The whole set-up of a house at the moment of a reading. What it leaves out is not there. */
final readonly class TestSetup
{
    use Copies;

    /**
     * @param  bool  $isolated  power off and proved dead
     * @param  list<string>  $off  transformers without their line, where the others have it
     * @param  list<array{string, string}>  $jumpers  pairs of points
     * @param  list<string>  $lifted  conductor ends, or leads of a part ("contactor.hot")
     * @param  list<string>  $unplugged  places where every conductor is off its screw
     * @param  list<string>  $breaker  transformers with the test breaker in the fuse's place
     * @param  bool  $early  before the outdoor delay and before the valve step
     * @param  list<string>  $held  line switches held closed
     * @param  ?bool  $link  the link between the two hots in or out by hand; null for as it is landed
     */
    public function __construct(
        public CallName $call = CallName::Idle,
        public bool $isolated = false,
        public array $off = [],
        public array $jumpers = [],
        public array $lifted = [],
        public array $unplugged = [],
        public Face $face = Face::On,
        public array $breaker = [],
        public bool $early = false,
        public array $held = [],
        public ?bool $link = null,
    ) {
    }

    public static function calling(CallName $call): self
    {
        return new self($call);
    }

    public static function dead(): self
    {
        return new self(isolated: true);
    }

    /**
     * The same with other jumpers and face, and with further ends lifted.
     *
     * @param  list<array{string, string}>  $jumpers
     * @param  list<string>  $lifted
     */
    public function on(array $jumpers, array $lifted, Face $face): self
    {
        return $this->lifting($lifted)->copy(['jumpers' => $jumpers, 'face' => $face]);
    }

    public function provedDead(): self
    {
        return $this->copy(['isolated' => true]);
    }

    /** The same before the outdoor delay and the valve step. */
    public function before(): self
    {
        return $this->copy(['early' => true]);
    }

    public function asked(CallName $call): self
    {
        return $this->copy(['call' => $call]);
    }

    public function jumping(string $a, string $b): self
    {
        return $this->copy(['jumpers' => [...$this->jumpers, [$a, $b]]]);
    }

    /** @param  list<string>  $ends */
    public function lifting(array $ends): self
    {
        return $this->copy(['lifted' => array_values(array_unique([...$this->lifted, ...$ends]))]);
    }

    public function faced(Face $face): self
    {
        return $this->copy(['face' => $face]);
    }

    /** @param  list<string>  $transformers */
    public function broken(array $transformers): self
    {
        return $this->copy(['breaker' => $transformers]);
    }

    /** Nothing but what the house itself does: no hand has changed anything. */
    public function isPlain(): bool
    {
        return ! $this->isolated &&
            $this->off === [] &&
            $this->breaker === [] &&
            ! $this->early &&
            $this->held === [] &&
            $this->handsAreOff();
    }

    /** Whether no jumper, lead or face is other than it belongs. */
    public function handsAreOff(): bool
    {
        return $this->jumpers === [] &&
            $this->lifted === [] &&
            $this->unplugged === [] &&
            $this->face === Face::On &&
            $this->link === null;
    }

    /** The same for two that are the same. */
    public function key(): string
    {
        $jumpers = array_map(static function (array $pair): string {
            sort($pair);

            return implode('~', $pair);
        }, $this->jumpers);
        $lists = [$jumpers, $this->lifted, $this->unplugged, $this->breaker, $this->held, $this->off];

        return implode('|', [
            $this->call->value,
            $this->isolated ? 'off' : 'on',
            $this->early ? 'early' : '',
            $this->face->value,
            self::linked($this->link) ?? '',
            ...array_map(static function (array $list): string {
                sort($list);

                return implode(',', $list);
            }, $lists),
        ]);
    }

    /** @return array<string, mixed> as the protocol has it, without what is as it always is */
    public function toArray(): array
    {
        return array_filter(
            [
                'call' => $this->call->value,
                'power' => match (true) {
                    $this->isolated => 'off',
                    $this->off !== [] => array_fill_keys($this->off, 'off'),
                    default => 'on',
                },
                'jumpers' => $this->jumpers,
                'lifted' => $this->lifted,
                'unplugged' => $this->unplugged,
                'face' => $this->face->value,
                'breaker' => $this->breaker,
                'phase' => $this->early ? 'early' : null,
                'held' => $this->held,
                'link' => self::linked($this->link),
            ],
            static fn (mixed $v): bool => $v !== [] && $v !== null,
        );
    }

    /** As the protocol has it. */
    public static function linked(?bool $in): ?string
    {
        return match ($in) {
            null => null,
            true => 'in',
            false => 'out',
        };
    }
}
