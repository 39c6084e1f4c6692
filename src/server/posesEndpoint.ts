import { POSES } from '../core/poses/catalogue/index.ts';
import { LYING_POSES } from '../core/poses/lying/index.ts';
import { answerJson } from './problemAnswer.ts';

/** `GET /api/poses`: every pose with its levels, depth and the measures it needs. */
export const answerPoses = (): Response =>
  answerJson({
    poses: POSES.map(
      ({ id, name, sanskrit, family, depth, firstDepth, levels, needs, easier, guidance }) => ({
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
      }),
    ),
    lying: LYING_POSES,
  });
