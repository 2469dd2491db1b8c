import { mm, movement, say } from '../measure/quantity';
import type { DesignedStrip, Part } from '../piece/part';
import { dimensionalChange } from '../wood/movement';
import type { Species } from '../wood/species';
import type { Check, Level, TableContext } from './check';

/** A step that a finger feels on a finished face, mm; common practice. */
const FELT = 0.1;
/** What two ends may stand off from each other at the corner of a block before the eye sees it, mm; common practice. */
const SEEN = 0.5;
/** Stiffness along the rings over that along the grain; Wood Handbook ch. 5 table 5–1, from memory: 0.04 to 0.08 for hardwoods. */
const ACROSS_OVER_ALONG = 0.05;
/** Tension across the grain that is asked of a glued seam for years, MPa: a third of some 5 (Wood Handbook ch. 5 table 5–3, from memory). */
const WORKING_ACROSS = 1.7;

const megapascal = (amount: number) => ({ amount, unit: 'megapascal' as const });

/** Two strips of different woods side by side, or end to end at a block, and what they want to do apart. */
interface Apart {
  words: string;
  /** Difference of their sizes where they meet, mm, and as a strain. */
  off: number;
  strain: number;
  woods: readonly [Species, Species];
}

/** Strips of several woods glued side by side: what they move apart, in mm and as stress in the seam. */
export function stripesApart(context: TableContext): Check[] {
  return context.piece.parts.flatMap((part) => {
    const { strips } = part;
    if (!strips || new Set(strips.map(({ wood }) => wood?.id)).size < 2) return [];
    const sides = worst(sidesOf(part, strips, context));
    const ends = worst(endsOf(strips, context));
    return [
      ...(sides ? [told(part, sides, FELT, 'stripes.step', context)] : []),
      ...(ends ? [told(part, ends, SEEN, 'stripes.block', context)] : []),
    ];
  });
}

const worst = (list: readonly Apart[]): Apart | undefined =>
  list.reduce<Apart | undefined>((most, own) => (most && most.off >= own.off ? most : own), undefined);

/** How much more one wood grows than another from the day of gluing to a day, as a strain, at a ring angle in degrees. */
function moreBy(context: TableContext, ringAngle: number, [a, b]: Apart['woods'], toMoisture: number): number {
  const fromMoisture = context.season.glued.moisture;
  const grown = (species: Species) => dimensionalChange({ dimension: 1, species, ringAngle, fromMoisture, toMoisture });
  return grown(a) - grown(b);
}

/** The driest and the wettest day, on which two woods are farthest apart. */
const extremes = ({ season }: TableContext): number[] => [season.wettest.moisture, season.driest.moisture];

const strainOf = (context: TableContext, ringAngle: number, woods: Apart['woods']): number =>
  Math.max(...extremes(context).map((moisture) => Math.abs(moreBy(context, ringAngle, woods, moisture))));

/** Strips of a block, and those that end at it, from the panel's inside outward. */
function blockOf(strips: readonly DesignedStrip[]) {
  const block = strips.filter(({ of }) => of === 'block');
  const [first] = block;
  const last = block.at(-1);
  if (!first?.wood || !last) return null;
  const [low, high] = [first.low, last.low + last.width];
  const row = strips.filter(({ of }) => of !== 'block');
  const met = row.filter((strip) => strip.low > low - 0.01 && strip.low < high - 0.01);
  const outerIsFirst = low < 0.01;
  const beside = row.find((strip) =>
    outerIsFirst ? Math.abs(strip.low - high) < 0.01 : Math.abs(strip.low + strip.width - low) < 0.01,
  );
  return { wood: first.wood, met: outerIsFirst ? [...met].reverse() : met, beside };
}

/** Through its thickness a strip moves as its rings lie there: a step between two of them that touch. */
function sidesOf(part: Part, strips: readonly DesignedStrip[], context: TableContext): Apart[] {
  const row = strips.filter(({ of }) => of !== 'block');
  const block = blockOf(strips);
  const touching = [
    ...row.slice(1).map((strip, i) => [row[i]?.wood, strip.wood]),
    ...(block ? [...block.met, ...(block.beside ? [block.beside] : [])].map(({ wood }) => [block.wood, wood]) : []),
  ];
  return touching.flatMap(([a, b]) => {
    if (!a || !b || a.id === b.id) return [];
    const woods = [a, b] as const;
    const strain = strainOf(context, 90 - context.season.ringAngle, woods);
    return [{ words: 'side by side', off: strain * part.size.thickness, strain, woods }];
  });
}

/** A block grows in its width as its wood does, the ends of the strips that meet it as theirs do: added up from the inside outward. */
function endsOf(strips: readonly DesignedStrip[], context: TableContext): Apart[] {
  const block = blockOf(strips);
  if (!block) return [];
  const { ringAngle } = context.season;
  const others = block.met.flatMap(({ wood, width }) => (wood ? [{ width, woods: [wood, block.wood] as const }] : []));
  const differ = others.filter(({ woods }) => woods[0].id !== woods[1].id);
  const [most] = differ
    .map(({ woods }) => ({ woods, strain: strainOf(context, ringAngle, woods) }))
    .sort((a, b) => b.strain - a.strain);
  if (!most) return [];
  const off = extremes(context).map((moisture) => {
    let sum = 0;
    return Math.max(
      ...others.map(({ width, woods }) => {
        sum += width * moreBy(context, ringAngle, woods, moisture);
        return Math.abs(sum);
      }),
    );
  });
  return [{ words: 'end to end at the block', off: Math.max(...off), ...most }];
}

function told(part: Part, apart: Apart, limit: number, id: string, { document }: TableContext): Check {
  const { words, off, strain, woods } = apart;
  const [a, b] = woods;
  // Glued together each takes half of the difference.
  const along = (a.modulusOfElasticity + b.modulusOfElasticity) / 2;
  const stress = (ACROSS_OVER_ALONG * along * strain) / 2;
  const level: Level = stress > WORKING_ACROSS ? 'stop' : off > limit ? 'watch' : 'good';
  const names = `${a.commonName} and ${b.commonName}`;
  return {
    id: document.form.top.kind === 'glued-panel' && part.id === 'top' ? id : `${id}-${part.id}`,
    step: 'season',
    level,
    sentence:
      level === 'stop'
        ? say`${names}, ${words}, pull at their seam with ${megapascal(stress)}; it holds some ${megapascal(WORKING_ACROSS)} for years.`
        : say`${names}, ${words}, come to differ by ${movement(off)} in the year; their seam takes ${megapascal(stress)} of ${megapascal(WORKING_ACROSS)}.`,
    value: level === 'stop' ? megapascal(stress) : mm(off),
    limit: level === 'stop' ? megapascal(WORKING_ACROSS) : mm(limit),
    where: [part.id],
    why: 'Two woods in one panel swell by different amounts: a step can be felt in the other season, and the seam is pulled.',
    school: 'Felt and seen: common practice; strength across the grain: Wood Handbook ch. 5',
    figure: {
      id,
      label:
        id === 'stripes.step'
          ? 'Step between strips of two woods, at most'
          : 'Block against the ends it meets, at most',
      quantity: movement(off),
      formula: '|strain of one − strain of the other| · what is across; stress = 0.05 · E · difference of strain ÷ 2',
      inputs: [
        { label: 'One', quantity: a.commonName },
        { label: 'The other', quantity: b.commonName },
        { label: 'Difference of strain, %', quantity: (strain * 100).toFixed(3) },
        { label: 'Stress in the seam', quantity: megapascal(stress) },
      ],
      source: 'Wood Handbook ch. 5 and 13; values from memory',
    },
    wayOut: {
      say: say`Take woods that move alike, or a finish on both faces that slows them`,
      changes: [],
    },
  };
}
