import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { newId } from '../../api/client';
import type { AssemblyFacts } from '../../api/types';
import { RemoveButton } from '../../entry/RemoveButton';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { Verdict } from '../../shell/Verdict';
import { useAssembly } from './useAssembly';

type Check = AssemblyFacts['checks'][number];

const SAYS = { good: 'as wanted', bad: 'not as wanted', found: 'found', open: 'to do' } as const;

/** What is checked once it is together: what is wanted, what was found, the verdict. */
export function AfterChecks() {
    const { answers } = useJob();
    const { assembly, change } = useAssembly();
    const { together } = answers.assembly;
    const add = (of: Omit<Check, 'id' | 'found' | 'note'>) =>
        void change((now) => ({ checks: [...now.checks, { ...of, id: newId(), found: '', note: '' }] }));
    return (
        <Box component="section" aria-label="Measured after" sx={{ mt: 2 }}>
            <Typography variant="h2" sx={{ borderBottom: 1, borderColor: 'divider', pb: 0.5 }}>
                Measured after
            </Typography>
            {assembly.checks.map((check) => {
                const verdict = together.checks.find((one) => one.id === check.id)?.verdict ?? 'open';
                const mend = (part: Partial<Check>) =>
                    change((now) => ({
                        checks: now.checks.map((one) => (one.id === check.id ? { ...one, ...part } : one)),
                    }));
                const unit = check.unit === '' ? '' : `, ${check.unit}`;
                return (
                    <Box
                        key={check.id}
                        role="group"
                        aria-label={check.name}
                        sx={{ borderBottom: 1, borderColor: 'divider', py: 1, display: 'grid', gap: 1 }}
                    >
                        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
                            <Typography sx={{ fontWeight: 600 }}>{check.name}</Typography>
                            <Verdict kind={verdict === 'good' ? 'good' : verdict === 'bad' ? 'bad' : 'plain'}>
                                {SAYS[verdict]}
                            </Verdict>
                        </Box>
                        <Box
                            sx={{
                                display: 'grid',
                                gap: 1,
                                alignItems: 'start',
                                gridTemplateColumns: {
                                    xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                                    sm: '1fr 1fr 1fr 2fr 2.75rem',
                                },
                            }}
                        >
                            <TextFact
                                label={`At least${unit}`}
                                value={check.least}
                                store={(least) => mend({ least })}
                            />
                            <TextFact
                                label={`At most${unit}`}
                                value={check.most}
                                store={(most) => mend({ most })}
                            />
                            <TextFact
                                label={`Found${unit}`}
                                value={check.found}
                                store={(found) => mend({ found })}
                            />
                            <TextFact
                                label="Seen, heard, felt"
                                value={check.note}
                                store={(note) => mend({ note })}
                            />
                            <RemoveButton
                                name={check.name}
                                remove={() =>
                                    change((now) => ({
                                        checks: now.checks.filter((one) => one.id !== check.id),
                                    }))
                                }
                            />
                        </Box>
                    </Box>
                );
            })}
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 0.5 }}>
                {together.offers.map((offer) => (
                    <Button key={offer.name} color="inherit" onClick={() => add(offer)}>
                        + {offer.name}
                    </Button>
                ))}
            </Box>
        </Box>
    );
}
