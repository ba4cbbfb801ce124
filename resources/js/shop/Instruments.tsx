import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { client, newId, orRefuse } from '../api/client';
import { useInstruments } from '../api/queries';
import type { InstrumentState } from '../api/types';
import { useUnderstood } from '../entry/useUnderstood';
import { Framed } from '../pictures/Framed';
import { Notes } from '../shell/Notes';
import { useSettings } from '../shell/settings';
import { mono } from '../theme/theme';

/** The shop's instruments: how sure they are, what their checks against a master say, and how they moved. */
export function Instruments() {
    const instruments = useInstruments();
    return (
        <Framed pad={0}>
            {instruments.data?.map((tool) => (
                <Tool key={tool.code} tool={tool} />
            ))}
        </Framed>
    );
}

function Tool({ tool }: { tool: InstrumentState }) {
    const { say } = useSettings();
    const [checking, setChecking] = useState(false);
    return (
        <Box
            role="group"
            aria-label={tool.name}
            sx={{ px: 1.5, py: 1, borderBottom: 1, borderColor: 'divider' }}
        >
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
                <Typography sx={{ flex: '1 1 240px', fontWeight: 650 }}>{tool.name}</Typography>
                <Typography color="textSecondary">at best sure to ±{say(tool.sure_to)}</Typography>
                <Button variant="outlined" color="inherit" onClick={() => setChecking(!checking)}>
                    {checking ? 'Not now' : 'Check it'}
                </Button>
            </Box>
            <Notes notes={tool.notes} />
            {tool.checks.length > 0 && (
                <Typography variant="body2" color="textSecondary">
                    {tool.checks
                        .map((check) => `${check.at}: read ${check.read} on a master of ${check.true}`)
                        .join(' · ')}
                </Typography>
            )}
            {checking && <Check tool={tool} done={() => setChecking(false)} />}
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
