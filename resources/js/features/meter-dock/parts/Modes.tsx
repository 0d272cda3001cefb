import type { Mode } from '@/types';
import { Glyph, type GlyphName } from '@/ui/Glyph';
import { say } from '@/words';
import { useMeter } from '../state/meter';
import { select } from '../state/useMeterKeys';

const modes: { mode: Mode; sign: string | GlyphName; word: string }[] = [
    { mode: 'V', sign: 'V~', word: say('meter.volts') },
    { mode: 'O', sign: 'ohm', word: say('meter.ohms') },
    { mode: 'A', sign: 'A~', word: say('meter.clamp') },
    { mode: 'B', sign: 'beep', word: say('meter.beep') },
];

export function Modes() {
    const meter = useMeter();
    return (
        <div className="modes" role="group" aria-label={say('meter.meter-mode')}>
            {modes.map((item) => (
                <button
                    key={item.mode}
                    aria-pressed={item.mode === meter.probes.mode}
                    onClick={() => select(meter, item.mode)}
                >
                    <span>{item.sign.length <= 2 ? item.sign : <Glyph name={item.sign as GlyphName} size={18} />}</span>
                    <small>{item.word}</small>
                </button>
            ))}
        </div>
    );
}
