// The props that PHP pages send. Mirrored here once; a test holds real pages of the application against them. Each
// stage's stand in a file of their own, which knows the shared ones and, where it shows them, an earlier stage's.

export type * from './shared';
export type * from './crew';
export type * from './jobs';
export type * from './survey';
export type * from './plan';
export type * from './set';
export type * from './figures';
export type * from './prove';
export type * from './handover';
export type * from './share';
export type * from './trace';
