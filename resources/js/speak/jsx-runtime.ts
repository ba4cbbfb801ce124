import type { ElementType, Key, ReactElement } from 'react';
import * as react from 'react/jsx-runtime';
import { speaks, spoken } from './language';

/** What is read in an element beside what stands in it. */
const READ = ['aria-label', 'aria-description', 'aria-valuetext', 'title', 'placeholder', 'alt'] as const;

type Props = Record<string, unknown>;

const isWritten = (child: unknown): child is string | number =>
    typeof child === 'string' || typeof child === 'number';

/** Pieces of one sentence are read as one; the places of the others stay, so that nothing is drawn anew. */
function together(children: unknown[]): unknown[] {
    const said = children.map((child: unknown) => (Array.isArray(child) ? together(child) : child));
    for (let from = 0; from < said.length; from++) {
        let to = from;
        while (to < said.length && isWritten(said[to])) {
            to++;
        }
        if (to > from) {
            said[from] = spoken(said.slice(from, to).join(''));
            said.fill(null, from + 1, to);
            from = to;
        }
    }
    return said;
}

function read(type: unknown, props: Props): Props {
    if (!speaks() || type === 'style' || type === 'script' || props.translate === 'no') {
        return props;
    }
    const said: Props = { ...props };
    for (const name of READ) {
        const text = props[name];
        if (typeof text === 'string') {
            said[name] = spoken(text);
        }
    }
    if (Array.isArray(props.children)) {
        said.children = together(props.children);
    } else if (isWritten(props.children)) {
        said.children = spoken(String(props.children));
    }
    return said;
}

export const Fragment = react.Fragment;

/** React's own, with every text said in the language that is set (see docs/decisions/025). */
export function jsx(type: ElementType, props: Props, key?: Key): ReactElement {
    return react.jsx(type, read(type, props), key);
}

export function jsxs(type: ElementType, props: Props, key?: Key): ReactElement {
    return react.jsxs(type, read(type, props), key);
}
