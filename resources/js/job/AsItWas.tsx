import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { client, newId, orRefuse } from '../api/client';
import { useHistory } from '../api/queries';
import type { JobState } from '../api/types';
import { moment } from '../entry/day';
import { useSearchParams } from '../shell/router';
import { useSaver } from '../shell/SaverContext';

/** Above a job as it was: when that was, the way back to now, and the way to have it stand again. */
export function AsItWas({ now, change }: { now: JobState; change: number }) {
    const job = now.facts.id;
    const saver = useSaver();
    const history = useHistory(job, now.version);
    const row = history.data?.pages.flat().find((one) => one.id === change);
    const [, setParams] = useSearchParams();
    const [refused, setRefused] = useState<string | null>(null);
    const leave = () =>
        setParams((params) => {
            params.delete('as_of');
            return params;
        });
    const bringBack = async () => {
        setRefused(null);
        try {
            orRefuse(
                await client.POST('/api/jobs/{job}/history/{change}', {
                    params: { path: { job, change } },
                    body: { version: now.version, request: newId() },
                }),
            );
            await saver.fetchAnew(job);
            leave();
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'It was not stored: try again.');
        }
    };
    return (
        <Alert
            severity="warning"
            variant="outlined"
            sx={{
                mb: 1.5,
                flexWrap: 'wrap',
                '& .MuiAlert-message': { flex: '1 1 20rem' },
                '& button': { whiteSpace: 'nowrap' },
            }}
            action={
                <>
                    <Button color="inherit" onClick={leave}>
                        Back to now
                    </Button>
                    <Button variant="outlined" color="inherit" onClick={() => void bringBack()}>
                        Bring this back
                    </Button>
                </>
            }
        >
            {refused ?? (
                <>
                    <b>As it was{row === undefined ? ' once' : `, ${moment(row.at)}`}.</b> Nothing is stored
                    here. Brought back, it stands again as a change of its own; what was measured or cut since
                    stays, set aside.
                </>
            )}
        </Alert>
    );
}
