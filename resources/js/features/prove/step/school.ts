import { preferences } from '@/lib/person';
import type { StepView } from '@/types';

/** The school whose order this person goes by. */
export const preferred = (): string => preferences().school;

/** The pairs of a step that have to be read now: the nearer ones too, once something has failed. */
export const toRead = (step: StepView): StepView['probes'] =>
    step.state === 'failed' ? step.probes : step.probes.filter((probe) => !probe.optional);
