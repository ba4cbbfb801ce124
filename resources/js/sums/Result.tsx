import type { components } from '../api/schema';
import type { Drawing, Say } from '../api/types';
import { DrawingView } from '../pictures/DrawingView';
import { Framed } from '../pictures/Framed';
import { Notes } from '../shell/Notes';
import { useSettings } from '../shell/settings';
import { Steps } from '../shell/Steps';
import { Why } from '../shell/Why';
import { Headline, Outcome, type GiveTo } from './Outcome';
import type { Words } from './values';

/** What came of a sum: its numbers, its picture, what to mind, and why. */
export function Result({
    data,
    words,
    giveTo,
}: {
    data: components['schemas']['SumResult'];
    words: Words;
    giveTo?: GiveTo;
}) {
    const { say } = useSettings();
    const steps = data.steps as Say[] | undefined;
    const picture = data.picture as Drawing | undefined;
    return (
        <>
            <Headline data={data} words={words} giveTo={giveTo} />
            <Notes notes={data.notes} />
            {picture && (
                <Framed pad={0.5}>
                    <DrawingView drawing={picture} />
                </Framed>
            )}
            <Outcome data={data} words={words} giveTo={giveTo} />
            {steps && <Steps title="Set it up and do it" steps={steps.map(say)} />}
            <Why steps={data.working} label="Why these numbers" />
        </>
    );
}
