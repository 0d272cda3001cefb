import type { JobRow } from '@/types';
import { Menu } from '@/ui/Menu';

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
            label={`More for ${job.site}${job.system === 'System' ? '' : `, ${job.system}`}`}
            items={[
                { word: 'Name, day and person', act: () => onDetails() },
                { word: 'Copy …', act: () => onCopy() },
                { word: 'Job file', act: () => window.location.assign(`/jobs/${job.id}/job-file`) },
                ...(job.deleted
                    ? [{ word: 'Restore', act: () => onShelve('restore') }]
                    : job.archived
                      ? [
                            {
                                word: 'Take out of the archive',
                                act: () => onShelve('list'),
                            },
                        ]
                      : [
                            {
                                word: 'Archive',
                                act: () =>
                                    onShelve('archive', {
                                        what: `Archived ${job.site}.`,
                                        back: 'list',
                                    }),
                            },
                        ]),
                ...(job.deleted || job.handedOverAt
                    ? []
                    : [
                          {
                              word: 'Delete',
                              grave: true,
                              act: () =>
                                  onShelve('delete', {
                                      what: `Deleted ${job.site}. It stands under Put away.`,
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
