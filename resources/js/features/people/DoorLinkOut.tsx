import { LinkOut } from '@/ui/LinkOut';
import { say } from '@/words';

export interface MadeLink {
    url: string;
    mailed: boolean;
}

/** A link at the door: mailed where this server sends mail, and shown this once. */
export function DoorLinkOut({ link, to, onDone }: { link: MadeLink; to: string; onDone: () => void }) {
    return (
        <LinkOut
            url={link.url}
            to={to}
            says={link.mailed ? say('people.link-mailed') : say('people.link-hand-over')}
            onDone={onDone}
        />
    );
}
