/** Prints every text that a person can meet, with its place; with a word only those that it stands in. */
import { textsOf } from './texts.ts';

const [wanted = ''] = process.argv.slice(2);
const texts = textsOf(['core', 'web', 'cli']).filter(({ text }) => text.toLowerCase().includes(wanted.toLowerCase()));
for (const { file, line, text } of texts) console.log(`${file}:${line}: ${text}`);
console.log(`${texts.length} texts`);
