import { useState } from 'react';
import { day } from '@/lib/format';
import { useSend } from '@/lib/write/send';
import { url } from '@/lib/url';
import type { PeopleProps, PersonRow } from '@/types';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { Menu, type MenuItem } from '@/ui/Menu';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';
import { DoorLinkOut, type MadeLink } from './DoorLinkOut';

type Asking = 'role' | 'password' | 'deactivate' | 'forget' | null;

/** One of the crew; for its lead with what can be done. */
export function Person({ person, roles, leads }: { person: PersonRow } & Pick<PeopleProps, 'roles' | 'leads'>) {
    const [asking, setAsking] = useState<Asking>(null);
    const [link, setLink] = useState<MadeLink | null>(null);
    const at = { person: String(person.id) };
    const active = useSend(url('crew.active', at));
    const items: MenuItem[] = person.active
        ? [
              { word: say('people.change-role'), act: () => setAsking('role') },
              ...(person.self
                  ? []
                  : [
                        { word: say('people.new-password'), act: () => setAsking('password') },
                        { word: say('people.deactivate'), act: () => setAsking('deactivate'), grave: true },
                    ]),
          ]
        : [
              { word: say('people.take-back'), act: () => void active.send({ active: true }) },
              { word: say('people.forget'), act: () => setAsking('forget'), grave: true },
          ];
    return (
        <li className="border-b border-hair py-2" data-person={person.name}>
            <div className="flex min-h-[52px] items-center gap-3">
                <span className="min-w-0 flex-1">
                    <b className={`font-lab text-head font-semibold ${person.active ? '' : 'text-muted line-through'}`}>
                        {person.name}
                    </b>
                    <small className="block overflow-hidden text-ellipsis text-note text-muted">
                        {person.self ? say('people.you', { email: person.email }) : person.email}
                    </small>
                </span>
                <span className="flex flex-none flex-col items-end gap-0.5">
                    <b className="font-lab text-body font-semibold">{person.roleLabel}</b>
                    {person.active ? (
                        person.secondFactor && (
                            <State glyph="pass" tone="verd">
                                {say('people.second-factor')}
                            </State>
                        )
                    ) : (
                        <State glyph="cross" tone="muted">
                            {say('people.deactivated', { since: person.since ? day(person.since) : '' })}
                        </State>
                    )}
                </span>
                {leads && <Menu label={say('people.more-for', { name: person.name })} items={items} />}
            </div>
            <Bad>{active.errors.person ?? active.errors.other}</Bad>
            {link && <DoorLinkOut link={link} to={person.name} onDone={() => setLink(null)} />}
            <Ask person={person} roles={roles} asking={asking} onClose={() => setAsking(null)} onLink={setLink} />
        </li>
    );
}

function Ask({
    person,
    roles,
    asking,
    onClose,
    onLink,
}: {
    person: PersonRow;
    roles: PeopleProps['roles'];
    asking: Asking;
    onClose: () => void;
    onLink: (link: MadeLink) => void;
}) {
    const at = { person: String(person.id) };
    const role = useSend(url('crew.role', at));
    const password = useSend<MadeLink>(url('crew.password', at));
    const active = useSend(url('crew.active', at));
    const forget = useSend(url('crew.forget', at));
    if (asking === null) return null;
    const sends = { role, password, deactivate: active, forget }[asking];
    const close = () => {
        sends.clear();
        onClose();
    };
    const then = (answer: unknown) => {
        if (answer) onClose();
    };
    const reset = async (factor: boolean) => {
        const link = await password.send({ factor });
        if (!link) return;
        onLink(link);
        onClose();
    };
    const title = {
        role: say('people.role-of', { name: person.name }),
        password: say('people.password-of', { name: person.name }),
        deactivate: say('people.deactivate-who', { name: person.name }),
        forget: say('people.forget-who', { name: person.name }),
    }[asking];
    return (
        <Dialog open onClose={close} title={title} tone={asking === 'role' || asking === 'password' ? 'ink' : 'live'}>
            {asking === 'role' && (
                <div className="mt-3 grid gap-3">
                    <Choice
                        label={title}
                        value={person.role}
                        options={roles.map(({ value, label }) => ({ value, label }))}
                        onChoose={(value) => void role.send({ role: value })}
                        disabled={role.busy}
                    />
                    <p>{roles.find((candidate) => candidate.value === person.role)?.may}</p>
                </div>
            )}
            {asking === 'password' && (
                <div className="mt-3 grid gap-3">
                    <p>{say('people.password-says')}</p>
                    <button className="btn btn--go justify-self-start" onClick={() => void reset(false)}>
                        {say('people.make-link')}
                    </button>
                    {person.secondFactor && (
                        <>
                            <p>{say('people.factor-lost')}</p>
                            <button className="btn justify-self-start" onClick={() => void reset(true)}>
                                {say('people.make-link-factor')}
                            </button>
                        </>
                    )}
                </div>
            )}
            {asking === 'deactivate' && (
                <div className="mt-3 grid gap-3">
                    <p>{say('people.deactivate-says')}</p>
                    <button
                        className="btn btn--go justify-self-end"
                        disabled={active.busy}
                        onClick={() => void active.send({ active: false }).then(then)}
                    >
                        {say('people.deactivate')}
                    </button>
                </div>
            )}
            {asking === 'forget' && (
                <div className="mt-3 grid gap-3">
                    <p>{say('account.forget-means')}</p>
                    <button
                        className="btn btn--go justify-self-end"
                        disabled={forget.busy}
                        onClick={() => void forget.send({}).then(then)}
                    >
                        {say('people.forget')}
                    </button>
                </div>
            )}
            <Bad>{sends.errors.person ?? sends.errors.role ?? sends.errors.other}</Bad>
        </Dialog>
    );
}
