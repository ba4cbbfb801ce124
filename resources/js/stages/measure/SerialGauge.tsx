import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { GaugeReading } from '../../api/types';
import { keptLine, useSerial, type Line } from './useSerial';

const RATES = [1200, 2400, 4800, 9600, 19200, 38400, 57600, 115200];

/** A gauge of one's own on a serial line: how it speaks is chosen once; what it sends goes where the cursor is. */
export function SerialGauge({ take }: { take: (reading: GaugeReading) => void }) {
    const [line, setLine] = useState<Line>(keptLine);
    const serial = useSerial(line, true, take);
    return (
        <>
            <TextField
                select
                label="Baud"
                value={line.baudRate}
                onChange={(event) => setLine({ ...line, baudRate: Number(event.target.value) })}
                sx={{ width: 110 }}
            >
                {RATES.map((rate) => (
                    <MenuItem key={rate} value={rate}>
                        {rate}
                    </MenuItem>
                ))}
            </TextField>
            <TextField
                select
                label="Parity"
                value={line.parity}
                onChange={(event) => setLine({ ...line, parity: event.target.value as Line['parity'] })}
                sx={{ width: 100 }}
            >
                {(['none', 'even', 'odd'] as const).map((parity) => (
                    <MenuItem key={parity} value={parity}>
                        {parity}
                    </MenuItem>
                ))}
            </TextField>
            <TextField
                select
                label="It sends"
                value={line.unit}
                onChange={(event) => setLine({ ...line, unit: event.target.value as Line['unit'] })}
                sx={{ width: 90 }}
            >
                <MenuItem value="mm">mm</MenuItem>
                <MenuItem value="in">in</MenuItem>
            </TextField>
            <Button variant="outlined" color="inherit" onClick={() => void serial.choose()}>
                {serial.chosen ? 'Another port' : 'Choose its port'}
            </Button>
            <Typography role="status" color={serial.says === null ? 'textSecondary' : 'error'}>
                {serial.says ??
                    (serial.chosen
                        ? 'Press the gauge’s own button: each reading is stored where the cursor is.'
                        : '')}
            </Typography>
        </>
    );
}
