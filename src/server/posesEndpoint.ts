import { POSES } from '../core/poses/catalogue/index.ts';
import { LINKING_POSES } from '../core/poses/linking/index.ts';
import { LYING_POSES } from '../core/poses/lying/index.ts';
import { WARM_UPS } from '../core/poses/warmUps/index.ts';
import { answerJson } from './problemAnswer.ts';

/** `GET /api/poses`: every pose with its levels, depth, the measures it needs and where it may lead; and what links them. */
export const answerPoses = (): Response =>
  answerJson({
    poses: POSES.map(
      ({
        id,
        name,
        sanskrit,
        family,
        depth,
        firstDepth,
        levels,
        needs,
        easier,
        guidance,
        transitions,
      }) => ({
        id,
        name,
        sanskrit,
        family,
        depth,
        firstDepth,
        levels: levels.map((level) => ({ id: level.id, name: level.name })),
        needs,
        easier,
        guidance,
        transitions,
      }),
    ),
    lying: LYING_POSES,
    linking: LINKING_POSES,
    warmUps: WARM_UPS,
  });
