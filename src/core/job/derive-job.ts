import type { Around, Check, CheckContext } from '../check/check';
import { inOrder } from '../check/in-order';
import { planChecks } from '../check/plan-checks';
import { roomChecks } from '../check/room';
import type { Place } from '../climate/place';
import { speciesOfDemand } from '../layout/demand';
import type { Layout } from '../layout/layout';
import type { Figure } from '../measure/figure';
import type { Problem } from '../measure/problem';
import type { Operation } from '../plan/operation';
import { type Schedule, schedule } from '../plan/schedule';
import { aboveOf, belowOf, leftOf, longOfRun } from '../room/cases-together';
import { type Standing, standingInRoom } from '../room/standing';
import type { Board } from '../stock/board';
import { speciesIn } from '../wood/blend';
import { batched } from './batches';
import { type BoardsOfPiece, checkPiece, checkWood, inJob } from './checks';
import { figuresOfLayout, figuresOfPiece, figuresOfPlan } from './figures';
import type { JobInputs } from './inputs';
import { layoutOfPiece } from './names-in-job';
import { type Airs, type DrawnPiece, drawPieces, isAlone, type WorkedPiece, workPiece } from './piece-stages';
import { emptyMemory, rememberedOf } from './remember';

import { layOutWood, type WoodOfJob } from './wood-stage';

/** One instance of a piece, with all that follows from its decisions and from where it lies on the boards. */
export interface DerivedPiece extends WorkedPiece {
  checks: readonly Check[];
  figures: readonly Figure[];
}

/** The boards of one species, with what is judged and computed of them. */
export interface DerivedWood extends WoodOfJob {
  checks: readonly Check[];
  figures: readonly Figure[];
}

export interface DerivedJob extends Airs {
  /** Every instance of every piece, in their order. */
  pieces: readonly DerivedPiece[];
  /** One a species, in the order in which the pieces come to them. */
  woods: readonly DerivedWood[];
  /** All of the job's, those of alike pieces done together. */
  operations: readonly Operation[];
  schedule: Schedule;
  /** Where every instance of every piece stands in the room, in their order. */
  standings: readonly Standing[];
  /** Of the room and of the calendar. */
  checks: readonly Check[];
  figures: readonly Figure[];
}

/**
 * The whole chain for one job: pieces as they are drawn → their boards, species by species → each piece's season, glue-ups
 * and operations → the calendar → checks and figures. No layout is searched here; a kept one is passed through with its
 * state. Pure, and quick enough for every keystroke.
 *
 * @returns the derived job, or the problems that leave nothing to derive from (an unknown species, no place)
 */
export function deriveJob(inputs: JobInputs): DerivedJob | { problems: Problem[] } {
  const { document, shop } = inputs;
  const air = airOf(inputs);
  const all = drawPieces(document, shop);
  const problems = [...('problems' in air ? air.problems : []), ...unknownSpecies(all)];
  if (problems.length > 0 || 'problems' in air) return { problems };
  const drawn = all.filter((own): own is DrawnPiece => 'piece' in own);

  const woods = layOutWoods(drawn, inputs);
  const woodsOf = ({ demand }: DrawnPiece): WoodOfJob[] =>
    speciesOfDemand(demand).flatMap((species) => woods.get(species) ?? []);
  const worked = drawn.map((own) => {
    const all = woodsOf(own);
    const layout = shareOf(own, all);
    const current = all.every(({ layoutState }) => layoutState === 'current');
    const layoutComplete = layout !== null && current && layout.shortfall.length === 0;
    return workPiece(own, { ...air, shop, rack: inputs.boards ?? NO_RACK, layout, layoutComplete });
  });

  const operations = batched(worked);
  const dates = schedule(operations, document.plan, document.plan.startOn);

  const standings = standingInRoom(worked, document.brief);
  const pieces = worked.map((own, i) =>
    judgePiece(own, woodsOf(own), inputs, {
      ...{ ...air, spot: (standings[i] as Standing).judged },
      ...{ below: belowOf(own, worked), above: aboveOf(own, worked) },
      ...{ left: leftOf(own, worked), run: longOfRun(own, worked) },
    }),
  );
  return {
    ...air,
    pieces,
    woods: [...woods.values()].map((wood, i) => ({
      ...wood,
      // Those of several species stand in one list.
      checks: checkWood(wood, shop).map((check) => (i === 0 ? check : { ...check, id: `${check.id}-${i + 1}` })),
      figures: wood.layout ? figuresOfLayout(wood.layout, shop.prices.currency) : [],
    })),
    operations,
    schedule: dates,
    standings,
    checks: inOrder([...roomChecks(document, standings), ...planChecks(document, dates)]),
    figures: figuresOfPlan(dates, document.plan.hoursPerDay),
  };
}

const shares = emptyMemory<Layout | null>();

/** What of the layouts of its species is a piece's own; null where there is none of any. */
const shareOf = (own: DrawnPiece, woods: readonly WoodOfJob[]): Layout | null => {
  const layouts = woods.map(({ layout }) => layout);
  return rememberedOf(isAlone(own), shares, [own.pieceId, own.instance, ...layouts, layouts.length], () =>
    joined(layouts.flatMap((layout) => (layout ? layoutOfPiece(own, layout) : []))),
  );
};

/** Shares of several species as one; cost, bound and fingerprint are those of the first. */
function joined([first, ...others]: readonly Layout[]): Layout | null {
  if (!first || others.length === 0) return first ?? null;
  const all = [first, ...others];
  return {
    ...first,
    placements: all.flatMap(({ placements }) => placements),
    strips: all.flatMap(({ strips }) => strips),
    shortfall: all.flatMap(({ shortfall }) => shortfall),
    boards: all.flatMap(({ boards }) => boards),
  };
}

function airOf({ document, places }: JobInputs): Airs | { problems: Problem[] } {
  const shopAir = places.find((p) => p.id === document.season.shopPlaceId) ?? places.find((p) => p.kind === 'shop');
  const homeAir: Place | undefined =
    places.find((p) => p.id === document.season.homePlaceId) ?? places.find((p) => p.kind === 'home') ?? shopAir;
  if (shopAir && homeAir) return { shopAir, homeAir };
  return {
    problems: [
      {
        problem: 'No place is known, so the air is not known.',
        where: 'season',
        wayOut: 'Add the shop and the home on the Shop page.',
      },
    ],
  };
}

function unknownSpecies(drawn: ReturnType<typeof drawPieces>): Problem[] {
  const strange = drawn.flatMap((own) => ('unknownSpecies' in own ? own : []));
  return [...new Map(strange.map((own) => [own.path, own])).values()].map(({ unknownSpecies: species, path }) => ({
    problem: `There is no species “${species}”.`,
    where: path,
    wayOut: 'Choose another species in the step Form.',
  }));
}

function layOutWoods(drawn: readonly DrawnPiece[], inputs: JobInputs): Map<string, WoodOfJob> {
  const { document, shop, boards, layouts } = inputs;
  const all = drawn.flatMap(({ species: own, piece }) => [
    own,
    ...piece.parts.flatMap(({ wood }) => (wood ? speciesIn(wood) : [])),
  ]);
  const asked = new Set(drawn.flatMap(({ demand }) => speciesOfDemand(demand)));
  const species = [...new Map(all.map((wood) => [wood.id, wood])).values()].filter(({ id }) => asked.has(id));
  return new Map(
    species.map((wood) => {
      const kept = layouts.find((own) => own.species === wood.id) ?? layouts.find((own) => own.species === '') ?? null;
      const own = drawn.filter(({ demand }) => speciesOfDemand(demand).includes(wood.id));
      return [wood.id, layOutWood({ drawn: own, species: wood, document, shop, rack: boards, kept })];
    }),
  );
}

const NO_RACK: readonly Board[] = [];
const judgements = emptyMemory<DerivedPiece>();

/** Checks and figures of a piece; they rest on its boards as far as it is judged beside them. */
const judgePiece = (
  own: WorkedPiece,
  woods: readonly WoodOfJob[],
  { shop, boards }: JobInputs,
  { shopAir, spot, ...around }: Airs & Around & Pick<CheckContext, 'spot'>,
): DerivedPiece => {
  const beside = woods.flatMap((wood) => [wood.boards, wood.layoutState]);
  const { plainOptions } = woods[0] as WoodOfJob;
  return rememberedOf(
    isAlone(own),
    judgements,
    [
      own,
      shop,
      shopAir,
      spot.x,
      spot.y,
      spot.turn,
      boards === null,
      plainOptions,
      ...beside,
      beside.length,
      ...aroundKeys(around),
    ],
    () => judged(own, woods, { shop, boards, shopAir, spot, ...around }),
  );
};

/** Problems are compared by their words, which are made anew each time. */
const aroundKeys = ({ below, above, left, run }: Around): unknown[] => [
  ...[below, left].map((other) => (other && 'problem' in other ? other.problem : other)),
  ...above,
  run,
];

function judged(
  own: WorkedPiece,
  woods: readonly BoardsOfPiece[],
  { shop, boards, ...around }: Pick<JobInputs, 'shop' | 'boards'> & Around & Pick<CheckContext, 'shopAir' | 'spot'>,
): DerivedPiece {
  const current = woods.every(({ layoutState }) => layoutState === 'current');
  const [only] = woods;
  const context: CheckContext = {
    document: own.document,
    piece: own.piece,
    season: own.season,
    restraint: own.restraint,
    species: own.species,
    ...around,
    woods: woods.map(({ species }) => species),
    shop,
    boards: boards && (woods.length === 1 && only ? only.boards : woods.flatMap((wood) => wood.boards)),
    used: own.layout && current ? own.layout.boards : null,
  };
  const checks = inOrder(checkPiece(own, woods, context));
  return {
    ...own,
    checks: checks.map((check) => inJob(own, check)),
    figures: figuresOfPiece({ context, glueUps: own.glueUps, glue: own.glue, panels: own.panels }),
  };
}
