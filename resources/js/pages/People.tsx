import { usePage } from '@inertiajs/react';
import { Backup } from '@/features/people/Backup';
import { Invite } from '@/features/people/Invite';
import { OpenLinks } from '@/features/people/OpenLinks';
import { Person } from '@/features/people/Person';
import { ShareList } from '@/features/share/ShareList';
import { clock, day } from '@/lib/format';
import { reload } from '@/lib/reload';
import { useSend } from '@/lib/write/send';
import { url } from '@/lib/url';
import { PlainShell } from '@/shell/PlainShell';
import type { PeopleProps } from '@/types';
import { Choice } from '@/ui/Choice';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** Who is of the crew, what each may do; for its lead also who comes in, and what the security log says. */
export default function People() {
    const { people, roles, leads, user, log } = usePage<PeopleProps>().props;
    return (
        <PlainShell
            title={say('people.people')}
            says={leads ? say('people.says-lead') : say('people.says', { role: user?.role ?? '' })}
        >
            <div className="grid gap-x-10 gap-y-8 px-4 py-5 sm:px-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,400px)]">
                <div className="grid content-start gap-8">
                    <ul aria-label={say('people.people')} className="border-t-2 border-ink">
                        {people.map((person) => (
                            <Person key={person.id} person={person} roles={roles} leads={leads} />
                        ))}
                    </ul>
                    {leads && log.length > 0 && (
                        <section aria-label={say('people.log')} className="border-t-2 border-ink pt-3">
                            <h2 className="h-sec">{say('people.log')}</h2>
                            <p className="text-note text-muted">{say('people.log-says')}</p>
                            <div
                                className="mt-2 max-h-[340px] overflow-auto"
                                tabIndex={0}
                                role="group"
                                aria-label={say('people.log-scrolls')}
                            >
                                <table className="w-full text-small">
                                    <tbody>
                                        {log.map((line, index) => (
                                            <tr key={index} className="border-b border-hair align-top">
                                                <td className="mono whitespace-nowrap py-1 pr-3 text-note text-muted">
                                                    {day(line.at)} {clock(line.at)}
                                                </td>
                                                <td className="py-1">
                                                    <b className="font-semibold">
                                                        {line.who || say('people.somebody')}
                                                    </b>{' '}
                                                    {line.kind}
                                                    {line.what && <span className="text-muted">: {line.what}</span>}
                                                </td>
                                            </tr>
                                        ))}
                                    </tbody>
                                </table>
                            </div>
                        </section>
                    )}
                </div>
                {leads ? (
                    <div className="grid content-start gap-8">
                        <Invite />
                        <OpenLinks />
                        <Houses />
                        <CrewUnits />
                        <Backup />
                    </div>
                ) : (
                    <dl className="grid content-start gap-3 border-t-2 border-ink pt-3">
                        {roles.map((role) => (
                            <div key={role.value}>
                                <dt className="font-lab text-body font-semibold">{role.label}</dt>
                                <dd className="text-small">{role.may}</dd>
                            </div>
                        ))}
                    </dl>
                )}
            </div>
        </PlainShell>
    );
}

/** Houses that somebody outside reads by a link. */
function Houses() {
    const { shares } = usePage<PeopleProps>().props;
    if (shares.length === 0) return null;
    return (
        <section aria-label={say('share.houses')} className="border-t-2 border-ink pt-3">
            <h2 className="h-sec">{say('share.houses')}</h2>
            <ShareList links={shares} onBack={() => void reload()} />
        </section>
    );
}

/** What those of the crew read and type in who have not chosen for themselves. */
function CrewUnits() {
    const { crewUnits } = usePage<PeopleProps>().props;
    const { send, busy, errors } = useSend(url('crew.units'));
    return (
        <section aria-label={say('people.units')} className="border-t-2 border-ink pt-3">
            <h2 className="h-sec">{say('people.units')}</h2>
            <p className="mb-2 text-small text-muted">{say('people.units-says')}</p>
            <Choice
                label={say('people.units')}
                value={crewUnits}
                options={[
                    { value: 'us', label: say('shared.us') },
                    { value: 'metric', label: say('shared.metric') },
                ]}
                onChoose={(units) => void send({ units })}
                disabled={busy}
            />
            <Bad>{errors.units ?? errors.other}</Bad>
        </section>
    );
}
