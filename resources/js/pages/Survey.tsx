import { router, usePage } from '@inertiajs/react';
import { useCallback, useState } from 'react';
import { EntryLine } from '@/features/survey/entry/EntryLine';
import { InPlace } from '@/features/survey/in-place/InPlace';
import { Ledger } from '@/features/survey/Ledger';
import { PasteLines } from '@/features/survey/PasteLines';
import { WhichIsWhich } from '@/features/identify/WhichIsWhich';
import { Prints } from '@/features/house-map/Prints';
import { HouseMap } from '@/features/house-map/HouseMap';
import { Photos } from '@/features/survey/Photos';
import { Record } from '@/features/survey/Record';
import { Screening } from '@/features/survey/Screening';
import { Suggestions } from '@/features/survey/Suggestions';
import { Wanted } from '@/features/survey/Wanted';
import { MeterDock } from '@/features/meter-dock/MeterDock';
import { said } from '@/lib/write/api';
import { useDraft } from '@/lib/drafts';
import { useEdits } from '@/lib/write/edits';
import { Shell } from '@/shell/Shell';
import { url } from '@/lib/url';
import type { SurveyProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import { useUndo } from '@/ui/useUndo';
import { SetupStrip } from '@/features/setup-strip/SetupStrip';
import { Equipment } from '@/features/survey/Equipment';
import { Parts } from '@/features/survey/Parts';
import { say } from '@/words';

export default function Survey() {
    const page = usePage<SurveyProps>().props;
    const { job, cables, screws, questions, needs, finished, findings, readings } = page;
    const edits = useEdits(url('job.survey-edits', { job: job.id }), job.version);
    const [cableId, setCableId] = useState(cables[0]?.id ?? 'A');
    const [changing, setChanging] = useState<{ number: number; line: string } | null>(null);
    const [pasted, setPasted] = useDraft<string[] | null>(`${job.id}/pasted`, null);
    const undo = useUndo(edits);
    const cable = cables.find((candidate) => candidate.id === cableId) ?? cables[0];
    // A conductor that somebody else took out is not changed any more.
    const changed = changing && cable?.conductors.some((one) => one.number === changing.number) ? changing : null;
    const closed = job.closed;
    const open = needs.filter((need) => !need.done).length;
    // What belongs to a field stands at it, once; everything else stands here.
    const problem =
        edits.problem?.kind === 'invalid' ? edits.problem.errors.survey : edits.problem && said(edits.problem);
    const done = useCallback(() => setChanging(null), []);

    // Where nothing is replaced, the way goes on to what hangs there.
    const service = page.tape.some((segment) => segment.folded);
    const onward = url(service ? 'job.prove' : 'job.plan', { job: job.id });
    const finish = async () => {
        if (finished) return router.visit(onward);
        const answer = await edits.send('finish');
        if (answer.kind === 'ok') router.visit(onward);
    };

    return (
        <Shell
            stage="survey"
            title={say('survey.survey')}
            start={['indoor.R', 'indoor.C']}
            dock={<MeterDock stage="survey" readings={readings} />}
        >
            <div className="head">
                <div>
                    <h1 className="h-step">{say('survey.survey')}</h1>
                    <p>{say('survey.what-is-on-the-wall-and')}</p>
                </div>
                {!closed && (
                    <button className="btn" onClick={() => void finish()}>
                        {finished
                            ? service
                                ? say('survey.go-to-as-found')
                                : say('survey.go-to-plan')
                            : say('survey.finish-survey')}{' '}
                        {open > 0 ? (
                            <span className="text-small text-caution-ink">{say('survey.open-3', { open })}</span>
                        ) : (
                            <Glyph name="go" />
                        )}
                    </button>
                )}
            </div>
            <SetupStrip />
            <Parts />
            <HouseMap
                map={page.map}
                cables={cables}
                cable={cable}
                onCable={setCableId}
                onGone={undo.offer}
                edits={edits}
                closed={closed}
            />
            {cable && !closed && (
                <EntryLine
                    key={changed ? `change-${changed.number}` : 'new'}
                    jobId={job.id}
                    cables={cables}
                    cable={cable}
                    screws={screws}
                    offered={page.entry}
                    onPaste={setPasted}
                    onCable={setCableId}
                    edits={edits}
                    changing={changed}
                    onDone={done}
                />
            )}
            {problem && (
                <div className="px-5 py-2">
                    <Bad>{problem}</Bad>
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
                                    undo.offer(
                                        say('survey.removed', { number: row.number, colourWord: row.colourWord }),
                                        answer.data.version,
                                    );
                            }}
                        />
                    ))}
                    {cable && !closed && <WhichIsWhich key={cable.id} jobId={job.id} cable={cable} edits={edits} />}
                    <Prints prints={page.prints} screws={screws} edits={edits} closed={closed} />
                    <Wanted wanted={page.wanted} readings={readings} />
                    <Photos jobId={job.id} photos={page.photos} cables={cables} closed={closed} />
                    <InPlace
                        safety={page.safety}
                        jumpers={page.jumpers}
                        places={page.map.places}
                        screws={screws}
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
                    <Equipment cable={cable} edits={edits} closed={closed} />
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
