import type { LoopFacts } from '../../api/types';

export type Length = LoopFacts['lengths'][number];

/** A length with nothing said of it but its name. */
export const BARE: Omit<Length, 'name'> = {
    surface: null,
    size: null,
    plus: null,
    minus: null,
    opens: false,
    spread: 'uniform',
    counts_half: false,
    reserve_least: null,
    reserve_most: null,
    in_use_c: null,
    material: null,
    angle_deg: null,
    origin: 'plan',
};
