import { createInertiaApp, router } from '@inertiajs/react';
import type { ComponentType, ReactNode } from 'react';
import { setNonce } from 'get-nonce';
import { createRoot } from 'react-dom/client';
import { dropOldDrafts } from './lib/drafts';
import { follow } from './lib/person';
import { reload } from './lib/reload';
import { Boundary } from './shell/Boundary';
import { tellZone } from './lib/zone';

type Page = ComponentType & { layout?: (content: ReactNode) => ReactNode };

const pages = import.meta.glob<{ default: Page }>('./pages/**/*.tsx');

// A dialog's scroll lock writes a style element at run time: it carries the nonce of the page's own policy.
setNonce(document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '');

dropOldDrafts();

void createInertiaApp({
    title: (title) => (title ? `${title} · Unionbit` : 'Unionbit'),
    resolve: async (name) => {
        const load = pages[`./pages/${name}.tsx`];
        if (!load) throw new Error(name);
        const page = (await load()).default;
        page.layout = (content) => <Boundary>{content}</Boundary>;
        return page;
    },
    setup({ el, App, props }) {
        follow(props.initialPage.props);
        createRoot(el).render(<App {...props} />);
        // The list has a day in it: if the zone is news, it is read again, once there is a page to read.
        if (tellZone() && props.initialPage.component === 'Jobs') {
            const arrived = router.on('navigate', () => {
                arrived();
                void reload();
            });
        }
    },
    // A line of our own at the top, after a moment: see [data-loading] in parts.css.
    progress: false,
});

router.on('start', () => document.documentElement.setAttribute('data-loading', ''));
router.on('finish', () => document.documentElement.removeAttribute('data-loading'));
