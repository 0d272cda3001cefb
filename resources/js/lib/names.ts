import { say } from '@/words';

// The words for what is a closed set in the record: kinds of a visit, states of a step, places that a fault is at.

const kinds: Record<string, string> = {
    installation: say('shared.kind-installation'),
    replacement: say('shared.kind-replacement'),
    conversion: say('shared.kind-conversion'),
    'fault call': say('shared.kind-fault-call'),
    maintenance: say('shared.kind-maintenance'),
    'follow-up': say('shared.kind-follow-up'),
};

const states: Record<string, string> = {
    open: say('shared.state-open'),
    running: say('shared.state-running'),
    passed: say('shared.state-passed'),
    failed: say('shared.state-failed'),
};

const places: Record<string, string> = {
    wall: say('shared.place-wall'),
    cable: say('shared.place-cable'),
    indoor: say('shared.place-indoor'),
    outdoor: say('shared.place-outdoor'),
    supply: say('shared.place-supply'),
};

export const kindName = (kind: string): string => kinds[kind] ?? kind;
export const stateName = (state: string): string => states[state] ?? state;
export const faultPlace = (place: string): string => places[place] ?? place;
