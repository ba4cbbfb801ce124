import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { newId } from '../api/client';
import { useCatalogue } from '../api/queries';
import type { Machine, Shop } from '../api/types';
import { RemoveButton } from '../entry/RemoveButton';
import { TextFact } from '../entry/TextFact';
import { Framed } from '../pictures/Framed';
import { MachinesFile } from './MachinesFile';

type Change = (of: (machines: Machine[]) => Machine[]) => Promise<unknown>;

/** The machine as it is, to what it is to be. */
type Mend = (of: (machine: Machine) => Machine) => Promise<unknown>;

/** What the shop cuts, presses and heats with; the order of work chooses by it and says where it does not reach. */
export function Machines({ shop, change }: { shop: Shop; change: Change }) {
    const catalogue = useCatalogue();
    const [opened, setOpened] = useState<string | null>(null);
    const machines = shop.machines;
    const add = (kind: string) => {
        const id = newId();
        const name = catalogue.data?.machine_kinds.find((k) => k.code === kind)?.name ?? kind;
        setOpened(id);
        void change((now) => [...now, { id, kind, name, unit: shop.unit, figures: {} }]);
    };
    return (
        <Framed pad={0}>
            {machines.map((machine) => (
                <One
                    key={machine.id}
                    machine={machine}
                    open={opened === machine.id}
                    toggle={() => setOpened(opened === machine.id ? null : machine.id)}
                    change={(of) =>
                        change((now) => now.map((one) => (one.id === machine.id ? of(one) : one)))
                    }
                    remove={() => change((now) => now.filter((one) => one.id !== machine.id))}
                />
            ))}
            <Box sx={{ display: 'flex', gap: 1.5, p: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
                <TextField
                    select
                    label="Another machine"
                    value=""
                    onChange={(event) => add(event.target.value)}
                    sx={{ width: 240 }}
                >
                    {catalogue.data?.machine_kinds.map((kind) => (
                        <MenuItem key={kind.code} value={kind.code}>
                            {kind.name}
                        </MenuItem>
                    ))}
                </TextField>
                <MachinesFile take={(taken) => void change((now) => [...now, ...taken])} />
                {machines.length === 0 && (
                    <>
                        <Typography color="textSecondary">or begin with the usual ones of</Typography>
                        {catalogue.data?.usual_shops.map((usual) => (
                            <Button
                                key={usual.code}
                                variant="outlined"
                                color="inherit"
                                onClick={() =>
                                    void change((now) => [
                                        ...now,
                                        ...usual.machines.map((machine) => ({ ...machine, id: newId() })),
                                    ])
                                }
                            >
                                {usual.name}
                            </Button>
                        ))}
                    </>
                )}
            </Box>
        </Framed>
    );
}

/** Such as “swing over the bed 13 in”, “heats to 250 °C”. */
function inWords(figure: { field: string; label: string; length: boolean }, machine: Machine): string {
    const [name = '', unit = ''] = figure.label.split(', °');
    const value = machine.figures[figure.field] ?? '';
    const after = figure.length ? ` ${machine.unit}` : unit === '' ? '' : ` °${unit}`;
    return `${name.charAt(0).toLowerCase()}${name.slice(1)} ${value}${after}`;
}

function One({
    machine,
    open,
    toggle,
    change,
    remove,
}: {
    machine: Machine;
    open: boolean;
    toggle: () => void;
    change: Mend;
    remove: () => Promise<unknown>;
}) {
    const kind = useCatalogue().data?.machine_kinds.find((k) => k.code === machine.kind);
    const said = kind?.figures.filter((figure) => machine.figures[figure.field] !== undefined) ?? [];
    const missing = (kind?.figures.length ?? 0) - said.length;
    return (
        <Box
            role="group"
            aria-label={machine.name}
            sx={{ px: 1.5, py: 1, borderBottom: 1, borderColor: 'divider' }}
        >
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
                <Box sx={{ flex: '1 1 18.75rem' }}>
                    <Typography sx={{ fontWeight: 650 }}>{machine.name}</Typography>
                    <Typography color="textSecondary" variant="body2" hidden={open}>
                        {said.map((figure) => inWords(figure, machine)).join(', ')}
                        {missing > 0 && `${said.length > 0 ? '; ' : ''}${missing} figures not said`}
                    </Typography>
                </Box>
                <Button variant="outlined" color="inherit" onClick={toggle}>
                    {open ? 'Close' : 'Figures'}
                </Button>
            </Box>
            {open && (
                <Box
                    sx={{
                        display: 'grid',
                        gap: 1.5,
                        mt: 1.5,
                        gridTemplateColumns: {
                            xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                            md: 'repeat(4, 1fr)',
                        },
                        alignItems: 'start',
                    }}
                >
                    <TextFact
                        label="Name"
                        value={machine.name}
                        store={(name) => change((now) => ({ ...now, name }))}
                    />
                    {kind?.figures.map((figure) => (
                        <Figure key={figure.field} machine={machine} figure={figure} change={change} />
                    ))}
                    <RemoveButton name={machine.name} remove={remove} />
                </Box>
            )}
        </Box>
    );
}

function Figure({
    machine,
    figure,
    change,
}: {
    machine: Machine;
    figure: { field: string; label: string; length: boolean; words: string[] };
    change: Mend;
}) {
    const value = machine.figures[figure.field] ?? '';
    const store = (text: string) =>
        change((now) => ({ ...now, figures: { ...now.figures, [figure.field]: text } }));
    return figure.words.length > 0 ? (
        <TextField
            select
            label={figure.label}
            value={value}
            onChange={(event) => void store(event.target.value)}
        >
            <MenuItem value="">not said</MenuItem>
            {figure.words.map((word) => (
                <MenuItem key={word} value={word}>
                    {word}
                </MenuItem>
            ))}
        </TextField>
    ) : (
        <TextFact
            label={figure.length ? `${figure.label}, ${machine.unit}` : figure.label}
            value={value}
            store={store}
        />
    );
}
