import { moment } from '../entry/day';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { Unsettled } from '../saving/change';
import { inWords } from '../saving/words';
import { mono } from '../theme/theme';

interface Props {
    list: Unsettled[];
    open: boolean;
    close: () => void;
    again: (one: Unsettled) => void;
    drop: (one: Unsettled) => void;
}

/** What was typed and is not stored: each with why, what was typed and what stands there, and both ways on. */
export function NotStored({ list, open, close, again, drop }: Props) {
    return (
        <Dialog open={open} onClose={close} fullWidth maxWidth="sm">
            <DialogTitle>Not stored</DialogTitle>
            <DialogContent>
                {list.map((one) => (
                    <Box
                        key={one.change.request}
                        component="section"
                        sx={{ borderTop: 1, borderColor: 'divider', py: 1.25 }}
                    >
                        <Typography sx={{ fontWeight: 700 }}>{one.why}</Typography>
                        <Typography variant="body2" color="textSecondary">
                            {one.change.list ?? 'job'}, typed{' '}
                            {one.change.at === '' ? 'earlier' : moment(one.change.at)}
                        </Typography>
                        <Box
                            sx={{
                                display: 'grid',
                                gridTemplateColumns: one.kind === 'clash' ? 'auto 1fr 1fr' : 'auto 1fr',
                                columnGap: 2,
                                my: 1,
                            }}
                        >
                            {one.kind === 'clash' && (
                                <>
                                    <span />
                                    <b>mine</b>
                                    <b>theirs</b>
                                </>
                            )}
                            {rows(one).map(([field, mine, theirs]) => (
                                <Box key={field} sx={{ display: 'contents' }}>
                                    <Typography variant="body2">{field}</Typography>
                                    <Typography sx={{ fontFamily: mono, overflowWrap: 'anywhere' }}>
                                        {mine}
                                    </Typography>
                                    {one.kind === 'clash' && (
                                        <Typography sx={{ fontFamily: mono, overflowWrap: 'anywhere' }}>
                                            {theirs}
                                        </Typography>
                                    )}
                                </Box>
                            ))}
                        </Box>
                        <Button variant="outlined" onClick={() => again(one)}>
                            {one.kind === 'clash' ? 'Keep mine' : 'Try again'}
                        </Button>{' '}
                        <Button color="inherit" onClick={() => drop(one)}>
                            {one.kind === 'clash' ? 'Take theirs' : 'Drop it'}
                        </Button>
                    </Box>
                ))}
            </DialogContent>
            <DialogActions>
                <Button onClick={close}>Later</Button>
            </DialogActions>
        </Dialog>
    );
}

function rows({ change, theirs }: Unsettled): [string, string, string][] {
    if (change.fact === null) {
        return [['', 'take it away', theirs === null ? 'it is gone' : 'it is there']];
    }
    return Object.entries(change.fact).map(([field, value]) => [
        field.replaceAll('_', ' '),
        inWords(value),
        inWords(theirs?.[field]),
    ]);
}
