import { mm, movement, percent, say } from '../measure/quantity';
import { leadingPart, partsOfKind } from '../piece/piece';
import { CONNECTOR, connectorPlaces } from '../piece/table/tops/joined-end';
import { sizeAt } from '../season/size-at';
import { boundsOf, box } from '../solid/convex';
import { overlap } from '../solid/distance';
import { type Check, judge, type TableContext } from './check';

/** What a drill and a hand want free under a connector, and what may stand in it, mm; common practice. */
const HAND = 80;
const IN_THE_WAY = 2;
/** For two tops whose edges were never quite in line, mm; common practice. */
const IN_HAND = 1;

/** Two tables end to end: slots of the connectors, and room to get at them. */
export function joinedEnd(context: TableContext): Check[] {
  const { document, piece, season } = context;
  const { joined } = document.form;
  const plates = partsOfKind(piece, 'connector');
  const top = leadingPart(piece);
  if (!joined || !top || plates.length === 0) return [];
  const moisture = season.glued.moisture;
  const [dry, wet] = [moisture - joined.apart / 2, moisture + joined.apart / 2].map(
    (m) => sizeAt(top, season, m).width,
  );
  const strain = ((wet ?? 0) - (dry ?? 0)) / top.size.width;
  const out = Math.max(...connectorPlaces(piece.top.size.width, joined.connectors).map(Math.abs));
  const need = out * strain + IN_HAND;
  const enough = Math.ceil(need * 2) / 2;
  return [
    {
      id: 'joined.slots',
      step: 'season',
      level: judge(joined.slot, need, { sense: 'at-least' }),
      sentence: say`One table ${percent(joined.apart)} drier than the other, the outer connectors want ${movement(need)} to either side; their slots give ${movement(joined.slot)}.`,
      value: movement(joined.slot),
      limit: movement(need),
      where: plates.map(({ id }) => id),
      why: 'Two tops are never equally dry: in round holes the outer connectors shear their screws, or split the ends.',
      school: 'Both held in their middle; common practice',
      figure: {
        id: 'connector-slots',
        label: 'Outer connectors to either side',
        quantity: movement(need),
        formula: 'y · (width wet − width dry) ÷ width, and a millimetre in hand',
        inputs: [
          { label: 'Outer connector from the middle y', quantity: mm(out) },
          { label: 'Moisture apart', quantity: percent(joined.apart) },
          { label: 'Width, drier', quantity: movement(dry ?? 0) },
          { label: 'Width, moister', quantity: movement(wet ?? 0) },
        ],
        source: 'movement of the species by the school of the season',
      },
      wayOut: {
        say: say`File the slots to ${movement(enough)} to either side`,
        changes: [{ path: 'form.joined.slot', value: enough }],
      },
    },
    reach(context),
    ...bevelled(context),
  ];
}

/** A bevel from below takes away what the connectors are let into. */
function bevelled({ document, piece }: TableContext): Check[] {
  const { top } = document.form;
  if (!('edge' in top) || top.edge.kind !== 'under-bevelled') return [];
  const { width, left } = top.edge;
  return [
    {
      id: 'joined.bevel',
      step: 'form',
      level: 'stop',
      sentence: say`The bevel from below takes ${mm(width)} off the underside at the mating end, where the connectors are let in; ${mm(left)} are left of the edge.`,
      value: mm(width),
      limit: mm(0),
      where: [...piece.top.parts, ...piece.parts.filter(({ kind }) => kind === 'connector').map(({ id }) => id)],
      why: 'A plate let into a face that is not there hangs in the air, and two bevelled ends do not meet.',
      school: 'geometry',
      wayOut: { say: say`Leave the edges square`, changes: [{ path: 'form.top.edge', value: { kind: 'square' } }] },
    },
  ];
}

/** A hand with a driver under every connector. */
function reach({ document, piece }: TableContext): Check {
  const { length, width } = piece.top.size;
  const underside = piece.overall.height - piece.top.size.thickness;
  const count = document.form.joined?.connectors ?? 0;
  const rooms = connectorPlaces(width, count).map((y) =>
    box(
      [length / 2 - CONNECTOR.half, y - CONNECTOR.wide / 2, underside - HAND],
      [length / 2, y + CONNECTOR.wide / 2, underside],
    ),
  );
  const base = piece.parts.filter((part) => !piece.top.parts.includes(part.id) && part.kind !== 'connector');
  const inTheWay = base.find((part) =>
    part.placed.some((solid) => rooms.some((room) => overlap(room, solid) > IN_THE_WAY)),
  );
  const bounds = inTheWay ? boundsOf(inTheWay.placed) : null;
  const overhang =
    document.form.top.endOverhang + (bounds ? Math.max(0, bounds.to[0] - (length / 2 - CONNECTOR.half)) : 0);
  return {
    id: 'joined.reach',
    step: 'form',
    level: inTheWay ? 'stop' : 'good',
    sentence: inTheWay
      ? say`${inTheWay.name} stands under a connector: no driver comes to its screws.`
      : say`Under every connector there is room for a hand and a driver.`,
    value: mm(bounds ? length / 2 - bounds.to[0] : CONNECTOR.half),
    limit: mm(CONNECTOR.half),
    where: inTheWay ? [inTheWay.id] : [],
    why: 'Connectors are screwed from below with both tables in their place.',
    school: 'common practice',
    wayOut: {
      say: say`Let the top overhang its base by ${mm(Math.ceil(overhang / 5) * 5)} at the ends`,
      changes: [{ path: 'form.top.endOverhang', value: Math.ceil(overhang / 5) * 5 }],
    },
  };
}
