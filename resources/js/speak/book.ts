import { Template } from './template';

type Look = (text: string) => string | null;

interface Seam {
    at: RegExp;
    glue: string;
    /** At the first such place only. */
    once?: boolean;
}

/** Where a text is taken apart when it is not known as a whole. */
const SENTENCES: Seam = { at: /(?<=[.!?])\s+(?=[A-Z0-9“(])|(?<=…)\s+(?=[A-Z“])/u, glue: ' ' };
const SEAMS: Seam[] = [
    SENTENCES,
    { at: / · /u, glue: ' · ' },
    { at: /: /u, glue: ': ', once: true },
    { at: /; /u, glue: '; ' },
    { at: / (?=\()/u, glue: ' ', once: true },
    { at: /, /u, glue: ', ' },
];

/** Marks and numbers that stand before or after a name. */
const BESIDE =
    /^(?:[:;,·(+✓✕≈]+\s*|-\s+|\d+\s+(?=[A-Z]))+|(?:\s*[:;,·()✓]+|\s[–→]|\s[≈±…]?\s?[\d.,]+(?:\s(?:in|mm))?)+$/gu;

/** What joins a phrase to the one before it; a sentence that stands after it, or before. */
const BEFORE = [/^[;:,·]\s+/u, /^\{\w+\}\s+(?=[A-ZÄÖÜ])/u, /(?<=[.!?])\s?\{\w+\}$/u];

const bare = (text: string): string => text.replace(BESIDE, '');

/**
 * English texts in another language. A text is known as it stands, or by a template with places for what is put in;
 * what is put in is looked up the same way. What is not known stays as it is: a name that somebody typed.
 * The same as Oldpart\Core\Language\PhraseBook.
 */
export class PhraseBook {
    private readonly exact = new Map<string, string>();
    private readonly byFirstWord = new Map<string, Template[]>();
    /** Those that begin with a place. */
    private readonly open: Template[] = [];
    /** Both, by the first word of a text. */
    private readonly sorted = new Map<string, Template[]>();
    private readonly said = new Map<string, string>();

    constructor(phrases: Record<string, string>) {
        for (const [english, said] of Object.entries(phrases)) {
            this.add(english, said);
            for (const before of BEFORE) {
                if (before.test(english) && before.test(said)) {
                    this.add(english.replace(before, ''), said.replace(before, ''));
                }
            }
        }
        this.open.sort((a, b) => b.weight - a.weight);
    }

    say(text: string): string {
        let said = this.said.get(text);
        if (said === undefined) {
            said = this.look(text) ?? text;
            this.said.set(text, said);
            // What one part of the screen hands on to another is not said twice.
            if (!this.said.has(said)) {
                this.said.set(said, said);
            }
        }
        return said;
    }

    /** What somebody typed stays as it is, unless it is a phrase of ours. */
    keep(typed: string): void {
        if (this.standing(typed) === null) {
            this.said.set(typed, typed);
        }
    }

    private add(english: string, said: string): void {
        if (!this.exact.has(english)) {
            this.exact.set(english, said);
        }
        const template = Template.of(english, said);
        if (template === null) {
            return;
        }
        if (template.firstWord === undefined) {
            this.open.push(template);
        } else {
            const others = this.byFirstWord.get(template.firstWord) ?? [];
            this.byFirstWord.set(template.firstWord, [...others, template]);
        }
    }

    private look(text: string): string | null {
        if (text.includes('\n')) {
            return text
                .split('\n')
                .map((line) => this.say(line))
                .join('\n');
        }
        const whole = text.trim();
        const parts = [...new Set([whole, bare(whole)])].filter((part) => /[A-Za-z]{2,}/u.test(part));
        const looks: Look[] = [
            (part) => this.standing(part),
            (part) => this.within(part),
            (part) => this.named(part),
            (part) => this.parted(part, SENTENCES, false),
            (part) => this.apart(part, true),
            (part) => this.known(part),
            (part) => this.apart(part, false),
        ];
        for (const look of looks) {
            for (const part of parts) {
                const found = look(part);
                if (found !== null) {
                    return text.replace(part, () => found);
                }
            }
        }
        return null;
    }

    /** By a template whose places hold a part of a sentence rather than two of them. */
    private within(text: string): string | null {
        return this.sentence(text, (one, weak) => this.byTemplate(one, true, weak));
    }

    private known(text: string): string | null {
        return this.sentence(text, (one, weak) => this.byTemplate(one, false, weak));
    }

    /** As it stands, begun otherwise, or a phrase that was made a sentence of. */
    private sentence(text: string, by: (text: string, weak: boolean) => string | null): string | null {
        let whole = this.standing(text);
        for (const weak of [false, true]) {
            whole ??= by(text, weak) ?? this.otherCase(text, (other) => by(other, weak));
        }
        if (whole !== null || /[.!?]\s|[^.]$/u.test(text)) {
            return whole;
        }
        const phrase = this.sentence(text.slice(0, -1), by);
        return phrase === null ? null : `${phrase}.`;
    }

    private standing(text: string): string | null {
        return this.exact.get(text) ?? this.otherCase(text, (other) => this.exact.get(other) ?? null);
    }

    private byTemplate(text: string, within: boolean, weak: boolean): string | null {
        for (const template of this.templates(/^(\S+)\s/u.exec(text)?.[1] ?? '')) {
            const said = template.isWeak === weak ? this.filled(template, text, within) : null;
            if (said !== null && said !== text) {
                return said;
            }
        }
        return null;
    }

    /** Those a text may be made of that begins with a word, the longest first. */
    private templates(first: string): Template[] {
        const own = this.byFirstWord.get(first);
        if (own === undefined) {
            return this.open;
        }
        let sorted = this.sorted.get(first);
        if (sorted === undefined) {
            sorted = [...own, ...this.open].sort((a, b) => b.weight - a.weight);
            this.sorted.set(first, sorted);
        }
        return sorted;
    }

    private filled(template: Template, text: string, within: boolean): string | null {
        const taken = template.taken(text);
        if (taken === null || (within && !template.holdsParts(taken))) {
            return null;
        }
        const values = new Map<string, string>();
        for (const [i, english] of taken.entries()) {
            if (!this.fits(template, i, english)) {
                return null;
            }
            values.set(template.names[i] ?? '', this.say(english));
        }
        return template.said.replace(/\{([\w ]+)\}/gu, (all, name: string) => values.get(name) ?? all);
    }

    private fits(template: Template, place: number, english: string): boolean {
        if (english === '') {
            return template.isLong;
        }
        return (
            !template.isWeak ||
            template.quoted[place] === true ||
            !/[A-Za-z]{3,}/u.test(english.replace(/“[^”]*”|\b(?:thou|min|rev)\b/gu, '')) ||
            this.isListed(english) ||
            this.byTemplate(english, true, false) !== null
        );
    }

    /** Names alone, each of them known, whatever stands behind one in brackets. */
    private isListed(text: string): boolean {
        return text
            .replace(/ \([^)]*\)/gu, '')
            .split('; ')
            .every((name) => this.standing(bare(name)) !== null);
    }

    /** The same begun with a capital, in a list or after a full stop. */
    private otherCase(text: string, known: Look): string | null {
        const first = text.charAt(0);
        const small = first.toLowerCase();
        const other = known((first === small ? first.toUpperCase() : small) + text.slice(1));
        return other === null || first === small ? other : other.charAt(0).toUpperCase() + other.slice(1);
    }

    /** What is said of something that is named first. */
    private named(text: string): string | null {
        const at = text.indexOf(': ');
        const name = at < 0 ? null : this.standing(text.slice(0, at));
        const rest = name === null ? null : this.within(text.slice(at + 2));
        return name === null || rest === null ? null : `${name}: ${rest}`;
    }

    /** Where all is set each part has to be known. */
    private apart(text: string, all: boolean): string | null {
        for (const seam of SEAMS) {
            const said = this.parted(text, seam, all);
            if (said !== null) {
                return said;
            }
        }
        return null;
    }

    private parted(text: string, { at, glue, once = false }: Seam, all: boolean): string | null {
        const pieces = text.split(at);
        const parts = this.names(
            once && pieces.length > 2 ? [pieces[0] ?? '', pieces.slice(1).join(glue)] : pieces,
            glue,
        );
        if (parts.length < 2) {
            return null;
        }
        const said = parts.map((part) => this.say(part));
        const same = parts.filter((part, i) => said[i] === part);
        const unsaid = same.some((part) => /[A-Za-z]{3,}/u.test(part));
        return same.length === parts.length || (all && unsaid) ? null : said.join(glue);
    }

    /** A name that has the seam in it is one part. */
    private names(parts: string[], glue: string): string[] {
        const named: string[] = [];
        for (const part of parts) {
            const last = named.at(-1);
            const both = `${last ?? ''}${glue}${part}`;
            if (last !== undefined && this.standing(bare(both)) !== null) {
                named[named.length - 1] = both;
            } else {
                named.push(part);
            }
        }
        return named;
    }
}
