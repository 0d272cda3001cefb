import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { Shell } from '@/shell/Shell';
import type { ProveProps } from '@/types';
import { Dock } from '@/features/prove/ProveDock';
import { preferred, toRead } from '@/features/prove/step/school';
import { StepBody } from '@/features/prove/StepBody';
import { say } from '@/words';

/** Where to go on: the running step, else the first of what is left of the person's way. */
function goOn({ steps, routes }: ProveProps, school: string): string {
    return (
        steps.find((step) => step.running)?.key ??
        routes[school]?.keys.find((key) => steps.some((step) => step.key === key)) ??
        steps.at(-1)?.key ??
        ''
    );
}

export default function Prove() {
    const { props } = usePage<ProveProps>();
    const { steps, readings } = props;
    const [key, setKey] = useState(() => goOn(props, preferred()));
    // A load check looks at a whole call, outside any step.
    const [check, setCheck] = useState<string | null>(null);
    // A step that another device starts is the one to look at here too.
    const running = steps.find((candidate) => candidate.running)?.key ?? null;
    const [followed, setFollowed] = useState(running);
    if (running !== followed) {
        setFollowed(running);
        if (running !== null) setKey(running);
        setCheck(null);
    }
    // With the power on, what is read without it is past: the way goes on.
    const [lit, setLit] = useState(props.power.state);
    if (lit !== props.power.state) {
        setLit(props.power.state);
        const here = steps.find((candidate) => candidate.key === key);
        if (props.power.state === 'live' && here?.staysDead && !here.running) setKey(goOn(props, preferred()));
    }
    const step = steps.find((candidate) => candidate.key === key) ?? steps[0];
    const first = step && (toRead(step).find((probe) => !probe.reading) ?? step.probes[0]);
    return (
        <Shell
            stage="prove"
            title={say('prove.prove-2')}
            start={[first?.a ?? 'wall.Rc', first?.b ?? 'wall.C']}
            startMode={first?.mode ?? 'V'}
            dock={<Dock step={check === null ? step : undefined} call={check} readings={readings} />}
        >
            {step ? (
                <StepBody
                    step={step}
                    onStep={(next) => {
                        setCheck(null);
                        setKey(next);
                    }}
                    check={check}
                    onCheck={setCheck}
                />
            ) : (
                <p className="p-5">{say('prove.this-plan-has-no-call-to')}</p>
            )}
        </Shell>
    );
}
