import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import QRCode from 'qrcode';
import { useState } from 'react';
import { useJob } from '../../job/JobContext';

/** A tag for the bag of small parts: opens the job on this shop's address. */
export function Tag() {
    const { facts } = useJob();
    const [open, setOpen] = useState(false);
    const address = `${window.location.origin}/job/${facts.id}`;
    const code = useQuery({
        queryKey: ['tag', address],
        queryFn: () => QRCode.toString(address, { type: 'svg', margin: 1, errorCorrectionLevel: 'Q' }),
        enabled: open,
        staleTime: Infinity,
    });
    const picture =
        code.data === undefined ? null : `data:image/svg+xml;utf8,${encodeURIComponent(code.data)}`;
    const print = () => {
        const page = window.open('', '_blank');
        page?.document.write(
            `<title>Tag</title><body style="font:14pt sans-serif;margin:8mm"><img src='${picture ?? ''}' style="width:40mm;float:left;margin-right:4mm"><b></b><div></div>`,
        );
        const [name, part] = [page?.document.querySelector('b'), page?.document.querySelector('div')];
        if (name && part) {
            name.textContent = facts.machine;
            part.textContent = facts.part;
        }
        page?.document.close();
        page?.print();
    };
    return (
        <>
            <Button variant="outlined" color="inherit" onClick={() => setOpen(true)}>
                Tag for the bag
            </Button>
            <Dialog open={open} onClose={() => setOpen(false)} aria-label="Tag for the bag">
                <DialogContent sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
                    {picture !== null && (
                        <Box
                            component="img"
                            src={picture}
                            alt={`Code that opens ${address}`}
                            sx={{ width: 190, height: 190, bgcolor: '#fff' }}
                        />
                    )}
                    <Box>
                        <Typography variant="outcome">{facts.machine}</Typography>
                        <Typography>{facts.part}</Typography>
                        <Typography variant="body2" color="textSecondary">
                            {address}
                        </Typography>
                    </Box>
                </DialogContent>
                <DialogActions>
                    <Button variant="outlined" color="inherit" onClick={print}>
                        Print it
                    </Button>
                    <Button variant="outlined" color="inherit" onClick={() => setOpen(false)}>
                        Close
                    </Button>
                </DialogActions>
            </Dialog>
        </>
    );
}
