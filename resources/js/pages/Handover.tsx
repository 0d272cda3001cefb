import { clsx } from 'clsx';
import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { CheckedLoads, Unexplained } from '@/features/handover/Checked';
import { Readings } from '@/features/handover/Readings';
import { clock, day } from '@/lib/format';
import { Shell } from '@/shell/Shell';
import { url } from '@/lib/url';
import type { HandoverProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { State } from '@/ui/State';
import { BeforeAndAfter, EquipmentFound, SettingsEntered } from '@/features/handover/Wiring';
import { Figures, LeftOut, OpenMatters } from '@/features/handover/Matters';
import { ForTheCustomer } from '@/features/handover/ForTheCustomer';
import { HandOverDialog } from '@/features/handover/HandOverDialog';
import { Baseline } from '@/features/as-found/Baseline';
import { Photographs } from '@/features/handover/Photographs';
import { ProofsWorth } from '@/features/handover/ProofsWorth';
import { Make } from '@/features/handover/Make';
import { Share } from '@/features/share/Share';
import { Signatures } from '@/features/handover/Signatures';
import { roleWord } from '@/features/handover/roles';
import { list, say } from '@/words';
import { Decides } from '@/ui/Decides';

export default function Handover() {
    const { job, baseline, crew, proofs, survey, lines, loads, measurements, unexplained, unsigned, simulated, units } =
        usePage<HandoverProps>().props;
    // The paper of those who measure in feet is Letter.
    const paper = units.system === 'us' ? 'letter' : 'a4';
    const [closing, setClosing] = useState(false);
    const closed = job.closed;
    const ready = lines.every((line) => line.done);

    return (
        <Shell stage="handover" title={say('handover.handover')} start={['indoor.R', 'indoor.C']} dock={null}>
            <div className="head no-print">
                <div>
                    <h1 className="h-step">{say('handover.handover')}</h1>
                    <p>
                        {closed && job.handedOverAt
                            ? say('handover.handed-over-at', {
                                  imported: String(!!job.importedAt),
                                  day: day(job.handedOverAt),
                                  time: clock(job.handedOverAt),
                              }) +
                              ' ' +
                              say('handover.a-record-it-can-be-read')
                            : say('handover.the-record-that-the-next-person')}
                    </p>
                </div>
                <div className="flex flex-wrap gap-2.5">
                    <button className="btn btn--quiet" onClick={() => window.print()}>
                        <Glyph name="print" /> {say('handover.print')}
                    </button>
                    <Make url={url('job.handover-pdf', { job: job.id })} word={say('handover.pdf')} ask={{ paper }} />
                    <a className="btn btn--quiet" href={url('job.readings-csv', { job: job.id })}>
                        {say('handover.readings')}
                    </a>
                    <a className="btn btn--quiet" href={url('job.job-file', { job: job.id })}>
                        {say('handover.job-file')}
                    </a>
                    <Make url={url('job.archive', { job: job.id })} word={say('handover.archive')} />
                    <Share />
                    {!closed && !job.practice && (
                        <Decides>
                            <button
                                className={`btn ${ready ? 'btn--go' : 'btn--off'}`}
                                aria-disabled={!ready}
                                onClick={() => ready && setClosing(true)}
                            >
                                {say('handover.hand-over')}{' '}
                                {!ready && (
                                    <span className="text-small">
                                        {say('handover.open', { lines: lines.filter((line) => !line.done).length })}
                                    </span>
                                )}
                            </button>
                        </Decides>
                    )}
                </div>
            </div>
            {!closed && (
                <ul className="no-print band grid gap-x-8 gap-y-1 px-5 py-2 sm:grid-cols-2 xl:grid-cols-3">
                    {lines.map((line) => (
                        <li key={line.label} className="flex min-h-8 items-center">
                            <State glyph={line.done ? 'pass' : 'need'} tone={line.done ? 'verd' : 'copper'}>
                                {line.label}
                            </State>
                        </li>
                    ))}
                </ul>
            )}
            <article className="sheet px-5 pb-8">
                <header className="flex flex-wrap items-end justify-between gap-4 border-b-2 border-ink py-3">
                    <div>
                        <h2 className="font-lab text-figure font-bold leading-7">{job.site}</h2>
                        <p className="text-muted">
                            {job.address} · {job.kind} · {crew}
                        </p>
                    </div>
                    <p className="mono text-note text-muted">
                        {job.handedOverAt
                            ? `${day(job.handedOverAt)} ${clock(job.handedOverAt)}`
                            : say('handover.not-handed-over')}
                    </p>
                </header>
                {[
                    job.mark,
                    simulated,
                    closed && unsigned.length > 0
                        ? say('handover.handed-over-without-the-signature-of', {
                              unsigned: list(unsigned.map(roleWord)),
                          })
                        : null,
                ]
                    .filter(Boolean)
                    .map((line) => (
                        <p
                            key={line}
                            className={clsx(
                                'mt-2 border-l-[6px] border-caution bg-caution-wash px-3 py-1.5 text-small',
                                'font-semibold',
                            )}
                        >
                            {line}
                        </p>
                    ))}
                <div className="grid gap-x-10 lg:grid-cols-2 print:grid-cols-2">
                    <BeforeAndAfter />
                    <EquipmentFound />
                </div>
                <SettingsEntered />
                <section>
                    <Readings
                        survey={survey}
                        proofs={proofs}
                        none={proofs.length === 0 ? say('handover.no-call-proved-yet') : null}
                    />
                </section>
                {proofs.length > 0 && <ProofsWorth />}
                <Baseline rows={baseline} />
                <CheckedLoads loads={loads} measurements={measurements} />
                <Unexplained readings={unexplained} />
                <Figures />
                <LeftOut />
                <OpenMatters />
                <Photographs />
                <ForTheCustomer />
                <Signatures />
                <p className="mt-6 border-t border-hair pt-2 text-note text-muted">
                    {say('handover.expected-readings-are-computed-from-the')}
                </p>
            </article>
            <HandOverDialog open={closing} onClose={() => setClosing(false)} />
        </Shell>
    );
}
