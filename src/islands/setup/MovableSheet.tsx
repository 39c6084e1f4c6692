import { useMemo, useRef, useState } from 'react';
import { findHandles, type Handle } from '../../core/drawing/handles.ts';
import { drawSheet } from '../../core/drawing/sheet.ts';
import type { Drawing } from '../../core/drawing/shapes.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { AsFound } from '../../core/rules/houseRules.ts';
import { clampByHand, findHandleKind } from '../../core/setup/byHand.ts';
import type { HandleId } from '../../core/setup/settingKinds.ts';
import { getValue, type SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import type { HeelLineMark } from '../../core/whatIf/planMoved.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { writeValue } from '../shared/writeValue.ts';
import { SheetHandle } from './SheetHandle.tsx';
import type { MovedSetUp } from './useMoved.ts';
import { movableSheet as say } from './words.ts';

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
  'front-foot': say.frontFoot,
  'back-foot': say.backFoot,
  'back-toes': say.turnBackFoot,
  hand: say.heightHand,
};

/** A press of an arrow key moves by half a centimetre or turns by a degree; with Shift by more. */
const STEP_CM = 0.5;
const LARGE_STEPS = 10;
const LARGE_TURN = 5;
/** A foot dragged along the mat is not meant to leave its line by less, cm. Our choice. */
const ACROSS_FROM = 1;
/** A heel dragged across the mat snaps to a heel line within this, cm. Our choice. */
const SNAPS_WITHIN = 1.2;

function snapToLine(dragged: Partial<AsFound>, lines: readonly HeelLineMark[]): Partial<AsFound> {
  const { widthCm } = dragged;
  if (widthCm == null) return dragged;
  const line = lines.find((each) => Math.abs(each.widthCm - widthCm) < SNAPS_WITHIN);
  return line === undefined ? dragged : { ...dragged, widthCm: line.widthCm };
}

/** What the drawn set-up has of what can be held. */
function findShown(setUp: SetUp): AsFound {
  return {
    stanceCm: getValue(setUp, 'stance-length'),
    widthCm: getValue(setUp, 'stance-width'),
    backFootDeg: getValue(setUp, 'back-foot-angle'),
    handCm: getValue(setUp, 'hand-height'),
    depth: null,
  };
}

/** The step from what is drawn to what is asked for, taken from what is held. */
function addToHeld(asked: Partial<AsFound>, shown: AsFound, held: AsFound): Partial<AsFound> {
  const sums = (Object.keys(asked) as (keyof AsFound)[]).flatMap((key) => {
    const [to, from] = [asked[key], shown[key]];
    return to == null || from === null ? [] : [[key, (held[key] ?? from) + (to - from)] as const];
  });
  return Object.fromEntries(sums);
}

interface Grip {
  readonly handle: Handle;
  readonly box: Drawing['box'];
}

/** The measured drawing with its feet, their turn and the hand to be taken hold of. */
export function MovableSheet(props: MovableSheetProps) {
  const { pose, setUp, ghost, unit, labelMm, faded, heelLines, onMove } = props;
  const svg = useRef<SVGSVGElement>(null);
  // The handle as it was when it was taken: it says where a drag from there leads.
  const taken = useRef<Handle | null>(null);
  const [grip, setGrip] = useState<Grip | null>(null);
  const options = useMemo(() => ({ unit, labelMm, ghost }), [unit, labelMm, ghost]);
  const drawing = useMemo(() => drawSheet(pose, setUp, options), [pose, setUp, options]);
  const handles = useMemo(() => findHandles(pose, setUp, options), [pose, setUp, options]);
  if (drawing === null) return null;

  const shown = findShown(setUp);
  const { backFootDeg } = shown;
  // Quick presses add up: each goes on from what is held, not from what is drawn by now.
  const add = (asked: Partial<AsFound>): void => {
    onMove((held) => clampByHand(addToHeld(asked, shown, held)), true);
  };
  const turn = (deg: number): void => {
    if (backFootDeg !== null) add({ backFootDeg: backFootDeg + deg });
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
        const { id: settingId, byHand } = findHandleKind(handle.id);
        const value = getValue(setUp, settingId);
        const turns = handle.id === 'back-toes';
        return (
          <SheetHandle
            key={handle.id}
            handle={handle}
            label={say.move(HANDLE_WORDS[handle.id])}
            value={value}
            valueText={value === null ? '' : writeValue(value, turns ? 'deg' : 'cm', unit)}
            range={byHand.range}
            isDragged={grip?.handle.id === handle.id}
            findScale={() => svg.current?.getScreenCTM()?.inverse() ?? null}
            onDragStart={() => {
              taken.current = handle;
              setGrip({ handle, box: drawing.box });
              onMove({}, true);
            }}
            onDrag={(right, down) => {
              const across = Math.abs(down) < ACROSS_FROM ? 0 : down;
              const dragged = taken.current?.drag(right, across) ?? {};
              onMove(clampByHand(snapToLine(dragged, heelLines)), false);
            }}
            onDragEnd={() => {
              setGrip(null);
            }}
            onStep={(right, down, isLarge) => {
              const steps = isLarge ? LARGE_STEPS : 1;
              if (turns) turn((right - down) * (isLarge ? LARGE_TURN : 1));
              else add(handle.drag(right * STEP_CM * steps, down * STEP_CM * steps));
            }}
            onTurn={turn}
          />
        );
      })}
    </SheetDrawing>
  );
}
