import type { Place } from '../climate/place';
import type { Shop } from '../decision/shop';
import type { JobDocument } from '../document/job-document';
import { type PieceInJob, partInJob, pieceInJob } from '../document/piece-in-job';
import { seatsAsked } from '../document/seats-asked';
import { GLUES, type Glue } from '../glueup/glue';
import type { LaidStrip } from '../glueup/lay-panel';
import { designedStrips } from '../glueup/likely-strips';
import { type GlueUp, planGlueUps } from '../glueup/plan-glue-ups';
import { type Demand, demandOf } from '../layout/demand';
import type { Layout } from '../layout/layout';
import { resawWork } from '../layout/resaw-work';
import { derivePiece } from '../piece/derive-piece';
import { type Part, woodOf } from '../piece/part';
import { findPart, type Piece } from '../piece/piece';
import { ownerOf } from '../piece/table/bases/leg-apron/making';
import type { Operation } from '../plan/operation';
import { planOperations } from '../plan/operations';
import { type PieceRestraint, restraintOfPiece } from '../season/restraint-of-piece';
import { deriveSeason, type StripOfLayout, stripsOfPanel } from '../season/season';
import type { Season } from '../season/season-state';
import type { Board } from '../stock/board';
import { blend } from '../wood/blend';
import { findSpecies, type Species } from '../wood/species';
import { panelOfTop, type WorkedPanel, workPanels } from './panels';
import { emptyMemory, remembered, rememberedOf } from './remember';

/** The air of the shop and of the home of a job. */
export interface Airs {
  shopAir: Place;
  homeAir: Place;
}

/** One instance of a piece as it is drawn, and what it wants cut from boards. Its parts have the names that they have in it. */
export interface DrawnPiece {
  /** Id of the piece, and which of those that are made alike, from 1. */
  pieceId: string;
  instance: number;
  /** How it is called beside the others of the job. */
  title: string;
  /** Before the letters of its parts in the job; nothing where it is the only one. */
  mark: string;
  document: PieceInJob;
  species: Species;
  piece: Piece;
  demand: Demand;
}

/** Every instance of every piece of a job; null where its species is not known. */
export function drawPieces(job: JobDocument, shop: Shop): (DrawnPiece | { unknownSpecies: string; path: string })[] {
  const instances = job.pieces.flatMap((own, place) =>
    Array.from({ length: own.count }, (_, i) => ({ own, place, instance: i + 1 })),
  );
  const alone = instances.length === 1;
  const { name, client, brief, season, layout, plan } = job;
  return instances.map(({ own, place, instance }) => {
    const woods = [own.wood, ...Object.values(own.woodOf)].map((id) => {
      const name = job.woods.find((wood) => wood.id === id)?.species ?? '';
      return { id, name, species: findSpecies(name, shop.species) };
    });
    const strange = woods.find((wood) => !wood.species);
    const species = woods[0]?.species;
    if (!species || strange)
      return { unknownSpecies: strange?.name ?? '', path: `woods.${strange?.id ?? own.wood}.species` };
    const mark = alone ? '' : own.count > 1 ? `${place + 1}.${instance}` : `${place + 1}`;
    return rememberedOf(
      alone,
      drawings,
      [own, instance, mark, job.woods, seatsAsked(job, own), shop, name, client, brief, season, layout, plan],
      (): DrawnPiece => {
        const document = pieceInJob(job, own, instance);
        const drawn = alone ? derivePiece(document) : pieceOf(document);
        const piece = withWoods(drawn, species, document, shop);
        return {
          pieceId: own.id,
          instance,
          title: own.count > 1 ? `${own.name} ${instance}` : own.name,
          mark,
          document,
          species,
          piece,
          demand: demandOf(piece, document, shop),
        };
      },
    );
  });
}

const PAINTED = { painted: true } as const;

/** The parts that are of another species than the piece say so, and those that are painted; what is bought in is of none. */
function withWoods(piece: Piece, species: Species, { speciesOf, plan }: PieceInJob, shop: Shop): Piece {
  if (Object.keys(speciesOf).length === 0 && plan.painted.length === 0 && !species.sheet) return piece;
  return {
    ...piece,
    parts: piece.parts.map((part) => {
      const known = (id: string | undefined) => (id === undefined ? undefined : findSpecies(id, shop.species));
      const chosen = known(speciesOf[part.id] ?? speciesOf[part.kind]);
      // A sheet that is bought to size is cut from the shop's own where it says of which.
      if (part.material === 'sheet' && chosen?.sheet) {
        const { material: _, weighs: __, ...made } = part;
        return { ...made, wood: chosen };
      }
      const wood = part.material ? undefined : (chosen ?? (species.sheet ? species : undefined));
      return striped(
        { ...part, ...(wood ? { wood } : {}), ...(plan.painted.some((own) => own === part.kind) ? PAINTED : {}) },
        (of) => known(speciesOf[`${part.id}/${of}`]) ?? wood ?? species,
        species,
      );
    }),
  };
}

/** A panel of strips of several woods moves, weighs and bends as the mean of them. */
function striped(part: Part, woodOfStrip: (of: 'stripes' | 'block') => Species, ofPiece: Species): Part {
  if (!part.strips) return part;
  const strips = part.strips.map((strip) => (strip.of ? { ...strip, wood: woodOfStrip(strip.of) } : strip));
  const own = woodOf(part, ofPiece);
  const wood = blend(strips.map((strip) => ({ species: strip.wood ?? own, amount: strip.width * strip.length })));
  // What is of the panel's own wood says so: the panel itself is of all.
  return { ...part, wood, strips: strips.map((strip) => ({ ...strip, wood: strip.wood ?? own })) };
}

const drawings = emptyMemory<DrawnPiece>();
const pieces = emptyMemory<Piece>();

/** Instances of which nothing is cut are one and the same. */
const pieceOf = ({ form, joints, bench }: PieceInJob): Piece =>
  remembered(pieces, [form, joints, bench], () => derivePiece({ form, joints, bench }));

const works = emptyMemory<WorkedPiece>();

/** Whether a piece is the only one of its job. */
export const isAlone = ({ mark }: Pick<DrawnPiece, 'mark'>): boolean => mark === '';

/** The species of a part of a piece by its id; of a blank, that of its part. */
export const speciesOfPart = ({ piece, species }: Pick<DrawnPiece, 'piece' | 'species'>, id: string): Species => {
  const part = findPart(piece, ownerOf(id));
  return part ? woodOf(part, species) : species;
};

/** Names in the job of the parts that are cut. */
export const cutParts = ({ piece, document }: DrawnPiece): string[] =>
  piece.parts.filter((part) => part.cut).map((part) => partInJob(document, part.id));

/** One instance of a piece with everything that follows from how it lies on the boards. */
export interface WorkedPiece extends DrawnPiece {
  /** What of the layout is its own; null where there is none. */
  layout: Layout | null;
  /** The layout is current and nothing of the piece is missing; until then it is a proposal, and nothing takes its widths. */
  layoutComplete: boolean;
  season: Season;
  /** What ties the parts together, what fights, and how far every sliding tie must go. */
  restraint: PieceRestraint;
  glueUps: readonly GlueUp[];
  glue: Glue;
  /** Those whose strips are found; that of the top first, where it has one. */
  panels: readonly WorkedPanel[];
  /** Of this instance by itself. */
  operations: readonly Operation[];
}

/** Season, glue-ups and operations of a piece, from its share of a layout. */
export const workPiece = (drawn: DrawnPiece, given: WorkGround): WorkedPiece =>
  rememberedOf(
    isAlone(drawn),
    works,
    [drawn, given.shop, given.rack, given.layout, given.layoutComplete, given.shopAir, given.homeAir],
    () => worked(drawn, given),
  );

interface WorkGround extends Airs {
  shop: Shop;
  /** The whole rack. */
  rack: readonly Board[];
  layout: Layout | null;
  layoutComplete: boolean;
}

/** The glue-ups of a piece: of its panels as their strips are found, and of those whose strips are designed. */
function glueUpsOf(drawn: DrawnPiece, shop: Shop, panels: readonly WorkedPanel[]): GlueUp[] {
  const { document, piece } = drawn;
  const found = panels.map(({ demand: { id, name, rough, finished }, strips }) => ({
    ...{ id, name, length: rough.length, thickness: finished.thickness },
    strips,
  }));
  const designed = piece.parts
    .filter((part) => part.strips)
    .map((part) => ({ id: part.id, name: part.name, ...part.size, strips: designedStrips(part) }));
  return [...found, ...designed].map(({ id, name, length, thickness, strips }, i) =>
    planGlueUps({
      ...{ panel: id, strips, length, thickness, shop },
      ...(i === 0 ? {} : { beside: name.toLowerCase() }),
      staging: document.glueUp.staging,
      glue: GLUES[document.glueUp.glue],
      species: speciesOfPart(drawn, id),
    }),
  );
}

/** Strips of a layout as the season sees them. */
const seasonStrips = (laid: readonly LaidStrip[]): StripOfLayout[] =>
  laid.map(({ board, placement, width, rings, heartUp }) => ({
    width,
    rings,
    heartUp,
    bestHeartUp: placement.turned ?? false,
    thickness: board.thickness,
    moisture: board.moisture,
    moistureOn: board.moistureOn,
  }));

function worked(drawn: DrawnPiece, given: WorkGround): WorkedPiece {
  const { document, piece, species, demand } = drawn;
  const { shop, rack, layout, layoutComplete, shopAir, homeAir } = given;
  const found = workPanels(drawn, { layout: layoutComplete ? layout : null, boards: rack, tools: shop.tools });
  const season = deriveSeason({
    document,
    piece,
    species,
    shopAir,
    homeAir,
    strips: seasonStrips(panelOfTop({ piece, panels: found })?.laid ?? []),
  });
  const panels = found.map(
    (own): WorkedPanel => ({
      ...own,
      inSeason:
        own.demand.id === piece.leading
          ? season.strips
          : stripsOfPanel(
              seasonStrips(own.laid),
              { ...season.reference, width: own.demand.finished.width },
              document,
              speciesOfPart(drawn, own.demand.id),
              shopAir,
            ),
    }),
  );
  const glue = GLUES[document.glueUp.glue];
  const glueUps = glueUpsOf(drawn, shop, panels);
  const operations = planOperations({
    document,
    piece,
    glueUps,
    glue,
    aligners: panels.flatMap(({ edges }) => edges?.joints ?? []).reduce((sum, { places }) => sum + places.length, 0),
    boards:
      layout && layoutComplete
        ? layout.boards.length
        : Math.ceil(demand.parts.length / 3) + (panelOfTop({ piece, panels })?.strips.length ?? 0),
    resaw: resawWork(
      demand,
      layoutComplete ? layout : null,
      panels.map(({ strips }) => strips.length),
      shop,
      (part) => speciesOfPart(drawn, part),
    ),
  });
  return {
    ...drawn,
    layout,
    layoutComplete,
    season,
    restraint: restraintOfPiece(piece, season, document.form),
    glueUps,
    glue,
    panels,
    operations,
  };
}
