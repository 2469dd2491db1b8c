import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../../../../tests/fixtures/constructions';
import { change } from '../../../../../../tests/fixtures/demo';
import { distance } from '../../../../solid/distance';

const { document } = CONSTRUCTIONS.find((c) => c.name.includes('pocket screws'))!;
const { piece } = derived(document);
const solidOf = (id: string) => piece.parts.find((part) => part.id === id)!.placed[0]!;

describe('blocks across the corners', () => {
  it('lie with both ends on the aprons and with their back on the leg’s corner, in all four', () => {
    for (const [corner, front, end] of [
      ['front-left', 'apron-front', 'apron-left'],
      ['front-right', 'apron-front', 'apron-right'],
      ['back-left', 'apron-back', 'apron-left'],
      ['back-right', 'apron-back', 'apron-right'],
    ] as const) {
      const block = solidOf(`block-${corner}`);
      expect(distance(block, solidOf(front))).toBeCloseTo(0, 6);
      expect(distance(block, solidOf(end))).toBeCloseTo(0, 6);
      // Where the leg stands in behind the aprons, else a little clear of it.
      expect(distance(block, solidOf(`leg-${corner}`))).toBeGreaterThan(-1e-6);
    }
  });

  it('end at 45° (common practice), three quarters as high as the apron and under its upper edge', () => {
    const block = piece.parts.find((part) => part.id === 'block-front-left')!;
    const apron = piece.parts.find((part) => part.id === 'apron-front')!;
    expect(block.ends!.start).toEqual({ mitre: 0, bevel: 45 });
    expect(block.size.width).toBeCloseTo(apron.size.width * 0.75, 0);
    const top = (part: typeof block) => part.frame.at[2] + part.size.width / 2;
    expect(top(apron) - top(block)).toBeCloseTo(2, 6);
  });

  it('have their screws between those of the corner, not in them', () => {
    const holes = (kind: string) =>
      piece.joints
        .filter((joint) => joint.kind === kind)
        .flatMap((joint) => joint.removed.filter((cut) => cut.part === 'apron-front'));
    const nearest = Math.min(
      ...holes('corner-block').flatMap((a) => holes('pocket-screws').map((b) => distance(a.solid, b.solid))),
    );
    expect(nearest).toBeGreaterThan(0);
  });

  it('longer than the short aprons have room for, they are told', () => {
    const narrow = derived(
      change(document, (d) => {
        d.form.top.width = 300;
        baseOf(d, 'leg-apron').leg.section = 60;
      }),
    );
    expect(narrow.problems.map(({ where }) => where)).toContain('form.base.cornerBlocks');
  });
});
