import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { newId } from '../api/client';
import { useInstruments } from '../api/queries';
import type { InstrumentState } from '../api/types';
import { Framed } from '../pictures/Framed';
import { Notes } from '../shell/Notes';
import { useSettings } from '../shell/settings';
import { Checks } from './Checks';
import { useInstrumentChange } from './useInstrumentChange';
import { Figures } from './InstrumentFigures';
import { Check } from './InstrumentCheck';

/** The shop's instruments: how sure they are, what their checks against a master say, and how they moved. */
export function Instruments() {
    const instruments = useInstruments();
    const { change } = useInstrumentChange();
    const [name, setName] = useState('');
    const add = () => {
        const resolution = { typed: '0.01', unit: 'mm' as const };
        void change(newId().toLowerCase(), { name, fits: ['bore', 'shaft', 'length'], resolution }).then(() =>
            setName(''),
        );
    };
    return (
        <Framed pad={0}>
            {instruments.data?.map((tool) => (
                <Tool key={tool.code} tool={tool} />
            ))}
            <Box
                component="form"
                onSubmit={(event) => {
                    event.preventDefault();
                    add();
                }}
                sx={{ display: 'flex', gap: 1.5, p: 1.5, flexWrap: 'wrap' }}
            >
                <TextField
                    label="Another instrument"
                    value={name}
                    onChange={(event) => setName(event.target.value)}
                    sx={{ flex: '1 1 15rem' }}
                />
                <Button type="submit" variant="outlined" color="inherit" disabled={name.trim() === ''}>
                    Add it
                </Button>
            </Box>
        </Framed>
    );
}

function Tool({ tool }: { tool: InstrumentState }) {
    const { say } = useSettings();
    const [open, setOpen] = useState<'check' | 'figures' | null>(null);
    const turn = (what: 'check' | 'figures') => setOpen(open === what ? null : what);
    return (
        <Box
            role="group"
            aria-label={tool.name}
            sx={{ px: 1.5, py: 1, borderBottom: 1, borderColor: 'divider' }}
        >
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
                <Typography sx={{ flex: '1 1 15rem', fontWeight: 650 }}>{tool.name}</Typography>
                <Typography color="textSecondary">
                    {tool.in_shop ? `at best sure to ±${say(tool.sure_to)}` : 'not in the shop'}
                </Typography>
                <Button variant="outlined" color="inherit" onClick={() => turn('figures')}>
                    {open === 'figures' ? 'Close' : 'Figures'}
                </Button>
                <Button variant="outlined" color="inherit" onClick={() => turn('check')}>
                    {open === 'check' ? 'Not now' : 'Check it'}
                </Button>
            </Box>
            <Notes notes={tool.notes} />
            <Checks tool={tool} />
            {open === 'check' && <Check tool={tool} done={() => setOpen(null)} />}
            {open === 'figures' && <Figures tool={tool} />}
        </Box>
    );
}
