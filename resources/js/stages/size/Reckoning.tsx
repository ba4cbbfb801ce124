import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Reckoned, ReckoningFacts, Sums } from '../../api/types';
import { RemoveButton } from '../../entry/RemoveButton';
import { TextFact } from '../../entry/TextFact';
import { useTextFact } from '../../entry/useTextFact';
import { useJob } from '../../job/JobContext';
import { LinkButton } from '../../shell/LinkButton';
import { useSettings } from '../../shell/settings';
import { Result } from '../../sums/Result';
import { SumField } from '../../sums/SumField';
import { useSums } from '../../sums/useSums';
import { labelled } from '../../sums/values';
import { FromJob, OutlineOf, ToJob, without } from './FromJob';
import { Rounds } from './Rounds';

type Sum = Sums['sums'][number];

/** As many as the job file keeps. */
const ROUNDS = 40;

/** A sum of the job: what it takes, as typed or from the job; what comes of it; and how it was before. */
export function Reckoning({ facts, answer }: { facts: ReckoningFacts; answer: Reckoned }) {
    const { edit, save } = useJob();
    const sums = useSums();
    const sum = sums.data?.find((one) => one.name === facts.sum);
    const store = (of: (now: ReckoningFacts) => Partial<ReckoningFacts>) =>
        edit('reckonings', facts.id, (now) => of(now as ReckoningFacts));
    return (
        <>
            <Box sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: 'minmax(0, 1fr) 2.75rem', mb: 0.5 }}>
                <TextFact
                    label="Worked out"
                    value={facts.name}
                    store={(name) => store(() => ({ name }))}
                    helperText={sum?.says}
                />
                <RemoveButton name={facts.name} remove={() => save('reckonings', facts.id, null)} />
            </Box>
            <Box
                sx={{
                    display: 'grid',
                    gap: 2.5,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '21.25rem minmax(0, 1fr)' },
                    mt: 1.5,
                }}
            >
                <Box sx={{ display: 'grid', gap: 1.25, alignContent: 'start' }}>
                    {sum?.takes.includes('corners') && <OutlineOf facts={facts} store={store} />}
                    {sum?.takes.map((key) => (
                        <Taken key={key} name={key} sum={sum} facts={facts} answer={answer} store={store} />
                    ))}
                </Box>
                <Box sx={{ order: { xs: -1, md: 0 } }}>
                    {answer.refused && (
                        <Box sx={{ borderLeft: 5, borderColor: 'overlap.main', pl: 1.5 }} role="status">
                            <Typography variant="said">{answer.refused.message}</Typography>
                        </Box>
                    )}
                    {answer.result && sum && (
                        <Result
                            data={answer.result}
                            words={sum.words}
                            giveTo={(path) =>
                                sum.sizes.includes(path.split('.')[0] ?? '') && (
                                    <ToJob path={path} facts={facts} store={store} />
                                )
                            }
                        />
                    )}
                    <TextFact
                        label="Note"
                        value={facts.note}
                        store={(note) => store(() => ({ note }))}
                        multiline
                        fullWidth
                        sx={{ mt: 1.5 }}
                    />
                    {answer.result && facts.rounds.length < ROUNDS && (
                        <Button
                            variant="outlined"
                            color="inherit"
                            sx={{ mt: 1.5 }}
                            onClick={() =>
                                void store((now) => ({
                                    rounds: [
                                        ...now.rounds,
                                        { given: now.given, at: new Date().toISOString(), note: '' },
                                    ],
                                }))
                            }
                        >
                            Keep this, and read again
                        </Button>
                    )}
                    <Rounds facts={facts} answer={answer} words={sum?.words ?? {}} store={store} />
                </Box>
            </Box>
        </>
    );
}

function Taken({
    name,
    sum,
    facts,
    answer,
    store,
}: {
    name: string;
    sum: Sum;
    facts: ReckoningFacts;
    answer: Reckoned;
    store: (of: (now: ReckoningFacts) => Partial<ReckoningFacts>) => Promise<unknown>;
}) {
    const { say } = useSettings();
    const field = useTextFact(facts.given[name] ?? '', (text) =>
        store((now) => ({ given: { ...now.given, [name]: text } })),
    );
    const taken = answer.taken[name];
    const label = labelled(name, sum.words).name;
    const link = (surface: string | null) =>
        store((now) => {
            const others = without(now.from, name);
            return { from: surface === null ? others : { ...others, [name]: surface } };
        });
    if (taken && taken.surface !== '') {
        return (
            <Box role="group" aria-label={label}>
                <Typography variant="label" component="p">
                    {label}
                </Typography>
                <Typography>
                    {taken.name}: <b>{taken.says ? say(taken.says) : 'no size yet'}</b>
                </Typography>
                <LinkButton onClick={() => void link(null)}>Type it instead</LinkButton>
            </Box>
        );
    }
    return (
        <Box sx={{ display: 'grid' }}>
            <SumField
                name={name}
                text={field.text}
                like={sum.example[name]}
                must={name in sum.example}
                words={sum.words}
                choices={sum.choices[name]}
                unit={facts.unit}
                change={field.change}
                leave={field.flush}
                refused={
                    field.refused ??
                    (answer.refused?.field === name && field.text.trim() !== ''
                        ? answer.refused.message
                        : null)
                }
            />
            {taken && taken.says && (
                <Typography variant="body2" color="textSecondary">
                    of the shop’s {taken.name}: <b>{say(taken.says)}</b>, until another is typed
                </Typography>
            )}
            {name.endsWith('_mm') && !Array.isArray(sum.example[name]) && (
                <FromJob label={label} take={(surface) => void link(surface)} />
            )}
        </Box>
    );
}
