import { Glyph } from './Glyph';

/** A tick of 28 px in a target of 44. */
export function Tick({
    checked,
    label,
    onChange,
    disabled,
}: {
    checked: boolean;
    label: string;
    onChange: (next: boolean) => void;
    disabled?: boolean;
}) {
    return (
        <button
            type="button"
            className="tick"
            role="checkbox"
            aria-checked={checked}
            aria-label={label}
            disabled={disabled}
            onClick={() => onChange(!checked)}
            onKeyDown={(event) => {
                // Space ticks; in a form Enter does what its button does, as in every field.
                const form = event.currentTarget.closest('form');
                if (event.key !== 'Enter' || !form) return;
                event.preventDefault();
                form.requestSubmit();
            }}
        >
            <span>{checked && <Glyph name="tick" />}</span>
        </button>
    );
}

/** The same with its words beside it. */
export function TickLine({ strong = false, ...tick }: Parameters<typeof Tick>[0] & { strong?: boolean }) {
    return (
        <div className="mt-1 flex items-center gap-2">
            <Tick {...tick} />
            <span className={strong ? 'font-semibold' : undefined}>{tick.label}</span>
        </div>
    );
}
