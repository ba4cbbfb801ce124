import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useSettings } from '../shell/settings';
import type { ReactNode } from 'react';
import type { Say } from '../api/types';
import { figure, isWayRound, labelled, type Words } from './values';

export const BESIDE = ['notes', 'working', 'picture', 'read', 'steps'];

/** Beside a length: what may take it as its size. */
export type GiveTo = (path: string) => ReactNode;

interface Props {
    data: Record<string, unknown>;
    words: Words;
    giveTo: GiveTo | undefined;
}

const pieces = (data: Record<string, unknown>) =>
    Object.entries(data).filter(([key]) => !BESIDE.includes(key));

/** Its first number, where it is one. */
export function Headline({ data, words, giveTo }: Props) {
    const first = pieces(data)[0];
    return first === undefined || typeof first[1] === 'object' ? null : (
        <Piece name={first[0]} value={first[1]} words={words} giveTo={giveTo} large />
    );
}

/** The others, lists as rows. */
export function Outcome({ data, words, giveTo }: Props) {
    const all = pieces(data);
    const rest = all.length > 0 && typeof all[0]?.[1] !== 'object' ? all.slice(1) : all;
    return (
        <Box sx={{ my: 1 }}>
            {rest.map(([name, value]) => (
                <Piece key={name} name={name} value={value} words={words} giveTo={giveTo} />
            ))}
        </Box>
    );
}

function Piece({
    name,
    value,
    words,
    giveTo,
    large = false,
}: {
    name: string;
    value: unknown;
    words: Words;
    giveTo: GiveTo | undefined;
    large?: boolean;
}) {
    const { name: label, unit } = labelled(name, words);
    if (Array.isArray(value) && value.some((row) => typeof row === 'object' && row !== null)) {
        return (
            <Rows
                name={name}
                label={label}
                rows={value as Record<string, unknown>[]}
                words={words}
                giveTo={giveTo}
            />
        );
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
                <Value value={value} unit={unit} roundly={isWayRound(name)} />
                {unit === 'mm' && typeof value === 'number' && giveTo?.(name)}
            </Typography>
        </Box>
    );
}

function Rows({
    name,
    label,
    rows,
    words,
    giveTo,
}: {
    name: string;
    label: string;
    rows: Record<string, unknown>[];
    words: Words;
    giveTo: GiveTo | undefined;
}) {
    const keys = [...new Set(rows.flatMap((row) => Object.keys(row)))];
    return (
        <Box sx={{ my: 1, overflowX: 'auto' }}>
            <Typography variant="label">{label}</Typography>
            <Table size="small">
                <TableHead>
                    <TableRow>
                        {keys.map((key) => (
                            <TableCell key={key}>
                                {key === 'mm' ? 'Size' : labelled(key, words).name}
                            </TableCell>
                        ))}
                    </TableRow>
                </TableHead>
                <TableBody>
                    {rows.map((row, i) => (
                        <TableRow key={i}>
                            {keys.map((key) => (
                                <TableCell key={key} sx={{ fontVariantNumeric: 'tabular-nums' }}>
                                    <Value value={row[key]} unit={key === 'mm' ? 'mm' : labelled(key).unit} />
                                    {key === 'mm' && giveTo?.(`${name}.${i}.mm`)}
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
export function Value({ value, unit, roundly = false }: { value: unknown; unit: string; roundly?: boolean }) {
    const { units: shown, say } = useSettings();
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
                : `${figure(one, unit, roundly)}${unit === '' ? '' : unit === '°' ? '°' : ` ${unit}`}`;
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
            if ('both' in one && 'in' in one && 'mm' in one) {
                return say(one as Say);
            }
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
