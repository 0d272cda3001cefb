import { router, usePage } from '@inertiajs/react';
import { useCallback, useState } from 'react';
import { EntryLine } from '@/features/survey/EntryLine';
import { EquipmentFacts } from '@/features/survey/EquipmentFacts';
import { Ledger } from '@/features/survey/Ledger';
import { MeterDock } from '@/features/meter-dock/MeterDock';
import { said } from '@/lib/api';
import { useEdits } from '@/lib/edits';
import { Shell } from '@/shell/Shell';
import type { SurveyProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, Findings } from '@/ui/State';
import { useUndo } from '@/ui/useUndo';

export default function Survey() {
    const { job, cables, facts, linkChoices, needs, finished, findings, readings } = usePage<SurveyProps>().props;
    const edits = useEdits(`/jobs/${job.id}/survey-edits`, job.version);
    const [cableId, setCableId] = useState(cables[0]?.id ?? 'A');
    const [changing, setChanging] = useState<{ number: number; line: string } | null>(null);
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
        <Shell stage="survey" title="Survey" start={['indoor.R', 'indoor.C']} dock={<MeterDock stage="survey" readings={readings} />}>
            <div className="head">
                <div>
                    <h1 className="h-step">Survey</h1>
                    <p>What is on the wall, and where each conductor goes.</p>
                </div>
                {!closed && (
                    <button className="btn" onClick={() => void finish()}>
                        {finished ? 'Go to Plan' : 'Finish survey'} {open > 0 ? <span className="text-[14px] text-caution-ink">{open} open</span> : <Glyph name="go" />}
                    </button>
                )}
            </div>
            {cable && !closed && <EntryLine key={changing ? `change-${changing.number}` : 'new'} jobId={job.id} cables={cables} cable={cable} onCable={setCableId} edits={edits} changing={changing} onDone={done} />}
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
                <div className="min-w-0 overflow-x-auto">
                    {(closed ? cables : cable ? [cable] : []).map((item) => (
                        <Ledger
                            key={item.id}
                            cable={item}
                            closed={closed}
                            onChange={(row) => setChanging({ number: row.number, line: row.line })}
                            onRemove={async (row) => {
                                const answer = await edits.send('remove-conductor', { cable: item.id, number: row.number });
                                if (answer.kind === 'ok') undo.offer(`Removed ${row.number} ${row.colour}.`, answer.data.version);
                            }}
                        />
                    ))}
                </div>
                {cable && <EquipmentFacts title={job.equipmentTitle} facts={facts} cable={cable} linkChoices={linkChoices} edits={edits} closed={closed} />}
            </div>
            <section className="border-t-2 border-ink bg-panel px-5 pb-4 pt-2" aria-label="Screening">
                <h2 className="h-sec mb-1.5">Screening</h2>
                <Findings findings={findings} empty="Nothing to screen yet." />
            </section>
            {undo.bar}
        </Shell>
    );
}
