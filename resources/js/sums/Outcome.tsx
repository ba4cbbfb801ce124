import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useSettings } from '../shell/settings';
import { figure, labelled } from './values';

const BESIDE = ['notes', 'working', 'picture'];

/** What a sum came to: its first number large, the others under it, lists as rows. */
export function Outcome({ data }: { data: Record<string, unknown> }) {
    const [first, ...rest] = Object.entries(data).filter(([key]) => !BESIDE.includes(key));
    if (first === undefined) {
        return null;
    }
    return (
        <Box sx={{ mb: 1 }}>
            <Piece name={first[0]} value={first[1]} large />
            {rest.map(([name, value]) => (
                <Piece key={name} name={name} value={value} />
            ))}
        </Box>
    );
}

function Piece({ name, value, large = false }: { name: string; value: unknown; large?: boolean }) {
    const { name: label, unit } = labelled(name);
    if (Array.isArray(value) && value.some((row) => typeof row === 'object' && row !== null)) {
        return <Rows label={label} rows={value as Record<string, unknown>[]} />;
    }
    return (
        <Box
            sx={
                large
                    ? { mb: 1 }
                    : {
                          display: 'flex',
                          justifyContent: 'space-between',
                          gap: 2,
                          borderTop: 1,
                          borderColor: 'divider',
                          py: 0.5,
                      }
            }
        >
            <Typography variant={large ? 'label' : 'body1'}>{label}</Typography>
            <Typography
                variant={large ? 'bigSize' : 'smallSize'}
                component="p"
                color={large ? 'make' : 'textPrimary'}
                sx={{ textAlign: large ? 'left' : 'right' }}
            >
                <Value value={value} unit={unit} />
            </Typography>
        </Box>
    );
}

function Rows({ label, rows }: { label: string; rows: Record<string, unknown>[] }) {
    const keys = [...new Set(rows.flatMap((row) => Object.keys(row)))];
    return (
        <Box sx={{ my: 1, overflowX: 'auto' }}>
            <Typography variant="label">{label}</Typography>
            <Table size="small">
                <TableHead>
                    <TableRow>
                        {keys.map((key) => (
                            <TableCell key={key}>{labelled(key).name}</TableCell>
                        ))}
                    </TableRow>
                </TableHead>
                <TableBody>
                    {rows.map((row, i) => (
                        <TableRow key={i}>
                            {keys.map((key) => (
                                <TableCell key={key} sx={{ fontVariantNumeric: 'tabular-nums' }}>
                                    <Value value={row[key]} unit={labelled(key).unit} />
                                </TableCell>
                            ))}
                        </TableRow>
                    ))}
                </TableBody>
            </Table>
        </Box>
    );
}

/** A size in the unit the screen is in; anything else as it is. */
function Value({ value, unit }: { value: unknown; unit: string }) {
    const { units: shown } = useSettings();
    const size = (mm: number) =>
        shown === 'in'
            ? `${figure(mm / 25.4, 'in')} in`
            : shown === 'mm'
              ? `${figure(mm, 'mm')} mm`
              : `${figure(mm, 'mm')} mm (${figure(mm / 25.4, 'in')} in)`;
    const plain = (one: unknown): string => {
        if (typeof one === 'number') {
            return unit === 'mm'
                ? size(one)
                : `${figure(one, unit)}${unit === '' ? '' : unit === '°' ? '°' : ` ${unit}`}`;
        }
        if (typeof one === 'boolean') {
            return one ? 'yes' : 'no';
        }
        if (one === null || one === undefined) {
            return '–';
        }
        if (Array.isArray(one)) {
            return one.length === 0 ? '–' : one.map(plain).join(', ');
        }
        if (typeof one === 'object') {
            const { min, max } = one as { min?: unknown; max?: unknown };
            return min !== undefined && max !== undefined
                ? `${plain(min)} to ${plain(max)}`
                : Object.entries(one)
                      .map(([key, its]) => `${labelled(key).name.toLowerCase()} ${plain(its)}`)
                      .join(', ');
        }
        return String(one);
    };
    return <>{plain(value)}</>;
}
