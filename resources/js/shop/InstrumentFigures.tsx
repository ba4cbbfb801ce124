import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { InstrumentState } from '../api/types';
import { LengthField } from '../entry/LengthField';
import { TextFact } from '../entry/TextFact';
import { useInstrumentChange } from './useInstrumentChange';

const KINDS = ['bore', 'shaft', 'length'] as const;

/** What is known of the instrument: each figure is stored when it is left, and every job follows it. */
export function Figures({ tool }: { tool: InstrumentState }) {
    const { change, usual } = useInstrumentChange();
    return (
        <Box sx={{ mt: 1.5 }}>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 15.625rem), 1fr))',
                }}
            >
                <TextFact label="Name" value={tool.name} store={(name) => change(tool.code, { name })} />
                {tool.figures.map((figure) => (
                    <LengthField
                        key={figure.field}
                        label={`${figure.label}, ${figure.unit}`}
                        value={figure.typed}
                        unit={figure.unit}
                        small
                        store={(typed) => change(tool.code, { [figure.field]: { typed, unit: figure.unit } })}
                    />
                ))}
            </Box>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.5, alignItems: 'center' }}>
                <ToggleButtonGroup
                    value={tool.fits}
                    aria-label="What it measures"
                    onChange={(_, fits: (typeof KINDS)[number][]) => void change(tool.code, { fits })}
                >
                    {KINDS.map((kind) => (
                        <ToggleButton key={kind} value={kind}>
                            {kind}s
                        </ToggleButton>
                    ))}
                </ToggleButtonGroup>
                <Button
                    variant="outlined"
                    color="inherit"
                    onClick={() => void change(tool.code, { in_shop: !tool.in_shop })}
                >
                    {tool.in_shop ? 'Not in this shop' : 'It is in this shop'}
                </Button>
                {tool.usual === false && (
                    <Button variant="outlined" color="inherit" onClick={() => void usual(tool.code)}>
                        Back to the usual figures
                    </Button>
                )}
                <Typography variant="body2" color="textSecondary">
                    Readings already taken follow what is changed here.
                </Typography>
            </Box>
        </Box>
    );
}
