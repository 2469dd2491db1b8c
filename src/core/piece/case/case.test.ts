import ManifoldModule from 'manifold-3d';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  alcoveBookcase,
  blanketChest,
  bookcase,
  caseInSeason,
  caseOf,
  STRAIGHT,
  sideboard,
} from '../../../../tests/fixtures/cases';
import { read } from '../../decision/issues';
import { partMeshes } from '../../drawing/part-meshes';
import { caseDovetails, layOutDovetails, usualTails } from '../../joint/case-dovetails';
import { writePhrase } from '../../measure/write-quantity';
import { volumeOf } from '../../solid/convex';
import { caseAs } from '../../start/case-as';
import type { CasePiece } from '../piece';
import { findPart } from '../piece';
import { type CaseForm, CaseFormSchema } from './form';
import { type Cell, divideCell, WHOLE } from './inside/cells';

/** As many tails as a shallow case has room for. */
const fitted = (corner: CaseForm['carcass']['corner']): CaseForm['carcass']['corner'] =>
  'tails' in corner ? { ...corner, tails: 5 } : corner;

const FIXINGS: readonly [string, CaseForm['inside']['fixing']][] = [
  ['through housings', { kind: 'housed', stop: 0 }],
  ['sliding dovetails', { kind: 'sliding-dovetails', stop: 12, slope: 6 }],
  ['cleats', { kind: 'cleats', section: 18, travel: 12 }],
  ['dowelled shelves', { kind: 'butted', key: 'dowels' }],
  ['shelves on loose tenons', { kind: 'butted', key: 'loose-tenons' }],
];
/** The middle bay with three rails over one another. */
const withRails = divideCell(sideboard.inside.cells, 'middle', 'rails', 4);

const framedBack = (across: number, up: number): CaseForm['back'] => ({
  kind: 'framed',
  ...{ thickness: 18, stile: 60, rail: 60, across, up, panelThickness: 8, tongue: 16, room: 6, beside: 2 },
});

/** Stands that every form is tried on. */
const STANDS = ['feet', 'turned-feet', 'bracket-feet', 'bevelled-cleats'] as const;

const withSocket: CaseForm['alcove'] = alcoveBookcase.alcove && {
  ...alcoveBookcase.alcove,
  clear: [{ id: 'socket', name: 'Socket', fromLeft: 300, fromFloor: 280, width: 86, height: 86 }],
};

type Library = Awaited<ReturnType<typeof ManifoldModule>>;
let library: Library;
beforeAll(async () => {
  library = await ManifoldModule();
  library.setup();
});

const sizeOf = (piece: CasePiece, id: string) => {
  const part = findPart(piece, id);
  if (!part) throw new Error(`no ${id}`);
  const { length, width, thickness } = part.size;
  return [length, width, thickness];
};
const space = (piece: CasePiece, id: string) => {
  const own = piece.spaces.find((one) => one.id === id);
  if (!own) throw new Error(`no space ${id}`);
  return { wide: own.right - own.left, high: own.high - own.low };
};

describe('a bookcase', () => {
  const piece = caseOf(bookcase);

  it('its parts are as long as they are worked out by hand', () => {
    expect(sizeOf(piece, 'side-left')).toEqual([1800, 300, 20]);
    // In rabbets two thirds of the side deep: 900 − 2 · 20 + 2 · 13.
    expect(sizeOf(piece, 'top')).toEqual([886, 300, 24]);
    // Housed a third of the side deep: 860 + 2 · 7; shelves too, and they end before the back.
    expect(sizeOf(piece, 'bottom')).toEqual([874, 300, 24]);
    expect(sizeOf(piece, 'shelf-1')).toEqual([872, 294, 24]);
    // Between bottom and top with 10 mm of a rabbet on every side.
    expect(sizeOf(piece, 'back')).toEqual([1800 - 80 - 48 + 20, 880, 6]);
    expect(piece.overall).toEqual({ length: 900, width: 300, height: 1800 });
  });

  it('its four spaces share what three shelves leave', () => {
    const high = (1800 - 80 - 2 * 24 - 3 * 24) / 4;
    for (const id of ['s1', 's2', 's3', 's4']) expect(space(piece, id)).toEqual({ wide: 860, high });
  });
});

describe('spaces again and again', () => {
  const piece = caseOf(sideboard);
  it('clear sizes come first, shares take what is left', () => {
    const inner = 1400 - 2 * 22;
    expect(space(piece, 'middle').wide).toBeCloseTo(inner - 2 * 400 - 2 * 20, 9);
    expect(space(piece, 'right').wide).toBeCloseTo(400, 9);
    const high = 820 - 90 - 2 * 22 - 20;
    expect(space(piece, 'low').high).toBeCloseTo((high * 2) / 3, 9);
    expect(space(piece, 'high').high).toBeCloseTo(high / 3, 9);
  });

  it('asked for more than there is, nothing is drawn and it says where', () => {
    const cells = sideboard.inside.cells.map((cell) => (cell.id === 'left' ? { ...cell, clear: 1000 } : cell));
    const tight = caseOf({ ...sideboard, inside: { ...sideboard.inside, cells } });
    expect(tight.problems.map(({ where }) => where)).toContain('form.inside.cells');
    expect(tight.parts.some(({ kind }) => kind === 'upright')).toBe(false);
  });
});

describe('clear sizes of their own for every space', () => {
  const cells = sideboard.inside.cells.map((cell) => (cell.of === 'all' ? { ...cell, clear: 400 } : cell));
  const problems = caseOf({ ...sideboard, inside: { ...sideboard.inside, cells } }).problems;

  it('say what they leave over, instead of giving it to one of them unsaid', () => {
    // 1 400 − 2 · 22 − 2 · 20 − 3 · 400.
    expect(
      problems.map(({ problem }) =>
        typeof problem === 'string' ? problem : writePhrase(problem, { system: 'metric' }),
      ),
    ).toEqual(['The clear sizes of a space leave 116 mm of it over.']);
  });
});

describe('what a case may be', () => {
  const withCells = (cells: CaseForm['inside']['cells']) =>
    read(CaseFormSchema, { ...bookcase, inside: { ...bookcase.inside, cells } }, 'form');
  const [all, first, ...rest] = bookcase.inside.cells as [Cell, Cell, ...Cell[]];

  it('is read as it is written', () => {
    expect(read(CaseFormSchema, sideboard, 'form')).toEqual({ value: sideboard });
  });

  it.each<[string, Cell[]]>([
    ['two spaces of one id', [all, first, first, ...rest]],
    ['no space that is all of the inside', [first, ...rest]],
    ['a space of one that is not there', [all, { ...first, of: 'nowhere' }, ...rest]],
    ['spaces that are part of each other', [all, { ...first, of: 's2' }, { ...first, id: 's2', of: first.id }]],
  ])('%s: refused with its place', (_, cells) => {
    const refused = withCells(cells);
    expect('problems' in refused && [...new Set(refused.problems.map(({ where }) => where))]).toEqual(['inside.cells']);
  });
});

describe('through dovetails', () => {
  const layout = layOutDovetails({ width: 450, thickness: 22, tails: 8, pin: 11, slope: 1 / 8 });
  it('are equal from half pin to half pin', () => {
    // 8 tails and 9 pins of 11 are 450: a tail is 43.875 wide, and 5.5 narrower at its baseline.
    expect(layout?.tail.wide).toBeCloseTo((450 - 9 * 11) / 8, 9);
    expect(layout?.tail.narrow).toBeCloseTo(43.875 - 2 * (22 / 8), 9);
    expect(usualTails(450, 22)).toBe(8);
  });

  it('tails and pins fill the corner, and each leans by the slope', () => {
    if (!layout) throw new Error('no layout');
    const joint = caseDovetails({
      id: 'c',
      name: 'c',
      layout,
      tails: 'a',
      pins: 'b',
      x: [678, 700],
      y: [-225, 225],
      z: [798, 820],
    });
    expect(volumeOf(joint.added.map(({ solid }) => solid))).toBeCloseTo(22 * 22 * 450, 3);
    const [tail] = joint.added.filter(({ part }) => part === 'a');
    const at = (z: number) => {
      const ys = (tail?.solid.corners ?? []).filter((p) => Math.abs(p[2] - z) < 1e-9).map((p) => p[1]);
      return Math.max(...ys) - Math.min(...ys);
    };
    expect((at(820) - at(798)) / 2 / 22).toBeCloseTo(1 / 8, 9);
  });

  it('too many leave no neck: it says so, and the way out has one', () => {
    const many = {
      ...sideboard,
      carcass: { ...sideboard.carcass, corner: { kind: 'dovetails' as const, tails: 30, pin: 8, slope: 6 } },
    };
    const [problem] = caseOf(many).problems;
    expect(problem?.where).toBe('form.carcass.corner.tails');
    const mended = {
      ...many,
      carcass: { ...many.carcass, corner: { ...many.carcass.corner, tails: Number(problem?.mends) } },
    };
    expect(caseOf(mended).problems).toEqual([]);
  });
});

describe.each<[string, CaseForm]>([
  ['bookcase', bookcase],
  [
    'bookcase with boards behind',
    { ...bookcase, back: { kind: 'boards', count: 8, thickness: 12, edges: 'lapped', lap: 8, gap: 2 } },
  ],
  [
    'bookcase in dovetails, open',
    {
      ...bookcase,
      carcass: { sides: 20, across: 20, corner: { kind: 'dovetails', tails: 6, pin: 10, slope: 7 } },
      back: { kind: 'open' },
    },
  ],
  [
    'bookcase with tongued boards behind',
    { ...bookcase, back: { kind: 'boards', count: 7, thickness: 15, edges: 'tongued', lap: 7, gap: 3 } },
  ],
  ...([bookcase, sideboard, blanketChest] as const).flatMap((form): [string, CaseForm][] => [
    [
      `${form === bookcase ? 'bookcase' : form === sideboard ? 'sideboard' : 'chest'} with a frame and panels behind`,
      { ...form, back: framedBack(form === bookcase ? 2 : 4, 1) },
    ],
    [`the same with panels two by three`, { ...form, back: framedBack(3, 2) }],
  ]),
  ...(
    [
      ['bookcase', bookcase],
      ['bookcase in mitres', { ...bookcase, carcass: { sides: 20, across: 20, corner: { kind: 'mitred' } } }],
      ['sideboard', sideboard],
      ['fitted bookcase', alcoveBookcase],
      ['chest', blanketChest],
    ] as const
  ).flatMap(([name, form]): [string, CaseForm][] => [
    [`${name}, lipped`, { ...form, front: { kind: 'lipped', thickness: 8 } }],
    ...(form === blanketChest
      ? []
      : [
          ...[null, 40].map((within): [string, CaseForm] => [
            `${name} with a face frame${within ? ', rails before its shelves' : ''}`,
            { ...form, front: { kind: 'face-frame', thickness: 20, stile: 45, rail: 50, within } },
          ]),
        ]),
  ]),
  ['bookcase with lips', { ...bookcase, inside: { ...bookcase.inside, lip: { depth: 38, thickness: 20 } } }],
  ['sideboard', sideboard],
  ...(
    [
      ['half-blind dovetails', { kind: 'half-blind', tails: 8, pin: 11, slope: 8, lap: 5 }],
      ['box joints', { kind: 'box-joints', fingers: 10 }],
      ['mitres', { kind: 'mitred' }],
      ['dowels', { kind: 'butted', key: 'dowels' }],
      ['loose tenons', { kind: 'butted', key: 'loose-tenons' }],
      ['screws', { kind: 'butted', key: 'screws' }],
    ] as const
  ).flatMap(([name, corner]): [string, CaseForm][] => [
    [`sideboard with ${name}`, { ...sideboard, carcass: { ...sideboard.carcass, corner } }],
    [`bookcase with ${name}`, { ...bookcase, carcass: { sides: 20, across: 20, corner: fitted(corner) } }],
    [`chest with ${name}`, { ...blanketChest, carcass: { ...blanketChest.carcass, corner } }],
  ]),
  ...FIXINGS.map(([name, fixing]): [string, CaseForm] => [
    `sideboard with rails, ${name}`,
    { ...sideboard, inside: { ...sideboard.inside, fixing, cells: withRails } },
  ]),
  ...FIXINGS.flatMap(([name, fixing]): [string, CaseForm][] => [
    [`sideboard with ${name}`, { ...sideboard, inside: { ...sideboard.inside, fixing } }],
    [`bookcase with ${name}`, { ...bookcase, inside: { ...bookcase.inside, fixing } }],
  ]),
  [
    'wall shelf',
    {
      ...bookcase,
      width: 800,
      height: 620,
      depth: 220,
      stand: { kind: 'wall', over: 1400, rail: { height: 70, thickness: 20 }, screws: 3 },
    },
  ],
  ['chest', blanketChest],
  ...([bookcase, sideboard, blanketChest] as const).flatMap((form, i): [string, CaseForm][] =>
    (['mortise-tenon', 'dowels'] as const).map((corner) => [
      `${['bookcase', 'sideboard', 'chest'][i]} on legs, ${corner}`,
      {
        ...form,
        stand: {
          kind: 'leg-frame',
          ...{
            height: 240,
            section: 45,
            foot: corner === 'dowels' ? 30 : 45,
            rail: { height: 60, thickness: 20, reveal: 4 },
            corner,
          },
          stretchers: corner === 'dowels' ? null : { height: 40, thickness: 20, at: 80 },
          ...{ setBack: 10, travel: 10 },
        },
      },
    ]),
  ),
  [
    'chest with dividers of boards below',
    {
      ...blanketChest,
      inside: { ...blanketChest.inside, cells: divideCell([WHOLE], 'all', 'uprights', 3) },
      back: { kind: 'boards', count: 8, thickness: 12, edges: 'lapped', lap: 8, gap: 3 },
    },
  ],
  ['fitted bookcase', alcoveBookcase],
  [
    'sideboard under a board',
    { ...sideboard, top: { kind: 'overhanging', thickness: 24, front: 20, ends: 18, travel: 4, ...STRAIGHT } },
  ],
  ...[bookcase, sideboard].flatMap((form, i): [string, CaseForm][] => {
    const legs = caseAs(form, { corner: 'between-legs', stand: 'sides' });
    const name = `${i === 0 ? 'bookcase' : 'sideboard'} between legs`;
    return [
      [name, legs],
      ...(['framed', 'sheet', 'boards', 'grooved'] as const).map((back): [string, CaseForm] => [
        `${name}, behind it ${back}`,
        caseAs(legs, { back }),
      ]),
      ...(['feet', 'plinth', 'bracket-feet', 'leg-frame', 'wall'] as const).map((stand): [string, CaseForm] => [
        `${name}, on ${stand}`,
        caseAs(legs, { stand }),
      ]),
      ...FIXINGS.filter(([, fixing]) => fixing.kind !== 'butted').map(([words, fixing]): [string, CaseForm] => [
        `${name}, ${words}`,
        { ...legs, inside: { ...legs.inside, fixing } },
      ]),
      [`${name}, its top seen`, { ...legs, top: { kind: 'none' } }],
      ...(
        [
          { kind: 'rounded', radius: 5 },
          { kind: 'chamfered', width: 4 },
          { kind: 'thumbnail', width: 14, depth: 9 },
          { kind: 'under-bevelled', width: 45, left: 9 },
        ] as const
      ).map((edge, k): [string, CaseForm] => [
        `${name}, its edges ${edge.kind}`,
        {
          ...legs,
          top: {
            ...{ kind: 'overhanging', thickness: 22, front: 30, ends: 30, back: k % 2 === 0 ? 0 : 30, travel: 12 },
            ...{ edge, bulge: { front: 20, ends: 10, back: k % 2 === 0 ? 0 : 20 } },
          },
        },
      ]),
    ];
  }),
  ...(['framed-sides', 'post-and-rail'] as const).flatMap((kind): [string, CaseForm][] => {
    const [high, low, fitted] = [bookcase, sideboard, alcoveBookcase].map((form) => caseAs(form, { corner: kind }));
    if (!high || !low || !fitted) return [];
    return [
      [`bookcase, ${kind}`, high],
      [`sideboard, ${kind}`, low],
      [`fitted bookcase, ${kind}`, fitted],
      ...(['open', 'framed', 'sheet', 'boards'] as const).map((back): [string, CaseForm] => [
        `sideboard, ${kind}, behind it ${back}`,
        caseAs(low, { back }),
      ]),
      ...([...STANDS, 'leg-frame', 'levellers', 'sides', 'wall'] as const).map((stand): [string, CaseForm] => [
        `bookcase, ${kind}, on ${stand}`,
        caseAs(high, { stand }),
      ]),
      ...FIXINGS.filter(([, fixing]) => fixing.kind !== 'butted').map(([name, fixing]): [string, CaseForm] => [
        `sideboard, ${kind}, ${name}`,
        { ...low, inside: { ...low.inside, fixing } },
      ]),
      [`sideboard, ${kind}, its top seen`, { ...low, top: { kind: 'none' } }],
      [`sideboard, ${kind}, rails`, { ...low, inside: { ...low.inside, cells: withRails } }],
    ];
  }),
  ...(
    [
      ['box joints', { kind: 'box-joints', fingers: 8 }],
      ['dovetails', { kind: 'dovetails', tails: 5, pin: 10, slope: 7 }],
      ['mitres', { kind: 'mitred' }],
      ['loose tenons', { kind: 'butted', key: 'loose-tenons' }],
    ] as const
  ).map(([name, corner]): [string, CaseForm] => [
    `chest sawn open, ${name}`,
    {
      ...blanketChest,
      depth: 260,
      carcass: { ...blanketChest.carcass, corner },
      inside: { ...blanketChest.inside, cells: divideCell([WHOLE], WHOLE.id, 'uprights', 2) },
      top: {
        kind: 'sawn-off',
        ...{ lid: 110, kerf: 3, panel: 9, tongue: 10, inset: 6, room: 4, hinges: 2 },
        air: { width: 90, height: 12 },
      },
    },
  ]),
  ...STANDS.flatMap((stand): [string, CaseForm][] => [
    [`bookcase on ${stand}`, caseAs(bookcase, { stand })],
    [`sideboard on ${stand}`, caseAs(sideboard, { stand })],
    ...(stand === 'bevelled-cleats'
      ? []
      : [[`chest on ${stand}`, caseAs(blanketChest, { stand })] as [string, CaseForm]]),
  ]),
  ...(['open', 'framed', 'panel', 'boards'] as const).map((back): [string, CaseForm] => [
    `bookcase hung on cleats, behind it ${back}`,
    caseAs({ ...bookcase, width: 420 }, { stand: 'bevelled-cleats', back }),
  ]),
  ...(['solid', 'sheet'] as const).flatMap((made): [string, CaseForm][] => {
    const back: CaseForm['back'] = { kind: 'grooved', made, thickness: 8, tongue: 9, inset: 8, room: 4 };
    return [
      [`narrow bookcase, ${made} in grooves`, { ...bookcase, width: 300, back }],
      [
        `narrow bookcase of frames, ${made} in grooves`,
        caseAs({ ...bookcase, width: 300, back }, { corner: 'post-and-rail' }),
      ],
      [`small chest, its bottom ${made} in grooves`, { ...blanketChest, width: 300, back, top: { kind: 'none' } }],
      [
        `bookcase in mitres, ${made} in grooves`,
        { ...bookcase, width: 300, back, carcass: { sides: 20, across: 20, corner: { kind: 'mitred' } } },
      ],
    ];
  }),
  [
    'chest under a breadboard lid',
    {
      ...blanketChest,
      top: {
        kind: 'breadboard-lid',
        ...{ thickness: 22, front: 20, ends: 20, endWidth: 60, tenons: 3, hinges: 3 },
        air: { width: 90, height: 12 },
      },
    },
  ],
  [
    'bookcase of frames with a moulding',
    {
      ...caseAs(bookcase, { corner: 'framed-sides' }),
      moulding: { height: 40, thickness: 22, held: 'slots', travel: 8 },
    },
  ],
  ...([sideboard, caseAs(sideboard, { corner: 'framed-sides' }), bookcase] as const).map(
    (form, i): [string, CaseForm] => [
      `${['sideboard', 'sideboard of frames', 'bookcase with lips'][i]}, every space closed`,
      {
        ...form,
        inside: {
          ...form.inside,
          lip: form === bookcase ? { depth: 38, thickness: 20 } : null,
          cells: form.inside.cells.map((cell) => (cell.divided === 'not' ? { ...cell, closed: true } : cell)),
        },
      },
    ],
  ),
  ...(['sheet', 'boards', 'framed', 'grooved'] as const).map((back): [string, CaseForm] => [
    `fitted bookcase round a socket, behind it ${back}`,
    caseAs({ ...alcoveBookcase, alcove: withSocket }, { back }),
  ]),
  ['sideboard with a moulding', { ...sideboard, moulding: { height: 40, thickness: 22, held: 'slots', travel: 12 } }],
  ['sideboard on a wall, its uprights cut out', caseAs(sideboard, { stand: 'wall' })],
  ['sideboard in rabbets', { ...sideboard, carcass: { ...sideboard.carcass, corner: { kind: 'rabbets' } } }],
])('%s', (_, form) => {
  it('no part stands in another, and volumes are those of the mesh library', () => {
    const piece = caseOf(form);
    const { Manifold } = library;
    const meshes = partMeshes(piece.parts, library);
    const solids = meshes.map(
      ({ positions, indices }) =>
        new Manifold(new library.Mesh({ numProp: 3, vertProperties: positions, triVerts: indices })),
    );
    for (const [i, mesh] of meshes.entries()) {
      const part = piece.parts[i];
      expect(mesh.volume * 1e-9, part?.name).toBeCloseTo(part?.volume ?? 0, 6);
      for (const [j, other] of solids.entries()) {
        if (j <= i) continue;
        expect(solids[i]?.intersect(other).volume(), `${part?.name} and ${piece.parts[j]?.name}`).toBeLessThan(1);
      }
    }
  });

  it('can live through its years', () => {
    expect(caseInSeason(form).restraint.traps).toEqual([]);
  });
});
