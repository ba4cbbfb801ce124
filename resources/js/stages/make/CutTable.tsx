import { LinkButton } from '../../shell/LinkButton';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { MakingAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { mono } from '../../theme/theme';

export function CutTable({ making }: { making: MakingAnswer }) {
    const { say } = useSettings();
    const { save } = useJob();
    if (making.rows.length === 0) {
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
                            <TableCell>{row.inside ? 'inside' : 'not yet'}</TableCell>
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
                </TableBody>
            </Table>
        </Box>
    );
}
