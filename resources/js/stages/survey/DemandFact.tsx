import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useEffect, useRef } from 'react';
import type { Surface, TypedLength } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { typedText } from '../../entry/typed';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';

type Demand = NonNullable<Surface['demand']>;

const KINDS: Record<Demand['kind'], string> = {
    limits: 'its size, with limits of its own',
    'not-over': 'not over its size',
    'not-under': 'not under its size',
    free: 'its size, free',
    'as-the-old': 'as the old one was',
    stock: 'stock left on it',
    'as-it-comes': 'nothing: as it comes',
};

const CLASSES: [NonNullable<Demand['class']>, string][] = [
    ['f', 'f, fine'],
    ['m', 'm, medium'],
    ['c', 'c, coarse'],
    ['v', 'v, very coarse'],
];

/** What is asked of a surface that is made, beside what its joints and loops ask. */
export function DemandFact({ surface }: { surface: Surface }) {
    const { save } = useJob();
    const demand = surface.demand ?? null;
    // Two limits typed one right after the other: the second goes on top of the first, stored or not.
    const latest = useRef(demand);
    useEffect(() => {
        latest.current = demand;
    }, [demand]);
    const store = (part: Partial<Demand>) => {
        const next = {
            kind: 'free' as const,
            plus: null,
            minus: null,
            class: null,
            ...latest.current,
            ...part,
        };
        latest.current = next as Demand;
        return save('surfaces', surface.id, { demand: next });
    };
    return (
        <Box
            component="section"
            aria-label="What is asked of it"
            sx={{
                display: 'grid',
                gap: 1.5,
                gridTemplateColumns: {
                    xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                    sm: '1.6fr 1fr 1fr',
                },
                alignItems: 'start',
                mt: 1.5,
            }}
        >
            <TextField
                select
                label="What is asked of it for itself"
                value={demand?.kind ?? ''}
                slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
                onChange={(event) =>
                    event.target.value === ''
                        ? void save('surfaces', surface.id, { demand: null })
                        : void store({ kind: event.target.value as Demand['kind'] })
                }
            >
                <MenuItem value="">nothing said</MenuItem>
                {Object.entries(KINDS).map(([kind, says]) => (
                    <MenuItem key={kind} value={kind}>
                        {says}
                    </MenuItem>
                ))}
            </TextField>
            {demand?.kind === 'stock' && (
                <Limit
                    label="Stock to leave, on the diameter or length"
                    value={demand.plus ?? null}
                    keep={(plus) => store({ plus })}
                />
            )}
            {(demand?.kind === 'limits' || demand?.kind === 'as-the-old') && (
                <>
                    <Limit
                        label="Over it by, at most"
                        value={demand.plus ?? null}
                        keep={(plus) => store({ plus })}
                    />
                    <Limit
                        label="Under it by, at most"
                        value={demand.minus ?? null}
                        keep={(minus) => store({ minus })}
                    />
                </>
            )}
            {demand !== null && ['free', 'not-over', 'not-under'].includes(demand.kind) && (
                <TextField
                    select
                    label="General tolerances"
                    value={demand.class ?? 'm'}
                    onChange={(event) => void store({ class: event.target.value as Demand['class'] })}
                >
                    {CLASSES.map(([code, name]) => (
                        <MenuItem key={code} value={code}>
                            {name}
                        </MenuItem>
                    ))}
                </TextField>
            )}
        </Box>
    );
}

function Limit({
    label,
    value,
    keep,
}: {
    label: string;
    value: TypedLength | null;
    keep: (typed: Demand['plus']) => Promise<unknown>;
}) {
    const { typing } = useSettings();
    return (
        <LengthField
            small
            label={label}
            value={typedText(value, typing)}
            unit={typing}
            store={(typed) => keep({ typed, unit: typing })}
            clear={() => keep(null)}
        />
    );
}
