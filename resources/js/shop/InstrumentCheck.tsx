import { TypedField } from '../entry/TypedField';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { client, newId, orRefuse, outlives } from '../api/client';
import type { InstrumentState } from '../api/types';
import { useUnderstood } from '../entry/useUnderstood';
import { useSettings } from '../shell/settings';

export function Check({ tool, done }: { tool: InstrumentState; done: () => void }) {
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
    return (
        <Box
            component="form"
            onSubmit={(event) => {
                event.preventDefault();
                void store();
            }}
            sx={{ display: 'flex', gap: 1.5, mt: 1.5, flexWrap: 'wrap', alignItems: 'flex-start' }}
        >
            <TypedField
                label="The master is"
                value={master}
                autoFocus
                typed={setMaster}
                understood={trueSays}
                sx={{ width: 230 }}
            />
            <TypedField
                label="It reads"
                value={read}
                typed={setRead}
                understood={readSays}
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
