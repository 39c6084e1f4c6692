import { describe, expect, it } from 'vitest';
import { writeHomePage } from '../../../src/core/extract/writeHomePage.ts';
import { sayFeel } from '../../../src/core/felt/sayFeel.ts';
import { drawDiaryPage } from '../../../src/core/paper/diaryPage.ts';
import { drawCard } from '../../../src/core/paper/matCard.ts';
import type { Page } from '../../../src/core/paper/page.ts';
import { findPose, POSES } from '../../../src/core/poses/catalogue/index.ts';
import { FITTING_LEVEL } from '../../../src/core/poses/level.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { contextOfDemo, FULLEST_DEMO } from '../../support/demoContext.ts';

const textsOf = ({ shapes }: Page): readonly string[] =>
  shapes.flatMap((each) => (each.kind === 'text' ? [each.text] : []));

function cardsOf(who: string, id: string): readonly Page[] {
  const context = contextOfDemo(who);
  const plan = (side: 'left' | 'right'): SetUp | null => {
    const found = planSetUp(context, id, side, {}, FITTING_LEVEL);
    return found.ok && found.value.status !== 'failed' ? found.value : null;
  };
  const sides = { left: plan('left'), right: plan('right') };
  const content = { name: 'Marit', pose: findPose(id)!, sides, lying: null, unit: 'cm' } as const;
  return drawCard({ ...content, date: '30 November', feel: sayFeel(sides) }, 'a5');
}

/** What a person does not read about themselves: what a joint lacks, has left or is held back by. */
const DEFICIT =
  /short of|margin|held back|to spare|lack|deficit|not yet|limit|give or take|°\s+of|weak|bad/i;

describe('a person’s own page', () => {
  it.each(FULLEST_DEMO)(
    'of %s says how to come in and out and what to feel, and no deficit',
    (who) => {
      for (const { id } of POSES) {
        const texts = cardsOf(who, id).flatMap(textsOf);
        const all = texts.join(' ');
        expect(all, id).toContain('The way in');
        expect(all, id).toContain('The way out');
        expect(all, id).toContain('What to feel');
        expect(all, id).toContain('come out');
        expect(all, id).not.toMatch(DEFICIT);
      }
    },
  );

  it('names the place of each side, once where the sides are alike', () => {
    const context = contextOfDemo('marit-sollen');
    const plan = (pose: string, side: 'left' | 'right'): SetUp => {
      const found = planSetUp(context, pose, side, {}, FITTING_LEVEL);
      if (!found.ok) throw new Error(pose);
      return found.value;
    };
    const both = (pose: string) => ({ left: plan(pose, 'left'), right: plan(pose, 'right') });
    expect(sayFeel(both('pyramid'))[0]).toBe(
      'Held right: the right back of thigh and the left calf.',
    );
    expect(sayFeel(both('wide-fold'))[0]).toMatch(/^You may feel the /);
    expect(sayFeel({ left: null, right: null })).toHaveLength(1);
  });

  it('has lines to fill in by hand, inside the paper', () => {
    for (const paper of ['a4', 'letter'] as const) {
      const poses = ['Warrior II', 'Revolved side angle', 'Triangle'];
      const page = drawDiaryPage({ name: 'Marit', poses, date: '30 November' }, paper);
      expect(page.shapes.filter((each) => each.kind === 'line').length).toBeGreaterThan(60);
      expect(textsOf(page).join(' ')).toContain('Revolved side angle');
      for (const shape of page.shapes) {
        if (shape.kind !== 'line') continue;
        for (const [x, y] of shape.points) {
          expect(x >= 0 && x <= page.width && y >= 0 && y <= page.height).toBe(true);
        }
      }
    }
  });

  it('lets no name or pose into its own markup', () => {
    const name = '</script><b>Ada & Co</b>';
    const poses = [{ id: 'triangle', name: 'Triangle "wide"' }];
    const html = writeHomePage({ person: { id: 'ada', name }, sheet: 's', poses, cards: [] });
    expect(html).not.toContain('<b>');
    expect(html.match(/<\/script>/g)).toHaveLength(2);
    const data = /id="sheet">(.*?)<\/script>/.exec(html)![1]!;
    expect((JSON.parse(data) as { person: { name: string } }).person.name).toBe(name);
  });
});
