import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { Boundary } from '@/shell/Boundary';
import { settled } from './server';

const listeners = vi.hoisted(() => [] as (() => void)[]);
vi.mock('@inertiajs/react', () => ({
    router: { on: (_: string, listener: () => void) => listeners.push(listener) && (() => listeners.splice(0)) },
}));

vi.mock('@/lib/reload', () => ({ reload: () => Promise.resolve() }));

let broken = false;

/** A page that fails when it is told to, as one does whose props are not what it expects. */
function Page({ fields = ['Conductor line'] }: { fields?: string[] }) {
    const [, draw] = useState(0);
    const [values, set] = useState<Record<string, string>>({});
    if (broken) throw new Error('no such cable');
    return (
        <>
            {fields.map((name) => (
                <input
                    key={name}
                    aria-label={name}
                    value={values[name] ?? ''}
                    onChange={(event) => set({ ...values, [name]: event.target.value })}
                />
            ))}
            <input type="password" aria-label="Password" defaultValue="secret" />
            <output>{values['Conductor line'] ?? ''}</output>
            <button onClick={() => draw((n) => n + 1)}>Draw</button>
        </>
    );
}

const fail = () => {
    broken = true;
    fireEvent.click(screen.getByText('Draw'));
};
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

beforeEach(() => {
    broken = false;
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
});
afterEach(cleanup);

it('says that the page failed, shows what was typed, and puts it back where the page knows of it', async () => {
    render(<Page />, { wrapper: Boundary as never });
    type('Conductor line', 'wht W>W !');
    fail();
    expect(screen.getByRole('alert').textContent).toContain('This page failed');
    expect(screen.getByTestId('typed').textContent).toBe('Conductor linewht W>W !');

    fireEvent.click(screen.getByText('Try again'));
    await settled();
    expect(screen.getByTestId('typed').textContent).toBe('Conductor linewht W>W !');

    broken = false;
    fireEvent.click(screen.getByText('Try again'));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    expect(screen.getByRole('status').textContent).toBe('wht W>W !');
});

it('is gone with the next page', () => {
    render(<Page />, { wrapper: Boundary as never });
    fail();
    broken = false;
    listeners.forEach((listener) => listener());
    return screen.findByText('Draw');
});
