import type { Colour, EndView } from '@/types';
import { say } from '@/words';

/** A terminal's tag. The cut corner tells the side: equipment top left, wall top right. */
export function Tag({
    children,
    side = 'wall',
    kind,
}: {
    children: string;
    side?: 'wall' | 'equipment';
    kind?: 'solid' | 'move';
}) {
    return (
        <span className={`tag ${side === 'equipment' ? 'tag--l' : ''} ${kind ? `tag--${kind}` : ''}`}>{children}</span>
    );
}

const words: Record<EndView['state'], string> = {
    landed: '',
    spare: say('shared.spare'),
    capped: say('shared.capped'),
    cut: say('shared.cut-short'),
    broken: say('shared.broken-off'),
    spliced: say('shared.spliced'),
};

/** An end of a conductor: its tag, or the word for a free end. */
export function EndTag({ end, side }: { end: EndView; side: 'wall' | 'equipment' }) {
    return end.terminal === null ? (
        <span className="loose">{end.onto ? say('shared.to', { onto: end.onto }) : words[end.state]}</span>
    ) : (
        <Tag side={side}>{end.terminal}</Tag>
    );
}

/** A short piece of the conductor in its insulation, bare at both ends. */
export function Swatch({ colour, stripe, width = 70 }: { colour: Colour; stripe?: Colour | null; width?: number }) {
    return (
        <svg width={width} height="14" viewBox={`0 0 ${width} 14`} aria-hidden="true" className="shrink-0">
            <line x1="0" x2={width} y1="7" y2="7" stroke="var(--bare)" strokeWidth="3.4" />
            <rect x="9" y="1.8" width={width - 18} height="10.4" fill="var(--strand-edge)" />
            <rect x="10.2" y="3" width={width - 20.4} height="8" fill={`var(--ins-${colour})`} />
            {stripe && <rect x="10.2" y="6" width={width - 20.4} height="2.4" fill={`var(--ins-${stripe})`} />}
            <rect x="10.2" y="4.3" width={width - 20.4} height="1.5" fill="#fff" opacity=".34" />
        </svg>
    );
}
