import { useEffect, useRef, useState } from 'react';
import { client, refusal } from '../../api/client';
import type { GaugeReading, Unit } from '../../api/types';

/** How a gauge on a serial line is spoken to; chosen once, kept in this browser. */
export interface Line {
    baudRate: number;
    parity: 'none' | 'even' | 'odd';
    unit: Unit;
}

interface Port {
    open: (options: { baudRate: number; parity: Line['parity'] }) => Promise<void>;
    close: () => Promise<void>;
    readable: ReadableStream<Uint8Array> | null;
}

interface Serial {
    requestPort: () => Promise<Port>;
    getPorts: () => Promise<Port[]>;
}

/** A gauge at this browser, not on the rack. */
export const SERIAL = 'serial';

const KEY = 'oldpart-fit-serial';

export function keptLine(): Line {
    try {
        const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null');
        if (typeof kept === 'object' && kept !== null && 'baudRate' in kept) {
            return kept as Line;
        }
    } catch {
        // Nothing usable is kept: begin with what most gauges speak.
    }
    return { baudRate: 9600, parity: 'none', unit: 'mm' };
}

export const serial = (): Serial | undefined =>
    'serial' in navigator ? (navigator as Navigator & { serial: Serial }).serial : undefined;

/** A gauge on this machine's serial line: each line it sends is read by the shop's own reader and handed on once. */
export function useSerial(line: Line, on: boolean, arrived: (reading: GaugeReading) => void) {
    const [says, setSays] = useState<string | null>(null);
    const [port, setPort] = useState<Port | null>(null);
    const hand = useRef(arrived);
    useEffect(() => {
        hand.current = arrived;
    });
    const choose = async () => {
        try {
            setPort((await serial()?.requestPort()) ?? null);
        } catch {
            setSays('No gauge was chosen.');
        }
    };
    useEffect(() => {
        if (!on || port === null) {
            return;
        }
        localStorage.setItem(KEY, JSON.stringify(line));
        let stopped = false;
        let reader: ReadableStreamDefaultReader<Uint8Array> | undefined;
        const listen = async () => {
            while (!stopped) {
                try {
                    await port.open({ baudRate: line.baudRate, parity: line.parity });
                    setSays(null);
                    reader = port.readable?.getReader();
                    await lines(reader, async (text) => {
                        const answer = await untilRead(text, line.unit, () => stopped);
                        if (answer === null) {
                            return;
                        }
                        if (answer.data) {
                            setSays(null);
                            hand.current(answer.data);
                        } else {
                            setSays(refusal(answer.error).message);
                        }
                    });
                } catch {
                    // Unplugged, or taken by another program: said below, and tried again.
                }
                reader?.releaseLock();
                await port.close().catch(() => undefined);
                if (!stopped) {
                    setSays('The gauge does not answer. It is tried again.');
                    await new Promise((done) => setTimeout(done, 1500));
                }
            }
        };
        void listen();
        return () => {
            stopped = true;
            void reader?.cancel().catch(() => undefined);
        };
    }, [on, port, line]);
    return { says, choose, chosen: port !== null };
}

/** A reading sent while the shop can't be reached is kept and read when it can. */
async function untilRead(text: string, unit: Unit, stopped: () => boolean) {
    for (;;) {
        try {
            return await client.POST('/api/gauges/line', { body: { text, unit } });
        } catch {
            if (stopped()) {
                return null;
            }
            await new Promise((done) => setTimeout(done, 500));
        }
    }
}

/** Hands on each whole line; half a line waits for its rest. */
async function lines(
    reader: ReadableStreamDefaultReader<Uint8Array> | undefined,
    each: (line: string) => Promise<void>,
): Promise<void> {
    const decoder = new TextDecoder();
    let rest = '';
    while (reader) {
        const { value, done } = await reader.read();
        if (done) {
            return;
        }
        const parts = (rest + decoder.decode(value, { stream: true })).split(/\r\n|\n|\r/);
        rest = (parts.pop() ?? '').slice(-200);
        for (const line of parts) {
            if (line.trim() !== '') {
                await each(line);
            }
        }
    }
}
