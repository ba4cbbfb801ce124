// Every text that stands in the front end, pieces of one sentence as one, against the book of phrases.
// usage: node bin/lib/texts.mjs   (prints what is missing, and ends with 1 then)
import { readFileSync, readdirSync } from 'node:fs';
import ts from 'typescript';

const phrases = JSON.parse(readFileSync('core/data/phrases/de.json', 'utf8'));
const found = new Map();

/** Names, codes and measures of the page: no texts. */
const NO_TEXT =
    /^(sx|className|variant|color|size|type|component|href|to|id|key|role|name|inputMode|autoComplete|severity|position|edge|align|fontFamily|style|d|viewBox|transform|textAnchor|points|fill|stroke|xmlns|rel|target|method|mode|as|htmlFor|ref|stage|paintOrder|data-.*|aria-(?!label|description|roledescription|valuetext).*)$/;
const NO_TEXT_OF_STYLE =
    /^(sx|gridTemplate\w*|border\w*|outline\w*|fontFamily|transition|animation|background\w*|boxShadow|overflow\w*|queryKey|font\w*|variant|color)$/;
const CODE =
    /^[\w.\-/:]+\.(php|json|css|js|tsx|csv|pdf|dxf|svg)$|^(application|text|image)\/|<\/|^\d*(px|rem|fr)\b|minmax|calc\(|translate\(|rotate\(|repeat\(|rgba?\(|rect\(|sans-serif|monospace|^\[|!important|^M\{0\}|\\s|needs a \w+|^Failed to fetch$|^Enter$|^Escape$|^Baud$|^Arrow(Up|Down|Left|Right)$|^(\{0\} · )?Oldpart Fit$/;

function files(folder) {
    return readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
        entry.isDirectory()
            ? files(`${folder}/${entry.name}`)
            : /\.tsx?$/.test(entry.name) && !/\.d\.ts$|api\/schema|\/docs\/|\/speak\//.test(`${folder}/${entry.name}`)
              ? [`${folder}/${entry.name}`]
              : [],
    );
}

function add(parts, file, node, source) {
    let k = 0;
    const text = parts
        .map((part) => (part === null ? `{${k++}}` : part))
        .join('')
        .replaceAll('&nbsp;', '')
        .trim();
    const plain = text.replace(/\{\w+\}/g, '');
    const reads =
        /[A-Za-z]{3,}[,:;.]? [A-Za-z(“]/.test(plain) ||
        /^[A-Z][a-z]{2,}/.test(plain) ||
        (/ /.test(text) && /[a-z]{4,}/.test(plain));
    if (reads && !CODE.test(text) && !found.has(text)) {
        found.set(text, `${file}:${source.getLineAndCharacterOfPosition(node.getStart()).line + 1}`);
    }
}

/** The pieces of a text, null for what is put in; null for what is none. */
function pieces(node) {
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return [node.text];
    if (ts.isTemplateExpression(node)) {
        return [node.head.text, ...node.templateSpans.flatMap((span) => [null, span.literal.text])];
    }
    if (ts.isBinaryExpression(node) && node.operatorToken.kind === ts.SyntaxKind.PlusToken) {
        const [left, right] = [pieces(node.left), pieces(node.right)];
        return left || right ? [...(left ?? [null]), ...(right ?? [null])] : null;
    }
    return ts.isParenthesizedExpression(node) ? pieces(node.expression) : null;
}

/** As JSX reads white space. */
function words(text) {
    return text
        .split('\n')
        .map((line, i, all) => {
            const from = i > 0 ? line.trimStart() : line;
            return i < all.length - 1 ? from.trimEnd() : from;
        })
        .filter((line) => line !== '')
        .join(' ');
}

for (const file of files('resources/js')) {
    const source = ts.createSourceFile(
        file,
        readFileSync(file, 'utf8'),
        ts.ScriptTarget.Latest,
        true,
        file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
    );
    const seen = new Set();
    const see = (node) => {
        seen.add(node);
        if (ts.isBinaryExpression(node)) [node.left, node.right].forEach(see);
        if (ts.isParenthesizedExpression(node)) see(node.expression);
    };
    const children = (node) => {
        let run = [];
        const flush = () => {
            if (run.some((part) => part !== null)) add(run, file, node, source);
            run = [];
        };
        for (const child of node.children) {
            const inner = ts.isJsxExpression(child) ? child.expression : undefined;
            if (ts.isJsxText(child)) {
                const text = words(child.text);
                if (text !== '') run.push(text);
            } else if (inner) {
                const parts = pieces(inner);
                if (parts) {
                    run.push(...parts);
                    see(inner);
                } else if (/^[^<]*$/.test(inner.getText())) {
                    run.push(null);
                } else {
                    flush();
                }
            } else if (!ts.isJsxExpression(child)) {
                flush();
            }
        }
        flush();
    };
    const visit = (node) => {
        if (
            ts.isImportDeclaration(node) ||
            ts.isExportDeclaration(node) ||
            ts.isTypeNode(node) ||
            ts.isInterfaceDeclaration(node) ||
            ts.isTypeAliasDeclaration(node) ||
            ts.isThrowStatement(node)
        ) {
            return;
        }
        if (ts.isJsxAttribute(node) && NO_TEXT.test(node.name.getText())) {
            if (node.name.getText() === 'sx' || (node.initializer && ts.isStringLiteral(node.initializer))) return;
        }
        if (ts.isPropertyAssignment(node) && NO_TEXT_OF_STYLE.test(node.name.getText())) return;
        if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
            children(node);
            node.children.filter((child) => !ts.isJsxText(child)).forEach(visit);
            if (ts.isJsxElement(node)) visit(node.openingElement);
            return;
        }
        const isName =
            (ts.isPropertyAssignment(node.parent ?? node) && node.parent.name === node) ||
            ts.isElementAccessExpression(node.parent ?? node) ||
            ts.isLiteralTypeNode(node.parent ?? node);
        const parts = seen.has(node) || isName ? null : pieces(node);
        if (parts) {
            add(parts, file, node, source);
            see(node);
        }
        ts.forEachChild(node, visit);
    };
    visit(source);
}

const missing = [...found].filter(([text]) => !(text in phrases));
for (const [text, where] of missing) {
    console.log(`${where}: ${text}`);
}
process.exit(missing.length === 0 ? 0 : 1);
