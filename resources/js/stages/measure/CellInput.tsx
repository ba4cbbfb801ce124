import InputBase from '@mui/material/InputBase';
import TableCell from '@mui/material/TableCell';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';

interface Props {
    label: string;
    initial: string;
    refused: boolean;
    typing: (typed: string) => void;
    /** False when it can't be kept as it is; the text stays. */
    store: (typed: string, then: 'next' | 'stay' | 'leave') => boolean;
    next: () => void;
    /** T in a cell where nothing is being typed takes the gauge's reading. */
    onTake: (() => void) | null;
}

/** The cell being filled. What is typed is stored on Enter, and also when the cell is left. */
export function CellInput({ label, initial, refused, typing, store, next, onTake }: Props) {
    const [text, setText] = useState(initial);
    const stored = useRef(initial);
    const wasRefused = useRef(refused);
    const given = useRef(false);
    const input = useRef<HTMLInputElement>(null);
    useEffect(() => {
        input.current?.focus();
        input.current?.select();
    }, []);
    const untouched = text === '' || text === initial;
    const keep = (then: 'next' | 'stay' | 'leave') => {
        if (given.current) {
            return;
        }
        const typed = text.trim();
        // Enter on what was refused before says again why: nobody passes over it unawares.
        const again = then === 'next' && wasRefused.current;
        if (typed === '' || (typed === stored.current && !again)) {
            if (then === 'next') {
                next();
            }
            return;
        }
        if (store(typed, then)) {
            stored.current = typed;
            wasRefused.current = false;
        }
    };
    return (
        <TableCell
            sx={{
                p: 0,
                outline: 3,
                outlineColor: refused ? 'error.main' : 'primary.main',
                outlineStyle: 'solid',
                outlineOffset: -3,
            }}
        >
            <InputBase
                inputRef={input}
                value={text}
                fullWidth
                inputProps={{
                    'aria-label': label,
                    autoComplete: 'off',
                    inputMode: 'text',
                    'aria-invalid': refused,
                    'data-untouched': untouched ? 'yes' : undefined,
                }}
                onChange={(event) => {
                    setText(event.target.value);
                    typing(event.target.value);
                }}
                onKeyDown={(event: KeyboardEvent) => {
                    if (event.key.toLowerCase() === 't' && untouched && onTake) {
                        event.preventDefault();
                        onTake();
                    }
                    if (event.key === 'Escape') {
                        // What was begun here is given up; what was stored stays.
                        given.current = true;
                        typing(stored.current);
                        setText(stored.current);
                        input.current?.blur();
                    }
                    if (event.key === 'Enter') {
                        event.preventDefault();
                        keep(event.shiftKey ? 'stay' : 'next');
                    }
                }}
                onFocus={() => {
                    given.current = false;
                }}
                onBlur={() => keep('leave')}
                sx={{
                    px: 1.5,
                    py: 0.5,
                    minHeight: 46,
                    '& input': { typography: 'size', p: 0 },
                }}
            />
        </TableCell>
    );
}
