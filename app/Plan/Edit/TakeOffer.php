<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\House\Stops;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Offer\Weights;
use Unionbit\Core\Words\Message;

/** Takes one of the plans that are offered, by its key, with the installer's own reason. */
final readonly class TakeOffer implements Edit
{
    public function __construct(private string $key, private string $note, private Weights $weights)
    {
    }

    public static function op(): string
    {
        return 'take';
    }

    public static function rules(): array
    {
        return [
            'key' => ['required', 'string', 'max:16'],
            'note' => ['nullable', 'string', 'max:300'],
            'weights' => ['nullable', 'array', 'max:4'],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('key'), $request->text('note'), Weights::from($request->array('weights')));
    }

    public function apply(Job $job, User $by): Message
    {
        Stops::refuse($job);
        $plan = PlanDraft::of($job)->plan;
        foreach (Planner::of($plan->installation, $plan->profile, $this->weights)->offered as $offer) {
            if (OfferKey::of($offer) === $this->key) {
                PlanDraft::write($job, Chosen::from($offer, $this->note));

                return Message::of(
                    $this->note === '' ? 'plan.take-offer.took' : 'plan.take-offer.took-because',
                    plan: $offer->title()->within(),
                    note: $this->note,
                );
            }
        }
        throw Refused::at('key', Message::of('plan.take-offer.plan-not-offered-any-more'));
    }
}
