import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { client, orRefuse } from '../api/client';
import type { Note, Say, Unit, WorkingStep } from '../api/types';
import { Notes } from '../shell/Notes';
import { useSettings } from '../shell/settings';
import { Why } from '../shell/Why';

type Asked = 'distance' | 'a' | 'b' | 'turned_a' | 'turned_b' | 'feet' | 'bar';

interface Line {
    says: Say;
    shim_says: Say | null;
    sag_says: Say | null;
    notes: Note[];
    working: WorkingStep[];
}

const FIELDS: [Asked, string][] = [
    ['distance', 'Between the two places'],
    ['a', 'Swing at the first, + or −'],
    ['b', 'Swing at the second'],
    ['turned_a', 'First, bar turned half round'],
    ['turned_b', 'Second, turned'],
    ['feet', 'Between the feet'],
    ['bar', 'Bar ⌀, of steel'],
];

async function inMm(text: string, unit: Unit): Promise<number> {
    const read = orRefuse(
        await client.POST('/api/sums/{name}', {
            params: { path: { name: 'length' } },
            body: { text, unit, signed: true },
        }),
    ) as unknown as { mm: number };
    return read.mm;
}

/** Are two bores on one line? A bar swept at two places, one plane at a time, and the shim that turns it true. */
export function BoreLine() {
    const { typing, say } = useSettings();
    const [texts, setTexts] = useState<Partial<Record<Asked, string>>>({});
    const asked = useDeferredValue(texts);
    const filled = (['distance', 'a', 'b'] as const).every((f) => (asked[f] ?? '').trim() !== '');
    const line = useQuery({
        queryKey: ['bore-line', asked, typing],
        enabled: filled,
        retry: false,
        queryFn: async () => {
            const body: Record<string, number> = {};
            for (const [field] of FIELDS) {
                const text = (asked[field] ?? '').trim();
                if (text !== '') {
                    body[`${field}_mm`] = await inMm(text, typing);
                }
            }
            return orRefuse(
                await client.POST('/api/sums/{name}', { params: { path: { name: 'bore-line' } }, body }),
            ) as unknown as Line;
        },
    });
    return (
        <Box component="section" aria-label="Are two bores on one line">
            <Typography variant="h2" sx={{ mb: 1 }}>
                Are two bores on one line?
            </Typography>
            <Typography variant="body2" sx={{ mb: 1 }}>
                A bar in the one, the indicator on it swept in the other, one plane at a time. The swing is
                the whole difference, this side less the far side; plus: the swept bore lies this way.
            </Typography>
            <Box sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: '1fr 1fr' }}>
                {FIELDS.map(([field, label]) => (
                    <TextField
                        key={field}
                        label={label}
                        helperText={typing}
                        value={texts[field] ?? ''}
                        onChange={(event) => setTexts({ ...texts, [field]: event.target.value })}
                        sx={field === 'distance' ? { gridColumn: '1 / -1' } : undefined}
                    />
                ))}
            </Box>
            {filled && line.isError && (
                <Typography color="error" role="alert" sx={{ mt: 1 }}>
                    {line.error.message}
                </Typography>
            )}
            {filled && line.data && (
                <Box sx={{ mt: 1 }} role="status">
                    {line.data.shim_says && (
                        <Typography variant="outcome">{say(line.data.shim_says)}</Typography>
                    )}
                    <Typography>{say(line.data.says)}</Typography>
                    {line.data.sag_says && <Typography>{say(line.data.sag_says)}</Typography>}
                    <Notes notes={line.data.notes} />
                    <Why steps={line.data.working} label="Why so much" />
                </Box>
            )}
        </Box>
    );
}
