import Box from '@mui/material/Box';
import { useEffect, useRef, useState } from 'react';
import { useJob } from '../job/JobContext';
import { useSettings } from './settings';

/** To be heard, not seen. */
const HEARD = {
    position: 'absolute',
    width: '1px',
    height: '1px',
    overflow: 'hidden',
    clip: 'rect(0 0 0 0)',
} as const;

/** Says to who listens instead of looking when a size to make has changed, and to what. */
export function SizeSaid() {
    const { answers } = useJob();
    const { say } = useSettings();
    const before = useRef<Map<string, string> | null>(null);
    const [said, setSaid] = useState('');
    useEffect(() => {
        const now = new Map(
            answers.make.map((entry) => [entry.label, entry.aim === null ? 'no size yet' : say(entry.aim)]),
        );
        const was = before.current;
        before.current = now;
        if (was === null) {
            return;
        }
        const changed = [...now].filter(([label, size]) => was.get(label) !== size);
        if (changed.length > 0) {
            // Only what stands for a moment: a size that changes with every key is not read out each time.
            const wait = window.setTimeout(
                () => setSaid(changed.map(([label, size]) => `${label}: ${size}`).join('. ')),
                600,
            );
            return () => window.clearTimeout(wait);
        }
    }, [answers.make, say]);
    return (
        <Box role="status" aria-label="Changed sizes" sx={HEARD}>
            {said}
        </Box>
    );
}
