import type { Body } from '../../body/body.ts';
import type { Protocol } from '../../measures/protocol.ts';
import type { Drawing, Shape } from '../shapes.ts';
import { writeSvg } from '../svg.ts';
import { drawDemonstration } from './drawDemonstration.ts';

/** The known length in a drawn picture, cm. */
export const DEMO_STICK_CM = 100;
const PIXELS_PER_MM = 8;
const AWAY = 6;

/**
 * A drawn stand-in for a photograph: the posture of a measure with an upright line and a
 * stick of a metre beside it, nothing marked.
 *
 * @param body lengths of the body, metres
 * @param protocol how the measure is taken
 * @returns SVG text and its size in pixels
 */
export function drawDemoPicture(
  body: Body,
  protocol: Protocol,
): { readonly svg: string; readonly width: number; readonly height: number } {
  const { box, shapes, caption } = drawDemonstration(body, protocol);
  const [left, top, width, height] = box;
  const stick = DEMO_STICK_CM;
  const wide = Math.max(width, stick + 2 * AWAY);
  const bottom = top + height + AWAY;
  const around: Shape[] = [
    {
      kind: 'line',
      role: 'plumb',
      points: [
        [left + AWAY, top + AWAY],
        [left + AWAY, bottom - AWAY],
      ],
    },
    {
      kind: 'line',
      role: 'stick',
      points: [
        [left + AWAY, bottom],
        [left + AWAY + stick, bottom],
      ],
    },
  ];
  const marked = new Set(['landmark', 'instrument', 'tape', 'angle', 'bone', 'plumb']);
  const picture: Drawing = {
    box: [left, top, wide, height + 2 * AWAY],
    shapes: [...shapes.filter((each) => !marked.has(each.role)), ...around],
    caption,
  };
  return {
    svg: writeSvg(picture),
    width: Math.round(wide * PIXELS_PER_MM),
    height: Math.round((height + 2 * AWAY) * PIXELS_PER_MM),
  };
}
