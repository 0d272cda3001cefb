import { usePage } from '@inertiajs/react';
import { Path, SignaturePad } from '@/features/handover/SignaturePad';
import { roleWord } from '@/features/handover/roles';
import { clock, day } from '@/lib/format';
import type { HandoverProps } from '@/types';
import { say } from '@/words';
import { Decides } from '@/ui/Decides';

/** Who signed, or a field to sign in. */
export function Signatures() {
    const { job, signatures } = usePage<HandoverProps>().props;
    const closed = job.closed;
    return (
        <section aria-label={say('handover.signatures')} className="mt-5 break-inside-avoid">
            <h3 className="h-sec mb-1">{say('handover.signatures')}</h3>
            <div className="flex flex-wrap gap-8">
                {(['installer', 'customer'] as const).map((role) => {
                    const signed = signatures.filter((signature) => signature.role === role).at(-1);
                    const word = role === 'installer' ? say('handover.installer') : say('handover.customer');
                    if (!signed)
                        return closed ? (
                            <p key={role} className="text-muted">
                                {say('handover.not-signed', { word })}
                            </p>
                        ) : (
                            <Signing key={role} role={role} word={word} jobId={job.id} />
                        );
                    return (
                        <figure key={role} className="w-64">
                            <svg
                                viewBox="0 0 1000 1000"
                                preserveAspectRatio="none"
                                className="h-20 w-full border-b border-ink"
                                role="img"
                                aria-label={say('handover.signature-of-the', { role: roleWord(role) })}
                            >
                                <Path strokes={signed.strokes} />
                            </svg>
                            <figcaption className="text-note text-muted">
                                {signed.name}, {roleWord(role)}, {day(signed.at)} {clock(signed.at)}
                                {signed.simulated && say('handover.simulated-2')}
                            </figcaption>
                        </figure>
                    );
                })}
            </div>
        </section>
    );
}

/** The customer signs in whoever's hand; the installer's signature is an installer's. */
function Signing({ role, word, jobId }: { role: 'installer' | 'customer'; word: string; jobId: string }) {
    const pad = <SignaturePad jobId={jobId} role={role} word={word} />;
    return role === 'customer' ? pad : <Decides>{pad}</Decides>;
}
