import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { client, orRefuse } from '../api/client';
import { useCatalogue } from '../api/queries';
import type { Shop, Unit } from '../api/types';
import { LinkButton } from '../shell/LinkButton';

/** The demo shop says that it is one; one's own is begun with three answers, and undone with one tap. */
export function FirstStart({ shop, empty }: { shop: Shop; empty: boolean }) {
    const queries = useQueryClient();
    const [asking, setAsking] = useState(false);
    const [refused, setRefused] = useState<string | null>(null);
    // What was pressed is gone with the shop it stood in: the keyboard goes on from what is said of the new one.
    const said = useRef<HTMLElement>(null);
    const before = useRef(shop.demo);
    useEffect(() => {
        if (before.current !== shop.demo && said.current) {
            before.current = shop.demo;
            said.current.focus();
        }
    }, [shop.demo, empty]);
    const take = async (next: Promise<Shop>) => {
        try {
            queries.setQueryData(['shop'], await next);
            await queries.invalidateQueries({ queryKey: ['bench'] });
            setAsking(false);
            setRefused(null);
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'That did not work. Try again.');
        }
    };
    const back = async () => orRefuse(await client.POST('/api/shop/demo', { body: {} }));
    if (shop.demo) {
        return (
            <Box
                component="section"
                aria-label="The demo shop"
                sx={{ borderLeft: 5, borderColor: 'strong.main', pl: 1.5, mb: 1.5 }}
            >
                <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
                    <Typography ref={said} tabIndex={-1}>
                        This is the demo shop: its jobs are invented, try anything.
                    </Typography>
                    <Button variant="outlined" color="inherit" onClick={() => setAsking(true)}>
                        Begin my own shop
                    </Button>
                </Box>
                {asking && (
                    <Questions
                        close={() => setAsking(false)}
                        refused={refused}
                        begin={(body) =>
                            take((async () => orRefuse(await client.POST('/api/shop/own', { body })))())
                        }
                    />
                )}
            </Box>
        );
    }
    return shop.from_demo && empty ? (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mb: 1.5 }}>
            <Typography ref={said} tabIndex={-1}>
                This is your own shop. Tell it more of itself under Shop whenever you like.
            </Typography>
            <LinkButton onClick={() => void take(back())}>Back to the demo shop</LinkButton>
            {refused !== null && <Typography color="error">{refused}</Typography>}
        </Box>
    ) : null;
}

function Questions({
    begin,
    close,
    refused,
}: {
    begin: (body: { name: string; unit: Unit; usual: string }) => Promise<void>;
    close: () => void;
    refused: string | null;
}) {
    const usual = useCatalogue().data?.usual_shops ?? [];
    const [name, setName] = useState('My shop');
    const [unit, setUnit] = useState<Unit>('in');
    const [machines, setMachines] = useState('inch');
    return (
        <Dialog open onClose={close} fullWidth>
            <DialogTitle>My own shop</DialogTitle>
            <DialogContent>
                <Box
                    component="form"
                    onSubmit={(event) => {
                        event.preventDefault();
                        void begin({ name, unit, usual: machines });
                    }}
                    sx={{ display: 'grid', gap: 2, pt: 1 }}
                >
                    <TextField
                        autoFocus
                        label="What it is called"
                        value={name}
                        error={refused !== null}
                        helperText={refused ?? 'stands on every sheet'}
                        onChange={(event) => setName(event.target.value)}
                    />
                    <Box>
                        <Typography sx={{ mb: 0.5 }}>It measures in</Typography>
                        <ToggleButtonGroup
                            exclusive
                            value={unit}
                            aria-label="It measures in"
                            onChange={(_, next: Unit | null) => {
                                if (next !== null) {
                                    setUnit(next);
                                    setMachines(next === 'in' ? 'inch' : 'repair');
                                }
                            }}
                        >
                            <ToggleButton value="in">inches</ToggleButton>
                            <ToggleButton value="mm">millimetres</ToggleButton>
                        </ToggleButtonGroup>
                    </Box>
                    <Box>
                        <Typography sx={{ mb: 0.5 }}>It is nearest to</Typography>
                        <ToggleButtonGroup
                            exclusive
                            value={machines}
                            aria-label="It is nearest to"
                            onChange={(_, next: string | null) => next !== null && setMachines(next)}
                            sx={{ flexWrap: 'wrap' }}
                        >
                            {usual.map((one) => (
                                <ToggleButton key={one.code} value={one.code}>
                                    {one.name}
                                </ToggleButton>
                            ))}
                            <ToggleButton value="">none of these</ToggleButton>
                        </ToggleButtonGroup>
                    </Box>
                    <Typography variant="body2" color="textSecondary">
                        The demo jobs go to the bin, and come back with one tap. What your lathe holds, the
                        gauges, drills and taps stand under Shop with usual figures: put them right when you
                        get there.
                    </Typography>
                    <Box sx={{ display: 'flex', gap: 1 }}>
                        <Button type="submit" variant="contained">
                            Open my shop
                        </Button>
                        <Button color="inherit" onClick={close}>
                            Not now
                        </Button>
                    </Box>
                </Box>
            </DialogContent>
        </Dialog>
    );
}
