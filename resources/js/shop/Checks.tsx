import { LinkButton } from '../shell/LinkButton';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { client, orRefuse, outlives } from '../api/client';
import type { InstrumentState } from '../api/types';

type Check = InstrumentState['checks'][number];

/** The checks of an instrument, oldest first; one that was mistyped is void with its reason and stays in sight. */
export function Checks({ tool }: { tool: InstrumentState }) {
    return tool.checks.map((check) => <Row key={check.id} tool={tool} check={check} />);
}

function Row({ tool, check }: { tool: InstrumentState; check: Check }) {
    const queries = useQueryClient();
    const [asking, setAsking] = useState(false);
    const [why, setWhy] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    const store = async () => {
        try {
            orRefuse(
                await client.POST('/api/instruments/{instrument}/checks/{check}/void', {
                    ...outlives,
                    params: { path: { instrument: tool.code, check: check.id } },
                    body: { why },
                }),
            );
            setAsking(false);
            await queries.invalidateQueries({ queryKey: ['instruments'] });
            await queries.invalidateQueries({ queryKey: ['job'] });
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'Not stored yet. Try again.');
        }
    };
    return (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
            <Typography
                variant="body2"
                color="textSecondary"
                sx={{ textDecoration: check.void === null ? undefined : 'line-through' }}
            >
                {check.at}: read {check.read} on a master of {check.true}
            </Typography>
            {check.void !== null && <Typography variant="body2">does not count: {check.void}</Typography>}
            {check.void === null && !asking && (
                <LinkButton aria-label={`The check of ${check.at} was wrong`} onClick={() => setAsking(true)}>
                    Wrong?
                </LinkButton>
            )}
            {asking && (
                <Box
                    component="form"
                    onSubmit={(event) => {
                        event.preventDefault();
                        void store();
                    }}
                    sx={{ display: 'flex', gap: 1, alignItems: 'start', flex: '1 1 20rem' }}
                >
                    <TextField
                        autoFocus
                        label="Why does it not count?"
                        value={why}
                        error={refused !== null}
                        helperText={refused}
                        onChange={(event) => setWhy(event.target.value)}
                        sx={{ flex: 1 }}
                    />
                    <Button type="submit" variant="outlined">
                        Void it
                    </Button>
                    <Button color="inherit" onClick={() => setAsking(false)}>
                        Leave it
                    </Button>
                </Box>
            )}
        </Box>
    );
}
