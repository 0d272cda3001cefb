<?php

declare(strict_types=1);

namespace App\Web\Session;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * The framework's own, but that no session keeps where somebody was: an address may hold a secret, and every page would
 * be a write. Where a form goes back to is what its request says that it came from.
 */
final class StartQuietSession extends StartSession
{
    /** @param  \Illuminate\Contracts\Session\Session  $session */
    protected function storeCurrentUrl(Request $request, $session): void
    {
        $session->forget('_previous');
    }
}
