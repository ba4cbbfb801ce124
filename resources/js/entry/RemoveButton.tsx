import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useSaver } from '../shell/SaverContext';

/** Takes a thing away at once, and a bar brings it back. What can't go says why. */
export function RemoveButton({ name, remove }: { name: string; remove: () => Promise<unknown> }) {
    const [refused, setRefused] = useState<string | null>(null);
    const saver = useSaver();
    return (
        <>
            <Button
                color="inherit"
                aria-label={`Remove ${name}`}
                onClick={() => {
                    setRefused(null);
                    remove().then(
                        () => saver.sayRemoved(name),
                        (error: Error) => setRefused(error.message),
                    );
                }}
                sx={{ minWidth: 44, px: 0, typography: 'outcome' }}
            >
                ×
            </Button>
            {refused !== null && (
                <Typography variant="body2" color="error" role="alert" sx={{ gridColumn: '1 / -1' }}>
                    {refused}
                </Typography>
            )}
        </>
    );
}
