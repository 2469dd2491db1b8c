import { describe, expect, it } from 'vitest';
import { type Quantity, say } from './quantity';
import { writeLength, writePhrase, writeQuantity } from './write-quantity';

const metric = { system: 'metric' as const };
const inch = { system: 'inch' as const, fraction: 16 as const };

describe('a quantity is written with no more digits than can be measured', () => {
  it.each([
    [{ amount: 955.64, unit: 'mm' }, '955.5 mm', '37 5/8"'],
    [{ amount: 955.64, unit: 'mm-movement' }, '955.6 mm', '37 5/8"'],
    [{ amount: 8.449, unit: 'percent-moisture' }, '8.4 %', '8.4 %'],
    [{ amount: -3.2, unit: 'celsius' }, '−3.2 °C', '26 °F'],
    [{ amount: 412.6, unit: 'newton' }, '413 N', '93 lbf'],
    [{ amount: 12300, unit: 'megapascal' }, '12300 MPa', '1.78 million psi'],
    [{ amount: 0.00274, unit: 'coefficient' }, '0.00274 per %', '0.00274 per %'],
    [{ amount: 0.0123, unit: 'cubic-metre' }, '0.0123 m³', '5.21 board feet'],
    [{ amount: 3, unit: 'count' }, '3', '3'],
    // NIST Special Publication 811, appendix B: 1 lb is 0.453 592 37 kg, 1 psi 6 894.757 Pa, 1 lbf·ft 1.355 818 N·m.
    [{ amount: 45.359237, unit: 'kilogram' }, '45.4 kg', '100.0 lb'],
    [{ amount: 0.6894757, unit: 'megapascal' }, '0.7 MPa', '100 psi'],
    [{ amount: 1.355818, unit: 'newton-metre' }, '1.4 N·m', '1.0 lbf·ft'],
    [{ amount: 28.349523, unit: 'gram' }, '28 g', '1.0 oz'],
    [{ amount: 20, unit: 'celsius' }, '20.0 °C', '68 °F'],
    // NHLA: a board foot is 144 in³; an inch is 25.4 mm, so that 1 000 of them are 2.36 m³.
    [{ amount: 1000, unit: 'board-foot' }, '2.360 m³', '1000.0 board feet'],
    [{ amount: 1, unit: 'board-foot' }, '2.36 dm³', '1.0 board feet'],
  ] as [Quantity, string, string][])('%j', (quantity, inMetric, inInches) => {
    expect(writeQuantity(quantity, metric)).toBe(inMetric);
    expect(writeQuantity(quantity, inch)).toBe(inInches);
  });

  it('a length is written to half a millimetre, to a tenth where movement matters', () => {
    expect(writeLength(27.78, metric)).toBe('28');
    expect(writeLength(27.78, metric, true)).toBe('27.8');
    expect(writeLength(27.78, inch, true)).toBe('1 3/32"');
  });

  it('less than a step of the rule is not written as nothing, nor as much more than it is', () => {
    expect(writeLength(0.5, inch)).toBe('1/64"');
    expect(writeLength(1, inch)).toBe('1/32"');
    expect(writeLength(2, inch)).toBe('1/16"');
    expect(writeLength(0.1, inch)).toBe('0.004"');
    expect(writeLength(0, inch)).toBe('0"');
    expect(writeLength(-0.5, inch)).toBe('−1/64"');
    expect(writeLength(0.2, metric)).toBe('0.2');
    expect(writeLength(0.02, metric, true)).toBe('0.02');
  });

  it('two figures that differ are never written alike in one sentence', () => {
    const lengths = say`The gap is ${{ amount: 1.2, unit: 'mm' }}, the least is ${{ amount: 1.22, unit: 'mm' }}.`;
    expect(writePhrase(lengths, inch)).toBe('The gap is 0.047", the least is 0.048".');
    expect(writePhrase(lengths, metric)).toBe('The gap is 1.20 mm, the least is 1.22 mm.');
    const deeper = say`${{ amount: 20.5, unit: 'mm' }} to ${{ amount: 21, unit: 'mm' }}`;
    expect(writePhrase(deeper, inch)).toBe('13/16" to 53/64"');
    const near = say`${{ amount: 745.1, unit: 'mm' }} of ${{ amount: 745.2, unit: 'mm' }}`;
    expect(writePhrase(near, metric)).toBe('745.10 mm of 745.20 mm');
    const moist = say`${{ amount: 8.04, unit: 'percent' }} of ${{ amount: 8.02, unit: 'percent' }}`;
    expect(writePhrase(moist, metric)).toBe('8.04 % of 8.02 %');
    const forces = say`${{ amount: 444.8, unit: 'newton' }} of ${{ amount: 446, unit: 'newton' }}`;
    expect(writePhrase(forces, inch)).toBe('100.0 lbf of 100.3 lbf');
    const same = say`${{ amount: 12, unit: 'mm' }} of ${{ amount: 12, unit: 'mm' }}`;
    expect(writePhrase(same, metric)).toBe('12 mm of 12 mm');
  });

  it('a phrase follows the units', () => {
    const phrase = say`The top is ${{ amount: 25.4, unit: 'mm' }} thick.`;
    expect(writePhrase(phrase, metric)).toBe('The top is 25.5 mm thick.');
    expect(writePhrase(phrase, inch)).toBe('The top is 1" thick.');
  });
});

describe('a decimal comma stands wherever a figure has decimals, and nowhere else', () => {
  const comma = { ...metric, decimal: 'comma' as const };
  it.each([
    [{ amount: 1955.64, unit: 'mm' }, '1\u202f955,5 mm'],
    [{ amount: 0.03, unit: 'mm-movement' }, '0,03 mm'],
    [{ amount: 8.449, unit: 'percent-moisture' }, '8,4 %'],
    [{ amount: -3.2, unit: 'celsius' }, '−3,2 °C'],
    [{ amount: 0.00274, unit: 'coefficient' }, '0,00274 per %'],
    [{ amount: 7, unit: 'count' }, '7'],
  ] as [Quantity, string][])('%j', (quantity, text) => {
    expect(writeQuantity(quantity, comma)).toBe(text);
  });

  it('also where two figures are told apart, and in inches as their thousandths', () => {
    const close = say`${{ amount: 4.21, unit: 'mm' }} of ${{ amount: 4.24, unit: 'mm' }}`;
    expect(writePhrase(close, comma)).toBe('4,21 mm of 4,24 mm');
    expect(writeLength(0.12, { ...inch, decimal: 'comma' })).toBe('0,005"');
  });
});
