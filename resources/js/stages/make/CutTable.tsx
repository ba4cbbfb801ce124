import { LinkButton } from '../../shell/LinkButton';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { MakingAnswer } from '../../api/types';
import { typedText } from '../../entry/typed';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { mono } from '../../theme/theme';

const BAND = { cut: 'not yet', inside: 'inside', past: 'past it' };

export function CutTable({ making }: { making: MakingAnswer }) {
    const { say, typing } = useSettings();
    const { facts, save } = useJob();
    // What waits on this device while the shop can't be asked: in no number yet.
    const waiting = facts.cuts.filter(
        (cut) =>
            cut.surface === making.surface &&
            cut.set_aside === null &&
            cut.piece === making.piece &&
            !('mm' in cut.after) &&
            making.rows.every((row) => row.id !== cut.id),
    );
    if (making.rows.length + waiting.length === 0) {
        return null;
    }
    return (
        <Box sx={{ overflowX: 'auto' }}>
            <Table size="small" aria-label="Cut log" sx={{ mt: 1, '& td': { fontFamily: mono } }}>
                <TableHead>
                    <TableRow>
                        <TableCell>dialled</TableCell>
                        <TableCell>took off</TableCell>
                        <TableCell>size after</TableCell>
                        <TableCell>band</TableCell>
                        <TableCell />
                    </TableRow>
                </TableHead>
                <TableBody>
                    {making.rows.map((row) => (
                        <TableRow key={row.id}>
                            <TableCell>{row.dialled ? say(row.dialled) : '–'}</TableCell>
                            <TableCell>{row.took ? say(row.took) : '–'}</TableCell>
                            <TableCell sx={{ fontWeight: 700 }}>{say(row.after)}</TableCell>
                            <TableCell>{BAND[row.state]}</TableCell>
                            <TableCell sx={{ width: 120, p: 0 }}>
                                <LinkButton
                                    size="small"
                                    onClick={() => void save('cuts', row.id, { set_aside: 'taken back' })}
                                >
                                    Set aside
                                </LinkButton>
                            </TableCell>
                        </TableRow>
                    ))}
                    {waiting.map((cut) => (
                        <TableRow key={cut.id}>
                            <TableCell>{typedText(cut.dialled, typing) || '–'}</TableCell>
                            <TableCell>–</TableCell>
                            <TableCell sx={{ fontWeight: 700 }}>{typedText(cut.after, typing)}</TableCell>
                            <TableCell>waits</TableCell>
                            <TableCell />
                        </TableRow>
                    ))}
                </TableBody>
            </Table>
        </Box>
    );
}
