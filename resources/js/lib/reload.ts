import { router } from '@inertiajs/react';

let running: Promise<void> | null = null;
let queued: Promise<void> | null = null;

// The visit that the person asked for, while it is under way: a link, a filter, another day.
let visits = 0;
let visited: Promise<void> = Promise.resolve();
let ended: () => void = () => undefined;
let drop: (() => void) | null = null;

router.on('start', ({ detail: { visit } }) => {
    if (visit.async) return;
    if (visits++ === 0) visited = new Promise((resolve) => (ended = resolve));
    drop?.();
});
router.on('finish', ({ detail: { visit } }) => {
    if (!visit.async && --visits === 0) ended();
});

/**
 * Reads the page's props again, keeping everything typed. One reading at a time: asked for while one is under way,
 * another follows it, so that a slow old answer never lies over a newer one, and whoever waits sees their own write.
 * A visit goes before: a reading under way is dropped for it and taken again where the person has gone.
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
    running = read().then(() => {
        running = null;
    });
    return running;
}

async function read(): Promise<void> {
    let through = false;
    while (!through) {
        if (visits > 0) await visited;
        through = await new Promise<boolean>((resolve) =>
            router.reload({
                onCancelToken: (token) => (drop = () => token.cancel()),
                onFinish: (visit) => resolve(!visit.cancelled),
            }),
        );
        drop = null;
    }
}
