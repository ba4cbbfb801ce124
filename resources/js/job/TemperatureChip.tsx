import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { NumberFact } from '../entry/NumberFact';
import { useJob } from './JobContext';

/** How warm the shop is; readings without a temperature of their own were taken at it. */
export function TemperatureChip() {
    const { facts, save } = useJob();
    const [open, setOpen] = useState(false);
    return (
        <>
            <Button
                variant="outlined"
                color="inherit"
                onClick={() => setOpen(true)}
                sx={{ whiteSpace: 'nowrap', display: { xs: 'none', sm: 'inline-flex' } }}
            >
                <Box component="span" sx={{ display: { xs: 'none', md: 'inline' } }}>
                    Shop&nbsp;
                </Box>
                {facts.shop.temperature_c} °C
            </Button>
            <Dialog open={open} onClose={() => setOpen(false)}>
                <DialogTitle>How warm is the shop?</DialogTitle>
                <DialogContent>
                    <Typography sx={{ mb: 2 }}>
                        Readings of this job that carry no temperature of their own were taken at it.
                    </Typography>
                    <NumberFact
                        label="Shop temperature, °C"
                        value={facts.shop.temperature_c}
                        needed="How warm is it? Readings need it."
                        store={(value) => save(null, '', { shop: { temperature_c: value } })}
                    />
                </DialogContent>
                <DialogActions>
                    <Button onClick={() => setOpen(false)}>Done</Button>
                </DialogActions>
            </Dialog>
        </>
    );
}
