import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { AssemblyFacts } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { NumberFact } from '../../entry/NumberFact';
import { RemoveButton } from '../../entry/RemoveButton';
import { TextFact } from '../../entry/TextFact';
import { typedText } from '../../entry/typed';
import { useJob } from '../../job/JobContext';
import { LinkButton } from '../../shell/LinkButton';
import { useSettings } from '../../shell/settings';
import { useAssembly } from '../assemble/useAssembly';

type Off = AssemblyFacts['strip'][number];

const HOWS: Off['how'][] = [
    'by hand',
    'unscrewed',
    'drawn',
    'pressed',
    'drifted',
    'heated',
    'cut off',
    'came broken',
];

/** What came off after what, how, how deep it sat, how it was marked: backwards it is the order of assembly. */
export function CameApart() {
    const { facts } = useJob();
    const { assembly, change } = useAssembly();
    const [opened, setOpened] = useState<number | null>(null);
    if (facts.parts.length < 2) {
        return null;
    }
    const left = facts.parts.filter((part) => !assembly.strip.some((off) => off.part === part.id));
    const add = (part: { id: string; name: string }) => {
        setOpened(assembly.strip.length);
        const off: Off = {
            part: part.id,
            name: part.name,
            how: 'by hand',
            force_n: null,
            heat_c: null,
            depth: null,
            mark: '',
            bag: '',
            note: '',
            photo: null,
        };
        void change((now) => ({ strip: [...now.strip, off] }));
    };
    return (
        <Box component="section" aria-label="As it came apart" sx={{ mt: 2.5 }}>
            <Typography variant="h2" sx={{ mb: 0.5 }}>
                As it came apart
            </Typography>
            {assembly.strip.map((off, i) => (
                <One
                    key={`${off.part}-${i}`}
                    off={off}
                    at={i}
                    last={assembly.strip.length - 1}
                    open={opened === i}
                    toggle={() => setOpened(opened === i ? null : i)}
                />
            ))}
            {left.length > 0 && (
                <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', mt: 0.5 }}>
                    <Typography color="textSecondary">
                        {assembly.strip.length === 0 ? 'Came off first:' : 'Then came off:'}
                    </Typography>
                    {left.map((part) => (
                        <Button
                            key={part.id}
                            variant="outlined"
                            color="inherit"
                            aria-label={`Came off: ${part.name}`}
                            onClick={() => add(part)}
                        >
                            {part.name}
                        </Button>
                    ))}
                </Box>
            )}
        </Box>
    );
}

function One({
    off,
    at,
    last,
    open,
    toggle,
}: {
    off: Off;
    at: number;
    last: number;
    open: boolean;
    toggle: () => void;
}) {
    const { typing, say } = useSettings();
    const { answers, facts } = useJob();
    const { change } = useAssembly();
    const shown = facts.photos.findIndex((one) => one.id === off.photo);
    const tells = answers.assembly.together.came_off[at] ?? null;
    const mend = (part: Partial<Off>) =>
        change((now) => ({ strip: now.strip.map((one, i) => (i === at ? { ...one, ...part } : one)) }));
    const move = (by: number) =>
        void change((now) => {
            const strip = [...now.strip];
            const [one] = strip.splice(at, 1);
            if (one) {
                strip.splice(at + by, 0, one);
            }
            return { strip };
        });
    const said = [
        off.force_n === null ? '' : `${off.force_n} N`,
        off.heat_c === null ? '' : `${off.heat_c} °C`,
        off.depth === null ? '' : `sat ${typedText(off.depth, typing)} ${typing} deep`,
        off.mark === '' ? '' : `marked ${off.mark}`,
        off.bag === '' ? '' : `bag ${off.bag}`,
        shown < 0 ? '' : `shown on ${facts.photos[shown]?.note || `photograph ${shown + 1}`}`,
        off.note,
    ].filter((one) => one !== '');
    return (
        <Box
            role="group"
            aria-label={`${at + 1}: ${off.name}`}
            sx={{ borderBottom: 1, borderColor: 'divider', py: 0.5 }}
        >
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
                <Typography variant="smallSize" color="found">
                    {at + 1}
                </Typography>
                <Typography sx={{ flex: '1 1 16.25rem' }}>
                    <b>{off.name}</b>, {off.how}
                    {said.length === 0 ? '' : `: ${said.join(', ')}`}
                </Typography>
                <IconButton
                    sx={{ width: 44, height: 44 }}
                    aria-label={`${off.name} came off earlier`}
                    disabled={at === 0}
                    onClick={() => move(-1)}
                >
                    ↑
                </IconButton>
                <IconButton
                    sx={{ width: 44, height: 44 }}
                    aria-label={`${off.name} came off later`}
                    disabled={at === last}
                    onClick={() => move(1)}
                >
                    ↓
                </IconButton>
                <LinkButton
                    aria-expanded={open}
                    aria-label={open ? `Close: ${off.name}` : `How ${off.name} came off`}
                    onClick={toggle}
                >
                    {open ? 'Close' : 'How'}
                </LinkButton>
            </Box>
            {tells && (
                <Typography variant="body2" sx={{ pl: 3 }}>
                    {say(tells)}
                </Typography>
            )}
            {open && (
                <Box
                    sx={{
                        display: 'grid',
                        gap: 1.25,
                        my: 1,
                        alignItems: 'start',
                        gridTemplateColumns: {
                            xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                            sm: 'repeat(4, 1fr)',
                        },
                    }}
                >
                    <TextField
                        select
                        label="Came off"
                        value={off.how}
                        onChange={(event) => void mend({ how: event.target.value as Off['how'] })}
                    >
                        {HOWS.map((how) => (
                            <MenuItem key={how} value={how}>
                                {how}
                            </MenuItem>
                        ))}
                    </TextField>
                    <NumberFact
                        label="Force to break it, N"
                        value={off.force_n}
                        store={(force_n) => mend({ force_n })}
                    />
                    <NumberFact
                        label="Warmed to, °C"
                        value={off.heat_c}
                        store={(heat_c) => mend({ heat_c })}
                    />
                    <LengthField
                        label="Sat so deep"
                        value={typedText(off.depth, typing)}
                        unit={typing}
                        store={(typed) => mend({ depth: { typed, unit: typing } })}
                        clear={() => mend({ depth: null })}
                    />
                    <TextFact label="Match mark" value={off.mark} store={(mark) => mend({ mark })} />
                    <TextFact label="Bag or tag" value={off.bag} store={(bag) => mend({ bag })} />
                    {facts.photos.length > 0 && (
                        <TextField
                            select
                            label="Shown on"
                            value={facts.photos.some((one) => one.id === off.photo) ? off.photo : ''}
                            onChange={(event) =>
                                void mend({ photo: event.target.value === '' ? null : event.target.value })
                            }
                        >
                            <MenuItem value="">no photograph</MenuItem>
                            {facts.photos.map((one, i) => (
                                <MenuItem key={one.id} value={one.id}>
                                    {one.note === '' ? `photograph ${i + 1}` : one.note}
                                </MenuItem>
                            ))}
                        </TextField>
                    )}
                    <TextFact
                        label="What broke, which way round"
                        value={off.note}
                        store={(note) => mend({ note })}
                    />
                    <RemoveButton
                        name={`${off.name} of what came apart`}
                        remove={() => change((now) => ({ strip: now.strip.filter((_, i) => i !== at) }))}
                    />
                </Box>
            )}
        </Box>
    );
}
