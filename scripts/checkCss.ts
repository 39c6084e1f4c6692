/** Refuses what stands in the style sheet and is used nowhere. Use: npm run check:css. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const STYLES = 'src/styles/global.css';

const sources = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .filter((path) => /\.(astro|tsx?)$/.test(path))
  .map((path) => readFileSync(join('src', path), 'utf8'))
  .join('\n');
const styles = readFileSync(STYLES, 'utf8').replace(/\/\*.*?\*\//gs, '');

const namesOf = (pattern: RegExp): readonly string[] =>
  [...styles.matchAll(pattern)].map((match) => match[1] ?? '');

/** Every name of the style sheet, and how its use looks. */
const names = [
  ...namesOf(/^\s*--(?:color|font)-([a-z-]+):/gm).map((name) => ({
    name,
    use: new RegExp(`-${name}\\b|var\\(--(color|font)-${name}\\)`),
  })),
  ...namesOf(/--breakpoint-([a-z]+):/g).map((name) => ({
    name,
    use: new RegExp(`(max-)?${name}:`),
  })),
  ...namesOf(/@(?:utility|keyframes) ([a-z-]+)/g).map((name) => ({
    name,
    use: new RegExp(`[\\s:'"\`[]${name}(?![a-z-])`),
  })),
  ...namesOf(/\.([a-z][a-z-]*)(?=[\s,:{[])/g).map((name) => ({
    name,
    use: new RegExp(`['"\\s]${name}['"\\s]`),
  })),
];

const unused = names.filter(({ use }) => !use.test(sources)).map(({ name }) => name);
for (const name of unused) console.error(`${STYLES}: “${name}” is used nowhere`);
if (names.length === 0) console.error(`${STYLES}: no name was found, which cannot be right`);
process.exitCode = unused.length > 0 || names.length === 0 ? 1 : 0;
