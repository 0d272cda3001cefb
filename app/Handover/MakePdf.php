<?php

declare(strict_types=1);

namespace App\Handover;

use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Errand\Runs;
use App\House\JobMark;
use App\Models\Job;
use App\Models\Work\Errand;
use App\Words\Dates;
use DateTimeZone;
use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Support\Facades\Storage;

/** The record as a PDF, A4 or Letter. */
final class MakePdf implements Runs
{
    public static function kind(): string
    {
        return 'pdf';
    }

    public function run(Errand $errand): array
    {
        $job = Job::query()->findOrFail($errand->job_id);
        $pdf = self::of($job, new DateTimeZone($errand->text('zone')), $errand->text('paper'));
        Storage::disk('local')->put($errand->folder().'/record.pdf', $pdf);
        SecurityLog::write(SecurityKind::Exported, ".pdf of job {$job->id}", $errand->user);

        return [
            'file' => 'record.pdf',
            'fileName' => JobMark::fileName($job, '.pdf'),
            'fileType' => 'application/pdf',
        ];
    }

    public static function of(Job $job, DateTimeZone $zone, string $paper): string
    {
        $pdf = new Dompdf(new Options(['isRemoteEnabled' => false, 'defaultFont' => 'DejaVu Sans']));
        $pdf->loadHtml((new HandoverSheet($job, new Dates(app()->getLocale(), $zone)))->html());
        $pdf->setPaper($paper === 'letter' ? 'letter' : 'a4');
        $pdf->render();

        return (string) $pdf->output();
    }
}
