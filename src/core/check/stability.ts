import { valueAt } from '../document/job-document';
import { count, kilogram, mm, newton, say } from '../measure/quantity';
import { topLoads } from '../piece/piece';
import { GRAVITY, partWeight, weightOf } from '../piece/weight';
import { middleOf } from '../solid/convex';
import { type Flat, hullOf } from '../solid/outline';
import { type Check, type CheckContext, judge, type TableContext, type WayOut } from './check';

/** Load constant for one person under ideal conditions, kg (NIOSH revised lifting equation; from memory). */
export const LIFT_CONSTANT = 23;

/** Weight of the piece, kg. */
export function pieceWeight({ piece, species, season }: Pick<CheckContext, 'piece' | 'species' | 'season'>): number {
  return weightOf(piece.parts, species, season.glued.moisture);
}

/** Middle of mass of the whole piece seen from above, mm. */
function middleOfMass({ piece, species, season }: TableContext): Flat {
  let [total, x, y] = [0, 0, 0];
  for (const part of piece.parts) {
    const mass = partWeight(part, species, season.glued.moisture);
    const middle = middleOf(part.placed);
    total += mass;
    x += mass * middle[0];
    y += mass * middle[1];
  }
  return total > 0 ? [x / total, y / total] : [0, 0];
}

interface Edge {
  /** Length of the foot line's distance from the middle of mass, and how far the top stands beyond the line. mm */
  base: number;
  overhang: number;
  /** Outward from the line, a unit vector. */
  outward: Flat;
}

/** Every line that the piece can tip about: the sides of the smallest loop round its feet. */
function tippingEdges(context: TableContext): Edge[] {
  const { piece } = context;
  const loop = hullOf(piece.feet);
  const mass = middleOfMass(context);
  return loop.map((a, i): Edge => {
    const b = loop[(i + 1) % loop.length] ?? a;
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    // The loop runs anticlockwise: outward is to the right of its way.
    const outward: Flat = [(b[1] - a[1]) / long, -(b[0] - a[0]) / long];
    const beyond = ([x, y]: Flat) => (x - a[0]) * outward[0] + (y - a[1]) * outward[1];
    return { base: -beyond(mass), overhang: Math.max(...piece.top.polygon.map(beyond)), outward };
  });
}

/** Moments about the lines of the feet: the load at the very edge of the top that lifts the other side. */
export function tipping(context: TableContext): Check[] {
  const { document, piece } = context;
  const weight = pieceWeight(context) * GRAVITY;
  const design = document.form.loads.edge;
  const edges = tippingEdges(context);
  const square = edges.length === 4 && edges.every(({ outward }) => Math.abs(outward[0] * outward[1]) < 1e-6);
  const cases = square
    ? [
        {
          id: 'end',
          name: 'end',
          path: 'form.top.endOverhang',
          total: piece.top.size.length,
          of: (e: Edge) => Math.abs(e.outward[0]) > 0.5,
        },
        {
          id: 'side',
          name: 'long side',
          path: 'form.top.sideOverhang',
          total: piece.top.size.width,
          of: (e: Edge) => Math.abs(e.outward[1]) > 0.5,
        },
      ]
    : [{ id: 'edge', name: 'side between two feet', path: null, total: 0, of: () => true }];
  return cases.map(({ id, name, path, total, of }) => {
    const worst = edges.filter(of).reduce((a, b) => (tipsAt(weight, b) < tipsAt(weight, a) ? b : a));
    const { base, overhang } = worst;
    if (overhang <= 0) {
      return {
        id: `stability.${id}`,
        step: 'form',
        level: 'good',
        sentence: say`A load on the ${name} stands over the feet: it cannot tip the table.`,
        value: newton(design),
        limit: newton(design),
        where: piece.top.parts,
        why: 'Nothing overhangs the line of the feet there.',
        school: 'Statics; the design load is common practice',
      } satisfies Check;
    }
    const tips = tipsAt(weight, worst);
    const level = judge(tips, design, { sense: 'at-least', watchFrom: design * 1.25 });
    // weight·(total − 2a)/2 = design·a, solved for the overhang a beyond the feet, with a tenth in hand.
    const safe = Math.floor((weight * total) / 2 / (design * 1.1 + weight));
    const ways = waysToStand(context, path, name, overhang - safe);
    return {
      id: `stability.${id}`,
      step: 'form',
      level,
      sentence: say`${newton(tips)} ${id === 'edge' ? 'at the edge between two feet' : `at the edge of the ${name}`} would tip the table; the design load is ${newton(design)}.`,
      value: newton(tips),
      limit: newton(design),
      where: piece.top.parts,
      why: 'Somebody sits or leans on the edge. A design load of your own choosing, not a compliance with any standard.',
      school: 'Statics; the design load is common practice',
      figure: {
        id: `tipping-${id}`,
        label: `Load that tips it over the ${name}`,
        quantity: newton(tips),
        formula: 'weight · distance of its middle ÷ overhang, about the line of the feet',
        inputs: [
          { label: 'Weight of the piece', quantity: kilogram(weight / GRAVITY) },
          { label: 'Middle of mass to the line of the feet', quantity: mm(base) },
          { label: 'Top beyond that line', quantity: mm(overhang) },
        ],
        source: 'Statics; load cases of the kind used in EN 1730, the design load editable',
        limits: 'A table standing level on hard floor, nothing on it.',
      },
      wayOut: ways[0] as WayOut,
      otherWaysOut: ways.slice(1),
    } satisfies Check;
  });
}

const tipsAt = (weight: number, { base, overhang }: Edge) =>
  overhang <= 0 ? Number.POSITIVE_INFINITY : (weight * Math.max(0, base)) / overhang;

/** How the feet can come under a load on the edge. @param over mm by which the top stands too far beyond them */
function waysToStand({ document }: TableContext, path: string | null, name: string, over: number): WayOut[] {
  const { base, top } = document.form;
  const smaller = { length: Math.floor(top.length * 0.9), width: Math.floor(top.width * 0.9) };
  const advice = {
    say: say`Set the feet farther out, make the top smaller, or what stands below heavier`,
    changes: [],
  };
  if (base.kind === 'splayed') {
    const wider = Math.ceil((base.reach * 1.15) / 5) * 5;
    return [
      { say: say`Set the legs ${mm(wider)} from the middle`, changes: [{ path: 'form.base.reach', value: wider }] },
      ...Array.from({ length: 6 - base.legs }, (_, i) => base.legs + 1 + i).map((legs) => ({
        say: say`Take ${count(legs)} legs`,
        changes: [{ path: 'form.base.legs', value: legs }],
      })),
      {
        say: say`Make the top ${mm(smaller.length)} × ${mm(smaller.width)}`,
        changes: [
          { path: 'form.top.length', value: smaller.length },
          { path: 'form.top.width', value: smaller.width },
        ],
      },
      advice,
    ];
  }
  const now = path === null ? undefined : valueAt(document, path);
  if (path === null || typeof now !== 'number') return [advice];
  const less = Math.max(0, Math.floor(now - over));
  return [{ say: say`Let the ${name} overhang ${mm(less)}`, changes: [{ path, value: less }] }, advice];
}

/** Whether one person can turn and carry it. */
export function lifting(context: TableContext): Check[] {
  const weight = pieceWeight(context);
  const { piece, species, season } = context;
  const loads = topLoads(piece).map((parts) => ({
    parts,
    weight: weightOf(parts, species, season.glued.moisture),
  }));
  const heaviest = loads.reduce((a, b) => (b.weight > a.weight ? b : a));
  const topWeight = heaviest.weight;
  const name = loads.length === 1 ? 'The top' : (heaviest.parts[0]?.name ?? 'The top');
  const limit = Math.min(context.shop.tools.lift, LIFT_CONSTANT);
  const level = topWeight > limit ? 'watch' : 'good';
  return [
    {
      id: 'stability.lifting',
      step: 'form',
      level,
      sentence: say`${name} weighs ${kilogram(topWeight)}, the whole table ${kilogram(weight)}; one person lifts ${kilogram(limit)}.`,
      value: kilogram(topWeight),
      limit: kilogram(limit),
      where: heaviest.parts.map(({ id }) => id),
      why: 'A top is turned over many times while it is made. Two people carry twice what one does, and no more.',
      school: 'The shop’s own figure, at most the load constant of the NIOSH lifting equation (from memory)',
      figure: {
        id: 'weight-top',
        label: `Weight of ${name.toLowerCase()}`,
        quantity: kilogram(topWeight),
        formula: 'volume · 1000 · G₁₂ · (1 + M/100)',
        inputs: [
          {
            label: 'Specific gravity at 12 %',
            quantity: { amount: context.season.species.specificGravity, unit: 'ratio' },
          },
          { label: 'Moisture', quantity: { amount: context.season.glued.moisture, unit: 'percent-moisture' } },
        ],
        source: 'Wood Handbook ch. 4; NIOSH revised lifting equation, 23 kg under ideal conditions',
      },
      ...(level === 'watch'
        ? {
            wayOut: {
              say: say`Plan ${Math.ceil(topWeight / limit).toFixed(0)} people for turning ${loads.length === 1 ? 'the top' : 'it'}`,
              changes: [],
            },
          }
        : {}),
    },
  ];
}
