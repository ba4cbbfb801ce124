import type { Surface } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { typedText } from '../../entry/typed';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';

const SIGNED = ['at', 'x', 'y'];

type SizeField = 'size' | 'size2' | 'at' | 'long' | 'x' | 'y' | 'pitch';

/** A size as noted, until it is measured; empty while it is only sketched. */
export function SizeFact({ surface, field, label }: { surface: Surface; field: SizeField; label: string }) {
    const { save } = useJob();
    const { typing } = useSettings();
    return (
        <LengthField
            label={label}
            value={typedText(surface[field], typing)}
            unit={typing}
            signed={SIGNED.includes(field)}
            store={(typed) =>
                save('surfaces', surface.id, {
                    [field]: { typed, unit: typing },
                    source: surface.source ?? 'eyeballed',
                })
            }
        />
    );
}
