import Slider from '@mui/material/Slider';
import { useState } from 'react';
import type { LoopFacts } from '../../api/types';
import { useJob } from '../../job/JobContext';
import type { Length } from './loopLength';

/** In a what-if a typed size is dragged; the rest follows at once. */
export function LengthSlider({
    loop,
    length,
    at,
    change,
}: {
    loop: LoopFacts;
    length: Length;
    at: number;
    change: (part: Partial<Length>) => Promise<unknown>;
}) {
    const { state, preview } = useJob();
    const stored = state.facts.loops?.find((l) => l.id === loop.id)?.lengths[at]?.size;
    const unit = length.size?.unit ?? 'mm';
    const scale = unit === 'in' ? 25.4 : 1;
    const places = unit === 'in' ? 4 : 3;
    const middle = (stored?.mm ?? length.size?.mm ?? 0) / scale;
    const [size, setSize] = useState<number | null>(null);
    const reach = Math.max(0.02 * Math.abs(middle), unit === 'in' ? 0.02 : 0.5);
    const as = (value: number) => ({ typed: value.toFixed(places), unit });
    return (
        <Slider
            aria-label={`Drag ${length.name}`}
            value={size ?? (length.size?.mm === undefined ? middle : length.size.mm / scale)}
            min={Math.max(0, middle - reach)}
            max={middle + reach}
            step={10 ** -places}
            marks={[{ value: middle }]}
            onChange={(event, value) => {
                setSize(value);
                // A key moves it and is done: that comes at once, below.
                if (!/^(mouse|touch|pointer)/.test(event.type)) {
                    return;
                }
                const lengths = loop.lengths.map((other, i) =>
                    i === at ? { ...other, size: as(value) } : other,
                );
                void preview('loops', loop.id, { lengths }, ['clearances', 'mistakes']);
            }}
            onChangeCommitted={(_, value) => {
                void change({ size: { ...as(value), mm: value * scale } } as Partial<Length>).then(() =>
                    setSize(null),
                );
            }}
            sx={{ mx: 2, width: 'calc(100% - 32px)' }}
        />
    );
}
