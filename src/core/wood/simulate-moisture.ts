import { type AirSeries, type DiffusionResult, diffuse } from './diffusion';
import { diffusivityOf } from './diffusivity';
import { type CoatedFaces, type FinishKind, facesOf } from './finish';
import type { Species } from './species';

/**
 * Moisture of a board in its air, bare at first and finished from a day on.
 *
 * @param given thickness mm; air with one value a step from the start; `finishedAt` the step from which the finish is on;
 *   start % through the whole thickness; step in days. `spread` multiplies diffusivity and surface for draws.
 * @returns mean, slope and profile, see {@link diffuse}
 */
export function simulateMoisture(given: {
  thickness: number;
  species: Species;
  finish: FinishKind;
  coated: CoatedFaces;
  finishedAt: number;
  air: AirSeries;
  start: number;
  steps: number;
  step: number;
  cells?: number;
  spread?: { diffusivity: number; surface: number };
}): DiffusionResult {
  const { finishedAt, spread = { diffusivity: 1, surface: 1 } } = given;
  const bare = facesOf('none', 'neither');
  const own = facesOf(given.finish, given.coated);
  const finished = { upper: own.upper * spread.surface, lower: own.lower * spread.surface };
  const wood = diffusivityOf(given.species);
  return diffuse({
    thickness: given.thickness,
    diffusivity: { ...wood, at10: wood.at10 * spread.diffusivity },
    faces:
      finishedAt > 0
        ? [
            { untilStep: finishedAt, faces: bare },
            { untilStep: Number.POSITIVE_INFINITY, faces: finished },
          ]
        : finished,
    air: given.air,
    start: given.start,
    steps: given.steps,
    step: given.step,
    ...(given.cells ? { cells: given.cells } : {}),
  });
}
