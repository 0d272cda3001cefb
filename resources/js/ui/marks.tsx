import type { ReactNode } from 'react';

/** The marks that a sentence of `lang/` can carry: what stands between <b> and </b> there. */
export const mono = (told: ReactNode): ReactNode => <span className="mono">{told}</span>;
export const bold = (told: ReactNode): ReactNode => <b className="font-semibold">{told}</b>;
export const keyed = (told: ReactNode): ReactNode => <span className="key">{told}</span>;
