import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useSaver } from '../shell/SaverContext';

/** Takes a thing away at once, and a bar brings it back. What can't go says why. */
export function RemoveButton({
    name,
    remove,
    says,
}: {
    name: string;
    remove: () => Promise<unknown>;
    /** In words, where a mark is not enough. */
    says?: string;
}) {
    const [refused, setRefused] = useState<string | null>(null);
    const saver = useSaver();
    return (
        <>
            <Button
                color="inherit"
                aria-label={says === undefined ? `Remove ${name}` : `${says}: ${name}`}
                onClick={() => {
                    setRefused(null);
                    remove().then(
                        () => saver.sayRemoved(name),
                        (error: Error) => setRefused(error.message),
                    );
                }}
                sx={says === undefined ? { minWidth: 44, px: 0, typography: 'outcome' } : { minWidth: 44 }}
            >
                {says ?? '×'}
            </Button>
            {refused !== null && (
                <Typography variant="body2" color="error" role="alert" sx={{ gridColumn: '1 / -1' }}>
                    {refused}
                </Typography>
            )}
        </>
    );
}
