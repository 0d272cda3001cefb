import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { Checks, Papers } from '@/features/plan/Checks';
import { Choosing } from '@/features/plan/Choosing';
import { LandingBar } from '@/features/plan/LandingBar';
import { Notices } from '@/features/plan/Notices';
import { Offers, Taken } from '@/features/plan/offers/Offers';
import { PlanHead } from '@/features/plan/PlanHead';
import { Short } from '@/features/plan/Short';
import { Simulate } from '@/features/plan/Simulate';
import { useLandingKeys } from '@/features/plan/useLandingKeys';
import { MeterDock } from '@/features/meter-dock/MeterDock';
import { useEdits } from '@/lib/write/edits';
import { useWidth } from '@/lib/hooks';
import { Shell } from '@/shell/Shell';
import { url } from '@/lib/url';
import type { PlanProps } from '@/types';
import { Findings } from '@/ui/State';
import { useUndo } from '@/ui/useUndo';
import { Moves, Pull } from '@/features/plan/Moves';
import { Problems } from '@/features/plan/Problems';
import { say } from '@/words';

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
    const { job, chosen, used, conductors, plan, readings, wished } = usePage<PlanProps>().props;
    const edits = useEdits(url('job.plan-edits', { job: job.id }), job.version);
    const [selected, setSelected] = useState<string | null>(null);
    const [hand, setHand] = useState(false);
    const undo = useUndo(edits);
    const [measure, width] = useWidth(808);
    const closed = job.closed;

    const rows = plan?.board.rows ?? [];
    const name = rows.find((row) => row.id === selected)?.name ?? '';
    const change = async (op: string, fields: object, what: string) => {
        const answer = await edits.send(op, fields);
        if (answer.kind === 'ok') undo.offer(what, answer.data.version);
    };
    const land = (screw: string | null) =>
        selected !== null &&
        void change(
            'land',
            { conductor: selected, screw },
            say('plan.landed-on', { selected: name, screw: screw ?? say('plan.a-cap') }),
        );
    useLandingKeys({
        plan,
        closed,
        selected,
        hand,
        onSelect: setSelected,
        onHand: setHand,
        onCall,
        onLand: land,
    });
    const choose = (id: string) =>
        id !== chosen && void change('choose', { profile: id }, say('plan.chose-another-thermostat'));
    const use = async () => {
        const answer = await edits.send('use');
        if (answer.kind === 'ok') document.getElementById('moves')?.scrollIntoView({ block: 'start' });
    };

    const state = plan?.simulations.find((item) => item.call === call) ?? plan?.simulations[0];

    return (
        <div ref={measure} className="flex flex-1 flex-col">
            <PlanHead undo={undo} onUse={() => void use()} />
            <Notices problem={edits.problem} />
            {conductors === 0 ? (
                <p className="px-5 py-4">
                    <button className="btn" onClick={() => router.visit(url('job.survey', { job: job.id }))}>
                        {say('plan.go-to-survey')}
                    </button>
                </p>
            ) : (
                <Choosing disabled={closed} onChoose={choose} />
            )}
            {chosen !== null && conductors > 0 && plan && (
                <Offers
                    jobId={job.id}
                    profile={chosen}
                    survey={`${conductors}/${wished.join('/')}`}
                    choice={plan.choice}
                    edits={edits}
                    closed={closed}
                    onTaken={undo.offer}
                />
            )}
            {plan?.choice && <Taken choice={plan.choice} />}
            {plan?.short && <Short short={plan.short} />}
            {plan && state && (
                <>
                    <Simulate
                        plan={plan}
                        state={state}
                        width={width}
                        selected={selected}
                        onCall={onCall}
                        onSelect={setSelected}
                    />
                    {!closed && (
                        <LandingBar
                            plan={plan}
                            row={rows.find((row) => row.id === selected) ?? null}
                            hand={hand}
                            onHand={setHand}
                            onLand={land}
                            onBoard={(screw) =>
                                selected !== null &&
                                void change(
                                    'board',
                                    { conductor: selected, screw },
                                    say('plan.landed-at-the-board-on', {
                                        selected: name,
                                        screw: screw ?? say('plan.a-cap'),
                                    }),
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
                    {plan.pull.length > 0 && <Pull lines={plan.pull} />}
                    {used && <Moves moves={plan.moves} closed={closed} />}
                    {used && <Checks checks={plan.checks} readings={readings} />}
                    <Papers jobId={job.id} carry={plan.carry} />
                </>
            )}
            {undo.bar}
        </div>
    );
}
