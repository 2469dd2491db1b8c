import { Plane, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived, topOf } from '../../../../../tests/fixtures/constructions';
import { change, level } from '../../../../../tests/fixtures/demo';
import { withChanges } from '../../../document/job-document';
import { findPart } from '../../piece';
import { partWeight } from '../../weight';

const named = (words: string) => CONSTRUCTIONS.find((c) => c.name.includes(words))!.document;
const loose = () => named('loose in a mitred frame');
const sheet = () => named('veneered sheet');
const damp = (document: ReturnType<typeof loose>, edit: (d: ReturnType<typeof loose>) => void = () => {}) =>
  change(document, (d) => {
    d.season.homePlaceId = 'heron-ferry';
    edit(d);
  });
const check = (document: ReturnType<typeof loose>, id: string) => derived(document).checks.find((c) => c.id === id)!;

describe('a panel in a mitred frame', () => {
  it('its borders meet at 45° from inner to outer corner, and close the whole outline (three.js planes)', () => {
    const { piece } = derived(loose());
    for (const [long, end, sx, sy] of [
      ['border-front', 'border-left', -1, -1],
      ['border-front', 'border-right', 1, -1],
      ['border-back', 'border-left', -1, 1],
      ['border-back', 'border-right', 1, 1],
    ] as const) {
      const outer = new Vector3((sx * 1300) / 2, (sy * 700) / 2, 0);
      const plane = new Plane().setFromNormalAndCoplanarPoint(new Vector3(sx, -sy, 0).normalize(), outer);
      const off = (id: string) =>
        findPart(piece, id)!
          .placed.flatMap((solid) => solid.corners)
          .map(([x, y]) => plane.distanceToPoint(new Vector3(x, y, 0)));
      // The one along the table lies on one side of the mitre, the one across it on the other; both end in it.
      expect(Math.max(...off(long))).toBeCloseTo(0, 9);
      expect(Math.min(...off(end))).toBeCloseTo(0, 9);
    }
    const area = piece.parts
      .filter(({ kind }) => kind === 'border')
      .reduce((sum, { body, size }) => {
        const flat = body[0]!.corners;
        const at = (out: boolean) => {
          const ws = flat.map((p) => p[1]);
          const w = out ? Math.max(...ws) : Math.min(...ws);
          const ls = flat.filter((p) => Math.abs(p[1] - w) < 1e-9).map((p) => p[0]);
          return Math.max(...ls) - Math.min(...ls);
        };
        return sum + ((at(true) + at(false)) / 2) * size.width;
      }, 0);
    const { border } = topOf(loose(), 'framed');
    expect(area).toBeCloseTo(1300 * 700 - (1300 - 2 * border) * (700 - 2 * border), 6);
  });

  it('loose, wants as much room as half of it grows, and is told when it has not', () => {
    const tight = damp(loose(), (d) => {
      topOf(d, 'framed').room = 1;
    });
    const room = check(tight, 'framed.room');
    expect(room.level).toBe('stop');
    const job = derived(tight);
    const panel = findPart(job.piece, 'panel')!;
    const grows = (job.season.leadingWidth.wettest - panel.size.width) / 2;
    expect(room.value.amount).toBeCloseTo(1 - grows, 6);
    const mended = withChanges(tight, room.wayOut!.changes);
    expect(level(derived(mended), 'framed.room')).toBe('good');
  });

  it('a tongue short of what the panel shrinks by leaves its groove', () => {
    const short = change(loose(), (d) => {
      topOf(d, 'framed').tongue = 8;
      topOf(d, 'framed').room = 6;
    });
    expect(level(derived(short), 'framed.tongue')).not.toBe('good');
    const way = check(short, 'framed.tongue').wayOut!;
    expect(level(derived(withChanges(short, way.changes)), 'framed.tongue')).toBe('good');
  });

  it('glued all round it fights: the restraint finds it by itself, and the way out sets it free', () => {
    const glued = damp(loose(), (d) => {
      topOf(d, 'framed').panel = 'glued';
    });
    const job = derived(glued);
    expect(job.restraint.traps.length).toBeGreaterThan(0);
    expect(level(job, 'framed.glued')).toBe('stop');
    const free = derived(withChanges(glued, check(glued, 'framed.glued').wayOut!.changes));
    expect(free.restraint.traps).toEqual([]);
    expect(free.checks.filter((c) => c.level === 'stop' && /framed|season/.test(c.id))).toEqual([]);
  });

  it('of a sheet it does not move, is bought and not cut from boards, and weighs by its own density', () => {
    const job = derived(sheet());
    expect(job.restraint.traps).toEqual([]);
    const panel = findPart(job.piece, 'panel')!;
    expect(job.demand.panels).toEqual([]);
    expect(job.demand.parts.map(({ id }) => id)).toEqual(expect.arrayContaining(['border-front', 'border-left']));
    expect(job.demand.parts.map(({ id }) => id)).not.toContain('panel');
    expect(partWeight(panel, job.species, 8)).toBeCloseTo(panel.volume * 680, 9);
    expect(job.piece.fittings.some(({ name }) => name.includes('sheet'))).toBe(true);
  });

  it('its mitres open by √2 times what a border changes: wide borders are watched', () => {
    const wide = damp(loose(), (d) => {
      topOf(d, 'framed').border = 140;
    });
    const narrow = damp(loose(), (d) => {
      topOf(d, 'framed').border = 60;
    });
    expect(check(wide, 'framed.mitres').level).toBe('watch');
    expect(check(wide, 'framed.mitres').value.amount / check(narrow, 'framed.mitres').value.amount).toBeCloseTo(
      140 / 60,
      6,
    );
  });
});
