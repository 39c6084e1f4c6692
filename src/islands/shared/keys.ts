import { keys as say } from './words.ts';

/** A key, or a few that do the same, and what it does. */
export type KeyLine = readonly [keys: string, does: string];

/** Keys that do something together, under a heading. */
interface KeyGroup {
  readonly where: string;
  readonly lines: readonly KeyLine[];
}

const PICTURE: KeyGroup = {
  where: say.onPicture,
  lines: [
    ['1 – 9', say.chooseMark],
    ['← ↑ → ↓', say.moveMark],
    ['Shift + ← ↑ → ↓', say.moveMarkFaster],
    ['Enter', say.placeMark],
  ],
};

/** The keys of each page, by its address; `?` itself stands on all of them. */
const BY_PAGE: Readonly<Record<string, readonly KeyGroup[]>> = {
  '/set-up': [
    {
      where: say.onPage,
      lines: [
        ['S', say.otherSide],
        ['D', say.depth],
        ['N', say.nextPose],
        ['P', say.previousPose],
      ],
    },
    {
      where: say.onHandle,
      lines: [
        ['← ↑ → ↓', say.moveFoot],
        ['Shift + ← ↑ → ↓', say.moveFootFaster],
        ['[  ]', say.turnFoot],
      ],
    },
    {
      where: say.inLargeSteps,
      lines: [
        ['→  Page Down  Space', say.nextStep],
        ['←  Page Up', say.previousStep],
        ['↑  ↓', say.moreLess],
        ['Backspace', say.undo],
      ],
    },
  ],
  '/flows': [
    {
      where: say.onStep,
      lines: [
        ['←  →', say.chooseStep],
        ['Alt + ←  →', say.moveStep],
        ['+  −', say.moreBreaths],
        ['S', say.otherSide],
        ['D', say.onceMore],
        ['Delete', say.removeStep],
      ],
    },
    { where: say.onPage, lines: [['Ctrl + Z,  Ctrl + Shift + Z', say.undoRedo]] },
  ],
  '/measure': [
    { where: say.onPage, lines: [['Enter', say.saveNext]] },
    {
      where: say.withInstrument,
      lines: [
        ['Space  Enter  Page Down', say.take],
        ['Backspace', say.undo],
        ['Z', say.zero],
      ],
    },
    PICTURE,
  ],
  '/session': [
    {
      where: say.inSession,
      lines: [
        ['→  Page Down  Space', say.nextStep],
        ['←  Page Up', say.previousStep],
        ['Backspace', say.takeBackNote],
        ['Q', say.quiet],
      ],
    },
    {
      where: say.orderOfPoses,
      lines: [
        ['Space', say.pickUp],
        ['↑  ↓', say.moveItem],
      ],
    },
  ],
  '/classes': [
    {
      where: say.inClass,
      lines: [
        ['→  Page Down  Space', say.nextPose],
        ['←  Page Up', say.previousPose],
      ],
    },
    {
      where: say.inRoom,
      lines: [
        ['← ↑ → ↓', say.movePlace],
        ['Shift + ← ↑ → ↓', say.movePlaceFaster],
      ],
    },
  ],
  '/pose-photo': [PICTURE],
};

/**
 * The keys of a page.
 *
 * @param path its address
 * @returns with those that work everywhere, last
 */
export const findKeys = (path: string): readonly KeyGroup[] => [
  ...(BY_PAGE[path] ?? []),
  {
    where: say.everywhere,
    lines: [
      ['Tab', say.tab],
      ['Esc', say.escape],
      ['?', say.thisList],
    ],
  },
];
