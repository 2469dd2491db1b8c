import { movement, say } from '../measure/quantity';
import { HOLDS, travelOf } from '../piece/table/holds/hold';
import { travelOfTop } from '../season/restraint-of-piece';
import { MOVEMENT_SCHOOLS } from '../wood/movement-school';
import { type Check, judge, type TableContext } from './check';
import { otherHolds } from './hold-changes';
import { enoughTravel, letItGo, slidingFasteners, travelNeeded } from './hold-seats';

/** The top's growth against what its fasteners allow, both ways, at the fastener that is worst off. */
export function topOnItsFasteners(context: TableContext): Check[] {
  const { document, piece, season } = context;
  const hold = document.form.hold;
  const rule = HOLDS[hold.kind];
  const given = travelOf(hold);
  const sliding = slidingFasteners(piece);
  if (sliding.length === 0) return [];
  const need = travelNeeded(context);
  const reach = Math.max(0, ...sliding.map((fastener) => Math.abs(fastener.y)));
  const levelOf = (way: 'outward' | 'inward') =>
    judge(need[way], given[way], { sense: 'at-most', watchFrom: given[way] * 0.8 });
  // The way that is worse off.
  const used = (way: 'outward' | 'inward') => need[way] / Math.max(given[way], 0.01);
  const worse = used('outward') >= used('inward') ? 'outward' : 'inward';
  const levels = [levelOf('outward'), levelOf('inward')];
  const level = (['stop', 'watch', 'good'] as const).find((own) => levels.includes(own)) ?? 'good';
  const [needed, travel] = [need[worse], given[worse]];
  const way = worse === 'outward' ? 'outward in the wet season' : 'inward in the dry season';
  const enough = enoughTravel(context);
  const wanted = Math.ceil(Math.max(need.outward, need.inward) * 1.25);
  const ways = [...(enough ? [letItGo(enough)] : []), ...otherHolds(context, wanted)];
  return [
    {
      id: 'season.top-travel',
      step: 'season',
      level,
      sentence:
        level === 'stop'
          ? say`The top moves ${movement(needed)} ${way} at its outer fasteners; they let it go ${movement(travel)}.`
          : say`The top moves ${movement(needed)} ${way} at its outer fasteners and may go ${movement(travel)}.`,
      value: movement(needed),
      limit: movement(travel),
      where: [...piece.top.parts, ...sliding.map((fastener) => fastener.id)],
      why: `A top that cannot move splits, or tears its fasteners out. ${rule.how}`,
      school: `${MOVEMENT_SCHOOLS[season.school].name}, ${season.reckoning === 'simulated' ? 'moisture as simulated' : 'wood in equilibrium with the air'}`,
      wayOut: ways[0] ?? { say: say`Hold it so that it can slide, or make it narrower`, changes: [] },
      otherWaysOut: ways.slice(1),
      figure: {
        id: 'top-travel',
        label: 'Travel needed at the outer fasteners',
        quantity: movement(needed),
        formula:
          'displacement of the top against its rail at the fastener, from what the other ties leave possible, over all days',
        inputs: [
          { label: 'Widest', quantity: movement(season.leadingWidth.wettest) },
          { label: 'Narrowest', quantity: movement(season.leadingWidth.driest) },
          { label: 'Outer fastener from the middle', quantity: movement(reach) },
          { label: 'Outward', quantity: movement(need.outward) },
          { label: 'Inward', quantity: movement(need.inward) },
        ],
        source: `${MOVEMENT_SCHOOLS[season.school].source}; difference constraints, see Methods`,
      },
    },
  ];
}

/** The outer screws of battens in their slots. */
export function battensInSlots({ document, piece, restraint }: TableContext): Check[] {
  const { flat } = document.form;
  const own = piece.fasteners.filter((fastener) => fastener.own && !fastener.holdsMiddle);
  if (flat.kind === 'none' || own.length === 0) return [];
  const ids = new Set(own.map((fastener) => fastener.id));
  const ways = travelOfTop(piece, restraint).filter((way) => ids.has(way.tie));
  const needed = Math.max(0, ...ways.flatMap((way) => [way.outward.need, way.inward.need]));
  const level = judge(needed, flat.travel, { sense: 'at-most', watchFrom: flat.travel * 0.8 });
  const enough = Math.ceil(needed * 1.25);
  return [
    {
      id: 'season.batten-travel',
      step: 'season',
      level,
      sentence: say`The top moves ${movement(needed)} at the outer screws of the ${flat.kind}; their slots let it go ${movement(flat.travel)}.`,
      value: movement(needed),
      limit: movement(flat.travel),
      where: [...piece.top.parts, ...own.map((fastener) => fastener.on)],
      why: 'What is screwed tight at both ends splits the top it was to keep flat; round holes in steel do the same.',
      school: 'Middle screw tight, outer screws in slots with washers, nothing glued, common practice',
      figure: {
        id: 'batten-travel',
        label: `Travel needed at the outer screws of the ${flat.kind}`,
        quantity: movement(needed),
        formula: 'displacement of the top against the batten there, over all days',
        inputs: [
          { label: 'Outer screw from the middle', quantity: movement(Math.max(...own.map((f) => Math.abs(f.y)))) },
          { label: 'Slot, each way', quantity: movement(flat.travel) },
        ],
        source: 'difference constraints, see Methods',
      },
      wayOut: {
        say: say`Slot them ${movement(enough)} each way`,
        changes: [{ path: 'form.flat.travel', value: enough }],
      },
    },
  ];
}

/** A top notched round its legs: it moves past them, the legs stand. */
export function roomInNotches({ document, piece, season }: TableContext): Check[] {
  const { base } = document.form;
  if (base.kind !== 'leg-apron' || !base.leg.through) return [];
  const { room } = base.leg.through;
  const legs = piece.parts.filter((part) => part.kind === 'leg');
  // Held in its middle, the top goes at a leg's outside by its share of half its change.
  const reach = Math.max(...legs.map((leg) => Math.abs(leg.frame.at[1]) + leg.size.thickness / 2));
  const { driest, wettest } = season.leadingWidth;
  const made = piece.top.size.width;
  const needed = (Math.max(wettest - made, made - driest) / 2) * (reach / (made / 2));
  const level = judge(needed, room, { sense: 'at-most', watchFrom: room * 0.8 });
  const enough = Math.ceil(needed * 1.25);
  return [
    {
      id: 'season.notches',
      step: 'season',
      level,
      sentence: say`Round its legs the top moves ${movement(needed)}; the notches leave ${movement(room)} at both sides.`,
      value: movement(needed),
      limit: movement(room),
      where: [...piece.top.parts, ...legs.map((leg) => leg.id)],
      why: 'A notch without room splits the top at its corner when it swells, and opens when it dries.',
      school: `${MOVEMENT_SCHOOLS[season.school].name}; held in its middle`,
      figure: {
        id: 'notch-room',
        label: 'Room needed in the notches',
        quantity: movement(needed),
        formula: 'greatest change of half the width · leg’s outside ÷ half the width',
        inputs: [
          { label: 'Widest', quantity: movement(wettest) },
          { label: 'Narrowest', quantity: movement(driest) },
          { label: 'Middle to the leg’s outside', quantity: movement(reach) },
        ],
        source: MOVEMENT_SCHOOLS[season.school].source,
      },
      ...(level === 'good'
        ? {}
        : {
            wayOut: {
              say: say`Leave ${movement(enough)} at both sides`,
              changes: [{ path: 'form.base.leg.through.room', value: enough }],
            },
          }),
    },
  ];
}
