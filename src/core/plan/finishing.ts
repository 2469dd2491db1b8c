import type { PieceInJob } from '../document/piece-in-job';
import { madeParts } from '../piece/material';
import type { Piece } from '../piece/piece';
import { type Operation, operationList } from './operation';

interface FinishWork {
  name: string;
  /** The last grit before it; common practice. */
  sandedTo: 150 | 180 | 220;
  /** Before every coat but the first. */
  between: string | null;
  coats: number;
  /** Hours. */
  dry: number;
  caution: string;
}

const FINISHES: Record<PieceInJob['plan']['finish'], FinishWork> = {
  'oil-wax': {
    name: 'oil and wax',
    sandedTo: 180,
    between: 'Rub down with fine wool',
    coats: 3,
    dry: 24,
    caution: 'Oily rags heat by themselves: hang them out flat or keep them under water. Fresh air.',
  },
  film: {
    name: 'varnish',
    sandedTo: 150,
    between: 'Rub down with 320',
    coats: 3,
    dry: 24,
    caution: 'Solvent vapour: fresh air, a mask for vapour, no flame. The same coats on both faces.',
  },
  shellac: {
    name: 'shellac',
    sandedTo: 220,
    between: 'Rub down with 400',
    coats: 3,
    dry: 8,
    caution: 'Alcohol vapour burns: fresh air, no flame. It softens under hot cups and spirits.',
  },
  lacquer: {
    name: 'lacquer',
    sandedTo: 180,
    between: 'Rub down with 320',
    coats: 3,
    dry: 4,
    caution: 'Solvent vapour burns and harms: a mask for vapour, strong airing, no flame or spark.',
  },
  epoxy: {
    name: 'epoxy sealer',
    sandedTo: 150,
    between: 'Rub down with 180',
    coats: 2,
    dry: 24,
    caution: 'Resin and hardener harm the skin: gloves, fresh air; never sand it before it is hard.',
  },
  wax: {
    name: 'paste wax',
    sandedTo: 220,
    between: null,
    coats: 1,
    dry: 8,
    caution: 'Rags with solvent heat by themselves: hang them out flat or keep them under water.',
  },
  none: { name: 'none', sandedTo: 180, between: null, coats: 0, dry: 0, caution: '' },
};

/** The finishes of a plan by their names, in the order they are offered. */
export const FINISH_NAMES = Object.entries(FINISHES).map(([value, { name }]) => ({
  value: value as PieceInJob['plan']['finish'],
  label: name.charAt(0).toUpperCase() + name.slice(1),
}));

/** Coats of paint over a primer, and hours that each dries (common practice; its maker’s word comes first). */
const PAINT_COATS = 2;
const PRIMER_DRY = 8;
const PAINT_DRY = 16;

const COATED: Record<PieceInJob['season']['coated'], string> = {
  both: ', both faces alike',
  show: ', the show face of the top only',
  neither: ', the base only',
};

/** Every grit takes out the scratches of the one before; the last one by the finish (common practice). */
const GRITS = { 150: '80, 120, 150', 180: '80, 120, 150, 180', 220: '80, 120, 180, 220' } as const;

/** Sanding, paint and coats, one after another; and what comes after them. */
export function finishing(
  given: {
    document: Pick<PieceInJob, 'plan' | 'season'>;
    piece: Piece;
    /** m² of what is seen. */
    area: number;
    /** What is sanded first, and what the show face is of. */
    sanded: { name: string; parts: readonly string[] };
  },
  fitted: readonly string[],
): { operations: Operation[]; before: string[] } {
  const { document, piece, area, sanded } = given;
  const all = madeParts(piece).map((part) => part.id);
  const { operations, add } = operationList();

  const finish = FINISHES[document.plan.finish];
  const grits = GRITS[finish.sandedTo];
  add(
    'sand-top',
    `Sand ${sanded.name} with ${grits}, and break its edges`,
    'Finish',
    0.8 + 0.8 * area,
    0,
    fitted,
    'Dust mask and extraction.',
    sanded.parts,
  );
  let before = ['sand-top'];
  const painted = piece.parts.filter((part) => part.painted);
  const paintedIds = painted.map(({ id }) => id);
  if (painted.length > 0) {
    const hours = 0.3 + 0.06 * painted.length;
    const where =
      'Masked where it is glued and where it meets what is not painted. Fresh air; a mask where it is sprayed.';
    const paint = (id: string, name: string, dry: number) => {
      add(id, name, 'Finish', hours, dry, before, where, paintedIds);
      before = [id];
    };
    paint('prime', 'Seal knots, prime what is painted, and rub it down', PRIMER_DRY);
    for (let coat = 1; coat <= PAINT_COATS; coat += 1)
      paint(
        `paint-${coat}`,
        `Paint, coat ${coat} of ${PAINT_COATS}${coat > 1 ? ', rubbed down before' : ''}`,
        PAINT_DRY,
      );
  }
  const clear = all.filter((id) => !paintedIds.includes(id));
  const { coated } = document.season;
  for (let coat = 1; coat <= finish.coats; coat += 1) {
    add(
      `coat-${coat}`,
      `${coat > 1 && finish.between ? `${finish.between}, then coat` : 'Coat'} ${coat} of ${finish.coats}, ${finish.name}${COATED[coated]}`,
      'Finish',
      0.5 + 0.35 * area,
      finish.dry,
      before,
      finish.caution,
      coated === 'neither' ? clear.filter((id) => !sanded.parts.includes(id)) : clear,
    );
    before = [`coat-${coat}`];
  }
  return { operations, before };
}
