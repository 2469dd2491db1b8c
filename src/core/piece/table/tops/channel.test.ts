import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived, topOf } from '../../../../../tests/fixtures/constructions';
import { change, level } from '../../../../../tests/fixtures/demo';
import { withChanges } from '../../../document/job-document';
import { fullSizeDrawings } from '../../../format/full-size';
import type { Quantity } from '../../../measure/quantity';
import { volumeOf } from '../../../solid/convex';
import { acrossAt, betweenLines, offsetLine, solidsBetween } from '../../../solid/line-across';
import type { Flat } from '../../../solid/outline';
import { partWeight } from '../../weight';
import { channelLines, resinFor } from './channel';

const named = (words: string) => CONSTRUCTIONS.find((c) => c.name.includes(words))!.document;
const glazed = () => named('with glass between');
const cast = () => named('cast in one with resin');

describe('a line across', () => {
  const line: Flat[] = [
    [0, 0],
    [100, 40],
    [200, 10],
    [300, 10],
  ];
  it('moved square to itself lies everywhere as far from itself, corners met', () => {
    for (const by of [-12, 8]) {
      const moved = offsetLine(line, by);
      expect(moved[0]![0]).toBe(0);
      expect(moved.at(-1)![0]).toBe(300);
      // Every point of the moved line is so far from the nearest side of the line, produced.
      for (let x = 5; x < 300; x += 7) {
        const y = acrossAt(moved, x);
        const apart = line.slice(1).map((to, i) => {
          const from = line[i]!;
          const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
          return Math.abs((to[0] - from[0]) * (y - from[1]) - (to[1] - from[1]) * (x - from[0])) / long;
        });
        expect(apart.some((d) => Math.abs(d - Math.abs(by)) < 1e-6)).toBe(true);
      }
    }
  });

  it('with another encloses the area that the trapezoid rule gives', () => {
    const upper: Flat[] = [
      [0, 90],
      [150, 120],
      [300, 70],
    ];
    let area = 0;
    for (let x = 0; x < 300; x += 0.5) area += 0.5 * (acrossAt(upper, x + 0.25) - acrossAt(line, x + 0.25));
    expect(volumeOf(solidsBetween(line, upper, 0, 10)) / 10).toBeCloseTo(area, 3);
    expect(betweenLines(line, upper).least).toBeCloseTo(60, 9);
  });
});

describe('two slabs and glass', () => {
  it('the glass covers the channel and its bearing on both slabs, and weighs 2.5 kg per m² and mm (common practice)', () => {
    const job = derived(glazed());
    const glass = job.piece.parts.find(({ id }) => id === 'glass')!;
    const top = topOf(glazed(), 'channel');
    const mean = (list: readonly number[]) =>
      list.slice(1).reduce((sum, w, i) => sum + (w + list[i]!) / 2, 0) / (list.length - 1);
    // Channel by the widths as they were measured, and the bearing on both sides (a little more where the edge runs askew).
    const wide = top.width - mean(top.slabs.front) - mean(top.slabs.back) + 2 * 15;
    const area = (wide * top.length) / 1e6;
    const weight = partWeight(glass, job.species, 8);
    expect(weight).toBeGreaterThan(2.5 * 8 * area);
    expect(weight).toBeLessThan(2.5 * 8 * area * 1.02);
    // It is neither cut from boards nor moved by the seasons.
    expect(job.demand.parts.map(({ id }) => id)).toContain('slab-front');
    expect(job.demand.parts.map(({ id }) => id)).not.toContain('glass');
  });

  it('each slab is held once under each bearer and slides at both sides of that, clear of the recess', () => {
    const { piece } = derived(glazed());
    const lines = channelLines(topOf(glazed(), 'channel'), piece.top.size);
    for (const slab of ['slab-front', 'slab-back']) {
      const own = piece.fasteners.filter(({ holds }) => holds === slab);
      expect(own.filter(({ holdsMiddle }) => holdsMiddle)).toHaveLength(2);
      expect(own.length).toBeGreaterThanOrEqual(4);
    }
    for (const { x, y } of piece.fasteners) {
      const clear = y < 0 ? acrossAt(lines.recess!.front, x) - y : y - acrossAt(lines.recess!.back, x);
      expect(clear).toBeGreaterThan(15);
    }
  });

  it('wet air closes its room and dry air opens the channel under it; the ways out are taken without a stop', () => {
    const tight = change(glazed(), (d) => {
      topOf(d, 'channel').fill = { kind: 'glass', thickness: 8, bearing: 7, room: 0.5 };
      d.season.homePlaceId = 'heron-ferry';
    });
    const job = derived(tight);
    expect(level(job, 'channel.room')).toBe('stop');
    const room = job.checks.find((c) => c.id === 'channel.room')!;
    const wider = withChanges(tight, room.wayOut!.changes);
    expect(level(derived(wider), 'channel.room')).toBe('good');
    // Glass with much room on little bearing falls in.
    expect(level(derived(wider), 'channel.bearing')).not.toBe('good');
    const bearing = derived(wider).checks.find((c) => c.id === 'channel.bearing')!;
    const sound = derived(withChanges(wider, bearing.wayOut!.changes));
    expect(level(sound, 'channel.bearing')).toBe('good');
    expect(level(sound, 'channel.room')).toBe('good');
    // Each slab closes it by its growth from its middle: less than all of it grows.
    const { wettest } = sound.season.leadingWidth;
    const grows = wettest - sound.piece.parts.find(({ id }) => id === 'slab-front')!.size.width;
    const closes = job.checks.find((c) => c.id === 'channel.room')!.figure!.inputs[1]!.quantity as Quantity;
    expect(closes.amount).toBeGreaterThan(grows * 0.5);
    expect(closes.amount).toBeLessThan(grows * 2);
  });

  it('thin glass over a wide channel is stopped with the thickness it wants', () => {
    const thin = change(glazed(), (d) => {
      topOf(d, 'channel').fill = { kind: 'glass', thickness: 4, bearing: 15, room: 4 };
      d.form.loads.edge = 800;
    });
    const check = derived(thin).checks.find((c) => c.id === 'channel.glass')!;
    expect(check.level).toBe('stop');
    expect(level(derived(withChanges(thin, check.wayOut!.changes)), 'channel.glass')).not.toBe('stop');
  });
});

describe('two slabs and resin', () => {
  it('is mixed by the volume of the channel and a tenth more, in pours no deeper than its maker allows', () => {
    const document = cast();
    const top = topOf(document, 'channel');
    const { piece, operations } = derived(document);
    const { litres, pours } = resinFor(top, piece.top.size, channelLines(top, piece.top.size));
    // By a sum of thin slices of the widths as they were measured.
    let area = 0;
    const at = (list: readonly number[], share: number) =>
      acrossAt(
        list.map((w, i): Flat => [i / (list.length - 1), w]),
        share,
      );
    for (let i = 0; i < 5000; i += 1) {
      const share = (i + 0.5) / 5000;
      area += ((top.width - at(top.slabs.front, share) - at(top.slabs.back, share)) * top.length) / 5000;
    }
    expect(litres).toBeCloseTo(area * top.thickness * 1e-6 * 1.1, 3);
    expect(pours).toBe(2);
    expect(operations.filter(({ id }) => id.startsWith('channel-pour'))).toHaveLength(2);
    expect(operations.find(({ id }) => id === 'channel-pour-1')!.wait).toBeGreaterThanOrEqual(24);
  });

  it('holds both slabs as one: only one of them is held, and the far edge of the other has farthest to go', () => {
    const job = derived(
      change(cast(), (d) => {
        d.season.homePlaceId = 'heron-ferry';
        d.form.hold.travel = 15;
      }),
    );
    const held = job.piece.fasteners.filter(({ holdsMiddle }) => holdsMiddle);
    expect(new Set(held.map(({ holds }) => holds))).toEqual(new Set(['slab-front']));
    const need = (side: 1 | -1) =>
      Math.max(
        ...job.restraint.ledger
          .filter((line) => line.axis === 'y' && job.piece.fasteners.some((f) => f.id === line.tie && f.y * side > 200))
          .map((line) => Math.max(line.plus.need, line.minus.need)),
      );
    expect(need(1)).toBeGreaterThan(1.2 * need(-1));
  });
});

describe('at full size', () => {
  it('each slab and the glass have a template; the glass’s area is the channel and its bearing', () => {
    const job = derived(glazed());
    const drawings = fullSizeDrawings(job.piece, { system: 'metric' });
    const outlineOf = (id: string) => {
      const mark = drawings
        .find((d) => d.id === `template-${id}-width`)!
        .marks.find((own) => own.kind === 'line' && own.layer === 'OUTLINE')!;
      return mark.kind === 'line' ? mark.points : [];
    };
    const area = (points: readonly (readonly [number, number])[]) =>
      Math.abs(
        points.reduce((sum, [x, y], i) => {
          const [nx, ny] = points[(i + 1) % points.length]!;
          return sum + x * ny - nx * y;
        }, 0) / 2,
      );
    const volume = (id: string) => job.piece.parts.find((part) => part.id === id)!;
    expect(area(outlineOf('glass'))).toBeCloseTo((volume('glass').volume * 1e9) / volume('glass').size.thickness, 0);
    const { front, back } = topOf(glazed(), 'channel').slabs;
    const mean = (list: readonly number[]) =>
      list.slice(1).reduce((sum, w, i) => sum + (w + list[i]!) / 2, 0) / (list.length - 1);
    expect(area(outlineOf('slab-front'))).toBeCloseTo(mean(front) * 1900, 0);
    expect(area(outlineOf('slab-back'))).toBeCloseTo(mean(back) * 1900, 0);
  });
});
