import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Link } from '../../shell/router';
import type { Shaped, ShapeNumber, Surface } from '../../api/types';
import { ItIs } from '../../entry/ItIs';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { MADE } from '../../shell/made';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { sizeKind, Verdict } from '../../shell/Verdict';
import { Steps } from '../../shell/Steps';
import { Why } from '../../shell/Why';

/** A taper, thread, keyway, flat or teeth: which it is, the number to cut to, how it is set, cut and checked. */
export function ShapeView({ shape, surface }: { shape: Shaped; surface: Surface }) {
    const { say } = useSettings();
    const [first, ...more] = shape.numbers;
    return (
        <>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1, flexWrap: 'wrap' }}>
                <Typography variant="h1" component="h2">
                    {shape.name}
                </Typography>
                <ItIs key={surface.id} surface={surface} />
            </Box>
            {shape.is && <Typography variant="outcome">{say(shape.is)}</Typography>}
            {shape.missing && (
                <Box sx={{ borderLeft: 5, borderColor: 'overlap.main', pl: 1.5, my: 1 }}>
                    <Typography variant="said">{say(shape.missing)}</Typography>
                    <MeasureIt surface={surface} />
                </Box>
            )}
            <Box
                sx={{
                    display: 'grid',
                    gap: 2,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 5fr) minmax(0, 6fr)' },
                    alignItems: 'start',
                    mt: 1,
                }}
            >
                <Box>
                    {first && (
                        <>
                            <Typography variant="label" component="p">
                                {first.name}
                            </Typography>
                            <Typography variant="bigSize" component="p" color={shape.cut ? 'make' : 'found'}>
                                {say(first.says)}
                            </Typography>
                            <Made number={first} />
                        </>
                    )}
                    {shape.because && (
                        <Typography variant="body2" color="textSecondary" sx={{ mt: 0.5 }}>
                            {say(shape.because)}
                        </Typography>
                    )}
                    <Numbers numbers={more} />
                </Box>
                {shape.picture && (
                    <Framed pad={0.5}>
                        <DrawingView drawing={shape.picture} />
                    </Framed>
                )}
            </Box>
            <Box sx={{ mt: 1 }}>
                <Notes notes={shape.notes} />
            </Box>
            <Candidates shape={shape} surface={surface} />
            <Box
                sx={{
                    display: 'grid',
                    columnGap: 3,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '3fr 2fr' },
                }}
            >
                <Steps title="Set it and cut it" steps={shape.sets.map(say)} />
                <Steps title="Check it" steps={shape.checks.map(say)} />
            </Box>
            <Why steps={shape.working} label="Why these numbers" />
        </>
    );
}

function MeasureIt({ surface }: { surface: Surface }) {
    const { facts } = useJob();
    return (
        <ButtonBase
            component={Link}
            to={`/job/${facts.id}/measure?at=${surface.id}`}
            sx={{ typography: 'label', color: 'make.main', minHeight: 44, textDecoration: 'underline' }}
        >
            Measure it
        </ButtonBase>
    );
}

function Made({ number }: { number: ShapeNumber }) {
    const { say } = useSettings();
    return (
        number.made && (
            <Verdict kind={sizeKind(number.verdict)}>
                {say(number.made)} {MADE[number.verdict ?? ''] ?? ''}
            </Verdict>
        )
    );
}

function Numbers({ numbers }: { numbers: ShapeNumber[] }) {
    const { say } = useSettings();
    return (
        <Box component="dl" sx={{ m: 0, mt: 1 }}>
            {numbers.map((number) => (
                <Box
                    key={number.name}
                    sx={{
                        display: 'grid',
                        gridTemplateColumns: 'minmax(7.5rem, 1fr) auto',
                        gap: 1.5,
                        alignItems: 'baseline',
                        borderTop: 1,
                        borderColor: 'divider',
                        py: 0.5,
                    }}
                >
                    <Typography component="dt">{number.name}</Typography>
                    <Box component="dd" sx={{ m: 0, textAlign: 'right' }}>
                        <Typography variant="smallSize" component="p">
                            {say(number.says)}
                        </Typography>
                        <Made number={number} />
                    </Box>
                </Box>
            ))}
        </Box>
    );
}

/** What it may be, likeliest first; a tap says which it is. */
function Candidates({ shape, surface }: { shape: Shaped; surface: Surface }) {
    const { say } = useSettings();
    const { save } = useJob();
    const may = shape.candidates.filter((c) => c.label !== surface.shape);
    if (may.length === 0) {
        return null;
    }
    const odds = may.some((c) => c.of !== null);
    return (
        <Box sx={{ mt: 1 }}>
            <Typography variant="h2">{odds ? 'What it may be' : 'The nearest standard tapers'}</Typography>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.5 }}>
                {may.slice(0, 5).map((c) => (
                    <ButtonBase
                        key={c.label}
                        aria-label={`It is ${c.label}`}
                        onClick={() => void save('surfaces', surface.id, { shape: c.label })}
                        sx={{
                            display: 'block',
                            textAlign: 'left',
                            border: 1,
                            borderColor: 'strong.main',
                            px: 1.25,
                            py: 0.75,
                            minHeight: 44,
                            '&:hover': { bgcolor: 'action.hover' },
                        }}
                    >
                        <Typography variant="label" component="p">
                            {c.label}
                        </Typography>
                        <Typography variant="body2" color="textSecondary">
                            {c.of === null ? c.off && say(c.off) : `${c.family}, ${c.of} of 100`}
                        </Typography>
                    </ButtonBase>
                ))}
            </Box>
        </Box>
    );
}
