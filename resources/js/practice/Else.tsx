import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Deed, PracticeBench } from '../api/types';
import type { useDeed } from './usePractice';

/** What else one may do: let it lie, clean, check a gauge, try a metal, look whether bores are in line. */
export function Else({ bench, act }: { bench: PracticeBench; act: ReturnType<typeof useDeed>['act'] }) {
    const typing = bench.unit;
    const [what, setWhat] = useState('wait');
    const [thing, setThing] = useState('');
    const [test, setTest] = useState('');
    const [last, setLast] = useState<Deed | null>(null);
    const doings = [
        { code: 'wait', name: 'Let it lie for an hour', things: [] },
        { code: 'warmth', name: 'Take a part’s warmth', things: bench.parts },
        {
            code: 'clean',
            name: 'Take burrs and dirt off',
            things: bench.surfaces.map((s) => ({ id: s.id, name: s.name })),
        },
        {
            code: 'check',
            name: 'Hold a gauge to its master',
            things: bench.gauges.map((g) => ({ id: g.code, name: g.name })),
        },
        { code: 'test', name: 'Try what it is made of', things: bench.parts },
        ...(bench.runs ? [{ code: 'line', name: 'A bar through both bores', things: [] }] : []),
        ...(bench.bars.length > 0
            ? [
                  {
                      code: 'stock',
                      name: 'Choose a bar',
                      things: bench.bars.map((b) => ({ id: b.name, name: b.name })),
                  },
              ]
            : []),
    ];
    const doing = doings.find((d) => d.code === what) ?? doings[0];
    const of = doing?.things.find((t) => t.id === thing) ?? doing?.things[0];
    const trial = bench.tests.find((t) => t.code === test) ?? bench.tests[0];
    const go = async () => {
        const done = await act({
            kind: what as 'wait',
            ...(what === 'wait' ? { minutes: 60 } : {}),
            ...(what === 'warmth' || what === 'test' ? { part: of?.id } : {}),
            ...(what === 'test' ? { test: trial?.code } : {}),
            ...(what === 'clean' ? { surface: of?.id } : {}),
            ...(what === 'check' ? { instrument: of?.id } : {}),
            ...(what === 'stock' ? { test: of?.id } : {}),
        });
        setLast(done?.deed ?? null);
    };
    return (
        <Box
            component="form"
            onSubmit={(event) => {
                event.preventDefault();
                void go();
            }}
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start' }}
        >
            <TextField
                select
                label="Do"
                value={doing?.code ?? 'wait'}
                onChange={(event) => {
                    setWhat(event.target.value);
                    setThing('');
                    setLast(null);
                }}
                sx={{ width: '16rem', maxWidth: '100%' }}
            >
                {doings.map((d) => (
                    <MenuItem key={d.code} value={d.code}>
                        {d.name}
                    </MenuItem>
                ))}
            </TextField>
            {of !== undefined && (
                <TextField
                    select
                    label="Which"
                    value={of.id}
                    onChange={(event) => setThing(event.target.value)}
                    sx={{ width: '16rem', maxWidth: '100%' }}
                >
                    {doing?.things.map((t) => (
                        <MenuItem key={t.id} value={t.id}>
                            {t.name}
                        </MenuItem>
                    ))}
                </TextField>
            )}
            {what === 'test' && trial !== undefined && (
                <TextField
                    select
                    label="By"
                    value={trial.code}
                    helperText={trial.how}
                    onChange={(event) => setTest(event.target.value)}
                    sx={{ width: '14rem', maxWidth: '100%' }}
                >
                    {bench.tests.map((t) => (
                        <MenuItem key={t.code} value={t.code}>
                            {t.name}
                        </MenuItem>
                    ))}
                </TextField>
            )}
            <Button type="submit" variant="contained">
                Do it
            </Button>
            <Typography sx={{ flexBasis: '100%', minHeight: 24, fontWeight: 700 }} aria-live="polite">
                {last === null ? '' : said(last, bench, typing)}
            </Typography>
        </Box>
    );
}

/** What one sees of it. */
function said(deed: Deed, bench: PracticeBench, unit: 'in' | 'mm'): string {
    const { mm, celsius, outcome, through } = deed.result;
    const size = (of: number) => (unit === 'in' ? `${(of / 25.4).toFixed(4)} in` : `${of.toFixed(3)} mm`);
    switch (deed.kind) {
        case 'wait':
            return 'It lay for an hour.';
        case 'warmth':
            return `${celsius ?? ''} °C`;
        case 'check':
            return `On its master it shows ${size(mm ?? 0)} too much.`;
        case 'line':
            return `The bar stands ${size(mm ?? 0)} off at the second bore.`;
        case 'stock':
            return through === true ? 'It goes through the spindle.' : 'It does not go through the spindle.';
        case 'test':
            return bench.tests.find((t) => t.code === deed.test)?.outcomes[outcome ?? ''] ?? '';
        default:
            return 'Done.';
    }
}
