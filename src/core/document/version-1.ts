import { USE_OF_PIECE, type Use } from '../decision/use';

/** The piece and the wood of a job that knew but one of each. */
export const ONLY_PIECE = 'p1';
const ONLY_WOOD = 'w1';

type Plain = Record<string, unknown>;
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The entries of a group that are named, and the others. */
function parted(group: unknown, named: readonly string[]): [Plain, Plain] {
  if (!isPlain(group)) return [{}, {}];
  const entries = Object.entries(group);
  return [
    Object.fromEntries(entries.filter(([key]) => named.includes(key))),
    Object.fromEntries(entries.filter(([key]) => !named.includes(key))),
  ];
}

/** What of the groups that a job and its pieces share belongs to the piece. */
export const OF_THE_PIECE = {
  season: ['ringAngle', 'coated', 'measured'],
  layout: [
    'leastStrip',
    'greatestStrip',
    'mostStrips',
    'oneLot',
    'equalStrips',
    'pairs',
    'oneBoard',
    'asDressed',
    'jointMargin',
  ],
  plan: ['finish', 'painted'],
} as const;

/** A job of version 1, one table of one wood, as one of version 2; anything else is handed back as it is. Nothing is judged. */
export function upgraded(value: unknown): unknown {
  if (!isPlain(value) || value.version !== 1) return value;
  const { form, joints, glueUp, bench, season, layout, plan, ...job } = value;
  const [{ species }, table] = parted(form, ['species']);
  const [pieceSeason, jobSeason] = parted(season, OF_THE_PIECE.season);
  const [pieceLayout, jobLayout] = parted(layout, OF_THE_PIECE.layout);
  const [piecePlan, jobPlan] = parted(plan, OF_THE_PIECE.plan);
  const moved = Array.isArray(jobLayout.moved)
    ? { moved: jobLayout.moved.map((move) => (isPlain(move) ? { ...move, part: ofOnlyPiece(move.part) } : move)) }
    : {};
  return {
    ...job,
    version: 2,
    woods: [{ id: ONLY_WOOD, name: 'Show wood', species }],
    pieces: [
      {
        id: ONLY_PIECE,
        name: USE_OF_PIECE[likelyUse(table)].name,
        use: likelyUse(table),
        count: 1,
        wood: ONLY_WOOD,
        form: isPlain(form) ? table : form,
        joints,
        glueUp,
        season: pieceSeason,
        layout: pieceLayout,
        plan: piecePlan,
        benches: bench === undefined ? {} : { 1: bench },
      },
    ],
    season: isPlain(season) ? jobSeason : season,
    layout: isPlain(layout) ? { ...jobLayout, ...moved } : layout,
    plan: isPlain(plan) ? jobPlan : plan,
  };
}

/** The name of a part among all parts of a job, as version 2 writes it, from its name in the only piece. */
export const ofOnlyPiece = (part: unknown): unknown =>
  typeof part === 'string' && !part.includes(':') ? `${ONLY_PIECE}.1:${part}` : part;

/** Low and narrow is sat on, low and wide stands beside a sofa: version 1 did not ask. */
export function likelyUse(form: Plain): Use {
  const height = isPlain(form.base) ? Number(form.base.height) : Number.NaN;
  const [length, width] = isPlain(form.top) ? [Number(form.top.length), Number(form.top.width)] : [];
  if (!(height < 600)) return 'dining';
  if (!((width ?? 0) <= 500)) return 'coffee';
  return (length ?? 0) > 600 ? 'bench' : 'stool';
}
