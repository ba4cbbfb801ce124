/** With fewer letters of its own than this, or one word, a template fits much that it is not meant for. */
const FEW = 9;

/** With so many it is known by them, whether anything is put in or not. */
const MANY = 12;

/** So long a phrase may hold a list in any place. */
const LONG = 30;

/** What ends a part of a sentence, and a part of a list. */
const ENDS = /[.:;!?](?:\s|$)/u;
const LIST_ENDS = /[.:!?](?:\s|$)/u;

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\/]/gu, '\\$&');

/** A phrase with places for what is put in: “{0} of {1} sized”. The same as Oldpart\Core\Language\Template. */
export class Template {
    /** Of its places, in the order of the English. */
    readonly names: string[];
    /** Which of them stand in quotation marks: there are names. */
    readonly quoted: boolean[];
    /** It brings itself. */
    readonly letters: number;
    /** By which the likelier of two is found: its letters, then whatever else it brings. */
    readonly weight: number;
    /** What it takes in has to be known as well. */
    readonly isWeak: boolean;
    readonly isLong: boolean;
    readonly firstWord: string | undefined;
    /** Its last place stands after a full stop, and holds further sentences. */
    private readonly goesOn: boolean;
    private readonly match: RegExp;
    /** The longest of what it brings: where that is missing nothing else needs to be looked at. */
    private readonly longest: string;

    private constructor(
        english: string,
        readonly said: string,
        parts: string[],
    ) {
        const literal = parts.filter((_, i) => i % 2 === 0);
        this.names = parts.filter((_, i) => i % 2 === 1);
        const match = literal
            // A place right behind another begins where something new does.
            .map((part, i) => {
                const place =
                    i > 1 && literal[i - 1] === '' ? '((?:(?:[,.](?!\\d)|[;(]| [A-Z(]).*)?)' : '(.*?)';
                // The point of a number ends no sentence.
                return (i === 0 ? '' : place) + escaped(part) + (part === '.' ? '(?!\\d)' : '');
            })
            .join('');
        this.match = new RegExp(`^${match}$`, 'su');
        this.longest = literal.reduce((a, b) => (a.length >= b.length ? a : b), '');
        this.quoted = literal.map((part) => part.endsWith('“'));
        this.letters = literal.join('').replace(/[^A-Za-z]/gu, '').length;
        this.weight = 1000 * this.letters + [...literal.join('')].length;
        const words = literal
            .join(' ')
            .split(/\s+/u)
            .filter((word) => /[A-Za-z]/u.test(word)).length;
        this.isWeak = this.letters < FEW || words < 2;
        this.isLong = this.letters >= MANY;
        this.goesOn = /[.!?]\s?\{[\w ]+\}$/u.test(english);
        this.firstWord = /^(\S+)\s/u.exec(literal[0] ?? '')?.[1];
    }

    /** None of a phrase without places. */
    static of(english: string, said: string): Template | null {
        const parts = english.split(/\{([\w ]+)\}/u);
        return parts.length === 1 ? null : new Template(english, said, parts);
    }

    /** What stands in its places in a text; null for another text. */
    taken(text: string): string[] | null {
        if (!text.includes(this.longest)) {
            return null;
        }
        return (
            this.match
                .exec(text)
                ?.slice(1)
                .map((part: string | undefined) => part ?? '') ?? null
        );
    }

    /** Each place holds a part of a sentence; a list has its parts parted, the last place may go on. */
    holdsParts(taken: string[]): boolean {
        return taken
            .slice(0, this.goesOn ? -1 : undefined)
            .every(
                (part, i) =>
                    !(this.names[i] === 'list' || this.letters >= LONG ? LIST_ENDS : ENDS).test(part),
            );
    }
}
