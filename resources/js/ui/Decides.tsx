import { usePage } from '@inertiajs/react';
import type { ReactNode } from 'react';
import type { Shared } from '@/types';
import { say } from '@/words';

/** What an installer or lead answers for; to anybody else it says whom to ask. */
export function Decides({ children }: { children: ReactNode }) {
    const { user } = usePage<Shared>().props;
    return user?.decides ? (
        children
    ) : (
        <span className="text-note text-muted">{say('shared.an-installer-decides')}</span>
    );
}
