import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { useCatalogue } from '../../api/queries';
import type { Batch, Joint, Mated } from '../../api/types';
import { TypedField } from '../../entry/TypedField';
import { useKept } from '../../entry/useKept';
import { ReadWith } from '../../entry/ReadWith';
import { USUAL_INSTRUMENT } from '../../entry/usualInstrument';
import { useUnderstood } from '../../entry/useUnderstood';
import { useJob } from '../../job/JobContext';
import { LinkButton } from '../../shell/LinkButton';
import { useSettings } from '../../shell/settings';
import { sizeKind, Verdict } from '../../shell/Verdict';
import { mono } from '../../theme/theme';
import { useBatch } from './useBatch';

/** Each mate measured for itself: which piece goes with which, or what to make the next one to. */
export function Mates({ batch }: { batch: Batch }) {
    const { facts, answers } = useJob();
    const joints = facts.joints.filter((joint) =>
        answers.making.some((one) => one.surface === joint.inner || one.surface === joint.outer),
    );
    if (joints.length === 0) {
        return null;
    }
    return (
        <Box component="section" aria-label="Which goes with which" sx={{ mt: 2 }}>
            <Typography variant="h2">Which goes with which</Typography>
            {batch.mated.map((mated) => (
                <Pairs key={mated.joint} mated={mated} />
            ))}
            <AddMate joints={joints} />
        </Box>
    );
}

function Pairs({ mated }: { mated: Mated }) {
    const { say } = useSettings();
    const { change } = useBatch();
    return (
        <Box sx={{ overflowX: 'auto', mb: 1 }}>
            <Typography sx={{ fontWeight: 600 }}>
                {mated.label}, wanted {say(mated.wanted)}
            </Typography>
            <Typography>{say(mated.says)}</Typography>
            <Table size="small" aria-label={`Mates of ${mated.label}`}>
                <TableHead>
                    <TableRow>
                        <TableCell>mate</TableCell>
                        <TableCell>its size</TableCell>
                        <TableCell>goes with</TableCell>
                        <TableCell>comes to</TableCell>
                        <TableCell>to make for it</TableCell>
                        <TableCell />
                    </TableRow>
                </TableHead>
                <TableBody>
                    {mated.rows.map((row) => (
                        <TableRow key={row.mark}>
                            <TableCell sx={{ fontWeight: 700 }}>{row.mark}</TableCell>
                            <TableCell sx={{ fontFamily: mono, color: 'found.main', whiteSpace: 'nowrap' }}>
                                {say(row.size)} {say(row.plus_minus)}
                            </TableCell>
                            <TableCell sx={{ fontWeight: 700 }}>
                                {row.piece === null ? '–' : `piece ${row.piece}`}
                            </TableCell>
                            <TableCell>
                                {row.clearance && (
                                    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                                        <span>{say(row.clearance)}</span>
                                        <Verdict kind={sizeKind(row.verdict)}>
                                            {row.verdict === 'inside'
                                                ? 'fits'
                                                : row.verdict === 'outside'
                                                  ? 'fits not'
                                                  : 'can’t tell'}
                                        </Verdict>
                                    </Box>
                                )}
                            </TableCell>
                            <TableCell sx={{ fontFamily: mono, color: 'make.main', whiteSpace: 'nowrap' }}>
                                {row.make_lower && row.make_upper
                                    ? `${say(row.make_lower)} … ${say(row.make_upper)}`
                                    : 'its reading is not sure enough for that'}
                            </TableCell>
                            <TableCell sx={{ p: 0, width: 90 }}>
                                <LinkButton
                                    size="small"
                                    aria-label={`Take off mate ${row.mark}`}
                                    onClick={() =>
                                        void change((now) => ({
                                            mates: now.mates.filter(
                                                (m) => m.mark !== row.mark || m.joint !== mated.joint,
                                            ),
                                        }))
                                    }
                                >
                                    Take off
                                </LinkButton>
                            </TableCell>
                        </TableRow>
                    ))}
                </TableBody>
            </Table>
        </Box>
    );
}

function AddMate({ joints }: { joints: Joint[] }) {
    const { facts, answers } = useJob();
    const { typing } = useSettings();
    const { change } = useBatch();
    const catalogue = useCatalogue();
    const [joint, setJoint] = useState(joints[0]?.id ?? '');
    const [mark, setMark] = useKept('mate-mark', '');
    const [size, setSize] = useKept('mate-size', '');
    const [tool, setTool] = useState<string | null>(null);
    const [refused, setRefused] = useState<string | null>(null);
    const first = useRef<HTMLInputElement>(null);
    const understood = useUnderstood(size, typing);
    const at = joints.find((one) => one.id === joint) ?? joints[0];
    // What is read is the side that is not made.
    const inner = facts.surfaces.find((s) => s.id === at?.inner);
    const makesInner = answers.making.some((one) => one.surface === inner?.id);
    const read = makesInner ? 'bore' : 'shaft';
    const fits = (catalogue.data?.instruments ?? []).filter((one) => one.fits.includes(read));
    const instrument =
        tool !== null && fits.some((f) => f.code === tool) ? tool : (USUAL_INSTRUMENT[read] ?? 'calliper');
    const add = () => {
        if (at === undefined || mark.trim() === '' || size.trim() === '') {
            setRefused('A mate needs its mark, as it is written on it, and its size.');
            return;
        }
        const mate = { mark: mark.trim(), joint: at.id, size: { typed: size, unit: typing }, instrument };
        setRefused(null);
        change((now) => ({ mates: [...now.mates, mate] })).then(
            () => {
                setMark('');
                setSize('');
                first.current?.focus();
            },
            (error: Error) => setRefused(error.message),
        );
    };
    return (
        <Box
            component="form"
            onSubmit={(event) => {
                event.preventDefault();
                add();
            }}
            sx={{
                display: 'grid',
                gap: 1.25,
                mt: 1,
                alignItems: 'start',
                gridTemplateColumns: {
                    xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                    md: 'minmax(9rem, 1fr) 9.5rem 10.625rem minmax(8.5rem, 1fr) auto',
                },
            }}
        >
            <TextField
                select
                label="Of"
                value={at?.id ?? ''}
                onChange={(event) => setJoint(event.target.value)}
            >
                {joints.map((one) => (
                    <MenuItem key={one.id} value={one.id}>
                        {one.name}
                    </MenuItem>
                ))}
            </TextField>
            <TextField
                label="Mark of the mate"
                value={mark}
                inputRef={first}
                slotProps={{ htmlInput: { maxLength: 40 } }}
                onChange={(event) => setMark(event.target.value)}
            />
            <TypedField
                label="Size of the mate"
                value={size}
                typed={(typed) => {
                    setSize(typed);
                    setRefused(null);
                }}
                understood={understood}
                refused={refused}
            />
            <ReadWith label="Mate read with" reads={read} value={instrument} choose={setTool} />
            <Button type="submit" variant="outlined" color="inherit">
                Add the mate
            </Button>
        </Box>
    );
}
