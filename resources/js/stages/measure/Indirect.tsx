import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { TypedField } from '../../entry/TypedField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import type { Unit } from '../../api/types';
import { useUnderstood } from '../../entry/useUnderstood';
import { useSettings } from '../../shell/settings';

interface Way {
    name: string;
    asks: string[];
    /** The reading as it would be typed by hand. */
    typed: (sizes: string[]) => string;
    picture: ReactNode;
}

const hole = (x: number, r: number) => <circle cx={x} cy={20} r={r} fill="none" stroke="currentColor" />;
const span = (from: number, to: number, y: number, dashed = false) => (
    <path
        d={`M${from} ${y}H${to}M${from} ${y - 4}v8M${to} ${y - 4}v8`}
        stroke="currentColor"
        strokeDasharray={dashed ? '3 2' : undefined}
        fill="none"
    />
);
const block = (x: number, y: number, w: number, h: number) => (
    <rect x={x} y={y} width={w} height={h} fill="none" stroke="currentColor" />
);

/** Sizes no gauge shows at once, with what is read for each. */
const WAYS: Record<string, Way> = {
    master: {
        name: 'Set on a master',
        asks: ['The master is', 'On the part it shows, + or −'],
        typed: ([master, shown]) => `${master} set ${shown}`,
        picture: (
            <>
                {block(20, 12, 40, 22)}
                {block(80, 9, 40, 25)}
                <path d="M10 34H130M10 12H130" stroke="currentColor" strokeDasharray="3 2" />
            </>
        ),
    },
    less: {
        name: 'Over all, less a part',
        asks: ['Over all', 'Less'],
        typed: ([all, part]) => `${all}-${part}`,
        picture: (
            <>
                {block(20, 10, 60, 20)}
                {block(80, 10, 40, 20)}
                {span(20, 120, 36)}
                {span(80, 120, 5)}
            </>
        ),
    },
    outside: {
        name: 'Two holes, far edge to far edge',
        asks: ['Far edge to far edge', 'One hole', 'The other hole'],
        typed: ([far, a, b]) => `${far}-(${a}+${b})/2`,
        picture: (
            <>
                {hole(30, 12)}
                {hole(110, 12)}
                {span(18, 122, 37)}
                {span(30, 110, 20, true)}
            </>
        ),
    },
    between: {
        name: 'Two holes, near edge to near edge',
        asks: ['Near edge to near edge', 'One hole', 'The other hole'],
        typed: ([near, a, b]) => `${near}+(${a}+${b})/2`,
        picture: (
            <>
                {hole(30, 12)}
                {hole(110, 12)}
                {span(42, 98, 37)}
                {span(30, 110, 20, true)}
            </>
        ),
    },
    edge: {
        name: 'Face to a hole’s near edge',
        asks: ['Face to the near edge', 'The hole'],
        typed: ([near, hole]) => `${near}+${hole}/2`,
        picture: (
            <>
                <path d="M20 4V40" stroke="currentColor" strokeWidth={2} />
                {hole(100, 14)}
                {span(20, 86, 37)}
                {span(20, 100, 20, true)}
            </>
        ),
    },
};

/** A reading made of several: it is stored as the sum that could have been typed, and counts its gauge for each. */
export function Indirect({ store }: { store: (typed: string, unit: Unit) => void }) {
    const { typing } = useSettings();
    const [which, setWhich] = useState('master');
    const [sizes, setSizes] = useState<string[]>([]);
    const way = WAYS[which];
    const filled = way?.asks.map((_, i) => (sizes[i] ?? '').trim()) ?? [];
    const whole = way !== undefined && filled.every((size) => size !== '');
    const typed = whole ? way.typed(filled) : '';
    const understood = useUnderstood(typed, typing, false, true);
    if (way === undefined) {
        return null;
    }
    return (
        <Box
            component="form"
            aria-label="A reading made of several"
            onSubmit={(event) => {
                event.preventDefault();
                if (whole && understood?.refused === null) {
                    store(typed, typing);
                    setSizes([]);
                }
            }}
            sx={{ border: 1, borderColor: 'strong.main', bgcolor: 'background.paper', p: 1.5, mt: 1 }}
        >
            <ToggleButtonGroup
                exclusive
                value={which}
                aria-label="Made of"
                onChange={(_, to: string | null) => to !== null && setWhich(to)}
                sx={{ flexWrap: 'wrap', mb: 1.5 }}
            >
                {Object.entries(WAYS).map(([code, { name }]) => (
                    <ToggleButton key={code} value={code}>
                        {name}
                    </ToggleButton>
                ))}
            </ToggleButtonGroup>
            <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
                <Box component="svg" viewBox="0 0 140 44" aria-hidden sx={{ width: 168, flex: 'none' }}>
                    {way.picture}
                </Box>
                {way.asks.map((label, i) => (
                    <TypedField
                        key={label}
                        label={label}
                        value={sizes[i] ?? ''}
                        typed={(text) =>
                            setSizes(way.asks.map((_, k) => (k === i ? text : (sizes[k] ?? ''))))
                        }
                        sx={{ flex: '1 1 9.375rem' }}
                    />
                ))}
                <Button type="submit" variant="contained" disabled={!whole}>
                    Store it
                </Button>
            </Box>
            <Typography
                variant="body2"
                role="status"
                sx={{ mt: 0.75, minHeight: 24 }}
                color={understood?.refused != null ? 'error' : 'textSecondary'}
            >
                {typed === '' ? '' : (understood?.refused ?? `${typed} = ${understood?.shown?.both ?? '…'}`)}
            </Typography>
        </Box>
    );
}
