import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, level } from '../../../tests/fixtures/demo';
import { boundsOf } from '../solid/convex';
import { findPart, type TablePiece } from './piece';

const named = (words: string) => CONSTRUCTIONS.find((c) => c.name.includes(words))!.document;
type Document = ReturnType<typeof named>;

/** The piece with some parts cut so much longer than drawn. */
function cut(document: Document, ids: readonly string[], by: number) {
  const drawn = derived(document).piece;
  const job = derived(
    change(document, (d) => {
      d.bench.locks = Object.fromEntries(
        ids.map((id) => [
          id,
          { length: findPart(drawn, id)!.size.length + by, width: null, thickness: null, on: '2027-03-20' },
        ]),
      );
    }),
  );
  return { drawn, piece: job.piece, job };
}
const middleOf = (piece: TablePiece, id: string) => findPart(piece, id)!.frame.at;
const top = (piece: TablePiece) => boundsOf(findPart(piece, piece.top.leading)!.placed).from[2];

describe('what is cut is followed in its length', () => {
  const trestle = () => named('a refectory table');

  it('posts: the table is as high as they are, and nothing stands in anything', () => {
    const { drawn, piece, job } = cut(trestle(), ['post-left', 'post-right'], -9);
    expect(piece.overall.height - drawn.overall.height).toBeCloseTo(-9, 9);
    expect(top(piece) - top(drawn)).toBeCloseTo(-9, 9);
    expect(findPart(piece, 'post-left')!.design.length).toBeCloseTo(findPart(drawn, 'post-left')!.size.length, 9);
    expect(level(job, 'form.parts-meet')).toBe('good');
  });

  it('stretchers: trestles and crossed legs stand as far apart', () => {
    for (const words of ['a refectory table', 'a desk on crossed legs']) {
      const { drawn, piece, job } = cut(named(words), ['stretcher'], 14);
      expect(middleOf(piece, 'bearer-right')[0] - middleOf(drawn, 'bearer-right')[0], words).toBeCloseTo(7, 9);
      // The top stays as it is: it overhangs by so much less.
      expect(piece.overall.length).toBe(drawn.overall.length);
      expect(piece.overhang.end - drawn.overhang.end).toBeCloseTo(-7, 9);
      expect(level(job, 'form.parts-meet')).toBe('good');
    }
  });

  it('top rails set posts and braces as far apart, but for a stringer that is cut too', () => {
    const posts = named('square posts');
    const rails = cut(posts, ['top-rail-front', 'top-rail-back'], 10);
    expect(middleOf(rails.piece, 'post-right')[0] - middleOf(rails.drawn, 'post-right')[0]).toBeCloseTo(5, 9);
    expect(level(rails.job, 'form.parts-meet')).toBe('good');
    const both = cut(posts, ['top-rail-front', 'top-rail-back', 'stringer'], -16);
    expect(middleOf(both.piece, 'post-right')[0] - middleOf(both.drawn, 'post-right')[0]).toBeCloseTo(-8, 9);
  });

  it('crossed legs: as high as they come over the spread they are drawn to, their angle with them', () => {
    const desk = named('a desk on crossed legs');
    const ids = ['left-a', 'left-b', 'right-a', 'right-b'].map((id) => `leg-${id}`);
    const { drawn, piece, job } = cut(desk, ids, -15);
    expect(piece.overall.height).toBeLessThan(drawn.overall.height);
    expect(piece.base.width).toBeCloseTo(drawn.base.width, 6);
    // Pythagoras on the leg's middle line, from foot to head; what is cut level at both ends changes next to nothing.
    const run = (p: TablePiece) => {
      const leg = findPart(p, 'leg-left-a')!;
      const { from, to } = boundsOf(leg.placed);
      return Math.hypot(to[1] - from[1], to[2] - from[2]);
    };
    expect(run(piece) - run(drawn)).toBeCloseTo(-15, 0);
    expect(level(job, 'form.parts-meet')).toBe('good');
    expect(findPart(piece, 'leg-left-a')!.ends!.start.mitre).not.toBe(findPart(drawn, 'leg-left-a')!.ends!.start.mitre);
  });

  it('legs that lean both ways: lower by what they are short along their lean; their aprons set them apart', () => {
    const table = named('splayed both ways');
    const legs = cut(table, ['leg-front-left', 'leg-front-right', 'leg-back-left', 'leg-back-right'], -10);
    const up = findPart(legs.drawn, 'leg-front-left')!.frame.length[2];
    expect(legs.piece.overall.height - legs.drawn.overall.height).toBeCloseTo(-10 * up, 9);
    expect(level(legs.job, 'form.parts-meet')).toBe('good');
    const aprons = cut(table, ['apron-front', 'apron-back'], 12);
    const at = (piece: TablePiece) => middleOf(piece, 'leg-back-right');
    expect(at(aprons.piece)[0] - at(aprons.drawn)[0]).toBeCloseTo(6, 9);
    expect(at(aprons.piece)[1]).toBeCloseTo(at(aprons.drawn)[1], 9);
    expect(aprons.piece.overall.height).toBeCloseTo(aprons.drawn.overall.height, 9);
    expect(level(aprons.job, 'form.parts-meet')).toBe('good');
  });

  it('feet and bearers, each by itself', () => {
    const feet = cut(trestle(), ['foot-left', 'foot-right'], -20);
    expect(feet.piece.base.width - feet.drawn.base.width).toBeCloseTo(-20, 9);
    const long = (piece: TablePiece, id: string) => findPart(piece, id)!.size.length;
    expect(long(feet.piece, 'bearer-left')).toBeCloseTo(long(feet.drawn, 'bearer-left'), 9);
    const bearers = cut(trestle(), ['bearer-left', 'bearer-right'], -20);
    expect(long(bearers.piece, 'foot-left')).toBeCloseTo(long(bearers.drawn, 'foot-left'), 9);
    const reach = (piece: TablePiece) => boundsOf(findPart(piece, 'bearer-left')!.placed).to[1];
    expect(reach(bearers.piece) - reach(bearers.drawn)).toBeCloseTo(-10, 9);
  });

  it('splayed legs: at their lean, lower by the cosine; their arms set them farther out', () => {
    const legs = cut(named('an oval table'), ['leg-1', 'leg-2', 'leg-3', 'leg-4'], -12);
    const lean = findPart(legs.drawn, 'leg-1')!.ends!.start.mitre;
    expect(legs.piece.overall.height - legs.drawn.overall.height).toBeCloseTo(
      -12 * Math.cos((lean * Math.PI) / 180),
      9,
    );
    const arms = cut(named('an oval table'), ['arm-1', 'arm-2', 'arm-3', 'arm-4'], 15);
    const out = (piece: TablePiece) => Math.hypot(middleOf(piece, 'leg-1')[0], middleOf(piece, 'leg-1')[1]);
    expect(out(arms.piece) - out(arms.drawn)).toBeCloseTo(15, 6);
    expect(level(arms.job, 'form.parts-meet')).toBe('good');
  });

  it('every part that is cut has the size that was entered, as long as it was drawn beside it', () => {
    for (const words of [
      'a refectory table',
      'an oval table',
      'a desk on crossed legs',
      'square posts',
      'diagonal',
      'splayed both ways',
    ]) {
      const { piece } = derived(named(words));
      const kinds = new Map(
        piece.parts
          .filter((p) => ['post', 'stretcher', 'foot', 'bearer', 'leg'].includes(p.kind))
          .map((p) => [p.kind, p]),
      );
      for (const part of kinds.values()) {
        const ids = piece.parts.filter((p) => p.kind === part.kind).map(({ id }) => id);
        const made = cut(named(words), ids, 5);
        for (const id of ids) {
          const own = findPart(made.piece, id)!;
          expect(own.size.length, `${words} ${id}`).toBeCloseTo(own.design.length + 5, 6);
          // Nothing is stretched: the solid is as long as its size between shoulders says.
          const [body] = own.body;
          const { from, to } = body!.bounds;
          expect(to[0] - from[0], `${words} ${id}`).toBeCloseTo(own.shoulderLength, 6);
        }
      }
    }
  });
});
