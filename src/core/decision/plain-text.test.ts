import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { jobOf, sixSeats } from '../../../tests/fixtures/demo';
import { JobDocumentSchema, withChanges } from '../document/job-document';
import { read } from './issues';
import { plainData, plainText } from './plain-text';

/** Texts of single UTF-16 units, halves of characters among them. */
const anyText = fc.string({ unit: fc.integer({ min: 0, max: 0xffff }).map((unit) => String.fromCharCode(unit)) });

describe('plain text', () => {
  it('keeps what people write: accents, emoji, other scripts, lines', () => {
    for (const text of ['Ébène, 40 × 30', '👩🏽‍🔧 Werkstatt', 'שולחן', 'one\ntwo\tthree', '½ in.', '木'])
      expect(plainText(text)).toBe(text);
  });

  it('has no halves of characters, no controls and nothing that turns the direction of what follows', () => {
    expect(plainText('a\ud83d')).toBe('a\ufffd');
    expect(plainText('\ude00b')).toBe('\ufffdb');
    expect(plainText('oak\u202e kao\u2069\u0000\u0007')).toBe('oak kao');
    expect(plainText('one\r\ntwo\rthree\u2028four')).toBe('one\ntwo\nthree\nfour');
    fc.assert(
      fc.property(anyText, (text) => {
        const plain = plainText(text);
        expect(plain.isWellFormed()).toBe(true);
        expect(plainText(plain)).toBe(plain);
        expect(Buffer.from(plain, 'utf8').toString('utf8')).toBe(plain);
      }),
    );
  });

  it('is what every schema reads, names of entries too', () => {
    const document = withChanges(jobOf(sixSeats()), [
      { path: 'brief.note', value: 'half \ud83d' },
      {
        path: 'pieces.p1.benches.1.locks',
        value: { 'top\u202e': { length: 900, width: null, thickness: null, on: '2027-04-01' } },
      },
    ]);
    const sound = read(JobDocumentSchema, document, 'the job');
    expect('value' in sound && sound.value.brief.note).toBe('half \ufffd');
    expect('value' in sound && Object.keys(sound.value.pieces[0]!.benches[1]!.locks)).toEqual(['top']);
    expect(plainData({ list: ['\ud800', { deep: 1 }], none: null })).toEqual({
      list: ['\ufffd', { deep: 1 }],
      none: null,
    });
  });
});
