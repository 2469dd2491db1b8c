import type { Shop } from '../../decision/shop';
import type { PieceInJob } from '../../document/piece-in-job';
import type { Demand, PanelDemand } from '../../layout/demand';
import type { LayoutOptions } from '../../layout/layout';
import { stripBlank, widestBlank } from '../../layout/matched-pairs';
import type { Figure } from '../../measure/figure';
import { count, mm, movement, say } from '../../measure/quantity';
import type { Board } from '../../stock/board';
import { resawableThickness } from '../../stock/thickness';
import { type Check, judge } from '../check';

/** How thick a flat board must be for the pairs of a panel, with what it comes from. */
function pairBlankFigure(panel: PanelDemand, options: Pick<LayoutOptions, 'resaw'>): Figure {
  return {
    id: 'pair-blank',
    label: 'A board for pairs is, made flat, at least',
    quantity: movement(stripBlank(panel, options)),
    formula: '2 · (leaf + over-thickness) + kerf of the band',
    inputs: [
      { label: 'Leaf, finished', quantity: movement(panel.finished.thickness) },
      { label: 'Each resawn piece, over-thick', quantity: movement(options.resaw.allowance) },
      { label: 'Kerf of the band', quantity: movement(options.resaw.kerf) },
    ],
    source: 'geometry; over-thickness and kerf are the shop’s',
  };
}

/** Whether this shop can resaw the pairs that are asked for, out of what boards, and whether they come out even. */
export function pairChecks(
  demand: Demand,
  choice: PieceInJob['layout'],
  { tools, allowances }: Shop,
  boards: readonly Board[],
  options: Pick<LayoutOptions, 'resaw' | 'flattening' | 'skim'>,
): Check[] {
  const panel = demand.panels.find((own) => own.pairs);
  if (!panel) return [];
  const blank = stripBlank(panel, options);
  const strip = { length: panel.rough.length, width: widestBlank(panel, options) };
  const given = boards.map((board) => resawableThickness(board, options, strip));
  const thickest = Math.max(0, ...given);
  const without = { say: say`Take strips without pairs`, changes: [{ path: 'layout.pairs', value: 'none' }] };
  const high = panel.leastStrip + panel.jointing;
  const able = tools.resawHeight >= high - 1e-6;
  const checks: Check[] = [
    {
      id: 'layout.pairs-resawn',
      step: 'layout',
      level: able ? 'good' : 'stop',
      sentence:
        tools.resawHeight === 0
          ? say`Strips in pairs are resawn, at least ${mm(high)} high; this shop has no band saw.`
          : say`Strips in pairs are resawn, at least ${mm(high)} high; the band saw takes ${mm(tools.resawHeight)}.`,
      value: mm(high),
      limit: mm(tools.resawHeight),
      where: [panel.id],
      why: 'Two leaves match because they lay on one another in the board: they are parted through its thickness.',
      school: 'Matched pairs, common practice',
      ...(able
        ? {}
        : {
            wayOut: without,
          }),
    },
    {
      id: 'layout.pairs-thickness',
      step: 'layout',
      level: judge(thickest, blank, { sense: 'at-least' }),
      sentence: say`Pairs want boards that are ${movement(blank)} once they are flat; ${count(given.filter((thickness) => thickness >= blank - 1e-9).length)} are, the thickest ${movement(thickest)}.`,
      value: movement(thickest),
      limit: movement(blank),
      where: [panel.id],
      why: 'Both leaves, what they cup by and the kerf between them come out of one thickness.',
      school: 'Matched pairs, common practice',
      figure: pairBlankFigure(panel, options),
      ...(thickest >= blank - 1e-9 ? {} : { wayOut: without }),
    },
  ];
  const { equalStrips, mostStrips } = choice;
  const odd = equalStrips !== null ? equalStrips % 2 === 1 : mostStrips === 1;
  if (odd) {
    const asked = equalStrips ?? 1;
    checks.push({
      id: 'layout.pairs-even',
      step: 'layout',
      level: 'stop',
      sentence: say`${count(asked)} ${asked === 1 ? 'strip is' : 'strips are'} no pairs; ${count(asked + 1)} are laid out.`,
      value: count(asked),
      limit: count(asked + 1),
      where: [panel.id],
      why: 'Every leaf has its other half.',
      school: 'Matched pairs, common practice',
      wayOut: {
        say: say`Take ${count(asked + 1)}`,
        changes: [{ path: equalStrips !== null ? 'layout.equalStrips' : 'layout.mostStrips', value: asked + 1 }],
      },
    });
  }
  if (allowances.resaw < LEAST_ALLOWANCE)
    checks.push({
      id: 'layout.pairs-allowance',
      step: 'layout',
      level: 'watch',
      sentence: say`Each leaf is sawn only ${mm(allowances.resaw)} over-thick.`,
      value: mm(allowances.resaw),
      limit: mm(LEAST_ALLOWANCE),
      where: [panel.id],
      why: 'Leaves cup when they are parted; what is planed off to make them flat is planed off the match as well.',
      school: 'common practice',
      wayOut: { say: say`Give resawn pieces more in the shop’s allowances`, changes: [] },
    });
  return checks;
}

/** A leaf sawn with less to spare may not clean up, mm; common practice. */
const LEAST_ALLOWANCE = 2;
