import { usePage } from '@inertiajs/react';
import { url } from '@/lib/url';
import type { JobRow, Shared } from '@/types';
import { Menu, type MenuItem } from '@/ui/Menu';
import { say } from '@/words';

/** Where a job is put, and how that is undone. */
export type Shelve = (
    to: 'archive' | 'list' | 'delete' | 'restore',
    undo?: { what: string; back: 'list' | 'restore' },
) => void;

/** What can be done with a job from the list: a deleted one is restored, a closed one is not renamed or deleted. */
export function JobMenu({
    job,
    onDetails,
    onCopy,
    onShelve,
}: {
    job: JobRow;
    onDetails: () => void;
    onCopy: () => void;
    onShelve: Shelve;
}) {
    const { user } = usePage<Shared>().props;
    const open = job.handedOverAt === null;
    const items: (MenuItem | false)[] = [
        !job.deleted && open && !!user?.works && { word: say('jobs.name-day-and-person'), act: onDetails },
        !job.deleted && !!user?.works && { word: say('jobs.copy-3'), act: onCopy },
        !job.deleted && {
            word: say('jobs.job-file'),
            act: () => window.location.assign(url('job.job-file', { job: job.id })),
        },
        job.deleted && !!user?.decides && { word: say('jobs.restore'), act: () => onShelve('restore') },
        !job.deleted &&
            job.archived &&
            !!user?.decides && { word: say('jobs.take-out-of-the-archive'), act: () => onShelve('list') },
        !job.deleted &&
            !job.archived &&
            !!user?.decides && {
                word: say('jobs.archive'),
                act: () => onShelve('archive', { what: say('jobs.archived', { site: job.site }), back: 'list' }),
            },
        !job.deleted &&
            open &&
            !!user?.decides && {
                word: say('jobs.delete'),
                grave: true,
                act: () =>
                    onShelve('delete', {
                        what: say('jobs.deleted-it-stands-under-put-away', { site: job.site }),
                        back: 'restore',
                    }),
            },
    ];
    const may = items.filter((item) => item !== false);
    if (may.length === 0) return null;
    return (
        <Menu
            label={
                job.system === 'System'
                    ? say('jobs.more-for', { site: job.site })
                    : say('jobs.more-for-3', { site: job.site, system: job.system })
            }
            items={may}
        />
    );
}
