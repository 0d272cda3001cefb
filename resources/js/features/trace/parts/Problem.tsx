import { Bad } from '@/ui/State';

/** Why what was tapped was not taken, where it was tapped. */
export function Problem({ of }: { of: string | null }) {
    return of === null ? null : (
        <p role="alert" className="py-1">
            <Bad>{of}</Bad>
        </p>
    );
}
