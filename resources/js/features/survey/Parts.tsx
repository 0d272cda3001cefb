/** Jumps to the parts of the survey, on a phone. */
export function Parts() {
    return (
        <nav aria-label="Parts of the survey" className="flex flex-none gap-1.5 overflow-x-auto px-4 pb-2 md:hidden">
            {[
                ['conductors', 'Conductors'],
                ['equipment', 'Equipment'],
                ['readings', 'Readings'],
                ['photos', 'Photographs'],
                ['screening', 'Screening'],
            ].map(([id, word]) => (
                <a key={id} href={`#${id}`} className="chip">
                    {word}
                </a>
            ))}
        </nav>
    );
}
