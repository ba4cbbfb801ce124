import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { newId } from '../../api/client';
import type { TriedChange } from '../../api/types';
import { useJob } from '../../job/JobContext';

/** What such a job may have beside what it was laid out with: one tap adds it. */
export function Offers() {
    const { answers, saveAll } = useJob();
    const [refused, setRefused] = useState<string | null>(null);
    const { offers } = answers.survey;
    if (offers.length === 0) {
        return null;
    }
    return (
        <Box component="section" aria-label="This job may also have" sx={{ mt: 2 }}>
            <Typography variant="h2" sx={{ mb: 0.75 }}>
                This job may also have
            </Typography>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
                {offers.map(({ name, changes }) => (
                    <Button
                        key={name}
                        variant="outlined"
                        color="inherit"
                        onClick={() =>
                            saveAll(withIds(changes)).then(
                                () => setRefused(null),
                                (error: Error) => setRefused(error.message),
                            )
                        }
                    >
                        {name}
                    </Button>
                ))}
            </Box>
            {refused !== null && (
                <Typography variant="body2" color="error" role="alert">
                    {refused}
                </Typography>
            )}
        </Box>
    );
}

/** The things get ids of their own, wherever one names another. */
function withIds(changes: TriedChange[]): TriedChange[] {
    const fresh = new Map<string, string>();
    const named = JSON.stringify(changes).replace(/"(new:[^"]+)"/g, (_, name: string) => {
        const id = fresh.get(name) ?? newId();
        fresh.set(name, id);
        return JSON.stringify(id);
    });
    return JSON.parse(named) as TriedChange[];
}
