import type { TableInJob } from '../document/piece-in-job';
import type { Cut, Joint } from '../joint/joint';
import { mm, percent, say } from '../measure/quantity';
import type { Part } from '../piece/part';
import type { Piece } from '../piece/piece';
import { type Convex, planesOf } from '../solid/convex';
import { dot, type Vec } from '../solid/vector';
import { type Check, judge, type TableContext } from './check';

/** Of a part's section so much must be left where the cuts of several joints lie in one another; common practice. */
const LEAST_LEFT = 0.25;
const WATCHED_LEFT = 0.35;
/** Lines through its thickness along which a section is measured. */
const LINES = 24;

interface Gutted {
  part: Part;
  joints: readonly Joint[];
  left: number;
}

/** Where the cuts of several joints lie in one section of a part: a lap that a mortise goes through, mortises one behind the other. */
export function sectionsLeft({ document, piece }: TableContext): Check[] {
  const worst = piece.parts.reduce<Gutted | null>((before, part) => {
    const own = gutted(piece, part);
    return own && (!before || own.left < before.left - 1e-9) ? own : before;
  }, null);
  if (!worst) return [];
  const { part, joints, left } = worst;
  const names = [...new Set(joints.map(({ name }) => name.toLowerCase()))].join(' and ');
  return [
    {
      id: 'joints.section-left',
      step: 'joints',
      level: judge(left, LEAST_LEFT, { sense: 'at-least', watchFrom: WATCHED_LEFT }),
      sentence: say`Of the section of ${part.name.toLowerCase()} ${percent(100 * left)} stay where two joints are cut: ${names}.`,
      value: percent(100 * left),
      limit: percent(100 * LEAST_LEFT),
      where: [part.id],
      why: 'Each cut may be sound by itself; together they leave a part that breaks where it is joined.',
      school: 'A quarter of the section at the least, common practice',
      ...waysOut(document),
    },
  ];
}

function waysOut({ form: { base } }: TableInJob): Pick<Check, 'wayOut' | 'otherWaysOut'> {
  const advice = { say: say`Make the part thicker, the tenon smaller, or set the joints apart along it`, changes: [] };
  if (base.kind !== 'x-frame') return { wayOut: advice };
  const [lower, wider] = [Math.floor(base.stretcher.height * 0.8), Math.ceil(base.leg.width * 1.15)];
  return {
    wayOut: {
      say: say`Make the stretcher ${mm(lower)} high`,
      changes: [{ path: 'form.base.stretcher.height', value: lower }],
    },
    otherWaysOut: [
      { say: say`Make the legs ${mm(wider)} wide`, changes: [{ path: 'form.base.leg.width', value: wider }] },
      advice,
    ],
  };
}

/** The section of a part through the middle of a cut in which cuts of more than one joint take the most. */
function gutted(piece: Piece, part: Part): Gutted | null {
  if (part.material || part.placed.length !== 1) return null;
  const own = [...piece.joints, ...piece.seats].flatMap((joint) =>
    joint.ruled ? [] : joint.removed.filter((cut) => cut.part === part.id && !cut.late).map((cut) => ({ joint, cut })),
  );
  if (new Set(own.map(({ joint }) => joint)).size < 2) return null;
  const along = part.frame.length;
  const spans = own.map(({ joint, cut }) => ({ joint, cut, ...reachAlong(cut.solid, along) }));
  let worst: Gutted | null = null;
  for (const one of spans) {
    const at = (one.from + one.to) / 2;
    const met = spans.filter(({ from, to }) => from < at && at < to);
    const joints = [...new Set(met.map(({ joint }) => joint))];
    if (joints.length < 2) continue;
    const left = shareLeft(
      part,
      at,
      met.map(({ cut }) => cut),
    );
    if (left !== null && (!worst || left < worst.left)) worst = { part, joints, left };
  }
  return worst;
}

function reachAlong({ corners }: Convex, along: Vec): { from: number; to: number } {
  const places = corners.map((p) => dot(along, p));
  return { from: Math.min(...places), to: Math.max(...places) };
}

/** A plane met by lines through a part's thickness that lie side by side across its width. mm */
interface MetPlane {
  /** How fast a line comes nearer to it. */
  rise: number;
  /** How far off it the line through the middle of the section begins, and how much less it is for each mm across. */
  room: number;
  across: number;
}

const metBy = (solid: Convex, { length, width, thickness, at }: Part['frame'], along: number): MetPlane[] =>
  planesOf(solid).map(({ normal, offset }) => ({
    rise: dot(normal, thickness),
    room: offset - dot(normal, at) - along * dot(normal, length),
    across: dot(normal, width),
  }));

/** What of a line lies on the inner side of all planes: from where to where along it; empty where it ends before it begins. */
function within(planes: readonly MetPlane[], beside: number): { from: number; to: number } {
  let [first, last] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
  for (const { rise, room: middle, across } of planes) {
    const room = middle - beside * across;
    if (Math.abs(rise) < 1e-12) {
      if (room < -1e-9) return { from: 0, to: 0 };
    } else if (rise > 0) last = Math.min(last, room / rise);
    else first = Math.max(first, room / rise);
  }
  return { from: first, to: last };
}

/** What share of a section square to the part is in none of its cuts, line by line; null where the section misses the part. */
function shareLeft(part: Part, at: number, cuts: readonly Cut[]): number | null {
  const [body] = part.placed;
  if (!body) return null;
  const { frame, size } = part;
  const along = at - dot(frame.length, frame.at);
  const bodyPlanes = metBy(body, frame, along);
  const cutPlanes = cuts.map(({ solid }) => metBy(solid, frame, along));
  let [all, taken] = [0, 0];
  for (let i = 0; i < LINES; i += 1) {
    const beside = ((i + 0.5) / LINES - 0.5) * size.width;
    const own = within(bodyPlanes, beside);
    if (own.to <= own.from) continue;
    all += own.to - own.from;
    let reached = own.from;
    const met = cutPlanes.map((planes) => within(planes, beside)).filter(({ from, to }) => to > from);
    for (const cut of met.sort((a, b) => a.from - b.from)) {
      const end = Math.min(own.to, cut.to);
      if (end <= reached) continue;
      taken += end - Math.max(reached, cut.from);
      reached = end;
    }
  }
  return all === 0 ? null : 1 - taken / all;
}
