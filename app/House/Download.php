<?php

declare(strict_types=1);

namespace App\House;

use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A file of a job that leaves the application: named after the job and its mark, and written into the security log. */
final class Download
{
    public static function of(Request $request, Job $job, string $what, string $type, string $content): Response
    {
        $user = $request->user();
        SecurityLog::write(
            SecurityKind::Exported,
            "{$what} of job {$job->id}",
            $user instanceof User ? $user : null,
        );
        $shown = $type === 'image/svg+xml' ? 'inline' : 'attachment';

        return new Response($content, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => "{$shown}; filename=\"".JobMark::fileName($job, $what).'"',
        ]);
    }
}
