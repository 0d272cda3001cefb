/** One of several, or some of them, by a tap. */
export function Chips({
    label,
    chips,
    pressed,
    onTap,
    disabled = false,
}: {
    label: string;
    chips: { value: string; label: string }[];
    pressed: string[];
    onTap: (value: string) => void;
    disabled?: boolean;
}) {
    return (
        <div className="flex flex-wrap gap-1.5" role="group" aria-label={label}>
            {chips.map((chip) => (
                <button
                    key={chip.value}
                    className="trace__chip"
                    aria-pressed={pressed.includes(chip.value)}
                    disabled={disabled}
                    onClick={() => onTap(chip.value)}
                >
                    {chip.label}
                </button>
            ))}
        </div>
    );
}
