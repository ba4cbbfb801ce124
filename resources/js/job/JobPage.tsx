import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Suspense, useEffect, type ReactNode } from 'react';
import { useNavigate, useParams, useSearchParams } from '../shell/router';
import { Refused } from '../api/client';
import { useAsOf, useJobState } from '../api/queries';
import type { JobState } from '../api/types';
import { BenchStrip } from '../bench/BenchStrip';
import { Frame } from '../shell/Frame';
import { MakeCard } from '../shell/MakeCard';
import { Guide } from '../shell/Guide';
import { SizeSaid } from '../shell/SizeSaid';
import { useSaver } from '../shell/SaverContext';
import { StageIcon, STAGES } from '../shell/stages';
import { UndoRedo } from '../shell/UndoRedo';
import { Strip } from '../shell/Strip';
import { useKey } from '../shell/keys';
import { FoundCard } from '../stages/measure/FoundCard';
import { later } from '../shell/later';
import { AsItWas } from './AsItWas';
import { JobProvider, ShownFirst, useJob } from './JobContext';
import { TemperatureChip } from './TemperatureChip';
import { WhatIfBar } from './WhatIfBar';

const PracticeBar = later(async () => (await import('../practice/PracticeBar')).PracticeBar);
const TakeInStage = later(async () => (await import('../stages/takein/TakeInStage')).TakeInStage);

const PAGES: Record<string, ReturnType<typeof later<object>>> = {
    'take-in': TakeInStage,
    survey: later(async () => (await import('../stages/survey/Survey')).Survey),
    measure: later(async () => (await import('../stages/measure/Measure')).Measure),
    size: later(async () => (await import('../stages/size/Size')).Size),
    plan: later(async () => (await import('../stages/plan/Plan')).Plan),
    make: later(async () => (await import('../stages/make/Make')).Make),
    assemble: later(async () => (await import('../stages/assemble/Assemble')).Assemble),
    'hand-over': later(async () => (await import('../stages/handover/HandOver')).HandOver),
};

export function JobPage() {
    const { job = '', stage = 'take-in' } = useParams();
    const state = useJobState(job);
    const saver = useSaver();
    const [params] = useSearchParams();
    const navigate = useNavigate();
    const row = Number(params.get('as_of') ?? '');
    const change = Number.isInteger(row) && row > 0 ? row : null;
    const past = useAsOf(job, change);
    useEffect(() => PAGES[stage]?.ahead(), [stage]);
    if (state.data && change !== null && past.data) {
        return (
            <JobProvider key={`${job}@${change}`} state={past.data} saver={saver} past>
                <Inside
                    state={past.data}
                    stage={stage}
                    above={<AsItWas now={state.data} change={change} />}
                />
            </JobProvider>
        );
    }
    if (state.data && (change === null || past.isError)) {
        return (
            <JobProvider key={job} state={state.data} saver={saver}>
                <Inside state={state.data} stage={stage} />
            </JobProvider>
        );
    }
    return (
        <Frame title="Job" subtitle="" strip={<BenchStrip />}>
            {(state.isPending || past.isLoading) && <div aria-busy />}
            {state.isError && (
                <Box>
                    <Typography variant="h1" component="h2">
                        {state.error instanceof Refused
                            ? state.error.message
                            : 'The job can’t be fetched just now.'}
                    </Typography>
                    {state.error instanceof Refused && state.error.status === 404 ? (
                        <Button variant="outlined" sx={{ mt: 2 }} onClick={() => void navigate('/')}>
                            To the bench
                        </Button>
                    ) : (
                        <Button variant="outlined" sx={{ mt: 2 }} onClick={() => void state.refetch()}>
                            Try again
                        </Button>
                    )}
                </Box>
            )}
        </Frame>
    );
}

function Inside({ state, stage, above }: { state: JobState; stage: string; above?: ReactNode }) {
    const { whatIf } = useJob();
    const navigate = useNavigate();
    const { facts } = state;
    const Page = PAGES[stage] ?? TakeInStage;
    const machine = facts.machine === '' ? 'New job' : facts.machine;
    return (
        <>
            {STAGES.map((s, i) => (
                <StageKey
                    key={s.code}
                    digit={String(i + 1)}
                    go={() => void navigate(`/job/${facts.id}/${s.code}`)}
                />
            ))}
            <StageKey digit="w" go={() => (whatIf.on ? whatIf.drop() : whatIf.start())} />
            <StageKey digit="p" go={() => window.open(`/api/jobs/${facts.id}/sheet`, '_blank')} />
            <Frame
                title={machine}
                tab={`${STAGES.find((s) => s.code === stage)?.name ?? ''}, ${machine}`}
                subtitle={`${facts.part} · ${facts.take_in.quantity} off`}
                jobId={facts.id}
                temperature={
                    <>
                        {above === undefined && <UndoRedo />}
                        <TemperatureChip />
                    </>
                }
                strip={<StageStrip job={facts.id} stage={stage} />}
                card={
                    <ShownFirst>
                        <MakeCard above={stage === 'measure' ? <FoundCard /> : undefined} />
                    </ShownFirst>
                }
            >
                {above}
                <Suspense>{facts.practice && <PracticeBar job={facts.id} stage={stage} />}</Suspense>
                <WhatIfBar />
                <Guide key={facts.id} stage={stage} />
                <SizeSaid />
                <Suspense fallback={<div aria-busy />}>
                    <Page />
                </Suspense>
            </Frame>
        </>
    );
}

/** The stages with how far each is; drawn anew only where one got on. */
function StageStrip({ job, stage }: { job: string; stage: string }) {
    const { answers } = useJob();
    const { stages } = answers;
    return (
        <Strip
            label="Stages"
            items={STAGES.map((s, i) => ({
                to: `/job/${job}/${s.code}`,
                name: s.name,
                says: stages[i]?.says ?? '',
                icon: <StageIcon path={s.path} />,
                here: s.code === stage,
            }))}
        />
    );
}

function StageKey({ digit, go }: { digit: string; go: () => void }) {
    useKey(digit, go);
    return null;
}
