import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { client, newId, orRefuse, outlives } from '../api/client';
import { useInstruments } from '../api/queries';
import type { InstrumentChange, InstrumentState } from '../api/types';
import { LengthField } from '../entry/LengthField';
import { TextFact } from '../entry/TextFact';
import { useUnderstood } from '../entry/useUnderstood';
import { Framed } from '../pictures/Framed';
import { Notes } from '../shell/Notes';
import { useSettings } from '../shell/settings';
import { mono } from '../theme/theme';
import { Checks } from './Checks';

/** The shop's instruments: how sure they are, what their checks against a master say, and how they moved. */
export function Instruments() {
    const instruments = useInstruments();
    const { change } = useChange();
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
                    sx={{ flex: '1 1 240px' }}
                />
                <Button type="submit" variant="outlined" color="inherit" disabled={name.trim() === ''}>
                    Add it
                </Button>
            </Box>
        </Framed>
    );
}

/** Stores what was changed of an instrument; every list that shows it is read anew. */
function useChange() {
    const queries = useQueryClient();
    const anew = async () => {
        await Promise.all(
            ['instruments', 'catalogue', 'job', 'bench'].map((key) =>
                queries.invalidateQueries({ queryKey: [key] }),
            ),
        );
    };
    const change = async (code: string, body: InstrumentChange) => {
        orRefuse(
            await client.PUT('/api/instruments/{instrument}', {
                ...outlives,
                params: { path: { instrument: code } },
                body,
            }),
        );
        await anew();
    };
    const usual = async (code: string) => {
        orRefuse(
            await client.DELETE('/api/instruments/{instrument}', {
                ...outlives,
                params: { path: { instrument: code } },
            }),
        );
        await anew();
    };
    return { change, usual };
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
                <Typography sx={{ flex: '1 1 240px', fontWeight: 650 }}>{tool.name}</Typography>
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

const KINDS = ['bore', 'shaft', 'length'] as const;

/** What is known of the instrument: each figure is stored when it is left, and every job follows it. */
function Figures({ tool }: { tool: InstrumentState }) {
    const { change, usual } = useChange();
    return (
        <Box sx={{ mt: 1.5 }}>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: 'repeat(auto-fill, minmax(250px, 1fr))',
                }}
            >
                <TextFact label="Name" value={tool.name} store={(name) => change(tool.code, { name })} />
                {tool.figures.map((figure) => (
                    <LengthField
                        key={figure.field}
                        label={`${figure.label}, ${figure.unit}`}
                        value={figure.typed}
                        unit={figure.unit}
                        small
                        store={(typed) => change(tool.code, { [figure.field]: { typed, unit: figure.unit } })}
                    />
                ))}
            </Box>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.5, alignItems: 'center' }}>
                <ToggleButtonGroup
                    value={tool.fits}
                    aria-label="What it measures"
                    onChange={(_, fits: (typeof KINDS)[number][]) => void change(tool.code, { fits })}
                >
                    {KINDS.map((kind) => (
                        <ToggleButton key={kind} value={kind} sx={{ textTransform: 'none' }}>
                            {kind}s
                        </ToggleButton>
                    ))}
                </ToggleButtonGroup>
                <Button
                    variant="outlined"
                    color="inherit"
                    onClick={() => void change(tool.code, { in_shop: !tool.in_shop })}
                >
                    {tool.in_shop ? 'Not in this shop' : 'It is in this shop'}
                </Button>
                {tool.usual === false && (
                    <Button variant="outlined" color="inherit" onClick={() => void usual(tool.code)}>
                        Back to the usual figures
                    </Button>
                )}
                <Typography variant="body2" color="textSecondary">
                    Readings already taken follow what is changed here.
                </Typography>
            </Box>
        </Box>
    );
}

function Check({ tool, done }: { tool: InstrumentState; done: () => void }) {
    const { typing } = useSettings();
    const queries = useQueryClient();
    const [id] = useState(newId);
    const [master, setMaster] = useState('');
    const [read, setRead] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    const trueSays = useUnderstood(master, typing);
    const readSays = useUnderstood(read, typing);
    const store = async () => {
        try {
            orRefuse(
                await client.POST('/api/instruments/{instrument}/checks', {
                    ...outlives,
                    params: { path: { instrument: tool.code } },
                    body: {
                        id,
                        read: { typed: read, unit: typing },
                        true: { typed: master, unit: typing },
                        at: new Date().toISOString(),
                    },
                }),
            );
            await queries.invalidateQueries({ queryKey: ['instruments'] });
            done();
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'Not stored yet. Try again.');
        }
    };
    const large = { htmlInput: { autoComplete: 'off', style: { fontFamily: mono, fontSize: 20 } } };
    return (
        <Box
            component="form"
            onSubmit={(event) => {
                event.preventDefault();
                void store();
            }}
            sx={{ display: 'flex', gap: 1.5, mt: 1.5, flexWrap: 'wrap', alignItems: 'flex-start' }}
        >
            <TextField
                label="The master is"
                value={master}
                autoFocus
                onChange={(event) => setMaster(event.target.value)}
                error={trueSays?.refused != null}
                helperText={trueSays?.refused ?? trueSays?.shown?.both ?? ' '}
                slotProps={large}
                sx={{ width: 230 }}
            />
            <TextField
                label="It reads"
                value={read}
                onChange={(event) => setRead(event.target.value)}
                error={readSays?.refused != null}
                helperText={readSays?.refused ?? readSays?.shown?.both ?? ' '}
                slotProps={large}
                sx={{ width: 230 }}
            />
            <Button type="submit" variant="contained">
                Store the check
            </Button>
            {refused !== null && (
                <Typography color="error" role="alert" sx={{ width: 1 }}>
                    {refused}
                </Typography>
            )}
        </Box>
    );
}
