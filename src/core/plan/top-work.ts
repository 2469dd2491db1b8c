import type { TopOf } from '../document/job-document';
import { partsOfKind, type TablePiece } from '../piece/piece';
import { channelLines, resinFor } from '../piece/table/tops/channel';
import type { Stripes } from '../piece/table/tops/stripes';
import type { Operation, WorkGiven } from './operation';
import { EDGE_WORK, edgeWork, OUTLINE_WORK } from './shaping';

/** What is worked on, and where an operation is put down; it gives back what the next one comes after. */
interface TopJob extends WorkGiven {
  area: number;
  /** Ids of the top's parts, and of those of them that are glued up. */
  all: readonly string[];
  panel: readonly string[];
  add: Add;
}

/** The work on the top, from milled boards to a top ready to be sanded. */
export function topWork(given: WorkGiven, milled: readonly string[]): { operations: Operation[]; last: string[] } {
  const { document, piece } = given;
  const { top: form } = document.form;
  const operations: Operation[] = [];
  const job: TopJob = {
    ...given,
    area: (piece.overall.length * piece.overall.width) / 1e6,
    all: piece.top.parts,
    panel: [...partsOfKind(piece, 'top'), ...partsOfKind(piece, 'leaf')].map((part) => part.id),
    add: (id, name, work, wait, after, caution, parts) => {
      operations.push({ id, name, group: 'Top', work, wait, after, caution, parts });
      return [id];
    },
  };
  if (form.kind === 'slatted') return { operations, last: slatWork(form, job, milled) };
  if (form.kind === 'channel') return { operations, last: channelWork(form, piece, milled, job.add) };
  let last = levelled(job, gluedUp(job, milled));
  switch (form.kind) {
    case 'halves':
      last = halvesWork(form, job, last);
      break;
    case 'pieced':
      last = piecedWork(form, job, last);
      break;
    case 'framed':
      last = framedWork(form, piece, last, milled, given.glue.levelAfter, job.add);
      break;
    case 'extending':
      last = leavesWork(form, job, last);
      break;
    case 'breadboard':
      last = breadboardWork(form, job, last);
      break;
    case 'glued-panel':
      last = outlineWork(form, job, last);
      break;
  }
  return { operations, last: cutOutWork(job, last) };
}

function slatWork(form: TopOf<'slatted'>, { all, add }: TopJob, milled: readonly string[]): string[] {
  const cut = add(
    'top-flat',
    'Plane the slats to one width and thickness, and cut them to length against a stop',
    0.15 * all.length,
    0,
    milled,
    'One setting for all of them; short pieces are not fed to the planer.',
    all,
  );
  return add(
    'slat-edges',
    form.edge.kind === 'square' ? 'Break the edges of the slats' : `${EDGE_WORK[form.edge.kind]}, on every slat`,
    0.1 * all.length,
    0,
    cut,
    'Before assembly: neither edges nor gaps are reached after it.',
    all,
  );
}

/** The strips of the panels, from the planer to glued panels; what comes next comes after all of them. */
function gluedUp(job: TopJob, fromMill: readonly string[]): string[] {
  const { document, glueUps, glue, aligners, panel, add } = job;
  let milled = [...fromMill];
  const { top: form } = document.form;
  const { level } = document.glueUp;
  if (aligners > 0) {
    milled = add(
      'edge-slots',
      `Joint the edges, mark across them and cut for ${aligners} ${level === 'dowels' ? 'dowels' : level === 'biscuits' ? 'biscuits' : 'loose tenons'}, all from the show face`,
      0.3 + 0.03 * aligners,
      0,
      milled,
      'The board is clamped down; both hands on the machine. None where the outline is cut later.',
      panel,
    );
  }
  if (form.kind === 'glued-panel' && form.stripes) milled = designedStripsWork(form.stripes, job, milled);
  const panelDone: string[] = [];
  const goes = glueUps.flatMap(({ stages }) => stages.map((stage, i) => ({ stage, stages, i })));
  for (const { stage, stages, i } of goes) {
    const id = `glue-${stage.id}`;
    const sections = stages.slice(0, i).map((s) => `glue-${s.id}`);
    const last = i === stages.length - 1 && stages.length > 1;
    add(
      id,
      `Joint, glue and clamp: ${stage.name.toLowerCase()}`,
      0.4 + stage.joints * 0.3,
      last || stages.length === 1 ? glue.levelAfter : glue.clampFor / 60,
      last ? sections : milled,
      `${level === 'cauls' ? 'Waxed cauls across both faces, closed before the clamps. ' : ''}Only until a thin even line is squeezed out; more bows the panel. ${glue.caution}`,
      panel,
    );
    if (last || stages.length === 1) panelDone.push(id);
  }
  return panelDone.length > 0 ? panelDone : milled;
}

/** Strips of one width in their order, and a block that takes the place of the ends of some. */
function designedStripsWork(
  { strips, block }: Stripes,
  { glue, panel, add }: TopJob,
  milled: readonly string[],
): string[] {
  let last = add(
    'strips-even',
    `Plane the edges of the ${strips} strips to one width with one setting, and lay them in their order`,
    0.2 + 0.05 * strips,
    0,
    milled,
    'On edge through the planer only in packs that stand by themselves; else by the saw and the jointer.',
    panel,
  );
  if (block) {
    last = add(
      'strips-block',
      `Glue the block, and the ${block.strips} strips that end at it, into a section each; true the ends that meet, slot them for loose tenons, and glue them end to end`,
      1.2,
      glue.levelAfter,
      last,
      'End grain alone does not hold: the tenons do. Both ends are cut with one setting of the saw, their outer edges in line.',
      panel,
    );
  }
  return last;
}

function levelled({ document, area, panel, add }: TopJob, after: readonly string[]): string[] {
  const { top: form } = document.form;
  return add(
    'top-flat',
    form.kind === 'glued-panel' && form.outline.kind !== 'rectangle'
      ? 'Level the top'
      : form.kind === 'extending'
        ? 'Level both panels and cut them to width'
        : 'Level the top and cut it to length and width',
    1 + area,
    0,
    after,
    'Not before the glue’s water has left: joints sink. Two people turn a heavy top.',
    panel,
  );
}

function halvesWork(form: TopOf<'halves'>, { all, add }: TopJob, last: readonly string[]): string[] {
  return add(
    'halves-bolts',
    'Joint the seam, bore for dowels and bolts, draw the halves together and level them as one',
    1 + 0.4 * form.bolts,
    0,
    last,
    'A stop on the bit: the pockets go through two thirds of the top. Two people turn even a half.',
    all,
  );
}

function piecedWork(form: TopOf<'pieced'>, { glue, all, add }: TopJob, last: readonly string[]): string[] {
  return add(
    'seams',
    form.stripe > 0
      ? 'True the ends of the fields, slot fields and stripes, and draw the seams up, glued in their middles'
      : 'True the ends of the fields, slot them, and draw the seams up',
    0.8 * form.seams * (form.stripe > 0 ? 2 : 1),
    glue.levelAfter,
    last,
    form.stripe > 0
      ? 'No glue outside the middle of a seam: the fields must come and go along the stripes.'
      : 'Size the end grain first. Cauls over the seam, so that the faces stay level.',
    all,
  );
}

function leavesWork(form: TopOf<'extending'>, { all, add }: TopJob, after: readonly string[]): string[] {
  let last = [...after];
  last = add(
    'leaves-cut',
    `Crosscut the halves from their panel and ${form.leaves === 1 ? 'the leaf' : `the ${form.leaves} leaves`} from the other, in the order they lie`,
    0.8,
    0,
    last,
    'Mark the show faces and the order before the first cut. A wide panel on a track-guided saw, its falling part held.',
    all,
  );
  last = add(
    'leaf-pins',
    'Bore all edges for the pins with one fence, glue the pins into one edge of each',
    0.4 * (form.leaves + 1),
    0,
    last,
    'Clamp two edges flush and bore both by the same marks; a stop on the bit.',
    all,
  );
  return last;
}

function breadboardWork(
  form: TopOf<'breadboard'>,
  { piece, glue, all, add }: TopJob,
  after: readonly string[],
): string[] {
  let last = [...after];
  last = add(
    'breadboard-joints',
    `${BREADBOARD_WORK[form.end.tongue]}${form.end.pegs === 'none' ? '' : '; bore the ends for the pegs'}`,
    2 + 0.3 * piece.joints.filter((joint) => joint.kind === 'breadboard').length * form.end.tenons,
    0,
    last,
    'The router is guided on both sides of the tongue; an end too short to hold by hand is clamped.',
    all,
  );
  last = add(
    'breadboard-ends',
    form.end.pegs === 'none'
      ? 'Glue each end in its middle only'
      : `Slot ${form.end.tongue === 'long' ? 'the tongue' : 'the tenons'} for the outer pegs, ${form.end.pegs === 'draw-bored' ? 'the middle hole nearer to the shoulder, ' : ''}glue each end in its middle only, and peg it`,
    1,
    glue.clampFor / 60,
    last,
    'No glue beyond the middle: an end that cannot slide splits the panel.',
    all,
  );
  last = add(
    'breadboard-trim',
    form.end.proud > 0
      ? 'Trim the ends, as much longer than the panel is wide as is wanted on that day, and level them with it'
      : 'Trim the ends flush with the panel and level them with it',
    0.5,
    0,
    last,
    'From the outer corner inward; the plane is not run over the end from the panel, it would tear its grain.',
    all,
  );
  if (form.end.shape.kind !== 'straight') {
    last = add(
      'breadboard-shape',
      form.end.shape.kind === 'curved' ? 'Saw and fair the ends to their template' : 'Cut the corners of the ends off',
      0.6,
      0,
      last,
      'From the middle toward both corners, with the grain; short grain at a corner is backed up.',
      all,
    );
  }
  return last;
}

/** The outline and the edges of a glued panel. */
function outlineWork(form: TopOf<'glued-panel'>, { area, panel, add }: TopJob, after: readonly string[]): string[] {
  const steps = [form.outline.kind === 'rectangle' ? null : OUTLINE_WORK, edgeWork(form.edge)];
  return steps.reduce<string[]>(
    (last, step) => (step ? add(step.id, step.name, step.hours(area), 0, last, step.caution, panel) : last),
    [...after],
  );
}

function cutOutWork({ piece, panel, add }: TopJob, after: readonly string[]): string[] {
  let last = [...after];
  const holes = piece.top.holes?.length ?? 0;
  if (holes > 0) {
    last = add(
      'top-cut-outs',
      holes > 1 ? `Cut the ${holes} cut-outs to a template` : 'Cut the cut-out to a template',
      0.4 * holes,
      0,
      last,
      'Bore the corners first; clamp the waste so that it does not fall on the cutter. Wiring is for a licensed electrician.',
      panel,
    );
  }
  return last;
}

/** A frame round a panel that is glued up, or bought as a sheet. */
function framedWork(
  form: TopOf<'framed'>,
  piece: TablePiece,
  panelDone: readonly string[],
  milled: readonly string[],
  hours: number,
  add: Add,
): string[] {
  const borders = partsOfKind(piece, 'border').map((part) => part.id);
  const cut = add(
    'frame-borders',
    'Groove the borders, cut their mitres and slot them for the splines',
    2,
    0,
    milled,
    'Grooves before mitres. Borders are clamped to the fence when they are mitred.',
    borders,
  );
  const panel = add(
    'frame-panel',
    form.panel === 'sheet'
      ? 'Cut the sheet to size and tongue it'
      : 'Tongue the panel, and finish its edges and tongues',
    form.panel === 'sheet' ? 0.8 : 1.2,
    0,
    panelDone,
    'Finish before assembly: what the panel bares when it shrinks cannot be reached after it.',
    ['panel'],
  );
  return add(
    'frame-glue',
    form.panel === 'floating'
      ? 'Glue the frame round the panel, the panel held in the middle of its ends only'
      : 'Glue the frame round the panel',
    1.2,
    hours,
    [...cut, ...panel],
    'Two corners first, then the panel, then the others. No glue in the grooves at the sides of a solid panel.',
    piece.top.parts,
  );
}

type Add = (
  id: string,
  name: string,
  work: number,
  wait: number,
  after: readonly string[],
  caution: string,
  parts: readonly string[],
) => string[];

/** Two slabs and what lies between them; glass itself is set when the table stands where it is to stand. */
function channelWork(form: TopOf<'channel'>, piece: TablePiece, milled: readonly string[], add: Add): string[] {
  const slabs = partsOfKind(piece, 'slab').map((part) => part.id);
  const area = (piece.overall.length * piece.overall.width) / 1e6;
  const flat = add(
    'slab-flat',
    'Flatten both slabs on a sled, rest them, and bring them to one thickness',
    2 + 1.5 * area,
    72,
    milled,
    'A slab moves again once its faces are off: leave it standing on edge for some days between two rounds. Two people lift it.',
    slabs,
  );
  const edges = add(
    'slab-edges',
    'Take bark and soft wood off the live edges, brush them, cut both slabs to length',
    1.5,
    0,
    flat,
    'A chisel away from the other hand; a wire brush throws, so eye protection.',
    slabs,
  );
  if (form.fill.kind === 'glass') {
    const template = add(
      'channel-template',
      'Lay the slabs at their distance, make the template from their edges, and order the glass by it less its room',
      1.5,
      0,
      edges,
      'Toughened or laminated, edges polished, by a glazier: it cannot be cut afterwards. Local code comes first.',
      slabs,
    );
    return add(
      'channel-recess',
      'Rout the recess for the glass along the template, in passes',
      1.2,
      0,
      template,
      'The router’s weight on the slab, not over the channel; small passes where the grain turns.',
      slabs,
    );
  }
  const { pours } = resinFor(form, piece.top.size, channelLines(form, piece.top.size));
  let last = add(
    'channel-mould',
    'Level the mould, clamp the slabs down in it, seal both live edges with a thin coat',
    2.5,
    12,
    edges,
    'Wood floats in resin: hold it down. Gloves, air, a mask for vapour; hardener and rags away from heat.',
    slabs,
  );
  for (let i = 1; i <= pours; i += 1) {
    last = add(
      `channel-pour-${i}`,
      pours === 1 ? 'Pour the resin' : `Pour ${i} of ${pours}`,
      1,
      i === pours ? 72 : 24,
      last,
      'Never deeper than its maker allows: it heats by itself. Leftovers harden in the open, not in the bin.',
      piece.top.parts,
    );
  }
  return add(
    'channel-level',
    'Out of the mould: level both faces and cut the ends clean',
    2 + area,
    0,
    last,
    'Dust of young resin is not to be breathed: extraction and mask. Sharp cutters, it melts before it burns.',
    piece.top.parts,
  );
}

const BREADBOARD_WORK: Record<TopOf<'breadboard'>['end']['tongue'], string> = {
  long: 'Cut the tongue on both ends of the panel and groove the ends for it',
  tenons: 'Cut the tongue and its tenons on both ends of the panel; groove and mortise the ends',
  loose: 'Slot the panel’s ends and the breadboards for the loose tenons, wider toward the outside',
};
