/** One of a few, as words to tap: arrows go from one to the next. */
export function Choice<T extends string>({
    label,
    value,
    options,
    onChoose,
    disabled = false,
}: {
    label: string;
    value: T;
    options: { value: T; label: string }[];
    onChoose: (value: T) => void;
    disabled?: boolean;
}) {
    const step = (event: React.KeyboardEvent, by: number) => {
        event.preventDefault();
        const at = options.findIndex((option) => option.value === value);
        const next = options[(at + by + options.length) % options.length];
        if (!next) return;
        onChoose(next.value);
        const chips = event.currentTarget.parentElement?.querySelectorAll<HTMLElement>('[role="radio"]');
        chips?.[(at + by + options.length) % options.length]?.focus();
    };
    return (
        <div role="radiogroup" aria-label={label} className="flex flex-wrap gap-y-1">
            {options.map((option, index) => (
                <button
                    key={option.value}
                    type="button"
                    role="radio"
                    aria-checked={option.value === value}
                    tabIndex={
                        option.value === value || (index === 0 && !options.some((o) => o.value === value)) ? 0 : -1
                    }
                    className="chip"
                    disabled={disabled}
                    onClick={() => onChoose(option.value)}
                    onKeyDown={(event) => {
                        if (event.key === 'ArrowRight' || event.key === 'ArrowDown') step(event, 1);
                        if (event.key === 'ArrowLeft' || event.key === 'ArrowUp') step(event, -1);
                    }}
                >
                    {option.label}
                </button>
            ))}
        </div>
    );
}
