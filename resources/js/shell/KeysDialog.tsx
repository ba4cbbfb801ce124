import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { mono } from '../theme/theme';
import { SpeechSettings } from './SpeechSettings';
import { singleKeys, useSingleKeys } from './keys';

const KEYS: [string, string][] = [
    ['J', 'a new job'],
    ['1 to 8', 'go to a stage'],
    ['[  ]', 'previous, next surface or joint'],
    ['Enter', 'store a reading and go on'],
    ['Shift Enter', 'store it and stay at this spot'],
    ['T', 'take the gauge’s reading'],
    ['G', 'in practice: to the gauge, the lathe, the press'],
    ['U', 'inch, millimetre, both'],
    ['N', 'night shift'],
    ['/', 'find a job, a surface, a size, a sum, a word, or what to do'],
    ['P', 'print the sheet'],
    ['W', 'what if: change numbers without storing them'],
    ['Z', 'undo'],
    ['Y', 'redo'],
    ['H', 'what was done to this job'],
    ['?', 'these keys'],
];

export function KeysDialog({ open, close }: { open: boolean; close: () => void }) {
    const on = useSingleKeys();
    return (
        <Dialog open={open} onClose={close}>
            <DialogTitle>Language and keys</DialogTitle>
            <DialogContent>
                <SpeechSettings />
                <FormControlLabel
                    control={<Switch checked={on} onChange={(_, next) => singleKeys.set(next)} />}
                    label="Single keys do something"
                />
                <Table size="small">
                    <TableBody>
                        {KEYS.map(([key, does]) => (
                            <TableRow key={key}>
                                <TableCell sx={{ fontFamily: mono, fontWeight: 700 }}>{key}</TableCell>
                                <TableCell>{does}</TableCell>
                            </TableRow>
                        ))}
                    </TableBody>
                </Table>
                <Typography variant="body2" sx={{ mt: 1.5 }}>
                    What words mean, and everything else that can be done, is found with <b>/</b>. Other
                    programs ask this shop by{' '}
                    <a href="/api/docs" target="_blank" rel="noreferrer">
                        its contract
                    </a>
                    .
                </Typography>
            </DialogContent>
        </Dialog>
    );
}
