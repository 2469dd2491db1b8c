// Sway, sag and bow of pieces by finite elements: `npm run finite-elements` (needs `ccx` of Debian's calculix-ccx).
// Writes tests/fixtures/finite-elements.json, which a test compares with what the checks say.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { partsOfKind } from '@/core';
import { ladderOf } from '@/core/check/apron-bow';
import { baseOf, CONSTRUCTIONS, derived, topOf } from '../tests/fixtures/constructions';
import { swaysOfCases } from './elevation';

type Point = readonly [number, number, number];
interface Member {
  from: Point;
  to: Point;
  /** Along `across`, and square to it and to the member, mm; of a tapered one at a share of its way. */
  section: readonly [number, number] | ((share: number) => readonly [number, number]);
  across: Point;
}

/** Elements in a member. */
const PIECES = 8;
const folder = mkdtempSync(join(tmpdir(), 'taller-ccx-'));

/** Runs a model and returns the displacements printed, by node. */
function solve(name: string, lines: readonly string[]): Map<number, [number, number, number]> {
  writeFileSync(join(folder, `${name}.inp`), `${lines.join('\n')}\n`);
  execFileSync('ccx', ['-i', name], { cwd: folder, stdio: 'ignore' });
  const found = new Map<number, [number, number, number]>();
  for (const line of readFileSync(join(folder, `${name}.dat`), 'utf8').split('\n')) {
    const numbers = line.trim().split(/\s+/).map(Number);
    if (numbers.length === 4 && numbers.every(Number.isFinite)) {
      found.set(numbers[0] as number, numbers.slice(1) as [number, number, number]);
    }
  }
  return found;
}

/** A frame of quadratic beams, joints stiff, feet resting: how far its heads go under a push along x, mm. */
function sway(given: {
  name: string;
  members: readonly Member[];
  feet: readonly Point[];
  heads: readonly Point[];
  push: number;
  modulus: number;
  /** Feet that are moved along x before they are held, mm. */
  moved?: readonly { at: Point; by: number }[];
}) {
  const { name, members, feet, heads, push, modulus, moved: shifts = [] } = given;
  const nodes: Point[] = [];
  const at = (p: Point) => {
    const known = nodes.findIndex((q) => Math.hypot(q[0] - p[0], q[1] - p[1], q[2] - p[2]) < 1e-6);
    if (known >= 0) return known + 1;
    nodes.push(p);
    return nodes.length;
  };
  const along = (m: Member, share: number): Point =>
    [0, 1, 2].map(
      (k) => (m.from[k] as number) + ((m.to[k] as number) - (m.from[k] as number)) * share,
    ) as unknown as Point;
  let element = 0;
  const parts = members.flatMap((member, i) => {
    const { section } = member;
    const elements = Array.from({ length: PIECES }, (_, k) => {
      element += 1;
      return `${element}, ${[k, k + 0.5, k + 1].map((s) => at(along(member, s / PIECES))).join(', ')}`;
    });
    // A tapered member has its section at every node.
    const tapered = typeof section === 'function';
    return [
      `*ELEMENT, TYPE=B32R, ELSET=M${i}`,
      ...elements,
      `*BEAM SECTION, ELSET=M${i}, MATERIAL=WOOD, SECTION=RECT${tapered ? ', NODAL THICKNESS' : ''}`,
      (tapered ? section(0.5) : section).join(', '),
      member.across.join(', '),
      ...(tapered
        ? [
            '*NODAL THICKNESS',
            ...Array.from({ length: 2 * PIECES + 1 }, (_, k) => k / (2 * PIECES)).map(
              (share) => `${at(along(member, share))}, ${section(share).join(', ')}`,
            ),
          ]
        : []),
    ];
  });
  const [footIds, headIds] = [feet.map(at), heads.map(at)];
  const moved = solve(name, [
    '*NODE, NSET=ALL',
    ...nodes.map((p, i) => `${i + 1}, ${p.map((n) => n.toFixed(6)).join(', ')}`),
    ...parts,
    '*NSET, NSET=HEADS',
    headIds.join(', '),
    '*MATERIAL, NAME=WOOD',
    '*ELASTIC',
    `${modulus}, 0.3`,
    '*BOUNDARY',
    ...footIds.map((id) => `${id}, 1, 3`),
    // The push is level and along x: nothing goes across.
    'ALL, 2, 2',
    '*STEP',
    '*STATIC',
    ...shifts.flatMap((own) => ['*BOUNDARY', `${at(own.at)}, 1, 1, ${own.by}`]),
    '*CLOAD',
    ...headIds.map((id) => `${id}, 1, ${push / headIds.length}`),
    '*NODE PRINT, NSET=HEADS',
    'U',
    '*END STEP',
  ]);
  return headIds.reduce((sum, id) => sum + (moved.get(id)?.[0] ?? Number.NaN), 0) / headIds.length;
}

/** A plate of unlike stiffness along and across, resting on its four edges: how far its middle sinks, mm. */
function plate(given: {
  name: string;
  length: number;
  width: number;
  thickness: number;
  pressure: number;
  modulus: number;
  ratio: number;
}) {
  const { name, length, width, thickness, pressure, modulus, ratio } = given;
  const [nx, ny] = [24, 16];
  const id = (i: number, j: number) => j * (2 * nx + 1) + i + 1;
  const nodes: string[] = [];
  for (let j = 0; j <= 2 * ny; j += 1) {
    for (let i = 0; i <= 2 * nx; i += 1) {
      if (i % 2 && j % 2) continue;
      nodes.push(`${id(i, j)}, ${(length * i) / (2 * nx)}, ${(width * j) / (2 * ny)}, 0`);
    }
  }
  const elements: string[] = [];
  for (let j = 0; j < ny; j += 1) {
    for (let i = 0; i < nx; i += 1) {
      const [a, b] = [2 * i, 2 * j];
      elements.push(
        [
          j * nx + i + 1,
          id(a, b),
          id(a + 2, b),
          id(a + 2, b + 2),
          id(a, b + 2),
          id(a + 1, b),
          id(a + 2, b + 1),
          id(a + 1, b + 2),
          id(a, b + 1),
        ].join(', '),
      );
    }
  }
  const edge: number[] = [];
  for (let i = 0; i <= 2 * nx; i += 1) edge.push(id(i, 0), id(i, 2 * ny));
  for (let j = 1; j < 2 * ny; j += 1) edge.push(id(0, j), id(2 * nx, j));
  const shear = modulus / 16;
  const across = modulus * ratio;
  const middle = id(nx, ny);
  const moved = solve(name, [
    '*NODE',
    ...nodes,
    '*ELEMENT, TYPE=S8R, ELSET=PLATE',
    ...elements,
    '*MATERIAL, NAME=WOOD',
    '*ELASTIC, TYPE=ENGINEERING CONSTANTS',
    `${modulus}, ${across}, ${across}, 0.35, 0.35, 0.35, ${shear}, ${shear},`,
    `${shear / 4}`,
    '*ORIENTATION, NAME=GRAIN',
    '1, 0, 0, 0, 1, 0',
    '*SHELL SECTION, ELSET=PLATE, MATERIAL=WOOD, ORIENTATION=GRAIN',
    `${thickness}`,
    '*BOUNDARY',
    ...edge.map((n) => `${n}, 3, 3`),
    `${id(0, 0)}, 1, 2`,
    `${id(2 * nx, 0)}, 2, 2`,
    '*NSET, NSET=MIDDLE',
    `${middle}`,
    '*STEP',
    '*STATIC',
    '*DLOAD',
    `PLATE, P, ${pressure}`,
    '*NODE PRINT, NSET=MIDDLE',
    'U',
    '*END STEP',
  ]);
  return Math.abs(moved.get(middle)?.[2] ?? Number.NaN);
}

const find = (name: string) => {
  const found = CONSTRUCTIONS.find((c) => c.name.includes(name));
  if (!found) throw new Error(name);
  return { document: found.document, job: derived(found.document), name: found.name };
};
const Y: Point = [0, 1, 0];

const long = find('a long table on faced legs');
const trestle = find('wedged stretcher');
const crossed = find('a desk on crossed legs');
const results: Record<string, { piece: string; value: number }> = {};

/** One of the two frames of a table on legs and aprons, under half the push; a leg has the section that it has at each height. */
function legFrame(key: string, { document, job, name }: ReturnType<typeof find>) {
  const base = baseOf(document, 'leg-apron');
  const [leg] = partsOfKind(job.piece, 'leg');
  const [apron] = partsOfKind(job.piece, 'apron');
  if (!leg || !apron) throw new Error('no legs');
  const z = leg.size.length - base.apron.height / 2;
  const x = (apron.shoulderLength + base.leg.section) / 2;
  const { section, taper } = base.leg;
  const begins = leg.taper?.from ?? 0;
  const side = (height: number) =>
    taper.kind === 'tapered' && height < begins ? taper.foot + ((section - taper.foot) * height) / begins : section;
  const members = [-1, 1].map(
    (end): Member => ({
      from: [end * x, 0, 0],
      to: [end * x, 0, z],
      section: (share) => [side(share * z), side(share * z)],
      across: Y,
    }),
  );
  members.push({ from: [-x, 0, z], to: [x, 0, z], section: [base.apron.thickness, base.apron.height], across: Y });
  results[key] = {
    piece: name,
    value: sway({
      name: key,
      members,
      feet: [
        [-x, 0, 0],
        [x, 0, 0],
      ],
      heads: [
        [-x, 0, z],
        [x, 0, z],
      ],
      push: document.form.loads.push / 2,
      modulus: job.species.modulusOfElasticity,
    }),
  };
}

legFrame('sway-along-legs', long);
legFrame('sway-along-tapered', find('a square table on tapered legs'));
{
  const { job, name } = long;
  const top = job.checks.find((check) => check.id === 'stiffness.top-sag')?.figure;
  const input = (label: string) => {
    const quantity = top?.inputs.find((i) => i.label.startsWith(label))?.quantity;
    return typeof quantity === 'object' ? quantity.amount : Number.NaN;
  };
  results['sag-of-top'] = {
    piece: name,
    value: plate({
      name: 'top',
      length: input('Between end aprons'),
      width: input('Clear width'),
      thickness: input('Thickness'),
      pressure: input('Top and its load') / (job.piece.top.size.length * job.piece.top.size.width),
      modulus: job.species.modulusOfElasticity,
      ratio: 0.05,
    }),
  };
}
{
  const { document, job, name } = trestle;
  const base = baseOf(document, 'trestle');
  const [post] = partsOfKind(job.piece, 'post');
  const x = Math.abs(post?.frame.at[0] ?? 0);
  const h = base.height - document.form.top.thickness;
  const members = [-1, 1].flatMap((side): Member[] => [
    {
      from: [side * x, 0, 0],
      to: [side * x, 0, base.stretcher.at],
      section: [base.post.width, base.post.thickness],
      across: Y,
    },
    {
      from: [side * x, 0, base.stretcher.at],
      to: [side * x, 0, h],
      section: [base.post.width, base.post.thickness],
      across: Y,
    },
  ]);
  members.push({
    from: [-x, 0, base.stretcher.at],
    to: [x, 0, base.stretcher.at],
    section: [base.stretcher.thickness, base.stretcher.height],
    across: Y,
  });
  results['sway-along-trestle'] = {
    piece: name,
    value: sway({
      name: 'trestle',
      members,
      feet: [
        [-x, 0, 0],
        [x, 0, 0],
      ],
      heads: [
        [-x, 0, h],
        [x, 0, h],
      ],
      push: document.form.loads.push,
      modulus: job.species.modulusOfElasticity,
    }),
  };
}
{
  const { document, job, name } = crossed;
  const base = baseOf(document, 'x-frame');
  const legs = partsOfKind(job.piece, 'leg');
  const bar = partsOfKind(job.piece, 'stretcher')[0];
  const head = base.height - document.form.top.thickness - base.bearer.height;
  const cross = bar?.frame.at[2] ?? 0;
  const members: Member[] = [];
  const [feet, heads]: [Point[], Point[]] = [[], []];
  for (const leg of legs) {
    const [x, y, z] = leg.frame.at;
    const [, dy, dz] = leg.frame.length;
    const on = (height: number): Point => [x, y + (dy / dz) * (height - z), height];
    const section = [base.leg.thickness, base.leg.width] as const;
    members.push({ from: on(0), to: on(cross), section, across: [1, 0, 0] });
    members.push({ from: on(cross), to: on(head), section, across: [1, 0, 0] });
    feet.push(on(0));
    heads.push(on(head));
  }
  const x = Math.abs(legs[0]?.frame.at[0] ?? 0);
  members.push({
    from: [-x, 0, cross],
    to: [x, 0, cross],
    section: [base.stretcher.thickness, base.stretcher.height],
    across: Y,
  });
  results['sway-along-crossed'] = {
    piece: name,
    value: sway({
      name: 'crossed',
      members,
      feet,
      heads,
      push: document.form.loads.push,
      modulus: job.species.modulusOfElasticity,
    }),
  };
}

{
  // Seen from above: the aprons and a cross rail lie along z and x here, the corners are held, the front apron is pushed.
  const { document, job, name } = long;
  const ladder = ladderOf({ ...job, document });
  if (!ladder) throw new Error('no aprons');
  const { frame, pushed } = ladder;
  const point = (i: number): Point => [frame.nodes[i]?.[1] ?? 0, 0, frame.nodes[i]?.[0] ?? 0];
  results['bow-of-apron'] = {
    piece: name,
    value: sway({
      name: 'ladder',
      members: frame.members.map(({ from, to, area, second }): Member => {
        const thickness = Math.sqrt((12 * second) / area);
        return { from: point(from), to: point(to), section: [area / thickness, thickness], across: Y };
      }),
      feet: frame.held.map(point),
      heads: [point(pushed)],
      push: document.form.loads.push,
      modulus: job.species.modulusOfElasticity,
    }),
  };
}

{
  // A leaf drawn out, from the side: one beam as stiff as the slides and half beside each other, on two points; its inner
  // end rises by the play of the keys before it is held.
  const { document, job, name } = find('a dining table with two leaves on slides');
  const give = job.checks.find((check) => check.id === 'slides.give')?.figure;
  const input = (label: string) => {
    const quantity = give?.inputs.find((i) => i.label === label)?.quantity;
    return typeof quantity === 'object' ? quantity.amount : Number.NaN;
  };
  const [out, held] = [input('Beyond the end apron, drawn out, a'), input('In its guide o')];
  const { slides, thickness } = topOf(document, 'extending');
  const second = (2 * slides.thickness * slides.height ** 3) / 12 + (600 * thickness ** 3) / 12;
  const side = (12 * second) ** 0.25;
  const section = [side, side] as const;
  results['leaf-drawn-out'] = {
    piece: name,
    // Lying along z, pushed along x at its end.
    value: sway({
      name: 'leaf',
      members: [
        { from: [0, 0, -held], to: [0, 0, 0], section, across: Y },
        { from: [0, 0, 0], to: [0, 0, out], section, across: Y },
      ],
      feet: [
        [0, 0, 0],
        [0, 0, -held],
      ],
      heads: [[0, 0, out]],
      push: document.form.loads.edge,
      modulus: job.species.modulusOfElasticity,
      moved: [{ at: [0, 0, -held], by: -input('Play of the keys') }],
    }),
  };
}

Object.assign(results, swaysOfCases(solve));

const file = join(import.meta.dirname, '../tests/fixtures/finite-elements.json');
writeFileSync(
  file,
  `${JSON.stringify({ command: 'npm run finite-elements', solver: 'CalculiX (ccx)', results }, null, 2)}\n`,
);
console.log(results);
