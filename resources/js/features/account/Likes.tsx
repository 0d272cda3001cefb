import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said } from '@/lib/write/api';
import { prefer } from '@/lib/write/prefer';
import { reload } from '@/lib/reload';
import type { AccountProps, Preferences } from '@/types';
import { Choice } from '@/ui/Choice';
import { Bad } from '@/ui/State';
import { TickLine } from '@/ui/Tick';
import { say } from '@/words';

/** How the person likes it: on every device that they sign in on. */
export function Likes() {
    const { user, schools, languages, crewUnits } = usePage<AccountProps>().props;
    const [bad, setBad] = useState('');
    const mine = user?.preferences;
    if (!mine) return null;
    const change = async (next: Partial<Preferences>) => {
        const answer = await prefer(next);
        setBad(answer.kind === 'ok' ? '' : said(answer));
        // Another language is another set of words: the page is read anew with them.
        if (answer.kind === 'ok' && 'language' in next) window.location.reload();
        else if (answer.kind === 'ok') await reload();
    };
    const units = { us: say('shared.us'), metric: say('shared.metric') };
    const names = new Intl.DisplayNames(document.documentElement.lang, { type: 'language' });
    return (
        <div className="grid gap-4">
            <Row label={say('account.units')} says={say('account.units-says')}>
                <Choice
                    label={say('account.units')}
                    value={mine.units ?? 'crew'}
                    options={[
                        { value: 'crew', label: say('account.as-the-crew', { units: units[crewUnits] }) },
                        { value: 'us', label: units.us },
                        { value: 'metric', label: units.metric },
                    ]}
                    onChoose={(value) => void change({ units: value === 'crew' ? null : value })}
                />
            </Row>
            <Row label={say('account.language')} says={languages.length < 2 ? say('account.one-language') : undefined}>
                <Choice
                    label={say('account.language')}
                    value={mine.language ?? document.documentElement.lang}
                    options={languages.map((code) => ({ value: code, label: names.of(code) ?? code }))}
                    onChoose={(language) => void change({ language })}
                />
            </Row>
            <Row label={say('account.theme')}>
                <Choice
                    label={say('account.theme')}
                    value={mine.theme}
                    options={[
                        { value: 'device', label: say('account.theme-device') },
                        { value: 'bone', label: say('account.theme-bone') },
                        { value: 'headlamp', label: say('account.theme-headlamp') },
                    ]}
                    onChoose={(theme) => void change({ theme })}
                />
            </Row>
            <Row label={say('account.school')} says={say('account.school-says')}>
                <Choice
                    label={say('account.school')}
                    value={mine.school}
                    options={schools}
                    onChoose={(school) => void change({ school })}
                />
            </Row>
            <Row label={say('account.hand')} says={say('account.hand-says')}>
                <Choice
                    label={say('account.hand')}
                    value={mine.hand}
                    options={[
                        { value: 'left', label: say('account.left') },
                        { value: 'right', label: say('account.right') },
                    ]}
                    onChoose={(hand) => void change({ hand })}
                />
            </Row>
            <TickLine
                checked={mine.singleKeys}
                label={say('account.single-keys')}
                onChange={(singleKeys) => void change({ singleKeys })}
            />
            <Bad>{bad}</Bad>
        </div>
    );
}

function Row({ label, says, children }: { label: string; says?: string | undefined; children: React.ReactNode }) {
    return (
        <div>
            <h3 className="lab">{label}</h3>
            <div className="mt-1">{children}</div>
            {says && <p className="mt-1 text-note text-muted">{says}</p>}
        </div>
    );
}
