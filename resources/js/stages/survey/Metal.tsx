import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useCatalogue } from '../../api/queries';
import type { Part, PartAnswer } from '../../api/types';
import { NumberFact } from '../../entry/NumberFact';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { Notes } from '../../shell/Notes';
import { MaterialChoice } from './MaterialChoice';

type Scale = NonNullable<Part['hardness']>['scale'];
const SCALES: Scale[] = ['HRC', 'HB', 'HV'];

/** What it is made of and what that allows; a few simple tests where nobody knows. */
export function Metal({ part, answer }: { part: Part; answer: PartAnswer }) {
    const [testing, setTesting] = useState(Object.keys(part.tests).length > 0);
    return (
        <Box component="section" aria-label="Metal" sx={{ mt: 2.5 }}>
            <Typography variant="h2" sx={{ mb: 1.25 }}>
                Metal
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 2,
                    gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
                    alignItems: 'start',
                }}
            >
                <Box>
                    <MaterialChoice part={part} />
                    <HardnessFacts part={part} answer={answer} />
                </Box>
                <Box>
                    <Notes notes={answer.notes} />
                </Box>
            </Box>
            {testing ? (
                <Tests part={part} answer={answer} />
            ) : (
                <Button variant="outlined" color="inherit" onClick={() => setTesting(true)} sx={{ mt: 1 }}>
                    Find out what it is
                </Button>
            )}
        </Box>
    );
}

function HardnessFacts({ part, answer }: { part: Part; answer: PartAnswer }) {
    const { save } = useJob();
    const given = part.hardness;
    const [scale, setScale] = useState<Scale>(given?.scale ?? 'HRC');
    const shown = answer.hardness;
    const say = (value: number | null, unit: string, digits = 0) =>
        value === null ? null : `${value.toFixed(digits)} ${unit}`;
    const others = shown
        ? [
              say(shown.hrc, 'HRC', 1),
              say(shown.hb, 'HB'),
              say(shown.hv, 'HV'),
              shown.tensile_mpa === null ? null : `about ${shown.tensile_mpa.toFixed(0)} MPa`,
          ].filter((text) => text !== null)
        : [];
    return (
        <>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.25,
                    mt: 0.5,
                    gridTemplateColumns: '92px 1fr 1.4fr',
                    alignItems: 'start',
                }}
            >
                <TextField
                    select
                    label="Scale"
                    value={scale}
                    onChange={(event) => {
                        const next = event.target.value as Scale;
                        setScale(next);
                        if (given) {
                            void save('parts', part.id, { hardness: { ...given, scale: next } });
                        }
                    }}
                >
                    {SCALES.map((s) => (
                        <MenuItem key={s} value={s}>
                            {s}
                        </MenuItem>
                    ))}
                </TextField>
                <NumberFact
                    label="Hardness"
                    value={given?.value ?? null}
                    store={(value) =>
                        save('parts', part.id, {
                            hardness: value === null ? null : { scale, value, where: given?.where ?? '' },
                        })
                    }
                />
                <TextFact
                    label="Taken where"
                    value={given?.where ?? ''}
                    disabled={given === null}
                    store={(where) =>
                        given ? save('parts', part.id, { hardness: { ...given, where } }) : Promise.resolve()
                    }
                />
            </Box>
            {others.length > 0 && (
                <Typography variant="body2" sx={{ mt: 0.75 }}>
                    {others.join(' · ')} <span>(ISO 18265, plain and low-alloy steel)</span>
                </Typography>
            )}
        </>
    );
}

function Tests({ part, answer }: { part: Part; answer: PartAnswer }) {
    const { save } = useJob();
    const catalogue = useCatalogue();
    const show = (test: string, outcome: string | null) => {
        const tests = Object.fromEntries(Object.entries(part.tests).filter(([code]) => code !== test));
        void save('parts', part.id, { tests: outcome === null ? tests : { ...tests, [test]: outcome } });
    };
    return (
        <Box sx={{ mt: 2 }}>
            {answer.likely.length > 0 && (
                <Box role="status" sx={{ mb: 1.5 }}>
                    {answer.likely.map((group) => (
                        <Box
                            key={group.code}
                            sx={{
                                display: 'grid',
                                gridTemplateColumns: { xs: '1fr 80px', sm: '230px 1fr 90px auto' },
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
                                variant="outlined"
                                color="inherit"
                                disabled={part.material === group.material}
                                aria-label={`Take it as this: ${group.says}`}
                                onClick={() => void save('parts', part.id, { material: group.material })}
                            >
                                Take it as this
                            </Button>
                        </Box>
                    ))}
                </Box>
            )}
            <Box sx={{ display: 'grid', gap: 1.25 }}>
                {catalogue.data?.metal_tests.map((test) => (
                    <Box
                        key={test.code}
                        sx={{
                            display: 'grid',
                            gridTemplateColumns: { xs: '1fr', sm: '230px 1fr' },
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
                                <ToggleButton
                                    key={outcome.code}
                                    value={outcome.code}
                                    sx={{ textTransform: 'none' }}
                                >
                                    {outcome.says}
                                </ToggleButton>
                            ))}
                        </ToggleButtonGroup>
                    </Box>
                ))}
            </Box>
        </Box>
    );
}
