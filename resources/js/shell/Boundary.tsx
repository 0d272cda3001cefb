import { router } from '@inertiajs/react';
import { Component, type ReactNode } from 'react';
import { reload } from '@/lib/reload';
import { url } from '@/lib/url';
import { Glyph } from '@/ui/Glyph';
import { putBack, typedIn, type Typed } from './typed';
import { say } from '@/words';

interface State {
    failed: boolean;
    typed: Typed[];
}

const well: State = { failed: false, typed: [] };

/**
 * Where a page fails: it says so, shows what was typed in it, and tries again with that put back. What was recorded
 * is with the server or on the device, so nothing else can be lost.
 */
export class Boundary extends Component<{ children: ReactNode }, State> {
    override state = well;
    private off: (() => void) | undefined;

    /** The failed page still stands in the document: its fields are read before they go. */
    static getDerivedStateFromError(): State {
        return { failed: true, typed: typedIn(document) };
    }

    override componentDidMount(): void {
        this.off = router.on('navigate', this.draw);
    }

    override componentWillUnmount(): void {
        this.off?.();
    }

    /** With what the server says now: a page that fails on old figures need not fail on new ones. */
    private readonly again = (): void => void reload().then(this.draw);

    private readonly draw = (): void => {
        const { failed, typed } = this.state;
        if (!failed) return;
        this.setState({ failed: false, typed: [] }, () => {
            const left = putBack(document, typed);
            if (left.length > 0) this.setState({ typed: left });
        });
    };

    override render(): ReactNode {
        const { failed, typed } = this.state;
        if (!failed && typed.length === 0) return this.props.children;
        const kept = typed.length > 0 && (
            <dl className="mt-3 grid gap-x-4 gap-y-1 sm:grid-cols-[200px_1fr]" data-testid="typed">
                {typed.map(({ label, value }, index) => (
                    <div key={index} className="contents">
                        <dt className="lab">{label}</dt>
                        <dd className="mono select-all break-words">{value}</dd>
                    </div>
                ))}
            </dl>
        );
        if (!failed)
            return (
                <>
                    <div role="status" className="border-b border-caution bg-caution-wash px-5 py-2 text-small">
                        <b>{say('shell.typed-before-without-a-place-on')}</b> {kept}
                        <button className="link" onClick={() => this.setState(well)}>
                            {say('shell.i-have-it')}
                        </button>
                    </div>
                    {this.props.children}
                </>
            );
        return (
            <main className="mx-auto max-w-2xl px-5 py-10" role="alert">
                <h1 className="h-step flex items-center gap-3">
                    <Glyph name="fault" size={26} style={{ color: 'var(--fault)' }} /> {say('shell.this-page-failed')}
                </h1>
                <p className="mt-2">
                    {typed.length > 0
                        ? say('shell.everything-recorded-is-safe-what-you')
                        : say('shell.everything-recorded-is-safe')}
                </p>
                {kept}
                <div className="mt-6 flex flex-wrap gap-3">
                    <button className="btn btn--go" onClick={this.again}>
                        {say('shell.try-again')}
                    </button>
                    <a className="btn" href={url('jobs')}>
                        {say('shell.all-jobs')}
                    </a>
                </div>
            </main>
        );
    }
}
