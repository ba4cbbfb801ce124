import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { newId } from '../../api/client';
import { NumberFact } from '../../entry/NumberFact';
import { TextFact } from '../../entry/TextFact';
import { RemoveButton } from '../../entry/RemoveButton';
import { useJob } from '../../job/JobContext';

/** The work in the quote: set up once, run for each piece. */
export function Operations() {
    const { facts, save } = useJob();
    return (
        <Box component="section" aria-label="Work" sx={{ mt: 2.5 }}>
            <Typography variant="h2" sx={{ mb: 1.25 }}>
                Work
            </Typography>
            <Box sx={{ display: 'grid', gap: 1.25 }}>
                {facts.operations.map((operation) => (
                    <Box
                        key={operation.id}
                        sx={{
                            display: 'grid',
                            gap: 1.25,
                            gridTemplateColumns: {
                                xs: 'minmax(0, 1fr) minmax(0, 1fr) 2.75rem',
                                sm: '1fr 9.375rem 9.375rem 2.75rem',
                            },
                            alignItems: 'start',
                        }}
                    >
                        <Box sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
                            <TextFact
                                label="Operation"
                                value={operation.name}
                                store={(name) => save('operations', operation.id, { name })}
                            />
                        </Box>
                        <NumberFact
                            label="Set up once, min"
                            value={operation.setup_min}
                            store={(v) => save('operations', operation.id, { setup_min: v ?? 0 })}
                        />
                        <NumberFact
                            label="Each piece, min"
                            value={operation.run_min}
                            store={(v) => save('operations', operation.id, { run_min: v ?? 0 })}
                        />
                        <RemoveButton
                            name={operation.name}
                            remove={() => save('operations', operation.id, null)}
                        />
                    </Box>
                ))}
            </Box>
            <Button
                variant="outlined"
                color="inherit"
                sx={{ mt: 1.25 }}
                onClick={() =>
                    void save('operations', newId(), { name: 'Another operation', setup_min: 0, run_min: 0 })
                }
            >
                Add an operation
            </Button>
        </Box>
    );
}
