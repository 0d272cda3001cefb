<?php

declare(strict_types=1);

namespace App\Crew\Factor;

use App\Crew\ChangePassword;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Words\Words;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** A person's second factor: begun with the password, confirmed with a code of the device, taken off with both. */
final class FactorController extends Controller
{
    public function begin(Request $request): JsonResponse
    {
        $user = self::user($request);
        $request->validate(['password' => ['required', 'string', 'max:200']]);
        if (! Totp::isHere()) {
            throw ValidationException::withMessages(['password' => Words::of('crew.factor.not-here')]);
        }
        if ($user->hasSecondFactor()) {
            throw ValidationException::withMessages(['password' => Words::of('crew.factor.is-on')]);
        }
        ChangePassword::confirm($user, $request->string('password')->toString(), 'password');
        $secret = SecondFactor::begin($user);

        return new JsonResponse(['secret' => $secret, 'address' => Totp::address($secret, $user->email)]);
    }

    public function confirm(Request $request): JsonResponse
    {
        $request->validate(['code' => ['required', 'string', 'max:20']]);

        return new JsonResponse([
            'codes' => SecondFactor::confirm(
                self::user($request),
                str_replace(' ', '', $request->string('code')->toString()),
            ),
        ]);
    }

    public function off(Request $request): JsonResponse
    {
        $user = self::user($request);
        $request->validate(['code' => ['required', 'string', 'max:40']]);
        SecondFactor::check($user, $request->string('code')->toString());
        SecondFactor::off($user);

        return new JsonResponse(['off' => true]);
    }
}
