import Box from '@mui/material/Box';
import { Suspense, useEffect, useId, useState, useSyncExternalStore } from 'react';
import { useGlossary } from '../api/queries';
import type { Glossary } from '../api/types';
import { claims } from './claims';
import { spoken } from '../speak/language';
import { later } from './later';

const Meaning = later(async () => (await import('./Meaning')).Meaning);

interface Piece {
    text: string;
    word: Glossary[number] | null;
}

/** How a word is spelt, in the language that is read. */
const ways = (one: Glossary[number]): string[] => [one.word, ...one.also].map(spoken);

function patternOf(words: Glossary): RegExp {
    const spelt = words
        .flatMap(ways)
        .sort((a, b) => b.length - a.length)
        .map((one) => one.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
    return new RegExp(`(?<![\\p{L}\\p{N}-])(${spelt.join('|')})(?![\\p{L}\\p{N}-])`, 'giu');
}

let known: { words: Glossary; pattern: RegExp; by: Map<string, Glossary[number]> } | null = null;

/** A text in pieces, each word of the glossary one of its own the first time it comes. */
function pieces(text: string, words: Glossary): Piece[] {
    if (known?.words !== words) {
        const by = new Map<string, Glossary[number]>();
        words.forEach((one) => ways(one).forEach((way) => by.set(way.toLowerCase(), one)));
        known = { words, pattern: patternOf(words), by };
    }
    const { pattern, by } = known;
    const found: Piece[] = [];
    const seen = new Set<string>();
    let at = 0;
    for (const match of text.matchAll(pattern)) {
        const word = by.get(match[0].toLowerCase());
        if (word && !seen.has(word.word)) {
            seen.add(word.word);
            found.push({ text: text.slice(at, match.index), word: null }, { text: match[0], word });
            at = match.index + match[0].length;
        }
    }
    return [...found, { text: text.slice(at), word: null }];
}

/** A text in which the words of the glossary are underlined, each once a screen; a tap or a key says what they mean. */
export function Words({ text }: { text: string }) {
    const words = useGlossary().data;
    const id = useId();
    const [open, setOpen] = useState<{ at: HTMLElement; word: Glossary[number] } | null>(null);
    const said = spoken(text);
    const parts = words ? pieces(said, words) : [{ text: said, word: null }];
    const mine = parts.flatMap((part) => (part.word ? [part.word.word] : [])).join('|');
    useEffect(() => (mine === '' ? undefined : claims.put(mine.split('|'), id)), [mine, id]);
    const first = useSyncExternalStore(claims.subscribe, () =>
        mine
            .split('|')
            .filter((word) => claims.first(word) === id)
            .join('|'),
    );
    const shown = first.split('|');
    return (
        <>
            {parts.map((part, i) =>
                part.word !== null && shown.includes(part.word.word) ? (
                    <Box
                        key={i}
                        component="button"
                        type="button"
                        aria-haspopup="dialog"
                        onClick={(event) =>
                            setOpen({ at: event.currentTarget, word: part.word as Glossary[number] })
                        }
                        sx={{
                            font: 'inherit',
                            color: 'inherit',
                            background: 'none',
                            border: 0,
                            p: 0,
                            cursor: 'help',
                            textDecoration: 'underline dotted',
                            textUnderlineOffset: 3,
                        }}
                    >
                        {part.text}
                    </Box>
                ) : (
                    part.text
                ),
            )}
            <Suspense>
                {open && <Meaning at={open.at} word={open.word} close={() => setOpen(null)} />}
            </Suspense>
        </>
    );
}
