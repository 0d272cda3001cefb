<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CreateJob;
use App\Models\Job;
use App\Models\User;
use App\Pages\JobsPage;
use App\Support\Catalog;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;

final class JobsController extends Controller
{
    public function index(Request $request): Response
    {
        $user = $request->user();
        \assert($user instanceof User);

        return Inertia::render('Jobs', JobsPage::props($user));
    }

    public function store(Request $request, CreateJob $create, Catalog $catalog): RedirectResponse
    {
        $this->authorize('create', Job::class);
        $request->validate([
            'id' => ['required', 'ulid'],
            'site' => ['required', 'string', 'max:80'],
            'address' => ['nullable', 'string', 'max:160'],
            'kind' => ['required', Rule::in(CreateJob::KINDS)],
            'archetype' => ['required', Rule::in($catalog->ids('equipment'))],
            'feet' => ['required', 'numeric', 'between:1,1000'],
            'example' => ['sometimes', 'boolean'],
        ], [
            'site.required' => 'Give the house a name.',
            'site.max' => 'The name is too long: 80 characters at most.',
            'feet.between' => 'The cable is 1 to 1000 feet long.',
        ]);
        $user = $request->user();
        \assert($user instanceof User);
        $job = $create($user, $request->string('id')->toString(), $request->string('site')->toString(), $request->string('address')->toString(), $request->string('kind')->toString(), $request->string('archetype')->toString(), $request->float('feet'), $request->boolean('example'));

        return redirect("/jobs/{$job->id}/survey");
    }
}
