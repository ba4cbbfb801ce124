import type { components } from '../api/schema';
import type { Drawing } from '../api/types';
import { DrawingView } from '../pictures/DrawingView';
import { Framed } from '../pictures/Framed';
import { Notes } from '../shell/Notes';
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
            <Why steps={data.working} label="Why these numbers" />
        </>
    );
}
