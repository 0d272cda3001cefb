// The door, a person's own page, and the people of a crew.
import type { ShareRow } from './share';
import type { Shared } from './shared';

export interface DoorProps extends Shared {
    kind: 'invitation' | 'password' | 'ended';
    crew?: string;
    role?: string;
    email?: string;
    name?: string;
    least?: number;
}
export interface Device {
    id: string;
    browser: string;
    system: string;
    address: string;
    at: string;
    here: boolean;
}
export interface AccountProps extends Shared {
    me: { name: string; email: string; crew: string; role: string; may: string };
    least: number;
    schools: { value: string; label: string }[];
    languages: string[];
    crewUnits: 'us' | 'metric';
    factor: { since: string | null; codesLeft: number; isHere: boolean };
    devices: Device[];
}
export interface PersonRow {
    id: number;
    name: string;
    email: string;
    role: string;
    roleLabel: string;
    self: boolean;
    active: boolean;
    since: string | null;
    secondFactor: boolean;
}
export interface LinkRow {
    id: number;
    kind: 'invitation' | 'password';
    email: string;
    role: string;
    endsAt: string;
}
export interface PeopleProps extends Shared {
    people: PersonRow[];
    roles: { value: string; label: string; may: string }[];
    leads: boolean;
    crewUnits: 'us' | 'metric';
    links: LinkRow[];
    shares: ShareRow[];
    log: { kind: string; who: string; what: string; at: string }[];
}
