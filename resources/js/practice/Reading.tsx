import Typography from '@mui/material/Typography';
import type { PracticeBench } from '../api/types';
import { useJob } from '../job/JobContext';
import { useSurface } from '../stages/measure/useSurface';
import { Held } from './Held';
import type { useDeed } from './usePractice';

/** A reading of the surface that is open at Measure; it goes by the id of what was done. */
export function Reading({ bench, act }: { bench: PracticeBench; act: ReturnType<typeof useDeed>['act'] }) {
    const { answer } = useSurface();
    const { save } = useJob();
    const surface = bench.surfaces.find((s) => s.id === answer?.surface);
    if (!answer || !surface) {
        return <Typography>This surface has no size of its own in practice.</Typography>;
    }
    return (
        <Held
            key={answer.id}
            bench={bench}
            surface={surface}
            usual={answer.asks.instrument}
            stations={answer.asks.stations}
            angles={answer.asks.angles}
            says="Write it down"
            read={(at) => act({ kind: 'read', surface: surface.id, ...at })}
            write={async (typed, deed, at) => {
                await save('readings', deed, {
                    surface: surface.id,
                    station: at.station,
                    angle: at.angle,
                    instrument: at.instrument,
                    value: { typed, unit: bench.unit },
                    taken_at: new Date().toISOString(),
                    ...(answer.state === null ? {} : { state: answer.state }),
                    ...(answer.what === '' ? {} : { what: answer.what }),
                });
            }}
        />
    );
}
