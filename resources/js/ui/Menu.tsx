import { clsx } from 'clsx';
import { DropdownMenu as Radix } from 'radix-ui';
import { Glyph } from './Glyph';

export interface MenuItem {
    word: string;
    act: () => void;
    grave?: boolean;
}

/** What can be done with a row, behind three dots. */
export function Menu({ label, items }: { label: string; items: MenuItem[] }) {
    return (
        <Radix.Root modal={false}>
            <Radix.Trigger className="grid size-11 place-items-center text-muted hover:text-ink" aria-label={label}>
                <Glyph name="more" />
            </Radix.Trigger>
            <Radix.Portal>
                <Radix.Content align="end" className="z-30 min-w-52 border-2 border-ink bg-panel">
                    {items.map((item) => (
                        <Radix.Item
                            key={item.word}
                            onSelect={item.act}
                            className={clsx(
                                'fold px-4 font-lab text-body font-semibold outline-none',
                                'data-[highlighted]:bg-ink data-[highlighted]:text-bone',
                                item.grave && 'text-fault-ink',
                            )}
                        >
                            {item.word}
                        </Radix.Item>
                    ))}
                </Radix.Content>
            </Radix.Portal>
        </Radix.Root>
    );
}
