import type { Joints } from '../../../../decision/joints';
import type { Joint } from '../../../../joint/joint';
import type { InsertedCorner } from '../../../../joint/leg-corner';
import { slantedTenon } from '../../../../joint/tenon';
import { clipAll, type Plane, planeThrough, reach } from '../../../../solid/convex';
import { type Frame, inPart, inPiece, leaningFrame, planeInPart, squareFrame } from '../../../../solid/frame';
import type { Flat } from '../../../../solid/outline';
import { dot, plus, times, type Vec } from '../../../../solid/vector';
import { taperedLeg } from '../../../legs/taper';
import { blockOf, type Draft, footOf, forJoint, type Part } from '../../../part';
import { endCut } from '../end-cuts';
import type { LegApron } from './decisions';

const UP: Vec = [0, 0, 1];
const tan = (degrees: number) => Math.tan((degrees * Math.PI) / 180);

export interface SplayGiven {
  form: LegApron;
  /** Over the legs' outsides right under the top. */
  base: { length: number; width: number };
  section: number;
  /** Floor to the top's underside. */
  underside: number;
  apron: { height: number; thickness: number };
  taper: Part['taper'] | null;
  corner: InsertedCorner;
  /** Which way the tenons run. */
  angled: Joints['angled'];
  legs: readonly { id: string; name: string; sx: 1 | -1; sy: 1 | -1 }[];
  /** The aprons along the table and across it, each on its side. */
  long: readonly { id: string; name: string; side: 1 | -1 }[];
  short: readonly { id: string; name: string; side: 1 | -1 }[];
}

/** A leg as it leans: outward along the table and across it, with the planes of its two inside faces. */
interface Leaning {
  draft: Draft;
  sx: 1 | -1;
  sy: 1 | -1;
  /** The inside faces, their normals outward of the piece: an apron ends where one begins. */
  alongFace: Plane;
  acrossFace: Plane;
}

/**
 * Four legs that lean outward both ways between upright aprons: ends cut level with floor and top, the aprons' shoulders cut
 * to the legs' inside faces, which lie askew both ways. Angles follow from the planes themselves.
 */
export function splayedLegs(given: SplayGiven): { legs: Draft[]; aprons: Draft[]; joints: Joint[]; feet: Flat[] } {
  const leaning = given.legs.map((leg) => leaningLeg(given, leg));
  const { base, form, apron } = given;
  const inset = form.apron.reveal + apron.thickness / 2;
  const made = [
    ...given.long.map((own) => apronBetween(given, leaning, own, 'long', base.width / 2 - inset)),
    ...given.short.map((own) => apronBetween(given, leaning, own, 'short', base.length / 2 - inset)),
  ];
  return {
    legs: leaning.map(({ draft }) => draft),
    aprons: made.map(({ draft }) => draft),
    joints: made.flatMap(({ joints }) => joints),
    feet: leaning.flatMap(({ draft }) => footOf(draft)),
  };
}

function leaningLeg(given: SplayGiven, { id, name, sx, sy }: SplayGiven['legs'][number]): Leaning {
  const { section, underside, base, taper, form } = given;
  const upward: Vec = [-sx * tan(form.leg.splay.ends), -sy * tan(form.leg.splay.sides), 1];
  const drawn = leaningFrame([0, 0, underside], upward, [sx, 0, 0]);
  const outX = drawn.width;
  const turn = Math.sign(drawn.thickness[1]) * sy;
  const outY = times(drawn.thickness, turn);
  // Where the axis meets the underside, so that both outer faces pass through the base's corner there.
  const half = section / 2;
  const det = outX[0] * outY[1] - outX[1] * outY[0];
  const dx = (half * outY[1] - outX[1] * half) / det;
  const dy = (outX[0] * half - outY[0] * half) / det;
  const head: Vec = [(sx * base.length) / 2 - dx, (sy * base.width) / 2 - dy, underside];
  const atHead: Frame = { ...drawn, at: head };
  const level = [planeThrough([0, 0, 0], [0, 0, -1]), planeThrough([0, 0, underside], UP)];
  const cut = (frame: Frame, solid: ReturnType<typeof blockOf>) =>
    clipAll(
      solid,
      level.map((plane) => planeInPart(frame, plane)),
    );
  const { from, to } = reach(cut(atHead, blockOf(4 * underside, section, section)), [1, 0, 0]);
  const frame: Frame = { ...drawn, at: inPiece(atHead, [(from + to) / 2, 0, 0]) };
  const length = to - from;
  const body = (taper ? taperedLeg({ section, length }, taper, [-1, -turn]) : [blockOf(length, section, section)]).map(
    (solid) => cut(frame, solid),
  );
  const end = endCut(frame, UP);
  return {
    draft: {
      id,
      name,
      kind: 'leg',
      grade: 'all-faces',
      size: { length, width: section, thickness: section },
      frame,
      body,
      ends: { start: end, end },
      ...(taper ? { taper } : {}),
    },
    sx,
    sy,
    alongFace: planeThrough(plus(head, times(outX, -half)), outX),
    acrossFace: planeThrough(plus(head, times(outY, -half)), outY),
  };
}

function apronBetween(
  given: SplayGiven,
  legs: readonly Leaning[],
  { id, name, side }: SplayGiven['long'][number],
  which: 'long' | 'short',
  off: number,
): { draft: Draft; joints: Joint[] } {
  const { apron, underside, corner, base, angled } = given;
  const long = which === 'long';
  const z = underside - apron.height / 2;
  const frame = long
    ? squareFrame([0, side * off, z], { length: 'x', width: 'z', thickness: 'y' })
    : squareFrame([side * off, 0, z], { length: 'y', width: 'z', thickness: 'x' });
  const ends = legs
    .filter(({ sx, sy }) => (long ? sy : sx) === side)
    .map((leg) => ({ leg, way: long ? leg.sx : leg.sy, plane: long ? leg.alongFace : leg.acrossFace }));
  const body = clipAll(
    blockOf(4 * Math.max(base.length, base.width), apron.height, apron.thickness),
    ends.map(({ plane }) => planeInPart(frame, plane)),
  );
  const { from, to } = reach(body, [1, 0, 0]);
  const cuts = ends.map(({ plane }) => endCut(frame, plane.normal));
  const square: EndCutsOf = { mitre: 0, bevel: 0 };
  const drawn: Draft = {
    id,
    name,
    kind: 'apron',
    grade: 'one-face',
    size: { length: to - from, width: apron.height, thickness: apron.thickness },
    frame,
    body: [body],
    ends: { start: cuts[0] ?? square, end: cuts[1] ?? square },
  };
  const { tenon } = corner;
  const joints = ends.flatMap(({ leg, way, plane }) =>
    Array.from({ length: tenon.count }, (_, i) => {
      const height = underside - tenon.topSet - tenon.width / 2 - i * tenon.pitch;
      // On the leg's face, in the middle of the apron's thickness.
      const start: Vec = long ? [0, side * off, height] : [side * off, 0, height];
      const along: Vec = long ? [way, 0, 0] : [0, way, 0];
      const at = plus(start, times(along, (plane.offset - dot(plane.normal, start)) / dot(plane.normal, along)));
      const square = angled === 'square';
      return slantedTenon({
        id: `${leg.draft.id}/${id}${tenon.count > 1 ? `/${i + 1}` : ''}`,
        kind: corner.kind,
        into: forJoint(leg.draft),
        from: forJoint(drawn),
        at,
        // Square to the leg a mortise is chopped like any other, along the leg's grain; the tenon then leans in its apron.
        along: square ? plane.normal : along,
        wide: square ? leg.draft.frame.length : UP,
        face: times(plane.normal, -1),
        size: tenon,
        depth: tenon.length,
        back: tenon.intoApron,
      });
    }),
  );
  const tips = corner.kind === 'mortise-tenon' ? joints.flatMap((joint) => joint.added) : [];
  const xs = tips.flatMap(({ solid }) => solid.corners.map((p) => inPart(frame, p)[0]));
  const beyond = { start: Math.max(0, from - Math.min(from, ...xs)), end: Math.max(0, Math.max(to, ...xs) - to) };
  return {
    draft: { ...drawn, beyond, size: { ...drawn.size, length: to - from + beyond.start + beyond.end } },
    joints,
  };
}

type EndCutsOf = NonNullable<Draft['ends']>['start'];
