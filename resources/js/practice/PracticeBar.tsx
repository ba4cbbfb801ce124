import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { useKey } from '../shell/keys';
import { useNavigate } from '../shell/router';
import { Cutting } from './Cutting';
import { Else } from './Else';
import { Joining } from './Joining';
import { Reading } from './Reading';
import { useDeed, usePracticeBench } from './usePractice';

type Tool = 'read' | 'cut' | 'join' | 'else' | 'end';

/** What lies nearest at each stage. */
const AT: Record<string, Tool> = { measure: 'read', make: 'cut', assemble: 'join', 'hand-over': 'end' };

/** What can be taken hold of by the keys. */
const HANDLES = ['input', 'textarea', 'button', '[role=combobox]', '[tabindex="0"]'].join();

/** The mark of practice on every screen of such a job, and the simulated shop behind it. */
export function PracticeBar({ job, stage }: { job: string; stage: string }) {
    const state = usePracticeBench(job);
    const { act, refused } = useDeed(job);
    const navigate = useNavigate();
    const [chosen, setChosen] = useState<{ stage: string; tool: Tool | null } | null>(null);
    const [why, setWhy] = useState('');
    const tool = chosen?.stage === stage ? chosen.tool : (AT[stage] ?? null);
    const bench = state.data?.bench;
    const bar = useRef<HTMLElement>(null);
    useKey(
        'g',
        () => {
            const first = bar.current?.querySelector<HTMLElement>(`[data-tool] :is(${HANDLES})`);
            (first ?? bar.current?.querySelector<HTMLElement>('button'))?.focus();
        },
        true,
    );
    const over = bench?.over ?? false;
    const end = async (kind: 'end' | 'decline') => {
        const done = await act(kind === 'decline' ? { kind, why } : { kind });
        if (done?.debrief) {
            void navigate(`/practice/${job}`);
        }
    };
    return (
        <Box
            component="section"
            ref={bar}
            aria-label="Practice"
            sx={{
                border: '3px dashed',
                borderColor: 'overlap.main',
                p: 1.5,
                mb: 1.5,
                maxWidth: 1000,
                '@media print': { display: 'block' },
            }}
        >
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
                <Typography sx={{ fontWeight: 700, letterSpacing: '0.06em' }} color="overlap">
                    PRACTICE
                </Typography>
                <Typography variant="body2" sx={{ flex: '1 1 14rem' }}>
                    Simulated parts: nothing here is real.
                </Typography>
                {bench && !over && (
                    <ToggleButtonGroup
                        exclusive
                        size="small"
                        value={tool}
                        aria-label="In the simulated shop"
                        onChange={(_, to: Tool | null) => setChosen({ stage, tool: to })}
                        sx={{ flexWrap: 'wrap' }}
                    >
                        {stage === 'measure' && <ToggleButton value="read">Gauge</ToggleButton>}
                        {stage === 'make' && <ToggleButton value="cut">Lathe</ToggleButton>}
                        <ToggleButton value="join">Put together</ToggleButton>
                        <ToggleButton value="else">Also</ToggleButton>
                        <ToggleButton value="end">Hand over</ToggleButton>
                    </ToggleButtonGroup>
                )}
                {over && (
                    <Button variant="contained" onClick={() => void navigate(`/practice/${job}`)}>
                        What was true
                    </Button>
                )}
            </Box>
            {state.isError && (
                <Typography variant="body2" sx={{ mt: 1 }}>
                    {state.error.message}
                </Typography>
            )}
            {bench && (stage === 'take-in' || stage === 'survey') && (
                <Typography sx={{ mt: 1, maxWidth: '60ch' }}>{bench.lesson.story}</Typography>
            )}
            {refused !== null && (
                <Alert severity="warning" variant="outlined" sx={{ mt: 1 }}>
                    {refused}
                </Alert>
            )}
            {bench && !over && tool !== null && (
                <Box data-tool={tool} sx={{ mt: 1.5 }}>
                    {tool === 'read' && stage === 'measure' && <Reading bench={bench} act={act} />}
                    {tool === 'cut' && stage === 'make' && <Cutting bench={bench} act={act} />}
                    {tool === 'join' && <Joining bench={bench} act={act} />}
                    {tool === 'else' && <Else bench={bench} act={act} />}
                    {tool === 'end' && (
                        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start' }}>
                            <Button variant="contained" onClick={() => void end('end')}>
                                Hand over, and see what is true
                            </Button>
                            <Box
                                component="form"
                                onSubmit={(event) => {
                                    event.preventDefault();
                                    void end('decline');
                                }}
                                sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, flex: '1 1 22rem' }}
                            >
                                <TextField
                                    label="Or refuse it, because"
                                    value={why}
                                    onChange={(event) => setWhy(event.target.value)}
                                    sx={{ flex: '1 1 12rem' }}
                                />
                                <Button type="submit" variant="outlined" color="inherit">
                                    Refuse the job
                                </Button>
                            </Box>
                        </Box>
                    )}
                </Box>
            )}
        </Box>
    );
}
