import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { LANGUAGES, setSpeech, speech, type Dates, type Language, type Numbers } from '../speak/language';

const NUMBERS: [Numbers, string][] = [
    ['point', '1234.5'],
    ['comma', '1234,5'],
];

const DATES: [Dates, string][] = [
    ['words', 'with the month’s name'],
    ['numbers', 'in numbers'],
    ['iso', 'year-month-day'],
];

/** How this device reads: texts, numbers, days. Typed, a point and a comma are taken alike. */
export function SpeechSettings() {
    return (
        <Box
            sx={{
                display: 'grid',
                gap: 1.25,
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr 1.6fr' },
                pt: 1,
                mb: 1.5,
            }}
        >
            <TextField
                select
                label="Language"
                value={speech.language}
                onChange={(event) => setSpeech({ language: event.target.value as Language })}
            >
                {LANGUAGES.map(([code, name]) => (
                    <MenuItem key={code} value={code} lang={code} translate="no">
                        {name}
                    </MenuItem>
                ))}
            </TextField>
            <TextField
                select
                label="Numbers"
                value={speech.numbers}
                onChange={(event) => setSpeech({ numbers: event.target.value as Numbers })}
            >
                {NUMBERS.map(([code, name]) => (
                    <MenuItem key={code} value={code} translate="no">
                        {name}
                    </MenuItem>
                ))}
            </TextField>
            <TextField
                select
                label="Days"
                value={speech.dates}
                onChange={(event) => setSpeech({ dates: event.target.value as Dates })}
            >
                {DATES.map(([code, name]) => (
                    <MenuItem key={code} value={code}>
                        {name}
                    </MenuItem>
                ))}
            </TextField>
        </Box>
    );
}
