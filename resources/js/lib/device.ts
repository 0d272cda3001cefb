import { useEffect, useRef } from 'react';

/** Keeps the screen awake while something runs; where a device cannot, nothing happens. */
export function useAwake(active: boolean): void {
    useEffect(() => {
        if (!active || !('wakeLock' in navigator)) return;
        let lock: WakeLockSentinel | null = null;
        let gone = false;
        const hold = async () => {
            try {
                const got = await navigator.wakeLock.request('screen');
                if (gone) await got.release();
                else lock = got;
            } catch {
                // Refused with a low battery or in the background: the step goes on all the same.
            }
        };
        const again = () => document.visibilityState === 'visible' && void hold();
        void hold();
        document.addEventListener('visibilitychange', again);
        return () => {
            gone = true;
            document.removeEventListener('visibilitychange', again);
            void lock?.release();
        };
    }, [active]);
}

/** At the end of a countdown: two short tones and a buzz, for hands and eyes that are elsewhere. */
export function useEndSignal(active: boolean, left: number): void {
    const was = useRef(left);
    useEffect(() => {
        if (active && was.current > 0 && left <= 0) {
            navigator.vibrate?.([200, 120, 200]);
            tone();
        }
        was.current = left;
    }, [active, left]);
}

function tone(): void {
    try {
        const audio = new AudioContext();
        for (const at of [0, 0.25]) {
            const note = audio.createOscillator();
            const level = audio.createGain();
            note.frequency.value = 880;
            level.gain.setValueAtTime(0.15, audio.currentTime + at);
            level.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + at + 0.2);
            note.connect(level).connect(audio.destination);
            note.start(audio.currentTime + at);
            note.stop(audio.currentTime + at + 0.2);
        }
        setTimeout(() => void audio.close(), 800);
    } catch {
        // No sound on this device.
    }
}
