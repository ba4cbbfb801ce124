import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { client, orRefuse, outlives } from '../api/client';
import { useShop } from '../api/queries';
import { useRef } from 'react';
import type { Machine, Recipe, Shop } from '../api/types';
import { BenchStrip } from '../bench/BenchStrip';
import { NumberFact } from '../entry/NumberFact';
import { TextFact } from '../entry/TextFact';
import { may } from '../people/me';
import { Frame } from '../shell/Frame';
import { Backups } from './Backups';
import { Instruments } from './Instruments';
import { LinkButton } from '../shell/LinkButton';
import { Machines } from './Machines';
import { People } from './People';
import { Recipes } from './Recipes';

/** The shop's own limits; a new job starts with them. */
export function ShopPage() {
    const shop = useShop();
    const queries = useQueryClient();
    const store = async (changes: Partial<Shop> & { forget?: boolean; typed?: Record<string, string> }) => {
        queries.setQueryData(
            ['shop'],
            orRefuse(await client.PATCH('/api/shop', { ...outlives, body: changes })),
        );
    };
    const queue = useRef<Promise<unknown>>(Promise.resolve());
    // One after the other, each on what the one before left: two figures typed fast are both kept.
    const change = (of: (now: Shop) => Partial<Shop>) => {
        const next = queue.current
            .catch(() => undefined)
            .then(() => {
                const now = queries.getQueryData<Shop>(['shop']);
                return now === undefined ? undefined : store(of(now));
            });
        queue.current = next;
        return next;
    };
    const changeMachines = (of: (machines: Machine[]) => Machine[]) =>
        change((now) => ({ machines: of(now.machines) }));
    const changeRecipes = (of: (recipes: Recipe[]) => Recipe[]) =>
        change((now) => ({ recipes: of(now.recipes) }));
    if (!shop.data) {
        return null;
    }
    // What a machine of the list says of itself is not asked a second time.
    const says = (kind: string, field: string) =>
        shop.data.machines.some((machine) => machine.kind === kind && machine.figures[field] !== undefined);
    return (
        <Frame
            title={shop.data.name}
            subtitle="what this shop can hold, press and measure"
            strip={<BenchStrip />}
        >
            <Typography variant="h1" component="h2" sx={{ mb: 1.5 }}>
                The shop
            </Typography>
            <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { md: '1fr 1fr' }, maxWidth: 980 }}>
                <TextFact label="Name" value={shop.data.name} store={(name) => store({ name })} />
                <NumberFact
                    label="Usual temperature, °C"
                    value={shop.data.temperature_c}
                    store={(v) => store({ temperature_c: v ?? 20 })}
                />
                {!says('lathe', 'holds_mm') && (
                    <TextFact
                        label={`The lathe holds, on diameter, ${shop.data.unit}`}
                        value={shop.data.in_fields.lathe_holds_mm}
                        store={(text) => store({ typed: { lathe_holds_mm: text } })}
                    />
                )}
                <TextFact
                    label={`Usual roughing cut, on diameter, ${shop.data.unit}`}
                    value={shop.data.in_fields.rough_cut_mm}
                    store={(text) => store({ typed: { rough_cut_mm: text } })}
                />
                {!says('press', 'force_n') && (
                    <TextFact
                        label="The press gives"
                        value={shop.data.in_fields.press_n}
                        store={(text) => store({ typed: { press_n: text } })}
                        helperText="9 kN, 20 t, 20 tons; a hand lever press gives about 9 kN"
                    />
                )}
                <NumberFact
                    label={`An hour’s work, ${shop.data.currency}`}
                    value={shop.data.rate_per_h}
                    store={(v) => store({ rate_per_h: v ?? 0 })}
                />
                <TextFact
                    label="Shims in the drawer, mm"
                    value={shop.data.shims}
                    store={(shims) => store({ shims })}
                    helperText="0.05 x3, 0.1 x2, 0.002 in x10"
                />
                <TextFact
                    label="Taps in the drawer"
                    value={shop.data.taps}
                    store={(taps) => store({ taps })}
                    helperText="M6, M8 × 1, 1/4 UNC, 3/8 UNF LH; empty: not said"
                    multiline
                />
                <TextFact
                    label="Dies in the drawer"
                    value={shop.data.dies}
                    store={(dies) => store({ dies })}
                    helperText="as the taps; empty: not said"
                    multiline
                />
                <TextFact
                    label={`Drills in the drawer, ${shop.data.tool_unit}`}
                    value={shop.data.drills}
                    store={(drills) => store({ drills })}
                    helperText="6.8 mm, 1/2, #7, letter F; empty: every usual one"
                    multiline
                />
                <TextFact
                    label={`Reamers in the drawer, ${shop.data.tool_unit}`}
                    value={shop.data.reamers}
                    store={(reamers) => store({ reamers })}
                    helperText="10 mm, 1/2, and what one really cuts: 8 mm cuts 8.012 mm"
                    multiline
                />
                <FormControlLabel
                    control={
                        <Switch
                            checked={shop.data.polishes_last}
                            onChange={(_, polishes_last) => void store({ polishes_last })}
                        />
                    }
                    label="Cut to the last half thou and polish or hone that; off: two equal last cuts and a spring pass"
                />
                <TextFact
                    label="Currency"
                    value={shop.data.currency}
                    store={(currency) => store({ currency })}
                />
            </Box>
            <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
                Machines and tools
            </Typography>
            <Machines shop={shop.data} change={changeMachines} />
            <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
                Recipes
            </Typography>
            <Recipes recipes={shop.data.recipes} change={changeRecipes} />
            {shop.data.learned.length > 0 && (
                <Box component="section" aria-label="Learned from the cut log" sx={{ mt: 3 }}>
                    <Typography variant="h2" sx={{ mb: 0.5 }}>
                        Learned from the cut log
                    </Typography>
                    <Typography color="textSecondary" sx={{ mb: 1 }}>
                        The first dial of a surface goes by it, and says so.
                    </Typography>
                    {shop.data.learned.map((says) => (
                        <Typography key={says}>{says}</Typography>
                    ))}
                    <LinkButton onClick={() => void store({ forget: true })}>
                        Forget it: the tool or the lathe is another
                    </LinkButton>
                </Box>
            )}
            <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
                Instruments
            </Typography>
            <Instruments />
            <Typography variant="h2" sx={{ mt: 3, mb: 0.5 }}>
                People
            </Typography>
            <People />
            {may('own') && (
                <>
                    <Typography variant="h2" sx={{ mt: 3, mb: 0.5 }}>
                        Backups
                    </Typography>
                    <Backups />
                </>
            )}
        </Frame>
    );
}
