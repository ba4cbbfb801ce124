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
        <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', pt: 1, mb: 1.5 }}>
            <TextField
                select
                label="Language"
                value={speech.language}
                onChange={(event) => setSpeech({ language: event.target.value as Language })}
                sx={{ minWidth: '9rem' }}
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
                sx={{ minWidth: '8rem' }}
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
                sx={{ minWidth: '11rem' }}
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
