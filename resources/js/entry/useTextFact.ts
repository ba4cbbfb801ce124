import { useEffect, useRef, useState } from 'react';
import { useSaver } from '../shell/SaverContext';

const PAUSE = 500;

/** A text that is stored as it is typed: what stands in its field, and what was refused of it. */
export function useTextFact(value: string, store: (text: string) => Promise<unknown>) {
    const saver = useSaver();
    const [text, setText] = useState(value);
    const [known, setKnown] = useState(value);
    const [refused, setRefused] = useState<string | null>(null);
    const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
    const latest = useRef({ text, value, store, saver });
    const here = useRef(true);
    const sent = useRef<(() => void) | null>(null);
    useEffect(() => {
        latest.current = { text, value, store, saver };
    });
    if (value !== known) {
        setKnown(value);
        if (text === known) {
            setText(value);
        }
    }
    const flush = () => {
        clearTimeout(timer.current);
        const now = latest.current;
        sent.current?.();
        sent.current = null;
        if (now.text !== now.value) {
            // On its way it is not stored yet.
            const arrived = now.saver.typing(() => undefined);
            const stored = now.store(now.text);
            void stored.then(arrived, arrived);
            stored.then(
                () => setRefused(null),
                (error: Error) => {
                    if (!here.current) {
                        // The field is gone: its refusal is listed with those that no screen shows.
                        throw error;
                    }
                    setRefused(error.message);
                },
            );
        }
    };
    useEffect(() => {
        here.current = true;
        return () => {
            here.current = false;
            flush();
        };
    }, []);
    const change = (next: string) => {
        setText(next);
        clearTimeout(timer.current);
        timer.current = setTimeout(flush, PAUSE);
        sent.current ??= saver.typing(flush);
    };
    return { text, refused, change, flush };
}
