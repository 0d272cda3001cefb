<?php

declare(strict_types=1);

namespace App\Crew\Door;

use App\Web\Controller;
use App\Words\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** The page of a server that has nobody yet. */
final class FirstStartController extends Controller
{
    public function create(): Response|RedirectResponse
    {
        if (! FirstStart::isOpen()) {
            return redirect('/sign-in');
        }
        FirstStart::code();

        return Inertia::render('door/FirstStart', ['least' => Password::SHORTEST]);
    }

    public function store(Request $request): RedirectResponse
    {
        abort_unless(FirstStart::isOpen(), 404);
        $words = ['crew', 'name', 'email'];
        $told = array_map(static fn (string $field): string => $request->string($field)->toString(), $words);
        $request->validate(
            [
                'code' => ['required', 'string', 'max:40'],
                'crew' => ['required', 'string', 'max:80'],
                'name' => ['required', 'string', 'max:80'],
                'email' => ['required', 'string', 'email', 'max:200'],
                'password' => Password::rules($told),
            ],
            Password::messages(),
        );
        if (! hash_equals(FirstStart::code(), trim($request->string('code')->toString()))) {
            throw ValidationException::withMessages(['code' => Words::of('crew.first-start.code')]);
        }
        $lead = FirstStart::make(
            trim($request->string('crew')->toString()),
            trim($request->string('name')->toString()),
            trim($request->string('email')->toString()),
            $request->string('password')->toString(),
        );
        abort_if($lead === null, 404);
        Auth::login($lead);
        $request->session()->regenerate();

        return redirect('/crew');
    }
}
