import { Glyph } from '@/ui/Glyph';
import { Tag } from '@/ui/Tag';
import { say } from '@/words';
import { Cell } from './Cell';
import { RunButtons } from './RunButtons';
import { useRun } from './useRun';

/** What is closed where, what is done for it, what is still missing, and the buttons that begin and end. */
export function DoCell() {
    const { step, closed } = useRun();
    return (
        <Cell label={say('prove.2-do')} wide>
            <Closes />
            <p className="text-small">
                <b className="font-semibold">
                    {say('prove.at-the', { places: step.places.join(say('prove.then-the')) })}
                </b>{' '}
                {step.do}
            </p>
            {step.buildUp.length > 0 && (
                <ol className="mt-1 list-inside list-decimal text-small">
                    {step.buildUp.map((screw) => (
                        <li key={screw}>{screw}</li>
                    ))}
                </ol>
            )}
            {step.beside.length > 0 && (
                <p className="mt-1 flex items-start gap-2 text-small font-semibold text-caution-ink">
                    <Glyph name="caution" style={{ marginTop: 2 }} /> <span>{step.beside.join(' ')}</span>
                </p>
            )}
            {!closed && <Missing />}
            {!closed && <RunButtons />}
        </Cell>
    );
}

function Closes() {
    const { step } = useRun();
    return (
        <div className="my-1.5 flex flex-wrap items-center gap-1.5">
            {step.closes.length > 0 && (
                <>
                    <Tag kind="solid">{step.hot}</Tag>
                    <span className="text-muted">{step.isolated ? say('prove.to') : say('prove.closes')}</span>
                </>
            )}
            {step.closes.map((printed) => (
                <Tag key={printed}>{printed}</Tag>
            ))}
        </div>
    );
}

function Missing() {
    const { step, off, missing } = useRun();
    return (
        <>
            {step.running && !off && missing !== '' && (
                <p className="mt-2 text-small text-caution-ink" data-testid="missing">
                    {say('prove.still-missing', { missing })}
                </p>
            )}
            {!step.running && step.startedAt !== null && step.state === 'open' && (
                <p className="mt-2 text-small font-semibold text-caution-ink" data-testid="missing">
                    {say('prove.ended-without', { missing })}
                </p>
            )}
        </>
    );
}
