import { mm, movement, say } from '../measure/quantity';
import type { CaseForm } from '../piece/case/form';
import { travelFor } from '../piece/case/stands/sides';
import type { Piece } from '../piece/piece';
import type { Trap } from '../restraint/restraint';
import { startBack, startBackChanges, startFixingChanges } from '../start/start-case';
import type { Check, CheckContext } from './check';

/**
 * Joints and fasteners that hold the wood against its movement. Ties that slide have a check of their own, with the
 * travel they want; here stand those that cannot give way at all.
 */
export function tiesThatFight({ piece, restraint, document }: CheckContext): Check[] {
  const byId = new Map(restraint.ties.map((tie) => [tie.id, tie]));
  const traps = restraint.traps.filter((trap) => trap.ties.every((id) => !byId.get(id)?.slides));
  if (traps.length === 0) {
    return [
      {
        id: 'season.ties',
        step: 'season',
        level: 'good',
        sentence: say`No joint holds the wood against its movement.`,
        value: movement(0),
        limit: movement(0),
        where: [],
        why: 'Wood that cannot move splits, or tears the joint that holds it.',
        school: 'Cross-grain gluing up to about 100 mm, common practice',
      },
    ];
  }
  return traps.map((trap, i): Check => {
    const parts = piece.parts.filter((part) => trap.bodies.includes(part.id));
    return {
      id: `season.ties-${i + 1}`,
      step: 'season',
      level: 'stop',
      sentence: say`${listed(parts.map((part) => part.name.toLowerCase()))} hold each other ${ALONG[piece.build][trap.axis]}: ${movement(trap.missing)} are missing.`,
      value: movement(trap.missing),
      limit: movement(0),
      where: [...trap.bodies],
      why: `They are tied by ${listed(namesOf(trap, byId))}. Something must give, and it will be the wood.`,
      school: 'Cross-grain gluing up to about 100 mm, common practice',
      ...freeing(trap.bodies, document.form),
    };
  });
}

/** What lets go of parts that fight; where no one decision does, it is told. */
function freeing(
  bodies: readonly string[],
  form: CheckContext['document']['form'],
): Pick<Check, 'wayOut' | 'otherWaysOut'> {
  if (form.build === 'case' && form.back.kind === 'panel' && form.back.hold === 'all-round' && bodies.includes('back'))
    return {
      wayOut: {
        say: say`Hold the back in its middle alone, with room at its sides`,
        changes: [{ path: 'form.back', value: { ...form.back, hold: 'middle', room: FREE_SIDES } }],
      },
      otherWaysOut: [
        {
          say: say`Close it with lapped boards, each held in its middle`,
          changes: [{ path: 'form.back', value: { ...startBack('boards', form), ...LOOSE_BOARDS } }],
        },
        { say: say`Close it with a sheet, which hardly moves`, changes: startBackChanges('sheet', form) },
      ],
    };
  if (form.build === 'case' && isFastInFrames(bodies, form))
    return {
      wayOut: {
        say: say`House shelves and uprights: glued in front, they move behind`,
        changes: startFixingChanges('housed', form),
      },
    };
  if (form.build === 'case' && form.moulding?.held === 'glued' && bodies.some((id) => id.startsWith('moulding-')))
    return {
      wayOut: {
        say: say`Hold the mouldings at its sides in front alone, in slots behind`,
        changes: [{ path: 'form.moulding', value: { ...form.moulding, held: 'slots', travel: travelFor(form.depth) } }],
      },
    };
  const frame = form.build === 'case' ? narrowerFrame(bodies, form) : null;
  if (frame) return frame;
  return { wayOut: { say: say`Fix one point only, and let the other ties slide`, changes: [] } };
}

/** A board held fast in front and behind by frames, which do not move with it. */
const isFastInFrames = (bodies: readonly string[], { carcass, inside }: CaseForm): boolean =>
  'post' in carcass.corner && inside.fixing.kind === 'butted' && bodies.some((id) => /^(shelf|upright)-/.test(id));

/** A frame whose stiles and rails are so broad that they move more than their joints give. */
function narrowerFrame(bodies: readonly string[], { back, front }: CaseForm): Pick<Check, 'wayOut'> | null {
  const of = (which: string) => bodies.some((id) => id.startsWith(`${which}-`));
  const own =
    back.kind === 'framed' && of('back')
      ? { path: 'form.back', frame: back }
      : front.kind === 'face-frame' && of('front')
        ? { path: 'form.front', frame: front }
        : null;
  if (!own) return null;
  const changes = (['stile', 'rail'] as const)
    .filter((bar) => own.frame[bar] > NARROW)
    .map((bar) => ({ path: `${own.path}.${bar}`, value: NARROW }));
  if (changes.length === 0) return null;
  return { wayOut: { say: say`Make its stiles and rails ${mm(NARROW)} wide`, changes } };
}

/** Stiles and rails so wide move no more than their joints give, mm; common practice. */
const NARROW = 60;
/** Room at each side of a solid back to begin with, mm; common practice. */
const FREE_SIDES = 5;
/** Laps and gaps of boards behind that are wide, mm; common practice. */
const LOOSE_BOARDS = { lap: 10, gap: 5 };

const ALONG: Record<Piece['build'], Record<Trap['axis'], string>> = {
  table: { x: 'along the table', y: 'across the table', z: 'in height' },
  case: { x: 'across the case', y: 'in its depth', z: 'in height' },
};

const namesOf = (trap: Trap, byId: ReadonlyMap<string, { name: string }>) => [
  ...new Set(trap.ties.map((id) => byId.get(id)?.name ?? id)),
];

function listed(names: readonly string[]): string {
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}
