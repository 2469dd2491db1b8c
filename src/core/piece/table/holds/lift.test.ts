import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived, topOf } from '../../../../../tests/fixtures/constructions';
import { change, level } from '../../../../../tests/fixtures/demo';
import { withChanges } from '../../../document/job-document';
import { findPart } from '../../piece';
import { partWeight } from '../../weight';

const table = () => CONSTRUCTIONS.find((c) => c.name.includes('lifts toward'))!.document;
type Document = ReturnType<typeof table>;
const lifting = (
  edit: (lift: NonNullable<ReturnType<typeof liftOf>>) => void,
  also: (d: Document) => void = () => {},
) =>
  change(table(), (d) => {
    const lift = liftOf(d);
    if (lift) edit(lift);
    also(d);
  });
const liftOf = (d: Document) => topOf(d, 'glued-panel').lift;
const check = (document: Document, id: string) => derived(document).checks.find((c) => c.id === id)!;

describe('a top that lifts', () => {
  it('too light for its mechanism asks for ballast, just so much that it comes into its window', () => {
    const light = lifting((lift) => {
      lift.least = 20;
      lift.most = 30;
    });
    const window = check(light, 'lift.window');
    expect(window.level).toBe('stop');
    const [way] = window.wayOut!.changes;
    expect(way!.path).toBe('form.top.lift.ballast');
    const mended = derived(withChanges(light, window.wayOut!.changes));
    expect(level(mended, 'lift.window')).toBe('good');
    const top = findPart(mended.piece, 'top')!;
    const own = partWeight(top, mended.species, mended.season.glued.moisture);
    expect(own + Number(way!.value)).toBeGreaterThanOrEqual(21);
    expect(own + Number(way!.value)).toBeLessThan(21.6);
    // Half a kilogram less would be near its end, and say so.
    expect(
      level(
        derived(
          change(withChanges(light, window.wayOut!.changes), (d) => {
            const lift = liftOf(d);
            if (lift) lift.ballast -= 1;
          }),
        ),
        'lift.window',
      ),
    ).not.toBe('good');
  });

  it('too heavy asks for a thinner one that the pair does lift', () => {
    const heavy = lifting((lift) => {
      lift.least = 4;
      lift.most = 9.5;
    });
    const window = check(heavy, 'lift.window');
    expect(window.level).toBe('stop');
    const [way] = window.wayOut!.changes;
    expect(way!.path).toBe('form.top.thickness');
    expect(level(derived(withChanges(heavy, window.wayOut!.changes)), 'lift.window')).toBe('good');
  });

  it('with its top forward tips by moments about the front feet (statics, summed part by part)', () => {
    const far = lifting((lift) => {
      lift.forward = 420;
    });
    const job = derived(far);
    const tipping = job.checks.find((c) => c.id === 'lift.tipping')!;
    const foot = job.piece.ground.low;
    const moisture = job.season.glued.moisture;
    const edge = -job.piece.top.size.width / 2 - 420;
    // Each part rights by its weight on its own arm; the top has gone forward.
    const righting = job.piece.parts.reduce((sum, part) => {
      const y = part.frame.at[1] - (part.id === 'top' ? 420 : 0);
      return sum + partWeight(part, job.species, moisture) * 9.81 * (y - foot);
    }, 0);
    expect(tipping.value.amount).toBeCloseTo(righting / (foot - edge), 6);
    expect(tipping.value.amount).toBeLessThan(check(table(), 'lift.tipping').value.amount);
  });

  it('wants aprons as high as it folds, and no cross rail where it stands', () => {
    const low = lifting((lift) => {
      lift.height = 120;
    });
    const room = check(low, 'lift.room');
    expect(room.level).toBe('stop');
    expect(level(derived(withChanges(low, room.wayOut!.changes)), 'lift.room')).toBe('good');
    // Mechanisms as thick as half the table is long stand in its middle rail.
    const crossed = lifting(
      (lift) => {
        lift.thick = 60;
      },
      (d) => {
        baseOf(d, 'leg-apron').crossRails = 6;
        d.form.top.length = 700;
      },
    );
    const met = check(crossed, 'form.parts-meet');
    expect(met.level).toBe('stop');
    expect(met.where.some((id) => id.startsWith('lift'))).toBe(true);
  });

  it('is bolted through its plates: the top slides on them, and buttons are stopped', () => {
    const { piece } = derived(table());
    expect(new Set(piece.fasteners.map(({ on }) => on))).toEqual(new Set(['lift-left', 'lift-right']));
    expect(piece.fasteners.filter(({ holdsMiddle }) => holdsMiddle)).toHaveLength(2);
    const buttons = derived(
      change(table(), (d) => {
        d.form.hold.kind = 'buttons';
      }),
    );
    expect(buttons.problems.map(({ where }) => where)).toContain('form.hold.kind');
  });
});
