import { TypedField } from '../entry/TypedField';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useFit } from '../api/queries';
import type { FitLook, Unit } from '../api/types';
import { useKept } from '../entry/useKept';
import { useUnderstood } from '../entry/useUnderstood';
import { DrawingView } from '../pictures/DrawingView';
import { Framed } from '../pictures/Framed';
import { useKey } from '../shell/keys';
import { useSettings } from '../shell/settings';
import { FitButton } from './FitButton';
import { Members } from './FitMembers';

export interface Place {
    size: string;
    unit: Unit;
    fit: string;
}

/** Any size, any hole and shaft or an inch class, with its picture; arrow keys go looser and tighter. */
export function FitExplorer({ size, unit, fit, go }: Place & { go: (to: Partial<Place>) => void }) {
    const { say, typing } = useSettings();
    const look = useFit(size, unit, fit);
    const understood = useUnderstood(size, unit);
    const [card, setCard] = useKept<Place[]>('fit-card', []);
    const shown = look.data;
    const at = shown?.beside.findIndex((row) => row.label === shown.label) ?? -1;
    const slide = (by: number) => {
        const next = shown?.beside[at + by];
        if (next) {
            go({ fit: next.label });
        }
    };
    useKey('arrowleft', () => slide(-1));
    useKey('arrowright', () => slide(1));
    const refused = look.isError ? look.error.message : null;
    const rows = card.map((row) => `${row.size} ${row.unit}|${row.fit}`).join(';');
    return (
        <Box sx={{ minWidth: 0 }}>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: {
                        xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                        sm: '16.25rem 13.75rem 1fr',
                    },
                }}
            >
                <TypedField
                    label={`Size, ${unit}`}
                    value={size}
                    typed={(text) => go({ size: text, unit: typing })}
                    understood={understood}
                />
                <FitName key={fit} fit={fit} refused={refused} take={(to) => go({ fit: to })} />
            </Box>
            <Box role="status" sx={{ minHeight: 30 }}>
                {refused !== null && <Typography color="error">{refused}</Typography>}
            </Box>
            {shown && (
                <>
                    <Typography variant="h1" component="h2">
                        {shown.label} at {say(shown.size)}
                    </Typography>
                    <Typography
                        variant="hugeSize"
                        component="p"
                        sx={{ color: shown.tight ? 'overlap.main' : 'good.main' }}
                    >
                        {say(shown.range)}
                    </Typography>
                    <Box
                        role="group"
                        aria-label="Looser to tighter"
                        sx={{
                            display: 'grid',
                            gap: 0.75,
                            my: 1.25,
                            gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'repeat(5, minmax(0, 1fr))' },
                        }}
                    >
                        {near(shown, at).map((row) => (
                            <FitButton
                                key={row.label}
                                row={row}
                                chosen={row.label === shown.label}
                                take={() => go({ fit: row.label })}
                            />
                        ))}
                    </Box>
                    <Framed pad={0.5}>
                        <DrawingView drawing={shown.picture} maxWidth={780} />
                    </Framed>
                    <Members look={shown} />
                    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1.25 }}>
                        {shown.steps.map((step) => (
                            <Button
                                key={step.name}
                                variant="outlined"
                                color="inherit"
                                onClick={() => go({ fit: step.to })}
                            >
                                {step.name}
                            </Button>
                        ))}
                        <Button
                            variant="outlined"
                            color="inherit"
                            onClick={() => setCard((all) => [...all, { size, unit, fit: shown.label }])}
                        >
                            Put it on the card
                        </Button>
                        {card.length > 0 && (
                            <>
                                <Button
                                    variant="contained"
                                    href={`/api/fits/card?unit=${unit}&rows=${encodeURIComponent(rows)}`}
                                    target="_blank"
                                >
                                    Print the card ({card.length})
                                </Button>
                                <Button color="inherit" onClick={() => setCard([])}>
                                    Empty it
                                </Button>
                            </>
                        )}
                    </Box>
                    <Typography variant="h3" component="h3" sx={{ mt: 2, mb: 0.5 }}>
                        {shown.school === 'iso' ? 'Nearest in inch classes' : 'Nearest in ISO'}
                    </Typography>
                    <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}>
                        {shown.like.map((row) => (
                            <FitButton
                                key={row.label}
                                row={row}
                                chosen={false}
                                take={() => go({ fit: row.label })}
                            />
                        ))}
                    </Box>
                    <Typography variant="body2" color="textSecondary" sx={{ mt: 1.25 }}>
                        {shown.used_for.length > 0 && `Used for ${shown.used_for.join('; ')}. `}
                        {shown.source}. Left and right arrow: looser and tighter.
                    </Typography>
                </>
            )}
        </Box>
    );
}

/** The nearest on either side, so that they stay in one row. */
function near(look: FitLook, at: number) {
    const from = Math.max(0, Math.min(at - 2, look.beside.length - 5));
    return look.beside.slice(from, from + 5);
}

function FitName({
    fit,
    refused,
    take,
}: {
    fit: string;
    refused: string | null;
    take: (fit: string) => void;
}) {
    const [text, setText] = useState(fit);
    return (
        <TextField
            label="Fit"
            value={text}
            error={refused !== null}
            helperText="H7/p6, RC4, FN2 …"
            className="typed"
            onChange={(event) => setText(event.target.value)}
            onBlur={() => text !== fit && take(text)}
            onKeyDown={(event) => {
                if (event.key === 'Enter') {
                    take(text);
                }
            }}
            slotProps={{ htmlInput: { autoComplete: 'off' } }}
        />
    );
}
