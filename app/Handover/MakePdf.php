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
use LogicException;
use setasign\Fpdi\Fpdi;
use setasign\Fpdi\PdfParser\StreamReader;

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
        $sheet = new HandoverSheet($job, new Dates(app()->getLocale(), $zone));
        $paper = $paper === 'letter' ? 'letter' : 'a4';
        $pieces = Pieces::of($sheet->html());
        if (count($pieces) === 1) {
            return self::drawn($pieces[0], $paper);
        }
        $whole = new Fpdi();
        $whole->SetTitle($job->site, true);
        foreach ($pieces as $piece) {
            $pages = $whole->setSourceFile(StreamReader::createByString(self::drawn($piece, $paper)));
            for ($page = 1; $page <= $pages; $page++) {
                $drawn = $whole->importPage($page);
                $whole->AddPage('P', $paper);
                $whole->useTemplate($drawn);
            }
            // A document refers to itself in circles.
            gc_collect_cycles();
        }

        $all = $whole->Output('S');

        return is_string($all) ? $all : throw new LogicException('No pages were drawn.');
    }

    private static function drawn(string $html, string $paper): string
    {
        $pdf = new Dompdf(
            new Options([
                'isRemoteEnabled' => false,
                'defaultFont' => 'DejaVu Sans',
                'fontCache' => self::fonts(),
            ]),
        );
        $pdf->loadHtml($html);
        $pdf->setPaper($paper);
        $pdf->render();

        return (string) $pdf->output();
    }

    /** Where what was read of the fonts is kept: a release itself is never written. */
    private static function fonts(): string
    {
        $folder = storage_path('framework/cache/fonts');
        if (! is_dir($folder)) {
            mkdir($folder, 0700, true);
        }

        return $folder;
    }
}
