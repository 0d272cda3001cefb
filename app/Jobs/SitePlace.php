<?php

declare(strict_types=1);

namespace App\Jobs;

use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Site;
use App\Models\System;
use Unionbit\Core\Words\Message;

/** Where a job is: a system that is known already, another one of a known site, or a new site. */
final readonly class SitePlace
{
    private function __construct(
        private ?string $systemId,
        private ?string $siteId,
        private string $site,
        private string $address,
        private string $system,
    ) {
    }

    public static function fresh(string $site, string $address, string $system = 'System'): self
    {
        return new self(null, null, $site, $address, $system);
    }

    public static function sister(string $siteId, string $system): self
    {
        return new self(null, $siteId, '', '', $system);
    }

    public static function known(string $systemId): self
    {
        return new self($systemId, null, '', '', '');
    }

    /** The system, made where it is new. Only inside a transaction. */
    public function system(User $user): System
    {
        if ($this->systemId !== null) {
            $system = System::query()->with('site')->find($this->systemId);

            return $system?->site->crew_id === $user->crew_id
                ? $system
                : throw Refused::at('system', Message::of('jobs.site-place.there-no-such-system-your'));
        }
        $site =
            $this->siteId === null
                ? self::site($user, $this->site, $this->address)
                : Site::query()->where('crew_id', $user->crew_id)->find($this->siteId);
        if ($site === null) {
            throw Refused::at('site', Message::of('jobs.site-place.there-no-such-site-your'));
        }

        return System::query()
            ->create(['site_id' => $site->id, 'name' => $this->system])
            ->setRelation('site', $site);
    }

    /** A site of the same name and address is the same site: it gets another system. */
    private static function site(User $user, string $name, string $address): Site
    {
        return Site::query()->firstOrCreate([
            'crew_id' => $user->crew_id,
            'name' => trim($name),
            'address' => trim($address),
        ]);
    }
}
