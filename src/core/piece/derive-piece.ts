import type { Bench } from '../decision/bench';
import { composeCase } from './case/compose-case';
import type { Form } from './form';
import type { Piece, PieceOf } from './piece';
import { composeTable, type TableDecided } from './table/compose-table';

/** What was decided of a piece that bears on its parts. */
export type PieceDecided<F extends Form = Form> = Omit<TableDecided, 'form'> & { form: F };

const NOTHING_CUT: Bench = { cut: [], locks: {} };

/** Decisions → every part of a piece with its size, its place and what joints do to it. */
export function derivePiece<F extends Form>(decided: PieceDecided<F>): PieceOf<F> {
  const piece = composed(decided);
  if (Object.keys(decided.bench.locks).length === 0) return piece as PieceOf<F>;
  // What was drawn before anything was cut stays beside what it has become.
  const drawn = composed({ ...decided, bench: NOTHING_CUT });
  const designs = new Map(drawn.parts.map((part) => [part.id, part.size]));
  const parts = piece.parts.map((part) => ({ ...part, design: designs.get(part.id) ?? part.design }));
  return { ...piece, parts } as Piece as PieceOf<F>;
}

const composed = ({ form, ...given }: PieceDecided): Piece =>
  form.build === 'case' ? composeCase({ ...given, form }) : composeTable({ ...given, form });
