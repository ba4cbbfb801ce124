import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Note } from '../api/types';
import { useSettings } from './settings';
import { Words } from './Words';

const TONE = { info: 'strong.main', caution: 'found.main', stop: 'overlap.main' };
const WORD = { info: '', caution: 'Mind: ', stop: 'Stop: ' };

/** Advice, the weightiest first. */
export function Notes({ notes, least = 'info' }: { notes: Note[]; least?: 'info' | 'caution' }) {
    const { say } = useSettings();
    const order = ['stop', 'caution', 'info'];
    const shown = notes
        .filter((note) => least === 'info' || note.severity !== 'info')
        .sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity));
    return (
        <>
            {shown.map((note, i) => (
                <Box key={i} sx={{ borderLeft: 5, borderColor: TONE[note.severity], pl: 1.25, my: 0.75 }}>
                    <Typography variant="body2">
                        {WORD[note.severity] !== '' && <b>{WORD[note.severity]}</b>}
                        <Words text={say(note.say)} />
                    </Typography>
                </Box>
            ))}
        </>
    );
}
