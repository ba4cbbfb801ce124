import Box from '@mui/material/Box';
import InputAdornment from '@mui/material/InputAdornment';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { LinkButton } from '../shell/LinkButton';
import type { Unit } from '../api/types';
import { comesFromFile, PointsFile } from './PointsFile';
import { namedOf, namedText, rowsOf, rowsText } from './texts';
import { labelled, type Words } from './values';

interface Props {
    name: string;
    text: string;
    /** What the field is like: its value in the example. */
    like: unknown;
    must: boolean;
    words: Words;
    unit: Unit;
    /** The words it may be, where it is one of some. */
    choices?: string[];
    change: (text: string) => void;
    leave?: () => void;
    refused?: string | null;
    /** What it was read as, where that is worth a word. */
    read?: string | null;
}

/** One thing a sum asks for: a number, a word, a list; a few named numbers; or rows. */
export function SumField(props: Props) {
    const { like } = props;
    const choices = props.choices ?? (typeof like === 'boolean' ? ['yes', 'no'] : undefined);
    if (choices) {
        return <OneOf {...props} choices={choices} />;
    }
    if (Array.isArray(like) && like.some((row) => typeof row === 'object')) {
        return (
            <RowFields {...props} heads={[...new Set(like.flatMap((row) => Object.keys(row as object)))]} />
        );
    }
    return typeof like === 'object' && like !== null && !Array.isArray(like) ? (
        <NamedFields {...props} names={Object.keys(like)} />
    ) : (
        <One {...props} />
    );
}

function OneOf({ name, text, must, words, choices, change, refused }: Props & { choices: string[] }) {
    const label = labelled(name, words).name;
    return (
        <TextField
            select
            label={must ? label : `${label} (may stay empty)`}
            value={choices.includes(text) ? text : ''}
            error={refused != null}
            helperText={refused ?? null}
            onChange={(event) => change(event.target.value)}
        >
            {!must && <MenuItem value="">not said</MenuItem>}
            {choices.map((choice) => (
                <MenuItem key={choice} value={choice}>
                    {choice}
                </MenuItem>
            ))}
        </TextField>
    );
}

function One({ name, text, like, must, words, unit, change, leave, refused, read }: Props) {
    const { name: label, unit: of } = labelled(name, words);
    const shown = of === 'mm' ? unit : of;
    return (
        <TextField
            label={must ? label : `${label} (may stay empty)`}
            value={text}
            multiline={Array.isArray(like) || text.includes('\n')}
            error={refused != null}
            helperText={refused ?? read ?? null}
            onChange={(event) => change(event.target.value)}
            onBlur={leave}
            slotProps={{
                input:
                    shown === ''
                        ? {}
                        : { endAdornment: <InputAdornment position="end">{shown}</InputAdornment> },
                htmlInput: {
                    inputMode: typeof like === 'number' ? 'decimal' : 'text',
                    autoComplete: 'off',
                },
            }}
        />
    );
}

function Group({ name, words, refused, children }: Props & { children: React.ReactNode }) {
    const label = labelled(name, words).name;
    return (
        <Box role="group" aria-label={label} sx={{ display: 'grid', gap: 0.75 }}>
            <Typography variant="label" component="p">
                {label}
            </Typography>
            {children}
            {refused != null && (
                <Typography variant="body2" color="error">
                    {refused}
                </Typography>
            )}
        </Box>
    );
}

function NamedFields(props: Props & { names: string[] }) {
    const { names, text, words, unit, change, leave } = props;
    const values = namedOf(text);
    const ofAll = labelled(props.name).unit;
    const all = [...new Set([...names, ...Object.keys(values)])];
    return (
        <Group {...props}>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1,
                    gridTemplateColumns: `repeat(${Math.min(3, all.length)}, minmax(0, 1fr))`,
                }}
            >
                {all.map((one) => {
                    const { name: label, unit: its } = labelled(one, words);
                    const of = its === '' ? ofAll : its;
                    return (
                        <TextField
                            key={one}
                            label={of === '' ? label : `${label}, ${of === 'mm' ? unit : of}`}
                            value={values[one] ?? ''}
                            onChange={(event) =>
                                change(namedText({ ...values, [one]: event.target.value.replace('\n', ' ') }))
                            }
                            onBlur={leave}
                        />
                    );
                })}
            </Box>
        </Group>
    );
}

function RowFields(props: Props & { heads: string[] }) {
    const { text, like, words, unit, change, leave, name } = props;
    const rows = rowsOf(text, props.heads);
    const put = (at: number, column: number, cell: string) => {
        const cells = Array.from({ length: Math.max(rows.cells.length, at + 1) }, (_, i) =>
            rows.heads.map((_, k) =>
                i === at && k === column ? cell.replace(/[;\n]/g, ' ') : (rows.cells[i]?.[k] ?? ''),
            ),
        );
        change(rowsText({ heads: rows.heads, cells }));
    };
    const group = labelled(name, words).name;
    // Several numbers in a cell are a place: lengths along x, y and z.
    const isPlace = (head: string) =>
        Array.isArray(like) && like.some((row) => Array.isArray((row as Record<string, unknown>)[head]));
    return (
        <Group {...props}>
            <Box sx={{ overflowX: 'auto' }}>
                <Box
                    component="table"
                    sx={{
                        borderCollapse: 'collapse',
                        width: 1,
                        '& td, & th': { p: 0.25, textAlign: 'left' },
                    }}
                >
                    <thead>
                        <tr>
                            {rows.heads.map((head) => {
                                const { name: label, unit: its } = labelled(head, words);
                                const of = isPlace(head) ? 'mm' : its;
                                return (
                                    <Typography component="th" variant="body2" key={head}>
                                        {of === '' ? label : `${label}, ${of === 'mm' ? unit : of}`}
                                    </Typography>
                                );
                            })}
                        </tr>
                    </thead>
                    <tbody>
                        {[...rows.cells, []].map((row: string[], at) => (
                            <tr key={at}>
                                {rows.heads.map((head, column) => (
                                    <td key={head}>
                                        <TextField
                                            value={row[column] ?? ''}
                                            onChange={(event) => put(at, column, event.target.value)}
                                            onBlur={leave}
                                            fullWidth
                                            slotProps={{
                                                htmlInput: {
                                                    'aria-label': `${group}, ${labelled(head, words).name}, row ${at + 1}`,
                                                    autoComplete: 'off',
                                                },
                                            }}
                                            sx={{ minWidth: 64, '& input': { px: 1, py: 1 } }}
                                        />
                                    </td>
                                ))}
                            </tr>
                        ))}
                    </tbody>
                </Box>
            </Box>
            {comesFromFile(rows.heads) && (
                <PointsFile
                    heads={rows.heads}
                    unit={unit}
                    there={rows.cells.length}
                    take={(cells) => change(rowsText({ heads: rows.heads, cells }))}
                />
            )}
            {rows.cells.length > 0 && (
                <LinkButton
                    sx={{ justifySelf: 'start' }}
                    onClick={() => change(rowsText({ ...rows, cells: rows.cells.slice(0, -1) }))}
                >
                    Take the last row out
                </LinkButton>
            )}
        </Group>
    );
}
