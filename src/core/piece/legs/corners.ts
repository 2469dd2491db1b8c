import type { Joints } from '../../decision/joints';
import { UNDER_DOWEL } from '../../joint/corner-dowels';
import type { CornerPlate } from '../../joint/corner-plate';
import type { CornerScrews } from '../../joint/corner-screws';
import { bored, type Cut, type Grown, type Joint } from '../../joint/joint';
import type { CornerJoint, InsertedCorner } from '../../joint/leg-corner';
import { legPeg, pegs } from '../../joint/pegs';
import { mitre, tenonJoint } from '../../joint/tenon';
import { fixed, glued } from '../../restraint/tie';
import { box, type Convex, clipAll, mapped, planeThrough, prism, rod } from '../../solid/convex';
import type { Flat } from '../../solid/outline';
import type { Vec } from '../../solid/vector';
import { type Draft, forJoint } from '../part';

/** An apron's end at its leg, with directions told from the corner: `a` the way the apron runs into the leg, `b` outward across it. */
interface Place {
  leg: Draft;
  apron: Draft;
  long: boolean;
  /** Of the leg's inside face that the apron butts on, and of the apron's middle across. */
  face: number;
  middle: number;
  /** +1 or −1: the way in, and outward. */
  way: 1 | -1;
  side: 1 | -1;
  /** The apron's upper edge. */
  upper: number;
  /** A point so far into the leg, so far outward from the apron's middle, at a height. */
  at: (into: number, outward: number, z: number) => Vec;
  /** A direction from the same two. */
  toward: (into: number, outward: number) => Vec;
  between: { id: string; name: string; a: string; b: string };
}

function placesOf(legs: readonly Draft[], aprons: readonly Draft[]): Place[] {
  return aprons.flatMap((apron) => {
    const long = apron.frame.length[0] === 1;
    const [along, beside] = long ? ([0, 1] as const) : ([1, 0] as const);
    return legs
      .filter((leg) => Math.sign(leg.frame.at[beside]) === Math.sign(apron.frame.at[beside]))
      .map((leg): Place => {
        const way = Math.sign(leg.frame.at[along]) as 1 | -1;
        const side = Math.sign(apron.frame.at[beside]) as 1 | -1;
        const face = leg.frame.at[along] - (way * leg.size.width) / 2;
        const middle = apron.frame.at[beside];
        const turned = (a: number, b: number, z: number): Vec => (long ? [a, b, z] : [b, a, z]);
        return {
          leg,
          apron,
          long,
          face,
          middle,
          way,
          side,
          upper: apron.frame.at[2] + apron.size.width / 2,
          at: (into, outward, z) => turned(face + way * into, middle + side * outward, z),
          // Nought has no sign here: what is derived survives being written as JSON.
          toward: (into, outward) => turned(way * into + 0, side * outward + 0, 0),
          between: {
            id: `${leg.id}/${apron.id}`,
            name: `${apron.name} in ${leg.name.toLowerCase()}`,
            a: leg.id,
            b: apron.id,
          },
        };
      });
  });
}

/** Every apron's end in its leg. */
export function legCorners(
  legs: readonly Draft[],
  aprons: readonly Draft[],
  corner: CornerJoint,
  choice: Joints,
): Joint[] {
  return placesOf(legs, aprons).flatMap((place) => cornerAt(place, corner, choice));
}

function cornerAt(place: Place, corner: CornerJoint, choice: Joints): Joint[] {
  switch (corner.kind) {
    case 'mortise-tenon':
    case 'loose-tenon':
      return tenons(place, corner, choice);
    case 'dowels':
      return [dowels(place, corner)];
    case 'pocket-screws':
      return [pocketScrews(place, corner)];
    case 'corner-plate':
      return [plate(place, corner)];
  }
}

/** Middles of what is let in, from the uppermost down. Staggered, the short aprons' stand lower than the long ones'. */
function heightsOf({ upper, long }: Pick<Place, 'upper' | 'long'>, { kind, tenon, meeting }: InsertedCorner): number[] {
  const lower = meeting !== 'staggered' || long ? 0 : kind === 'dowels' ? tenon.pitch / 2 : tenon.width;
  const count = kind === 'dowels' && lower > 0 ? tenon.count - 1 : tenon.count;
  return Array.from({ length: count }, (_, i) => upper - tenon.topSet - tenon.width / 2 - lower - i * tenon.pitch);
}

function tenons(place: Place, corner: InsertedCorner, choice: Joints): Joint[] {
  const { leg, apron, at, toward, upper } = place;
  const { tenon, meeting, haunch } = corner;
  const heights = heightsOf(place, corner);
  return heights.flatMap((z, i) => {
    const id = `${place.between.id}${heights.length > 1 ? `/${i + 1}` : ''}`;
    // Where two tenons meet, each is mitred from its long outer cheek back to its short inner one.
    const tip = at(tenon.length, tenon.thickness / 2, z);
    const joint = tenonJoint({
      id,
      kind: corner.kind,
      into: forJoint(leg),
      from: forJoint(apron),
      at: at(0, 0, z),
      along: toward(1, 0),
      wide: [0, 0, 1],
      size: tenon,
      back: tenon.intoApron,
      ...(meeting === 'mitred' ? { ends: [mitre(tip, toward(1, 0), toward(0, -1))] } : {}),
      ruled: 'leg-corner',
    });
    const own = haunch && i === 0 && z + tenon.width / 2 < upper - 1 ? haunchOf(place, corner, z) : null;
    const whole: Joint = own
      ? { ...joint, removed: [...joint.removed, own.removed], added: [...joint.added, own.added] }
      : joint;
    if (choice.pegs === 'none') return [whole];
    return [
      whole,
      pegs({
        id: `${id}/pegs`,
        holds: whole,
        into: forJoint(leg),
        from: forJoint(apron),
        at: at(0, 0, z),
        along: toward(1, 0),
        tenon,
        wall: leg.size.width / 2 - place.side * (place.middle - leg.frame.at[place.long ? 1 : 0]),
        inward: toward(0, -1),
        diameter: legPeg(leg.size.width),
        drawBored: choice.pegs === 'draw-bored',
      }),
    ];
  });
}

/** From the tenon's upper edge to the apron's; sloped, it runs out at the upper edge, so that nothing shows at the leg's end. */
function haunchOf(place: Place, { tenon, haunch }: InsertedCorner, z: number): { removed: Cut; added: Grown } {
  const { at, toward, leg, apron, upper } = place;
  const { depth, sloped } = haunch ?? { depth: 0, sloped: false };
  const low = z + tenon.width / 2;
  const solid = sidewise(place, -tenon.thickness / 2, tenon.thickness / 2, [
    [0, low],
    [depth, low],
    ...(sloped ? [] : [[depth, upper] as Flat]),
    [0, upper],
  ]);
  return {
    removed: {
      part: leg.id,
      what: 'haunch',
      solid,
      open: [toward(-1, 0), [0, 0, 1], ...(sloped ? [unitOf(at, depth, upper - low)] : [])],
    },
    added: { part: apron.id, solid },
  };
}

const unitOf = (at: Place['at'], rise: number, run: number): Vec => {
  const [o, p] = [at(0, 0, 0), at(run, 0, rise)];
  const long = Math.hypot(run, rise);
  return [(p[0] - o[0]) / long, (p[1] - o[1]) / long, rise / long];
};

/** A loop of (into, height), drawn through from one distance outward to another, whichever way round the corner lies. */
function sidewise(place: Place, from: number, to: number, loop: readonly Flat[]): Convex {
  const corners = loop.map(([into, z]): Flat => [into, z]);
  const solid = prism(corners, from, to);
  return mapped(solid, ([into, z, outward]) => place.at(into, outward, z), mirrored(place));
}

/** Whether (into, height, outward) is turned inside out by the way this corner lies. */
const mirrored = ({ long, way, side }: Place): boolean => {
  // (into, z, outward) has determinant −1 in (x, y, z) where both point along their axes and the apron is a long one.
  const sign = (long ? -1 : 1) * way * side;
  return sign < 0;
};

/** Dowels of one end. The row is glued as one: what holds the apron's height is the breadth over all of them. */
function dowels(place: Place, corner: InsertedCorner): Joint {
  const { leg, apron, at, toward, between } = place;
  const { tenon } = corner;
  const heights = heightsOf(place, corner);
  const spare = UNDER_DOWEL / 2;
  const holes = heights.flatMap((z): Cut[] => [
    {
      part: leg.id,
      what: 'dowel hole',
      ...bored(at(0, 0, z), at(tenon.length + spare, 0, z), tenon.thickness),
      open: [toward(-1, 0)],
    },
    {
      part: apron.id,
      what: 'dowel hole',
      ...bored(at(0, 0, z), at(-tenon.intoApron - spare, 0, z), tenon.thickness),
      open: [toward(1, 0)],
    },
  ]);
  const [first = 0, last = first] = [heights[0], heights.at(-1)];
  const [x, y, z] = at(tenon.length / 2, 0, (first + last) / 2);
  return {
    ...between,
    kind: 'dowels',
    into: leg.id,
    from: apron.id,
    along: toward(1, 0),
    removed: holes,
    added: heights.map((height) => ({
      part: apron.id,
      solid: rod(at(-tenon.intoApron, 0, height), at(tenon.length, 0, height), tenon.thickness),
      inside: true as const,
    })),
    ties: glued({ ...between, at: { x, y, z } }, { z: first - last + tenon.width }),
    ruled: 'leg-corner',
  };
}

/** Screws from pockets: each pocket comes in by the apron's inside face, its screw leaves by the middle of its end. */
function pocketScrews(place: Place, { screw }: CornerScrews): Joint {
  const { leg, apron, at, toward, between, upper } = place;
  const angle = (screw.angle * Math.PI) / 180;
  const [cosine, sine] = [Math.cos(angle), Math.sin(angle)];
  const half = apron.size.thickness / 2;
  /** A point so far along the screw from the apron's end, on into the leg; it leans outward as it goes in. */
  const along = (s: number, z: number) => at(s * cosine, s * sine, z);
  const inside = planeThrough(at(0, -half, 0), toward(0, -1));
  const butt = planeThrough(at(0, 0, 0), toward(1, 0));
  const out = half / sine + screw.pocket;
  const removed = screw.places.flatMap((down): Cut[] => {
    const z = upper - down;
    return [
      {
        part: apron.id,
        what: 'pocket',
        solid: rod(along(-out, z), along(-screw.seat, z), screw.pocket, { from: inside }),
        open: [toward(0, -1)],
      },
      {
        part: apron.id,
        what: 'screw hole',
        solid: rod(along(-screw.seat, z), along(0, z), screw.diameter, { to: butt }),
        open: [toward(1, 0), toward(0, -1)],
      },
      {
        part: leg.id,
        what: 'screw hole',
        solid: rod(along(0, z), along(screw.bite, z), screw.diameter * 0.75, { from: butt }),
        bore: { from: along(0, z), to: along(screw.bite, z), diameter: screw.diameter * 0.75 },
        open: [toward(-1, 0)],
      },
    ];
  });
  const [first = 0, last = first] = [screw.places[0], screw.places.at(-1)];
  const [x, y, z] = at(screw.bite / 2, 0, upper - (first + last) / 2);
  return {
    ...between,
    kind: 'pocket-screws',
    into: leg.id,
    from: apron.id,
    removed,
    added: [],
    ties: glued({ ...between, at: { x, y, z } }, { z: last - first + screw.diameter }),
  };
}

/** A plate's kerf in the apron; with the long apron also the flat on the leg's inner corner and its bolts. */
function plate(place: Place, { plate: metal, bolt }: CornerPlate): Joint {
  const { leg, apron, at, toward, between, upper, long } = place;
  const half = apron.size.thickness / 2;
  const [lower, high] = [upper - (apron.size.width + metal.height) / 2, upper - (apron.size.width - metal.height) / 2];
  const kerf = sidewise(place, -half, -half + metal.kerfDeep, [
    [-metal.kerfAt - metal.kerfWide, lower],
    [-metal.kerfAt, lower],
    [-metal.kerfAt, high],
    [-metal.kerfAt - metal.kerfWide, high],
  ]);
  const removed: Cut[] = [{ part: apron.id, what: 'kerf', solid: kerf, open: [toward(0, -1)] }];
  if (long) removed.push(...boltsOf(place, bolt));
  const [x, y, z] = at(0, 0, upper - apron.size.width / 2);
  return {
    ...between,
    kind: 'corner-plate',
    into: leg.id,
    from: apron.id,
    removed,
    added: [],
    // Drawn against the leg and free to shrink: held in its middle.
    ties: [fixed({ ...between, at: { x, y, z } })],
  };
}

function boltsOf(place: Place, bolt: CornerPlate['bolt']): Cut[] {
  const { leg, at, toward, upper, apron, middle, long, side } = place;
  // The leg's inner corner: on the face the apron butts on, and on the leg's other inside face.
  const across = side * (leg.frame.at[long ? 1 : 0] - middle) - leg.size.width / 2;
  const back = bolt.flat / Math.SQRT2;
  const inward = toward(Math.SQRT1_2, Math.SQRT1_2);
  const outward = toward(-Math.SQRT1_2, -Math.SQRT1_2);
  const low = upper - apron.size.width;
  const corner = at(0, across, 0);
  const [ox, oy] = [at(back, across, 0), at(0, across + back, 0)];
  const block = box(
    [Math.min(corner[0], ox[0], oy[0]), Math.min(corner[1], ox[1], oy[1]), low],
    [Math.max(corner[0], ox[0], oy[0]), Math.max(corner[1], ox[1], oy[1]), upper],
  );
  const flat = planeThrough(ox, inward);
  return [
    {
      part: leg.id,
      what: 'flat',
      solid: clipAll(block, [flat]),
      open: [toward(-1, 0), toward(0, -1), [0, 0, 1], inward, outward],
    },
    ...bolt.places.map((down): Cut => {
      const middleOfFlat = at(back / 2, across + back / 2, upper - down);
      const end = at(back / 2 + bolt.bite * Math.SQRT1_2, across + back / 2 + bolt.bite * Math.SQRT1_2, upper - down);
      return {
        part: leg.id,
        what: 'bolt hole',
        ...bored(middleOfFlat, end, bolt.diameter * 0.8),
        open: [toward(-1, 0), toward(0, -1)],
      };
    }),
  ];
}
