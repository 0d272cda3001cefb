import { router, usePage } from '@inertiajs/react';
import { url } from '@/lib/url';
import type { Frame } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';

/** What hangs there is proved before a screw is turned. */
export function AsFoundHead() {
    const { job } = usePage<Frame>().props;
    return (
        <div className="head">
            <div>
                <h1 className="h-step">{say('prove.as-found')}</h1>
                <p>{say('prove.the-thermostat-that-hangs-there')}</p>
            </div>
            {!job.closed && <WillBeReplaced />}
        </div>
    );
}

/** From what was found to a plan, at any moment. */
export function WillBeReplaced() {
    const { job } = usePage<Frame>().props;
    return (
        <button className="btn" onClick={() => router.visit(url('job.plan', { job: job.id }))}>
            {say('prove.it-will-be-replaced')} <Glyph name="go" />
        </button>
    );
}
