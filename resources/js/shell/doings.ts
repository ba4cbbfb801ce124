import type { Units } from '../api/types';
import type { Place } from './places';

/** What the bar at the top can do, whoever asks for it by a word. */
export interface Bar {
    jobId?: string;
    night: boolean;
    begin: () => void;
    turn: () => void;
    units: (units: Units) => void;
    keys: () => void;
    word: (word: string) => void;
    history: () => void;
}

/** The same as entries of find, each with its key. */
export function doingsOf(bar: Bar): Place[] {
    const { jobId } = bar;
    const ofJob: Omit<Place, 'group'>[] =
        jobId === undefined
            ? []
            : [
                  { label: 'History of this job', detail: 'key H', to: bar.history },
                  {
                      label: 'Print the sheet',
                      detail: 'key P',
                      to: () => void window.open(`/api/jobs/${jobId}/sheet`, '_blank'),
                  },
              ];
    const all: Omit<Place, 'group'>[] = [
        { label: 'New job', detail: 'key J', to: bar.begin },
        ...ofJob,
        { label: 'Print this screen', detail: '', to: () => window.setTimeout(() => window.print()) },
        { label: bar.night ? 'Day shift' : 'Night shift', detail: 'key N', to: bar.turn },
        { label: 'In inches', detail: 'key U', to: () => bar.units('in') },
        { label: 'In millimetres', detail: 'key U', to: () => bar.units('mm') },
        { label: 'In both units', detail: 'key U', to: () => bar.units('both') },
        { label: 'Help: all keys', detail: 'key ?', to: bar.keys },
        { label: 'Language, numbers, days', detail: 'key ?', to: bar.keys },
        { label: 'Help: what words mean', detail: '', to: () => bar.word('') },
    ];
    return all.map((one) => ({ ...one, group: 'To do' }));
}
