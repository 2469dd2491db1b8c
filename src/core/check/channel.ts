import { mm, movement, say } from '../measure/quantity';
import { MATERIALS } from '../piece/material';
import { findPart } from '../piece/piece';
import { channelLines, resinFor, slabHeldAt } from '../piece/table/tops/channel';
import { sizeAt } from '../season/size-at';
import { acrossAt, betweenLines } from '../solid/line-across';
import { type Check, judge, type TableContext } from './check';

/** The least that glass lies on in the driest week, pushed to one side; and what stays free in the wettest. mm, common practice. */
const LEAST_BEARING = 6;
const LEAST_ROOM = 1;
/** Toughened glass under a short load may be stressed so far, MPa; from memory, the glazier's own figure comes first. */
const GLASS_STRESS = 40;

/** Glass in its recess through the year: each slab moves about where it is held, the glass stays as it is. */
export function glassInChannel({ document, piece, season }: TableContext): Check[] {
  const { top } = document.form;
  if (top.kind !== 'channel' || top.fill.kind !== 'glass') return [];
  const { fill } = top;
  const lines = channelLines(top, piece.top.size);
  // From where a slab is held, in the middle of what a screw finds, to its live edge.
  const beside = fill.bearing + fill.room;
  const inside = (widths: readonly number[], width: number) => width - slabHeldAt(widths, top);
  const half = top.width / 2;
  const reaches = [...lines.front, ...lines.back].map(
    ([x]) =>
      inside(top.slabs.front, acrossAt(lines.front, x) + half) + inside(top.slabs.back, half - acrossAt(lines.back, x)),
  );
  const reach = Math.max(...reaches);
  const slab = findPart(piece, 'slab-front');
  const strain = (moisture: number) =>
    slab ? sizeAt(slab, season, moisture).width / sizeAt(slab, season, season.glued.moisture).width - 1 : 0;
  const closes = Math.max(0, strain(season.wettest.moisture)) * (reach - 2 * beside);
  const opens = Math.max(0, -strain(season.driest.moisture)) * reach;
  const free = 2 * fill.room - closes;
  const lies = fill.bearing - fill.room - opens;
  const where = ['slab-front', 'slab-back', 'glass'];
  const [roomy, wider] = [Math.ceil((closes + LEAST_ROOM + 0.5) / 2), Math.ceil(LEAST_BEARING + fill.room + opens + 1)];
  const span = betweenLines(lines.front, lines.back).greatest + fill.bearing;
  const stress = (1.5 * document.form.loads.edge) / fill.thickness ** 2;
  const thicker = Math.ceil(Math.sqrt((1.5 * document.form.loads.edge) / (0.8 * GLASS_STRESS)));
  return [
    {
      id: 'channel.room',
      step: 'season',
      level: judge(free, 0, { sense: 'at-least', watchFrom: LEAST_ROOM }),
      sentence:
        free < 0
          ? say`At the wettest the slabs press on the glass by ${movement(-free)}.`
          : say`At the wettest ${movement(free)} stay free round the glass, both sides together.`,
      value: movement(free),
      limit: movement(LEAST_ROOM),
      where,
      why: 'Glass that is squeezed breaks, and all at once.',
      school: 'Each slab held in its middle, common practice',
      figure: {
        id: 'channel-room',
        label: 'Free round the glass at the wettest',
        quantity: movement(free),
        formula: '2 · room − what both slabs grow from where they are held to their recess',
        inputs: [
          { label: 'Room on either side', quantity: mm(fill.room) },
          { label: 'The recess closes by', quantity: movement(closes) },
        ],
        source: 'geometry and the season; common practice',
      },
      wayOut: { say: say`Leave ${mm(roomy)} on either side`, changes: [{ path: 'form.top.fill.room', value: roomy }] },
    },
    {
      id: 'channel.bearing',
      step: 'season',
      level: judge(lies, 2, { sense: 'at-least', watchFrom: LEAST_BEARING }),
      sentence: say`Pushed to one side, in the driest week, the glass lies on ${movement(lies)} of the other slab.`,
      value: movement(lies),
      limit: mm(LEAST_BEARING),
      where,
      why: 'When the slabs shrink the channel opens under the glass; what lies on too little falls in.',
      school: 'common practice',
      figure: {
        id: 'channel-bearing',
        label: 'What the glass lies on, at the least',
        quantity: movement(lies),
        formula: 'bearing − room − what both slabs shrink from where they are held to their live edge',
        inputs: [
          { label: 'Bearing when made', quantity: mm(fill.bearing) },
          { label: 'Room on either side', quantity: mm(fill.room) },
          { label: 'The channel opens by', quantity: movement(opens) },
        ],
        source: 'geometry and the season; common practice',
      },
      wayOut: {
        say: say`Let it lie on ${mm(wider)} of each slab`,
        changes: [{ path: 'form.top.fill.bearing', value: wider }],
      },
    },
    {
      id: 'channel.glass',
      step: 'form',
      level: judge(stress, GLASS_STRESS, { sense: 'at-most', watchFrom: 0.8 * GLASS_STRESS }),
      sentence: say`Leaned on in its middle the glass is stressed to ${{ amount: stress, unit: 'megapascal' }}; toughened, ${{ amount: GLASS_STRESS, unit: 'megapascal' }} are taken as its limit.`,
      value: { amount: stress, unit: 'megapascal' },
      limit: { amount: GLASS_STRESS, unit: 'megapascal' },
      where: ['glass'],
      why: 'A design load of your own choosing, not a proof: the glazier and the local code decide on kind and thickness.',
      school: 'common practice',
      figure: {
        id: 'channel-glass',
        label: 'Stress of the glass under the edge load',
        quantity: { amount: stress, unit: 'megapascal' },
        formula: 'P·L/4 ÷ (L·t²/6): the load in the middle of its span, a strip as wide as the span taking part',
        inputs: [
          { label: 'Span L', quantity: mm(span) },
          { label: 'Thickness t', quantity: mm(fill.thickness) },
          { label: 'Edge load P', quantity: { amount: document.form.loads.edge, unit: 'newton' } },
          { label: 'E', quantity: { amount: MATERIALS.glass.modulus, unit: 'megapascal' } },
        ],
        source: 'statics of a beam on two supports; the limit from memory',
      },
      wayOut: {
        say: say`Take glass of ${mm(thicker)}`,
        changes: thicker <= 19 ? [{ path: 'form.top.fill.thickness', value: thicker }] : [],
      },
    },
  ];
}

/** Resin as it is poured. */
export function resinInChannel({ document, piece }: TableContext): Check[] {
  const { top } = document.form;
  if (top.kind !== 'channel' || top.fill.kind !== 'resin') return [];
  const lines = channelLines(top, piece.top.size);
  const { litres, pours } = resinFor(top, piece.top.size, lines);
  const each = piece.top.size.thickness / pours;
  return [
    {
      id: 'channel.resin',
      step: 'form',
      level: pours > 4 ? 'watch' : 'good',
      sentence: say`${`${litres.toFixed(1)} litres`} of resin in ${`${pours}`} ${pours === 1 ? 'pour' : 'pours'}, ${mm(each)} deep each.`,
      value: mm(each),
      limit: mm(top.fill.pour),
      where: ['resin'],
      why: 'Poured deeper than its maker allows it heats by itself, cracks and smokes. Every pour is a day and more.',
      school: 'The maker’s own limit comes first, common practice',
      wayOut: { say: say`Take a resin for deeper pours`, changes: [] },
    },
  ];
}
