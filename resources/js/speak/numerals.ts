import { marks } from '../../../core/data/bolt-classes.json';

/** 1,234.5 as 1 234,5; classes of bolts, standards and threads stay as they are written. The same as Oldpart\Core\Language\Numerals. */
export function withComma(text: string): string {
    return text.replace(
        /(?<![\w.,])(\d{1,3}(?:,\d{3})+|\d+|(?=\.\d))(\.\d+)?(?!\w|\.\d|,\d)/gu,
        (all, whole: string, part: string | undefined, at: number) => {
            const after = text.slice(at + all.length);
            if (marks.includes(all) && !/^\s?(mm|µm|in\b|kN|N\b|kg|%|°)/u.test(after)) {
                return all;
            }
            return whole.replaceAll(',', '\u202f') + (part === undefined ? '' : part.replace('.', ','));
        },
    );
}
