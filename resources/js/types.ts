// The props that PHP pages send. Mirrored here once; a test holds real pages of the application against them. Each
// stage's stand in a file of their own, which knows the shared ones and, where it shows them, an earlier stage's.

export type * from './types/shared';
export type * from './types/crew';
export type * from './types/jobs';
export type * from './types/survey';
export type * from './types/plan';
export type * from './types/set';
export type * from './types/figures';
export type * from './types/prove';
export type * from './types/handover';
export type * from './types/share';
export type * from './types/trace';
