import { url } from '@/lib/url';
import type { JobRow } from '@/types';
import { Menu } from '@/ui/Menu';
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
    return (
        <Menu
            label={
                job.system === 'System'
                    ? say('jobs.more-for', { site: job.site })
                    : say('jobs.more-for-3', { site: job.site, system: job.system })
            }
            items={[
                { word: say('jobs.name-day-and-person'), act: () => onDetails() },
                { word: say('jobs.copy-3'), act: () => onCopy() },
                { word: say('jobs.job-file'), act: () => window.location.assign(url('job.job-file', { job: job.id })) },
                ...(job.deleted
                    ? [{ word: say('jobs.restore'), act: () => onShelve('restore') }]
                    : job.archived
                      ? [
                            {
                                word: say('jobs.take-out-of-the-archive'),
                                act: () => onShelve('list'),
                            },
                        ]
                      : [
                            {
                                word: say('jobs.archive'),
                                act: () =>
                                    onShelve('archive', {
                                        what: say('jobs.archived', { site: job.site }),
                                        back: 'list',
                                    }),
                            },
                        ]),
                ...(job.deleted || job.handedOverAt
                    ? []
                    : [
                          {
                              word: say('jobs.delete'),
                              grave: true,
                              act: () =>
                                  onShelve('delete', {
                                      what: say('jobs.deleted-it-stands-under-put-away', { site: job.site }),
                                      back: 'restore',
                                  }),
                          },
                      ]),
            ].filter(
                (item) =>
                    (!job.deleted || item.word === 'Restore') &&
                    (job.handedOverAt === null || item.word !== 'Name, day and person'),
            )}
        />
    );
}
