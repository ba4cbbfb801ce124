import type { PhraseBook } from './book';
import { withComma } from './numerals';

export type Language = 'en' | 'de';
export type Numbers = 'point' | 'comma';
export type Dates = 'words' | 'numbers' | 'iso';

export interface Speech {
    language: Language;
    numbers: Numbers;
    dates: Dates;
}

export const LANGUAGES: [Language, string][] = [
    ['en', 'English'],
    ['de', 'Deutsch'],
];

const KEY = 'oldpart-fit-speech';

function kept(): Partial<Speech> {
    try {
        return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Speech>;
    } catch {
        return {};
    }
}

function read(): Speech {
    const set = kept();
    const language = set.language ?? (navigator.language.toLowerCase().startsWith('de') ? 'de' : 'en');
    return { language, numbers: language === 'de' ? 'comma' : 'point', dates: 'words', ...set };
}

/** As somebody set it here, or as the browser says. */
export const speech: Speech = read();

/** The page is read anew with it; sheets and cards hear of it by a cookie. */
export function setSpeech(next: Partial<Speech>): void {
    localStorage.setItem(KEY, JSON.stringify({ ...kept(), ...next }));
    location.reload();
}

let book: PhraseBook | null = null;

/** What is read as it stands: names that were typed, and texts that are missing in the book. */
const gaps = new Set<string>();

/** Fetches what it takes, before anything is drawn. */
export async function learn(): Promise<void> {
    document.documentElement.lang = speech.language;
    document.cookie = `speech=${speech.language}.${speech.numbers}; path=/; max-age=31536000; samesite=strict`;
    if (speech.language === 'de') {
        const [{ PhraseBook }, phrases] = await Promise.all([
            import('./book'),
            import('../../../core/data/phrases/de.json'),
        ]);
        book = new PhraseBook(phrases.default);
        if (localStorage.getItem('oldpart-fit-gaps') !== null) {
            Object.assign(window, { gaps });
        }
    }
}

export const speaks = (): boolean => book !== null || speech.numbers === 'comma';

/** Names and notes that were typed: whatever words they have in them, they stay. */
export function typed(facts: unknown): void {
    if (book === null) {
        return;
    }
    if (typeof facts === 'string') {
        if (/ |^[A-Z]/u.test(facts)) {
            book.keep(facts);
        }
    } else if (facts !== null && typeof facts === 'object') {
        Object.values(facts).forEach(typed);
    }
}

/** What was said already: one part of the screen hands it on to another. */
const said = new Set<string>();

/** A text as it is read here. */
export function spoken(text: string): string {
    if (said.has(text)) {
        return text;
    }
    const read = inLanguage(text);
    said.add(read);
    return read;
}

function inLanguage(text: string): string {
    let said = text;
    if (book !== null && /[A-Za-z]{2,}/u.test(text)) {
        said = book.say(text);
        if (said === text) {
            gaps.add(text);
        }
    }
    return speech.numbers === 'comma' ? withComma(said) : said;
}

/** A day as it is read here: 22 Jan 2027, 22.01.2027 or 2027-01-22, by the language and the setting. */
export function dated(at: Date, more: Intl.DateTimeFormatOptions = {}): string {
    const language = speech.language === 'de' ? 'de-DE' : navigator.language;
    const time = 'hour' in more ? { hour: more.hour, minute: more.minute } : {};
    switch (speech.dates) {
        case 'iso':
            return (
                new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short' }).format(at) +
                ('hour' in more
                    ? ` ${new Intl.DateTimeFormat('sv-SE', { timeStyle: 'short' }).format(at)}`
                    : '')
            );
        case 'numbers':
            return new Intl.DateTimeFormat(language, {
                day: '2-digit',
                month: '2-digit',
                year: 'numeric',
                ...time,
            }).format(at);
        case 'words':
            return new Intl.DateTimeFormat(language, more).format(at);
    }
}
