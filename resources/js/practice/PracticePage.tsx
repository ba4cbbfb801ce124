import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { BenchStrip } from '../bench/BenchStrip';
import type { PracticeList } from '../api/types';
import { day } from '../entry/day';
import { Frame } from '../shell/Frame';
import { Link, useNavigate } from '../shell/router';
import { useSettings } from '../shell/settings';
import { mono } from '../theme/theme';
import { Exercises } from './Exercises';
import { OverTime } from './OverTime';
import { beginPractice, usePracticeList } from './usePractice';

const LARGEST = 999_999;

const anySeed = () => Math.floor(Math.random() * (LARGEST + 1));

/** Learn it without scrapping metal: lessons, free practice, reading by eye, and how one gets on. */
export function PracticePage() {
    const list = usePracticeList();
    const navigate = useNavigate();
    const [refused, setRefused] = useState<string | null>(null);
    const begin = async (of: Parameters<typeof beginPractice>[0], seed: number) => {
        setRefused(null);
        try {
            void navigate(`/job/${await beginPractice(of, seed)}/take-in`);
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'It did not begin: try again.');
        }
    };
    return (
        <Frame title="Practice" subtitle="the whole job on simulated parts" strip={<BenchStrip />}>
            {refused !== null && (
                <Alert severity="warning" variant="outlined" sx={{ mb: 1.5 }}>
                    {refused}
                </Alert>
            )}
            {list.isError && <Typography>{list.error.message}</Typography>}
            {list.data && (
                <Box sx={{ maxWidth: 1120, display: 'grid', gap: 3, gridTemplateColumns: 'minmax(0, 1fr)' }}>
                    <Box component="section" aria-label="Lessons">
                        <Typography variant="h2" sx={{ mb: 1 }}>
                            Lessons, each about one mistake
                        </Typography>
                        <Box
                            sx={{
                                display: 'grid',
                                gap: 1,
                                gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 15.5rem), 1fr))',
                            }}
                        >
                            {list.data.lessons.map((lesson) => (
                                <Card
                                    key={lesson.code}
                                    lesson={lesson}
                                    done={list.data.practices.filter((p) => p.lesson === lesson.code)}
                                    begin={() => void begin({ lesson: lesson.code }, anySeed())}
                                />
                            ))}
                        </Box>
                    </Box>
                    <Free list={list.data} begin={begin} />
                    <Box>
                        <Typography variant="h2" sx={{ mb: 1 }}>
                            Reading by eye, against the clock
                        </Typography>
                        <Exercises kinds={list.data.exercises} />
                    </Box>
                    <OverTime list={list.data} />
                    <Done list={list.data} />
                </Box>
            )}
        </Frame>
    );
}

function Card({
    lesson,
    done,
    begin,
}: {
    lesson: PracticeList['lessons'][number];
    done: PracticeList['practices'];
    begin: () => void;
}) {
    const good = done.some((p) => p.good === true);
    const tried = done.some((p) => p.ended_at !== null);
    return (
        <ButtonBase
            onClick={begin}
            sx={{
                display: 'flex',
                flexDirection: 'column',
                alignItems: 'flex-start',
                justifyContent: 'flex-start',
                textAlign: 'left',
                border: 1,
                borderColor: good ? 'good.main' : 'strong.main',
                bgcolor: 'background.paper',
                p: 1.25,
                minHeight: 132,
            }}
        >
            <Typography sx={{ fontWeight: 700 }}>{lesson.title}</Typography>
            <Typography variant="body2" color="textSecondary">
                {lesson.level_label} · {lesson.skill}
            </Typography>
            <Typography
                variant="body2"
                sx={{
                    mt: 0.5,
                    display: '-webkit-box',
                    WebkitLineClamp: 3,
                    WebkitBoxOrient: 'vertical',
                    overflow: 'hidden',
                }}
            >
                {lesson.story}
            </Typography>
            {tried && (
                <Typography
                    variant="body2"
                    color={good ? 'good' : 'overlap'}
                    sx={{ fontWeight: 700, mt: 0.5 }}
                >
                    {good ? '✓ done well' : 'tried'}
                </Typography>
            )}
        </ButtonBase>
    );
}

function Free({
    list,
    begin,
}: {
    list: PracticeList;
    begin: (of: Parameters<typeof beginPractice>[0], seed: number) => Promise<void>;
}) {
    const { typing } = useSettings();
    const [kind, setKind] = useState(list.kinds[0]?.code ?? 'plain-bush');
    const [level, setLevel] = useState<'easy' | 'fair' | 'hard'>('easy');
    const [seed, setSeed] = useState('');
    return (
        <Box
            component="form"
            aria-label="Free practice"
            onSubmit={(event) => {
                event.preventDefault();
                void begin({ kind, level, unit: typing }, seed.trim() === '' ? anySeed() : Number(seed));
            }}
        >
            <Typography variant="h2" sx={{ mb: 1 }}>
                Free practice
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start' }}>
                <TextField
                    select
                    label="What is made"
                    value={kind}
                    onChange={(event) => setKind(event.target.value)}
                    sx={{ width: '18rem', maxWidth: '100%' }}
                >
                    {list.kinds.map((k) => (
                        <MenuItem key={k.code} value={k.code}>
                            {k.name}
                        </MenuItem>
                    ))}
                </TextField>
                <TextField
                    select
                    label="How hard"
                    value={level}
                    onChange={(event) => setLevel(event.target.value as typeof level)}
                    sx={{ width: '9rem', maxWidth: '100%' }}
                >
                    {list.levels.map((l) => (
                        <MenuItem key={l.code} value={l.code}>
                            {l.name}
                        </MenuItem>
                    ))}
                </TextField>
                <TextField
                    label="Drawn by (empty: any)"
                    value={seed}
                    onChange={(event) => setSeed(event.target.value)}
                    helperText="The same number gives the same parts, to share."
                    slotProps={{ htmlInput: { inputMode: 'numeric', autoComplete: 'off' } }}
                    sx={{ width: '14rem', maxWidth: '100%' }}
                />
                <Button type="submit" variant="contained">
                    Begin
                </Button>
            </Box>
        </Box>
    );
}

function Done({ list }: { list: PracticeList }) {
    if (list.practices.length === 0) {
        return null;
    }
    return (
        <Box component="section" aria-label="What was practised">
            <Typography variant="h2" sx={{ mb: 1 }}>
                What was practised
            </Typography>
            <Box sx={{ overflowX: 'auto' }}>
                {list.practices.map((one) => (
                    <Box
                        key={one.job}
                        sx={{
                            display: 'grid',
                            gap: 1,
                            py: 0.75,
                            borderTop: 1,
                            borderColor: 'divider',
                            alignItems: 'center',
                            gridTemplateColumns: {
                                xs: 'minmax(0, 1fr)',
                                md: '15rem 7rem 7rem minmax(0, 1fr) auto',
                            },
                        }}
                    >
                        <Typography sx={{ fontWeight: 700 }}>{one.title}</Typography>
                        <Typography variant="body2">{day(one.ended_at ?? one.started_at ?? '')}</Typography>
                        <Typography
                            variant="body2"
                            color={one.good === null ? 'textSecondary' : one.good ? 'good' : 'overlap'}
                        >
                            {one.good === null ? 'begun' : one.good ? 'went well' : 'went wrong'}
                        </Typography>
                        <Typography variant="body2" sx={{ fontFamily: mono }}>
                            {(one.scores ?? [])
                                .filter((s) => s.points !== null)
                                .map((s) => `${s.label} ${s.points}`)
                                .join(' · ')}
                        </Typography>
                        <Button
                            component={Link}
                            to={one.ended_at === null ? `/job/${one.job}/measure` : `/practice/${one.job}`}
                            variant="outlined"
                            color="inherit"
                            size="small"
                        >
                            {one.ended_at === null ? 'Go on' : 'What was true'}
                        </Button>
                    </Box>
                ))}
            </Box>
        </Box>
    );
}
