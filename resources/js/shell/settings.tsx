import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import type { Say, Unit, Units } from '../api/types';

interface Settings {
    units: Units;
    setUnits: (units: Units) => void;
    /** What a bare number means when typed. */
    typing: Unit;
    /** A text in the units chosen. */
    say: (text: Say) => string;
}

const Context = createContext<Settings | null>(null);
const KEY = 'oldpart-fit-units';

function kept(): Units | null {
    const value = localStorage.getItem(KEY);
    return value === 'in' || value === 'mm' || value === 'both' ? value : null;
}

export function SettingsProvider({ shopUnit, children }: { shopUnit: Unit; children: ReactNode }) {
    const [chosen, setChosen] = useState<Units | null>(kept);
    const units = chosen ?? shopUnit;
    const value = useMemo<Settings>(
        () => ({
            units,
            setUnits: (next) => {
                localStorage.setItem(KEY, next);
                setChosen(next);
            },
            typing: units === 'both' ? shopUnit : units,
            say: (text) => text[units],
        }),
        [units, shopUnit],
    );
    return <Context value={value}>{children}</Context>;
}

export function useSettings(): Settings {
    const settings = useContext(Context);
    if (!settings) {
        throw new Error('useSettings needs a SettingsProvider');
    }
    return settings;
}
