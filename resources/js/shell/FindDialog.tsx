import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListSubheader from '@mui/material/ListSubheader';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useEffect, useEffectEvent, useState, type KeyboardEvent } from 'react';
import { useNavigate } from './router';
import { useFind } from '../api/queries';
import { useSettings } from './settings';
import { type Bar, doingsOf } from './doings';
import { usePlaces, remote, type Place } from './places';

/** How far off a size may be, in mm; said in both units on the buttons. */
const WITHIN = [
    { mm: 0.05, says: '±0.002 in' },
    { mm: 0.2, says: '±0.008 in' },
    { mm: 1, says: '±0.04 in' },
];

/** What a place is known by while others come and go around it. */
function idOf(place: Place | undefined): string | null {
    return place ? `${place.group} ${place.label} ${typeof place.to === 'string' ? place.to : ''}` : null;
}

/** Finds jobs and materials by a word, surfaces by a size, and places to go. */
export function FindDialog({ open, close, bar }: { open: boolean; close: () => void; bar: Bar }) {
    return (
        <Dialog open={open} onClose={close} fullWidth maxWidth="sm" aria-label="Find">
            {open && <Finder close={close} bar={bar} />}
        </Dialog>
    );
}

function Finder({ close, bar }: { close: () => void; bar: Bar }) {
    const navigate = useNavigate();
    const { say } = useSettings();
    const [text, setText] = useState('');
    const [within, setWithin] = useState(0.2);
    const [at, setAt] = useState<string | null>(null);
    // What stood there when Enter was pressed.
    const [entered, setEntered] = useState<string | null>(null);
    const asked = useDeferredValue(text);
    const found = useFind(asked, within);
    const { atHand, sumsAndWords } = usePlaces(bar.jobId, text, doingsOf(bar), bar.word);
    const blank = text.trim() === '';
    const places = blank ? atHand : [...atHand, ...remote(found.data, say), ...sumsAndWords];
    // Until the shop has said what it found, or can't, what stands first may not stay first.
    const silent = found.failureCount > 0 || found.fetchStatus === 'paused';
    const answered = blank || (asked === text && (silent || (found.isSuccess && !found.isPlaceholderData)));
    const chosen = Math.max(
        0,
        places.findIndex((place) => idOf(place) === at),
    );
    const go = (place: Place | undefined) => {
        if (place) {
            close();
            if (typeof place.to === 'string') {
                void navigate(place.to);
            } else {
                place.to();
            }
        }
    };
    const goOn = useEffectEvent(() => go(places[chosen]));
    const goesOn = entered === text && answered;
    useEffect(() => {
        if (goesOn) {
            goOn();
        }
    }, [goesOn]);
    const onKey = (event: KeyboardEvent) => {
        if (places.length > 0 && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
            event.preventDefault();
            const by = event.key === 'ArrowDown' ? 1 : -1;
            setAt(idOf(places[(chosen + by + places.length) % places.length]));
        }
        if (event.key === 'Enter') {
            if (at !== null || chosen < atHand.length) {
                go(places[chosen]);
            } else {
                setEntered(text);
            }
        }
    };
    return (
        <DialogContent sx={{ minHeight: 460 }}>
            <TextField
                autoFocus
                label="Find a job, a surface, a size such as 1.060, a sum, a word, or what to do"
                value={text}
                onChange={(event) => {
                    setText(event.target.value);
                    setAt(null);
                }}
                onKeyDown={onKey}
                role="combobox"
                aria-expanded
                aria-controls="found"
                slotProps={{
                    htmlInput: {
                        autoComplete: 'off',
                        'aria-activedescendant': places.length > 0 ? `found-${chosen}` : undefined,
                    },
                }}
            />
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mt: 1 }}>
                <Typography variant="body2">A size within</Typography>
                <ToggleButtonGroup
                    exclusive
                    size="small"
                    value={within}
                    aria-label="How far off a size may be"
                    onChange={(_, next: number | null) => next !== null && setWithin(next)}
                >
                    {WITHIN.map((w) => (
                        <ToggleButton key={w.mm} value={w.mm}>
                            {w.says} · {w.mm} mm
                        </ToggleButton>
                    ))}
                </ToggleButtonGroup>
            </Box>
            <List id="found" role="listbox" aria-label="Found" sx={{ mt: 0.5 }}>
                {places.map((place, i) => (
                    <Found
                        key={`${idOf(place)}${i}`}
                        id={`found-${i}`}
                        place={place}
                        headed={place.group !== places[i - 1]?.group}
                        chosen={i === chosen}
                        go={() => go(place)}
                    />
                ))}
            </List>
            {text.trim() !== '' && found.isSuccess && places.length === 0 && (
                <Typography sx={{ mt: 1 }}>
                    Nothing is called that, and no surface is near that size.
                </Typography>
            )}
        </DialogContent>
    );
}

function Found({
    id,
    place,
    headed,
    chosen,
    go,
}: {
    id: string;
    place: Place;
    headed: boolean;
    chosen: boolean;
    go: () => void;
}) {
    return (
        <>
            {headed && (
                <ListSubheader role="presentation" disableGutters sx={{ lineHeight: '30px', mt: 0.5 }}>
                    {place.group}
                </ListSubheader>
            )}
            <ListItemButton
                id={id}
                role="option"
                aria-selected={chosen}
                selected={chosen}
                onClick={go}
                sx={{ minHeight: 44, gap: 2, justifyContent: 'space-between' }}
            >
                <Typography>{place.label}</Typography>
                <Typography variant="body2" color="textSecondary" sx={{ textAlign: 'right' }}>
                    {place.detail}
                </Typography>
            </ListItemButton>
        </>
    );
}
