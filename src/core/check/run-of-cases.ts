import { mm, movement, say } from '../measure/quantity';
import { SHELL } from '../piece/case/shell';
import { roomOf } from '../room/standing';
import { type CaseContext, type Check, judge, type Neighbour } from './check';
import { strainOf } from './stacked';

/** Bolts stand so far inside, front and back, mm; a bore two millimetres too wide gives so much each way. Common practice. */
const INSIDE = 50;
const GIVES = 1;
/** What the eye sees as a step between two fronts, mm; common practice. */
const STEP = 0.5;

/** A case that is bolted to the one at its left: whether fronts and tops run on, and what both move between the bolts. */
export function runOfCases(context: CaseContext): Check[] {
  const { left } = context;
  if (!left) return [];
  if ('problem' in left) return [nothingBeside(left.problem)];
  return [inLine(context, left), moves(context, left), inRoom(context)];
}

const nothingBeside = (problem: string): Check => ({
  id: 'run.beside',
  step: 'form',
  level: 'stop',
  sentence: say`${problem}`,
  value: mm(0),
  limit: mm(0),
  where: [],
  why: 'What it is bolted to says where it stands and how its front lies.',
  school: 'common practice',
  wayOut: {
    say: say`Choose another case of this job that stands on the floor, or let it stand by itself`,
    changes: [{ path: 'form.beside', value: null }],
  },
});

function inLine({ document: { form }, piece }: CaseContext, left: Neighbour): Check {
  const { height, width: depth } = left.piece.overall;
  const steps = [piece.overall.height - height, form.depth - depth];
  const worst = Math.max(...steps.map(Math.abs));
  return {
    id: 'run.line',
    step: 'form',
    level: worst > STEP ? 'watch' : 'good',
    sentence:
      worst > STEP
        ? say`Beside ${left.title} it stands ${mm(Math.abs(steps[0] ?? 0))} ${(steps[0] ?? 0) < 0 ? 'lower' : 'higher'} and is ${mm(Math.abs(steps[1] ?? 0))} ${(steps[1] ?? 0) < 0 ? 'less deep' : 'deeper'}.`
        : say`It is as high and as deep as ${left.title} beside it.`,
    value: mm(worst),
    limit: mm(STEP),
    where: [],
    why: 'Their fronts are in one plane; what differs is seen along the top, or at the back.',
    school: 'common practice',
    wayOut: {
      say: say`Make it as high and as deep`,
      changes: [
        { path: 'form.height', value: Math.round(height * 10) / 10 },
        { path: 'form.depth', value: Math.round(depth * 10) / 10 },
      ],
    },
  };
}

function moves({ document: { form }, piece, season }: CaseContext, left: Neighbour): Check {
  const span = Math.max(0, Math.min(form.depth, left.piece.overall.width) - 2 * INSIDE);
  const [own, other] = [strainOf(piece, [SHELL.left], season), strainOf(left.piece, [SHELL.right], left.season)];
  const need = Math.max(...(['driest', 'wettest'] as const).map((day) => Math.abs(own(day) - other(day)) * span));
  return {
    id: 'run.bolts',
    step: 'season',
    level: judge(need, GIVES, { sense: 'at-most' }) === 'good' ? 'good' : 'watch',
    sentence: say`Between its front and its back bolts it moves ${movement(need)} against ${left.title}; bores ${mm(2 * GIVES)} too wide give ${mm(GIVES)}.`,
    value: movement(need),
    limit: movement(GIVES),
    where: [],
    why: 'Sides of one wood move alike. A solid side beside a frame, or beside a sheet, does not.',
    school: 'common practice',
    figure: {
      id: 'run.bolts',
      label: 'Sides against one another between the bolts',
      quantity: movement(need),
      formula:
        '|growth of its own side − growth of the other| · from bolt to bolt, since delivery; the worse of the driest and the wettest day',
      inputs: [
        { label: 'From the front bolts to those behind', quantity: mm(span) },
        { label: 'Bores, too wide', quantity: mm(2 * GIVES) },
      ],
      source: 'the season of both pieces',
    },
    wayOut: { say: say`Bolt them in front alone, or make both sides of one wood`, changes: [] },
  };
}

/** All that are bolted to one another, along the longer wall. */
function inRoom({ document, run }: CaseContext): Check {
  const { length } = roomOf(document.brief);
  return {
    id: 'run.long',
    step: 'brief',
    level: run > length ? 'watch' : 'good',
    sentence: say`With what stands at its left it is ${mm(run)} long; the longer wall is ${mm(length)}.`,
    value: mm(run),
    limit: mm(length),
    where: [],
    why: 'A run is measured where it stands: walls are out of plumb, and sockets lie behind.',
    school: 'geometry',
    figure: {
      id: 'run.long',
      label: 'Length of the run',
      quantity: mm(run),
      formula: 'its width and those of all that is bolted to its left',
      inputs: [{ label: 'Longer wall', quantity: mm(length) }],
      source: 'geometry',
    },
    wayOut: { say: say`Make one of them narrower, or let the run turn the corner as a second one`, changes: [] },
  };
}
