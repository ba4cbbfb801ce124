import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { LoopAnswer, LoopFacts } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { Why } from '../../shell/Why';

type Length = LoopFacts['lengths'][number];

/** Lengths that add up: how the gap closes, by how much and with what chance, and what an open length has to be. */
export function Loop({ loop, answer }: { loop: LoopFacts; answer: LoopAnswer }) {
    const { save } = useJob();
    const { say, typing } = useSettings();
    const store = (fact: Partial<LoopFacts>) => save('loops', loop.id, fact);
    const limit = (which: 'least' | 'most', label: string) => (
        <LengthField
            signed
            label={label}
            value={loop[which]?.typed ?? ''}
            unit={loop[which]?.unit ?? typing}
            store={(typed) => store({ [which]: { typed, unit: loop[which]?.unit ?? typing } })}
        />
    );
    const certain = answer.chance !== null && answer.chance > 0.9999;
    return (
        <>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: { xs: '1fr', sm: '1fr 200px 200px' },
                    mb: 1,
                }}
            >
                <TextFact label="The gap" value={loop.name} store={(name) => store({ name })} />
                {limit('least', 'At least')}
                {limit('most', 'At most')}
            </Box>
            {answer.blocked && (
                <Typography sx={{ borderLeft: 5, borderColor: 'overlap.main', pl: 1.5, fontSize: 18, mb: 1 }}>
                    {say(answer.blocked)}
                </Typography>
            )}
            {answer.solved && (
                <Typography variant="size" component="p" color="make" sx={{ fontSize: 26, fontWeight: 700 }}>
                    {say(answer.solved)}
                </Typography>
            )}
            {answer.closes_at && (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
                    <Typography>closes at</Typography>
                    <Typography variant="bigSize" component="p">
                        {say(answer.closes_at)}
                    </Typography>
                    {answer.chance !== null && (
                        <Verdict kind={certain ? 'good' : answer.chance > 0.95 ? 'usable' : 'bad'}>
                            {certain
                                ? 'as wanted'
                                : `${(Math.floor(answer.chance * 1000) / 10).toString()} of 100 as wanted`}
                        </Verdict>
                    )}
                    <Typography color="textSecondary">
                        at worst {answer.worst && say(answer.worst)}; 95 of 100{' '}
                        {answer.likely && say(answer.likely)}
                    </Typography>
                </Box>
            )}
            {answer.shims && <Typography sx={{ fontSize: 18 }}>{say(answer.shims)}</Typography>}
            {answer.picture && (
                <Box sx={{ mt: 1 }}>
                    <Framed pad={0.5}>
                        <DrawingView drawing={answer.picture} maxWidth={900} />
                    </Framed>
                </Box>
            )}
            <Box sx={{ mt: 1 }}>
                <Notes notes={answer.notes} />
            </Box>
            {answer.remedies.length > 0 && (
                <Box component="section" aria-label="What would close it" sx={{ mt: 1 }}>
                    <Typography sx={{ fontWeight: 650 }}>What would close it</Typography>
                    {answer.remedies.map((remedy, i) => (
                        <Box
                            key={i}
                            sx={{
                                display: 'flex',
                                gap: 1.5,
                                flexWrap: 'wrap',
                                alignItems: 'center',
                                py: 0.5,
                            }}
                        >
                            <Typography sx={{ flex: '1 1 320px', maxWidth: 640, fontSize: 17 }}>
                                {say(remedy.do)}
                            </Typography>
                            <Verdict kind={remedy.enough ? 'good' : 'usable'}>
                                {`${(Math.floor(remedy.chance * 1000) / 10).toString()} of 100 as wanted`}
                            </Verdict>
                        </Box>
                    ))}
                </Box>
            )}
            <Lengths loop={loop} answer={answer} store={(lengths) => store({ lengths })} />
            <Why steps={answer.working} label="Why it closes so" />
        </>
    );
}

function Lengths({
    loop,
    answer,
    store,
}: {
    loop: LoopFacts;
    answer: LoopAnswer;
    store: (lengths: Length[]) => Promise<unknown>;
}) {
    const { facts } = useJob();
    const { say, typing } = useSettings();
    const [name, setName] = useState('');
    const change = (at: number, part: Partial<Length>) =>
        store(loop.lengths.map((length, i) => (i === at ? { ...length, ...part } : length)));
    const add = (length: Partial<Length> & { name: string }) =>
        void store([
            ...loop.lengths,
            {
                surface: null,
                size: null,
                plus: null,
                minus: null,
                opens: loop.lengths.length === 0,
                spread: 'uniform',
                ...length,
            },
        ]);
    const typed = (length: Length, at: number, which: 'size' | 'plus' | 'minus', label: string) => (
        <Box sx={{ width: which === 'size' ? 150 : 110 }}>
            <LengthField
                small={which !== 'size'}
                label={label}
                value={length[which]?.typed ?? ''}
                unit={length[which]?.unit ?? typing}
                store={(text) =>
                    change(at, { [which]: { typed: text, unit: length[which]?.unit ?? typing } })
                }
            />
        </Box>
    );
    return (
        <Box component="section" aria-label="Lengths of the loop" sx={{ mt: 1 }}>
            {loop.lengths.map((length, at) => {
                const row = answer.rows[at];
                return (
                    <Box
                        key={`${at}${length.name}`}
                        role="group"
                        aria-label={length.name}
                        sx={{
                            display: 'flex',
                            gap: 1.5,
                            alignItems: 'center',
                            flexWrap: 'wrap',
                            borderBottom: 1,
                            borderColor: 'divider',
                            py: 0.75,
                        }}
                    >
                        <Button
                            variant="outlined"
                            color="inherit"
                            onClick={() => void change(at, { opens: !length.opens })}
                            aria-label={`${length.name} ${length.opens ? 'opens' : 'closes'} the gap; turn it round`}
                        >
                            {length.opens ? '+ opens' : '− closes'}
                        </Button>
                        <Typography sx={{ flex: '1 1 120px', fontWeight: 650 }}>{length.name}</Typography>
                        {length.surface === null ? (
                            <>
                                {typed(length, at, 'size', 'Size')}
                                {typed(length, at, 'plus', '+')}
                                {typed(length, at, 'minus', '−')}
                            </>
                        ) : (
                            <Typography>
                                {row?.size ? (
                                    <>
                                        <b>{say(row.size)}</b> ±{row.plus_minus && say(row.plus_minus)}
                                    </>
                                ) : null}{' '}
                                {row?.from}
                            </Typography>
                        )}
                        <Typography variant="body2" color="textSecondary" sx={{ width: 62 }}>
                            {row?.share == null ? '' : `${Math.round(row.share * 100)} %`}
                        </Typography>
                        <Button
                            color="inherit"
                            onClick={() => void store(loop.lengths.filter((_, i) => i !== at))}
                            sx={{ textDecoration: 'underline' }}
                        >
                            Take out
                        </Button>
                    </Box>
                );
            })}
            <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 1.25 }}>
                <TextField
                    select
                    label="Add a length of the job"
                    value=""
                    onChange={(event) => {
                        const surface = facts.surfaces.find((s) => s.id === event.target.value);
                        if (surface) {
                            add({ name: surface.name, surface: surface.id });
                        }
                    }}
                    sx={{ width: 280 }}
                >
                    {facts.surfaces
                        .filter((s) => ['length', 'bore', 'shaft', 'flat'].includes(s.kind))
                        .map((s) => (
                            <MenuItem key={s.id} value={s.id}>
                                {s.name}
                            </MenuItem>
                        ))}
                </TextField>
                <Box
                    component="form"
                    sx={{ display: 'flex', gap: 1 }}
                    onSubmit={(event) => {
                        event.preventDefault();
                        if (name.trim() !== '') {
                            add({ name: name.trim() });
                            setName('');
                        }
                    }}
                >
                    <TextField
                        label="or one to type: its name"
                        value={name}
                        onChange={(event) => setName(event.target.value)}
                    />
                    <Button type="submit" variant="outlined" color="inherit" sx={{ whiteSpace: 'nowrap' }}>
                        Add it
                    </Button>
                </Box>
            </Box>
        </Box>
    );
}
