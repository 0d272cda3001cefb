import type { Mode } from '@/types';

/** A meter's mode by its letter; volts for what is none. */
export const modeOf = (mode: string): Mode => (mode === 'O' || mode === 'A' || mode === 'B' ? mode : 'V');
