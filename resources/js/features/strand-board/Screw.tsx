import type { ComponentProps } from 'react';
import { useProbes } from '@/shell/Shell';
import { SvgTag } from './parts';

/** A screw by its letter; touched, the next probe goes on it. */
export function Screw({ point, ...tag }: Omit<ComponentProps<typeof SvgTag>, 'onTouch'> & { point: string }) {
    const probes = useProbes();
    return <SvgTag {...tag} onTouch={() => probes.touch(point)} />;
}
