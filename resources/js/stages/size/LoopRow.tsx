import { LinkButton } from '../../shell/LinkButton';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { LoopAnswer, LoopFacts } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { typedText } from '../../entry/typed';
import { useJob } from '../../job/JobContext';
import { Ghost } from '../../shell/Ghost';
import { useSettings } from '../../shell/settings';
import { WrongNumber } from './WrongNumber';
import { LengthMore } from './LengthMore';
import { LengthSlider } from './LengthSlider';
import type { Length } from './loopLength';

interface RowProps {
    loop: LoopFacts;
    length: Length;
    row: LoopAnswer['rows'][number] | undefined;
    at: number;
    store: (next: (now: Length[]) => Length[]) => Promise<unknown>;
}

/** One length of a loop: which way it counts, its size, what it does to the spread. */
export function LoopRow({ loop, length, row, at, store }: RowProps) {
    const { before, whatIf } = useJob();
    const { say, typing } = useSettings();
    const [more, setMore] = useState(false);
    const [wrong, setWrong] = useState(false);
    const change = (part: Partial<Length>) =>
        store((now) => now.map((other, i) => (i === at ? { ...other, ...part } : other)));
    const old = before?.loops.find((l) => l.id === loop.id)?.rows[at];
    return (
        <Box role="group" aria-label={length.name} sx={{ borderBottom: 1, borderColor: 'divider', py: 0.75 }}>
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
                <Button
                    variant="outlined"
                    color="inherit"
                    onClick={() => void change({ opens: !length.opens })}
                    aria-label={`${length.name} ${length.opens ? 'opens' : 'closes'} the gap; turn it round`}
                    sx={{ whiteSpace: 'nowrap', minWidth: 92 }}
                >
                    {length.opens ? '+ opens' : '− closes'}
                </Button>
                <Typography sx={{ flex: '1 1 6.25rem', fontWeight: 650 }}>
                    {length.name}
                    {length.counts_half && (
                        <Typography component="span" color="textSecondary">
                            {' '}
                            ⌀, half of it
                        </Typography>
                    )}
                </Typography>
                {length.surface === null ? (
                    (['size', 'plus', 'minus'] as const).map((which) => (
                        <Box
                            key={which}
                            sx={{
                                '& .MuiFormHelperText-root': { mx: 0.5 },
                                width: which === 'size' ? { xs: 138, md: 160 } : { xs: 110, md: 124 },
                            }}
                        >
                            <LengthField
                                small={which !== 'size'}
                                label={{ size: 'Size', plus: '+', minus: '−' }[which]}
                                value={typedText(length[which] ?? null, typing)}
                                unit={typing}
                                store={(text) => change({ [which]: { typed: text, unit: typing } })}
                                clear={() => change({ [which]: null })}
                            />
                        </Box>
                    ))
                ) : (
                    <Typography>
                        <Ghost was={old?.size} now={row?.size} />
                        {row?.size ? (
                            <>
                                <b>{say(row.size)}</b> ±{row.plus_minus && say(row.plus_minus)}
                            </>
                        ) : null}{' '}
                        {row?.from}
                    </Typography>
                )}
                <Typography variant="body2" color="textSecondary" sx={{ width: 44 }}>
                    {row?.share == null ? '' : `${Math.round(row.share * 100)} %`}
                </Typography>
                <LinkButton
                    disabled={
                        whatIf.on ||
                        (length.surface === null
                            ? length.size === null
                            : row?.from.startsWith('found') !== true)
                    }
                    aria-label={`${length.name} was wrong`}
                    onClick={() => setWrong(true)}
                >
                    Wrong?
                </LinkButton>
                <Button
                    color="inherit"
                    aria-expanded={more}
                    aria-label={`More of ${length.name}`}
                    onClick={() => setMore(!more)}
                    sx={{ px: 0.5, minWidth: 44 }}
                >
                    {more ? 'Less' : 'More'}
                </Button>
            </Box>
            {whatIf.on && length.surface === null && length.size !== null && (
                <LengthSlider loop={loop} length={length} at={at} change={change} />
            )}
            {more && (
                <LengthMore
                    plane={loop.plane ?? false}
                    length={length}
                    change={change}
                    remove={() => store((now) => now.filter((_, i) => i !== at))}
                />
            )}
            {wrong && (
                <WrongNumber
                    name={length.name}
                    about={
                        length.surface === null ? { loop: loop.id, place: at } : { surface: length.surface }
                    }
                    was={row?.size ?? null}
                    close={() => setWrong(false)}
                />
            )}
        </Box>
    );
}
