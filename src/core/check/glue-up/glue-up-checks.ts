import type { GlueLimit, GlueUp } from '../../glueup/plan-glue-ups';
import type { Check } from '../check';

const WHY_LIMITED: Record<GlueLimit['kind'], string> = {
  pressure:
    'Joints in one clamp-up share the clamps’ force in series. Well-planed edges hold with less than the glue’s maker asks; poor ones do not.',
  clamps: 'A joint that is not pressed along its whole length opens there first.',
  time: 'Glue that sets before the last joint is home cannot be undone.',
  room: 'A panel taken out of its clamps to make room is a panel that was not clamped long enough.',
};

/** What a glue-up asks more of than the shop has; nothing of it stops the work. */
export function glueUpChecks({ limits }: GlueUp, panel: string, first: boolean): Check[] {
  return limits.map(({ stage, kind, sentence, value, limit, wayOut }) => ({
    id: `glue-up.${first ? '' : `${panel}.`}${stage}.${kind}`,
    step: 'glue-up',
    level: 'watch',
    sentence,
    value,
    limit,
    where: [panel],
    why: WHY_LIMITED[kind],
    wayOut: { say: wayOut, changes: [] },
    school:
      kind === 'pressure'
        ? 'Force of a clamp as the shop has it; pressure by adhesive makers’ general guidance'
        : 'common practice',
  }));
}
