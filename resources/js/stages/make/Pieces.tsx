import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import type { Batch } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { useBatch } from './useBatch';

const SIGN: Record<Batch['pieces'][number]['state'], string> = {
    good: '✓',
    between: '(✓)',
    doubt: '?',
    bad: '✕',
    scrap: '✕',
    unsure: '≈',
    started: '…',
    open: '',
};

const TONE: Record<Batch['pieces'][number]['state'], string> = {
    good: 'good.main',
    between: 'text.secondary',
    doubt: 'found.main',
    bad: 'overlap.main',
    scrap: 'overlap.main',
    unsure: 'found.main',
    started: 'text.primary',
    open: 'text.secondary',
};

/** More than that in a row nobody looks through. */
const MANY = 48;

/** All of a small batch; of a large one the first, what needs a hand, and those round the one in hand. */
function inView(batch: Batch): number[] {
    // One to spare can be begun at once.
    const all = [...batch.pieces.map((one) => one.piece), batch.pieces.length + 1];
    if (all.length <= MANY) {
        return all;
    }
    const next = batch.pieces.find((one) => one.state === 'open')?.piece ?? all.length;
    return all.filter(
        (piece) =>
            piece === 1 ||
            piece === all.length ||
            Math.abs(piece - batch.piece) <= 6 ||
            Math.abs(piece - next) <= 3 ||
            ['bad', 'doubt', 'unsure', 'started'].includes(batch.pieces[piece - 1]?.state ?? ''),
    );
}

/** The pieces of a batch in a row: which is in hand, which are good, what comes next. */
export function Pieces() {
    const { answers } = useJob();
    const { change } = useBatch();
    const batch = answers.batch;
    if (batch === null) {
        return null;
    }
    const shown = inView(batch);
    return (
        <Box component="section" aria-label="Pieces of the batch" sx={{ mb: 1 }}>
            <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', flexWrap: 'wrap' }}>
                <Typography variant="h2">
                    Piece {batch.piece} of {batch.wanted}
                </Typography>
                <Typography role="status">
                    {batch.says} {batch.next}
                </Typography>
            </Box>
            <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', maxHeight: 164, overflowY: 'auto' }}>
                {shown.map((piece) => {
                    const of = batch.pieces[piece - 1];
                    const state = of?.state ?? 'open';
                    const here = piece === batch.piece;
                    return (
                        <ButtonBase
                            key={piece}
                            aria-pressed={here}
                            aria-label={of ? `Piece ${piece}, ${of.says}` : `Piece ${piece}, to spare`}
                            onClick={() => void change(() => ({ piece }))}
                            sx={{
                                minWidth: 48,
                                minHeight: 48,
                                px: 0.75,
                                border: here ? 2 : 1,
                                borderStyle: of ? 'solid' : 'dashed',
                                borderColor: here ? 'make.main' : 'divider',
                                borderRadius: 0.25,
                                color: TONE[state],
                                gap: 0.5,
                            }}
                        >
                            <Typography
                                variant="smallSize"
                                sx={{ textDecoration: state === 'scrap' ? 'line-through' : 'none' }}
                            >
                                {piece}
                            </Typography>
                            <span aria-hidden>{of ? SIGN[state] : '+'}</span>
                        </ButtonBase>
                    );
                })}
            </Box>
        </Box>
    );
}
