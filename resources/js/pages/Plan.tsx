import { clsx } from 'clsx';
import { Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { Checks, Papers } from '@/features/plan/Checks';
import { Chooser } from '@/features/plan/Chooser';
import { LandingBar } from '@/features/plan/LandingBar';
import { Offers } from '@/features/plan/Offers';
import { OwnProfile } from '@/features/plan/OwnProfile';
import { Short } from '@/features/plan/Short';
import { Thermostats } from '@/features/plan/Thermostats';
import { MeterDock } from '@/features/meter-dock/MeterDock';
import { geometry } from '@/features/strand-board/geometry';
import { StrandBoard } from '@/features/strand-board/StrandBoard';
import { post, said } from '@/lib/api';
import { useEdits } from '@/lib/edits';
import { useKeys, useWidth } from '@/lib/hooks';
import { reload } from '@/lib/reload';
import { Shell } from '@/shell/Shell';
import { url } from '@/lib/url';
import type { PlanProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, Findings, State } from '@/ui/State';
import { useUndo } from '@/ui/useUndo';
import { Moves } from '@/features/plan/Moves';
import { ProofMark, Problems } from '@/features/plan/Problems';
import { Words } from '@/features/plan/Words';
import { mono } from '@/ui/marks';
import { list, rich, say } from '@/words';

export default function Plan() {
    const { readings } = usePage<PlanProps>().props;
    const [call, setCall] = useState('idle');
    return (
        <Shell
            stage="plan"
            title={say('plan.plan')}
            start={['wall.Rc', 'wall.C']}
            dock={<MeterDock stage="plan" call={call} readings={readings} />}
        >
            <Body call={call} onCall={setCall} />
        </Shell>
    );
}

function Body({ call, onCall }: { call: string; onCall: (call: string) => void }) {
    const { job, profiles, chosen, used, conductors, stops, assumes, photosMissing, plan, readings } =
        usePage<PlanProps>().props;
    const edits = useEdits(url('job.plan-edits', { job: job.id }), job.version);
    const [selected, setSelected] = useState<number | null>(null);
    const [hand, setHand] = useState(false);
    const [asking, setAsking] = useState(false);
    const [making, setMaking] = useState(false);
    const undo = useUndo(edits);
    const [measure, width] = useWidth(808);
    const closed = job.handedOverAt !== null;
    const right = geometry('plan', width).jacket[1];

    const rows = plan?.board.rows ?? [];
    const step = (by: number) => {
        const index = rows.findIndex((row) => row.number === selected);
        setSelected(rows[Math.max(0, Math.min(rows.length - 1, index < 0 ? 0 : index + by))]?.number ?? null);
    };
    useKeys({
        j: () => step(1),
        k: () => step(-1),
        e: plan && !closed ? () => setHand(true) : undefined,
        Escape: () => setSelected(null),
        ...Object.fromEntries(
            (plan?.simulations ?? []).map((item, index) => [`shift+${index + 1}`, () => onCall(item.call)]),
        ),
    });

    const land = (screw: string | null) =>
        selected !== null &&
        void change(
            'land',
            { number: selected, screw },
            say('plan.landed-on', { selected, screw: screw ?? say('plan.a-cap') }),
        );
    // In hand mode a digit picks a conductor, a letter lands it on the next screw that begins with it, 0 caps it.
    const letter = (key: string) => () => {
        const fits = (plan?.board.plate ?? []).filter((screw) => screw.toLowerCase().startsWith(key));
        const now = rows.find((row) => row.number === selected)?.lands ?? '';
        const next = fits[(fits.indexOf(now) + 1) % Math.max(1, fits.length)];
        if (next !== undefined) land(next);
    };
    const letters = [...new Set((plan?.board.plate ?? []).map((screw) => screw[0]?.toLowerCase() ?? ''))];
    useKeys(
        hand
            ? {
                  ...Object.fromEntries(
                      Array.from({ length: 9 }, (_, index) => [
                          String(index + 1),
                          () => setSelected(rows.find((row) => row.number === index + 1)?.number ?? selected),
                      ]),
                  ),
                  ...Object.fromEntries(
                      letters.flatMap((key) => [
                          [key, letter(key)],
                          [key.toUpperCase(), letter(key)],
                      ]),
                  ),
                  '0': () => land(null),
                  Escape: () => setHand(false),
              }
            : {},
        true,
    );

    const change = async (op: string, fields: object, what: string) => {
        const answer = await edits.send(op, fields);
        if (answer.kind === 'ok') undo.offer(what, answer.data.version);
    };
    const choose = (id: string) =>
        id !== chosen && void change('choose', { profile: id }, say('plan.chose-another-thermostat'));
    const use = async () => {
        const answer = await edits.send('use');
        if (answer.kind === 'ok') document.getElementById('moves')?.scrollIntoView({ block: 'start' });
    };

    const calls = plan?.proofs.filter((proof) => proof.call !== 'idle') ?? [];
    const proved = calls.filter((proof) => proof.proved).length;
    const state = plan?.simulations.find((item) => item.call === call) ?? plan?.simulations[0];
    const blocking =
        plan?.findings.filter((finding) => finding.severity === 'stop' || finding.severity === 'error').length ?? 0;
    const landed = plan !== null && used && plan.moves.every((move) => move.done);

    return (
        <div ref={measure} className="flex flex-1 flex-col">
            <div className="head">
                <div>
                    <h1 className="h-step">{say('plan.plan')}</h1>
                    <p>
                        {conductors === 0
                            ? say('plan.the-survey-has-no-conductors-yet')
                            : plan
                              ? say('plan.of-calls-proved-by-simulation', { proved, calls: calls.length })
                              : say('plan.choose-a-thermostat-the-conductors-land')}
                    </p>
                </div>
                {plan && !closed && (undo.past > 0 || undo.future > 0) && (
                    <span className="ml-auto flex gap-3">
                        <button
                            className="link disabled:text-muted disabled:no-underline"
                            disabled={undo.past === 0}
                            onClick={undo.undo}
                            title={say('plan.ctrl-z')}
                        >
                            {say('plan.undo-edit')}
                        </button>
                        <button
                            className="link disabled:text-muted disabled:no-underline"
                            disabled={undo.future === 0}
                            onClick={undo.redo}
                            title={say('plan.ctrl-shift-z')}
                        >
                            {say('plan.redo')}
                        </button>
                    </span>
                )}
                {plan && !closed && !used && (
                    <button
                        className={`btn ${blocking > 0 || stops.length > 0 ? 'btn--off' : 'btn--go'}`}
                        aria-disabled={blocking > 0 || stops.length > 0}
                        onClick={() => void use()}
                    >
                        {say('plan.use-this-plan')}{' '}
                        {blocking + stops.length > 0 ? (
                            <span className="text-small">
                                {say('plan.to-correct', { blocking: blocking + stops.length })}
                            </span>
                        ) : (
                            <Glyph name="go" />
                        )}
                    </button>
                )}
                {plan && used && !closed && (
                    <button
                        className={`btn ${landed ? 'btn--go' : ''}`}
                        onClick={() => router.visit(url('job.set', { job: job.id }))}
                    >
                        {say('plan.go-to-set')}{' '}
                        {landed ? (
                            <Glyph name="go" />
                        ) : (
                            <span className="text-small text-caution-ink">
                                {say('plan.moves-open', { moves: plan.moves.filter((move) => !move.done).length })}
                            </span>
                        )}
                    </button>
                )}
            </div>
            {stops.length > 0 && (
                <div className="border-y border-fault bg-fault-wash px-5 py-3">
                    <Findings findings={stops} empty="" />
                </div>
            )}
            {plan && assumes.length > 0 && (
                <details className="border-y border-hair bg-caution-wash px-5 py-2">
                    <summary className="fold gap-2.5 font-lab text-lead font-semibold text-caution-ink">
                        <Glyph name="caution" />{' '}
                        {say('plan.provisional-it-assumes-one-thing-other', { assumes: assumes.length })}
                    </summary>
                    <ul className="list-disc pb-1 pl-7 text-small leading-5">
                        {assumes.map((item) => (
                            <li key={item}>{item}</li>
                        ))}
                    </ul>
                </details>
            )}
            {plan && !closed && photosMissing.length > 0 && (
                <p className="flex flex-wrap items-center gap-x-3 border-b border-hair px-5 text-small">
                    <State glyph="need" tone="copper">
                        {say('plan.before-the-first-move-photograph-the', {
                            photosMissing: list(
                                photosMissing.map((place) =>
                                    place === 'wall' ? say('plan.wall-plate') : say('plan.indoor-board'),
                                ),
                            ),
                        })}
                    </State>
                    <Link className="link" href={`${url('job.survey', { job: job.id })}#photos`}>
                        {say('plan.in-survey')}
                    </Link>
                </p>
            )}
            {edits.problem && (
                <div className="px-5 pb-2">
                    <Bad>{said(edits.problem)}</Bad>
                </div>
            )}
            {conductors === 0 ? (
                <p className="px-5 py-4">
                    <button className="btn" onClick={() => router.visit(url('job.survey', { job: job.id }))}>
                        {say('plan.go-to-survey')}
                    </button>
                </p>
            ) : (
                <Thermostats
                    profiles={profiles}
                    chosen={chosen}
                    disabled={closed}
                    onChoose={choose}
                    onAsk={() => setAsking(true)}
                    onOwn={() => setMaking(true)}
                    onAway={async (id) => {
                        await post(url('profile', { id }), { _method: 'DELETE' });
                        await reload();
                    }}
                />
            )}
            {chosen !== null && conductors > 0 && plan && (
                <Offers
                    jobId={job.id}
                    profile={chosen}
                    survey={`${conductors}`}
                    choice={plan.choice}
                    edits={edits}
                    closed={closed}
                    onTaken={undo.offer}
                />
            )}
            {plan?.choice && (plan.choice.edited || plan.choice.note !== '') && (
                <p className="px-5 pb-2 text-small">
                    <b className="font-semibold">{say('plan.taken-2', { title: plan.choice.title })}</b>
                    {plan.choice.edited && (
                        <span className="text-caution-ink">{say('plan.changed-by-hand-since')}</span>
                    )}
                    {plan.choice.note !== '' && <span>{say('plan.reason', { note: plan.choice.note })}</span>}
                </p>
            )}
            {plan?.short && <Short short={plan.short} />}
            {asking && (
                <Chooser
                    jobId={job.id}
                    onClose={() => setAsking(false)}
                    onChoose={(id) => {
                        setAsking(false);
                        choose(id);
                    }}
                />
            )}
            {making && (
                <OwnProfile
                    onClose={() => setMaking(false)}
                    onKept={(id) => {
                        setMaking(false);
                        choose(id);
                    }}
                />
            )}
            {plan && state && (
                <>
                    <div
                        className="flex flex-wrap items-stretch border-y border-hair"
                        role="group"
                        aria-label={say('plan.simulate-a-call')}
                    >
                        <span className="lab self-center px-5">{say('plan.simulate')}</span>
                        {plan.simulations.map((item) => (
                            <button
                                key={item.call}
                                aria-pressed={item.call === call}
                                onClick={() => onCall(item.call)}
                                className={clsx(
                                    'flex min-h-11 items-center gap-2 border-l border-hair px-4 font-lab',
                                    'text-body font-semibold aria-pressed:bg-ink aria-pressed:text-bone',
                                )}
                            >
                                {item.label}
                                <ProofMark proof={plan.proofs.find((proof) => proof.call === item.call)} />
                            </button>
                        ))}
                        <span className="ml-auto self-center px-5 text-note text-muted">
                            {say('plan.simulated')}{' '}
                            <span className="mono">{say('plan.a', { amps: state.amps.toFixed(2) })}</span>
                        </span>
                    </div>
                    {state.notes.map((note) => (
                        <p key={note} className="flex gap-2 border-b border-hair px-5 py-2 text-small">
                            <Glyph name="fault" style={{ color: 'var(--fault)', marginTop: 2 }} /> {note}
                        </p>
                    ))}
                    <div className="bg-panel">
                        <StrandBoard
                            variant={width < 700 ? 'phone' : 'plan'}
                            board={plan.board}
                            state={state}
                            fault={plan.short?.conductors ?? []}
                            selected={selected}
                            onSelect={closed ? undefined : (number) => setSelected(number === selected ? null : number)}
                            heads={
                                width < 700
                                    ? []
                                    : [
                                          { x: right + 40, text: say('plan.was') },
                                          { x: right + 110, text: say('plan.lands-on-2') },
                                          { x: right + 238, text: say('plan.what-to-do-and-why') },
                                      ]
                            }
                            words={(row, place) => (
                                <Words
                                    row={row}
                                    move={plan.moves.find((move) => move.key.startsWith(`${row.id}:`))}
                                    {...place}
                                />
                            )}
                            label={say('plan.strand-board-simulated-conductors', {
                                state: state.label,
                                rows: rows.length,
                            })}
                        />
                    </div>
                    {plan.board.module.length > 0 && (
                        <p className="band px-5 py-3 text-small">
                            <b className="font-semibold">{say('plan.the-outputs-stand-at-the-equipment')}</b>{' '}
                            {rich('plan.short-leads-letter-to-letter-the', {
                                letters: plan.board.module.join(', '),
                                b: mono,
                            })}
                        </p>
                    )}
                    {plan.board.kit.length > 0 && (
                        <p className="band px-5 py-3 text-small">
                            <b className="font-semibold">{say('plan.the-kits-adapter-stands-at-the')}</b>{' '}
                            {rich('plan.k-comes-from-the-wall-short', {
                                letters: plan.board.kit.join(', '),
                                b: mono,
                            })}
                        </p>
                    )}
                    {!closed && (
                        <LandingBar
                            plan={plan}
                            row={rows.find((row) => row.number === selected) ?? null}
                            hand={hand}
                            onHand={setHand}
                            onLand={land}
                            onBoard={(screw) =>
                                selected !== null &&
                                void change(
                                    'board',
                                    { number: selected, screw },
                                    say('plan.landed-at-the-board-on', { selected, screw: screw ?? say('plan.a-cap') }),
                                )
                            }
                            onTie={(place, a, b) => void change('tie', { place, a, b }, say('plan.tied-and', { a, b }))}
                            onUntie={(label) => void change('untie', { label }, say('plan.took-out-the', { label }))}
                            onLink={(isIn) =>
                                void change('link', { in: isIn }, isIn ? say('plan.link-in') : say('plan.link-out'))
                            }
                        />
                    )}
                    <section className="px-5 py-3" aria-label={say('plan.findings')}>
                        <h2 className="h-sec mb-1.5">{say('plan.findings')}</h2>
                        <Problems proofs={plan.proofs} />
                        <Findings findings={plan.findings} empty={say('plan.nothing-to-correct')} />
                    </section>
                    {used && <Moves moves={plan.moves} closed={closed} />}
                    {used && <Checks checks={plan.checks} readings={readings} />}
                    <Papers jobId={job.id} carry={plan.carry} />
                </>
            )}
            {undo.bar}
        </div>
    );
}
