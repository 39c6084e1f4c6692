/** Values that a broken or hostile file might hold in any place. */
const ODDITIES: readonly unknown[] = [
  null,
  true,
  false,
  0,
  -1,
  1.5,
  1e9,
  -1e9,
  '',
  'x',
  'left',
  'cm',
  '2026-11-02T09:10:00Z',
  '2026-13-99',
  [],
  [1],
  [null],
  {},
  { a: 1 },
  'stillwater.person',
  2,
  '__proto__',
  '\u0000',
  'ä€😀',
];

type Path = readonly (string | number)[];

function listPaths(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [
    path,
    ...Object.entries(value).flatMap(([key, child]) =>
      listPaths(child, [...path, Array.isArray(value) ? Number(key) : key]),
    ),
  ];
}

/** A copy with one place changed, removed or added to. */
export function mutate(value: unknown, random: () => number): unknown {
  const copy = structuredClone(value);
  const paths = listPaths(copy).filter((path) => path.length > 0);
  const path = paths[Math.floor(random() * paths.length)]!;
  let holder = copy as Record<string | number, unknown>;
  for (const part of path.slice(0, -1)) holder = holder[part] as Record<string | number, unknown>;
  const last = path.at(-1)!;
  const kind = random();
  const odd = ODDITIES[Math.floor(random() * ODDITIES.length)];
  if (kind < 0.25 && !Array.isArray(holder)) Reflect.deleteProperty(holder, last);
  else if (kind < 0.4 && !Array.isArray(holder))
    holder[`unknown${String(Math.floor(random() * 9))}`] = odd;
  else holder[last] = odd;
  return copy;
}

/** A text with up to four places cut, changed or added to. */
export function mutateText(text: string, random: () => number): string {
  const characters = text.split('');
  const edits = 1 + Math.floor(random() * 4);
  for (let edit = 0; edit < edits; edit += 1) {
    const at = Math.floor(random() * characters.length);
    const kind = random();
    if (kind < 0.3) characters.splice(at, 1 + Math.floor(random() * 30));
    else if (kind < 0.6) characters[at] = String.fromCharCode(32 + Math.floor(random() * 95));
    else characters.splice(at, 0, INSERTED[Math.floor(random() * INSERTED.length)]!);
  }
  return characters.join('');
}

const INSERTED = ['null', '-1', '1e400', '[]', '{}', '"', '9'];
