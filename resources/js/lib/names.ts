import { say } from '@/words';

// The words for what is a closed set in the record: states of a step, places that a fault is at.

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

export const stateName = (state: string): string => states[state] ?? state;
export const faultPlace = (place: string): string => places[place] ?? place;
