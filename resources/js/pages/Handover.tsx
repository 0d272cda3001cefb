import { clsx } from 'clsx';
import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { post, said } from '@/lib/api';
import { CheckedLoads, Unexplained } from '@/features/handover/Checked';
import { ReadingTable } from '@/features/handover/ReadingTable';
import { Path, SignaturePad } from '@/features/handover/SignaturePad';
import { reload } from '@/lib/reload';
import { clock, day } from '@/lib/format';
import { Shell } from '@/shell/Shell';
import type { HandoverProps } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Glyph } from '@/ui/Glyph';
import { Bad, State } from '@/ui/State';
import { Swatch } from '@/ui/Tag';
import { Tick } from '@/ui/Tick';

export default function Handover() {
    const {
        job,
        crew,
        thermostat,
        facts,
        wiring,
        link,
        settings,
        proofs,
        survey,
        lines,
        restore,
        open,
        loads,
        measurements,
        unexplained,
        waived,
        photos,
        figures,
        customer,
        choice,
        signatures,
        unsigned,
        simulated,
    } = usePage<HandoverProps>().props;
    const [closing, setClosing] = useState(false);
    const [problem, setProblem] = useState('');
    const [without, setWithout] = useState(false);
    const closed = job.handedOverAt !== null;
    const ready = lines.every((line) => line.done);

    const close = async () => {
        const answer = await post(`/jobs/${job.id}/handover`, { unsigned: without });
        setProblem(said(answer));
        if (answer.kind === 'ok') {
            setClosing(false);
            await reload();
        }
    };

    return (
        <Shell stage="handover" title="Handover" start={['indoor.R', 'indoor.C']} dock={null}>
            <div className="head no-print">
                <div>
                    <h1 className="h-step">Handover</h1>
                    <p>
                        {closed && job.handedOverAt
                            ? `${job.importedAt ? 'As the file says, handed over' : 'Handed over'} ` +
                              `${day(job.handedOverAt)} at ${clock(job.handedOverAt)}. ` +
                              'A record: it can be read, not changed.'
                            : 'The record that the next person can trust.'}
                    </p>
                </div>
                <div className="flex flex-wrap gap-2.5">
                    <button className="btn btn--quiet" onClick={() => window.print()}>
                        <Glyph name="print" /> Print
                    </button>
                    <a className="btn btn--quiet" href={`/jobs/${job.id}/handover.pdf`}>
                        PDF
                    </a>
                    <a className="btn btn--quiet" href={`/jobs/${job.id}/readings.csv`}>
                        Readings
                    </a>
                    <a className="btn btn--quiet" href={`/jobs/${job.id}/job-file`}>
                        Job file
                    </a>
                    {!closed && !job.practice && (
                        <button
                            className={`btn ${ready ? 'btn--go' : 'btn--off'}`}
                            aria-disabled={!ready}
                            onClick={() => ready && setClosing(true)}
                        >
                            Hand over{' '}
                            {!ready && (
                                <span className="text-small">{lines.filter((line) => !line.done).length} open</span>
                            )}
                        </button>
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
                        {job.handedOverAt ? `${day(job.handedOverAt)} ${clock(job.handedOverAt)}` : 'not handed over'}
                    </p>
                </header>
                {[
                    job.mark,
                    simulated,
                    closed && unsigned.length > 0
                        ? `Handed over without the signature of the ${unsigned.join(' and the ')}.`
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
                    <section>
                        <h3 className="h-sec mb-1 mt-4">Before and after</h3>
                        <table className="text-body">
                            <thead>
                                <tr className="lab border-b border-hair [&>th]:py-1">
                                    <th>Conductor</th>
                                    <th>Wall before</th>
                                    <th>Wall now</th>
                                    <th>Board</th>
                                    <th>Known by</th>
                                </tr>
                            </thead>
                            <tbody>
                                {wiring.map((row) => (
                                    <tr key={row.number} className="h-9 border-b border-hair">
                                        <td>
                                            <span className="flex items-center gap-2">
                                                <b className="w-4 font-lab">{row.number}</b>
                                                <Swatch colour={row.colour} stripe={row.stripe} width={44} />{' '}
                                                {row.colour}
                                            </span>
                                        </td>
                                        <td>{row.before}</td>
                                        <td className="font-semibold">{row.after}</td>
                                        <td>{row.board}</td>
                                        <td className="text-small text-muted">{row.evidence}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                        {wiring.length === 0 && <p className="text-muted">No plan yet.</p>}
                        {link && <p className="mt-1.5 text-small">{link}.</p>}
                        {choice && (
                            <p className="mt-1 text-small">
                                Plan: {choice.title}
                                {choice.edited && ', changed by hand since'}
                                {choice.note !== '' && `. Reason: ${choice.note}`}
                            </p>
                        )}
                    </section>
                    <section>
                        <h3 className="h-sec mb-1 mt-4">Equipment and thermostat</h3>
                        <dl className="text-body">
                            {[...facts, { label: 'Thermostat', value: thermostat ?? 'not chosen' }].map((fact) => (
                                <div
                                    key={fact.label}
                                    className="flex min-h-9 items-center justify-between gap-4 border-b border-hair"
                                >
                                    <dt className="text-muted">{fact.label}</dt>
                                    <dd className="text-right">{fact.value}</dd>
                                </div>
                            ))}
                        </dl>
                        <h3 className="h-sec mb-1 mt-4">Settings</h3>
                        <dl className="text-body">
                            {settings.map((setting) => (
                                <div
                                    key={setting.label}
                                    className="grid grid-cols-[1fr_auto] gap-x-4 border-b border-hair py-1.5"
                                >
                                    <dt>{setting.label}</dt>
                                    <dd
                                        className={clsx(
                                            'font-semibold',
                                            setting.value !== null && !setting.asDerived && 'text-fault-ink',
                                        )}
                                    >
                                        {setting.value ?? 'not entered'}
                                    </dd>
                                    <dd className="col-span-2 text-note text-muted">{setting.reason}</dd>
                                </div>
                            ))}
                        </dl>
                    </section>
                </div>
                <section>
                    <h3 className="h-sec mb-1 mt-5">Readings</h3>
                    <ReadingTable title="Survey" state={null} readings={survey} />
                    {proofs.map((proof) => (
                        <ReadingTable
                            key={proof.key}
                            title={`${proof.call}, ${proof.method.toLowerCase()}`}
                            state={proof.state}
                            readings={proof.readings}
                            signs={proof.signs}
                        />
                    ))}
                    {proofs.length === 0 && <p className="text-muted">No call proved yet.</p>}
                </section>
                <CheckedLoads loads={loads} measurements={measurements} />
                <Unexplained readings={unexplained} />
                {figures.length > 0 && (
                    <section className="break-inside-avoid">
                        <h3 className="h-sec mb-1 mt-5">Figures</h3>
                        {figures.map((figure) => (
                            <p key={figure.title} className="border-b border-hair py-1 text-small">
                                <b className="font-semibold">{figure.title}.</b> {figure.verdict}
                            </p>
                        ))}
                    </section>
                )}
                {waived.length > 0 && (
                    <section>
                        <h3 className="h-sec mb-1 mt-5">Left out, with the reason</h3>
                        {waived.map((row) => (
                            <p key={row.call} className="text-small">
                                <b className="font-semibold">{row.call}:</b> {row.reason}
                            </p>
                        ))}
                    </section>
                )}
                <section>
                    <h3 className="h-sec mb-1 mt-5">Open matters</h3>
                    {open.length === 0 && restore.length === 0 ? (
                        <State glyph="pass" tone="verd">
                            Nothing left open
                        </State>
                    ) : (
                        <ul className="grid gap-1">
                            {restore.map((item) => (
                                <li key={item} className="text-small">
                                    <State glyph="fault" tone="fault">
                                        Put back: {item}
                                    </State>
                                </li>
                            ))}
                            {open.map((item) => (
                                <li key={item} className="flex gap-2 text-small">
                                    <Glyph name="caution" style={{ color: 'var(--caution-ink)', marginTop: 1 }} />{' '}
                                    <span>{item}</span>
                                </li>
                            ))}
                        </ul>
                    )}
                </section>
                {photos.length > 0 && (
                    <section className="break-inside-avoid">
                        <h3 className="h-sec mb-1 mt-5">Photographs, before anything was moved</h3>
                        <div className="flex flex-wrap gap-3">
                            {photos.map((photo) => (
                                <figure key={photo.id} className="w-56">
                                    <img
                                        src={photo.url ?? ''}
                                        alt={`${photo.place}, ${photo.marks.length} marks`}
                                        className="w-full border border-rule"
                                    />
                                    <figcaption className="text-note text-muted">
                                        {photo.place} {clock(photo.at)}
                                    </figcaption>
                                </figure>
                            ))}
                        </div>
                    </section>
                )}
                {customer && (
                    <section
                        aria-label="For the customer"
                        className="mt-5 break-inside-avoid border-t-2 border-ink pt-2 print:break-before-page"
                    >
                        <h3 className="h-sec mb-1">For the customer</h3>
                        <p className="max-w-[68ch] text-lead leading-[23px]">{customer}</p>
                    </section>
                )}
                <section aria-label="Signatures" className="mt-5 break-inside-avoid">
                    <h3 className="h-sec mb-1">Signatures</h3>
                    <div className="flex flex-wrap gap-8">
                        {(['installer', 'customer'] as const).map((role) => {
                            const signed = signatures.filter((signature) => signature.role === role).at(-1);
                            const word = role === 'installer' ? 'Installer' : 'Customer';
                            if (!signed)
                                return closed ? (
                                    <p key={role} className="text-muted">
                                        {word}: not signed
                                    </p>
                                ) : (
                                    <SignaturePad key={role} jobId={job.id} role={role} word={word} />
                                );
                            return (
                                <figure key={role} className="w-64">
                                    <svg
                                        viewBox="0 0 1000 1000"
                                        preserveAspectRatio="none"
                                        className="h-20 w-full border-b border-ink"
                                        role="img"
                                        aria-label={`Signature of the ${role}`}
                                    >
                                        <Path strokes={signed.strokes} />
                                    </svg>
                                    <figcaption className="text-note text-muted">
                                        {signed.name}, {role}, {day(signed.at)} {clock(signed.at)}
                                        {signed.simulated && ', simulated'}
                                    </figcaption>
                                </figure>
                            );
                        })}
                    </div>
                </section>
                <p className="mt-6 border-t border-hair pt-2 text-note text-muted">
                    Expected readings are computed from the circuit of this house. Nameplates, the makers' instructions,
                    local code and licensed practice come first.
                </p>
            </article>
            <Dialog open={closing} onClose={() => setClosing(false)} title="Hand this job over?">
                <p className="mt-2">
                    Covers and door on, the thermostat in the mode the customer wants, batteries and filter explained.
                    After this the job is a record.
                </p>
                {unsigned.length > 0 && (
                    <div
                        role="group"
                        aria-label="Signatures missing"
                        className="mt-3 border-l-[6px] border-caution bg-caution-wash px-3 py-2 text-body"
                    >
                        <p>
                            Not signed yet by the {unsigned.join(' and the ')}. Ask for it: the fields are at the end of
                            the record.
                        </p>
                        <div className="mt-1 flex items-center gap-2">
                            <Tick
                                checked={without}
                                label="Hand over without: the record will say so"
                                onChange={setWithout}
                            />
                            <span className="font-semibold">Hand over without: the record will say so</span>
                        </div>
                    </div>
                )}
                <Bad>{problem}</Bad>
                <div className="mt-5 flex justify-end gap-3">
                    <button className="btn" onClick={() => setClosing(false)}>
                        Not yet
                    </button>
                    <button className="btn btn--go" onClick={() => void close()}>
                        Hand over
                    </button>
                </div>
            </Dialog>
        </Shell>
    );
}
