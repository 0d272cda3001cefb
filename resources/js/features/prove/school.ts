import type { StepView } from '@/types';

/** The school whose order this device goes by. */
export const preferred = (): string =>
    (typeof localStorage === 'undefined' ? null : localStorage.getItem('school')) ?? 'short';

/** The pairs of a step that have to be read now: the nearer ones too, once something has failed. */
export const toRead = (step: StepView): StepView['probes'] =>
    step.state === 'failed' ? step.probes : step.probes.filter((probe) => !probe.optional);
