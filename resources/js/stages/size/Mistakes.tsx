import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useRef } from 'react';
import type { MistakeAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { Framed } from '../../pictures/Framed';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { DrawingView } from '../../pictures/DrawingView';
import { TakeIt } from './TakeIt';

/** Numbers that were wrong, the last first: what each does, what can be saved, what it costs. */
export function Mistakes() {
    const { answers } = useJob();
    const newest = answers.mistakes.at(-1)?.id;
    const list = useRef<HTMLDivElement>(null);
    // Whoever comes from further down has to see what it does, and go on from there by keyboard.
    useEffect(() => {
        list.current?.focus({ preventScroll: true });
        list.current?.scrollIntoView({ block: 'start' });
    }, [newest]);
    return (
        <Box ref={list} tabIndex={-1} sx={{ display: 'grid', gap: 2, outline: 'none' }}>
            {[...answers.mistakes].reverse().map((mistake) => (
                <Mistake key={mistake.id} mistake={mistake} />
            ))}
        </Box>
    );
}

function Mistake({ mistake }: { mistake: MistakeAnswer }) {
    const { facts } = useJob();
    const { say } = useSettings();
    const fact = facts.mistakes?.find((m) => m.id === mistake.id);
    const [first, ...others] = mistake.ways;
    return (
        <Box component="section" aria-label={`${mistake.name} was wrong`}>
            <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', flexWrap: 'wrap' }}>
                <Typography variant="h1" component="h2">
                    {mistake.name}
                </Typography>
                {mistake.was && (
                    <Box component="s" sx={{ color: 'text.secondary', typography: 'outcome' }}>
                        {say(mistake.was)}
                    </Box>
                )}
                <Typography variant="bigSize" color="found">
                    {mistake.is ? say(mistake.is) : 'measure it anew'}
                </Typography>
                <Typography color="textSecondary">
                    {mistake.off && `${say(mistake.off)}; `}
                    {mistake.cause}
                    {fact?.note ? `: ${fact.note}` : ''}
                </Typography>
            </Box>
            {first && (
                <Box sx={{ my: 1.25 }}>
                    <Framed strong>
                        <Typography variant="outcome">{say(first.do)}</Typography>
                        <Way way={first} />
                    </Framed>
                </Box>
            )}
            {mistake.picture && (
                <Box sx={{ mb: 1.25 }}>
                    <Framed pad={0.5}>
                        <DrawingView drawing={mistake.picture} maxWidth={900} />
                    </Framed>
                </Box>
            )}
            {others.length > 0 && (
                <Box component="section" aria-label="Other ways out" sx={{ mb: 1.25 }}>
                    <Typography sx={{ fontWeight: 650 }}>Or</Typography>
                    {others.map((way, i) => (
                        <Box key={i} sx={{ borderBottom: 1, borderColor: 'divider', py: 0.75 }}>
                            <Typography variant="said">{say(way.do)}</Typography>
                            <Way way={way} />
                        </Box>
                    ))}
                </Box>
            )}
            <Box
                sx={{
                    display: 'grid',
                    gap: 2,
                    gridTemplateColumns: {
                        xs: 'minmax(0, 1fr)',
                        sm: mistake.made.length > 0 ? '1fr 1fr' : '1fr',
                    },
                }}
            >
                <Box component="section" aria-label="What it moves">
                    <Typography sx={{ fontWeight: 650 }}>What it moves</Typography>
                    {mistake.touched.length === 0 && (
                        <Typography color="textSecondary">Nothing that is sized yet hangs on it.</Typography>
                    )}
                    {mistake.touched.map((row) => (
                        <Box key={row.name} sx={{ py: 0.5 }}>
                            <Verdict kind={row.ok ? 'good' : 'bad'}>{row.name}</Verdict>{' '}
                            <Box component="s" sx={{ color: 'text.secondary', mr: 1 }}>
                                {say(row.before)}
                            </Box>
                            <Box component="span" sx={{ fontWeight: 650 }}>
                                {say(row.now)}
                            </Box>
                        </Box>
                    ))}
                </Box>
                {mistake.made.length > 0 && (
                    <Box component="section" aria-label="Made from it">
                        <Typography sx={{ fontWeight: 650 }}>Made from it</Typography>
                        {mistake.made.map((row) => (
                            <Box key={row.name} sx={{ py: 0.5 }}>
                                <Verdict kind={row.ok ? 'good' : 'bad'}>{row.ok ? 'saved' : 'lost'}</Verdict>{' '}
                                {row.name} {say(row.says)}
                            </Box>
                        ))}
                    </Box>
                )}
            </Box>
            <Typography sx={{ mt: 1, borderLeft: 5, borderColor: 'found.main', pl: 1.5 }}>
                {mistake.look_also}
            </Typography>
        </Box>
    );
}

function Way({ way }: { way: MistakeAnswer['ways'][number] }) {
    const { say } = useSettings();
    return (
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center', mt: 0.25 }}>
            <Verdict kind={way.enough ? 'good' : 'usable'}>{say(way.then)}</Verdict>
            <Typography variant="body2">costs: {way.costs}</Typography>
            <TakeIt changes={way.changes} name={say(way.do)} />
        </Box>
    );
}
