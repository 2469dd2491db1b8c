import { dowelDiameter } from '../joint/corner-dowels';
import { CORNERS, isInserted, LEAST_BACK_WALL, tenonThickness } from '../joint/leg-corner';
import { mm, say } from '../measure/quantity';
import { type Check, judge, type TableContext } from './check';

const LEAST_OUTSIDE_WALL = 6;

/** Depth, walls, meeting and thickness of the leg's tenons or dowels. Limits are common practice. */
export function cornerTenons({ document, piece }: TableContext): Check[] {
  const { corner } = piece;
  const { base } = document.form;
  if (!isInserted(corner) || base.kind !== 'leg-apron') return [];
  const { tenon } = corner;
  const { one, many } = CORNERS[corner.kind];
  const dowelled = corner.kind === 'dowels';
  const legs = piece.parts.filter((part) => part.kind === 'leg').map((part) => part.id);
  const aprons = piece.parts.filter((part) => part.kind === 'apron').map((part) => part.id);
  const section = piece.parts.find((part) => part.kind === 'leg')?.size.width ?? 0;
  const apronThickness = piece.parts.find((part) => part.kind === 'apron')?.size.thickness ?? 0;
  const shorter = { say: say`Let the rule choose the length`, changes: [{ path: 'joints.tenonLength', value: null }] };

  const behind = judge(corner.wallBehind, LEAST_BACK_WALL, { sense: 'at-least' });
  const leastLength = Math.min(20, section / 2);
  const short = judge(tenon.length, leastLength, { sense: 'at-least', watchFrom: corner.aim * 0.7 });
  const outside = judge(corner.wallOutside, LEAST_OUTSIDE_WALL, { sense: 'at-least', watchFrom: 8 });
  const meeting = judge(corner.clearance, 0, { sense: 'at-least' });
  const rule = dowelled
    ? dowelDiameter(apronThickness)
    : tenonThickness(document.joints.tenonSchool, apronThickness, section);
  const ownThickness = document.joints.tenonThickness !== null;
  const cheek = (apronThickness - tenon.thickness) / 2;
  const thick = judge(cheek, 4, { sense: 'at-least', watchFrom: 5 });

  return [
    {
      id: 'joints.tenons-meet',
      step: 'joints',
      level: meeting,
      sentence:
        meeting === 'stop'
          ? say`The ${many} of the two aprons run ${mm(-corner.clearance)} into each other in the leg.`
          : corner.meeting === 'staggered'
            ? dowelled
              ? say`The dowels of one apron pass between those of the other, ${mm(corner.clearance)} apart.`
              : say`The tenons pass above each other in the leg.`
            : say`The ${many} of the two aprons stay ${mm(corner.clearance)} apart in the leg.`,
      value: mm(corner.clearance),
      limit: mm(0),
      where: [...legs, ...aprons],
      why: 'Two mortises in one leg open into each other; a tenon too long for its room is found out with glue on it.',
      school: 'common practice',
      ...(meeting === 'stop'
        ? {
            wayOut: {
              say: say`Mitre, stagger or shorten them by rule`,
              changes: [
                { path: 'joints.meeting', value: 'auto' },
                { path: 'joints.tenonLength', value: null },
              ],
            },
          }
        : {}),
    },
    {
      id: 'joints.tenon-depth',
      step: 'joints',
      level: behind,
      sentence:
        behind === 'stop'
          ? say`The ${one} goes ${mm(tenon.length)} into a ${mm(section)} leg and leaves ${mm(corner.wallBehind)} behind it.`
          : say`Behind the ${one} ${mm(corner.wallBehind)} of leg are left.`,
      value: mm(corner.wallBehind),
      limit: mm(LEAST_BACK_WALL),
      where: legs,
      why: 'A thin wall behind a mortise breaks out when the tenon is driven home, or shows as a bump after finishing.',
      school: 'common practice',
      ...(behind === 'stop' ? { wayOut: shorter } : {}),
    },
    {
      id: 'joints.tenon-length',
      step: 'joints',
      level: short,
      sentence: say`The ${one} goes ${mm(tenon.length)} into a ${mm(section)} leg; the rule aims at ${mm(corner.aim)}.`,
      value: mm(tenon.length),
      limit: mm(leastLength),
      where: [...legs, ...aprons],
      why: 'Length is glue area: a short tenon works loose when somebody leans on the table.',
      school: dowelled
        ? 'Three and a half times as deep as thick, common practice'
        : 'Two thirds of the leg, common practice',
      ...(short === 'good'
        ? {}
        : {
            wayOut: {
              say: say`Let the rule choose meeting and length`,
              changes: [
                { path: 'joints.tenonLength', value: null },
                { path: 'joints.meeting', value: 'auto' },
              ],
            },
          }),
    },
    {
      id: 'joints.wall-outside',
      step: 'joints',
      level: outside,
      sentence: say`Between the ${one} and the outside of the leg ${mm(corner.wallOutside)} are left.`,
      value: mm(corner.wallOutside),
      limit: mm(LEAST_OUTSIDE_WALL),
      where: legs,
      why: 'A thin cheek at the outside of the leg splits off under racking.',
      school: 'common practice',
      ...(outside === 'good'
        ? {}
        : {
            wayOut: {
              say: say`Set the apron back to ${mm(base.apron.reveal + Math.ceil(8 - corner.wallOutside))}`,
              changes: [
                {
                  path: 'form.base.apron.reveal',
                  value: base.apron.reveal + Math.ceil(8 - corner.wallOutside),
                },
              ],
            },
          }),
    },
    {
      id: 'joints.tenon-thickness',
      step: 'joints',
      level: thick,
      sentence: say`The ${one} is ${mm(tenon.thickness)} thick and leaves ${mm(cheek)} on both sides of it in a ${mm(apronThickness)} apron.`,
      value: mm(cheek),
      limit: mm(4),
      where: aprons,
      why: 'Shoulders hide the mortise and carry the racking; too narrow, they crush.',
      school: ownThickness
        ? 'Decided by you'
        : dowelled
          ? 'The dowel nearest to two fifths of the apron, common practice'
          : document.joints.tenonSchool === 'third'
            ? 'A third of the thinner part'
            : section >= 2 * apronThickness
              ? 'Half the thinner part, the mortised part being at least twice as thick'
              : 'A third of the thinner part: the leg is not thick enough for half',
      figure: {
        id: 'tenon-thickness',
        label: dowelled ? 'Dowel by rule' : 'Tenon thickness by rule',
        quantity: mm(rule),
        formula: dowelled
          ? 'the dowel nearest to 2/5 of the apron'
          : document.joints.tenonSchool === 'third'
            ? 'apron ÷ 3, to half a millimetre'
            : 'apron ÷ 2 where leg ≥ 2 × apron, else apron ÷ 3',
        inputs: [
          { label: 'Apron', quantity: mm(apronThickness) },
          { label: 'Leg', quantity: mm(section) },
        ],
        source: 'common practice',
      },
      ...(thick === 'good'
        ? {}
        : {
            wayOut: ownThickness
              ? {
                  say: say`Let the rule choose the thickness`,
                  changes: [{ path: 'joints.tenonThickness', value: null }],
                }
              : {
                  say: say`Make the aprons ${mm(Math.ceil(apronThickness + 4))} thick`,
                  changes: [{ path: 'form.base.apron.thickness', value: Math.ceil(apronThickness + 4) }],
                },
          }),
    },
  ];
}

/** Parts that should be alike and were cut unlike. */
export function cutAlike({ piece }: TableContext): Check[] {
  const pairs = [
    { ids: ['apron-front', 'apron-back'], what: 'long aprons' },
    { ids: ['apron-left', 'apron-right'], what: 'short aprons' },
  ];
  return pairs.flatMap(({ ids, what }) => {
    const cut = piece.parts.filter((part) => ids.includes(part.id) && part.locked);
    if (cut.length < 2) return [];
    const lengths = cut.map((part) => part.size.length);
    const off = Math.max(...lengths) - Math.min(...lengths);
    const level = judge(off, 1, { sense: 'at-most', watchFrom: 0.4 });
    return [
      {
        id: `bench.unlike-${ids[0]}`,
        step: 'bench' as const,
        level,
        sentence: say`The two ${what} differ by ${mm(off)} in length.`,
        value: mm(off),
        limit: mm(1),
        where: ids,
        why: 'Unequal rails pull the base out of square, and the tenons of the longer one do not close.',
        school: 'common practice',
        ...(level === 'good'
          ? {}
          : { wayOut: { say: say`Trim the longer one at its shoulders and enter it again`, changes: [] } }),
      },
    ];
  });
}
