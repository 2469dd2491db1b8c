import type { Shop } from '../../decision/shop';
import { blanksOf } from '../../layout/blanks';
import type { Layout } from '../../layout/layout';
import { kilogram, mm, say } from '../../measure/quantity';
import { type Board, boardVolume } from '../../stock/board';
import { density, type Species } from '../../wood/species';
import type { Check } from '../check';

/** Where boards are not read, kg is reckoned at this moisture, %. */
const MOISTURE = 10;

/**
 * What the layout asks of the saw, the jointer, the planer and the back, against what this shop has; each with the way
 * round it. Common practice.
 *
 * @param nameOf what a blank is called
 */
export function machineChecks(given: {
  layout: Layout;
  boards: readonly Board[];
  shop: Shop;
  species: Species;
  nameOf: (blank: Layout['placements'][number]) => string;
}): Check[] {
  const { layout, shop, species, nameOf } = given;
  const { tools } = shop;
  const used = given.boards.filter((board) => layout.boards.includes(board.id) && !board.takenFor);
  const blanks = blanksOf(layout.placements.filter((p) => used.some((board) => board.id === p.board)));
  const named = (list: typeof blanks) =>
    list
      .slice(0, 6)
      .map((blank) => blank.placements.map(nameOf).join('+'))
      .join(', ') + (list.length > 6 ? ' …' : '');
  const partsOf = (list: typeof blanks) => [...new Set(list.flatMap((blank) => blank.placements.map((p) => p.part)))];
  const boardsWith = (test: (board: Board) => boolean) => used.filter(test);
  const checks: Check[] = [];

  const wide = blanks.filter((blank) => blank.width > tools.jointerWidth + 1e-6);
  if (wide.length > 0) {
    const widest = Math.max(...wide.map((blank) => blank.width));
    checks.push({
      id: 'machines.jointer-width',
      step: 'layout',
      level: 'watch',
      sentence: say`${named(wide)} ${wide.length === 1 ? 'is' : 'are'} up to ${mm(widest)} wide; the jointer takes ${mm(tools.jointerWidth)}.`,
      value: mm(widest),
      limit: mm(tools.jointerWidth),
      where: partsOf(wide),
      why: 'A face wider than the jointer is not flat when half of it has been over the knives.',
      school: 'common practice',
      wayOut: {
        say:
          widest <= tools.planerWidth
            ? say`Flatten it on a shimmed sled through the planer, or let strips be at most ${mm(tools.jointerWidth)} wide`
            : say`Flatten it with hand planes and winding sticks, or let strips be at most ${mm(tools.jointerWidth)} wide`,
        changes: [],
      },
    });
  }

  const long = blanks.filter((blank) => blank.length > tools.jointerLength + 1e-6);
  if (long.length > 0) {
    const longest = Math.max(...long.map((blank) => blank.length));
    checks.push({
      id: 'machines.jointer-length',
      step: 'layout',
      level: 'watch',
      sentence: say`${long.length === 1 ? 'A blank is' : `${long.length} blanks are up to`} ${mm(longest)} long; the jointer makes ${mm(tools.jointerLength)} straight.`,
      value: mm(longest),
      limit: mm(tools.jointerLength),
      where: partsOf(long),
      why: 'An edge longer than its beds comes out as a curve: the joint opens in the middle or at the ends.',
      school: 'common practice',
      wayOut: {
        say: say`Straighten the edges with a track-guided cut or a long hand plane, and try each joint dry`,
        changes: [],
      },
    });
  }

  const short = blanks.filter((blank) => blank.length < tools.planerShortest - 1e-6);
  if (short.length > 0) {
    const shortest = Math.min(...short.map((blank) => blank.length));
    checks.push({
      id: 'machines.planer-short',
      step: 'layout',
      level: 'watch',
      sentence: say`${named(short)} ${short.length === 1 ? 'is' : 'are'} down to ${mm(shortest)} long; the planer holds from ${mm(tools.planerShortest)}.`,
      value: mm(shortest),
      limit: mm(tools.planerShortest),
      where: partsOf(short),
      why: 'A piece that leaves one roller before the other has it is thrown about under the knives.',
      school: 'common practice',
      wayOut: {
        say: say`Plane it in one length with its neighbour and cut it after, or plane it by hand`,
        changes: [],
      },
    });
  }

  const thick = boardsWith((board) => board.thickness > tools.sawDepth + 1e-6);
  if (thick.length > 0) {
    const thickest = Math.max(...thick.map((board) => board.thickness));
    checks.push({
      id: 'machines.saw-depth',
      step: 'layout',
      level: 'watch',
      sentence: say`${thick.map((board) => board.tag).join(', ')} ${thick.length === 1 ? 'is' : 'are'} ${mm(thickest)} thick; the saw cuts ${mm(tools.sawDepth)} deep.`,
      value: mm(thickest),
      limit: mm(tools.sawDepth),
      where: [],
      why: 'A cut that does not come through is broken out, or the board is forced over the blade.',
      school: 'common practice',
      wayOut: {
        say:
          thickest <= 2 * tools.sawDepth
            ? say`Saw it in two passes, one from each face, or on the band saw`
            : say`Saw it on the band saw or by hand, and joint the edge after`,
        changes: [],
      },
    });
  }

  const broad = boardsWith((board) => Math.max(board.width, board.farWidth ?? 0) > tools.crosscut + 1e-6);
  if (broad.length > 0) {
    const broadest = Math.max(...broad.map((board) => Math.max(board.width, board.farWidth ?? 0)));
    checks.push({
      id: 'machines.board-crosscut',
      step: 'layout',
      level: 'watch',
      sentence: say`${broad.map((board) => board.tag).join(', ')} ${broad.length === 1 ? 'is' : 'are up to'} ${mm(broadest)} wide; the saw crosscuts ${mm(tools.crosscut)}.`,
      value: mm(broadest),
      limit: mm(tools.crosscut),
      where: [],
      why: 'A rough board rocks on a saw table and pinches the blade; one wider than the sled is pushed free-hand.',
      school: 'common practice',
      wayOut: { say: say`Crosscut them with a track-guided or a hand saw, lying on trestles`, changes: [] },
    });
  }

  const heavy = used
    .map((board) => ({ board, kg: boardVolume(board) * density(species, board.moisture ?? MOISTURE) }))
    .filter(({ kg }) => kg > tools.lift);
  if (heavy.length > 0) {
    const heaviest = Math.max(...heavy.map(({ kg }) => kg));
    checks.push({
      id: 'machines.heavy-boards',
      step: 'layout',
      level: 'watch',
      sentence: say`${heavy.map(({ board }) => board.tag).join(', ')} ${heavy.length === 1 ? 'weighs' : 'weigh up to'} ${kilogram(heaviest)}; one person here lifts ${kilogram(tools.lift)}.`,
      value: kilogram(heaviest),
      limit: kilogram(tools.lift),
      where: [],
      why: 'Boards are lifted, turned and held against a fence many times.',
      school: 'common practice',
      wayOut: { say: say`Crosscut them where they lie, or have a second person`, changes: [] },
    });
  }
  return checks;
}
