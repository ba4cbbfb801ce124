import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from './router';
import { useJob } from '../job/JobContext';
import { LinkButton } from './LinkButton';
import { guide } from './guided';
import { useSettings } from './settings';

/** What a stage is for, in a sentence. */
const SAYS: Record<string, string> = {
    'take-in': 'Answer the safety question; the rest of this page can wait.',
    survey: 'The parts are drawn already: say what each is made of.',
    measure: 'Type what the gauge reads and press Enter; in an empty place Enter goes to the next surface.',
    size: 'Each joint has its fit. The blue number is the one to make; Why opens to where it comes from.',
    plan: 'The order of work, with what is held, cut and left on. It goes by the sizes.',
    make: 'Type each size as you cut, and it says what to dial next.',
    assemble: 'Tick what is done before it is pressed or put together.',
    'hand-over': 'What was made against what was wanted, and the sheet that goes with it.',
};

/** One sentence a stage at the first job somebody begins; gone for good when it is closed. */
export function Guide({ stage }: { stage: string }) {
    const { facts, answers } = useJob();
    const { say } = useSettings();
    const [shown, setShown] = useState(() => guide.isFor(facts.id));
    const { next } = answers;
    if (!shown) {
        return null;
    }
    return (
        <Box
            component="aside"
            aria-label="First steps"
            sx={{
                display: 'flex',
                flexWrap: 'wrap',
                alignItems: 'baseline',
                columnGap: 1.5,
                borderLeft: 5,
                borderColor: 'make.main',
                bgcolor: 'make.tint',
                pl: 1.5,
                pr: 1,
                py: 0.5,
                mb: 1.5,
            }}
        >
            <Typography sx={{ flex: '1 1 20rem' }}>
                {SAYS[stage]}{' '}
                {next.stage !== stage && (
                    <Link
                        to={`/job/${facts.id}/${next.stage}${next.target === null ? '' : `?at=${next.target}`}`}
                        style={{ color: 'inherit', fontWeight: 700 }}
                    >
                        Next: {say(next.says)}
                    </Link>
                )}
            </Typography>
            <LinkButton
                size="small"
                onClick={() => {
                    guide.close();
                    setShown(false);
                }}
            >
                I know my way
            </LinkButton>
        </Box>
    );
}
