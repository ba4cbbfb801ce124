import Box from '@mui/material/Box';
import type { Say } from '../api/types';
import { useSettings } from './settings';

/** What a number was before what is being tried out; nothing where it stays. */
export function Ghost({ was, now }: { was: Say | null | undefined; now: Say | null | undefined }) {
    const { say } = useSettings();
    if (!was || (now && say(was) === say(now))) {
        return null;
    }
    return (
        <Box
            component="s"
            aria-label={`was ${say(was)}`}
            sx={{ color: 'text.secondary', typography: 'label', fontVariantNumeric: 'tabular-nums', mr: 1 }}
        >
            {say(was)}
        </Box>
    );
}
