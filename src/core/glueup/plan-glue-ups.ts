import type { Shop } from '../decision/shop';
import type { Staging } from '../document/job-document';
import type { Figure } from '../measure/figure';
import { count, minutes, mm, type Phrase, type Quantity, say } from '../measure/quantity';
import type { Species } from '../wood/species';
import type { Glue } from './glue';

export interface GlueStrip {
  label: string;
  /** mm after jointing. */
  width: number;
  /** As it is glued, mm; that of the panel where it is not said. */
  length?: number;
}

/** One gluing: of strips, or of sections made in earlier stages. */
export interface GlueStage {
  id: string;
  name: string;
  /** Labels of the strips or stages joined here. */
  members: readonly string[];
  /** mm of each member, in order. */
  widths: readonly number[];
  /** mm across all members. */
  width: number;
  length: number;
  thickness: number;
  joints: number;
  /** How many, how far they open, and how far apart; what they press with together, N, and on every joint, MPa, of what is asked. */
  clamps: { count: number; leastLength: number; spacing: number; force: number; pressure: number; asked: number };
  /** g */
  glue: number;
  /** Minutes of spreading and closing, against the glue's own. */
  minutes: number;
  closedBy: number;
  /** It is planed after this stage. */
  planes: boolean;
}

export interface GlueUp {
  panel: string;
  stages: readonly GlueStage[];
  figures: readonly Figure[];
  limits: readonly GlueLimit[];
}

/** A requirement of a stage that the shop or the glue does not meet. */
export interface GlueLimit {
  stage: string;
  kind: 'clamps' | 'time' | 'room' | 'pressure';
  sentence: Phrase;
  value: Quantity;
  limit: Quantity;
  wayOut: Phrase;
}

const megapascal = (amount: number): Quantity => ({ amount, unit: 'megapascal' });

/** Minutes to spread and close a metre of edge joint, one person; common practice. */
const MINUTES_PER_METRE = 0.8;
/** What a clamp's jaws need beyond the panel, for pads and opening, mm. */
const CLAMP_EXTRA = 60;
const PAD = 20;
/** Side by side clamps take so much of the edge, mm; common practice. */
const CLAMP_WIDE = 75;

/**
 * The gluing of a panel: by the shop's school either at once, in halves, or in stages no wider than the planer, which
 * are flattened by machine and joined last. Clamp pressure spreads at about 45° from each pad, so clamps stand at most
 * two outer strips' widths apart and alternate above and below (common practice).
 */
export function planGlueUps(given: {
  panel: string;
  strips: readonly GlueStrip[];
  length: number;
  thickness: number;
  staging: Staging;
  glue: Glue;
  shop: Shop;
  species: Species;
  /** What it is called beside another panel of the piece. */
  beside?: string;
}): GlueUp {
  const { panel, strips, shop } = given;
  const groups = stageGroups(strips, given.staging, shop.tools.planerWidth);
  const single = groups.length === 1;
  // A section of one strip needs no gluing: the strip itself waits for the last joint.
  let number = 0;
  const first = groups.map((members) => {
    const [strip, ...others] = members;
    if (!single && strip && others.length === 0) return strip;
    number += 1;
    return stage(
      given,
      single ? 'panel' : `section-${number}`,
      single ? 'The whole panel' : `Section ${number}`,
      members,
    );
  });
  const sections = first.map((s): GlueStrip => ('id' in s ? { label: s.name, width: s.width, length: s.length } : s));
  const glued = first.flatMap((s) => ('id' in s && s.joints > 0 ? [s] : []));
  const stages = single ? glued : [...glued, stage(given, 'panel', 'Sections into the panel', sections)];
  return { panel, stages, figures: stages.map((s) => glueFigure(s, given.glue)), limits: limits(stages, shop) };
}

function stageGroups(strips: readonly GlueStrip[], staging: Staging, planerWidth: number): GlueStrip[][] {
  const total = strips.reduce((sum, strip) => sum + strip.width, 0);
  const widest = { 'all-at-once': Number.POSITIVE_INFINITY, 'in-halves': total / 2, 'planer-width': planerWidth }[
    staging
  ];
  if (total <= widest) return [[...strips]];
  if (staging === 'in-halves') {
    let run = 0;
    let split = 0;
    let best = Number.POSITIVE_INFINITY;
    strips.forEach((strip, i) => {
      run += strip.width;
      if (i < strips.length - 1 && Math.abs(run - total / 2) < best) {
        best = Math.abs(run - total / 2);
        split = i + 1;
      }
    });
    return split > 0 ? [strips.slice(0, split), strips.slice(split)] : [[...strips]];
  }
  return evenSections(strips, widest);
}

/** As few sections as the planer allows, and these as even as can be: the least widest one that needs no more of them. */
function evenSections(strips: readonly GlueStrip[], widest: number): GlueStrip[][] {
  const fewest = sectionsUpTo(strips, widest).length;
  let [low, high] = [0, widest];
  while (high - low > 0.5) {
    const middle = (low + high) / 2;
    if (sectionsUpTo(strips, middle).length <= fewest) high = middle;
    else low = middle;
  }
  return sectionsUpTo(strips, high);
}

function sectionsUpTo(strips: readonly GlueStrip[], widest: number): GlueStrip[][] {
  const groups: GlueStrip[][] = [];
  let width = 0;
  for (const strip of strips) {
    const last = groups.at(-1);
    if (last && width + strip.width <= widest) {
      last.push(strip);
      width += strip.width;
    } else {
      groups.push([strip]);
      width = strip.width;
    }
  }
  return groups;
}

function stage(
  given: Parameters<typeof planGlueUps>[0],
  id: string,
  name: string,
  members: readonly GlueStrip[],
): GlueStage {
  const { thickness, glue, species, shop } = given;
  const length = Math.max(...members.map((member) => member.length ?? given.length));
  const width = members.reduce((sum, member) => sum + member.width, 0);
  const joints = Math.max(0, members.length - 1);
  const outer = Math.min(members[0]?.width ?? 0, members.at(-1)?.width ?? 0);
  const widestSpacing = Math.max(100, 2 * outer + PAD);
  const leastLength = width + CLAMP_EXTRA;
  const asked = glue.pressure[species.kind];
  const reaching = clampForces(shop, leastLength);
  // As many as spread the pressure, and as many more as the shop has where that is too little; they stand side by side.
  const least = Math.max(2, Math.ceil(length / widestSpacing) + 1);
  const most = Math.max(least, Math.min(reaching.length, Math.floor(length / CLAMP_WIDE)));
  const forceOf = (n: number) => reaching.slice(0, n).reduce((sum, force) => sum + force, 0);
  let count = least;
  while (count < most && forceOf(count) < asked * length * thickness) count += 1;
  const force = forceOf(count);
  return {
    id: given.beside ? `${given.panel}-${id}` : id,
    name: given.beside ? `${name}, ${given.beside}` : name,
    members: members.map((member) => member.label),
    widths: members.map((member) => member.width),
    width,
    length,
    thickness,
    joints,
    clamps: {
      count,
      leastLength,
      spacing: length / (count - 1),
      force,
      // Where the clamps could do more they are tightened less.
      pressure: Math.min(asked, force / (length * thickness)),
      asked,
    },
    glue: joints * length * thickness * 1e-6 * glue.spread,
    minutes: 1 + joints * (length / 1000) * MINUTES_PER_METRE + count * 0.25,
    closedBy: glue.closedBy,
    planes: width <= shop.tools.planerWidth,
  };
}

function glueFigure(s: GlueStage, glue: Glue): Figure {
  return {
    id: `glue-${s.id}`,
    label: `Glue for ${s.name.toLowerCase()}`,
    quantity: { amount: s.glue, unit: 'gram' },
    formula: 'joints · length · thickness · spread',
    inputs: [
      { label: 'Joints', quantity: { amount: s.joints, unit: 'count' } },
      { label: 'Length', quantity: { amount: s.length, unit: 'mm' } },
      { label: 'Thickness', quantity: { amount: s.thickness, unit: 'mm' } },
      { label: 'Spread, g/m²', quantity: `${glue.spread}` },
    ],
    source: 'Adhesive makers’ general guidance, single spread 150–250 g/m²; from memory',
  };
}

/** What each of the clamps that open so far presses with, the strongest first, N. */
const clampForces = (shop: Shop, leastLength: number): number[] =>
  shop.tools.clamps
    .filter((own) => own.length >= leastLength)
    .flatMap((own) => Array.from({ length: own.count }, () => own.force))
    .sort((a, b) => b - a);

/** Clamps long enough on the wall, counted against what the widest stage wants. */
export function clampsThatReach(shop: Shop, leastLength: number): number {
  return shop.tools.clamps.filter((c) => c.length >= leastLength).reduce((sum, c) => sum + c.count, 0);
}

function limits(stages: readonly GlueStage[], shop: Shop): GlueLimit[] {
  // The last stage waits for all the others; these could lie in their clamps together.
  const together = stages.slice(0, -1);
  const { drying } = shop.space;
  const room: GlueLimit[] =
    together.length > drying
      ? [
          {
            stage: 'sections',
            kind: 'room',
            sentence: say`${count(together.length)} sections could be in their clamps together; there is room for ${count(drying)}.`,
            value: count(together.length),
            limit: count(drying),
            wayOut: say`Glue them in turns, the next when the first come out of their clamps`,
          },
        ]
      : [];
  return [...room, ...limitsOfStages(stages, shop)];
}

function limitsOfStages(stages: readonly GlueStage[], shop: Shop): GlueLimit[] {
  return stages.flatMap((s) => {
    const found: GlueLimit[] = [];
    const have = clampsThatReach(shop, s.clamps.leastLength);
    if (have < s.clamps.count) {
      found.push({
        stage: s.id,
        kind: 'clamps',
        sentence: say`${s.name} wants ${count(s.clamps.count)} clamps that open ${mm(s.clamps.leastLength)}; the shop has ${count(have)}.`,
        value: count(have),
        limit: count(s.clamps.count),
        wayOut: say`Borrow clamps, set them wider behind stiff cauls, or glue in smaller sections`,
      });
    }
    const { pressure, asked } = s.clamps;
    if (have > 0 && pressure < asked - 1e-9) {
      found.push({
        stage: s.id,
        kind: 'pressure',
        sentence: say`${s.name}: ${count(Math.min(have, s.clamps.count))} clamps press its joints with ${megapascal(pressure)}; the glue’s maker asks for some ${megapascal(asked)}.`,
        value: megapascal(pressure),
        limit: megapascal(asked),
        wayOut: say`Set ${count(Math.ceil((s.clamps.count * asked) / pressure))} such clamps, stronger ones, or take a glue that asks for less; or plane the edges until they meet without a gap`,
      });
    }
    if (s.minutes > s.closedBy) {
      found.push({
        stage: s.id,
        kind: 'time',
        sentence: say`${s.name} takes some ${minutes(s.minutes)} to spread and close; this glue wants to be closed within ${minutes(s.closedBy)}.`,
        value: minutes(s.minutes),
        limit: minutes(s.closedBy),
        wayOut: say`Take a slower glue, a second pair of hands, or more and smaller stages`,
      });
    }
    return found;
  });
}
