import { mm, movement, say } from '../measure/quantity';
import { findPart } from '../piece/piece';
import { STAYS_IN } from '../piece/table/tops/framed';
import { sizeAt } from '../season/size-at';
import { type Check, judge, type TableContext } from './check';

/** A mitre that has opened by more is seen and felt, mm; common practice. */
const SEEN = 0.3;

/** A panel in its frame through the year, and the frame's own mitres. */
export function framedPanel({ document, piece, season }: TableContext): Check[] {
  const { top } = document.form;
  const panel = findPart(piece, 'panel');
  const border = findPart(piece, 'border-front');
  if (top.kind !== 'framed' || !panel || !border) return [];
  const widthAt = (moisture: number) => sizeAt(panel, season, moisture).width;
  const made = widthAt(season.glued.moisture);
  const grows = Math.max(0, widthAt(season.wettest.moisture) - made) / 2;
  const shrinks = Math.max(0, made - widthAt(season.driest.moisture)) / 2;
  const borderAt = (moisture: number) => sizeAt(border, season, moisture).width;
  const off = Math.max(
    ...[season.driest, season.wettest].map(({ moisture }) =>
      Math.abs(borderAt(moisture) - borderAt(season.glued.moisture)),
    ),
  );
  // Both borders change across their width and not along it: the mitre turns, and opens at one end by the diagonal of it.
  const opens = off * Math.SQRT2;
  const narrower = Math.floor((top.border * SEEN) / opens / 5) * 5;
  const mitres: Check = {
    id: 'framed.mitres',
    step: 'season',
    level: opens > SEEN ? 'watch' : 'good',
    sentence: say`The mitres open by up to ${movement(opens)} at one end of them in the year.`,
    value: movement(opens),
    limit: movement(SEEN),
    where: ['border-front', 'border-back', 'border-left', 'border-right'],
    why: 'A border swells across its width and not along it: in the wet season a mitre opens inside, in the dry outside.',
    school: 'geometry; what is seen, common practice',
    figure: {
      id: 'framed-mitres',
      label: 'What a mitre opens by',
      quantity: movement(opens),
      formula: '√2 · change of a border’s width',
      inputs: [
        { label: 'Border, wide', quantity: mm(top.border) },
        { label: 'Its greatest change', quantity: movement(off) },
      ],
      source: 'geometry and the season',
    },
    wayOut: {
      say: say`Make the borders ${mm(Math.max(40, narrower))}, quarter-sawn, or stop their mitres with a quirk that hides it`,
      changes: narrower >= 40 ? [{ path: 'form.top.border', value: narrower }] : [],
    },
  };
  if (top.panel === 'glued') {
    return [
      mitres,
      {
        id: 'framed.glued',
        step: 'season',
        level: 'stop',
        sentence: say`The panel is glued across its grain over ${mm(panel.size.width)}: it wants ${movement(grows + shrinks)} at both sides and gets none.`,
        value: movement(2 * (grows + shrinks)),
        limit: mm(0),
        where: ['panel', 'border-left', 'border-right'],
        why: 'A frame round a solid panel that cannot move opens at its mitres, or the panel splits, within the year.',
        school: 'End grain and long grain glued over more than 100 mm, common practice',
        wayOut: {
          say: say`Let the panel lie loose in its groove`,
          changes: [
            { path: 'form.top.panel', value: 'floating' },
            { path: 'form.top.room', value: Math.max(1, Math.ceil(grows * 1.25)) },
            { path: 'form.top.tongue', value: Math.ceil(grows * 1.25 + shrinks * 1.25 + STAYS_IN + 3) },
          ],
        },
      },
    ];
  }
  if (top.panel === 'sheet') return [mitres];
  const free = top.room - grows;
  const stays = top.tongue - top.room - shrinks;
  const enough = Math.max(1, Math.ceil(grows * 1.25));
  const longer = Math.ceil(top.room + shrinks * 1.25 + STAYS_IN + 1);
  return [
    mitres,
    {
      id: 'framed.room',
      step: 'season',
      level: judge(free, 0, { sense: 'at-least', watchFrom: 0.5 }),
      sentence:
        free < 0
          ? say`At the wettest the panel presses its frame apart by ${movement(-free)} at each side.`
          : say`At the wettest ${movement(free)} stay free at each side of the panel.`,
      value: movement(free),
      limit: mm(0),
      where: ['panel', 'border-front', 'border-back'],
      why: 'A panel that fills its grooves breaks the mitres open.',
      school: 'common practice',
      figure: {
        id: 'framed-room',
        label: 'Free at each side of the panel, wettest',
        quantity: movement(free),
        formula: 'room when made − half of what the panel grows',
        inputs: [
          { label: 'Room when made', quantity: mm(top.room) },
          { label: 'It grows at each side', quantity: movement(grows) },
        ],
        source: 'geometry and the season',
      },
      wayOut: { say: say`Leave ${mm(enough)} at each side`, changes: [{ path: 'form.top.room', value: enough }] },
    },
    {
      id: 'framed.tongue',
      step: 'season',
      level: judge(stays, 0, { sense: 'at-least', watchFrom: STAYS_IN }),
      sentence: say`At the driest ${movement(Math.max(0, stays))} of the tongue stay in the grooves at each side.`,
      value: movement(stays),
      limit: mm(STAYS_IN),
      where: ['panel', 'border-front', 'border-back'],
      why: 'A tongue that leaves its groove lets the panel drop, and light through.',
      school: 'common practice',
      wayOut: { say: say`Make the tongue ${mm(longer)} long`, changes: [{ path: 'form.top.tongue', value: longer }] },
    },
  ];
}
