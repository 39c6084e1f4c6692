import clsx from 'clsx';
import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { findHandles, type Handle } from '../../core/drawing/handles.ts';
import { drawSheet } from '../../core/drawing/sheet.ts';
import type { Drawing, Point } from '../../core/drawing/shapes.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { AsFound } from '../../core/rules/houseRules.ts';
import { getValue } from '../../core/setup/setUp.ts';
import type { HeelLineMark } from '../../core/whatIf/planMoved.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { SETTING_KINDS, type HandleId, type SettingId } from '../../core/setup/settingKinds.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import type { MovedSetUp } from './useMoved.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { writeValue } from '../shared/words.ts';

interface MovableSheetProps {
  pose: PoseDefinition;
  setUp: SetUp;
  /** As it was recommended, beneath what was moved; null = nothing is moved. */
  ghost: SetUp | null;
  unit: LengthUnit;
  labelMm: number;
  faded: boolean;
  heelLines: readonly HeelLineMark[];
  onMove: MovedSetUp['move'];
}

const HANDLE_WORDS: Readonly<Record<HandleId, string>> = {
  'front-foot': 'front foot',
  'back-foot': 'back foot',
  'back-toes': 'turn of the back foot',
  hand: 'height of the hand',
};

/** The setting that a handle shows. */
function findSettingOf(handle: HandleId): SettingId {
  const found = SETTING_KINDS.find(({ byHand }) => byHand?.handles.includes(handle) === true);
  if (found === undefined) throw new Error(`No setting is dragged by ${handle}`);
  return found.id;
}

/** A press of an arrow key, and with Shift, cm; a bracket turns by a degree, and with Shift by five. */
const STEP = 0.5;
const LARGE = 10;
const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};
const BRACKETS: Readonly<Record<string, number>> = { '[': -1, ']': 1, '{': -5, '}': 5 };
const HANDLE_RADIUS = 4;
/** A foot dragged along the mat is not meant to leave its line by less, cm. Our choice. */
const ACROSS_FROM = 1;
/** A heel dragged across the mat snaps to a heel line within this, cm. Our choice. */
const SNAPS_WITHIN = 1.2;

function snapToLine(led: Partial<AsFound>, lines: readonly HeelLineMark[]): Partial<AsFound> {
  const { widthCm } = led;
  if (widthCm == null) return led;
  const line = lines.find((each) => Math.abs(each.widthCm - widthCm) < SNAPS_WITHIN);
  return line === undefined ? led : { ...led, widthCm: line.widthCm };
}

/** What the drawn set-up has of what can be held. */
function findShown(setUp: SetUp): AsFound {
  const get = (id: SettingId): number | null => getValue(setUp, id);
  return {
    stanceCm: get('stance-length'),
    widthCm: get('stance-width'),
    backFootDeg: get('back-foot-angle'),
    handCm: get('hand-height'),
    depth: null,
  };
}

/** The step from what is shown to where the pointer is, taken from what is held. */
function addToHeld(led: Partial<AsFound>, shown: AsFound, held: AsFound): Partial<AsFound> {
  const sums = (Object.keys(led) as (keyof AsFound)[]).flatMap((key) => {
    const [to, from] = [led[key], shown[key]];
    return to == null || from === null ? [] : [[key, (held[key] ?? from) + (to - from)] as const];
  });
  return Object.fromEntries(sums);
}

interface Grip {
  readonly handle: Handle;
  readonly from: Point;
  /** From the screen to the paper as it lay when it was taken: the page may shift meanwhile. */
  readonly toPaper: DOMMatrix;
  readonly box: Drawing['box'];
}

function pointAt({ clientX, clientY }: PointerEvent, toPaper: DOMMatrix): Point {
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(toPaper);
  return [x, y];
}

/** The measured drawing with its feet, their turn and the hand to be taken hold of. */
export function MovableSheet(props: MovableSheetProps) {
  const { pose, setUp, ghost, unit, labelMm, faded, heelLines, onMove } = props;
  const svg = useRef<SVGSVGElement>(null);
  const [grip, setGrip] = useState<Grip | null>(null);
  const options = useMemo(() => ({ unit, labelMm, ghost }), [unit, labelMm, ghost]);
  const drawing = useMemo(() => drawSheet(pose, setUp, options), [pose, setUp, options]);
  const handles = useMemo(() => findHandles(pose, setUp, options), [pose, setUp, options]);
  if (drawing === null) return null;

  const shown = findShown(setUp);
  const { backFootDeg: back } = shown;
  // Quick presses add up: each goes on from what is held, not from what is drawn by now.
  const add = (led: Partial<AsFound>): void => {
    onMove((held) => addToHeld(led, shown, held), true);
  };
  const onKey = (event: KeyboardEvent, handle: Handle): void => {
    const arrow = ARROWS[event.key];
    const turn = BRACKETS[event.key];
    if (arrow !== undefined) {
      const by = event.shiftKey ? LARGE : 1;
      const [right, down] = arrow;
      add(
        handle.id === 'back-toes' && back !== null
          ? { backFootDeg: back + ((right - down) / STEP) * (event.shiftKey ? 5 : 1) }
          : handle.lead(right * by, down * by),
      );
    } else if (turn !== undefined && back !== null) {
      add({ backFootDeg: back + turn });
    } else return;
    event.preventDefault();
  };
  return (
    <SheetDrawing
      drawing={drawing}
      size="large"
      isFaded={faded}
      ref={svg}
      {...(grip === null ? {} : { box: grip.box })}
    >
      {handles.map((handle) => {
        const value = getValue(setUp, findSettingOf(handle.id));
        const turns = handle.id === 'back-toes';
        return (
          <circle
            key={handle.id}
            className={clsx(
              'cursor-grab touch-none fill-transparent stroke-1 outline-none hover:stroke-water focus-visible:stroke-water',
              grip?.handle.id === handle.id && 'stroke-water',
            )}
            cx={handle.at[0]}
            cy={handle.at[1]}
            r={HANDLE_RADIUS}
            role="slider"
            tabIndex={0}
            aria-label={`Move the ${HANDLE_WORDS[handle.id]}`}
            aria-valuenow={value ?? 0}
            aria-valuetext={value === null ? '' : writeValue(value, turns ? 'deg' : 'cm', unit)}
            onPointerDown={(event) => {
              const toPaper = svg.current?.getScreenCTM()?.inverse();
              if (toPaper === undefined) return;
              event.currentTarget.setPointerCapture(event.pointerId);
              setGrip({ handle, from: pointAt(event, toPaper), toPaper, box: drawing.box });
              onMove({}, true);
            }}
            onPointerMove={(event) => {
              if (grip === null) return;
              const [x, y] = pointAt(event, grip.toPaper);
              const [right, down] = [x - grip.from[0], y - grip.from[1]];
              const led = grip.handle.lead(right, Math.abs(down) < ACROSS_FROM ? 0 : down);
              onMove(snapToLine(led, heelLines), false);
            }}
            onPointerUp={() => {
              setGrip(null);
            }}
            onKeyDown={(event) => {
              onKey(event, handle);
            }}
          />
        );
      })}
    </SheetDrawing>
  );
}
