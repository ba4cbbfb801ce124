import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { TypedField } from '../../entry/TypedField';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { newId } from '../../api/client';
import type { Pressing } from '../../api/types';
import { readNumber } from '../../entry/number';
import { useUnderstood } from '../../entry/useUnderstood';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { mono } from '../../theme/theme';

const WORD = { early: 'too early to tell', inside: 'as expected', over: 'too much', under: 'too little' };
const KIND = { early: 'plain', inside: 'good', over: 'bad', under: 'usable' } as const;

/** The force at each depth as it is pressed, against what was to be expected there. */
export function PressLog({ pressing }: { pressing: Pressing }) {
    const { save } = useJob();
    const { say, typing } = useSettings();
    const [depth, setDepth] = useState('');
    const [force, setForce] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    const first = useRef<HTMLInputElement>(null);
    const understood = useUnderstood(depth, typing);
    const read = readNumber(force, '3.5');
    const store = () => {
        if ('refused' in read || read.value === null) {
            setRefused('refused' in read ? read.refused : 'What force, in kN, like 3.5?');
            return;
        }
        save('pushes', newId(), {
            joint: pressing.joint,
            depth: { typed: depth, unit: typing },
            force_n: read.value * 1000,
            at: new Date().toISOString(),
        }).then(
            () => {
                setDepth('');
                setForce('');
                setRefused(null);
                first.current?.focus();
            },
            (error: Error) => setRefused(error.message),
        );
    };
    return (
        <Box component="section" aria-label={`Pressing log: ${pressing.name}`} sx={{ mt: 2 }}>
            <Typography variant="h2" sx={{ borderBottom: 1, borderColor: 'divider', pb: 0.5, mb: 1 }}>
                As it goes in: {pressing.name}
            </Typography>
            <Notes notes={pressing.notes} />
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) minmax(0, 28.125rem)' },
                    alignItems: 'start',
                    mt: 1,
                }}
            >
                <Box>
                    <Box
                        component="form"
                        onSubmit={(event) => {
                            event.preventDefault();
                            store();
                        }}
                        sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'flex-start' }}
                    >
                        <TypedField
                            label="Depth"
                            inputRef={first}
                            value={depth}
                            typed={setDepth}
                            understood={understood}
                            sx={{ width: 190 }}
                        />
                        <TypedField label="Force, kN" value={force} typed={setForce} sx={{ width: 140 }} />
                        <Button type="submit" variant="contained" disabled={depth.trim() === ''}>
                            Store
                        </Button>
                    </Box>
                    {refused !== null && (
                        <Typography color="error" role="alert">
                            {refused}
                        </Typography>
                    )}
                    {pressing.rows.map((row) => (
                        <Box
                            key={row.id}
                            sx={{
                                display: 'flex',
                                gap: 1.5,
                                alignItems: 'center',
                                flexWrap: 'wrap',
                                borderBottom: 1,
                                borderColor: 'divider',
                                py: 0.5,
                            }}
                        >
                            <Typography sx={{ fontFamily: mono, fontWeight: 700, minWidth: 80 }}>
                                {say(row.depth)}
                            </Typography>
                            <Typography sx={{ minWidth: 70 }}>{row.force}</Typography>
                            <Typography variant="body2" color="textSecondary" sx={{ flex: 1 }}>
                                {row.expected} expected
                            </Typography>
                            <Verdict kind={KIND[row.verdict]}>{WORD[row.verdict]}</Verdict>
                        </Box>
                    ))}
                </Box>
                <Framed pad={0.5}>
                    <DrawingView drawing={pressing.picture} />
                </Framed>
            </Box>
        </Box>
    );
}
