// What the screens say of texts, as German with a comma: a JSON list in, the same list said out.
// usage: node bin/lib/said.mjs < texts.json
import { readFileSync } from 'node:fs';
import { json } from 'node:stream/consumers';
import { runnerImport } from 'vite';

const load = async (file) => (await runnerImport(`./resources/js/speak/${file}.ts`, { configFile: false })).module;
const [{ PhraseBook }, { withComma }] = await Promise.all([load('book'), load('numerals')]);
const book = new PhraseBook(JSON.parse(readFileSync('core/data/phrases/de.json', 'utf8')));
const texts = await json(process.stdin);
process.stdout.write(JSON.stringify(texts.map((text) => withComma(book.say(text)))));
