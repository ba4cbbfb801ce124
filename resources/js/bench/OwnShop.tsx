import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useCatalogue } from '../api/queries';
import type { Unit } from '../api/types';

/** What is asked before one's own shop is opened, with usual answers in place. */
export function OwnShop({
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
