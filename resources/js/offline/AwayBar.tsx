import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { client } from '../api/client';
import { moment } from '../entry/day';
import { inWords } from '../saving/words';
import { LinkButton } from '../shell/LinkButton';
import { useSaver } from '../shell/SaverContext';
import { connection } from './connection';

const AGAIN = 4000;

const LISTS: Record<string, string> = {
    '': 'of the job',
    readings: 'reading',
    cuts: 'size after a cut',
    ticks: 'tick',
    pushes: 'force while pressing',
    trials: 'trial',
};

/** Says that the shop does not answer, what that means for the numbers, and asks for it until it does. */
export function AwayBar() {
    const away = useSyncExternalStore(connection.subscribe, connection.away);
    const saver = useSaver();
    const queries = useQueryClient();
    const [shown, setShown] = useState(false);
    const waits = useSyncExternalStore(saver.subscribe, () => saver.waiting);
    useEffect(() => {
        const ask = () => void client.GET('/api/me').catch(() => undefined);
        const timer = setInterval(ask, AGAIN);
        window.addEventListener('online', ask);
        return () => {
            clearInterval(timer);
            window.removeEventListener('online', ask);
            // It answers again: first what waits here, then what others did meanwhile.
            saver.wake();
            void queries.invalidateQueries();
        };
    }, [saver, queries]);
    if (away === null) {
        return null;
    }
    return (
        <Box
            role="status"
            aria-label="No connection"
            sx={{
                gridArea: 'away',
                px: { xs: 1.5, md: 2.25 },
                py: 0.75,
                borderBottom: 1,
                borderColor: 'strong.main',
                bgcolor: 'found.tint',
                '@media print': { display: 'none' },
            }}
        >
            <Typography variant="body2">
                <b>No connection to the shop.</b> Sizes are as last computed, {moment(away.since)}: what you
                enter now is not in them. It waits on this device and arrives by itself.{' '}
                {waits > 0 && <b>{waits === 1 ? '1 entry waits.' : `${waits} entries wait.`}</b>}{' '}
                {waits > 0 && (
                    <LinkButton size="small" onClick={() => setShown(!shown)}>
                        {shown ? 'Hide them' : 'Show them'}
                    </LinkButton>
                )}
            </Typography>
            {shown && (
                <Box component="ol" sx={{ my: 0.5, pl: 3, maxHeight: '30dvh', overflow: 'auto' }}>
                    {saver.waitingAll().map((change) => (
                        <Typography component="li" variant="body2" key={change.request}>
                            {moment(change.at)},{' '}
                            {LISTS[change.list ?? ''] ?? change.list?.replaceAll('_', ' ')}:{' '}
                            <b>
                                {change.fact === null
                                    ? 'take it away'
                                    : inWords(change.fact['value'] ?? change.fact['after'] ?? change.fact)}
                            </b>
                        </Typography>
                    ))}
                </Box>
            )}
        </Box>
    );
}
