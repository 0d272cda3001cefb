import { createInertiaApp, router } from '@inertiajs/react';
import type { ComponentType } from 'react';
import { setNonce } from 'get-nonce';
import { createRoot } from 'react-dom/client';

const pages = import.meta.glob<{ default: ComponentType }>('./pages/*.tsx');

// A dialog's scroll lock writes a style element at run time: it carries the nonce of the page's own policy.
setNonce(document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '');

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
