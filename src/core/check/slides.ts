import { crushingAcrossGrain } from '../joint/hold-strength';
import { count, mm, movement, newton, say } from '../measure/quantity';
import { woodOf } from '../piece/part';
import { findPart, partsOfKind, type TablePiece } from '../piece/piece';
import { keyOf } from '../piece/table/holds/slides';
import { travelOfHalf } from '../piece/table/tops/extending';
import { boundsOf, box } from '../solid/convex';
import { overlap } from '../solid/distance';
import { type Check, judge, type TableContext, type WayOut, WORKING_STRESS_SCHOOL } from './check';
import { ACROSS_GRAIN_RATIO, STRESS_FACTOR } from './stiffness';

/** Under a way in a rail so much of the rail must be left, mm; common practice. */
const LEAST_UNDER_WAY = 30;
/** The drawn-out end may give so far under the edge load, mm; common practice. */
const LEAST_GIVE = 8;
/** A stored leaf wants so much air round it, mm. */
const ROUND_LEAF = 10;

const extendingOf = ({ document }: TableContext) => (document.form.top.kind === 'extending' ? document.form.top : null);

const runnersOf = (piece: TablePiece) => partsOfKind(piece, 'slide').filter(({ id }) => id.startsWith('runner'));

/** How much of a runner stays between the end apron and its inner end when the table is drawn out, mm. */
function heldIn(piece: TablePiece): number {
  const apron = findPart(piece, 'apron-left');
  const runner = findPart(piece, 'runner-left-front');
  if (!apron || !runner) return 0;
  return runner.frame.at[0] + runner.size.length / 2 - (apron.frame.at[0] + apron.size.thickness / 2);
}

/** Runners in their guides, drawn out. */
export function runnersHeld(context: TableContext): Check[] {
  const top = extendingOf(context);
  const { piece } = context;
  if (!top || runnersOf(piece).length === 0) return [];
  const held = heldIn(piece);
  const shorter = Math.floor((top.leaves * top.leaf - 2 * (top.slides.overlap - held)) / top.leaves / 5) * 5;
  return [
    {
      id: 'slides.overlap',
      step: 'form',
      level: judge(held, top.slides.overlap, { sense: 'at-least' }),
      sentence: say`Drawn out, ${mm(held)} of each runner stay in its guide; ${mm(top.slides.overlap)} are asked.`,
      value: mm(held),
      limit: mm(top.slides.overlap),
      where: runnersOf(piece).map(({ id }) => id),
      why: 'What stays in the guide holds the drawn-out end up: the less of it, the harder it is levered.',
      school: 'common practice',
      figure: {
        id: 'slides-overlap',
        label: 'Of each runner, in its guide when drawn out',
        quantity: mm(held),
        formula: 'base inside − travel + what the runner reaches past the middle when closed',
        inputs: [
          { label: 'Each half goes out', quantity: mm(travelOfHalf(top)) },
          { label: 'Runner, long', quantity: mm(runnersOf(piece)[0]?.size.length ?? 0) },
        ],
        source: 'geometry',
      },
      wayOut:
        shorter >= 150
          ? { say: say`Make the leaves ${mm(shorter)}`, changes: [{ path: 'form.top.leaf', value: shorter }] }
          : { say: say`Take fewer leaves, or a longer base`, changes: [] },
    },
  ];
}

/** Everything the runners sweep over on their way, against all that stands still; and what their ways leave of the rails. */
export function slidesOnTheirWay(context: TableContext): Check[] {
  const top = extendingOf(context);
  const { piece } = context;
  const runners = runnersOf(piece);
  if (!top || runners.length === 0) return [];
  const travel = travelOfHalf(top);
  const passes = new Set(
    piece.joints.flatMap(({ kind, into, passes = [] }) =>
      kind === 'slide-way' ? passes.map((runner) => `${runner} ${into}`) : [],
    ),
  );
  const standing = piece.parts.filter((part) => part.kind !== 'slide' && !piece.top.parts.includes(part.id));
  let worst: { runner: string; part: string; deep: number } | null = null;
  for (const runner of runners) {
    const { from, to } = boundsOf(runner.placed);
    const out = runner.id.includes('-left-') ? -1 : 1;
    // From where it lies drawn out back to where it lies closed.
    const swept = box(
      [Math.min(from[0], from[0] - out * travel), from[1], from[2]],
      [Math.max(to[0], to[0] - out * travel), to[1], to[2]],
    );
    for (const part of standing) {
      if (passes.has(`${runner.id} ${part.id}`)) continue;
      for (const solid of part.placed) {
        const deep = overlap(swept, solid);
        if (deep > 1e-3 && (!worst || deep > worst.deep)) worst = { runner: runner.id, part: part.id, deep };
      }
    }
  }
  const name = (id: string) => findPart(piece, id)?.name.toLowerCase() ?? id;
  const ways = piece.joints.filter(({ kind }) => kind === 'slide-way');
  const left = ways.map(({ into }) => {
    const rail = findPart(piece, into);
    return { into, under: (rail?.size.width ?? 0) - top.slides.height };
  });
  const thinnest = left.reduce<(typeof left)[number] | null>((a, b) => (!a || b.under < a.under ? b : a), null);
  const rail = thinnest && findPart(piece, thinnest.into);
  const lower = thinnest ? Math.floor(top.slides.height - (LEAST_UNDER_WAY - thinnest.under)) : 0;
  return [
    {
      id: 'slides.travel',
      step: 'form',
      level: worst ? 'stop' : 'good',
      sentence: worst
        ? say`On its way ${name(worst.runner)} runs ${mm(worst.deep)} into ${name(worst.part)}.`
        : say`From closed to drawn out the runners meet nothing.`,
      value: mm(worst?.deep ?? 0),
      limit: mm(0),
      where: worst ? [worst.runner, worst.part] : [],
      why: 'A cross member where a slide has to run is found out when the top lies on it.',
      school: 'geometry, over the whole travel',
      wayOut:
        context.document.form.base.kind === 'leg-apron' && context.document.form.base.cornerBlocks
          ? {
              say: say`Leave the corner blocks away`,
              changes: [{ path: 'form.base.cornerBlocks', value: false }],
            }
          : { say: say`Set the slides elsewhere, or leave away what stands in their way`, changes: [] },
    },
    ...(thinnest && rail
      ? [
          {
            id: 'slides.ways',
            step: 'joints' as const,
            level: judge(thinnest.under, LEAST_UNDER_WAY / 2, { sense: 'at-least', watchFrom: LEAST_UNDER_WAY }),
            sentence: say`Under the ways for the slides ${mm(Math.max(0, thinnest.under))} are left of ${rail.name.toLowerCase()}.`,
            value: mm(thinnest.under),
            limit: mm(LEAST_UNDER_WAY),
            where: [...new Set(ways.map(({ into }) => into))],
            why: 'A rail cut through from above carries by what is under the cut, and that is all that holds the corner there.',
            school: 'common practice',
            wayOut:
              rail.kind === 'cross-rail'
                ? {
                    say: say`Leave the cross rails away: the guides carry the top`,
                    changes: [{ path: 'form.base.crossRails', value: 0 }],
                  }
                : lower >= 25
                  ? {
                      say: say`Make the slides ${mm(lower)} high`,
                      changes: [{ path: 'form.top.slides.height', value: lower }],
                    }
                  : { say: say`Make the aprons higher`, changes: [] },
          } satisfies Check,
        ]
      : []),
  ];
}

/**
 * A stiff bar held in an elastic bed over a length and pushed down beyond its edge: how far the point pushed gives, and how
 * deep the bar presses in at the edge, where it is deepest. Straight-line pressure under a rigid beam, as in any textbook
 * of foundations; also used for a pin in a hole.
 *
 * @param load N; `out` from the edge to the load and `held` in the bed, mm; `bed` N per mm of length and mm pressed in
 */
export function barInBed(load: number, out: number, held: number, bed: number): { give: number; deepest: number } {
  const share = out / held;
  const each = load / (bed * held);
  return { give: each * (4 + 12 * share + 12 * share ** 2), deepest: each * (4 + 6 * share) };
}

/**
 * The drawn-out end under somebody's weight. Three things add up: the slides bend, as a beam that overhangs the end apron
 * and is held down at the runner's inner end; the keys tilt by their play; and they press into the wood of their grooves,
 * the more the shorter they are held.
 */
export function drawnOutEnd(context: TableContext): Check[] {
  const top = extendingOf(context);
  const { piece, document } = context;
  const [runner] = runnersOf(piece);
  if (!top || !runner) return [];
  const species = woodOf(runner, context.species);
  const load = document.form.loads.edge;
  const [out, held] = [piece.span.beyond, Math.max(1, heldIn(piece))];
  const { height, thickness } = top.slides;
  const { width, thickness: thick } = piece.top.size;
  const second = (2 * thickness * height ** 3) / 12 + (Math.min(width, 600) * thick ** 3) / 12;
  const bends = (load * out ** 2 * (out + held)) / (3 * species.modulusOfElasticity * second);
  const key = keyOf(top.slides);
  // The key rests on the floor of its groove at the apron, and rises to its ceiling at its inner end.
  const tilts = (key.play * out) / held;
  const across = ACROSS_GRAIN_RATIO * species.modulusOfElasticity;
  // Key and groove are pressed together over the height of both.
  const bed = (2 * across * key.deep) / (2 * key.high);
  const pressed = barInBed(load, out, held, bed);
  const give = bends + tilts + pressed.give;
  const pressure = (pressed.deepest * across) / (2 * key.high);
  const crushed = crushingAcrossGrain(species.specificGravity, species.kind);
  const stress = (load * out * (height / 2)) / second;
  const working = species.modulusOfRupture / STRESS_FACTOR;
  const lifts = (load * out) / held / 2;
  const higher = Math.ceil(height * Math.cbrt(Math.max(1, give / LEAST_GIVE)) + 2);
  const longer = Math.ceil((top.slides.overlap * 1.25) / 5) * 5;
  const shorter = Math.floor((top.leaf * 0.9) / 5) * 5;
  const where = [...runnersOf(piece).map(({ id }) => id), ...piece.top.parts.filter((id) => id.startsWith('half'))];
  const megapascal = (amount: number) => ({ amount, unit: 'megapascal' as const });
  const ways: WayOut[] = [
    {
      say: say`Let ${mm(longer)} of each runner stay in its guide`,
      changes: [{ path: 'form.top.slides.overlap', value: longer }],
    },
    { say: say`Make the slides ${mm(higher)} high`, changes: [{ path: 'form.top.slides.height', value: higher }] },
    { say: say`Make the leaves ${mm(shorter)}`, changes: [{ path: 'form.top.leaf', value: shorter }] },
  ];
  // What gives most is mended first.
  const [first, ...others] = bends > tilts + pressed.give ? [ways[1], ways[0], ways[2]] : ways;
  const figure = {
    id: 'slides-give',
    label: 'Give of the drawn-out end',
    quantity: movement(give),
    formula:
      'P·a²·(a + o)/3EI, two runners and at most 600 mm of the half beside each other; + play·a/o; + P/ko·(4 + 12a/o + 12a²/o²) of the keys in their grooves',
    inputs: [
      { label: 'Beyond the end apron, drawn out, a', quantity: mm(out) },
      { label: 'In its guide o', quantity: mm(held) },
      { label: 'Edge load P', quantity: newton(load) },
      { label: 'E', quantity: megapascal(species.modulusOfElasticity) },
      { label: 'Bending', quantity: movement(bends) },
      { label: 'Play of the keys', quantity: movement(key.play) },
      { label: 'Tilting by it', quantity: movement(tilts) },
      { label: 'Keys pressed into their grooves', quantity: movement(pressed.give) },
      { label: 'Lifts each runner in its guide with', quantity: newton(lifts) },
    ],
    source: `beam with an overhang, handbook case; bar in an elastic bed, E across the grain ${ACROSS_GRAIN_RATIO} of E (Wood Handbook ch. 5, from memory)`,
    limits: 'Slides of wood in grooves as they are drawn here; bought-in ones by their maker’s figures.',
  };
  return [
    {
      id: 'slides.give',
      step: 'form',
      level: judge(give, LEAST_GIVE, { sense: 'at-most', watchFrom: 0.8 * LEAST_GIVE }),
      sentence: say`Drawn out, and somebody leaning on it, the end gives ${movement(give)}: ${movement(bends)} bending, ${movement(tilts)} by the play of the keys, ${movement(pressed.give)} pressed into the wood.`,
      value: movement(give),
      limit: movement(LEAST_GIVE),
      where,
      why: 'An end that dips under an elbow opens its joints to the leaf, and frightens who sits there.',
      school: 'common practice',
      figure,
      wayOut: first as WayOut,
      otherWaysOut: others.flatMap((own) => own ?? []),
    },
    {
      id: 'slides.crushing',
      step: 'form',
      level: judge(pressure, crushed, { sense: 'at-most', watchFrom: 0.8 * crushed }),
      sentence: say`At the end apron the keys press their grooves with ${megapascal(pressure)}; the wood is dented from ${megapascal(crushed)} on.`,
      value: megapascal(pressure),
      limit: megapascal(crushed),
      where,
      why: 'What is dented once has more play the next time, and the end hangs lower.',
      school: 'Proportional limit across the grain, Wood Handbook ch. 5, from memory',
      wayOut: ways[0] as WayOut,
      otherWaysOut: [ways[2] as WayOut],
    },
    {
      id: 'slides.strength',
      step: 'form',
      level: judge(stress, working, { sense: 'at-most', watchFrom: 0.8 * working }),
      sentence: say`The runners are stressed to ${megapascal(stress)} of ${megapascal(working)}.`,
      value: megapascal(stress),
      limit: megapascal(working),
      where,
      why: 'The working stress is the breaking stress over 4. A design load of your own choosing, not a proof.',
      school: WORKING_STRESS_SCHOOL,
      wayOut: ways[1] as WayOut,
      otherWaysOut: [ways[2] as WayOut],
    },
  ];
}

/** Leaves kept in the base, their length along the table. */
export function leavesStored(context: TableContext): Check[] {
  const top = extendingOf(context);
  const { piece, document } = context;
  const { base } = document.form;
  const guide = findPart(piece, 'guide-back');
  const apron = findPart(piece, 'apron-right');
  if (top?.stored !== 'inside' || !guide || !apron || base.kind !== 'leg-apron') return [];
  const inside = 2 * (apron.frame.at[0] - apron.size.thickness / 2);
  const rooms = [
    { what: 'long', room: inside / (base.crossRails + 1), want: piece.top.size.width + ROUND_LEAF },
    {
      what: 'wide',
      room: 2 * (guide.frame.at[1] - 1.5 * top.slides.thickness),
      want: top.leaf + ROUND_LEAF,
    },
    {
      what: 'high',
      room: apron.size.width - (base.crossRails > 0 ? top.slides.height : 0),
      want: top.leaves * (piece.top.size.thickness + 5),
    },
  ];
  const worst = rooms.reduce((a, b) => (b.room - b.want < a.room - a.want ? b : a));
  return [
    {
      id: 'slides.storage',
      step: 'form',
      level: judge(worst.room, worst.want, { sense: 'at-least' }),
      sentence:
        worst.room < worst.want
          ? say`Inside the base ${mm(worst.room)} are free where the leaves want to be ${mm(worst.want)} ${worst.what}.`
          : say`${count(top.leaves)} ${top.leaves === 1 ? 'leaf goes' : 'leaves go'} into the base, turned, with ${mm(worst.room - worst.want)} to spare.`,
      value: mm(worst.room),
      limit: mm(worst.want),
      where: piece.parts.filter(({ kind }) => kind === 'leaf').map(({ id }) => id),
      why: 'A leaf that does not go into its place stands in a cupboard and warps there.',
      school: 'Turned, its length along the table; common practice',
      wayOut: {
        say: say`Keep the leaves elsewhere, flat and in the same air`,
        changes: [{ path: 'form.top.stored', value: 'elsewhere' }],
      },
    },
  ];
}
