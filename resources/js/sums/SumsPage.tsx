import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useSearchParams } from '../shell/router';
import { useShop } from '../api/queries';
import { BenchStrip } from '../bench/BenchStrip';
import { Frame } from '../shell/Frame';
import { labelled } from './values';
import { SumForm } from './SumForm';
import { useSums } from './useSums';

/** The list shows the one that is open. */
const toView = (row: HTMLElement | null) => row?.scrollIntoView({ block: 'nearest' });

/** Every stand-alone sum, found by word, worked out as one types; no job is needed. */
export function SumsPage() {
    const shop = useShop();
    const [params, setParams] = useSearchParams();
    const [word, setWord] = useState('');
    const sums = useSums();
    const all = sums.data ?? [];
    const words = word
        .toLowerCase()
        .split(/\s+/)
        .filter((w) => w !== '');
    const found = all.filter((sum) =>
        words.every((w) =>
            `${sum.title} ${sum.says} ${sum.takes.map((key) => labelled(key, sum.words).name).join(' ')}`
                .toLowerCase()
                .includes(w),
        ),
    );
    const here = all.find((sum) => sum.name === params.get('sum')) ?? found[0];
    return (
        <Frame title={shop.data?.name ?? ''} subtitle="sums without a job" strip={<BenchStrip />}>
            <Typography variant="h1" component="h2" sx={{ mb: 1.5 }}>
                Sums
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 2.5,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '18.75rem minmax(0, 1fr)' },
                    maxWidth: 1180,
                    alignItems: 'start',
                }}
            >
                <Box component="nav" aria-label="Sums">
                    <TextField
                        label="Find a sum by a word"
                        value={word}
                        onChange={(event) => setWord(event.target.value)}
                        fullWidth
                        sx={{ mb: 1 }}
                    />
                    <Box sx={{ maxHeight: { xs: 240, md: 'calc(100vh - 250px)' }, overflowY: 'auto' }}>
                        {found.map((sum) => (
                            <ButtonBase
                                key={sum.name}
                                ref={sum.name === here?.name ? toView : undefined}
                                aria-current={sum.name === here?.name}
                                onClick={() => setParams({ sum: sum.name }, { replace: true })}
                                sx={{
                                    display: 'block',
                                    width: 1,
                                    textAlign: 'left',
                                    px: 1,
                                    py: 0.75,
                                    minHeight: 44,
                                    borderBottom: 1,
                                    borderColor: 'divider',
                                    borderLeft: 5,
                                    borderLeftColor: sum.name === here?.name ? 'make.main' : 'transparent',
                                    '&:hover': { bgcolor: 'action.hover' },
                                }}
                            >
                                <Typography variant="label" component="p">
                                    {sum.title}
                                </Typography>
                                <Typography variant="body2" color="textSecondary">
                                    {sum.says}
                                </Typography>
                            </ButtonBase>
                        ))}
                        {sums.isSuccess && found.length === 0 && (
                            <Typography sx={{ p: 1 }}>
                                No sum has that word in it. Try another: taper, thread, circle, fit.
                            </Typography>
                        )}
                    </Box>
                </Box>
                {here && <SumForm key={here.name} sum={here} />}
            </Box>
        </Frame>
    );
}
