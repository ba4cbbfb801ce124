import type { Joint } from '../../api/types';

export type Fastening = NonNullable<Joint['held']>[number];
export type Sized = 'size' | 'size2' | 'long' | 'circle';

/** Each kind with what is asked of it. */
export const KINDS: Record<
    Fastening['kind'],
    {
        name: string;
        sizes: Partial<Record<Sized, string>>;
        count?: string;
        tighten?: boolean;
        angle?: boolean;
        own?: boolean;
    }
> = {
    key: { name: 'a key', sizes: { size: 'Width', size2: 'Height', long: 'Length' }, own: true },
    'cross-pin': { name: 'a pin across', sizes: { size: '⌀' }, count: 'How many', own: true },
    dowels: {
        name: 'dowels',
        sizes: { size: '⌀', long: 'Length, along the joint', circle: 'or on a circle of' },
        count: 'How many',
        own: true,
    },
    'set-screws': { name: 'set screws', sizes: { size: 'Thread ⌀' }, count: 'How many', tighten: true },
    bolts: {
        name: 'bolts that clamp',
        sizes: { size: 'Thread ⌀', circle: 'On a circle of' },
        count: 'How many',
        tighten: true,
    },
    weld: { name: 'a weld round it', sizes: { size: 'Leg left' }, count: 'Sides' },
    'taper-bush': {
        name: 'a split taper bush',
        sizes: { size: 'Screw ⌀' },
        count: 'Screws',
        tighten: true,
        angle: true,
    },
    knurl: { name: 'a knurl', sizes: {} },
    compound: { name: 'a compound in the press', sizes: { long: 'Engaged length' } },
};
