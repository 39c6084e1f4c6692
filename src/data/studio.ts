import { USUAL_STUDIO, type Studio, type StudioForSetUps } from '../core/studio/studio.ts';
import { db } from './database.ts';
import { getUnit, setUnit } from './settings.ts';

/** Under which key the studio stands; the unit has one of its own. */
const KEY = 'studio';

type Stored = Omit<Studio, 'unit'>;

async function getStored(): Promise<Stored> {
  const { unit: _unit, ...usual } = USUAL_STUDIO;
  const value = (await db.settings.get(KEY))?.value;
  return { ...usual, ...(value as Partial<Stored> | undefined) };
}

export const getStudio = async (): Promise<Studio> => ({
  ...(await getStored()),
  unit: await getUnit(),
});

/** What set-ups are computed with; undefined until a studio enters something of its own. */
export async function getStudioForSetUps(): Promise<StudioForSetUps | undefined> {
  if ((await db.settings.get(KEY)) === undefined) return undefined;
  const { cupboard, schools, wallM } = await getStored();
  return { cupboard, schools, wallM };
}

/**
 * Changes the studio, whatever has been stored meanwhile.
 *
 * @returns the studio before, so that it can be brought back
 */
export function changeStudio(change: (studio: Studio) => Partial<Studio>): Promise<Studio> {
  return db.transaction('rw', db.settings, async () => {
    const before = await getStudio();
    const { unit, ...stored } = { ...before, ...change(before) };
    await db.settings.put({ key: KEY, value: stored });
    if (unit !== before.unit) await setUnit(unit);
    return before;
  });
}
