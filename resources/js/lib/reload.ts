import { router } from '@inertiajs/react';

let running: Promise<void> | null = null;
let queued: Promise<void> | null = null;

/**
 * Reads the page's props again, keeping everything typed. One reading at a time: asked for while one is under way,
 * another follows it, so that a slow old answer never lies over a newer one, and whoever waits sees their own write.
 */
export function reload(): Promise<void> {
    if (!running) return start();
    queued ??= running.then(() => {
        queued = null;
        return start();
    });
    return queued;
}

function start(): Promise<void> {
    running = new Promise<void>((resolve) => router.reload({ onFinish: () => resolve() })).then(() => {
        running = null;
    });
    return running;
}
