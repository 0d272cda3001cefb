<?php

declare(strict_types=1);

namespace App\Health;

use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * The health page and the figures, for whoever runs the server: asked from the machine itself, or with the token of
 * the settings. Anybody else learns nothing but whether all is well.
 */
final class HealthController
{
    public function show(Request $request): Response
    {
        $checks = Health::checks();
        $well = array_filter($checks, static fn (Check $c): bool => ! $c->well) === [];
        $lines = [$well ? 'well' : 'not well'];
        foreach (self::mayLook($request) ? $checks : [] as $check) {
            $lines[] = sprintf('%-10s %-8s %s', $check->name, $check->well ? 'well' : 'NOT WELL', $check->says);
        }

        return self::text(implode("\n", $lines)."\n", $well ? 200 : 503);
    }

    public function metrics(Request $request): Response
    {
        abort_unless(self::mayLook($request), 404);

        return self::text(Metrics::text(), 200);
    }

    private static function mayLook(Request $request): bool
    {
        $token = config()->string('unionbit.health_token');

        return in_array($request->ip(), ['127.0.0.1', '::1'], true) ||
            ($token !== '' && hash_equals($token, (string) $request->bearerToken()));
    }

    private static function text(string $content, int $status): Response
    {
        return new Response($content, $status, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Cache-Control' => 'no-store',
        ]);
    }
}
