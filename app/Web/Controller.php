<?php

declare(strict_types=1);

namespace App\Web;

use App\Models\Crew\User;
use Illuminate\Foundation\Auth\Access\AuthorizesRequests;
use Illuminate\Http\Request;
use LogicException;

abstract class Controller
{
    use AuthorizesRequests;

    protected static function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new LogicException('Nobody is signed in.');
    }
}
