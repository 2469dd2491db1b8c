import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived, thickBoards } from '../../../tests/fixtures/constructions';
import { change, waysOutOf } from '../../../tests/fixtures/demo';
import { apronLadder } from './apron-bow';
import { centreSag } from './beam';
import { solveFrame } from './plane-frame';

const named = (name: string) => CONSTRUCTIONS.find((c) => c.name.includes(name))!.document;
const value = (document: ReturnType<typeof named>, id: string) =>
  derived(document).checks.find((check) => check.id === id)!.value.amount;

describe('a plane frame (direct stiffness) against formulas of handbooks (Roark)', () => {
  const section = { area: 2000, second: 80_000, modulus: 12_000 };
  it('a beam on two supports under a load in its middle: PL³/48EI', () => {
    const moved = solveFrame({
      nodes: [
        [0, 0],
        [600, 0],
        [1200, 0],
      ],
      members: [
        { from: 0, to: 1, ...section },
        { from: 1, to: 2, ...section },
      ],
      held: [0, 2],
      loads: [{ node: 1, force: [0, -200] }],
    })!;
    expect(-moved[1]![1]).toBeCloseTo((200 * 1200 ** 3) / (48 * 12_000 * 80_000), 9);
  });

  it('a portal on pinned feet pushed at its head: P·h²/12E · (2h/I + L/I) each way it is turned', () => {
    for (const turn of [0, 0.7]) {
      const at = (x: number, y: number): [number, number] => [
        x * Math.cos(turn) - y * Math.sin(turn),
        x * Math.sin(turn) + y * Math.cos(turn),
      ];
      const stiff = { ...section, area: 1e9 };
      const moved = solveFrame({
        nodes: [at(0, 0), at(0, 700), at(900, 700), at(900, 0)],
        members: [
          { from: 0, to: 1, ...stiff },
          { from: 1, to: 2, ...stiff },
          { from: 2, to: 3, ...stiff },
        ],
        held: [0, 3],
        loads: [{ node: 1, force: at(100, 0) }],
      })!;
      const [dx, dy] = moved[1]!;
      const along = dx * Math.cos(turn) + dy * Math.sin(turn);
      expect(along).toBeCloseTo(((100 * 700 ** 2) / (12 * 12_000)) * ((2 * 700) / 80_000 + 900 / 80_000), 5);
    }
  });

  it('what hangs free is no frame', () => {
    expect(
      solveFrame({
        nodes: [
          [0, 0],
          [100, 0],
          [200, 0],
        ],
        members: [{ from: 0, to: 1, ...section }],
        held: [0],
        loads: [],
      }),
    ).toBeNull();
  });
});

describe('long aprons pushed aside', () => {
  it('bow no more than a beam that rests on its ends, and less with every cross rail', () => {
    const apron = { height: 90, thickness: 22 };
    const bow = (rails: number) => {
      const ties = Array.from({ length: rails }, (_, i) => ({
        at: (1600 * (i + 1)) / (rails + 1),
        kind: 'rail' as const,
        height: 55,
        thickness: 22,
      }));
      const { frame, pushed } = apronLadder({ length: 1600, width: 700, ties, apron, modulus: 12_000, push: 200 });
      return solveFrame(frame)![pushed]![1];
    };
    const alone = centreSag({ breadth: 90, depth: 22, modulus: 12_000 }, 1600, 200, false);
    expect(bow(0)).toBeLessThan(alone);
    // Corners that hold the ends of a beam leave a quarter of its sag at the least.
    expect(bow(0)).toBeGreaterThan(alone / 4);
    expect(bow(1)).toBeLessThan(0.6 * bow(0));
    for (const rails of [2, 3, 4]) expect(bow(rails)).toBeLessThan(bow(rails - 1));
  });

  it('common practice: rails of 1.85 m want cross rails, those of a small table do not', () => {
    const long = change(named('a long table on faced legs'), (d) => {
      baseOf(d, 'leg-apron').crossRails = 0;
      baseOf(d, 'leg-apron').apron.thickness = 22;
    });
    const check = derived(long).checks.find(({ id }) => id === 'stiffness.apron-bow')!;
    expect(check.level).toBe('watch');
    expect(check.wayOut!.changes).toEqual([{ path: 'form.base.crossRails', value: 1 }]);
    expect(
      derived(named('a square table on tapered legs')).checks.find(({ id }) => id === 'stiffness.apron-bow')!.level,
    ).toBe('good');
  });
});

describe('aprons between legs that lean', () => {
  it('are as long as they are where they stand, not as at the heads of the legs', () => {
    const splayed = named('splayed both ways');
    const job = derived(splayed);
    const { height } = baseOf(splayed, 'leg-apron').apron;
    const { ends } = baseOf(splayed, 'leg-apron').leg.splay;
    const apron = job.piece.parts.find(({ id }) => id === 'apron-front')!;
    // Its lower edge is the longest: the middle is shorter by the lean over half its height at both ends.
    const middle = apron.shoulderLength - height * Math.tan((ends * Math.PI) / 180);
    expect(job.piece.bending[0]!.span).toBeCloseTo(middle, 6);
    const wider = change(splayed, (d) => {
      baseOf(d, 'leg-apron').leg.splay.ends = 12;
    });
    expect(value(wider, 'stiffness.apron-sag')).toBeGreaterThan(value(splayed, 'stiffness.apron-sag'));
  });
});

describe('a bench over its sag limit', () => {
  it('is offered legs between where higher aprons are not to be had', () => {
    const bench = change(named('a long bench with a pair of legs'), (d) => {
      baseOf(d, 'leg-apron').midLegs = 0;
    });
    const job = derived(bench);
    const check = job.checks.find(({ id }) => id === 'stiffness.apron-sag')!;
    expect(check.level).not.toBe('good');
    const between = check.otherWaysOut!.find(({ changes }) => changes[0]?.path === 'form.base.midLegs')!;
    expect(between.changes).toEqual([{ path: 'form.base.midLegs', value: 1 }]);
    // Whatever is found to cure it is a press of a button, not advice.
    expect(
      waysOutOf(bench, { boards: thickBoards }).find((own) => own.check === 'stiffness.apron-sag')!.wayOut.changes
        .length,
    ).toBeGreaterThan(0);
  });
});
