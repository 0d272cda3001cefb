<?php

declare(strict_types=1);

namespace App\Plan;

use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\House\ProfileShelf;
use App\House\Refused;
use App\House\Stops;
use App\Models\OwnProfile;
use App\Web\Controller;
use App\Web\Decimal;
use App\Web\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Data\Json;
use Unionbit\Core\Thermostat\ProfileDraft;
use Unionbit\Core\Words\Message;

/** A crew's own thermostat profiles: made in a form, read from a file, taken out as a file, put away. */
final class ProfilesController extends Controller
{
    public function store(Request $request, ProfileShelf $shelf): JsonResponse
    {
        abort_unless(self::user($request)->role->works(), 403);
        $request->merge($request->has('va') ? ['va' => Decimal::plain($request->input('va'))] : []);
        $request->validate(
            [
                'json' => ['sometimes', 'string', 'max:60000'],
                'title' => ['required_without:json', 'string', 'max:80'],
                'screws' => ['required_without:json', 'string', 'max:120'],
                'menuEntry' => ['nullable', 'string', 'max:200'],
                'power' => [
                    'required_without:json',
                    Rule::in(['battery', 'common', 'common-or-battery', 'shared']),
                ],
                'va' => ['required_without:json', 'numeric', 'between:0,20'],
                'remote' => ['required_without:json', Rule::in(['none', 'own radio', 'bridge'])],
                'switches' => ['required_without:json', Rule::in(['base', 'face'])],
                'link' => ['required_without:json', Rule::in(['removable', 'slide', 'automatic'])],
                'heat' => ['required_without:json', 'integer', 'between:0,4'],
                'cool' => ['required_without:json', 'integer', 'between:0,2'],
            ],
            [
                'title.required_without' => 'Give it a name of your own, without a maker\'s.',
                'screws.required_without' => 'Write the letters of its plate, as Rc Rh C Y1 G W1.',
            ],
        );
        try {
            $json = $request->has('json')
                ? Json::decode($request->string('json')->toString())
                : ProfileDraft::json([
                    'title' => $request->string('title')->toString(),
                    'screws' => $request->string('screws')->toString(),
                    'menuEntry' => $request->string('menuEntry')->toString(),
                    'power' => $request->string('power')->toString(),
                    'va' => $request->float('va'),
                    'remote' => $request->string('remote')->toString(),
                    'switches' => $request->string('switches')->toString(),
                    'link' => $request->string('link')->toString(),
                    'heat' => $request->integer('heat'),
                    'cool' => $request->integer('cool'),
                ]);
            $profile = $shelf->keep(self::user($request)->crew_id, $json);
        } catch (InvalidData $problem) {
            $field = str_starts_with($problem->pointer, '/screws')
                ? 'screws'
                : ($request->has('json')
                    ? 'json'
                    : 'title');
            $says =
                $problem->pointer === ''
                    ? Message::of('plan.profiles-controller.whole', problem: $problem->problem)
                    : Stops::at($problem);
            throw Refused::at($field, $says);
        }

        return new JsonResponse(['id' => $profile->id, 'title' => $profile->title]);
    }

    public function show(Request $request, string $id): Response
    {
        $own = OwnProfile::query()->where('crew_id', self::user($request)->crew_id)->findOrFail($id);

        SecurityLog::write(SecurityKind::Exported, "thermostat {$id}", self::user($request));

        return new Response(
            json_encode(
                $own->profile,
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
            )."\n",
            200,
            ['Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"{$id}.json\""],
        );
    }

    /** Puts it away. Plans that were made with it keep it. */
    public function destroy(Request $request, string $id): JsonResponse
    {
        abort_unless(self::user($request)->role->decides(), 403);
        OwnProfile::query()->where('crew_id', self::user($request)->crew_id)->findOrFail($id)->delete();

        return new JsonResponse(['id' => $id]);
    }
}
