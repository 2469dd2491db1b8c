import type { Brief, Change, JobDocument, PieceDecisions } from '../decision/job-document';
import { seatsOnBench } from '../decision/room-for-people';
import { USE_OF_PIECE, type Use } from '../decision/use';
import { FIRST_CHOICES, tableForBrief } from './new-job';
import { startBase, startTop } from './start-form';

/** A sound first form of a piece for a use: on legs and aprons, sizes by common practice. */
export function formForUse(use: Use, brief: Brief): Pick<PieceDecisions, 'use' | 'count' | 'form'> {
  const { start, sitting, loads } = USE_OF_PIECE[use];
  if (!start) return tableForBrief(brief);
  const { height, ...size } = start;
  const { form } = tableForBrief({ ...brief, seats: 2 });
  const overhang = sitting === 'on' ? 15 : 30;
  const top = { ...startTop('glued-panel', form.top), ...size, endOverhang: overhang, sideOverhang: overhang };
  const base = startBase('leg-apron', top, height);
  if (base.kind !== 'leg-apron') throw new Error(`a base of ${base.kind}`);
  const small = size.length < 700;
  const section = small ? 40 : 50;
  return {
    use,
    count: 1,
    form: {
      ...form,
      top,
      base: {
        ...base,
        leg: { ...base.leg, section, taper: { kind: 'tapered', foot: small ? 28 : 34, faces: 'inside', hollow: 0 } },
        apron: { ...base.apron, height: 75, thickness: 20 },
        crossRails: 0,
      },
      hold: { kind: 'buttons', travel: 8, inward: null, screwLength: size.thickness >= 25 ? 25 : 20 },
      loads: { ...loads, spread: sitting === 'on' ? loads.spread * seatsOnBench(size.length) : loads.spread },
    },
  };
}

/** One more piece for a job, of the wood that most of its pieces are of. */
export function newPiece(job: JobDocument, use: Use, id: string): PieceDecisions {
  const woods = job.pieces.map(({ wood }) => wood);
  const often = (wood: string) => woods.filter((own) => own === wood).length;
  const [wood = ''] = [...woods].sort((a, b) => often(b) - often(a));
  return { ...formForUse(use, job.brief), ...FIRST_CHOICES, id, name: nameFor(job, USE_OF_PIECE[use].name), wood };
}

/** A piece like another, with nothing of it cut or measured yet. */
export function copyOfPiece(job: JobDocument, piece: PieceDecisions, id: string): PieceDecisions {
  const season = { ...piece.season, measured: [] };
  return { ...piece, id, name: nameFor(job, piece.name.replace(/ \d+$/, '')), season, benches: {} };
}

/** A name that no piece of the job has. */
function nameFor(job: JobDocument, name: string): string {
  const taken = new Set(job.pieces.map((piece) => piece.name));
  for (let i = 1; ; i += 1) {
    const own = i === 1 ? name : `${name} ${i}`;
    if (!taken.has(own)) return own;
  }
}

/** What makes a piece one of another species: a wood that the job has, the piece's own where no other is of it, or a new one. */
export function woodChanges(job: JobDocument, pieceId: string, species: string): Change[] {
  const piece = job.pieces.find(({ id }) => id === pieceId);
  if (!piece) return [];
  const known = job.woods.find((wood) => wood.species === species);
  if (known) return [{ path: `pieces.${pieceId}.wood`, value: known.id }, ...leftOver(job, piece, known.id)];
  const alone = job.pieces.every((own) => own.id === pieceId || own.wood !== piece.wood);
  if (alone) return [{ path: `woods.${piece.wood}.species`, value: species }];
  const id = freeId(job.woods.map((wood) => wood.id));
  return [
    { path: `woods.${id}`, value: { id, name: 'Another wood', species } },
    { path: `pieces.${pieceId}.wood`, value: id },
  ];
}

/** A wood that nothing is of any more is taken out of the job. */
function leftOver(job: JobDocument, piece: PieceDecisions, next: string): Change[] {
  const used = piece.wood === next || job.pieces.some(({ id, wood }) => id !== piece.id && wood === piece.wood);
  return used ? [] : [{ path: `woods.${piece.wood}`, value: undefined }];
}

const freeId = (taken: readonly string[]): string => {
  for (let i = 1; ; i += 1) if (!taken.includes(`w${i}`)) return `w${i}`;
};
