import { createInertiaApp, router } from '@inertiajs/react';
import type { ComponentType } from 'react';
import { createRoot } from 'react-dom/client';

const pages = import.meta.glob<{ default: ComponentType }>('./pages/*.tsx');

void createInertiaApp({
    title: (title) => (title ? `${title} · Unionbit` : 'Unionbit'),
    resolve: async (name) => {
        const load = pages[`./pages/${name}.tsx`];
        if (!load) throw new Error(`There is no page ${name}.`);
        return (await load()).default;
    },
    setup({ el, App, props }) {
        createRoot(el).render(<App {...props} />);
    },
    // A line of our own at the top, after a moment: see [data-loading] in parts.css.
    progress: false,
});

router.on('start', () => document.documentElement.setAttribute('data-loading', ''));
router.on('finish', () => document.documentElement.removeAttribute('data-loading'));
