interface Template {
    match: RegExp;
    names: string[];
    german: string;
    /** Letters it brings itself: with few of them what it takes in has to be known as well. */
    letters: number;
}

/** As few letters of its own as this, and a template fits much that it is not meant for. */
const WEAK = 6;

/** Where a text is taken apart when it is not known as a whole. */
const SEAMS: [RegExp, string][] = [
    [/(?<=[.!?…])\s+(?=[A-Z0-9“(])/u, ' '],
    [/ · /u, ' · '],
    [/; /u, '; '],
    [/: /u, ': '],
    [/, /u, ', '],
];

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\/]/gu, '\\$&');

/**
 * English texts in another language. A text is known as it stands, or by a template with places for what is put in;
 * what is put in is looked up the same way. What is not known stays as it is: a name that somebody typed.
 * The same as Oldpart\Core\Language\PhraseBook.
 */
export class PhraseBook {
    private readonly exact: Map<string, string>;
    private readonly byFirstWord = new Map<string, Template[]>();
    private readonly open: Template[] = [];
    private readonly said = new Map<string, string>();

    constructor(phrases: Record<string, string>) {
        this.exact = new Map(Object.entries(phrases));
        for (const [english, german] of this.exact) {
            if (/\{\w+\}/u.test(english)) {
                this.add(english, german);
            }
        }
        const longest = (a: Template, b: Template) => b.letters - a.letters;
        this.open.sort(longest);
        this.byFirstWord.forEach((templates) => templates.sort(longest));
    }

    say(text: string): string {
        let said = this.said.get(text);
        if (said === undefined) {
            said = this.look(text) ?? text;
            this.said.set(text, said);
            // What one part of the screen hands on to another is not said twice.
            this.said.set(said, said);
        }
        return said;
    }

    private add(english: string, german: string): void {
        const parts = english.split(/\{(\w+)\}/u);
        const literal = parts.filter((_, i) => i % 2 === 0);
        const template = {
            match: new RegExp(`^${literal.map(escaped).join('(.+?)')}$`, 'su'),
            names: parts.filter((_, i) => i % 2 === 1),
            german,
            letters: literal.join('').replace(/[^A-Za-z]/gu, '').length,
        };
        const first = /^(\S+)\s/u.exec(literal[0] ?? '')?.[1];
        if (first === undefined) {
            this.open.push(template);
        } else {
            this.byFirstWord.set(first, [...(this.byFirstWord.get(first) ?? []), template]);
        }
    }

    private look(text: string): string | null {
        const whole = text.trim();
        const bare = whole.replace(/^[:;,·(]+\s*|\s*[:;,·(]+$/gu, '');
        for (const part of whole === bare ? [whole] : [whole, bare]) {
            const found =
                this.exact.get(part) ??
                this.otherCase(part, (text) => this.exact.get(text) ?? null) ??
                this.byTemplate(part) ??
                this.otherCase(part, (text) => this.byTemplate(text)) ??
                this.apart(part);
            if (found !== null) {
                return text.replace(part, () => found);
            }
        }
        return null;
    }

    private byTemplate(text: string): string | null {
        const first = /^(\S+)\s/u.exec(text)?.[1] ?? '';
        // A place holds a part of a sentence rather than two of them.
        for (const within of [true, false]) {
            for (const templates of [this.byFirstWord.get(first) ?? [], this.open]) {
                for (const template of templates) {
                    const said = this.filled(template, text, within);
                    if (said !== null) {
                        return said;
                    }
                }
            }
        }
        return null;
    }

    private filled(template: Template, text: string, within: boolean): string | null {
        const taken = template.match.exec(text)?.slice(1);
        if (taken === undefined || (within && taken.some((part) => /[.:;!?](?:\s|$)/u.test(part)))) {
            return null;
        }
        const values = new Map<string, string>();
        for (const [i, name] of template.names.entries()) {
            const english = taken[i] ?? '';
            const said = this.say(english);
            if (
                template.letters < WEAK &&
                said === english &&
                /[A-Za-z]{3,}/u.test(english.replace(/“[^”]*”/gu, ''))
            ) {
                return null;
            }
            values.set(name, said);
        }
        return template.german.replace(/\{(\w+)\}/gu, (all, name: string) => values.get(name) ?? all);
    }

    /** The same begun with a capital, in a list or after a full stop. */
    private otherCase(text: string, known: (text: string) => string | null): string | null {
        const first = text.charAt(0);
        const small = first.toLowerCase();
        const other = known((first === small ? first.toUpperCase() : small) + text.slice(1));
        return other === null || first === small ? other : other.charAt(0).toUpperCase() + other.slice(1);
    }

    private apart(text: string): string | null {
        for (const [seam, glue] of SEAMS) {
            const parts = text.split(seam);
            if (parts.length > 1) {
                const said = parts.map((part) => this.say(part));
                if (said.some((part, i) => part !== parts[i])) {
                    return said.join(glue);
                }
            }
        }
        return null;
    }
}
