import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, level } from '../../../tests/fixtures/demo';
import { HAND_ROOM } from './door';

const named = (name: string) => CONSTRUCTIONS.find((c) => c.name.includes(name))!.document;

describe('through the door', () => {
  it('feet that stand out beyond the top count', () => {
    const round = change(named('a round table on three splayed legs'), (d) => {
      d.form.top.length = 600;
      d.form.top.width = 600;
    });
    const { piece } = derived(round);
    const { from, to } = piece.envelope;
    expect(to[1] - from[1]).toBeGreaterThan(piece.overall.width + 50);
    // A door that the top alone would go through upright.
    const door = (width: number) =>
      derived(
        change(round, (d) => {
          d.brief.door = { width, height: piece.overall.height + HAND_ROOM + 1 };
        }),
      );
    expect(level(door(piece.overall.width + HAND_ROOM + 5), 'people.door')).not.toBe('good');
    expect(level(door(Math.ceil(to[0] - from[0]) + HAND_ROOM + 5), 'people.door')).toBe('good');
  });

  it('proud breadboard ends and connectors at the end count in the box round the piece', () => {
    const bread = derived(named('a breadboarded table on legs'));
    expect(bread.piece.envelope.to[1] - bread.piece.envelope.from[1]).toBeGreaterThan(bread.piece.overall.width);
    const joined = derived(CONSTRUCTIONS.find(({ document }) => document.form.joined)!.document);
    expect(joined.piece.envelope.to[0] - joined.piece.envelope.from[0]).toBeGreaterThan(joined.piece.overall.length);
  });

  it('no door is too narrow that is wider than the piece, none good that is narrower than its narrowest way', () => {
    for (const { name, document } of CONSTRUCTIONS) {
      const { piece } = derived(document);
      const [x, y, z] = [0, 1, 2].map((i) => piece.envelope.to[i as 0]! - piece.envelope.from[i as 0]!) as [
        number,
        number,
        number,
      ];
      const at = (width: number, height: number) =>
        level(
          derived(
            change(document, (d) => {
              d.brief.door = { width, height };
            }),
          ),
          'people.door',
        );
      const wide = Math.ceil(Math.min(x, y)) + HAND_ROOM + 1;
      const high = Math.ceil(z) + HAND_ROOM + 1;
      if (piece.top.closed === undefined && wide <= 5000 && high >= 500)
        expect(at(wide, Math.max(500, high)), name).toBe('good');
      // Lower than everything it could be carried as.
      if (Math.min(x, y, z) > 540) expect(at(5000, 500), name).not.toBe('good');
    }
  });
});
