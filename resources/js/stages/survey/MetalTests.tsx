import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useEffect, useRef } from 'react';
import { useCatalogue } from '../../api/queries';
import type { Part, PartAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';

/** @param begun by the hand that asked for them: it is led to the first, which is shown with as many of the others as fit */
export function Tests({ part, answer, begun }: { part: Part; answer: PartAnswer; begun: boolean }) {
    const { edit, save } = useJob();
    const catalogue = useCatalogue();
    // Of two quick taps the second one knows of the first.
    const show = (test: string, outcome: string | null) => {
        void edit('parts', part.id, ({ tests }) => {
            const others = Object.fromEntries(Object.entries(tests).filter(([code]) => code !== test));
            return { tests: outcome === null ? others : { ...others, [test]: outcome } };
        });
    };
    const first = answer.likely[0];
    const box = useRef<HTMLElement>(null);
    const there = catalogue.data !== undefined;
    useEffect(() => {
        if (begun && there) {
            box.current?.scrollIntoView({ block: 'start' });
            box.current?.querySelector('button')?.focus({ preventScroll: true });
        }
    }, [begun, there]);
    return (
        <Box ref={box} sx={{ mt: 2, scrollMarginTop: '9rem' }}>
            <Typography role="status" sx={{ mb: 1.25, minHeight: '1.5em' }}>
                {first === undefined
                    ? 'So far nothing was tried.'
                    : `So far: ${first.says}, ${first.confidence}.`}
            </Typography>
            <Box sx={{ display: 'grid', gap: 1.25 }}>
                {catalogue.data?.metal_tests.map((test) => (
                    <Box
                        key={test.code}
                        sx={{
                            display: 'grid',
                            gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '14.375rem 1fr' },
                            gap: 1,
                            alignItems: 'center',
                        }}
                    >
                        <Box>
                            <Typography sx={{ fontWeight: 650 }}>{test.name}</Typography>
                            <Typography variant="body2" color="textSecondary">
                                {test.how}
                            </Typography>
                        </Box>
                        <ToggleButtonGroup
                            exclusive
                            value={part.tests[test.code] ?? null}
                            aria-label={test.name}
                            onChange={(_, outcome: string | null) => show(test.code, outcome)}
                            sx={{
                                flexWrap: 'wrap',
                                gap: 0.5,
                                '&& .MuiToggleButton-root': {
                                    ml: 0,
                                    borderLeft: 1,
                                    borderColor: 'strong.main',
                                },
                            }}
                        >
                            {test.outcomes.map((outcome) => (
                                <ToggleButton key={outcome.code} value={outcome.code}>
                                    {outcome.says}
                                </ToggleButton>
                            ))}
                        </ToggleButtonGroup>
                    </Box>
                ))}
            </Box>
            {/* Under the tests: a list that grows above them would move them away under the finger. */}
            {answer.likely.length > 0 && (
                <Box sx={{ mt: 1.5 }}>
                    {answer.likely.map((group) => (
                        <Box
                            key={group.code}
                            sx={{
                                display: 'grid',
                                gridTemplateColumns: {
                                    xs: 'minmax(0, 1fr) 5rem',
                                    sm: '14.375rem 1fr 5.625rem 9.5rem',
                                },
                                gap: 1.25,
                                alignItems: 'center',
                                minHeight: 44,
                            }}
                        >
                            <Typography sx={{ fontWeight: group.confidence === 'likely' ? 700 : 400 }}>
                                {group.says}
                            </Typography>
                            <Box
                                sx={{
                                    height: 14,
                                    border: 1,
                                    borderColor: 'strong.main',
                                    gridColumn: { xs: '1 / -1', sm: 'auto' },
                                }}
                            >
                                <Box
                                    sx={{ width: `${group.share * 100}%`, height: 1, bgcolor: 'found.main' }}
                                />
                            </Box>
                            <Typography variant="body2">{group.confidence}</Typography>
                            <Button
                                variant={part.material === group.material ? 'text' : 'outlined'}
                                color="inherit"
                                aria-label={
                                    part.material === group.material
                                        ? `Taken as this: ${group.says}`
                                        : `Take it as this: ${group.says}`
                                }
                                aria-pressed={part.material === group.material}
                                onClick={() => void save('parts', part.id, { material: group.material })}
                            >
                                {part.material === group.material ? 'Taken as this' : 'Take it as this'}
                            </Button>
                        </Box>
                    ))}
                </Box>
            )}
        </Box>
    );
}
