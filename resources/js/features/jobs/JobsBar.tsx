import { usePage } from '@inertiajs/react';
import { day as dayWord } from '@/lib/format';
import { Mark } from '@/shell/Shell';
import { Tools } from '@/shell/Tools';
import type { JobsProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';

/** The bar over the list: the crew, the day, and whether any site is live. */
export function JobsBar() {
    const { jobs, user, now } = usePage<JobsProps>().props;
    const live = jobs.filter((job) => job.power.state === 'live' && job.handedOverAt === null);
    return (
        <header className="bar">
            <Mark />
            <div className="bar__job">
                <b>{user?.crew}</b>
                <span>{dayWord(now)}</span>
            </div>
            {live.length > 0 && (
                <div className="pf pf--live">
                    <div className="pf__flag" role="status">
                        <Glyph name="live" size={28} />
                        <div>
                            <b>{say('jobs.1-site-live-other', { live: live.length })}</b>
                            <span className="max-w-[180px] overflow-hidden text-ellipsis">{live[0]?.site}</span>
                        </div>
                    </div>
                </div>
            )}
            <Tools />
        </header>
    );
}
