import type { Glue } from '../glueup/glue';
import type { JointKind } from '../joint/joint';
import { madeParts } from '../piece/material';
import { partsOfKind, type TablePiece } from '../piece/piece';
import { baseKind, type TableForm } from '../piece/table/form';
import { HOLDS } from '../piece/table/holds/hold';
import { makingOf } from '../piece/table/making-of';
import type { Operation, WorkGiven } from './operation';

/** What is particular about a base in the shop. */
interface BaseWords {
  joints: string;
  marking: string;
  /** Cut or shaped after the joints, while the parts are still square to hold. */
  shaping: { id: string; name: string; hours: number; caution: string; parts: readonly string[] } | null;
  /** Dry: pegged, screwed, bolted or wedged, and nothing waits for glue. */
  first: { name: string; caution: string; parts: readonly string[]; dry?: boolean };
  second: { name: string; caution: string; dry?: boolean };
}

const degrees = (angle: number) => `${angle.toFixed(1)}°`;

const CORNER_WORK = {
  'mortise-tenon': 'Mortise the legs, then tenon the aprons; lay the legs out together',
  'loose-tenon': 'Cut mortises for the loose tenons; lay the legs out together',
  dowels: 'Bore legs and aprons for the dowels with one guide; lay the legs out together',
  'pocket-screws': 'Bore the pockets in the aprons; bore the legs for their screws',
  'corner-plate': 'Saw the kerfs for the plates; cut the flats on the legs and bore for the bolts',
} as const;

/** A new kind of base is one more line here. */
function wordsFor(form: TableForm, piece: TablePiece): BaseWords {
  const { base } = form;
  const ids = (...kinds: Parameters<typeof partsOfKind>[1][]) =>
    kinds.flatMap((kind) => partsOfKind(piece, kind).map((part) => part.id));
  switch (base.kind) {
    case 'leg-apron': {
      const corner = piece.corner?.kind ?? 'mortise-tenon';
      const dry = corner === 'pocket-screws' || corner === 'corner-plate';
      const closing = corner === 'pocket-screws' ? 'Screw' : corner === 'corner-plate' ? 'Bolt' : 'Glue';
      return {
        joints: CORNER_WORK[corner],
        marking:
          'Mark inside faces and letters on all four legs before the first cut. Chisel and cutter away from the other hand.',
        shaping:
          base.leg.taper.kind === 'tapered'
            ? {
                id: 'taper',
                name: `${base.leg.taper.hollow === 0 ? 'Taper the legs' : 'Saw the legs’ curves'} on ${base.leg.taper.faces === 'all' ? 'all four faces' : 'their two inside faces'}`,
                hours: base.leg.taper.hollow === 0 ? 1.2 : 2.4,
                caution:
                  base.leg.taper.hollow === 0
                    ? 'On a sled with hold-downs; the mortises are cut first, while the leg is square.'
                    : 'At the bandsaw along the template, one face, the offcut taped back on for the next; the mortises are cut first. Smooth with the grain, from the ends of the hollow to its middle.',
                parts: ids('leg'),
              }
            : null,
        first: {
          name: `${closing} the two ends: legs and short aprons`,
          caution: dry ? 'Clamped square while the screws go in.' : 'Two small glue-ups instead of one large one.',
          dry,
          parts: [...ids('leg'), 'apron-left', 'apron-right', ...ids('stretcher').filter((id) => id !== 'stretcher')],
        },
        second: {
          name: `${closing} the ends to the long aprons${base.crossRails > 0 ? ', the cross rails between them' : ''}`,
          caution: 'On a flat surface; measure both diagonals while it can still be moved.',
          dry,
        },
      };
    }
    case 'trestle': {
      const last = {
        wedged: 'Glue the stretcher through both posts and wedge it',
        tusk: 'Put the stretcher through both posts and drive the tusks',
        bolted: 'Bolt the stretcher between the posts',
      }[base.stretcher.joint];
      return {
        joints: 'Mortise feet, bearers and posts; tenon posts and stretcher; letter every joint',
        marking:
          'Back a board up where a mortise comes through. Saw kerfs for wedges end in a bored hole, so that they do not run on.',
        shaping: null,
        first: {
          name: 'Glue the two trestles: foot, post and bearer',
          caution: 'Check that post and foot stand square, and both trestles alike, before the glue sets.',
          parts: ids('foot', 'post', 'bearer', 'brace'),
        },
        second: {
          name: last,
          dry: base.stretcher.joint !== 'wedged',
          caution: 'Wedges and tusks across the grain of the post, or they split it. Not harder than snug.',
        },
      };
    }
    case 'post-brace':
      return {
        joints:
          'Mortise posts, feet and bearers, tenon posts, stringer and braces; cut the dovetails of the top rails last; letter every joint',
        marking:
          base.braces.way === 'diagonal'
            ? 'Braces meet the posts askew both ways: mark both shoulders of each from its template, and chop its mortise along a block cut to the same angles.'
            : 'Mark the braces’ shoulders with one bevel at 45°, and chop their mortises along a block at that angle.',
        shaping: null,
        first: {
          name: 'Peg the two frames together: foot, post, bearer and their braces',
          caution:
            'No glue. Braces go in while post and bearer still stand apart; pegs are driven with the joint backed up.',
          parts: ids('foot', 'post', 'bearer', ...(base.braces.way === 'across' ? (['brace'] as const) : [])),
          dry: true,
        },
        second: {
          name:
            base.stringer.hold === 'wedge'
              ? 'Put the stringer through, drive its wedges, and drop the top rails into their dovetails'
              : 'Put the stringer in and peg it, and drop the top rails into their dovetails',
          caution:
            base.braces.way === 'diagonal'
              ? 'The diagonal braces stand in the posts before the rails come down over them. Heavy parts: two people.'
              : 'Heavy parts: two people. Wedges snug, not hard.',
          dry: true,
        },
      };
    case 'x-frame': {
      const mitre = partsOfKind(piece, 'leg')[0]?.ends?.start.mitre ?? 0;
      return {
        joints: `Draw one frame full size; cut the legs’ ends at ${degrees(mitre)}, the half-laps half through, the tenons into the bearers`,
        marking:
          'Lay the legs on the drawing and mark the laps from one another, not by figures. The lap is cut to half the thickness of both.',
        shaping: null,
        first: {
          name: 'Glue the crossed legs and their bearers, one frame at a time',
          caution: 'A caul on each face of the crossing; check against the full-size drawing.',
          parts: ids('leg', 'bearer'),
        },
        second: {
          name: 'Glue the stretcher into both crossings',
          caution: 'Both frames upright and parallel on a flat floor.',
        },
      };
    }
    case 'box':
      return {
        joints: `Cut the mitres at ${degrees(45)}, then ${base.key === 'spline' ? 'groove them for the splines' : 'mark them for the dowels'}${base.rail ? '; mortise the sides for the rail' : ''}`,
        marking:
          'Mark which side follows which end of the top before the panel is cut: its grain runs round. A tilted blade traps what falls beside it.',
        shaping: null,
        first: {
          name: base.rail ? 'Glue the rail and both mitres' : 'Glue both mitres',
          caution: 'Size the end grain first. Blocks at 45° or bands all round; measure both diagonals.',
          parts: [...ids('top', 'side', 'stretcher')],
        },
        second: {
          name:
            base.key === 'spline'
              ? 'Level the splines and the corners'
              : 'Bore and glue the cross dowels, pare them flush',
          caution: 'From the outer face in: what breaks out must not be seen.',
          dry: base.key === 'spline',
        },
      };
    case 'steel':
      throw new Error('a base of steel has no joints');
    case 'splayed':
      return {
        joints: `Cut the legs’ ends parallel at ${degrees(base.lean)}, ${base.joint === 'mitre' ? 'their mitres and the arms’, with slots for the splines' : 'the bridles, the arms’ tongues'}, and two cuts of ${degrees(180 / base.legs)} to its own length on the inner end of every arm`,
        marking: 'Cut all inner ends with one setting and try the ring dry before any tongue is cut.',
        shaping: null,
        first: {
          name: 'Glue and screw the arms together over their plate',
          caution: 'Angles even: measure from tip to tip of the arms, all alike.',
          parts: ids('bearer'),
        },
        second: {
          name: base.joint === 'mitre' ? 'Glue each leg to its arm over the spline' : 'Glue each leg on its arm',
          caution:
            base.joint === 'mitre'
              ? 'Size the end grain first; blocks glued on both parts, so that the clamp presses square to the mitre.'
              : 'Cut a block at the lean, so that the clamp presses square.',
        },
      };
  }
}

/** The work on the base, from glued-up blanks to the glued base. */
export function baseWork(
  { document, piece, glue }: WorkGiven,
  rough: readonly string[],
  milled: readonly string[],
): { operations: Operation[]; last: string[] } {
  if (baseKind(document.form.base.kind).boughtIn) return boughtInWork(milled);
  const words = wordsFor(document.form, piece);
  const base = madeParts(piece)
    .filter((part) => !piece.top.parts.includes(part.id) && part.kind !== 'batten' && part.kind !== 'slide')
    .map((part) => part.id);
  const legs = partsOfKind(piece, 'leg').map((part) => part.id);
  const operations: Operation[] = [];
  const add = (operation: Omit<Operation, 'group' | 'wait'> & { wait?: number }) =>
    operations.push({ wait: 0, group: 'Base', ...operation });

  const blanks = [
    ...gluedLegs(makingOf(document.form, 'leg'), legs, glue, rough),
    ...(['post', 'foot'] as const).flatMap((kind) => gluedStaves(piece, document.form, kind, glue, rough)),
  ];
  operations.push(...blanks);
  const own = piece.joints.filter(({ kind, removed }) => !OF_THE_TOP.includes(kind) && removed.length > 0);
  add({
    id: 'joints',
    name: words.joints,
    work: own.length * 0.45,
    after: [...milled, ...blanks.filter(({ id }) => id.endsWith('-squared')).map((operation) => operation.id)],
    caution: words.marking,
    parts: base,
  });
  let ready = ['joints'];
  const rail = partsOfKind(piece, 'cross-rail').map((part) => part.id);
  if (rail.length > 0 && document.form.base.kind === 'leg-apron') {
    add({
      id: 'rail-joints',
      name:
        document.form.base.railJoint === 'dovetail'
          ? 'Cut the dovetails of the cross rails and let the long aprons in for them from above'
          : 'Cut the stubs of the cross rails and mortise the long aprons for them',
      work: 0.5 * rail.length,
      after: ready,
      caution: 'Both aprons marked side by side, so that the rails stand square.',
      parts: [
        ...rail,
        ...partsOfKind(piece, 'apron')
          .filter(({ frame }) => Math.abs(frame.length[0]) > 0.9)
          .map((part) => part.id),
      ],
    });
    ready = ['rail-joints'];
  }
  if (words.shaping) {
    const { hours, ...shaping } = words.shaping;
    add({ ...shaping, work: hours, after: ready });
    ready = [shaping.id];
  }
  const { cuts } = HOLDS[document.form.hold.kind];
  const held = piece.fasteners.filter(({ own }) => !own);
  if (cuts.before === 'assembly' && held.length > 0) {
    add({
      id: 'groove',
      name: cuts.what,
      work: 0.4,
      after: ready,
      caution: 'Before assembly: it cannot be reached with a saw after it. Stock flat to the fence.',
      parts: [...new Set(held.map(({ on }) => on))],
    });
    ready = ['groove'];
  }
  add({
    id: 'dry-fit',
    name: 'Dry fit the base; check square and wind',
    work: 0.8,
    after: ready,
    caution: 'A joint that wants a hammer dry will not close wet.',
    parts: base,
  });
  add({
    id: 'sand-base',
    name: 'Plane or sand the parts before assembly',
    work: 1.5,
    after: ['dry-fit'],
    caution: 'Dust mask and extraction. No rounding where two parts meet flush.',
    parts: base,
  });
  ready = ['sand-base'];
  const pegged = piece.joints.filter(({ kind }) => kind === 'pegs');
  const drawn = document.form.base.kind === 'leg-apron' && document.joints.pegs === 'draw-bored';
  if (pegged.length > 0 && drawn) {
    add({
      id: 'peg-holes',
      name: 'Bore the legs for the pegs, mark the tenons through the holes, and bore them a little nearer to the shoulder',
      work: 0.1 * pegged.length,
      after: ready,
      caution:
        'Toward the shoulder, never away from it: the peg draws the joint up. Back the leg up where the bit comes out.',
      parts: [...new Set(pegged.map(({ into }) => into))],
    });
    ready = ['peg-holes'];
  }
  add({
    id: 'glue-ends',
    name: words.first.name,
    work: 0.7,
    wait: words.first.dry ? 0 : baseKind(document.form.base.kind).foldedWithTop ? glue.levelAfter : glue.clampFor / 60,
    after: ready,
    caution: words.first.dry ? words.first.caution : `${words.first.caution} ${glue.caution}`,
    parts: words.first.parts,
  });
  add({
    id: 'glue-base',
    name: words.second.name,
    work: 0.8,
    wait: words.second.dry ? 0 : glue.levelAfter,
    after: ['glue-ends'],
    caution: words.second.caution,
    parts: base,
  });
  let done = 'glue-base';
  const then = (operation: Omit<Operation, 'group' | 'wait' | 'after'> & { wait?: number }) => {
    add({ ...operation, after: [done] });
    done = operation.id;
  };
  if (pegged.length > 0 && document.form.base.kind === 'leg-apron') {
    then({
      id: 'pegs',
      name: drawn
        ? 'Drive the pegs while the glue is wet, and pare them flush when it has set'
        : 'Bore for the pegs through leg and tenon, drive them and pare them flush',
      work: 0.1 * pegged.length,
      caution: 'Pointed pegs, straight-grained; a peg that is driven askew splits the leg.',
      parts: [...new Set(pegged.map(({ into }) => into))],
    });
  }
  const blocks = partsOfKind(piece, 'block').map((part) => part.id);
  if (blocks.length > 0) {
    then({
      id: 'corner-blocks',
      name: 'Cut the corner blocks, their ends at 45°, and screw them to aprons and legs',
      work: 0.2 * blocks.length,
      caution: 'Short pieces are cut from a long one, clamped; bored for their screws before they are cut off.',
      parts: blocks,
    });
  }
  const pads = partsOfKind(piece, 'pad').map((part) => part.id);
  if (pads.length > 0) {
    then({
      id: 'pads',
      name: 'Glue the pads under both ends of each foot',
      work: 0.15 * pads.length,
      wait: glue.clampFor / 60,
      caution: 'Grain along the foot, or they part from it within a year.',
      parts: pads,
    });
  }
  const shelf = partsOfKind(piece, 'shelf').map((part) => part.id);
  if (shelf.length > 0) {
    then({
      id: 'shelf',
      name: 'Lay the boards of the shelf on with spacers between them, and screw each from below in its middle',
      work: 0.2 * shelf.length,
      caution: 'Their edges are rounded and finished before: no brush comes between them after. A stop on the bit.',
      parts: shelf,
    });
  }
  return { operations, last: [done] };
}

/** Joints that are cut with the top and its slides. */
const OF_THE_TOP: readonly JointKind[] = [
  'breadboard',
  'breadboard-pegs',
  'leaf-pins',
  'end-seam',
  'connector',
  'draw-bolts',
  'slide-key',
  'set-in',
  'cast',
  'frame-mitre',
  'panel-groove',
];

/** Nothing of a bought-in base is glued: it is cleaned, tried and its holes are marked through. */
function boughtInWork(milled: readonly string[]): { operations: Operation[]; last: string[] } {
  return {
    operations: [
      {
        id: 'steel-base',
        name: 'Clean the steel, check that it stands without rocking, file its slots and round its edges',
        group: 'Base',
        work: 1,
        wait: 0,
        after: milled,
        caution: 'Gloves for burrs, eye protection at the grinder, and no sparks near dust or finish.',
        parts: [],
      },
    ],
    last: ['steel-base'],
  };
}

/** Posts and feet that are glued of boards face to face. */
function gluedStaves(
  piece: TablePiece,
  form: TableForm,
  kind: 'post' | 'foot',
  glue: Glue,
  rough: readonly string[],
): Operation[] {
  const making = makingOf(form, kind);
  if (making.kind !== 'staves') return [];
  const parts = partsOfKind(piece, kind).map((part) => part.id);
  return [
    {
      id: `${kind}-blanks`,
      name: `Glue ${making.count} boards face to face for each ${kind}`,
      group: 'Base',
      work: parts.length * 0.3 * (making.count - 1),
      wait: glue.levelAfter,
      after: rough,
      caution: `Grain one way, cauls on both faces; stop the boards at their ends, they slide on wet glue. ${glue.caution}`,
      parts,
    },
    {
      id: `${kind}-squared`,
      name: `Joint and plane the blanks of the ${kind === 'foot' ? 'feet' : 'posts'} square`,
      group: 'Base',
      work: parts.length * 0.2,
      wait: 0,
      after: [`${kind}-blanks`],
      caution: 'Scrape the squeezed-out glue off first: it chips knives and throws the blank off the fence.',
      parts,
    },
  ];
}

/** The glue-ups that legs want which are not of one blank; the last of them leaves the legs ready for their joints. */
function gluedLegs(
  making: ReturnType<typeof makingOf>,
  legs: readonly string[],
  glue: Glue,
  rough: readonly string[],
): Operation[] {
  const go = (id: string, name: string, work: number, after: readonly string[], caution: string): Operation => ({
    id,
    name,
    group: 'Base',
    work,
    wait: glue.levelAfter,
    after,
    caution: `${caution} ${glue.caution}`,
    parts: legs,
  });
  const squared = (
    name: string,
    work: number,
    after: string,
    caution = 'Scrape the squeezed-out glue off first: it chips knives and throws the blank off the fence.',
  ): Operation => ({ id: 'leg-squared', name, group: 'Base', work, wait: 0, after: [after], caution, parts: legs });
  const each = 0.3 * legs.length;
  switch (making.kind) {
    case 'solid':
      return [];
    case 'staves':
      return [
        go(
          'leg-blanks',
          `Glue ${making.count} staves face to face for each leg`,
          each * (making.count - 1),
          rough,
          'Cauls on both faces; staves slide on wet glue, so stop them at the ends.',
        ),
        squared('Joint and plane the blanks of the legs square', 0.15 * legs.length, 'leg-blanks'),
      ];
    case 'two-at-45':
      return [
        go(
          'leg-blanks',
          'Glue two pieces face to face for each leg',
          each,
          rough,
          'Cauls on both faces; the pieces slide on wet glue, so stop them at the ends.',
        ),
        squared(
          'Cut each leg out of its blank at 45°',
          0.5 * legs.length,
          'leg-blanks',
          'The blank lies on a flat to the fence for every cut; the offcut falls free, never between blade and fence.',
        ),
      ];
    case 'faced':
      return [
        go(
          'leg-faces-1',
          'Resaw the veneers; glue the first two to each core',
          1.7 * each,
          rough,
          'Mark the four of each leg in the order they came off the board.',
        ),
        go(
          'leg-faces-2',
          'Level these with their cores, and glue the other two veneers to each leg',
          1.5 * each,
          ['leg-faces-1'],
          'Cauls as long as the leg: a veneer not pressed along its edge lifts there.',
        ),
        squared('Level the last veneers with their legs', 0.3 * each, 'leg-faces-2'),
      ];
  }
}
