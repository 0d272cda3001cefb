import { router, usePage } from '@inertiajs/react';
import { useCallback, useState } from 'react';
import { EntryLine } from '@/features/survey/EntryLine';
import { InPlace } from '@/features/survey/InPlace';
import { Ledger } from '@/features/survey/Ledger';
import { PasteLines } from '@/features/survey/PasteLines';
import { Photos } from '@/features/survey/Photos';
import { Questions } from '@/features/survey/Questions';
import { Record } from '@/features/survey/Record';
import { Screening } from '@/features/survey/Screening';
import { Suggestions } from '@/features/survey/Suggestions';
import { Wanted } from '@/features/survey/Wanted';
import { MeterDock } from '@/features/meter-dock/MeterDock';
import { said } from '@/lib/api';
import { useEdits } from '@/lib/edits';
import { Shell } from '@/shell/Shell';
import type { CableView, SurveyProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import { useUndo } from '@/ui/useUndo';

export default function Survey() {
    const page = usePage<SurveyProps>().props;
    const { job, cables, screws, questions, needs, finished, findings, readings } = page;
    const edits = useEdits(`/jobs/${job.id}/survey-edits`, job.version);
    const [cableId, setCableId] = useState(cables[0]?.id ?? 'A');
    const [changing, setChanging] = useState<{ number: number; line: string } | null>(null);
    const [pasted, setPasted] = useState<string[] | null>(null);
    const undo = useUndo(edits);
    const cable = cables.find((candidate) => candidate.id === cableId) ?? cables[0];
    const closed = job.handedOverAt !== null;
    const open = needs.filter((need) => !need.done).length;
    const done = useCallback(() => setChanging(null), []);

    const finish = async () => {
        if (finished) return router.visit(`/jobs/${job.id}/plan`);
        const answer = await edits.send('finish');
        if (answer.kind === 'ok') router.visit(`/jobs/${job.id}/plan`);
    };

    return (
        <Shell
            stage="survey"
            title="Survey"
            start={['indoor.R', 'indoor.C']}
            dock={<MeterDock stage="survey" readings={readings} />}
        >
            <div className="head">
                <div>
                    <h1 className="h-step">Survey</h1>
                    <p>What is on the wall, and where each conductor goes.</p>
                </div>
                {!closed && (
                    <button className="btn" onClick={() => void finish()}>
                        {finished ? 'Go to Plan' : 'Finish survey'}{' '}
                        {open > 0 ? (
                            <span className="text-small text-caution-ink">{open} open</span>
                        ) : (
                            <Glyph name="go" />
                        )}
                    </button>
                )}
            </div>
            <nav
                aria-label="Parts of the survey"
                className="flex flex-none gap-1.5 overflow-x-auto px-4 pb-2 md:hidden"
            >
                {[
                    ['conductors', 'Conductors'],
                    ['equipment', 'Equipment'],
                    ['readings', 'Readings'],
                    ['photos', 'Photographs'],
                    ['screening', 'Screening'],
                ].map(([id, word]) => (
                    <a key={id} href={`#${id}`} className="chip">
                        {word}
                    </a>
                ))}
            </nav>
            {cable && !closed && (
                <EntryLine
                    key={changing ? `change-${changing.number}` : 'new'}
                    jobId={job.id}
                    cables={cables}
                    cable={cable}
                    screws={screws}
                    offered={page.entry}
                    onPaste={setPasted}
                    onCable={setCableId}
                    edits={edits}
                    changing={changing}
                    onDone={done}
                />
            )}
            {edits.problem && edits.problem.kind !== 'invalid' && (
                <div className="px-5 py-2">
                    <Bad>{said(edits.problem)}</Bad>
                </div>
            )}
            {edits.problem?.kind === 'invalid' && edits.problem.errors.survey && (
                <div className="px-5 py-2">
                    <Bad>{edits.problem.errors.survey}</Bad>
                </div>
            )}
            <div className="grid flex-1 content-start lg:grid-cols-[minmax(0,1fr)_264px]">
                <div id="conductors" className="min-w-0 overflow-x-auto">
                    {(closed ? cables : cable ? [cable] : []).map((item) => (
                        <Ledger
                            key={item.id}
                            cable={item}
                            closed={closed}
                            onChange={(row) => setChanging({ number: row.number, line: row.line })}
                            onRemove={async (row) => {
                                const answer = await edits.send('remove-conductor', {
                                    cable: item.id,
                                    number: row.number,
                                });
                                if (answer.kind === 'ok')
                                    undo.offer(`Removed ${row.number} ${row.colour}.`, answer.data.version);
                            }}
                        />
                    ))}
                    <Wanted wanted={page.wanted} readings={readings} />
                    <Photos jobId={job.id} photos={page.photos} cables={cables} closed={closed} />
                    <InPlace
                        safety={page.safety}
                        jumpers={page.jumpers}
                        screws={screws.indoor}
                        edits={edits}
                        closed={closed}
                    />
                </div>
                <div className="border-hair lg:border-l">
                    <Suggestions
                        match={page.match}
                        plate={page.plate}
                        digits={page.digits}
                        questions={questions}
                        edits={edits}
                        closed={closed}
                    />
                    <section id="equipment" className="p-4" aria-label="Equipment">
                        <h2 className="h-sec">Equipment</h2>
                        <p className="text-small text-muted">{job.equipmentTitle}</p>
                        {cable && (
                            <Length
                                key={cable.id}
                                cable={cable}
                                closed={closed}
                                onKeep={(feet) =>
                                    edits.send('set-cable', { cable: cable.id, gauge: cable.gauge, feet })
                                }
                            />
                        )}
                        <Questions questions={questions} edits={edits} closed={closed} />
                    </section>
                </div>
            </div>
            <Screening findings={findings} overrides={page.overrides} edits={edits} closed={closed} />
            <Record
                jobId={job.id}
                changes={page.changes}
                visits={page.visits}
                assumes={page.assumes}
                edits={edits}
                closed={closed}
            />
            {pasted && cable && (
                <PasteLines jobId={job.id} cable={cable} edits={edits} start={pasted} onClose={() => setPasted(null)} />
            )}
            {undo.bar}
        </Shell>
    );
}

/** How long the cable is, one way: it decides the drop and what a short can draw. */
function Length({
    cable,
    closed,
    onKeep,
}: {
    cable: CableView;
    closed: boolean;
    onKeep: (feet: number | string) => Promise<Parameters<typeof said>[0]>;
}) {
    const [typed, setTyped] = useState<string | null>(null);
    const [bad, setBad] = useState('');
    const keep = async () => {
        if (typed === null || typed === String(cable.feet)) return setTyped(null);
        const feet = Number(typed.replace(',', '.'));
        const answer = await onKeep(Number.isFinite(feet) && typed.trim() !== '' ? feet : typed);
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') setTyped(null);
    };
    const word = cable.from === 'wall' ? 'Wall cable' : 'Outdoor cable';
    return (
        <>
            <label className="flex min-h-11 items-center justify-between gap-3 border-b border-hair">
                <span className="text-small">
                    {word}, {cable.gauge} AWG
                </span>
                <span className="flex items-center gap-1.5">
                    <input
                        className="h-11 w-16 bg-transparent text-right text-head font-medium"
                        style={{ borderBottom: `2px solid var(${bad ? '--fault' : '--rule'})` }}
                        inputMode="decimal"
                        autoComplete="off"
                        disabled={closed}
                        value={typed ?? cable.feet}
                        onChange={(event) => setTyped(event.target.value)}
                        onBlur={() => void keep()}
                        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                    />
                    <span className="text-muted">ft</span>
                </span>
            </label>
            <Bad>{bad}</Bad>
        </>
    );
}
