import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { client, newId, orRefuse } from '../api/client';
import type { PracticeList } from '../api/types';
import type { components } from '../api/schema';
import { DrawingView } from '../pictures/DrawingView';
import { useSettings } from '../shell/settings';

type Kind = PracticeList['exercises'][number];

interface Asked {
    id: string;
    exercise: components['schemas']['Exercise'];
}

/** Reading by eye, and adding up, against the clock. */
export function Exercises({ kinds }: { kinds: Kind[] }) {
    const { say } = useSettings();
    const queries = useQueryClient();
    const [asked, setAsked] = useState<Asked | null>(null);
    const [typed, setTyped] = useState('');
    const [said, setSaid] = useState<{ right: boolean; says: string } | null>(null);
    const field = useRef<HTMLInputElement>(null);
    const ask = async (kind: Kind['kind']) => {
        setSaid(null);
        setTyped('');
        setAsked(orRefuse(await client.POST('/api/practice/exercises', { body: { id: newId(), kind } })));
        field.current?.focus();
    };
    const answer = async () => {
        if (asked === null) {
            return;
        }
        if (said !== null) {
            await ask(asked.exercise.kind);
            return;
        }
        try {
            const told = orRefuse(
                await client.POST('/api/practice/exercises/{exercise}', {
                    params: { path: { exercise: asked.id } },
                    body: { typed },
                }),
            );
            setSaid({
                right: told.right,
                says: told.right
                    ? `Right, in ${told.seconds} s.`
                    : `It is ${told.answer}. You took ${told.seconds} s.`,
            });
            await queries.invalidateQueries({ queryKey: ['practice'], exact: true });
        } catch (error) {
            setSaid(null);
            setAsked({ ...asked });
            field.current?.focus();
            setRefusal(error instanceof Error ? error.message : 'It was not read: try again.');
        }
    };
    const [refusal, setRefusal] = useState<string | null>(null);
    return (
        <Box component="section" aria-label="Reading exercises">
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1.5 }}>
                {kinds.map((kind) => (
                    <Button
                        key={kind.kind}
                        variant={asked?.exercise.kind === kind.kind ? 'contained' : 'outlined'}
                        color={asked?.exercise.kind === kind.kind ? 'primary' : 'inherit'}
                        onClick={() => void ask(kind.kind)}
                    >
                        {kind.label}
                        {kind.done > 0 && ` · ${kind.right}/${kind.done}`}
                    </Button>
                ))}
            </Box>
            {asked && (
                <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'minmax(0, 1fr)' }}>
                    <Typography sx={{ fontWeight: 700 }}>{say(asked.exercise.says)}</Typography>
                    {asked.exercise.picture && (
                        <Box sx={{ overflowX: 'auto' }}>
                            <DrawingView
                                drawing={asked.exercise.picture}
                                maxWidth={Math.min(980, asked.exercise.picture.width)}
                            />
                        </Box>
                    )}
                    <Box
                        component="form"
                        onSubmit={(event) => {
                            event.preventDefault();
                            void answer();
                        }}
                        sx={{ display: 'flex', gap: 1, alignItems: 'flex-start', flexWrap: 'wrap' }}
                    >
                        <TextField
                            label={`Answer, ${asked.exercise.unit}`}
                            value={typed}
                            inputRef={field}
                            autoFocus
                            error={refusal !== null}
                            helperText={refusal}
                            onChange={(event) => {
                                setTyped(event.target.value);
                                setRefusal(null);
                            }}
                            slotProps={{
                                htmlInput: {
                                    inputMode: 'decimal',
                                    autoComplete: 'off',
                                    readOnly: said !== null,
                                },
                            }}
                            sx={{ width: '11rem', maxWidth: '100%' }}
                        />
                        <Button type="submit" variant="contained">
                            {said === null ? 'Is it right?' : 'The next one'}
                        </Button>
                        <Typography
                            aria-live="polite"
                            sx={{ alignSelf: 'center', fontWeight: 700 }}
                            color={said === null ? 'textPrimary' : said.right ? 'good' : 'overlap'}
                        >
                            {said?.says ?? ''}
                        </Typography>
                    </Box>
                </Box>
            )}
        </Box>
    );
}
