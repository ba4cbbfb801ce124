import { useEffect, useState } from 'react';

/** The time, ticking every second while something waits for it. */
export function useNow(ticking: boolean): number {
    const [now, setNow] = useState(() => Date.now());
    useEffect(() => {
        if (!ticking) {
            return;
        }
        const timer = setInterval(() => setNow(Date.now()), 1000);
        return () => clearInterval(timer);
    }, [ticking]);
    return now;
}

/** Such as 1:12:05 or 4:09. */
export function countdown(seconds: number): string {
    const s = Math.max(0, Math.ceil(seconds));
    const two = (n: number) => String(n).padStart(2, '0');
    const hours = Math.floor(s / 3600);
    const minutes = Math.floor((s % 3600) / 60);
    return hours > 0 ? `${hours}:${two(minutes)}:${two(s % 60)}` : `${minutes}:${two(s % 60)}`;
}
